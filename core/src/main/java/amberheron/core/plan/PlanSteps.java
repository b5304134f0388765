package amberheron.core.plan;

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
    private static final String ON_STANDS = "On stands on level ground, never on the jack alone.";

    private void add(StepId id, String title, Time time, Where where, List<Item> items, String reason,
            String caution, StepId... after) {
        Step.Span span = id == StepId.SENSOR ? SENSOR_TORQUE : null;
        steps.add(new Step(id, title, List.of(after), time, where, items, reason, caution, ENGINE.contains(id), span));
    }

    private void add() {
        add(StepId.LEAKS, "Check the exhaust for leaks and rust", new Time(5, 10, 25), Where.UNDER,
                List.of(STANDS, use("soapy water")), "a leak upstream reads lean; a rotten pipe is not worth fitting",
                ON_STANDS + " Never run the engine indoors without extraction; hot exhaust burns.");
        add(StepId.DISPLAY, "Decide where the display goes", new Time(5, 10, 30), Where.CABIN,
                List.of(part("gauge or controller with display")), "the cable run follows from it",
                "Side-curtain airbags behind pillar trim: keep pods off them.", StepId.LEAKS);
        add(StepId.PLACE, "Choose and mark the place", new Time(10, 20, 40), Where.UNDER,
                List.of(STANDS, LEVEL, tool("tape, scriber, centre punch")), "every later measure starts from it",
                ON_STANDS, StepId.LEAKS);
        add(StepId.RUN, "Lay out the cable run and add up the lead", new Time(10, 20, 45), Where.CABIN,
                List.of(part("extension harness 2.4 m"), part("grommet")), "the lead is only so long",
                "Look behind before drilling a firewall or dash: brake, fuel, airbag.", StepId.DISPLAY, StepId.PLACE);
        add(StepId.SOURCE, "Prove the power source with a meter", new Time(8, 15, 40), Where.CABIN,
                List.of(METER), "a constant feed flattens the battery and cooks the sensor", "", StepId.RUN);
        add(StepId.SPLICE, "Make the joints on the bench", new Time(15, 25, 45), Where.BENCH,
                List.of(use("heat-shrink, solder or crimp terminals with seals"), tool("crimper or iron")),
                "easier than under the car", "", StepId.RUN);
        add(StepId.BATTERY, "Take the battery negative off", new Time(2, 3, 10), Where.CABIN, List.of(),
                "before wiring and before welding", "", StepId.SOURCE);
        add(StepId.FEED, "Lay the feed with its fuse, and the relay where one is taken", new Time(10, 20, 45),
                Where.CABIN,
                List.of(part("fuse tap"), part("fuse 5 A")), "the fuse sits at the source, nothing before it", "",
                StepId.BATTERY);
        add(StepId.GROUND, "Take the grounds to their point", new Time(8, 15, 40), Where.CABIN,
                List.of(use("ring terminals")),
                "bright metal, a bolt of its own; on a factory bolt the ring goes on top of the strap, never under it",
                "", StepId.BATTERY);
        boring();
        boolean welded = intake.fit() == Intake.Fit.WELD_IN;
        add(StepId.ON, "Battery negative on again", new Time(2, 3, 10), Where.CABIN, List.of(), "air needs the heater",
                "",
                welded
                        ? new StepId[]{StepId.FEED, StepId.GROUND, StepId.SPLICE, StepId.WELD}
                        : new StepId[]{StepId.FEED, StepId.GROUND, StepId.SPLICE});
        add(StepId.AIR, "Calibrate in free air", new Time(5, 10, 20), Where.CABIN, List.of(part("sensor")),
                "the sensor must be out of the pipe", "The tip glows: hang it free, touching nothing.", StepId.ON);
        boolean probe = intake.fit() == Intake.Fit.TAILPIPE_PROBE;
        StepId ready = probe ? StepId.PLACE : StepId.TIGHT;
        if (intake.fixedHarness()) {
            sensor(ready, StepId.AIR);
            add(StepId.CONNECT, "Join the connector", new Time(2, 5, 15), Where.UNDER, List.of(),
                    "the lead would twist if it were joined first", ON_STANDS, StepId.SENSOR);
        } else {
            add(StepId.CONNECT, "Join the connector", new Time(2, 5, 15), Where.UNDER, List.of(), "", ON_STANDS,
                    StepId.AIR);
            sensor(ready, StepId.AIR);
        }
        if (probe) {
            add(StepId.PROBE, "Clamp the probe into the tailpipe, tip well inside", new Time(3, 8, 15), Where.UNDER,
                    List.of(part("tailpipe probe")), "the farther in, the less air is drawn back to it at idle",
                    "Hot exhaust burns.", StepId.SENSOR);
        }
        add(StepId.ROUTE, "Route, sleeve and tie the lead", new Time(15, 25, 60), Where.UNDER,
                List.of(use("loom, heat sleeve, cable ties")), "clear of hot and moving parts", ON_STANDS,
                StepId.CONNECT,
                probe ? StepId.PROBE : StepId.SENSOR);
        if (intake.fit() == Intake.Fit.CLAMP) {
            add(StepId.HOT, "Run it hot, tighten the nuts again, look for bubbles", new Time(10, 20, 40), Where.UNDER,
                    List.of(use("soapy water")), "gasket tape settles on the first hot run",
                    "Hot nuts: gloves. Engine only with extraction; off while hands are at the clamp.", StepId.ROUTE);
        }
        add(StepId.SHIFT, "Measure the shift between the grounds, one load after the other", new Time(5, 10, 20),
                Where.CABIN, List.of(METER), "resistance in the ground moves the volts",
                "Never run the engine indoors without extraction.", StepId.CONNECT, StepId.ROUTE);
        readers();
        add(StepId.PROVE, "Proving drive with the log running", new Time(20, 30, 60), Where.ROAD, List.of(),
                "the driver never watches the gauge",
                "Closed road or dynamometer; a passenger or the log watches. Lean under load: stop.",
                intake.fit() == Intake.Fit.CLAMP
                        ? new StepId[]{StepId.POINTS, StepId.ROUTE, StepId.HOT}
                        : new StepId[]{StepId.POINTS, StepId.ROUTE});
        if (!intake.permanent()) {
            add(StepId.PLUG, "Take the sensor out and plug the bung", new Time(5, 10, 20), Where.UNDER,
                    List.of(part("bung plug"), CROWFOOT), "a sensor without power dies in the exhaust",
                    "Hot exhaust burns.",
                    StepId.PROVE);
        }
        add(StepId.SHEET, "Hand over the sheet", new Time(5, 10, 15), Where.BENCH, List.of(),
                "the next person needs it",
                "", intake.permanent() ? StepId.PROVE : StepId.PLUG);
    }

    private void sensor(StepId... after) {
        add(StepId.SENSOR, "Screw the sensor in", new Time(5, 10, 25), Where.UNDER, List.of(part("sensor"), CROWFOOT),
                intake.fixedHarness()
                        ? "fixed harness: before the connector is joined, or the lead twists"
                        : "by hand first; anti-seize stays on the thread",
                ON_STANDS, after);
    }

    private void readers() {
        Set<ReaderKind> readers = intake.readers();
        if (readers.contains(ReaderKind.STOCK_ECU)) {
            add(StepId.NARROWBAND, "Connect the simulated narrowband to the stock ECU", new Time(8, 15, 30),
                    Where.CABIN,
                    List.of(METER), "a wideband output does not belong on that input", "", StepId.CONNECT);
        }
        if (intake.asks(Intake.Question.LINK)) {
            add(StepId.LINK, "Connect " + (intake.link() == null ? "the data link" : intake.link().words()),
                    new Time(8, 15, 40), Where.CABIN, List.of(part("data cable")),
                    "numbers, no volts: nothing to scale",
                    "", StepId.CONNECT);
        }
        if (readers.contains(ReaderKind.LOGGER) || readers.contains(ReaderKind.ECU)) {
            add(StepId.SCALE, "Type the setting into the reader", new Time(5, 10, 20), Where.CABIN, List.of(),
                    "every controller has its own law", "Above 5 V an ECU pin is destroyed.", StepId.CONNECT);
            add(StepId.POINTS, "Check two or more points, engine off and running", new Time(8, 15, 30), Where.CABIN,
                    List.of(METER), "agreement at one point proves nothing about slope",
                    "Never run the engine indoors without extraction.", StepId.SCALE, StepId.SHIFT);
        } else {
            add(StepId.POINTS, "Check the gauge at two or more points", new Time(5, 10, 20), Where.CABIN,
                    List.of(METER),
                    "agreement at one point proves nothing about slope",
                    "Never run the engine indoors without extraction.", StepId.CONNECT, StepId.SHIFT);
        }
    }

    private void boring() {
        switch (intake.fit()) {
            case WELD_IN -> {
                add(StepId.DRILL, "Pilot, step-drill, deburr, vacuum the shavings", new Time(10, 20, 40), Where.UNDER,
                        List.of(STEP_DRILL, tool("deburring file"), tool("shop vacuum")),
                        "the hole first, then its face",
                        "Eyes covered overhead.", StepId.PLACE);
                boolean coated = intake.material() == Material.COATED;
                add(StepId.WELD, "Cope, tack, check the angle, weld", new Time(20, 30, 60), Where.UNDER,
                        List.of(part("bung and plug"), tool("welder, fire blanket"), tool("old dead sensor"), LEVEL),
                        "sensor out: weld heat and spatter kill it",
                        "Fire watch; fuel lines shielded; "
                                + (coated ? "grind the coating off, its fumes are poisonous; " : "")
                                + "battery negative off. Where welding is a licensed trade, leave it to one.",
                        StepId.DRILL, StepId.BATTERY);
                add(StepId.TIGHT, "Chase the thread, test airtight", new Time(5, 10, 20), Where.UNDER,
                        List.of(CHASER, use("soapy water")), "a leak here reads lean", "The weld is hot.", StepId.WELD);
            }
            case CLAMP -> {
                add(StepId.DRILL, "Drill in place, file, peen the rim inwards", new Time(15, 25, 45), Where.UNDER,
                        List.of(STEP_DRILL, tool("right-angle drill"), tool("shop vacuum")),
                        "the hole first, then the gasket",
                        "Eyes covered overhead.", StepId.PLACE);
                add(StepId.CLAMP, "Gasket tape and clamp, nuts in turn, hardware on top", new Time(10, 20, 35),
                        Where.UNDER,
                        List.of(part("no-weld clamp kit"), tool("wire brush")), "the tape sticks once", "",
                        StepId.DRILL);
                add(StepId.TIGHT, "Test airtight", new Time(5, 10, 20), Where.UNDER, List.of(use("soapy water")),
                        "a leak here reads lean", "", StepId.CLAMP);
            }
            case EXISTING_HOLE -> {
                add(StepId.FREE, "Free the plug or old sensor", new Time(5, 20, 60), Where.UNDER,
                        List.of(use("penetrating oil"), CROWFOOT), "warm pipe and time, not force", "Warm pipe burns.",
                        StepId.PLACE);
                add(StepId.TIGHT, "Chase the thread, test airtight", new Time(5, 10, 20), Where.UNDER,
                        List.of(CHASER, use("soapy water")), "a leak here reads lean", "", StepId.FREE);
            }
            case TAILPIPE_PROBE -> {
                // Nothing is cut: the probe goes in when the sensor is calibrated.
            }
        }
    }
}
