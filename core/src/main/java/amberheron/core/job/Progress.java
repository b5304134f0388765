package amberheron.core.job;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Progress of the work on a job.
 *
 * @param done ids of the steps ticked
 * @param order ids of the steps in the order the shop prefers; empty for the usual one
 * @param inHand names of parts and tools that lie ready
 * @param bay where the vehicle stands or will stand, in the shop's words; may be empty
 * @param day the day it is booked for; null when it is not
 * @param hold what the work waits on that cannot be seen from the plan; null when nothing
 */
public record Progress(Set<String> done, List<String> order, Set<String> inHand, String bay, @Nullable LocalDate day,
        @Nullable Waiting hold) {
    /** No step done and no day booked. */
    public static final Progress NONE = new Progress(Set.of(), List.of(), Set.of(), "", null, null);

    public Progress {
        done = Collections.unmodifiableSet(new TreeSet<>(done));
        order = List.copyOf(order);
        inHand = Collections.unmodifiableSet(new TreeSet<>(inHand));
    }

    public Progress withDone(Set<String> value) {
        return new Progress(value, order, inHand, bay, day, hold);
    }

    public Progress withOrder(List<String> value) {
        return new Progress(done, value, inHand, bay, day, hold);
    }

    public Progress withInHand(Set<String> value) {
        return new Progress(done, order, value, bay, day, hold);
    }

    public Progress withBay(String value) {
        return new Progress(done, order, inHand, value, day, hold);
    }

    public Progress withDay(@Nullable LocalDate value) {
        return new Progress(done, order, inHand, bay, value, hold);
    }

    public Progress withHold(@Nullable Waiting value) {
        return new Progress(done, order, inHand, bay, day, value);
    }
}
