/**
 * Quantities as people type them, their units, and the SI values everything else works in.
 */
@NullMarked
package amberheron.core.units;

import org.jspecify.annotations.NullMarked;
