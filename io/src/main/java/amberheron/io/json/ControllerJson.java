package amberheron.io.json;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.ControllerSheet.Sign;
import amberheron.core.controller.InAir;
import amberheron.core.controller.School;
import amberheron.core.controller.State;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a controller does, from its maker's paper.
 *
 * <pre>
 * {"id": "learner", "name": "Learns in air", "school": "clear-then-learn", "warmUp": 45, "placeholder": 1.0,
 *  "inAir": {"kind": "learned", "value": 0.207}, "signs": [{"seen": "two dashes", "state": "no-sensor"}],
 *  "laws": ["straight-lambda"]}
 * </pre>
 *
 * {@code school}: {@code clear-then-learn}, {@code trim-by-hand} or {@code factory-trimmed}. {@code warmUp} in seconds,
 * {@code placeholder} in lambda or null. {@code inAir.kind}: {@code learned} (then the oxygen it shows as {@code value}),
 * {@code of-the-day}, or {@code top} (then the leanest lambda it shows, or null).
 */
final class ControllerJson {
    private ControllerJson() {
    }

    static ControllerSheet read(Cursor at) {
        Cursor air = at.object("inAir");
        InAir inAir = air.build(() -> new InAir(air.choice("kind", InAir.Kind.values()), air.numberOrNull("value")));
        List<Sign> signs = at.list("signs").stream()
                .map(s -> new Sign(s.text("seen"), s.choice("state", State.values()))).toList();
        return at.build(() -> new ControllerSheet(at.text("id"), at.text("name"),
                at.choice("school", School.values()), at.number("warmUp"), at.numberOrNull("placeholder"), inAir, signs,
                at.texts("laws"), SourceJson.read(at)));
    }

    static ObjectNode write(ControllerSheet sheet) {
        ObjectNode out = Json.object().put("id", sheet.id()).put("name", sheet.name())
                .put("school", Cursor.id(sheet.school())).put("warmUp", sheet.warmUp())
                .put("placeholder", sheet.placeholder());
        out.putObject("inAir").put("kind", Cursor.id(sheet.inAir().kind())).put("value", sheet.inAir().value());
        ArrayNode signs = out.putArray("signs");
        sheet.signs().forEach(s -> signs.addObject().put("seen", s.seen()).put("state", Cursor.id(s.state())));
        ArrayNode laws = out.putArray("laws");
        sheet.laws().forEach(laws::add);
        SourceJson.write(out, sheet.source());
        return out;
    }
}
