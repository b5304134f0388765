package amberheron.io.json;

import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import amberheron.core.controller.StreamFormat.Column;
import amberheron.core.controller.StreamFormat.Field;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The form of what a controller sends.
 *
 * <pre>
 * {"id": "shop", "name": "Ours", "start": "go", "separator": ";", "columns": [
 *   {"field": "seconds", "factor": 0.001}, {"field": "lambda", "factor": 0.068027}, {"field": "state"}],
 *  "states": {"fine": "ready", "brr": "cold"}}
 * </pre>
 *
 * {@code field}: {@code seconds}, {@code state}, {@code lambda}, {@code oxygen}, {@code volts}, {@code supply} or
 * {@code ignored}. {@code factor} brings the number to seconds, lambda, a part of 1, volts; 1 if absent. {@code start} is sent
 * once the line is open; {@code checked} is true where the last column is the CRC-32 of what stands before it.
 */
final class StreamJson {
    private StreamJson() {
    }

    static StreamFormat read(Cursor at) {
        List<Column> columns = at.list("columns").stream().map(c -> {
            Double factor = c.numberOrNull("factor");
            return c.build(() -> new Column(c.choice("field", Field.values()), factor == null ? 1 : factor));
        }).toList();
        Map<String, State> states = new HashMap<>();
        at.objectOrNone("states").ifPresent(
                s -> s.node().propertyNames().forEach(word -> states.put(word, s.choice(word, State.values()))));
        return at.build(() -> new StreamFormat(at.text("id"), at.text("name"), at.text("start", ""),
                at.text("separator"), columns, states, Boolean.TRUE.equals(at.flagOrNull("checked"))));
    }
}
