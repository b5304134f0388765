package amberheron.io.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.job.Pair;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.LawText;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SettingText;
import amberheron.io.UnusableInput;
import amberheron.io.csv.LawCsv;
import amberheron.io.json.ScaleFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laws, readers and pairs go to files and come back as they were. */
class PairsTest {
    private static final Catalogue SHIPPED = Catalogue.shipped();
    private static final Pair PAIR = new Pair(SHIPPED.law("straight-afr"), MixtureScale.afr(9.8),
            SHIPPED.reader("ecu-counts-6"), new Pair.Proof("SB-1", LocalDate.of(2026, 3, 2), 5, -0.001));

    @TempDir
    private Path folder = Path.of("");

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    @Test
    void aPairIsKeptOnceAndAFileThatCannotBeReadIsNeverWrittenOver() throws IOException {
        Path first = Pairs.keep(folder, PAIR);
        assertThat(Pairs.keep(folder, PAIR)).as("the newer proof in its place").isEqualTo(first);
        assertThat(Pairs.in(folder).pairs()).containsExactly(PAIR);
        Files.writeString(first, "{half");
        Path second = Pairs.keep(folder, PAIR);
        assertThat(second).isNotEqualTo(first);
        assertThat(first).hasContent("{half");
        assertThat(Pairs.in(folder).pairs()).containsExactly(PAIR);
        assertThat(Pairs.in(folder).faults()).singleElement().asString().contains(first.getFileName().toString());
        assertThat(Pairs.in(folder.resolve("none")).pairs()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"gauge", "logger-slope-offset-12", "software-expression", "ecu-table-8", "ecu-counts-6"})
    void whatIsTypedComesBackFromItsFile(String id) throws IOException {
        Reader reader = SHIPPED.reader(id);
        ReaderSetting setting = SettingFinder.find(PAIR.law(), reader).orElseThrow();
        ScaleFile boxes = ScaleFile.read(file("s.csv", LawCsv.write(setting, reader)));
        assertThat(SettingText.parse(((ScaleFile.OfBoxes) boxes).typed(), reader)).isEqualTo(setting);
        Reader told = reader.withSetting(setting);
        assertThat(ScaleFile.read(file("r.json", ScaleFile.text(told)))).isEqualTo(new ScaleFile.OfReader(told));
    }

    @Test
    void aLawComesBackFromBothItsFiles() throws IOException {
        OutputLaw law = LawText.parse("0.4 V = 0.62; 4.6 V = 1.38; below 0.2 V not ready", 0, 5, Optional.empty());
        assertThat(ScaleFile.read(file("l.json", ScaleFile.text(law)))).isEqualTo(new ScaleFile.OfLaw(law));
        OutputLaw bent = ((ScaleFile.OfLaw) ScaleFile.read(file("l.csv", LawCsv.write(law)))).law();
        for (double v = 0.2; v <= 5; v += 0.3) {
            assertThat(bent.lambdaAt(v)).isCloseTo(law.lambdaAt(v), within(1e-9));
        }
        OutputLaw afr = ((ScaleFile.OfLaw) ScaleFile.read(file("a.csv", LawCsv.write(PAIR.law())))).law();
        assertThat(afr.scale()).isEqualTo(PAIR.law().scale());
    }

    @Test
    void whatIsNoneOfThemIsRefusedWithWhatWasExpected() throws IOException {
        Path other = file("x.json", "{\"a\": 1}");
        assertThatThrownBy(() -> ScaleFile.read(other)).isInstanceOf(UnusableInput.class)
                .hasMessageContaining("neither kind (a law) nor form (a reader)");
        Path mixed = file("m.csv", "volts,afr,stoich\n0,9,14.7\n5,20,9.8\n");
        assertThatThrownBy(() -> ScaleFile.read(mixed)).hasMessageContaining("line 3")
                .hasMessageContaining("expected the same in all");
        Path one = file("o.csv", "volts,lambda\n0,0.7\n");
        assertThatThrownBy(() -> ScaleFile.read(one)).hasMessageContaining("found 1 row, expected two or more");
    }
}
