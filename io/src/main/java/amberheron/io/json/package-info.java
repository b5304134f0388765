/**
 * Laws, readers, fuels, jobs and results as JSON.
 */
@NullMarked
package amberheron.io.json;

import org.jspecify.annotations.NullMarked;
