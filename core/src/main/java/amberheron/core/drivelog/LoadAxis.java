package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

/** The quantity by which a log tells the load. */
public enum LoadAxis {
    PRESSURE("manifold pressure", "kPa", 1000, 2500),
    THROTTLE("throttle", "%", 0.01, 0.025),
    AIR("air for each turn", "mg", 1e-6, 1e-5);

    private final String words;
    private final String unit;
    private final double si;
    private final double step;

    LoadAxis(String words, String unit, double si, double step) {
        this.words = words;
        this.unit = unit;
        this.si = si;
        this.step = step;
    }

    /** The trade's words. */
    public String words() {
        return word(words);
    }

    /** Unit of its numbers. */
    public String unit() {
        return unit;
    }

    /** Converts a load to that unit, from Pa, a part of full, or kg a turn. */
    public double shown(double load) {
        return load / si;
    }

    /** Returns one of that unit in SI. */
    public double si() {
        return si;
    }

    /** The finest step in which evidence is kept, in SI. */
    public double step() {
        return step;
    }
}
