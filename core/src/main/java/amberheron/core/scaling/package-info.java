/**
 * The controller's output law, the reader's setting, the error between them and the cause of it.
 */
@NullMarked
package amberheron.core.scaling;

import org.jspecify.annotations.NullMarked;
