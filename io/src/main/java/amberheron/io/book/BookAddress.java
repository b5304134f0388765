package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Where the shop's book is. */
public sealed interface BookAddress {
    /** Environment variable that says where the book is. */
    String VARIABLE = "HERON_BOOK";
    /** Environment variable that says its password, where the address does not. */
    String PASSWORD = "HERON_BOOK_PASSWORD";
    /** File of the home folder that says where the book is, unless the environment does. */
    String FILE = "book-at";

    /** The address as it is shown; never with a password. */
    String shown();

    /** A file on this machine. */
    record OfFile(Path file) implements BookAddress {
        @Override
        public String shown() {
            return file.toString();
        }
    }

    /**
     * A database on a server that several bays share.
     *
     * @param password null where the driver is to find it
     * @param tls settings of the driver for the line, such as {@code sslmode}
     */
    record OfServer(String host, int port, String database, String user, @Nullable String password,
            Map<String, String> tls) implements BookAddress {
        private static final int USUAL_PORT = 5432;
        private static final int MOST_PORT = 65535;
        private static final Set<String> TLS = Set.of("sslmode", "sslrootcert", "sslcert", "sslkey");

        public OfServer {
            tls = Map.copyOf(tls);
        }

        @Override
        public String shown() {
            return "postgresql://" + user + "@" + (host.contains(":") ? "[" + host + "]" : host)
                    + (port == USUAL_PORT ? "" : ":" + port) + "/" + database;
        }

        /** The driver's address. */
        String url() {
            return "jdbc:postgresql://" + (host.contains(":") ? "[" + host + "]" : host) + ":" + port + "/"
                    + URLEncoder.encode(database, StandardCharsets.UTF_8);
        }

        /** The driver's settings; beyond this machine the line is encrypted unless the address says otherwise. */
        Properties properties() {
            Properties all = new Properties();
            all.setProperty("user", user);
            if (password != null) {
                all.setProperty("password", password);
            }
            if (!local()) {
                all.setProperty("sslmode", "require");
            }
            all.putAll(tls);
            return all;
        }

        private boolean local() {
            return "localhost".equals(host) || host.startsWith("127.") || "::1".equals(host);
        }

        private static OfServer parse(String text) {
            URI uri;
            try {
                uri = new URI(text);
            } catch (URISyntaxException e) {
                throw unusable(text, e.getReason());
            }
            String host = uri.getHost();
            String path = uri.getRawPath();
            if (host == null || path == null || path.length() < 2 || path.indexOf('/', 1) > 0) {
                throw unusable(text, say("has no host or no database"));
            }
            if (uri.getPort() == 0 || uri.getPort() > MOST_PORT) {
                throw unusable(text, say("says port %d, which is none", uri.getPort()));
            }
            String[] who = uri.getRawUserInfo() == null ? new String[0] : uri.getRawUserInfo().split(":", 2);
            Map<String, String> tls = new TreeMap<>();
            if (uri.getRawQuery() != null) {
                for (String each : uri.getRawQuery().split("&", -1)) {
                    String[] pair = each.split("=", 2);
                    if (pair.length < 2 || !TLS.contains(pair[0])) {
                        throw unusable(text, say("says “%s”, which is none of %s", pair[0],
                                String.join(", ", TLS.stream().sorted().toList())));
                    }
                    tls.put(pair[0], decoded(pair[1]));
                }
            }
            return new OfServer(host.startsWith("[") ? host.substring(1, host.length() - 1) : host,
                    uri.getPort() < 0 ? USUAL_PORT : uri.getPort(), decoded(path.substring(1)),
                    who.length == 0 ? System.getProperty("user.name", "") : decoded(who[0]),
                    who.length < 2 ? null : decoded(who[1]), tls);
        }

        private static String decoded(String text) {
            return URLDecoder.decode(text.replace("+", "%2B"), StandardCharsets.UTF_8);
        }

        private static UnusableInput unusable(String text, String why) {
            // What is wrong may hold the password: it is not said again.
            return new UnusableInput(say("the book's address %s", text.replaceAll("://.*@", "://…@")), "",
                    say("%s, expected postgresql://USER@HOST:PORT/DATABASE, with %%-signs for what is "
                            + "special in it", why));
        }
    }

    /**
     * Reads an address.
     *
     * @throws UnusableInput when it is neither a file nor a server's database
     */
    static BookAddress parse(String text) {
        if (text.startsWith("postgresql:")) {
            return OfServer.parse(text);
        }
        if (text.isBlank() || text.contains("://") || text.indexOf('\0') >= 0) {
            throw new UnusableInput(say("the book's address"), "",
                    say("“%s” is not understood, expected a file or postgresql://USER@HOST/DATABASE",
                            text.replaceAll("://.*@", "://…@").replace("\0", "␀")));
        }
        return new OfFile(TextFiles.path(text));
    }

    /**
     * Returns the address of a home folder's book: as the environment says, as was chosen in the window, else a file in the
     * folder.
     *
     * @param said the surroundings' own; empty for none
     * @throws UnusableInput when that is not an address, or others can read a password in it
     */
    static BookAddress of(Path home, Optional<String> said) {
        if (said.filter(s -> !s.isBlank()).isPresent()) {
            return present(parse(said.get().strip()));
        }
        Path file = home.resolve(FILE);
        if (!Files.exists(file)) {
            return new OfFile(home.resolve("book.db"));
        }
        BookAddress read = parse(TextFiles.read(file, 1 << 12).strip());
        if (read instanceof OfServer server && server.password() != null) {
            PrivateFile.require(file, say("a password"));
        }
        return read;
    }

    /**
     * Returns the address with a password that was asked for or stands in the environment; one that it has already stays.
     */
    default BookAddress with(Optional<String> password) {
        return this instanceof OfServer s && s.password() == null && password.filter(p -> !p.isEmpty()).isPresent()
                ? new OfServer(s.host(), s.port(), s.database(), s.user(), password.get(), s.tls())
                : this;
    }

    /** Returns the address if its book exists or a new one is meant, so that a mistyped address makes no empty book. */
    private static BookAddress present(BookAddress address) {
        if (address instanceof OfFile file && !Files.exists(file.file())) {
            Path folder = file.file().toAbsolutePath().getParent();
            if (!TextFiles.name(file.file()).endsWith(".db") || folder == null || !Files.isDirectory(folder)) {
                throw new UnusableInput(VARIABLE, "", say("found “%s”, which is no file that is there and no address; "
                        + "expected a book, postgresql://USER@HOST/DATABASE, or for a new book a name that ends in .db "
                        + "in a folder that is there", file.file()));
            }
        }
        return address;
    }

    /**
     * Keeps the chosen address for the next start, in a file that nobody else can read.
     *
     * @throws UnusableInput when it is not an address, or cannot be kept
     */
    static void choose(Path home, String address) {
        parse(address);
        Path half = home.resolve(FILE + ".part");
        try {
            Files.createDirectories(home);
            Files.deleteIfExists(half);
            PrivateFile.create(half);
            Files.writeString(half, address + "\n");
            Files.move(half, home.resolve(FILE), StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new UnusableInput(home.resolve(FILE).toString(), "",
                    say("cannot be written: %s, expected a folder that can be written to", TextFiles.reason(e)));
        }
    }
}
