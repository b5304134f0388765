package amberheron.app.plan;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.capital;
import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.job.Station;
import amberheron.core.mixture.Fuel;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Condition;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.plan.Intake.Question;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.LeakEstimate;
import amberheron.core.plan.Schedule;
import amberheron.core.plan.Step;
import amberheron.core.plan.StepId;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.io.pack.PartsSheet;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Model of the Plan station. */
public final class PlanModel implements StationModel {
    private static final Source ORDER = Source.practice("the order of the work and the times people quote");
    /** Leak that a warning without a measured hole is worked for, mass of air per mass of exhaust. */
    private static final double LEAK = 0.01;
    private static final List<Double> HOLES = List.of(0.001, 0.002, 0.004);
    private @Nullable String opened;
    private @Nullable Object scheduledFor;
    private List<Schedule> schedules = List.of();

    /** A row of the plan. */
    public record Row(Step step, boolean done, boolean ready, boolean critical, String waits, String time) {
    }

    /** A way to staff the job, and when it would be finished. */
    public record Finish(String people, Schedule schedule, String text) {
    }

    /** Effect of a hole of a size. */
    public record Leak(String hole, String air, String shown) {
    }

    @Override
    public String subtitle() {
        return say("What is to be done, and what each step waits on");
    }

    @Override
    public String figure(Session session) {
        if (!session.isOpen()) {
            return "";
        }
        JobPlan plan = session.review().plan();
        Set<String> done = session.job().done();
        return plan.done(done) == plan.steps().size()
                ? say("all %d steps done", plan.steps().size())
                : say("%d of %d steps · %s left", plan.done(done), plan.steps().size(),
                        Figures.time(plan.minutesLeft(done)));
    }

    /** The steps in working order. */
    public List<Row> rows(Session session) {
        JobPlan plan = session.review().plan();
        Set<String> done = session.job().done();
        List<Step> critical = plan.criticalPath(done);
        return plan.steps().stream().map(s -> {
            List<Step> waits = plan.waitingOn(s, done);
            String text = waits.isEmpty() || done.contains(s.key())
                    ? s.reason()
                    : say("waits on: %s", waits.stream().map(Step::title).collect(Collectors.joining("; ")));
            return new Row(s, done.contains(s.key()), waits.isEmpty(), critical.contains(s), text,
                    say("%d–%d min", s.time().low(), s.time().high()));
        }).toList();
    }

    /** When one and when two people would be finished; the same figures until plan or ticks change. */
    public List<Finish> finish(Session session) {
        JobPlan plan = session.review().plan();
        Object now = List.of(plan.steps(), session.job().done());
        if (!now.equals(scheduledFor)) {
            scheduledFor = now;
            schedules = List.of(Schedule.of(plan, session.job().done(), 1), Schedule.of(plan, session.job().done(), 2));
        }
        return List.of(finish(say("one person"), schedules.getFirst()), finish(say("two people"), schedules.getLast()));
    }

    private static Finish finish(String people, Schedule s) {
        return new Finish(people, s, say("%s to %s, likely %s", Figures.time((int) Math.round(s.early())),
                Figures.time((int) Math.round(s.late())), Figures.time((int) Math.round(s.likely()))));
    }

    /** The row of steps that decides when the job is finished, in words. */
    public String criticalPath(Session session) {
        List<Step> path = session.review().plan().criticalPath(session.job().done());
        int minutes = (int) Math.round(path.stream().mapToDouble(s -> s.time().mean()).sum());
        return path.isEmpty()
                ? ""
                : say("However many people, about %s: %s.", Figures.time(minutes),
                        path.stream().map(Step::title).collect(Collectors.joining(" → ")));
    }

