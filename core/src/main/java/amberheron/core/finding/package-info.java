/**
 * Result of a check: a figure against its limit, what it does to the reading, and where the limit comes from.
 */
@NullMarked
package amberheron.core.finding;

import org.jspecify.annotations.NullMarked;
