package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Pair;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.csv.LawCsv;
import java.nio.file.Path;
import java.util.Locale;
import tools.jackson.databind.node.ObjectNode;

/** A law, a reader or a pair of them from a file of any of their forms: which it is, is told by what stands in it. */
public sealed interface ScaleFile {
    /** A law. */
    record OfLaw(OutputLaw law) implements ScaleFile {
    }

    /** A reader, with its setting or without. */
    record OfReader(Reader reader) implements ScaleFile {
    }

    /** Both. */
    record OfPair(Pair pair) implements ScaleFile {
    }

    /** Setting of a reader, box by box, as one types it. */
    record OfBoxes(String typed) implements ScaleFile {
    }

    /**
     * Reads it.
     *
     * @throws UnusableInput saying where and what was expected
     */
    static ScaleFile read(Path file) {
        if (isTable(file)) {
            return LawCsv.holdsBoxes(file) ? new OfBoxes(LawCsv.boxes(file)) : new OfLaw(LawCsv.read(file));
        }
        ObjectNode tree = Json.read(file);
        Cursor at = new Cursor(TextFiles.name(file), "", tree);
        if (PairJson.isPair(tree)) {
            return new OfPair(PairJson.read(at));
        }
        if (tree.has("form")) {
            return new OfReader(ReaderJson.read(at));
        }
        if (tree.has("kind")) {
            return new OfLaw(LawJson.read(at));
        }
        throw new UnusableInput(TextFiles.name(file), "",
                say("found neither kind (a law) nor form (a reader), expected one of them"));
    }

    /** Whether it is a table: by its name, or where that says neither, by its first sign. */
    private static boolean isTable(Path file) {
        String name = TextFiles.name(file).toLowerCase(Locale.ROOT);
        return name.endsWith(".csv") || (!name.endsWith(".json")
                && !TextFiles.read(file, Json.MOST_BYTES).replace("\uFEFF", "").stripLeading().startsWith("{"));
    }

    /** The text of a law's own file. */
    static String text(OutputLaw law) {
        return Json.text(LawJson.write(law));
    }

    /** The text of a reader's own file. */
    static String text(Reader reader) {
        return Json.text(ReaderJson.write(reader));
    }
}
