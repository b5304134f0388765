package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Session;
import amberheron.core.display.DisplaySetUp;
import amberheron.core.display.DisplaySetting;
import amberheron.core.mixture.MixtureScale;
import java.util.List;
import javafx.scene.shape.Rectangle;

/** Drawing of a display's bands on one scale, in its own quantity, with its alarms. */
final class BandsDrawing extends Drawing {
    private static final double LEAST = 0.62;
    private static final double MOST = 1.18;
    private static final double TOP = 26;
    private static final double THICK = 34;
    private static final List<String> NAMES = List.of("too rich", "power", "cruise and idle", "lean");
    /** Each band has its own hatch besides its tint, so that none rests on colour alone. */
    private static final List<String> STYLES = List.of("band-far", "band-power", "band-cruise", "band-far");

    private final Session session;

    BandsDrawing(Session session) {
        super(TOP + THICK + 26);
        this.session = session;
    }

    private double x(double lambda) {
        return 12 + (getWidth() - 24) * (lambda - LEAST) / (MOST - LEAST);
    }

    @Override
    protected void draw(double width, double height) {
        DisplaySetUp setUp = session.job().displaySetUp(session.preferences().shop().schools());
        MixtureScale scale = session.job().shownByGauge();
        double from = LEAST;
        for (int i = 0; i <= setUp.bands().size(); i++) {
            double to = i < setUp.bands().size() ? setUp.bands().get(i) : MOST;
            add(new Rectangle(x(from), TOP, Math.max(0, x(to) - x(from)), THICK), STYLES.get(i));
            text(word(NAMES.get(i)), (x(from) + x(to)) / 2, TOP + THICK / 2 + 5, 0.5, "drawing-text");
            if (i < setUp.bands().size()) {
                line(x(to), TOP, x(to), TOP + THICK + 6, "drawing-line");
                text(DisplaySetUp.mixture(to, scale), x(to), TOP + THICK + 20, 0.5, "drawing-text");
            }
            from = to;
        }
        for (DisplaySetUp.Line line : setUp.lines()) {
            Double at = line.told() == null ? line.ought() : line.told();
            if (at != null && line.what().kind() == DisplaySetting.Kind.MIXTURE && at > LEAST
                    && at < MOST) {
                line(x(at), TOP - 6, x(at), TOP + THICK, "alarm-line");
                text((line.what() == DisplaySetting.LEAN ? say("lean alarm ") : say("rich alarm "))
                        + DisplaySetUp.mixture(at, scale)
                        + (line.told() == null ? "" : say(", as told")), x(at), TOP - 10, 0.5, "drawing-text");
            }
        }
    }
}
