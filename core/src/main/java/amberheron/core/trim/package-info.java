/** Fuel trims: what a drive says of each bin of speed and load, how sure that is, and what may be advised. */
@NullMarked
package amberheron.core.trim;

import org.jspecify.annotations.NullMarked;
