package amberheron.app.session;

import amberheron.io.kind.FileKind;
import java.util.List;
import java.util.function.Consumer;

/** Model of a station, computed without a toolkit. */
public interface StationModel {
    /** Question that the station answers, under its title. */
    String subtitle();

    /** Its one telling figure on the signal path; empty when there is none yet. */
    String figure(Session session);

    /** The reasons column. */
    Advice advice(Session session);

    /** Puts away what stood on the desk for the job that is left: instruments, and what was looked at. */
    default void leave() {
    }

    /** Actions that can be done here with an open job, from anywhere in the window. */
    default List<StationAction> actions() {
        return List.of();
    }

    /**
     * Takes up a file of a kind that belongs here, into the open job.
     *
     * @return the leaf where it is seen
     */
    default LeafId take(Session session, FileKind kind, String file) {
        throw new IllegalArgumentException(kind + " does not belong to " + getClass());
    }

    /**
     * Something that can be done with an open job.
     *
     * @param text what, in the words it is found with
     * @param also other words that people look for it by
     * @param keys its key, such as {@code Shortcut+P}; empty when it has none
     */
    record StationAction(String text, String also, String keys, Consumer<Session> run) {
    }
}
