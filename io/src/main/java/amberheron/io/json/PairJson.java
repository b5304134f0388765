package amberheron.io.json;

import static amberheron.io.json.Value.day;
import static amberheron.io.json.Value.integer;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.text;

import amberheron.core.job.Pair;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import tools.jackson.databind.node.ObjectNode;

/**
 * A law and a reader with its setting as one file: {@code {"format": "amber-heron-pair", "law": {…}, "gauge": {…} or null,
 * "reader": {…}, "proof": {"job", "on", "points", "worst"} or null}}, law and reader as {@link LawJson} and
 * {@link ReaderJson} describe.
 */
public final class PairJson {
    private static final String FORMAT = "amber-heron-pair";
    private static final RecordForm<Pair.Proof> PROOF = RecordForm.of(Pair.Proof::new, text("job", Pair.Proof::job),
            day("on", Pair.Proof::on), integer("points", Pair.Proof::points), number("worst", Pair.Proof::worst));
    private static final RecordForm<Pair> PAIR = RecordForm.of(Pair::new, object("law", Pair::law, ScaleForms.LAW),
            objectOrNull("gauge", Pair::gauge, CommonForms.QUANTITY), object("reader", Pair::reader, ScaleForms.READER),
            objectOrNull("proof", Pair::proof, PROOF));

    private PairJson() {
    }

    /** Whether a file that was read is one. */
    static boolean isPair(ObjectNode tree) {
        return tree.path("format").asString("").equals(FORMAT);
    }

    /**
     * Reads a pair.
     *
     * @throws UnusableInput saying where and what was expected
     */
    public static Pair read(Path file) {
        return read(new Cursor(TextFiles.name(file), "", Json.read(file)));
    }

    static Pair read(Cursor at) {
        if (!FORMAT.equals(at.textOrNull("format"))) {
            throw at.fault("format", "“" + FORMAT + "”");
        }
        return PAIR.read(at);
    }

    /** The text of a pair's file. */
    public static String write(Pair pair) {
        ObjectNode out = Json.object().put("format", FORMAT);
        PAIR.write(out, pair);
        return Json.text(out);
    }
}
