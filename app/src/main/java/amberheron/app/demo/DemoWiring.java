package amberheron.app.demo;

import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Wire.Left;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.WireGauge;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup.Form;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;

/** Made-up wiring of the demo jobs: one complete, one with a shared ground and twins still to tell apart. */
final class DemoWiring {
    private static final double AWG18 = WireGauge.crossSection(18);

    private DemoWiring() {
    }

    private static WireColour colour(String words) {
        return WireColour.parse(words).orElseThrow();
    }

    private static Wire wire(String tag, Work work, String colour, Device to, String pin) {
        return Wire.of(tag, work, Device.CONTROLLER, to).withColour(colour(colour)).withToPin(pin);
    }

    private static Wire lead(String tag, Work work, String pin, String colour, String extension) {
        return Wire.of(tag, work, Device.SENSOR, Device.CONTROLLER).withFromPin(pin).withColour(colour(colour))
                .withExtension(colour(extension)).withToldApart(true);
    }

    static Wiring harbourVan(List<PowerSource> sources, LocalDate wiredOn) {
        Chart chart = new Chart(List.of(lead("1", Work.PUMP, "k", "turquoise", "turquoise"),
                lead("2", Work.COMMON, "m", "pink", "pink/green"),
                lead("3", Work.REFERENCE, "p", "blue", "blue"),
                lead("4", Work.HEATER_PLUS, "r", "orange", "orange/grey"),
                lead("5", Work.HEATER_MINUS, "t", "violet", "violet"),
                lead("6", Work.TRIM, "v", "grey/red", "grey/red"),
                wire("7", Work.POWER, "orange/violet", Device.POWER, "").withToColour(colour("green/pink"))
                        .withOhms(0.09),
                wire("8", Work.HEATER_GROUND, "grey/pink", Device.CHASSIS, "").withOhms(0.06),
                wire("9", Work.SIGNAL_GROUND, "turquoise/grey", Device.ECU, "B12").withToColour(colour("violet/grey"))
                        .withOhms(0.08),
                wire("10", Work.ANALOG, "pink/blue", Device.ECU, "B7").withToColour(colour("grey")).withOhms(0.11),
                wire("11", Work.ANALOG, "violet/orange", Device.GAUGE, "2"),
                Wire.of("12", Work.DIMMER, Device.CONTROLLER, Device.LAMPS).withColour(colour("orange")),
                Wire.of("13", Work.SERIAL, Device.CONTROLLER, null).withColour(colour("green"))
                        .withLeft(Left.TAPED)));
        Route route = Route.UNMEASURED
                .withPoints(List.of(new Waypoint("clip, gearbox mount", 0.45, 0.14, false, 0.12, null),
                        new Waypoint("heat shield edge", 0.35, 0.05, true, 0.3, 0.06),
                        new Waypoint("floor grommet", 0.6, 0.35, false, 0.4, 0.05),
                        new Waypoint("behind the glove box", 0.5, 0.6, false, 0.3, 0.04)))
                .withLengths(p -> p.withLead(0.4)).withLengths(p -> p.withExtension(2.4))
                .withLengths(p -> p.withSlackAtEngine(0.2)).withLengths(p -> p.withSlackAtDisplay(0.2))
                .withFirewall(p -> p.withConnector(0.021)).withFirewall(p -> p.withHole(0.025))
                .withFirewall(p -> p.withPassage(Route.Passage.GROMMET)).withFirewall(p -> p.withLookedBehind(true))
                .withSpray(p -> p.withFacing(Route.Facing.AWAY)).withSpray(p -> p.withDripLoop(true));
        Joints joints = new Joints(Joints.JointSchool.CRIMPED, Set.of(0, 1, 2, 3, 4, 5),
                List.of(new Joints.Test("7", AWG18, 96.0, 0.0013), new Joints.Test("10", 0.35e-6, 44.0, 0.0023)));
        AsWired wired = new AsWired(13.92, 13.71, wiredOn, "Fuse holder behind the glove box.",
                List.of());
        return Wiring.UNMEASURED.withSources(sources).withTaken("A")
                .withFeed(new Feed(1.6, 1e-6, false, 45.0, null, null, null, 0.75e-6))
                .withFuse(5.0).withDraw(2.8)
                .withGround(GroundPlan.UNMEASURED.withSchool(GroundSchool.READER).withTwoWires(true)
                        .withWires(w -> w.withToReader(0.5))
                        .withWires(w -> w.withToChassis(0.9)).withWires(w -> w.withSection(AWG18))
                        .withLoads(l -> l.withMean(1.1)).withLoads(l -> l.withPeak(2.8)))
                .withGroundPoint("signal at the ECU's sensor ground, heater at the seat rail's bolt")
                .withSignals(Signals.NONE.withOutputOhms(100.0)
                        .with(ReaderKind.ECU,
                                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(470_000.0).withMostVolts(5.0))
                        .with(ReaderKind.GAUGE,
                                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(1e6).withMostVolts(5.0)))
                .withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.ECU_OUTPUT, 45.0))
                .withHarness(new Harness(chart, route, joints, wired));
    }

    /** The ground wire is shared with the heater; two green wires were not told apart, and the narrowband wire hangs. */
    static Wiring sidecar(List<PowerSource> sources) {
        Chart chart = new Chart(List.of(
                wire("1", Work.POWER, "turquoise", Device.POWER, "").withToColour(colour("grey/blue")).withOhms(0.12),
                wire("2", Work.HEATER_GROUND, "orange/green", Device.CHASSIS, "").withOhms(0.07),
                wire("3", Work.ANALOG, "green", Device.LOGGER, "A1").withToColour(colour("blue")),
                wire("4", Work.ANALOG, "green", Device.GAUGE, "1").withToColour(colour("pink")),
                Wire.of("5", Work.NARROWBAND, Device.CONTROLLER, null).withColour(colour("violet")),
                Wire.of("6", Work.DIMMER, Device.CONTROLLER, null).withColour(colour("violet/green"))
                        .withLeft(Left.GROUNDED)));
        Route route = Route.UNMEASURED
                .withPoints(List.of(new Waypoint("frame tube, first clip", 0.4, 0.16, false, 0.2, null),
                        new Waypoint("under the tank", 0.5, 0.3, false, 0.25, 0.05),
                        new Waypoint("under the seat", 0.4, 0.4, false, 0.3, null)))
                .withLengths(p -> p.withLead(0.4)).withLengths(p -> p.withExtension(1.5))
                .withLengths(p -> p.withSlackAtEngine(0.15)).withLengths(p -> p.withSlackAtDisplay(0.2))
                .withFirewall(p -> p.withPassage(Route.Passage.NONE)).withSpray(p -> p.withFacing(Route.Facing.DOWN))
                .withSpray(p -> p.withDripLoop(true));
        return Wiring.UNMEASURED.withSources(sources).withTaken("A")
                .withFeed(new Feed(1.1, 0.75e-6, false, 14.0, null, null, null, 0.75e-6))
                .withFuse(5.0).withDraw(2.6)
                .withGround(
                        GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT).withWires(w -> w.withToChassis(3.0))
                                .withWires(w -> w.withToReader(0.4))
                                .withWires(w -> w.withToBattery(1.4)).withWires(w -> w.withSection(AWG18))
                                .withLoads(l -> l.withMean(1.2)).withLoads(l -> l.withPeak(2.6)))
                .withGroundPoint("one wire under the seat, gauge and logger together")
                .withSignals(Signals.NONE.withOutputOhms(220.0)
                        .with(ReaderKind.LOGGER,
                                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(1e6).withMostVolts(5.0))
                        .with(ReaderKind.GAUGE, h -> h.withForm(Form.SINGLE_ENDED)))
                .withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.WITH_IGNITION, null))
                .withHarness(Harness.NONE.withChart(chart).withRoute(route)
                        .withJoints(Joints.NONE.joinedBy(Joints.JointSchool.SOLDERED)));
    }
}
