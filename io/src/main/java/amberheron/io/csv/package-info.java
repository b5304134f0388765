/**
 * Check points and proving logs as CSV.
 */
@NullMarked
package amberheron.io.csv;

import org.jspecify.annotations.NullMarked;
