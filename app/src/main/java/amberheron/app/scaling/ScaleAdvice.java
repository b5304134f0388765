package amberheron.app.scaling;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Advice.Case;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Onward;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.job.JobCheck;
import amberheron.core.job.LinkState;
import amberheron.core.job.Stale;
import amberheron.core.job.Station;
import amberheron.core.scaling.Cause;
import amberheron.core.scaling.CheckPoint.Engine;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Fault;
import amberheron.core.scaling.FaultParameters;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ScaleField;
import amberheron.core.scaling.Tolerance;
import amberheron.core.trust.Trust;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.wiring.WireCheck;
import amberheron.core.wiring.WireRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is next at Scale: a table of cases, of which the first that holds is said. */
final class ScaleAdvice {
    private final ScaleModel model;
    private final Session session;
    private final Job job;
    private final boolean runs;
    private final Message volts;
    private final Optional<Diagnosis> diagnosis;

    ScaleAdvice(ScaleModel model, Session session) {
        this.model = model;
        this.session = session;
        job = session.job();
        runs = ScaleModel.nextEngine(session) == Engine.RUNNING;
        volts = ScaleModel.nextVolts(session).map(v -> Message.of("{0}", new Measure(v, Dimension.VOLTAGE, 2)))
                .orElse(Message.NONE);
        diagnosis = session.review().scale().isEmpty() ? Optional.empty() : session.review().diagnosis();
    }

    Advice advice() {
        return Advice.first(this::notNeeded, this::wiringWrong, this::noLaw, this::noReader, this::noVoltsShared,
                this::wiringUnfinished,
                this::nothingApplied, this::undecided, this::groundsShift, this::linkLies, this::settingNotedWrong,
                this::tooFewPoints, this::anotherReader, this::lawUnread, this::stillOpen, this::agrees)
                .with(Message.NONE, checked(), caution());
    }

    private Message caution() {
        return plain(runs
                ? "Carbon monoxide: run it outside or extract. Above 5 V many inputs are damaged. "
                        + "Black lead on the controller's own signal ground."
                : "Above 5 V many inputs are damaged. Black lead on the controller's own signal ground.");
    }

    private List<Source> checked() {
        List<Source> checked = new ArrayList<>();
        OutputLaw law = job.law();
        if (law != null) {
            checked.add(law.source());
        }
        checked.add(Tolerance.SOURCE);
        if (session.review().trust().isPresent()) {
            checked.addAll(Trust.SOURCES);
        }
        Reader reader = job.reader();
        if (law != null && reader != null) {
            checked.add(reader.source());
        }
        return checked;
    }

    private Message apply() {
        return Message.of(runs
                ? "Engine running: apply {0} and note what the reader shows."
                : "Engine off: apply {0} and note what the reader shows.", volts);
    }

    private Action reading() {
        return session.preferences().shop().demo()
                ? new Action(say("Take a reading (simulated bench)"), () -> model.take(session))
                : new Action(say("Type what you read"), () -> session.seek(ScaleField.POINTS.address()));
    }

    private Action chooseReader() {
        return new Action(say("Choose the reader"), () -> session.seek(ScaleField.READER.address()));
    }

    private Optional<Case> notNeeded() {
        Onward onward = Onward.from(session);
        return Case.when(session.review().state(Station.SCALE) == LinkState.NOT_NEEDED,
                () -> new Case(onward.next(), onward.action(), plain(
                        "Numbers get to every reader, no volts: there is nothing to scale. What was noted here is kept.")));
    }

    /** Whatever is read over wires that are wrong has to be read again. */
    private Optional<Case> wiringWrong() {
        boolean grounds = session.review().groundCure().isPresent();
        return Case.when(session.review().state(Station.WIRE) == LinkState.OUT_OF_TOLERANCE && !grounds,
                () -> new Case(plain("Mend the wiring first."), Action.go(session, Station.WIRE),
                        session.review().findings(Station.WIRE).stream().filter(f -> f.verdict() == Verdict.FAIL)
                                .findFirst().map(f -> Message.of("{0}: {1}", f.subject(), f.consequence()))
                                .orElse(Message.NONE)));
    }

    private Optional<Case> noLaw() {
        return Case.when(job.law() == null, () -> new Case(plain(JobCheck.LAW.words()),
                new Action(say("Choose the law"), () -> session.seek(ScaleField.LAW.address())),
                plain("Every controller has its own law; another maker's equation is the commonest lie.")));
    }

    private Optional<Case> noReader() {
        return Case.when(job.reader() == null, () -> new Case(plain(JobCheck.READER.words()), chooseReader(),
                plain("The same law is typed as slope and offset, two points, an equation or a table.")));
    }

    private Optional<Case> noVoltsShared() {
        return Case.when(session.review().scale().isEmpty(),
                () -> new Case(plain("Choose another input: law and input share no volts."), chooseReader(),
                        plain("Nothing that is typed can make it show the mixture.")));
    }

    /** A bench without any wiring is checked all the same; a harness in the making is finished first. */
    private Optional<Case> wiringUnfinished() {
        boolean half = session.review().state(Station.WIRE) == LinkState.BEGUN
                && session.review().findings(Station.WIRE).stream().anyMatch(f -> f.verdict() == Verdict.UNKNOWN
                        && (f.check().is(WireCheck.GROUND) || f.check().is(WireCheck.SIGNAL_FORM)));
        return Case.when(diagnosis.isEmpty() && half, () -> new Case(plain("Finish the wiring, then check it here."),
                Action.go(session, Station.WIRE),
                plain("What the reader shows says something about the wires only when they are as they will stay.")));
    }

