package amberheron.app.parts;

import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Several leaves of one station, one of them shown. A field or leaf that is asked for is brought. */
public final class Leaves extends VBox {
    private static final double ROOM = 700;

    private final Session session;
    private final FlowPane tabs = new FlowPane(4, 6);
    private final VBox pinned = new VBox(10);
    private final List<Tab> leaves = new ArrayList<>();

    /** A leaf with its button. It is made when first shown, and while hidden it is not refreshed. */
    private final class Tab {
        private final LeafId id;
        private final ToggleButton button;
        private final Supplier<Leaf> made;
        private @Nullable Leaf leaf;
        private boolean stale = true;

        Tab(LeafId id, ToggleButton button, Supplier<Leaf> made) {
            this.id = id;
            this.button = button;
            this.made = made;
        }

        List<Node> pinned() {
            return leaf == null ? List.of() : leaf.pinned();
        }

        /** A node of a name, as the leaf stands. */
        Optional<Node> find(String wanted) {
            Leaf now = leaf;
            return now == null
                    ? Optional.empty()
                    : Stream.concat(Stream.of(now.node()), now.pinned().stream()).map(n -> Parts.find(n, wanted))
                            .filter(Objects::nonNull).findFirst();
        }

        Node fresh() {
            Leaf now = leaf;
            if (now == null) {
                now = made.get();
                leaf = now;
                Parts.show(now.node(), false);
                Leaves.this.getChildren().add(now.node());
            }
            if (stale) {
                stale = false;
                now.refresh();
            }
            return now.node();
        }
    }

    /** Makes the leaves of a station, empty at first. */
    public Leaves(Session session) {
        this.session = session;
        setSpacing(12);
        // In one line where there is room beside the title, else in two.
        tabs.setPrefWrapLength(ROOM);
        tabs.setAlignment(Pos.TOP_RIGHT);
        session.listeners().onFocus(wanted -> {
            // Of the station that is shown only: the fields of others are made when they are gone to.
            if (getScene() == null) {
                return;
            }
            Optional<Tab> named = leaves.stream().filter(l -> wanted.equals(l.id.id())).findFirst();
            if (named.isPresent()) {
                // A leaf itself: the others need not be made to look for it in them.
                show(named.get());
                return;
            }
            // Names of fields follow what is looked at; but where one had this name, it is looked for first.
            List<Tab> likely = new ArrayList<>(leaves);
            likely.sort(Comparator.comparing(l -> l.find(wanted).isEmpty()));
            for (Tab leaf : likely) {
                leaf.fresh();
                Optional<Node> found = leaf.find(wanted);
                if (found.isPresent()) {
                    show(leaf);
                    Node at = first(found.get());
                    at.requestFocus();
                    // What is typed now takes the place of what stood there.
                    if (at instanceof TextInputControl field) {
                        field.selectAll();
                    } else if (at instanceof ComboBox<?> list && at.getParent() instanceof Choice<?>) {
                        list.show();
                    }
                    return;
                }
            }
        });
    }

    /** Returns the first node that can be typed into or pressed: the node itself, or one inside it. */
    private static Node first(Node node) {
        if (node.isFocusTraversable() || !(node instanceof Parent parent)) {
            return node;
        }
        return parent.getChildrenUnmodifiable().stream().map(Leaves::first).filter(Node::isFocusTraversable)
                .findFirst().orElse(node);
    }

    /** Nodes that the leaf shown keeps in view. */
    public Node pinned() {
        return pinned;
    }

    /** Buttons that pick the leaf shown. */
    public Node tabs() {
        return tabs;
    }

    /** Adds a leaf; the first is shown. */
    public Leaves with(LeafId id, Supplier<Leaf> made) {
        ToggleButton button = new ToggleButton(id.title());
        Tab leaf = new Tab(id, button, made);
        button.setId(id.id());
        button.setMinWidth(USE_PREF_SIZE);
        button.getStyleClass().add("leaf-tab");
        button.setOnAction(e -> show(leaf));
        button.setSelected(leaves.isEmpty());
        leaves.add(leaf);
        tabs.getChildren().add(button);
        return this;
    }

    /** Shows what the job says now on the leaf that is seen. */
    public void refresh() {
        leaves.forEach(l -> l.stale = true);
        Optional<LeafId> at = session.at().leaf();
        leaves.stream().filter(l -> at.filter(l.id::equals).isPresent()).findFirst()
                .or(() -> leaves.stream().filter(l -> l.button.isSelected()).findFirst()).ifPresent(this::show);
    }

    private void show(Tab wanted) {
        Node shown = wanted.fresh();
        getChildren().forEach(n -> Parts.show(n, n.equals(shown)));
        if (!pinned.getChildren().equals(wanted.pinned())) {
            pinned.getChildren().setAll(wanted.pinned());
        }
        Parts.show(pinned, !wanted.pinned().isEmpty());
        leaves.forEach(l -> l.button.setSelected(l.equals(wanted)));
        session.at().leaf(wanted.id);
    }
}
