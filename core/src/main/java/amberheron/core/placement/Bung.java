package amberheron.core.placement;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.units.Sane;

/**
 * A threaded bung, measured in hand.
 *
 * @param diameter outer, m
 * @param lip diameter of the step that sits in the hole, m; for a plain bung, set on the pipe, the hole it needs
 * @param stepped whether it has a step
 */
public record Bung(double diameter, double lip, boolean stepped) {
    /** 30 mm across, stepped to 22 mm (7/8 in). */
    public static final Bung USUAL = new Bung(0.030, 0.022, true);

    public Bung {
        if (!(diameter > 0.018)) {
            throw new Refused(Message.of("Bung: found {0} across, expected more than its thread, {1}",
                    Refused.length(diameter), Refused.length(0.018)));
        }
        if (!(lip > 0.010 && lip <= diameter)) {
            throw new Refused(Message.of("Hole: found {0}, expected from {1} to the bung's {2}", Refused.length(lip),
                    Refused.length(0.010), Refused.length(diameter)));
        }
        Sane.BORE.check("diameter", diameter);
        Sane.BORE.check("lip", lip);
    }

    public Bung withDiameter(double value) {
        return new Bung(value, lip, stepped);
    }

    public Bung withLip(double value) {
        return new Bung(diameter, value, stepped);
    }

    public Bung withStepped(boolean value) {
        return new Bung(diameter, lip, value);
    }
}
