/**
 * The proving log: the controller's own channel against the reader's.
 */
@NullMarked
package amberheron.core.drivelog;

import org.jspecify.annotations.NullMarked;
