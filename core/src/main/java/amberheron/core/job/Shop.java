package amberheron.core.job;

import amberheron.core.placement.PlaceSchools;
import amberheron.core.scaling.OutputLaw;
import java.util.List;

/**
 * What a shop brings to every job.
 *
 * @param laws output laws a reader's setting may have been copied from
 * @param schools what it holds with where good installers differ
 * @param recalibrateMonths after how many months it wants a free-air check again, 1 or more
 * @param demo whether this is the shop that does not exist, where a simulated reading counts for a real one
 */
public record Shop(List<OutputLaw> laws, PlaceSchools schools, int recalibrateMonths, boolean demo) {
    /** How often a shop repeats the free-air check unless it says otherwise; its own habit, no published source. */
    public static final int USUAL_MONTHS = 6;

    public Shop {
        laws = List.copyOf(laws);
    }

    /** A shop that knows these laws and holds with our schools. */
    public static Shop of(List<OutputLaw> laws) {
        return new Shop(laws, PlaceSchools.OURS, USUAL_MONTHS, false);
    }

    /** The same shop with other schools. */
    public Shop withSchools(PlaceSchools value) {
        return new Shop(laws, value, recalibrateMonths, demo);
    }

    /** The same shop with another time between free-air checks. */
    public Shop withRecalibrateMonths(int value) {
        return new Shop(laws, schools, value, demo);
    }
}
