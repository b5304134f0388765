package amberheron.io.json;

import amberheron.core.finding.Photo;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.parts.PartIds;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.Signals;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Hook-ups of the readers, conductor chart, route, joints and what was found when it was wired. */
final class HarnessJson {
    private HarnessJson() {
    }

    static Signals signals(Cursor at) {
        return new Signals(WiringJson.positiveOrNull(at, "outputOhms"), at.list("hookups").stream()
                .map(h -> new Hookup(h.choice("reader", ReaderKind.values()),
                        h.choiceOrNull("form", Hookup.Form.values()), h.flag("minusInput"),
                        WiringJson.positiveOrNull(h, "inputOhms"), WiringJson.positiveOrNull(h, "pullUpOhms"),
                        h.numberOrNull("pullUpVolts"), h.numberOrNull("mostVolts")))
                .toList());
    }

    static ObjectNode write(Signals signals) {
        ObjectNode out = Json.object().put("outputOhms", signals.outputOhms());
        ArrayNode hookups = out.putArray("hookups");
        signals.hookups().forEach(h -> hookups.addObject().put("reader", Cursor.id(h.reader()))
                .put("form", Cursor.idOrNull(h.form())).put("minusInput", h.minusInput())
                .put("inputOhms", h.inputOhms()).put("pullUpOhms", h.pullUpOhms())
                .put("pullUpVolts", h.pullUpVolts()).put("mostVolts", h.mostVolts()));
        return out;
    }

    static Harness harness(Cursor at) {
        return new Harness(at.build(() -> new Chart(at.list("wires").stream().map(HarnessJson::wire).toList())),
                at.objectOrNone("route").map(HarnessJson::route).orElse(Route.UNMEASURED),
                at.objectOrNone("joints").map(HarnessJson::joints).orElse(Joints.NONE),
                at.objectOrNone("asWired").map(HarnessJson::asWired).orElse(AsWired.NOTHING));
    }

    static ObjectNode write(Harness harness) {
        ObjectNode out = Json.object();
        ArrayNode wires = out.putArray("wires");
        harness.chart().wires()
                .forEach(w -> wires.addObject().put("id", w.id()).put("tag", w.tag())
                        .put("work", Cursor.idOrNull(w.work()))
                        .put("from", Cursor.id(w.from())).put("fromPin", w.fromPin()).put("colour", text(w.colour()))
                        .put("extension", text(w.extension())).put("to", Cursor.idOrNull(w.to()))
                        .put("toPin", w.toPin()).put("toColour", text(w.toColour())).put("toldApart", w.toldApart())
                        .put("left", Cursor.idOrNull(w.left())).put("ohms", w.ohms()));
        out.set("route", write(harness.route()));
        Joints joints = harness.joints();
        ObjectNode joined = out.putObject("joints").put("school", Cursor.idOrNull(joints.school()));
        ArrayNode done = joined.putArray("done");
        joints.done().forEach(done::add);
        ArrayNode tested = joined.putArray("tested");
        joints.tested()
                .forEach(t -> tested.addObject().put("id", t.id()).put("wire", t.wire()).put("section", t.section())
                        .put("pull", t.pull()).put("drop", t.drop()));
        AsWired wired = harness.asWired();
        ArrayNode photos = out.putObject("asWired").put("atSource", wired.atSource())
                .put("atController", wired.atController()).put("date", JobJson.text(wired.date()))
                .put("note", wired.note()).putArray("photos");
        wired.photos().forEach(
                p -> photos.addObject().put("file", p.file()).put("digest", p.digest()).put("caption", p.caption()));
        return out;
    }

    private static Wire wire(Cursor at) {
        return new Wire(at.text("id", at.text("tag")), at.text("tag"), at.choiceOrNull("work", Work.values()),
                at.choice("from", Device.values()),
                at.text("fromPin", ""), colour(at, "colour"), colour(at, "extension"),
                at.choiceOrNull("to", Device.values()), at.text("toPin", ""), colour(at, "toColour"),
                at.flag("toldApart"), at.choiceOrNull("left", Wire.Left.values()), at.numberOrNull("ohms"));
    }

    private static @Nullable WireColour colour(Cursor at, String field) {
        String text = at.textOrNull(field);
        return text == null
                ? null
                : WireColour.parse(text).orElseThrow(() -> at.fault(field, WireColour.expected()));
    }

    private static @Nullable String text(@Nullable WireColour colour) {
        return colour == null ? null : colour.words();
    }

    private static Route route(Cursor at) {
        return new Route(PartIds.numbered(at.list("points").stream()
                .map(p -> new Route.Waypoint(p.text("name", ""), p.numberOrNull("length"), p.numberOrNull("hot"),
                        p.flag("sleeved"), p.numberOrNull("moving"), p.numberOrNull("bend"), p.text("id", "")))
                .toList(), Route.Waypoint::id, Route.Waypoint::withId), at.numberOrNull("lead"),
                at.numberOrNull("extension"), at.numberOrNull("slackAtEngine"),
                at.numberOrNull("slackAtDisplay"), WiringJson.positiveOrNull(at, "cable"),
                at.numberOrNull("connector"), at.numberOrNull("hole"),
                at.choiceOrNull("passage", Route.Passage.values()), at.flag("lookedBehind"),
                at.choiceOrNull("facing", Route.Facing.values()), at.flag("dripLoop"));
    }

    private static ObjectNode write(Route route) {
        ObjectNode out = Json.object();
        ArrayNode points = out.putArray("points");
        route.points().forEach(p -> points.addObject().put("id", p.id()).put("name", p.name()).put("length", p.length())
                .put("hot", p.hot()).put("sleeved", p.sleeved()).put("moving", p.moving()).put("bend", p.bend()));
        return out.put("lead", route.lead()).put("extension", route.extension())
                .put("slackAtEngine", route.slackAtEngine()).put("slackAtDisplay", route.slackAtDisplay())
                .put("cable", route.cable()).put("connector", route.connector()).put("hole", route.hole())
                .put("passage", Cursor.idOrNull(route.passage())).put("lookedBehind", route.lookedBehind())
                .put("facing", Cursor.idOrNull(route.facing())).put("dripLoop", route.dripLoop());
    }

    private static Joints joints(Cursor at) {
        return new Joints(at.choiceOrNull("school", Joints.School.values()), new TreeSet<>(at.integers("done")),
                PartIds.numbered(at.list("tested").stream()
                        .map(t -> new Joints.Test(t.text("wire", ""), WiringJson.positiveOrNull(t, "section"),
                                t.numberOrNull("pull"), t.numberOrNull("drop"), t.text("id", "")))
                        .toList(), Joints.Test::id, Joints.Test::withId));
    }

    private static AsWired asWired(Cursor at) {
        return new AsWired(at.numberOrNull("atSource"), at.numberOrNull("atController"), at.date("date"),
                at.text("note", ""),
                at.list("photos").stream().map(p -> new Photo(p.text("file"), p.text("digest"), p.text("caption", "")))
                        .toList());
    }
}
