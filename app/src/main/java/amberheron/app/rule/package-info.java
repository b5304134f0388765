/**
 * The reading rule: one mixture on every scale of the chain.
 */
@NullMarked
package amberheron.app.rule;

import org.jspecify.annotations.NullMarked;
