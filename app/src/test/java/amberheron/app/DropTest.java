package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.session.LeafId;
import amberheron.core.job.Station;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A file is pasted, as it would be dropped, anywhere: what it is, is told by its content, and it is put where it belongs. */
class DropTest extends WindowTest {
    private static final String DOT = "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";

    private void drop(Path file) {
        hands.interact(() -> Clipboard.getSystemClipboard()
                .setContent(Map.of(DataFormat.FILES, List.of(file.toFile()))));
        hands.push(KeyCode.CONTROL, KeyCode.V);
        hands.settle();
    }

    private Path file(String name, String text) throws IOException {
        return Files.writeString(home.resolve(name), text);
    }

    @Test
    void eachGoesWhereItBelongs() throws IOException {
        find("job SB-014");
        drop(file("a.txt", "volts,shown\n1.00,0.75\n"));
        assertThat(session.at().station()).isEqualTo(Station.SCALE);
        assertThat(session.job().points().getLast().shown()).isEqualTo(0.75);
        drop(file("b.txt", "volts,lambda\n0.5,0.6\n4.5,1.4\n"));
        assertThat(session.at().leaf()).contains(LeafId.SCALE_LAW);
        assertThat(session.job().law().points()).hasSize(2);
        assertThat(session.job().law().lambdaAt(4.5)).isEqualTo(1.4);
        drop(file("c.txt", "tag,work,colour\n1,power,red\n"));
        assertThat(session.at().station()).isEqualTo(Station.WIRE);
        assertThat(session.job().wiring().harness().chart().wires()).hasSize(1);
        drop(Files.write(home.resolve("d.txt"), Base64.getDecoder().decode(DOT)));
        assertThat(session.job().wiring().harness().asWired().photos()).isNotEmpty();
        Path log = home.resolve("logs/SB-014-drive.csv");
        drop(log);
        assertThat(session.at().station()).isEqualTo(Station.PROVE);
        assertThat(session.job().proving().file()).isEqualTo("SB-014-drive.csv");
    }

    @Test
    void whatCannotBeUsedSaysWhyAndWhatWasExpected() throws IOException {
        hands.push(KeyCode.CONTROL, KeyCode.J);
        drop(file("points.csv", "volts,shown\n1.00,0.75\n"));
        assertThat(session.notice()).contains("check points", "open the job");
        find("job SB-014");
        var before = session.job();
        drop(file("letter.csv", "Dear shop,\nplease call.\n"));
        assertThat(session.job()).isEqualTo(before);
        assertThat(session.notice()).contains("letter.csv", "expected");
    }
}
