package amberheron.app.desktop;

import static amberheron.core.units.Phrase.say;

import amberheron.app.home.Home;
import amberheron.app.home.HomeLog;
import amberheron.app.session.Session;
import amberheron.app.shell.Paper;
import amberheron.app.shell.Shell;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/** The desktop. Its session is being opened by the launcher while the toolkit starts. */
public final class Desktop extends Application {
    /** Line printed when the first frame is drawn. */
    public static final String FIRST_FRAME = "first frame";
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    /** Time for which nothing is shown while the book is being opened. */
    private static final Duration PATIENCE = Duration.seconds(1.5);

    /** Time for which the end of the system's session is held up until everything is in the book or beside it, s. */
    private static final long LAST_WORDS = 12;

    /** Time that the toolkit's thread may take to answer when the system ends the program, s. */
    private static final long TOOLKIT_ANSWERS = 1;

    private final AtomicBoolean stopping = new AtomicBoolean();
    private final CountDownLatch stopped = new CountDownLatch(1);
    private static CompletableFuture<Session> opening = new CompletableFuture<>();
    private static Supplier<Session> shopBook = () -> {
        throw new IllegalStateException("no book");
    };
    private static boolean closeAtOnce;
    private static Supplier<Session> demoBook = () -> {
        throw new IllegalStateException("no demo book");
    };

    /**
     * Hands over the session that is being opened.
     *
     * @param again opens the book anew, whichever is chosen by then
     * @param demo opens the demo book, for whoever wants to look round first
     */
    public static void prepare(CompletableFuture<Session> session, Supplier<Session> again, Supplier<Session> demo,
            boolean closeAfterFirstFrame) {
        opening = session;
        shopBook = again;
        demoBook = demo;
        closeAtOnce = closeAfterFirstFrame;
    }

    /** Loads the fonts that ship with the application. */
    public static void loadFonts() {
        for (String weight : List.of("Regular", "SemiBold")) {
            Font.loadFont(Objects.requireNonNull(
                    Desktop.class.getResource("/amberheron/io/fonts/SourceSans3-" + weight + ".ttf")).toExternalForm(),
                    14);
        }
    }

    @Override
    public void start(Stage stage) {
        Thread.setDefaultUncaughtExceptionHandler((thread, e) -> uncaught(e));
        Runtime.getRuntime().addShutdownHook(new Thread(this::endedBySystem, "end"));
        loadFonts();
        // Laid out at once, seen only where the book keeps one waiting: what every screen needs is loaded while it is being opened.
        Scene waiting = Paper.trouble(say("The book is being opened."),
                say("Where the server of a shared book does not answer this takes some seconds; then "
                        + "the copy on this machine is used."),
                WIDTH, HEIGHT);
        waiting.getRoot().applyCss();
        waiting.getRoot().layout();
        stage.setScene(waiting);
        PauseTransition patience = new PauseTransition(PATIENCE);
        patience.setOnFinished(e -> open(stage));
        patience.play();
        onceOpen(stage, session -> {
            patience.stop();
            open(stage);
            if (closeAtOnce) {
                firstFrame();
            } else if (session != null) {
                session.listJobs();
            }
        });
    }

    /** Shows what comes of opening the book in place of what stands in the window; then goes on with it, or with null where it failed. */
    @SuppressWarnings("FutureReturnValueIgnored") // what fails stands in the window
    private static void onceOpen(Stage stage, Consumer<@Nullable Session> then) {
        opening.whenComplete((session, e) -> Platform.runLater(() -> {
            Scene before = stage.getScene();
            stage.setScene(scene(stage, before.getWidth(), before.getHeight()));
            then.accept(session);
        }));
    }

    /** Another book, or another catalogue, in the same window. */
    private static void anew(Stage stage) {
        stage.getScene().getRoot().setDisable(true);
        opening.join().close();
        opening = CompletableFuture.supplyAsync(shopBook);
        onceOpen(stage, session -> {
            if (session != null) {
                session.at().showJobs();
                session.listJobs();
            }
        });
    }

