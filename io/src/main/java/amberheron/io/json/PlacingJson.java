package amberheron.io.json;

import amberheron.core.finding.Photo;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Bung;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment.Line;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The places considered, the one taken and how it was fitted. */
final class PlacingJson {
    private PlacingJson() {
    }

    static Placing read(Cursor at) {
        Cursor probe = at.object("probe");
        Cursor bung = at.object("bung");
        return new Placing(at.list("candidates").stream().map(PlacingJson::candidate).toList(),
                at.textOrNull("chosen"),
                probe.build(() -> new Probe(probe.numberOrNull("standOut"),
                        probe.numberOrNull("leadExit"), probe.numberOrNull("leadOnward"))),
                bung.build(() -> new Bung(bung.number("diameter"), bung.number("lip"), bung.flag("stepped"))),
                fitted(at.object("fitted")));
    }

    private static Candidate candidate(Cursor at) {
        return new Candidate(at.text("id"), at.text("letter", at.text("id")), at.text("note", ""),
                at.choice("line", Line.values()),
                at.numberOrNull("distance"), at.numberOrNull("clock"), at.numberOrNull("slope"), at.number("lean"),
                at.choice("hole", Candidate.Hole.values()), at.numberOrNull("gas"));
    }

    private static AsFitted fitted(Cursor at) {
        return at.build(() -> new AsFitted(at.numberOrNull("distance"), at.numberOrNull("reading"), at.number("along"),
                at.number("across"), at.date("date"), at.flagOrNull("airtight"), at.list("photos").stream()
                        .map(p -> new Photo(p.text("file"), p.text("digest"), p.text("caption", ""))).toList()));
    }

    static ObjectNode write(Placing placing) {
        ObjectNode out = Json.object();
        ArrayNode candidates = out.putArray("candidates");
        placing.candidates()
                .forEach(c -> candidates.addObject().put("id", c.id()).put("letter", c.letter()).put("note", c.note())
                        .put("line", Cursor.id(c.line())).put("distance", c.distance()).put("clock", c.clock())
                        .put("slope", c.slope()).put("lean", c.lean()).put("hole", Cursor.id(c.hole()))
                        .put("gas", c.gas()));
        out.put("chosen", placing.chosen());
        Probe probe = placing.probe();
        out.putObject("probe").put("standOut", probe.standOut()).putNull("lead")
                .put("leadExit", probe.leadExit()).put("leadOnward", probe.leadOnward());
        Bung bung = placing.bung();
        out.putObject("bung").put("diameter", bung.diameter()).put("lip", bung.lip()).put("stepped", bung.stepped());
        AsFitted fitted = placing.fitted();
        ArrayNode photos = out.putObject("fitted").put("distance", fitted.distance()).put("reading", fitted.reading())
                .put("along", fitted.along()).put("across", fitted.across())
                .put("date", JobJson.text(fitted.date())).put("airtight", fitted.airtight()).putArray("photos");
        fitted.photos().forEach(
                p -> photos.addObject().put("file", p.file()).put("digest", p.digest()).put("caption", p.caption()));
        return out;
    }
}
