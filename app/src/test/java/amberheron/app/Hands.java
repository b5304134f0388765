package amberheron.app;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.stage.Window;

/**
 * What a person does at the window: keys and clicks, through the toolkit's own robot. Every act waits until the window
 * has done what follows from it: what was queued has run, and the screen was laid out anew.
 */
final class Hands {
    /** There is one screen: tests that use it take turns. */
    private static final AtomicLong PRESSES = new AtomicLong();
    /** Whether a key is held down: no time passes between its presses. */
    static volatile boolean held;
    static final String SCREEN = "screen";
    private static final int PATIENCE = 60;

    private final Robot robot;
    private final Stage stage;

    private final BooleanSupplier idle;

    private Hands(Robot robot, Stage stage, BooleanSupplier idle) {
        this.idle = idle;
        this.robot = robot;
        this.stage = stage;
    }

    /**
     * Starts the toolkit if need be, and shows a window.
     *
     * @param idle whether nothing is being worked out beside the screen
     */
    static Hands on(BooleanSupplier idle, Consumer<Stage> show) {
        CountDownLatch started = new CountDownLatch(1);
        try {
            Platform.startup(started::countDown);
            started.await();
        } catch (IllegalStateException e) {
            // Started by an earlier test.
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        Platform.setImplicitExit(false);
        return onScreen(() -> {
            Stage stage = new Stage();
            Hands hands = new Hands(new Robot(), stage, idle);
            show.accept(stage);
            stage.requestFocus();
            return hands;
        });
    }

    /** Runs on the screen's thread and waits for it; on that thread itself, at once. */
    static <T> T onScreen(Callable<T> work) {
        if (Platform.isFxApplicationThread()) {
            try {
                return work.call();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        }
        CompletableFuture<T> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            try {
                done.complete(work.call());
            } catch (Throwable e) {
                done.completeExceptionally(e);
            }
        });
        try {
            return done.get(PATIENCE, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException | TimeoutException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A clock on which each press of a key comes a second after the one before. */
    static long later() {
        return TimeUnit.SECONDS.toNanos(held ? PRESSES.get() : PRESSES.incrementAndGet());
    }

    /** Waits until what was queued has run, and what that queued, and the screen was laid out. */
    void settle() {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE);
        while (!onScreen(idle::getAsBoolean) && System.nanoTime() < until) {
            LockSupport.parkNanos(1_000_000);
        }
        onScreen(() -> {
            // A picture of one point: what a frame does before it is drawn is done for it, to what has changed only.
            for (Window window : List.copyOf(Window.getWindows())) {
                Scene scene = window.getScene();
                if (scene != null) {
                    SnapshotParameters point = new SnapshotParameters();
                    point.setViewport(new Rectangle2D(0, 0, 1, 1));
                    scene.getRoot().snapshot(point, null);
                }
            }
            return null;
        });
    }

    private Hands act(Runnable what) {
        onScreen(() -> {
            what.run();
            return null;
        });
        settle();
        return this;
    }

    /** Does something on the screen's thread that no hand could do. */
    void interact(Runnable what) {
        act(what);
    }

    /** Presses keys together, in this order, and lets them go. */
    Hands push(KeyCode... keys) {
        return act(() -> {
            for (KeyCode key : keys) {
                robot.keyPress(key);
            }
            for (int i = keys.length - 1; i >= 0; i--) {
                robot.keyRelease(keys[i]);
            }
        });
    }

    /** Types words into whatever has the focus, as any keyboard's layout would give them. */
    Hands write(String words) {
        return act(() -> words.chars().mapToObj(c -> String.valueOf((char) c)).forEach(c -> {
            Node focus = Objects.requireNonNull(stage.getScene().getFocusOwner(), "nothing has the focus");
            Event.fireEvent(focus, new KeyEvent(focus, focus, KeyEvent.KEY_TYPED, c, c, KeyCode.UNDEFINED, false,
                    false, false, false));
        }));
    }

    /** Moves the pointer there. */
    Hands moveTo(double x, double y) {
        return act(() -> robot.mouseMove(x, y));
    }

    /** Moves the pointer to the middle of something. */
    Hands moveTo(Node node) {
        Bounds at = onScreen(() -> node.localToScreen(node.getBoundsInLocal()));
        return moveTo(at.getCenterX(), at.getCenterY());
    }

    /** Moves the pointer on. */
    Hands moveBy(double x, double y) {
        return act(() -> robot.mouseMove(robot.getMouseX() + x, robot.getMouseY() + y));
    }

    Hands press(MouseButton button) {
        return act(() -> robot.mousePress(button));
    }

    Hands release(MouseButton button) {
        return act(() -> robot.mouseRelease(button));
    }

    /** Presses something that is on screen. */
    Hands clickOn(Node node) {
        return moveTo(node).press(MouseButton.PRIMARY).release(MouseButton.PRIMARY);
    }

    /** The window's content. */
    Scene scene() {
        return Objects.requireNonNull(stage.getScene());
    }

    /** The window. */
    Stage stage() {
        return stage;
    }

    /** What first answers, in any window, in the order of the scene. */
    Optional<Node> find(Predicate<Node> is) {
        return onScreen(() -> {
            List<Window> windows = new ArrayList<>(List.of(stage));
            Window.getWindows().stream().filter(w -> !windows.contains(w)).forEach(windows::add);
            for (Window window : windows) {
                Node found = window.getScene() == null ? null : find(window.getScene().getRoot(), is);
                if (found != null) {
                    return Optional.of(found);
                }
            }
            return Optional.<Node>empty();
        });
    }

    private static @org.jspecify.annotations.Nullable Node find(Node from, Predicate<Node> is) {
        if (is.test(from)) {
            return from;
        }
        if (from instanceof Parent parent) {
            for (Node child : parent.getChildrenUnmodifiable()) {
                Node found = find(child, is);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    /** Waits until something holds. */
    void waitUntil(Callable<Boolean> is) throws Exception {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE);
        while (!is.call()) {
            if (System.nanoTime() > until) {
                throw new AssertionError("it did not come about within " + PATIENCE + " s");
            }
            settle();
            LockSupport.parkNanos(1_000_000);
        }
        settle();
    }

    /** Puts the window away. */
    void close(Runnable after) {
        onScreen(() -> {
            stage.hide();
            after.run();
            return null;
        });
    }
}
