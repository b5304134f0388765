package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.palette.FindOrDo;
import amberheron.app.parts.Parts;
import amberheron.app.parts.StationPlug;
import amberheron.app.parts.StationView;
import amberheron.app.rule.RuleView;
import amberheron.app.session.Advice;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.bench.SimulatedDrive;
import amberheron.core.finding.Message;
import amberheron.core.job.Station;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.LongSupplier;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;

/** The whole window: four things that are always there, and the middle that changes. */
public final class Shell {
    private static final KeyCombination PASTE = new KeyCodeCombination(KeyCode.V, KeyCombination.SHORTCUT_DOWN);
    /** Time within which the key for what is next does nothing again, ns: held, it would rush on unread. */
    private static final long BETWEEN = 700_000_000;

    /** There Alt types letters that stand on no key. */
    private static final boolean MAC = System.getProperty("os.name", "").startsWith("Mac");

    private final Session session;
    private final StackPane root = new StackPane();
    private final BorderPane frame = new BorderPane();
    private final VBox above = new VBox();
    private final VBox middle = new VBox();
    private final ScrollPane scroll = new ScrollPane(middle);
    private final Label title = Parts.line("", "title");
    private final Label subtitle = Parts.line("", "subtitle");
    /** Room beside the title; the subtitle gives way to the leaves where there is no room for both. */
    private final StackPane beside = new StackPane(subtitle);
    private final Notices notices;
    private final JobBand band;
    private final SignalPath path;
    private final Reasons reasons;
    private final RuleView rule;
    private final FindOrDo palette;
    private final JobsView jobs;
    private final Tour tour;
    private final GuideView guide = new GuideView();
    private final SearchBar search = new SearchBar(middle, above);
    private final @Nullable Runnable demo;
    private final Map<Station, StationPlug<?>> plugs = new EnumMap<>(Station.class);
    private final Map<Station, StationView> views = new EnumMap<>(Station.class);
    private final Offers offers;
    private final Dropped dropped;
    private final List<Command> commands;
    private final LiveSource live;
    private @Nullable StationView shown;
    private final ArmView armView;
    private final BorderPane desk;
    private boolean arm;
    private final Sides sides;
    private boolean stale;
    private boolean refreshing;
    private final ComingBack back;
    private final LongSupplier nanos;
    private long lastNext;

    /** The window's content on a session. */
    public Shell(Session session, List<StationPlug<?>> stations) {
        this(session, stations, null, System::nanoTime);
    }

    /**
     * The window's content on a session.
     *
     * @param demo opens the demo book in a window of its own; null where that is not offered
     * @param nanos a clock that only ever goes on, ns
     */
    public Shell(Session session, List<StationPlug<?>> stations, @Nullable Runnable demo, LongSupplier nanos) {
        this.session = session;
        this.nanos = nanos;
        lastNext = nanos.getAsLong() - BETWEEN;
        this.demo = demo;
        stations.forEach(plug -> plugs.put(plug.station(), plug));
        session.listeners().onTouch(() -> stale = true);
        session.listeners().onLeave(this::leave);
        // Before any field hears of it.
        session.listeners().onSeek(wanted -> toDesk());
        session.listeners().onFocus(wanted -> toDesk());
        band = new JobBand(session, this::find);
        path = new SignalPath(session, s -> plug(s).model());
        reasons = new Reasons(session, f -> guide.open("methods", f.source().citation()));
        sides = new Sides(session, root, path, reasons);
        rule = new RuleView(session);
        palette = new FindOrDo(this::hits, session.where());
        tour = new Tour(List.of(path, reasons, rule), session.preferences()::tour);
        jobs = new JobsView(session, demo, tour::begin);
        live = new LiveSource(session, new SimulatedDrive());
        offers = new Offers(session, plugs);
        dropped = new Dropped(session, this::go, s -> plug(s).model());
        commands = commands();
        Parts.scrollsDown(scroll);
        scroll.getStyleClass().add("middle-scroll");
        middle.getStyleClass().add("middle");
        frame.setTop(band);
        frame.setLeft(path);
        notices = new Notices(session);
        armView = new ArmView(session);
        // Words that would be cut are left out.
        subtitle.visibleProperty().bind(Bindings.createBooleanBinding(
                () -> beside.getWidth() >= subtitle.prefWidth(-1) - 1, beside.widthProperty(),
                subtitle.textProperty(), subtitle.skinProperty(), subtitle.fontProperty()));
        above.getStyleClass().add("above");
        desk = new BorderPane(scroll, new VBox(above, search), null, notices, null);
        back = new ComingBack(session, scroll, desk);
        frame.setCenter(desk);
        frame.setRight(reasons);
        frame.setBottom(rule);
        root.getChildren().addAll(frame, palette, tour, guide);
        root.getStyleClass().add("shell");
        dropped.onto(root);
        // What is typed into stays in view when a notice takes room.
        scroll.viewportBoundsProperty().addListener((o, was, now) -> reveal(focusOwner()));
        root.widthProperty().addListener((o, was, now) -> sides.fit());
        // Several changes in a row are drawn once.
        session.listeners().onChange(this::refreshSoon);
        session.listeners().onSaved(this::saved);
        refresh();
    }

