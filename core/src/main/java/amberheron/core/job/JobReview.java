package amberheron.core.job;

import amberheron.core.placement.PlaceRanking;
import amberheron.core.plan.Schedule;
import amberheron.core.scaling.Cause;
import amberheron.core.finding.Message;
import amberheron.core.finding.CheckId;
import amberheron.core.finding.Check;
import amberheron.core.drivelog.LogRules;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.AirRules;
import amberheron.core.placement.Site;
import amberheron.core.plan.Intake;
import amberheron.core.plan.JobPlan;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.Scaling;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.Tolerance;
import amberheron.core.scaling.WireEffect;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Everything that follows from a job: its plan, what every station found, the diagnosis, and the state of each link.
 * Computed once from an unchanging job.
 */
public final class JobReview {
    private final Job job;
    private final Shop shop;
    private final Site site;
    private final WireRules.Surroundings surroundings;
    private final Wiring wiring;
    private final List<CheckPoint> points;
    private final JobPlan plan;
    private final PlaceRanking places;
    private final List<Finding> place;
    private final List<Finding> wire;
    private final List<Finding> air;
    private final List<Finding> prove;
    private final @Nullable Schedule schedule;
    private final @Nullable ScaleReport scale;
    private final @Nullable Diagnosis diagnosis;
    private final Map<Station, LinkState> states = new EnumMap<>(Station.class);

    /**
     * Reviews a job.
     *
     * @param shop what the shop knows and holds with
     */
    public JobReview(Job job, Shop shop) {
        this(job, shop, null);
    }

    /**
     * Reviews a changed job; a station that nothing has changed for is taken over.
     *
     * @param before an earlier review; null for none
     */
    public JobReview(Job job, Shop shop, @Nullable JobReview before) {
        this.job = job;
        this.shop = shop;
        this.site = job.site(shop.schools());
        OutputLaw law = job.law();
        Reader reader = job.reader();
        this.surroundings = new WireRules.Surroundings(job.intake().readers(), law,
                job.dry(shop.schools()).orElse(null), Tolerance.LAMBDA);
        Predicate<Function<JobReview, @Nullable Object>> kept = part -> before != null
                && Objects.equals(part.apply(before), part.apply(this));
        this.plan = before != null && kept.test(r -> r.job.intake()) && kept.test(r -> r.job.progress().order())
                ? before.plan
                : JobPlan.of(job.intake(), job.progress().order());
        this.schedule = job.progress().day() == null
                ? null
                : before != null && before.schedule != null && before.plan == plan && kept.test(r -> r.job.done())
                        ? before.schedule
                        : Schedule.of(plan, job.done(), 1);
        this.places = PlaceRanking.of(site, job.candidates(), before == null ? null : before.places);
        this.place = before != null && kept.test(r -> r.job.placing()) && kept.test(r -> r.site)
                ? before.place
                : job.placing().findings(site);
        this.wiring = shop.demo() ? job.wiring() : job.wiring().real();
        this.points = shop.demo() ? job.points() : job.points().stream().filter(p -> p.origin().real()).toList();
        this.wire = before != null && kept.test(r -> r.wiring) && kept.test(r -> r.surroundings)
                ? before.wire
                : WireRules.judge(wiring, surroundings);
        boolean sameLaw = kept.test(r -> r.job.law());
        this.air = before != null && sameLaw && kept.test(r -> r.job.air())
                ? before.air
                : AirRules.judge(job.air(), law == null ? null : law.leanest(), Tolerance.LAMBDA);
        Job.Proving proving = job.proving();
        this.prove = before != null && kept.test(r -> r.job.proving())
                ? before.prove
                : proving == null
                        ? List.of()
                        : LogRules.judge(proving.result(), Tolerance.LAMBDA, Tolerance.SOURCE);
        boolean sameChain = sameLaw && kept.test(r -> r.job.reader());
        if (law == null || reader == null) {
            this.scale = null;
            this.diagnosis = null;
        } else {
            this.scale = before != null && sameChain && kept.test(JobReview::groundShift)
                    ? before.scale
                    : Scaling.report(law, reader, groundShift()).orElse(null);
            this.diagnosis = before != null && sameChain && kept.test(r -> r.points)
                    && kept.test(r -> r.shop.laws()) && kept.test(r -> r.job.stoich())
                            ? before.diagnosis
                            : diagnose(law, reader);
        }
        judgeLinks();
    }

