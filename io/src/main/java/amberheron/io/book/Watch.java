package amberheron.io.book;

import amberheron.io.Backoff;
import java.sql.SQLException;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jdbi.v3.core.Jdbi;

/**
 * Watches a book for changes made by others, whether it notifies or has to be polled, and goes on after the line was down.
 */
final class Watch implements AutoCloseable {
    private static final Duration FIRST_PAUSE = Duration.ofMillis(250);
    private static final Duration LONGEST_PAUSE = Duration.ofSeconds(2);

    private final Store store;
    private final Consumer<BookEvent> listener;
    private final Thread thread;
    private volatile boolean closed;
    private Map<String, Long> known;

    /**
     * A watch.
     *
     * @param known the revisions that were seen already
     */
    Watch(Store store, Map<String, Long> known, Consumer<BookEvent> listener) {
        this.store = store;
        this.known = known;
        this.listener = listener;
        this.thread = Thread.ofPlatform().daemon().name("watch").unstarted(this::run);
    }

    void start() {
        thread.start();
    }

    private void run() {
        Backoff pauses = new Backoff(FIRST_PAUSE, LONGEST_PAUSE);
        while (!closed) {
            try (Store.Subscription subscription = store.listen()) {
                // What was said before it listened is found by comparing.
                look(subscription.jdbi());
                pauses.reset();
                while (!closed) {
                    if (subscription.await()) {
                        look(subscription.jdbi());
                    } else {
                        tell(new BookEvent(true, Map.of()));
                    }
                }
            } catch (SQLException | RuntimeException | Error e) {
                if (closed) {
                    return;
                }
                // Once for each time that it goes out of reach.
                Logger.getLogger(Watch.class.getName()).log(pauses.isFirst() ? Level.WARNING : Level.FINE,
                        "out of reach: " + store.name(), e);
                tell(new BookEvent(false, Map.of()));
                wait(pauses.next());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private void wait(Duration pause) {
        try {
            Thread.sleep(pause);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            closed = true;
        }
    }

    private void look(Jdbi book) {
        Map<String, Long> now = book.withHandle(JobBook::revisions);
        Map<String, Long> before = known;
        known = now;
        Map<String, Long> changed = new HashMap<>();
        now.forEach((id, revision) -> {
            if (!revision.equals(before.get(id))) {
                changed.put(id, revision);
            }
        });
        before.keySet().stream().filter(id -> !now.containsKey(id)).forEach(id -> changed.put(id, 0L));
        tell(new BookEvent(true, changed));
    }

    /** Tells the listener; one that fails does not end the watch. */
    private void tell(BookEvent heard) {
        try {
            listener.accept(heard);
        } catch (RuntimeException | Error e) {
            Logger.getLogger(Watch.class.getName()).log(Level.WARNING, "not taken: " + heard, e);
        }
    }

    /** Waits until its connection is let go. */
    @Override
    public void close() {
        closed = true;
        thread.interrupt();
        try {
            thread.join(LONGEST_PAUSE);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
