package amberheron.app.parts;

import amberheron.core.finding.Verdict;
import amberheron.core.job.LinkState;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.Shape;

/**
 * State as a shape: ring, half ring, disc with tick, disc with tick and a notch, triangle. The colour only repeats what
 * the shape says.
 */
public final class Mark {
    private static final double R = 9;
    /** Where the notch is, right of and above the middle. */
    private static final double NOTCH = 6.5;
    private static final String TICK = "M-4.5,0.3 L-1.4,3.6 L4.6,-3.6";
    private static final String BANG = "M0,-3.4 L0,1.2 M0,3.6 L0,3.8";

    private Mark() {
    }

    public static Node of(LinkState state) {
        return switch (state) {
            case OPEN -> new Group(styled(new Circle(R), "mark-ring"));
            case BEGUN -> {
                Arc half = new Arc(0, 0, R, R, 90, 180);
                half.setType(ArcType.CHORD);
                yield new Group(styled(new Circle(R), "mark-ring"), styled(half, "mark-half"));
            }
            case PROVEN -> new Group(styled(new Circle(R), "mark-disc"), styled(path(TICK), "mark-on-disc"));
            case RESERVED -> new Group(styled(notched(), "mark-disc"), styled(path(TICK), "mark-on-disc"),
                    styled(new Polygon(NOTCH, -NOTCH - 4, NOTCH + 4, -NOTCH, NOTCH, -NOTCH + 4, NOTCH - 4, -NOTCH),
                            "mark-warn"));
            case OUT_OF_TOLERANCE -> triangle(R);
            case STALE -> new Group(styled(new Circle(R), "mark-stale"), styled(path(TICK), "mark-on-stale"));
            case NOT_NEEDED -> new Group(styled(new Circle(R), "mark-ring"), styled(path("M-4,0 L4,0"), "mark-tick"));
        };
    }

    public static Node of(Verdict verdict) {
        return switch (verdict) {
            case PASS -> new Group(styled(path(TICK), "mark-tick"));
            case UNKNOWN -> new Group(styled(new Circle(5), "mark-ring"));
            case WARN -> new Group(styled(new Polygon(0, -6.5, 6.5, 0, 0, 6.5, -6.5, 0), "mark-warn"),
                    styled(path(BANG), "mark-on-warn"));
            case FAIL -> triangle(7.5);
        };
    }

    /** A disc out of which the corner is cut where the sign of a warning sits. */
    private static Shape notched() {
        return Shape.subtract(new Circle(R), new Circle(NOTCH, -NOTCH, 6.5));
    }

    private static Group triangle(double r) {
        double half = r * 1.05;
        return new Group(styled(new Polygon(0, -r, half, r * 0.85, -half, r * 0.85), "mark-wrong"),
                styled(path("M0,-2.6 L0,2 M0,4.6 L0,4.8"), "mark-on-disc"));
    }

    private static SVGPath path(String content) {
        SVGPath path = new SVGPath();
        path.setContent(content);
        return path;
    }

    private static <S extends Shape> S styled(S shape, String style) {
        shape.getStyleClass().add(style);
        return shape;
    }
}
