package amberheron.core.freeair;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.parts.Address;
import amberheron.core.units.Sane;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Entries of the free-air station. Everything not yet known is null.
 *
 * @param controller what this controller does
 * @param today the air it was done in
 * @param conditions what was looked at and found so
 * @param shownOxygen what the controller shows as oxygen, fraction, when it shows oxygen
 * @param shownLambda what the controller shows as a mixture, lambda, when it shows a mixture
 * @param displayEnd the leanest mixture that the display can show, λ; null where nobody said
 * @param settled how long the reading had been steady, s
 * @param steadiness how steady it was, where it was watched reading by reading
 * @param coaching how far a calibration is
 * @param date the day it was done
 * @param sensor number or mark of the sensor that was checked; may be empty
 * @param ageing the most this sensor's gain changes in a month, as its own life told on that day, part of it; null where
 *        too little was known of it
 */
public record FreeAirCheck(@Nullable ControllerSheet controller, AirOfDay today, Set<Condition> conditions,
        @Nullable Double shownOxygen, @Nullable Double shownLambda, @Nullable Double displayEnd,
        @Nullable Double settled,
        @Nullable Steadiness steadiness, Coaching coaching, @Nullable LocalDate date, String sensor,
        @Nullable Double ageing) {
    /** A check of which nothing is known. */
    public static final FreeAirCheck NONE = new FreeAirCheck(null, AirOfDay.UNMEASURED, Set.of(), null, null, null,
            null,
            null,
            Coaching.NONE, null, "", null);

    public FreeAirCheck {
        conditions = Set.copyOf(conditions);
        Sane.PART.check("shownOxygen", shownOxygen);
        Sane.MIXTURE.check("shownLambda", shownLambda);
        Sane.MIXTURE.check("displayEnd", displayEnd);
        Sane.TIME.check("settled", settled);
        Sane.PART.check("ageing", ageing);
    }

    /** Where what the controller shows was entered, as oxygen before as a mixture; empty until it was. */
    public Optional<Address> reading() {
        return shownOxygen != null
                ? Optional.of(AirField.SHOWN.address())
                : Optional.ofNullable(shownLambda).map(s -> AirField.MIXTURE.address());
    }

    /** The same with nothing read: the rest stands. */
    public FreeAirCheck unread() {
        return new FreeAirCheck(controller, today, conditions, null, null, displayEnd, null, null, coaching, null,
                sensor, null);
    }

    /** The same with what a coach found on a day. */
    public FreeAirCheck recorded(Coach.Result found, LocalDate day) {
        return new FreeAirCheck(controller, today, conditions, found.oxygen(), found.lambda(), displayEnd,
                found.steadiness().seconds(), found.steadiness(), coaching, day, sensor, ageing);
    }

    public FreeAirCheck withController(@Nullable ControllerSheet value) {
        return new FreeAirCheck(value, today, conditions, shownOxygen, shownLambda, displayEnd, settled, steadiness,
                coaching, date,
                sensor, ageing);
    }

    public FreeAirCheck withToday(AirOfDay value) {
        return new FreeAirCheck(controller, value, conditions, shownOxygen, shownLambda, displayEnd, settled,
                steadiness, coaching,
                date, sensor, ageing);
    }

    public FreeAirCheck withConditions(Set<Condition> value) {
        return new FreeAirCheck(controller, today, value, shownOxygen, shownLambda, displayEnd, settled, steadiness,
                coaching, date,
                sensor, ageing);
    }

    public FreeAirCheck withDate(@Nullable LocalDate value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, displayEnd, settled,
                steadiness, coaching,
                value, sensor, ageing);
    }

    /** Takes a number typed by hand; how steady another reading was says nothing of it. */
    public FreeAirCheck withShownOxygen(@Nullable Double value, @Nullable LocalDate day) {
        return new FreeAirCheck(controller, today, conditions, value, shownLambda, displayEnd, settled, null, coaching,
                day,
                sensor, ageing);
    }

    /** Takes a number typed by hand; how steady another reading was says nothing of it. */
    public FreeAirCheck withShownLambda(@Nullable Double value, @Nullable LocalDate day) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, value, displayEnd, settled, null, coaching,
                day,
                sensor, ageing);
    }

    public FreeAirCheck withDisplayEnd(@Nullable Double value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, value, settled, steadiness,
                coaching, date, sensor, ageing);
    }

    public FreeAirCheck withSensor(String value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, displayEnd, settled,
                steadiness, coaching,
                date, value, ageing);
    }

    public FreeAirCheck withSettled(@Nullable Double value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, displayEnd, value, steadiness,
                coaching,
                date, sensor, ageing);
    }

    public FreeAirCheck withCoaching(Coaching value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, displayEnd, settled,
                steadiness, value,
                date, sensor, ageing);
    }

    public FreeAirCheck withAgeing(@Nullable Double value) {
        return new FreeAirCheck(controller, today, conditions, shownOxygen, shownLambda, displayEnd, settled,
                steadiness, coaching,
                date, sensor, value);
    }
}
