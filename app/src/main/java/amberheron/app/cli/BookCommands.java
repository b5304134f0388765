package amberheron.app.cli;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.io.UnusableInput;
import amberheron.io.book.BookAddress;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Photos;
import amberheron.io.book.Transfer;
import amberheron.io.catalogue.CatalogueUpdate;
import java.io.Console;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code heron book}: where the shop's jobs are kept, and how they get from one book into another. */
@Command(name = "book", mixinStandardHelpOptions = true, description = "Where the shop's book is, and how many jobs it has.")
final class BookCommands extends OfShop {
    BookCommands(HeronCommand.Environment environment) {
        super(environment);
    }

    /** Takes progress and shows none, since a command is waited for. */
    private static void quiet(double part) {
        // Nothing.
    }

    private static OpenBook open(HeronCommand.Environment environment) {
        return OpenBook.at(environment.address(), environment.home());
    }

    @Override
    public Integer call() {
        try (OpenBook book = open(environment())) {
            book.said().ifPresent(s -> err().println(say("heron: %s", s)));
            int jobs = book.jobs().size();
            out().println(
                    say(book.inReach() ? "%s: %s" : "%s does not answer; the copy on this machine has %s",
                            book.name(), count("1 job", "%d jobs", jobs)));
            out().flush();
            return book.inReach() ? 0 : HeronCommand.OUT;
        }
    }

    /** Options that the commands below share. */
    abstract static class Carrying extends OfShop {
        Carrying(HeronCommand.Environment environment) {
            super(environment);
        }

        abstract Transfer carry(OpenBook book);

        @Override
        public Integer call() {
            try (OpenBook book = open(environment())) {
                Transfer done = carry(book);
                out().println(done.said());
                out().flush();
                return done.whole() ? 0 : HeronCommand.OUT;
            }
        }
    }

    @Command(name = "backup", mixinStandardHelpOptions = true, description = "Every job, note and habit of the book into one new file.")
    static final class Backup extends Carrying {
        @Parameters(index = "0", paramLabel = "FILE", description = "the new file (.db)")
        private Path file = Path.of("");

        Backup(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        Transfer carry(OpenBook book) {
            return Transfer.backup(book, file, (job, photo) -> Photos.beside(home(), job, photo), BookCommands::quiet);
        }
    }

    @Command(name = "restore", mixinStandardHelpOptions = true, description = "What a backup has and the book has not; nothing in the book is lost.")
    static final class Restore extends Carrying {
        @Parameters(index = "0", paramLabel = "FILE", description = "a backup, or any book in a file")
        private Path file = Path.of("");
        @Option(names = "--over", paramLabel = "JOB", arity = "1..*", description = "jobs that are put back as the backup has them, over what the book has")
        private List<String> over = List.of();

        Restore(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        Transfer carry(OpenBook book) {
            return Transfer.restore(file, book, over::contains, BookCommands::quiet);
        }
    }

    @Command(name = "move", mixinStandardHelpOptions = true, description = "Jobs out of the book into another one.")
    static final class Move extends Carrying {
        @Parameters(index = "0", arity = "1..*", paramLabel = "JOB", description = "numbers of jobs")
        private List<String> jobs = List.of();
        @Option(names = "--to", required = true, paramLabel = "BOOK", description = "a file, or postgresql://USER@HOST/DATABASE")
        private String to = "";

        Move(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        Transfer carry(OpenBook book) {
            try (OpenBook other = OpenBook.at(BookAddress.parse(to), home())) {
                return Transfer.move(book, other, jobs, BookCommands::quiet);
            }
        }
    }

    @Command(name = "use", mixinStandardHelpOptions = true, description = "Which book is opened from now on, where HERON_BOOK does not say another.")
    static final class Use extends OfShop {
        @Parameters(index = "0", paramLabel = "BOOK", description = "a file, or postgresql://USER@HOST/DATABASE")
        private String address = "";

        Use(HeronCommand.Environment environment) {
            super(environment);
        }

        @Option(names = "--ask", description = "asks for the password, which is then in no list of what runs")
        private boolean ask;

        @Override
        public Integer call() {
            if (address.matches("postgresql://[^/@:]*:[^/@]+@.*")) {
                err().println(
                        say("heron: that password stood on the command line, where everybody on this machine "
                                + "can read it: change it at the server, then say the address without it and --ask."));
            }
            if (ask) {
                address = withPassword(address);
            }
            out().println(OpenBook.choose(address, environment().password(), home(), Map.of()));
            out().flush();
            return 0;
        }
    }

    @SuppressWarnings("SystemConsoleNull") // told apart from one that is no terminal
    private static String withPassword(String address) {
        Console console = System.console();
        if (console == null || !console.isTerminal()
                || !(BookAddress.parse(address) instanceof BookAddress.OfServer server)) {
            throw new UnusableInput("--ask", "", say("there is nobody to ask here, or “%s” has no password; expected a "
                    + "server's address and a terminal, or the password in %s", address, BookAddress.PASSWORD));
        }
        char[] typed = console.readPassword("%s", say("Password of %s at %s: ", server.user(), server.host()));
        String password = URLEncoder.encode(typed == null ? "" : String.valueOf(typed), StandardCharsets.UTF_8)
                .replace("+", "%20");
        int at = address.indexOf('@');
        return at < 0
                ? address.replaceFirst("://", "://" + Matcher.quoteReplacement(server.user() + ":" + password + "@"))
                : address.substring(0, at) + ":" + password + address.substring(at);
    }

    @Command(name = "catalogue", mixinStandardHelpOptions = true, description = "Takes fuels, laws, readers, wires, controllers and streams from a folder into the shop's own.")
    static final class TakeCatalogue extends OfShop {
        @Parameters(index = "0", paramLabel = "FOLDER", description = "a folder with fuels.json, laws.json or others")
        private Path folder = Path.of("");

        TakeCatalogue(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            out().println(CatalogueUpdate.take(folder, home().resolve("catalogue")).said());
            out().flush();
            return 0;
        }
    }
}
