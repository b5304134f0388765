package amberheron.io.json;

import amberheron.core.wiring.Feed;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Wiring;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Power sources with their readings, the feed, the fuse and the ground. */
final class WiringJson {
    private WiringJson() {
    }

    static Wiring read(Cursor at) {
        Cursor feed = at.object("feed");
        Cursor ground = at.object("ground");
        return new Wiring(at.list("sources").stream().map(WiringJson::source).toList(), at.textOrNull("taken"),
                new Feed(positiveOrNull(feed, "length"), positiveOrNull(feed, "crossSection"), feed.flag("relay"),
                        positiveOrNull(feed, "battery")),
                at.numberOrNull("fuse"), at.numberOrNull("draw"),
                new Wiring.Ground(ground.flagOrNull("shared"), ground.numberOrNull("length"),
                        positiveOrNull(ground, "crossSection"), ground.numberOrNull("current")),
                at.text("groundPoint", ""));
    }

    private static PowerSource source(Cursor at) {
        Cursor volts = at.object("volts");
        Map<KeyState, Double> readings = new EnumMap<>(KeyState.class);
        for (KeyState state : KeyState.values()) {
            Double value = volts.numberOrNull(Cursor.id(state));
            if (value != null) {
                readings.put(state, value);
            }
        }
        return new PowerSource(at.text("id"), at.text("place", ""), readings, at.numberOrNull("hostFuse"),
                at.numberOrNull("hostLoad"));
    }

    private static @Nullable Double positiveOrNull(Cursor at, String field) {
        Double value = at.numberOrNull(field);
        if (value != null && value <= 0) {
            throw at.fault(field, "more than 0");
        }
        return value;
    }

    static ObjectNode write(Wiring wiring) {
        ObjectNode out = Json.object();
        ArrayNode sources = out.putArray("sources");
        for (PowerSource s : wiring.sources()) {
            ObjectNode one = sources.addObject().put("id", s.id()).put("place", s.place());
            ObjectNode volts = one.putObject("volts");
            for (KeyState state : KeyState.values()) {
                volts.put(Cursor.id(state), s.at(state).orElse(null));
            }
            one.put("hostFuse", s.hostFuse()).put("hostLoad", s.hostLoad());
        }
        Feed feed = wiring.feed();
        out.put("taken", wiring.taken());
        out.putObject("feed").put("length", feed.length()).put("crossSection", feed.crossSection())
                .put("relay", feed.relay()).put("battery", feed.battery());
        out.put("fuse", wiring.fuse()).put("draw", wiring.draw());
        out.putObject("ground").put("shared", wiring.ground().shared()).put("length", wiring.ground().length())
                .put("crossSection", wiring.ground().crossSection()).put("current", wiring.ground().current());
        return out.put("groundPoint", wiring.groundPoint());
    }
}
