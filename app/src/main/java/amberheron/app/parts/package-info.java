/**
 * The parts that every station's screen is put together from.
 */
@NullMarked
package amberheron.app.parts;

import org.jspecify.annotations.NullMarked;
