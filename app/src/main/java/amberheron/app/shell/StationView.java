package amberheron.app.shell;

import javafx.scene.Parent;

/** The middle of the window at one station. */
public interface StationView {
    /** What is shown. */
    Parent node();

    /** Shows what the session says now. */
    void refresh();
}
