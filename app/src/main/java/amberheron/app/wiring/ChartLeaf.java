package amberheron.app.wiring;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.OHM;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Copied;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.WireColour.Hue;
import amberheron.core.harness.Work;
import amberheron.core.units.TextLimit;
import amberheron.core.wiring.Wiring;
import amberheron.io.csv.ChartCsv;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;

/** The conductor chart: the strip it makes above, its lines and the one looked at below. */
final class ChartLeaf implements Leaf {

    /** One of these, or none. */
    private record Perhaps<T>(@Nullable T value, String words) {
    }

    private static final List<Device> FIRST_ENDS = List.of(Device.SENSOR, Device.CONTROLLER, Device.DISPLAY);

    private final Session session;
    private final WireModel model;
    private final WireFields fields;
    private final StripDrawing strip;
    private final Label note = new Label();
    private final FindingsTable findings;
    private final VBox lines = new VBox(2);
    private final Label which = new Label();
    private final VBox one;
    private final Node left;
    private final TextField file = new TextField();
    private final Node node;
    private final Node harness;

    ChartLeaf(Session session, WireModel model) {
        this.session = session;
        this.model = model;
        fields = new WireFields(session);
        strip = new StripDrawing(session, model);
        findings = new FindingsTable(session);
        left = perhaps(say("How it is left"), HarnessField.CHART_LEFT.path(), say("not said"), Wire.Left.values(),
                Wire.Left::words,
                Wire::left, Wire::withLeft);
        one = new VBox(8,
                perhaps(say("Work"), HarnessField.CHART_WORK.path(), say("not known"), Work.values(), Work::words,
                        Wire::work,
                        Wire::withWork),
                Parts.evenly(choice(say("Comes out of"), "wire.chart.from", FIRST_ENDS, Device::words, Wire::from,
                        Wire::withFrom), pin(say("Pin"), "fromPin", Wire::fromPin, Wire::withFromPin)),
                colour(say("Colour"), HarnessField.CHART_COLOUR.path(), Wire::colour, Wire::withColour),
                colour(say("In the extension"), "wire.chart.extension", Wire::extension, Wire::withExtension),
                Parts.evenly(perhaps(say("Goes to"), "wire.chart.to", say("nothing: unused"), ends(), Device::words,
                        Wire::to,
                        Wire::withTo), pin(say("Pin there"), "toPin", Wire::toPin, Wire::withToPin)),
                colour(say("Joins one that is"), "wire.chart.joins", Wire::toColour, Wire::withToColour), left,
                Parts.evenly(
                        fields.flag(say("Continuity"), HarnessField.CHART_APART.path(), say("not yet"),
                                say("confirmed"),
                                w -> model.wire(session).map(Wire::toldApart).orElse(false),
                                (w, v) -> change(w, c -> c.withToldApart(v))),
                        fields.quantity(say("End to end"), OHM, 0, 1e6, 2,
                                () -> HarnessField.CHART_OHMS.of(model.wire(session).map(Wire::id).orElse("")),
                                w -> model.wire(session).map(Wire::ohms).orElse(null),
                                (w, v) -> change(w, c -> c.withOhms(v)))));
        file.setId("wire.chart.file");
        file.setPromptText(say("path of a chart, CSV"));
        file.setAccessibleText(say("Chart to import"));
        file.setOnAction(e -> model.importChart(session, file.getText()));
        FlowPane make = new FlowPane(6, 6,
                Parts.button(say("Add what is needed"), HarnessField.CHART.path(), () -> model.addNeeded(session),
                        "quiet"),
                Parts.button(say("Add the lead"), "wire.chart.lead", () -> model.addLead(session), "quiet"),
                Parts.button(say("Add one"), "wire.chart.add", () -> model.addWire(session), "quiet"));
        harness = new VBox(12, Parts.noted(say("Harness"), note, strip), Parts.bare(new FlowPane(6, 6,
                Parts.button(say("Write chart, strip and tags: PDF, SVG, CSV"), "wire.chart.write",
                        () -> model.writeChart(session), "primary"),
                file,
                Parts.button(say("Import"), "wire.chart.import", () -> model.importChart(session, file.getText()),
                        "quiet"),
                Parts.button(say("Browse…"), "wire.chart.browse",
                        () -> Parts.browse(file, say("Conductor chart"), path -> model.importChart(session, path)),
                        "quiet"))));
        make.getChildren().add(
                Parts.button(say("Remove"), "wire.chart.remove", () -> model.removeWire(session), "quiet"));
        lines.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        Runnable copy = () -> {
            Chart chart = session.job().wiring().harness().chart();
            Copied.text(session, count("1 wire", "%d wires", chart.wires().size()), ChartCsv.cells(chart));
        };
        Copied.onKeys(lines, copy, copy);
        node = Columns.wideLeft(250, Parts.bare(lines, make,
                Parts.line(say("↑ ↓ picks · Ctrl+Enter adds · Alt+↑ ↓ moves · Ctrl+Del removes"), "note"), findings),
                Parts.noted(say("Wire"), which, one));
    }

