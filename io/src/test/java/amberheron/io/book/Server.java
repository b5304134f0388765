package amberheron.io.book;

import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A real server that all tests of this machine share, and for each of them a database of its own behind a line that can be
 * pulled out. Where {@code -Dpostgres=HOST:PORT} names one that runs already, that one is used.
 */
public final class Server implements AutoCloseable {
    private static final AtomicInteger DATABASES = new AtomicInteger();

    private final ServerSocket door;
    private final String database;
    private final Set<Socket> lines = ConcurrentHashMap.newKeySet();
    private volatile boolean pulled;

    /** Begun when it is first asked for, ended with the tests. */
    private static final class One {
        private static final String RUNNING = System.getProperty("postgres", "");
        private static final int PORT;

        static {
            try {
                PORT = RUNNING.isEmpty() ? begin() : Integer.parseInt(RUNNING.substring(RUNNING.indexOf(':') + 1));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private static int begin() throws IOException {
            EmbeddedPostgres made = EmbeddedPostgres.builder().setServerConfig("fsync", "off").start();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                try {
                    made.close();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }));
            return made.getPort();
        }
    }

    /** A database of its own, and a line to it. */
    public Server() throws IOException, SQLException {
        this("bay" + ProcessHandle.current().pid() + "x" + DATABASES.incrementAndGet());
        try (Connection admin = admin("postgres"); var statement = admin.createStatement()) {
            statement.execute("create database " + database);
        }
    }

    /** Another line to the same database. */
    public Server line() throws IOException {
        return new Server(database);
    }

    private Server(String database) throws IOException {
        this.database = database;
        door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        Thread.ofPlatform().daemon().start(this::answer);
    }

    /** A connection past the line. */
    public Connection admin() throws SQLException {
        return admin(database);
    }

    private static Connection admin(String database) throws SQLException {
        return DriverManager.getConnection("jdbc:postgresql://127.0.0.1:" + One.PORT + "/" + database,
                "postgres", "postgres");
    }

    /** Its address, by way of this line. */
    public BookAddress.OfServer address() {
        return address("postgres", database);
    }

    BookAddress.OfServer address(String user, String name) {
        return new BookAddress.OfServer("127.0.0.1", door.getLocalPort(), name, user, "postgres", Map.of());
    }

    /** A bay's book, its copy in this folder. */
    public OpenBook bay(Path home) {
        return OpenBook.at(address(), home);
    }

    /** Pulls the line out: what is on its way is lost, and nobody gets through. */
    public void pull() throws IOException {
        pulled = true;
        cut();
    }

    /** Cuts every line once; new ones get through. */
    public void cut() throws IOException {
        for (Socket each : lines) {
            each.close();
        }
    }

    /** Plugs it in again. */
    public void plug() {
        pulled = false;
    }

    private void answer() {
        while (!door.isClosed()) {
            try {
                Socket bay = door.accept();
                if (pulled) {
                    bay.close();
                    continue;
                }
                Socket server = new Socket(InetAddress.getLoopbackAddress(), One.PORT);
                lines.add(bay);
                lines.add(server);
                carry(bay, server);
                carry(server, bay);
            } catch (IOException e) {
                return;
            }
        }
    }

    private void carry(Socket from, Socket to) {
        Thread.ofVirtual().start(() -> {
            try (from; to) {
                InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream();
                in.transferTo(out);
            } catch (IOException e) {
                // The line was cut.
                return;
            } finally {
                lines.remove(from);
                lines.remove(to);
            }
        });
    }

    @Override
    public void close() throws IOException {
        door.close();
        cut();
    }
}
