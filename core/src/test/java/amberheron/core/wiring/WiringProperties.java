package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Verdict;
import amberheron.core.placement.Estimate;
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** What holds for any source, any ground, any input. */
class WiringProperties {
    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private static PowerSource source(String id, Random random) {
        PowerSource source = PowerSource.named(id);
        for (KeyState state : KeyState.values()) {
            boolean dead = state == KeyState.OFF || state == KeyState.ACCESSORY;
            double usual = dead ? between(random, 0, 0.1) : between(random, 13.2, 14.2);
            double odd = between(random, 0, 14.5);
            if (random.nextInt(12) > 0) {
                source = source.withVolts(state, random.nextInt(9) == 0 ? odd : usual);
            }
        }
        return source;
    }

    /** Whatever one reading is taken away, a source is never better proved than with it. */
    @Property(tries = 500)
    void aReadingTakenAwayNeverProvesASource(@ForAll long seed) {
        PowerSource source = source("A", new Random(seed));
        for (KeyState state : KeyState.values()) {
            PowerSource less = source.withVolts(state, null);
            if (!state.optional()) {
                assertThat(less.missing(Electrics.USUAL)).contains(state);
                assertThat(less.behaviour(Electrics.USUAL)).isNotIn(Behaviour.SWITCHED, Behaviour.ACCESSORY_TOO);
                assertThat(PowerRules.judge(less, Feed.UNMEASURED, 5.0, 3.0, Electrics.USUAL))
                        .as("what is missing is said")
                        .filteredOn(f -> f.check().key().equals(state.name().toLowerCase(Locale.ROOT))).singleElement()
                        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.UNKNOWN));
            }
        }
    }

    /** A meter's noise of a hundredth of a volt changes no verdict that is not on the edge of one. */
    @Property(tries = 500)
    void aMetersNoiseChangesNothing(@ForAll long seed) {
        Random random = new Random(seed);
        PowerSource source = source("A", random);
        boolean edge = List.of(PowerSource.DEAD, PowerSource.WEAK, PowerSource.WEAK_RUNNING, PowerSource.CRANKING,
                PowerSource.COIL)
                .stream()
                .anyMatch(limit -> source.volts().values().stream().anyMatch(v -> Math.abs(v.volts() - limit) < 0.02))
                || source.disturbance().filter(d -> Math.abs(d - PowerSource.DISTURBED) < 0.04).isPresent();
        PowerSource noisy = source;
        for (KeyState state : source.volts().keySet()) {
            noisy = noisy.withVolts(state,
                    Math.max(0, source.at(state).orElseThrow() + between(random, -0.01, 0.01)));
        }
        if (!edge) {
            assertThat(noisy.behaviour(Electrics.USUAL)).isEqualTo(source.behaviour(Electrics.USUAL));
        }
    }

    @Property(tries = 300)
    void theBestSourceIsNoneThatFails(@ForAll long seed, @ForAll boolean relay) {
        Random random = new Random(seed);
        List<PowerSource> sources = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            sources.add(source("S" + i, random));
        }
        Optional<PowerSource> best = PowerRules.best(sources, relay, Electrics.USUAL);
        List<Verdict> verdicts = sources.stream().map(s -> PowerRules.verdict(s.behaviour(Electrics.USUAL), relay))
                .toList();
        assertThat(best.isPresent()).isEqualTo(verdicts.stream().anyMatch(v -> v != Verdict.FAIL));
        best.ifPresent(b -> assertThat(verdicts)
                .noneMatch(v -> v.compareTo(PowerRules.verdict(b.behaviour(Electrics.USUAL), relay)) < 0));
    }

    private static GroundPlan ground(Random random) {
        return GroundPlan.UNMEASURED.withWires(w -> w.withToBattery(between(random, 0.2, 5)))
                .withWires(w -> w.withToChassis(between(random, 0.2, 5)))
                .withWires(w -> w.withToReader(between(random, 0.1, 3)))
                .withWires(w -> w.withSection(WireGauge.crossSection(12 + random.nextInt(12))))
                .withLoads(l -> l.withMean(between(random, 0.3, 2))).withLoads(l -> l.withPeak(between(random, 2, 3.5)))
                .withLoads(l -> l.withOthers(between(random, 0, 60)))
                .withWires(w -> w.withStrap(between(random, 0.0005, 0.02)))
                .withLoads(l -> l.withDisplay(between(random, 0, 0.4)))
                .withWires(w -> w.withJoint(between(random, 1e-4, 0.01)));
    }

    private static GroundPlan.Cost cost(GroundPlan plan, GroundSchool school) {
        return plan.withSchool(school).cost().orElseThrow();
    }

    /** With one wire more current, more length or worse joints never shift less; with the signal apart nothing is dropped in it. */
    @Property(tries = 300)
    void moreInTheWayShiftsMore(@ForAll long seed) {
        GroundPlan plan = ground(new Random(seed));
        for (GroundSchool school : GroundSchool.values()) {
            double shift = cost(plan, school).shift();
            double mean = Objects.requireNonNull(plan.loads().mean());
            assertThat(cost(plan.withLoads(l -> l.withMean(2 * mean)), school).shift()).isGreaterThan(shift);
            assertThat(cost(plan.withWires(w -> w.withJoint(0.05)), school).shift()).isGreaterThan(shift);
            assertThat(cost(plan.withWires(w -> w.withToBattery(9.0)).withWires(w -> w.withToChassis(9.0))
                    .withWires(w -> w.withToReader(9.0)), school).shift())
                    .isGreaterThan(shift);
            assertThat(cost(plan, school).ripple()).as("switched on against off")
                    .isCloseTo(cost(plan.withLoads(l -> l.withDisplay(0.0)).withLoads(l -> l.withOthers(0.0)), school)
                            .ripple(), within(1e-9));
        }
        GroundPlan apart = plan.withTwoWires(true);
        assertThat(cost(apart, GroundSchool.BATTERY).shift()).isCloseTo(0, within(1e-9));
        assertThat(cost(apart, GroundSchool.SAME_POINT).shift()).isCloseTo(0, within(1e-9));
        assertThat(Math.abs(cost(apart, GroundSchool.READER).shift())).isLessThan(1e-9);
    }

    /** What is recommended costs the least of all that stay inside. */
    @Property(tries = 300)
    void theSchoolRecommendedCostsLeast(@ForAll long seed, @ForAll @DoubleRange(min = 0.01, max = 0.3) double most) {
        GroundPlan plan = ground(new Random(seed));
        Optional<GroundSchool> best = plan.recommended(most);
        for (GroundPlan.Cost c : plan.costs()) {
            if (Math.abs(c.shift()) <= most && (plan.twoWires() || c.school() != GroundSchool.READER)) {
                assertThat(best).isPresent();
                assertThat(Math.abs(cost(plan, best.orElseThrow()).shift())).isLessThanOrEqualTo(Math.abs(c.shift()));
            }
        }
    }

    /** The pin lies between the lowest and the highest of what pulls at it, and a stiffer input pulls less. */
    @Property(tries = 500)
    void thePinLiesBetweenWhatPullsAtIt(@ForAll @DoubleRange(min = 0, max = 5) double volts,
            @ForAll @DoubleRange(min = 1, max = 5000) double output,
            @ForAll @DoubleRange(min = 100, max = 1e7) double input,
            @ForAll @DoubleRange(min = 100, max = 1e6) double pull,
            @ForAll @DoubleRange(min = 0, max = 15) double supply) {
        double pin = InputLoading.effect(output, supply, pull, input).atPin(volts);
        assertThat(pin).isBetween(Math.min(0, Math.min(volts, supply)) - 1e-12, Math.max(volts, supply) + 1e-12);
        double bare = InputLoading.effect(output, 0, Double.POSITIVE_INFINITY, input).atPin(volts);
        double stiffer = InputLoading.effect(output, 0, Double.POSITIVE_INFINITY, 10 * input).atPin(volts);
        assertThat(bare).isLessThanOrEqualTo(stiffer + 1e-12);
        assertThat(stiffer).isLessThanOrEqualTo(volts + 1e-12);
        // Kirchhoff: what leaves the pin enters it.
        double in = (volts - pin) / output + (supply - pin) / pull;
        assertThat(in).isCloseTo(pin / input, within(1e-9 * Math.max(1, Math.abs(in))));
    }

    /** Waiting longer never risks more, and past the time the pipe is dry there is no risk left. */
    @Property
    void waitingLongerNeverRisksMore(@ForAll @DoubleRange(min = 0, max = 120) double low,
            @ForAll @DoubleRange(min = 0, max = 120) double more,
            @ForAll @DoubleRange(min = 1, max = 300) double delay) {
        Estimate dry = new Estimate(low, low + more);
        HeaterTiming timer = new HeaterTiming(HeaterTiming.HeaterSchool.TIMER_RELAY, delay);
        Estimate risk = timer.atRisk(HeaterTiming.HeaterSchool.TIMER_RELAY, dry);
        Estimate longer = timer.withDelay(delay + 10).atRisk(HeaterTiming.HeaterSchool.TIMER_RELAY, dry);
        assertThat(longer.high()).isLessThanOrEqualTo(risk.high());
        assertThat(timer.judge(dry).verdict()).isEqualTo(
                delay + 15 >= low + more && delay <= low + more + 60 ? Verdict.PASS : Verdict.WARN);
        assertThat(risk.high()).isLessThanOrEqualTo(
                timer.atRisk(HeaterTiming.HeaterSchool.WITH_IGNITION, dry).high());
    }
}
