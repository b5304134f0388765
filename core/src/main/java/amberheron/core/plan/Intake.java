package amberheron.core.plan;

import amberheron.core.mixture.Fuel;
import amberheron.core.placement.Exhaust;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What is asked when the vehicle comes in. Everything not yet known is null or empty.
 *
 * @param vehicle in the shop's words
 * @param displacement of the engine, m³
 * @param cylinders number of them
 * @param banks exhaust banks, 1 or 2
 * @param fuel in the tank
 * @param exhaust the pipe
 * @param condition of the exhaust
 * @param fit how the bung is to be fixed
 * @param readers what will read the signal
 * @param permanent false for a fit that comes off after the tuning days
 * @param fixedHarness true when the connector cannot be made up after the sensor is in
 */
public record Intake(String vehicle, @Nullable Double displacement, @Nullable Integer cylinders, int banks,
        @Nullable Fuel fuel, Exhaust exhaust, Condition condition, Fit fit, Set<ReaderKind> readers,
        boolean permanent, boolean fixedHarness) {
    /** State of the exhaust; it must be sound before anything is fitted. */
    public enum Condition {
        UNCHECKED("not checked"), SOUND("sound and airtight"), LEAKS("leaks"), ROTTEN("not worth fitting");

        private final String words;

        Condition(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return words;
        }
    }

    /** How the bung is fixed. */
    public enum Fit {
        WELD_IN("weld-in bung"), CLAMP("no-weld clamp"), EXISTING_HOLE("hole that is there");

        private final String words;

        Fit(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return words;
        }
    }

    /** What reads the signal. */
    public enum ReaderKind {
        GAUGE("gauge"), LOGGER("logger"), ECU("standalone ECU"), STOCK_ECU("stock ECU, narrowband"), SOFTWARE(
                "tuning software");

        private final String words;

        ReaderKind(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return words;
        }
    }

    public Intake {
        readers = java.util.Collections.unmodifiableSet(new TreeSet<>(readers));
    }

    public Intake withVehicle(String value) {
        return new Intake(value, displacement, cylinders, banks, fuel, exhaust, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withDisplacement(@Nullable Double value) {
        return new Intake(vehicle, value, cylinders, banks, fuel, exhaust, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withCylinders(@Nullable Integer value) {
        return new Intake(vehicle, displacement, value, banks, fuel, exhaust, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withBanks(int value) {
        return new Intake(vehicle, displacement, cylinders, value, fuel, exhaust, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withFuel(@Nullable Fuel value) {
        return new Intake(vehicle, displacement, cylinders, banks, value, exhaust, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withExhaust(Exhaust value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, value, condition, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withCondition(Condition value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, exhaust, value, fit, readers, permanent,
                fixedHarness);
    }

    public Intake withFit(Fit value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, exhaust, condition, value, readers, permanent,
                fixedHarness);
    }

    public Intake withReaders(Set<ReaderKind> value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, exhaust, condition, fit, value, permanent,
                fixedHarness);
    }

    public Intake withPermanent(boolean value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, exhaust, condition, fit, readers, value,
                fixedHarness);
    }

    public Intake withFixedHarness(boolean value) {
        return new Intake(vehicle, displacement, cylinders, banks, fuel, exhaust, condition, fit, readers, permanent,
                value);
    }

    /** What is still to be asked before the plan can be trusted, in the trade's words; empty when nothing is. */
    public java.util.List<String> missing() {
        java.util.List<String> missing = new java.util.ArrayList<>();
        if (vehicle.isBlank()) {
            missing.add("vehicle");
        }
        if (displacement == null) {
            missing.add("displacement");
        }
        if (cylinders == null) {
            missing.add("cylinders");
        }
        if (fuel == null) {
            missing.add("fuel");
        }
        if (readers.isEmpty()) {
            missing.add("what reads the signal");
        }
        if (condition == Condition.UNCHECKED) {
            missing.add("state of the exhaust");
        }
        return java.util.List.copyOf(missing);
    }
}
