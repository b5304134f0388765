package amberheron.core.plan;

import static amberheron.core.units.Phrase.say;

import amberheron.core.plan.Intake.Material;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.plan.Step.Item;
import amberheron.core.plan.Step.Time;
import amberheron.core.plan.Step.Where;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** The steps an intake calls for, in the usual order, each after all it waits on. */
final class PlanSteps {
    /** Common practice, no published source; anti-seize makes a torque wrench read differently. */
    private static final Step.Span SENSOR_TORQUE = new Step.Span(Measure.of(40, Unit.NEWTON_METRE, 0),
            Measure.of(54, Unit.NEWTON_METRE, 0));

    private final Intake intake;
    private final List<Step> steps = new ArrayList<>();

    private PlanSteps(Intake intake) {
        this.intake = intake;
    }

    static List<Step> of(Intake intake) {
        PlanSteps all = new PlanSteps(intake);
        all.add();
        return List.copyOf(all.steps);
    }

    private static Item part(String name) {
        return new Item(name, Item.Kind.PART);
    }

    private static Item use(String name) {
        return new Item(name, Item.Kind.CONSUMABLE);
    }

    private static Item tool(String name) {
        return new Item(name, Item.Kind.TOOL);
    }

    private static final Item METER = tool("multimeter");
    private static final Item CROWFOOT = tool("22 mm slotted socket or low-profile crowfoot");
    private static final Item STANDS = tool("lift, or jack and stands");
    private static final Item STEP_DRILL = tool("step drill and 4 mm pilot drill");
    private static final Item CHASER = tool("M18×1.5 thread chaser");
    private static final Item LEVEL = tool("level or phone");
    /** Steps for which the engine runs. */
    private static final Set<StepId> ENGINE = Set.of(StepId.LEAKS, StepId.HOT, StepId.SHIFT, StepId.POINTS,
            StepId.PROVE);

    private static String onStands() {
        return say("On stands on level ground, never on the jack alone.");
    }

    private void add(StepId id, String title, Time time, Where where, List<Item> items, String reason,
            String caution, StepId... after) {
        Step.Span span = id == StepId.SENSOR ? SENSOR_TORQUE : null;
        steps.add(new Step(id, title, List.of(after), time, where, items, reason, caution, ENGINE.contains(id), span));
    }

