package amberheron.core.drivelog;

import java.util.List;

/**
 * The stretches of a drive in which the mixture says nothing, with the way in and out of each. Queries are quick when their
 * times rise.
 */
public final class Silence {
    /** Time before and after such a stretch in which the mixture is on its way, s. */
    private static final double BEFORE = 0.6;
    private static final double AFTER = 1;

    private final List<Span> spans;
    private int next;

    /** A span of time, s of the log. */
    public record Span(double from, double to) {
    }

    /** Takes the stretches of a drive in the order driven. */
    public Silence(List<Regime> regimes) {
        spans = regimes.stream().filter(r -> !r.kind().says()).map(r -> new Span(r.from() - BEFORE, r.to() + AFTER))
                .toList();
    }

    /** Returns every span, with the way in and out. */
    public List<Span> spans() {
        return spans;
    }

    /** Returns whether a moment lies in a span. */
    public boolean at(double time) {
        if (next > 0 && time <= spans.get(next - 1).to()) {
            // Back in time: looked for from the beginning.
            next = 0;
        }
        while (next < spans.size() && spans.get(next).to() < time) {
            next++;
        }
        return next < spans.size() && time >= spans.get(next).from();
    }
}
