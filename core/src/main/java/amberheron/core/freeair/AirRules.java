package amberheron.core.freeair;

import amberheron.core.parts.Address;
import amberheron.core.finding.Message;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Judges a free-air check. */
public final class AirRules {
    /** Lambda at which the cost of the air is quoted. */
    private static final double LEAN = 1.2;
    /** How far shown oxygen may be off the air's own, as a part of it. */
    private static final double OXYGEN_TOLERANCE = 0.01;
    /** A reading younger than this is a placeholder, s. */
    private static final double SETTLED = 60;
    /** What a mixture display must reach in air when its law goes further still: 19 on the petrol scale of 14.7. */
    private static final double TOP = 19.0 / 14.7;
    /** How far below the top of its law a display may sit and still be at the top, λ. */
    private static final double TOP_SLACK = 0.01;

    private static final Source AIR = Source
            .published("US Standard Atmosphere 1976; ICAO Doc 7488; Alduchov and Eskridge 1996");

    private AirRules() {
    }

    /**
     * Every check of the station.
     *
     * @param topOfLaw the leanest lambda the controller's output law reaches; null when no law is known yet
     * @param tolerance what the trade lets gauge and reader differ by, λ
     */
    public static List<Finding> judge(FreeAirCheck check, @Nullable Double topOfLaw, double tolerance) {
        List<Finding> findings = new ArrayList<>();
        findings.add(costOfAir(check, tolerance));
        if (check.shownOxygen() != null || check.shownLambda() == null) {
            findings.add(oxygen(check));
        }
        if (check.shownLambda() != null) {
            findings.add(top(check.shownLambda(), topOfLaw));
        }
        findings.add(settled(check.settled()));
        check.reading().filter(r -> check.date() == null)
                .map(r -> new Finding(AirCheck.DATED, "Day of the check", Verdict.UNKNOWN, null, null,
                        "Nobody wrote down when: enter again what the controller shows.", null, "",
                        Source.practice("a reading without a day proves nothing later")).asking(r))
                .ifPresent(findings::add);
        return List.copyOf(findings);
    }

    /** What the air itself waits for. */
    private static List<Address> unmeasured(FreeAirCheck check) {
        List<Address> asks = new ArrayList<>();
        if (check.temperature() == null) {
            asks.add(AirField.TEMPERATURE.address());
        }
        if (check.humidity() == null) {
            asks.add(AirField.HUMIDITY.address());
        }
        if (check.height() == null) {
            asks.add(AirField.HEIGHT.address());
        }
        return asks;
    }

    private static Finding costOfAir(FreeAirCheck check, double tolerance) {
        Air air = check.air();
        if (air == null) {
            return new Finding(AirCheck.AIR, "Oxygen in this air", Verdict.UNKNOWN, null, null,
                    "Enter temperature, humidity and height.", null, "20.948 % · (1 − RH·es/p)", AIR)
                    .asking(unmeasured(check));
        }
        double cost = air.shownAfterCalibration(LEAN) - LEAN;
        boolean small = Math.abs(cost) <= tolerance;
        return new Finding(AirCheck.AIR, "Oxygen in this air", small ? Verdict.PASS : Verdict.WARN,
                new Measure(air.oxygen(), Dimension.FRACTION, 2), null,
                small
                        ? "Costs less than the trade's tolerance, all of it away from λ 1."
                        : "Calibrated in this air, lean readings are off by more than the tolerance: wait for drier air.",
                cost,
                Message.of("20.948 % · (1 − {0} · {1} hPa / {2} hPa); cost at {3}",
                        new Measure(air.humidity(), Dimension.FRACTION, 0),
                        new Measure(air.saturation() / 100, Dimension.NUMBER, 1),
                        new Measure(air.pressure() / 100, Dimension.NUMBER, 1),
                        new Measure(LEAN, Dimension.MIXTURE, 1)),
                AIR).asking(AirField.HUMIDITY.address(), AirField.TEMPERATURE.address(), AirField.HEIGHT.address());
    }

    private static Finding oxygen(FreeAirCheck check) {
        Air air = check.air();
        Double shown = check.shownOxygen();
        String subject = "Controller is off by";
        Limit limit = new Limit(AT_MOST, new Measure(OXYGEN_TOLERANCE, Dimension.FRACTION, 1));
        Source source = Source.practice("the controller should show what is in the air");
        if (air == null || shown == null) {
            List<Address> asks = unmeasured(check);
            if (shown == null) {
                asks.add(AirField.SHOWN.address());
            }
            return new Finding(AirCheck.SHOWN, subject, Verdict.UNKNOWN, null, limit,
                    "Hang the sensor in free air and enter what the controller shows.", null, "", source).asking(asks);
        }
        double off = shown / air.oxygen() - 1;
        boolean kept = Math.abs(off) <= OXYGEN_TOLERANCE;
        return new Finding(AirCheck.SHOWN, subject, kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(off, Dimension.FRACTION, 1), limit,
                kept
                        ? "The gain fits this sensor."
                        : "The gain does not fit this sensor: calibrate again in clean moving air.",
                (LEAN - 1) * off,
                Message.of("{0} shown / {1} in this air − 1; cost at {2}", new Measure(shown, Dimension.FRACTION, 2),
                        new Measure(air.oxygen(), Dimension.FRACTION, 2), new Measure(LEAN, Dimension.MIXTURE, 1)),
                source).asking(AirField.SHOWN.address());
    }

    private static Finding top(double shown, @Nullable Double topOfLaw) {
        double least = topOfLaw == null ? TOP : Math.min(TOP, topOfLaw - TOP_SLACK);
        Limit limit = new Limit(AT_LEAST, new Measure(least, Dimension.MIXTURE, 2));
        boolean kept = limit.keptBy(shown);
        return new Finding(AirCheck.TOP, "Reading in free air", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(shown, Dimension.MIXTURE, 2), limit,
                kept
                        ? "Sits at the top of its range."
                        : "Not at the top of its range: not calibrated, not warm, or the sensor is spent.",
                null, "free air must show the leanest the controller can",
                Source.practice("19 to 20 on the petrol scale, or the top of the range"))
                .asking(AirField.MIXTURE.address());
    }

    private static Finding settled(@Nullable Double seconds) {
        Limit limit = new Limit(AT_LEAST, new Measure(SETTLED, Dimension.DURATION, 0));
        Verdict verdict = seconds == null ? Verdict.UNKNOWN : limit.keptBy(seconds) ? Verdict.PASS : Verdict.WARN;
        return new Finding(AirCheck.SETTLED, "Held steady for", verdict,
                seconds == null ? null : new Measure(seconds, Dimension.DURATION, 0), limit,
                switch (verdict) {
                    case PASS -> "Past the warm-up placeholder.";
                    case UNKNOWN -> "Enter how long the reading has been steady.";
                    default -> "Until it is warm the number shown is a placeholder.";
                }, null, "warm-up takes 15 to 60 s, up to 2 min", Source.practice("warm-up time"))
                .asking(AirField.SETTLED.address());
    }
}
