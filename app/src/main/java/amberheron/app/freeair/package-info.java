/**
 * The Air station.
 */
@NullMarked
package amberheron.app.freeair;

import org.jspecify.annotations.NullMarked;
