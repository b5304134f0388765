package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.CheckId;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.plan.Engine;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule of the power supply at its limit, with what it says and which value it asks for. */
class PowerRulesTest {
    private static final PowerSource GOOD = PowerSource.named("A").withVolts(KeyState.OFF, 0.0)
            .withVolts(KeyState.ACCESSORY, 0.0).withVolts(KeyState.ON, 12.4).withVolts(KeyState.CRANKING, 9.7)
            .withVolts(KeyState.RUNNING, 14.1).withVolts(KeyState.LAMPS, 14.0).withVolts(KeyState.INDICATORS, 14.0)
            .withHostFuse(15.0).withHostLoad(6.0);
    private static final Feed FEED = Feed.UNMEASURED.withLength(2.0).withCrossSection(1e-6).withLeads(1e-6);

    private static Finding finding(CheckId id, @Nullable PowerSource source, Feed feed, @Nullable Double fuse) {
        return PowerRules.judge(source, feed, fuse, 3.0, Electrics.USUAL).stream().filter(f -> f.check().is(id))
                .findFirst()
                .orElseThrow();
    }

    private static Verdict at(KeyState state, @Nullable Double volts, boolean relay) {
        return finding(state, GOOD.withVolts(state, volts), FEED.withRelay(relay), 5.0).verdict();
    }

    @Test
    void aGoodSourceOnAGoodFeedKeepsEveryRule() {
        List<Finding> all = PowerRules.judge(GOOD, FEED, 5.0, 3.0, Electrics.USUAL);
        assertThat(all).extracting(Finding::verdict).containsOnly(Verdict.PASS);
        assertThat(all).hasSize(KeyState.values().length + 3);
    }

    @ParameterizedTest
    @CsvSource({"OFF, 0.5, PASS", "OFF, 0.51, FAIL", "ACCESSORY, 0.5, PASS", "ACCESSORY, 0.51, WARN",
            "ON, 11, PASS", "ON, 10.99, WARN", "ON, 0.5, FAIL", "ON, 0.51, WARN", "CRANKING, 6, PASS",
            "CRANKING, 5.99, WARN", "CRANKING, 0.4, WARN", "RUNNING, 12.8, PASS", "RUNNING, 12.79, WARN",
            "LAMPS, 13.6, PASS", "LAMPS, 13.59, WARN", "LAMPS, 14.6, PASS", "LAMPS, 14.61, WARN",
            "INDICATORS, 13.6, PASS", "INDICATORS, 13.59, WARN"})
    void eachStateOfTheKeyHasItsLimit(KeyState state, double volts, Verdict verdict) {
        assertThat(at(state, volts, false)).isEqualTo(verdict);
    }

    /** A relay at the battery only wants its coil held: what sags or is weak will do, what is lost while cranking will not. */
    @ParameterizedTest
    @CsvSource({"ON, 10.9, PASS", "CRANKING, 5.9, PASS", "CRANKING, 0.4, WARN", "RUNNING, 12.7, PASS",
            "LAMPS, 13.5, PASS", "OFF, 0.6, FAIL", "ACCESSORY, 0.6, WARN", "ON, 0.4, FAIL"})
    void aRelayForgivesWhatDoesNotLetItsCoilGo(KeyState state, double volts, Verdict verdict) {
        assertThat(at(state, volts, true)).isEqualTo(verdict);
        String says = finding(state, GOOD.withVolts(state, volts), FEED.withRelay(true), 5.0).consequence().metric();
        assertThat(says.startsWith("The relay feeds from the battery")).isEqualTo(verdict == Verdict.PASS);
    }

