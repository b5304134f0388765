package amberheron.app.drivelog;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.app.scaling.OutputSwitch;
import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Advice.Case;
import amberheron.app.session.Figures;
import amberheron.app.session.Onward;
import amberheron.app.session.Session;
import amberheron.core.drivelog.LogCheck;
import amberheron.core.drivelog.LogField;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Verdict;
import amberheron.core.job.JobCheck;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is next at Prove: a table of cases, of which the first that holds is said. */
final class ProveAdvice {
    private static final Set<LogCheck> WITNESSES = EnumSet.of(LogCheck.CROSSINGS, LogCheck.ANALYSER);
    /** What a wrong setting or a wrong wire shows in. */
    private static final Set<LogCheck> OF_READER = EnumSet.of(LogCheck.BIAS, LogCheck.SPREAD, LogCheck.WORST,
            LogCheck.GAIN);

    private final Session session;
    private final List<Finding> findings;
    private final Output.@Nullable Proving proving;

    ProveAdvice(Session session) {
        this.session = session;
        findings = session.review().findings(Station.PROVE);
        proving = session.job().proving();
    }

    Advice advice() {
        return Advice.first(this::anotherReader, this::offByTheLink, this::cannotBeLogged, this::notDriven, this::stale,
                this::engineLean, this::controllerOff, this::offOnTheRoad, this::otherwiseWrong, this::linkOpen,
                this::tooLittleDriven, this::agrees)
                .with(Message.NONE, Advice.sources(findings), Message.of(
                        "Never watch a gauge while driving: log on a closed road or a dynamometer. {0}",
                        session.job().bands().danger()));
    }

    private boolean logged() {
        return session.job().outputs().active().logged();
    }

    private Action nameTheLog() {
        return new Action(say("Name the log"), () -> session.seek(LogField.FILE.address()));
    }

    private Optional<Case> anotherReader() {
        return OutputSwitch.other(session, Station.PROVE).map(other -> new Case(plain(other.label() + "."), other,
                plain(logged()
                        ? "This one agrees on the road; every reader is driven by itself."
                        : "What this one shows cannot be logged.")));
    }

    private Optional<Case> cannotBeLogged() {
        return Case.when(!logged() && proving == null && found(Verdict.UNKNOWN, Set.of(LogCheck.LINK)).isEmpty(),
                () -> onward(plain("What this reader shows cannot be logged.")));
    }

    private Optional<Case> notDriven() {
        return Case.when(logged() && proving == null, () -> new Case(
                plain("Drive with the log running, then read it here."),
                nameTheLog(),
                plain("A cold start is rich and says nothing yet; wait for warm idle, cruise, full throttle and lift-off.")));
    }

    private Optional<Case> stale() {
        return session.review().stale(Station.PROVE)
                .map(s -> new Case(plain(s.reading().again()), nameTheLog(), s.text()));
    }

    /** Returns the case of an engine that runs lean, which comes before anything about the reader. */
    private Optional<Case> engineLean() {
        return findings.stream().filter(f -> f.check().is(LogCheck.LEAN) && f.verdict() == Verdict.FAIL).findFirst()
                .map(f -> new Case(plain("Stop: mend the fuelling, then drive again."), nameTheLog(),
                        Message.of("{0}. {1}", f.subject(), f.consequence())));
    }

    private Optional<Finding> found(Verdict verdict, Set<LogCheck> checks) {
        return Figures.worst(findings.stream()
                .filter(f -> f.verdict() == verdict && checks.stream().anyMatch(f.check()::is)).toList());
    }

    private Optional<Case> offByTheLink() {
        return found(Verdict.FAIL, Set.of(LogCheck.LINK)).map(f -> new Case(
                plain("Set right what comes by the link."), Action.again(session, f),
                f.consequence()));
    }

    private Optional<Case> linkOpen() {
        return found(Verdict.UNKNOWN, Set.of(LogCheck.LINK)).map(f -> new Case(
                plain("Compare the reader with the controller's display at two mixtures."),
                new Action(say("Enter them"), () -> session.seek(f.asks().getFirst())), f.consequence()));
    }

    /** Another instrument says that the controller itself shows what is not so: no setting mends that. */
    private Optional<Case> controllerOff() {
        return found(Verdict.FAIL, WITNESSES).map(f -> new Case(
                plain("Go back to Air: the controller itself is off."), Action.go(session, Station.AIR),
                f.consequence()));
    }

    private Optional<Case> otherwiseWrong() {
        return Figures.worst(findings).filter(f -> f.verdict() == Verdict.FAIL).map(f -> new Case(
                Message.of("Look into it: {0}.", f.subject()), f.asks().isEmpty()
                        ? nameTheLog()
                        : Action.again(session, f),
                f.consequence()));
    }

    private Optional<Case> offOnTheRoad() {
        return found(Verdict.FAIL, OF_READER)
                .map(f -> new Case(plain("Go back to Scale: the reader is off on the road."),
                        Action.go(session, Station.SCALE),
                        session.review().onTheRoad().filter(d -> !d.withinTolerance())
                                .map(d -> Message.of("{0} {1}: {2}", f.consequence(), plain(d.title()),
                                        plain(d.remedy())))
                                .orElse(Message.of(
                                        "{0} What agreed on the bench and not on the road points at the grounds.",
                                        f.consequence()))));
    }

    private Optional<Case> tooLittleDriven() {
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        boolean dated = proving != null && proving.origin().taken() != null;
        return Case.when(open.isPresent() || !dated, () -> new Case(
                plain("Drive on with the log running, then read it here."), nameTheLog(),
                open.map(Finding::consequence).orElse(plain(JobCheck.LOG_DATED.words()))));
    }

    private Optional<Case> agrees() {
        return Optional.of(onward(Figures.worst(findings).map(Finding::consequence)
                .orElse(plain("Gauge and reader agree over the whole drive."))));
    }

    private Case onward(Message why) {
        Onward onward = Onward.from(session);
        return new Case(onward.next(), onward.action(), why);
    }
}
