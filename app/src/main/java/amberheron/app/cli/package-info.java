/**
 * The command line.
 */
@NullMarked
package amberheron.app.cli;

import org.jspecify.annotations.NullMarked;
