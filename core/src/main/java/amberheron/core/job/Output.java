package amberheron.core.job;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.finding.Origin;
import amberheron.core.parts.PartIds;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
     * @param driven when the drive ended, by the log's own clock, else by the file; null where neither says
     * @param earlier logs that were read for this output before
     * @param found what the drive says besides; null in a document that does not say
     */
    public record Proving(String file, String digest, Origin origin, @Nullable Instant driven, List<Earlier> earlier,
            LogComparison result, @Nullable DriveFound found) {
        private static final int MOST_EARLIER = 50;

        public Proving {
            earlier = List.copyOf(earlier.subList(Math.max(0, earlier.size() - MOST_EARLIER), earlier.size()));
        }

        /** Makes the first log of an output, of which only is known when it was read. */
        public Proving(String file, String digest, Origin origin, LogComparison result, @Nullable DriveFound found) {
            this(file, digest, origin, null, List.of(), result, found);
        }

        /** Returns the latest moment at which it can have been driven: the same bytes may have been read long ago. */
        public @Nullable Instant before() {
            return Stream.concat(Stream.of(Optional.ofNullable(driven), Optional.ofNullable(origin.taken())),
                    earlier.stream().filter(e -> e.digest().equals(digest)).map(e -> Optional.of(e.read())))
                    .flatMap(Optional::stream).min(Comparator.naturalOrder()).orElse(null);
        }

        /** Returns whether only the time of its file says that it was driven before it was read; a logger's clock may be wrong. */
        public boolean datedByFile() {
            return driven != null && driven.equals(before());
        }

        /** Returns it without the time of its file, where a person says that it is wrong. */
        public Proving withoutFileTime() {
            return new Proving(file, digest, origin, null, earlier, result, found);
        }

        /** Returns it as the log that takes the place of another. */
        Proving after(@Nullable Proving last) {
            Instant read = last == null ? null : last.before();
            if (last == null) {
                return this;
            }
            List<Earlier> all = new ArrayList<>(last.earlier);
            if (read != null) {
                all.add(new Earlier(last.digest, read));
            }
            return new Proving(file, digest, origin, driven, all, result, found);
        }
    }

    /**
     * A log that was read before.
     *
     * @param digest SHA-256 of its bytes, hexadecimal
     * @param read when, or when it was driven
     */
    public record Earlier(String digest, Instant read) {
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
