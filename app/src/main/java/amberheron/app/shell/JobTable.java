package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Mark;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.JobSummary;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.core.units.NaturalOrder;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** Jobs, one line each, in columns that sort. */
final class JobTable extends TableView<JobSummary> {
    private static final double ROW = 38;
    private static final double HEADS = 34;
    /** Height of the window that is not the table's. */
    private static final double OTHERS = 330;
    private static final int FEWEST = 6;
    private static final double MARK = 21;
    /** Width from which there is room for a column of what exactly a job waits on. */
    private static final double ROOMY = 900;

    private final Session session;
    private final Label exactly = Parts.text("", "soft");
    private final ObservableList<JobSummary> rows = FXCollections.observableArrayList();
    private List<JobSummary> shown = List.of();

    JobTable(Session session) {
        this.session = session;
        setId("jobs.list");
        setAccessibleText(say("Jobs in the book; the digits 1 to 7 sort by their column"));
        getStyleClass().add("job-list");
        setFixedCellSize(ROW);
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        setPlaceholder(Parts.text(say("None of them. Finished ones stand under “Finished”."), "soft"));
        TableColumn<JobSummary, String> number = words(say("Number"), 74, JobSummary::id);
        number.setComparator(NaturalOrder.OF);
        TableColumn<JobSummary, JobSummary> links = new TableColumn<>(say("Links"));
        links.setCellValueFactory(c -> new ReadOnlyObjectWrapper<>(c.getValue()));
        links.setCellFactory(c -> new Links());
        links.setComparator(
                Comparator.comparingLong(j -> j.states().values().stream().filter(LinkState::done).count()));
        fixed(links, 7 * MARK + 14);
        TableColumn<JobSummary, String> waits = words(say("Waits on"), 130, this::standing);
        TableColumn<JobSummary, LocalDate> day = new TableColumn<>(say("Day"));
        day.setCellValueFactory(c -> new ReadOnlyObjectWrapper<>(c.getValue().day()));
        day.setComparator(Comparator.nullsLast(Comparator.naturalOrder()));
        day.setCellFactory(c -> new Day());
        fixed(day, 92);
        TableColumn<JobSummary, String> vehicle = words(say("Vehicle"), 190,
                j -> j.vehicle().isBlank() ? say("vehicle not entered") : j.vehicle());
        TableColumn<JobSummary, String> bay = words(say("Bay"), 54, JobSummary::bay);
        bay.setComparator(NaturalOrder.OF);
        TableColumn<JobSummary, String> next = words(say("What exactly"), 200, JobTable::exactly);
        number.setMaxWidth(110);
        vehicle.setMaxWidth(300);
        waits.setMaxWidth(200);
        bay.setMaxWidth(90);
        getColumns().setAll(List.of(number, vehicle, links, waits, bay, day, next));
        exactly.setId("jobs.exactly");
        Parts.show(exactly, "");
        widthProperty().addListener((o, was, now) -> {
            next.setVisible(now.doubleValue() >= ROOMY);
            tell();
        });
        getSelectionModel().selectedItemProperty().addListener((o, was, now) -> tell());
        setItems(rows);
        setRowFactory(t -> new Row());
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                open();
                e.consume();
            }
        });
        // A digit sorts by that column, as a press on its head does; again the other way round.
        setOnKeyTyped(e -> {
            int at = "1234567".indexOf(e.getCharacter());
            if (at >= 0 && !e.getCharacter().isEmpty()) {
                sortBy(getColumns().get(at));
            }
        });
        InvalidationListener resized = o -> fit();
        // It leaves the scene and comes back whenever another view is shown.
        sceneProperty().addListener((o, was, now) -> {
            if (was != null) {
                was.heightProperty().removeListener(resized);
            }
            if (now != null) {
                now.heightProperty().addListener(resized);
                fit();
            }
        });
    }

    private void sortBy(TableColumn<JobSummary, ?> column) {
        boolean again = getSortOrder().contains(column);
        column.setSortType(again && column.getSortType() == TableColumn.SortType.ASCENDING
                ? TableColumn.SortType.DESCENDING
                : TableColumn.SortType.ASCENDING);
        getSortOrder().setAll(List.of(column));
    }

    private static TableColumn<JobSummary, String> words(String name, double width,
            Function<JobSummary, String> of) {
        TableColumn<JobSummary, String> column = new TableColumn<>(name);
        column.setCellValueFactory(c -> new ReadOnlyObjectWrapper<>(of.apply(c.getValue())));
        column.setPrefWidth(width);
        column.setMinWidth(Math.min(width, 60));
        column.setReorderable(false);
        return column;
    }

    private static void fixed(TableColumn<JobSummary, ?> column, double width) {
        column.setMinWidth(width);
        column.setMaxWidth(width);
        column.setPrefWidth(width);
        column.setReorderable(false);
    }

    /** What exactly the job that is picked waits on, where the table has no room for it. */
    Label exactly() {
        return exactly;
    }

    private void tell() {
        JobSummary picked = getSelectionModel().getSelectedItem();
        JobSummary of = picked != null || rows.isEmpty() ? picked : getItems().getFirst();
        Parts.show(exactly, of == null || getWidth() >= ROOMY
                ? ""
                : say("%s: %s", of.id(), exactly(of)));
    }

    private static String exactly(JobSummary job) {
        return job.fault().isEmpty() ? job.detail() : job.fault();
    }

    /** As many rows as there is room for. */
    private void fit() {
        double height = getScene() == null ? 0 : getScene().getHeight();
        int most = Math.max(FEWEST, (int) ((height - OTHERS) / ROW));
        setPrefHeight(HEADS + ROW * Math.clamp(rows.size(), 1, most) + 4);
        setMinHeight(getPrefHeight());
    }

    /** Shows these; what is picked stays picked. */
    void show(List<JobSummary> jobs) {
        if (!shown.equals(jobs)) {
            shown = List.copyOf(jobs);
            JobSummary picked = getSelectionModel().getSelectedItem();
            rows.setAll(jobs);
            sort();
            if (picked != null) {
                jobs.stream().filter(j -> j.id().equals(picked.id())).findFirst()
                        .ifPresent(getSelectionModel()::select);
            }
        }
        fit();
        tell();
    }

    /** Picks the first, for the keys that follow. */
    void first() {
        requestFocus();
        getSelectionModel().selectFirst();
    }

    private void open() {
        JobSummary picked = getSelectionModel().getSelectedItem();
        if (picked != null) {
            session.open(picked.id());
        }
    }

    private String standing(JobSummary job) {
        Waiting on = job.on();
        int every = session.preferences().shop().recalibrateMonths();
        return !job.fault().isEmpty()
                ? say("▲ cannot be read")
                : job.overdue(every, session.today())
                        ? say("▲ air check was due %s", Figures.day(job.due(every).orElseThrow()))
                        : on == null ? say("not looked at yet") : on.standing();
    }

    private String words(JobSummary job) {
        StringBuilder words = new StringBuilder(say("Open %s, %s: ", job.id(), job.vehicle()));
        for (Map.Entry<Station, LinkState> state : job.states().entrySet()) {
            words.append(state.getKey().title()).append(' ').append(state.getValue().words()).append(", ");
        }
        return words.append(standing(job)).append(", ").append(job.detail()).toString();
    }

    private final class Row extends TableRow<JobSummary> {
        Row() {
            setOnMouseClicked(e -> {
                if (!isEmpty()) {
                    open();
                }
            });
        }

        @Override
        protected void updateItem(JobSummary job, boolean empty) {
            super.updateItem(job, empty);
            setId(empty || job == null ? null : "jobs.open." + job.id());
            setAccessibleText(empty || job == null ? "" : words(job));
        }
    }

    /** How each link stands, in their order. */
    private static final class Links extends TableCell<JobSummary, JobSummary> {
        @Override
        protected void updateItem(JobSummary job, boolean empty) {
            super.updateItem(job, empty);
            if (empty || job == null) {
                setGraphic(null);
                return;
            }
            HBox states = new HBox();
            states.setAlignment(Pos.CENTER_LEFT);
            job.states().forEach((station, state) -> {
                StackPane mark = new StackPane(Mark.of(state));
                mark.setMinSize(MARK, MARK);
                Tooltip.install(mark, new Tooltip(station.title() + ": " + state.words()));
                states.getChildren().add(mark);
            });
            setGraphic(states);
        }
    }

    private static final class Day extends TableCell<JobSummary, LocalDate> {
        @Override
        protected void updateItem(LocalDate day, boolean empty) {
            super.updateItem(day, empty);
            setText(empty || day == null ? "" : Figures.day(Objects.requireNonNull(day)));
        }
    }
}
