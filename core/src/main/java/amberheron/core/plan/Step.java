package amberheron.core.plan;

import java.util.List;

/**
 * One step of the job.
 *
 * @param id stable name
 * @param title what to do
 * @param after ids of the steps it waits on
 * @param minutes what people quote for it, common practice, no published source
 * @param reason why it waits, or why it is done; may be empty
 */
public record Step(String id, String title, List<String> after, int minutes, String reason) {
    public Step {
        after = List.copyOf(after);
    }
}
