/**
 * Fuels, stoichiometric ratios, blends and the lambda scale.
 */
@NullMarked
package amberheron.core.mixture;

import org.jspecify.annotations.NullMarked;
