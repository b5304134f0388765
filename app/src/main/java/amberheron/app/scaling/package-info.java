/**
 * The Scale station.
 */
@NullMarked
package amberheron.app.scaling;

import org.jspecify.annotations.NullMarked;
