/**
 * The Prove station.
 */
@NullMarked
package amberheron.app.drivelog;

import org.jspecify.annotations.NullMarked;
