/** Where it starts. */
@NullMarked
package amberheron.app;

import org.jspecify.annotations.NullMarked;
