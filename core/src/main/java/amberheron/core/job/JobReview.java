package amberheron.core.job;

import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.LinkRules;
import amberheron.core.drivelog.LogRules;
import amberheron.core.drivelog.WitnessRules;
import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.AirRules;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.placement.PlaceCheck;
import amberheron.core.placement.PlaceRanking;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.Site;
import amberheron.core.plan.Intake;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Schedule;
import amberheron.core.plan.Step;
import amberheron.core.plan.StepId;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.Scaling;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.Tolerance;
import amberheron.core.scaling.WireEffect;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trust.Contributor;
import amberheron.core.trust.Trust;
import amberheron.core.trust.Uncertainty;
import amberheron.core.units.Unusable;
import amberheron.core.wiring.GroundCure;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Everything that follows from a job: its plan, the findings of every station, the diagnosis, and the state of each link.
 * It is computed once, from an immutable job.
 */
public final class JobReview {
    private final Job job;
    private final Shop shop;
    private final Site site;
    private final WireRules.Installation installation;
    private final Wiring wiring;
    private final List<CheckPoint> points;
    private final List<Stale> stale;
    /** Expected effect of grounds and input on the volts. */
    private final Derived<WireEffect> onTheWay;
    private final Map<StepId, List<Step.Item>> chosen;
    private final Derived<JobPlan> plan;
    private final PlaceRanking places;
    private final FreeAirCheck airCheck;
    private final Derived<List<Finding>> place;
    private final Derived<List<Finding>> wire;
    private final Derived<List<Finding>> air;
    private final Derived<List<Finding>> prove;
    private final LogRules.Engine driven;
    private final Derived<Optional<Schedule>> schedule;
    private final Derived<Optional<ScaleReport>> scale;
    private final Derived<Optional<Diagnosis>> diagnosis;
    private final Derived<Optional<Trust>> trust;
    /** Diagnosis from the drive. */
    private final Derived<Optional<Diagnosis>> road;
    private final Derived<Optional<TrimPlan>> trims;
    private final List<JobCheck> lacks;
    private final List<JobReview> others;
    private final LinkStates links;

    /**
     * Reviews a job.
     *
     * @param shop what the shop knows and holds with
     */
    public JobReview(Job job, Shop shop) {
        this(job, shop, null);
    }

    /**
     * Reviews a changed job; what follows from the same as before is taken over.
     *
     * @param before an earlier review; null for none
     */
    public JobReview(Job job, Shop shop, @Nullable JobReview before) {
        Optional<JobReview> earlier = Optional.ofNullable(before);
        this.job = job;
        this.shop = shop;
        this.site = job.site(shop.schools());
        OutputLaw law = job.law();
        Reader reader = job.reader();
        this.installation = new WireRules.Installation(job.intake().readers(), law,
                job.dry(shop.schools()).orElse(null), job.intake().engine().supply(), Tolerance.LAMBDA);
        Intake intake = job.intake();
        this.chosen = PartsChosen.of(job.wiring());
        List<String> order = job.progress().order();
        this.plan = Derived.of(earlier.map(b -> b.plan), () -> JobPlan.of(intake, order, chosen), intake,
                order, chosen);
        boolean booked = job.progress().day() != null;
        Set<String> done = job.done();
        this.schedule = Derived.of(earlier.map(b -> b.schedule),
                () -> booked ? Optional.of(Schedule.of(plan.get(), done, 1)) : Optional.empty(), plan, done, booked);
        this.places = PlaceRanking.of(site, job.candidates(), earlier.map(b -> b.places).orElse(null));
        this.place = Derived.of(earlier.map(b -> b.place), () -> job.placing().findings(site),
                job.placing(), site);
        this.wiring = shop.demo() ? job.wiring() : job.wiring().real();
        this.points = job.points().stream().filter(p -> shop.demo() || p.origin().real())
                .filter(p -> Stale.since(job, p).isEmpty()).filter(p -> p.meansInstead(law).isEmpty()).toList();
        this.stale = Stale.of(job, shop);
        this.wire = Derived.of(earlier.map(b -> b.wire), () -> WireRules.judge(wiring, installation), wiring,
                installation);
        this.onTheWay = Derived.of(earlier.map(b -> b.onTheWay),
                () -> WireRules.effect(wiring, intake.readers()), wiring, installation);
        this.airCheck = !shop.demo() && job.air().reading().filter(r -> !job.entries().origin(r).real()).isPresent()
                ? job.air().unread()
                : job.air();
        this.air = Derived.of(earlier.map(b -> b.air),
                () -> AirRules.judge(airCheck, law == null ? null : law.leanest(), Tolerance.LAMBDA), airCheck, law);
        this.driven = driven(reader);
        Output.Proving proving = job.proving();
        this.prove = Derived.of(earlier.map(b -> b.prove), () -> proved(proving), proving, driven,
                job.roadTest().witness(), intake.fuel(), intake.asks(Intake.Question.LINK), job.roadTest().link(),
                job.gaugeScale());
        this.scale = Derived.of(earlier.map(b -> b.scale), () -> law == null || reader == null
                ? Optional.empty()
                : Scaling.report(law, reader, onTheWay.get()), law, reader, onTheWay.get());
        this.diagnosis = Derived.of(earlier.map(b -> b.diagnosis), () -> diagnose(points), law, reader,
                points, shop.laws(), job.stoich());
        this.road = Derived.of(earlier.map(b -> b.road), this::roadDiagnosis, law, reader, proving,
                shop.laws(), job.stoich());
        this.lacks = law == null
                ? List.of(JobCheck.LAW)
                : CheckPointProof.lacks(law, job.air().controller(), points, diagnosis.get().orElse(null),
                        this::proves);
        Optional<List<Uncertainty>> doubts = doubts();
        this.trust = Derived.of(earlier.map(b -> b.trust),
                () -> doubts.flatMap(d -> chainAsSet().map(c -> Trust.of(c, d))), law, reader, scale.get(), doubts);
        List<Finding> against = prove.get().stream().filter(f -> f.verdict() == Verdict.FAIL).toList();
        this.trims = Derived.of(earlier.map(b -> b.trims), () -> trims(against), proving,
                job.roadTest().trims(), job.engineTraits(), against, shop.mostTrim());
        this.others = job.outputs().others().stream().map(o -> {
            JobReview alone = earlier.flatMap(b -> b.ofOutput(o.id())).orElse(null);
            return new JobReview(job.withOutputs(new Outputs(List.of(o), o.id())), shop, alone);
        }).toList();
        this.links = new LinkStates(this);
    }

