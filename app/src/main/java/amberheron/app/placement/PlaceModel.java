package amberheron.app.placement;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Figures;
import amberheron.app.session.JobPhotos;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Photo;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.core.parts.PartIds;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.placement.MarkingOut;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceRanking;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.PlaceSearch;
import amberheron.core.placement.Placing;
import amberheron.core.placement.RoomRules;
import amberheron.core.placement.Segment.Line;
import amberheron.core.placement.Site;
import amberheron.core.plan.Intake;
import amberheron.core.plan.StepId;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Unusable;
import amberheron.io.kind.FileKind;
import amberheron.io.pack.TemplateSheet;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Model of the Place station. */
public final class PlaceModel implements StationModel {
    private @Nullable Candidate dragged;

    @Override
    public String subtitle() {
        return say("Where the sensor sees true gas and stays dry");
    }

    /** Site by which the open job's places are judged. */
    static Site site(Session session) {
        return session.job().site(session.preferences().shop().schools());
    }

    static Exhaust exhaust(Session session) {
        return session.job().intake().exhaust();
    }

    @Override
    public String figure(Session session) {
        Job job = session.job();
        Optional<Candidate> chosen = made(session);
        if (chosen.isEmpty()) {
            return job.candidates().isEmpty() ? "" : say("%s considered, none taken", job.candidates().size());
        }
        Candidate c = chosen.get();
        List<String> parts = new ArrayList<>();
        Double distance = c.distance();
        if (distance != null) {
            parts.add(Figures.length(session, distance)
                    + (exhaust(session).turbine() ? say(" past turbine") : say(" on")));
        }
        PlaceRules.tiltOf(site(session), c).ifPresent(t -> parts.add(tilt(session, t)));
        return c.letter() + (parts.isEmpty() ? "" : ": " + String.join(" · ", parts));
    }

    /** The place taken: as fitted where that is known, else as planned. */
    static Optional<Candidate> made(Session session) {
        Placing placing = session.job().placing();
        return placing.place().flatMap(p -> placing.fitted().begun()
                ? placing.fitted().place(exhaust(session), p).or(() -> Optional.of(p))
                : Optional.of(p));
    }

    static String tilt(Session session, double radians) {
        return Figures.text(session, new Measure(Math.abs(radians), Dimension.ANGLE, 0))
                + (radians >= 0 ? say(" up") : say(" down"));
    }

    /** The candidate looked at, where the hand has it just now. */
    Optional<Candidate> looked(Session session) {
        return dragged != null && session.at().place().filter(dragged.id()::equals).isPresent()
                ? Optional.of(dragged)
                : entered(session);
    }

    /** The candidate looked at, as entered. */
    static Optional<Candidate> entered(Session session) {
        return session.at().place().flatMap(
                id -> session.job().candidates().stream().filter(c -> c.id().equals(id)).findFirst());
    }

    /** Moves the candidate looked at with the hand; kept when the hand lets go. */
    void drag(Session session, Function<Candidate, Candidate> move, boolean done) {
        entered(session).ifPresent(c -> {
            Candidate moved = move.apply(dragged == null ? c : dragged);
            dragged = done ? null : moved;
            if (done) {
                session.edit(say("place %s moved", c.letter()),
                        j -> j.withPlacing(j.placing().withCandidate(c.id(), k -> moved)));
            }
        });
    }

    /** Puts back what the hand has not let go of. */
    void putBack() {
        dragged = null;
    }

    /** How the candidate looked at stands against the rules; of the one taken, as it was fitted. */
    List<Finding> findings(Session session) {
        Optional<Candidate> looked = looked(session);
        boolean taken = looked.filter(c -> c.id().equals(session.job().placing().chosen())).isPresent();
        List<Finding> findings = taken && dragged == null
                ? session.review().findings(Station.PLACE)
                : looked.map(session.review().places()::findings).orElse(List.of());
        // What stands in the way is seen first; of equals, the order in which an installer checks.
        return findings.stream().sorted(Comparator.comparing(Finding::verdict).reversed()).toList();
    }

    /** The line of pipes looked at. */
    static Line line(Session session) {
        List<Line> lines = exhaust(session).lines();
        return entered(session).map(Candidate::line).filter(lines::contains).orElse(lines.getFirst());
    }

    private static PlaceRanking.Searched search(Session session) {
        return session.review().places().search(line(session));
    }

