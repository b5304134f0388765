package amberheron.core.freeair;

import amberheron.core.parts.Address;
import java.util.Optional;
import amberheron.core.units.Sane;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What was entered at the free-air station. Everything not yet known is null.
 *
 * @param school how this controller is calibrated
 * @param temperature of the air, K
 * @param humidity relative, 0 to 1
 * @param height above sea level, m
 * @param shownOxygen what the controller shows as oxygen, fraction, when it shows oxygen
 * @param shownLambda what the controller shows as a mixture, lambda, when it shows a mixture
 * @param settled how long the reading had been steady, s
 * @param date the day it was done
 * @param sensor number or mark of the sensor that was checked; may be empty
 */
public record FreeAirCheck(School school, @Nullable Double temperature, @Nullable Double humidity,
        @Nullable Double height, @Nullable Double shownOxygen, @Nullable Double shownLambda,
        @Nullable Double settled, @Nullable LocalDate date, String sensor) {
    public FreeAirCheck {
        Sane.AIR_TEMPERATURE.check("temperature", temperature);
        Sane.PART.check("humidity", humidity);
        Sane.HEIGHT.check("height", height);
        Sane.PART.check("shownOxygen", shownOxygen);
        Sane.MIXTURE.check("shownLambda", shownLambda);
        Sane.TIME.check("settled", settled);
    }

    /** The three ways controllers are calibrated; each belongs to its controller. */
    public enum School {
        CLEAR_THEN_LEARN("Clear, then learn",
                "Power on with the sensor unplugged until the error shows, hold 30 s, power off, plug in, power on in free air."),
        TRIM_BY_HAND("Trim by hand",
                "Adjuster fully anticlockwise, ignition on, wait 2 min, turn slowly clockwise to the free-air mark."),
        FACTORY_TRIMMED("Trimmed at the factory",
                "No calibration: only check that it sits at the top of its range in air.");

        private final String words;
        private final String procedure;

        School(String words, String procedure) {
            this.words = words;
            this.procedure = procedure;
        }

        /** The school's name. */
        public String words() {
            return words;
        }

        /** What to do. */
        public String procedure() {
            return procedure;
        }
    }

    /** Where what the controller shows was entered, as oxygen before as a mixture; empty until it was. */
    public Optional<Address> reading() {
        return shownOxygen != null
                ? Optional.of(AirField.SHOWN.address())
                : Optional.ofNullable(shownLambda).map(s -> AirField.MIXTURE.address());
    }

    /** The air, once all of it is known. */
    public @Nullable Air air() {
        return temperature == null || humidity == null || height == null
                ? null
                : new Air(temperature, humidity, height);
    }

    public FreeAirCheck withSchool(School value) {
        return new FreeAirCheck(value, temperature, humidity, height, shownOxygen, shownLambda, settled, date, sensor);
    }

    public FreeAirCheck withTemperature(@Nullable Double value) {
        return new FreeAirCheck(school, value, humidity, height, shownOxygen, shownLambda, settled, date, sensor);
    }

    public FreeAirCheck withHumidity(@Nullable Double value) {
        return new FreeAirCheck(school, temperature, value, height, shownOxygen, shownLambda, settled, date, sensor);
    }

    public FreeAirCheck withHeight(@Nullable Double value) {
        return new FreeAirCheck(school, temperature, humidity, value, shownOxygen, shownLambda, settled, date, sensor);
    }

    public FreeAirCheck withDate(@Nullable LocalDate value) {
        return new FreeAirCheck(school, temperature, humidity, height, shownOxygen, shownLambda, settled, value,
                sensor);
    }

    public FreeAirCheck withShownOxygen(@Nullable Double value, @Nullable LocalDate day) {
        return new FreeAirCheck(school, temperature, humidity, height, value, shownLambda, settled, day, sensor);
    }

    public FreeAirCheck withShownLambda(@Nullable Double value, @Nullable LocalDate day) {
        return new FreeAirCheck(school, temperature, humidity, height, shownOxygen, value, settled, day, sensor);
    }

    public FreeAirCheck withSensor(String value) {
        return new FreeAirCheck(school, temperature, humidity, height, shownOxygen, shownLambda, settled, date, value);
    }

    public FreeAirCheck withSettled(@Nullable Double value) {
        return new FreeAirCheck(school, temperature, humidity, height, shownOxygen, shownLambda, value, date, sensor);
    }
}
