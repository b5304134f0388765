package amberheron.core.scaling;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.mixture.Stoichiometry;
import amberheron.core.scaling.FaultParameters.Name;
import amberheron.core.scaling.FaultParameters.Slip;
import amberheron.core.scaling.Hypothesis.Model;
import amberheron.core.scaling.Hypothesis.Parameter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Every way a chain may lie that check points can tell. Kinds of fault are equally likely before anything is measured: a
 * choice, since nobody counted them. Two at once are rare.
 */
final class Suspects {
    /** Least part of the law's range by which a reading that stands still may differ from what the setting shows. */
    static final double LEAST_ROOM = 0.01;
    /** Prior weight of two faults at once, where that of a single one is 1; from an audit of cases. */
    private static final double BOTH = 0.03;
    /** A long thin wire shifts and loads, so these two are found together more often than others; from an audit of cases. */
    private static final double BOTH_BY_THE_WIRE = 1.5;
    /** Prior of an untouched chain when its setting is known to be wrong. */
    private static final double UNLIKELY = 1e-3;
    /** Prior of a law that no catalogue holds. */
    private static final double UNLISTED = 0.4;
    /** Prior of a mistyped equation, each way; our own choice, no published source. */
    private static final double SLIP = 0.02;
    /** Part of unlisted laws that have a bend, in a reader that can follow one; our own choice, no published source. */
    private static final double BENT = 0.3;
    /** Distance from an end, as part of the law's volts, within which a bend does not count. */
    private static final double AT_AN_END = 0.01;
    /** How far a bend lies off the straight line, λ; common practice, no published source. */
    private static final double BEND = 0.25;
    /** Number of voltages at which the setting of another law is compared. */
    private static final int LOOKED_AT = 20;
    /** Prior of ratios that no fuel has. */
    private static final double NO_FUEL = 0.1;
    /** How far a wire is pulled, as a part, at least and at most, and how much of what still leaves some of the law; from memory. */
    private static final double LEAST_PULL = 0.005;
    private static final double MOST_PULL = 0.6;
    private static final double STILL_SEEN = 0.85;
    /** Supplies that inputs are pulled up to, V; common practice, no published source. */
    private static final double[] RAILS = {3.3, 5, 12};
    /** How sharp a switching output switches about λ 1, in λ; from memory. */
    private static final double[] SWITCH = {0.004, 0.01, 0.02};
    /** Shift, V: most are small, gross ones happen; below 10 mV it is what good grounds leave, from memory. */
    private static final Parameter SHIFT = new Parameter(Name.VOLTS, -1.5, 1.5, 0, 0.01, 0.15, 0.35);
    /** Part of the volts that arrives: most losses are small, gross ones happen; from memory. */
    private static final Parameter GAIN = new Parameter(Name.FACTOR, 0.4, 1.3, 1, 0.004, 0.08, 0.35);

    private final OutputLaw law;
    private final Reader reader;
    private final ReaderSetting right;
    private final ReaderSetting set;
    private final boolean settingIsRight;
    private final Diagnostician.KnownLaws known;
    private final Observations seen;

    Suspects(OutputLaw law, Reader reader, ReaderSetting right, ReaderSetting set, boolean settingIsRight,
            Diagnostician.KnownLaws known, Observations seen) {
        this.law = law;
        this.reader = reader;
        this.right = right;
        this.set = set;
        this.settingIsRight = settingIsRight;
        this.known = known;
        this.seen = seen;
    }

    /** A way in which a setting is wrong: what is shown for volts at the pin. */
    private record Mistake(Cause cause, double prior, FaultParameters fixed, DoubleUnaryOperator shown) {
    }

