/**
 * Settings of display and ECU besides the law: alarms, bands, engine-speed pulses, filter, dimmer.
 */
@NullMarked
package amberheron.core.display;

import org.jspecify.annotations.NullMarked;
