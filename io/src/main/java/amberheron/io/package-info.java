/**
 * Open formats and the job book: everything that is read from or written to a disk.
 */
@NullMarked
package amberheron.io;

import org.jspecify.annotations.NullMarked;
