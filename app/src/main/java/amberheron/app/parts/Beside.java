package amberheron.app.parts;

import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;

/** A drawing that stays in view, and beside it what it is looked at with; where there is no room that stands elsewhere. */
public final class Beside extends HBox {
    private static final double BOTH = 620;

    /**
     * Puts two nodes beside each other.
     *
     * @param otherwise where the second one stands in a narrow window
     */
    @SuppressWarnings("this-escape") // nothing calls back before the window is shown
    public Beside(Node drawing, Node second, Pane otherwise) {
        super(12, drawing, second);
        setHgrow(drawing, Priority.ALWAYS);
        widthProperty().addListener((o, was, now) -> {
            boolean beside = now.doubleValue() >= BOTH;
            if (now.doubleValue() > 0 && beside != getChildren().contains(second)) {
                (beside ? otherwise : this).getChildren().remove(second);
                (beside ? this : otherwise).getChildren().add(second);
            }
        });
    }
}
