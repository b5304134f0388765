package amberheron.io.json;

import amberheron.core.drivelog.Witness;
import amberheron.core.job.RoadTest;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.trim.TrimSheet;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is noted of the drive besides its logs: gas analyser, change on purpose, the shop's bins. */
final class RoadTestJson {
    private RoadTestJson() {
    }

    static RoadTest read(Cursor at) {
        return new RoadTest(at.objectOrNone("witness").map(RoadTestJson::witness).orElse(Witness.NONE),
                at.objectOrNone("trims").map(RoadTestJson::trims).orElse(TrimSheet.NONE));
    }

    private static Witness witness(Cursor at) {
        return at.build(() -> new Witness(
                new GasAnalysis(at.numberOrNull("carbonDioxide"), at.numberOrNull("carbonMonoxide"),
                        at.numberOrNull("hydrocarbons"), at.numberOrNull("oxygen"), at.numberOrNull("nitricOxide")),
                at.numberOrNull("shown"), at.choiceOrNull("act", Witness.Act.values()), at.numberOrNull("before"),
                at.numberOrNull("after")));
    }

    private static TrimSheet trims(Cursor at) {
        return at.build(() -> new TrimSheet(at.numbers("speeds"), at.numbers("loads"), at.list("told").stream()
                .map(t -> new TrimSheet.Told(t.number("speed"), t.number("load"), t.numberOrNull("target"),
                        t.numberOrNull("given")))
                .toList()));
    }

    static ObjectNode write(RoadTest test) {
        ObjectNode out = Json.object();
        Witness witness = test.witness();
        GasAnalysis gas = witness.gas();
        out.putObject("witness").put("carbonDioxide", gas.carbonDioxide()).put("carbonMonoxide", gas.carbonMonoxide())
                .put("hydrocarbons", gas.hydrocarbons()).put("oxygen", gas.oxygen())
                .put("nitricOxide", gas.nitricOxide()).put("shown", witness.shown())
                .put("act", Cursor.idOrNull(witness.act())).put("before", witness.before())
                .put("after", witness.after());
        ObjectNode trims = out.putObject("trims");
        ArrayNode speeds = trims.putArray("speeds");
        test.trims().speeds().forEach(speeds::add);
        ArrayNode loads = trims.putArray("loads");
        test.trims().loads().forEach(loads::add);
        ArrayNode told = trims.putArray("told");
        test.trims().told().forEach(t -> told.addObject().put("speed", t.speed()).put("load", t.load())
                .put("target", t.target()).put("given", t.given()));
        return out;
    }
}