    /** Effect on the reading of holes of a few sizes and of the one measured; empty until the displacement is known. */
    public List<Leak> leaks(Session session) {
        Intake intake = session.job().intake();
        List<Double> holes = new ArrayList<>(HOLES);
        Double measured = intake.leak();
        if (measured != null && !holes.contains(measured)) {
            holes.add(measured);
        }
        double stoich = session.job().stoich();
        return holes.stream().sorted().flatMap(h -> LeakEstimate.of(h, intake, stoich)
                .map(e -> new Leak(Figures.text(session, new Measure(h, Dimension.LENGTH, h * 1000 % 1 == 0 ? 0 : 1)),
                        Figures.text(session, new Measure(e.part(), Dimension.FRACTION, 1)),
                        Figures.mixture(session, e.shown())))
                .stream()).toList();
    }

    /** The step whose details are shown. */
    Optional<String> opened() {
        return Optional.ofNullable(opened);
    }

    void open(Session session, String step) {
        opened = step.equals(opened) ? null : step;
        session.tell(session.notice());
    }

    /** A step's title with the figure to hold to, in the units chosen. */
    public static String title(Session session, Step step) {
        return Figures.text(session, title(step));
    }

    private static Message title(Step step) {
        Step.Span span = step.span();
        return span == null
                ? plain(step.title())
                : Message.of("{0}, {1} to {2}", plain(step.title()), span.from(), span.to());
    }

    private static void tick(Session session, List<Step> steps) {
        Set<String> done = new TreeSet<>(session.job().done());
        steps.forEach(s -> done.add(s.key()));
        session.edit(say("ticked what is proven"), j -> j.withDone(done));
    }

    /** Ticks a step, or takes the tick back from it and from what stood on it; refused with the reason. */
    public void toggle(Session session, Step step) {
        JobPlan plan = session.review().plan();
        Set<String> done = new TreeSet<>(session.job().done());
        if (done.contains(step.key())) {
            List<Step> fall = plan.dependants(step, done);
            done.remove(step.key());
            fall.forEach(s -> done.remove(s.key()));
            session.edit(say("“%s” not done", step.title()), j -> j.withDone(done));
            if (!fall.isEmpty()) {
                session.tell(say("Also opened again, since they stood on it: %s.",
                        fall.stream().map(Step::title).collect(Collectors.joining("; "))));
            }
            return;
        }
        Condition condition = session.job().intake().condition();
        if (condition.stops() && step.id() != StepId.LEAKS) {
            session.tell(say("Nothing is fitted to this exhaust: it is down as “%s”. Have it mended and say "
                    + "so, then go on.", condition.words()));
            return;
        }
        List<Step> waits = plan.waitingOn(step, done);
        if (!waits.isEmpty()) {
            session.tell(say("“%s” waits on: %s.", step.title(),
                    waits.stream().map(Step::title).collect(Collectors.joining("; "))));
            return;
        }
        done.add(step.key());
        session.edit(say("“%s” done", step.title()), j -> j.withDone(done));
    }

    /** Moves a step earlier or later by so many places; refused with the reason. */
    public void move(Session session, Step step, int places) {
        JobPlan plan = session.review().plan();
        List<String> order = plan.steps().stream().map(Step::key).toList();
        switch (plan.move(step.key(), order.indexOf(step.key()) + places)) {
            case JobPlan.Move.Done done -> session.edit(say("“%s” moved", step.title()),
                    j -> j.withProgress(j.progress().withOrder(done.order())));
            case JobPlan.Move.Refused refused -> session.tell(refused.reason());
        }
    }

    /** Says that a part or tool lies ready, or not. */
    public void have(Session session, String item) {
        Set<String> have = new TreeSet<>(session.job().progress().inHand());
        boolean gone = have.remove(item);
        if (!gone) {
            have.add(item);
        }
        session.edit(item + (gone ? say(" not at hand") : say(" at hand")),
                j -> j.withProgress(j.progress().withInHand(have)));
    }

    /** Writes the list of parts and tools, off the screen's thread. */
    public void writeParts(Session session) {
        var job = session.job();
        PartsSheet sheet = PartsSheet.of(job, session.review().plan());
        Path folder = session.home().resolve("lists");
        session.background().run(say("Writing the list"),
                () -> say("Written to %s: %s.", folder, sheet.write(job, folder).stream()
                        .map(f -> String.valueOf(f.getFileName())).collect(Collectors.joining(", "))));
    }