    private void add() {
        add(StepId.LEAKS, say("Check the exhaust for leaks and rust"), new Time(5, 10, 25), Where.UNDER,
                List.of(STANDS, use("soapy water")),
                say("a leak upstream reads lean; a rotten pipe is not worth fitting"),
                say("%s Never run the engine indoors without extraction; hot exhaust burns.", onStands()));
        add(StepId.DISPLAY, say("Decide where the display goes"), new Time(5, 10, 30), Where.CABIN,
                List.of(part("gauge or controller with display")), say("the cable run follows from it"),
                say("In a car side-curtain airbags sit behind the pillar panels: keep pods off them. Old panels break cold: warm it, back it. A combined gauge's boost hose: tee near the manifold, a restrictor in it, away from heat."),
                StepId.LEAKS);
        add(StepId.PLACE, say("Choose and mark the place"), new Time(10, 20, 40), Where.UNDER,
                List.of(STANDS, LEVEL, tool("tape, scriber, centre punch")),
                say("every later measure starts from it"),
                onStands(), StepId.LEAKS);
        add(StepId.RUN, say("Lay out the cable run and add up the lead"), new Time(10, 20, 45), Where.CABIN,
                List.of(part("extension harness 2.4 m"), part("grommet")), say("the lead is only so long"),
                say("Look behind before drilling a firewall or dash: brake and fuel lines, looms, in a car the airbags."),
                StepId.DISPLAY,
                StepId.PLACE);
        add(StepId.SOURCE, say("Prove the power source with a meter"), new Time(8, 15, 40), Where.CABIN,
                List.of(METER), say("a constant feed flattens the battery and cooks the sensor"), "", StepId.RUN);
        add(StepId.SPLICE, say("Make the joints on the bench"), new Time(15, 25, 45), Where.BENCH,
                List.of(use("heat-shrink, solder or crimp terminals with seals"), tool("crimper or iron")),
                say("easier than under the car"), "", StepId.RUN);
        add(StepId.BATTERY, say("Take the battery negative off"), new Time(2, 3, 10), Where.CABIN, List.of(),
                say("before wiring and before welding"), "", StepId.SOURCE);
        add(StepId.FEED, say("Lay the feed with its fuse, and the relay where one is taken"), new Time(10, 20, 45),
                Where.CABIN,
                List.of(part("fuse tap"), part("fuse 5 A")),
                say("the fuse sits at the source, nothing before it; no wire is stabbed in beside a fuse's leg"), "",
                StepId.BATTERY);
        add(StepId.GROUND, say("Take the grounds to their point"), new Time(8, 15, 40), Where.CABIN,
                List.of(use("ring terminals")),
                say("bright metal, a bolt of its own, no self-tapping screw and no paint under it; on a factory bolt the ring goes on top of the "
                        + "strap, never under it"),
                "", StepId.BATTERY);
        boring();
        boolean welded = intake.fit() == Intake.Fit.WELD_IN;
        add(StepId.ON, say("Battery negative on again"), new Time(2, 3, 10), Where.CABIN, List.of(),
                say("air needs the heater"),
                "",
                welded
                        ? new StepId[]{StepId.FEED, StepId.GROUND, StepId.SPLICE, StepId.WELD}
                        : new StepId[]{StepId.FEED, StepId.GROUND, StepId.SPLICE});
        add(StepId.AIR, say("Calibrate in free air"), new Time(5, 10, 20), Where.CABIN, List.of(part("sensor")),
                say("the sensor must be out of the pipe"), say("The tip glows: hang it free, touching nothing."),
                StepId.ON);
        boolean probe = intake.fit() == Intake.Fit.TAILPIPE_PROBE;
        StepId ready = probe ? StepId.PLACE : StepId.TIGHT;
        if (intake.fixedHarness()) {
            sensor(ready, StepId.AIR);
            add(StepId.CONNECT, say("Join the connector"), new Time(2, 5, 15), Where.UNDER, List.of(),
                    say("the lead would twist if it were joined first"), onStands(), StepId.SENSOR);
        } else {
            add(StepId.CONNECT, say("Join the connector"), new Time(2, 5, 15), Where.UNDER, List.of(), "", onStands(),
                    StepId.AIR);
            sensor(ready, StepId.AIR);
        }
        if (probe) {
            add(StepId.PROBE, say("Clamp the probe into the tailpipe, tip well inside"), new Time(3, 8, 15),
                    Where.UNDER,
                    List.of(part("tailpipe probe")),
                    say("the farther in, the less air is drawn back to it at idle"),
                    say("Hot exhaust burns."), StepId.SENSOR);
        }
        add(StepId.ROUTE, say("Route, sleeve and tie the lead"), new Time(15, 25, 60), Where.UNDER,
                List.of(use("loom, heat sleeve, cable ties")),
                say("clear of hot and moving parts; the controller itself dry and cool, its lead running downhill from it"),
                say("%s Nothing is tied to a brake or fuel line.", onStands()),
                StepId.CONNECT,
                probe ? StepId.PROBE : StepId.SENSOR);
        if (intake.fit() == Intake.Fit.CLAMP) {
            add(StepId.HOT, say("Run it hot, tighten the nuts again, look for bubbles"), new Time(10, 20, 40),
                    Where.UNDER,
                    List.of(use("soapy water")), say("gasket tape settles on the first hot run"),
                    say("Hot nuts: gloves. Engine only with extraction; off while hands are at the clamp."),
                    StepId.ROUTE);
        }
        add(StepId.SHIFT, say("Measure the shift between the grounds, one load after the other"), new Time(5, 10, 20),
                Where.CABIN, List.of(METER), say("resistance in the ground moves the volts"),
                say("Never run the engine indoors without extraction."), StepId.CONNECT, StepId.ROUTE);
        readers();
        add(StepId.PROVE, say("Proving drive with the log running"), new Time(20, 30, 60), Where.ROAD, List.of(),
                say("the driver never watches the gauge"),
                !intake.fuelKind().heldAtOne()
                        ? say("Closed road or dynamometer; a passenger or the log watches. Smoke or a hot exhaust: lift off.")
                        : say("Closed road or dynamometer; a passenger or the log watches. Lean under load: stop."),
                Stream.of(has(StepId.POINTS) ? StepId.POINTS : StepId.SHIFT, StepId.ROUTE, StepId.HOT)
                        .filter(this::has).toArray(StepId[]::new));
        if (!intake.permanent()) {
            add(StepId.PLUG, say("Take the sensor out and plug the bung"), new Time(5, 10, 20), Where.UNDER,
                    List.of(part("bung plug"), CROWFOOT), say("a sensor without power dies in the exhaust"),
                    say("Hot exhaust burns."),
                    StepId.PROVE);
        }
        add(StepId.SHEET, say("Hand over the sheet"), new Time(5, 10, 15), Where.BENCH, List.of(),
                say("the next person needs it"),
                "", intake.permanent() ? StepId.PROVE : StepId.PLUG);
    }

    private boolean has(StepId id) {
        return steps.stream().anyMatch(s -> s.id() == id);
    }

    private void sensor(StepId... after) {
        add(StepId.SENSOR, say("Screw the sensor in"), new Time(5, 10, 25), Where.UNDER,
                List.of(part("sensor"), CROWFOOT),
                intake.fixedHarness()
                        ? say("fixed harness: before the connector is joined, or the lead twists")
                        : say("by hand first; anti-seize stays on the thread"),
                onStands(), after);
    }

