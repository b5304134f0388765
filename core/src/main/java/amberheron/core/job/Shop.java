package amberheron.core.job;

import amberheron.core.placement.PlaceSchools;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.Sane;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Catalogue and habits that a shop brings to every job.
 *
 * @param laws output laws a reader's setting may have been copied from
 * @param schools what it holds with where good installers differ
 * @param mostTrim greatest change of fuel that it gives at once, as a part, to {@link amberheron.core.trim.TrimPlan#MOST}
 * @param recalibrateMonths after how many months it wants a free-air check again, 1 or more
 * @param demo whether this is the shop that does not exist, where a simulated reading counts for a real one
 * @param today the day on which jobs are judged; null where their age does not matter
 */
public record Shop(List<OutputLaw> laws, PlaceSchools schools, double mostTrim, int recalibrateMonths, boolean demo,
        @Nullable LocalDate today) {
    /** Months between free-air checks unless the shop says otherwise; its own habit, no published source. */
    public static final int USUAL_MONTHS = 6;
    /** Greatest change of fuel at once unless the shop says otherwise, as a part; its own figure, no published source. */
    public static final double USUAL_TRIM = 0.15;

    public Shop {
        Sane.PART.check("mostTrim", mostTrim);
        laws = List.copyOf(laws);
    }

    /** Makes a shop with these laws and our schools. */
    public static Shop of(List<OutputLaw> laws) {
        return new Shop(laws, PlaceSchools.OURS, USUAL_TRIM, USUAL_MONTHS, false, null);
    }

    /** The same shop with other schools. */
    public Shop withSchools(PlaceSchools value) {
        return new Shop(laws, value, mostTrim, recalibrateMonths, demo, today);
    }

    /** The same shop on a day. */
    public Shop on(LocalDate day) {
        return new Shop(laws, schools, mostTrim, recalibrateMonths, demo, day);
    }

    /** The same shop with another time between free-air checks. */
    public Shop withRecalibrateMonths(int value) {
        return new Shop(laws, schools, mostTrim, value, demo, today);
    }

    /** The same shop with another greatest change of fuel at once. */
    public Shop withMostTrim(double value) {
        return new Shop(laws, schools, value, recalibrateMonths, demo, today);
    }
}
