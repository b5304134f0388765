package amberheron.core.freeair;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges a free-air check. */
public final class AirRules {
    /** How far shown oxygen may be off what it should be, as a part of it. */
    private static final double OXYGEN_TOLERANCE = 0.01;
    /** Least mixture that a display must reach in air where neither its paper nor the law says: 19 on the petrol scale of 14.7. */
    private static final double TOP = 19.0 / 14.7;
    /** Mixture below which no display ends, λ; from memory. */
    private static final double LEAST_END = 1.1;
    /** How far below its top a display may sit and still be at the top, λ. */
    private static final double TOP_SLACK = 0.01;

    private static final Source AIR = Source
            .published("US Standard Atmosphere 1976; ICAO Doc 7488; Alduchov and Eskridge 1996; Heywood, ch. 4");

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
        ControllerSheet controller = check.controller();
        findings.add(costOfAir(check, tolerance));
        if (check.today().contradicts()) {
            findings.add(pressure(check));
        }
        if (controller == null) {
            findings.add(new Finding(AirCheck.CONTROLLER, "What this controller does", Verdict.UNKNOWN, null, null,
                    "Choose the controller: what is right in air is not the same for all.", null, "",
                    Source.practice("three kinds of controller, three ways to calibrate"))
                    .asking(AirField.CONTROLLER.address()));
        }
        findings.add(conditions(check));
        if (check.shownLambda() != null || (controller != null && !controller.inAir().oxygen())) {
            findings.add(top(check, topOfLaw));
        }
        if (check.shownOxygen() != null || (check.shownLambda() == null
                && (controller == null || controller.inAir().oxygen()))) {
            findings.add(oxygen(check, controller));
        }
        findings.add(settled(check));
        check.reading().filter(r -> check.date() == null)
                .map(r -> new Finding(AirCheck.DATED, "Day of the check", Verdict.UNKNOWN, null, null,
                        "Nobody wrote down when: enter again what the controller shows.", null, "",
                        Source.practice("a reading without a day proves nothing later")).asking(r))
                .ifPresent(findings::add);
        return List.copyOf(findings);
    }

    /** Measures that the air itself waits for. */
    private static List<Address> unmeasured(AirOfDay today) {
        List<Address> asks = new ArrayList<>();
        if (today.temperature() == null) {
            asks.add(AirField.TEMPERATURE.address());
        }
        if (today.humidity() == null) {
            asks.add(AirField.HUMIDITY.address());
        }
        if (today.here().isEmpty()) {
            asks.add(today.contradicts() ? AirField.READING.address() : AirField.HEIGHT.address());
        }
        return asks;
    }

    /** Asks which pressure was read, with what either would mean. */
    private static Finding pressure(FreeAirCheck check) {
        AirOfDay today = check.today();
        double read = Objects.requireNonNull(today.pressure());
        double usual = Air.pressureAt(Objects.requireNonNull(today.height()));
        return new Finding(AirCheck.PRESSURE, "Pressure beside that of the height", Verdict.UNKNOWN,
                new Measure(read / usual - 1, Dimension.FRACTION, 1),
                new Limit(AT_MOST, new Measure(AirOfDay.BESIDE, Dimension.FRACTION, 0)),
                Message.of("Read here, or of a weather report? {0} {1}", meaning(check, PressureReading.STATION),
                        meaning(check, PressureReading.SEA_LEVEL)),
                null,
                Message.of(
                        "{0} hPa read / {1} hPa usual at this height − 1; reduced to the sea it would be {2} hPa here",
                        new Measure(read / 100, Dimension.NUMBER, 0), new Measure(usual / 100, Dimension.NUMBER, 0),
                        new Measure(read * usual / Air.SEA_LEVEL / 100, Dimension.NUMBER, 0)),
                Source.practice("weather moves the pressure by 2.5 %; reports reduce it to the sea"))
                .asking(AirField.READING.address());
    }

    /** What the check would be with one of the two pressures. */
    private static Message meaning(FreeAirCheck check, PressureReading reading) {
        FreeAirCheck told = check.withToday(check.today().withReading(reading));
        Message which = Message.plain(reading == PressureReading.STATION ? "Read here" : "Of a report");
        Double shown = check.shownOxygen();
        Optional<ShouldShow> should = ShouldShow.of(told).filter(s -> !s.learned());
        if (should.isPresent()) {
            Measure right = new Measure(should.get().oxygen(), Dimension.FRACTION, 2);
            return shown == null
                    ? Message.of("{0}: it should show {1}.", which, right)
                    : Message.of("{0}: it should show {1}, and is off by {2}.", which, right,
                            new Measure(should.get().off(shown), Dimension.FRACTION, 1));
        }
        return CostOfAir.of(told).map(c -> Message.of("{0}: this air costs {1} at {2}.", which,
                new Measure(c.at(CostOfAir.LEAN), Dimension.MIXTURE, 3),
                new Measure(CostOfAir.LEAN, Dimension.MIXTURE, 1)))
                .orElse(Message.of("{0}: {1} hPa.", which,
                        new Measure(told.today().here().orElse(0.0) / 100, Dimension.NUMBER, 0)));
    }

    private static Finding costOfAir(FreeAirCheck check, double tolerance) {
        Optional<CostOfAir> known = CostOfAir.of(check);
        if (known.isEmpty()) {
            return new Finding(AirCheck.AIR, "Oxygen in this air", Verdict.UNKNOWN, null, null,
                    check.today().contradicts()
                            ? "Say which pressure was read: this one does not go with the height."
                            : "Enter temperature, humidity and height.",
                    null, "20.948 % · (1 − RH·es/p)", AIR)
                    .asking(unmeasured(check.today()));
        }
        CostOfAir cost = known.get();
        Air air = check.today().air().orElseThrow();
        CalibrationSchool school = CostOfAir.school(check);
        boolean small = cost.within(tolerance);
        Message consequence = small
                ? Message.plain(school.learns()
                        ? "Costs less than the trade's tolerance, all of it away from λ 1."
                        : "It learns nothing from this air: it costs nothing.")
                : tooDear(air, school, check.today().driven().orElseThrow(), tolerance);
        return new Finding(AirCheck.AIR, "Oxygen in this air", small ? Verdict.PASS : Verdict.WARN,
                new Measure(air.oxygen(), Dimension.FRACTION, 2), null, consequence, cost.worst(),
                Message.of("20.948 % · (1 − {0} · {1} hPa / {2} hPa); gain off by {3}, cost at {4} and {5}",
                        new Measure(air.humidity(), Dimension.FRACTION, 0),
                        new Measure(air.saturation() / 100, Dimension.NUMBER, 1),
                        new Measure(air.pressure() / 100, Dimension.NUMBER, 1),
                        new Measure(cost.gain() - 1, Dimension.FRACTION, 2),
                        new Measure(CostOfAir.RICH, Dimension.MIXTURE, 1),
                        new Measure(CostOfAir.LEAN, Dimension.MIXTURE, 1)),
                AIR).asking(AirField.HUMIDITY.address(), AirField.TEMPERATURE.address(), AirField.HEIGHT.address());
    }

    /** Cure for air that costs too much: dry it, or calibrate where the car is driven. */
    private static Message tooDear(Air air, CalibrationSchool school, double driven, double tolerance) {
        Optional<Double> dry = CostOfAir.dryEnough(air, school, driven, tolerance);
        if (dry.isPresent()) {
            return Message.of("Costs more than the tolerance: wait, or dry the air to {0}.",
                    new Measure(dry.get(), Dimension.FRACTION, 0));
        }
        return Message.plain(school.learns()
                ? "Costs more than the tolerance, most of it by the height: calibrate where the car is driven."
                : "At the height where it is driven it reads off by more than the tolerance, however it is calibrated.");
    }

    private static Finding conditions(FreeAirCheck check) {
        List<Condition> open = Arrays.stream(Condition.values()).filter(c -> !check.conditions().contains(c)).toList();
        return new Finding(AirCheck.CONDITIONS, "Conditions looked at", open.isEmpty() ? Verdict.PASS : Verdict.UNKNOWN,
                new Measure(Condition.values().length - open.size(), Dimension.NUMBER, 0),
                new Limit(AT_LEAST, new Measure(Condition.values().length, Dimension.NUMBER, 0)),
                open.isEmpty()
                        ? Message.plain("All was looked at.")
                        : Message.of("Look, and tick it: {0}.", Message.plain(open.getFirst().words())),
                null, Message.NONE,
                Source.practice("what spoils a calibration in air: heat, fumes, water, touch"))
                .asking(open.stream().map(Condition::address).toList());
    }

    private static Finding oxygen(FreeAirCheck check, @Nullable ControllerSheet controller) {
        Double shown = check.shownOxygen();
        String subject = "Free-air error";
        Limit limit = new Limit(AT_MOST, new Measure(OXYGEN_TOLERANCE, Dimension.FRACTION, 1));
        Optional<ShouldShow> known = ShouldShow.of(check);
        boolean learned = controller != null && controller.inAir().kind() == InAir.Kind.LEARNED;
        Source source = Source.practice(learned
                ? "one that learned shows its own idea of air"
                : "the controller should show what is in the air");
        List<Address> asks = new ArrayList<>();
        if (controller == null) {
            asks.add(AirField.CONTROLLER.address());
        }
        if (!learned) {
            asks.addAll(unmeasured(check.today()));
        }
        if (shown == null) {
            asks.add(AirField.SHOWN.address());
        }
        if (controller == null || known.isEmpty() || shown == null) {
            return new Finding(AirCheck.SHOWN, subject, Verdict.UNKNOWN, null, limit,
                    shown == null
                            ? "Hang the sensor in free air and enter what the controller shows."
                            : "What it should show is not known yet.",
                    null, "", source).asking(asks);
        }
        double should = known.get().oxygen();
        double doubt = known.get().doubt();
        double off = known.get().off(shown);
        boolean kept = limit.keptBy(Math.abs(off));
        boolean edge = !kept && Math.abs(off) - doubt <= OXYGEN_TOLERANCE;
        return new Finding(AirCheck.SHOWN, subject, kept ? Verdict.PASS : edge ? Verdict.UNKNOWN : Verdict.FAIL,
                new Measure(off, Dimension.FRACTION, 1), limit,
                Message.plain(kept
                        ? learned
                                ? "It has learned. Whether the sensor is good, its trend tells, not this number."
                                : "The gain fits this sensor."
                        : edge
                                ? check.today().pressure() == null
                                        ? "Too close to tell: read the station's pressure, the weather changes it."
                                        : "Too close to tell with a shop's hygrometer: check again in drier air."
                                : learned
                                        ? "It has not learned, or from a sensor it cannot use: calibrate again in clean moving air."
                                        : controller.school().learns()
                                                ? "The gain does not fit this sensor: calibrate again in clean moving air."
                                                : "The gain does not fit this sensor: look for fumes, then change the sensor."),
                new CostOfAir(1 + off).at(CostOfAir.LEAN),
                learned
                        ? Message.of("{0} shown / {1}, its own idea of air, − 1",
                                new Measure(shown, Dimension.FRACTION, 2),
                                new Measure(should, Dimension.FRACTION, 2))
                        : Message.of("{0} shown / {1} in this air at this pressure − 1, known to {2}; cost at {3}",
                                new Measure(shown, Dimension.FRACTION, 2), new Measure(should, Dimension.FRACTION, 2),
                                new Measure(doubt, Dimension.FRACTION, 1),
                                new Measure(CostOfAir.LEAN, Dimension.MIXTURE, 1)),
                source).asking(AirField.SHOWN.address());
    }

    private static Finding top(FreeAirCheck check, @Nullable Double topOfLaw) {
        Double shown = check.shownLambda();
        ControllerSheet controller = check.controller();
        Double said = controller == null || controller.inAir().oxygen() ? null : controller.inAir().value();
        Double told = said == null ? check.displayEnd() : null;
        Double end = said != null ? said : told == null || (topOfLaw != null && topOfLaw < told) ? topOfLaw : told;
        Limit limit = new Limit(AT_LEAST,
                new Measure(end == null ? TOP : end - TOP_SLACK, Dimension.MIXTURE, 2));
        boolean kept = shown != null && limit.keptBy(shown);
        boolean holder = shown != null && controller != null && controller.placeholds(shown);
        // Many displays end before the law does: that has to be known before a sensor is called spent.
        boolean mayEnd = shown != null && !kept && !holder && said == null && told == null && shown >= LEAST_END;
        Address asks = mayEnd ? AirField.DISPLAY_END.address() : AirField.MIXTURE.address();
        return new Finding(AirCheck.TOP, "Reading in free air",
                shown == null || mayEnd ? Verdict.UNKNOWN : kept && !holder ? Verdict.PASS : Verdict.FAIL,
                shown == null ? null : new Measure(shown, Dimension.MIXTURE, 2), limit,
                shown == null
                        ? "Hang the sensor in free air and enter what the controller shows."
                        : mayEnd
                                ? "Below the top: look in its manual whether its display ends there, and enter the leanest it can show."
                                : holder
                                        ? "That is its placeholder: it measures nothing yet."
                                        : kept
                                                ? "Sits at the top of its range: not low. How far above, such a display cannot show."
                                                : "Not at the top of its range: not calibrated, not warm, or the sensor is spent.",
                null, "free air must show the leanest the controller can",
                said != null && controller != null
                        ? controller.source()
                        : Source.practice(told != null
                                ? "the leanest that its display can show, as it was entered"
                                : topOfLaw == null
                                        ? "19 to 20 on the petrol scale, or the top of the range"
                                        : "the top of its output law"))
                .asking(asks);
    }

    private static Finding settled(FreeAirCheck check) {
        Double seconds = check.settled();
        Steadiness steadiness = check.steadiness();
        Limit limit = new Limit(AT_LEAST, new Measure(Steadiness.LONG_ENOUGH, Dimension.DURATION, 0));
        boolean unsteady = steadiness != null && !steadiness.steady();
        boolean held = seconds != null && limit.keptBy(seconds);
        // Nobody watched it: a short time that was typed says that it was not waited for.
        Verdict verdict = seconds == null || (!held && steadiness == null)
                ? Verdict.UNKNOWN
                : unsteady ? Verdict.FAIL : held ? Verdict.PASS : Verdict.WARN;
        return new Finding(AirCheck.SETTLED, "Held steady for", verdict,
                seconds == null ? null : new Measure(seconds, Dimension.DURATION, 0), limit,
                switch (verdict) {
                    case PASS -> "Past the warm-up placeholder.";
                    case UNKNOWN -> seconds == null
                            ? "Enter how long the reading has been steady."
                            : "Not held for long enough: wait, read again, and enter how long it was steady then.";
                    case FAIL -> "It drifted, scattered or jumped: fumes, draught or a loose lead.";
                    case WARN -> "Until it is warm the number shown is a placeholder.";
                }, null,
                steadiness == null
                        ? Message.plain("warm-up takes 15 to 60 s, up to 2 min")
                        : Message.of("{0} readings: drift {1} ± {2} in a minute, scatter {3}, {4} wild",
                                steadiness.count(), new Measure(steadiness.drift(), Dimension.FRACTION, 2),
                                new Measure(steadiness.driftDoubt(), Dimension.FRACTION, 2),
                                new Measure(steadiness.scatter(), Dimension.FRACTION, 2), steadiness.wild()),
                Source.practice("warm-up time")).asking(AirField.SETTLED.address());
    }
}
