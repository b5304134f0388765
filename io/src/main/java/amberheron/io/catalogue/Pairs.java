package amberheron.io.catalogue;

import amberheron.core.job.Pair;
import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.PairJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Pairs of law and reader that a shop keeps, each in a file of its own. */
public final class Pairs {
    private static final int MOST = 500;

    private Pairs() {
    }

    /**
     * Entries that are kept.
     *
     * @param faults files that could not be used, each with its reason
     */
    public record Kept(List<Pair> pairs, List<String> faults) {
    }

    /** All that a folder holds, which need not exist; by their files' names. */
    public static Kept in(Path folder) {
        if (!Files.isDirectory(folder)) {
            return new Kept(List.of(), List.of());
        }
        List<Pair> pairs = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(f -> TextFiles.name(f).endsWith(".json")).sorted().limit(MOST).toList()) {
                try {
                    pairs.add(PairJson.read(file));
                } catch (UnusableInput e) {
                    faults.add(String.valueOf(e.getMessage()));
                }
            }
        } catch (IOException e) {
            faults.add(folder + ": " + TextFiles.reason(e));
        }
        return new Kept(List.copyOf(pairs), List.copyOf(faults));
    }

    /**
     * Keeps a pair, in place of the one of the same law and reader; a file that cannot be read is never written over.
     *
     * @return where it is kept
     * @throws UnusableInput when it cannot be written
     */
    public static Path keep(Path folder, Pair pair) {
        String stem = JobNumber.stem(pair.law().id() + "-" + pair.reader().id());
        Path file = folder.resolve(stem + ".json");
        for (int i = 2; Files.exists(file) && !replaces(pair, file); i++) {
            file = folder.resolve(stem + "-" + i + ".json");
        }
        TextFiles.write(file, PairJson.write(pair));
        return file;
    }

    private static boolean replaces(Pair pair, Path file) {
        try {
            return PairJson.read(file).title().equals(pair.title());
        } catch (UnusableInput e) {
            return false;
        }
    }
}
