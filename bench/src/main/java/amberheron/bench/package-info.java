/**
 * Instruments behind small interfaces, and simulated stand-ins for them.
 */
@NullMarked
package amberheron.bench;

import org.jspecify.annotations.NullMarked;
