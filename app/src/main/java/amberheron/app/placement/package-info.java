/**
 * The Place station.
 */
@NullMarked
package amberheron.app.placement;

import org.jspecify.annotations.NullMarked;
