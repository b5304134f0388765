/** Every wire of a fit: the conductor chart, the strip it makes, its joints, and the way the cable takes. */
@NullMarked
package amberheron.core.harness;

import org.jspecify.annotations.NullMarked;