    /**
     * Effect on the volts on their way, with one parameter.
     *
     * @param share part of all that this cause does
     */
    private record Way(Cause cause, double share, Parameter parameter, FaultParameters fixed, DoubleBinaryOperator pin,
            DoubleFunction<WireEffect> effect) {
        static Way pulledUp(double rail, double most) {
            return new Way(Cause.PULL_UP, 1.0 / RAILS.length, Parameter.even(Name.FRACTION, LEAST_PULL, most),
                    FaultParameters.of(Name.TOWARDS_VOLTS, rail), (v, p) -> v + p * (rail - v),
                    p -> WireEffect.linear(1 - p, p * rail));
        }

        static Way clipped(double low, double high) {
            return new Way(Cause.CLIPPED, 1, Parameter.even(Name.MAX_VOLTS, low, high), FaultParameters.NONE,
                    Math::min, WireEffect.NONE::under);
        }
    }

    private static final Way SHIFTED = new Way(Cause.GROUND_SHIFT, 1, SHIFT, FaultParameters.NONE, Double::sum,
            p -> WireEffect.linear(1, p));
    private static final Way LOADED = new Way(Cause.GAIN, 1, GAIN, FaultParameters.NONE, (v, p) -> v * p,
            p -> WireEffect.linear(p, 0));

    /**
     * Pull-ups to each supply, as far as the input still sees some of the law: one that holds it at its end all the time is a
     * wire that shows nothing.
     */
    private List<Way> pulledUp() {
        double low = law.lowestVolts();
        return DoubleStream.of(RAILS).mapToObj(rail -> Way.pulledUp(rail, rail > reader.input().maxVolts()
                ? Math.clamp(STILL_SEEN * (reader.input().maxVolts() - low) / (rail - low), 2 * LEAST_PULL, MOST_PULL)
                : MOST_PULL)).toList();
    }

    /** Returns every hypothesis. */
    List<Hypothesis> all() {
        List<Hypothesis> all = new ArrayList<>();
        all.add(Hypothesis.fixed(Fault.of(Cause.NONE), settingIsRight ? 1 : UNLIKELY, FaultParameters.NONE,
                WireEffect.NONE,
                (v, l) -> reader.shows(set, v)));
        if (!settingIsRight) {
            // What was noted need not be what the reader holds.
            all.add(Hypothesis.fixed(Fault.of(Cause.NONE), 1, FaultParameters.NONE, WireEffect.NONE,
                    (v, l) -> reader.shows(right, v)));
        }
        List<Way> pulledUp = pulledUp();
        Stream.concat(Stream.of(SHIFTED, LOADED), pulledUp.stream()).forEach(
                way -> all.add(on(way, Fault.of(way.cause()), 1, FaultParameters.NONE, v -> reader.shows(set, v))));
        if (seen.bothWays()) {
            // Heater and alternator move the grounds only while it runs.
            all.add(new Hypothesis(Fault.of(Cause.GROUND_SHIFT), 1, List.of(SHIFT),
                    new FaultParameters(Map.of(), null, null, true),
                    new Hypothesis.WhileRunning((v, l, p) -> reader.shows(set, v + p[0]),
                            (v, l, p) -> reader.shows(set, v)),
                    p -> WireEffect.linear(1, p[0])));
        }
        all.addAll(flat());
        for (double width : SWITCH) {
            // About 0.9 V rich, near 0 V lean: common practice, no published source.
            all.add(new Hypothesis(Fault.of(Cause.NARROWBAND), 1.0 / SWITCH.length,
                    List.of(Parameter.even(Name.RICH_VOLTS, 0.6, 1.05), Parameter.even(Name.LEAN_VOLTS, 0, 0.3)),
                    FaultParameters.of(Name.WIDTH, width),
                    (v, l, p) -> reader.shows(set, p[1] + (p[0] - p[1]) / (1 + Math.exp((l - 1) / width))),
                    p -> nothing()));
        }
        all.add(Hypothesis.fixed(Fault.of(Cause.UNSCALED), 1, FaultParameters.NONE, WireEffect.NONE, (v, l) -> v));
        List<Mistake> mistakes = mistakes();
        mistakes.forEach(m -> all.add(Hypothesis.fixed(Fault.of(m.cause()), m.prior(), m.fixed(), WireEffect.NONE,
                (v, l) -> m.shown().applyAsDouble(v))));
        double unlisted = mistakes.stream().anyMatch(m -> m.cause() == Cause.OTHER_LAW && m.fixed().slip() == null)
                ? UNLISTED
                : 1;
        boolean bends = reader.form() == Reader.Form.TABLE || reader.form() == Reader.Form.COUNTS;
        all.add(straight(bends ? (1 - BENT) * unlisted : unlisted));
        if (bends) {
            all.add(bent(BENT * unlisted / 2, -BEND, 0));
            all.add(bent(BENT * unlisted / 2, 0, BEND));
        }
        Model free = freeRatio();
        if (free != null) {
            all.add(new Hypothesis(Fault.of(Cause.WRONG_STOICH), NO_FUEL, List.of(Parameter.even(Name.STOICH, 5, 18)),
                    FaultParameters.NONE, free, p -> WireEffect.NONE));
        }
        all.addAll(pairs(mistakes, pulledUp, unlisted));
        return all;
    }