    /** Every place of the line looked at, judged. */
    static Optional<PlaceSearch.Band> band(Session session) {
        return search(session).band();
    }

    /** The best place of the line looked at. */
    static Optional<Candidate> best(Session session) {
        return search(session).best();
    }

    /** Result of the search, in words. */
    static String searched(Session session) {
        if (band(session).isEmpty()) {
            return say("Enter the pieces of the exhaust to search it.");
        }
        PlaceSearch.Band all = band(session).get();
        return say("%,d places judged. ", all.size() * 360)
                + best(session)
                        .map(c -> say("Best: %s, %s.", where(session, c),
                                tilt(session, PlaceRules.tiltOf(site(session), c).orElseThrow())))
                        .orElse(say("None can be taken: each fails a rule or lacks a measure."));
    }

    static String clock(Candidate c) {
        Double clock = c.clock();
        return clock == null ? "" : Figures.clock(clock);
    }

    static String where(Session session, Candidate c) {
        Double distance = c.distance();
        Double clock = c.clock();
        return (distance == null ? say("not measured") : Figures.length(session, distance))
                + (clock == null ? "" : say(" at %s", Figures.clock(clock)));
    }

    /** Adds what the search found as a place of its own. */
    void addBest(Session session) {
        best(session).ifPresentOrElse(c -> add(session, c.withNote(say("found by the search"))),
                () -> session
                        .tell(say("Every place on this line fails a rule; look at the pieces and what lies around.")));
    }

    /** Adds a candidate under the next letter and looks at it. */
    void add(Session session) {
        add(session, Candidate.named("").withLine(line(session)));
    }

    private static void add(Session session, Candidate place) {
        String letter = PartIds.nextLetter(session.job().candidates().stream().map(Candidate::letter).toList());
        session.edit(say("place %s added", letter), j -> {
            List<Candidate> more = new ArrayList<>(j.candidates());
            more.add(place.withId("").withLetter(letter).withGas(null));
            return j.withPlacing(j.placing().withCandidates(more));
        });
        session.at().look(session.job().candidates().getLast().id());
    }

    /** Takes a place; refused when the sensor does not even fit there. */
    void take(Session session, Candidate place) {
        String id = place.id();
        try {
            RoomRules.requireRoom(site(session), place);
        } catch (Unusable e) {
            session.tell(say("%s cannot be taken. %s.", place.letter(), e.getMessage()));
            return;
        }
        boolean other = session.job().placing().fitted().begun() && !id.equals(session.job().placing().chosen());
        session.edit(say("place %s taken", place.letter()), j -> j.withPlacing((other
                ? j.placing().withFitted(AsFitted.NOTHING.withPhotos(j.placing().fitted().photos()))
                : j.placing()).withChosen(id)));
        if (other) {
            session.tell(say("What was measured as fitted belonged to the place before; Ctrl+Z brings both back."));
        }
    }

    void remove(Session session, Candidate place) {
        String id = place.id();
        session.edit(say("place %s removed", place.letter()), j -> j.withPlacing(j.placing()
                .withCandidates(j.candidates().stream().filter(c -> !c.id().equals(id)).toList())
                .withChosen(id.equals(j.placing().chosen()) ? null : j.placing().chosen()))
                .withoutPart(PlaceField.DISTANCE.of(id)));
    }

    /** The marks for the place taken, else the one looked at; empty until they can be worked out. */
    Optional<MarkingOut> marks(Session session) {
        return marked(session).flatMap(c -> MarkingOut.of(exhaust(session), c, session.job().placing().bung()));
    }

    /** The place that is marked out. */
    Optional<Candidate> marked(Session session) {
        return session.job().chosenPlace().or(() -> entered(session));
    }

    /** Why nothing can be marked out; empty when it can. */
    String whyNoMarks(Session session) {
        try {
            return marks(session).isPresent()
                    ? ""
                    : say("Place, clock position and the pipe's diameter are needed first.");
        } catch (Unusable e) {
            return e.getMessage() + ".";
        }
    }

    static FittingProcedure procedure(Session session) {
        return session.job().intake().fit().procedure();
    }