    private @Nullable Diagnosis diagnose(OutputLaw law, Reader reader) {
        return points.isEmpty() || SettingFinder.find(law, reader).isEmpty()
                ? null
                : Diagnostician.diagnose(law, reader, points,
                        new Diagnostician.Surroundings(shop.laws(), job.stoich()));
    }

    /** The shift the wiring is expected to cause, V; 0 while it is not known. */
    private double groundShift() {
        return WireRules.shift(job.wiring().ground()).orElse(0.0);
    }

    private void judgeLinks() {
        Intake.Condition condition = job.intake().condition();
        if (condition.stops()) {
            states.put(Station.PLAN, LinkState.OUT_OF_TOLERANCE);
        } else if (job.intake().missing().isEmpty()) {
            states.put(Station.PLAN, LinkState.PROVEN);
        } else {
            states.put(Station.PLAN, job.intake().vehicle().isBlank() ? LinkState.OPEN : LinkState.BEGUN);
        }
        states.put(Station.PLACE,
                place.isEmpty() && !job.candidates().isEmpty() ? LinkState.BEGUN : stateOf(place));
        states.put(Station.WIRE, stateOf(wire));
        states.put(Station.AIR, stateOf(air));
        states.put(Station.SCALE, scaleState());
        states.put(Station.PROVE, stateOf(prove));
        boolean proven = states.values().stream().allMatch(s -> s == LinkState.PROVEN);
        boolean dated = job.handOver().date() != null;
        states.put(Station.HAND_OVER,
                dated
                        ? proven ? LinkState.PROVEN : LinkState.BEGUN
                        : job.handOver().notDone().isBlank() ? LinkState.OPEN : LinkState.BEGUN);
    }

    /** A missing figure never becomes a pass; a warning is recorded but does not break the link. */
    private static LinkState stateOf(List<Finding> findings) {
        if (findings.stream().anyMatch(f -> f.verdict() == Verdict.FAIL)) {
            return LinkState.OUT_OF_TOLERANCE;
        }
        if (findings.stream().allMatch(f -> f.verdict() == Verdict.UNKNOWN)) {
            return LinkState.OPEN;
        }
        return findings.stream().anyMatch(f -> f.verdict() == Verdict.UNKNOWN) ? LinkState.BEGUN : LinkState.PROVEN;
    }

    private LinkState scaleState() {
        if (job.law() == null && job.reader() == null) {
            return LinkState.OPEN;
        }
        if (diagnosis == null) {
            return LinkState.BEGUN;
        }
        if (!diagnosis.withinTolerance()) {
            return LinkState.OUT_OF_TOLERANCE;
        }
        // One agreeing point proves nothing about the slope.
        return points.size() > 1 ? LinkState.PROVEN : LinkState.BEGUN;
    }

    /** The job reviewed. */
    public Job job() {
        return job;
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
        return plan;
    }

    /** When a booked job is finished by one person; empty for one that is not booked. */
    public Optional<Schedule> schedule() {
        return Optional.ofNullable(schedule);
    }

    /** How a link stands. */
    public LinkState state(Station station) {
        return Objects.requireNonNull(states.get(station));
    }

    /** What was found at a station; empty for stations that have no such checks or nothing to check yet. */
    public List<Finding> findings(Station station) {
        return switch (station) {
            case PLACE -> place;
            case WIRE -> wire;
            case AIR -> air;
            case PROVE -> prove;
            case PLAN, SCALE, HAND_OVER -> List.of();
        };
    }

    /** What is to be done next, at the first link that is not proven. */
    public record Next(Station station, Message text) {
    }

    /** The first link that is not proven and the first thing that keeps it so; empty when every link is. */
    public Optional<Next> next() {
        return Arrays.stream(Station.values()).filter(s -> state(s) != LinkState.PROVEN).findFirst()
                .map(s -> new Next(s, findings(s).stream().filter(f -> f.verdict() == worst(s))
                        .map(f -> Message.of("{0}: {1}", f.subject(), f.consequence())).findFirst()
                        .orElseGet(() -> Message.joined(" ",
                                because(s).stream().map(c -> cure(c.id())).toList()))));
    }

