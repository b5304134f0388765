package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Address;
import amberheron.core.plan.StepId;
import java.util.Arrays;
import java.util.Optional;

/** The stations of the signal path, in working order. */
public enum Station {
    PLAN(1, "plan", "Plan"),
    PLACE(2, "place", "Place"),
    WIRE(3, "wire", "Wire"),
    AIR(4, "air", "Air"),
    SCALE(5, "scale", "Scale"),
    PROVE(6, "prove", "Prove"),
    HAND_OVER(7, "hand-over", "Hand over");

    private final int number;
    private final String key;
    private final String title;

    Station(int number, String key, String title) {
        this.number = number;
        this.key = key;
        this.title = title;
    }

    /** The station at which a value is entered. */
    public static Station of(Address address) {
        String path = address.property().path();
        return Arrays.stream(values()).filter(s -> path.startsWith(s.key + ".")).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no station asks for " + path));
    }

    /** The station whose checks show that a step was done; empty for a step that nothing is measured of. */
    public static Optional<Station> shownAt(StepId step) {
        return switch (step) {
            case PLACE, DRILL, WELD, CLAMP, FREE, TIGHT, PROBE -> Optional.of(Station.PLACE);
            case SOURCE, RUN, SPLICE, FEED, GROUND, CONNECT, ROUTE, SHIFT -> Optional.of(WIRE);
            case AIR -> Optional.of(Station.AIR);
            case SCALE, POINTS -> Optional.of(Station.SCALE);
            case PROVE -> Optional.of(Station.PROVE);
            case LEAKS, DISPLAY, BATTERY, ON, SENSOR, HOT, NARROWBAND, LINK, LINK_POINTS, PLUG, SHEET ->
                Optional.empty();
        };
    }

    /** The name in files, scripts and addresses. */
    public String key() {
        return key;
    }

    /** Its place in the working order, from 1. */
    public int number() {
        return number;
    }

    /** The word on screen. */
    public String title() {
        return word(title);
    }
}
