package amberheron.app.parts;

import java.util.function.Supplier;
import javafx.scene.Node;
import org.jspecify.annotations.Nullable;

/** One of several screens of a station. */
public interface Leaf extends Refreshed {
    /** What is shown. */
    Node node();

    /**
     * A part of what another class shows.
     *
     * @param refresh shows what the job says now
     */
    static Leaf of(Node node, Runnable refresh) {
        return new Leaf() {
            @Override
            public Node node() {
                return node;
            }

            @Override
            public void refresh() {
                refresh.run();
            }
        };
    }

    /** What is made when it is first asked for, for several leaves of one class. */
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
