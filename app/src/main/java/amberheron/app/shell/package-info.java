/**
 * The window: job band, signal path, reasons, and the parts every station is made of.
 */
@NullMarked
package amberheron.app.shell;

import org.jspecify.annotations.NullMarked;
