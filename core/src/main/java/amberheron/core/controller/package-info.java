/**
 * Behaviour of a wideband controller, as data: how it is calibrated, what it shows and how it says what is wrong, and the form
 * of what it sends.
 */
@NullMarked
package amberheron.core.controller;

import org.jspecify.annotations.NullMarked;
