package amberheron.core.controller;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Source;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Behaviour of a controller in free air, from its maker's paper.
 *
 * @param id catalogue id
 * @param name what the shop calls it
 * @param school how it is calibrated
 * @param warmUp the longest that a sensor in order takes to be ready, s
 * @param placeholder the mixture it shows before it is ready, lambda; null when it shows none
 * @param inAir what it shows in free air when all is well
 * @param signs how it says what it does, in its own words
 * @param laws ids of the output laws it has
 * @param source where all this comes from
 */
public record ControllerSheet(String id, String name, CalibrationSchool school, double warmUp,
        @Nullable Double placeholder,
        InAir inAir, List<Sign> signs, List<String> laws, Source source) {
    private static final double LONGEST_WARM_UP = 900;
    /** Distance below which a number shown cannot be told from the placeholder, λ. */
    private static final double PLACEHOLDER_DIGIT = 0.0005;

    public ControllerSheet {
        signs = List.copyOf(signs);
        laws = List.copyOf(laws);
        if (!(warmUp >= 1 && warmUp <= LONGEST_WARM_UP)) {
            throw new Unusable(say("warmUp: found %s, expected 1 to 900 s", warmUp));
        }
        Sane.MIXTURE.check("placeholder", placeholder);
        if (school.learns() && inAir.kind() == InAir.Kind.OF_THE_DAY) {
            throw new Unusable(
                    say("inAir: found “of-the-day”, expected “learned” or “top”: a controller that is "
                            + "taught in air shows its own idea of air"));
        }
        if (!school.learns() && inAir.kind() == InAir.Kind.LEARNED) {
            throw new Unusable(
                    say("inAir: found “learned”, expected “of-the-day” or “top”: one trimmed at the "
                            + "factory is taught nothing in air"));
        }
    }

    /**
     * How a state is told.
     *
     * @param seen what lamp or display does, in the controller's own words
     * @param state what that means
     */
    public record Sign(String seen, State state) {
    }

    /** Sign seen in a state; empty where its paper does not say. */
    public Optional<String> seen(State state) {
        return signs.stream().filter(s -> s.state() == state).map(Sign::seen).findFirst();
    }

    /** Whether a mixture shown is the placeholder and so no measurement. */
    public boolean placeholds(double lambda) {
        return placeholder != null && Math.abs(lambda - placeholder) < PLACEHOLDER_DIGIT;
    }
}