    /** The keys of every list; up and down pick the line that is edited beside it. */
    private void key(KeyEvent e) {
        int by = e.getCode() == KeyCode.UP ? -1 : e.getCode() == KeyCode.DOWN ? 1 : 0;
        if (e.isShortcutDown() && e.getCode() == KeyCode.ENTER) {
            model.addWire(session);
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.V) {
            model.pasteChart(session,
                    Optional.ofNullable(Clipboard.getSystemClipboard().getString()).orElse(""));
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.DELETE) {
            model.removeWire(session);
        } else if (by != 0 && e.isAltDown()) {
            model.moveWire(session, by);
        } else if (by != 0) {
            model.stepWire(session, by);
        } else {
            return;
        }
        e.consume();
    }

    /** The harness drawn, and what goes on paper. */
    Node harness() {
        return harness;
    }

    private static Device[] ends() {
        return EnumSet.complementOf(EnumSet.of(Device.SENSOR)).toArray(Device[]::new);
    }

    private Wiring change(Wiring wiring, UnaryOperator<Wire> change) {
        return model.wire(session).map(w -> wiring
                .withHarness(wiring.harness().withChart(wiring.harness().chart().with(w.id(), change))))
                .orElse(wiring);
    }

    private <T> Choice<T> choice(String name, String key, List<T> values, Function<T, String> words,
            Function<Wire, @Nullable T> read, BiFunction<Wire, T, Wire> write) {
        return fields.list(name, key, values, words, w -> model.wire(session).map(read).orElse(null),
                (w, v) -> change(w, c -> write.apply(c, v)));
    }

    private <T> Choice<Perhaps<T>> perhaps(String name, String key, String none, T[] values, Function<T, String> words,
            Function<Wire, @Nullable T> read, BiFunction<Wire, @Nullable T, Wire> write) {
        List<Perhaps<T>> all = new java.util.ArrayList<>();
        all.add(new Perhaps<>(null, none));
        Arrays.stream(values).forEach(v -> all.add(new Perhaps<>(v, words.apply(v))));
        return fields.list(name, key, all, Perhaps::words,
                w -> model.wire(session).map(c -> {
                    T value = read.apply(c);
                    return new Perhaps<>(value, value == null ? none : words.apply(value));
                }).orElse(null), (w, v) -> change(w, c -> write.apply(c, v.value())));
    }

    /** Main colour and stripe, one beside the other. */
    private Node colour(String name, String key, Function<Wire, @Nullable WireColour> read,
            BiFunction<Wire, @Nullable WireColour, Wire> write) {
        Choice<Perhaps<Hue>> base = perhaps(name, key, say("none"), Hue.values(), Hue::words, w -> {
            WireColour colour = read.apply(w);
            return colour == null ? null : colour.base();
        }, (w, hue) -> {
            WireColour before = read.apply(w);
            return write.apply(w, hue == null ? null : new WireColour(hue, before == null ? null : before.stripe()));
        });
        Choice<Perhaps<Hue>> stripe = perhaps(say("stripe"), key + ".stripe", say("no stripe"), Hue.values(),
                Hue::words, w -> {
                    WireColour colour = read.apply(w);
                    return colour == null ? null : colour.stripe();
                }, (w, hue) -> {
                    WireColour before = read.apply(w);
                    return before == null ? w : write.apply(w, new WireColour(before.base(), hue));
                });
        return Parts.evenly(base, stripe);
    }