    /** A reading with a load on is compared with the one without, and says nothing while that is missing. */
    @Test
    void aReadingIsComparedOnlyWithOneThatIsThere() {
        PowerSource alone = GOOD.withVolts(KeyState.RUNNING, null);
        Finding lamps = finding(KeyState.LAMPS, alone, FEED, 5.0);
        assertThat(lamps.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(lamps.consequence().metric()).isEqualTo("Measure: engine running.");
        assertThat(lamps.asks()).containsExactly(KeyState.RUNNING.of("A"));
        Finding missing = finding(KeyState.LAMPS, GOOD.withVolts(KeyState.LAMPS, null), FEED, 5.0);
        assertThat(missing.asks()).containsExactly(KeyState.LAMPS.of("A"));
    }

    @Test
    void withoutASourceOneIsAskedFor() {
        List<Finding> none = PowerRules.judge(null, FEED, 5.0, 3.0, Electrics.USUAL);
        assertThat(none).filteredOn(f -> f.check().id() instanceof KeyState)
                .allSatisfy(f -> assertThat(f.asks()).containsExactly(WireField.SOURCES.address()));
        assertThat(none).noneMatch(f -> f.check().is(WireCheck.HOST));
        assertThat(finding(WireCheck.FEED, null, FEED, 5.0).asks()).containsExactly(WireField.SOURCES.address());
    }

    /** Above the draw and no more than the wire stands; bigger than usual is said. The wire of 1 mm² stands 10 A. */
    @ParameterizedTest
    @CsvSource({"3, FAIL, it will blow on a cold start", "3.01, PASS, Above the draw", "5, PASS, Above the draw",
            "5.01, WARN, Bigger than usual", "10, WARN, Bigger than usual", "10.1, FAIL, the wire burns",
            ", UNKNOWN, Enter"})
    void aFuseStandsBetweenDrawAndWire(@Nullable Double fuse, Verdict verdict, String says) {
        Finding found = finding(WireCheck.FUSE, GOOD, FEED, fuse);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.consequence().metric()).contains(says);
        assertThat(found.asks()).containsExactly(WireField.FUSE.address());
    }

    /** A fuse protects the thinnest wire behind it: until all are known it is neither right nor wrong. */
    @Test
    void theThinnestWireDecidesTheControllersOwnLeadsIncluded() {
        Feed unknown = FEED.withCrossSection(null);
        assertThat(finding(WireCheck.FUSE, GOOD, unknown, 5.0).verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(WireCheck.FUSE, GOOD, unknown, 5.0).asks())
                .containsExactly(WireField.FEED_SECTION.address());
        Feed thick = FEED.withCrossSection(4e-6);
        assertThat(finding(WireCheck.FUSE, GOOD, thick.withLeads(null), 30.0).asks())
                .containsExactly(WireField.LEADS.address());
        assertThat(finding(WireCheck.FUSE, GOOD, thick.withLeads(4e-6), 30.0).verdict()).isEqualTo(Verdict.WARN);
        assertThat(finding(WireCheck.FUSE, GOOD, thick.withLeads(0.5e-6), 30.0).verdict()).isEqualTo(Verdict.FAIL);
        assertThat(finding(WireCheck.FUSE, GOOD, thick.withLeads(0.5e-6), 5.0).verdict()).isEqualTo(Verdict.PASS);
    }

    /** A controller made for 12 V dies of more; half and twice the volts are right for their own systems only. */
    @ParameterizedTest
    @CsvSource({"TWELVE, 15.5, PASS", "TWELVE, 15.51, FAIL", "TWELVE, 28.1, FAIL", "TWENTY_FOUR, 28.1, PASS",
            "TWENTY_FOUR, 31.1, FAIL", "TWENTY_FOUR, 14.1, WARN", "SIX, 7.1, PASS", "SIX, 6.3, WARN",
            "SIX, 14.1, FAIL"})
    void tooManyVoltsFail(Engine.Supply supply, double running, Verdict verdict) {
        List<Finding> found = PowerRules.judge(GOOD.withVolts(KeyState.RUNNING, running), FEED, 5.0, 3.0,
                new Electrics(supply, Set.of()));
        assertThat(found).filteredOn(f -> f.check().is(KeyState.RUNNING)).extracting(Finding::verdict)
                .containsExactly(verdict);
    }

