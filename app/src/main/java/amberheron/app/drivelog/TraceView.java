package amberheron.app.drivelog;

import amberheron.app.session.Session;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.Traces;
import amberheron.core.job.Output;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Which part of a drive is looked at, and where in it the cursor stands: the same on every leaf. */
final class TraceView {
    /** Shortest part of a drive that is shown, s. */
    private static final double LEAST = 0.5;

    private final Session session;
    private final List<Runnable> watchers = new ArrayList<>();
    private @Nullable Traces whole;
    private String wholeOf = "";
    private @Nullable Traces thinned;
    private Output.@Nullable Proving of;
    private @Nullable Traces other;
    private String otherName = "";
    private double from = Double.NaN;
    private double to = Double.NaN;
    private double cursor = Double.NaN;

    TraceView(Session session) {
        this.session = session;
    }

    void watch(Runnable redraw) {
        watchers.add(redraw);
    }

    /** Every row of a log just read, as long as its drive is the one that is looked at. */
    void hold(String digest, Drive drive) {
        whole = Traces.of(drive);
        wholeOf = digest;
        all();
    }

    /** Another run, laid over this one from its first second. */
    void lay(String name, Drive drive) {
        // Whatever lay over an earlier drive has gone by then.
        traces();
        other = Traces.of(drive);
        otherName = name;
        tell();
    }

    /** The run that is laid over this one; null for none. */
    @Nullable
    Traces other() {
        return other;
    }

    String otherName() {
        return otherName;
    }

    /** Traces to draw: every row while they are in memory, else those that the job keeps; null without a log. */
    @Nullable
    Traces traces() {
        Output.Proving proving = session.job().proving();
        if (proving == null) {
            return null;
        }
        if (thinned == null || !proving.equals(of)) {
            // Another drive: nothing that was looked at, or laid over, belongs to it.
            of = proving;
            thinned = Traces.thinned(Drive.of(proving.result().trace()));
            other = null;
            from = Double.NaN;
            to = Double.NaN;
            cursor = Double.NaN;
        }
        return whole != null && wholeOf.equals(proving.digest()) ? whole : thinned;
    }

    double from(Traces of) {
        return Double.isNaN(from) ? of.start() : Math.max(from, of.start());
    }

    double to(Traces of) {
        return Double.isNaN(to) ? Math.max(of.end(), of.start() + 1e-9) : Math.min(to, of.end());
    }

    double cursor() {
        return cursor;
    }

    void all() {
        from = Double.NaN;
        to = Double.NaN;
        tell();
    }

    /** Shows more or less of the time about a moment. */
    void zoom(Traces of, double about, double by) {
        double span = Math.clamp((to(of) - from(of)) * by, Math.min(LEAST, of.end() - of.start()),
                of.end() - of.start());
        double part = (about - from(of)) / Math.max(1e-9, to(of) - from(of));
        place(of, about - part * span, span);
    }

    /** Moves along the time by a part of what is seen. */
    void pan(Traces of, double part) {
        double span = to(of) - from(of);
        place(of, from(of) + part * span, span);
    }

    private void place(Traces of, double start, double span) {
        from = Math.clamp(start, of.start(), Math.max(of.start(), of.end() - span));
        to = from + span;
        tell();
    }

    /** Puts the cursor at a moment: what the controller showed then stands on the rule. */
    void at(Traces of, double time) {
        int row = of.nearest(Math.clamp(time, of.start(), of.end()));
        if (row < 0) {
            return;
        }
        cursor = of.drive().time()[row];
        if (cursor < from(of) || cursor > to(of)) {
            double span = to(of) - from(of);
            place(of, cursor - span / 2, span);
        }
        session.at().cursor(of.drive().controller()[row]);
        tell();
    }

    private void tell() {
        watchers.forEach(Runnable::run);
    }
}
