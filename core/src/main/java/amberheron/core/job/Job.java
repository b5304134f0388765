package amberheron.core.job;

import amberheron.core.drivelog.LogComparison;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.mixture.Fuel;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * One job, complete in itself: fuel, law and reader travel with it rather than as catalogue ids.
 *
 * @param id the shop's job number
 * @param intake what was asked when the vehicle came in
 * @param done ids of the steps ticked
 * @param candidates places considered
 * @param chosen id of the place taken; null until one is
 * @param wiring power, ground, fuse
 * @param air the free-air check
 * @param law the controller's output law; null until chosen
 * @param reader what reads it; null until chosen
 * @param points check points, in the order taken
 * @param proving the proving log compared; null until read
 * @param handOver what the next person is told
 * @param drafts entries that could not be used yet, as typed, by field; they are kept so that nothing is lost
 */
public record Job(String id, Intake intake, Set<String> done, List<Candidate> candidates, @Nullable String chosen,
        Wiring wiring, FreeAirCheck air, @Nullable OutputLaw law, @Nullable Reader reader, List<CheckPoint> points,
        @Nullable Proving proving, HandOver handOver, Map<String, String> drafts) {
    /**
     * A proving log and what it said.
     *
     * @param file name of the log file, without folders
     * @param digest SHA-256 of its bytes, hexadecimal
     */
    public record Proving(String file, String digest, LogComparison result) {
    }

    /**
     * What is written on the sheet by hand.
     *
     * @param notDone what was left undone, in the installer's words
     * @param date of the hand-over; null until then
     */
    public record HandOver(String notDone, @Nullable LocalDate date) {
    }

    public Job {
        done = Collections.unmodifiableSet(new TreeSet<>(done));
        candidates = List.copyOf(candidates);
        points = List.copyOf(points);
        drafts = Collections.unmodifiableMap(new TreeMap<>(drafts));
    }

    /** A job of which only the number is known. */
    public static Job empty(String id) {
        return new Job(id,
                new Intake("", null, null, 1, null, new Exhaust(false, null, Exhaust.Catalyst.NONE, null, 0),
                        Intake.Condition.UNCHECKED, Intake.Fit.WELD_IN, Set.of(), true, true),
                Set.of(), List.of(), null,
                new Wiring(new Wiring.SourceVolts(null, null, null), null, null,
                        new Wiring.Ground(null, null, null, null), ""),
                new FreeAirCheck(FreeAirCheck.School.CLEAR_THEN_LEARN, null, null, null, null, null, null, null), null,
                null, List.of(), null, new HandOver("", null), Map.of());
    }

    /** The place taken. */
    public Optional<Candidate> chosenPlace() {
        return candidates.stream().filter(c -> c.id().equals(chosen)).findFirst();
    }

    /** The stoichiometric ratio AFR is shown with: the fuel's, or pump petrol's until a fuel is chosen. */
    public double stoich() {
        Fuel fuel = intake.fuel();
        return fuel == null ? 14.7 : fuel.stoich();
    }

    public Job withIntake(Intake value) {
        return new Job(id, value, done, candidates, chosen, wiring, air, law, reader, points, proving, handOver,
                drafts);
    }

    public Job withDone(Set<String> value) {
        return new Job(id, intake, value, candidates, chosen, wiring, air, law, reader, points, proving, handOver,
                drafts);
    }

    public Job withCandidates(List<Candidate> value) {
        return new Job(id, intake, done, value, chosen, wiring, air, law, reader, points, proving, handOver, drafts);
    }

    /** Changes the candidate with this id; the others stay as they are. */
    public Job withCandidate(String candidate, UnaryOperator<Candidate> change) {
        return withCandidates(candidates.stream().map(c -> c.id().equals(candidate) ? change.apply(c) : c).toList());
    }

    public Job withChosen(@Nullable String value) {
        return new Job(id, intake, done, candidates, value, wiring, air, law, reader, points, proving, handOver,
                drafts);
    }

    public Job withWiring(Wiring value) {
        return new Job(id, intake, done, candidates, chosen, value, air, law, reader, points, proving, handOver,
                drafts);
    }

    public Job withAir(FreeAirCheck value) {
        return new Job(id, intake, done, candidates, chosen, wiring, value, law, reader, points, proving, handOver,
                drafts);
    }

    public Job withLaw(@Nullable OutputLaw value) {
        return new Job(id, intake, done, candidates, chosen, wiring, air, value, reader, points, proving, handOver,
                drafts);
    }

    public Job withReader(@Nullable Reader value) {
        return new Job(id, intake, done, candidates, chosen, wiring, air, law, value, points, proving, handOver,
                drafts);
    }

    public Job withPoints(List<CheckPoint> value) {
        return new Job(id, intake, done, candidates, chosen, wiring, air, law, reader, value, proving, handOver,
                drafts);
    }

    /** Adds a check point at the end. */
    public Job withPoint(CheckPoint point) {
        List<CheckPoint> more = new ArrayList<>(points);
        more.add(point);
        return withPoints(more);
    }

    public Job withProving(@Nullable Proving value) {
        return new Job(id, intake, done, candidates, chosen, wiring, air, law, reader, points, value, handOver, drafts);
    }

    public Job withHandOver(HandOver value) {
        return new Job(id, intake, done, candidates, chosen, wiring, air, law, reader, points, proving, value, drafts);
    }

    /** Keeps an entry as typed, or forgets it when null. */
    public Job withDraft(String field, @Nullable String typed) {
        Map<String, String> more = new TreeMap<>(drafts);
        if (typed == null) {
            more.remove(field);
        } else {
            more.put(field, typed);
        }
        return new Job(id, intake, done, candidates, chosen, wiring, air, law, reader, points, proving, handOver, more);
    }
}
