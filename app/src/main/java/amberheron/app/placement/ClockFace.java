package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.parts.Grip;
import amberheron.app.session.Session;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.PipeAxes;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.PlaceSearch;
import amberheron.core.placement.SensorTilt;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import javafx.scene.transform.Rotate;
import org.jspecify.annotations.Nullable;

/**
 * The pipe in section, seen from behind: which part of the clock keeps every rule here, the sensor where it is meant to
 * sit, and where water lies.
 */
final class ClockFace extends Drawing {
    private static final int STEPS = 120;
    /** Distance from the sensor at which it is taken, px. */
    private static final double REACH = 10;

    private final Session session;
    private final PlaceModel model;
    private final Label note = new Label();
    private Object drawn = "";
    /** Where the sensor is taken; empty while it is not drawn. */
    private List<Rectangle> sensorLooked = List.of();
    private double middleX;
    private double middleY;

    ClockFace(Session session, PlaceModel model, Runnable moved) {
        super(190);
        this.session = session;
        this.model = model;
        setId("place.clock.face");
        Grip.on(this, new Grip.Hold() {
            @Override
            public boolean at(double x, double y) {
                return sensorLooked.stream().anyMatch(s -> s.contains(s.parentToLocal(x, y)));
            }

            @Override
            public void to(double x, double y, boolean done) {
                double clock = Math.toRadians(Math.rint(Math.toDegrees(Math.atan2(x - middleX, middleY - y))));
                model.drag(session, c -> c.withClock(clock), done);
                moved.run();
            }

            @Override
            public void back() {
                model.putBack();
                moved.run();
            }
        });
    }

    Label note() {
        return note;
    }

    /** Says where the sensor sits and how it tilts, and draws it. */
    void show() {
        // One tilt is told of a place, here as on the path: as fitted once it is.
        note.setText(model.looked(session)
                .map(c -> PlaceModel.made(session).filter(m -> m.id().equals(c.id())).orElse(c))
                .filter(c -> c.clock() != null).map(c -> PlaceModel.clock(c) + " · "
                        + PlaceModel.tilt(session, PlaceRules.tiltOf(PlaceModel.site(session), c).orElseThrow()))
                .orElse(say("clock position not entered")));
        // Along a straight piece nothing here changes.
        Object now = looks();
        if (!now.equals(drawn)) {
            drawn = now;
            refresh();
        }
    }

    /** Everything that is drawn. */
    private Object looks() {
        Optional<Candidate> looked = model.looked(session);
        Exhaust exhaust = PlaceModel.exhaust(session);
        List<Object> all = new ArrayList<>(List.of(exhaust.attitude(), PlaceModel.site(session).probe(),
                looked.map(Candidate::clock), looked.map(Candidate::lean),
                looked.map(c -> PlaceRules.axes(exhaust, c)),
                looked.map(Candidate::distance).flatMap(d -> exhaust.run(PlaceModel.line(session)).at(d))
                        .map(p -> Objects.requireNonNullElse(p.segment().diameter(), 0.0))));
        all.add(around(looked));
        return all;
    }

    /** Verdict of the search at each degree; empty while there is nothing to say. */
    private List<Verdict> around(Optional<Candidate> looked) {
        Double distance = looked.map(Candidate::distance).orElse(null);
        Optional<PlaceSearch.Band> band = PlaceModel.band(session);
        return band.isEmpty() || distance == null ? List.of() : band.get().around(band.get().index(distance));
    }

