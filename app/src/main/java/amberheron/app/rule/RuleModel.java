package amberheron.app.rule;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineTrait;
import amberheron.core.finding.Message;
import amberheron.core.job.ChainNow;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.Tolerance;
import amberheron.core.trust.Trust;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The reading rule: every scale of the chain laid along the same mixtures, so that what stands under the cursor belongs
 * together. A scale appears when the job knows enough to draw it.
 */
public final class RuleModel {
    private static final double RICHEST = 0.5;
    private static final double LEANEST = 1.7;
    /** Richest mixture on the rule where no law says otherwise, λ. */
    private static final double USUAL_RICHEST = 0.65;
    private static final double USUAL_LEANEST = 1.35;
    private static final int SAMPLES = 1200;
    /** Number of positions for ticks: about one for two pixels. */
    private static final int COARSE = 480;

    private final double from;
    private final double to;
    private final List<Scale> scales;
    private final List<Witness> witnesses;
    private final Optional<ChainNow> chain;
    private final Optional<Trust> trust;
    /** Ticks are asked for again and again while a scale stays. */
    private final Map<String, Laid> ticks = new HashMap<>();

    private record Laid(Object from, double richest, double leanest, int majors, List<Tick> ticks) {
    }

    /**
     * A scale of the rule.
     *
     * @param id stable name
     * @param name what it measures
     * @param decimals shown at the cursor
     * @param at the value for a mixture, lambda
     * @param told whether this is what the reader tells, which may not be the truth
     * @param from what its values follow from: equal where they are the same
     */
    public record Scale(String id, String name, int decimals, DoubleUnaryOperator at, boolean told, Object from) {
        /** The value at a mixture, as shown. */
        public String text(double lambda) {
            return UnitChoice.digits(at.applyAsDouble(lambda), decimals);
        }
    }

    /** A tick: where along the rule from 0 to 1, and its number; empty for a minor one. */
    public record Tick(double place, String number) {
    }

    /**
     * Mixture as somebody else said it.
     *
     * @param letter that stands for it
     * @param truth the mixture, λ
     * @param shown what the controller showed for it, λ
     */
    public record Witness(String letter, double truth, double shown) {
    }

    /** The rule for a job as it stands. */
    public RuleModel(JobReview review, UnitChoice units) {
        this(review, units, null);
    }

    /** The rule for a job that has changed; what is laid the same is taken over. */
    public RuleModel(JobReview review, UnitChoice units, @Nullable RuleModel before) {
        if (before != null) {
            ticks.putAll(before.ticks);
        }
        Job job = review.job();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        Fuel fuel = job.intake().fuel();
        this.from = law == null ? USUAL_RICHEST : Math.max(RICHEST, Math.min(law.richest(), 0.95));
        this.to = law == null ? USUAL_LEANEST : Math.min(LEANEST, Math.max(law.leanest(), 1.05));
        this.chain = review.chain();
        this.trust = review.trust();
        List<Scale> list = new ArrayList<>();
        list.add(new Scale("lambda", say("exhaust λ"), 3, l -> l, false, ""));
        if (fuel != null) {
            list.add(new Scale("afr", "AFR, " + fuel.name(), 2, l -> l * fuel.stoich(), false, fuel.stoich()));
        }
        if (law != null) {
            list.add(new Scale("volts", say("controller V"), 3, law::voltsAt, false, law));
        }
        chain.ifPresent(c -> {
            if (c.chain().reader().input().bits() != null) {
                list.add(new Scale("counts", say("reader counts"), 0, l -> counts(c, l), false, c.chain()));
            }
        });
        MixtureScale own = job.gauge() != null
                ? job.gauge()
                : law != null && law.scale() instanceof MixtureScale.Afr ? law.scale() : null;
        if (own != null) {
            // A gauge that was made for one fuel goes on showing that fuel's ratio with another in the tank.
            String name = own instanceof MixtureScale.Afr afr
                    ? say("own gauge, AFR %.2f", afr.stoich())
                    : say("own gauge, λ");
            list.add(new Scale("gauge", name, own instanceof MixtureScale.Afr ? 2 : 3, own::fromLambda, false, own));
        }
        if (reader != null && chain.isPresent()) {
            ChainNow now = chain.get();
            // Shown in the reader's own quantity, unless the fuel's AFR was asked for and the reader speaks λ.
            boolean inAfr = units.afr() && reader.scale() instanceof MixtureScale.Lambda && fuel != null;
            list.add(new Scale("shown", say("reader shows %s", inAfr ? "AFR" : reader.scale().label()),
                    reader.scale() instanceof MixtureScale.Lambda && !inAfr ? 3 : 2,
                    inAfr ? l -> now.shownLambda(l) * job.stoich() : now.reading(), true,
                    List.of(now, inAfr, job.stoich())));
        }
        this.scales = List.copyOf(list);
        List<Witness> said = new ArrayList<>();
        Double gas = review.witnessed();
        Double shown = job.roadTest().witness().shown();
        if (gas != null) {
            said.add(new Witness("G", gas, shown == null ? gas : shown));
        }
        DriveFound found = job.proving() == null ? null : job.proving().found();
        if (found != null && found.crossings() != null
                && !review.job().engineTraits().contains(EngineTrait.NARROWBAND_SIMULATED)) {
            said.add(new Witness("N", 1, found.crossings().lambda()));
        }
        this.witnesses = List.copyOf(said);
    }

    private static double counts(ChainNow chain, double lambda) {
        Long counts = chain.chain().counts(lambda);
        return counts == null ? Double.NaN : counts;
    }

