package amberheron.io.json;

import amberheron.core.harness.Harness;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.School;
import amberheron.core.wiring.GroundTrial;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.Wiring;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
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
                        positiveOrNull(feed, "battery"), feed.numberOrNull("atBattery"), feed.numberOrNull("memory")),
                at.numberOrNull("fuse"), at.numberOrNull("draw"),
                ground(ground),
                at.text("groundPoint", ""), at.objectOrNone("signals").map(HarnessJson::signals).orElse(Signals.NONE),
                at.objectOrNone("heater")
                        .map(h -> new HeaterTiming(h.choiceOrNull("school", HeaterTiming.School.values()),
                                h.numberOrNull("delay")))
                        .orElse(HeaterTiming.OPEN),
                at.objectOrNone("harness").map(HarnessJson::harness).orElse(Harness.NONE));
    }

    private static GroundPlan ground(Cursor at) {
        Map<School, Double> measured = new EnumMap<>(School.class);
        at.objectOrNone("measured").ifPresent(m -> {
            for (School school : School.values()) {
                Double volts = m.numberOrNull(Cursor.id(school));
                if (volts != null) {
                    measured.put(school, volts);
                }
            }
        });
        return new GroundPlan(at.choiceOrNull("school", School.values()), at.flag("twoWires"),
                positiveOrNull(at, "toBattery"), positiveOrNull(at, "toChassis"), positiveOrNull(at, "toReader"),
                positiveOrNull(at, "section"), at.numberOrNull("mean"), at.numberOrNull("peak"),
                at.numberOrNull("others"), positiveOrNull(at, "strap"), at.numberOrNull("display"),
                positiveOrNull(at, "joint"), at.numberOrNull("readerDraw"), measured,
                at.objectOrNone("trial").map(WiringJson::trial).orElse(GroundTrial.NONE));
    }

    private static GroundTrial trial(Cursor at) {
        GroundTrial trial = new GroundTrial(Map.of(), at.numberOrNull("lampsDraw"), at.numberOrNull("fanDraw"));
        for (GroundTrial.On on : GroundTrial.On.values()) {
            trial = trial.with(on, at.numberOrNull(Cursor.id(on)));
        }
        return trial;
    }

    private static PowerSource source(Cursor at) {
        Cursor volts = at.object("volts");
        Optional<Cursor> origins = at.objectOrNone("origins");
        Map<KeyState, PowerSource.Reading> readings = new EnumMap<>(KeyState.class);
        for (KeyState state : KeyState.values()) {
            Double value = volts.numberOrNull(Cursor.id(state));
            if (value != null) {
                readings.put(state, new PowerSource.Reading(value,
                        OriginJson.read(origins.flatMap(o -> o.objectOrNone(Cursor.id(state))))));
            }
        }
        return new PowerSource(at.text("id"), at.text("letter", at.text("id")), at.text("place", ""), readings,
                at.numberOrNull("hostFuse"),
                at.numberOrNull("hostLoad"));
    }

    static @Nullable Double positiveOrNull(Cursor at, String field) {
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
            ObjectNode one = sources.addObject().put("id", s.id()).put("letter", s.letter()).put("place", s.place());
            ObjectNode volts = one.putObject("volts");
            for (KeyState state : KeyState.values()) {
                volts.put(Cursor.id(state), s.at(state).orElse(null));
            }
            ObjectNode origins = one.putObject("origins");
            for (KeyState state : KeyState.values()) {
                PowerSource.Reading reading = s.volts().get(state);
                origins.set(Cursor.id(state),
                        reading == null ? origins.nullNode() : OriginJson.write(reading.origin()));
            }
            one.put("hostFuse", s.hostFuse()).put("hostLoad", s.hostLoad());
        }
        Feed feed = wiring.feed();
        out.put("taken", wiring.taken());
        out.putObject("feed").put("length", feed.length()).put("crossSection", feed.crossSection())
                .put("relay", feed.relay()).put("battery", feed.battery()).put("atBattery", feed.atBattery())
                .put("memory", feed.memory());
        out.put("fuse", wiring.fuse()).put("draw", wiring.draw());
        GroundPlan g = wiring.ground();
        ObjectNode ground = out.putObject("ground").put("school", Cursor.idOrNull(g.school()))
                .put("twoWires", g.twoWires()).put("toBattery", g.toBattery()).put("toChassis", g.toChassis())
                .put("toReader", g.toReader()).put("section", g.section()).put("mean", g.mean()).put("peak", g.peak())
                .put("others", g.others()).put("strap", g.strap()).put("display", g.display()).put("joint", g.joint())
                .put("readerDraw", g.readerDraw());
        ObjectNode measured = ground.putObject("measured");
        for (School school : School.values()) {
            measured.put(Cursor.id(school), g.measured().get(school));
        }
        ObjectNode trial = ground.putObject("trial").put("lampsDraw", g.trial().lamps()).put("fanDraw",
                g.trial().fan());
        for (GroundTrial.On on : GroundTrial.On.values()) {
            trial.put(Cursor.id(on), g.trial().at(on).orElse(null));
        }
        out.put("groundPoint", wiring.groundPoint());
        out.set("signals", HarnessJson.write(wiring.signals()));
        out.putObject("heater").put("school", Cursor.idOrNull(wiring.heater().school()))
                .put("delay", wiring.heater().delay());
        out.set("harness", HarnessJson.write(wiring.harness()));
        return out;
    }
}