    @Override
    protected void draw(double width, double height) {
        Optional<Candidate> looked = model.looked(session);
        Exhaust exhaust = PlaceModel.exhaust(session);
        Attitude car = exhaust.attitude();
        PipeAxes pipe = looked.map(c -> PlaceRules.axes(exhaust, c)).orElse(PipeAxes.of(0, 0));
        double lean = looked.map(Candidate::lean).orElse(0.0);
        Double diameter = looked.map(Candidate::distance)
                .flatMap(d -> exhaust.run(PlaceModel.line(session)).at(d)).map(p -> p.segment().diameter())
                .orElse(null);
        middleX = width / 2;
        middleY = height / 2 + 6;
        double r = Math.min(width, height) * 0.27;
        wedges(looked, pipe, lean, car, r);
        add(new Circle(middleX, middleY, r), "face-pipe");
        // With the right side up, level runs down to the right as the car sees it.
        double roll = Math.toDegrees(car.roll());
        Arc water = new Arc(middleX, middleY, r - 3, r - 3, 235, 70);
        water.setType(ArcType.CHORD);
        add(water, "face-water").getTransforms().add(new Rotate(roll, middleX, middleY));
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
                .add(new Rotate(roll, middleX, middleY));
        text(say("level"), middleX + r * 1.7, middleY + 15 + r * 1.7 * Math.sin(car.roll()), 1, "drawing-text",
                "soft-text");
        Double clock = looked.map(Candidate::clock).orElse(null);
        sensorLooked = List.of();
        if (clock == null) {
            return;
        }
        double tilt = SensorTilt.of(pipe, clock, lean, car);
        sensor(r, clock, diameter, tilt >= PlaceRules.LEAST_TILT);
    }

    /**
     * Draws the sectors: filled where every rule is kept here, pale and broken where one warns. Without a place, where the
     * tilt is kept.
     */
    private void wedges(Optional<Candidate> looked, PipeAxes pipe, double lean, Attitude car, double r) {
        List<Verdict> around = around(looked);
        for (int i = 0; i < STEPS; i++) {
            int at = i * 360 / STEPS;
            boolean tilted = SensorTilt.of(pipe, Math.toRadians(at), lean, car) >= PlaceRules.LEAST_TILT;
            Verdict verdict = around.isEmpty() ? Verdict.UNKNOWN : around.get(at);
            if (tilted && verdict != Verdict.FAIL) {
                Arc wedge = new Arc(middleX, middleY, r * 1.5, r * 1.5, 90 - at - 180.0 / STEPS, 360.0 / STEPS + 0.4);
                wedge.setType(ArcType.ROUND);
                add(wedge, verdict == Verdict.WARN ? "face-warned" : "face-allowed");
            }
            if (tilted && verdict == Verdict.WARN && i % 2 == 0) {
                double a = Math.toRadians(at);
                line(middleX + r * 1.22 * Math.sin(a), middleY - r * 1.22 * Math.cos(a),
                        middleX + r * 1.48 * Math.sin(a), middleY - r * 1.48 * Math.cos(a), "zone-late-hatch");
            }
        }
    }

    /** Bung, hexagon and body at the pipe's own scale where its diameter is known: 22 mm across the flats. */
    private void sensor(double r, double clock, @Nullable Double diameter, boolean good) {
        double perMetre = r / ((diameter == null ? 0.0635 : Math.max(0.03, diameter)) / 2);
        double out = Math.min(PlaceModel.site(session).probe().standOutOrUsual() * perMetre, 0.9 * r);
        double hex = 0.022 * perMetre;
        double body = 0.012 * perMetre;
        Rotate turn = new Rotate(Math.toDegrees(clock), middleX, middleY);
        String style = good ? "sensor-good" : "sensor-wrong";
        add(new Rectangle(middleX - body / 2, middleY - r - 0.7 * out, body, 0.7 * out + 0.012 * perMetre), "sensor",
                style).getTransforms().add(turn);
        add(new Rectangle(middleX - hex / 2, middleY - r - 0.3 * out, hex, 0.012 * perMetre), "bung").getTransforms()
                .add(turn);
        add(new Rectangle(middleX - body / 4, middleY - r - out, body / 2, 0.3 * out), "sensor", style).getTransforms()
                .add(turn);
        // A hand is no needle: it takes the sensor from its wall to its end, and a little beside it.
        Rectangle reach = new Rectangle(middleX - Math.max(body, 2 * REACH) / 2, middleY - r - out - REACH,
                Math.max(body, 2 * REACH), out + 2 * REACH);
        reach.getTransforms().add(turn);
        sensorLooked = List.of(reach);
    }
}
