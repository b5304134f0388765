/**
 * Where on the exhaust the sensor goes, and what each place does to the reading.
 */
@NullMarked
package amberheron.core.placement;

import org.jspecify.annotations.NullMarked;
