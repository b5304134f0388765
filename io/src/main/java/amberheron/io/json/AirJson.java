package amberheron.io.json;

import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.Steadiness;
import java.time.Instant;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The free-air check within a job document. */
final class AirJson {
    private AirJson() {
    }

    static FreeAirCheck read(Cursor at) {
        AirOfDay today = at.build(() -> new AirOfDay(at.numberOrNull("temperature"), at.numberOrNull("humidity"),
                at.numberOrNull("height"), at.numberOrNull("pressure"), at.numberOrNull("drivenHeight")));
        return at.build(() -> new FreeAirCheck(at.objectOrNone("controller").map(ControllerJson::read).orElse(null),
                today, at.choices("conditions", Condition.values()), at.numberOrNull("shownOxygen"),
                at.numberOrNull("shownLambda"),
                at.numberOrNull("settled"), at.objectOrNone("steadiness").map(AirJson::steadiness).orElse(null),
                at.objectOrNone("coaching").map(AirJson::coaching).orElse(Coaching.NONE), at.date("date"),
                at.text("sensor", ""), at.numberOrNull("ageing")));
    }

    private static Steadiness steadiness(Cursor at) {
        return at.build(() -> new Steadiness(at.integer("count"), at.number("seconds"), at.number("drift"),
                at.number("driftDoubt"), at.number("scatter"), at.integer("wild")));
    }

    private static Coaching coaching(Cursor at) {
        Instant since = OriginJson.moment(at, "since");
        if (since == null) {
            throw at.fault("since", "a moment such as 2026-05-31T09:30:00Z");
        }
        return new Coaching(at.choice("step", CoachStep.values()), since,
                at.choice("trouble", Coaching.Trouble.values()), at.choiceOrNull("from", CoachStep.values()));
    }

    static ObjectNode write(FreeAirCheck air) {
        AirOfDay today = air.today();
        ObjectNode out = Json.object();
        var controller = air.controller();
        out.set("controller", controller == null ? out.nullNode() : ControllerJson.write(controller));
        out.put("temperature", today.temperature()).put("humidity", today.humidity()).put("height", today.height())
                .put("pressure", today.pressure()).put("drivenHeight", today.drivenHeight());
        ArrayNode conditions = out.putArray("conditions");
        air.conditions().stream().sorted().forEach(c -> conditions.add(Cursor.id(c)));
        out.put("shownOxygen", air.shownOxygen()).put("shownLambda", air.shownLambda()).put("settled", air.settled());
        Steadiness s = air.steadiness();
        if (s == null) {
            out.putNull("steadiness");
        } else {
            out.putObject("steadiness").put("count", s.count()).put("seconds", s.seconds()).put("drift", s.drift())
                    .put("driftDoubt", s.driftDoubt()).put("scatter", s.scatter()).put("wild", s.wild());
        }
        Coaching coaching = air.coaching();
        if (coaching.equals(Coaching.NONE)) {
            out.putNull("coaching");
        } else {
            out.putObject("coaching").put("step", Cursor.id(coaching.step())).put("since", coaching.since().toString())
                    .put("trouble", Cursor.id(coaching.trouble())).put("from", Cursor.idOrNull(coaching.from()));
        }
        return out.put("date", JobJson.text(air.date())).put("sensor", air.sensor())
                .put("ageing", air.ageing());
    }
}
