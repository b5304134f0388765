/**
 * Power, ground and wire: resistance, voltage shift and fuse.
 */
@NullMarked
package amberheron.core.wiring;

import org.jspecify.annotations.NullMarked;
