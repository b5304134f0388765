package amberheron.io.json;

import amberheron.core.finding.Origin;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/** Where a reading came from; documents before version 3 do not say. */
final class OriginJson {
    private OriginJson() {
    }

    static Origin read(Optional<Cursor> at) {
        return at.map(
                o -> new Origin(o.choice("kind", Origin.Kind.values()), o.text("instrument", ""), moment(o, "taken"),
                        o.text("job", "")))
                .orElse(Origin.UNRECORDED);
    }

    /** A moment; null where none is said. */
    static @Nullable Instant moment(Cursor at, String field) {
        String text = at.textOrNull(field);
        try {
            return text == null ? null : Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw at.fault(field, "a moment such as 2026-05-31T09:30:00Z");
        }
    }

    static ObjectNode write(Origin origin) {
        Instant taken = origin.taken();
        return Json.object().put("kind", Cursor.id(origin.kind())).put("instrument", origin.instrument())
                .put("taken", taken == null ? null : taken.toString()).put("job", origin.job());
    }
}
