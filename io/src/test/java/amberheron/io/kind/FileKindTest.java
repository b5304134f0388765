package amberheron.io.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.harness.Chart;
import amberheron.core.scaling.CheckPoint;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.csv.ChartCsv;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.csv.LawCsv;
import amberheron.io.json.ScaleFile;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever its name, a file is what stands in it. */
class FileKindTest {
    private static FileKind kind(String text) {
        return FileKind.of("thing.txt", text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void whatIsWrittenHereIsKnownAgain() {
        Catalogue catalogue = Catalogue.shipped();
        catalogue.laws().forEach(law -> {
            assertThat(kind(ScaleFile.text(law))).isEqualTo(FileKind.SCALE);
            assertThat(kind(LawCsv.write(law))).as(law.name()).isEqualTo(FileKind.SCALE);
        });
        catalogue.readers().forEach(r -> assertThat(kind(ScaleFile.text(r))).isEqualTo(FileKind.SCALE));
        assertThat(kind(CheckPointCsv.write(List.of(new CheckPoint(1.0, null, 12.1, ""))))).isEqualTo(FileKind.POINTS);
        assertThat(kind(ChartCsv.write(new Chart(List.of())))).isEqualTo(FileKind.CHART);
        assertThat(kind("\uFEFFtag\twork\tcolour\n1\tpower\tred\n")).isEqualTo(FileKind.CHART);
        assertThat(kind("speed,load,unit,advice\n800,40,kPa,\n")).isEqualTo(FileKind.TRIMS);
        assertThat(kind("sensor,date,kind,value\nA,2026-01-01,hours,3\n")).isEqualTo(FileKind.SENSORS);
    }

    /** A log of somebody else's may have columns with our names in them. */
    @ParameterizedTest
    @ValueSource(strings = {"Time;AFR;RPM\n0,1;14,7;900\n0,2;14,6;910\n0,3;14,6;915\n",
            "time,volts,rpm\n0.1,2.1,900\n0.2,2.2,910\n0.3,2.2,915\n",
            "Time (s),volts,lambda\n0.1,2.1,0.9\n0.2,2.2,0.91\n0.3,2.2,0.92\n",
            "# written on a bay's laptop\ntime\tspeed\tload\n0.1\t900\t40\n0.2\t910\t41\n0.3\t915\t41\n"})
    void tablesOfNumbersAreLogs(String text) {
        assertThat(kind(text)).isEqualTo(FileKind.LOG);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "PK\u0003\u0004xl", "%PDF-1.7", "{\"a\": 1}", "Dear shop, please call back.",
            "SQLite format 3\u0000"})
    void whatIsNothingOfThisSaysWhatItIsAndWhatWasExpected(String text) {
        assertThatThrownBy(() -> kind(text)).isInstanceOf(UnusableInput.class).hasMessageContaining("expected");
    }
}