    @ParameterizedTest
    @CsvSource({"ON, 13.5, PASS, As it should be", "ON, 13.51, WARN, a charger is on", "ON, 15.6, FAIL, destroys",
            "CRANKING, 12.4, PASS, As it should be", "CRANKING, 12.41, WARN, a starter only takes",
            "LAMPS, 15.6, FAIL, destroys"})
    void eachStateHasAnUpperLimitToo(KeyState state, double volts, Verdict verdict, String says) {
        Finding found = finding(state, GOOD.withVolts(state, volts), FEED, 5.0);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.consequence().metric()).contains(says);
    }

    /** Anything but 12 V needs something in between, and that is measured with the heater working. */
    @ParameterizedTest
    @CsvSource({"TWENTY_FOUR, , UNKNOWN", "TWENTY_FOUR, 12.1, PASS", "TWENTY_FOUR, 10.9, FAIL", "SIX, 15.6, FAIL",
            "NONE_AT_IDLE, 12.4, PASS"})
    void whatStandsBetweenIsMeasured(Engine.Supply supply, @Nullable Double behind, Verdict verdict) {
        List<Finding> found = PowerRules.judge(GOOD, FEED.withConverted(behind), 5.0, 3.0,
                new Electrics(supply, Set.of()));
        assertThat(found).filteredOn(f -> f.check().is(WireCheck.CONVERTER)).singleElement().satisfies(f -> {
            assertThat(f.verdict()).isEqualTo(verdict);
            assertThat(f.asks()).containsExactly(WireField.CONVERTED.address());
        });
        assertThat(PowerRules.judge(GOOD, FEED, 5.0, 3.0, Electrics.USUAL))
                .noneMatch(f -> f.check().is(WireCheck.CONVERTER));
    }

    /** A state that the vehicle does not have is not asked for; one that every vehicle has cannot be said away. */
    @Test
    void aStateThatThereIsNotIsNotAskedFor() {
        Electrics kick = new Electrics(Engine.Supply.TWELVE, Set.of(KeyState.CRANKING, KeyState.LAMPS));
        PowerSource source = GOOD.withVolts(KeyState.CRANKING, null).withVolts(KeyState.LAMPS, null);
        assertThat(PowerRules.judge(source, FEED, 5.0, 3.0, kick)).extracting(Finding::verdict)
                .containsOnly(Verdict.PASS);
        assertThat(source.behaviour(kick)).isEqualTo(Behaviour.SWITCHED);
        assertThat(source.behaviour(Electrics.USUAL)).isEqualTo(Behaviour.NOT_MEASURED);
        assertThat(Wiring.UNMEASURED.withLacks(KeyState.RUNNING, true).lacks()).isEmpty();
        assertThat(Wiring.UNMEASURED.withLacks(KeyState.CRANKING, true).withLacks(KeyState.CRANKING, false).lacks())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.1, 1", "0.2, 2", "0.275, 3", "0.35, 4", "0.5, 5", "0.75, 7.5", "0.875, 8.75", "1, 10", "1.5, 15",
            "2, 17.5", "2.5, 20", "4, 30", "6, 30"})
    void theGreatestFuseOfAWireFollowsThePairsMetInVehicles(double squareMillimetres, double amperes) {
        assertThat(Feed.greatestFuse(squareMillimetres * 1e-6)).isCloseTo(amperes, within(1e-9));
    }

    /** A tapped circuit carries both on four fifths of its own fuse: 12 A of 15. */
    @ParameterizedTest
    @CsvSource({"15, 9, PASS", "15, 9.01, FAIL", ", 9, UNKNOWN", "15, , UNKNOWN", "15, 0, PASS"})
    void aTappedCircuitCarriesBoth(@Nullable Double rating, @Nullable Double load, Verdict verdict) {
        Finding found = finding(WireCheck.HOST, GOOD.withHostFuse(rating).withHostLoad(load), FEED, 5.0);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.asks()).containsExactly((rating == null ? WireField.HOST_FUSE : WireField.HOST_LOAD).of("A"));
        assertThat(PowerRules.judge(GOOD, FEED.withRelay(true), 5.0, 3.0, Electrics.USUAL)).as("a relay taps nothing")
                .noneMatch(f -> f.check().is(WireCheck.HOST));
    }

    /** 12.4 V less 3 A through the loop, warm under the bonnet, against 10.5 V. */
    @Test
    void theDropIsThatOfTheLoopWhileItHeatsUp() {
        Finding found = finding(WireCheck.FEED, GOOD, FEED, 5.0);
        double loop = Objects.requireNonNull(FEED.loop(Conductor.UNDER_BONNET));
        assertThat(Objects.requireNonNull(found.figure()).si()).isCloseTo(12.4 - 3 * loop, within(1e-9));
        assertThat(loop).isCloseTo(4 * 0.017241 * (1 + 0.00393 * (Conductor.UNDER_BONNET - 293.15)), within(0.002));
        Finding thin = finding(WireCheck.FEED, GOOD, FEED.withLength(12.0).withCrossSection(0.5e-6), 5.0);
        assertThat(thin.verdict()).isEqualTo(Verdict.WARN);
        assertThat(thin.consequence().metric()).contains("smallest wire for this length and fuse: 1.00 mm²");
        Finding hopeless = finding(WireCheck.FEED, GOOD, FEED.withLength(60.0).withCrossSection(0.5e-6), 5.0);
        assertThat(hopeless.consequence().metric()).contains("no common wire does");
    }

    @Test
    void whatIsMissingForTheDropIsAskedForInOrder() {
        assertThat(finding(WireCheck.FEED, GOOD, Feed.UNMEASURED, 5.0).asks())
                .containsExactly(WireField.FEED_LENGTH.address(), WireField.FEED_SECTION.address());
        assertThat(asks(GOOD, FEED.withLength(null))).containsExactly(WireField.FEED_LENGTH.address());
        assertThat(asks(GOOD, FEED.withCrossSection(null))).containsExactly(WireField.FEED_SECTION.address());
        assertThat(asks(GOOD.withVolts(KeyState.ON, null), FEED)).containsExactly(KeyState.ON.of("A"));
        // A relay feeds from the battery: that is what has to be measured, whatever the source does.
        assertThat(asks(GOOD, FEED.withRelay(true))).containsExactly(WireField.AT_BATTERY.address());
        assertThat(finding(WireCheck.FEED, GOOD, FEED.withRelay(true).withAtBattery(12.6), 5.0).verdict())
                .isEqualTo(Verdict.PASS);
    }

    private static List<Address> asks(PowerSource source, Feed feed) {
        return finding(WireCheck.FEED, source, feed, 5.0).asks();
    }

    /** Half of 60 Ah at 80 mA lasts fifteen days; a car that stands a fortnight has to start. */
    @ParameterizedTest
    @CsvSource({"60, 0.08, PASS, 15.625", "60, 0.0892, PASS, 14.01", "60, 0.0894, FAIL, 13.98", ", 0.08, UNKNOWN, "})
    void aControllerThatKeepsItsMemoryEmptiesTheBatterySlowly(@Nullable Double battery, double memory, Verdict verdict,
            @Nullable Double days) {
        Finding found = finding(WireCheck.DRAIN, GOOD, FEED.withBattery(battery).withMemory(memory), 5.0);
        assertThat(found.verdict()).isEqualTo(verdict);
        assertThat(found.asks()).containsExactly(WireField.BATTERY.address());
        if (days != null) {
            assertThat(Objects.requireNonNull(found.figure()).si()).isCloseTo(days, within(0.01));
        }
    }

    /** Left powered with its heater working it empties a battery in a day, whatever its memory takes. */
    @Test
    void aSourceThatIsAlwaysLiveDrainsWithTheHeaterOn() {
        PowerSource constant = GOOD.withVolts(KeyState.OFF, 12.5);
        Finding found = finding(WireCheck.DRAIN, constant, FEED.withBattery(60.0).withMemory(0.01), 5.0);
        assertThat(Objects.requireNonNull(found.figure()).si()).isCloseTo(0.5 * 60 / 1.2 / 24, within(1e-9));
        assertThat(found.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(PowerRules.judge(GOOD, FEED.withBattery(60.0), 5.0, 3.0, Electrics.USUAL))
                .noneMatch(f -> f.check().is(WireCheck.DRAIN));
    }

    /** A cure for each way a source can behave, and no cure said twice. */
    @Test
    void everyBehaviourHasACureOfItsOwn() {
        assertThat(List.of(Behaviour.values())).extracting(PowerRules::remedy).doesNotHaveDuplicates();
    }
}
