/**
 * The whole job as one immutable document, and the state of each link of its signal path.
 */
@NullMarked
package amberheron.core.job;

import org.jspecify.annotations.NullMarked;
