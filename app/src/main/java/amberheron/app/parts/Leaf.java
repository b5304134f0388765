package amberheron.app.parts;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import org.jspecify.annotations.Nullable;

/** A leaf: one of several screens of a station. */
public interface Leaf extends Refreshed {
    /** Returns what is shown. */
    Node node();

    /** Nodes that stay in view above it while it scrolls, such as the drawing that its fields change; none where all fits. */
    default List<Node> pinned() {
        return List.of();
    }

    /**
     * A part of what another class shows.
     *
     * @param refresh shows what the job says now
     */
    static Leaf of(Node node, Runnable refresh) {
        return over(List.of(), node, refresh);
    }

    /** A part of what another class shows, with what stays in view above it. */
    static Leaf under(Node pinned, Node node, Runnable refresh) {
        return over(List.of(pinned), node, refresh);
    }

    private static Leaf over(List<Node> pinned, Node node, Runnable refresh) {
        return new Leaf() {
            @Override
            public Node node() {
                return node;
            }

            @Override
            public List<Node> pinned() {
                return pinned;
            }

            @Override
            public void refresh() {
                refresh.run();
            }
        };
    }

    /** Leaves of one class, made when they are first asked for. */
    static <T> Supplier<T> once(Supplier<T> made) {
        return new Supplier<>() {
            private @Nullable T kept;

            @Override
            public T get() {
                T known = kept;
                if (known == null) {
                    known = made.get();
                    kept = known;
                }
                return known;
            }
        };
    }
}
