package amberheron.app.desktop;

import amberheron.app.session.Whereabouts;
import amberheron.app.session.Whereabouts.Frame;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;

/** Place and size of a window: as it was left, and inside a screen that is there. */
final class WindowFrame {
    private static final double LEAST_WIDTH = 900;
    private static final double LEAST_HEIGHT = 620;
    /** Room that a window's title takes, more or less, pixels. */
    private static final double TITLE = 40;

    private WindowFrame() {
    }

    /** Puts a window where it was, or in the middle at a usual size; never larger than the screen it is on. */
    static void apply(Stage stage, @Nullable Frame wanted, double width, double height) {
        Rectangle2D room = wanted == null
                ? Screen.getPrimary().getVisualBounds()
                : Screen.getScreensForRectangle(wanted.x(), wanted.y(), wanted.width(), wanted.height()).stream()
                        .findFirst().orElse(Screen.getPrimary()).getVisualBounds();
        Frame frame = within(wanted, width, height, room);
        stage.setMinWidth(Math.min(LEAST_WIDTH, room.getWidth()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, room.getHeight()));
        if (wanted == null) {
            // The toolkit puts it in the middle, its title with it.
            stage.setWidth(frame.width());
            stage.setHeight(Math.min(frame.height(), room.getHeight() - TITLE));
            return;
        }
        stage.setX(frame.x());
        stage.setY(frame.y());
        stage.setWidth(frame.width());
        stage.setHeight(frame.height());
        stage.setMaximized(frame.whole());
    }

    /** The frame moved and made smaller as far as it must be to lie within a room. */
    static Frame within(@Nullable Frame wanted, double width, double height, Rectangle2D room) {
        double w = Math.min(wanted == null ? width : wanted.width(), room.getWidth());
        double h = Math.min(wanted == null ? height : wanted.height(), room.getHeight());
        double x = wanted == null ? room.getMinX() + (room.getWidth() - w) / 2 : wanted.x();
        double y = wanted == null ? room.getMinY() + (room.getHeight() - h) / 2 : wanted.y();
        return new Frame(Math.clamp(x, room.getMinX(), room.getMaxX() - w),
                Math.clamp(y, room.getMinY(), room.getMaxY() - h), w, h, wanted != null && wanted.whole());
    }

    /** Notes where a window stands, for the next time; one that fills the screen keeps the size it had before. */
    static void note(Stage stage, Whereabouts where) {
        Frame before = where.frame();
        where.frame(stage.isMaximized() && before != null
                ? new Frame(before.x(), before.y(), before.width(), before.height(), true)
                : new Frame(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight(), stage.isMaximized()));
    }
}
