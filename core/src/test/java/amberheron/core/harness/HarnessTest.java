package amberheron.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire.Left;
import amberheron.core.harness.WireColour.Hue;
import amberheron.core.units.Unusable;
import amberheron.core.units.WireGauge;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HarnessTest {
    private static final WireColour WHITE = WireColour.of(Hue.WHITE);
    private static final WireColour WHITE_BLACK = new WireColour(Hue.WHITE, Hue.BLACK);
    private static final List<Device> ENDS = List.of(Device.LOGGER, Device.ECU, Device.POWER, Device.CHASSIS,
            Device.LAMPS);
    private static final Wire POWER = Wire.of("1", Work.POWER, Device.CONTROLLER, Device.POWER)
            .withColour(WireColour.of(Hue.RED));
    private static final Wire ANALOG = Wire.of("2", Work.ANALOG, Device.CONTROLLER, Device.LOGGER).withColour(WHITE);

    private static Finding finding(List<Finding> findings, String id) {
        return findings.stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow();
    }

    private static Verdict verdict(Chart chart, String id) {
        return finding(ChartRules.judge(chart, List.of(), List.of(), HEATER), id).verdict();
    }

    @ParameterizedTest
    @CsvSource({"white, white, WH", "WH/BK, white/black, WH/BK", "White with black stripe, white/black, WH/BK",
            "purple, violet, VT", "gray-yellow, grey/yellow, GY/YE"})
    void coloursAreReadAsPeopleWriteThem(String written, String words, String letters) {
        WireColour colour = WireColour.parse(written).orElseThrow();
        assertThat(colour.words()).isEqualTo(words);
        assertThat(colour.letters()).isEqualTo(letters);
        assertThat(WireColour.parse(colour.words())).contains(colour);
        assertThat(WireColour.parse(colour.letters())).contains(colour);
    }

    @ParameterizedTest
    @CsvSource({"beige", "white/", "white/black/red", "whiteblack", "''"})
    void whatIsNoColourIsNotGuessed(String written) {
        assertThat(WireColour.parse(written)).isEmpty();
    }

    @Test
    void twinsStayInDoubtUntilEveryOneIsToldApart() {
        Wire other = Wire.of("3", Work.SIGNAL_GROUND, Device.CONTROLLER, Device.LOGGER).withColour(WHITE);
        Chart chart = new Chart(List.of(POWER, ANALOG, other));
        assertThat(verdict(chart, "chart.twins")).isEqualTo(Verdict.UNKNOWN);
        assertThat(chart.doubtful(ANALOG)).isTrue();
        assertThat(chart.doubtful(POWER)).isFalse();
        Chart half = chart.with("2", w -> w.withToldApart(true));
        assertThat(verdict(half, "chart.twins")).isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(half.with("3", w -> w.withToldApart(true)), "chart.twins")).isEqualTo(Verdict.PASS);
    }

    private static Wire lead(String tag, Work work, Hue colour, Hue extension) {
        return Wire.of(tag, work, Device.SENSOR, Device.CONTROLLER).withColour(WireColour.of(colour))
                .withExtension(WireColour.of(extension));
    }

    /** Pump and reference exchanged behind the joint: each goes on in the other's colour. */
    @Test
    void leadsThatExchangeTheirColoursAreSeen() {
        Wire pump = lead("1", Work.PUMP, Hue.PINK, Hue.BLUE);
        Wire reference = lead("2", Work.REFERENCE, Hue.BLUE, Hue.PINK);
        Chart crossed = new Chart(List.of(pump, reference, lead("3", Work.HEATER_PLUS, Hue.GREY, Hue.GREY)));
        Finding found = finding(ChartRules.judge(crossed, List.of(), List.of(), HEATER), "chart.crossed");
        assertThat(found.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(found.consequence().metric()).contains("1 and 2");
        Chart proved = crossed.with(crossed.wires().get(0).id(), w -> w.withToldApart(true))
                .with(crossed.wires().get(1).id(), w -> w.withToldApart(true));
        assertThat(verdict(proved, "chart.crossed")).as("an extension that crosses them").isEqualTo(Verdict.WARN);
        Chart other = new Chart(List.of(pump, reference.withExtension(WireColour.of(Hue.GREEN))));
        assertThat(ChartRules.judge(other, List.of(), List.of(), HEATER))
                .noneMatch(f -> f.check().is(HarnessCheck.CHART_CROSSED));
    }

    @Test
    void aPinIsOneHoweverItIsWrittenAndAtWhicheverEnd() {
        Wire one = Wire.of("1", Work.ANALOG, Device.CONTROLLER, Device.ECU).withToPin("B7");
        Wire other = Wire.of("2", Work.PULSES, Device.CONTROLLER, Device.ECU).withToPin("b 7");
        assertThat(verdict(new Chart(List.of(one, other)), "chart.pins")).isEqualTo(Verdict.FAIL);
        assertThat(verdict(new Chart(List.of(one, other.withToPin("B17"))), "chart.pins")).isEqualTo(Verdict.PASS);
        Chart sensor = new Chart(List.of(lead("1", Work.PUMP, Hue.PINK, Hue.PINK).withFromPin("k"),
                lead("2", Work.REFERENCE, Hue.BLUE, Hue.BLUE).withFromPin("K ")));
        Finding found = finding(ChartRules.judge(sensor, List.of(), List.of(), HEATER), "chart.pins");
        assertThat(found.verdict()).as("two wires out of one pin of the sensor").isEqualTo(Verdict.FAIL);
        assertThat(found.consequence().metric()).contains("sensor, pin k: 1, 2");
        assertThat(found.asks()).containsExactly(HarnessField.CHART_FROM_PIN.of(sensor.wires().get(0).id()),
                HarnessField.CHART_FROM_PIN.of(sensor.wires().get(1).id()));
        Chart split = new Chart(List.of(one.withFromPin("3").withToPin("A"), other.withFromPin("3").withToPin("C")));
        assertThat(finding(ChartRules.judge(split, List.of(), List.of(), HEATER), "chart.pins").consequence().metric())
                .as("two leads out of one pin to two pins of one reader").contains("controller, pin 3: 1, 2");
    }

    /** The chart takes the signal's ground to the chassis while the way chosen takes it to the reader. */
    @Test
    void aWireThatGoesAnotherWayThanChosenIsSeen() {
        Wire chosen = Wire.of("needed", Work.SIGNAL_GROUND, Device.CONTROLLER, Device.ECU);
        Wire wired = Wire.of("9", Work.SIGNAL_GROUND, Device.CONTROLLER, Device.CHASSIS);
        Finding astray = finding(ChartRules.judge(new Chart(List.of(wired)), List.of(), List.of(chosen), HEATER),
                "chart.way");
        assertThat(astray.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(astray.consequence().metric()).contains("Wire 9, signal ground to chassis point");
        Chart right = new Chart(List.of(wired.withTo(Device.ECU)));
        assertThat(finding(ChartRules.judge(right, List.of(), List.of(chosen), HEATER), "chart.way").verdict())
                .isEqualTo(Verdict.PASS);
        Wire battery = Wire.of("needed", Work.HEATER_GROUND, Device.CONTROLLER, Device.BATTERY);
        Chart chassis = new Chart(List.of(wired.withWork(Work.HEATER_GROUND)));
        assertThat(finding(ChartRules.judge(chassis, List.of(), List.of(battery), HEATER), "chart.way").verdict())
                .as("both are earth").isEqualTo(Verdict.PASS);
        Wire narrow = Wire.of("needed", Work.NARROWBAND, Device.CONTROLLER, Device.STOCK_ECU);
        Chart wide = new Chart(List.of(Wire.of("4", Work.ANALOG, Device.CONTROLLER, Device.STOCK_ECU)));
        assertThat(finding(ChartRules.judge(wide, List.of(), List.of(narrow), HEATER), "chart.way").verdict())
                .as("wideband on a narrowband input").isEqualTo(Verdict.FAIL);
    }

    @Test
    void aJointIsOfAWireThatIsThere() {
        Joints joints = new Joints(Joints.JointSchool.CRIMPED, Set.of(),
                List.of(new Joints.Test("7", 1e-6, 120.0, 0.001)));
        Chart chart = new Chart(List.of(POWER));
        assertThat(JointRules.ofNoWire(joints, chart).orElseThrow().consequence().metric()).contains("No line for 7");
        assertThat(JointRules.ofNoWire(joints, new Chart(List.of(POWER.withTag("7"))))).isEmpty();
    }

    @Test
    void aStripeMakesADifferenceAndSoDoesWhatTheWireLeaves() {
        Chart striped = new Chart(List.of(ANALOG, ANALOG.withTag("3").withColour(WHITE_BLACK)));
        assertThat(striped.twins()).isEmpty();
        Chart elsewhere = new Chart(List.of(ANALOG, ANALOG.withTag("3").withFrom(Device.SENSOR)));
        assertThat(elsewhere.twins()).isEmpty();
        // Two that differ at their end may still meet as twins in the extension.
        Chart extended = new Chart(List.of(POWER.withExtension(WHITE), ANALOG.withExtension(WHITE)));
        assertThat(extended.twins()).singleElement().satisfies(t -> {
            assertThat(t.where()).isEqualTo(Chart.Where.IN_EXTENSION);
            assertThat(t.wires()).hasSize(2);
        });
    }

    @Test
    void anUnusedWireIsAccountedFor() {
        Wire unused = Wire.of("4", Work.PULSES, Device.CONTROLLER, null);
        assertThat(verdict(new Chart(List.of(unused)), "chart.unused")).isEqualTo(Verdict.UNKNOWN);
        assertThat(verdict(new Chart(List.of(unused.withLeft(Left.TAPED))), "chart.unused")).isEqualTo(Verdict.PASS);
        assertThat(verdict(new Chart(List.of(unused.withLeft(Left.CUT))), "chart.unused")).isEqualTo(Verdict.WARN);
        Wire dimmer = unused.withWork(Work.DIMMER);
        assertThat(verdict(new Chart(List.of(dimmer.withLeft(Left.TAPED))), "chart.unused")).isEqualTo(Verdict.WARN);
        assertThat(verdict(new Chart(List.of(dimmer.withLeft(Left.GROUNDED))), "chart.unused"))
                .isEqualTo(Verdict.PASS);
    }

    @Test
    void twoSignalsOnOnePinFailButGroundsMayMeet() {
        Wire narrow = Wire.of("3", Work.NARROWBAND, Device.CONTROLLER, Device.LOGGER).withToPin("a4");
        Chart chart = new Chart(List.of(ANALOG.withToPin("A4"), narrow));
        assertThat(verdict(chart, "chart.pins")).isEqualTo(Verdict.FAIL);
        Chart grounds = new Chart(List.of(narrow.withWork(Work.SIGNAL_GROUND),
                ANALOG.withWork(Work.ANALOG_MINUS).withToPin("a4")));
        assertThat(verdict(grounds, "chart.pins")).isEqualTo(Verdict.PASS);
    }

    @Test
    void whatTheJobNeedsIsAddedOnceAndTagsStayUnique() {
        Chart chart = new Chart(List.of(POWER)).completed(List.of(POWER, ANALOG, ANALOG));
        assertThat(chart.wires()).extracting(Wire::tag).containsExactly("1", "2");
        assertThat(ChartRules.judge(new Chart(List.of(POWER)), List.of(POWER, ANALOG), List.of(), HEATER))
                .filteredOn(f -> f.check().key().equals("chart.complete")).singleElement()
                .satisfies(f -> assertThat(f.consequence().metric()).contains("analog + to logger"));
        assertThatThrownBy(() -> new Chart(List.of(POWER, ANALOG.withTag("1"))))
                .isInstanceOf(Unusable.class).hasMessageContaining("“1” twice");
    }

    /** Every wire has a lane of its own, inside the drawing, between boxes that do not overlap. */
    @Property(tries = 200)
    void aStripHoldsEveryWireOnceAndNothingOverlaps(@ForAll long seed, @ForAll @IntRange(max = 24) int wires) {
        Random random = new Random(seed);
        Chart chart = Chart.EMPTY;
        for (int i = 0; i < wires; i++) {
            Device from = List.of(Device.SENSOR, Device.CONTROLLER, Device.DISPLAY).get(random.nextInt(3));
            Device to = random.nextInt(4) == 0 ? null : ENDS.get(random.nextInt(ENDS.size()));
            chart = chart.plus(Wire.of("x", Work.ANALOG, from, from == Device.SENSOR ? Device.CONTROLLER : to)
                    .withExtension(random.nextBoolean() ? WHITE : null));
        }
        Strip strip = Strip.of(Harness.NONE.withChart(chart), 800, 20, 90, 40);
        assertThat(strip.lanes()).extracting(Strip.Lane::wire).containsExactlyInAnyOrderElementsOf(chart.wires());
        assertThat(strip.lanes()).allSatisfy(l -> {
            assertThat(l.x1()).isLessThan(l.x2());
            assertThat(l.x2()).isLessThanOrEqualTo(800);
            assertThat(l.y()).isBetween(0.0, strip.height());
        });
        for (Strip.Lane a : strip.lanes()) {
            assertThat(strip.lanes()).allMatch(
                    b -> a.equals(b) || Math.abs(a.y() - b.y()) > 1 || a.x2() <= b.x1() || b.x2() <= a.x1());
        }
        for (Strip.Box a : strip.boxes()) {
            assertThat(a.y() + a.height()).isLessThanOrEqualTo(strip.height());
            assertThat(strip.boxes())
                    .allMatch(b -> a.equals(b) || a.x() + a.width() <= b.x() || b.x() + b.width() <= a.x()
                            || a.y() + a.height() <= b.y() + 1e-9 || b.y() + b.height() <= a.y() + 1e-9);
        }
    }

    private static Waypoint point(String name, double length, double hot, @Nullable Double bend) {
        return new Waypoint(name, length, hot, false, 0.2, bend);
    }

    private static final Route ROUTE = Route.UNMEASURED
            .withPoints(List.of(point("gearbox clip", 0.6, 0.18, null), point("firewall", 0.9, 0.3, 0.04),
                    point("display", 0.7, 0.5, null)))
            .withLengths(p -> p.withLead(0.45)).withLengths(p -> p.withExtension(2.4))
            .withLengths(p -> p.withSlackAtEngine(0.2)).withLengths(p -> p.withSlackAtDisplay(0.2))
            .withFirewall(p -> p.withConnector(0.022))
            .withFirewall(p -> p.withHole(0.025)).withFirewall(p -> p.withPassage(Route.Passage.GROMMET))
            .withFirewall(p -> p.withLookedBehind(true)).withSpray(p -> p.withFacing(Route.Facing.DOWN))
            .withSpray(p -> p.withDripLoop(true));

    @Test
    void aSoundRouteKeepsEveryRule() {
        assertThat(RouteRules.judge(ROUTE)).extracting(Finding::verdict).containsOnly(Verdict.PASS);
        // 0.45 + 2.4 − 2.2 − 0.2 − 0.2
        assertThat(ROUTE.spare().orElseThrow()).isCloseTo(0.25, within(1e-12));
        assertThat(RouteRules.judge(Route.UNMEASURED)).extracting(Finding::verdict).containsOnly(Verdict.UNKNOWN);
    }

    @Test
    void eachFaultOfARouteIsFoundWhereItIs() {
        Route hot = ROUTE.withPoints(List.of(point("down pipe", 0.6, 0.06, null)));
        assertThat(finding(RouteRules.judge(hot), "route.hot")).satisfies(f -> {
            assertThat(f.verdict()).isEqualTo(Verdict.FAIL);
            assertThat(f.consequence().metric()).contains("down pipe");
        });
        Route sleeved = ROUTE.withPoints(List.of(point("down pipe", 0.6, 0.06, null).withSleeved(true)));
        assertThat(finding(RouteRules.judge(sleeved), "route.hot").verdict()).isEqualTo(Verdict.PASS);
        Route open = ROUTE
                .withPoints(List.of(point("clip", 0.6, 0.3, null), Waypoint.named("shaft").withLength(0.5)));
        assertThat(finding(RouteRules.judge(open), "route.hot").verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(RouteRules.judge(ROUTE.withLengths(p -> p.withExtension(1.8))), "route.length").verdict())
                .isEqualTo(Verdict.FAIL);
        assertThat(finding(RouteRules.judge(ROUTE.withFirewall(p -> p.withHole(0.02))), "route.hole").verdict())
                .isEqualTo(Verdict.FAIL);
        assertThat(finding(RouteRules.judge(ROUTE.withFirewall(p -> p.withPassage(Route.Passage.BARE))), "route.hole")
                .verdict())
                .isEqualTo(Verdict.FAIL);
        Route bare = Route.UNMEASURED.withFirewall(p -> p.withPassage(Route.Passage.GROMMET))
                .withFirewall(p -> p.withLookedBehind(true));
        assertThat(finding(RouteRules.judge(bare), "route.hole").verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(finding(RouteRules.judge(bare.withFirewall(p -> p.withPassage(Route.Passage.NONE))), "route.hole")
                .verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(finding(RouteRules.judge(ROUTE.withFirewall(p -> p.withLookedBehind(false))), "route.hole"))
                .satisfies(f -> {
                    assertThat(f.verdict()).as("not said is not wrong").isEqualTo(Verdict.UNKNOWN);
                    assertThat(f.consequence().metric()).contains("brake");
                    assertThat(f.asks()).containsExactly(HarnessField.LOOKED_BEHIND.address());
                });
        assertThat(
                finding(RouteRules.judge(ROUTE.withSpray(p -> p.withFacing(Route.Facing.UP))), "route.spray").verdict())
                .isEqualTo(Verdict.WARN);
        // Five diameters of an 11 mm cable are 55 mm; the bend at the firewall is 40.
        assertThat(finding(RouteRules.judge(ROUTE.withCable(0.011)), "route.bend").verdict()).isEqualTo(Verdict.WARN);
    }

    @Test
    void aJointIsPulledForItsSizeAndMeasured() {
        double awg18 = WireGauge.crossSection(18);
        assertThat(JointRules.leastPull(awg18)).isCloseTo(89, within(0.5));
        assertThat(JointRules.leastPull(WireGauge.crossSection(22))).isCloseTo(36, within(0.5));
        Joints crimped = Joints.NONE.joinedBy(Joints.JointSchool.CRIMPED);
        assertThat(JointRules.judge(crimped, 1.2)).extracting(Finding::verdict).containsOnly(Verdict.UNKNOWN);
        Joints done = crimped;
        for (int i = 0; i < Joints.JointSchool.CRIMPED.steps().size(); i++) {
            done = done.ticked(i, true);
        }
        Joints good = done.plus(new Joints.Test("1", awg18, 95.0, 0.006));
        assertThat(JointRules.judge(good, 1.2)).extracting(Finding::verdict).containsOnly(Verdict.PASS);
        Joints weak = good.plus(new Joints.Test("2", awg18, 60.0, 0.0061));
        assertThat(finding(JointRules.judge(weak, 1.2), "joint.pull").consequence().metric()).contains("Wire 2");
        assertThat(finding(JointRules.judge(weak, 1.2), "joint.drop").verdict()).isEqualTo(Verdict.FAIL);
        assertThat(good.joinedBy(Joints.JointSchool.SOLDERED).done()).isEqualTo(Set.of());
        assertThat(JointRules.judge(Joints.NONE.joinedBy(Joints.JointSchool.SOLDERED), 1.2))
                .as("a splice is pulled by hand").noneMatch(f -> f.check().is(HarnessCheck.JOINT_PULL));
        assertThat(JointRules.judge(Joints.NONE.joinedBy(Joints.JointSchool.PLUGGED), 1.2))
                .as("a kit has no joint of ours").singleElement()
                .satisfies(f -> assertThat(f.check().is(HarnessCheck.JOINT_STEPS)).isTrue());
    }

    @Test
    void aDropIsJudgedOnlyWhenBothEndsWereMeasured() {
        AsWired wired = AsWired.NOTHING.withAtSource(13.9);
        assertThat(drop(wired)).isEqualTo(Verdict.UNKNOWN);
        assertThat(drop(wired.withAtController(13.6))).isEqualTo(Verdict.PASS);
        assertThat(drop(wired.withAtController(13.2))).isEqualTo(Verdict.FAIL);
        assertThat(drop(wired.withAtController(14.3))).isEqualTo(Verdict.FAIL);
    }

    private static final HarnessRules.Heater HEATER = new HarnessRules.Heater(1.2, 2.5, 0.06);

    /** A signal may have an ohm; what carries the heater no more than half a volt at its peak, a ground twice itself. */
    @ParameterizedTest
    @CsvSource({"ANALOG, 1.0, PASS", "ANALOG, 1.01, FAIL", "POWER, 0.2, PASS", "POWER, 0.21, FAIL",
            "HEATER_GROUND, 0.169, PASS", "HEATER_GROUND, 0.171, FAIL"})
    void aWireIsJudgedByWhatItCarries(Work work, double ohms, Verdict verdict) {
        Chart chart = new Chart(List.of(Wire.of("1", work, Device.CONTROLLER, Device.CHASSIS).withOhms(ohms)));
        assertThat(finding(ChartRules.judge(chart, List.of(), List.of(), HEATER), "chart.continuity").verdict())
                .isEqualTo(verdict);
    }

    private static Verdict drop(AsWired wired) {
        return finding(HarnessRules.judge(Harness.NONE.withAsWired(wired), List.of(), List.of(), HEATER), "wired.drop")
                .verdict();
    }

    /** Said or not: what nobody said is not judged, and what is too hot or wet is not to be signed. */
    @ParameterizedTest
    @CsvSource({"LEAD_DOWN, PASS", "LEAD_UP, WARN", "HOT, FAIL", "WET, FAIL"})
    void theControllerLivesDryAndCool(Route.Seat seat, Verdict verdict) {
        assertThat(RouteRules.judge(ROUTE)).noneMatch(f -> f.check().is(HarnessCheck.ROUTE_SEAT));
        assertThat(finding(RouteRules.judge(ROUTE.withSpray(p -> p.withSeat(seat))), "route.seat").verdict())
                .isEqualTo(verdict);
    }
}
