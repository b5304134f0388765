package amberheron.bench;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.WireEffect;
import amberheron.core.trust.Contributor;
import amberheron.core.trust.Trust;
import amberheron.core.trust.Uncertainty;
import amberheron.core.trust.Uncertainty.Entry;
import amberheron.core.trust.Uncertainty.Shape;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * Whether the trust figure holds: a chain with doubts of given sizes, and many days on which each of them happens to be
 * something. What each does to the gas, to the sensor and to the volts is written here from the physics.
 *
 * @param chain law, reader and setting
 * @param sizes of the doubts
 */
public record TrustTrial(SignalChain chain, Sizes sizes) {
    private static final Source MADE = Source.practice("made up for a trial");
    private static final double STOICH = 14.7;

    /**
     * Sizes of what is in doubt, each as the most that it can be.
     *
     * @param gain part of the sensor's gain, either way
     * @param pressure in the pipe at full load, bar, a third of it at light load
     * @param leak mass of air per mass of exhaust
     * @param shift V, either way
     * @param load part of the volts, either way
     * @param scatter standard deviation of what is read, λ
     * @param place what the place does to the gas
     */
    public record Sizes(double gain, double pressure, double leak, double shift, double load, double scatter,
            Place place) {
    }

    /**
     * What a place does to the gas.
     *
     * @param steam part of the current that steam of injected water takes; it only takes
     * @param catalyst λ, either way
     * @param drawn air drawn back from an open end at light load, mass per mass of exhaust
     */
    public record Place(double steam, double catalyst, double drawn) {
        /** One place in four is wet, one behind a catalyst, one near the end. */
        static Place of(Random random) {
            return new Place(random.nextInt(4) == 0 ? 0.2 * random.nextDouble() : 0,
                    random.nextInt(4) == 0 ? 0.01 : 0, random.nextInt(4) == 0 ? 0.05 * random.nextDouble() : 0);
        }
    }

    /** Makes a trial; the same seed is the same trial. */
    public static TrustTrial of(long seed) {
        Random random = new Random(seed);
        OutputLaw law = new OutputLaw("t", "t", OutputLaw.Kind.LINEAR, MixtureScale.lambda(),
                List.of(new OutputLaw.Point(0.2, 0.55), new OutputLaw.Point(4.8, 1.55 + 0.1 * random.nextDouble())), 0,
                5,
                MADE);
        Reader reader = new Reader("t", "t", Reader.Form.SLOPE_OFFSET, MixtureScale.lambda(), 5,
                new ReaderInput(0, 5, null), null, null, MADE);
        ReaderSetting setting = SettingFinder.find(law, reader).orElseThrow();
        return new TrustTrial(new SignalChain(law, WireEffect.NONE, reader, setting),
                new Sizes(0.06 * random.nextDouble(), random.nextInt(4) == 0 ? 0 : 0.3, 0.005 * random.nextDouble(),
                        0.04 * random.nextDouble(), 0.01 * random.nextDouble(), 0.004 * random.nextDouble(),
                        Place.of(random)));
    }

    private List<Uncertainty> doubts() {
        return List.of(new Uncertainty(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN, sizes.gain()),
                new Uncertainty(Contributor.PRESSURE, Entry.BACK_PRESSURE, Shape.ONE_SIDED, sizes.pressure()),
                new Uncertainty(Contributor.LEAK, Entry.SHOWN, Shape.ONE_SIDED, sizes.leak() * (1 + STOICH) / STOICH),
                new Uncertainty(Contributor.WATER, Entry.SENSOR_GAIN, Shape.EVEN, sizes.place().steam()),
                new Uncertainty(Contributor.CATALYST, Entry.SHOWN, Shape.EVEN, sizes.place().catalyst()),
                new Uncertainty(Contributor.OPEN_END, Entry.LIGHT_LOAD, Shape.ONE_SIDED,
                        sizes.place().drawn() * (1 + STOICH) / STOICH),
                new Uncertainty(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN, sizes.shift()),
                new Uncertainty(Contributor.LOADING, Entry.PIN_GAIN, Shape.EVEN, sizes.load()),
                new Uncertainty(Contributor.CHECK_POINTS, Entry.SHOWN, Shape.NORMAL, sizes.scatter()));
    }

    /**
     * Returns the part of many days on which the truth lay within the figure.
     *
     * @param lambda true mixture
     */
    public double held(double lambda, int days, long seed) {
        double u = Trust.of(chain, doubts()).u(lambda);
        Random random = new Random(seed);
        return IntStream.range(0, days).filter(d -> Math.abs(shown(lambda, random) - lambda) <= u).count()
                / (double) days;
    }

    private double shown(double lambda, Random random) {
        double leak = sizes.leak() * random.nextDouble();
        Place place = sizes.place();
        double drawn = lambda < 1 ? 0 : place.drawn() * random.nextDouble();
        double gas = lambda + (leak + drawn) * (1 + STOICH) / STOICH
                + place.catalyst() * (2 * random.nextDouble() - 1);
        double bar = 1 + (lambda < 1 ? 1 : 1 / 3.0) * sizes.pressure() * random.nextDouble();
        double current = (1 + sizes.gain() * (2 * random.nextDouble() - 1)) * bar / (0.45 + bar) * 1.45
                * (1 - place.steam() * random.nextDouble());
        double told = gas <= 1 ? 1 - current * (1 - gas) : lean(current * oxygen(gas));
        double pin = chain.law().voltsAt(told) * (1 + sizes.load() * (2 * random.nextDouble() - 1))
                + sizes.shift() * (2 * random.nextDouble() - 1);
        return chain.setting().at(Math.clamp(pin, 0, 5)) + sizes.scatter() * random.nextGaussian();
    }

    /** Oxygen left by petrol, CH1.87, burnt with more air than it needs, mole fraction of the wet gas. */
    private static double oxygen(double lambda) {
        double need = 1 + 1.87 / 4;
        double left = (lambda - 1) * need;
        return left / (1 + 1.87 / 2 + 3.773 * lambda * need + left);
    }

    private static double lean(double oxygen) {
        DoubleUnaryOperator over = l -> oxygen(l) - oxygen;
        double low = 1;
        double high = 50;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            low = over.applyAsDouble(middle) < 0 ? middle : low;
            high = over.applyAsDouble(middle) < 0 ? high : middle;
        }
        return low;
    }
}
