package amberheron.core.plan;

import amberheron.core.units.Measure;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One step of the job.
 *
 * @param id stable name
 * @param title what to do
 * @param after ids of the steps it waits on
 * @param minutes what people quote for it, common practice, no published source
 * @param reason why it waits, or why it is done; may be empty
 * @param span a figure to hold to while doing it; null when there is none
 */
public record Step(String id, String title, List<String> after, int minutes, String reason, @Nullable Span span) {
    /** From one measure to another of the same dimension. */
    public record Span(Measure from, Measure to) {
    }

    public Step {
        after = List.copyOf(after);
    }
}