    private static Hypothesis on(Way way, Fault fault, double prior, FaultParameters fixed,
            DoubleUnaryOperator shown) {
        return new Hypothesis(fault, prior * way.share(), List.of(way.parameter()), fixed.and(way.fixed()),
                (v, l, p) -> shown.applyAsDouble(way.pin().applyAsDouble(v, p[0])), p -> way.effect().apply(p[0]));
    }

    /** Combines two faults: a wrong setting with an effect on the way, or two effects on the way. */
    private List<Hypothesis> pairs(List<Mistake> mistakes, List<Way> pulledUp, double unlisted) {
        Way ends = Way.clipped(law.lowestVolts(), law.highestVolts());
        List<Way> ways = Stream.concat(Stream.of(SHIFTED, LOADED, ends), pulledUp.stream()).toList();
        List<Hypothesis> pairs = new ArrayList<>();
        for (Mistake m : mistakes) {
            if (!reaches(m)) {
                continue;
            }
            double share = m.prior()
                    / mistakes.stream().filter(o -> o.cause() == m.cause()).mapToDouble(Mistake::prior).sum();
            ways.forEach(w -> pairs.add(on(w, new Fault(m.cause(), w.cause()), BOTH * share, m.fixed(), m.shown())));
        }
        pairs.add(both(SHIFTED, LOADED, BOTH_BY_THE_WIRE * BOTH));
        for (Way first : List.of(SHIFTED, LOADED)) {
            pulledUp.forEach(w -> pairs.add(both(first, w, BOTH)));
            pairs.add(both(first, ends, BOTH));
        }
        pulledUp.forEach(w -> pairs.add(both(w, ends, BOTH)));
        Hypothesis line = straight(unlisted);
        List<Parameter> parameters = new ArrayList<>(line.parameters());
        parameters.add(ends.parameter());
        pairs.add(new Hypothesis(new Fault(Cause.OTHER_LAW, Cause.CLIPPED), BOTH * unlisted, List.copyOf(parameters),
                FaultParameters.NONE, (v, l, p) -> line.model().shown(Math.min(v, p[2]), l, p),
                p -> WireEffect.NONE.under(p[2])));
        return pairs;
    }

    /** Returns the voltages at which settings are compared. */
    private static DoubleStream over(double low, double high) {
        return IntStream.rangeClosed(0, LOOKED_AT).mapToDouble(i -> low + (high - low) * i / LOOKED_AT);
    }

    /** Returns whether a mistake shows such numbers as were shown at any volts that the input can see. */
    private boolean reaches(Mistake mistake) {
        DoubleSummaryStatistics shows = over(reader.input().minVolts(), reader.input().maxVolts())
                .map(mistake.shown()).summaryStatistics();
        double room = LEAST_ROOM * (shows.getMax() - shows.getMin());
        return 2 * IntStream.range(0, seen.size())
                .filter(i -> seen.shown(i) > shows.getMin() - room && seen.shown(i) < shows.getMax() + room)
                .count() >= seen.size();
    }

