package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.units.WireGauge;
import amberheron.core.wiring.GroundNetwork.Branch;
import amberheron.core.wiring.GroundNetwork.Load;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.ejml.simple.SimpleMatrix;
import org.junit.jupiter.api.Test;

class GroundTest {
    private static final GroundPlan PLAN = GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT)
            .withWires(w -> w.withToChassis(3.0))
            .withWires(w -> w.withToReader(0.4)).withWires(w -> w.withToBattery(1.6))
            .withWires(w -> w.withSection(WireGauge.crossSection(18))).withLoads(l -> l.withMean(1.2))
            .withLoads(l -> l.withPeak(2.6));

    private static GroundPlan.Cost cost(GroundPlan plan, GroundSchool school) {
        return plan.withSchool(school).cost().orElseThrow();
    }

    /** Another formulation in another library: every branch current an unknown of its own, Ohm's law a row for each. */
    private static double[] tableau(int points, List<Branch> branches, List<Load> loads) {
        int n = points - 1;
        int m = branches.size();
        SimpleMatrix a = new SimpleMatrix(n + m, n + m);
        SimpleMatrix b = new SimpleMatrix(n + m, 1);
        for (int k = 0; k < m; k++) {
            Branch branch = branches.get(k);
            // v(from) − v(to) − R·i = 0, and i leaves one point and enters the other.
            if (branch.from() > 0) {
                a.set(n + k, branch.from() - 1, 1);
                a.set(branch.from() - 1, n + k, 1);
            }
            if (branch.to() > 0) {
                a.set(n + k, branch.to() - 1, -1);
                a.set(branch.to() - 1, n + k, -1);
            }
            a.set(n + k, n + k, -branch.ohms());
        }
        for (Load load : loads) {
            if (load.at() > 0) {
                b.set(load.at() - 1, 0, b.get(load.at() - 1, 0) + load.amperes());
            }
        }
        SimpleMatrix x = a.solve(b);
        double[] volts = new double[points];
        for (int i = 1; i < points; i++) {
            volts[i] = x.get(i - 1, 0);
        }
        return volts;
    }

    @Property(tries = 200)
    void anyNetworkIsSolvedTheSameByAnotherWay(@ForAll long seed) {
        Random random = new Random(seed);
        int points = 3 + random.nextInt(6);
        List<Branch> branches = new ArrayList<>();
        for (int i = 1; i < points; i++) {
            branches.add(new Branch(i, random.nextInt(i), 1e-3 * Math.pow(10, 2 * random.nextDouble())));
        }
        for (int i = random.nextInt(4); i > 0; i--) {
            int from = random.nextInt(points);
            branches.add(new Branch(from, (from + 1 + random.nextInt(points - 1)) % points,
                    0.05 * random.nextDouble() + 1e-3));
        }
        List<Load> loads = List.of(new Load(1 + random.nextInt(points - 1), 20 * random.nextDouble()),
                new Load(1 + random.nextInt(points - 1), 3 * random.nextDouble()));
        List<Double> volts = GroundNetwork.solve(points, branches, loads);
        double[] other = tableau(points, branches, loads);
        for (int i = 0; i < points; i++) {
            assertThat(volts.get(i)).isCloseTo(other[i], within(1e-9));
        }
    }

    /** A strap that is as good as none is no loose end. */
    @Test
    void aWireWithoutResistanceHoldsItsPointDown() {
        List<Double> volts = GroundNetwork.solve(3, List.of(new Branch(1, 0, 1e-300), new Branch(2, 1, 0.1)),
                List.of(new Load(2, 1)));
        assertThat(volts.get(1)).isCloseTo(0, within(1e-6));
        assertThat(volts.get(2)).isCloseTo(0.1, within(1e-6));
    }

    /** By hand: 2 A through 0.1 Ω then 0.2 Ω in parallel with 0.2 Ω; half the current in each of the two. */
    @Test
    void byOhmAndKirchhoff() {
        List<Double> volts = GroundNetwork.solve(3,
                List.of(new Branch(2, 1, 0.1), new Branch(1, 0, 0.2), new Branch(1, 0, 0.2)), List.of(new Load(2, 2)));
        assertThat(volts.get(1)).isCloseTo(0.2, within(1e-12));
        assertThat(volts.get(2)).isCloseTo(0.4, within(1e-12));
        assertThatThrownBy(() -> GroundNetwork.solve(3, List.of(new Branch(1, 0, 1)), List.of()))
                .hasMessageContaining("hangs free");
        assertThatThrownBy(() -> new Branch(1, 0, 0)).hasMessageContaining("more than 0");
    }

    /** 3 m of 18 AWG at 1.2 A: 75 mV, whatever else comes back through the strap that both share. */
    @Test
    void atOnePointOnlyTheWireCounts() {
        assertThat(cost(PLAN, GroundSchool.SAME_POINT).shift()).isCloseTo(0.0754, within(5e-5));
        assertThat(cost(PLAN.withLoads(l -> l.withOthers(80.0)), GroundSchool.SAME_POINT).shift())
                .isCloseTo(cost(PLAN, GroundSchool.SAME_POINT).shift(), within(1e-9));
        assertThat(cost(PLAN, GroundSchool.SAME_POINT).ripple()).as("2.6 A while it is on").isCloseTo(
                0.0754 * 2.6 / 1.2,
                within(2e-4));
    }

    /** By hand: (1.2 + 0.3) A through 62.8 mΩ of wire and two joints of 4 mΩ; the display does not pulse. */
    @Test
    void theDisplayAndTheJointsCountToo() {
        GroundPlan.Cost cost = cost(PLAN.withLoads(l -> l.withDisplay(0.3)).withWires(w -> w.withJoint(0.004)),
                GroundSchool.SAME_POINT);
        assertThat(cost.shift()).isCloseTo(1.5 * (0.0754 / 1.2 + 0.008), within(1e-4));
        assertThat(cost.ripple()).isCloseTo(2.6 * (0.0754 / 1.2 + 0.008), within(2e-4));
    }

    /** A chassis point that other loads lift is paid for by a reader grounded elsewhere: (10 A + 1.2 A) × 5 mΩ more. */
    @Test
    void atTheChassisTheStrapCountsToo() {
        double wire = cost(PLAN, GroundSchool.SAME_POINT).shift();
        assertThat(cost(PLAN, GroundSchool.CHASSIS).shift()).isCloseTo(wire + 11.2 * 0.005, within(1e-6));
        assertThat(cost(PLAN.withLoads(l -> l.withOthers(0.0)).withWires(w -> w.withStrap(0.001)), GroundSchool.CHASSIS)
                .shift()).isCloseTo(wire + 1.2e-3,
                        within(1e-6));
    }

    @Test
    void twoWiresKeepTheHeaterOutOfTheSignal() {
        GroundPlan apart = PLAN.withTwoWires(true);
        assertThat(cost(apart, GroundSchool.BATTERY).shift()).isCloseTo(0, within(1e-12));
        assertThat(cost(apart, GroundSchool.READER).shift()).isCloseTo(0, within(1e-12));
        assertThat(cost(apart, GroundSchool.CHASSIS).shift()).as("but not the strap").isCloseTo(11.2 * 0.005,
                within(1e-6));
        assertThat(GroundPlan.UNMEASURED.withTwoWires(true).withSchool(GroundSchool.READER).cost())
                .as("a wire that nobody measured proves nothing").isEmpty();
    }

    @Test
    void theSchoolInsideToleranceAtLeastCostIsRecommended() {
        assertThat(PLAN.recommended(0.05)).as("not the reader's sensor ground, which the heater would lift")
                .hasValue(GroundSchool.BATTERY);
        assertThat(PLAN.withTwoWires(true).recommended(0.05)).hasValueSatisfying(s -> assertThat(
                cost(PLAN.withTwoWires(true), s).shift()).isCloseTo(0, within(1e-12)));
        assertThat(PLAN.withWires(w -> w.withToReader(null)).recommended(0.05)).hasValue(GroundSchool.BATTERY);
        assertThat(PLAN.withWires(w -> w.withToReader(null)).withWires(w -> w.withToBattery(null)).recommended(0.05))
                .isEmpty();
    }

    /** The heater's return is separated first; with two wires another place, a thicker wire, and at last the reader's − input. */
    @Test
    void theCureFollowsFromTheHarness() {
        GroundPlan shared = PLAN.withSchool(GroundSchool.SAME_POINT);
        GroundCure separated = GroundCure.of(shared, 0.05).orElseThrow();
        assertThat(separated.text().metric()).startsWith("Part the grounds: ");
        assertThat(Math.abs(cost(Objects.requireNonNull(separated.plan()), GroundSchool.READER).shift()))
                .isLessThan(1e-9);
        double shift = cost(shared, GroundSchool.SAME_POINT).shift();
        assertThat(GroundCure.of(shared, shift + 1e-6)).as("just inside").isEmpty();
        assertThat(GroundCure.of(shared, shift - 1e-6)).as("just outside").isPresent();
        assertThat(GroundCure.of(PLAN.withSchool(GroundSchool.READER), 10)).as("small, but through the sensors' ground")
                .isPresent();
        GroundPlan lifted = PLAN.withTwoWires(true).withSchool(GroundSchool.CHASSIS);
        assertThat(GroundCure.of(lifted, 0.05).orElseThrow().text().metric()).startsWith("Take the ground as “");
        assertThat(GroundCure.of(lifted.withMeasured(GroundSchool.BATTERY, 1.0).withMeasured(GroundSchool.READER, 1.0)
                .withMeasured(GroundSchool.SAME_POINT, 1.0), 0.05).orElseThrow().plan()).as("nothing near enough")
                .isNull();
        assertThat(GroundCure.of(GroundPlan.UNMEASURED, 0.05)).isEmpty();
    }

    @Test
    void aMeasuredDropReplacesTheEstimateAndAMissingWireIsNoCost() {
        assertThat(cost(PLAN.withMeasured(GroundSchool.CHASSIS, 0.021), GroundSchool.CHASSIS))
                .satisfies(c -> assertThat(c.shift()).isEqualTo(0.021))
                .satisfies(c -> assertThat(c.measured()).isTrue());
        assertThat(PLAN.withMeasured(GroundSchool.CHASSIS, 0.1).withMeasured(GroundSchool.CHASSIS, null))
                .isEqualTo(PLAN);
        assertThat(GroundPlan.UNMEASURED.withSchool(GroundSchool.CHASSIS).cost()).isEmpty();
        assertThat(GroundPlan.UNMEASURED.costs()).isEmpty();
    }

    /** By hand: 3 A of the reader's own through its 10 mΩ lift its ground by 30 mV, and the reader reads so much less. */
    @Test
    void theReadersOwnCurrentLiftsItsGround() {
        double bare = cost(PLAN, GroundSchool.BATTERY).shift();
        assertThat(cost(PLAN.withLoads(l -> l.withReaderDraw(3.0)), GroundSchool.BATTERY).shift())
                .isCloseTo(bare - 0.03, within(1e-9));
        assertThat(cost(PLAN.withLoads(l -> l.withReaderDraw(3.0)), GroundSchool.READER).shift())
                .as("both are lifted alike")
                .isCloseTo(cost(PLAN, GroundSchool.READER).shift(), within(1e-9));
    }

    /** The wire to the battery passes the engine: copper at 80 °C, as the feed's. */
    @Test
    void theWireToTheBatteryIsWarm() {
        Conductor copper = new Conductor(1.6, WireGauge.crossSection(18));
        assertThat(PLAN.wire(GroundSchool.BATTERY)).isCloseTo(copper.resistance() * (1 + 0.00393 * 60), within(1e-9));
        assertThat(PLAN.wire(GroundSchool.READER)).isCloseTo(
                new Conductor(0.4, WireGauge.crossSection(18)).resistance(),
                within(1e-9));
    }

    /** What each load adds over its current is the resistance it shares: a network of our own is found again. */
    @Test
    void theTrialFindsTheResistancesBehindTheShift() {
        double strap = 0.004;
        GroundPlan built = PLAN.withSchool(GroundSchool.CHASSIS).withWires(w -> w.withStrap(strap));
        GroundTrial trial = GroundTrial.NONE.withLamps(9.0).withFan(14.0)
                .with(GroundTrial.On.NOTHING,
                        cost(built.withLoads(l -> l.withOthers(0.0)).withLoads(l -> l.withMean(0.0)),
                                GroundSchool.CHASSIS).shift())
                .with(GroundTrial.On.HEATER,
                        cost(built.withLoads(l -> l.withOthers(0.0)), GroundSchool.CHASSIS).shift())
                .with(GroundTrial.On.LAMPS, cost(built.withLoads(l -> l.withOthers(9.0)), GroundSchool.CHASSIS).shift())
                .with(GroundTrial.On.FAN, cost(built.withLoads(l -> l.withOthers(23.0)), GroundSchool.CHASSIS).shift());
        assertThat(trial.loadOhms().orElseThrow()).isCloseTo(strap, within(1e-9));
        assertThat(trial.heaterOhms(1.2).orElseThrow()).isCloseTo(built.wire(GroundSchool.CHASSIS) + strap,
                within(1e-9));
        assertThat(trial.heaterOhms(null)).isEmpty();
        assertThat(trial.with(GroundTrial.On.LAMPS, null).loadOhms()).as("nothing to compare with").isEmpty();
        GroundPlan tried = PLAN.withSchool(GroundSchool.CHASSIS).withTrial(trial).withLoads(l -> l.withOthers(12.0));
        assertThat(tried.cost().orElseThrow().shift()).as("what was found stands for the usual strap")
                .isCloseTo(cost(built.withLoads(l -> l.withOthers(12.0)), GroundSchool.CHASSIS).shift(), within(1e-9));
    }
}
