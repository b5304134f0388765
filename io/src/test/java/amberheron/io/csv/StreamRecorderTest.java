package amberheron.io.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a controller sends, written down line by line. */
class StreamRecorderTest {
    private static final Instant BEGUN = Instant.parse("2026-03-02T10:00:00Z");

    @TempDir
    private Path folder = Path.of("");

    @Test
    void eachLineIsInTheFileBeforeTheNextIsHeard() throws IOException {
        Path file = folder.resolve("new").resolve("drive.csv");
        try (StreamRecorder recorder = new StreamRecorder(file, BEGUN)) {
            recorder.heard(new Report(1.0, State.READY, 0.987, null, 2.5, 13.8), "bay 2, \"bench\"",
                    BEGUN.plusMillis(1250));
            assertThat(Files.readAllLines(file)).containsExactly(
                    "time,controller_lambda,oxygen,volts,supply,state,source",
                    "1.25,0.987,,2.5,13.8,ready,bay 2  \"bench\"".replace('"', ' '));
            recorder.heard(new Report(null, null, null, 0.207, null, null), "=run", BEGUN.plusMillis(1350));
            assertThat(Files.readAllLines(file)).last().isEqualTo("1.35,,0.207,,,,'=run");
            assertThat(recorder.written()).isEqualTo(new StreamRecorder.Written(file, 2, ""));
        }
        assertThatThrownBy(() -> new StreamRecorder(file, BEGUN)).isInstanceOf(UnusableInput.class)
                .hasMessageContaining("a name that is free");
        assertThat(Files.readAllLines(file)).hasSize(3);
    }

    /** Once a line could not be written none is counted any more, and it is said. */
    @Test
    void whatCannotBeWrittenIsSaid() {
        Path file = folder.resolve("drive.csv");
        StreamRecorder recorder = new StreamRecorder(file, BEGUN);
        recorder.close();
        recorder.heard(new Report(1.0, State.READY, 1.0, null, null, null), "bay", BEGUN);
        recorder.heard(new Report(2.0, State.READY, 1.0, null, null, null), "bay", BEGUN);
        assertThat(recorder.written().rows()).isZero();
        assertThat(recorder.written().fault()).startsWith("It cannot be written any more: ");
    }
}
