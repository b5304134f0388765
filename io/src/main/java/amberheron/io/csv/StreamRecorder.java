package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.controller.Report;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Log of a controller's stream: {@code time} in seconds since it was begun, {@code controller_lambda}, {@code oxygen} (mole
 * fraction), {@code volts}, {@code supply} (V), {@code state} and {@code source}. Each line is handed to the system before
 * the next one is read, so that a killed program loses none but the one it was writing.
 */
public final class StreamRecorder implements AutoCloseable {
    private final Path file;
    private final Instant begun;
    private final BufferedWriter out;
    private long rows;
    private String fault = "";

    /**
     * State of the recording.
     *
     * @param fault why it stopped by itself; empty while it did not
     */
    public record Written(Path file, long rows, String fault) {
    }

    /**
     * Begins a log; its folder is made where there is none, and a log that is there already is never written over.
     *
     * @throws UnusableInput when it cannot be written
     */
    public StreamRecorder(Path file, Instant begun) {
        this.file = file;
        this.begun = begun;
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            out = Files.newBufferedWriter(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            line("time,controller_lambda,oxygen,volts,supply,state,source");
        } catch (IOException e) {
            throw new UnusableInput(TextFiles.name(file), "",
                    say("it cannot be written (%s), expected a name that is free in a folder that can be "
                            + "written to", e.getMessage()));
        }
    }

    /** Writes a line that was heard; once one could not be written, no more are. */
    public synchronized void heard(Report said, String source, Instant at) {
        if (!fault.isEmpty()) {
            return;
        }
        try {
            var state = said.state();
            line(String.join(",", String.valueOf(Duration.between(begun, at).toMillis() / 1000.0), cell(said.lambda()),
                    cell(said.oxygen()), cell(said.volts()), cell(said.supply()), state == null ? "" : state.key(),
                    Cells.safe(source.replaceAll("[,\"\\r\\n]", " "))[0]));
            rows++;
        } catch (IOException e) {
            fault = say("It cannot be written any more: %s", e.getMessage());
        }
    }

    private static String cell(@Nullable Double value) {
        return value == null ? "" : String.valueOf(value);
    }

    private void line(String text) throws IOException {
        out.write(text + "\n");
        out.flush();
    }

    /** Returns the state of the recording. */
    public synchronized Written written() {
        return new Written(file, rows, fault);
    }

    @Override
    public synchronized void close() {
        try {
            out.close();
        } catch (IOException e) {
            fault = say("The end could not be written: %s", e.getMessage());
        }
    }
}