    /** A question of the intake as it was answered. */
    record Answer(String asked, String said) {
    }

    /** The intake in a few lines. */
    static List<Answer> answers(Session session) {
        Intake intake = session.job().intake();
        List<Answer> all = new ArrayList<>();
        all.add(new Answer(say("Vehicle"), intake.vehicle()));
        Double displacement = intake.displacement();
        Integer cylinders = intake.cylinders();
        Engine.Aspiration aspiration = intake.engine().aspiration();
        Engine.Cycle cycle = intake.engine().cycle();
        all.add(new Answer(say("Engine"), Stream.of(
                displacement == null ? "" : say("%.2f L", 1000 * displacement),
                cylinders == null ? "" : count("1 cylinder", "%d cylinders", cylinders),
                intake.banks() == 1 ? say("one exhaust bank") : say("%s exhaust banks", intake.banks()),
                aspiration == null ? "" : aspiration.words(), cycle == null ? "" : cycle.words())
                .filter(w -> !w.isEmpty())
                .collect(Collectors.joining(", "))));
        Fuel fuel = intake.fuel();
        all.add(new Answer(say("Fuel"), fuel == null ? "" : say("%s, λ 1 = %.2f AFR", fuel.name(), fuel.stoich())));
        Engine.FuelSystem system = intake.engine().fuelSystem();
        if (intake.asks(Question.FUEL_SYSTEM) && system != null) {
            all.add(new Answer(say("Fuel system"), system.words()));
        }
        Engine.Supply supply = intake.engine().supply();
        all.add(new Answer(say("Electrics"), supply == null ? "" : supply.words()));
        all.add(new Answer(say("Read by"), intake.readers().stream().map(Intake.ReaderKind::words)
                .collect(Collectors.joining(", "))
                + (intake.asks(Question.LINK) && intake.link() != null ? say(", by %s", intake.link().words()) : "")));
        Intake.Material material = intake.material();
        all.add(new Answer(say("Bung"),
                intake.fit().words() + (material == null ? "" : say(", pipe of %s", material.words()))));
        all.add(new Answer(say("Stays"), intake.permanent() ? say("permanently") : say("for tuning days")));
        all.add(new Answer(say("Harness"),
                intake.fixedHarness() ? say("fixed: sensor first") : say("joined on the bench")));
        return List.copyOf(all);
    }

    static void intake(Session session, String what, UnaryOperator<Intake> change) {
        session.edit(what, j -> j.withIntake(change.apply(j.intake())));
    }

