package amberheron.core.wiring;

import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * Wires, strap and joints that the ground currents of a fit go through. Null for what is not measured.
 *
 * @param toBattery length of the controller's ground wire if taken to the battery, m
 * @param toChassis length if taken to the chassis, m
 * @param toReader length if taken to the reader's own sensor ground, m
 * @param section cross-section of that wire, m²
 * @param strap resistance of the strap from chassis to battery, Ω
 * @param joint resistance of one joint; there is one at each end of the controller's ground wires, Ω
 */
public record GroundWires(@Nullable Double toBattery, @Nullable Double toChassis, @Nullable Double toReader,
        @Nullable Double section, @Nullable Double strap, @Nullable Double joint) {
    /** Nothing measured. */
    public static final GroundWires UNMEASURED = new GroundWires(null, null, null, null, null, null);

    public GroundWires {
        Sane.LENGTH.check("toBattery", toBattery);
        Sane.LENGTH.check("toChassis", toChassis);
        Sane.LENGTH.check("toReader", toReader);
        Sane.SECTION.check("section", section);
        Sane.RESISTANCE.check("strap", strap);
        Sane.RESISTANCE.check("joint", joint);
    }

    public GroundWires withToBattery(@Nullable Double value) {
        return new GroundWires(value, toChassis, toReader, section, strap, joint);
    }

    public GroundWires withToChassis(@Nullable Double value) {
        return new GroundWires(toBattery, value, toReader, section, strap, joint);
    }

    public GroundWires withToReader(@Nullable Double value) {
        return new GroundWires(toBattery, toChassis, value, section, strap, joint);
    }

    public GroundWires withSection(@Nullable Double value) {
        return new GroundWires(toBattery, toChassis, toReader, value, strap, joint);
    }

    public GroundWires withStrap(@Nullable Double value) {
        return new GroundWires(toBattery, toChassis, toReader, section, value, joint);
    }

    public GroundWires withJoint(@Nullable Double value) {
        return new GroundWires(toBattery, toChassis, toReader, section, strap, value);
    }
}
