package amberheron.io.json;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings documents of earlier versions up to date, one version after the other. Version 3 knew a
 * controller only by its school, which was not asked before something was read in air. Version 2 did not say where a reading came
 * from; what it called a reading of the simulated bench stays one. Version 1 knew the exhaust only as a turbine, a diameter and where the catalyst
 * starts; those become pieces, with lengths left open where version 1 had none. Anything that does not look like
 * version 1 is left alone, so that the reader can say what is wrong with it.
 */
final class JobUpgrade {
    private static final List<String> SCHOOLS = List.of("clear-then-learn", "trim-by-hand", "factory-trimmed");

    private JobUpgrade() {
    }

    static ObjectNode toCurrent(ObjectNode tree) {
        return aspirationOfRun(leadToRoute(toFour(toThree(toTwo(tree)))));
    }

    /** Answers the aspiration by the run; before it was asked by itself, a run had a turbine or it had none. */
    private static ObjectNode aspirationOfRun(ObjectNode tree) {
        JsonNode pieces = tree.path("intake").path("exhaust").path("segments");
        if (!pieces.isArray() || pieces.isEmpty() || tree.path("intake").has("aspiration")) {
            return tree;
        }
        ObjectNode out = tree.deepCopy();
        boolean turbine = pieces.valueStream().anyMatch(p -> p.path("kind").asString("").equals("turbine"));
        ((ObjectNode) out.get("intake")).put("aspiration", turbine ? "turbo" : "natural");
        return out;
    }

    /** Moves the lead to the wiring's route; it was asked at the place as well. */
    private static ObjectNode leadToRoute(ObjectNode tree) {
        JsonNode lead = tree.path("placing").path("probe").path("lead");
        JsonNode harness = tree.path("wiring").path("harness");
        if (!lead.isNumber() || harness.path("route").path("lead").isNumber()
                || !(tree.get("wiring") instanceof ObjectNode)) {
            return tree;
        }
        ObjectNode out = tree.deepCopy();
        ObjectNode wiring = (ObjectNode) out.get("wiring");
        ObjectNode kept = wiring.get("harness") instanceof ObjectNode h ? h : wiring.putObject("harness");
        ObjectNode route = kept.get("route") instanceof ObjectNode r
                ? r
                : kept.putObject("route").put("lookedBehind", false).put("dripLoop", false);
        // With the place it was the whole cable.
        double extension = route.path("extension").asDouble(0);
        double whole = lead.doubleValue();
        route.put("lead", extension < whole ? whole - extension : whole);
        return out;
    }

    private static ObjectNode toFour(ObjectNode tree) {
        JsonNode version = tree.get("version");
        if (version == null || !version.isInt() || version.intValue() != 3
                || !(tree.get("air") instanceof ObjectNode)) {
            return tree;
        }
        ObjectNode out = tree.deepCopy();
        out.put("version", 4);
        ObjectNode air = (ObjectNode) out.get("air");
        JsonNode school = air.remove("school");
        String key = school == null ? "" : school.asString("");
        boolean read = air.path("shownOxygen").isNumber() || air.path("shownLambda").isNumber();
        boolean chosen = read || !key.equals("clear-then-learn");
        if (chosen && SCHOOLS.contains(key)) {
            // Version 3 judged all by the oxygen of the day, or by the top of the range.
            String kind = air.path("shownOxygen").isNumber() && key.equals("factory-trimmed") ? "of-the-day" : "top";
            ObjectNode sheet = air.putObject("controller").put("id", "kept-" + key)
                    .put("name", "As noted before, " + key.replace('-', ' ')).put("school", key).put("warmUp", 120)
                    .putNull("placeholder");
            sheet.putObject("inAir").put("kind", kind).putNull("value");
            sheet.putArray("signs");
            sheet.putArray("laws");
            sheet.putObject("source").put("kind", "memory").put("citation", "only the way was noted");
        }
        return out;
    }

