/** The window: how it is opened, and the stations that it is made of. */
@NullMarked
package amberheron.app.desktop;

import org.jspecify.annotations.NullMarked;
