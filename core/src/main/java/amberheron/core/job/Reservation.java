package amberheron.core.job;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import java.util.Comparator;

/**
 * A warning that nobody has resolved, at a link that is proven otherwise.
 *
 * @param station the link
 * @param finding the warning
 */
public record Reservation(Station station, Finding finding) {
    /** The one that puts the greatest error on the reading first; of equals, the link that is nearer the gas. */
    static final Comparator<Reservation> WORST_FIRST = Comparator.comparingDouble(Reservation::cost).reversed()
            .thenComparing(Reservation::station);

    private double cost() {
        Double cost = finding.lambdaCost();
        return cost == null ? 0 : Math.abs(cost);
    }

    /** Returns the link, what is warned of and what it means. */
    public Message text() {
        return Message.of("{0}, {1}: {2}", Message.plain(station.title()), finding.subject(), finding.consequence());
    }
}
