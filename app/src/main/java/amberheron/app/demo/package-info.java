/**
 * The demo book of an invented shop.
 */
@NullMarked
package amberheron.app.demo;

import org.jspecify.annotations.NullMarked;
