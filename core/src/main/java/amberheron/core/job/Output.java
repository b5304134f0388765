package amberheron.core.job;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.finding.Origin;
import amberheron.core.parts.PartIds;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An analog output of the controller, with the one reader on it, its check points and its drive.
 *
 * @param id of the output within its job
 * @param logged whether what its reader shows can be logged; what cannot is not proven on the road
 * @param law what the output puts out; null until chosen
 * @param reader what reads it; null until chosen
 * @param points check points, in the order taken
 * @param proving the proving log compared; null until read
 * @param changes when law and reader last changed
 */
public record Output(String id, boolean logged, @Nullable OutputLaw law, @Nullable Reader reader,
        List<CheckPoint> points, @Nullable Proving proving, Changes changes) {
    /**
     * A proving log and what it said.
     *
     * @param file name of the log file, without folders
     * @param digest SHA-256 of its bytes, hexadecimal
     * @param origin where it came from and when it was read
     * @param found what the drive says besides; null in a document that does not say
     */
    public record Proving(String file, String digest, Origin origin, LogComparison result,
            @Nullable DriveFound found) {
    }

    public Output {
        points = PartIds.given(points, CheckPoint::id, CheckPoint::withId);
    }

    /** Makes an output of which nothing is known. */
    public static Output blank(String id) {
        return new Output(id, true, null, null, List.of(), null, Changes.NONE);
    }

    /** Title of the output: its reader's name. */
    public String title() {
        return reader == null ? say("reader without a name") : reader.name();
    }

    public Output withId(String value) {
        return new Output(value, logged, law, reader, points, proving, changes);
    }

    public Output withLogged(boolean value) {
        return new Output(id, value, law, reader, points, proving, changes);
    }

    public Output withLaw(@Nullable OutputLaw value) {
        return new Output(id, logged, value, reader, points, proving, changes);
    }

    public Output withReader(@Nullable Reader value) {
        return new Output(id, logged, law, value, points, proving, changes);
    }

    public Output withPoints(List<CheckPoint> value) {
        return new Output(id, logged, law, reader, value, proving, changes);
    }

    public Output withProving(@Nullable Proving value) {
        return new Output(id, logged, law, reader, points, value, changes);
    }

    public Output withChanges(Changes value) {
        return new Output(id, logged, law, reader, points, proving, value);
    }
}
