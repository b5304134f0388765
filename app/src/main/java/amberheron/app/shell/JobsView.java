package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Parts;
import amberheron.app.parts.StationView;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.JobSummary;
import amberheron.core.job.JobSummary.Group;
import amberheron.core.job.Shop;
import amberheron.core.job.Waiting;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Every job in the book with the state of its links; a new one, or one that was mailed. */
final class JobsView implements StationView {
    private static final int OVERDUE_SHOWN = 5;

    private final Session session;
    private final JobTable list;
    private final TextField number = new TextField();
    private final TextField file = new TextField();
    private final TextField words = new TextField();
    private final Map<Group, ToggleButton> groups = new EnumMap<>(Group.class);
    private final BayBars bays = new BayBars();
    private final Label noBay = Parts.text(say("No job is booked for today."), "soft");
    private final VBox first;
    private final VBox known;
    private final VBox due = new VBox(4);
    private final Label boardNote = new Label();
    private final Choice<Integer> months;
    private final BookCard book;
    private final VBox board;
    private final ToggleButton toBoard;
    private final ToggleButton toBook;
    private final VBox root;

    /**
     * The list of a session's jobs.
     *
     * @param demo opens the demo book; null where that is not offered
     * @param tour shows the window in three steps
     */
    JobsView(Session session, @Nullable Runnable demo, Runnable tour) {
        this.session = session;
        number.setId("jobs.number");
        number.setPromptText(say("number, such as SB-017"));
        number.setAccessibleText(say("Number of the new job"));
        number.setOnAction(e -> begin());
        file.setId("jobs.file");
        file.setPromptText(say("path of a job document (.json)"));
        file.setAccessibleText(say("Job document"));
        file.setOnAction(e -> take());
        HBox.setHgrow(number, Priority.ALWAYS);
        HBox.setHgrow(file, Priority.ALWAYS);
        session.listeners().onFocus(wanted -> {
            if (wanted.equals("jobs.number")) {
                show(false);
                number.requestFocus();
            } else if (wanted.equals("jobs.words")) {
                show(false);
                words.requestFocus();
                words.selectAll();
            } else if (wanted.equals("jobs.book")) {
                show(true);
            }
        });
        list = new JobTable(session);
        months = new Choice<>(say("Free-air check again after, months"), "jobs.months", List.of(3, 6, 12, 24),
                String::valueOf, () -> session.preferences().shop().recalibrateMonths(), m -> {
                    Shop shop = session.preferences().shop();
                    session.preferences().shop(shop.withRecalibrateMonths(m));
                });
        words.setId("jobs.words");
        words.setPromptText(say("type to filter"));
        words.setAccessibleText(say("Filter by number, vehicle, bay or what it waits on"));
        words.textProperty().addListener((o, was, now) -> refresh());
        words.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
                list.first();
                e.consume();
            }
        });
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox filters = new HBox(6, words);
        for (Group group : Group.values()) {
            ToggleButton button = new ToggleButton();
            button.setId("jobs.group." + group);
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.getStyleClass().add("leaf-tab");
            button.setOnAction(e -> {
                groups.values().stream().filter(b -> !b.equals(button)).forEach(b -> b.setSelected(false));
                refresh();
            });
            groups.put(group, button);
            filters.getChildren().add(button);
        }
        filters.setAlignment(Pos.CENTER_LEFT);
        first = Parts.card(say("An empty book"), Parts.text(
                say("Begin with the vehicle that stands in the bay, or look round first: the demo "
                        + "book has three made-up jobs, one finished, one waiting, one that lies.")));
        Button begin = Parts.button(say("Begin a job"), "first.begin", () -> session.focus("jobs.number"), "primary");
        HBox ways = new HBox(8, begin);
        if (demo != null) {
            ways.getChildren().add(Parts.button(say("Look round in the demo book"), "first.demo", demo, "quiet"));
        }
        ways.getChildren().add(Parts.button(say("The window in three steps"), "first.tour", tour, "quiet"));
        first.getChildren().add(ways);
        known = Parts.noted(say("What every job waits on"), boardNote, filters, list, list.exactly());
        book = new BookCard(session);
        board = new VBox(12, first, known, new Columns(300,
                Parts.card(say("Today's bays"), noBay, bays), Parts.card(say("Free-air checks due again"), due, months),
                Parts.card(say("New job"),
                        new HBox(8, number, Parts.button(say("Begin"), "jobs.begin", this::begin, "primary"))),
                Parts.card(say("Job that was mailed"),
                        new HBox(8, file, Parts.button(say("Take it in"), "jobs.take", this::take,
                                "quiet")))));
        toBoard = tab(say("Board"), "jobs.board", true, () -> show(false));
        toBook = tab(say("The book"), "jobs.book", false, () -> show(true));
        root = new VBox(board, book.node());
        show(false);
    }

    private static ToggleButton tab(String words, String id, boolean here, Runnable look) {
        ToggleButton made = Parts.looked(words, id, here, look);
        made.getStyleClass().add("leaf-tab");
        return made;
    }

    private void show(boolean theBook) {
        toBoard.setSelected(!theBook);
        toBook.setSelected(theBook);
        Parts.show(board, !theBook);
        Parts.show(book.node(), theBook);
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(toBoard, toBook);
    }

    private void begin() {
        session.begin(number.getText());
        number.clear();
    }

    private void take() {
        session.take(java.nio.file.Path.of(file.getText().strip()));
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        List<JobSummary> all = session.jobs();
        Parts.show(first, all.isEmpty());
        Parts.show(known, !all.isEmpty());
        LocalDate day = session.today();
        int every = session.preferences().shop().recalibrateMonths();
        groups.forEach((group, button) -> button
                .setText(group.words() + " " + all.stream().filter(j -> j.in(group, every, day)).count()));
        List<JobSummary> jobs = all.stream().filter(wanted(every, day)).toList();
        list.show(jobs);
        Map<Waiting, Long> counts = all.stream().filter(j -> j.on() != null)
                .collect(Collectors.groupingBy(JobSummary::on, TreeMap::new, Collectors.counting()));
        boardNote.setText(counts.entrySet().stream().map(e -> e.getValue() + " " + e.getKey().standing())
                .collect(Collectors.joining(" · ")));
        List<JobSummary> today = JobSummary.onDay(all, day);
        Parts.show(noBay, today.isEmpty());
        bays.show(today);
        List<JobSummary> overdue = all.stream().filter(j -> j.overdue(every, day)).toList();
        due.getChildren().setAll(overdue.isEmpty()
                ? List.of(Parts.text(say("None is overdue."), "soft"))
                : overdue.stream().limit(OVERDUE_SHOWN).map(j -> Parts.text(say("▲ %s, %s: since %s", j.id(),
                        j.vehicle(), j.due(every).map(Figures::day).orElse("")), "overdue")).toList());
        if (overdue.size() > OVERDUE_SHOWN) {
            due.getChildren().add(Parts.text(say("and %s more", overdue.size() - OVERDUE_SHOWN), "soft"));
        }
        months.refresh();
        book.refresh();
    }

    /** Finished jobs are folded away until they are asked for, by their group or by words. */
    private Predicate<JobSummary> wanted(int every, LocalDate day) {
        String filter = words.getText();
        boolean any = filter.isBlank();
        Predicate<JobSummary> named = any ? j -> true : j -> j.answers(filter);
        return groups.entrySet().stream().filter(e -> e.getValue().isSelected()).findFirst()
                .<Predicate<JobSummary>>map(e -> j -> j.in(e.getKey(), every, day))
                .orElse(any ? j -> !j.in(Group.FINISHED, every, day) : j -> true).and(named);
    }
}
