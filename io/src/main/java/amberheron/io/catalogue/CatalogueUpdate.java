package amberheron.io.catalogue;

import static amberheron.core.units.Phrase.say;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.CatalogueJson;
import amberheron.io.json.CatalogueJson.Fault;
import amberheron.io.json.CatalogueJson.Reading;
import amberheron.io.json.CatalogueJson.Updated;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Result of taking catalogue files from a folder into the shop's own. An entry takes the place of the shop's with the
 * same id; what else the shop has stays, and an entry that cannot be used is left out and said. Jobs keep the law and
 * reader that they were made with.
 *
 * @param added entries that are new, such as {@code laws: ours}
 * @param replaced entries that stood there otherwise
 * @param same entries that stood there already
 * @param leftOut entries that cannot be used, and why
 */
public record CatalogueUpdate(List<String> added, List<String> replaced, List<String> same, List<String> leftOut) {
    private static final Map<String, Reading<Object>> KINDS = kinds();

    public CatalogueUpdate {
        added = List.copyOf(added);
        replaced = List.copyOf(replaced);
        same = List.copyOf(same);
        leftOut = List.copyOf(leftOut);
    }

    private static Map<String, Reading<Object>> kinds() {
        Map<String, Reading<Object>> all = new LinkedHashMap<>();
        all.put("fuels", CatalogueJson::fuels);
        all.put("laws", CatalogueJson::laws);
        all.put("readers", CatalogueJson::readers);
        all.put("wires", CatalogueJson::wires);
        all.put("controllers", CatalogueJson::controllers);
        all.put("streams", CatalogueJson::streams);
        return all;
    }

    /**
     * Takes files from a folder, such as a stick or a share of the shop. What stood there before is kept as
     * {@code NAME.json.before}.
     *
     * @param own the shop's catalogue folder; made where there is none
     * @throws UnusableInput when there are no such files, or one is no catalogue at all; the shop's are then as they were
     */
    public static CatalogueUpdate take(Path from, Path own) {
        List<String> added = new ArrayList<>();
        List<String> replaced = new ArrayList<>();
        List<String> same = new ArrayList<>();
        List<String> leftOut = new ArrayList<>();
        Map<Path, String> write = new LinkedHashMap<>();
        KINDS.forEach((kind, read) -> {
            Path file = from.resolve(kind + ".json");
            if (Files.exists(file)) {
                Path there = own.resolve(kind + ".json");
                String before = Files.exists(there)
                        ? TextFiles.read(there, Catalogue.MOST_BYTES)
                        : "{\"" + kind + "\": []}";
                Updated updated = usable(kind, read, there.toString(), before, file.toString(),
                        TextFiles.read(file, Catalogue.MOST_BYTES), leftOut);
                updated.added().forEach(id -> added.add(kind + ": " + id));
                updated.replaced().forEach(id -> replaced.add(kind + ": " + id));
                updated.same().forEach(id -> same.add(kind + ": " + id));
                if (!updated.added().isEmpty() || !updated.replaced().isEmpty()) {
                    write.put(there, updated.text());
                }
            }
        });
        if (added.isEmpty() && replaced.isEmpty() && same.isEmpty() && leftOut.isEmpty()) {
            throw new UnusableInput(from.toString(), "",
                    say("has no catalogue entries, expected a folder with one or more of %s.json",
                            String.join(".json, ", KINDS.keySet())));
        }
        write.forEach(CatalogueUpdate::put);
        return new CatalogueUpdate(added, replaced, same, leftOut);
    }

    /**
     * Reads both files together, since a blend may name a fuel of the shop's, and leaves out new entries that cannot be
     * used.
     */
    private static Updated usable(String kind, Reading<Object> read, String ownName, String own, String moreName,
            String more,
            List<String> leftOut) {
        Set<String> without = new HashSet<>();
        Set<Fault> known = new HashSet<>();
        read.read(ownName, own, known::add);
        Set<String> ownFaults = known.stream().map(Fault::id).collect(Collectors.toSet());
        while (true) {
            Updated both = CatalogueJson.updated(kind, ownName, own, moreName, more, without);
            List<Fault> faults = new ArrayList<>();
            read.read(moreName, both.text(), faults::add);
            List<Fault> fresh = faults.stream().filter(f -> both.added().contains(f.id())
                    || both.replaced().contains(f.id())
                    || (both.same().contains(f.id()) && !ownFaults.contains(f.id()))).toList();
            if (fresh.isEmpty()) {
                return both;
            }
            fresh.forEach(f -> {
                without.add(f.id());
                leftOut.add(f.why());
            });
        }
    }

    private static void put(Path file, String text) {
        try {
            if (Files.exists(file)) {
                TextFiles.replace(file.resolveSibling(file.getFileName() + ".before"), Files.readAllBytes(file));
            }
            TextFiles.replace(file, text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UnusableInput(file.toString(), "",
                    say("cannot be written: %s, expected a folder that can be written to", TextFiles.reason(e)));
        }
    }

    /** Result in a few lines. */
    public String said() {
        return say("%d new, %d replaced, %d as they were.", added.size(), replaced.size(), same.size())
                + list(say(" New: "), added) + list(say(" Replaced: "), replaced)
                + (leftOut.isEmpty() ? "" : say("\nLeft out: %s", String.join("\nLeft out: ", leftOut)));
    }

    private static String list(String heading, List<String> entries) {
        return entries.isEmpty() ? "" : heading + String.join(", ", entries) + ".";
    }
}
