/**
 * The hand-over pack: the sheet as HTML and PDF, and the job as JSON.
 */
@NullMarked
package amberheron.io.pack;

import org.jspecify.annotations.NullMarked;