    private static void open(Stage stage) {
        if (stage.isShowing()) {
            return;
        }
        boolean opened = opening.isDone() && !opening.isCompletedExceptionally();
        WindowFrame.apply(stage, opened ? opening.join().where().frame() : null, WIDTH, HEIGHT);
        stage.setTitle(say("Amber Heron"));
        stage.show();
    }

    /** The demo book in a second window; opened off the screen's thread. */
    @SuppressWarnings("FutureReturnValueIgnored") // whatever fails is told
    private static void lookRound() {
        CompletableFuture.supplyAsync(demoBook).whenComplete((session, e) -> Platform.runLater(() -> {
            if (e != null) {
                uncaught(e);
                return;
            }
            Stage stage = new Stage();
            stage.setScene(new Shell(session, Stations.all()).scene(WIDTH, HEIGHT));
            stage.setOnHidden(closed -> session.close());
            open(stage);
            session.listJobs();
        }));
    }

    /** The shell; or, when the book cannot be opened, why, so that it is said where the person looks. */
    private static Scene scene(Stage stage, double width, double height) {
        try {
            Session session = opening.join();
            session.onAnew(() -> anew(stage));
            session.listeners().onLeave(() -> {
                if (stage.isShowing()) {
                    WindowFrame.note(stage, session.where());
                }
            });
            Shell shell = new Shell(session, Stations.all(),
                    session.preferences().shop().demo() ? null : Desktop::lookRound, System::nanoTime);
            shell.welcome();
            return shell.scene(width, height);
        } catch (CompletionException e) {
            String reason = reason(e);
            System.err.println(say("heron: %s", reason));
            return Paper.trouble(say("The book cannot be opened."), reason, width, height);
        }
    }

    /** An error of our own is shown and logged; what was typed is in the book or beside it, and the window goes on. */
    private static void uncaught(Throwable e) {
        boolean opened = opening.isDone() && !opening.isCompletedExceptionally();
        HomeLog.error(opened ? opening.join().home() : Home.folder(), "uncaught", e);
        if (opened) {
            Session session = opening.join();
            Platform.runLater(() -> session
                    .tell(say("An error of ours: %s. Nothing that was entered is lost; what happened is written "
                            + "in %s.", e, HomeLog.file(session.home()))));
        }
    }

    /** The fault that kept the book from being opened, in its own words. */
    static String reason(CompletionException e) {
        return String.valueOf(e.getCause() == null ? e.getMessage() : e.getCause().getMessage());
    }

    /** Says when the first frame is drawn, then closes: for measuring a start, and for training the start-up cache. */
    public static void firstFrame() {
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                // The pulse after the first comes when the first frame is on the screen.
                if (++pulses == 2) {
                    stop();
                    System.out.println(FIRST_FRAME);
                    Platform.exit();
                }
            }
        }.start();
    }

    /** Logging off, or a signal to end: the text of the field being typed in is kept, as on quitting. */
    private void endedBySystem() {
        if (stopped.getCount() == 0) {
            return;
        }
        try {
            Platform.runLater(this::stop);
            if (!stopped.await(TOOLKIT_ANSWERS, TimeUnit.SECONDS)) {
                // The toolkit was taken down first and takes nothing more: its thread stands still.
                stop();
            }
            if (!stopped.await(LAST_WORDS, TimeUnit.SECONDS)) {
                System.err.println(
                        say("heron: ended before all was saved; what is kept beside the book goes in at the "
                                + "next start"));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void stop() {
        if (!stopping.compareAndSet(false, true)) {
            return;
        }
        // One that is still being opened has nothing in it to lose, and is not waited for.
        try {
            if (opening.isDone() && !opening.isCompletedExceptionally()) {
                opening.join().close();
            }
        } finally {
            stopped.countDown();
        }
    }
}
