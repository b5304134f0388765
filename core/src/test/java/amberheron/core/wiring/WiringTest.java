package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class WiringTest {
    /** AFR = 2·V + 10. */
    private static final OutputLaw LAW = new OutputLaw("two-v", "2·V + 10", OutputLaw.Kind.LINEAR,
            MixtureScale.afr(14.7), List.of(new OutputLaw.Point(0, 10), new OutputLaw.Point(5, 20)), 0, 5,
            Source.practice("check value"));
    private static final WireRules.Installation AT = new WireRules.Installation(Set.of(), LAW, null,
            Engine.Supply.TWELVE, Tolerance.LAMBDA);

    private static PowerSource source(@Nullable Double off, @Nullable Double on, @Nullable Double cranking) {
        return PowerSource.named("A").withVolts(KeyState.OFF, off).withVolts(KeyState.ON, on)
                .withVolts(KeyState.CRANKING, cranking).withVolts(KeyState.RUNNING, 14.1)
                .withVolts(KeyState.LAMPS, 13.9).withVolts(KeyState.INDICATORS, 14.0);
    }

    private static Wiring wiring(PowerSource source, @Nullable Double fuse, GroundPlan ground) {
        return Wiring.UNMEASURED.withSources(List.of(source)).withTaken("A")
                .withFeed(new Feed(1.5, 1e-6, false, null, null, null, null, 0.75e-6)).withFuse(fuse).withDraw(3.0)
                .withGround(ground);
    }

    private static Wiring wiring(@Nullable Double off, @Nullable Double on, @Nullable Double cranking,
            @Nullable Double fuse, GroundPlan ground) {
        return wiring(source(off, on, cranking), fuse, ground);
    }

    private static Finding finding(Wiring wiring, String id) {
        List<Finding> all = WireRules.judge(wiring, AT);
        return all.stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow();
    }

    private static final GroundPlan APART = GroundPlan.UNMEASURED.withSchool(GroundSchool.READER).withTwoWires(true)
            .withWires(w -> w.withToReader(0.5)).withWires(w -> w.withSection(WireGauge.crossSection(18)))
            .withLoads(l -> l.withMean(1.2)).withLoads(l -> l.withPeak(2.6));

    /** NBS Handbook 100 copper wire tables, mΩ/m at 20 °C. */
    @ParameterizedTest
    @CsvSource({"12, 5.21", "14, 8.28", "16, 13.17", "18, 20.95", "20, 33.3", "22, 53.0", "24, 84.2"})
    void resistancesAgreeWithTheCopperTables(int awg, double milliohms) {
        double perMetre = 1000 * new Conductor(1, WireGauge.crossSection(awg)).resistance();
        assertThat(perMetre).isCloseTo(milliohms, within(milliohms * 1.5e-3));
        assertThat(WireGauge.gauge(WireGauge.crossSection(awg))).isCloseTo(awg, within(1e-9));
    }

    /** 3 m of 18 AWG at 1.2 A → 75 mV → 0.15 AFR on a 2 AFR/V law. */
    @Test
    void theSharedGroundThatReadsLean() {
        GroundPlan shared = GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT)
                .withWires(w -> w.withToChassis(3.0))
                .withWires(w -> w.withSection(WireGauge.crossSection(18))).withLoads(l -> l.withMean(1.2));
        assertThat(WireRules.shift(Wiring.UNMEASURED.withGround(shared), Set.of()).orElseThrow()).isCloseTo(0.075,
                within(5e-4));
        Finding shift = finding(wiring(0.0, 12.4, 9.8, 5.0, shared), "ground");
        assertThat(shift.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(shift.lambdaCost()).isCloseTo(0.15 / 14.7, within(1e-4));
    }

    @Test
    void aGroundNobodyLookedAtIsNotAPass() {
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, GroundPlan.UNMEASURED), "ground").verdict())
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0,
                GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT).withWires(w -> w.withToChassis(3.0))
                        .withLoads(l -> l.withMean(1.2))),
                "ground")
                .verdict())
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, GroundPlan.UNMEASURED.withSchool(GroundSchool.READER)
                .withTwoWires(true)), "ground").verdict()).as("two wires of which nothing was measured")
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, APART), "ground").verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void thePowerSourceIsProvedFromItsReadings() {
        assertThat(finding(wiring(12.6, 12.6, 9.0, 5.0, APART), "off").verdict()).as("constant")
                .isEqualTo(Verdict.FAIL);
        assertThat(finding(wiring(0.0, 0.1, 0.0, 5.0, APART), "on").verdict()).as("dead").isEqualTo(Verdict.FAIL);
        assertThat(finding(wiring(0.0, 10.2, 8.0, 5.0, APART), "on").verdict()).as("weak").isEqualTo(Verdict.WARN);
        assertThat(finding(wiring(0.0, 12.4, 0.2, 5.0, APART), "cranking").verdict()).as("lost while cranking")
                .isEqualTo(Verdict.WARN);
        assertThat(WireRules.judge(wiring(0.0, 12.4, 9.8, 5.0, APART), AT))
                .filteredOn(f -> !f.check().key().contains(".") && !f.check().key().equals("heater"))
                .filteredOn(f -> !f.check().is(WireCheck.HOST)).extracting(Finding::verdict).hasSize(10)
                .containsOnly(Verdict.PASS);
    }

    /** Each pattern of states, as a meter with a little noise shows it. */
    @ParameterizedTest
    @CsvSource({"0.01, 0.02, 12.4, 9.8, 14.1, 13.9, 14.0, SWITCHED",
            "0.03, 12.3, 12.4, 9.8, 14.1, 13.9, 14.0, ACCESSORY_TOO",
            "12.5, 12.5, 12.4, 9.8, 14.1, 13.9, 14.0, CONSTANT",
            "0.0, 0.0, 12.4, 0.1, 14.1, 13.9, 14.0, LOST_WHILE_CRANKING",
            "0.0, 0.0, 12.4, 3.9, 14.1, 13.9, 14.0, LOST_WHILE_CRANKING",
            "0.0, 0.0, 12.4, 4.1, 14.1, 13.9, 14.0, SAGS_WHILE_CRANKING",
            "0.0, 0.0, 12.4, 5.9, 14.1, 13.9, 14.0, SAGS_WHILE_CRANKING",
            "0.0, 0.0, 12.4, 6.1, 14.1, 13.9, 14.0, SWITCHED",
            "0.0, 0.0, 12.4, 9.8, 14.1, 12.9, 14.0, DISTURBED", "0.0, 0.0, 12.4, 9.8, 14.1, 13.9, 11.2, DISTURBED",
            "0.0, 0.0, 10.1, 8.0, 11.9, 11.8, 11.8, WEAK", "0.0, 0.0, 12.4, 9.8, 12.5, 12.4, 12.4, WEAK",
            "0.0, 0.0, 0.02, 0.0, 0.01, 0.0, 0.0, DEAD"})
    void everyPatternOfStatesHasItsName(double off, double accessory, double on, double cranking, double running,
            double lamps, double indicators, PowerSource.Behaviour behaviour) {
        Map<KeyState, Double> volts = Map.of(KeyState.OFF, off, KeyState.ACCESSORY, accessory, KeyState.ON, on,
                KeyState.CRANKING, cranking, KeyState.RUNNING, running, KeyState.LAMPS, lamps, KeyState.INDICATORS,
                indicators);
        Random noise = new Random(11);
        for (int i = 0; i < 50; i++) {
            PowerSource read = PowerSource.named("A");
            for (KeyState state : KeyState.values()) {
                read = read.withVolts(state, Math.max(0, volts.getOrDefault(state, 0.0) + 0.02 * noise.nextGaussian()));
            }
            assertThat(read.behaviour(Electrics.USUAL)).isEqualTo(behaviour);
        }
    }

    /** Whatever is missing, the rest never adds up to a pass; what one reading shows to be bad is said all the same. */
    @ParameterizedTest
    @EnumSource(KeyState.class)
    void aMissingReadingNeverBecomesAPass(KeyState state) {
        PowerSource missing = source(0.0, 12.4, 9.8).withVolts(KeyState.ACCESSORY, 0.0).withVolts(state, null);
        boolean optional = state == KeyState.ACCESSORY;
        assertThat(missing.behaviour(Electrics.USUAL))
                .isEqualTo(optional ? PowerSource.Behaviour.SWITCHED : PowerSource.Behaviour.NOT_MEASURED);
        assertThat(PowerRules.judge(missing, Feed.UNMEASURED, 5.0, null, Electrics.USUAL)).filteredOn(
                f -> f.check().key().equals(state.name().toLowerCase(java.util.Locale.ROOT)))
                .allSatisfy(f -> assertThat(f.verdict()).isEqualTo(Verdict.UNKNOWN)).hasSize(optional ? 0 : 1);
        assertThat(PowerSource.named("B").withVolts(KeyState.OFF, 12.5).behaviour(Electrics.USUAL))
                .isEqualTo(PowerSource.Behaviour.CONSTANT);
    }

    @Test
    void theBestOfSeveralIsTheOneThatFollowsTheKey() {
        PowerSource constant = source(12.5, 12.5, 9.8);
        PowerSource lost = source(0.0, 12.4, 0.1);
        assertThat(PowerRules.best(List.of(constant, lost, source(0.0, 12.4, 9.8)), false, Electrics.USUAL)
                .orElseThrow().behaviour(Electrics.USUAL))
                .isEqualTo(PowerSource.Behaviour.SWITCHED);
        assertThat(PowerRules.best(List.of(constant), false, Electrics.USUAL)).isEmpty();
        assertThat(PowerRules.verdict(lost.behaviour(Electrics.USUAL), false)).isEqualTo(Verdict.WARN);
        assertThat(PowerRules.verdict(lost.behaviour(Electrics.USUAL), true)).as("the coil lets go too")
                .isEqualTo(Verdict.WARN);
        assertThat(PowerRules.verdict(source(0.0, 12.4, 5.0).behaviour(Electrics.USUAL), true)).as("the coil holds")
                .isEqualTo(Verdict.PASS);
        assertThat(PowerRules.verdict(source(0.0, 12.4, 5.0).behaviour(Electrics.USUAL), false))
                .isEqualTo(Verdict.WARN);
        assertThat(PowerRules.verdict(constant.behaviour(Electrics.USUAL), true)).isEqualTo(Verdict.FAIL);
    }

    /** By Ohm's law: 12.4 V less 3 A through 2 × 1.5 m of 1 mm² copper at 80 °C; half of 60 A·h at 1.2 A lasts 25 h. */
    @Test
    void whatReachesTheControllerAndHowLongTheBatteryLasts() {
        Wiring wiring = wiring(0.0, 12.4, 9.8, 5.0, APART);
        double loop = 3.0 / 58 * (1 + 0.00393 * 60);
        assertThat(Objects.requireNonNull(finding(wiring, "feed").figure()).si()).isCloseTo(12.4 - 3 * loop,
                within(1e-9));
        Wiring thin = wiring.withFeed(new Feed(6.0, 0.35e-6, false, null, null, null, null, 0.75e-6));
        assertThat(finding(thin, "feed").verdict()).isEqualTo(Verdict.WARN);
        Wiring constant = wiring(12.5, 12.5, 9.8, 5.0, APART)
                .withFeed(new Feed(1.5, 1e-6, false, 60.0, null, null, null, 0.75e-6));
        assertThat(Objects.requireNonNull(finding(constant, "drain").figure()).si()).isCloseTo(25 / 24.0, within(1e-9));
        assertThat(PowerRules.judge(source(0.0, 12.4, 9.8), Feed.UNMEASURED, 5.0, 3.0, Electrics.USUAL))
                .noneMatch(f -> f.check().key().equals("drain"));
    }

    @Test
    void aTappedCircuitKeepsItsOwnFuse() {
        assertThat(finding(wiring(source(0.0, 12.4, 9.8), 5.0, APART), "host").verdict())
                .as("a circuit nobody looked at").isEqualTo(Verdict.UNKNOWN);
        PowerSource tapped = source(0.0, 12.4, 9.8).withHostFuse(10.0);
        assertThat(finding(wiring(tapped, 5.0, APART), "host").verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring(tapped.withHostLoad(5.0), 5.0, APART), "host").verdict()).isEqualTo(Verdict.PASS);
        assertThat(finding(wiring(tapped.withHostLoad(5.1), 5.0, APART), "host").consequence().metric())
                .contains("its fuse stays as it is");
    }

    @ParameterizedTest
    @CsvSource({"5, 1.0, PASS", "3, 1.0, FAIL", "2, 1.0, FAIL", "10, 1.0, WARN", "12, 1.0, FAIL", "5, 0.35, FAIL"})
    void theFuseStandsAboveTheDrawAndBelowTheWire(double fuse, double mm2, Verdict verdict) {
        Wiring wiring = wiring(0.0, 12.4, 9.8, fuse, APART)
                .withFeed(new Feed(1.0, mm2 * 1e-6, false, null, null, null, null, 1e-6));
        assertThat(finding(wiring, "fuse").verdict()).isEqualTo(verdict);
    }

    /** Ohm's law by hand: 2.2 kΩ into 54 kΩ loses 3.9 %; a 10 kΩ pull-up to 5 V on 1 kΩ lifts 0 V to 0.4545 V. */
    @Test
    void loadingAndPullUp() {
        double none = Double.POSITIVE_INFINITY;
        assertThat(InputLoading.effect(2200, 5, none, 54_000).atPin(4.5) / 4.5).isCloseTo(54 / 56.2, within(1e-12));
        assertThat(InputLoading.effect(1000, 5, 10_000, none).atPin(0)).isCloseTo(5 / 11.0, within(1e-12));
    }

    /** By hand, at 80 °C: 0.5 mm² there and back over 4 m is 341 mΩ, at 3 A 1.02 V; over 8 m twice that. */
    @Test
    void theSmallestWireStandsTheFuseAndLeavesTheVolts() {
        Feed four = new Feed(4.0, null, false, null, null, null, null, 0.75e-6);
        assertThat(PowerRules.smallestWire(four, 5, 3, 12.4)).hasValue(0.5e-6);
        assertThat(PowerRules.smallestWire(four.withLength(8.0), 5, 3, 12.4)).hasValue(0.75e-6);
        assertThat(PowerRules.smallestWire(four, 10, 3, 12.4)).as("the fuse asks for more").hasValue(1e-6);
        assertThat(PowerRules.smallestWire(four, 5, 3, 10.4)).isEmpty();
        assertThat(PowerRules.smallestWire(Feed.UNMEASURED, 5, 3, 12.4)).isEmpty();
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, APART).withFeed(four), "feed").consequence().metric())
                .contains("smallest wire for this length and fuse: 0.50 mm²");
    }

    /** Each state's limit from both sides. */
    @ParameterizedTest
    @CsvSource({"OFF, 0.5, PASS", "OFF, 0.51, FAIL", "ACCESSORY, 0.5, PASS", "ACCESSORY, 0.51, WARN", "ON, 11.0, PASS",
            "ON, 10.99, WARN", "ON, 0.5, FAIL", "ON, 0.51, WARN", "CRANKING, 6.0, PASS", "CRANKING, 5.99, WARN",
            "RUNNING, 12.8, PASS", "RUNNING, 12.79, WARN", "LAMPS, 13.6, PASS", "LAMPS, 13.59, WARN",
            "LAMPS, 14.6, PASS", "LAMPS, 14.61, WARN", "INDICATORS, 13.6, PASS", "INDICATORS, 13.59, WARN"})
    void everyStateOfASourceHasItsLimit(KeyState state, double volts, Verdict verdict) {
        PowerSource source = source(0.0, 12.4, 9.8).withVolts(state, volts);
        assertThat(PowerRules.judge(source, Feed.UNMEASURED, 5.0, 3.0, Electrics.USUAL))
                .filteredOn(f -> f.check().is(state))
                .singleElement().extracting(Finding::verdict).isEqualTo(verdict);
    }

    /** A relay's feed starts at the battery, and its source only holds the coil: 4 V while cranking do. */
    @Test
    void aRelayFeedsFromTheBattery() {
        Feed relay = new Feed(1.5, 1e-6, true, null, null, null, null, 0.75e-6);
        Wiring wiring = wiring(0.0, 10.6, 5.0, 5.0, APART).withFeed(relay);
        assertThat(finding(wiring, "feed").verdict()).as("the source's volts say nothing of it")
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(wiring, "feed").asks()).containsExactly(WireField.AT_BATTERY.address());
        Finding fed = finding(wiring.withFeed(relay.withAtBattery(12.5)), "feed");
        assertThat(Objects.requireNonNull(fed.figure()).si()).isCloseTo(12.5 - 3 * 3.0 / 58 * (1 + 0.00393 * 60),
                within(1e-9));
        assertThat(finding(wiring, "cranking").verdict()).isEqualTo(Verdict.PASS);
        assertThat(finding(wiring(0.0, 10.6, 3.9, 5.0, APART).withFeed(relay), "cranking").verdict())
                .isEqualTo(Verdict.WARN);
        assertThat(WireRules.judge(wiring, AT)).noneMatch(f -> f.check().is(WireCheck.HOST));
    }

    /** 10.5 V at the controller, a fortnight on half a battery: each from both sides, by Ohm's law and by hand. */
    @Test
    void feedAndDrainAtTheirLimits() {
        double loop = 3.0 / 58 * (1 + 0.00393 * 60);
        assertThat(finding(wiring(0.0, 10.5 + 3 * loop + 1e-6, 9.8, 5.0, APART), "feed").verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(finding(wiring(0.0, 10.5 + 3 * loop - 1e-6, 9.8, 5.0, APART), "feed").verdict())
                .isEqualTo(Verdict.WARN);
        // A second, constant feed of 60 mA takes half of 40.32 A·h in 14 days.
        Feed memory = new Feed(1.5, 1e-6, false, 40.33, null, 0.06, null, 0.75e-6);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, APART).withFeed(memory), "drain").verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, APART).withFeed(memory.withBattery(40.31)), "drain").verdict())
                .isEqualTo(Verdict.FAIL);
    }

    /** Numbers, or a difference of two wires, do not feel the ground; the sensors on the reader's ground still do. */
    @ParameterizedTest
    @CsvSource({"SINGLE_ENDED, FAIL", "DIFFERENTIAL, PASS", "CAN, PASS", "SERIAL, PASS"})
    void aShiftIsFeltOnlyWhereVoltsAreMeasuredAgainstTheGround(Hookup.Form form, Verdict verdict) {
        GroundPlan shared = GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT)
                .withWires(w -> w.withToChassis(3.0))
                .withWires(w -> w.withToReader(0.4))
                .withWires(w -> w.withSection(WireGauge.crossSection(18))).withLoads(l -> l.withMean(1.2))
                .withLoads(l -> l.withPeak(2.6));
        Wiring wiring = wiring(0.0, 12.4, 9.8, 5.0, shared)
                .withSignals(Signals.NONE.with(ReaderKind.ECU, h -> h.withForm(form)));
        WireRules.Installation ecu = new WireRules.Installation(Set.of(ReaderKind.ECU), LAW, null, Engine.Supply.TWELVE,
                Tolerance.LAMBDA);
        assertThat(WireRules.judge(wiring, ecu)).filteredOn(f -> f.check().is(WireCheck.GROUND)).singleElement()
                .extracting(Finding::verdict).isEqualTo(verdict);
        assertThat(WireRules.shift(wiring, ecu.readers()).orElseThrow() == 0).isEqualTo(verdict == Verdict.PASS);
        assertThat(WireRules.cure(wiring, ecu).isPresent()).isEqualTo(verdict == Verdict.FAIL);
        Wiring through = wiring.withGround(shared.withSchool(GroundSchool.READER));
        assertThat(WireRules.judge(through, ecu)).filteredOn(f -> f.check().is(WireCheck.GROUND)).singleElement()
                .extracting(Finding::verdict).isEqualTo(Verdict.WARN);
    }

    /** A ripple of twice the tolerance swings the number by it: from both sides. */
    @Test
    void theHeatersRippleIsJudged() {
        double limit = 2 * Tolerance.LAMBDA / LAW.lambdaPerVolt();
        GroundPlan plan = GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT).withWires(w -> w.withToChassis(1.0))
                .withWires(w -> w.withSection(WireGauge.crossSection(18))).withLoads(l -> l.withMean(0.1));
        double ohms = plan.wire(GroundSchool.SAME_POINT);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, plan.withLoads(l -> l.withPeak(limit / ohms - 1e-6))), "ripple")
                .verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(finding(wiring(0.0, 12.4, 9.8, 5.0, plan.withLoads(l -> l.withPeak(limit / ohms + 1e-6))), "ripple")
                .verdict())
                .isEqualTo(Verdict.WARN);
    }

    /** Beside 12.4 V with the key on, 14.1 V running and 13.93 V with the lamps on. */
    @ParameterizedTest
    @CsvSource(quoteCharacter = '"', value = {
            "CRANKING, 12.5, \"More than with the key on, while a starter only takes: read both again.\"",
            "CRANKING, 12.4, \"The same to the last digit as key on: read both again.\"", "CRANKING, 10.6, \"\"",
            "ACCESSORY, 14.3, \"More than with the engine running: read both again.\"", "ACCESSORY, 0, \"\"",
            "INDICATORS, 13.93, \"The same to the last digit as running, lamps on: read both again.\"",
            "INDICATORS, 14.1, \"\"", "RUNNING, 12.4, \"The same to the last digit as key on: read both again.\"",
            "ON, 13.9, \"More than a battery at rest: a charger is on, or the engine ran. Read it again as it will stand.\"",
            "OFF, 0, \"\""})
    void whatHardlyCanBeIsAskedBeforeItIsKept(KeyState state, double volts, String question) {
        PowerSource source = PowerSource.named("A").withReading(KeyState.ON, 12.4, Origin.UNRECORDED)
                .withReading(KeyState.RUNNING, 14.1, Origin.UNRECORDED)
                .withReading(KeyState.LAMPS, 13.93, Origin.UNRECORDED);
        assertThat(source.question(state, volts, Electrics.USUAL).map(Message::metric).orElse("")).isEqualTo(question);
    }

    @Test
    void aReadingThatPutsAnotherInDoubtIsAskedAboutToo() {
        PowerSource source = PowerSource.named("A").withReading(KeyState.CRANKING, 11.9, Origin.UNRECORDED);
        assertThat(source.question(KeyState.ON, 11.6, Electrics.USUAL).map(Message::metric))
                .hasValue("cranking: More than with the key on, while a starter only takes: read both again.");
        assertThat(source.question(KeyState.ON, 12.3, Electrics.USUAL)).isEmpty();
    }
}
