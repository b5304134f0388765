package amberheron.app.plan;

import amberheron.app.shell.Advice;
import amberheron.app.shell.Advice.Action;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationModel;
import amberheron.core.finding.Source;
import amberheron.core.job.Station;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** What the Plan station says. */
public final class PlanModel implements StationModel {
    private static final Source ORDER = Source.practice("the order of the work and the times people quote");
    /** Leak that the plan's warning is worked for, mass of air per mass of exhaust. */
    private static final double LEAK = 0.01;
    /** Where the answer to each missing item is entered. */
    private static final Map<String, String> FIELDS = Map.of("vehicle", "plan.vehicle", "displacement",
            "plan.displacement", "cylinders", "plan.cylinders", "fuel", "plan.fuel", "what reads the signal",
            "plan.readers", "state of the exhaust", "plan.condition");

    /** A row of the plan. */
    public record Row(Step step, boolean done, boolean ready, String waits, String time) {
    }

    @Override
    public String subtitle() {
        return "What is to be done, and what each step waits on";
    }

    @Override
    public String figure(Session session) {
        if (!session.isOpen()) {
            return "";
        }
        JobPlan plan = session.review().plan();
        Set<String> done = session.job().done();
        return plan.done(done) == plan.steps().size()
                ? "all %d steps done".formatted(plan.steps().size())
                : "%d of %d steps · %s left".formatted(plan.done(done), plan.steps().size(),
                        Figures.time(plan.minutesLeft(done)));
    }

    /** The steps in working order. */
    public List<Row> rows(Session session) {
        JobPlan plan = session.review().plan();
        Set<String> done = session.job().done();
        return plan.steps().stream().map(s -> {
            List<Step> waits = plan.waitingOn(s, done);
            String text = waits.isEmpty() || done.contains(s.id())
                    ? s.reason()
                    : "waits on: " + waits.stream().map(Step::title).collect(Collectors.joining("; "));
            return new Row(s, done.contains(s.id()), waits.isEmpty(), text, Figures.time(s.minutes()));
        }).toList();
    }

    /** A step's title with the figure to hold to, in the units chosen. */
    public static String title(Session session, Step step) {
        Step.Span span = step.span();
        if (span == null) {
            return step.title();
        }
        double stoich = session.job().stoich();
        return step.title() + ", " + session.units().number(span.from(), stoich) + "–"
                + session.units().text(span.to(), stoich);
    }

    /** Ticks a step, or takes the tick back from it and from what stood on it; refused with the reason. */
    public void toggle(Session session, Step step) {
        JobPlan plan = session.review().plan();
        Set<String> done = new TreeSet<>(session.job().done());
        if (done.contains(step.id())) {
            List<Step> fall = plan.dependants(step, done);
            done.remove(step.id());
            fall.forEach(s -> done.remove(s.id()));
            session.edit("“" + step.title() + "” not done", j -> j.withDone(done));
            if (!fall.isEmpty()) {
                session.tell("Also opened again, since they stood on it: "
                        + fall.stream().map(Step::title).collect(Collectors.joining("; ")) + ".");
            }
            return;
        }
        List<Step> waits = plan.waitingOn(step, done);
        if (!waits.isEmpty()) {
            session.tell("“" + step.title() + "” waits on: "
                    + waits.stream().map(Step::title).collect(Collectors.joining("; ")) + ".");
            return;
        }
        done.add(step.id());
        session.edit("“" + step.title() + "” done", j -> j.withDone(done));
    }

    @Override
    public Advice advice(Session session) {
        Condition condition = session.job().intake().condition();
        List<String> missing = session.job().intake().missing();
        List<Source> checked = List.of(ORDER);
        if (condition == Condition.ROTTEN || condition == Condition.LEAKS) {
            double seen = ExhaustGas.withFalseAir(1, LEAK, session.job().stoich());
            return new Advice(
                    condition == Condition.ROTTEN
                            ? "Do not fit a sensor to this exhaust."
                            : "Mend the leak before anything is fitted.",
                    new Action("Exhaust is sound now", () -> session.edit("exhaust sound",
                            j -> j.withIntake(j.intake().withCondition(Condition.SOUND)))),
                    "A leak upstream lets air in and reads lean: one per cent of it turns "
                            + Figures.mixture(session, 1) + " into " + Figures.mixture(session, seen) + ".",
                    "", List.of(Source.derived("λ + f·(1 + λ·AFRst)/AFRst with f = 0.01")), caution(session));
        }
        if (!missing.isEmpty()) {
            String first = missing.getFirst();
            return new Advice("Enter: " + first + ".",
                    new Action("Enter " + first, () -> session.focus(FIELDS.getOrDefault(first, "plan.vehicle"))),
                    "The plan and every later figure follow from the intake. Still open: " + String.join(", ", missing)
                            + ".",
                    "", checked, caution(session));
        }
        Optional<Step> next = session.review().plan().next(session.job().done());
        if (next.isEmpty()) {
            return new Advice("Every step is done.",
                    new Action("Go to Hand over", () -> session.go(Station.HAND_OVER)),
                    "What remains is the sheet.", "", checked, "");
        }
        Step step = next.get();
        return new Advice(title(session, step) + ".", new Action("Tick it", () -> toggle(session, step)),
                step.reason().isEmpty() ? "It is the first step that waits on nothing." : sentence(step.reason()), "",
                checked, caution(session));
    }

    private static String sentence(String reason) {
        return Character.toUpperCase(reason.charAt(0)) + reason.substring(1) + ".";
    }

    private static String caution(Session session) {
        boolean weld = session.job().intake().fit() == Fit.WELD_IN;
        return "Stands on level ground, never only the jack. Battery negative off before wiring"
                + (weld
                        ? " and before welding; sensor out of the bung while it is welded; mind fuel lines, coated pipe and fumes, keep a fire watch."
                        : ".")
                + " Hot exhaust burns. Removing or replacing emission parts can be illegal on the road: local law decides.";
    }
}
