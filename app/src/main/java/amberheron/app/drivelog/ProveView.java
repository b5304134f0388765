package amberheron.app.drivelog;

import amberheron.app.session.Figures;
import javafx.scene.Node;
import java.util.List;
import java.util.Optional;
import amberheron.app.session.ControllerDesk;
import amberheron.io.TextFiles;
import amberheron.io.csv.StreamRecorder;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.util.Duration;
import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.app.scaling.OutputSwitch;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The log and what it says. */
public final class ProveView implements StationView {
    private final Session session;
    private final FindingsTable findings;
    private final TracePlot plot;
    private final TextField file = new TextField();
    private final Label note = Parts.text("", "soft");
    private final Label stale = new Label();
    private final Label written = Parts.text("", "soft");
    private final Button record;
    private final Timeline beat;
    private final Columns root;
    private final VBox drive;
    private final OutputSwitch output;

    /** The view on a session. */
    public ProveView(Session session) {
        this.session = session;
        output = new OutputSwitch(session);
        findings = new FindingsTable(session);
        plot = new TracePlot(session);
        file.setId("prove.file");
        file.setPromptText("path of the log, or drop it here");
        file.setAccessibleText("Log file");
        file.setOnAction(e -> read(file.getText()));
        session.onFocus(wanted -> {
            if (wanted.equals("prove.file")) {
                file.requestFocus();
            }
        });
        record = Parts.button("Record the stream", "prove.record", () -> {
            ProveModel.record(session);
            recorded();
        }, "quiet");
        HBox ways = new HBox(8, Parts.button("Read it", "prove.read", () -> read(file.getText()), "quiet"),
                Parts.button("Browse…", "prove.browse", () -> Parts.browse(file, "Proving log", this::read), "quiet"),
                record);
        ways.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        drive = Parts.card("Over the drive", plot);
        beat = new Timeline(new KeyFrame(Duration.seconds(1), e -> recorded()));
        beat.setCycleCount(Animation.INDEFINITE);
        root = new Columns(230, Parts.noted("Against the rules", stale, findings),
                Parts.card("Log", file, ways, note, written));
        // What is written down grows by itself; looked at only while the station is.
        root.sceneProperty().addListener((o, before, scene) -> {
            if (scene == null) {
                beat.stop();
            } else {
                beat.play();
            }
        });
        root.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        root.setOnDragDropped(e -> {
            e.getDragboard().getFiles().stream().findFirst().ifPresent(f -> read(f.toString()));
            e.setDropCompleted(true);
        });
    }

    private void read(String typed) {
        file.setText(typed);
        ProveModel.take(session, typed);
    }

    private void recorded() {
        ControllerDesk desk = session.controller();
        record.setDisable(!desk.connected());
        Optional<StreamRecorder.Written> now = desk.recording();
        record.setText(now.isPresent() ? "End the recording" : "Record the stream");
        written.setText(now.map(w -> say("%,d lines in %s. ", w.rows(), TextFiles.name(w.file())) + w.fault())
                .orElse(desk.connected()
                        ? desk.shown()
                        : "No controller is connected: that is done on Air, Coach."));
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(output.node());
    }

    @Override
    public List<Node> pinned() {
        return List.of(drive);
    }

    @Override
    public void refresh() {
        output.refresh();
        Output.Proving proving = session.job().proving();
        Parts.show(drive, proving != null);
        note.setText(proving == null
                ? "A CSV with the columns time, controller and reader."
                : proving.file() + say(" · %,d samples · SHA-256 %s…", proving.result().samples(),
                        proving.digest().substring(0, Math.min(12, proving.digest().length()))));
        findings.refresh(session.review().findings(Station.PROVE), "Read a log to judge it.");
        stale.setText(Figures.stale(session, Station.PROVE));
        plot.refresh();
        recorded();
    }
}
