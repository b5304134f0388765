/**
 * Find or do: every job, station, action and setting by typing.
 */
@NullMarked
package amberheron.app.palette;

import org.jspecify.annotations.NullMarked;
