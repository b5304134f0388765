package amberheron.io.json;

import amberheron.core.job.Pair;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.time.LocalDate;
import tools.jackson.databind.node.ObjectNode;

/**
 * A law and a reader with its setting as one file: {@code {"format": "amber-heron-pair", "law": {…}, "gauge": {…} or null,
 * "reader": {…}, "proof": {"job", "on", "points", "worst"} or null}}, law and reader as {@link LawJson} and
 * {@link ReaderJson} describe.
 */
public final class PairJson {
    private static final String FORMAT = "amber-heron-pair";

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
        return new Pair(LawJson.read(at.object("law")), at.objectOrNone("gauge").map(QuantityJson::read).orElse(null),
                ReaderJson.read(at.object("reader")), at.objectOrNone("proof").map(PairJson::proof).orElse(null));
    }

    private static Pair.Proof proof(Cursor at) {
        LocalDate on = at.date("on");
        if (on == null) {
            throw at.fault("on", "a day such as 2026-03-02");
        }
        return new Pair.Proof(at.text("job"), on, at.integer("points"), at.number("worst"));
    }

    /** The text of a pair's file. */
    public static String write(Pair pair) {
        ObjectNode out = Json.object().put("format", FORMAT);
        out.set("law", LawJson.write(pair.law()));
        QuantityJson.write(out, "gauge", pair.gauge());
        out.set("reader", ReaderJson.write(pair.reader()));
        Pair.Proof proof = pair.proof();
        if (proof == null) {
            out.putNull("proof");
        } else {
            out.putObject("proof").put("job", proof.job()).put("on", proof.on().toString())
                    .put("points", proof.points()).put("worst", proof.worst());
        }
        return Json.text(out);
    }
}
