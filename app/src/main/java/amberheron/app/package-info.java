/**
 * The desktop and the command line.
 */
@NullMarked
package amberheron.app;

import org.jspecify.annotations.NullMarked;
