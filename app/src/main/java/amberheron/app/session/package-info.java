/**
 * What is open and what can be done with it: one job, its review, units, tasks, where the person is. Knows no toolkit.
 */
@NullMarked
package amberheron.app.session;

import org.jspecify.annotations.NullMarked;
