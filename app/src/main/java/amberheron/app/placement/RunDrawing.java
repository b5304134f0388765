package amberheron.app.placement;

import amberheron.app.shell.Drawing;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.PlaceRules;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;

/** The pipe drawn to scale along its length, with where one may drill and the places considered. */
final class RunDrawing extends Drawing {
    private static final double LEFT = 74;
    private static final double RIGHT = 16;
    private static final double AXIS = 96;
    /** One pixel on screen, m, at the customary 96 to the inch. */
    private static final double PIXEL = 0.0254 / 96;

    private final Session session;
    private final Label note = new Label();
    private double perMetre = 1;
    private @Nullable Double dragged;

    RunDrawing(Session session) {
        super(150);
        this.session = session;
        setId("place.run");
        onDrag((x, y, done) -> session.place().ifPresent(id -> {
            double metres = Math.round((x - LEFT) / perMetre * 1000) / 1000.0;
            dragged = done ? null : metres;
            if (done) {
                session.edit("distance " + Figures.length(session, metres),
                        j -> j.withCandidate(id, c -> c.withDistance(metres)));
            }
            refresh();
        }));
    }

    Label note() {
        return note;
    }

    @Override
    protected void draw(double width, double height) {
        Exhaust exhaust = session.job().intake().exhaust();
        double least = exhaust.turbine() ? PlaceRules.AFTER_TURBINE : PlaceRules.AFTER_MANIFOLD;
        Double catalyst = exhaust.catalyst() == Exhaust.Catalyst.NONE ? null : exhaust.catalystAt();
        double longest = session.job().candidates().stream().map(Candidate::distance).filter(d -> d != null)
                .mapToDouble(d -> d).max().orElse(0);
        double length = Math.max(1.0, Math.max(longest, catalyst == null ? 0 : catalyst + 0.35) + 0.15);
        perMetre = (width - LEFT - RIGHT) / length;
        note.setText("scale 1 : %.0f · drag the place, or type".formatted(1 / (perMetre * PIXEL)));
        Double diameter = exhaust.outerDiameter();
        double half = Math.max(5, (diameter == null ? 0.05 : diameter) * perMetre / 2);

        add(new Rectangle(LEFT, AXIS - half, width - LEFT - RIGHT, 2 * half), "pipe");
        double until = catalyst == null ? length : Math.min(length, catalyst);
        if (until > least) {
            zone(least, until, half, "zone-good");
        }
        if (catalyst != null) {
            double box = LEFT + catalyst * perMetre;
            double wide = Math.min(0.28 * perMetre, width - RIGHT - box);
            zone(catalyst + 0.28, length, half, "zone-late");
            add(new Rectangle(box, AXIS - half * 1.8 - 4, Math.max(4, wide), 2 * (half * 1.8 + 4)), "vessel");
            text(exhaust.catalyst().words(), box + wide / 2, AXIS + half * 1.8 + 22, 0.5, "drawing-text");
        }
        add(new Rectangle(4, AXIS - 30, LEFT - 30, 58), "vessel");
        text("engine", 4 + (LEFT - 30) / 2, AXIS + 3, 0.5, "drawing-text");
        if (exhaust.turbine()) {
            add(new Circle(LEFT - 10, AXIS, 14), "vessel");
            text("turbine", LEFT - 4, AXIS - 24, 0.5, "drawing-text");
        } else {
            add(new Rectangle(LEFT - 24, AXIS - half - 4, 24, 2 * half + 8), "vessel");
            text("manifold", LEFT - 12, AXIS + half + 22, 0.5, "drawing-text");
        }
        double y = AXIS + half + 14;
        double x = LEFT + least * perMetre;
        line(LEFT, y, x, y, "dimension");
        line(LEFT, y - 5, LEFT, y + 5, "dimension");
        line(x, y - 5, x, y + 5, "dimension");
        text(Figures.length(session, least), (LEFT + x) / 2 + 14, y + 17, 0.5, "drawing-text");
        session.job().candidates().forEach(c -> pin(c, half));
    }

    private void zone(double from, double to, double half, String style) {
        if (to <= from) {
            return;
        }
        double x1 = LEFT + from * perMetre;
        double x2 = LEFT + to * perMetre;
        add(new Rectangle(x1, AXIS - half, x2 - x1, 2 * half), style);
        for (double x = x1 + 6; x < x2; x += 12) {
            line(x, AXIS + half, Math.min(x2, x + Math.min(10, half)), AXIS - half, style + "-hatch");
        }
    }

    private void pin(Candidate c, double half) {
        boolean looked = session.place().filter(c.id()::equals).isPresent();
        Double at = looked && dragged != null ? dragged : c.distance();
        if (at == null) {
            return;
        }
        Candidate moved = c.withDistance(at);
        Verdict verdict = PlaceRules.verdict(session.job().intake().exhaust(), moved);
        String style = "pin-" + verdict.name().toLowerCase(java.util.Locale.ROOT);
        double x = LEFT + at * perMetre;
        Optional<Double> tilt = PlaceRules.tiltOf(session.job().intake().exhaust(), c);
        boolean below = tilt.isPresent() && tilt.get() < 0;
        double top = below ? AXIS + 46 : 32;
        line(x, below ? AXIS + half : AXIS - half, x, below ? top - 12 : top + 12, "pin-line", style);
        add(new Circle(x, top, 12), "pin", style, c.id().equals(session.job().chosen()) ? "pin-taken" : "pin-free");
        text(c.id(), x, top + 5, 0.5, "pin-letter",
                c.id().equals(session.job().chosen()) ? "pin-letter-taken" : "pin-letter-free");
        if (looked) {
            text(Figures.length(session, at) + " · " + word(verdict), x, 13, x > getWidth() - 70 ? 1 : 0.5,
                    "drawing-text", "strong");
        }
    }

    private static String word(Verdict verdict) {
        return switch (verdict) {
            case PASS -> "good";
            case UNKNOWN -> "not measured";
            case WARN -> "usable";
            case FAIL -> "no";
        };
    }
}
