package amberheron.core.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How a round bung meets a round pipe, axes crossing: the curve ground into the bung's face, and the hole's outline on
 * the pipe laid flat.
 *
 * @param bung radius of the bung, or of its hole, m
 * @param pipe outer radius of the pipe, m
 * @param angle between the axes, radians; a right angle for a bung square to the pipe
 */
public record Cope(double bung, double pipe, double angle) {
    /** A point of a flat template, m. */
    public record Point(double x, double y) {
    }

    private static final int AROUND = 720;
    /** Least angle at which the bung meets the pipe in one piece, radians. */
    private static final double FLATTEST = Math.toRadians(25);

    public Cope {
        if (!(bung > 0 && bung < pipe)) {
            throw new Refused(Message.of("Bung of {0} on a pipe of {1}: expected smaller than the pipe",
                    Refused.length(2 * bung), Refused.length(2 * pipe)));
        }
        if (!(angle >= FLATTEST && angle <= Math.PI - FLATTEST)) {
            throw new Unusable(say("Bung at %.0f° to the pipe: expected from %.0f° to %.0f°",
                    Math.toDegrees(angle), Math.toDegrees(FLATTEST), 180 - Math.toDegrees(FLATTEST)));
        }
    }

    private double drop(double around) {
        double s = bung * Math.sin(around);
        return pipe - Math.sqrt(pipe * pipe - s * s);
    }

    /**
     * How far the bung reaches down past the pipe's crown, m: z(ψ) = r·cos ψ·cot α + (R − √(R² − r²·sin²ψ))/sin α.
     *
     * @param around angle around the bung from its upstream side, radians
     */
    public double reach(double around) {
        return bung * Math.cos(around) / Math.tan(angle) + drop(around) / Math.sin(angle);
    }

    private double farthest() {
        return IntStream.range(0, AROUND).mapToDouble(i -> reach(2 * Math.PI * i / AROUND)).max().orElseThrow();
    }

    /** Depth of the cope, m: the most that is ground away from the raw end. */
    public double depth() {
        return farthest() - IntStream.range(0, AROUND).mapToDouble(i -> reach(2 * Math.PI * i / AROUND)).min()
                .orElseThrow();
    }

    /** The curve to grind to, on a strip wrapped around the bung flush with its raw end: around, and away from the end. */
    public List<Point> wrap(int steps) {
        double end = farthest();
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            double around = 2 * Math.PI * i / steps;
            points.add(new Point(bung * around, end - reach(around)));
        }
        return List.copyOf(points);
    }

    /**
     * The outline on the pipe laid flat, closed: x around the pipe, y along it with the gas, from the point where the
     * bung's axis meets the pipe's outside. For a square bung (R·asin(r·sin ψ/R), r·cos ψ).
     */
    public List<Point> outline(int steps) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            double around = 2 * Math.PI * i / steps;
            points.add(new Point(pipe * Math.asin(bung * Math.sin(around) / pipe),
                    bung * Math.cos(around) / Math.sin(angle) - drop(around) / Math.tan(angle)));
        }
        return List.copyOf(points);
    }
}
