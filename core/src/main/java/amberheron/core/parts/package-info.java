/**
 * What tells the parts of a list apart, however they are moved about, and the address of a value in a job.
 */
@NullMarked
package amberheron.core.parts;

import org.jspecify.annotations.NullMarked;
