package amberheron.app.wiring;

import java.util.Set;
import java.util.EnumSet;
import amberheron.core.parts.Property;
import amberheron.core.parts.Address;
import amberheron.core.harness.HarnessCheck;
import amberheron.core.harness.HarnessField;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.session.Figures;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.core.harness.Route;
import amberheron.core.harness.Route.Facing;
import amberheron.core.harness.Route.Passage;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The way the cable takes, place by place, its length and its plug. */
final class RouteLeaf {
    private static final Set<HarnessCheck> ROUTE = EnumSet.range(HarnessCheck.ROUTE_LENGTH, HarnessCheck.ROUTE_SPRAY);
    private static final Set<Property> OF_POINT = Set.copyOf(
            EnumSet.range(HarnessField.ROUTE_LENGTH, HarnessField.ROUTE_MOVING));

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final VBox points = new VBox(4);
    private final Label total = new Label();
    private final VBox one;
    private final Node node;
    private int selected;

    RouteLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        session.onSeek(this::bring);
        findings = new FindingsTable(session);
        one = new VBox(8,
                fields.text("Place", this::name, "such as: clip at the gearbox, firewall, behind the gauge",
                        w -> point(w).map(Waypoint::name).orElse(""), (w, v) -> change(w, p -> p.withName(v))),
                Parts.evenly(gap("Cable to here", 1, 20_000, HarnessField.ROUTE_LENGTH, Waypoint::length,
                        Waypoint::withLength),
                        gap("Bend there, radius", 1, 2000, HarnessField.ROUTE_BEND, Waypoint::bend,
                                Waypoint::withBend)),
                Parts.evenly(
                        gap("To the nearest hot part", 0, 5000, HarnessField.ROUTE_HOT, Waypoint::hot,
                                Waypoint::withHot),
                        gap("To what moves", 0, 5000, HarnessField.ROUTE_MOVING, Waypoint::moving,
                                Waypoint::withMoving)),
                fields.flag("Heat sleeve", "wire.route.sleeve", "none", "sleeved",
                        w -> point(w).map(Waypoint::sleeved).orElse(false),
                        (w, v) -> change(w, p -> p.withSleeved(v))),
                new FlowPane(6, 6, Parts.button("Earlier", "wire.route.earlier", this::earlier, "quiet"),
                        Parts.button("Remove", "wire.route.remove", this::remove, "quiet")));
        node = new Columns(300, Parts.card("Against the rules", findings),
                Parts.noted("Route, from the sensor's plug", total, points,
                        Parts.button("Add a place", "wire.route.add", this::add, "quiet"), one),
                Parts.card("Lead and loops",
                        Parts.evenly(
                                route("Sensor's lead", METRE, 0.05, 10, 2, HarnessField.LEAD, Route::lead,
                                        Route::withLead),
                                route("Extension", METRE, 0.1, 20, 2, HarnessField.EXTENSION, Route::extension,
                                        Route::withExtension)),
                        Parts.evenly(
                                route("Loop at the engine", MILLIMETRE, 0, 3000, 0, HarnessField.LOOP_AT_ENGINE,
                                        Route::slackAtEngine,
                                        Route::withSlackAtEngine),
                                route("Loop at the display", MILLIMETRE, 0, 3000, 0, HarnessField.LOOP_AT_DISPLAY,
                                        Route::slackAtDisplay, Route::withSlackAtDisplay)),
                        route("Cable across, 6 mm if blank", MILLIMETRE, 1, 40, 1, HarnessField.CABLE, Route::cable,
                                Route::withCable)),
                Parts.card("Firewall and plug",
                        fields.choice("The cable", HarnessField.PASSAGE.path(), List.of(Passage.values()),
                                Passage::words,
                                w -> w.harness().route().passage(), (w, v) -> route(w, r -> r.withPassage(v))),
                        Parts.evenly(
                                route("Connector across", MILLIMETRE, 3, 150, 1, HarnessField.CONNECTOR,
                                        Route::connector,
                                        Route::withConnector),
                                route("Hole", MILLIMETRE, 3, 150, 1, HarnessField.HOLE, Route::hole, Route::withHole)),
                        fields.flag("Before drilling", HarnessField.LOOKED_BEHIND.path(), "not looked behind",
                                "looked behind",
                                w -> w.harness().route().lookedBehind(),
                                (w, v) -> route(w, r -> r.withLookedBehind(v))),
                        fields.choice("The sensor's plug looks", HarnessField.FACING.path(), List.of(Facing.values()),
                                Facing::words, w -> w.harness().route().facing(),
                                (w, v) -> route(w, r -> r.withFacing(v))),
                        fields.flag("Cable before the plug", HarnessField.DRIP_LOOP.path(), "runs straight to it",
                                "hangs lower first: drips off", w -> w.harness().route().dripLoop(),
                                (w, v) -> route(w, r -> r.withDripLoop(v))),
                        Parts.text("Behind a firewall or dash: brake and fuel lines, looms, airbag. Look, then drill.",
                                "caution-text")));
    }

    private String part() {
        return point(session.job().wiring()).map(Waypoint::id).orElse("");
    }

    private String name() {
        return "wire.route." + part() + ".name";
    }

    private void bring(Address wanted) {
        int at = session.job().wiring().harness().route().points().stream().map(Waypoint::id).toList()
                .indexOf(wanted.part());
        if (at >= 0 && OF_POINT.contains(wanted.property())) {
            selected = at;
            refresh();
        }
    }

    private Optional<Waypoint> point(Wiring wiring) {
        List<Waypoint> all = wiring.harness().route().points();
        return selected < all.size() ? Optional.of(all.get(selected)) : Optional.empty();
    }

    private static Wiring route(Wiring wiring, UnaryOperator<Route> change) {
        return wiring.withHarness(wiring.harness().withRoute(change.apply(wiring.harness().route())));
    }

    private Wiring change(Wiring wiring, UnaryOperator<Waypoint> change) {
        return route(wiring, r -> {
            List<Waypoint> all = new ArrayList<>(r.points());
            if (selected < all.size()) {
                all.set(selected, change.apply(all.get(selected)));
            }
            return r.withPoints(all);
        });
    }

    private EntryField gap(String name, double min, double max, HarnessField property,
            Function<Waypoint, @Nullable Double> read,
            BiFunction<Waypoint, @Nullable Double, Waypoint> write) {
        return fields.quantity(name, MILLIMETRE, min, max, 0, () -> property.of(part()),
                w -> point(w).map(read).orElse(null),
                (w, v) -> change(w, p -> write.apply(p, v)));
    }

    private EntryField route(String name, Unit unit, double min, double max, int decimals, HarnessField property,
            Function<Route, @Nullable Double> read, BiFunction<Route, @Nullable Double, Route> write) {
        return fields.quantity(name, unit, min, max, decimals, property::address,
                w -> read.apply(w.harness().route()), (w, v) -> route(w, r -> write.apply(r, v)));
    }

    private void points(String what, UnaryOperator<List<Waypoint>> change) {
        fields.edit(what, w -> route(w, r -> r.withPoints(change.apply(new ArrayList<>(r.points())))));
    }

    private void add() {
        int at = session.job().wiring().harness().route().points().size();
        selected = at;
        points("place on the way", all -> {
            all.add(Waypoint.named("place " + (at + 1)));
            return all;
        });
        session.focus(name());
    }

    private void earlier() {
        int from = selected;
        if (from > 0) {
            selected = from - 1;
            points("place moved", all -> {
                all.add(from - 1, all.remove(from));
                return all;
            });
        }
    }

    private void remove() {
        int gone = selected;
        selected = Math.max(0, gone - 1);
        List<Waypoint> all = new ArrayList<>(session.job().wiring().harness().route().points());
        if (gone < all.size()) {
            String id = all.remove(gone).id();
            session.edit("place removed", j -> j.withWiring(route(j.wiring(), r -> r.withPoints(all)))
                    .withoutDrafts(HarnessField.ROUTE_LENGTH.of(id)));
        }
    }

    Node node() {
        return node;
    }

    void refresh() {
        Route route = session.job().wiring().harness().route();
        selected = Math.clamp(selected, 0, Math.max(0, route.points().size() - 1));
        points.getChildren().setAll(IntStream.range(0, route.points().size())
                .mapToObj(i -> row(i, route.points().get(i))).toList());
        if (route.points().isEmpty()) {
            points.getChildren().setAll(Parts.text(
                    "Every place where it is tied, bent, passes something hot or moving, or goes through metal.",
                    "soft"));
        }
        total.setText(route.total().map(t -> Figures.length(session, t)).orElse(""));
        Parts.show(one, !route.points().isEmpty());
        findings.refresh(WireModel.findings(session, ROUTE::contains), "");
        fields.refresh();
    }

    private ToggleButton row(int index, Waypoint p) {
        Double length = p.length();
        Double hot = p.hot();
        Double moving = p.moving();
        String words = (index + 1) + "  " + p.name() + " · " + (length == null ? "?" : Figures.length(session, length))
                + " · hot " + (hot == null ? "?" : Figures.length(session, hot)) + (p.sleeved() ? ", sleeved" : "")
                + " · moving " + (moving == null ? "?" : Figures.length(session, moving));
        return Parts.pick(words, "wire.route.row." + index, index == selected, () -> {
            selected = index;
            refresh();
        });
    }
}
