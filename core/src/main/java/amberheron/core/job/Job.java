package amberheron.core.job;

import amberheron.core.harness.Route;
import amberheron.core.finding.Origin;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.parts.Address;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.mixture.Fuel;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Estimate;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.Placing;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.Site;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.wiring.Wiring;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One job, complete in itself: fuel, law and reader travel with it rather than as catalogue ids.
 *
 * @param id the shop's job number
 * @param intake what was asked when the vehicle came in
 * @param progress how far the work is
 * @param placing the places considered and the one taken
 * @param wiring power, ground, fuse
 * @param air the free-air check
 * @param law the controller's output law; null until chosen
 * @param gauge what the controller's own gauge shows; null for the quantity of its output
 * @param reader what reads it; null until chosen
 * @param points check points, in the order taken
 * @param proving the proving log compared; null until read
 * @param handOver what the next person is told
 * @param entries what is known of the entering of its values
 * @param changes when what its readings rest on last changed
 */
public record Job(String id, Intake intake, Progress progress, Placing placing, Wiring wiring, FreeAirCheck air,
        @Nullable OutputLaw law, @Nullable MixtureScale gauge, @Nullable Reader reader, List<CheckPoint> points,
        @Nullable Proving proving,
        HandOver handOver, Entries entries, Changes changes) {
    /**
     * A proving log and what it said.
     *
     * @param file name of the log file, without folders
     * @param digest SHA-256 of its bytes, hexadecimal
     * @param origin where it came from and when it was read
     */
    public record Proving(String file, String digest, Origin origin, LogComparison result) {
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
        points = List.copyOf(points);
    }

    /** A job of which only the number is known. */
    public static Job empty(String id) {
        return new Job(id, Intake.BLANK, Progress.NONE, Placing.NONE,
                Wiring.UNMEASURED,
                FreeAirCheck.NONE, null, null, null, List.of(), null, new HandOver("", null), Entries.NONE,
                Changes.NONE);
    }

    /** Ids of the steps ticked. */
    public Set<String> done() {
        return progress.done();
    }

    /** Places considered. */
    public List<Candidate> candidates() {
        return placing.candidates();
    }

    /** The place taken. */
    public Optional<Candidate> chosenPlace() {
        return placing.place();
    }

    /** The stoichiometric ratio AFR is shown with: the fuel's, or pump petrol's until a fuel is chosen. */
    public double stoich() {
        Fuel fuel = intake.fuel();
        return fuel == null ? 14.7 : fuel.stoich();
    }

    /** What a place of this job is judged by, for a shop of these schools. */
    public Site site(PlaceSchools schools) {
        return new Site(intake.exhaust(), intake.displacement(), intake.banks(), stoich(), placing.probe(),
                wired(), schools);
    }

    private Site.Wired wired() {
        Route route = wiring.harness().route();
        Double exit = placing.probe().leadExit();
        Double at = chosenPlace().map(Candidate::distance).orElse(null);
        Double laid = exit == null || at == null
                ? null
                : route.spare().map(spare -> spare + Math.abs(at - exit)).orElse(null);
        return new Site.Wired(route.cableInAll(), laid, wiring.heater().hot());
    }

    /** How long the pipe stays wet after a cold start at the place taken, s; empty while that is not known. */
    public Optional<Estimate> dry(PlaceSchools schools) {
        return chosenPlace().flatMap(c -> placing.fitted().place(intake.exhaust(), c))
                .flatMap(c -> PlaceRules.dry(site(schools), c));
    }

    public Job withIntake(Intake value) {
        return new Job(id, value, progress, placing, wiring, air, law, gauge, reader, points, proving, handOver,
                entries, changes);
    }

    public Job withProgress(Progress value) {
        return new Job(id, intake, value, placing, wiring, air, law, gauge, reader, points, proving, handOver, entries,
                changes);
    }

    public Job withDone(Set<String> value) {
        return withProgress(progress.withDone(value));
    }

    public Job withPlacing(Placing value) {
        return new Job(id, intake, progress, value, wiring, air, law, gauge, reader, points, proving, handOver, entries,
                changes);
    }

    public Job withWiring(Wiring value) {
        return new Job(id, intake, progress, placing, value, air, law, gauge, reader, points, proving, handOver,
                entries, changes);
    }

    public Job withAir(FreeAirCheck value) {
        return new Job(id, intake, progress, placing, wiring, value, law, gauge, reader, points, proving, handOver,
                entries, changes);
    }

    public Job withLaw(@Nullable OutputLaw value) {
        return new Job(id, intake, progress, placing, wiring, air, value, gauge, reader, points, proving, handOver,
                entries, changes);
    }

    public Job withGauge(@Nullable MixtureScale value) {
        return new Job(id, intake, progress, placing, wiring, air, law, value, reader, points, proving, handOver,
                entries, changes);
    }

    public Job withReader(@Nullable Reader value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, value, points, proving, handOver,
                entries, changes);
    }

    public Job withPoints(List<CheckPoint> value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, reader, value, proving, handOver,
                entries, changes);
    }

    /** Adds a check point at the end. */
    public Job withPoint(CheckPoint point) {
        List<CheckPoint> more = new ArrayList<>(points);
        more.add(point);
        return withPoints(more);
    }

    public Job withProving(@Nullable Proving value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, reader, points, value, handOver, entries,
                changes);
    }

    public Job withHandOver(HandOver value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, reader, points, proving, value, entries,
                changes);
    }

    public Job withEntries(Entries value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, reader, points, proving, handOver,
                value, changes);
    }

    public Job withChanges(Changes value) {
        return new Job(id, intake, progress, placing, wiring, air, law, gauge, reader, points, proving, handOver,
                entries, value);
    }

    /** Forgets what was entered into the fields of a part that is gone, given any address of it. */
    public Job withoutPart(Address part) {
        return withEntries(entries.withoutPart(part));
    }
}
