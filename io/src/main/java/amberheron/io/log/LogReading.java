package amberheron.io.log;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.LogChannel;
import amberheron.core.job.Job;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;

/**
 * Request to read a log, perhaps with a second one of the same drive, what their columns are, and which part.
 *
 * @param logs one or two
 * @param map such as {@code controller=AFR,reader=4}; blank where nothing is said
 * @param part empty for all of it
 */
public record LogReading(List<LogFile> logs, String map, Optional<DriveLog.Part> part) {
    /**
     * As typed.
     *
     * @param second blank for one log only
     * @param part such as {@code 60-300}; blank for all of it
     * @throws UnusableInput when a file or the part cannot be read
     */
    public static LogReading of(String log, String second, String map, String part) {
        if (log.isBlank()) {
            throw new UnusableInput(say("log"), "", say("found nothing, expected the path of a log"));
        }
        Optional<DriveLog.Part> only = DriveLog.Part.of(part);
        return new LogReading(Stream.of(log, second).filter(f -> !f.isBlank())
                .map(f -> LogFile.of(TextFiles.path(f))).toList(), map, only);
    }

    /**
     * Reads it for a job.
     *
     * @throws UnusableInput when it cannot be read, or its columns cannot be told
     */
    public DriveLog read(Job job, KnownColumns known, DoubleConsumer progress) {
        Map<LogChannel, String> said = known.said(logs, map);
        DriveLog all = logs.size() == 1
                ? DriveLog.read(job, logs.getFirst(), said, progress)
                : DriveLog.read(job, logs.getFirst(), logs.getLast(), said, progress);
        return part.map(all::only).orElse(all);
    }

    /** Remembers what is said of the columns for the next logs with these headers. */
    public void remember(KnownColumns known) {
        known.remember(logs, map);
    }
}