    /** Makes two effects on the way, one after the other. */
    private Hypothesis both(Way first, Way then, double prior) {
        return new Hypothesis(new Fault(first.cause(), then.cause()), prior * first.share() * then.share(),
                List.of(first.parameter(), then.parameter()), first.fixed().and(then.fixed()),
                (v, l, p) -> reader.shows(set,
                        then.pin().applyAsDouble(first.pin().applyAsDouble(v, p[0]), p[1])),
                p -> first.effect().apply(p[0]).then(then.effect().apply(p[1])));
    }

    /** A way on which the mixture does not arrive. */
    private WireEffect nothing() {
        return WireEffect.NONE.under(law.lowestVolts());
    }

    private double asLambda(double pin) {
        return reader.scale().toLambda(reader.shows(right, pin));
    }

    /** Makes the hypotheses of a reading that stops following the mixture: everywhere, or above some volts. */
    private List<Hypothesis> flat() {
        List<Hypothesis> flat = new ArrayList<>();
        double a = reader.shows(set, law.lowestVolts());
        double b = reader.shows(set, law.highestVolts());
        // A setting that shows the same at any volts leaves some room too, or there would be nothing to weigh.
        double margin = Math.max(Math.abs(a - b),
                LEAST_ROOM * Math.abs(reader.scale().fromLambda(law.leanest() - law.richest()))) / 2;
        // Open or shorted, it rests at an end of the input more often than anywhere between.
        for (double end : new double[]{reader.input().minVolts(), reader.input().maxVolts()}) {
            flat.add(Hypothesis.fixed(Fault.of(Cause.CONSTANT), 0.25, FaultParameters.of(Name.SHOWN, set.at(end)),
                    nothing(),
                    (v, l) -> set.at(end)));
        }
        flat.add(new Hypothesis(Fault.of(Cause.CONSTANT), 0.5,
                List.of(Parameter.even(Name.SHOWN, Math.min(a, b) - margin, Math.max(a, b) + margin)),
                FaultParameters.NONE,
                (v, l, p) -> p[0], p -> nothing()));
        double low = law.lowestVolts();
        double high = law.highestVolts();
        double top = Double.NEGATIVE_INFINITY;
        double foot = Double.POSITIVE_INFINITY;
        for (int i = 0; i < seen.size(); i++) {
            top = Math.clamp(seen.volts(i), Math.max(low, top), high);
            foot = Math.clamp(seen.volts(i), low, Math.min(high, foot));
        }
        double whole = high - low;
        if (foot > low) {
            // Below all that was tested it leaves one reading.
            flat.add(clipped((foot - low) / whole, low, foot));
        }
        if (top > foot) {
            flat.add(clipped((top - foot) / whole, foot, top));
        }
        if (top < high) {
            // Above what was tested it leaves no trace, so it is as likely as that is wide.
            double from = top;
            for (double part : new double[]{0.1, 0.3, 0.5, 0.7, 0.9}) {
                double at = from + part * (high - from);
                flat.add(Hypothesis.fixed(Fault.of(Cause.CLIPPED), (high - from) / whole / 5,
                        FaultParameters.of(Name.MAX_VOLTS, at),
                        WireEffect.NONE.under(at), (v, l) -> reader.shows(set, Math.min(v, at))));
            }
        }
        return flat;
    }

    private Hypothesis clipped(double prior, double from, double to) {
        return new Hypothesis(Fault.of(Cause.CLIPPED), prior, List.of(Parameter.even(Name.MAX_VOLTS, from, to)),
                FaultParameters.NONE,
                (v, l, p) -> reader.shows(set, Math.min(v, p[0])), p -> WireEffect.NONE.under(p[0]));
    }

