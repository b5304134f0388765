package amberheron.app.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.session.Whereabouts.Frame;
import javafx.geometry.Rectangle2D;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WindowFrameTest {
    /** Wherever it was left, on whatever screen was taken away, it lies within the screen that is there. */
    @ParameterizedTest
    @CsvSource({"100, 50, 1280, 800, 0, 0, 1920, 1040, 100, 50, 1280, 800", // as it was
            "3000, 50, 1280, 800, 0, 0, 1920, 1040, 640, 50, 1280, 800", // its screen is gone
            "100, 50, 2000, 1200, 0, 0, 1366, 728, 0, 0, 1366, 728", // larger than the laptop
            "-2000, -50, 1280, 800, -1920, 0, 1920, 1040, -1920, 0, 1280, 800", // a screen at the left
            "0, 0, 1280, 800, 0, 27, 640, 360, 0, 27, 640, 360"}) // scale 2 on a small one
    void itLiesWithinTheScreen(double x, double y, double w, double h, double sx, double sy, double sw, double sh,
            double ex, double ey, double ew, double eh) {
        assertThat(WindowFrame.within(new Frame(x, y, w, h, false), 1280, 800, new Rectangle2D(sx, sy, sw, sh)))
                .isEqualTo(new Frame(ex, ey, ew, eh, false));
    }
}
