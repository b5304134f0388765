package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

import amberheron.core.placement.Segment.Line;
import amberheron.core.units.Sane;
import org.jspecify.annotations.Nullable;

/**
 * A place where the bung could go.
 *
 * @param id by which it is found wherever it stands
 * @param letter shown on the drawing; every place has one of its own
 * @param note what speaks for it, in the installer's words; may be empty
 * @param line the line of pipes it is measured along
 * @param distance along it from the turbine's outlet or the manifold; negative is before, m
 * @param clock position on the pipe's clock face from 12 o'clock, positive towards 3, radians
 * @param slope pitch of the pipe measured there, radians; null to take the run's
 * @param lean lean of the sensor along the pipe, with the gas, radians
 * @param hole what hole is there already
 * @param gas hottest gas measured there, K; null when not measured
 */
public record Candidate(String id, String letter, String note, Line line, @Nullable Double distance,
        @Nullable Double clock,
        @Nullable Double slope, double lean, Hole hole,
        @Nullable Double gas) {
    public Candidate {
        Sane.PLACE.check("distance", distance);
        Sane.ANGLE.check("clock", clock);
        Sane.ANGLE.check("slope", slope);
        Sane.ANGLE.check("lean", lean);
        Sane.GAS_TEMPERATURE.check("gas", gas);
    }

    /** Whether metal has to be cut. */
    public enum Hole {
        NONE("new hole"),
        SPARE("spare plugged bung"),
        SECOND_SENSOR("second sensor's place"),
        STOCK("stock sensor's place");

        private final String words;

        Hole(String words) {
            this.words = words;
        }

        /** The trade's words for it. */
        public String words() {
            return word(words);
        }
    }

    /** Makes a place of which only the letter is known, which serves as its id too. */
    public static Candidate named(String letter) {
        return new Candidate(letter, letter, "", Line.ALL, null, null, null, 0, Hole.NONE, null);
    }

    public Candidate withId(String value) {
        return new Candidate(value, letter, note, line, distance, clock, slope, lean, hole, gas);
    }

    public Candidate withLetter(String value) {
        return new Candidate(id, value, note, line, distance, clock, slope, lean, hole, gas);
    }

    public Candidate withNote(String value) {
        return new Candidate(id, letter, value, line, distance, clock, slope, lean, hole, gas);
    }

    public Candidate withLine(Line value) {
        return new Candidate(id, letter, note, value, distance, clock, slope, lean, hole, gas);
    }

    public Candidate withDistance(@Nullable Double value) {
        return new Candidate(id, letter, note, line, value, clock, slope, lean, hole, gas);
    }

    public Candidate withClock(@Nullable Double value) {
        return new Candidate(id, letter, note, line, distance, value, slope, lean, hole, gas);
    }

    public Candidate withSlope(@Nullable Double value) {
        return new Candidate(id, letter, note, line, distance, clock, value, lean, hole, gas);
    }

    public Candidate withLean(double value) {
        return new Candidate(id, letter, note, line, distance, clock, slope, value, hole, gas);
    }

    public Candidate withHole(Hole value) {
        return new Candidate(id, letter, note, line, distance, clock, slope, lean, value, gas);
    }

    public Candidate withGas(@Nullable Double value) {
        return new Candidate(id, letter, note, line, distance, clock, slope, lean, hole, value);
    }
}
