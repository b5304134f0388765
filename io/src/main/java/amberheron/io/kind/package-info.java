/** What a file is, told by what stands in it. */
@NullMarked
package amberheron.io.kind;

import org.jspecify.annotations.NullMarked;
