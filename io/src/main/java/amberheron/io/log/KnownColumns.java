package amberheron.io.log;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;

/** What was said of the columns of a header, remembered for the next log that has it. */
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
     * What was said of the header that a log has; empty where nothing was.
     *
     * @throws UnusableInput when the log, or what is remembered, cannot be read
     */
    public Optional<String> of(Path log) {
        return Optional.ofNullable(all().getProperty(key(log)));
    }

    /**
     * Remembers what was said for the header that a log has.
     *
     * @param said such as {@code controller=AFR,reader=4}
     * @throws UnusableInput when it cannot be kept
     */
    public void remember(Path log, String said) {
        Properties all = all();
        if (said.equals(all.put(key(log), said))) {
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

    private static String key(Path log) {
        return TextFiles.digest(LogFile.of(log).shape().header().getBytes(StandardCharsets.UTF_8));
    }

    private Properties all() {
        Properties all = new Properties();
        if (Files.exists(file)) {
            try {
                all.load(new StringReader(TextFiles.read(file, MOST_BYTES)));
            } catch (IOException | IllegalArgumentException e) {
                throw new UnusableInput(TextFiles.name(file), "", "cannot be read: " + e.getMessage()
                        + "; expected what was said of the columns of logs, mend it or put it aside");
            }
        }
        return all;
    }
}