    private LogRules.Engine driven(@Nullable Reader reader) {
        Set<EngineTrait> traits = job.engineTraits();
        if (job.chosenPlace().filter(c -> PlaceRules.afterMerge(site, c)).isPresent()) {
            traits.add(EngineTrait.AFTER_MERGE);
        }
        if (place.get().stream().anyMatch(f -> f.check().is(PlaceCheck.OPEN_END) && f.verdict() == Verdict.WARN)) {
            traits.add(EngineTrait.NEAR_OPEN_END);
        }
        if (!job.intake().readers().equals(Set.of(Intake.ReaderKind.STOCK_ECU))) {
            traits.add(EngineTrait.READ_UNDER_LOAD);
        }
        return new LogRules.Engine(traits, reader == null ? null : reader.input().filter());
    }

    /** The review of one output alone; empty where there is none of this id. */
    public Optional<JobReview> ofOutput(String id) {
        return job.outputs().active().id().equals(id)
                ? Optional.of(this)
                : others.stream().filter(r -> r.job.outputs().active().id().equals(id)).findFirst();
    }

    /** The reviews of the other outputs than the active one, each alone. */
    public List<JobReview> others() {
        return others;
    }

    /**
     * Returns another output that keeps a link from being proven while the active one does not; empty where there is none.
     */
    public Optional<Output> waiting(Station station) {
        return !own(station).done()
                ? Optional.empty()
                : others.stream().filter(r -> !r.own(station).done()).map(r -> r.job.outputs().active())
                        .findFirst();
    }

    /**
     * Returns the state of scale or drive for the active output alone.
     *
     * @throws Unusable for a station that all outputs share
     */
    public LinkState own(Station station) {
        return links.own(station);
    }

    /** Uncertainties of the chain; empty while they cannot be told, and for a chain that lies: it is mended before it is trusted. */
    private Optional<List<Uncertainty>> doubts() {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        ScaleReport report = scale.get().orElse(null);
        if (law == null || reader == null || report == null
                || diagnosis.get().filter(JobReview::contradicted).isPresent()) {
            return Optional.empty();
        }
        boolean airCounts = airCheck.reading().isPresent() && stale(Station.AIR).isEmpty()
                && air.get().stream().noneMatch(f -> f.verdict() == Verdict.FAIL);
        return Doubts.of(job, site, shop.today(), law, reader, points, diagnosis.get().isPresent(), airCounts,
                Math.abs(report.budget().getFirst().lambda()));
    }

    /** Law, reader and what is to be typed into it, the wires left out; empty until they are known. */
    private Optional<SignalChain> chainAsSet() {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        return law == null || reader == null
                ? Optional.empty()
                : scale.get().map(s -> new SignalChain(law, WireEffect.NONE, reader, s.setting()));
    }

    /** Returns the number shown as λ ± u; empty while that cannot be told. Takes some milliseconds, once. */
    public Optional<Trust> trust() {
        return trust.get();
    }

