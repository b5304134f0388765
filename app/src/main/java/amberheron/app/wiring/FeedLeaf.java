package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.AMPERE;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.ONE;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.plan.Engine;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Feed;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import org.jspecify.annotations.Nullable;

/** The fuse, and the wire from the source to the controller. */
final class FeedLeaf implements Leaf {

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final EntryField atBattery;
    private final EntryField converted;
    private final Node node;

    FeedLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        atBattery = feed(say("At the battery, key on"), VOLT, 0, 60, 2, WireField.AT_BATTERY, Feed::atBattery,
                Feed::withAtBattery);
        converted = feed(say("Behind the converter, or its own battery; heater working"), VOLT, 0, 60, 2,
                WireField.CONVERTED, Feed::converted, Feed::withConverted);
        node = new Columns(300, Parts.card(say("Fuse and feed"),
                fields.flag(say("Fed"), "wire.feed.relay", say("straight from the source"),
                        say("by a relay at the battery"),
                        w -> w.feed().relay(), (w, v) -> w.withFeed(w.feed().withRelay(v))),
                Parts.evenly(
                        fields.quantity(say("Fuse"), AMPERE, 0.1, 60, 1, WireField.FUSE::address, Wiring::fuse,
                                Wiring::withFuse),
                        fields.quantity(say("Draw, 3 A if blank"), AMPERE, 0.1, 20, 2, WireField.DRAW::address,
                                Wiring::draw, Wiring::withDraw)),
                Parts.evenly(feed(say("Feed, one way"), METRE, 0.05, 20, 2, WireField.FEED_LENGTH, Feed::length,
                        Feed::withLength),
                        feed(say("Its size"), SQUARE_MILLIMETRE, 0.1, 50, 3, WireField.FEED_SECTION, Feed::crossSection,
                                Feed::withCrossSection)),
                feed(say("Controller's own leads, size"), SQUARE_MILLIMETRE, 0.1, 50, 3, WireField.LEADS, Feed::leads,
                        Feed::withLeads),
                atBattery, converted,
                Parts.evenly(feed(say("Second, constant feed draws"), AMPERE, 0, 5, 3, WireField.MEMORY, Feed::memory,
                        Feed::withMemory),
                        feed(say("Battery, A·h"), ONE, 1, 400, 0, WireField.BATTERY, Feed::battery,
                                Feed::withBattery))),
                Parts.card(say("Against the rules"), findings));
    }

    private EntryField feed(String name, Unit unit, double min, double max, int decimals, WireField property,
            Function<Feed, @Nullable Double> read, BiFunction<Feed, @Nullable Double, Feed> write) {
        return fields.quantity(name, unit, min, max, decimals, property::address, w -> read.apply(w.feed()),
                (w, v) -> w.withFeed(write.apply(w.feed(), v)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        findings.refresh(WireModel.findings(session, LeafId.WIRE_FEED), "");
        Parts.show(atBattery, session.job().wiring().feed().relay());
        Engine.Supply supply = session.job().intake().engine().supply();
        Parts.show(converted, supply != null && supply.needsConverter());
        fields.refresh();
    }
}