    private void leave() {
        back.note();
        // A field keeps what is typed into it when the focus leaves it.
        root.requestFocus();
        plugs.values().forEach(plug -> plug.model().leave());
    }

    private List<FindOrDo.Hit> hits() {
        return offers.hits(commands);
    }

    private StationPlug<?> plug(Station station) {
        return Objects.requireNonNull(plugs.get(station));
    }

    /** A scene of the window at a size, with its keys. */
    public Scene scene(double width, double height) {
        Scene scene = Paper.styled(new Scene(root, width, height));
        scene.focusOwnerProperty().addListener((o, was, now) -> {
            reveal(now);
            back.remember(now);
        });
        // The letter of a key such as Alt+2 is not typed into what the key brings; with Ctrl it is AltGr, which types.
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (e.isAltDown() && !e.isControlDown() && !MAC) {
                e.consume();
            }
        });
        scene.addEventHandler(KeyEvent.KEY_TYPED, e -> {
            if (e.getCharacter().equals("?") && !(e.getTarget() instanceof TextInputControl)) {
                guide.show(say("Keys"), Offers.keys(commands));
                e.consume();
            }
        });
        scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (PASTE.match(e) && dropped.paste()) {
                e.consume();
            }
        });
        // Enter presses what has the focus, as it keeps what is typed: a job is worked through with one hand.
        scene.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE && arm) {
                toDesk();
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && e.getTarget() instanceof ButtonBase pressed) {
                pressed.fire();
                e.consume();
            }
        });
        for (Command command : commands) {
            if (command.keys() != null) {
                scene.getAccelerators().put(command.keys(), command.run());
            }
        }
        return scene;
    }

    /** Scrolls the middle so that what is to be typed into is on screen. */
    private void reveal(@Nullable Node node) {
        if (node == null || !Parts.within(node, middle)) {
            return;
        }
        var at = middle.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
        double seen = scroll.getViewportBounds().getHeight();
        double spare = middle.getHeight() - seen;
        double top = scroll.getVvalue() * spare;
        if (spare > 0 && (at.getMinY() < top || at.getMaxY() > top + seen)) {
            Parts.centre(scroll, node);
        }
    }

    /** Goes to a station, into a field of its leaf. */
    private void go(Station station) {
        session.at().go(station);
        refreshNow();
        if (session.isOpen()) {
            back.bringField();
        }
    }

    /** Shows the jobs; what is typed then filters them. */
    private void showJobs() {
        session.at().showJobs();
        session.focus("jobs.words");
    }

    private List<Command> commands() {
        List<Command> all = new ArrayList<>();
        for (Station station : Station.values()) {
            all.add(new Command(say("station"), say("Go to %s", station.title()), keys("Alt+" + station.number()),
                    () -> go(station)).also(Offers.also(station)));
        }
        all.add(new Command(say("action"), say("Do what is next"), keys("F2"), this::next)
                .also(say("continue, go on")));
        all.add(new Command(say("action"), say("Find or do"), keys("Shortcut+K"), this::find)
                .also(say("search, command, menu")));
        all.add(new Command(say("action"), say("Find in this view"), keys("Shortcut+F"), search::open)
                .also(say("search on the page")));
        all.add(new Command(say("action"), say("Take up a file"), null, () -> dropped.browse(root))
                .also(say("import, open, read, attach, photo, log, law, chart, points, drop")));
        all.add(new Command(say("action"), say("Take back the last change"), keys("Shortcut+Z"),
                session.openJob()::undo).also(say("undo")));
        all.add(new Command(say("action"), say("Do again what was taken back"), keys("Shortcut+Y"),
                session.openJob()::redo).also(say("redo")));
        all.add(new Command(say("action"), say("Is it saved?"), keys("Shortcut+S"),
                () -> session.tell(offers.saved())).also(say("save, store, keep")));
        all.add(new Command(say("action"), say("All jobs"), keys("Shortcut+J"), this::showJobs)
                .also(say("list, board, home, archive, delete a job, remove a job")));
        all.add(new Command(say("action"), say("New job"), keys("Shortcut+N"), () -> {
            session.at().showJobs();
            session.focus("jobs.number");
        }).also(say("begin, add, create, vehicle, customer")));
        all.add(new Command(say("setting"), say("The book: where it is, backup, moving jobs"), null, () -> {
            session.at().showJobs();
            session.focus("jobs.book");
        }).also(say("restore, export, import, server, share, copy, database")));
        plugs.values().forEach(plug -> plug.model().actions()
                .forEach(action -> all.add(
                        new Command(say("action"), action.text(), action.keys().isEmpty() ? null : keys(action.keys()),
                                () -> {
                                    if (session.isOpen()) {
                                        action.run().accept(session);
                                    } else {
                                        session.tell(say("Open a job first."));
                                    }
                                }).also(action.also()))));
        all.add(new Command(say("setting"), say("Fold or unfold the reading rule"), keys("F6"), rule::foldOrUnfold));
        all.add(new Command(say("action"), say("Reading rule"), null, rule::requestFocus)
                .also(say("convert, slide rule, AFR, lambda, volts")));
        all.add(new Command(say("action"), say("Follow the simulated controller on the rule"), keys("F8"),
                () -> live.toggle()).also(say("live, demo")));
        all.add(new Command(say("help"), say("The guide's page for this station"), keys("F1"), this::help)
                .also(say("help, manual, how")));
        all.add(new Command(say("help"), say("All keys"), null, () -> guide.show(say("Keys"), Offers.keys(commands)))
                .also(say("shortcuts, keyboard, hotkeys, help")));
        all.add(new Command(say("help"), say("How each figure is worked out"), null,
                () -> guide.open("methods", "")).also(say("formula, maths, method, source")));
        all.add(new Command(say("help"), say("The window in three steps"), null, tour::begin)
                .also(say("tour, help, introduction")));
        if (demo != null) {
            all.add(new Command(say("action"), say("Look round in the demo book"), null, demo)
                    .also(say("example, try")));
        }
        all.add(new Command(say("action"), say("Quit"), keys("Shortcut+Q"), Platform::exit)
                .also(say("exit, close, end")));
        all.add(new Command(say("setting"), say("Arm's-length view"), keys("F11"), () -> {
            arm = !arm;
            refresh();
        }).also(say("full screen, large, far")));
        all.add(new Command(say("setting"), say("Larger words"), keys("Shortcut+EQUALS"),
                () -> session.preferences().textSize(true)).also(say("zoom in, font, text size")));
        all.add(new Command(say("setting"), say("Smaller words"), keys("Shortcut+MINUS"),
                () -> session.preferences().textSize(false)).also(say("zoom out, font, text size")));
        all.add(new Command(say("setting"), say("Dark or light paper"), keys("Shortcut+D"),
                () -> session.preferences().dark(!session.preferences().dark())).also(say("night, theme, colours")));
        return List.copyOf(all);
    }

    /** The guide's page for where one is; asked for twice, the list of all keys; then neither. */
    private void help() {
        if (!guide.isVisible()) {
            guide.open(session.at().view() == Navigation.View.STATION ? session.at().station().key() : "start", "");
        } else if (guide.isGenerated()) {
            guide.close();
        } else {
            guide.show(say("Keys"), Offers.keys(commands));
        }
    }

    private static KeyCombination keys(String text) {
        return KeyCombination.keyCombination(text);
    }

    private @Nullable Node focusOwner() {
        return root.getScene() == null ? null : root.getScene().getFocusOwner();
    }

    private void find() {
        Node before = focusOwner();
        palette.open(() -> {
            if (before != null) {
                before.requestFocus();
            }
        });
    }

    /** Does what is next, once for each press of its key: what a person vouches for is only brought. */
    private void next() {
        long now = nanos.getAsLong();
        boolean held = now - lastNext < BETWEEN;
        lastNext = now;
        Advice.Action action = advice().action();
        if (action == null || held) {
            return;
        }
        if (action.letter().isEmpty()) {
            action.run().run();
        } else {
            toDesk();
            reasons.bring();
        }
    }

    private Advice advice() {
        if (session.at().view() == Navigation.View.JOBS) {
            boolean none = session.jobs().isEmpty();
            return new Advice(Message.plain(none ? "Begin the first job." : "Pick a job, or begin a new one."),
                    new Advice.Action(say("New job"), () -> session.focus("jobs.number")),
                    Message.plain("Everything that is entered is saved as it is entered."), Message.NONE, List.of(),
                    Message.NONE);
        }
        return plug(session.at().station()).model().advice(session);
    }

    private void refreshSoon() {
        stale = true;
        if (!refreshing) {
            refreshing = true;
            Platform.runLater(() -> {
                refreshing = false;
                refreshNow();
            });
        }
    }

    /** Shows the window in three steps where nobody has seen them: an empty book, for the first time. */
    public void welcome() {
        if (!session.isOpen() && session.jobs().isEmpty() && !session.preferences().toured()) {
            tour.begin();
        }
    }

    /** Leaves the arm's-length view, since typing is done at the desk. */
    private void toDesk() {
        stale |= arm;
        arm = false;
        refreshNow();
    }

    private void refreshNow() {
        if (stale) {
            refresh();
        }
    }

    private void refresh() {
        stale = false;
        boolean atJobs = session.at().view() == Navigation.View.JOBS;
        StationView wanted = atJobs
                ? jobs
                : views.computeIfAbsent(session.at().station(), s -> plug(s).open(session));
        title.setText(atJobs ? say("Jobs") : session.at().station().title());
        subtitle.setText(
                atJobs ? say("All that is in the book") : plug(session.at().station()).model().subtitle());
        if (!wanted.equals(shown)) {
            shown = wanted;
            HBox head = new HBox(12, title, beside);
            title.setMinWidth(Region.USE_PREF_SIZE);
            beside.setMinWidth(0);
            beside.setPrefWidth(0);
            beside.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
            HBox.setHgrow(beside, Priority.ALWAYS);
            head.getChildren().addAll(wanted.besideTitle());
            head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
            above.getChildren().setAll(head);
            above.getChildren().addAll(wanted.pinned());
            middle.getChildren().setAll(wanted.node());
            scroll.setVvalue(0);
        }
        Parts.style(root, "dark", session.preferences().dark());
        sides.fit();
        Parts.style(root, "arm", arm);
        desk.setCenter(arm ? armView : scroll);
        Parts.show(above, !arm);
        Parts.show(rule, !arm);
        Parts.show(path, !arm);
        Parts.show(reasons, !arm);
        rule.fold(atJobs || session.preferences().folded(session.at().station()));
        if (arm) {
            armView.refresh(advice(), atJobs ? "" : plug(session.at().station()).model().figure(session));
        } else {
            wanted.refresh();
            path.refresh();
            reasons.refresh(advice());
            rule.refresh();
        }
        palette.refresh();
        standing();
        back.comeBack();
        if (root.getScene() != null && root.getScene().getWindow() instanceof Stage stage) {
            stage.setTitle(
                    say("%s%sAmber Heron", session.isOpen() ? session.job().id() + " · " : "",
                            session.preferences().shop().demo() ? say("demo book · ") : ""));
        }
    }

    /** Refreshes what changes when a save or a task has gone on. */
    private void saved() {
        if (jobs.equals(shown)) {
            jobs.refresh();
        }
        standing();
    }

    private void standing() {
        band.refresh();
        notices.refresh();
    }
}