    /** What to do where no rule has anything to judge yet. */
    private static Message cure(CheckId open) {
        return switch (open) {
            case Intake.Question q -> Message.of("Enter: {0}.", Message.plain(q.words()));
            case JobCheck c -> Message.plain(c.words());
            case Cause c -> Message.plain(c.remedy());
            default -> Message.plain(open.key());
        };
    }

    private Verdict worst(Station station) {
        return findings(station).stream().map(Finding::verdict)
                .filter(v -> v == Verdict.FAIL || v == Verdict.UNKNOWN).max(Comparator.naturalOrder())
                .orElse(Verdict.UNKNOWN);
    }

    /** The checks that keep a link from being proven: those that fail, then those that wait for a measure. */
    public List<Check> because(Station station) {
        if (state(station) == LinkState.PROVEN) {
            return List.of();
        }
        List<Check> checks = findings(station).stream()
                .filter(f -> f.verdict() == Verdict.FAIL || f.verdict() == Verdict.UNKNOWN)
                .sorted(Comparator.comparing(Finding::verdict).reversed()).map(Finding::check).toList();
        if (!checks.isEmpty()) {
            return checks;
        }
        List<? extends CheckId> open = switch (station) {
            case PLAN -> job.intake().condition().stops() ? List.of(JobCheck.CONDITION) : job.intake().missing();
            case PLACE -> List.of(JobCheck.PLACE_TAKEN);
            case SCALE -> List.of(job.law() == null
                    ? JobCheck.LAW
                    : job.reader() == null
                            ? JobCheck.READER
                            : diagnosis == null || diagnosis.withinTolerance()
                                    ? JobCheck.CHECK_POINTS
                                    : diagnosis.best().cause());
            case PROVE -> List.of(JobCheck.PROVING_LOG);
            case HAND_OVER -> List.of(job.handOver().date() == null ? JobCheck.HANDED_OVER : JobCheck.OTHER_LINKS);
            case WIRE, AIR -> List.of();
        };
        return open.stream().map(Check::of).toList();
    }

    /** What to type and how far off it is; empty until law and reader are known and share volts. */
    public Optional<ScaleReport> scale() {
        return Optional.ofNullable(scale);
    }

    /** What the check points say; empty until there are any. */
    public Optional<Diagnosis> diagnosis() {
        return Optional.ofNullable(diagnosis);
    }

    /** Where the knowledge of the chain comes from. */
    public enum Basis {
        /** The check points and the likeliest cause. */
        MEASURED("as the check points say"),
        /** The shift worked out from the wiring. */
        WIRING("as the wiring predicts"),
        /** Law and setting alone. */
        SETTING("as set, nothing checked yet");

        private final String words;

        Basis(String words) {
            this.words = words;
        }

        /** The words on screen. */
        public String words() {
            return words;
        }
    }

    /**
     * The chain as it is now believed to be.
     *
     * @param chain law, wire, reader and setting; the wire is the estimate where nothing was measured
     * @param basis what that belief rests on
     * @param reading what the reader shows for a mixture, in its own quantity
     */
    public record ChainNow(SignalChain chain, Basis basis, java.util.function.DoubleUnaryOperator reading) {
        /** What the reader shows, as lambda. */
        public double shownLambda(double lambda) {
            return chain.reader().scale().toLambda(reading.applyAsDouble(lambda));
        }
    }

    /** The chain as the job knows it; empty until law and reader are known. */
    public Optional<ChainNow> chain() {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        if (law == null || reader == null || scale == null) {
            return Optional.empty();
        }
        ReaderSetting setting = scale.setting();
        if (diagnosis != null && !diagnosis.withinTolerance()) {
            Diagnosis.ReadingModel model = diagnosis.best().reading();
            SignalChain chain = new SignalChain(law, WireEffect.NONE, reader, setting);
            return Optional.of(new ChainNow(chain, Basis.MEASURED, l -> model.shown(law.voltsAt(l), l)));
        }
        boolean measured = diagnosis != null;
        SignalChain chain = new SignalChain(law, WireEffect.shift(measured ? 0 : groundShift()), reader, setting);
        Basis basis = measured ? Basis.MEASURED : groundShift() == 0 ? Basis.SETTING : Basis.WIRING;
        return Optional.of(new ChainNow(chain, basis, chain::shown));
    }
}