    private List<Mistake> mistakes() {
        List<Mistake> all = new ArrayList<>();
        TreeSet<Double> mirrors = new TreeSet<>(Comparator.comparingLong(sum -> Math.round(sum * 1000)));
        mirrors.add(law.points().getFirst().volts() + law.points().getLast().volts());
        mirrors.add(law.lowestVolts() + law.highestVolts());
        if (right instanceof ReaderSetting.TwoPoint t) {
            mirrors.add(t.v1() + t.v2());
        }
        for (double sum : mirrors) {
            // The line goes on beyond the two points, so the mirrored volts are not held to the input.
            all.add(new Mistake(Cause.POINTS_SWAPPED, 1.0 / mirrors.size(), FaultParameters.NONE,
                    v -> right.at(sum - reader.input().clipped(v))));
        }
        boolean readsLambda = reader.scale() instanceof MixtureScale.Lambda;
        List<Double> takenFor = readsLambda ? ratios() : List.of(1.0);
        for (double stoich : takenFor) {
            // An AFR reader shows λ whatever ratio was meant.
            all.add(new Mistake(Cause.LAMBDA_AS_AFR, 1.0 / takenFor.size(), FaultParameters.NONE,
                    v -> asLambda(v) * stoich));
        }
        Model free = freeRatio();
        if (free != null) {
            all.addAll(otherRatios(free));
        }
        all.addAll(otherLaws());
        all.addAll(slips());
        if (!settingIsRight && all.stream().noneMatch(this::asNoted)) {
            // A wrong setting that is none of these, and is known.
            all.add(listed(set, 1, null));
        }
        return all;
    }

    /** Whether a mistake shows what the noted setting shows, over all that the law puts out. */
    private boolean asNoted(Mistake mistake) {
        return over(law.lowestVolts(), law.highestVolts())
                .allMatch(v -> Math.abs(reader.scale()
                        .toLambda(mistake.shown().applyAsDouble(v) - reader.shows(set, v))) <= Tolerance.LAMBDA);
    }

    /** The ratios of other fuels in place of the one that belongs there. */
    private List<Mistake> otherRatios(Model free) {
        List<Double> wrong = ratios().stream().filter(r -> Math.abs(r / ownRatio() - 1) > Tolerance.LAMBDA).toList();
        return wrong.stream().map(r -> new Mistake(Cause.WRONG_STOICH, (1 - NO_FUEL) / wrong.size(),
                FaultParameters.of(Name.STOICH, r), v -> free.shown(v, 1, new double[]{r}))).toList();
    }

    private double ownRatio() {
        return reader.scale() instanceof MixtureScale.Afr a
                ? a.stoich()
                : law.scale() instanceof MixtureScale.Afr b ? b.stoich() : 1;
    }

    /** Number shown with a ratio that does not belong there; null where no ratio is in the chain. */
    private @Nullable Model freeRatio() {
        if (reader.scale() instanceof MixtureScale.Afr) {
            return (v, l, p) -> asLambda(v) * p[0];
        }
        return law.scale() instanceof MixtureScale.Afr afr ? (v, l, p) -> asLambda(v) * afr.stoich() / p[0] : null;
    }

    /** Ratios that λ may have been turned into AFR with. */
    private List<Double> ratios() {
        TreeSet<Double> ratios = new TreeSet<>(Comparator.comparingLong(r -> Math.round(r * 100)));
        ratios.add(14.7);
        if (law.scale() instanceof MixtureScale.Afr afr) {
            ratios.add(afr.stoich());
        }
        Double fuel = known.fuelStoich();
        if (fuel != null) {
            ratios.add(fuel);
        }
        ratios.addAll(Stoichiometry.FUELS);
        return List.copyOf(ratios);
    }

    private List<Mistake> otherLaws() {
        double low = Math.max(law.lowestVolts(), reader.input().minVolts());
        double high = Math.min(law.highestVolts(), reader.input().maxVolts());
        Map<String, ReaderSetting> others = new LinkedHashMap<>();
        for (OutputLaw other : known.otherLaws()) {
            SettingFinder.find(other, reader)
                    .filter(s -> reader.parts(s, right, over(low, high)))
                    .ifPresent(s -> others.put(other.id(), SettingFinder.plainest(s, reader.input())));
        }
        List<Mistake> all = new ArrayList<>();
        others.forEach((id, s) -> all.add(listed(s, (1 - UNLISTED) / others.size(), id)));
        return all;
    }

