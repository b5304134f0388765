package amberheron.app.session;

import amberheron.core.job.Job;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** The changes of the open job that can be taken back, and those that were. */
final class Undo {
    private static final int MOST = 500;

    private final Deque<Change> done = new ArrayDeque<>();
    private final Deque<Change> undone = new ArrayDeque<>();

    /**
     * A change.
     *
     * @param what in a few words
     * @param job as it is on the other side of the change
     */
    record Change(String what, Job job) {
    }

    void clear() {
        done.clear();
        undone.clear();
    }

    /** Remembers a change; what was taken back before it cannot be done again. */
    void remember(String what, Job before) {
        done.push(new Change(what, before));
        if (done.size() > MOST) {
            done.removeLast();
        }
        undone.clear();
    }

    /** The job before the last change, which can then be done again. */
    Optional<Change> back(Job now) {
        return swap(done, undone, now);
    }

    /** The job after the change taken back last. */
    Optional<Change> forth(Job now) {
        return swap(undone, done, now);
    }

    private static Optional<Change> swap(Deque<Change> from, Deque<Change> to, Job now) {
        Change change = from.poll();
        if (change == null) {
            return Optional.empty();
        }
        to.push(new Change(change.what(), now));
        return Optional.of(change);
    }

    /** What would be taken back. */
    Optional<String> next() {
        return Optional.ofNullable(done.peek()).map(Change::what);
    }
}
