package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Session;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Joined;
import amberheron.core.job.Output;
import amberheron.io.TextFiles;
import amberheron.io.csv.StreamRecorder;
import java.util.List;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.HBox;
import javafx.util.Duration;

/** The log that is read, and what its columns are taken for. */
final class ChannelsLeaf implements Leaf {
    private static final double NAME = 124;

    private final Session session;
    private final TextField file = new TextField();
    private final TextField with = new TextField();
    private final TextField named = new TextField();
    private final TextField part = new TextField();
    private final TraceView view;
    private final Label note = Parts.text("", "soft");
    private final Label written = Parts.text("", "soft");
    private final Cells columns = new Cells(14, 4);
    private final Button record;
    private final Columns node;

    ChannelsLeaf(Session session, TraceView view) {
        this.session = session;
        this.view = view;
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
        named.setId("prove.columns");
        named.setPromptText(say("if they cannot be told: reader=4"));
        named.setAccessibleText(say("Columns by name or number"));
        named.setOnAction(e -> read(file.getText()));
        part.setId("prove.part");
        part.setPromptText(say("or only a part, in seconds: 60-300"));
        part.setAccessibleText(say("Part of the log in seconds"));
        part.setOnAction(e -> read(file.getText()));
        Button lay = Parts.button(say("Lay it over"), "prove.lay",
                () -> ProveModel.lay(session, view, file.getText(), named.getText()), "quiet");
        record = Parts.button(say("Record the stream"), "prove.record", () -> {
            ProveModel.record(session);
            recorded();
        }, "quiet");
        HBox ways = new HBox(8, Parts.button(say("Read it"), "prove.read", () -> read(file.getText()), "quiet"),
                Parts.button(say("Browse…"), "prove.browse", () -> Parts.browse(file, say("Proving log"), this::read),
                        "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        HBox more = new HBox(8, record, lay);
        node = Columns.even(300, Parts.card(say("Log"), file, ways, with, named, part, more, note, written),
                Parts.card(say("What its columns are"), columns));
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
        ProveModel.take(session, view, typed, with.getText(), named.getText(), part.getText());
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
        List<DriveFound.Column> taken = found == null ? List.of() : found.columns();
        columns.write(() -> {
            if (taken.isEmpty()) {
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