    /** Makes the mistake of a setting that is known, by its line from end to end. */
    private Mistake listed(ReaderSetting setting, double prior, @Nullable String id) {
        double low = Math.max(law.lowestVolts(), reader.input().minVolts());
        double high = Math.min(law.highestVolts(), reader.input().maxVolts());
        double slope = reader.scale().toLambda(setting.at(high) - setting.at(low)) / (high - low);
        return new Mistake(Cause.OTHER_LAW, prior,
                new FaultParameters(
                        Map.of(Name.SLOPE, slope, Name.OFFSET, reader.scale().toLambda(setting.at(low)) - slope * low),
                        id, null, false),
                v -> reader.shows(setting, v));
    }

    /** The law's own equation, mistyped; none for a law with a bend, and where no equation is typed. */
    private List<Mistake> slips() {
        boolean typed = reader.form() == Reader.Form.EXPRESSION || reader.form() == Reader.Form.SLOPE_OFFSET;
        double low = Math.max(law.lowestVolts(), reader.input().minVolts());
        double high = Math.min(law.highestVolts(), reader.input().maxVolts());
        double slope = (right.at(high) - right.at(low)) / (high - low);
        double offset = right.at(low) - slope * low;
        boolean straight = over(low, high).allMatch(v -> same(right.at(v), offset + slope * v));
        return !typed || !straight || slope == 0
                ? List.of()
                : Stream.of(slip(Slip.BRACKETS_LEFT_OUT, slope, offset / slope),
                        slip(Slip.OFFSET_FIRST, slope, offset * slope))
                        .filter(m -> !same(m.shown().applyAsDouble(low), right.at(low))).toList();
    }

    private boolean same(double shown, double other) {
        return Math.abs(reader.scale().toLambda(shown - other)) <= Tolerance.LAMBDA;
    }

    private Mistake slip(Slip slip, double slope, double offset) {
        return new Mistake(Cause.OTHER_LAW, SLIP, new FaultParameters(
                Map.of(Name.SLOPE, reader.scale().toLambda(slope), Name.OFFSET, reader.scale().toLambda(offset)), null,
                slip, false), v -> offset + slope * reader.input().clipped(v));
    }

    /** Makes a straight law that is in no list, by slope and offset. */
    private Hypothesis straight(double prior) {
        return new Hypothesis(Fault.of(Cause.OTHER_LAW), prior, line(), FaultParameters.NONE,
                (v, l, p) -> reader.scale().fromLambda(p[1] + p[0] * reader.input().clipped(v)),
                p -> WireEffect.NONE);
    }

    /** Makes an unlisted law with one bend: where it is, and how far off the straight line. */
    private Hypothesis bent(double prior, double least, double most) {
        double low = law.lowestVolts();
        double high = law.highestVolts();
        List<Parameter> parameters = new ArrayList<>(line());
        double inside = AT_AN_END * (high - low);
        parameters.add(Parameter.even(Name.BEND_VOLTS, low + inside, high - inside));
        parameters.add(Parameter.even(Name.BEND, least, most));
        return new Hypothesis(Fault.of(Cause.OTHER_LAW), prior, List.copyOf(parameters), FaultParameters.NONE,
                (v, l, p) -> {
                    double at = reader.input().clipped(v);
                    double part = at < p[2] ? (at - low) / (p[2] - low) : (high - at) / (high - p[2]);
                    return reader.scale().fromLambda(p[1] + p[0] * at + p[3] * Math.clamp(part, 0, 1));
                }, p -> WireEffect.NONE);
    }

    private List<Parameter> line() {
        double low = law.lowestVolts();
        double high = law.highestVolts();
        // About λ 0.6 to 1.4 from end to end, either way seldom; common practice, no published source.
        double steep = 0.8 / (high - low);
        double start = 0.6 - low * steep;
        return List.of(new Parameter(Name.SLOPE, -2 * steep, 3 * steep, steep, 0, 0.25 * steep, 0.3),
                new Parameter(Name.OFFSET, start - 1.5, start + 2, start, 0, 0.12, 0.3));
    }
}