    @Override
    public Advice advice(Session session) {
        Intake intake = session.job().intake();
        List<Question> missing = intake.missing();
        List<Source> checked = switch (session.at().leaf().orElse(LeafId.PLAN_STEPS)) {
            case PLAN_INTAKE, PLAN_PARTS -> List.of();
            case PLAN_EXHAUST -> List.of(LeakEstimate.SOURCE);
            default -> List.of(ORDER, Schedule.SOURCE);
        };
        if (intake.condition().stops()) {
            return stopped(session);
        }
        if (!missing.isEmpty()) {
            Question first = missing.getFirst();
            return new Advice(Message.of("Enter: {0}.", plain(first.words())),
                    Action.enter(session, first.address()),
                    Message.of("The plan and every later figure follow from the intake. Not answered yet: {0}.",
                            Message.joined(", ", missing.stream().map(q -> plain(q.words())).toList())),
                    Message.NONE, checked, caution(session));
        }
        Optional<Step> next = session.review().plan().next(session.job().done());
        List<Step> tooSoon = session.review().tickedTooSoon();
        if (!tooSoon.isEmpty() && (next.isEmpty() || next.get().id() == StepId.SHEET)) {
            Step ticked = tooSoon.getFirst();
            Station at = Station.shownAt(ticked.id()).orElseThrow();
            return new Advice(Message.of("“{0}” is ticked, but {1} is {2}.", plain(ticked.title()), plain(at.title()),
                    plain(session.review().state(at).words())), Action.go(session, at),
                    plain(count("One step is ticked although its checks are not finished or failed.",
                            "%d steps are ticked although their checks are not finished or failed.", tooSoon.size())),
                    Message.NONE, checked, caution(session));
        }
        if (next.isEmpty() || next.get().id() == StepId.SHEET) {
            return new Advice(plain("Every step is done."),
                    Action.go(session, Station.HAND_OVER),
                    plain("What remains is the sheet."), Message.NONE, checked, Message.NONE);
        }
        List<Step> proven = session.review().provenUnticked();
        if (!proven.isEmpty()) {
            return new Advice(Message.of("Tick what is proven: {0}.",
                    Message.joined("; ", proven.stream().map(PlanModel::title).toList())),
                    new Action(say("Tick %s", proven.size() == 1 ? say("it") : say("these %s", proven.size())),
                            () -> tick(session, proven)),
                    plain("The checks of their stations are kept."), Message.NONE, checked, caution(session));
        }
        Step step = next.get();
        List<String> lacking = step.items().stream().filter(i -> i.kind() != Step.Item.Kind.TOOL)
                .filter(i -> !session.job().progress().inHand().contains(i.name())).map(Step.Item::words).toList();
        Action act = Station.shownAt(step.id()).filter(at -> !session.review().state(at).done())
                .map(at -> Action.go(session, at))
                .orElseGet(() -> Action.vouch(say("Tick it"), () -> toggle(session, step)));
        return new Advice(Message.of("{0}.", title(step)), act,
                Message.of("{0}{1}",
                        plain(step.reason().isEmpty()
                                ? "It is the first step that waits on nothing."
                                : capital(step.reason()) + "."),
                        lacking.isEmpty()
                                ? Message.NONE
                                : Message.of(" Not marked as at hand: {0}.",
                                        Message.joined("; ", lacking.stream().map(Message::plain).toList()))),
                Message.NONE, checked, step.caution().isEmpty() ? caution(session) : plain(step.caution()));
    }

    private Advice stopped(Session session) {
        Intake intake = session.job().intake();
        Double hole = intake.leak();
        double stoich = session.job().stoich();
        Optional<LeakEstimate> estimate = hole == null ? Optional.empty() : LeakEstimate.of(hole, intake, stoich);
        boolean measured = estimate.isPresent();
        LeakEstimate leak = estimate.orElseGet(() -> LeakEstimate.ofPart(LEAK, stoich));
        return new Advice(
                plain(intake.condition() == Condition.ROTTEN
                        ? "Do not fit a sensor to this exhaust."
                        : "Mend the leak before anything is fitted."),
                Action.vouch(say("Mended: record it"), () -> intake(session, say("exhaust sound"),
                        i -> i.withCondition(Condition.SOUND))),
                Message.of(measured
                        ? "At idle this leak draws in about {0} of air, which turns {1} into {2}."
                        : "A leak upstream lets air in and reads lean: {0} of air, which turns {1} into {2}.",
                        new Measure(leak.part(), Dimension.FRACTION, 1), new Measure(1, Dimension.MIXTURE, 3),
                        new Measure(leak.shown(), Dimension.MIXTURE, 3)),
                Message.NONE,
                List.of(measured ? LeakEstimate.SOURCE : Source.derived("λ + f·(1 + λ·AFRst)/AFRst with f = 0.01")),
                caution(session));
    }

    private static Message caution(Session session) {
        boolean weld = session.job().intake().fit() == Fit.WELD_IN;
        return Message.of(
                "Stands on level ground, never only the jack. Battery negative off before wiring{0} Hot exhaust burns. "
                        + "Removing or replacing emission parts can be illegal on the road: local law decides.",
                plain(weld
                        ? " and before welding; sensor out of the bung while it is welded; mind fuel lines, coated pipe and fumes, keep a fire watch."
                        : "."));
    }
}
