package amberheron.app.freeair;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Session;
import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.freeair.SensorOutlook;
import amberheron.core.freeair.Trend;
import amberheron.core.units.UnitChoice;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;

/** A sensor's gain over its hours: what was read, what is expected with its 90 % band, and where it is replaced. */
final class LifeDrawing extends Drawing {
    private static final double LEFT = 48;
    private static final double FOOT = 22;
    private static final double TOP = 1.06;
    private static final double BOTTOM = 0.78;
    private static final int STEPS = 48;
    /** What lies to either side of the band, which holds 90 of 100. */
    private static final double TAIL = 0.05;

    private final Session session;

    LifeDrawing(Session session) {
        super(170);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        SensorLife life = session.sensors().of(session.job().air().sensor()).current();
        if (life.of(Kind.GAIN).findAny().isEmpty()) {
            text(say("No gain was noted yet."), 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        SensorOutlook ahead = SensorOutlook.of(life, session.today());
        Trend gain = ahead.gain();
        double end = Math.max(1.3 * ahead.hours(),
                1.15 * gain.when(SensorOutlook.LEAST_GAIN, true, 0.5).orElse(2 * ahead.hours() + 1000));
        double room = width - LEFT - 10;
        double foot = height - FOOT;
        double[] band = new double[4 * (STEPS + 1)];
        double[] xs = new double[STEPS + 1];
        double[] ys = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            double hours = end * i / STEPS;
            xs[i] = LEFT + room * i / STEPS;
            ys[i] = y(gain.at(hours), foot);
            band[2 * i] = xs[i];
            band[2 * i + 1] = y(gain.quantile(hours, 1 - TAIL), foot);
            band[band.length - 2 - 2 * i] = xs[i];
            band[band.length - 1 - 2 * i] = y(gain.quantile(hours, TAIL), foot);
        }
        add(new Polygon(band), "plot-spread");
        line(LEFT, y(SensorOutlook.LEAST_GAIN, foot), width - 10, y(SensorOutlook.LEAST_GAIN, foot), "plot-limit");
        text(say("replace below"), LEFT + 4, y(SensorOutlook.LEAST_GAIN, foot) - 5, 0, "drawing-text");
        path(xs, ys, "plot-line");
        double now = LEFT + room * ahead.hours() / end;
        line(now, 4, now, foot, "plot-zero");
        text(say("today"), now + 4, 14, 0, "drawing-text", "soft-text");
        life.of(Kind.GAIN).forEach(n -> add(
                new Circle(LEFT + room * life.hoursAt(n.date()) / end, y(n.value(), foot), 4.5), "plot-point"));
        for (double mark : new double[]{1, 0.9, 0.8}) {
            text(UnitChoice.digits(mark, 1), LEFT - 8, y(mark, foot) + 4, 1, "drawing-text");
        }
        text("0 h", LEFT, height - 5, 0, "drawing-text");
        text(UnitChoice.digits(end, 0) + " h", width - 10, height - 5, 1, "drawing-text");
    }

    private static double y(double gain, double foot) {
        return 4 + (TOP - Math.clamp(gain, BOTTOM, TOP)) / (TOP - BOTTOM) * (foot - 4);
    }
}
