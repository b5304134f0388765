package amberheron.io.log;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.LogChannel;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Collectors;

/** Columns as a person named them, remembered by the log's header for the next log that has it. */
public final class KnownColumns {
    private static final long MOST_BYTES = 4L << 20;

    private final Path file;

    private KnownColumns(Path file) {
        this.file = file;
    }

    /** Those of a shop, beside its book. */
    public static KnownColumns in(Path home) {
        return new KnownColumns(home.resolve("log-columns.properties"));
    }

    /**
     * Names of the columns of a log, or of two that are read together: those that a person gives now, else those given to its header before, else none.
     *
     * @param typed such as {@code controller=AFR,reader=4}; may be blank
     * @throws UnusableInput when it is neither that nor blank, or what is remembered cannot be read
     */
    public Map<LogChannel, String> said(List<LogFile> logs, String typed) {
        String said = typed.isBlank() ? all().getProperty(key(logs), "") : typed;
        return said.isBlank() ? Map.of() : DriveLog.map(said);
    }

    /**
     * Remembers what a person says of a log's columns for its header; nothing where nothing is said.
     *
     * @throws UnusableInput when it cannot be kept
     */
    public void remember(List<LogFile> logs, String typed) {
        if (typed.isBlank()) {
            return;
        }
        Properties all = all();
        if (typed.equals(all.put(key(logs), typed))) {
            return;
        }
        StringWriter text = new StringWriter();
        try {
            all.store(text, null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        TextFiles.write(file, text.toString());
    }

    private static String key(List<LogFile> logs) {
        return TextFiles.digest(logs.stream().map(l -> l.shape().header()).collect(Collectors.joining("\n"))
                .getBytes(StandardCharsets.UTF_8));
    }

    private Properties all() {
        Properties all = new Properties();
        if (Files.exists(file)) {
            try {
                all.load(new StringReader(TextFiles.read(file, MOST_BYTES)));
            } catch (IOException | IllegalArgumentException e) {
                throw new UnusableInput(TextFiles.name(file), "",
                        say("cannot be read: %s; expected what was said of the columns of logs, mend it or "
                                + "put it aside", e.getMessage()));
            }
        }
        return all;
    }
}