    /** How far from what is shown the truth may be at a mixture, λ; empty while that cannot be told. */
    public OptionalDouble trust(double lambda) {
        return trust.map(t -> OptionalDouble.of(t.u(lambda))).orElse(OptionalDouble.empty());
    }

    /** Who else said what the mixture is: gas analyser and narrowband. */
    public List<Witness> witnesses() {
        return witnesses;
    }

    /** The scales, from the exhaust to the number shown. */
    public List<Scale> scales() {
        return scales;
    }

    /** The richest mixture on the rule. */
    public double from() {
        return from;
    }

    /** The leanest mixture on the rule. */
    public double to() {
        return to;
    }

    /** A mixture held to the rule. */
    public double held(double lambda) {
        return Math.clamp(lambda, from, to);
    }

    /** Where a mixture lies along the rule, 0 to 1. */
    public double place(double lambda) {
        return (lambda - from) / (to - from);
    }

    /** The mixture at a place along the rule. */
    public double lambda(double place) {
        return held(from + place * (to - from));
    }

    /** How far shown and true part at a mixture, lambda; empty when there is no reader. */
    public OptionalDouble gap(double lambda) {
        return chain.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(chain.get().shownLambda(lambda) - lambda);
    }

    /** Whether shown and true part by more than the trade allows at a mixture. */
    public boolean lies(double lambda) {
        return gap(lambda).stream().anyMatch(g -> Math.abs(g) > Tolerance.LAMBDA);
    }

    /** Says in one line what the reader shows at a mixture and how far that is from the truth; empty without a reader. */
    public Optional<Message> shown(double lambda) {
        return scales.stream().filter(Scale::told).findFirst().map(s -> {
            Message shows = Message.of("{0} {1}", s.name(), s.text(lambda));
            return lies(lambda)
                    ? Message.of("▲ {0}: {1}", shows, Figures.leanOrRich(gap(lambda).orElse(0)))
                    : Message.of("{0} = true", shows);
        });
    }

    /** Whether that knowledge was measured: what is only expected is not green. */
    boolean measured() {
        return chain.filter(c -> c.basis() == ChainNow.Basis.MEASURED).isPresent();
    }

    /** Basis of what is known of the reader, in words; empty when there is no reader. */
    public String basis() {
        return chain.map(c -> c.basis().words()).orElse("");
    }

    /** The mixture at which a scale shows a value: the nearest on the rule; empty when it never does. */
    public OptionalDouble find(Scale scale, double value) {
        double[] values = sampled(scale, SAMPLES);
        double nearest = Double.NaN;
        for (int i = 1; i < values.length; i++) {
            double a = values[i - 1] - value;
            double b = values[i] - value;
            if (a == 0 || a * b < 0) {
                return OptionalDouble.of(lambda((i - 1 + (a == b ? 0 : a / (a - b))) / (values.length - 1)));
            }
            if (b == 0) {
                nearest = lambda((double) i / (values.length - 1));
            }
        }
        return Double.isNaN(nearest) ? OptionalDouble.empty() : OptionalDouble.of(nearest);
    }

    private double[] sampled(Scale scale, int samples) {
        double[] values = new double[samples + 1];
        for (int i = 0; i <= samples; i++) {
            values[i] = scale.at().applyAsDouble(lambda((double) i / samples));
        }
        return values;
    }

    /**
     * The ticks of a scale.
     *
     * @param majors about how many numbers there is room for
     */
    public List<Tick> ticks(Scale scale, int majors) {
        Laid kept = ticks.get(scale.id());
        if (kept == null || kept.majors != majors || kept.richest != from || kept.leanest != to
                || !kept.from.equals(scale.from())) {
            kept = new Laid(scale.from(), from, to, majors, laid(scale, majors));
            ticks.put(scale.id(), kept);
        }
        return kept.ticks;
    }

    private List<Tick> laid(Scale scale, int majors) {
        double[] values = sampled(scale, COARSE);
        double low = java.util.Arrays.stream(values).min().orElseThrow();
        double high = java.util.Arrays.stream(values).max().orElseThrow();
        if (!(high - low > 1e-9) || !Double.isFinite(high - low)) {
            return List.of();
        }
        double step = niceStep((high - low) / Math.max(2, majors));
        int minors = Math.round(step / Math.pow(10, Math.floor(Math.log10(step) + 1e-9))) == 2 ? 4 : 5;
        int decimals = Math.max(0, (int) -Math.floor(Math.log10(step) + 1e-9));
        List<Tick> ticks = new ArrayList<>();
        double minor = step / minors;
        for (int i = 1; i < values.length; i++) {
            double a = Math.min(values[i - 1], values[i]);
            double b = Math.max(values[i - 1], values[i]);
            for (long k = (long) Math.ceil(a / minor - 1e-9); k * minor <= b + 1e-12 * Math.abs(b); k++) {
                double value = k * minor;
                if (a == b) {
                    continue;
                }
                double part = (value - values[i - 1]) / (values[i] - values[i - 1]);
                String number = k % minors == 0 ? UnitChoice.digits(value, decimals) : "";
                Tick tick = new Tick((i - 1 + part) / COARSE, number);
                if (ticks.isEmpty() || tick.place() - ticks.getLast().place() > 1e-6) {
                    ticks.add(tick);
                }
            }
        }
        return List.copyOf(ticks);
    }

    private static double niceStep(double rough) {
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double part = rough / power;
        return power * (part <= 1 ? 1 : part <= 2 ? 2 : part <= 5 ? 5 : 10);
    }
}
