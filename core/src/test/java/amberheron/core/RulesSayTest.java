package amberheron.core;

import static amberheron.core.units.Phrase.say;
import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.Crossings;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Drives;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.Held;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.LogRules;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Sample;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Source;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.AirRules;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.Controllers;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.Steadiness;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.parts.Address;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Estimate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.placement.Site;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Tolerance;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup.Form;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * What every rule says when one thing is changed on a sound job: verdict, figure, limit, cost, what it means and what is
 * asked for. Kept beside the test as a text that a practitioner can read; where a rule is changed on purpose, the test
 * leaves the new text in {@code target} to be read and taken over.
 */
class RulesSayTest {
    private static final LogRules.Engine PLAIN = LogRules.Engine.with(EngineTrait.READ_UNDER_LOAD);
    static final OutputLaw LAW = new OutputLaw("two-v", "2·V + 10", OutputLaw.Kind.LINEAR,
            MixtureScale.afr(14.7), List.of(new OutputLaw.Point(0, 10), new OutputLaw.Point(5, 20)), 0, 5,
            Source.practice("made up for the test"));
    private static final Set<ReaderKind> LOGGER = Set.of(ReaderKind.LOGGER);

    private final StringBuilder said = new StringBuilder();
    private List<String> sound = List.of();

    private static String line(Finding f) {
        return say("%s %s: %s%s%s%s %s [%s] (%s)", f.verdict(), f.check().key(), f.subject().metric(),
                f.figure() == null ? "" : say(", %.4g", f.figure().si()),
                f.limit() == null ? "" : say(" %s %.4g", f.limit().relation(), f.limit().bound().si()),
                f.lambdaCost() == null ? "" : say(", costs %.4f", f.lambdaCost()), f.consequence().metric(),
                f.asks().stream().map(Address::key).collect(Collectors.joining(" ")), f.working().metric());
    }

    private void base(String title, List<Finding> findings) {
        sound = findings.stream().map(RulesSayTest::line).toList();
        said.append("# ").append(title).append('\n');
        sound.forEach(l -> said.append(l).append('\n'));
    }

    /** Only what differs from the sound job is told, and what is no longer asked. */
    private void changed(String title, List<Finding> findings) {
        List<String> lines = findings.stream().map(RulesSayTest::line).toList();
        said.append("## ").append(title).append('\n');
        lines.stream().filter(l -> !sound.contains(l)).forEach(l -> said.append(l).append('\n'));
        long gone = sound.size() - lines.stream().filter(sound::contains).count()
                - lines.stream().filter(l -> !sound.contains(l)).count();
        said.append(gone > 0 ? "(%d fewer)\n".formatted(gone) : "");
    }

    private static PowerSource source() {
        PowerSource source = PowerSource.named("A").withHostFuse(15.0).withHostLoad(4.0);
        for (KeyState state : KeyState.values()) {
            source = source.withVolts(state, switch (state) {
                case OFF, ACCESSORY -> 0.0;
                case ON -> 12.4;
                case CRANKING -> 9.8;
                case RUNNING -> 14.1;
                case LAMPS -> 13.9;
                case INDICATORS -> 14.0;
            });
        }
        return source;
    }

