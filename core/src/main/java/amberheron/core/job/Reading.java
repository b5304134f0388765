package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

import java.util.EnumSet;
import java.util.Set;

/** The readings that prove a link of the path, and what each rests on. */
public enum Reading {
    FREE_AIR("free-air", "the free-air check", Station.AIR,
            EnumSet.of(RestsOn.SENSOR, RestsOn.CONTROLLER, RestsOn.PLACE),
            "Hang the sensor in free air and check it again."),
    GROUND_SHIFT("ground-shift", "the shift between the grounds", Station.WIRE, EnumSet.of(RestsOn.GROUNDS),
            "Measure it again, all working."),
    CHECK_POINTS("check-points", "the check points", Station.SCALE,
            EnumSet.of(RestsOn.GROUNDS, RestsOn.SIGNAL, RestsOn.SETTING), "Take the check points again."),
    DRIVE("drive", "the proving drive", Station.PROVE,
            EnumSet.of(RestsOn.PLACE, RestsOn.SENSOR, RestsOn.CONTROLLER, RestsOn.CALIBRATION, RestsOn.GROUNDS,
                    RestsOn.SIGNAL, RestsOn.LAW,
                    RestsOn.SETTING, RestsOn.FUEL),
            "Drive again with the log running.");

    private final String key;
    private final String words;
    private final Station station;
    @SuppressWarnings("ImmutableEnumChecker") // never given away to be changed
    private final Set<RestsOn> restsOn;
    private final String again;

    Reading(String key, String words, Station station, Set<RestsOn> restsOn, String again) {
        this.key = key;
        this.words = words;
        this.station = station;
        this.restsOn = restsOn;
        this.again = again;
    }

    /** The word in results. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }

    /** The link it proves. */
    public Station station() {
        return station;
    }

    /** Basis of the figure. */
    public Set<RestsOn> restsOn() {
        return Set.copyOf(restsOn);
    }

    /** The shortest way to prove it again. */
    public String again() {
        return word(again);
    }
}
