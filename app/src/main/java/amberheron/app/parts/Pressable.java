package amberheron.app.parts;

import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;

/** Content that can be pressed like a button, and whose height follows its width, which a button's does not. */
public final class Pressable extends Stack {
    /** A region that can be pressed, with a description for those who do not see it. */
    public Pressable(String id, String says, Runnable run, Node... content) {
        super(0, content);
        setId(id);
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(says);
        setFocusTraversable(true);
        setOnMouseClicked(e -> {
            requestFocus();
            run.run();
        });
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                run.run();
                e.consume();
            }
        });
    }
}
