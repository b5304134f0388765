package amberheron.app.wiring;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Advice.Case;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Onward;
import amberheron.app.session.Session;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.HarnessField;
import amberheron.core.job.Station;
import amberheron.core.wiring.GroundCure;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerRules;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireCheck;
import amberheron.core.wiring.WireField;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is next at Wire: a table of cases, of which the first that holds is said. It stays within the leaf that is shown
 * until that is done; its reasons are the leaf's own.
 */
final class WireAdvice {
    private static final Message DISAGREEMENT = plain(
            "Grounds: everything at the battery; one clean chassis point; signal at the reader's own sensor ground; gauge and logger at one point. "
                    + "Ours follows the figure: whichever keeps heater current out of the signal's ground, or inside tolerance here. "
                    + "Heater: with the ignition, or about 30 s after the start; we show the seconds each risks at this place. "
                    + "Joints: soldered, or crimped with seals; both are held to the same pull and resistance.");

    private final WireModel model;
    private final Session session;
    /** Those of the leaf shown first. */
    private final List<Finding> findings;
    private final List<Finding> ofLeaf;
    private final Optional<Finding> wrong;
    private final Optional<Finding> open;

    WireAdvice(WireModel model, Session session) {
        this.model = model;
        this.session = session;
        findings = session.review().findings(Station.WIRE).stream()
                .sorted(Comparator.comparing(f -> !here(f))).toList();
        ofLeaf = findings.stream().filter(this::here).toList();
        boolean openHere = ofLeaf.stream().anyMatch(f -> f.verdict() == Verdict.UNKNOWN);
        wrong = findings.stream().filter(f -> f.verdict() == Verdict.FAIL).filter(f -> here(f) || !openHere)
                .findFirst();
        open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
    }

    private boolean here(Finding f) {
        return session.at().leaf().filter(l -> LeafChecks.hold(l, f.check().id())).isPresent();
    }

    private Message caution() {
        return Message.of(
                "Battery negative off before wiring. Look behind before drilling a firewall or dash: brake and fuel lines, looms, in a car the airbags. Never power the sensor on a cold day with the engine off. {0}",
                session.job().wiring().heater().unpowered());
    }

    Advice advice() {
        return Advice.first(this::groundsShift, this::wrong, this::noSource, this::sourceToTake, this::chartIncomplete,
                this::open, this::proven)
                .with(DISAGREEMENT, Advice.sources(ofLeaf.isEmpty() ? findings : ofLeaf), caution());
    }

    private Optional<Case> groundsShift() {
        Optional<GroundCure> cure = session.review().groundCure();
        return wrong.filter(f -> f.check().is(WireCheck.GROUND)).map(f -> {
            Double cost = f.lambdaCost();
            GroundPlan mended = cure.map(GroundCure::plan).orElse(null);
            return new Case(cure.map(GroundCure::text).orElse(f.consequence()),
                    mended == null
                            ? new Action(say("Choose the hook-up"), () -> session.focus(LeafId.WIRE_SIGNAL))
                            : Action.vouch(say("Rewired: record it"), () -> WireModel.ground(session,
                                    say("ground rewired"), g -> mended.afterRewiring())),
                    Message.of("Heater current in the ground lifts the reader's volts: it reads {0}. {1}.",
                            Figures.leanOrRich(cost == null ? 0 : cost), f.working()));
        });
    }

    private Optional<Case> wrong() {
        return wrong.map(f -> new Case(Message.of("{0}: {1}", f.subject(), f.consequence()),
                Action.again(session, f), f.working()));
    }

    /** The state of the key that is asked for next; empty where something else is. */
    private Optional<KeyState> state() {
        return open.flatMap(f -> f.check().id() instanceof KeyState s ? Optional.of(s) : Optional.empty());
    }

    private Optional<PowerSource> best() {
        return PowerRules.best(session.review().wiring().sources(), session.job().wiring().feed().relay(),
                session.job().electrics());
    }

    private boolean sourceAsked() {
        return state().isPresent() && session.job().wiring().source().isEmpty();
    }

    private Optional<Case> noSource() {
        return Case.when(sourceAsked() && (session.job().wiring().sources().isEmpty() || best().isEmpty()),
                () -> new Case(plain("Name a place where the power could come from."),
                        new Action(say("Add a source"), () -> {
                            model.add(session);
                            session.seek(model.of(session, WireField.SOURCE_PLACE));
                        }), plain("It has to follow the key; prove it with a meter.")));
    }

    private Optional<Case> sourceToTake() {
        return best().filter(s -> sourceAsked()).map(s -> new Case(Message.of("Take source {0}.", s.letter()),
                new Action(say("Take %s", s.letter()), () -> model.take(session, s)),
                plain(PowerRules.remedy(s.behaviour(session.job().electrics())))));
    }

    private Optional<Case> chartIncomplete() {
        return open.filter(f -> f.asks().getFirst().equals(HarnessField.CHART.address()))
                .map(f -> new Case(f.consequence(), new Action(say("Add these lines"), () -> {
                    model.addNeeded(session);
                    session.focus(LeafId.WIRE_CHART);
                }), plain("Drawn up before anything is cut; colours are confirmed by continuity.")));
    }

    private Optional<Case> open() {
        return open.map(f -> new Case(f.consequence(),
                state().filter(s -> model.metered(session))
                        .map(s -> new Action(say("Read the meter: %s", s.words()), () -> model.read(session, s)))
                        .orElseGet(() -> Action.enter(session, f.asks().getFirst())),
                plain("A reading that is missing never counts as a pass.")));
    }

    private Optional<Case> proven() {
        Onward onward = Onward.from(session);
        return Optional.of(new Case(onward.next(), onward.action(),
                plain("Source, fuse, ground, signal and every wire have their proof.")));
    }
}
