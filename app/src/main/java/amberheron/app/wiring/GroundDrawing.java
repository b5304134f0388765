package amberheron.app.wiring;

import amberheron.app.shell.Drawing;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.wiring.Conductor;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring.Ground;
import javafx.scene.shape.Rectangle;

/** Controller, reader and ground point as a circuit: one wire for both returns, or two. */
final class GroundDrawing extends Drawing {
    private final Session session;

    GroundDrawing(Session session) {
        super(170);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        Ground ground = session.job().wiring().ground();
        double left = 12;
        double box = 96;
        double right = width - 12 - box;
        double top = 18;
        double foot = 140;
        add(new Rectangle(left, top, box, 44), "vessel");
        text("controller", left + box / 2, top + 27, 0.5, "drawing-text");
        add(new Rectangle(right, top, box, 44), "vessel");
        text("reader", right + box / 2, top + 27, 0.5, "drawing-text");
        line(left + box, top + 14, right, top + 14, "wire-signal");
        text("signal", (left + box + right) / 2, top + 9, 0.5, "drawing-text");
        double x = left + box / 2;
        if (ground.shared() == null) {
            text("Shared or apart? Say so at Ground.", width / 2, foot - 26, 0.5, "drawing-text");
            return;
        }
        boolean shared = ground.shared();
        line(x, top + 44, x, foot, shared ? "wire-shared" : "wire-plain");
        earth(x, foot, "ground point");
        if (shared) {
            double y = top + 60;
            line(right + box / 2, top + 44, right + box / 2, y, "wire-plain");
            line(right + box / 2, y, x, y, "wire-plain");
            text("signal's ground joins here", (x + right + box / 2) / 2, y - 5, 0.5, "drawing-text");
            WireRules.shift(ground).ifPresent(shift -> {
                Double length = ground.length();
                Double section = ground.crossSection();
                double ohms = length == null || section == null ? 0 : new Conductor(length, section).resistance();
                text("%s × %.1f mΩ = %s".formatted(
                        Figures.text(session, new Measure(orZero(ground.current()), Dimension.CURRENT, 2)),
                        1000 * ohms, Figures.text(session, new Measure(shift, Dimension.VOLTAGE, 3))), x + 12,
                        foot - 28,
                        0, "drawing-text", "strong");
                text("heater and signal return in one wire", x + 12, foot - 10, 0, "drawing-text");
            });
        } else {
            line(right + box / 2, top + 44, right + box / 2, foot, "wire-plain");
            earth(right + box / 2, foot, "signal's own");
            text("heater's return", x + 10, foot - 28, 0, "drawing-text");
        }
    }

    private static double orZero(@org.jspecify.annotations.Nullable Double value) {
        return value == null ? 0 : value;
    }

    private void earth(double x, double y, String words) {
        for (int i = 0; i < 3; i++) {
            line(x - 14 + 4 * i, y + 5.0 * i, x + 14 - 4 * i, y + 5.0 * i, "dimension");
        }
        text(words, x + 22, y + 12, 0, "drawing-text", "soft-text");
    }
}
