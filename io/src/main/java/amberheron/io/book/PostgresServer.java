package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.book.BookAddress.OfServer;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.logging.Level;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jspecify.annotations.Nullable;
import org.postgresql.Driver;
import org.postgresql.PGConnection;
import org.postgresql.ds.PGSimpleDataSource;

/**
 * A book in a database of a PostgreSQL server, which several bays share. It is reached when it is first asked, and again
 * after the line was down.
 */
final class PostgresServer implements Store {
    private static final int OLDEST = 15;
    private static final String CHANNEL = "amber_heron_book";
    /**
     * Time limits for the connection, an answer, and another bay's lock: long enough for a slow network, short enough that
     * a person at the car goes on with the copy.
     */
    private static final Map<String, String> PATIENCE = Map.of("connectTimeout", "3", "socketTimeout", "10",
            "tcpKeepAlive", "true", "logServerErrorDetail", "false", "options",
            "-c lock_timeout=4500 -c statement_timeout=9000 "
                    + "-c idle_in_transaction_session_timeout=2000 -c tcp_keepalives_idle=5 "
                    + "-c tcp_keepalives_interval=2 -c tcp_keepalives_count=3",
            "ApplicationName",
            "Amber Heron");

    private final OfServer address;
    private @Nullable Connection connection;
    private @Nullable Jdbi jdbi;
    private boolean fresh;

    PostgresServer(OfServer address) {
        this.address = address;
    }

    @Override
    public String name() {
        return address.shown();
    }

    @Override
    public Jdbi jdbi() throws SQLException {
        Jdbi now = jdbi;
        fresh = now == null;
        if (now == null) {
            Connection made = connect();
            try {
                migrate(made);
                now = Store.jdbi(made);
            } catch (SQLException | RuntimeException e) {
                close(made);
                throw e;
            }
            connection = made;
            jdbi = now;
        }
        return now;
    }

    private Connection connect() throws SQLException {
        if (address.password() == null) {
            // The driver looks for it there, whoever else can read it.
            PrivateFile.require(passwords(), say("a password"));
        }
        Connection made = new Driver().connect(address.url(), properties());
        if (made == null) {
            throw new BookProblem(say("%s is no address of a PostgreSQL server.", name()));
        }
        if (made.getMetaData().getDatabaseMajorVersion() < OLDEST) {
            String found = made.getMetaData().getDatabaseProductVersion();
            close(made);
            throw new BookProblem(say("%s is PostgreSQL %s, expected %d or newer.", name(), found, OLDEST));
        }
        return made;
    }

    private Properties properties() {
        Properties all = new Properties();
        all.putAll(PATIENCE);
        all.putAll(address.properties());
        return all;
    }

    private static Path passwords() {
        String said = System.getenv("PGPASSFILE");
        return said == null ? Path.of(System.getProperty("user.home", ""), ".pgpass") : Path.of(said);
    }

    private void migrate(Connection made) throws SQLException {
        PGSimpleDataSource source = new PGSimpleDataSource();
        source.setUrl(address.url());
        Properties all = properties();
        for (String name : all.stringPropertyNames()) {
            source.setProperty(name, all.getProperty(name));
        }
        Migration.bring(this, made, Migration.configuration().dataSource(source));
    }

    @Override
    public Subscription listen() throws SQLException {
        Connection made = connect();
        try (var statement = made.createStatement()) {
            statement.execute("listen " + CHANNEL);
        } catch (SQLException e) {
            close(made);
            throw e;
        }
        return new ServerSubscription(made);
    }

    private static final class ServerSubscription implements Subscription {
        private static final int EVERY = 500;
        private static final int ALIVE_SECONDS = 3;
        private final Connection connection;
        private final Jdbi jdbi;

        private ServerSubscription(Connection connection) {
            this.connection = connection;
            this.jdbi = Store.jdbi(connection);
        }

        @Override
        public Jdbi jdbi() {
            return jdbi;
        }

