/**
 * The free-air check: how much oxygen today's air holds and what an error in it costs.
 */
@NullMarked
package amberheron.core.freeair;

import org.jspecify.annotations.NullMarked;
