package amberheron.io.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.drivelog.LoadAxis;
import amberheron.core.finding.Origin;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import amberheron.core.trim.TrimSheet;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CsvTest {
    @Test
    void checkPointsByVoltsOrByTheGauge() {
        assertThat(CheckPointCsv.parse("p", "volts,shown,note\n0.5,8.65,\"bench, cold\"\n4.5,18.15\n")).containsExactly(
                new CheckPoint(0.5, null, 8.65, "bench, cold"), new CheckPoint(4.5, null, 18.15, ""));
        assertThat(CheckPointCsv.parse("p", "\uFEFFShown;TRUE\r\n14.8;14.7\r\n".replace("\uFEFF", "")))
                .containsExactly(new CheckPoint(null, 14.7, 14.8, ""));
    }

    /** Simulated ones stay simulated, and a spreadsheet runs nothing of a note. */
    @Test
    void checkPointsAreWrittenAndReadBack() {
        List<CheckPoint> points = List.of(
                new CheckPoint(0.5, null, 8.65, "=cold", new Origin(Origin.Kind.SIMULATED, "simulated bench",
                        Instant.parse("2026-03-02T00:00:00Z"), ""), CheckPoint.Engine.OFF),
                new CheckPoint(null, 14.7, 14.71, "", Origin.UNRECORDED, null));
        assertThat(CheckPointCsv.write(points)).contains("'=cold");
        assertThat(CheckPointCsv.parse("p", CheckPointCsv.write(points))).isEqualTo(points);
    }

    @Test
    void checkPointsSayWhenByWhatAndWithTheEngineRunning() {
        assertThat(CheckPointCsv.parse("p", """
                volts,shown,engine,date,instrument
                0.5,8.65,off,2026-03-02,meter 4
                4.5,18.15,Running,,
                """)).containsExactly(
                new CheckPoint(0.5, null, 8.65, "", new Origin(Origin.Kind.INSTRUMENT, "meter 4",
                        Instant.parse("2026-03-02T00:00:00Z"), ""), CheckPoint.Engine.OFF),
                new CheckPoint(4.5, null, 18.15, "", Origin.UNRECORDED, CheckPoint.Engine.RUNNING));
    }

    /** What was given comes back, what was not driven gives nothing, and a gap is not a nought. */
    @Test
    void trimsAreWrittenAndReadBack() {
        TrimPlan plan = new TrimPlan(LoadAxis.PRESSURE, List.of(1000.0, 2500.0), List.of(33_333.0, 60_000.0), List.of(
                new Cell(1000, 33_333, 12, 3, 1.04, 1.0, 0.04, 0.004, 0.97, 0.038, State.ADVISED),
                new Cell(2500, 33_333, 0, 0, null, 1.0, null, null, 0, null, State.NOT_DRIVEN),
                new Cell(1000, 60_000, 1, 1, 1.2, 1.0, 0.2, 0.02, 0.5, null, State.TOO_LITTLE),
                new Cell(2500, 60_000, 9, 2, 0.7, 1.0, -0.3, 0.01, 0.9, -0.2, State.LIMIT)), List.of());
        String text = TrimCsv.write(plan);
        assertThat(text).contains("2500,33.333,kPa,0.0,0,,1.0000,,,,not driven");
        TrimSheet sheet = TrimCsv.parse("t", text);
        assertThat(sheet.speeds()).isEqualTo(plan.speeds());
        assertThat(sheet.loads()).isEqualTo(plan.loads());
        assertThat(sheet.targets()).extracting(TrimSheet.BinTarget::given).containsExactly(0.038, null, null, -0.2);
        assertThatThrownBy(() -> TrimCsv.parse("t", "speed,load,unit,advice\n800,30,kPa,25\n900,30,kPa,1\n"))
                .hasMessageContaining("line 2").hasMessageContaining("±20");
        assertThatThrownBy(() -> TrimCsv.parse("t", "speed,load,unit\n800,30,psi\n"))
                .hasMessageContaining("expected kPa");
        assertThatThrownBy(() -> TrimCsv.parse("t", "speed,load\n800,30\n")).hasMessageContaining("unit");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"volts,seen\\n1,2|line 1|expected shown",
            "volts,shown\\n1,|line 2|column shown: found nothing",
            "volts,shown\\n1,2\\n,3|line 3|neither volts nor true",
            "volts,shown,engine\\n1,2,idle|line 2|expected off or running",
            "volts,shown,date\\n1,2,monday|line 2|a day such as", "volts,shown\\n1,lots|line 2|“lots”",
            "volts,shown\\n1,NaN|line 2|NaN",
            "volts,shown\\n0x1p3,2|line 2|0x1p3",
            "volts,shown\\n|p|no row", "volts,shown\\n\"1,2|after line|open quote",
            "volts,volts,shown\\n1,2,3|line 1|twice"})
    void aPointThatCannotBeUsedIsNamedByLineAndColumn(String text, String place, String says) {
        assertThatThrownBy(() -> CheckPointCsv.parse("p", text.replace("\\n", "\n"))).hasMessageContainingAll(place,
                says);
    }

    @Test
    void aChartIsWrittenAndReadAgainWhole() {
        Wire wire = Wire.of("7", Work.ANALOG, Device.CONTROLLER, Device.LOGGER)
                .withColour(WireColour.parse("white/blue").orElseThrow())
                .withExtension(WireColour.parse("white").orElseThrow()).withToPin("A, 1").withToldApart(true)
                .withOhms(0.4);
        Chart chart = new Chart(
                List.of(wire, Wire.tagged("x").withWork(Work.DIMMER).withLeft(Wire.Left.GROUNDED)));
        same(ChartCsv.parse("c", ChartCsv.write(chart)), chart);
    }

    /** The wires of a file are new wires, whatever they are tagged with. */
    private static void same(Chart read, Chart written) {
        assertThat(read.wires()).usingRecursiveFieldByFieldElementComparatorIgnoringFields("id")
                .isEqualTo(written.wires());
    }

    @Test
    void aChartDrawnUpByHandIsUnderstood() {
        Chart chart = ChartCsv.parse("c", "Work;Colour;To;To pin\nanalog +;WH with black stripe;logger;3\n;purple;;\n");
        assertThat(chart.wires()).hasSize(2).first().satisfies(w -> {
            assertThat(w.tag()).isEqualTo("1");
            assertThat(w.from()).isEqualTo(Device.CONTROLLER);
            assertThat(w.work()).isEqualTo(Work.ANALOG);
            assertThat(w.to()).isEqualTo(Device.LOGGER);
        });
        assertThat(chart.wires().getLast().used()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"from,to\\ncontroller,logger|line 1|expected work or colour",
            "work,colour\\nanalog +,beige|line 2|“beige”, expected a colour",
            "work,to\\nanalog +,moon|line 2|column to: found “moon”, expected one of: sensor; controller",
            "work,ohms\\nanalog +,-1|line 2|expected 0 or more",
            "work,ohms\\nanalog +,1e308|line 2|ohms: found 1.0E308",
            "work,told apart\\nanalog +,maybe|line 2|expected yes or no",
            "tag,work\\n1,dimmer\\n1,dimmer|line 3|“1” twice", "work\\n|c|no row"})
    void aChartThatCannotBeUsedIsNamedByLineAndColumn(String text, String place, String says) {
        assertThatThrownBy(() -> ChartCsv.parse("c", text.replace("\\n", "\n"))).hasMessageContainingAll(place, says);
    }

    /** A spreadsheet must not run what an installer typed; what is exported reads back as it was. */
    @Test
    void aCellThatASpreadsheetWouldRunIsNotRun() {
        Chart chart = new Chart(List.of(Wire.of("=1+1", Work.ANALOG, Device.CONTROLLER, Device.LOGGER).withFromPin("+5")
                .withToPin("-A2")));
        String text = ChartCsv.write(chart);
        assertThat(text).contains("'=1+1").contains("'+5").contains("'-A2").doesNotContain(",=");
        same(ChartCsv.parse("chart.csv", text), chart);
        assertThat(Cells.safe("-0.5", "-12", "12.4", "a=b")).containsExactly("-0.5", "-12", "12.4", "a=b");
    }
}
