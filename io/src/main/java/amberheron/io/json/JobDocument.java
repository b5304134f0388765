package amberheron.io.json;

import amberheron.core.job.Job;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as a JSON document, with whatever a newer version wrote into it and this one does not know. Such fields are
 * carried along and written again where they stood.
 */
public final class JobDocument {
    private final Job job;
    private final ObjectNode read;
    /** The written form, made on first use by the thread that needs it. */
    private volatile @Nullable ObjectNode written;

    private JobDocument(Job job, ObjectNode read, @Nullable ObjectNode written) {
        // Which output somebody works on is not kept.
        this.job = job.withOutputs(job.outputs().facingFirst());
        this.read = read;
        this.written = written;
    }

    /** A document for a job that was made here. */
    public static JobDocument of(Job job) {
        Job kept = job.withOutputs(job.outputs().facingFirst());
        ObjectNode tree = JobForm.write(kept);
        return new JobDocument(kept, tree, tree);
    }

    /**
     * Reads a document that came from outside: checked against the schema first, then field by field.
     *
     * @throws amberheron.io.UnusableInput saying where and what was expected
     */
    public static JobDocument read(Path file) {
        ObjectNode tree = JobUpgrade.toCurrent(Json.read(file));
        JobSchema.check(TextFiles.name(file), tree);
        return made(TextFiles.name(file), tree);
    }

    /** Reads a document that this program wrote. */
    public static JobDocument parse(String name, String text) {
        ObjectNode tree = JobUpgrade.toCurrent(Json.parse(name, text));
        return made(name, tree);
    }

    static JobDocument made(String name, ObjectNode tree) {
        try {
            return new JobDocument(JobForm.read(name, tree), tree, tree);
        } catch (Unusable e) {
            throw new UnusableInput(name, "", String.valueOf(e.getMessage()));
        }
    }

    /** The job. */
    public Job job() {
        return job;
    }

    /** The same document with the job changed; unknown fields stay. */
    public JobDocument with(Job changed) {
        return new JobDocument(changed, read, null);
    }

    /** The same job under another number, with the readings that were taken of it. */
    public JobDocument numbered(String id) {
        ObjectNode tree = tree().deepCopy();
        renumber(tree, job.id(), id);
        tree.put("id", id);
        return made(id, tree);
    }

    private static void renumber(JsonNode node, String from, String to) {
        if (node instanceof ObjectNode object && object.path("job").asString("").equals(from)) {
            object.put("job", to);
        }
        node.forEach(each -> renumber(each, from, to));
    }

    /** The document as it is written; not to be changed. */
    ObjectNode tree() {
        ObjectNode tree = written;
        if (tree == null) {
            tree = JobForm.write(job);
            keepUnknown(read, tree);
            written = tree;
        }
        return tree;
    }

    /** The document's text. */
    public String text() {
        return Json.text(tree());
    }

    /** The document as UTF-8. */
    public byte[] bytes() {
        return text().getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Carries over unknown fields: the writer names every field it knows, so that what only the old tree has is unknown.
     */
    private static void keepUnknown(ObjectNode old, ObjectNode fresh) {
        for (var field : old.properties()) {
            JsonNode now = fresh.get(field.getKey());
            if (now == null) {
                fresh.set(field.getKey(), field.getValue());
            } else if (now instanceof ObjectNode to && field.getValue() instanceof ObjectNode from
                    && !JobForm.isMap(field.getKey()) && sameThing(from, to)) {
                keepUnknown(from, to);
            } else if (now instanceof ArrayNode to && field.getValue() instanceof ArrayNode from) {
                keepUnknownItems(from, to);
            }
        }
    }

    private static void keepUnknownItems(ArrayNode old, ArrayNode fresh) {
        for (int i = 0; i < fresh.size(); i++) {
            if (!(fresh.get(i) instanceof ObjectNode to)) {
                continue;
            }
            for (int k = 0; k < old.size(); k++) {
                if (old.get(k) instanceof ObjectNode from && (to.has("id") ? sameThing(from, to) : k == i)) {
                    keepUnknown(from, to);
                }
            }
        }
    }

    /** Returns whether both objects describe the same thing; another law's unknown fields say nothing about this one. */
    private static boolean sameThing(ObjectNode from, ObjectNode to) {
        return !to.has("id") || to.get("id").equals(from.get("id"));
    }
}
