package amberheron.core.job;

import amberheron.core.freeair.Air;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.trust.Contributor;
import amberheron.core.trust.Uncertainty;
import amberheron.core.trust.Uncertainty.Entry;
import amberheron.core.trust.Uncertainty.Shape;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.Hookup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What each link of a job leaves in doubt. Sizes that no reading gives are from memory and stand here, in one place. */
final class Doubts {
    /** A sensor in order, anywhere in its range, λ; its age and the pressure in the pipe come on top and are not in it. */
    private static final double SENSOR = 0.005;
    /** A sensor that was never checked in air, part of λ − 1. */
    private static final double UNCHECKED = 0.05;
    /** What a shop's hygrometer is off by, relative humidity. */
    private static final double HUMIDITY = 0.05;
    /** What its thermometer is off by, K. */
    private static final double TEMPERATURE = 1;
    /** Half the last digit of oxygen as controllers show it. */
    private static final double OXYGEN_DIGIT = 0.00005;

    private Doubts() {
    }

    /**
     * What is in doubt; empty while it cannot be told: nobody said where the grounds are taken, and no check points tell.
     *
     * @param points the check points that count
     * @param rounding the most that the setting's own rounding costs, λ
     * @param agree whether they agree with the setting, so that they cover shift and load
     */
    static Optional<List<Uncertainty>> of(Job job, OutputLaw law, Reader reader, List<CheckPoint> points,
            boolean agree, boolean airCounts, double rounding) {
        Optional<GroundPlan.Cost> ground = job.wiring().ground().cost();
        boolean covered = agree && points.size() > 1;
        if (!covered && ground.isEmpty()) {
            return Optional.empty();
        }
        List<Uncertainty> doubts = new ArrayList<>();
        doubts.add(new Uncertainty(Contributor.SENSOR, Entry.SHOWN, Shape.EVEN, SENSOR));
        doubts.add(new Uncertainty(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN,
                airCounts ? air(job.air()) : UNCHECKED));
        ground.ifPresent(c -> {
            if (!covered) {
                doubts.add(new Uncertainty(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN,
                        Math.abs(c.shift())));
            }
            doubts.add(new Uncertainty(Contributor.GROUND_RIPPLE, Entry.PIN_VOLTS, Shape.EVEN,
                    Math.abs(c.ripple()) / 2));
        });
        Double load = load(job);
        if (!covered && load != null) {
            doubts.add(new Uncertainty(Contributor.LOADING, Entry.PIN_GAIN, Shape.EVEN, load));
        }
        doubts.add(new Uncertainty(Contributor.CONVERTER, Entry.PIN_VOLTS, Shape.EVEN, reader.input().step() / 2));
        doubts.add(new Uncertainty(Contributor.SETTING, Entry.SHOWN, Shape.EVEN, rounding));
        if (covered) {
            double square = points.stream().mapToDouble(p -> Math.pow(p.error(law, reader), 2)).average().orElseThrow();
            doubts.add(new Uncertainty(Contributor.CHECK_POINTS, Entry.SHOWN, Shape.NORMAL, Math.sqrt(square)));
            double digit = CheckPoint.lastDigit(points.stream().mapToDouble(CheckPoint::shown));
            doubts.add(new Uncertainty(Contributor.DISPLAY, Entry.SHOWN, Shape.EVEN,
                    Math.abs(reader.scale().toLambda(digit / 2))));
        }
        return Optional.of(doubts);
    }

    /** The gain as it was checked: what was still off, the last digit, and what hygrometer and thermometer are off by. */
    private static double air(FreeAirCheck check) {
        Air air = check.air();
        if (air == null) {
            return UNCHECKED;
        }
        double oxygen = air.oxygen();
        double wetter = new Air(air.temperature(), Math.min(1, air.humidity() + HUMIDITY), air.height()).oxygen();
        double warmer = new Air(air.temperature() + TEMPERATURE, air.humidity(), air.height()).oxygen();
        Double shown = check.shownOxygen();
        return (shown == null ? 0 : Math.abs(shown / oxygen - 1)) + OXYGEN_DIGIT / oxygen
                + Math.abs(wetter / oxygen - 1) + Math.abs(warmer / oxygen - 1);
    }

    /** The part of the volts that an input of known resistance takes; null where that is not known. */
    private static @Nullable Double load(Job job) {
        Double output = job.wiring().signals().outputOhms();
        return output == null
                ? null
                : job.wiring().signals().hookups().stream().map(Hookup::inputOhms).filter(r -> r != null && r > 0)
                        .map(r -> output / (output + r)).max(Double::compare).orElse(null);
    }
}
