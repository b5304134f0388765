package amberheron.io.json;

import amberheron.io.TextFiles;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as it was entered and not brought into its book yet, in one file, so that its parts cannot be of different moments.
 *
 * @param book identity of the book it belongs to; empty where that was not known
 * @param key names the entry
 * @param document the job as entered
 * @param revision the book's revision that it was based on; 0 for a job that the book never had, -1 where it is not known
 * @param base the job in that revision; null where that was not kept
 * @param sent earlier states of the same entry that may be in the book already: they were sent, and no answer came
 */
public record LeftEntry(String book, EntryKey key, JobDocument document, long revision, @Nullable JobDocument base,
        List<Sent> sent) {
    private static final String FORMAT = "amber-heron-entry";

    /** A state that was sent. */
    public record Sent(EntryKey key, JobDocument document) {
    }

    public LeftEntry {
        sent = List.copyOf(sent);
    }

    /** Number of the job. */
    public String id() {
        return document.job().id();
    }

    /** The file's content as UTF-8. */
    public byte[] bytes() {
        ObjectNode out = Json.object().put("format", FORMAT).put("book", book);
        write(out, key).put("revision", revision);
        out.set("document", document.tree());
        out.set("base", base == null ? out.nullNode() : base.tree());
        ArrayNode all = out.putArray("sent");
        sent.forEach(s -> write(all.addObject(), s.key).set("document", s.document.tree()));
        return Json.text(out).getBytes(StandardCharsets.UTF_8);
    }

    private static ObjectNode write(ObjectNode out, EntryKey key) {
        return out.put("writer", key.writer()).put("number", key.number());
    }

    /**
     * Reads a file.
     *
     * @throws amberheron.io.UnusableInput saying where and what was expected
     */
    public static LeftEntry read(Path file) {
        String name = TextFiles.name(file);
        Cursor at = new Cursor(name, "", Json.read(file));
        if (!FORMAT.equals(at.textOrNull("format"))) {
            throw at.fault("format", "“" + FORMAT + "”");
        }
        List<Sent> sent = new ArrayList<>();
        at.list("sent").forEach(s -> sent.add(new Sent(key(s), document(name, s))));
        Cursor base = at.objectOrNone("base").orElse(null);
        return new LeftEntry(at.text("book", ""), key(at), document(name, at), at.integer("revision"),
                base == null ? null : JobDocument.parse(name, Json.text(base.node())), sent);
    }

    private static EntryKey key(Cursor at) {
        return new EntryKey(at.text("writer"), at.integer("number"));
    }

    private static JobDocument document(String name, Cursor at) {
        return JobDocument.parse(name, Json.text(at.object("document").node()));
    }
}
