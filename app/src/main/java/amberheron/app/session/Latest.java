package amberheron.app.session;

import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Work off the screen's thread, done once for each state: asked for again while it runs, or for a state it has worked for,
 * it does nothing. A failure is not retried until the state changes or {@link #forget} is called.
 */
public final class Latest<S> {
    private final Session session;
    private final String what;
    private @Nullable S worked;
    private boolean working;

    /**
     * Makes the work, nothing done yet.
     *
     * @param what it is, for the person who waits
     */
    public Latest(Session session, String what) {
        this.session = session;
        this.what = what;
    }

    /**
     * Works a state out, unless that was done.
     *
     * @param then takes what came of it, on the screen's thread; asks again for what has changed meanwhile
     */
    public <T> void of(S state, Supplier<T> work, Consumer<T> then) {
        if (working || state.equals(worked)) {
            return;
        }
        working = true;
        session.background().quietly(what, work, result -> {
            ended(state);
            then.accept(result);
        }, () -> ended(state));
    }

    private void ended(S state) {
        working = false;
        worked = state;
    }

    /** Works it out anew when it is next asked for. */
    public void forget() {
        worked = null;
    }
}
