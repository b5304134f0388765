package amberheron.core.wiring;

import amberheron.core.units.Sane;

import org.jspecify.annotations.Nullable;

/**
 * The wire from the source to the controller.
 *
 * @param length one way, m; null when not measured
 * @param crossSection m²; null when not known
 * @param relay whether a relay at the battery feeds it and the source only switches the relay
 * @param battery capacity, A·h; null when not known
 * @param atBattery volts between the battery's posts with the key on, V: what a relay's feed starts from; null when not
 *        measured
 * @param memory current of a second, constant feed with the key off, A; null for a controller that has none
 * @param converted volts behind a converter, or of a battery of its own, with the heater working, V; null where nothing of
 *        the kind was measured
 * @param leads size of the controller's own power leads, m²; null when not known
 */
public record Feed(@Nullable Double length, @Nullable Double crossSection, boolean relay, @Nullable Double battery,
        @Nullable Double atBattery, @Nullable Double memory, @Nullable Double converted, @Nullable Double leads) {
    public Feed {
        Sane.LENGTH.check("length", length);
        Sane.SECTION.check("crossSection", crossSection);
        Sane.CHARGE.check("battery", battery);
        Sane.SUPPLY.check("atBattery", atBattery);
        Sane.CURRENT.check("memory", memory);
        Sane.SUPPLY.check("converted", converted);
        Sane.SECTION.check("leads", leads);
    }

    /** Nothing measured. */
    public static final Feed UNMEASURED = new Feed(null, null, false, null, null, null, null, null);

    /** Resistance there and back at a temperature in kelvin, Ω; null until the wire is known. */
    public @Nullable Double loop(double temperature) {
        return length == null || crossSection == null
                ? null
                : new Conductor(2 * length, crossSection).resistance(temperature);
    }

    /**
     * The largest fuse a wire of this section stands, A: the pairs of wire and fuse met in vehicles, from memory, with
     * straight lines between.
     */
    public static double greatestFuse(double crossSection) {
        double mm2 = crossSection * 1e6;
        double[] sections = {0.2, 0.35, 0.5, 0.75, 1.0, 1.5, 2.5, 4.0};
        double[] fuses = {2, 4, 5, 7.5, 10, 15, 20, 30};
        if (mm2 <= sections[0]) {
            return fuses[0] * mm2 / sections[0];
        }
        for (int i = 1; i < sections.length; i++) {
            if (mm2 <= sections[i]) {
                double part = (mm2 - sections[i - 1]) / (sections[i] - sections[i - 1]);
                return fuses[i - 1] + part * (fuses[i] - fuses[i - 1]);
            }
        }
        return fuses[fuses.length - 1];
    }

    public Feed withLength(@Nullable Double value) {
        return new Feed(value, crossSection, relay, battery, atBattery, memory, converted, leads);
    }

    public Feed withCrossSection(@Nullable Double value) {
        return new Feed(length, value, relay, battery, atBattery, memory, converted, leads);
    }

    public Feed withRelay(boolean value) {
        return new Feed(length, crossSection, value, battery, atBattery, memory, converted, leads);
    }

    public Feed withBattery(@Nullable Double value) {
        return new Feed(length, crossSection, relay, value, atBattery, memory, converted, leads);
    }

    public Feed withAtBattery(@Nullable Double value) {
        return new Feed(length, crossSection, relay, battery, value, memory, converted, leads);
    }

    public Feed withMemory(@Nullable Double value) {
        return new Feed(length, crossSection, relay, battery, atBattery, value, converted, leads);
    }

    public Feed withConverted(@Nullable Double value) {
        return new Feed(length, crossSection, relay, battery, atBattery, memory, value, leads);
    }

    public Feed withLeads(@Nullable Double value) {
        return new Feed(length, crossSection, relay, battery, atBattery, memory, converted, value);
    }

    /** Size of the smallest wire between the tap and the controller, its own leads included, m²; null until both are known. */
    public @Nullable Double smallest() {
        return crossSection == null || leads == null ? null : Double.valueOf(Math.min(crossSection, leads));
    }
}
