package amberheron.app;

import static amberheron.core.units.Phrase.say;

import amberheron.app.cli.HeronCommand;
import amberheron.app.demo.DemoBook;
import amberheron.app.desktop.Desktop;
import amberheron.app.desktop.Display;
import amberheron.app.home.Home;
import amberheron.app.home.HomeLog;
import amberheron.app.session.Session;
import amberheron.app.session.Threads;
import amberheron.core.units.Phrase;
import amberheron.io.UnusableInput;
import amberheron.io.book.BookAddress;
import amberheron.io.book.BookProblem;
import amberheron.io.book.OpenBook;
import amberheron.io.catalogue.Catalogue;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.DecimalFormatSymbols;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;
import javafx.application.Platform;

/** Starts the desktop, or runs a command. Not itself an application of the toolkit, so that it can look before it starts one. */
public final class Heron {
    /** Held because a logger that nobody references forgets its level. */
    private static final Logger TOOLKIT = Logger.getLogger("javafx");

    private Heron() {
    }

    /** The command line. */
    public static void main(String[] args) {
        // Starting from the class path is meant; the toolkit's note about it would stand in every script's output.
        TOOLKIT.setLevel(Level.SEVERE);
        if (args.length == 0) {
            exit(desktop(Home.folder(), false, false));
        } else if (args[0].equals("--first-frame")) {
            // With "demo" a job is open in it: what a start-up cache is to know.
            exit(desktop(Home.folder(), args.length > 1 && args[1].equals("demo"), true));
        } else {
            exit(HeronCommand.run(args, new HeronCommand.Environment(Home.folder(), said(), password(), Heron::demo)));
        }
    }

    private static void exit(int code) {
        System.out.flush();
        System.exit(code);
    }

    /** The desktop on the demo book; empty-handed where there is no display, with the reason. */
    private static HeronCommand.DesktopOutcome demo() {
        Display display = Display.probe();
        return display == Display.READY
                ? new HeronCommand.DesktopOutcome(true, "", desktop(Home.folder().resolve("demo"), true, false))
                : new HeronCommand.DesktopOutcome(false, display.words(), 2);
    }

    private static int desktop(Path home, boolean demo, boolean closeAtOnce) {
        Phrase.decimalComma(DecimalFormatSymbols.getInstance(Locale.getDefault(Locale.Category.FORMAT))
                .getDecimalSeparator() == ',');
        CompletableFuture<Session> session = CompletableFuture.supplyAsync(() -> {
            HomeLog.start(home);
            return open(home, demo);
        });
        Desktop.prepare(session, () -> open(home, demo), () -> open(home.resolve("demo"), true), closeAtOnce);
        try {
            Application.launch(Desktop.class);
        } catch (UnsupportedOperationException e) {
            // The toolkit asks for a display first of all; asking before it would keep every window waiting.
            System.err.println(say("heron: %s. The commands work without one (heron --help); so does heron demo.",
                    Display.without(e).words()));
            return 2;
        }
        return session.isCompletedExceptionally() ? 2 : 0;
    }

    /** Returns where the environment says that the book is. */
    private static Optional<String> said() {
        return Optional.ofNullable(System.getenv(BookAddress.VARIABLE));
    }

    private static Optional<String> password() {
        return Optional.ofNullable(System.getenv(BookAddress.PASSWORD));
    }

    /** The demo has a book of its own, wherever the shop's is. */
    private static Session open(Path home, boolean demo) {
        Path own = home.resolve("book.db");
        boolean fresh = !Files.exists(own);
        // Side by side, on a thread of its own, since two cores have but one in the common pool.
        CompletableFuture<Catalogue> loading = CompletableFuture.supplyAsync(
                () -> Catalogue.withShop(home.resolve("catalogue")), Thread.ofPlatform().daemon()::start);
        OpenBook book = OpenBook.at(demo ? new BookAddress.OfFile(own) : BookAddress.of(home, said()).with(password()),
                home);
        try {
            Catalogue catalogue = loading.join();
            LocalDate today = LocalDate.now(ZoneId.systemDefault());
            if (demo && fresh) {
                DemoBook.fill(book, catalogue, home, today);
            } else if (demo) {
                DemoBook.shift(book, today);
            }
            return Session.on(book, catalogue, home, Threads.beside(Platform::runLater));
        } catch (BookProblem | UnusableInput e) {
            book.close();
            throw e;
        }
    }
}
