package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

/** Schools on the tilt, where good installers differ. */
public enum TiltSchool {
    /** As near 12 o'clock as the floor allows. */
    STRAIGHT_UP("Straight up is best"),
    /** Neither horizontal nor fully vertical. */
    OFF_VERTICAL("Neither flat nor upright"),
    /** Anything from 10 degrees up; the default, since every other school's places pass it too. */
    FROM_TEN_DEGREES("Anything from 10° up");

    private final String words;

    TiltSchool(String words) {
        this.words = words;
    }

    /** The school's rule in a few words. */
    public String words() {
        return word(words);
    }

    /** Returns how far a tilt is from what this school would choose, radians; smaller is better. */
    public double distaste(double tilt) {
        double up = Math.PI / 2;
        return switch (this) {
            case STRAIGHT_UP -> up - tilt;
            // Halfway between the two extremes it rejects.
            case OFF_VERTICAL -> Math.abs(tilt - up / 2);
            case FROM_TEN_DEGREES -> Math.max(0, PlaceLimits.TILT - tilt);
        };
    }
}