    static Wiring wiring() {
        GroundPlan ground = GroundPlan.UNMEASURED.withSchool(GroundSchool.READER).withTwoWires(true)
                .withWires(w -> w.withToReader(0.5))
                .withWires(w -> w.withToChassis(0.9)).withWires(w -> w.withToBattery(1.6))
                .withWires(w -> w.withSection(0.8e-6)).withLoads(l -> l.withMean(1.2)).withLoads(l -> l.withPeak(2.6));
        Signals signals = Signals.NONE.withOutputOhms(100.0).with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(1e6).withMostVolts(5.0));
        Wiring bare = Wiring.UNMEASURED.withSources(List.of(source())).withTaken("A")
                .withFeed(new Feed(1.5, 1e-6, false, 45.0, null, null, null, 0.75e-6)).withFuse(5.0).withDraw(3.0)
                .withGround(ground)
                .withSignals(signals).withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.TIMER_RELAY, 30.0));
        List<Wire> wires = new ArrayList<>();
        WireColour.Hue[] hues = WireColour.Hue.values();
        for (Wire w : bare.needed(LOGGER)) {
            wires.add(Wire.of(String.valueOf(wires.size() + 1), Objects.requireNonNull(w.work()), w.from(), w.to())
                    .withColour(WireColour.of(hues[wires.size()])).withOhms(0.05));
        }
        Route route = Route.UNMEASURED
                .withPoints(List.of(new Waypoint("clip", 0.6, 0.18, false, 0.2, 0.05),
                        new Waypoint("firewall", 0.9, 0.06, true, 0.1, null)))
                .withLengths(p -> p.withLead(0.4)).withLengths(p -> p.withExtension(2.4))
                .withLengths(p -> p.withSlackAtEngine(0.2)).withLengths(p -> p.withSlackAtDisplay(0.2))
                .withFirewall(p -> p.withConnector(0.022))
                .withFirewall(p -> p.withHole(0.025)).withFirewall(p -> p.withPassage(Route.Passage.GROMMET))
                .withFirewall(p -> p.withLookedBehind(true))
                .withSpray(p -> p.withFacing(Route.Facing.DOWN)).withSpray(p -> p.withDripLoop(true));
        Joints joints = new Joints(Joints.JointSchool.CRIMPED,
                IntStream.range(0, Joints.JointSchool.CRIMPED.steps().size()).boxed().collect(Collectors.toSet()),
                List.of(new Joints.Test("1", 0.8e-6, 95.0, 0.002)));
        return bare.withHarness(new Harness(new Chart(wires), route, joints,
                AsWired.NOTHING.withAtSource(13.9).withAtController(13.7)));
    }

    private static List<Finding> judge(Wiring wiring) {
        return WireRules.judge(wiring,
                new WireRules.Installation(LOGGER, LAW, new Estimate(15, 40), Engine.Supply.TWELVE, Tolerance.LAMBDA));
    }

    private void wired(String title, UnaryOperator<Wiring> change) {
        changed(title, judge(change.apply(wiring())));
    }

    private void powered(String title, UnaryOperator<PowerSource> change) {
        wired(title, w -> w.withSource("A", change));
    }

    private void grounded(String title, UnaryOperator<GroundPlan> change) {
        wired(title, w -> w.withGround(change.apply(w.ground())));
    }

    private void routed(String title, UnaryOperator<Route> change) {
        wired(title, w -> w.withHarness(w.harness().withRoute(change.apply(w.harness().route()))));
    }

    private void joined(String title, UnaryOperator<Joints> change) {
        wired(title, w -> w.withHarness(w.harness().withJoints(change.apply(w.harness().joints()))));
    }

    private void charted(String title, UnaryOperator<Chart> change) {
        wired(title, w -> w.withHarness(w.harness().withChart(change.apply(w.harness().chart()))));
    }

    private void wiringStation() {
        base("Wire, all sound", judge(wiring()));
        wired("nothing at all", w -> Wiring.UNMEASURED);
        for (KeyState state : KeyState.values()) {
            powered("not measured: " + state, s -> s.withVolts(state, null));
            powered("half a volt: " + state, s -> s.withVolts(state, 0.51));
            powered("five volts: " + state, s -> s.withVolts(state, 5.0));
            powered("more than running: " + state, s -> s.withVolts(state, 14.8));
        }
        powered("a circuit nobody looked at", s -> s.withHostFuse(null).withHostLoad(null));
        powered("what it feeds is not known", s -> s.withHostLoad(null));
        powered("too much for it", s -> s.withHostLoad(9.1));
        wired("no fuse", w -> w.withFuse(null));
        wired("fuse as small as the draw", w -> w.withFuse(3.0));
        wired("fuse bigger than usual", w -> w.withFuse(7.5));
        wired("fuse above the wire", w -> w.withFuse(15.0));
        wired("feed not measured", w -> w.withFeed(w.feed().withLength(null)));
        wired("feed of no known size", w -> w.withFeed(w.feed().withCrossSection(null)));
        wired("feed too long", w -> w.withFeed(w.feed().withLength(20.0)));
        wired("relay, battery not measured", w -> w.withFeed(w.feed().withRelay(true)));
        wired("relay", w -> w.withFeed(w.feed().withRelay(true).withAtBattery(12.5)));
        wired("constant source, battery not known", w -> w.withFeed(w.feed().withBattery(null)).withSource("A",
                s -> s.withVolts(KeyState.OFF, 12.5)));
        wired("second feed", w -> w.withFeed(w.feed().withMemory(0.02)));
        grounded("no school", g -> g.withSchool(null));
        for (GroundSchool school : GroundSchool.values()) {
            grounded("two wires: " + school, g -> g.withSchool(school));
            grounded("one wire: " + school, g -> g.withSchool(school).withTwoWires(false));
            grounded("one long wire: " + school,
                    g -> g.withSchool(school).withTwoWires(false).withWires(w -> w.withToBattery(9.0))
                            .withWires(w -> w.withToChassis(9.0)).withWires(w -> w.withToReader(9.0)));
        }
        grounded("length not measured", g -> g.withWires(w -> w.withToReader(null)));
        grounded("size not known", g -> g.withWires(w -> w.withSection(null)));
        grounded("heater's current not known", g -> g.withLoads(l -> l.withMean(null)));
        grounded("measured", g -> g.withDrop(0.02));
        grounded("measured far off", g -> g.withDrop(-0.06));
        for (HeaterTiming.HeaterSchool school : HeaterTiming.HeaterSchool.values()) {
            wired("heater: " + school, w -> w.withHeater(new HeaterTiming(school, null)));
        }
        wired("heater much too late", w -> w.withHeater(w.heater().withDelay(200.0)));
        wired("heater open", w -> w.withHeater(HeaterTiming.OPEN));
        changed("heater, place not known", WireRules.judge(wiring(),
                new WireRules.Installation(LOGGER, LAW, null, Engine.Supply.TWELVE, Tolerance.LAMBDA)));
        changed("no law yet", WireRules.judge(wiring(),
                new WireRules.Installation(LOGGER, null, new Estimate(15, 40), Engine.Supply.TWELVE,
                        Tolerance.LAMBDA)));
        for (Form form : Form.values()) {
            wired("hook-up: " + form,
                    w -> w.withSignals(w.signals().with(ReaderKind.LOGGER, h -> h.withForm(form))));
        }
        wired("input loads", w -> w.withSignals(w.signals().with(ReaderKind.LOGGER, h -> h.withInputOhms(4_000.0))));
        wired("pull-up", w -> w.withSignals(w.signals().with(ReaderKind.LOGGER,
                h -> h.withPullUpOhms(2_000.0).withPullUpVolts(5.0))));
        wired("pull-up of no known supply",
                w -> w.withSignals(w.signals().with(ReaderKind.LOGGER, h -> h.withPullUpOhms(2_000.0))));
        wired("output not known", w -> w.withSignals(w.signals().withOutputOhms(null)));
        wired("input stands less",
                w -> w.withSignals(w.signals().with(ReaderKind.LOGGER, h -> h.withMostVolts(3.3))));
        charted("a line lacks", c -> new Chart(c.wires().subList(1, c.wires().size())));
        charted("no colour", c -> c.with("2", w -> w.withColour(null)));
        charted("twins", c -> c.with("2", w -> w.withColour(c.wires().getFirst().colour())));
        charted("one pin", c -> c.with("4", w -> w.withToPin("7"))
                .completed(List.of(Wire.of("9", Work.PULSES, Device.CONTROLLER, Device.LOGGER)))
                .with("new-0", w -> w.withToPin("7").withColour(WireColour.of(WireColour.Hue.PINK))));
        for (Wire.Left left : Wire.Left.values()) {
            charted("a dimmer that goes nowhere, " + left, c -> new Chart(IntStream.rangeClosed(0, c.wires().size())
                    .mapToObj(at -> at < c.wires().size()
                            ? c.wires().get(at)
                            : Wire.of("d", Work.DIMMER, Device.CONTROLLER, null)
                                    .withColour(WireColour.of(WireColour.Hue.PINK)).withLeft(left))
                    .toList()));
        }
        charted("a wire that is left anyhow", c -> c.with("4", w -> w.withTo(null)));
        charted("a bad joint", c -> c.with("1", w -> w.withOhms(0.5)));
        joined("not joined", j -> Joints.NONE);
        joined("a step open", j -> j.ticked(3, false));
        joined("soldered", j -> j.joinedBy(Joints.JointSchool.SOLDERED));
        joined("plugged", j -> j.joinedBy(Joints.JointSchool.PLUGGED));
        joined("not tested", j -> j.withTested(List.of()));
        joined("size not known", j -> j.withTested(List.of(new Joints.Test("1", null, 95.0, 0.002))));
        joined("pulled out, no tag", j -> j.withTested(List.of(new Joints.Test("", 0.8e-6, 30.0, 0.02))));
        joined("drop not read", j -> j.withTested(List.of(new Joints.Test("1", 0.8e-6, 95.0, null))));
        routed("no way", r -> r.withPoints(List.of()));
        routed("a stretch not measured", r -> r.withPoints(List.of(Waypoint.named("clip"))));
        routed("lead not measured", r -> r.withLengths(p -> p.withLead(null)));
        routed("loops not measured",
                r -> r.withLengths(p -> p.withSlackAtEngine(null)).withLengths(p -> p.withSlackAtDisplay(null)));
        routed("loop too short", r -> r.withLengths(p -> p.withSlackAtEngine(0.05)));
        routed("other loop too short", r -> r.withLengths(p -> p.withSlackAtDisplay(0.05)));
        routed("too short", r -> r.withLengths(p -> p.withExtension(0.5)));
        routed("near a hot part", r -> r.withPoints(List.of(new Waypoint("clip", 0.6, 0.05, false, 0.2, 0.02))));
        routed("near a shaft", r -> r.withPoints(List.of(new Waypoint("clip", 0.6, 0.2, false, 0.02, 0.05))));
        for (Route.Passage passage : Route.Passage.values()) {
            routed("passes by " + passage, r -> r.withFirewall(p -> p.withPassage(passage)));
        }
        routed("passage not said", r -> r.withFirewall(p -> p.withPassage(null)));
        routed("nobody looked behind", r -> r.withFirewall(p -> p.withLookedBehind(false)));
        routed("hole too small", r -> r.withFirewall(p -> p.withHole(0.02)));
        routed("hole not measured", r -> r.withFirewall(p -> p.withHole(null)));
        routed("connector not measured", r -> r.withFirewall(p -> p.withConnector(null)));
        for (Route.Facing facing : Route.Facing.values()) {
            routed("faces " + facing, r -> r.withSpray(p -> p.withFacing(facing)));
        }
        routed("facing not said", r -> r.withSpray(p -> p.withFacing(null)));
        routed("no drip loop", r -> r.withSpray(p -> p.withDripLoop(false)));
        wired("drop not measured", w -> w.withHarness(w.harness().withAsWired(AsWired.NOTHING)));
        wired("too much lost", w -> w.withHarness(
                w.harness().withAsWired(AsWired.NOTHING.withAtSource(13.9).withAtController(13.3))));
        wired("more than there was", w -> w.withHarness(
                w.harness().withAsWired(AsWired.NOTHING.withAtSource(13.9).withAtController(14.0))));
    }

    static final Exhaust RUN = new Exhaust(List.of(Segment.straight(Line.ALL, Kind.TURBINE, 0.1, 0.06, 0.0),
            Segment.straight(Line.ALL, Kind.PIPE, 1.2, 0.0508, 0.0),
            Segment.straight(Line.ALL, Kind.CATALYST, 0.3, 0.1, 0.0),
            Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.0508, 0.0)),
            List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 3, 0.15),
                    new Neighbour(Neighbour.Kind.DRIVESHAFT, Neighbour.Side.RIGHT, 0, 3, 0.2),
                    new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0, 3, 0.2)),
            Attitude.LEVEL);

    private static Site site(Exhaust exhaust) {
        return new Site(exhaust, 2e-3, 1, 14.7, new Probe(0.085, 1.0, 1.0), new Site.Wired(3.0, null, 60),
                PlaceSchools.OURS);
    }

    private static List<Finding> placed(Site site, Candidate place, AsFitted fitted) {
        return Placing.NONE.withCandidates(List.of(place)).withChosen("A").withFitted(fitted).findings(site);
    }

    private void placeStation() {
        Candidate place = Candidate.named("A").withDistance(0.6).withClock(Math.toRadians(40));
        AsFitted fitted = new AsFitted(0.6, Math.toRadians(50), 0, 0, LocalDate.of(2026, 5, 1), true, List.of());
        base("Place, all sound", placed(site(RUN), place, fitted));
        changed("nothing known", placed(new Site(Exhaust.UNMEASURED, null, 2, 14.7, Probe.UNMEASURED,
                new Site.Wired(null, null, 60), PlaceSchools.OURS), Candidate.named("A"), AsFitted.NOTHING));
        for (double distance : new double[]{-0.05, 0.3, 1.3, 1.7, 2.4, 2.6}) {
            changed(say("at %.2f m", distance), placed(site(RUN), place.withDistance(distance),
                    fitted.withDistance(distance)));
        }
        changed("low", placed(site(RUN), place.withClock(Math.toRadians(130)), AsFitted.NOTHING));
        changed("flat", placed(site(RUN), place.withClock(Math.toRadians(85)), AsFitted.NOTHING));
        changed("no clock position", placed(site(RUN), place.withClock(null), AsFitted.NOTHING));
        changed("hot as measured", placed(site(RUN), place.withGas(1300.0), fitted));
        changed("moved and turned", placed(site(RUN), place,
                fitted.withDistance(0.65).withReading(Math.toRadians(30))));
        changed("a tilt that cannot be", placed(site(RUN), place, fitted.withReading(Math.toRadians(95))));
        changed("leaks", placed(site(RUN), place, fitted.withAirtight(false)));
        changed("not tested, not measured", placed(site(RUN), place, AsFitted.NOTHING.withAirtight(null)
                .withDistance(0.6)));
        for (Neighbour.Kind kind : Neighbour.Kind.values()) {
            for (double gap : new double[]{0.05, 0.11}) {
                changed(say("%s at %.2f m above", kind, gap), placed(site(RUN.withNeighbours(
                        List.of(new Neighbour(kind, Neighbour.Side.ABOVE, 0, 3, gap)))), place, fitted));
            }
        }
        changed("gap not measured", placed(site(RUN.withNeighbours(
                List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 3, null)))), place, fitted));
        changed("nothing around", placed(site(RUN.withNeighbours(List.of())), place, fitted));
        changed("lead too short", placed(new Site(RUN, 2e-3, 1, 14.7, new Probe(0.085, 1.0, 1.0),
                new Site.Wired(1.0, null, 60), PlaceSchools.OURS), place, fitted));
        changed("big engine, heater at once", placed(new Site(RUN, 6e-3, 1, 14.7, new Probe(null, null, null),
                new Site.Wired(null, null, 15), PlaceSchools.OURS), place, fitted));
        changed("small engine", placed(new Site(RUN, 0.1e-3, 1, 14.7, new Probe(0.085, 1.0, 1.0),
                new Site.Wired(3.0, null, 60), PlaceSchools.OURS), place, fitted));
        Exhaust vee = RUN.withSegments(List.of(Segment.straight(Line.FIRST, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.SECOND, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.05, 0.0)));
        Site banks = new Site(vee, 2e-3, 2, 14.7, new Probe(0.085, 1.0, 1.0), new Site.Wired(3.0, null, 60),
                PlaceSchools.OURS);
        changed("one bank", placed(banks, place.withLine(Line.SECOND), fitted));
        changed("after the merge",
                placed(banks, place.withLine(Line.SECOND).withDistance(1.0), fitted.withDistance(1.0)));
    }

    private void airStation() {
        FreeAirCheck check = Controllers.check(Controllers.LEARNS, 0.2068, null, 90.0, LocalDate.of(2026, 5, 1), "V-1");
        base("Air, all sound", AirRules.judge(check, 1.36, Tolerance.LAMBDA));
        changed("nothing", AirRules.judge(FreeAirCheck.NONE, 1.36, Tolerance.LAMBDA));
        changed("damp and hot",
                AirRules.judge(check.withToday(AirOfDay.of(308.15, 0.9, 0)), 1.36, Tolerance.LAMBDA));
        changed("very hot", AirRules.judge(check.withToday(AirOfDay.of(318.15, 0.99, 0)), 1.36, Tolerance.LAMBDA));
        changed("learned high, driven low", AirRules.judge(check.withToday(AirOfDay.of(293.15, 0.2, 1500)
                .withDrivenHeight(0.0)), 1.36, Tolerance.LAMBDA));
        changed("a condition not looked at", AirRules.judge(check.withConditions(
                EnumSet.complementOf(EnumSet.of(Condition.DRY))), 1.36, Tolerance.LAMBDA));
        changed("another controller's number", AirRules.judge(check.withController(Controllers.FACTORY), 1.36,
                Tolerance.LAMBDA));
        changed("nobody knows which controller", AirRules.judge(check.withController(null), 1.36, Tolerance.LAMBDA));
        changed("trimmed at the factory, driven high", AirRules.judge(check.withController(Controllers.FACTORY)
                .withToday(AirOfDay.of(293.15, 0.5, 0).withDrivenHeight(3000.0)), 1.36, Tolerance.LAMBDA));
        changed("drifted", AirRules.judge(new FreeAirCheck(check.controller(), check.today(), check.conditions(), 0.207,
                null, null, 90.0, new Steadiness(300, 90, 0.008, 0.001, 0.001, 0), check.coaching(), check.date(),
                "V-1",
                null),
                1.36, Tolerance.LAMBDA));
        changed("off", AirRules.judge(check.withShownOxygen(0.19, check.date()), 1.36, Tolerance.LAMBDA));
        changed("not dated", AirRules.judge(check.withDate(null), 1.36, Tolerance.LAMBDA));
        changed("too soon", AirRules.judge(check.withSettled(29.0), 1.36, Tolerance.LAMBDA));
        FreeAirCheck mixture = check.withController(Controllers.UNSAID).withShownOxygen(null, null);
        changed("a mixture not read", AirRules.judge(mixture, null, Tolerance.LAMBDA));
        for (double shown : new double[]{1.0, 1.28, 1.3}) {
            changed(say("top %.2f", shown), AirRules.judge(mixture.withShownLambda(shown, check.date()), null,
                    Tolerance.LAMBDA));
        }
        changed("top of a short law", AirRules.judge(mixture.withShownLambda(1.2, check.date()), 1.2,
                Tolerance.LAMBDA));
        changed("19 is not the top of a range that ends at 22.4", AirRules.judge(mixture.withShownLambda(19 / 14.7,
                check.date()), 22.4 / 14.7, Tolerance.LAMBDA));
        changed("its paper says where the top is", AirRules.judge(mixture.withController(Controllers.TRIMMED)
                .withShownLambda(1.395, check.date()), 22.4 / 14.7, Tolerance.LAMBDA));
    }

    static LogComparison log(int rows, double seconds, double gain, double bias, double noise, double range) {
        return LogComparison.of(Drive.of(IntStream.range(0, rows).mapToObj(i -> {
            double lambda = 1 + range * Math.sin(i / 5.0);
            return new Sample(i * seconds / rows, lambda,
                    1 + gain * (lambda - 1) + bias + (i % 2 == 0 ? noise : -noise));
        }).toList()));
    }

    private void driven(String title, LogComparison log) {
        changed(title, LogRules.judge(log, Drives.LONG, Tolerance.LAMBDA, Tolerance.SOURCE, PLAIN));
    }

    private void proveStation() {
        base("Prove, all sound",
                LogRules.judge(log(600, 120, 1, 0.001, 0.002, 0.2), Drives.LONG, Tolerance.LAMBDA, Tolerance.SOURCE,
                        PLAIN));
        driven("lean", log(600, 120, 1, 0.01, 0.002, 0.2));
        driven("rich", log(600, 120, 1, -0.01, 0.002, 0.2));
        driven("noisy", log(600, 120, 1, 0, 0.03, 0.2));
        driven("wrong slope", log(600, 120, 1.3, 0, 0.002, 0.2));
        changed("hardly any full load", LogRules.judge(log(600, 120, 1, 0.001, 0.002, 0.2),
                new DriveFound(null, 0, 0, null, List.of(), Set.of(), List.of(), List.of(), new Held(60, 1.9),
                        new Crossings(40, 1.03, 0.006), null,
                        new Joined("other.csv", "", new Clocks(LogChannel.CONTROLLER, 12.5, 0.0001, 0.02))),
                Tolerance.LAMBDA, Tolerance.SOURCE, LogRules.Engine.with(EngineTrait.BOOSTED,
                        EngineTrait.AFTER_MERGE, EngineTrait.READ_UNDER_LOAD)));
        for (List<DriveEvent> lean : List.of(List.<DriveEvent>of(),
                List.of(new DriveEvent(DriveEvent.Kind.TIP_IN, 61.2, 61.6, 1.11, 0.5),
                        new DriveEvent(DriveEvent.Kind.TIP_IN, 90, 90.3, 1.13, 0.4)))) {
            changed("throttle opened, " + lean.size() + " times lean",
                    LogRules.judge(log(600, 120, 1, 0.001, 0.002, 0.2),
                            new DriveFound(null, 0, 0, 7, List.of(), Set.of(), lean, List.of(), new Held(60, 1.9), null,
                                    null, null),
                            Tolerance.LAMBDA, Tolerance.SOURCE, PLAIN));
        }
        changed("narrowband simulated", LogRules.judge(log(600, 120, 1, 0.001, 0.002, 0.2),
                new DriveFound(null, 0, 0, null, List.of(), Set.of(), List.of(), List.of(), new Held(60, 5),
                        new Crossings(40, 1.03, 0.006), null, null),
                Tolerance.LAMBDA, Tolerance.SOURCE, LogRules.Engine.with(EngineTrait.NARROWBAND_SIMULATED)));
        changed("runs at λ 0.67", LogRules.judge(log(600, 120, 1, 0.001, 0.002, 0.2),
                new DriveFound(null, 0, 0, null, List.of(new Regime(Regime.Kind.CRUISE, 10, 60, 0.67, 0.97, 1.03)),
                        Set.of(),
                        List.of(), List.of(), new Held(60, 5), null, null, null),
                Tolerance.LAMBDA, Tolerance.SOURCE, PLAIN));
        driven("short", log(600, 59, 1, 0, 0.002, 0.2));
        driven("few", log(99, 120, 1, 0, 0.002, 0.2));
        driven("never moved", log(600, 120, 1, 0, 0.002, 0.04));
        driven("not at all", log(600, 120, 1, 0, 0.002, 0));
    }

    @Test
    void everyRuleSaysWhatItIsKnownToSay() throws IOException {
        wiringStation();
        placeStation();
        airStation();
        proveStation();
        heldTo("rules-say.txt", said);
    }

    /** What is said has to be what was read and kept; else what is said now is left to be read. */
    static void heldTo(String kept, CharSequence said) throws IOException {
        Path now = Files.createDirectories(Path.of("target")).resolve(kept);
        Files.writeString(now, said);
        try (InputStream in = Objects.requireNonNull(RulesSayTest.class.getResourceAsStream(kept))) {
            assertThat(said.toString().lines().toList()).as("what is said now is in %s", now)
                    .isEqualTo(new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList());
        }
    }
}
