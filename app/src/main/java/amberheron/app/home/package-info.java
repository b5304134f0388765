/** The folder of whoever uses it, with the log. */
@NullMarked
package amberheron.app.home;

import org.jspecify.annotations.NullMarked;
