package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_MOST;
import static amberheron.core.wiring.PowerRules.volts;

import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Doubt about a reading that hardly any vehicle gives beside the other readings of the same source.
 *
 * @param limit that it passes
 * @param says why, and what to do
 */
record SourceDoubt(Limit limit, Message says) {
    /** States that a sound supply holds at the same volts. */
    private static final Set<KeyState> CHARGED = EnumSet.of(KeyState.RUNNING, KeyState.LAMPS, KeyState.INDICATORS);
    /** Half the last digit that is kept, V. */
    private static final double SAME = 0.005;
    /** What a meter of one decimal shows in steps of, V. */
    private static final double COARSE = 0.1;

    /** Doubts whether the engine stood or ran as is said: a standing engine charges nothing, and a starter only takes. */
    static Optional<SourceDoubt> of(PowerSource source, KeyState state, double volts, Electrics system) {
        Double on = source.at(KeyState.ON).orElse(null);
        Double running = source.at(KeyState.RUNNING).orElse(null);
        if (state == KeyState.CRANKING && on != null && volts > on) {
            return above(on, "More than with the key on, while a starter only takes: read both again.");
        }
        double most = PowerSource.STANDING * system.part();
        if ((state == KeyState.ON || state == KeyState.CRANKING) && volts > most) {
            return above(most,
                    "More than a battery at rest: a charger is on, or the engine ran. Read it again as it will stand.");
        }
        return state == KeyState.ACCESSORY && running != null && volts > running
                ? above(running, "More than with the engine running: read both again.")
                : Optional.empty();
    }

    private static Optional<SourceDoubt> above(double most, String says) {
        return Optional.of(new SourceDoubt(new Limit(AT_MOST, volts(most, 1)), Message.plain(says)));
    }

    /**
     * Question to ask before a reading is kept; empty where nothing speaks against it. It may be the reading, or one beside
     * it that it does not agree with. Two live states that read the same to the last digit are asked about too: a meter moves
     * by more than that, unless it holds, or one was written down twice.
     */
    static Optional<Message> question(PowerSource source, KeyState state, double volts, Electrics system) {
        PowerSource then = source.withReading(state, volts, Origin.UNRECORDED);
        return of(source, state, volts, system).map(SourceDoubt::says)
                .or(() -> others(source, state).flatMap(s -> fresh(source, then, s, system).stream()).findFirst())
                .or(() -> others(source, state).filter(s -> same(source.at(s).orElse(null), s, state, volts))
                        .findFirst()
                        .map(s -> Message.of("The same to the last digit as {0}: read both again.",
                                Message.plain(s.words()))));
    }

    private static Stream<KeyState> others(PowerSource source, KeyState state) {
        return source.volts().keySet().stream().filter(s -> s != state);
    }

    /** The doubt about a reading that another reading raises. */
    private static Optional<Message> fresh(PowerSource source, PowerSource then, KeyState state, Electrics system) {
        double volts = then.at(state).orElseThrow();
        return of(source, state, volts, system).isPresent()
                ? Optional.empty()
                : of(then, state, volts, system)
                        .map(d -> Message.of("{0}: {1}", Message.plain(state.words()), d.says()));
    }

    private static boolean same(@Nullable Double other, KeyState its, KeyState state, double volts) {
        boolean coarse = Math.abs(volts - COARSE * Math.round(volts / COARSE)) < SAME;
        return other != null && volts > PowerSource.DEAD && Math.abs(volts - other) < SAME
                && !(coarse && CHARGED.contains(its) && CHARGED.contains(state));
    }
}
