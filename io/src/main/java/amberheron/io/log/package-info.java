/**
 * Logs of any make: their shape found out, their columns read fast into arrays.
 */
@NullMarked
package amberheron.io.log;

import org.jspecify.annotations.NullMarked;
