package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.drivelog.ColumnRow.Use;
import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Session;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.ColumnFacts;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.job.Output;
import amberheron.io.TextFiles;
import amberheron.io.csv.StreamRecorder;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The log that is read, and what its columns are taken for. */
final class ChannelsLeaf implements Leaf {
    private static final double NAME = 124;

    private final Session session;
    private final TextField file = new TextField();
    private final TextField with = new TextField();
    private final TextField from = new TextField();
    private final TextField to = new TextField();
    private final Label asked = Parts.text("", "hint");
    private final VBox seen = new VBox(6);
    private final Map<ColumnFacts, ColumnRow> rows = new LinkedHashMap<>();
    private final Map<LogChannel, Integer> picked = new EnumMap<>(LogChannel.class);
    /** Log that the rows are of. */
    private String of = "";
    private final TraceView view;
    private final Label note = Parts.text("", "soft");
    private final Label written = Parts.text("", "soft");
    private final Cells columns = new Cells(14, 4);
    private final Button record;
    private final Columns node;

    ChannelsLeaf(Session session, ProveModel model, TraceView view) {
        this.session = session;
        this.view = view;
        model.readBy(this::read);
        ColumnConstraints names = new ColumnConstraints(NAME);
        columns.getColumnConstraints().add(names);
        file.setId("prove.file");
        file.setPromptText(say("path of the log, or drop it here"));
        file.setAccessibleText(say("Log file"));
        file.setOnAction(e -> read(file.getText()));
        with.setId("prove.with");
        with.setPromptText(say("a second log of this drive, if one lacks a channel"));
        with.setAccessibleText(say("Second log of the same drive"));
        with.setOnAction(e -> read(file.getText()));
        for (TextField end : List.of(from, to)) {
            end.setPrefColumnCount(5);
            end.setOnAction(e -> read(file.getText()));
        }
        from.setId("prove.from");
        from.setAccessibleText(say("Only from this second of the log on"));
        to.setId("prove.to");
        to.setAccessibleText(say("Only up to this second of the log"));
        HBox part = new HBox(8, Parts.line(say("only from second"), "field-name"), from,
                Parts.line(say("to"), "field-name"), to);
        part.setAlignment(Pos.CENTER_LEFT);
        Button lay = Parts.button(say("Lay it over"), "prove.lay",
                () -> ProveModel.lay(session, view, file.getText(), said()), "quiet");
        record = Parts.button(say("Record the stream"), "prove.record", () -> {
            ProveModel.record(session);
            recorded();
        }, "quiet");
        HBox ways = new HBox(8, Parts.button(say("Read it"), "prove.read", () -> read(file.getText()), "quiet"),
                Parts.button(say("Browse…"), "prove.browse", () -> Parts.browse(file, say("Proving log"), this::read),
                        "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        HBox more = new HBox(8, record, lay);
        node = Columns.even(300, Parts.card(say("Log"), file, ways, with, part, more, note, written),
                Parts.card(say("What its columns are"), asked, columns, seen));
        Animation beat = Parts.beat(session, Duration.seconds(1), this::recorded);
        // What is written down grows by itself; looked at only while the leaf is.
        node.sceneProperty().addListener((o, before, scene) -> {
            if (scene == null) {
                beat.stop();
            } else {
                beat.play();
            }
        });
    }

    private void read(String typed) {
        file.setText(typed);
        if (typed.isBlank()) {
            session.tell(say("Name the log first."));
            session.focus(file.getId());
            return;
        }
        ProveModel.columns(session, typed, facts -> {
            if (!typed.equals(of)) {
                of = typed;
                picked.clear();
            }
            rows.clear();
            facts.forEach(f -> rows.put(f, new ColumnRow(f, this::taken, this::pick)));
            seen.getChildren().setAll(rows.values().stream().map(ColumnRow::node).toList());
            refresh();
        });
        ProveModel.take(session, view, typed, with.getText(), said(), part());
    }

    /** The columns that a person picked, as the reading takes them: by their numbers. */
    private String said() {
        return picked.entrySet().stream().map(e -> e.getKey().key() + "=" + (e.getValue() + 1))
                .collect(Collectors.joining(","));
    }

    private String part() {
        return from.getText().isBlank() && to.getText().isBlank()
                ? ""
                : (from.getText().isBlank() ? "0" : from.getText().strip()) + "-"
                        + (to.getText().isBlank() ? "1e9" : to.getText().strip());
    }

    private void pick(ColumnFacts column, LogChannel channel) {
        picked.put(channel, column.index());
        read(file.getText());
    }

    /** What a column is taken for: as a person picked it, else as it was recognised. */
    private Use taken(ColumnFacts column) {
        return picked.entrySet().stream().filter(e -> e.getValue() == column.index()).findFirst()
                .map(e -> new Use(e.getKey()))
                .or(() -> recognised(column).map(c -> new Use(c.channel()))).orElse(new Use(null));
    }

    private Optional<DriveFound.Column> recognised(ColumnFacts column) {
        Output.Proving proving = session.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        return found == null
                ? Optional.empty()
                : found.columns().stream().filter(c -> c.name().equals(column.name())).findFirst();
    }

    private void recorded() {
        ControllerDesk desk = session.controller();
        record.setDisable(!desk.connected());
        Optional<StreamRecorder.Written> now = desk.recording();
        record.setText(now.isPresent() ? say("End the recording") : say("Record the stream"));
        written.setText(now.map(
                w -> say("%s in %s. ", count("1 line", "%,d lines", w.rows()), TextFiles.name(w.file())) + w.fault())
                .orElse(desk.connected()
                        ? desk.shown()
                        : say("No controller is connected: that is done on Air, Coach.")));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Output.Proving proving = session.job().proving();
        note.setText(proving == null
                ? say("A log of any make, as text with a column for each channel. Its columns are "
                        + "recognised.")
                : proving.file() + say(" · %,d samples · SHA-256 %s…", proving.result().samples(),
                        proving.digest().substring(0, Math.min(12, proving.digest().length()))));
        DriveFound found = proving == null ? null : proving.found();
        List<DriveFound.Column> taken = found == null || !rows.isEmpty() ? List.of() : found.columns();
        rows.forEach(
                (column, row) -> row.refresh(recognised(column).map(c -> say("%s; in %s", c.because(), c.quantity()))
                        .orElse("")));
        List<LogChannel> lacking = Stream.of(LogChannel.CONTROLLER, LogChannel.READER)
                .filter(c -> rows.keySet().stream().noneMatch(f -> taken(f).channel() == c)).toList();
        Parts.show(asked, rows.isEmpty() || lacking.isEmpty()
                ? ""
                : say("Which column is %s? Pick it at its row.", lacking.getFirst().words()));
        columns.write(() -> {
            if (taken.isEmpty() && rows.isEmpty()) {
                columns.words(0, 0, say("No log was read yet."), "soft");
                return;
            }
            int row = 0;
            Joined joined = found == null ? null : found.joined();
            if (joined != null) {
                Clocks clocks = joined.clocks();
                columns.line(0, row, say("second log"), "strong");
                columns.words(1, row++, say("%s; it begins at %.1f s, put together by %s", joined.file(),
                        clocks.shift(), clocks.toldBy()), "plain");
            }
            for (DriveFound.Column c : taken) {
                columns.line(0, row, c.name(), "strong");
                columns.words(1, row++, say("%s, in %s; %s", c.channel().words(), c.quantity(), c.because()), "plain");
            }
        });
        recorded();
    }
}
