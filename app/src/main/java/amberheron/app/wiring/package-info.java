/**
 * The Wire station.
 */
@NullMarked
package amberheron.app.wiring;

import org.jspecify.annotations.NullMarked;
