package amberheron.bench;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * One blind trial of the diagnosis: a law, a reader and a fault that do not exist, and the check points that somebody would
 * take. How the faults are made is written apart from how they are found, and their sizes are drawn otherwise than the
 * diagnosis believes.
 *
 * @param law of the controller
 * @param reader what reads it
 * @param catalogue laws that the shop knows
 * @param kind what is wrong, by the names in files
 * @param chain what the reader would show without noise, and how it comes about
 * @param points what was read
 * @param noise what meter and pin are off by, V
 */
public record ScaleTrial(OutputLaw law, Reader reader, List<OutputLaw> catalogue, String kind, Chain chain,
        List<CheckPoint> points, double noise) {
    /** Single faults, each as often as the others. */
    public static final List<String> SINGLE = List.of("none", "other-law", "points-swapped", "wrong-stoich",
            "lambda-as-afr", "unscaled", "ground-shift", "gain", "pull-up", "clipped", "narrowband", "constant");
    /** Pairs of faults at once. */
    public static final List<String> PAIRS = List.of("gain+ground-shift", "ground-shift+other-law", "gain+other-law",
            "ground-shift+points-swapped", "ground-shift+wrong-stoich", "gain+wrong-stoich",
            "ground-shift+lambda-as-afr");
    static final double[] RATIOS = {14.7, 14.6, 14.5, 17.2, 15.67, 6.47, 9.0, 14.1, 9.81};
    static final double[] RAILS = {3.3, 5, 12};
    private static final List<Reader.Form> FORMS = List.of(Reader.Form.SLOPE_OFFSET,
            Reader.Form.TWO_POINT, Reader.Form.EXPRESSION, Reader.Form.TABLE);
    private static final Source MADE = Source.practice("made up for a trial");
    private static final int MOST_POINTS = 10;

    /**
     * A chain with its fault.
     *
     * @param pin what happens to the volts on their way; narrowband and constant ones put out something else
     * @param setting what the reader makes of volts that it senses
     */
    public record Chain(Pin pin, DoubleUnaryOperator setting) {
    }

    /** Volts at the pin. */
    @FunctionalInterface
    public interface Pin {
        /** Returns the volts at the pin for volts at the output and the mixture behind them. */
        double at(double volts, double lambda);
    }

    /**
     * A trial of a kind of fault.
     *
     * @param seed the same seed is the same trial
     */
    public static ScaleTrial of(String kind, long seed) {
        Random random = new Random(seed * 7919 + kind.hashCode());
        while (true) {
            ScaleTrial made = made(kind, random);
            if (made != null) {
                return made;
            }
        }
    }

    private static @Nullable ScaleTrial made(String kind, Random random) {
        OutputLaw law = law("own", random);
        List<OutputLaw> catalogue = List.of(law("a", random), law("b", random), law("c", random), law);
        Reader reader = reader(random);
        ReaderSetting right = SettingFinder.find(law, reader).orElseThrow();
        Pin pin = (v, l) -> v;
        DoubleUnaryOperator setting = right::at;
        for (String fault : List.of(kind.split("\\+", -1))) {
            Pin way = way(fault, law, reader, kind.contains("+"), random);
            DoubleUnaryOperator mistake = way == null
                    ? mistake(fault, law, reader, right, catalogue, kind.contains("+"), random)
                    : null;
            pin = way == null ? pin : after(pin, way);
            setting = mistake == null ? setting : mistake;
            if (way == null && mistake == null) {
                return null;
            }
        }
        double noise = 0.003 + 0.002 * random.nextDouble();
        Chain chain = new Chain(pin, setting);
        return new ScaleTrial(law, reader, catalogue, kind, chain, points(law, reader, chain, noise, random), noise);
    }

    private static Pin after(Pin first, Pin then) {
        return (v, l) -> then.at(first.at(v, l), l);
    }

    static OutputLaw law(String id, Random random) {
        double low = 0.6 * random.nextDouble();
        double high = 4.2 + 0.8 * random.nextDouble();
        double rich = 0.55 + 0.2 * random.nextDouble();
        double lean = 1.25 + 0.35 * random.nextDouble();
        MixtureScale scale = random.nextBoolean() ? MixtureScale.lambda() : MixtureScale.afr(14.7);
        List<Point> points = new ArrayList<>(List.of(point(scale, low, rich), point(scale, high, lean)));
        boolean bent = random.nextInt(10) < 3;
        if (bent) {
            double middle = low + (0.35 + 0.3 * random.nextDouble()) * (high - low);
            double part = (middle - low) / (high - low) - 0.12 * random.nextDouble();
            points.add(1, point(scale, middle, rich + part * (lean - rich)));
        }
        return new OutputLaw(id, id, bent ? OutputLaw.Kind.TABLE : OutputLaw.Kind.LINEAR, scale, points, low, high,
                MADE);
    }

    private static Point point(MixtureScale scale, double volts, double lambda) {
        return new Point(Math.rint(100 * volts) / 100, Math.rint(1000 * scale.fromLambda(lambda)) / 1000);
    }

    private static Reader reader(Random random) {
        boolean lambda = random.nextBoolean();
        Integer bits = random.nextInt(3) == 0 ? null : Integer.valueOf(random.nextBoolean() ? 10 : 12);
        return new Reader("r", "r", FORMS.get(random.nextInt(FORMS.size())),
                lambda ? MixtureScale.lambda() : MixtureScale.afr(14.7), lambda ? 4 : 3, new ReaderInput(0, 5, bits),
                null, null, MADE);
    }

    /** A size between two, small ones more often. */
    static double scaled(double least, double most, Random random) {
        return least * Math.pow(most / least, random.nextDouble());
    }

    private static @Nullable Pin way(String fault, OutputLaw law, Reader reader, boolean beside, Random random) {
        return switch (fault) {
            case "none" -> (v, l) -> v;
            case "ground-shift" -> {
                double shift = scaled(beside ? 0.05 : 0.02, 1, random) * (random.nextBoolean() ? 1 : -1);
                yield (v, l) -> v + shift;
            }
            case "gain" -> {
                double factor = random.nextInt(4) > 0
                        ? 1 - scaled(beside ? 0.03 : 0.012, 0.45, random)
                        : 1 + scaled(beside ? 0.03 : 0.012, 0.2, random);
                yield (v, l) -> v * factor;
            }
            case "pull-up" -> {
                double rail = RAILS[random.nextInt(RAILS.length)];
                double part = scaled(0.01, 0.4, random);
                yield (v, l) -> v + part * (rail - v);
            }
            case "clipped" -> {
                double top = law.lowestVolts() + random.nextDouble() * (law.highestVolts() - law.lowestVolts());
                yield (v, l) -> Math.min(v, top);
            }
            case "narrowband" -> {
                double rich = 0.75 + 0.2 * random.nextDouble();
                double lean = 0.15 * random.nextDouble();
                double width = 0.004 + 0.016 * random.nextDouble();
                yield (v, l) -> lean + (rich - lean) / (1 + Math.exp((l - 1) / width));
            }
            case "constant" -> {
                double rest = random.nextInt(3) == 0
                        ? 5 * random.nextInt(2)
                        : law.lowestVolts() + random.nextDouble() * (law.highestVolts() - law.lowestVolts());
                yield (v, l) -> reader.input().clipped(rest);
            }
            default -> null;
        };
    }

    private static @Nullable DoubleUnaryOperator mistake(String fault, OutputLaw law, Reader reader,
            ReaderSetting right, List<OutputLaw> catalogue, boolean listed, Random random) {
        MixtureScale scale = reader.scale();
        double ratio = RATIOS[random.nextInt(RATIOS.length)];
        return switch (fault) {
            case "other-law" -> {
                // With a second fault a law that nobody lists is another such law: that cannot be told by anybody.
                OutputLaw other = listed || random.nextInt(10) < 6
                        ? catalogue.get(random.nextInt(3))
                        : law("unlisted", random);
                ReaderSetting copied = SettingFinder.find(other, reader).orElseThrow();
                yield copied::at;
            }
            case "points-swapped" -> {
                double sum = law.points().getFirst().volts() + law.points().getLast().volts();
                yield v -> right.at(sum - v);
            }
            case "wrong-stoich" -> {
                if (Math.abs(ratio / 14.7 - 1) < 0.02
                        || (scale instanceof MixtureScale.Lambda && law.scale() instanceof MixtureScale.Lambda)) {
                    yield null;
                }
                double factor = scale instanceof MixtureScale.Lambda ? 14.7 / ratio : ratio / 14.7;
                yield v -> right.at(v) * factor;
            }
            case "lambda-as-afr" -> {
                double factor = scale instanceof MixtureScale.Lambda ? 14.7 : 1 / 14.7;
                yield v -> right.at(v) * factor;
            }
            case "unscaled" -> v -> v;
            default -> throw new IllegalArgumentException(fault);
        };
    }

    private static List<CheckPoint> points(OutputLaw law, Reader reader, Chain chain, double noise, Random random) {
        int count = 3 + random.nextInt(MOST_POINTS - 2);
        boolean gauge = random.nextInt(4) == 0;
        double low = law.lowestVolts();
        double high = law.highestVolts();
        List<CheckPoint> points = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double volts = low + (high - low) * (i + random.nextDouble()) / count;
            double lambda = law.lambdaAt(volts);
            double sensed = reader.input()
                    .sensed(chain.pin().at(volts, lambda) + noise / Math.sqrt(2) * random.nextGaussian());
            double digit = reader.scale() instanceof MixtureScale.Lambda ? 1000 : 100;
            double gauged = law.scale() instanceof MixtureScale.Lambda ? 1000 : 100;
            double metered = Math.rint(1000 * (volts + noise / Math.sqrt(2) * random.nextGaussian())) / 1000;
            points.add(new CheckPoint(gauge ? null : metered,
                    gauge ? Double.valueOf(Math.rint(gauged * law.scale().fromLambda(lambda)) / gauged) : null,
                    Math.rint(digit * chain.setting().applyAsDouble(sensed)) / digit, ""));
        }
        return points;
    }

    /** Result of the diagnosis. */
    public Diagnosis diagnosed() {
        return Diagnostician.diagnose(law, reader, points, new Diagnostician.KnownLaws(catalogue, 14.7));
    }

    /** The most that is shown wrong with an offer, over the range that it names, λ; only a wrong setting goes away. */
    public double worstWith(Diagnosis.Offer offer) {
        double worst = 0;
        for (int i = 0; i <= 1000; i++) {
            double lambda = offer.validFrom() + (offer.validTo() - offer.validFrom()) * i / 1000;
            double sensed = reader.input().sensed(chain.pin().at(law.voltsAt(lambda), lambda));
            worst = Math.max(worst, Math.abs(reader.scale().toLambda(offer.setting().at(sensed)) - lambda));
        }
        return worst;
    }
}
