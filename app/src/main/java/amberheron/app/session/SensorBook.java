package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.io.book.Book;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** The lives of sensors as the book last said; one is asked for when it is first looked at. */
public final class SensorBook {
    private final Book book;
    private final Executor ui;
    private final Runnable changed;
    private final Consumer<String> tell;
    private SensorLife life = new SensorLife("", List.of());

    SensorBook(Book book, Executor ui, Runnable changed, Consumer<String> tell) {
        this.book = book;
        this.ui = ui;
        this.changed = changed;
        this.tell = tell;
    }

    /** The life of a sensor; without notes until the book has answered. */
    public SensorLife of(String number) {
        if (!life.number().equals(number)) {
            life = new SensorLife(number, List.of());
            ask(number);
        }
        return life;
    }

    private void ask(String number) {
        if (!number.isBlank()) {
            Answers.on(ui, book.sensor(number), (found, why) -> {
                if (found == null) {
                    failed(why);
                } else if (life.number().equals(number) && !life.equals(found)) {
                    life = found;
                    changed.run();
                }
            });
        }
    }

    private void failed(@Nullable Throwable why) {
        tell.accept(say("The sensor book could not be asked: %s", why == null ? say("no answer") : why.getMessage()));
    }

    /** Notes something of a sensor. */
    public void note(String number, SensorNote note) {
        after(number, book.note(List.of(new SensorLife(number, List.of(note)))));
    }

    /** Takes a note back. */
    public void forget(String number, SensorNote note) {
        after(number, book.forget(number, note));
    }

    private void after(String number, CompletableFuture<Void> done) {
        Answers.on(ui, done, (nothing, why) -> {
            if (why != null) {
                failed(why);
            }
            ask(number);
        });
    }

    /** All lives, for a file; slow, so never waited for on the screen's thread. */
    public List<SensorLife> all() {
        return book.sensors().join();
    }

    /** Takes lives from a file; slow, so never waited for on the screen's thread. */
    public int take(List<SensorLife> lives) {
        book.note(lives).join();
        return lives.size();
    }

    /** Forgets what was looked at, so that it is asked for again. */
    public void refresh() {
        life = new SensorLife("", List.of());
    }
}
