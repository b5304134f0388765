package amberheron.io.book;

import java.util.Map;

/**
 * News that a bay gets of its book.
 *
 * @param inReach whether the book answers
 * @param changed jobs that are not as they were when it last heard, here or in another bay, and their revision now; 0 for
 *            one that is gone
 */
public record BookEvent(boolean inReach, Map<String, Long> changed) {
    public BookEvent {
        changed = Map.copyOf(changed);
    }
}
