package amberheron.core.drivelog;

import java.util.List;

/** When a mixture says nothing: in the stretches that do not, on the way into them and out of them. Quick for times that rise. */
public final class Silence {
    /** So long before and after such a stretch the mixture is on its way, s. */
    private static final double BEFORE = 0.6;
    private static final double AFTER = 1;

    private final List<Span> spans;
    private int next;

    /** From and to, s of the log. */
    public record Span(double from, double to) {
    }

    /** Of the stretches of a drive, in the order driven. */
    public Silence(List<Regime> regimes) {
        spans = regimes.stream().filter(r -> !r.kind().says()).map(r -> new Span(r.from() - BEFORE, r.to() + AFTER))
                .toList();
    }

    /** Every one, with the way in and out. */
    public List<Span> spans() {
        return spans;
    }

    /** Whether a moment is in one. */
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