        @Override
        public boolean await() throws SQLException {
            var heard = connection.unwrap(PGConnection.class).getNotifications(EVERY);
            boolean any = heard != null && heard.length > 0;
            if (!any && !connection.isValid(ALIVE_SECONDS)) {
                // A line that was pulled out says nothing of itself.
                throw new SQLException("the line is down", "08006");
            }
            return any;
        }

        @Override
        public void close() {
            PostgresServer.close(connection);
        }
    }

    @Override
    public void announce(Handle in, String what) {
        in.createQuery("select pg_notify(:channel, :what)").bind("channel", CHANNEL).bind("what", what)
                .mapTo(String.class).list();
    }

    @Override
    public boolean lost(Exception why) {
        if (!isAway(why)) {
            return false;
        }
        close(connection);
        connection = null;
        jdbi = null;
        return !fresh;
    }

    @Override
    public boolean has(String table, Connection in) throws SQLException {
        try (var query = in.prepareStatement("select to_regclass(?) is not null")) {
            query.setString(1, table);
            try (var row = query.executeQuery()) {
                return row.next() && row.getBoolean(1);
            }
        }
    }

    @Override
    public Optional<String> any(Connection in) throws SQLException {
        try (var statement = in.createStatement();
                var row = statement.executeQuery(
                        "select tablename from pg_tables where schemaname = current_schema() limit 1")) {
            return row.next() ? Optional.of(row.getString(1)) : Optional.empty();
        }
    }

    @Override
    public void requireSound() {
        // The server looks after its own disks.
    }

    @Override
    public void count(Handle in) {
        // The server's log is the server's to look after.
    }

    @Override
    public void counted() {
        // Nothing was counted.
    }

    @Override
    public Optional<String> said() {
        return Optional.empty();
    }

    @Override
    public String copies() {
        return say("the server's own backups, or the copies of a bay");
    }

    @Override
    public void copy(LocalDate day) {
        // Each bay has a copy of its own, and copies of that.
    }

    @Override
    public void close() {
        close(connection);
    }

    private static void close(@Nullable Connection connection) {
        // The line may be down already.
        Store.close(connection, Level.FINE);
    }

    private static @Nullable String state(@Nullable Throwable why) {
        for (Throwable t = why; t != null; t = t.getCause()) {
            if (t instanceof SQLException s && s.getSQLState() != null) {
                return s.getSQLState();
            }
        }
        return null;
    }

    private static boolean isAway(Exception why) {
        String state = state(why);
        // 08: the line; 57P: the server goes down or comes up; 53: it has no room for another bay now; 25P03: it has
        // given up an entry that stopped half way.
        return state != null && (state.startsWith("08") || state.startsWith("57P") || state.startsWith("533")
                || state.equals("25P03"));
    }

    @Override
    public BookProblem problem(Exception e) {
        if (e instanceof BookProblem known) {
            return known;
        }
        if (isAway(e)) {
            return new BookUnreachable(name(), e);
        }
        String state = String.valueOf(state(e));
        String why = switch (state) {
            case "28P01", "28000" ->
                say("does not let “%s” in: name or password are not the server's.", address.user());
            case "3D000" -> say("is not there: make the database on the server first (createdb).");
            case "42501" -> say("does not allow “%s” this: the role needs rights on the tables.", address.user());
            case "53100" -> say("cannot grow: the server's disk is full. The entry is kept here until it is saved.");
            case "55P03", "57014", "40P01", "40001" ->
                say("is busy with another bay's entry: nothing was changed. Try again in a moment.");
            case "XX001", "XX002" -> say("is damaged; put back a backup of it.");
            case "42703", "42P01", "42P02" ->
                say("is not as this version made it: a table or column is missing, or was changed by "
                        + "hand. Nothing was changed; put back a backup of it.");
            default -> say("cannot be used (the server says %s); what it said is in the log.", state);
        };
        return new BookProblem(name() + " " + why, e);
    }
}
