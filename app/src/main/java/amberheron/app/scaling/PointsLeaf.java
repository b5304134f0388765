package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Copied;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pasted;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.job.Station;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.CheckPoint.Engine;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.SettingText;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.UnitChoice;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/** Check points: volts applied and number shown against the number expected, and what that says so far. */
final class PointsLeaf implements Leaf {
    private final Session session;
    private final ScaleModel model;
    private final ErrorPlot plot;
    private final Label band = new Label();
    private final Label note = new Label();
    private final Cells points = new Cells(8, 1);
    private final TypedFields fresh;
    /** Fields of a point that is changed where it stands. */
    private final TypedFields again;
    private String changing = "";
    private final ToggleButton running = new ToggleButton(say("Engine running"));
    private @Nullable Engine proposed;
    private final Label fault = Parts.text("", "fault");
    private final Label typed = Parts.text("", "plain");
    private final Label says = Parts.text("", "plain");
    private final Label doubt = Parts.text("", "hint");
    private final Label repeats = Parts.text("", "soft");
    private final Label asks = Parts.text("", "wrong");
    private final Button which;
    private final Node pinned;
    private final Node node;

    PointsLeaf(Session session, ScaleModel model) {
        this.session = session;
        this.model = model;
        plot = new ErrorPlot(session);
        pinned = Parts.noted(say("Shown − true"), band, plot);
        points.getColumnConstraints().add(new ColumnConstraints());
        for (int i = 0; i < 4; i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setHgrow(Priority.ALWAYS);
            column.setHalignment(HPos.RIGHT);
            points.getColumnConstraints().add(column);
        }
        fresh = new TypedFields(session, "scale.", this::add);
        again = new TypedFields(session, "scale.again.", this::change);
        List.of(fresh, again).forEach(f -> f.volts.onCells(rows -> model.paste(session, rows, engine())));
        again.all().forEach(f -> f.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                change("");
                e.consume();
            }
        }));
        Copied.onKeys(points, session, () -> session.job().points().stream().map(this::text)
                .collect(Collectors.joining("\n")));
        running.setId("scale.running");
        running.setAccessibleText(say("Engine running while this is read"));
        running.setMinWidth(Region.USE_PREF_SIZE);
        Parts.show(fault, false);
        Button add = Parts.button(say("Add"), "scale.add", this::add, "quiet");
        add.setMinWidth(Region.USE_PREF_SIZE);
        which = Parts.button(say("Which link"), "scale.which", () -> session.focus(LeafId.SCALE_LINK), "quiet");
        node = Columns.wideLeft(290, Parts.noted(say("Check points"), note, points, fresh.row(),
                new HBox(8, running, Parts.spring(), add), fault),
                Parts.card(say("So far"), typed, says, doubt, repeats, asks,
                        new FlowPane(8, 6, which,
                                Parts.button(say("To CSV"), "scale.points.write", () -> model.write(session), "quiet"),
                                Parts.button(say("From CSV…"), "scale.points.read",
                                        () -> Parts.browse(which, say("Check points (CSV)"),
                                                f -> model.read(session, f)),
                                        "quiet"))));
    }

    private Engine engine() {
        return running.isSelected() ? Engine.RUNNING : Engine.OFF;
    }

    private void add() {
        String wrong = model.add(session, fresh.typed(engine()));
        Parts.show(fault, wrong);
        if (wrong.isEmpty()) {
            fresh.show(new ScaleModel.Typed("", ""));
            fresh.volts.requestFocus();
        }
    }

    /** The point whose row is open. */
    private Optional<CheckPoint> changed() {
        return session.job().points().stream().filter(p -> p.id().equals(changing)).findFirst();
    }

    /** Opens the row of a point to be typed anew; of none, closes it. */
    private void change(String id) {
        changing = id;
        Parts.show(fault, "");
        changed().ifPresent(p -> again.show(ScaleModel.typed(session, p)));
        points.write(this::write);
        if (id.isEmpty()) {
            fresh.volts.requestFocus();
        } else {
            again.volts.requestFocus();
        }
    }

    private void change() {
        changed().ifPresent(p -> {
            String wrong = model.change(session, p, again.typed(p.engine()));
            if (wrong.isEmpty()) {
                change("");
            }
            Parts.show(fault, wrong);
        });
    }

    private String text(CheckPoint p) {
        OutputLaw used = session.job().law();
        Reader read = session.job().reader();
        return used == null || read == null
                ? ""
                : String.join("\t", UnitChoice.digits(p.outputVolts(used), 2) + " V",
                        Figures.mixture(session, p.trueLambda(used)), ScaleWords.inReader(read, p.shown()),
                        Figures.difference(session, p.error(used, read)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    @Override
    public void refresh() {
        String stale = Figures.stale(session, Station.SCALE);
        note.setText(stale.isEmpty() ? say("engine off, then running") : stale);
        points.write(this::write);
        Engine next = ScaleModel.nextEngine(session);
        // What is asked for next is proposed once; what the installer then says stands.
        if (next != proposed) {
            proposed = next;
            running.setSelected(next == Engine.RUNNING);
        }
        band.setText(say("band ± %s", Figures.mixture(session, Tolerance.LAMBDA)));
        plot.refresh();
        fresh.volts.setPromptText(ScaleModel.hint(session));
        Reader read = session.job().reader();
        Parts.show(typed, read == null
                ? ""
                : session.review().scale()
                        .map(r -> say("Typed: %s%s", String.join(", ", SettingText.of(r.setting(), read)
                                .stream().limit(3).map(l -> l.ask() + " " + l.type()).toList()),
                                SettingText.of(r.setting(), read).size() > 3 ? " …" : ""))
                        .orElse(""));
        Optional<Diagnosis> diagnosis = session.review().diagnosis();
        Parts.show(says, diagnosis.map(d -> ScaleWords.likeliest(session, d)).orElse(say("Nothing was checked yet.")));
        Parts.show(doubt, diagnosis.map(d -> ScaleWords.doubt(session, d)).orElse(""));
        Parts.show(repeats, ScaleWords.repeats(session));
        Parts.show(asks, diagnosis.map(d -> ScaleWords.asks(session, d)).orElse(""));
        Parts.show(which, diagnosis.isPresent());
    }

    private void write() {
        OutputLaw used = session.job().law();
        Reader read = session.job().reader();
        List<CheckPoint> taken = session.job().points();
        if (used == null || read == null || taken.isEmpty()) {
            GridPane.setColumnSpan(
                    points.line(0, 0, say("None yet. Apply volts, type them and what the reader shows."), "soft"), 6);
            return;
        }
        String[] heads = {"", say("applied"), say("true"), say("shown"), say("off by")};
        for (int i = 0; i < heads.length; i++) {
            GridPane.setColumnSpan(points.line(i, 0, heads[i], "column-head"), 1);
        }
        for (int i = 0; i < taken.size(); i++) {
            row(i + 1, taken.get(i), used, read);
        }
    }

    private void row(int row, CheckPoint p, OutputLaw used, Reader read) {
        double off = p.error(used, read);
        boolean counts = session.review().points().contains(p);
        boolean kept = Math.abs(off) <= Tolerance.LAMBDA + 1e-12;
        String ink = counts ? "plain" : "soft";
        points.put(0, row, () -> {
            Button open = Parts.button(String.valueOf(row), "scale.change." + (row - 1),
                    () -> change(session.job().points().get(row - 1).id()), "icon", "open-row");
            open.setAccessibleText(say("Change check point %s", row));
            return open;
        });
        if (p.id().equals(changing)) {
            List<Pasted> fields = again.all();
            for (int i = 0; i < fields.size(); i++) {
                Pasted field = fields.get(i);
                points.put(i + 1, row, () -> field);
            }
            points.line(4, row, say("⏎ keeps"), "soft");
        } else {
            points.line(1, row, UnitChoice.digits(p.outputVolts(used), 2) + " V", "figure", ink);
            points.line(2, row, Figures.mixture(session, p.trueLambda(used)), "figure", ink);
            points.line(3, row, ScaleWords.inReader(read, p.shown()), "figure", ink);
            points.line(4, row, (kept ? "" : "▲ ") + Figures.difference(session, off), "figure",
                    !counts ? "soft" : kept ? "agreed" : "wrong");
        }
        points.put(5, row, () -> {
            Button remove = Parts.button("×", "scale.remove." + (row - 1), () -> model.remove(session, row - 1),
                    "icon");
            remove.setAccessibleText(say("Remove check point %s", row));
            return remove;
        });
        points.line(6, row, how(p), "soft");
    }

    /** Whether the engine ran, and where it came from where that has to be said. */
    private String how(CheckPoint p) {
        @Nullable
        Engine engine = p.engine();
        String origin = ScaleWords.origin(session, p);
        String words = engine == null ? "" : engine == Engine.OFF ? say("off") : say("running");
        return words.isEmpty() || origin.isEmpty() ? words + origin : words + ", " + origin;
    }
}
