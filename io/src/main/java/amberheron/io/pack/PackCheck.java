package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.scaling.OutputLaw;
import amberheron.io.Printable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.ShopHabits;
import amberheron.io.json.Difference;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import amberheron.io.json.Manifest.Entry;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Whether a pack is whole, and whether it and a job still agree.
 *
 * @param faults what of the pack is missing, changed, does not belong, or is not as its manifest says; empty for one that is
 *            whole
 * @param since what changed in the job since; empty where nothing did or no job was compared
 * @param signedBy public part of the key with which the manifest was signed; empty where it is not signed
 */
public record PackCheck(Manifest manifest, List<String> faults, List<Difference> since, String signedBy) {
    /** Ending of the name of a file that holds the signature of a manifest: the key's public part, then the signature. */
    static final String SIGNATURE = "-manifest.sig";
    private static final long MOST_BYTES = 1L << 28;
    private static final Pattern LINK = Pattern.compile("href=\"([^\"#]+)\"");

    public PackCheck {
        faults = List.copyOf(faults);
        since = List.copyOf(since);
    }

    /** Whether the pack is whole and nothing changed since. */
    public boolean agrees() {
        return faults.isEmpty() && since.isEmpty();
    }

    /** Says in a sentence or two what this proves and what not. */
    public String proves() {
        String demo = "yes".equals(manifest.habits().get(ShopHabits.DEMO))
                ? say(" It is of the demo, where simulated readings count.")
                : "";
        return signature() + demo;
    }

    private String signature() {
        return signedBy.isEmpty()
                ? say("It is not signed: this proves that nothing changed since the manifest was "
                        + "written, not who wrote it or when.")
                : say("Signed with the key %s: whoever has that key wrote it. Compare it with the key that the shop gave you "
                        + "(--by); the day is the shop's own word.", signedBy);
    }

    /**
     * Looks at every file of a pack.
     *
     * @param pack its folder, or its manifest
     * @param now the job to compare with; null for none
     * @param laws output laws a reader's setting may have been copied from, for working out the links again
     * @throws UnusableInput when there is no manifest, or several, or it cannot be read
     */
    public static PackCheck of(Path pack, @Nullable JobDocument now, List<OutputLaw> laws) {
        Path file = manifest(pack);
        Path folder = Objects.requireNonNull(file.toAbsolutePath().getParent());
        String text = TextFiles.read(file, MOST_BYTES);
        Manifest manifest = Manifest.parse(TextFiles.name(file), text);
        List<String> faults = new ArrayList<>();
        JobDocument given = null;
        Entry document = manifest.document();
        if (document == null) {
            faults.add(say("the job's document is not among the files"));
        }
        Set<String> known = new HashSet<>(manifest.files().stream().map(Entry::name).toList());
        for (Entry entry : manifest.files()) {
            byte[] bytes = bytes(folder.resolve(entry.name()));
            if (bytes == null) {
                faults.add(say("%s: missing", entry.name()));
                continue;
            }
            if (!TextFiles.digest(bytes).equals(entry.digest())) {
                faults.add(say("%s: changed since the pack was made", entry.name()));
            } else if (bytes.length != entry.bytes()) {
                faults.add(say("%s: has %d bytes, the manifest says %d", entry.name(), bytes.length, entry.bytes()));
            }
            if (entry.name().endsWith(".html")) {
                links(entry.name(), new String(bytes, StandardCharsets.UTF_8), known, faults);
            }
            if (entry.equals(document)) {
                if (!Manifest.code(bytes).equals(manifest.code())) {
                    faults.add(say("%s: its code is %s, the pack's is %s", entry.name(), Manifest.code(bytes),
                            manifest.code()));
                }
                given = given(folder.resolve(entry.name()), faults);
            }
        }
        if (given != null) {
            said(manifest, given, laws, faults);
        }
        String own = TextFiles.name(file);
        String signature = own.substring(0, own.length() - Math.min(own.length(), Manifest.NAME.length())) + SIGNATURE;
        foreign(folder, known, Set.of(own, signature), faults);
        if (now != null && !now.job().id().equals(manifest.job())) {
            throw new UnusableInput(own, "job",
                    say("is the pack of %s, expected that of %s", manifest.job(), now.job().id()));
        }
        return new PackCheck(manifest, faults,
                now == null || given == null ? List.of() : Difference.between(given, now),
                signedBy(folder.resolve(signature), text, faults));
    }

    /** Links of its pages have to lead into it. */
    private static void links(String page, String html, Set<String> known, List<String> faults) {
        Matcher link = LINK.matcher(html);
        while (link.find()) {
            if (!known.contains(link.group(1))) {
                faults.add(say("%s: leads to %s, which is not of this pack", page, Printable.of(link.group(1))));
            }
        }
    }

    /** Compares what the manifest says of the job with the job itself. */
    private static void said(Manifest manifest, JobDocument given, List<OutputLaw> laws,
            List<String> faults) {
        if (!given.job().id().equals(manifest.job())) {
            faults.add(say("the manifest says job %s, the document is of %s", manifest.job(), given.job().id()));
        }
        if (manifest.made() == null) {
            faults.add(say("the manifest does not say on which day it was made"));
        }
        if (manifest.habits().isEmpty()) {
            return;
        }
        try {
            Shop shop = ShopHabits.read(manifest.habits(), laws);
            Map<String, String> stand = Manifest
                    .stations(new JobReview(given.job(), manifest.made() == null ? shop : shop.on(manifest.made())));
            stand.forEach((station, state) -> {
                String word = manifest.stations().get(station);
                if (!state.equals(word)) {
                    faults.add(say("%s: the manifest says %s, the document shows %s", station,
                            word == null ? say("nothing") : Printable.of(word), state));
                }
            });
        } catch (RuntimeException e) {
            faults.add(say("how the links stand cannot be worked out from the document"));
        }
    }

    /** Empty for one that is not signed; a signature that does not fit is a fault. */
    private static String signedBy(Path file, String manifest, List<String> faults) {
        byte[] bytes = bytes(file);
        if (bytes == null) {
            return "";
        }
        String[] lines = new String(bytes, StandardCharsets.UTF_8).strip().split("\\s+", -1);
        try {
            if (lines.length == 2 && ShopKey.isSignedBy(lines[0], manifest.getBytes(StandardCharsets.UTF_8),
                    Base64.getDecoder().decode(lines[1]))) {
                return lines[0];
            }
        } catch (IllegalArgumentException e) {
            // Said below.
        }
        faults.add(say("%s: is no signature of this manifest", TextFiles.name(file)));
        return "";
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
            return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS) && Files.size(file) <= MOST_BYTES
                    ? Files.readAllBytes(file)
                    : null;
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "",
                    say("cannot be read: %s; expected a file of the pack", TextFiles.reason(e)));
        }
    }

    /** Files that the manifest does not know: perhaps of another pack. */
    private static void foreign(Path folder, Set<String> known, Set<String> own, List<String> faults) {
        try (Stream<Path> all = Files.list(folder)) {
            all.filter(f -> !known.contains(TextFiles.name(f)) && !own.contains(TextFiles.name(f)))
                    .map(f -> TextFiles.name(f) + (Files.isDirectory(f) ? " (a folder)" : "")).sorted()
                    .forEach(n -> faults.add(say("%s: not of this pack", n)));
        } catch (IOException e) {
            faults.add(say("the folder cannot be listed: %s", TextFiles.reason(e)));
        }
    }
}
