package amberheron.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Message;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Segment;
import amberheron.core.plan.Engine.FuelSystem;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.Link;
import amberheron.core.plan.Intake.Material;
import amberheron.core.plan.Intake.Question;
import amberheron.core.plan.Intake.ReaderKind;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Which questions a job needs, and what follows from their answers. */
class IntakeTest {
    private static List<String> follows(Intake intake) {
        return intake.follows().stream().map(Message::metric).toList();
    }

    private static Exhaust of(boolean turbine) {
        return Exhaust.UNMEASURED.withSegments(Exhaust.usual(turbine, 1));
    }

    @Test
    void aBlankIntakeAsksForWhatThePlanNeeds() {
        assertThat(Intake.BLANK.missing()).containsExactly(Question.VEHICLE, Question.DISPLACEMENT, Question.CYLINDERS,
                Question.FUEL, Question.ASPIRATION, Question.SUPPLY, Question.READERS, Question.CONDITION);
    }

    /** Each answer takes away its own question and no other. */
    @Test
    void eachAnswerSettlesItsOwnQuestion() {
        assertThat(Intake.BLANK.withVehicle("van").missing()).doesNotContain(Question.VEHICLE).hasSize(7);
        assertThat(Intake.BLANK.withDisplacement(0.002).missing()).doesNotContain(Question.DISPLACEMENT).hasSize(7);
        assertThat(Intake.BLANK.withCylinders(4).missing()).doesNotContain(Question.CYLINDERS).hasSize(7);
        assertThat(Intake.BLANK.withExhaust(of(false)).missing()).as("a run without a turbine may be blown")
                .contains(Question.ASPIRATION);
        assertThat(Intake.BLANK.withEngine(e -> e.withAspiration(Engine.Aspiration.SUPERCHARGER)).missing())
                .doesNotContain(Question.ASPIRATION).hasSize(7);
        assertThat(Intake.BLANK.withEngine(e -> e.withSupply(Engine.Supply.SIX)).missing())
                .doesNotContain(Question.SUPPLY).hasSize(7);
        assertThat(Intake.BLANK.withReaders(Set.of(ReaderKind.GAUGE)).missing()).doesNotContain(Question.READERS)
                .hasSize(7);
        assertThat(Intake.BLANK.withCondition(Condition.SOUND).missing()).doesNotContain(Question.CONDITION)
                .hasSize(7);
        assertThat(Intake.BLANK.withVehicle("  ").missing()).contains(Question.VEHICLE);
    }

    /** Data by a link is asked for only where something takes data. */
    @ParameterizedTest
    @EnumSource(ReaderKind.class)
    void theLinkIsAskedForWhereDataIsRead(ReaderKind kind) {
        boolean data = kind == ReaderKind.SOFTWARE || kind == ReaderKind.DISPLAY;
        Intake intake = Intake.BLANK.withReaders(Set.of(kind));
        assertThat(intake.asks(Question.LINK)).isEqualTo(data);
        assertThat(intake.missing().contains(Question.LINK)).isEqualTo(data);
        assertThat(intake.withLink(Link.CAN).missing()).doesNotContain(Question.LINK);
        boolean own = kind == ReaderKind.OWN;
        assertThat(intake.withLink(Link.CAN).byLinkAlone()).isEqualTo(data || own);
        assertThat(intake.byLinkAlone()).as("its own display has nothing to scale").isEqualTo(own);
    }

    @Test
    void oneAnalogReaderBesideTheLinkHasToBeScaled() {
        assertThat(Intake.BLANK.withLink(Link.SERIAL).byLinkAlone()).as("no reader at all").isFalse();
        assertThat(Intake.BLANK.withLink(Link.SERIAL).withReaders(Set.of(ReaderKind.SOFTWARE, ReaderKind.GAUGE))
                .byLinkAlone()).isFalse();
        assertThat(Intake.BLANK.withLink(Link.SERIAL).withReaders(Set.of(ReaderKind.SOFTWARE, ReaderKind.DISPLAY))
                .byLinkAlone()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"BANKS, 1, false", "BANKS, 2, true", "BANKS, , false"})
    void banksAreAskedForWithMoreThanOneCylinder(Question question, Integer cylinders, boolean asked) {
        assertThat(Intake.BLANK.withCylinders(cylinders).asks(question)).isEqualTo(asked);
    }

