package amberheron.core.placement;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.units.Sane;

import org.jspecify.annotations.Nullable;

/**
 * The sensor and the way its lead takes, as far as they need room.
 *
 * @param standOut from the pipe's outside to the end of the boot where the cable leaves, m; null when not measured
 * @param leadExit where along the run the lead leaves the pipe for the cabin, m; null when not decided
 * @param leadOnward from there to the controller along the way the cable takes, m; null when not measured
 */
public record Probe(@Nullable Double standOut, @Nullable Double leadExit, @Nullable Double leadOnward) {
    /** A sensor of which nothing is measured. */
    public static final Probe UNMEASURED = new Probe(null, null, null);
    /** Stand-out of a sensor that was not measured, m; from memory, bung included. */
    public static final double USUAL_STAND_OUT = 0.085;
    /** Radius of the sensor, m: half of its 22 mm hexagon over the corners. */
    public static final double RADIUS = 0.0127;

    public Probe {
        for (Double length : new Double[]{standOut, leadOnward}) {
            if (length != null && !(length > 0)) {
                throw new Refused(Message.of("Length: found {0}, expected more than 0", Refused.whole(length)));
            }
        }
        Sane.BORE.check("standOut", standOut);
        Sane.PLACE.check("leadExit", leadExit);
        Sane.LENGTH.check("leadOnward", leadOnward);
    }

    /** Returns how far it stands out, as measured or as usual, m. */
    public double standOutOrUsual() {
        return standOut == null ? USUAL_STAND_OUT : standOut;
    }

    public Probe withStandOut(@Nullable Double value) {
        return new Probe(value, leadExit, leadOnward);
    }

    public Probe withLeadExit(@Nullable Double value) {
        return new Probe(standOut, value, leadOnward);
    }

    public Probe withLeadOnward(@Nullable Double value) {
        return new Probe(standOut, leadExit, value);
    }
}
