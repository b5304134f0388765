package amberheron.core.job;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.AirDoubt;
import amberheron.core.freeair.CostOfAir;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.ShouldShow;
import amberheron.core.placement.PlaceErrors;
import amberheron.core.placement.Site;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.WireEffect;
import amberheron.core.trust.Contributor;
import amberheron.core.trust.Uncertainty;
import amberheron.core.trust.Uncertainty.Entry;
import amberheron.core.trust.Uncertainty.Shape;
import amberheron.core.wiring.GroundPlan;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Uncertainty of each link of a job. Quantities that no reading gives are from memory and stand here. */
final class Doubts {
    /** Uncertainty of a sensor in order anywhere in its range, λ; its age and the pressure in the pipe add to it. */
    private static final double SENSOR = 0.005;
    /** Uncertainty of a sensor that was never checked in air, part of it. */
    private static final double UNCHECKED = 0.05;
    /** Loss of a sensor's gain in a month of use, part of it, until its own life tells. */
    private static final double MONTHLY = 0.002;
    /** Pressure that a pipe adds at full load after the turbine, and before it on boost, bar. */
    private static final double BACK_PRESSURE = 0.3;
    private static final double BEFORE_TURBINE = 1;
    /** Error of the gas after a working catalyst, either way, λ. */
    private static final double CATALYST = 0.01;
    /** Air that is drawn back at light load to a sensor right at the open end, mass per mass of exhaust. */
    private static final double DRAWN_BACK = 0.2;
    /** Part of its gain that steam from injected water takes: where it is sprayed in, and where it only runs back. */
    private static final double STEAM = 0.2;
    private static final double SPLASHED = 0.05;
    /** Air that a joint nobody has tested may let in, mass per mass of exhaust. */
    private static final double UNTESTED = 0.005;
    /** Error of a shop's meter and its clips, V. */
    private static final double METER = 0.005;

    /** Error of an analog output, V, and of an input's reference, part of the volts, until check points tell. */
    private static final double OUTPUT = 0.02;
    private static final double REFERENCE = 0.01;
    private static final double DAYS = 30.4;

    private Doubts() {
    }

    /**
     * Uncertainties; empty while they cannot be told: nobody said where the grounds are taken, and no check points tell.
     *
     * @param site what the place is judged by
     * @param today null where no day is known: the sensor's age is not counted then
     * @param points the check points that count
     * @param rounding the most that the setting's own rounding costs, λ
     * @param agree whether they agree with the setting, so that they cover shift and load
     */
    static Optional<List<Uncertainty>> of(Job job, Site site, @Nullable LocalDate today, OutputLaw law, Reader reader,
            List<CheckPoint> points, boolean agree, boolean airCounts, double rounding) {
        Optional<GroundPlan.Cost> ground = job.wiring().ground().cost();
        boolean covered = agree && points.size() > 1;
        if (!covered && (ground.isEmpty() || job.wiring().ground().unproven())) {
            return Optional.empty();
        }
        List<Uncertainty> doubts = new ArrayList<>();
        doubts.add(new Uncertainty(Contributor.SENSOR, Entry.SHOWN, Shape.EVEN, SENSOR));
        doubts.add(new Uncertainty(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN,
                airCounts ? air(job.air()) : UNCHECKED));
        LocalDate checked = job.air().date();
        if (airCounts && checked != null && today != null) {
            Double own = job.air().ageing();
            double monthly = own == null ? MONTHLY : own;
            double months = Math.max(0, ChronoUnit.DAYS.between(checked, today) / DAYS);
            doubts.add(new Uncertainty(Contributor.AGE, Entry.SENSOR_GAIN, Shape.EVEN, Math.min(1, monthly * months)));
        }
        addPipe(job, site, doubts);
        boolean felt = job.wiring().signals().feelGround(job.intake().readers());
        ground.filter(c -> felt).ifPresent(c -> {
            if (!covered) {
                doubts.add(new Uncertainty(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN,
                        Math.abs(c.shift())));
            }
            Double ripple = c.ripple();
            if (ripple != null) {
                doubts.add(new Uncertainty(Contributor.GROUND_RIPPLE, Entry.PIN_VOLTS, Shape.EVEN,
                        Math.abs(ripple) / 2));
            }
        });
        WireEffect loading = job.wiring().signals().loading(job.intake().readers());
        if (!covered && !loading.equals(WireEffect.NONE)) {
            doubts.add(new Uncertainty(Contributor.LOADING, Entry.PIN_GAIN, Shape.EVEN, 1 - loading.gain()));
            doubts.add(new Uncertainty(Contributor.LOADING, Entry.PIN_VOLTS, Shape.EVEN, Math.abs(loading.shift())));
        }
        doubts.add(new Uncertainty(Contributor.CONVERTER, Entry.PIN_VOLTS, Shape.EVEN, reader.input().step() / 2));
        doubts.add(new Uncertainty(Contributor.SETTING, Entry.SHOWN, Shape.EVEN, rounding));
        if (!covered) {
            doubts.add(new Uncertainty(Contributor.UNCHECKED, Entry.PIN_VOLTS, Shape.EVEN, OUTPUT));
            doubts.add(new Uncertainty(Contributor.UNCHECKED, Entry.PIN_GAIN, Shape.EVEN, REFERENCE));
        } else {
            doubts.add(new Uncertainty(Contributor.METER, Entry.PIN_VOLTS, Shape.EVEN, METER));
            double square = points.stream().mapToDouble(p -> Math.pow(p.error(law, reader), 2)).average().orElseThrow();
            doubts.add(new Uncertainty(Contributor.CHECK_POINTS, Entry.SHOWN, Shape.NORMAL, Math.sqrt(square)));
            double digit = CheckPoint.lastDigit(points.stream().mapToDouble(CheckPoint::shown));
            doubts.add(new Uncertainty(Contributor.DISPLAY, Entry.SHOWN, Shape.EVEN,
                    Math.abs(reader.scale().toLambda(digit / 2))));
        }
        return Optional.of(doubts);
    }

