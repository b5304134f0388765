package amberheron.app.shell;

import amberheron.core.job.JobReview;
import amberheron.core.job.Station;
import amberheron.io.book.JobBook;
import java.util.HashMap;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Every job in the book with the state of its links; a new one, or one that was mailed. */
final class JobsView implements StationView {
    private final Session session;
    private final VBox list = new VBox(6);
    private final TextField number = new TextField();
    private final TextField file = new TextField();
    private final VBox root;
    /** Reviews by job and time of its last change, so that only what changed is worked out again. */
    private final Map<String, JobReview> reviewed = new HashMap<>();

    JobsView(Session session) {
        this.session = session;
        number.setId("jobs.number");
        number.setPromptText("number, such as SB-017");
        number.setAccessibleText("Number of the new job");
        number.setOnAction(e -> begin());
        file.setId("jobs.file");
        file.setPromptText("path of a job document (.json)");
        file.setAccessibleText("Job document");
        file.setOnAction(e -> session.take(java.nio.file.Path.of(file.getText().strip())));
        HBox.setHgrow(number, Priority.ALWAYS);
        HBox.setHgrow(file, Priority.ALWAYS);
        session.onFocus(wanted -> {
            if (wanted.equals("jobs.number")) {
                number.requestFocus();
            }
        });
        root = new VBox(12, Parts.card("In the book", list), new Columns(300,
                Parts.card("New job", new HBox(8, number, Parts.button("Begin", "jobs.begin", this::begin, "primary"))),
                Parts.card("Job that was mailed", new HBox(8, file, Parts.button("Take it in", "jobs.take",
                        () -> session.take(java.nio.file.Path.of(file.getText().strip())), "quiet")))));
    }

    private void begin() {
        session.begin(number.getText());
        number.clear();
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        var jobs = session.jobs();
        list.getChildren().setAll(jobs.stream().map(this::row).toList());
        if (jobs.isEmpty()) {
            list.getChildren().setAll(Parts.text("No job yet. Give the first one its number below.", "soft"));
        }
    }

    private Node row(JobBook.Entry entry) {
        HBox states = new HBox(2);
        states.setAlignment(Pos.CENTER_RIGHT);
        StringBuilder words = new StringBuilder();
        JobReview review = reviewed.computeIfAbsent(entry.id() + "@" + entry.changed(),
                k -> session.peek(entry.id()).orElseThrow());
        for (Station station : Station.values()) {
            StackPane mark = new StackPane(Mark.of(review.state(station)));
            mark.setMinSize(24, 24);
            Label name = Parts.line(station.title(), "path-key");
            VBox one = new VBox(mark, name);
            one.setAlignment(Pos.CENTER);
            one.setMinWidth(54);
            states.getChildren().add(one);
            words.append(station.title()).append(' ').append(review.state(station).words()).append(", ");
        }
        Label id = Parts.line(entry.id(), "job-number");
        id.setMinWidth(64);
        Label vehicle = Parts.line(entry.vehicle().isBlank() ? "vehicle not entered" : entry.vehicle());
        HBox.setHgrow(vehicle, Priority.ALWAYS);
        vehicle.setMaxWidth(Double.MAX_VALUE);
        vehicle.setMinWidth(40);
        HBox line = new HBox(10, id, vehicle, states);
        line.setAlignment(Pos.CENTER_LEFT);
        Button button = new Button();
        button.setGraphic(line);
        button.setId("jobs.open." + entry.id());
        button.setAccessibleText("Open " + entry.id() + ", " + entry.vehicle() + ": " + words);
        button.getStyleClass().setAll("job-row");
        button.setMaxWidth(Double.MAX_VALUE);
        line.prefWidthProperty().bind(button.widthProperty().subtract(24));
        button.setOnAction(e -> session.open(entry.id()));
        return button;
    }
}
