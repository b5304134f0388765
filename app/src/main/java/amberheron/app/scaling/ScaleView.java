package amberheron.app.scaling;

import amberheron.core.job.Station;
import amberheron.core.scaling.ScaleField;
import java.util.Comparator;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Leaves;
import java.util.stream.Stream;
import java.util.ArrayList;
import amberheron.app.parts.Cells;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.session.Figures;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.core.job.Job;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.SettingText;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What to type, the check points, the difference drawn, and the likely causes. */
public final class ScaleView implements StationView {
    private static final int CAUSES = 4;
    /** What is typed and what comes of it share the width. */
    private static final double SHARE = 300;

    private final Session session;
    private final ScaleModel model;
    private final ErrorPlot plot;
    private final Choice<OutputLaw> law;
    private final Choice<Gauge> gauge;
    private final Choice<Reader> reader;
    private final Cells setting = new Cells(14, 2);
    private final Label settingNote = new Label();
    private final Label pointsNote = new Label();
    private final Label rounding = Parts.text("", "soft");
    private final Cells points = new Cells(10, 0);
    private final TextField volts = new TextField();
    private final TextField shown = new TextField();
    private final Label fault = Parts.text("", "fault");
    private final VBox causes = new VBox(6);
    private final List<CauseRow> rows = new ArrayList<>();
    private final Label splits = Parts.text("", "hint");
    private final Label correction = Parts.text("", "soft");
    private final Label band = new Label();
    private final Button corrected;
    private final Leaves leaves;

    /** The view on a session. */
    public ScaleView(Session session, ScaleModel model) {
        this.session = session;
        this.model = model;
        plot = new ErrorPlot(session);
        law = new Choice<>(session, "Output law, from the controller's sheet", "scale.law", session.catalogue().laws(),
                l -> l.name() + " " + (l.scale() instanceof MixtureScale.Lambda ? "λ" : "AFR"),
                () -> session.job().law(), l -> session.edit("law " + l.name(), j -> j.withLaw(l)));
        reader = new Choice<>(session, "Reader", "scale.reader", session.catalogue().readers(), Reader::name,
                () -> known(session.job().reader()), r -> session.edit("reader " + r.name(), j -> j.withReader(r)));
        List<Gauge> gauges = gauges(session);
        gauge = Choice.list(session, "Controller's own gauge shows", ScaleField.GAUGE.path(), gauges, Gauge::words,
                () -> gauges.stream().filter(g -> Objects.equals(g.scale(), session.job().gauge())).findFirst()
                        .orElseGet(() -> named(session.job().gauge())),
                g -> session.edit("gauge " + g.words(), j -> j.withGauge(g.scale())));
        points.getColumnConstraints().addAll(column(), column(), column(), column(), new ColumnConstraints());
        volts.setId("scale.volts");
        volts.setPromptText("volts applied");
        volts.setAccessibleText("Volts applied at the controller's output");
        shown.setId("scale.shown");
        shown.setPromptText("reader shows");
        shown.setAccessibleText("What the reader shows");
        volts.setOnAction(e -> shown.requestFocus());
        shown.setOnAction(e -> add());
        Parts.undoFrom(volts, session, () -> volts.getText().isEmpty());
        Parts.undoFrom(shown, session, () -> shown.getText().isEmpty());
        session.onFocus(wanted -> {
            if (wanted.equals("scale.volts")) {
                volts.requestFocus();
            }
        });
        Parts.show(fault, false);
        HBox.setHgrow(volts, Priority.ALWAYS);
        HBox.setHgrow(shown, Priority.ALWAYS);
        Button add = Parts.button("Add", "scale.add", this::add, "quiet");
        add.setMinWidth(Region.USE_PREF_SIZE);
        HBox entry = new HBox(8, volts, shown, add);
        corrected = Parts.button("Use corrected setting", "scale.corrected", () -> model.useCorrected(session),
                "quiet");
        VBox type = Parts.noted("Type this into the reader", settingNote, setting, rounding);
        type.getStyleClass().add("card-first");
        HBox.setHgrow(type, Priority.ALWAYS);
        VBox difference = Parts.noted("Shown − true", band, plot);
        HBox.setHgrow(difference, Priority.ALWAYS);
        type.setPrefWidth(SHARE);
        difference.setPrefWidth(SHARE);
        Parent check = Columns.even(300,
                Parts.noted("Check points", pointsNote, points, entry, fault),
                Parts.card("Likely causes", causes, corrected));
        leaves = new Leaves(session)
                .with("Type and check", "scale.leaf.check",
                        () -> Leaf.under(new HBox(12, type, difference), check, this::check))
                .with("Law and reader", "scale.leaf.law",
                        () -> Leaf.of(Parts.card("Law and reader", law, gauge, reader), () -> {
                            law.refresh();
                            gauge.refresh();
                            reader.refresh();
                        }));
    }

