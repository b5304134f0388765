package amberheron.io;

import java.time.Duration;

/** Pauses between retries: each is twice the one before, up to a longest. Not thread-safe. */
public final class Backoff {
    private final Duration first;
    private final Duration longest;
    private Duration next;

    /**
     * Makes pauses that begin with a first.
     *
     * @param longest at least as long as the first
     */
    public Backoff(Duration first, Duration longest) {
        this.first = first;
        this.longest = longest;
        this.next = first;
    }

    /** Returns how long to wait before the next try. */
    public Duration next() {
        Duration pause = next;
        Duration longer = pause.multipliedBy(2);
        next = longer.compareTo(longest) > 0 ? longest : longer;
        return pause;
    }

    /** Whether no try has failed since the last that succeeded. */
    public boolean isFirst() {
        return next.equals(first);
    }

    /** Begins anew, since a try has succeeded. */
    public void reset() {
        next = first;
    }
}