    /** The station at which a doubt is made smaller. */
    public static Station stationOf(Contributor by) {
        return switch (by) {
            case SENSOR, AGE, AIR -> Station.AIR;
            case PRESSURE, LEAK, CATALYST, OPEN_END, WATER -> Station.PLACE;
            case GROUND_SHIFT, GROUND_RIPPLE, LOADING -> Station.WIRE;
            case UNCHECKED, CONVERTER, SETTING, DISPLAY, METER, CHECK_POINTS -> Station.SCALE;
        };
    }

    /** Computes everything that is otherwise computed when first asked for. */
    public void workOut() {
        schedule.get();
        List.of(wire, air, prove).forEach(Derived::get);
        trust.get();
        trims.get();
        // Takes longest, and is looked at last.
        places.workOut();
        others.forEach(JobReview::workOut);
    }

    /** Returns whether the points contradict law and setting. */
    private static boolean contradicted(Diagnosis diagnosis) {
        return !diagnosis.withinTolerance() || !diagnosis.settingHeld();
    }

    private Optional<Diagnosis> diagnose(List<CheckPoint> points) {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        return law == null || reader == null || points.isEmpty() || SettingFinder.find(law, reader).isEmpty()
                ? Optional.empty()
                : Optional.of(Diagnostician.diagnose(law, reader, points,
                        new Diagnostician.KnownLaws(shop.laws(), job.stoich())));
    }

    /** Returns the cure of this job's ground; empty where nothing has to be mended. */
    public Optional<GroundCure> groundCure() {
        return WireRules.cure(job.wiring(), installation);
    }

    /** Whether the supply was proved in every state of the key, so that a sensor can be heated by it. */
    public boolean powerProved() {
        List<Verdict> states = wire.get().stream().filter(f -> f.check().id() instanceof KeyState).map(Finding::verdict)
                .toList();
        return !states.isEmpty() && states.stream().noneMatch(v -> v == Verdict.UNKNOWN || v == Verdict.FAIL);
    }

    /** The readings that prove nothing any more, and why. */
    public List<Stale> stale() {
        return stale;
    }

    /** The reading of a link that is stale; empty where none is. */
    public Optional<Stale> stale(Station station) {
        return stale.stream().filter(s -> s.reading().station() == station).findFirst();
    }

    /** Whether all is asked that the plan follows from; what is left of it is done at the other links. */
    public boolean planned() {
        return job.intake().missing().isEmpty() && !job.intake().condition().stops();
    }

    /** Whether a step waits that is not the sheet, which is written when all else is done. */
    boolean stepsLeft() {
        return plan.get().steps().stream().anyMatch(s -> s.id() != StepId.SHEET && !job.done().contains(s.key()));
    }

    /** Steps that were ticked although the checks of their station are open or failed. */
    public List<Step> tickedTooSoon() {
        return links.contradicted(true);
    }

    /** Steps that are not ticked although the checks of their station are kept. */
    public List<Step> provenUnticked() {
        return links.contradicted(false);
    }

    /** Findings of the log and of other witnesses of the mixture. */
    private List<Finding> proved(Output.@Nullable Proving proving) {
        List<Finding> findings = new ArrayList<>(proving == null
                ? List.of()
                : LogRules.judge(proving.result(), proving.found(), Tolerance.LAMBDA, Tolerance.SOURCE, driven));
        findings.addAll(WitnessRules.judge(job.roadTest().witness(), composition(), Tolerance.LAMBDA));
        if (job.intake().asks(Intake.Question.LINK)) {
            findings.add(LinkRules.judge(job.roadTest().link(), job.gaugeScale().orElse(null), Tolerance.LAMBDA));
        }
        return List.copyOf(findings);
    }

    /** The mixture that the gas analyser tells, λ; null while that cannot be told. */
    public @Nullable Double witnessed() {
        GasAnalysis gas = job.roadTest().witness().gas();
        return gas.diluted() ? null : gas.lambda(composition());
    }

    private Composition composition() {
        Fuel fuel = job.intake().fuel();
        return fuel == null ? Composition.PETROL : fuel.composition();
    }

    /**
     * Advice on the fuelling, as far as the drive makes it sure; empty without a drive that tells it. Nothing is advised
     * while the number lies or the engine is in danger.
     */
    public Optional<TrimPlan> trims() {
        return trims.get();
    }

    private Optional<TrimPlan> trims(List<Finding> against) {
        Output.Proving proving = job.proving();
        DriveFound found = proving == null ? null : proving.found();
        Fuelling fuelling = found == null ? null : found.fuelling();
        return fuelling == null || !job.fuelKind().heldAtOne()
                ? Optional.empty()
                : TrimPlan.of(fuelling, job.roadTest().trims(),
                        new TrimPlan.Asked(job.engineTraits(), against, shop.mostTrim()));
    }

