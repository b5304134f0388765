package amberheron.io.catalogue;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.StreamFormat;
import amberheron.core.mixture.Fuel;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.CatalogueJson;
import amberheron.io.json.CatalogueJson.Reading;
import amberheron.io.json.CatalogueJson.Wire;
import amberheron.io.json.FuelJson;
import amberheron.io.json.LawJson;
import amberheron.io.json.ReaderJson;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * Everything to choose from. What ships with the application comes first; a shop adds {@code fuels.json},
 * {@code laws.json}, {@code readers.json}, {@code wires.json} or {@code controllers.json} of its own in its catalogue folder, and an entry with
 * the same id replaces ours.
 *
 * @param faults entries and files of the shop that could not be used, each with its reason; the rest is used all the same
 */
public record Catalogue(List<Fuel> fuels, List<OutputLaw> laws, List<Reader> readers, List<Wire> wires,
        List<ControllerSheet> controllers, List<StreamFormat> streams, List<String> faults) {
    static final long MOST_BYTES = 4L << 20;

    /** The catalogue that ships with the application. */
    public static Catalogue shipped() {
        List<String> faults = new ArrayList<>();
        return load(List.of(), faults);
    }

    /** The same with the shop's own folder, which need not exist. */
    public static Catalogue withShop(Path folder) {
        List<String> faults = new ArrayList<>();
        return load(Files.isDirectory(folder) ? List.of(folder) : List.of(), faults);
    }

    private static Catalogue load(List<Path> folders, List<String> faults) {
        return new Catalogue(merged("fuels", CatalogueJson::fuels, Fuel::id, folders, faults),
                merged("laws", CatalogueJson::laws, OutputLaw::id, folders, faults),
                merged("readers", CatalogueJson::readers, Reader::id, folders, faults),
                merged("wires", CatalogueJson::wires, Wire::id, folders, faults),
                merged("controllers", CatalogueJson::controllers, ControllerSheet::id, folders, faults),
                merged("streams", CatalogueJson::streams, StreamFormat::id, folders, faults), List.copyOf(faults));
    }

    private static <T> List<T> merged(String kind, Reading<T> read, Function<T, String> id,
            List<Path> folders, List<String> faults) {
        String file = kind + ".json";
        Map<String, T> all = new LinkedHashMap<>();
        read.read(file, shippedText(file), f -> faults.add(f.why())).forEach(t -> all.put(id.apply(t), t));
        for (Path folder : folders) {
            Path own = folder.resolve(file);
            if (Files.exists(own)) {
                try {
                    read.read(own.toString(), TextFiles.read(own, MOST_BYTES), f -> faults.add(f.why()))
                            .forEach(t -> all.put(id.apply(t), t));
                } catch (UnusableInput e) {
                    faults.add(e.getMessage());
                }
            }
        }
        return List.copyOf(all.values());
    }

    private static String shippedText(String file) {
        try (InputStream in = Objects
                .requireNonNull(Catalogue.class.getResourceAsStream("/amberheron/io/catalogue/" + file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A law by catalogue id, or from a JSON file. */
    public OutputLaw law(String idOrFile) {
        return find("law", idOrFile, laws, OutputLaw::id, LawJson::read);
    }

    /** A reader by catalogue id, or from a JSON file. */
    public Reader reader(String idOrFile) {
        return find("reader", idOrFile, readers, Reader::id, ReaderJson::read);
    }

    /** A fuel by catalogue id, or from a JSON file. */
    public Fuel fuel(String idOrFile) {
        return find("fuel", idOrFile, fuels, Fuel::id, FuelJson::read);
    }

    private static <T> T find(String kind, String idOrFile, List<T> known, Function<T, String> id,
            Function<Path, T> read) {
        for (T t : known) {
            if (id.apply(t).equals(idOrFile)) {
                return t;
            }
        }
        Path file = Path.of(idOrFile);
        if (idOrFile.endsWith(".json") || Files.exists(file)) {
            return read.apply(file);
        }
        throw new UnusableInput(word(kind), "",
                say("found “%s”, expected a JSON file or one of %s", idOrFile,
                        String.join(", ", known.stream().map(id).toList())));
    }
}
