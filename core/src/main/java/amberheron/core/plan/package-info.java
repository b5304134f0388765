/**
 * The ordered steps of a fit and what each waits on.
 */
@NullMarked
package amberheron.core.plan;

import org.jspecify.annotations.NullMarked;
