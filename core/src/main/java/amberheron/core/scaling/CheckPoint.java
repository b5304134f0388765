package amberheron.core.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Origin;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;

/**
 * One comparison of gauge and reader.
 *
 * @param volts measured at the controller's output, V; null when only the gauge was read
 * @param truth what the controller itself shows, in the law's quantity; null when only volts were measured
 * @param shown what the reader shows, in the reader's quantity
 * @param note free words; may be empty
 * @param origin where the readings came from
 * @param engine whether the engine ran meanwhile; null when that was not said
 * @param id of its own among the points; empty until it is in a list
 */
public record CheckPoint(@Nullable Double volts, @Nullable Double truth, double shown, String note, Origin origin,
        @Nullable Engine engine, String id) {
    /** Readings with the engine off and running show what heater and alternator do to the grounds. */
    public enum Engine {
        OFF("engine off"),
        RUNNING("engine running");

        private final String words;

        Engine(String words) {
            this.words = words;
        }

        /** The words on screen and sheet. */
        public String words() {
            return word(words);
        }
    }

    /** Makes a point that is in no list yet. */
    public CheckPoint(@Nullable Double volts, @Nullable Double truth, double shown, String note, Origin origin,
            @Nullable Engine engine) {
        this(volts, truth, shown, note, origin, engine, "");
    }

    /** Makes a point of which it is not known whether the engine ran. */
    public CheckPoint(@Nullable Double volts, @Nullable Double truth, double shown, String note, Origin origin) {
        this(volts, truth, shown, note, origin, null);
    }

    /** Makes a point whose origin was not written down. */
    public CheckPoint(@Nullable Double volts, @Nullable Double truth, double shown, String note) {
        this(volts, truth, shown, note, Origin.UNRECORDED, null);
    }

    public CheckPoint {
        Sane.SIGNAL.check("volts", volts);
        Sane.SHOWN.check("true", truth);
        Sane.SHOWN.check("shown", shown);
        if (volts == null && truth == null) {
            throw new Unusable(say("a check point needs volts or true, found neither"));
        }
    }

    public CheckPoint withId(String value) {
        return new CheckPoint(volts, truth, shown, note, origin, engine, value);
    }

    /** Returns the true mixture, λ: the gauge's where it was read, else what the volts mean. */
    public double trueLambda(OutputLaw law) {
        if (truth != null) {
            return law.scale().toLambda(truth);
        }
        return volts == null ? Double.NaN : law.lambdaAt(volts);
    }

    /** Meaning of volts that stand for no mixture, such as “not ready”: then it proves nothing. */
    public Optional<String> meansInstead(@Nullable OutputLaw law) {
        return law == null || volts == null ? Optional.empty() : law.meansInstead(volts);
    }

    /** Returns the volts at the output: measured, else by the law. */
    public double outputVolts(OutputLaw law) {
        return volts != null ? volts : law.voltsAt(trueLambda(law));
    }

    /** Shown − true, λ. */
    public double error(OutputLaw law, Reader reader) {
        return reader.scale().toLambda(shown) - trueLambda(law);
    }

    /** Rounds a mean to as many digits as are known, since the uncertainty of a reading is taken from its last digit. */
    public static double read(double mean) {
        return Math.round(1000 * mean) / 1000.0;
    }

    /**
     * Returns the last digit that a display was read with: that of the reading written with the most digits; 0 without
     * readings.
     *
     * @param readings numbers as they were typed
     */
    public static double lastDigit(DoubleStream readings) {
        int decimals = readings.mapToObj(BigDecimal::valueOf).mapToInt(BigDecimal::scale).max().orElse(-1);
        return decimals < 0 ? 0 : Math.pow(10, -decimals);
    }
}
