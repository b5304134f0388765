package amberheron.app.home;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import org.jspecify.annotations.Nullable;

/** The log in the home folder: what went wrong, for whoever mends it. Five files of a megabyte, the oldest goes. */
public final class HomeLog {
    private static final int BYTES = 1 << 20;
    private static final int FILES = 5;
    private static final Logger ROOT = Logger.getLogger("");
    /** Held, since a logger that nobody holds forgets its level. */
    private static final List<Logger> LOUD = List.of(Logger.getLogger("com.openhtmltopdf"),
            Logger.getLogger("com.networknt"));

    /** Where the log is written now; null before the first thing is. */
    private static @Nullable Begun begun;

    private record Begun(Path home, Handler handler) {
    }

    private HomeLog() {
    }

    /** The file written now. */
    public static Path file(Path home) {
        return home.resolve("logs").resolve("heron-0.log");
    }

    /** Begins the log; where none can be written, what is logged goes nowhere and the program works all the same. */
    public static synchronized Optional<Handler> start(Path home) {
        if (begun != null && begun.home().equals(home)) {
            // A second handler would find the file taken and write beside it.
            return Optional.of(begun.handler());
        }
        clear();
        ROOT.setLevel(Level.INFO);
        try {
            PrivateFile.folder(home.resolve("logs"));
            PrivateFile.create(file(home));
            FileHandler handler = new FileHandler(
                    home.resolve("logs").resolve("heron-%g.log").toString().replace("%", "%%")
                            .replace("heron-%%g", "heron-%g"),
                    BYTES, FILES, true);
            handler.setFormatter(new SimpleFormatter());
            ROOT.addHandler(handler);
            begun = new Begun(home, handler);
            return Optional.of(handler);
        } catch (IOException e) {
            System.err
                    .println(say("heron: no log can be written in %s: %s", home.resolve("logs"), TextFiles.reason(e)));
            return Optional.empty();
        }
    }

    /** Ends the log: nothing is written into its folder from here on. */
    public static synchronized void end() {
        clear();
    }

    private static void clear() {
        for (Handler handler : ROOT.getHandlers()) {
            ROOT.removeHandler(handler);
            handler.close();
        }
        begun = null;
        // Their notes on every start say nothing.
        LOUD.forEach(logger -> logger.setLevel(Level.WARNING));
    }

    /** Begins the log with the first thing that has to be written into it: a command that goes well leaves none. */
    public static synchronized void startWhenNeeded(Path home) {
        clear();
        ROOT.addHandler(new Handler() {
            @Override
            public void publish(LogRecord record) {
                if (record.getLevel().intValue() >= Level.WARNING.intValue()) {
                    // Whoever wrote it, not this handler, is its source.
                    record.setSourceMethodName(record.getSourceMethodName());
                    write(home, record);
                }
            }

            @Override
            public void flush() {
                // Nothing waits here.
            }

            @Override
            public void close() {
                // Nothing is open here.
            }
        });
    }

    /** Writes down an error of our own. */
    public static void error(Path home, String what, Throwable e) {
        LogRecord record = new LogRecord(Level.SEVERE, what);
        record.setThrown(e);
        write(home, record);
    }

    private static synchronized void write(Path home, LogRecord record) {
        start(home).ifPresent(file -> file.publish(record));
    }
}
