package amberheron.app.shell;

import amberheron.app.session.Session;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Mark;
import amberheron.app.parts.StationView;

import amberheron.core.job.JobBoard;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.io.book.JobBook;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
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
    private final VBox bays = new VBox(4);
    private final VBox due = new VBox(4);
    private final Label boardNote = new Label();
    private final Choice<Integer> months;
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
        months = new Choice<>(session, "Free-air check again after", "jobs.months", List.of(3, 6, 12, 24),
                m -> m + " months", () -> session.shop().recalibrateMonths(), m -> {
                    Shop shop = session.shop();
                    session.shop(new Shop(shop.laws(), shop.schools(), m));
                });
        root = new VBox(12, Parts.noted("What every job waits on", boardNote, list), new Columns(300,
                Parts.card("Today's bays", bays), Parts.card("Free-air checks due again", due, months),
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
        List<JobBook.Entry> jobs = session.jobs();
        List<JobBoard.Line> lines = jobs.stream()
                .map(e -> JobBoard.line(review(e), session.shop().recalibrateMonths(), session.today())).toList();
        list.getChildren().setAll(jobs.stream().map(this::row).toList());
        if (jobs.isEmpty()) {
            list.getChildren().setAll(Parts.text("No job yet. Give the first one its number below.", "soft"));
        }
        Map<Waiting, Long> counts = lines.stream()
                .collect(Collectors.groupingBy(JobBoard.Line::on, TreeMap::new, Collectors.counting()));
        boardNote.setText(counts.entrySet().stream().map(e -> e.getValue() + " " + e.getKey().standing())
                .collect(Collectors.joining(" · ")));
        List<JobBoard.Line> today = JobBoard.onDay(lines, session.today());
        bays.getChildren().setAll(today.isEmpty()
                ? List.of(Parts.text("No job is booked for today.", "soft"))
                : today.stream().map(l -> Parts.text("Bay %s: %s, %s".formatted(
                        l.job().progress().bay().isBlank() ? "?" : l.job().progress().bay(), l.job().id(), l.detail())))
                        .toList());
        List<JobBoard.Line> overdue = lines.stream().filter(JobBoard.Line::overdue).toList();
        due.getChildren().setAll(overdue.isEmpty()
                ? List.of(Parts.text("None is overdue.", "soft"))
                : overdue.stream().map(l -> Parts.text("▲ %s, %s: since %s".formatted(l.job().id(),
                        l.job().intake().vehicle(), l.due()), "overdue")).toList());
        months.refresh();
    }

    /** Worked out again only when the job has changed. */
    private JobReview review(JobBook.Entry entry) {
        return reviewed.computeIfAbsent(entry.id() + "@" + entry.changed() + session.shop().schools(),
                k -> session.peek(entry.id()).orElseThrow());
    }

    private Node row(JobBook.Entry entry) {
        HBox states = new HBox(2);
        states.setAlignment(Pos.CENTER_RIGHT);
        StringBuilder words = new StringBuilder();
        JobReview review = review(entry);
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
        JobBoard.Line on = JobBoard.line(review, session.shop().recalibrateMonths(), session.today());
        Label waits = Parts.line(on.on().standing(), "waits");
        Label detail = Parts.line(on.detail(), "soft");
        VBox says = new VBox(Parts.line(entry.vehicle().isBlank() ? "vehicle not entered" : entry.vehicle()), waits,
                detail);
        if (on.overdue()) {
            says.getChildren().add(Parts.line("▲ air check was due " + on.due(), "overdue"));
        }
        words.append(on.on().standing()).append(", ").append(on.detail());
        HBox.setHgrow(says, Priority.ALWAYS);
        says.setMaxWidth(Double.MAX_VALUE);
        says.setMinWidth(40);
        states.setAlignment(Pos.CENTER_LEFT);
        HBox first = new HBox(10, id, says);
        first.setAlignment(Pos.TOP_LEFT);
        VBox line = new VBox(4, first, states);
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