    /** What a gauge may show; null for the quantity of the output. */
    private record Gauge(@org.jspecify.annotations.Nullable MixtureScale scale, String words) {
    }

    /** λ, and the ratio of every fuel: a gauge made for one goes on showing its ratio with another in the tank. */
    private static List<Gauge> gauges(Session session) {
        return Stream.concat(Stream.of(new Gauge(null, "the quantity of its output"), named(MixtureScale.lambda())),
                session.catalogue().fuels().stream().map(f -> MixtureScale.afr(f.stoich())).distinct()
                        .sorted(Comparator.comparingDouble(s -> -s.fromLambda(1))).map(ScaleView::named))
                .toList();
    }

    private static Gauge named(@org.jspecify.annotations.Nullable MixtureScale scale) {
        return new Gauge(scale, scale instanceof MixtureScale.Afr afr
                ? say("AFR, %.2f at λ 1", afr.stoich())
                : "λ");
    }

    private static ColumnConstraints column() {
        ColumnConstraints column = new ColumnConstraints();
        column.setHgrow(Priority.ALWAYS);
        column.setHalignment(HPos.RIGHT);
        return column;
    }

    /** The reader as the catalogue lists it: one that was given a setting is still that reader. */
    private @org.jspecify.annotations.Nullable Reader known(@org.jspecify.annotations.Nullable Reader used) {
        return used == null
                ? null
                : session.catalogue().readers().stream().filter(r -> r.id().equals(used.id())).findFirst().orElse(used);
    }

    private void add() {
        String wrong = model.add(session, volts.getText(), shown.getText());
        fault.setText(wrong);
        Parts.show(fault, !wrong.isEmpty());
        if (wrong.isEmpty()) {
            volts.clear();
            shown.clear();
            volts.requestFocus();
        }
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(leaves.tabs());
    }

    @Override
    public List<Node> pinned() {
        return List.of(leaves.pinned());
    }

    @Override
    public void refresh() {
        leaves.refresh();
    }

    private void check() {
        setting.write(this::writeSetting);
        String stale = Figures.stale(session, Station.SCALE);
        pointsNote.setText(stale.isEmpty() ? "engine off, then running" : stale);
        points.write(this::writePoints);
        showCauses();
        band.setText("band ± " + Figures.mixture(session, Tolerance.LAMBDA));
        plot.refresh();
        volts.setPromptText(ScaleModel.hint(session));
    }

    private void writeSetting() {
        Job job = session.job();
        Reader read = job.reader();
        Optional<ScaleReport> report = session.review().scale();
        if (report.isEmpty() || read == null) {
            setting.words(0, 0, "Choose the law and the reader below.", "soft");
            settingNote.setText("");
            rounding.setText("");
            return;
        }
        List<SettingText.Line> lines = SettingText.of(report.get().setting(), read);
        for (int i = 0; i < lines.size(); i++) {
            setting.line(0, i, lines.get(i).ask(), "soft");
            setting.line(1, i, lines.get(i).type(), lines.size() > 3 ? "figure" : "big-figure");
        }
        settingNote.setText("in " + SettingText.quantity(read.scale()));
        ScaleReport.Worst worst = report.get().worst();
        rounding.setText(say("Worst error over the range %s at %s%s. Budget: %s.",
                Figures.difference(session, worst.lambda()), Figures.mixture(session, worst.atLambda()),
                read.setting() == null ? "" : ", with the setting it has now",
                String.join("; ", report.get().budget().stream()
                        .map(b -> b.cause() + ": "
                                + Figures.text(session, new Measure(b.lambda(), Dimension.MIXTURE, 4)))
                        .toList())));
    }

