package amberheron.core.drivelog;

import amberheron.core.drivelog.DriveEvent.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Finds the events of a drive in the rows themselves, without smoothing. */
final class Events {
    /** Shortest lean stretch that is an event, s. */
    private static final double LASTS = 0.25;
    /** Break in a lean stretch that is noise, s. */
    static final double GAP = 0.1;
    private static final double LOST = 0.5;
    /** Distance from what is expected at which an end of the reader is no reading, λ. */
    private static final double FAR = 0.1;
    /** Excess over the right idle mixture that an air leak shows, λ. */
    private static final double LEAKS = 0.04;
    private static final double STANDARD = 101_325;

    private final Drive drive;
    private final List<Regime> regimes;
    private final boolean[] lost;

    /**
     * Prepares the search in one drive.
     *
     * @param lost of each row, as {@link #lost(Drive, float[], EngineAsked)} says
     */
    Events(Drive drive, List<Regime> regimes, boolean[] lost) {
        this.drive = drive;
        this.regimes = regimes;
        this.lost = lost;
    }

    List<DriveEvent> find(BurntMixture burnt, Openings openings) {
        List<DriveEvent> found = new ArrayList<>(openings.lean());
        boolean[] lean = burnt.tooLean();
        for (Regime regime : regimes) {
            if (regime.kind() == Regime.Kind.FULL_LOAD || regime.kind() == Regime.Kind.ACCELERATION) {
                lean(regime, lean, found);
            }
        }
        if (burnt.bands().leanHarms()) {
            // One that idles lean by design shows no leak by it.
            leak().ifPresent(found::add);
        }
        lost(found);
        found.sort(Comparator.comparingDouble(DriveEvent::from));
        return List.copyOf(found);
    }

    private void lean(Regime regime, boolean[] lean, List<DriveEvent> found) {
        double[] t = drive.time();
        int i = first(regime.from());
        while (i < t.length && t[i] <= regime.to()) {
            int from = i;
            double worst = 0;
            int last = i;
            while (i < t.length && t[i] <= regime.to() && (lean[i] || t[i] - t[last] < GAP) && lean[from]) {
                worst = Math.max(worst, drive.controller()[i]);
                last = lean[i] ? i : last;
                i++;
            }
            if (lean[from] && t[last] - t[from] >= LASTS) {
                found.add(new DriveEvent(Kind.LEAN, t[from], t[last], worst, load(from, last + 1)));
            }
            i = Math.max(i, from + 1);
        }
    }

    private int first(double time) {
        int at = Arrays.binarySearch(drive.time(), time);
        return at < 0 ? -at - 1 : at;
    }

    private @Nullable Double load(int from, int to) {
        float[] throttle = drive.throttle();
        float[] pressure = drive.pressure();
        double most = Double.NaN;
        for (int i = from; i < to; i++) {
            double now = throttle != null ? throttle[i] : pressure != null ? pressure[i] / STANDARD : Double.NaN;
            most = Double.isNaN(most) || now > most ? now : most;
        }
        return Double.isNaN(most) ? null : Double.valueOf(most);
    }

    /**
     * Finds an air leak: idle too lean while full load is right, since a leak is a large part of an idle's gas and a small
     * part of a pull's.
     */
    private Optional<DriveEvent> leak() {
        List<Regime> idle = regimes.stream().filter(r -> r.kind() == Regime.Kind.IDLE).toList();
        double idles = Driven.of(regimes, Regime.Kind.IDLE).map(Driven::lambda).orElse(Double.NaN);
        double runs = Driven.of(regimes, Regime.Kind.CRUISE).map(Driven::lambda).orElse(1.0);
        return idles >= 1 + LEAKS && runs - 1 <= (idles - 1) / 2
                ? Optional.of(new DriveEvent(Kind.LEAK, idle.getFirst().from(), idle.getLast().to(), idles, null))
                : Optional.empty();
    }

    private void lost(List<DriveEvent> found) {
        double[] t = drive.time();
        int i = 0;
        while (i < t.length) {
            int from = i;
            while (i < t.length && lost[i]) {
                i++;
            }
            if (i > from && t[i - 1] - t[from] >= LOST) {
                found.add(new DriveEvent(Kind.LOST_SIGNAL, t[from], t[i - 1], drive.controller()[from], null));
            }
            i = Math.max(i, from + 1);
        }
    }

    /**
     * Returns for each row whether the reader's signal is lost: it shows nothing, or an end of its range, while the
     * controller shows a mixture far from that.
     *
     * @param expected what the controller showed, as late and as averaged as the reader shows it
     */
    static boolean[] lost(Drive drive, float[] expected, EngineAsked asked) {
        boolean[] lost = new boolean[drive.size()];
        for (int i = 0; i < lost.length; i++) {
            lost[i] = isLost(drive, expected, asked, i);
        }
        return lost;
    }

    private static boolean isLost(Drive drive, float[] expected, EngineAsked asked, int i) {
        float told = expected[i];
        float shown = drive.reader()[i];
        if (Float.isNaN(told) || told <= asked.railLow() || told >= asked.railHigh()) {
            return false;
        }
        if (Float.isNaN(shown)) {
            // Channels of different rates leave holes; only what stays away is lost.
            return missing(drive, i);
        }
        return asked.atAnEnd(shown) && far(expected, shown, i - 1) && far(expected, shown, i)
                && far(expected, shown, i + 1);
    }

    /** Returns whether what was expected at a moment is far from what is shown; true outside the log. */
    private static boolean far(float[] expected, float shown, int i) {
        return i < 0 || i >= expected.length || !(Math.abs(shown - expected[i]) <= FAR);
    }

    private static boolean missing(Drive drive, int i) {
        double[] t = drive.time();
        int a = i;
        while (a > 0 && Float.isNaN(drive.reader()[a]) && t[i] - t[a] < Drive.GAP) {
            a--;
        }
        int b = i;
        while (b < t.length - 1 && Float.isNaN(drive.reader()[b]) && t[b] - t[i] < Drive.GAP) {
            b++;
        }
        return t[b] - t[a] >= LOST;
    }
}
