/**
 * What tells the parts of a list apart, however they are moved about.
 */
@NullMarked
package amberheron.core.parts;

import org.jspecify.annotations.NullMarked;