    /** Returns whether a reading counts as proof: dated, and real, or simulated in the demo's own shop. */
    boolean proves(Origin origin) {
        return origin.taken() != null && (origin.real() || shop.demo());
    }

    /** Requirements that the check points do not meet yet before they prove the setting, in the order in which they are mended. */
    public List<JobCheck> lacks() {
        return lacks;
    }

    /** The job reviewed. */
    public Job job() {
        return job;
    }

    /** The shop it was reviewed for. */
    public Shop shop() {
        return shop;
    }

    /** The wiring as it counts: without what a stand-in made up, but in the demo. */
    public Wiring wiring() {
        return wiring;
    }

    /** The check points that count: none that a stand-in made up, but in the demo. */
    public List<CheckPoint> points() {
        return points;
    }

    /** How the places considered stand, and what the search of the run found. */
    public PlaceRanking places() {
        return places;
    }

    /** The ordered steps. */
    public JobPlan plan() {
        return plan.get();
    }

    /** When a booked job is finished by one person; empty for one that is not booked. */
    public Optional<Schedule> schedule() {
        return schedule.get();
    }

    /** Returns the state of a link. */
    public LinkState state(Station station) {
        return links.of(station);
    }

    /** The warnings of every link that is proven otherwise, the worst first. */
    public List<Reservation> reservations() {
        return links.reservations();
    }

    /** The worst reservation of a link; empty for one without. At the hand-over, that of all links. */
    public Optional<Reservation> reservation(Station station) {
        return reservations().stream().filter(r -> station == Station.HAND_OVER || r.station() == station).findFirst();
    }

    /** Findings of a station; empty for stations that have no such checks or nothing to check yet. */
    public List<Finding> findings(Station station) {
        return switch (station) {
            case PLACE -> place.get();
            case WIRE -> wire.get();
            case AIR -> air.get();
            case PROVE -> prove.get();
            case PLAN, SCALE, HAND_OVER -> List.of();
        };
    }

    /** Next thing to do, at the first link that is not proven. */
    public record Next(Station station, Message text) {
    }

    /**
     * The first link that is not proven and the first thing that keeps it so; empty when every link is. Steps that are
     * left come last: they are done at the other links.
     */
    public Optional<Next> next() {
        return new StillOpen(this).next();
    }

    /** The checks that keep a link from being proven: those that fail, then those that wait for a measure. */
    public List<Check> because(Station station) {
        return new StillOpen(this).because(station);
    }

    /** Setting to type and how far off it is; empty until law and reader are known and share volts. */
    public Optional<ScaleReport> scale() {
        return scale.get();
    }

    /** Diagnosis of the check points; empty until there are any. */
    public Optional<Diagnosis> diagnosis() {
        return diagnosis.get();
    }

    /**
     * Returns the diagnosis from the drive: the same causes as the check points', from what the reader made of each part of
     * the mixtures that were driven. Empty without such a drive. Takes some milliseconds, once.
     */
    public Optional<Diagnosis> onTheRoad() {
        return road.get();
    }

    private Optional<Diagnosis> roadDiagnosis() {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        Output.Proving proving = job.proving();
        DriveFound found = proving == null ? null : proving.found();
        Agreement agreement = found == null ? null : found.agreement();
        return law == null || reader == null || agreement == null
                ? Optional.empty()
                : diagnose(agreement.bins().stream()
                        .map(b -> new CheckPoint(null, CheckPoint.read(law.scale().fromLambda(b.told())),
                                CheckPoint.read(reader.scale().fromLambda(b.shown())), "", Origin.UNRECORDED,
                                CheckPoint.Engine.RUNNING))
                        .toList());
    }

    /** The chain as the job knows it; empty until law and reader are known. */
    public Optional<ChainNow> chain() {
        OutputLaw law = job.law();
        Diagnosis points = diagnosis.get().orElse(null);
        return law == null ? Optional.empty() : chainAsSet().map(set -> {
            if (points != null && contradicted(points)) {
                Diagnosis.ReadingModel model = points.best().reading();
                return new ChainNow(set, ChainNow.Basis.MEASURED, l -> model.shown(law.voltsAt(l), l));
            }
            if (points != null) {
                return new ChainNow(set, ChainNow.Basis.MEASURED, set::shown);
            }
            WireEffect effect = onTheWay.get();
            SignalChain chain = new SignalChain(law, effect, set.reader(), set.setting());
            return new ChainNow(chain,
                    effect.equals(WireEffect.NONE) ? ChainNow.Basis.SETTING : ChainNow.Basis.WIRING, chain::shown);
        });
    }
}
