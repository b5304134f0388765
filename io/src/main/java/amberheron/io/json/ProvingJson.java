package amberheron.io.json;

import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.Crossings;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Held;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Sample;
import amberheron.core.job.Output;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A proving log as it is kept with the job: what was compared, how the engine was run, what was found. */
final class ProvingJson {
    private ProvingJson() {
    }

    static Output.Proving read(Cursor at) {
        List<Sample> trace = at.list("trace").stream()
                .map(s -> new Sample(s.numberAt(0), s.numberAt(1), s.numberAt(2))).toList();
        return new Output.Proving(at.text("file"), at.text("digest"), OriginJson.read(at.objectOrNone("origin")),
                new LogComparison(at.integer("samples"), at.number("duration"), at.number("bias"), at.number("spread"),
                        at.number("worst"), at.number("worstAt"), at.numberOrNull("richest"),
                        at.numberOrNull("leanest"), at.numberOrNull("gain"), trace),
                at.objectOrNone("found").map(ProvingJson::found).orElse(null));
    }

    static ObjectNode write(Output.Proving proving) {
        LogComparison r = proving.result();
        ObjectNode out = Json.object().put("file", proving.file()).put("digest", proving.digest())
                .put("samples", r.samples()).put("duration", r.duration()).put("bias", r.bias())
                .put("spread", r.spread()).put("worst", r.worst()).put("worstAt", r.worstAt())
                .put("richest", r.richest()).put("leanest", r.leanest()).put("gain", r.gain());
        out.set("origin", OriginJson.write(proving.origin()));
        ArrayNode trace = out.putArray("trace");
        r.trace().forEach(s -> trace.addArray().add(s.time()).add(s.controller()).add(s.reader()));
        DriveFound found = proving.found();
        out.set("found", found == null ? out.nullNode() : write(found));
        return out;
    }

    private static DriveFound found(Cursor at) {
        Set<Regime.Kind> notTold = EnumSet.noneOf(Regime.Kind.class);
        notTold.addAll(at.choices("notTold", Regime.Kind.values()));
        return at.build(() -> new DriveFound(at.objectOrNone("agreement").map(ProvingJson::agreement).orElse(null),
                at.integer("lost"), at.integer("frozen"),
                at.list("regimes").stream()
                        .map(r -> new Regime(r.choice("kind", Regime.Kind.values()), r.number("from"), r.number("to"),
                                r.number("lambda"), r.numberOrNull("low"), r.numberOrNull("high")))
                        .toList(),
                notTold,
                at.list("events").stream()
                        .map(e -> new DriveEvent(e.choice("kind", DriveEvent.Kind.values()), e.number("from"),
                                e.number("to"), e.number("lambda"), e.numberOrNull("load")))
                        .toList(),
                at.list("columns").stream().map(c -> new DriveFound.Column(
                        c.choice("channel", LogChannel.values(), LogChannel::key), c.text("name"), c.text("quantity"),
                        c.text("because"))).toList(),
                at.objectOrNone("held").map(h -> new Held(h.number("cruising"), h.number("underLoad"))).orElse(null),
                at.objectOrNone("crossings")
                        .map(c -> new Crossings(c.integer("steps"), c.number("lambda"), c.number("doubt")))
                        .orElse(null),
                at.objectOrNone("fuelling").map(ProvingJson::fuelling).orElse(null),
                at.objectOrNone("joined")
                        .map(j -> new Joined(j.text("file"), j.text("digest"), new Clocks(
                                j.choice("by", LogChannel.values(), LogChannel::key), j.number("shift"),
                                j.number("drift"), j.number("doubt"))))
                        .orElse(null)));
    }

    private static Fuelling fuelling(Cursor at) {
        Map<Fuelling.Gate, Double> leftOut = new EnumMap<>(Fuelling.Gate.class);
        at.objectOrNone("leftOut").ifPresent(o -> {
            for (Fuelling.Gate gate : Fuelling.Gate.values()) {
                Double seconds = o.numberOrNull(Cursor.id(gate));
                if (seconds != null) {
                    leftOut.put(gate, seconds);
                }
            }
        });
        return new Fuelling(at.choice("axis", LoadAxis.values()), at.list("spots").stream().map(s -> new Fuelling.Spot(
                s.numberAt(0), s.numberAt(1), s.numberAt(2), (int) s.numberAt(3), s.numberAt(4), s.numberAt(5)))
                .toList(), leftOut, at.numberOrNull("distance"));
    }

