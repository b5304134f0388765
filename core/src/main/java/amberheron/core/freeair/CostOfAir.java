package amberheron.core.freeair;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.mixture.ExhaustGas;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * Error that calibrating in this air causes later, where the car is driven.
 *
 * @param gain by how much the controller's gain is off there
 */
public record CostOfAir(double gain) {
    /** A rich mixture at which the cost is quoted, λ. */
    public static final double RICH = 0.8;
    /** A lean one. */
    public static final double LEAN = 1.2;
    /** All at which it is shown; at the one between nothing changes. */
    public static final List<Double> QUOTED = List.of(RICH, 1.0, LEAN);

    /** Air of a usual day: K, and relative humidity. What is usual is common practice, no published source. */
    public static final double USUAL_TEMPERATURE = 293.15;
    public static final double USUAL_HUMIDITY = 0.5;
    private static final int MOST_EVALUATIONS = 200;

    /**
     * Works out the cost of calibrating in this air.
     *
     * @param school one that learns takes this air for dry air; one trimmed at the factory was trimmed at the sea
     * @param driven pressure where the car is driven, Pa
     */
    public static CostOfAir of(Air air, CalibrationSchool school, double driven) {
        return new CostOfAir(school.learns() ? air.gain(driven) : Air.gainBetween(Air.SEA_LEVEL, driven));
    }

    /** Works out the cost of a check's air, where the car is driven; empty while the air is not known. */
    public static Optional<CostOfAir> of(FreeAirCheck check) {
        return check.today().air().map(a -> of(a, school(check), check.today().driven().orElseThrow()));
    }

    /** Returns the cost on another day of usual air, at the pressure of this one; empty while the air is not known. */
    public static Optional<CostOfAir> onAnotherDay(FreeAirCheck check) {
        return check.today().air().map(a -> of(new Air(USUAL_TEMPERATURE, USUAL_HUMIDITY, a.pressure()), school(check),
                check.today().driven().orElseThrow()));
    }

    /** The school of a check's controller; until it is known which, the one that air can harm. */
    static CalibrationSchool school(FreeAirCheck check) {
        ControllerSheet controller = check.controller();
        return controller == null ? CalibrationSchool.CLEAR_THEN_LEARN : controller.school();
    }

    /** The lambda shown for a true one. */
    public double shown(double lambda) {
        return ExhaustGas.shown(lambda, gain);
    }

    /** How much more is shown than is true, λ. */
    public double at(double lambda) {
        return shown(lambda) - lambda;
    }

    /** The greater of what it costs rich and lean, with its sign, λ. */
    public double worst() {
        return Math.abs(at(RICH)) > Math.abs(at(LEAN)) ? at(RICH) : at(LEAN);
    }

    /** Whether that is within what the trade lets gauge and reader differ by. */
    public boolean within(double tolerance) {
        return Math.abs(worst()) <= tolerance;
    }

    /**
     * Returns the greatest relative humidity at which this air keeps the tolerance; empty where dry air would not be enough
     * either, or where it is dry enough already.
     */
    public static Optional<Double> dryEnough(Air air, CalibrationSchool school, double driven, double tolerance) {
        if (of(air, school, driven).within(tolerance)
                || !of(air.withHumidity(0), school, driven).within(tolerance)) {
            return Optional.empty();
        }
        return Optional.of(new BracketingNthOrderBrentSolver().solve(MOST_EVALUATIONS,
                humidity -> Math.abs(of(air.withHumidity(humidity), school, driven).worst()) - tolerance, 0,
                air.humidity(), AllowedSolution.BELOW_SIDE));
    }
}
