/**
 * The window: job band, signal path, reasons, list of jobs, and the middle that the stations fill.
 */
@NullMarked
package amberheron.app.shell;

import org.jspecify.annotations.NullMarked;
