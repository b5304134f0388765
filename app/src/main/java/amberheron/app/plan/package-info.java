/**
 * The Plan station.
 */
@NullMarked
package amberheron.app.plan;

import org.jspecify.annotations.NullMarked;
