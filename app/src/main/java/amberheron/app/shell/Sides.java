package amberheron.app.shell;

import amberheron.app.session.Session;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/** Widths of the columns at the sides, and the size of words, as the window and the person's choice have them. */
final class Sides {
    private static final double PATH = 242;
    private static final double REASONS = 268;
    /** Width of the window below which the columns at the sides leave more to the middle, pixels. */
    private static final double NARROW = 1150;
    private static final double PATH_NARROW = 200;
    private static final double REASONS_NARROW = 210;
    /** Width of the window from which there is room for more at the sides too, pixels. */
    private static final double WIDE = 1600;
    private static final double PATH_WIDE = 290;
    private static final double REASONS_WIDE = 370;
    private static final double FONT = 14;

    private final Session session;
    private final Region root;
    private final Region path;
    private final Region reasons;
    private @Nullable Sized sized;

    /** Size of words and window for which the columns at the sides were laid out. */
    private record Sized(int percent, double path, double reasons) {
    }

    /** The columns in a window. */
    Sides(Session session, Region root, Region path, Region reasons) {
        this.session = session;
        this.root = root;
        this.path = path;
        this.reasons = reasons;
    }

    /** The columns at the sides grow with the words, half as much: the middle needs the room more. */
    void fit() {
        int percent = session.preferences().textSize();
        boolean narrow = root.getWidth() > 0 && root.getWidth() < NARROW;
        boolean roomy = root.getWidth() >= WIDE;
        Sized now = new Sized(percent, narrow ? PATH_NARROW : roomy ? PATH_WIDE : PATH,
                narrow ? REASONS_NARROW : roomy ? REASONS_WIDE : REASONS);
        if (!now.equals(sized)) {
            sized = now;
            root.setStyle(percent == 100 ? "" : "-fx-font-size: " + FONT * percent / 100 + "px;");
            double wider = (100 + percent) / 200.0;
            wide(path, wider * now.path());
            wide(reasons, wider * now.reasons());
        }
    }

    private static void wide(Region side, double width) {
        side.setPrefWidth(width);
        side.setMinWidth(width);
    }
}
