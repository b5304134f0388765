package amberheron.io.json;

import static amberheron.core.parts.PartIds.numbered;

import amberheron.core.placement.Attitude;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Segment;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The exhaust, piece by piece, and what lies around it. */
final class ExhaustJson {
    private ExhaustJson() {
    }

    static Exhaust read(Cursor at) {
        Cursor attitude = at.object("attitude");
        return new Exhaust(
                numbered(at.list("segments").stream().map(ExhaustJson::segment).toList(), Segment::id, Segment::withId),
                numbered(at.list("neighbours").stream().map(ExhaustJson::neighbour).toList(), Neighbour::id,
                        Neighbour::withId),
                new Attitude(attitude.number("pitch"), attitude.number("roll")));
    }

    private static Segment segment(Cursor at) {
        return at.build(() -> new Segment(at.choice("line", Segment.Line.values()),
                at.choice("kind", Segment.Kind.values()), at.numberOrNull("length"), at.numberOrNull("diameter"),
                at.numberOrNull("wall"), at.numberOrNull("slope"), at.numberOrNull("endSlope"),
                at.number("heading"), at.text("id", "")));
    }

    private static Neighbour neighbour(Cursor at) {
        return at.build(() -> new Neighbour(at.choice("kind", Neighbour.Kind.values()),
                at.choice("side", Neighbour.Side.values()), at.number("from"), at.number("to"),
                at.numberOrNull("gap"), at.text("id", "")));
    }

    static ObjectNode write(Exhaust exhaust) {
        ObjectNode out = Json.object();
        ArrayNode segments = out.putArray("segments");
        exhaust.segments().forEach(s -> segments.addObject().put("id", s.id()).put("line", Cursor.id(s.line()))
                .put("kind", Cursor.id(s.kind())).put("length", s.length()).put("diameter", s.diameter())
                .put("wall", s.wall()).put("slope", s.slope()).put("endSlope", s.endSlope())
                .put("heading", s.heading()));
        ArrayNode neighbours = out.putArray("neighbours");
        exhaust.neighbours().forEach(n -> neighbours.addObject().put("id", n.id()).put("kind", Cursor.id(n.kind()))
                .put("side", Cursor.id(n.side())).put("from", n.from()).put("to", n.to()).put("gap", n.gap()));
        out.putObject("attitude").put("pitch", exhaust.attitude().pitch()).put("roll", exhaust.attitude().roll());
        return out;
    }
}