    private Node pin(String name, String key, Function<Wire, String> read, BiFunction<Wire, String, Wire> write) {
        return fields.text(name, () -> "wire.chart." + model.wire(session).map(Wire::id).orElse("") + "." + key,
                say("such as B7"), w -> model.wire(session).map(read).orElse(""),
                (w, v) -> change(w, c -> write.apply(c, v))).limited(TextLimit.MARK);
    }

    private Node row(Chart chart, Wire w, boolean looked) {
        Work work = w.work();
        Device to = w.to();
        Wire.Left end = w.left();
        boolean doubtful = chart.doubtful(w);
        Label tag = Parts.line(w.tag(), "figure", looked ? "strong" : "plain");
        tag.setMinWidth(22);
        Label words = Parts.text((work == null ? say("work ?") : work.words()) + " · "
                + colours(w) + " · "
                + (to == null
                        ? say("unused, %s", end == null ? say("how left ?") : end.words())
                        : say("to %s%s", to.words(), w.toPin().isBlank() ? "" : " " + w.toPin())),
                looked ? "strong" : "plain");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        Label state = Parts.line(doubtful ? say("twin ?") : w.toldApart() ? "✓" : "", doubtful ? "wrong" : "agreed");
        state.setMinWidth(Region.USE_PREF_SIZE);
        HBox content = new HBox(8, tag, swatch(w.colour()), words, state);
        content.setAlignment(Pos.CENTER_LEFT);
        Pressable press = new Pressable("wire.chart.row." + w.tag(),
                say("Wire %s%s", w.tag(), doubtful ? say(", one of twins") : ""),
                () -> model.lookAtWire(session, w.id()),
                content);
        press.getStyleClass().addAll("finding-row", "chart-row");
        if (looked) {
            press.getStyleClass().add("asked");
        }
        return press;
    }

    private static String colours(Wire w) {
        WireColour colour = w.colour();
        WireColour extension = w.extension();
        return (colour == null ? say("colour ?") : colour.words())
                + (extension == null ? "" : " → " + extension.words());
    }

    private static Node swatch(@Nullable WireColour colour) {
        StackPane swatch = new StackPane();
        Rectangle base = new Rectangle(26, 11);
        base.getStyleClass().addAll("swatch", colour == null ? "insulation-unknown" : StripDrawing.hue(colour.base()));
        swatch.getChildren().add(base);
        Hue stripe = colour == null ? null : colour.stripe();
        if (stripe != null) {
            Rectangle line = new Rectangle(26, 4);
            line.getStyleClass().add(StripDrawing.hue(stripe));
            swatch.getChildren().add(line);
        }
        swatch.setMinWidth(28);
        return swatch;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Chart chart = session.job().wiring().harness().chart();
        Optional<Wire> looked = model.wire(session);
        boolean within = lines.isFocusWithin();
        Parts.fill(lines, List.of(chart, looked, session.preferences().units()), () -> chart.wires().isEmpty()
                ? List.of(Parts.text(say("Drawn up before anything is cut: each wire, its colour, where it goes."),
                        "soft"))
                : chart.wires().stream().map(w -> row(chart, w, looked.filter(w::equals).isPresent())).toList());
        if (within) {
            looked.map(w -> Parts.find(lines, "wire.chart.row." + w.tag())).ifPresent(Node::requestFocus);
        }
        which.setText(looked.map(w -> say("tag %s", w.tag())).orElse(say("none yet")));
        Parts.show(one, looked.isPresent());
        Parts.show(left, looked.filter(w -> !w.used()).isPresent());
        long doubtful = chart.wires().stream().filter(chart::doubtful).count();
        note.setText(say("%s%s%s", count("1 wire", "%d wires", chart.wires().size()),
                doubtful == 0 ? "" : say(", %s twins to tell apart", doubtful),
                session.job().wiring().harness().route().total()
                        .map(t -> say(" · way %s", Figures.length(session, t))).orElse("")));
        findings.refresh(WireModel.findings(session, LeafId.WIRE_CHART), "");
        strip.refresh();
        fields.refresh();
    }
}
