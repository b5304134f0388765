package amberheron.core.placement;

import amberheron.core.units.Sane;

import static amberheron.core.units.Phrase.say;

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
            throw new IllegalArgumentException(
                    say("Bung: found %.1f mm across, expected more than its thread, 18 mm", 1000 * diameter));
        }
        if (!(lip > 0.010 && lip <= diameter)) {
            throw new IllegalArgumentException(
                    say("Hole: found %.1f mm, expected from 10 mm to the bung's %.1f mm", 1000 * lip, 1000 * diameter));
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