    private void readers() {
        Set<ReaderKind> readers = intake.readers();
        if (readers.contains(ReaderKind.STOCK_ECU)) {
            add(StepId.NARROWBAND, say("Connect the simulated narrowband to the stock ECU"), new Time(8, 15, 30),
                    Where.CABIN,
                    List.of(METER),
                    say("a wideband output does not belong on that input; where it switches can be moved, and moves the engine's mixture: rough idle after fitting is its sign. On the bench first: high volts when rich, near none when lean, and it crosses where it is told to"),
                    say("The connector left over gets a cap. A stock sensor or heater unplugged lights the fault lamp and ends closed loop: the tuner's map has to know, or a simulator or a load resistor for the heater keeps it quiet. Never on a road car whose sensor the law requires."),
                    StepId.CONNECT);
        }
        if (intake.asks(Intake.Question.LINK)) {
            add(StepId.LINK, say("Connect %s", intake.link() == null ? say("the data link") : intake.link().words()),
                    new Time(8, 15, 40), Where.CABIN, List.of(part("data cable")),
                    say("numbers, no volts: nothing to scale"),
                    "", StepId.CONNECT);
            add(StepId.LINK_POINTS, say("Compare it with the controller's own display at two mixtures"),
                    new Time(3, 5, 15), Where.CABIN, List.of(),
                    say("λ or AFR, and by which ratio, is set at both ends; two points show it, one does not"),
                    say("Never run the engine indoors without extraction."), StepId.LINK);
        }
        if (readers.contains(ReaderKind.LOGGER) || readers.contains(ReaderKind.ECU)) {
            add(StepId.SCALE, say("Type the setting into the reader"), new Time(5, 10, 20), Where.CABIN, List.of(),
                    say("every controller has its own law"), say("Above 5 V an ECU pin is destroyed."), StepId.CONNECT);
            add(StepId.POINTS, say("Check two or more points, engine off and running"), new Time(8, 15, 30),
                    Where.CABIN,
                    List.of(METER), say("agreement at one point proves nothing about slope"),
                    say("Never run the engine indoors without extraction."), StepId.SCALE, StepId.SHIFT);
        } else if (readers.isEmpty() || readers.stream().anyMatch(ReaderKind::wired)) {
            add(StepId.POINTS, say("Check the gauge at two or more points"), new Time(5, 10, 20), Where.CABIN,
                    List.of(METER),
                    say("agreement at one point proves nothing about slope"),
                    say("Never run the engine indoors without extraction."), StepId.CONNECT, StepId.SHIFT);
        }
    }

    private void boring() {
        switch (intake.fit()) {
            case WELD_IN -> {
                add(StepId.DRILL, say("Pilot, step-drill, deburr, vacuum the shavings"), new Time(10, 20, 40),
                        Where.UNDER,
                        List.of(STEP_DRILL, tool("deburring file"), tool("shop vacuum")),
                        say("the hole first, then its face"),
                        say("Eyes covered overhead."), StepId.PLACE);
                boolean coated = intake.material() == Material.COATED;
                add(StepId.WELD, say("Cope, tack, check the angle, weld"), new Time(20, 30, 60), Where.UNDER,
                        List.of(part("bung and plug"), tool("welder, fire blanket"),
                                tool("old dead sensor"), LEVEL),
                        say("sensor out: weld heat and spatter kill it"),
                        say("Fire watch; fuel lines shielded; %sbattery negative off. Where welding is a "
                                + "licensed trade, leave it to one.",
                                coated ? say("grind the coating off, its fumes are poisonous; ") : ""),
                        StepId.DRILL, StepId.BATTERY);
                add(StepId.TIGHT, say("Chase the thread, leak test"), new Time(5, 10, 20), Where.UNDER,
                        List.of(CHASER, use("soapy water")), say("a leak here reads lean"),
                        say("The weld is hot."), StepId.WELD);
            }
            case CLAMP -> {
                add(StepId.DRILL, say("Drill in place, file, peen the rim inwards"), new Time(15, 25, 45), Where.UNDER,
                        List.of(STEP_DRILL, tool("right-angle drill"), tool("shop vacuum")),
                        say("the hole first, then the gasket"),
                        say("Eyes covered overhead."), StepId.PLACE);
                add(StepId.CLAMP, say("Gasket tape and clamp, drawn up evenly, bolts out of harm"),
                        new Time(10, 20, 35),
                        Where.UNDER,
                        List.of(part("no-weld clamp kit"), tool("wire brush")), say("the tape sticks once"),
                        "",
                        StepId.DRILL);
                add(StepId.TIGHT, say("Leak test"), new Time(5, 10, 20), Where.UNDER,
                        List.of(use("soapy water")),
                        say("a leak here reads lean"), "", StepId.CLAMP);
            }
            case EXISTING_HOLE -> {
                add(StepId.FREE, say("Free the plug or old sensor"), new Time(5, 20, 60), Where.UNDER,
                        List.of(use("penetrating oil"), CROWFOOT), say("warm pipe and time, not force"),
                        say("Warm pipe burns."),
                        StepId.PLACE);
                add(StepId.TIGHT, say("Chase the thread, leak test"), new Time(5, 10, 20), Where.UNDER,
                        List.of(CHASER, use("soapy water")), say("a leak here reads lean"), "", StepId.FREE);
            }
            case TAILPIPE_PROBE -> {
                // Nothing is cut: the probe goes in when the sensor is calibrated.
            }
        }
    }
}
