package amberheron.core.drivelog;

import amberheron.core.drivelog.Regime.Kind;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Findings of a drive: how reader and controller agree, how the engine was run, and what has to be acted on.
 *
 * @param agreement null where too little could be compared
 * @param lost rows in which the reader showed nothing while the controller did
 * @param frozen rows in which it stood still while the controller moved
 * @param openings how often the throttle was opened out of steady cruise; null where the log or a document does not say
 * @param regimes in the order driven
 * @param notTold ways of running that the log cannot tell
 * @param events in the order they came
 * @param columns what the log's columns were taken for
 * @param held how long it was at the mixtures that matter; null in a document that does not say
 * @param crossings what the controller showed as the stock narrowband stepped; null where that cannot be told
 * @param fuelling what it says of the fuelling; null where speed or load was not logged
 * @param joined the second log it was put together with; null for one log
 */
public record DriveFound(@Nullable Agreement agreement, int lost, int frozen, @Nullable Integer openings,
        List<Regime> regimes, Set<Kind> notTold,
        List<DriveEvent> events, List<Column> columns, @Nullable Held held, @Nullable Crossings crossings,
        @Nullable Fuelling fuelling, @Nullable Joined joined) {
    private static final double STUCK = 2;
    /** Time at the ends of a stretch in which it may yet have moved, s. */
    private static final double EDGE = 0.3;
    private static final double MOVED = 0.006;

    /**
     * The channel that a column was taken for.
     *
     * @param name its header
     * @param quantity what its numbers are
     * @param because why
     */
    public record Column(LogChannel channel, String name, String quantity, String because) {
        static Column of(ColumnUse use) {
            return new Column(use.channel(), use.name(), use.quantity(), use.because());
        }
    }

    public DriveFound {
        columns = List.copyOf(columns);
        regimes = List.copyOf(regimes);
        notTold = notTold.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(notTold));
        events = List.copyOf(events);
    }

    /** Judges a drive, given the columns it was read from. */
    public static DriveFound of(Drive drive, EngineAsked asked, List<ColumnUse> columns) {
        return in(drive, asked, columns, null).found();
    }

    /**
     * Findings with the drive that they rest on.
     *
     * @param drive with the reader's lag taken out
     * @param compared the controller averaged as the reader does, the reader's delay taken out, without what says nothing
     */
    public record In(DriveFound found, Drive drive, Drive compared) {
    }

    /**
     * Judges a drive and returns the drive with what was found.
     *
     * @param joined the second log that is in the drive; null for one log
     */
    public static In in(Drive drive, EngineAsked asked, List<ColumnUse> columns, @Nullable Joined joined) {
        List<Regime> regimes = new Regimes(drive, asked).find();
        boolean[] lost = Events.lost(drive, drive.controller(), asked);
        Agreement.Found told = Agreement.of(compared(drive, lost, regimes, asked), asked.railLow(), asked.railHigh(),
                joined == null || joined.clocks().tellsLag(), asked.filter());
        Agreement agreement = told == null ? null : told.agreement();
        Double lag = agreement == null ? null : agreement.lag();
        Drive prompt = lag == null
                ? drive
                : Drive.of(drive.time(), drive.controller(), OnClock.later(drive.time(), drive.reader(), lag));
        Drive alike = drive;
        float[] expected = drive.controller();
        boolean[] missing = lost;
        boolean[] silent = lost;
        if (told != null && lag != null) {
            float[] averaged = told.response().averaged(drive);
            alike = told.response().alike(drive, averaged);
            expected = told.response().expected(drive.time(), averaged);
            missing = Events.lost(drive, expected, asked);
            silent = Events.lost(alike, alike.controller(), asked);
        }
        Drive compared = compared(alike, silent, regimes, asked);
        Drive rows = drive.withLoadOnEachRow();
        BurntMixture burnt = new BurntMixture(rows, asked, regimes);
        Openings openings = Openings.of(rows, burnt);
        return new In(new DriveFound(agreement, count(missing),
                frozen(drive, expected, asked), openings.count(), regimes, Regimes.notTold(drive),
                new Events(rows, regimes, missing).find(burnt, openings),
                columns.stream().map(Column::of).toList(),
                Held.of(compared, asked), Crossings.of(drive, regimes), Fuelling.of(drive, asked, regimes, missing),
                joined),
                prompt, compared);
    }

    private static int count(boolean[] rows) {
        int count = 0;
        for (boolean row : rows) {
            count += row ? 1 : 0;
        }
        return count;
    }

    /**
     * Leaves out the rows in which the mixture says nothing of the agreement: a cold engine, fuel cut with its beginning
     * and end, a lost signal, a reader at an end of what it can show.
     */
    private static Drive compared(Drive drive, boolean[] lost, List<Regime> regimes, EngineAsked asked) {
        float[] reader = drive.reader().clone();
        Silence silence = new Silence(regimes);
        for (int i = 0; i < reader.length; i++) {
            if (lost[i] || silence.at(drive.time()[i]) || asked.atAnEnd(reader[i])) {
                reader[i] = Float.NaN;
            }
        }
        return Drive.of(drive.time(), drive.controller(), reader);
    }

    /**
     * Counts the rows in which the reader stood still while what it should have shown moved by more than its last digit; at
     * an end of what it can show it may stand.
     */
    private static int frozen(Drive drive, float[] expected, EngineAsked asked) {
        int frozen = 0;
        int from = 0;
        double[] t = drive.time();
        float[] shown = drive.reader();
        double moved = MOVED + 2 * digit(shown);
        for (int i = 1; i <= t.length; i++) {
            if (i == t.length || shown[i] != shown[from]) {
                if (!asked.atAnEnd(shown[from]) && t[i - 1] - t[from] >= STUCK) {
                    float low = Float.POSITIVE_INFINITY;
                    float high = Float.NEGATIVE_INFINITY;
                    for (int k = from; k < i; k++) {
                        if (t[k] < t[from] + EDGE || t[k] > t[i - 1] - EDGE) {
                            continue;
                        }
                        low = Math.min(low, Float.isNaN(expected[k]) ? low : expected[k]);
                        high = Math.max(high, Float.isNaN(expected[k]) ? high : expected[k]);
                    }
                    frozen += high - low > moved ? i - from : 0;
                }
                from = i;
            }
        }
        return frozen;
    }

    /** Returns the least change of a channel from one row to the next, λ: the last digit of what is shown. */
    static double digit(float[] shown) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < shown.length; i++) {
            double change = Math.abs(shown[i] - shown[i - 1]);
            least = change > 1e-5 && change < least ? change : least;
        }
        return Double.isInfinite(least) ? 0 : least;
    }

    /** Returns all stretches of one way of running taken together; empty where the engine was not run so. */
    public Optional<Driven> driven(Kind kind) {
        return Driven.of(regimes, kind);
    }

    /** Returns the time in one way of running, s. */
    public double seconds(Kind kind) {
        return driven(kind).map(Driven::seconds).orElse(0.0);
    }

    /** Returns the stretches in which the mixture says nothing. */
    public Silence silence() {
        return new Silence(regimes);
    }

    /** Returns the events of one kind. */
    public List<DriveEvent> events(DriveEvent.Kind kind) {
        return events.stream().filter(e -> e.kind() == kind).toList();
    }
}
