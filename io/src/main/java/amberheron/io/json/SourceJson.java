package amberheron.io.json;

import amberheron.core.finding.Source;
import tools.jackson.databind.node.ObjectNode;

/** Where a value comes from: {@code {"kind": "published", "citation": "…"}}. */
final class SourceJson {
    private SourceJson() {
    }

    /** The source named at this place; a file that names none is taken for the maker's sheet. */
    static Source read(Cursor at) {
        return at.objectOrNone("source")
                .map(s -> s.build(() -> new Source(s.choice("kind", Source.Kind.values()), s.text("citation"))))
                .orElseGet(() -> new Source(Source.Kind.MAKERS_SHEET, "as entered in " + at.file()));
    }

    static void write(ObjectNode into, Source source) {
        into.putObject("source").put("kind", Cursor.id(source.kind())).put("citation", source.citation());
    }
}