    private static void fuelling(ObjectNode out, @Nullable Fuelling fuelling) {
        if (fuelling == null) {
            out.putNull("fuelling");
            return;
        }
        ObjectNode at = out.putObject("fuelling").put("axis", Cursor.id(fuelling.axis())).put("distance",
                fuelling.distance());
        ObjectNode leftOut = at.putObject("leftOut");
        // Each is named, so that an earlier drive's do not stay.
        for (Fuelling.Gate gate : Fuelling.Gate.values()) {
            Double seconds = fuelling.leftOut().get(gate);
            leftOut.put(Cursor.id(gate), seconds);
        }
        ArrayNode spots = at.putArray("spots");
        fuelling.spots().forEach(s -> spots.addArray().add(s.speed()).add(s.load()).add(s.seconds())
                .add(s.visits()).add(s.lambda()).add(s.spread()));
    }

    private static Agreement agreement(Cursor at) {
        return new Agreement(at.number("offset"), at.number("offsetLow"), at.number("offsetHigh"),
                at.numberOrNull("gain"), at.numberOrNull("gainLow"), at.numberOrNull("gainHigh"),
                at.numberOrNull("lag"), at.numberOrNull("averaging"), at.integer("pairs"),
                at.list("bins").stream().map(b -> new Agreement.Bin(b.numberAt(0), b.numberAt(1), (int) b.numberAt(2)))
                        .toList());
    }

    private static ObjectNode write(DriveFound found) {
        ObjectNode out = Json.object();
        Agreement agreement = found.agreement();
        if (agreement == null) {
            out.putNull("agreement");
        } else {
            ArrayNode bins = out.putObject("agreement").put("offset", agreement.offset())
                    .put("offsetLow", agreement.offsetLow()).put("offsetHigh", agreement.offsetHigh())
                    .put("gain", agreement.gain()).put("gainLow", agreement.gainLow())
                    .put("gainHigh", agreement.gainHigh()).put("lag", agreement.lag())
                    .put("averaging", agreement.averaging()).put("pairs", agreement.pairs())
                    .putArray("bins");
            agreement.bins().forEach(b -> bins.addArray().add(b.told()).add(b.shown()).add(b.moments()));
        }
        out.put("lost", found.lost()).put("frozen", found.frozen());
        ArrayNode regimes = out.putArray("regimes");
        found.regimes().forEach(r -> regimes.addObject().put("kind", Cursor.id(r.kind())).put("from", r.from())
                .put("to", r.to()).put("lambda", r.lambda()).put("low", r.low()).put("high", r.high()));
        besides(out, found);
        ArrayNode columns = out.putArray("columns");
        found.columns().forEach(c -> columns.addObject().put("channel", c.channel().key()).put("name", c.name())
                .put("quantity", c.quantity()).put("because", c.because()));
        Held held = found.held();
        if (held == null) {
            out.putNull("held");
        } else {
            out.putObject("held").put("cruising", held.cruising()).put("underLoad", held.underLoad());
        }
        Crossings crossings = found.crossings();
        if (crossings == null) {
            out.putNull("crossings");
        } else {
            out.putObject("crossings").put("steps", crossings.steps()).put("lambda", crossings.lambda())
                    .put("doubt", crossings.doubt());
        }
        fuelling(out, found.fuelling());
        joined(out, found);
        return out;
    }

    /** The second log and how the clocks go, as document and result say it alike. */
    static void joined(ObjectNode out, DriveFound found) {
        Joined joined = found.joined();
        if (joined == null) {
            out.putNull("joined");
            return;
        }
        Clocks clocks = joined.clocks();
        out.putObject("joined").put("file", joined.file()).put("digest", joined.digest())
                .put("by", clocks.by().key()).put("shift", clocks.shift()).put("drift", clocks.drift())
                .put("doubt", clocks.doubt());
    }

    /** What cannot be told and what has to be acted on, as document and result say it alike. */
    static void besides(ObjectNode out, DriveFound found) {
        ArrayNode notTold = out.putArray("notTold");
        found.notTold().forEach(k -> notTold.add(Cursor.id(k)));
        ArrayNode events = out.putArray("events");
        found.events().forEach(e -> events.addObject().put("kind", Cursor.id(e.kind())).put("from", e.from())
                .put("to", e.to()).put("lambda", e.lambda()).put("load", e.load()));
    }
}