    /** Adds what pipe and place do to the gas: pressure, leaks and a place near air only ever raise the reading; a catalyst and steam go either way. */
    private static void addPipe(Job job, Site site, List<Uncertainty> doubts) {
        PlaceErrors place = PlaceErrors.of(site, job.placing());
        doubts.add(new Uncertainty(Contributor.PRESSURE, Entry.BACK_PRESSURE, Shape.ONE_SIDED,
                BACK_PRESSURE + (place.beforeTurbine() ? BEFORE_TURBINE : 0)));
        double air = (1 + job.stoich()) / job.stoich();
        if (!Boolean.TRUE.equals(job.placing().fitted().airtight())) {
            doubts.add(new Uncertainty(Contributor.LEAK, Entry.SHOWN, Shape.ONE_SIDED, UNTESTED * air));
        }
        if (place.afterCatalyst()) {
            doubts.add(new Uncertainty(Contributor.CATALYST, Entry.SHOWN, Shape.EVEN, CATALYST));
        }
        double steam = switch (place.wet()) {
            case DRY -> 0;
            case SPLASHED -> SPLASHED;
            case WET -> STEAM;
        };
        if (steam > 0) {
            doubts.add(new Uncertainty(Contributor.WATER, Entry.SENSOR_GAIN, Shape.EVEN, steam));
        }
        if (place.nearEnd() > 0) {
            doubts.add(new Uncertainty(Contributor.OPEN_END, Entry.LIGHT_LOAD, Shape.ONE_SIDED,
                    DRAWN_BACK * place.nearEnd() * air));
        }
    }

    /**
     * Returns the uncertainty of the gain after a check: what was still off, the last digit, the instruments of the air,
     * and, for a controller that was taught in this air, the difference to the air where the car is driven.
     */
    private static double air(FreeAirCheck check) {
        ControllerSheet controller = check.controller();
        Optional<Air> measured = check.today().air();
        if (measured.isEmpty() || controller == null) {
            return UNCHECKED;
        }
        Air air = measured.get();
        Double shown = check.shownOxygen();
        if (shown == null && !controller.school().learns()) {
            // At the top of its range says that it is not far off, and no more.
            return UNCHECKED;
        }
        double gain = CostOfAir.of(check).orElseThrow().gain();
        double off = shown == null ? 0 : ShouldShow.of(check).map(s -> Math.abs(s.off(shown))).orElse(0.0);
        return Math.abs(gain - 1) + off + AirDoubt.ofDisplay(air)
                + AirDoubt.ofHumidity(air) + AirDoubt.ofTemperature(air)
                + (controller.school().learns() ? 0 : AirDoubt.ofPressure(air, check.today().pressure() != null));
    }
}
