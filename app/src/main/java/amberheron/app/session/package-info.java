/**
 * Session of one window: the open job with its review, units, tasks, and where the person is. Knows no toolkit.
 */
@NullMarked
package amberheron.app.session;

import org.jspecify.annotations.NullMarked;