    private static ObjectNode toThree(ObjectNode tree) {
        JsonNode version = tree.get("version");
        if (version == null || !version.isInt() || version.intValue() != 2) {
            return tree;
        }
        ObjectNode out = tree.deepCopy();
        out.put("version", 3);
        if (out.get("points") instanceof ArrayNode points) {
            for (JsonNode p : points) {
                if (p instanceof ObjectNode point && point.path("note").asString("").equals("simulated bench")) {
                    point.putObject("origin").put("kind", "simulated").put("instrument", "simulated bench");
                }
            }
        }
        return out;
    }

    private static ObjectNode toTwo(ObjectNode tree) {
        JsonNode version = tree.get("version");
        if (version == null || !version.isInt() || version.intValue() != 1
                || !(tree.get("intake") instanceof ObjectNode intake)
                || !(intake.get("exhaust") instanceof ObjectNode exhaust)) {
            return tree;
        }
        ObjectNode out = tree.deepCopy();
        out.put("version", 2);
        ((ObjectNode) out.get("intake")).set("exhaust", exhaust(exhaust));
        ObjectNode progress = out.putObject("progress");
        move(out, "done", progress);
        ObjectNode placing = out.putObject("placing");
        move(out, "candidates", placing);
        move(out, "chosen", placing);
        if (placing.get("candidates") instanceof ArrayNode candidates) {
            for (JsonNode c : candidates) {
                if (c instanceof ObjectNode candidate) {
                    candidate.put("line", "all").put("hole", "none");
                }
            }
        }
        if (out.get("wiring") instanceof ObjectNode wiring) {
            wiring(wiring);
        }
        placing.putObject("probe");
        placing.putObject("bung").put("diameter", 0.030).put("lip", 0.022).put("stepped", true);
        placing.putObject("fitted").put("along", 0).put("across", 0);
        return out;
    }

    /** Version 1 knew one power source, three of its readings, and one ground wire. */
    private static void wiring(ObjectNode wiring) {
        JsonNode volts = wiring.remove("volts");
        ArrayNode sources = wiring.putArray("sources");
        boolean measured = volts != null && volts.properties().stream().anyMatch(v -> !v.getValue().isNull());
        if (measured) {
            sources.addObject().put("id", "A").put("place", "").set("volts", volts);
            wiring.put("taken", "A");
        }
        wiring.putObject("feed").put("relay", false);
        if (wiring.get("ground") instanceof ObjectNode old) {
            ObjectNode ground = wiring.putObject("ground");
            // One wire for heater and signal up to the point where the reader's ground joins it.
            JsonNode shared = old.get("shared");
            boolean said = shared != null && shared.isBoolean();
            ground.put("school", said ? "same-point" : null).put("twoWires", said && !shared.booleanValue());
            move(old, "length", ground, "toChassis");
            move(old, "crossSection", ground, "section");
            move(old, "current", ground, "mean");
        }
    }

    private static void move(ObjectNode from, String field, ObjectNode to) {
        move(from, field, to, field);
    }

    private static void move(ObjectNode from, String field, ObjectNode to, String as) {
        JsonNode value = from.remove(field);
        if (value != null) {
            to.set(as, value);
        }
    }

    private static ObjectNode exhaust(ObjectNode old) {
        ObjectNode out = Json.object();
        ArrayNode segments = out.putArray("segments");
        boolean turbine = old.path("turbine").asBoolean(false);
        String catalyst = old.path("catalyst").asString("none");
        segment(segments, turbine ? "turbine" : "manifold", null, null);
        segment(segments, "pipe", catalyst.equals("none") ? null : old.get("catalystAt"), old.get("outerDiameter"));
        if (!catalyst.equals("none")) {
            segment(segments, catalyst.equals("fitted") ? "catalyst" : catalyst, null, null);
        }
        out.putArray("neighbours");
        out.putObject("attitude").put("pitch", 0).put("roll", old.path("roll").asDouble(0));
        return out;
    }

    private static void segment(ArrayNode into, String kind, @org.jspecify.annotations.Nullable JsonNode length,
            @org.jspecify.annotations.Nullable JsonNode diameter) {
        ObjectNode one = into.addObject().put("line", "all").put("kind", kind);
        one.set("length", length == null ? one.nullNode() : length);
        one.set("diameter", diameter == null ? one.nullNode() : diameter);
        one.putNull("slope").putNull("endSlope").put("heading", 0);
    }
}
