package amberheron.app.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Several leaves of one station, one of them shown. A field or leaf that is asked for is brought. */
public final class Leaves extends VBox {
    private static final double ROOM = 700;

    private final FlowPane tabs = new FlowPane(6, 6);
    private final List<ToggleButton> buttons = new ArrayList<>();
    private final List<Node> leaves = new ArrayList<>();

    /** No leaf yet. */
    public Leaves(Session session) {
        setSpacing(12);
        // In one line where there is room beside the title, else in two.
        tabs.setPrefWrapLength(ROOM);
        tabs.setAlignment(Pos.TOP_RIGHT);
        HBox.setHgrow(tabs, Priority.ALWAYS);
        session.onFocus(wanted -> {
            for (int i = 0; i < leaves.size(); i++) {
                if (wanted.equals(buttons.get(i).getId())) {
                    show(leaves.get(i));
                }
            }
            for (Node leaf : leaves) {
                Node found = Parts.find(leaf, wanted);
                if (found != null) {
                    show(leaf);
                    found.requestFocus();
                }
            }
        });
    }

    /** What picks the leaf shown. */
    public Node tabs() {
        return tabs;
    }

    /** Adds a leaf; the first is shown. */
    public Leaves with(String title, String id, Node leaf) {
        ToggleButton button = new ToggleButton(title);
        button.setId(id);
        button.setMinWidth(USE_PREF_SIZE);
        button.setOnAction(e -> show(leaf));
        buttons.add(button);
        leaves.add(leaf);
        tabs.getChildren().add(button);
        getChildren().add(leaf);
        show(leaves.getFirst());
        return this;
    }

    private void show(Node wanted) {
        for (int i = 0; i < leaves.size(); i++) {
            boolean on = leaves.get(i).equals(wanted);
            Parts.show(leaves.get(i), on);
            buttons.get(i).setSelected(on);
        }
    }
}