    private void writePoints() {
        OutputLaw used = session.job().law();
        Reader read = session.job().reader();
        List<CheckPoint> taken = session.job().points();
        if (used == null || read == null || taken.isEmpty()) {
            Label none = points.line(0, 0, "None yet. Apply volts, type them and what the reader shows.", "soft");
            GridPane.setColumnSpan(none, 5);
            return;
        }
        String[] heads = {"applied", "true", "shown", "off by"};
        for (int i = 0; i < heads.length; i++) {
            GridPane.setColumnSpan(points.line(i, 0, heads[i], "column-head"), 1);
        }
        for (int i = 0; i < taken.size(); i++) {
            CheckPoint p = taken.get(i);
            double off = p.error(used, read);
            boolean counts = session.review().points().contains(p);
            boolean kept = Math.abs(off) <= Tolerance.LAMBDA + 1e-12;
            int index = i;
            String ink = counts ? "plain" : "soft";
            points.line(0, i + 1, UnitChoice.digits(p.outputVolts(used), 2) + " V", "figure", ink);
            points.line(1, i + 1, Figures.mixture(session, p.trueLambda(used)), "figure", ink);
            points.line(2, i + 1, ScaleModel.inReader(read, p.shown()), "figure", ink);
            points.line(3, i + 1, (kept ? "" : "▲ ") + Figures.difference(session, off), "figure",
                    !counts ? "soft" : kept ? "agreed" : "wrong");
            points.put(4, i + 1, () -> {
                Button remove = Parts.button("×", "scale.remove." + index, () -> model.remove(session, index), "icon");
                remove.setAccessibleText("Remove check point " + (index + 1));
                return remove;
            });
            points.line(5, i + 1, ScaleModel.origin(session, p), "soft");
        }
    }

    private void showCauses() {
        Optional<Diagnosis> diagnosis = session.review().diagnosis();
        Parts.show(corrected, diagnosis.filter(d -> !d.withinTolerance() && d.correctedSetting() != null).isPresent());
        if (diagnosis.isEmpty()) {
            Parts.fill(causes, "", () -> List.of(Parts.text("Two points or more tell causes apart.", "soft")));
            return;
        }
        List<Diagnosis.Likelihood> likely = diagnosis.get().causes().stream().limit(CAUSES).toList();
        Diagnosis.NextPoint next = diagnosis.get().nextPoint();
        Reader read = Objects.requireNonNull(session.job().reader());
        var typed = diagnosis.get().correctedSetting();
        splits.setText(next == null
                ? ""
                : say("Next most telling point: %s, parts %s from %s.", UnitChoice.digits(next.volts(), 2) + " V",
                        next.first().key(), next.second().key()));
        correction.setText(diagnosis.get().withinTolerance() || typed == null
                ? ""
                : "Corrected: " + String.join(", ", SettingText.of(typed, read).stream()
                        .map(l -> l.ask() + " → " + l.type()).toList()));
        Parts.show(splits, next != null);
        Parts.show(correction, !correction.getText().isEmpty());
        while (rows.size() < likely.size()) {
            rows.add(new CauseRow());
        }
        Parts.fill(causes, likely.size(), () -> Stream.concat(rows.stream().limit(likely.size()).map(r -> r.node),
                Stream.of(splits, correction)).toList());
        for (int i = 0; i < likely.size(); i++) {
            rows.get(i).show(likely.get(i));
        }
    }

    /** A cause and how likely it is. */
    private static final class CauseRow {
        private final ProgressBar bar = new ProgressBar();
        private final Label percent = Parts.line("", "figure");
        private final Label title = Parts.line("", "cause");
        private final Node node;

        CauseRow() {
            bar.setMaxWidth(Double.MAX_VALUE);
            percent.setMinWidth(Region.USE_PREF_SIZE);
            node = new VBox(2, new HBox(title, Parts.spring(), percent), bar);
        }

        void show(Diagnosis.Likelihood l) {
            bar.setProgress(l.probability());
            bar.setAccessibleText(l.fault().title());
            percent.setText(say("%.0f %%", 100 * l.probability()));
            title.setText(l.fault().title() + parameters(l));
        }
    }

    private static String parameters(Diagnosis.Likelihood l) {
        return String.join(",", l.parameters().entrySet().stream()
                .map(e -> e.getValue() instanceof Double value ? parameter(e.getKey(), value) : ": " + e.getValue())
                .toList());
    }

    private static String parameter(String name, double value) {
        return switch (name) {
            case "volts" -> say(" %+.0f mV", 1000 * value);
            case "factor" -> say(" × %.3f", value);
            case "stoich" -> say(" %.2f", value);
            case "maxVolts" -> say(" above %.2f V", value);
            case "fraction" -> say(" %.1f %%", 100 * value);
            case "towardsVolts" -> say(" towards %.1f V", value);
            default -> "";
        };
    }
}
