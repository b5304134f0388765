package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.io.UnusableInput;
import amberheron.io.csv.LogCsv;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import javafx.concurrent.Task;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The log, read off the screen's thread, and what it says. */
public final class ProveView implements StationView {
    private final Session session;
    private final FindingsTable findings;
    private final TracePlot plot;
    private final TextField file = new TextField();
    private final Label fault = Parts.text("", "fault");
    private final Label note = Parts.text("", "soft");
    private final ProgressBar progress = new ProgressBar(-1);
    private final Button stop;
    private final VBox root;
    private @Nullable Task<LogCsv.Log> reading;

    /** The view on a session. */
    public ProveView(Session session) {
        this.session = session;
        findings = new FindingsTable(session);
        plot = new TracePlot(session);
        file.setId("prove.file");
        file.setPromptText("path of the log, or drop it here");
        file.setAccessibleText("Log file");
        file.setOnAction(e -> read(file.getText()));
        stop = Parts.button("Stop", "prove.stop", this::cancel, "quiet");
        Parts.show(fault, false);
        busy(false);
        session.onFocus(wanted -> {
            if (wanted.equals("prove.file")) {
                file.requestFocus();
            }
        });
        HBox ways = new HBox(8, Parts.button("Read it", "prove.read", () -> read(file.getText()), "quiet"),
                Parts.button("Browse…", "prove.browse", () -> Parts.browse(file, "Proving log", this::read), "quiet"),
                progress, stop);
        ways.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        root = new VBox(12, new Columns(300, Parts.card("Against the rules", findings),
                Parts.card("Log", file, ways, note, fault)), Parts.card("Over the drive", plot));
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
        cancel();
        file.setText(typed);
        Job job = session.job();
        Task<LogCsv.Log> task = new Task<>() {
            @Override
            protected LogCsv.Log call() {
                try {
                    return ProveModel.read(job, Path.of(typed.strip()));
                } catch (InvalidPathException e) {
                    throw new UnusableInput(typed, "", "is not a path, expected one such as /logs/drive.csv");
                }
            }
        };
        task.setOnSucceeded(e -> {
            busy(false);
            LogCsv.Log log = task.getValue();
            show(log.skipped() == 0
                    ? ""
                    : say("%d rows could not be used and were left out; the first: %s", log.skipped(),
                            log.faults().getFirst()));
            session.edit("log " + log.file(), j -> j.withProving(ProveModel.proving(log)));
        });
        task.setOnFailed(e -> {
            busy(false);
            show(String.valueOf(task.getException().getMessage()));
        });
        task.setOnCancelled(e -> busy(false));
        reading = task;
        busy(true);
        show("");
        Thread thread = new Thread(task, "log reader");
        thread.setDaemon(true);
        thread.start();
    }

    private void cancel() {
        Task<LogCsv.Log> now = reading;
        if (now != null) {
            now.cancel();
        }
    }

    private void busy(boolean on) {
        Parts.show(progress, on);
        Parts.show(stop, on);
    }

    private void show(String text) {
        fault.setText(text);
        Parts.show(fault, !text.isEmpty());
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        Job.Proving proving = session.job().proving();
        note.setText(proving == null
                ? "A CSV with the columns time, controller and reader."
                : proving.file() + say(" · %,d samples · SHA-256 %s…", proving.result().samples(),
                        proving.digest().substring(0, Math.min(12, proving.digest().length()))));
        findings.refresh(session.review().findings(Station.PROVE), "Read a log to judge it.");
        plot.refresh();
    }
}
