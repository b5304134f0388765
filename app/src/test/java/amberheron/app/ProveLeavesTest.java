package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.LogCheck;
import amberheron.core.drivelog.Witness;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.plan.Intake;
import amberheron.core.trim.TrimSheet;
import amberheron.io.csv.TrimCsv;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The leaves of the drive, worked by keys and clicks. */
class ProveLeavesTest extends WindowTest {
    @BeforeEach
    void prove() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT6);
    }

    private void enter(String field, String words) {
        hands.interact(() -> session.focus(field));
        type(words);
    }

    @Test
    void theGasAnalyserIsTypedAndStandsAgainstTheController() {
        assertThat(session.review().state(Station.PROVE)).isEqualTo(LinkState.PROVEN);
        hands.clickOn(byId("prove.leaf.truth"));
        enter("prove.gas.co2", "14,5");
        assertThat(session.review().state(Station.PROVE)).as("begun, and not yet told").isEqualTo(LinkState.BEGUN);
        enter("prove.gas.co", "0.4");
        enter("prove.gas.hc", "120");
        enter("prove.gas.o2", "0.6 %");
        Witness witness = session.job().roadTest().witness();
        assertThat(witness.gas().hydrocarbons()).isCloseTo(1.2e-4, within(1e-12));
        String burnt = "%.3f".formatted(Objects.requireNonNull(session.review().witnessed())).replace(',', '.');
        assertThat(shows(burnt + " λ")).isTrue();
        enter("prove.gas.shown", burnt);
        assertThat(session.review().state(Station.PROVE)).isEqualTo(LinkState.PROVEN);
        enter("prove.gas.shown", "0.90");
        assertThat(session.review().findings(Station.PROVE)).filteredOn(f -> f.check().is(LogCheck.ANALYSER))
                .extracting(Finding::verdict).containsExactly(Verdict.FAIL);
        assertThat(shows("The controller shows rich of what is burnt")).isTrue();
        assertThat(session.review().trims().orElseThrow().released()).as("by a number that lies nothing is trimmed")
                .isFalse();
    }

    /** With numbers by a link there is nothing to scale; unit and ratio are what can be wrong. */
    @Test
    void whatComesByALinkIsComparedAtTwoMixtures() {
        hands.interact(() -> session.edit("by a link", j -> j.withIntake(j.intake()
                .withReaders(Set.of(Intake.ReaderKind.SOFTWARE)).withLink(Intake.Link.CAN))));
        assertThat(session.review().state(Station.SCALE)).isEqualTo(LinkState.NOT_NEEDED);
        assertThat(session.review().state(Station.PROVE)).as("a drive alone is not enough").isEqualTo(LinkState.BEGUN);
        hands.clickOn(byId("prove.leaf.truth"));
        hands.interact(() -> session.edit("AFR", j -> j.withRoadTest(j.roadTest()
                .withLink(j.roadTest().link().withScale(MixtureScale.afr(14.7))))));
        double one = session.job().shownByGauge().fromLambda(1);
        double richer = session.job().shownByGauge().fromLambda(0.85);
        enter("prove.link.first.controller", "%.2f".formatted(one));
        enter("prove.link.first.reader", "9.8");
        enter("prove.link.second.controller", "%.2f".formatted(richer));
        enter("prove.link.second.reader", "8.33");
        assertThat(shows("It shows AFR by 9.80 at λ 1")).isTrue();
        assertThat(session.review().state(Station.PROVE)).isEqualTo(LinkState.OUT_OF_TOLERANCE);
        enter("prove.link.first.reader", "14.7");
        enter("prove.link.second.reader", "12.5");
        assertThat(session.review().state(Station.PROVE)).isEqualTo(LinkState.PROVEN);
    }

    @Test
    void binsAreTypedLookedAtByKeysWrittenAndReadBack() throws Exception {
        hands.clickOn(byId("prove.leaf.trims"));
        enter("trims.speeds", "800 1500 2500 3500 4500");
        enter("trims.loads", "35 50 70 100");
        assertThat(session.job().roadTest().trims().loads()).containsExactly(35_000.0, 50_000.0, 70_000.0, 100_000.0);
        enter("trims.speeds", "900 800");
        assertThat(session.notice()).contains("rise");
        assertThat(session.job().roadTest().trims().speeds()).hasSize(5);
        hands.interact(() -> byId("trims.bins").requestFocus());
        for (KeyCode key : List.of(KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT, KeyCode.DOWN, KeyCode.DOWN,
                KeyCode.DOWN)) {
            hands.push(key);
        }
        assertThat(shows("800 /min, 35 kPa")).isTrue();
        hands.clickOn(byId("trims.write"));
        hands.settle();
        TrimSheet read = TrimCsv.read(home.resolve("lists").resolve("SB-014-trims.csv"));
        assertThat(read.speeds()).isEqualTo(session.job().roadTest().trims().speeds());
        assertThat(session.job().roadTest().trims().targets()).anyMatch(t -> t.given() != null);
        assertThat(session.job().roadTest().trims().leaner()).as("never but when asked for").isFalse();
        hands.interact(() -> byId("trims.leaner").requestFocus());
        hands.push(KeyCode.SPACE);
        assertThat(session.job().roadTest().trims().leaner()).isTrue();
        assertThat(shows("exhaust temperature and knock watched")).isTrue();
    }

    /** The controller's log and the tuner's, each without what the other has. */
    @Test
    void twoLogsAreReadTogether() throws Exception {
        List<String[]> rows = Files.readAllLines(home.resolve("logs/SB-014-drive.csv")).stream()
                .map(l -> l.split(",", -1)).toList();
        Path tuner = Files.write(home.resolve("tuner.csv"), rows.stream()
                .map(r -> String.join(",", r[0], r[1], r[2], r[3], r[4], r[5], r[8])).toList());
        Path controller = Files.write(home.resolve("controller.csv"), rows.stream().skip(200)
                .map(r -> String.join(",", r[0], r[1], r[7])).toList());
        Files.writeString(controller, "time s,rpm,controller lambda\n" + Files.readString(controller));
        hands.clickOn(byId("prove.leaf.channels"));
        enter("prove.with", controller.toString());
        assertThat(session.notice()).as("one alone is not read").contains("Name the log first");
        enter("prove.file", tuner.toString());
        assertThat(shows("controller.csv; it begins at 0.0 s, put together by engine speed")).isTrue();
        assertThat(session.review().state(Station.PROVE)).isEqualTo(LinkState.PROVEN);
    }

    /** Columns of which nothing can be told are shown with their numbers, and picked at their rows. */
    @Test
    void aColumnIsPickedAtItsRowAndAPartBySeconds() throws Exception {
        List<String> out = new ArrayList<>(List.of("a,b,c"));
        for (String line : Files.readAllLines(home.resolve("logs/SB-014-drive.csv")).stream().skip(1).toList()) {
            String[] cells = line.split(",", -1);
            out.add(String.join(",", cells[0], cells[7], cells[8]));
        }
        Path bare = Files.write(home.resolve("bare.csv"), out);
        hands.clickOn(byId("prove.leaf.channels"));
        enter("prove.file", bare.toString());
        hands.settle();
        assertThat(byId("prove.column.2")).isNotNull();
        hands.interact(() -> byId("prove.column.1").requestFocus());
        hands.write("what the con");
        hands.push(KeyCode.ENTER);
        hands.settle();
        hands.interact(() -> byId("prove.column.2").requestFocus());
        hands.write("what the rea");
        hands.push(KeyCode.ENTER);
        hands.settle();
        assertThat(session.job().proving().file()).isEqualTo("bare.csv");
        int all = session.job().proving().result().samples();
        enter("prove.from", "60");
        enter("prove.to", "300");
        hands.settle();
        assertThat(session.job().proving().result().duration()).isLessThan(250);
        assertThat(session.job().proving().result().samples()).isLessThan(all / 2);
    }
}
