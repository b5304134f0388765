package amberheron.app.placement;

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
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceRanking;
import amberheron.core.placement.PlaceSearch;
import amberheron.core.plan.StepId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is next at Place: a table of cases, of which the first that holds is said. */
final class PlaceAdvice {
    private final PlaceModel model;
    private final Session session;
    private final Job job;
    private final PlaceRanking ranking;
    private final List<Finding> findings;
    private final boolean fitted;

    PlaceAdvice(PlaceModel model, Session session) {
        this.model = model;
        this.session = session;
        job = session.job();
        ranking = session.review().places();
        findings = model.findings(session);
        fitted = job.placing().fitted().begun();
    }

    Advice advice() {
        LeafId leaf = session.at().leaf().orElse(LeafId.PLACE_CHOOSE);
        boolean choosing = Set.of(LeafId.PLACE_CHOOSE, LeafId.PLACE_FITTED, LeafId.PLACE_SCHOOLS).contains(leaf);
        List<Source> checked = choosing
                ? Advice.sources(findings)
                : leaf == LeafId.PLACE_PROCEDURE ? List.of(PlaceModel.procedure(session).source()) : List.of();
        return Advice.first(this::noPipe, this::notMeasured, this::noPlace, this::open, this::noneKeepsTheRules,
                this::take, this::fittedWrong, this::toBeMarked, this::toBeMeasured, this::goesOn)
                .with(choosing ? PlaceModel.disagreement(ranking) : Message.NONE, checked, PlaceModel.caution(job));
    }

    private Optional<Finding> first(Verdict verdict) {
        return findings.stream().filter(f -> f.verdict() == verdict).findFirst();
    }

    private Candidate looked() {
        return PlaceModel.entered(session).orElseThrow();
    }

    private boolean searchFound() {
        return PlaceModel.best(session).isPresent();
    }

    private Action takeUp() {
        return new Action(say("Take up what the search found"), () -> model.addBest(session));
    }

    private Optional<Case> noPipe() {
        return Case.when(ranking.site().exhaust().segments().isEmpty(),
                () -> new Case(plain("Say at Plan whether it has a turbo; then enter the pieces here."),
                        new Action(say("Go to Plan"), () -> session.seek(PlaceField.ASPIRATION.address())),
                        plain("Distances count from the turbine, or from the manifold where there is none.")));
    }

    private Optional<Case> notMeasured() {
        return ranking.choice().isPresent()
                ? Optional.empty()
                : PlaceSearch.lacks(ranking.site()).stream().findFirst()
                        .map(measure -> new Case(Message.of("Measure: {0}.", plain(PlaceModel.measured(job, measure))),
                                Action.enter(session, measure),
                                plain("The search looks at every place on the pipe once it knows pipe, surroundings and sensor.")));
    }

    private Optional<Case> noPlace() {
        return Case.when(job.candidates().isEmpty(), () -> new Case(plain("Name a place where the bung could go."),
                searchFound() ? takeUp() : new Action(say("Add a place"), () -> model.add(session)),
                plain("Look for a hole that is there before cutting a new one: a spare plugged bung, or the second sensor's place.")));
    }

    private Optional<Case> open() {
        return first(Verdict.FAIL).isPresent()
                ? Optional.empty()
                : first(Verdict.UNKNOWN).map(f -> new Case(Message.of("{0}: {1}", looked().letter(), f.consequence()),
                        Action.enter(session, f.asks().getFirst()),
                        plain("Until it is measured the place is neither good nor bad.")));
    }

    private Optional<Case> noneKeepsTheRules() {
        return Case.when(ranking.choice().isEmpty(), () -> {
            Finding worst = Figures.worst(findings).orElseThrow();
            boolean found = searchFound();
            return new Case(plain(found
                    ? "Find another place: none so far keeps the rules."
                    : "No place on this pipe keeps every rule: change what breaks it here, or the pipe."),
                    found
                            ? takeUp()
                            : Action.again(session, worst),
                    Message.of("{0}: {1}", looked().letter(), worst.consequence()));
        });
    }

    private Optional<Case> take() {
        Optional<Candidate> chosen = job.chosenPlace();
        boolean wanting = chosen.isEmpty() || (!fitted && PlaceModel.fails(ranking, chosen.get()));
        return ranking.choice().filter(best -> wanting).map(best -> new Case(Message.of("Take {0}.", best.letter()),
                new Action(say("Take %s", best.letter()), () -> {
                    session.at().look(best.id());
                    model.take(session, best);
                }), PlaceModel.why(ranking, best)));
    }

    private Optional<Case> fittedWrong() {
        boolean taken = looked().id().equals(job.placing().chosen());
        return first(Verdict.FAIL).filter(f -> fitted && taken)
                .map(f -> new Case(Message.of("As fitted it does not keep the rules: {0}", f.consequence()),
                        new Action(say("Measure again"), () -> session.seek(PlaceField.FITTED_READING.address())),
                        plain("Better moved now than after the first cracked ceramic.")));
    }

    private Candidate chosen() {
        return job.chosenPlace().orElseThrow();
    }

    private Optional<Case> toBeMarked() {
        return Case.when(!job.done().contains(StepId.PLACE.key()) && !fitted, () -> new Case(
                Message.of("Print the hole and cope template for {0}.", chosen().letter()),
                new Action(say("Print, and tick the step"), () -> model.print(session)),
                PlaceModel.why(ranking, chosen())));
    }

    private Optional<Case> toBeMeasured() {
        boolean wired = session.review().state(Station.WIRE).done();
        return Case.when(!fitted && (wired || job.done().contains(StepId.TIGHT.key())), () -> new Case(
                Message.of("Measure {0} as it was fitted.", chosen().letter()),
                new Action(say("Enter the tilt read"), () -> session.seek(PlaceField.FITTED_READING.address())),
                plain("Welding pulls; what counts is where it ended up.")));
    }

    private Optional<Case> goesOn() {
        Onward onward = Onward.from(session);
        Message why = PlaceModel.why(ranking, chosen());
        boolean reserved = session.review().reservation(Station.PLACE).isPresent();
        return Optional.of(new Case(fitted ? onward.next() : Message.of("Fit {0}, then wire.", chosen().letter()),
                onward.action(), reserved ? Message.of("As it was planned: {0}", why) : why));
    }
}
