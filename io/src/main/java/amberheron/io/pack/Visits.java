package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.Manifest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The packs of one job, a folder for each hand-over: none is ever written over. */
public final class Visits {
    private static final long MOST_BYTES = 1L << 24;

    private Visits() {
    }

    /** One hand-over. */
    public record Visit(Path folder, Manifest manifest) {
        /** How it is called: its day. */
        public String title() {
            return TextFiles.name(folder);
        }
    }

    /** The hand-overs in a job's folder, the earliest first; those whose manifest cannot be read are left out. */
    public static List<Visit> in(Path folder) {
        List<Visit> found = new ArrayList<>();
        if (!Files.isDirectory(folder)) {
            return found;
        }
        try (Stream<Path> all = Files.list(folder)) {
            for (Path each : all.filter(Files::isDirectory).sorted().toList()) {
                try (Stream<Path> files = Files.list(each)) {
                    files.filter(f -> TextFiles.name(f).endsWith(Manifest.NAME)).findFirst()
                            .ifPresent(m -> read(each, m, found));
                }
            }
        } catch (IOException e) {
            throw new UnusableInput(folder.toString(), "",
                    say("cannot be listed: %s; expected a folder that can be read", TextFiles.reason(e)));
        }
        return found;
    }

    private static void read(Path folder, Path file, List<Visit> found) {
        try {
            found.add(new Visit(folder, Manifest.parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES))));
        } catch (UnusableInput e) {
            // What cannot be read is no proof of anything.
            return;
        }
    }

    /**
     * Where the next hand-over goes: a folder of its day, or the day's own again where the job has not changed since.
     *
     * @param code of the job as it stands
     */
    public static Path next(Path folder, LocalDate day, String code) {
        List<Visit> made = in(folder);
        for (int i = 1;; i++) {
            Path wanted = folder.resolve(i == 1 ? day.toString() : day + "-" + i);
            boolean same = made.stream()
                    .anyMatch(v -> v.folder().equals(wanted) && v.manifest().code().equals(code));
            if (same || !Files.exists(wanted)) {
                return wanted;
            }
        }
    }
}
