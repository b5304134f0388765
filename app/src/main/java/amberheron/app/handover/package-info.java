/**
 * The Hand over station.
 */
@NullMarked
package amberheron.app.handover;

import org.jspecify.annotations.NullMarked;
