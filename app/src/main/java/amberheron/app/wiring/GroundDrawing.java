package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Session;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import java.util.Optional;
import javafx.scene.shape.Rectangle;

/** Controller, reader, chassis and battery as the circuit they are: which returns run in one wire, and where they join. */
final class GroundDrawing extends Drawing {
    private static final double BOX = 92;
    private static final double TALL = 40;

    private final Session session;

    GroundDrawing(Session session) {
        super(186);
        this.session = session;
    }

    @Override
    protected void draw(double width, double height) {
        GroundPlan ground = session.job().wiring().ground();
        GroundSchool school = ground.school();
        double left = 8;
        double right = width - 8 - BOX;
        double top = 12;
        double rail = height - 30;
        box(say("controller"), left, top);
        box(say("reader"), right, top);
        line(left + BOX, top + 12, right, top + 12, "wire-signal");
        text(say("signal"), (left + BOX + right) / 2, top + 8, 0.5, "drawing-text");
        if (school == null) {
            text(say("Where are the grounds taken?"), width / 2, height / 2 + 20, 0.5, "drawing-text");
            return;
        }
        double chassis = width * 0.36;
        double battery = width * 0.72;
        line(chassis, rail, battery, rail, "wire-plain");
        text(say("strap, other loads"), (chassis + battery) / 2, rail - 6, 0.5, "drawing-text", "soft-text");
        node(chassis, rail, say("chassis"));
        node(battery, rail, say("battery −"));
        double signalX = left + BOX * (ground.twoWires() ? 0.7 : 0.5);
        double readerX = right + BOX / 2;
        double readerTo = school == GroundSchool.SAME_POINT ? chassis : battery;
        wire(readerX, top + TALL, readerTo, rail, 92, "wire-plain");
        boolean one = !ground.twoWires();
        switch (school) {
            case BATTERY -> wire(signalX, top + TALL, battery, rail, 118, one ? "wire-shared" : "wire-plain");
            case CHASSIS, SAME_POINT ->
                wire(signalX, top + TALL, chassis, rail, 118, one ? "wire-shared" : "wire-plain");
            case READER -> {
                line(signalX, top + TALL, signalX, 74, one ? "wire-shared" : "wire-plain");
                line(signalX, 74, readerX, 74, one ? "wire-shared" : "wire-plain");
            }
        }
        if (!one) {
            double heater = left + BOX * 0.25;
            wire(heater, top + TALL, school == GroundSchool.BATTERY ? battery : chassis, rail, 140, "wire-heavy");
            text(say("heater"), heater + 5, top + TALL + 16, 0, "drawing-text", "soft-text");
        } else {
            Optional<GroundPlan.Cost> cost = ground.cost();
            // Clear of the reader's own ground, which goes down at the right.
            double y = school == GroundSchool.READER ? 92 : 66;
            text(say("heater and signal return"), signalX + 8, y, 0, "drawing-text", "strong");
            text(say("in one wire%s", cost.map(c -> say(": %.1f mV", 1000 * c.shift())).orElse("")), signalX + 8,
                    y + 16, 0,
                    "drawing-text", "strong");
        }
    }

    private void box(String words, double x, double y) {
        add(new Rectangle(x, y, BOX, TALL), "vessel");
        text(words, x + BOX / 2, y + 25, 0.5, "drawing-text");
    }

    private void node(double x, double y, String words) {
        for (int i = 0; i < 3; i++) {
            line(x - 12 + 4 * i, y + 4 * i, x + 12 - 4 * i, y + 4 * i, "wire-plain");
        }
        text(words, x, y + 24, 0.5, "drawing-text");
    }

    /** Down, across at a height of its own, and down again. */
    private void wire(double x1, double y1, double x2, double y2, double across, String style) {
        line(x1, y1, x1, across, style);
        line(x1, across, x2, across, style);
        line(x2, across, x2, y2, style);
    }
}
