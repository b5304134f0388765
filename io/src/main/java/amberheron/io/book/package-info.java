/**
 * The job book: one database file that keeps every job.
 */
@NullMarked
package amberheron.io.book;

import org.jspecify.annotations.NullMarked;