    /** Nothing is asked about a bung for an exhaust that nothing is fitted to. */
    @ParameterizedTest
    @CsvSource({"UNCHECKED, false, true, true", "SOUND, false, true, true", "LEAKS, true, true, true",
            "ROTTEN, false, false, false"})
    void whatIsAskedFollowsFromTheStateOfTheExhaust(Condition condition, boolean leak, boolean fit, boolean material) {
        Intake intake = Intake.BLANK.withCondition(condition);
        assertThat(intake.asks(Question.LEAK)).isEqualTo(leak);
        assertThat(intake.asks(Question.FIT)).isEqualTo(fit);
        assertThat(intake.asks(Question.HARNESS)).isEqualTo(fit);
        assertThat(intake.asks(Question.MATERIAL)).isEqualTo(material);
        assertThat(intake.withFit(Fit.CLAMP).asks(Question.MATERIAL)).as("only a weld asks what the pipe is").isFalse();
        assertThat(condition.stops()).isEqualTo(condition == Condition.LEAKS || condition == Condition.ROTTEN);
    }

    @Test
    void whatFollowsIsSaidForEachAnswer() {
        assertThat(follows(Intake.BLANK)).isEmpty();
        assertThat(follows(Intake.BLANK.withExhaust(of(true)))).hasSize(2)
                .contains("Turbine: the sensor goes at least 460 mm after it, never before.")
                .anyMatch(f -> f.startsWith("Water or methanol injected beside the fuel: judge by λ"));
        assertThat(follows(Intake.BLANK.withExhaust(of(false).withCatalyst(Segment.Kind.CATALYST)))).singleElement()
                .asString().startsWith("Catalyst:");
        assertThat(follows(Intake.BLANK.withCylinders(6).withBanks(2))).singleElement().asString()
                .startsWith("Two banks:");
        assertThat(follows(Intake.BLANK.withEngine(e -> e.withFuelSystem(FuelSystem.CARBURETTOR)))).singleElement()
                .asString()
                .startsWith("Carburettor: choke open");
        assertThat(follows(Intake.BLANK.withEngine(e -> e.withFuelSystem(FuelSystem.INJECTION)))).singleElement()
                .asString()
                .startsWith("Injection: warm idle swings");
        assertThat(follows(Intake.BLANK.withPermanent(false))).singleElement().asString()
                .startsWith("Tuning days only");
        assertThat(follows(Intake.BLANK.withMaterial(Material.COATED))).singleElement().asString()
                .startsWith("Coated pipe");
        assertThat(follows(Intake.BLANK.withMaterial(Material.STAINLESS))).isEmpty();
        assertThat(follows(Intake.BLANK.withMaterial(Material.COATED).withFit(Fit.CLAMP))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"STOCK_ECU, Stock ECU:|No analog reader:", "LOGGER, Analog output:", "ECU, Analog output:",
            "GAUGE, No analog reader:", "SOFTWARE, No analog reader:", "DISPLAY, No analog reader:"})
    void whatReadsTheSignalDecidesWhatHasToBeScaled(ReaderKind kind, String says) {
        assertThat(follows(Intake.BLANK.withReaders(Set.of(kind))).stream().map(s -> s.substring(0, s.indexOf(':') + 1))
                .collect(Collectors.joining("|"))).isEqualTo(says);
    }

    @ParameterizedTest
    @CsvSource({"SERIAL, Serial:", "CAN, CAN:", "DIAGNOSTIC_PORT, Diagnostic port:"})
    void eachLinkIsWiredItsOwnWay(Link link, String says) {
        Intake intake = Intake.BLANK.withReaders(EnumSet.of(ReaderKind.SOFTWARE)).withLink(link);
        assertThat(follows(intake)).filteredOn(s -> s.startsWith(says)).hasSize(1);
        assertThat(follows(intake.withReaders(Set.of(ReaderKind.GAUGE)))).as("nothing there reads data")
                .noneMatch(s -> s.startsWith(says));
    }

    /** Names and places of the questions are each one's own: scripts and fields go by them. */
    @Test
    void questionsHaveNamesOfTheirOwn() {
        assertThat(Arrays.stream(Question.values()).map(Question::key)).doesNotHaveDuplicates()
                .allMatch(k -> k.startsWith("intake-"));
        assertThat(Arrays.stream(Question.values()).map(Question::address)).doesNotHaveDuplicates();
        assertThat(Arrays.stream(Question.values()).map(Question::words)).doesNotHaveDuplicates();
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> Intake.BLANK.withBanks(0)).hasMessage("Exhaust banks: found 0, expected 1 or 2");
        assertThatThrownBy(() -> Intake.BLANK.withBanks(3)).hasMessage("Exhaust banks: found 3, expected 1 or 2");
        assertThatThrownBy(() -> Intake.BLANK.withCylinders(0)).hasMessageContaining("cylinders");
        assertThatThrownBy(() -> Intake.BLANK.withDisplacement(-1.0)).hasMessageContaining("displacement");
        assertThatThrownBy(() -> Intake.BLANK.withLeak(1.5)).hasMessageContaining("leak");
    }
}
