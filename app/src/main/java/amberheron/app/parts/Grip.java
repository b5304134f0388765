package amberheron.app.parts;

import javafx.event.EventHandler;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/**
 * A part of a drawing that the hand takes and moves: with the left button, once it has moved by some pixels, and not after Esc.
 * A click, any other button, and a press beside the part move nothing.
 */
public final class Grip {
    /** Way by which a hand that only clicks may slip, px. */
    private static final double SLIP = 4;

    private final Node on;
    private final Hold hold;
    private final EventHandler<KeyEvent> escape = e -> {
        if (e.getCode() == KeyCode.ESCAPE) {
            letGo();
            e.consume();
        }
    };
    private boolean held;
    private boolean moving;
    private double x;
    private double y;

    /** A part that can be moved. */
    public interface Hold {
        /** Whether the part is there. */
        boolean at(double x, double y);

        /** Moves it there; for good when the hand lets go. */
        void to(double x, double y, boolean done);

        /** Puts it back where it was. */
        void back();
    }

    private Grip(Node on, Hold hold) {
        this.on = on;
        this.hold = hold;
    }

    /** Lets the part of a drawing be moved. */
    public static void on(Node drawing, Hold hold) {
        Grip grip = new Grip(drawing, hold);
        drawing.addEventHandler(MouseEvent.MOUSE_PRESSED, grip::pressed);
        drawing.addEventHandler(MouseEvent.MOUSE_DRAGGED, grip::dragged);
        drawing.addEventHandler(MouseEvent.MOUSE_RELEASED, grip::released);
        drawing.addEventHandler(MouseEvent.MOUSE_MOVED,
                e -> drawing.setCursor(hold.at(e.getX(), e.getY()) ? Cursor.OPEN_HAND : Cursor.DEFAULT));
    }

    private void pressed(MouseEvent e) {
        if (moving) {
            letGo();
            return;
        }
        held = e.getButton() == MouseButton.PRIMARY && hold.at(e.getX(), e.getY());
        x = e.getX();
        y = e.getY();
    }

    private void dragged(MouseEvent e) {
        if (!held || (!moving && Math.hypot(e.getX() - x, e.getY() - y) < SLIP)) {
            return;
        }
        Scene scene = on.getScene();
        if (!moving && scene != null) {
            scene.addEventFilter(KeyEvent.KEY_PRESSED, escape);
        }
        moving = true;
        hold.to(e.getX(), e.getY(), false);
    }

    private void released(MouseEvent e) {
        if (moving) {
            ended();
            hold.to(e.getX(), e.getY(), true);
        }
        held = false;
    }

    private void letGo() {
        ended();
        held = false;
        hold.back();
    }

    private void ended() {
        moving = false;
        Scene scene = on.getScene();
        if (scene != null) {
            scene.removeEventFilter(KeyEvent.KEY_PRESSED, escape);
        }
    }
}
