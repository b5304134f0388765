package amberheron.bench;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.Tolerance;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A trial of what people and benches do beside the faults that are looked for: rows written down wrong, meters that bend or
 * warm up, pairs of faults that no list has, one point where two are needed. It is written from the wiring and from habits,
 * not from the diagnosis.
 *
 * @param kind what is wrong
 * @param fault the name in files of the fault, or of the two
 * @param law of the controller
 * @param reader what reads it
 * @param catalogue laws that the shop knows
 * @param pin volts at the pin for volts at the output, with all that is wrong with the wire and the input
 * @param held what the reader makes of the volts that it senses
 * @param points what was written down
 * @param rows rows that were written down wrong, from 0
 */
public record BenchTrial(Kind kind, String fault, OutputLaw law, Reader reader, List<OutputLaw> catalogue,
        DoubleUnaryOperator pin,
        DoubleUnaryOperator held, List<CheckPoint> points, List<Integer> rows) {
    /** Kinds of trials. */
    public enum Kind {
        /** A sound chain of which two readings were written into each other's rows. */
        EXCHANGED,
        /** A sound chain of which one reading was written down wrong. */
        MISTYPED,
        /** An input that ends below the top of the law, and nothing else. */
        CLIPPED,
        /** A sound chain measured with a meter that bends or warms up by up to 0.5 % of the span. */
        BENT_METER,
        /** A law that no list has, and a ground that shifts. */
        UNLISTED_AND_SHIFT,
        /** A resistor to a supply at the input, and one more fault. */
        PULL_UP_AND_MORE,
        /** An input that ends too early, and one more fault. */
        CLIPPED_AND_MORE,
        /** One point, or several that all are where a controller without a sensor stands. */
        ONE_PLACE
    }

    private static final Source MADE = Source.practice("made up for a trial");
    private static final double[] SUPPLIES = {3.3, 5, 12};
    private static final double[] OTHER_RATIOS = {6.47, 9.0, 9.81, 13.21, 15.67, 17.2};

    /** What a reader shows, with what is wrong with it, and how it is called in files. */
    private record Wrong(String name, DoubleUnaryOperator pin, @Nullable DoubleUnaryOperator held) {
    }

    /**
     * Makes a trial.
     *
     * @param seed the same seed is the same trial
     */
    public static BenchTrial of(Kind kind, long seed) {
        Random random = new Random(seed * 6151 + kind.name().hashCode());
        while (true) {
            BenchTrial made = made(kind, random);
            if (made != null) {
                return made;
            }
        }
    }

    private static @Nullable BenchTrial made(Kind kind, Random random) {
        OutputLaw law = ScaleTrial.law("own", random);
        List<OutputLaw> catalogue = List.of(ScaleTrial.law("a", random), ScaleTrial.law("b", random), law);
        double top = kind == Kind.CLIPPED || kind == Kind.CLIPPED_AND_MORE
                ? Math.rint(100 * between(random, 0.4, 0.85, law)) / 100
                : 5;
        Reader reader = reader(random);
        ReaderSetting right = SettingFinder.find(law, reader).orElseThrow();
        Wrong wrong = switch (kind) {
            case UNLISTED_AND_SHIFT -> unlisted(reader, random);
            case PULL_UP_AND_MORE, CLIPPED_AND_MORE -> more(law, reader, right, catalogue, random);
            default -> new Wrong("", v -> v, null);
        };
        double supply = SUPPLIES[random.nextInt(SUPPLIES.length)];
        double part = kind == Kind.PULL_UP_AND_MORE ? 0.03 + 0.3 * random.nextDouble() : 0;
        DoubleUnaryOperator pin = v -> {
            double at = wrong.pin.applyAsDouble(v);
            return Math.min(top, at + part * (supply - at));
        };
        DoubleUnaryOperator held = wrong.held == null ? right::at : wrong.held;
        List<CheckPoint> points = points(kind, law, reader, pin, held, random);
        if (kind.name().startsWith("CLIPPED")
                && points.stream().noneMatch(p -> wrong.pin.applyAsDouble(volts(p)) > top + 0.1)) {
            // Points that stop below the end cannot show it.
            return null;
        }
        List<Integer> rows = rows(kind, points, reader, random);
        return rows == null
                ? null
                : new BenchTrial(kind, fault(kind, wrong), law, reader, catalogue, pin, held, points, rows);
    }

    private static String fault(Kind kind, Wrong wrong) {
        return switch (kind) {
            case EXCHANGED, MISTYPED, BENT_METER, ONE_PLACE -> "none";
            case CLIPPED -> "clipped";
            case UNLISTED_AND_SHIFT -> "ground-shift+other-law";
            case PULL_UP_AND_MORE -> Stream.of("pull-up", wrong.name).sorted().collect(Collectors.joining("+"));
            case CLIPPED_AND_MORE -> Stream.of("clipped", wrong.name).sorted().collect(Collectors.joining("+"));
        };
    }

    private static double volts(CheckPoint point) {
        Double volts = point.volts();
        return volts == null ? Double.NaN : volts;
    }

    private static double between(Random random, double from, double to, OutputLaw law) {
        return law.lowestVolts()
                + (from + (to - from) * random.nextDouble()) * (law.highestVolts() - law.lowestVolts());
    }

    private static Reader reader(Random random) {
        boolean lambda = random.nextBoolean();
        Reader.Form form = List.of(Reader.Form.SLOPE_OFFSET, Reader.Form.TWO_POINT, Reader.Form.TABLE)
                .get(random.nextInt(3));
        Integer bits = random.nextInt(3) == 0 ? null : Integer.valueOf(random.nextBoolean() ? 10 : 12);
        return new Reader("r", "r", form, lambda ? MixtureScale.lambda() : MixtureScale.afr(14.7), lambda ? 4 : 3,
                new ReaderInput(0, 5, bits), null, null, MADE);
    }

    private static double shift(Random random) {
        return ScaleTrial.scaled(0.06, 0.8, random) * (random.nextBoolean() ? 1 : -1);
    }

    private static Wrong unlisted(Reader reader, Random random) {
        ReaderSetting copied = SettingFinder.find(ScaleTrial.law("unlisted", random), reader).orElseThrow();
        double shift = shift(random);
        return new Wrong("", v -> v + shift, copied::at);
    }

    /** One more fault beside an input that pulls or ends too early. */
    private static Wrong more(OutputLaw law, Reader reader, ReaderSetting right, List<OutputLaw> catalogue,
            Random random) {
        boolean lambda = reader.scale() instanceof MixtureScale.Lambda;
        double ratio = OTHER_RATIOS[random.nextInt(OTHER_RATIOS.length)];
        double shift = shift(random);
        double gain = random.nextInt(4) > 0
                ? 1 - ScaleTrial.scaled(0.04, 0.4, random)
                : 1.02 + 0.15 * random.nextDouble();
        return switch (random.nextInt(lambda && law.scale() instanceof MixtureScale.Lambda ? 5 : 6)) {
            case 0 -> new Wrong("ground-shift", v -> v + shift, null);
            case 1 -> new Wrong("gain", v -> v * gain, null);
            case 2 -> new Wrong("other-law", v -> v,
                    SettingFinder.find(catalogue.get(random.nextInt(2)), reader).orElseThrow()::at);
            case 3 -> {
                double sum = law.points().getFirst().volts() + law.points().getLast().volts();
                yield new Wrong("points-swapped", v -> v, v -> right.at(sum - v));
            }
            case 4 -> {
                double factor = lambda ? 14.7 : 1 / 14.7;
                yield new Wrong("lambda-as-afr", v -> v, v -> right.at(v) * factor);
            }
            default -> {
                double factor = lambda ? 14.7 / ratio : ratio / 14.7;
                yield new Wrong("wrong-stoich", v -> v, v -> right.at(v) * factor);
            }
        };
    }

    /** Volts that are tried, in the order people take them: up, down, or anyhow, now and then one twice. */
    private static List<CheckPoint> points(Kind kind, OutputLaw law, Reader reader, DoubleUnaryOperator pin,
            DoubleUnaryOperator held, Random random) {
        int count = 4 + random.nextInt(6);
        List<Double> volts = new ArrayList<>();
        if (kind == Kind.ONE_PLACE) {
            // λ 1, or an end, as a controller stands that has no sensor or is warming it.
            double at = random.nextInt(3) == 0 ? law.highestVolts() : law.voltsAt(1);
            volts.addAll(Collections.nCopies(random.nextBoolean() ? 1 : count, at));
        } else {
            for (int i = 0; i < count; i++) {
                volts.add(law.lowestVolts() + (law.highestVolts() - law.lowestVolts())
                        * (i + 0.15 + 0.7 * random.nextDouble()) / count);
            }
            switch (random.nextInt(4)) {
                case 0 -> Collections.reverse(volts);
                case 1 -> Collections.shuffle(volts, random);
                default -> {
                    if (random.nextBoolean()) {
                        volts.add(volts.getFirst());
                    }
                }
            }
        }
        double span = law.highestVolts() - law.lowestVolts();
        double bend = kind == Kind.BENT_METER && random.nextBoolean()
                ? 0.005 * span * (2 * random.nextDouble() - 1)
                : 0;
        double warms = kind == Kind.BENT_METER && bend == 0 ? 0.005 * span * (2 * random.nextDouble() - 1) : 0;
        double noise = (0.002 + 0.003 * random.nextDouble()) / Math.sqrt(2);
        double digit = reader.scale() instanceof MixtureScale.Lambda ? 1000 : 100;
        List<CheckPoint> points = new ArrayList<>();
        for (int i = 0; i < volts.size(); i++) {
            double v = volts.get(i);
            double x = (v - law.lowestVolts()) / span;
            double metered = v + 4 * bend * x * (1 - x) + warms * i / volts.size() + noise * random.nextGaussian();
            double sensed = reader.input().sensed(pin.applyAsDouble(v) + noise * random.nextGaussian());
            points.add(new CheckPoint(Math.rint(1000 * metered) / 1000, null,
                    Math.rint(digit * held.applyAsDouble(sensed)) / digit, ""));
        }
        return points;
    }

    /** Spoils the rows of a trial whose rows are written down wrong; null where that would not show. */
    private static @Nullable List<Integer> rows(Kind kind, List<CheckPoint> points, Reader reader, Random random) {
        double shows = reader.scale().fromLambda(0.05);
        if (kind == Kind.EXCHANGED) {
            int i = random.nextInt(points.size());
            int j = random.nextInt(5) < 3 ? i + 1 : random.nextInt(points.size());
            if (j >= points.size() || i == j || Math.abs(points.get(i).shown() - points.get(j).shown()) < shows) {
                return null;
            }
            double first = points.get(i).shown();
            points.set(i, shown(points.get(i), points.get(j).shown()));
            points.set(j, shown(points.get(j), first));
            return List.of(Math.min(i, j), Math.max(i, j));
        }
        if (kind == Kind.MISTYPED) {
            int i = random.nextInt(points.size());
            double typed = mistyped(points.get(i).shown(), reader.scale() instanceof MixtureScale.Lambda ? 3 : 2,
                    random);
            if (Math.abs(typed - points.get(i).shown()) < shows) {
                return null;
            }
            points.set(i, shown(points.get(i), typed));
            return List.of(i);
        }
        return List.of();
    }

    private static CheckPoint shown(CheckPoint point, double shown) {
        return new CheckPoint(point.volts(), point.truth(), shown, "");
    }

    /** One digit hit beside the right one, or two neighbours exchanged. */
    private static double mistyped(double value, int decimals, Random random) {
        char[] digits = String.format(Locale.ROOT, "%." + decimals + "f", value).toCharArray();
        int[] places = IntStream.range(0, digits.length).filter(k -> digits[k] != '.').toArray();
        int at = random.nextInt(places.length - 1);
        if (random.nextBoolean()) {
            char first = digits[places[at]];
            digits[places[at]] = digits[places[at + 1]];
            digits[places[at + 1]] = first;
        } else {
            digits[places[at]] = (char) ('0'
                    + Math.floorMod(digits[places[at]] - '0' + (random.nextBoolean() ? 1 : -1), 10));
        }
        return Double.parseDouble(new String(digits));
    }

    /** Result of the diagnosis. */
    public Diagnosis diagnosed() {
        return Diagnostician.diagnose(law, reader, points, new Diagnostician.KnownLaws(catalogue, 14.7));
    }

    /** Returns whether every point that was written down agrees within the trade's tolerance. */
    public boolean agrees() {
        return points.stream().allMatch(p -> Math.abs(p.error(law, reader)) <= Tolerance.LAMBDA);
    }

    /** Returns the most that is shown wrong with an offer, over the range that it names, λ; the wire stays as it is. */
    public double worstWith(Diagnosis.Offer offer) {
        double span = offer.validTo() - offer.validFrom();
        return IntStream.rangeClosed(0, 500).mapToDouble(i -> offer.validFrom() + span * i / 500).map(l -> {
            double sensed = reader.input().sensed(pin.applyAsDouble(law.voltsAt(l)));
            return Math.abs(reader.scale().toLambda(offer.setting().at(sensed)) - l);
        }).max().orElseThrow();
    }

    /** What became of many trials. */
    public record Count(int all, int right, int deceived, int rowsNamed, int offered, int broken) {
        /** Judges trials of a kind, from one seed on. */
        public static Count of(Kind kind, long seed, int many) {
            return IntStream.range(0, many).parallel().mapToObj(i -> BenchTrial.of(kind, seed + i).judged())
                    .reduce(new Count(0, 0, 0, 0, 0, 0), Count::plus);
        }

        private Count plus(Count more) {
            return new Count(all + more.all, right + more.right, deceived + more.deceived, rowsNamed + more.rowsNamed,
                    offered + more.offered, broken + more.broken);
        }
    }

    /** Judges this trial: deceived is what is sure and wrong, without a word that nothing explains the points. */
    public Count judged() {
        Diagnosis d = diagnosed();
        boolean right = d.best().fault().key().equals(fault);
        boolean deceived = !right && d.best().probability() > Diagnosis.SURE && !d.misfit()
                && (kind != Kind.BENT_METER || agrees());
        boolean named = d.doubtful().stream().map(Diagnosis.Doubtful::row).toList().equals(rows);
        Diagnosis.Offer offer = d.offer();
        boolean broken = offer != null && worstWith(offer) > 1.01 * Tolerance.LAMBDA;
        return new Count(1, right ? 1 : 0, deceived ? 1 : 0, named ? 1 : 0, offer == null ? 0 : 1, broken ? 1 : 0);
    }
}
