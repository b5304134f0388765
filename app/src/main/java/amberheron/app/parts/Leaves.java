package amberheron.app.parts;

import javafx.scene.control.TextInputControl;
import amberheron.app.session.Session;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Several leaves of one station, one of them shown. A field or leaf that is asked for is brought. */
public final class Leaves extends VBox {
    private static final double ROOM = 700;

    private final FlowPane tabs = new FlowPane(6, 6);
    private final List<Leaf> leaves = new ArrayList<>();

    /** One of them; what is hidden shows the job anew only when it is brought. */
    private static final class Leaf {
        private final ToggleButton button;
        private final Node node;
        private final Runnable refresh;
        private boolean stale = true;

        Leaf(ToggleButton button, Node node, Runnable refresh) {
            this.button = button;
            this.node = node;
            this.refresh = refresh;
        }

        void freshen() {
            if (stale) {
                stale = false;
                refresh.run();
            }
        }
    }

    /** No leaf yet. */
    public Leaves(Session session) {
        setSpacing(12);
        // In one line where there is room beside the title, else in two.
        tabs.setPrefWrapLength(ROOM);
        tabs.setAlignment(Pos.TOP_RIGHT);
        session.onFocus(wanted -> {
            for (Leaf leaf : leaves) {
                if (wanted.equals(leaf.button.getId())) {
                    show(leaf);
                }
            }
            for (Leaf leaf : leaves) {
                // Names of fields follow what is looked at.
                leaf.freshen();
                Node found = Parts.find(leaf.node, wanted);
                if (found != null) {
                    show(leaf);
                    Node at = first(found);
                    at.requestFocus();
                    // What is typed now takes the place of what stood there.
                    if (at instanceof TextInputControl field) {
                        field.selectAll();
                    }
                }
            }
        });
    }

    /** What can be typed into or pressed: the node itself, or the first inside it. */
    private static Node first(Node node) {
        if (node.isFocusTraversable() || !(node instanceof Parent parent)) {
            return node;
        }
        return parent.getChildrenUnmodifiable().stream().map(Leaves::first).filter(Node::isFocusTraversable)
                .findFirst().orElse(node);
    }

    /** What picks the leaf shown. */
    public Node tabs() {
        return tabs;
    }

    /**
     * Adds a leaf; the first is shown.
     *
     * @param refresh shows what the job says now
     */
    public Leaves with(String title, String id, Node node, Runnable refresh) {
        ToggleButton button = new ToggleButton(title);
        Leaf leaf = new Leaf(button, node, refresh);
        button.setId(id);
        button.setMinWidth(USE_PREF_SIZE);
        button.getStyleClass().add("leaf-tab");
        button.setOnAction(e -> show(leaf));
        boolean first = leaves.isEmpty();
        leaves.add(leaf);
        tabs.getChildren().add(button);
        getChildren().add(node);
        button.setSelected(first);
        Parts.show(node, first);
        return this;
    }

    /** Shows what the job says now on the leaf that is seen. */
    public void refresh() {
        leaves.forEach(l -> l.stale = true);
        leaves.stream().filter(l -> l.button.isSelected()).forEach(Leaf::freshen);
    }

    private void show(Leaf wanted) {
        wanted.freshen();
        for (Leaf leaf : leaves) {
            boolean on = leaf.equals(wanted);
            Parts.show(leaf.node, on);
            leaf.button.setSelected(on);
        }
    }
}