    /** Writes the marking-out sheet, off the screen's thread, and ticks the step. */
    void print(Session session) {
        String why = whyNoMarks(session);
        if (!why.isEmpty()) {
            session.tell(say("No template yet. %s", why));
            return;
        }
        Job job = session.job();
        Candidate place = marked(session).orElseThrow();
        MarkingOut marks = marks(session).orElseThrow();
        FittingProcedure procedure = procedure(session);
        var units = session.preferences().units();
        Path folder = session.home().resolve("templates");
        session.background().intoJob(say("Writing the template"),
                progress -> say("Written to %s: %s. Print at 100 %%, measure the 100 mm line.", folder,
                        TemplateSheet.write(job, place, marks, procedure, units, folder).stream()
                                .map(f -> String.valueOf(f.getFileName())).collect(Collectors.joining(", "))),
                (other, written) -> written, written -> {
                    marked(session, place);
                    return written;
                });
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        JobPhotos.attach(session, file, PlaceModel::photos, PlaceModel::withPhotos);
        return LeafId.PLACE_FITTED;
    }

    static List<Photo> photos(Job job) {
        return job.placing().fitted().photos();
    }

    static Job withPhotos(Job job, List<Photo> photos) {
        return job.withPlacing(job.placing().withFitted(job.placing().fitted().withPhotos(photos)));
    }

    /** Ticks the step that the template was for, once it is written. */
    private static void marked(Session session, Candidate place) {
        Job job = session.job();
        if (place.id().equals(job.placing().chosen()) && job.done().contains(StepId.LEAKS.key())
                && !job.done().contains(StepId.PLACE.key())) {
            Set<String> done = new TreeSet<>(job.done());
            done.add(StepId.PLACE.key());
            session.edit(say("place marked"), j -> j.withDone(done));
        }
    }

    static void fitted(Session session, String what, UnaryOperator<AsFitted> change) {
        session.edit(what,
                j -> j.withPlacing(j.placing().withFitted(change.apply(j.placing().fitted()))));
    }

    static void exhaust(Session session, String what, UnaryOperator<Exhaust> change) {
        session.edit(what, j -> j.withIntake(j.intake().withExhaust(change.apply(j.intake().exhaust()))));
    }

    @Override
    public Advice advice(Session session) {
        return new PlaceAdvice(this, session).advice();
    }

    static String measured(Job job, Address value) {
        return job.intake().exhaust().segments().stream().filter(s -> PlaceField.PIECE_LENGTH.of(s.id()).partKey()
                .equals(value.partKey())).findFirst()
                .map(s -> value.property().words() + ", " + s.kind().words()).orElse(value.property().words());
    }

    static boolean fails(PlaceRanking ranking, Candidate place) {
        return ranking.findings(place).stream().anyMatch(f -> f.verdict() == Verdict.FAIL);
    }

    /** Why this one and not the others, in a few words each. */
    static Message why(PlaceRanking ranking, Candidate best) {
        List<Message> words = new ArrayList<>();
        words.add(Figures.worst(ranking.findings(best))
                .map(f -> Message.of("{0} is usable: {1}", best.letter(), f.consequence()))
                .orElse(Message.of("{0} keeps every rule.", best.letter())));
        ranking.places().stream().map(PlaceRanking.Judged::place).filter(c -> !c.id().equals(best.id()))
                .map(c -> Figures.worst(ranking.findings(c))
                        .map(f -> Message.of("{0}: {1}", c.letter(), f.consequence()))
                        .orElse(Message.of("{0} would do as well.", c.letter())))
                .forEach(words::add);
        return Message.joined(" ", words);
    }

    /** Place that each school would take, the others left as the shop has them. */
    static Message disagreement(PlaceRanking ranking) {
        return Message.of(
                "{0}. We begin with the widest: what any shop takes, it takes too, so no usable place is refused.",
                Message.joined("; ", ranking.schools().entrySet().stream()
                        .map(e -> Message.of(ranking.held(e.getKey())
                                ? "“{0}” takes {1} (yours)"
                                : "“{0}” takes {1}", plain(e.getKey()), plain(e.getValue())))
                        .toList()));
    }

    static Message caution(Job job) {
        boolean fuel = job.intake().exhaust().neighbours().stream().anyMatch(n -> n.kind() == Neighbour.Kind.FUEL_LINE);
        return Message.of(
                "Car on stands on level ground, never only the jack. Eyes covered when drilling overhead.{0}{1}",
                plain(job.intake().fit() == Intake.Fit.WELD_IN
                        ? " Sensor out of the bung while it is welded; battery negative off; shield fuel lines, keep a fire watch. Local codes decide who may weld."
                        : ""),
                plain(fuel ? " A fuel line runs beside this pipe: drain, shield or move it first." : ""));
    }
}
