package amberheron.app.session;

import amberheron.core.parts.Address;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;

/** Who is told of what happens in a session. They are kept until its end: for what lives as long as the window. */
public final class Listeners {
    private final List<Runnable> change = new CopyOnWriteArrayList<>();
    private final List<Runnable> touch = new CopyOnWriteArrayList<>();
    private final List<Runnable> saved = new CopyOnWriteArrayList<>();
    private final List<Runnable> cursor = new CopyOnWriteArrayList<>();
    private final List<Runnable> leave = new CopyOnWriteArrayList<>();
    private final List<Runnable> close = new CopyOnWriteArrayList<>();
    private final List<Consumer<String>> focus = new CopyOnWriteArrayList<>();
    private final List<Consumer<Address>> seek = new CopyOnWriteArrayList<>();

    Listeners() {
    }

    /** Calls back after every change of job, review, units or place. */
    public void onChange(Runnable listener) {
        change.add(listener);
    }

    /** Calls back when the job was changed and is not reviewed yet: what is on screen is out of date. */
    public void onTouch(Runnable listener) {
        touch.add(listener);
    }

    /** Calls back when a save or a task has gone on; nothing of the job has changed then. */
    public void onSaved(Runnable listener) {
        saved.add(listener);
    }

    /** Calls back when only the rule's cursor moved. */
    public void onCursor(Runnable listener) {
        cursor.add(listener);
    }

    /** Calls back with the name of the field that should be typed into next. */
    public void onFocus(Consumer<String> listener) {
        focus.add(listener);
    }

    /** Calls back when a value is sought, before its field is brought: what is looked at becomes the value's part. */
    public void onSeek(Consumer<Address> listener) {
        seek.add(listener);
    }

    /** Calls back before another job is opened and on exit: what belongs to the job's desk is put away. */
    public void onLeave(Runnable listener) {
        leave.add(listener);
    }

    /** Calls back when the session is closed: whatever beats by itself ends with it. */
    public void onClose(Runnable listener) {
        close.add(listener);
    }

    void changed() {
        change.forEach(Runnable::run);
    }

    void touched() {
        touch.forEach(Runnable::run);
    }

    void saved() {
        saved.forEach(Runnable::run);
    }

    void cursorMoved() {
        cursor.forEach(Runnable::run);
    }

    void wanted(String field) {
        each(focus, field);
    }

    void sought(Address value) {
        each(seek, value);
    }

    void left() {
        leave.forEach(Runnable::run);
    }

    void closed() {
        close.forEach(Runnable::run);
    }

    /** Also those that begin to listen meanwhile: a screen that is made for what is asked for. */
    private static <T> void each(List<Consumer<T>> listeners, T what) {
        for (int i = 0; i < listeners.size(); i++) {
            listeners.get(i).accept(what);
        }
    }
}
