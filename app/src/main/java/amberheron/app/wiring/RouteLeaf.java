package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EditTable;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.PartList;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Route;
import amberheron.core.harness.Route.Facing;
import amberheron.core.harness.Route.Passage;
import amberheron.core.harness.Route.Seat;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The way the cable takes, place by place, its length and its plug. */
final class RouteLeaf implements Leaf {

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final PartList<Waypoint> list;
    private final EditTable table;
    private final Label none = Parts.text(
            say("Every place where it is tied, bent, passes something hot or moving, or goes "
                    + "through metal."),
            "soft");
    private final Label total = new Label();
    private final Node node;

    RouteLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        list = new PartList<>(session, j -> j.wiring().harness().route().points(),
                (j, all) -> j.withWiring(route(j.wiring(), r -> r.withPoints(all))), Waypoint::id,
                HarnessField.ROUTE_LENGTH, (all, place) -> Waypoint.named("place " + (all.size() + 1)),
                new PartList.Words<>(p -> say("place on the way"), say("place moved"), say("place removed")));
        table = new EditTable("wire.route", say("Add a place"), list, List.of(
                list.words(say("Place"), "name", Waypoint::name, Waypoint::withName),
                gap(say("Cable to here"), 1, 20_000, HarnessField.ROUTE_LENGTH, Waypoint::length, Waypoint::withLength),
                gap(say("Bend, radius"), 1, 2000, HarnessField.ROUTE_BEND, Waypoint::bend, Waypoint::withBend),
                gap(say("To hot parts"), 0, 5000, HarnessField.ROUTE_HOT, Waypoint::hot, Waypoint::withHot),
                gap(say("To what moves"), 0, 5000, HarnessField.ROUTE_MOVING, Waypoint::moving, Waypoint::withMoving),
                list.choice(say("Heat sleeve"), "sleeve", List.of(false, true), on -> on ? say("sleeved") : say("none"),
                        on -> on ? say("sleeved") : say("no sleeve"), Waypoint::sleeved, Waypoint::withSleeved)));
        node = new VBox(8, Parts.noted(say("Route, from the sensor's plug"), total, none, table),
                Parts.card(say("Lead and controller"), Parts.evenly(
                        route(say("Sensor's lead"), METRE, 0.05, 20, 2, HarnessField.LEAD, r -> r.lengths().lead(),
                                (r, v) -> r.withLengths(p -> p.withLead(v))),
                        route(say("Extension"), METRE, 0.1, 20, 2, HarnessField.EXTENSION, r -> r.lengths().extension(),
                                (r, v) -> r.withLengths(p -> p.withExtension(v))),
                        route(say("Slack at the engine"), MILLIMETRE, 0, 3000, 0, HarnessField.LOOP_AT_ENGINE,
                                r -> r.lengths().slackAtEngine(),
                                (r, v) -> r.withLengths(p -> p.withSlackAtEngine(v))),
                        route(say("Slack at the display"), MILLIMETRE, 0, 3000, 0, HarnessField.LOOP_AT_DISPLAY,
                                r -> r.lengths().slackAtDisplay(),
                                (r, v) -> r.withLengths(p -> p.withSlackAtDisplay(v))),
                        fields.list(say("The controller sits"), HarnessField.SEAT.path(), List.of(Seat.values()),
                                Seat::words, w -> w.harness().route().spray().seat(),
                                (w, v) -> route(w, r -> r.withSpray(p -> p.withSeat(v)))))),
                Columns.wideLeft(230, Parts.card(say("Firewall and plug"),
                        Parts.evenly(
                                fields.list(say("The cable"), HarnessField.PASSAGE.path(), List.of(Passage.values()),
                                        Passage::words, w -> w.harness().route().firewall().passage(),
                                        (w, v) -> route(w, r -> r.withFirewall(p -> p.withPassage(v)))),
                                route(say("Connector across"), MILLIMETRE, 3, 150, 1, HarnessField.CONNECTOR,
                                        r -> r.firewall().connector(),
                                        (r, v) -> r.withFirewall(p -> p.withConnector(v))),
                                route(say("Hole"), MILLIMETRE, 3, 150, 1, HarnessField.HOLE, r -> r.firewall().hole(),
                                        (r, v) -> r.withFirewall(p -> p.withHole(v))),
                                route(say("Cable, or 6 mm"), MILLIMETRE, 1, 40, 1, HarnessField.CABLE, Route::cable,
                                        Route::withCable)),
                        Parts.evenly(
                                fields.list(say("Before drilling"), HarnessField.LOOKED_BEHIND.path(),
                                        List.of(false, true), on -> on ? say("looked behind") : say("not looked"),
                                        w -> w.harness().route().firewall().lookedBehind(),
                                        (w, v) -> route(w, r -> r.withFirewall(p -> p.withLookedBehind(v)))),
                                fields.list(say("The plug looks"), HarnessField.FACING.path(), List.of(Facing.values()),
                                        Facing::words, w -> w.harness().route().spray().facing(),
                                        (w, v) -> route(w, r -> r.withSpray(p -> p.withFacing(v)))),
                                fields.list(say("Cable before it"), HarnessField.DRIP_LOOP.path(), List.of(false, true),
                                        on -> on ? say("loops lower") : say("runs straight"),
                                        w -> w.harness().route().spray().dripLoop(),
                                        (w, v) -> route(w, r -> r.withSpray(p -> p.withDripLoop(v)))))),
                        Parts.card(say("Against the rules"), findings)));
    }

    private static Wiring route(Wiring wiring, UnaryOperator<Route> change) {
        return wiring.withHarness(wiring.harness().withRoute(change.apply(wiring.harness().route())));
    }

    private EditTable.Column gap(String name, double min, double max, HarnessField property,
            Function<Waypoint, @Nullable Double> read, BiFunction<Waypoint, @Nullable Double, Waypoint> write) {
        return list.quantity(QuantityField.of(name, MILLIMETRE, min, max), 0, property, read, write);
    }

    private EntryField route(String name, Unit unit, double min, double max, int decimals, HarnessField property,
            Function<Route, @Nullable Double> read, BiFunction<Route, @Nullable Double, Route> write) {
        return fields.quantity(name, unit, min, max, decimals, property::address,
                w -> read.apply(w.harness().route()), (w, v) -> route(w, r -> write.apply(r, v)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Route route = session.job().wiring().harness().route();
        Parts.show(none, route.points().isEmpty());
        table.refresh();
        total.setText(route.total().map(t -> Figures.length(session, t)).orElse(""));
        findings.refresh(WireModel.findings(session, LeafId.WIRE_ROUTE), "");
        fields.refresh();
    }
}
