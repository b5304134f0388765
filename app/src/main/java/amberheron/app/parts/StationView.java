package amberheron.app.parts;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;

/** The middle of the window at one station. */
public interface StationView {
    /** Returns what is shown. */
    Parent node();

    /** Nodes at the right of the station's title; none unless the station has several leaves. */
    default List<Node> besideTitle() {
        return List.of();
    }

    /** Nodes that stay in view above what scrolls, such as the drawing that the fields change; none where all fits. */
    default List<Node> pinned() {
        return List.of();
    }

    /** Shows what the session says now. */
    void refresh();
}
