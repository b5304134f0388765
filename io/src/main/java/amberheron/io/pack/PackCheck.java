package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.Difference;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import amberheron.io.json.Manifest.Entry;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Whether a pack is whole, and whether it and a job still agree.
 *
 * @param faults what of the pack is missing, changed or does not belong; empty for one that is whole
 * @param since what changed in the job since; empty where nothing did or no job was compared
 */
public record PackCheck(Manifest manifest, List<String> faults, List<Difference> since) {
    private static final long MOST_BYTES = 1L << 28;

    public PackCheck {
        faults = List.copyOf(faults);
        since = List.copyOf(since);
    }

    /** Whether the pack is whole and nothing changed since. */
    public boolean agrees() {
        return faults.isEmpty() && since.isEmpty();
    }

    /**
     * Looks at every file of a pack.
     *
     * @param pack its folder, or its manifest
     * @param now the job to compare with; null for none
     * @throws UnusableInput when there is no manifest, or several, or it cannot be read
     */
    public static PackCheck of(Path pack, @Nullable JobDocument now) {
        Path file = manifest(pack);
        Path folder = Objects.requireNonNull(file.toAbsolutePath().getParent());
        Manifest manifest = Manifest.parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
        List<String> faults = new ArrayList<>();
        JobDocument given = null;
        Entry document = manifest.document();
        if (document == null) {
            faults.add("the job's document is not among the files");
        }
        for (Entry entry : manifest.files()) {
            byte[] bytes = bytes(folder.resolve(entry.name()));
            if (bytes == null) {
                faults.add(entry.name() + ": missing");
            } else if (!TextFiles.digest(bytes).equals(entry.digest())) {
                faults.add(entry.name() + ": changed since the pack was made");
            }
            if (bytes != null && entry.equals(document)) {
                if (!Manifest.code(bytes).equals(manifest.code())) {
                    faults.add(say("%s: its code is %s, the pack's is %s", entry.name(), Manifest.code(bytes),
                            manifest.code()));
                }
                given = given(folder.resolve(entry.name()), faults);
            }
        }
        foreign(folder, manifest, TextFiles.name(file), faults);
        if (now != null && !now.job().id().equals(manifest.job())) {
            throw new UnusableInput(TextFiles.name(file), "job",
                    say("is the pack of %s, expected that of %s", manifest.job(), now.job().id()));
        }
        return new PackCheck(manifest, faults,
                now == null || given == null ? List.of() : Difference.between(given, now));
    }

    private static @Nullable JobDocument given(Path file, List<String> faults) {
        try {
            return JobDocument.read(file);
        } catch (UnusableInput e) {
            faults.add(String.valueOf(e.getMessage()));
            return null;
        }
    }

    private static Path manifest(Path pack) {
        if (!Files.isDirectory(pack)) {
            return pack;
        }
        try (Stream<Path> all = Files.list(pack)) {
            List<Path> found = all.filter(f -> TextFiles.name(f).endsWith(Manifest.NAME)).toList();
            if (found.size() == 1) {
                return found.getFirst();
            }
            throw new UnusableInput(pack.toString(), "",
                    say("found %d files called …%s, expected one: name the manifest itself", found.size(),
                            Manifest.NAME));
        } catch (IOException e) {
            throw new UnusableInput(pack.toString(), "",
                    say("cannot be read: %s; expected the folder of a pack", TextFiles.reason(e)));
        }
    }

    private static byte @Nullable [] bytes(Path file) {
        try {
            return Files.isRegularFile(file) && Files.size(file) <= MOST_BYTES ? Files.readAllBytes(file) : null;
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "",
                    say("cannot be read: %s; expected a file of the pack", TextFiles.reason(e)));
        }
    }

    /** Files of this job that the manifest does not know: perhaps of another pack. */
    private static void foreign(Path folder, Manifest manifest, String own, List<String> faults) {
        Set<String> known = new HashSet<>(manifest.files().stream().map(Entry::name).toList());
        known.add(own);
        try (Stream<Path> all = Files.list(folder)) {
            all.filter(Files::isRegularFile).map(TextFiles::name).filter(n -> !known.contains(n)).sorted()
                    .forEach(n -> faults.add(n + ": not of this pack"));
        } catch (IOException e) {
            faults.add(say("the folder cannot be listed: %s", TextFiles.reason(e)));
        }
    }
}
