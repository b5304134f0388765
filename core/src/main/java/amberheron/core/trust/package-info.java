/** How far the number shown can be from the mixture in the pipe, from every link of the chain. */
@NullMarked
package amberheron.core.trust;

import org.jspecify.annotations.NullMarked;
