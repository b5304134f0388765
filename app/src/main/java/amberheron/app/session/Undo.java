package amberheron.app.session;

import amberheron.core.job.Job;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Merge;
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
     * @param here the job on this side of the change
     * @param there the job on the other side
     */
    record Change(String what, Job here, Job there) {
        /**
         * Returns the other side of the change, with what another bay has entered since; empty where that changed the same
         * value.
         */
        private Optional<Job> over(Job now) {
            if (kept(now).equals(kept(here))) {
                return Optional.of(there);
            }
            Merge both = Merge.of(JobDocument.of(here), JobDocument.of(there), JobDocument.of(now));
            return both.clashes().isEmpty() ? Optional.of(both.ours().job()) : Optional.empty();
        }
    }

    /** Which output is worked on is no part of a change. */
    private static Job kept(Job job) {
        return job.withOutputs(job.outputs().facingFirst());
    }

    /**
     * Result of taking a change back, or doing it again.
     *
     * @param job the job then; empty where another bay has changed the same since, and it cannot be done
     */
    record Swapped(String what, Optional<Job> job) {
    }

    void clear() {
        done.clear();
        undone.clear();
    }

    /** Remembers a change; what was taken back before it cannot be done again. */
    void remember(String what, Job before, Job after) {
        done.push(new Change(what, after, before));
        if (done.size() > MOST) {
            done.removeLast();
        }
        undone.clear();
    }

    /** The job before the last change, which can then be done again; empty when there is none. */
    Optional<Swapped> back(Job now) {
        return swap(done, undone, now);
    }

    /** The job after the change taken back last; empty when there is none. */
    Optional<Swapped> forth(Job now) {
        return swap(undone, done, now);
    }

    private static Optional<Swapped> swap(Deque<Change> from, Deque<Change> to, Job now) {
        Change change = from.poll();
        if (change == null) {
            return Optional.empty();
        }
        Optional<Job> then = change.over(now);
        then.ifPresent(t -> to.push(new Change(change.what(), t, now)));
        return Optional.of(new Swapped(change.what(), then));
    }

    /** The change that undo would take back. */
    Optional<String> next() {
        return Optional.ofNullable(done.peek()).map(Change::what);
    }
}
