package amberheron.core.plan;

import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The ordered steps that follow from the intake. */
public final class JobPlan {
    /** Common practice, no published source; anti-seize makes a torque wrench read differently. */
    private static final Step.Span SENSOR_TORQUE = new Step.Span(Measure.of(40, Unit.NEWTON_METRE, 0),
            Measure.of(54, Unit.NEWTON_METRE, 0));

    private final Map<String, Step> steps = new LinkedHashMap<>();

    private JobPlan() {
    }

    /** The plan for an intake; every step comes after all it waits on. */
    public static JobPlan of(Intake intake) {
        JobPlan plan = new JobPlan();
        plan.add("leaks", "Check the exhaust for leaks and rust", 10,
                "a leak upstream reads lean; a rotten pipe is not worth fitting");
        plan.add("display", "Decide where the display goes", 10, "the cable run follows from it", "leaks");
        plan.add("source", "Prove the power source with a meter", 15,
                "a constant feed flattens the battery and cooks the sensor", "leaks");
        plan.add("place", "Choose and mark the place", 20, "", "leaks");
        plan.add("run", "Lay out the cable run and add up the lead", 20, "the lead is only so long", "display",
                "place");
        plan.add("splice", "Make the joints on the bench", 25, "easier than under the car", "run");
        plan.add("battery", "Take the battery negative off", 3, "before wiring and before welding", "source");
        boring(plan, intake.fit());
        plan.add("air", "Calibrate in free air", 10, "the sensor must be out of the pipe", "splice", "source");
        if (intake.fixedHarness()) {
            plan.add("sensor", "Screw the sensor in", 10,
                    "fixed harness: before the connector is joined, or the lead twists", "tight", "air");
            plan.add("connect", "Join the connector", 5, "", "sensor", "battery");
        } else {
            plan.add("connect", "Join the connector", 5, "", "splice", "battery");
            plan.add("sensor", "Screw the sensor in", 10, "by hand first; anti-seize stays on the thread",
                    "tight", "air");
        }
        plan.add("ground", "Take the grounds and measure the shift", 15, "resistance in the ground moves the volts",
                "battery", "run");
        plan.add("route", "Route, sleeve and tie the lead", 25, "clear of hot and moving parts", "connect", "sensor");
        if (intake.readers().contains(ReaderKind.STOCK_ECU)) {
            plan.add("narrowband", "Connect the simulated narrowband to the stock ECU", 15,
                    "a wideband output does not belong on that input", "connect");
        }
        if (intake.readers().stream().anyMatch(r -> r != ReaderKind.GAUGE)) {
            plan.add("scale", "Type the setting into the reader", 10, "every controller has its own law", "connect",
                    "ground");
            plan.add("points", "Check two or more points, engine off and running", 15,
                    "agreement at one point proves nothing about slope", "scale");
        } else {
            plan.add("points", "Check the gauge at two or more points", 10,
                    "agreement at one point proves nothing about slope", "connect", "ground");
        }
        plan.add("prove", "Proving drive with the log running", 30, "the driver never watches the gauge", "points",
                "route");
        plan.add("sheet", "Hand over the sheet", 10, "the next person needs it", "prove");
        if (!intake.permanent()) {
            plan.add("plug", "Take the sensor out and plug the bung", 10, "a sensor without power dies in the exhaust",
                    "prove");
        }
        return plan;
    }

    private static void boring(JobPlan plan, Fit fit) {
        switch (fit) {
            case WELD_IN -> {
                plan.add("drill", "Pilot, step-drill, deburr, vacuum the shavings", 20, "", "place");
                plan.add("weld", "Cope, tack, check the angle, weld", 30, "sensor out: weld heat and spatter kill it",
                        "drill", "battery");
                plan.add("tight", "Chase the thread, test airtight", 10, "", "weld");
            }
            case CLAMP -> {
                plan.add("drill", "Drill in place, file, peen the rim inwards", 25, "", "place");
                plan.add("clamp", "Gasket tape and clamp, nuts in turn, hardware on top", 20, "", "drill");
                plan.add("tight", "Test airtight, check the nuts again hot", 10, "", "clamp");
            }
            case EXISTING_HOLE -> {
                plan.add("free", "Free the plug or old sensor", 20, "penetrating oil, warm pipe, low-profile crowfoot",
                        "place");
                plan.add("tight", "Chase the thread, test airtight", 10, "", "free");
            }
        }
    }

    private void add(String id, String title, int minutes, String reason, String... after) {
        for (String earlier : after) {
            if (!steps.containsKey(earlier)) {
                throw new IllegalStateException(id + " waits on " + earlier + ", which does not come before it");
            }
        }
        Step.Span span = id.equals("sensor") ? SENSOR_TORQUE : null;
        steps.put(id, new Step(id, title, List.of(after), minutes, reason, span));
    }

    /** The steps in working order. */
    public List<Step> steps() {
        return List.copyOf(steps.values());
    }

    /** The steps a step still waits on, given those done. */
    public List<Step> waitingOn(Step step, Set<String> done) {
        return step.after().stream().filter(id -> !done.contains(id))
                .map(id -> java.util.Objects.requireNonNull(steps.get(id))).toList();
    }

    /** The first step that is not done and waits on nothing. */
    public Optional<Step> next(Set<String> done) {
        return steps.values().stream().filter(s -> !done.contains(s.id())).filter(s -> waitingOn(s, done).isEmpty())
                .findFirst();
    }

    /** Steps already done that depend, directly or not, on this one: they fall with it when it is undone. */
    public List<Step> dependants(Step step, Set<String> done) {
        Set<String> fallen = new java.util.LinkedHashSet<>(Set.of(step.id()));
        List<Step> dependants = new ArrayList<>();
        for (Step later : steps.values()) {
            if (done.contains(later.id()) && later.after().stream().anyMatch(fallen::contains)) {
                fallen.add(later.id());
                dependants.add(later);
            }
        }
        return List.copyOf(dependants);
    }

    /** How many of the steps of this plan are done. */
    public int done(Set<String> done) {
        return (int) steps.keySet().stream().filter(done::contains).count();
    }

    /** Minutes of the steps not yet done. */
    public int minutesLeft(Set<String> done) {
        return steps.values().stream().filter(s -> !done.contains(s.id())).mapToInt(Step::minutes).sum();
    }
}
