package amberheron.core.controller;

import org.jspecify.annotations.Nullable;

/**
 * One line of what a controller sends; what a line does not say is null.
 *
 * @param seconds by the controller's own clock
 * @param state what it says that it does
 * @param lambda mixture shown
 * @param oxygen oxygen shown, mole fraction
 * @param volts at its analog output
 * @param supply at its supply, V
 */
public record Report(@Nullable Double seconds, @Nullable State state, @Nullable Double lambda, @Nullable Double oxygen,
        @Nullable Double volts, @Nullable Double supply) {
}
