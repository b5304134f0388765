package amberheron.app.placement;

import amberheron.app.shell.Drawing;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.SensorTilt;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Rotate;
import org.jspecify.annotations.Nullable;

/**
 * The pipe in section, looking back along it: the clock positions that keep the sensor up far enough, the sensor where
 * it is meant to sit, and where water lies.
 */
final class ClockFace extends Drawing {
    private static final int STEPS = 360;

    private final Session session;
    private final Label note = new Label();
    private @Nullable Double dragged;
    private double middleX;
    private double middleY;

    ClockFace(Session session) {
        super(230);
        this.session = session;
        setId("place.clock.face");
        onDrag((x, y, done) -> session.place().ifPresent(id -> {
            double clock = Math.toRadians(Math.rint(Math.toDegrees(Math.atan2(x - middleX, middleY - y))));
            dragged = done ? null : clock;
            if (done) {
                session.edit("clock " + Figures.clock(clock), j -> j.withCandidate(id, c -> c.withClock(clock)));
            }
            refresh();
        }));
    }

    Label note() {
        return note;
    }

    @Override
    protected void draw(double width, double height) {
        Optional<Candidate> looked = PlaceModel.looked(session);
        Exhaust exhaust = session.job().intake().exhaust();
        double slope = looked.map(Candidate::slope).orElse(0.0);
        double lean = looked.map(Candidate::lean).orElse(0.0);
        Double diameter = exhaust.outerDiameter();
        middleX = width / 2;
        middleY = height / 2 + 6;
        double r = Math.min(width, height) * 0.27;
        double roll = Math.toDegrees(exhaust.roll());

        for (int i = 0; i < STEPS; i++) {
            double at = (i + 0.5) * 360 / STEPS;
            if (SensorTilt.of(Math.toRadians(at), slope, lean, exhaust.roll()) >= PlaceRules.LEAST_TILT) {
                Arc wedge = new Arc(middleX, middleY, r * 1.5, r * 1.5, 90 - at - 0.5, 1.4);
                wedge.setType(ArcType.ROUND);
                add(wedge, "face-allowed");
            }
        }
        add(new Circle(middleX, middleY, r), "face-pipe");
        Arc water = new Arc(middleX, middleY, r - 3, r - 3, 235, 70);
        water.setType(ArcType.CHORD);
        add(water, "face-water").getTransforms().add(new Rotate(-roll, middleX, middleY));
        for (int hour = 1; hour <= 12; hour++) {
            double a = Math.toRadians(hour * 30.0);
            line(middleX + r * 1.08 * Math.sin(a), middleY - r * 1.08 * Math.cos(a), middleX + r * 1.18 * Math.sin(a),
                    middleY - r * 1.18 * Math.cos(a), "dimension");
            if (hour % 3 == 0) {
                text(String.valueOf(hour), middleX + r * 1.34 * Math.sin(a), middleY - r * 1.34 * Math.cos(a) + 4, 0.5,
                        "drawing-text");
            }
        }
        line(middleX - r * 1.7, middleY, middleX + r * 1.7, middleY, "horizon").getTransforms()
                .add(new Rotate(-roll, middleX, middleY));
        text("level", middleX + r * 1.72, middleY + 14, 0.2, "drawing-text", "soft-text");
        Double clock = dragged != null ? dragged : looked.map(Candidate::clock).orElse(null);
        if (clock == null) {
            note.setText("clock position not entered");
            return;
        }
        double tilt = SensorTilt.of(clock, slope, lean, exhaust.roll());
        sensor(r, clock, diameter, tilt >= PlaceRules.LEAST_TILT);
        note.setText(
                "%s · %s".formatted(Figures.clock(clock), PlaceModel.tilt(session, tilt)));
    }

    /** Bung, hexagon and body at the pipe's own scale where its diameter is known: 22 mm across the flats. */
    private void sensor(double r, double clock, @Nullable Double diameter, boolean good) {
        double perMetre = r / ((diameter == null ? 0.0635 : Math.max(0.03, diameter)) / 2);
        double hex = 0.022 * perMetre;
        double body = 0.012 * perMetre;
        Rotate turn = new Rotate(Math.toDegrees(clock), middleX, middleY);
        String style = good ? "sensor-good" : "sensor-wrong";
        add(new Rectangle(middleX - body / 2, middleY - r - 0.028 * perMetre, body, 0.046 * perMetre), "sensor", style)
                .getTransforms().add(turn);
        add(new Rectangle(middleX - hex / 2, middleY - r - 0.014 * perMetre, hex, 0.012 * perMetre), "bung")
                .getTransforms().add(turn);
        add(new Rectangle(middleX - body / 4, middleY - r - 0.040 * perMetre, body / 2, 0.014 * perMetre), "sensor",
                style).getTransforms().add(turn);
    }
}