    private Optional<Case> nothingApplied() {
        return Case.when(diagnosis.isEmpty(), () -> new Case(
                Message.of("Type the setting; engine off, apply {0} and note what the reader shows.", volts),
                reading(), session.review().stale(Station.SCALE).map(Stale::text).orElse(plain(
                        "Agreement at one point proves nothing about slope: two or more, spread over the range."))));
    }

    private Diagnosis found() {
        return diagnosis.orElseThrow();
    }

    private Optional<Case> undecided() {
        Diagnosis.NextPoint next = found().nextPoint();
        return next == null || found().withinTolerance() || found().best().probability() >= Diagnosis.SURE
                ? Optional.empty()
                : Optional.of(new Case(apply(), reading(),
                        Message.of("{0} ({1}) and {2} explain the points nearly as well; at {3} they part.",
                                plain(next.first().title()),
                                new Measure(found().best().probability(), Dimension.FRACTION, 0),
                                plain(Phrase.small(next.second().title())), volts)));
    }

    private Optional<Case> groundsShift() {
        Fault fault = found().best().fault();
        Optional<Double> predicted = WireRules.shift(job.wiring(), job.intake().readers()).filter(s -> s != 0);
        return Case.when(
                !found().withinTolerance() && found().settingFollows() && fault.cause() == Cause.GROUND_SHIFT
                        && predicted.isPresent(),
                () -> new Case(session.review().groundCure().map(c -> c.text()).orElse(plain(fault.remedy())),
                        Action.go(session, Station.WIRE),
                        Message.of("The points say {0} mV; this job's shared ground wire predicts {1} mV. {2}",
                                millivolts(found().best().parameters().value(FaultParameters.Name.VOLTS).orElse(0)),
                                millivolts(predicted.orElseThrow()), consequence())));
    }

    private Optional<Case> linkLies() {
        return Case.when(!found().withinTolerance(), () -> new Case(plain(found().remedy()),
                ScaleModel.corrects(found(), job)
                        ? new Action(say("Use the corrected setting"), () -> model.useCorrected(session))
                        : found().settingFollows() && found().typeFirst() == null
                                ? new Action(say("Take another reading"), reading().run())
                                : new Action(say("See what to type"), () -> session.focus(LeafId.SCALE_TYPE)),
                found().writtenWrong()
                        ? plain(found().meaning())
                        : Message.of("{0} {1}", plain(found().meaning()), consequence())));
    }

    private Optional<Case> settingNotedWrong() {
        return Case.when(!found().settingHeld(), () -> new Case(plain(JobCheck.SETTING_HELD.words()),
                found().correctedSetting() == null
                        ? chooseReader()
                        : new Action(say("It holds the right one: note it"), () -> model.useCorrected(session)),
                plain("The points agree with the mixture and contradict the setting; one of the two was noted wrong.")));
    }

    private Optional<Case> tooFewPoints() {
        int counted = session.review().points().size();
        return Case.when(counted < ScaleModel.WANTED, () -> new Case(apply(), reading(), plain(counted == 1
                ? "One agreeing point proves nothing about slope: many controllers put out λ 1 with no sensor at all."
                : runs
                        ? "Agrees with the engine off; heater and alternator move the grounds once it runs."
                        : "Agrees so far.")));
    }

    private Optional<Case> anotherReader() {
        return OutputSwitch.other(session, Station.SCALE).map(other -> new Case(plain(other.label() + "."), other,
                plain("This one agrees; every reader of the controller is checked by itself.")));
    }

    private Optional<Case> lawUnread() {
        return Case.when(session.review().lacks().equals(List.of(JobCheck.LAW_READ)),
                () -> new Case(plain(JobCheck.LAW_READ.words()), Action.enter(session, ScaleField.TRUE.address()),
                        plain("Volts are turned into a mixture by the law that was chosen, and agree with it whatever the controller does.")));
    }

    private Optional<Case> stillOpen() {
        return Case.when(!session.review().state(Station.SCALE).done(), () -> new Case(apply(), reading(),
                session.review().because(Station.SCALE).stream().filter(c -> c.id() instanceof JobCheck)
                        .map(c -> plain(((JobCheck) c.id()).words())).findFirst().orElse(Message.NONE)));
    }

    private Optional<Case> agrees() {
        Onward onward = Onward.from(session);
        return Optional.of(new Case(onward.next(), onward.action(), Message
                .of("Shown agrees with true at {0} points over the range.", session.review().points().size())));
    }

    private static Measure millivolts(double volts) {
        return new Measure(1000 * volts, Dimension.NUMBER, 0);
    }

    /** Mixture that the engine would be fed if the number were trusted. */
    private Message consequence() {
        double off = found().worst().lambda();
        double part = Math.abs(off) / Math.max(0.1, found().worst().atLambda());
        return Message.of(off > 0
                ? "It shows {0} at {1}: trusted, the engine would be fed about {2} too much fuel."
                : "It shows {0} at {1}: trusted, the engine would be fed about {2} too little fuel.",
                Figures.leanOrRich(off), new Measure(found().worst().atLambda(), Dimension.MIXTURE, 3),
                new Measure(part, Dimension.FRACTION, 1));
    }
}
