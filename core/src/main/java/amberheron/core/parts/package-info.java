/**
 * Ids of the parts of a list, and the address of a value in a job.
 */
@NullMarked
package amberheron.core.parts;

import org.jspecify.annotations.NullMarked;
