/**
 * Fuels, output laws, readers and wire as data files a shop can extend.
 */
@NullMarked
package amberheron.io.catalogue;

import org.jspecify.annotations.NullMarked;
