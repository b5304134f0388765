package amberheron.app;

import amberheron.app.demo.DemoBook;
import amberheron.app.session.Session;
import amberheron.app.session.Threads;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.stream.Stream;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;

/** Sessions for tests. */
public final class Demo {
    /** The day the demo of the tests is of: a check that is older than half a year would be stale. */
    @SuppressWarnings("TimeInStaticInitializer") // a run of the tests is short
    public static final LocalDate DAY = LocalDate.now(ZoneId.systemDefault());
    private static @Nullable Path original;

    private Demo() {
    }

    /** A session on a fresh demo book; what must happen on the screen's thread happens at once. */
    public static Session session(Path home) {
        copy(home);
        return empty(home);
    }

    /** A session on an empty book, or on the one that is there. */
    public static Session empty(Path home) {
        return Session.direct(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home);
    }

    /** A session as the window has it, on the book that is there; what is slow is worked out beside the screen. */
    public static Session beside(Path home) {
        return Session.on(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home,
                Threads.beside(Platform::runLater));
    }

    /** Puts a fresh demo book into a folder; it is made once and copied. */
    public static void copy(Path home) {
        Path from = original();
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.toList()) {
                Path to = home.resolve(from.relativize(file).toString());
                if (Files.isDirectory(file)) {
                    Files.createDirectories(to);
                } else {
                    Files.copy(file, to);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static synchronized Path original() {
        if (original == null) {
            try {
                original = Files.createTempDirectory("heron-demo");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            try (JobBook book = JobBook.open(original.resolve("book.db"))) {
                DemoBook.fill(book, Catalogue.shipped(), original, DAY);
            }
            // Its jobs are judged once here, and not in every copy.
            empty(original).close();
        }
        return original;
    }
}
