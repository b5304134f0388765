package amberheron.core.job;

import amberheron.core.display.Display;
import amberheron.core.display.DisplaySetUp;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.finding.Photo;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.harness.Route;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.FuelKind;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.parts.Address;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Estimate;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Site;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.wiring.Electrics;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.Wiring;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A job, complete in itself: fuel, law and reader travel with it rather than as catalogue ids.
 *
 * @param id the shop's job number
 * @param intake what was asked when the vehicle came in
 * @param progress how far the work is
 * @param placing the places considered and the one taken
 * @param wiring power, ground, fuse
 * @param air the free-air check
 * @param gauge what the controller's own gauge shows; null for the quantity of its output
 * @param display the display as it is connected, and what it was told
 * @param outputs the controller's analog outputs with their readers
 * @param roadTest what is noted of the drive besides its logs
 * @param handOver what the next person is told
 * @param entries what is known of the entering of its values
 * @param changes when what all its readings rest on last changed; what only an output's do stands with it
 */
public record Job(String id, Intake intake, Progress progress, Placing placing, Wiring wiring, FreeAirCheck air,
        @Nullable MixtureScale gauge, Display display,
        Outputs outputs, RoadTest roadTest, HandOver handOver, Entries entries, Changes changes) {
    /**
     * Entries of the sheet that are written by hand.
     *
     * @param notDone what was left undone, in the installer's words
     * @param date of the hand-over; null until then
     * @param by initials of who hands over; may be empty
     */
    public record HandOver(String notDone, @Nullable LocalDate date, String by) {
        /** Makes a hand-over that nobody signed yet. */
        public HandOver(String notDone, @Nullable LocalDate date) {
            this(notDone, date, "");
        }

        public HandOver withNotDone(String value) {
            return new HandOver(value, date, by);
        }

        public HandOver withDate(@Nullable LocalDate value) {
            return new HandOver(notDone, value, by);
        }

        public HandOver withBy(String value) {
            return new HandOver(notDone, date, value);
        }
    }

    /** Makes a job of which only the number is known. */
    public static Job empty(String id) {
        return new Job(id, Intake.BLANK, Progress.NONE, Placing.NONE,
                Wiring.UNMEASURED,
                FreeAirCheck.NONE, null, Display.UNTOLD, Outputs.ONE, RoadTest.NONE, new HandOver("", null, ""),
                Entries.NONE,
                Changes.NONE);
    }

    /** The law of the output at hand; null until chosen. */
    public @Nullable OutputLaw law() {
        return outputs.active().law();
    }

    /** Reader of the active output; null until chosen. */
    public @Nullable Reader reader() {
        return outputs.active().reader();
    }

    /** Check points of the output at hand, in the order taken. */
    public List<CheckPoint> points() {
        return outputs.active().points();
    }

    /** The proving log of the output at hand; null until read. */
    public Output.@Nullable Proving proving() {
        return outputs.active().proving();
    }

    /** Returns which of these changed last after a moment: null where that was not recorded, and nothing can be said of it. */
    Optional<RestsOn> changed(@Nullable Instant taken, Collection<RestsOn> restsOn) {
        return changes.and(outputs.active().changes()).since(taken, restsOn);
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

    /** What the fuel means for judging; petrol's until a fuel is chosen. */
    public FuelKind fuelKind() {
        return intake.fuelKind();
    }

    /** Mixtures that are right for this engine on its fuel. */
    public Bands bands() {
        return fuelKind().bands(intake.boosted());
    }

    /** Site by which a place of this job is judged, for a shop of these schools. */
    public Site site(PlaceSchools schools) {
        return new Site(intake.exhaust(), breathes(), intake.banks(), stoich(), placing.probe(),
                wired(), schools);
    }

    /** Displacement that a four-stroke breathing as much would have, m³; null while it is not known. */
    private @Nullable Double breathes() {
        Double displacement = intake.displacement();
        Engine.Cycle cycle = intake.engine().cycle();
        return displacement == null || cycle == null || !cycle.everyTurn()
                ? displacement
                : Double.valueOf(2 * displacement);
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

    /** Every photo that is kept with it. */
    public List<Photo> photos() {
        return Stream.concat(placing.fitted().photos().stream(), wiring.harness().asWired().photos().stream()).toList();
    }

    /** How long the pipe stays wet after a cold start at the place taken, s; empty while that is not known. */
    public Optional<Estimate> dry(PlaceSchools schools) {
        return chosenPlace().flatMap(c -> placing.fitted().place(intake.exhaust(), c))
                .flatMap(c -> PlaceRules.dry(site(schools), c));
    }

    /** Delay of the gas at full load at the place taken, s; empty while that is not known. */
    public Optional<Double> transport(PlaceSchools schools) {
        return chosenPlace().flatMap(c -> placing.fitted().place(intake.exhaust(), c))
                .flatMap(c -> PlaceRules.delayAtFullLoad(site(schools), c));
    }

    /** The vehicle's electrics, as far as they were asked. */
    public Electrics electrics() {
        return wiring.electrics(intake.engine().supply());
    }

    /** Set-up of the display for this engine, the sensor where it was put. */
    public DisplaySetUp displaySetUp(PlaceSchools schools) {
        Double transport = transport(schools).orElse(null);
        Engine.Cycle cycle = intake.engine().cycle();
        return DisplaySetUp.of(new DisplaySetUp.Engine(bands(), intake.cylinders(), transport),
                cycle == null ? display : display.withTwoStroke(cycle.everyTurn()));
    }

    /** Traits of engine and wiring by which a drive is judged. */
    public Set<EngineTrait> engineTraits() {
        Set<EngineTrait> traits = EnumSet.noneOf(EngineTrait.class);
        if (intake.boosted()) {
            traits.add(EngineTrait.BOOSTED);
        }
        switch (fuelKind()) {
            case DIESEL -> traits.add(EngineTrait.DIESEL);
            case METHANOL -> traits.add(EngineTrait.METHANOL);
            case GAS -> traits.add(EngineTrait.GAS);
            case PETROL, LEADED -> {
                // The usual; nothing is judged otherwise.
            }
        }
        if (intake.engine().cycle() == Engine.Cycle.TWO_STROKE) {
            traits.add(EngineTrait.TWO_STROKE);
        }
        if (intake.engine().fuelSystem() == Engine.FuelSystem.CARBURETTOR) {
            traits.add(EngineTrait.CARBURETTOR);
        }
        if (intake.readers().contains(Intake.ReaderKind.STOCK_ECU)
                || wiring.signals().hookups().stream().anyMatch(h -> h.form() == Hookup.Form.NARROWBAND)) {
            traits.add(EngineTrait.NARROWBAND_SIMULATED);
        }
        return traits;
    }

    /** Scale of the controller's own gauge: that of its output where nothing else was said; λ without a law. */
    public MixtureScale shownByGauge() {
        return gaugeScale().orElse(MixtureScale.lambda());
    }

    /** The quantity of the controller's own gauge; empty while neither it nor the law was named. */
    public Optional<MixtureScale> gaugeScale() {
        OutputLaw law = law();
        return Optional.ofNullable(gauge != null ? gauge : law == null ? null : law.scale());
    }

    public Job withIntake(Intake value) {
        return new Job(id, value, progress, placing, wiring, air, gauge, display, outputs, roadTest, handOver,
                entries, changes);
    }

    public Job withProgress(Progress value) {
        return new Job(id, intake, value, placing, wiring, air, gauge, display, outputs, roadTest, handOver, entries,
                changes);
    }

    public Job withDone(Set<String> value) {
        return withProgress(progress.withDone(value));
    }

    public Job withPlacing(Placing value) {
        return new Job(id, intake, progress, value, wiring, air, gauge, display, outputs, roadTest, handOver, entries,
                changes);
    }

    public Job withWiring(Wiring value) {
        return new Job(id, intake, progress, placing, value, air, gauge, display, outputs, roadTest, handOver,
                entries, changes);
    }

    public Job withAir(FreeAirCheck value) {
        return new Job(id, intake, progress, placing, wiring, value, gauge, display, outputs, roadTest, handOver,
                entries, changes);
    }

    public Job withGauge(@Nullable MixtureScale value) {
        return new Job(id, intake, progress, placing, wiring, air, value, display, outputs, roadTest, handOver, entries,
                changes);
    }

    public Job withDisplay(Display value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, value, outputs, roadTest, handOver, entries,
                changes);
    }

    public Job withOutputs(Outputs value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, display, value, roadTest, handOver, entries,
                changes);
    }

    private Job with(Output value) {
        return withOutputs(outputs.with(value));
    }

    public Job withLaw(@Nullable OutputLaw value) {
        return with(outputs.active().withLaw(value));
    }

    public Job withReader(@Nullable Reader value) {
        return with(outputs.active().withReader(value));
    }

    public Job withPoints(List<CheckPoint> value) {
        return with(outputs.active().withPoints(value));
    }

    /** Adds a check point at the end. */
    public Job withPoint(CheckPoint point) {
        List<CheckPoint> more = new ArrayList<>(points());
        more.add(point);
        return withPoints(more);
    }

    /** Puts a log in the place of the last, which is remembered. */
    public Job withProving(Output.@Nullable Proving value) {
        return with(outputs.active().withProving(value == null ? null : value.after(proving())));
    }

    /** Corrects what is known of the proving log. */
    public Job withCorrected(Output.Proving value) {
        return with(outputs.active().withProving(value));
    }

    public Job withRoadTest(RoadTest value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, display, outputs, value, handOver, entries,
                changes);
    }

    public Job withHandOver(HandOver value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, display, outputs, roadTest, value, entries,
                changes);
    }

    public Job withEntries(Entries value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, display, outputs, roadTest, handOver,
                value, changes);
    }

    public Job withChanges(Changes value) {
        return new Job(id, intake, progress, placing, wiring, air, gauge, display, outputs, roadTest, handOver,
                entries, value);
    }

    /** Forgets what was entered into the fields of a part that is gone, given any address of it. */
    public Job withoutPart(Address part) {
        return withEntries(entries.withoutPart(part));
    }
}
