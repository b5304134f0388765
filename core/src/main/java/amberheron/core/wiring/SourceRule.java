package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;
import static amberheron.core.wiring.PowerRules.volts;

import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Verdict;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Judges what a source gives in one state of the key.
 *
 * @param relay whether it only works a relay at the battery
 */
record SourceRule(PowerSource source, KeyState state, Electrics system, boolean relay) {
    Finding judge() {
        Double volts = source.at(state).orElse(null);
        if (volts == null || (compared() && running() == null)) {
            return unread(volts);
        }
        double most = PowerSource.MOST * system.part();
        if (volts > most) {
            return finding(Verdict.FAIL, volts, new Limit(AT_MOST, volts(most, 1)),
                    system.part() == 1
                            ? "More than a controller stands: it destroys it. Mend the regulator first. If this is a vehicle of 24 V, say so at Intake."
                            : "Too much even for this system: mend the regulator first.");
        }
        return SourceDoubt.of(source, state, volts, system).map(d -> finding(Verdict.WARN, volts, d.limit(), d.says()))
                .orElseGet(() -> against(volts));
    }

    private @Nullable Double running() {
        return source.at(KeyState.RUNNING).orElse(null);
    }

    /** Whether the reading is compared with the one of the running engine. */
    private boolean compared() {
        return state == KeyState.LAMPS || state == KeyState.INDICATORS;
    }

    private Limit limit() {
        Double running = running();
        double part = system.part();
        return switch (state) {
            case OFF, ACCESSORY -> new Limit(AT_MOST, volts(PowerSource.DEAD, 1));
            case ON -> new Limit(AT_LEAST, volts(PowerSource.WEAK * part, 1));
            case CRANKING -> new Limit(AT_LEAST, volts(PowerSource.CRANKING * part, 1));
            case RUNNING -> new Limit(AT_LEAST, volts(PowerSource.WEAK_RUNNING * part, 1));
            case LAMPS, INDICATORS -> new Limit(AT_LEAST,
                    volts((running == null ? PowerSource.WEAK_RUNNING * part : running)
                            - PowerSource.DISTURBED * part, 1));
        };
    }

    private Finding unread(@Nullable Double volts) {
        KeyState missing = volts == null ? state : KeyState.RUNNING;
        return finding(Verdict.UNKNOWN, volts, limit(),
                Message.of("Measure: {0}.", Message.plain(missing.words())));
    }

    private Finding against(double volts) {
        Double running = running();
        boolean kept = (compared() && running != null)
                ? Math.abs(volts - running) <= PowerSource.DISTURBED * system.part()
                : limit().keptBy(volts);
        Behaviour shown = switch (state) {
            case OFF -> Behaviour.CONSTANT;
            case ACCESSORY -> Behaviour.ACCESSORY_TOO;
            case ON -> volts <= PowerSource.DEAD ? Behaviour.DEAD : Behaviour.WEAK;
            case CRANKING -> PowerSource.cranked(volts, system).orElse(Behaviour.SWITCHED);
            case RUNNING -> Behaviour.WEAK;
            case LAMPS, INDICATORS -> Behaviour.DISTURBED;
        };
        Verdict verdict = kept ? Verdict.PASS : PowerRules.verdict(shown, relay);
        return finding(verdict, volts, limit(), kept
                ? "As it should be."
                : relay && verdict == Verdict.PASS
                        ? "The relay feeds from the battery; this one only has to hold its coil."
                        : state == KeyState.RUNNING
                                ? "Too little while it runs. If the battery's posts show the same, mend the charging first; a relay helps only where the volts are lost in the wire."
                                : PowerRules.remedy(shown));
    }

    private Finding finding(Verdict verdict, double volts, Limit limit, String says) {
        return finding(verdict, volts, limit, Message.plain(says));
    }

    private Finding finding(Verdict verdict, @Nullable Double volts, Limit limit, Message says) {
        boolean alone = volts != null && compared() && running() == null;
        return new Finding(Check.of(state), Message.of("Source, {0}", Message.plain(state.words())), verdict,
                volts == null ? null : volts(volts, 1), limit, says, null,
                compared()
                        ? Message.of("within {0} of the reading with the engine running",
                                volts(PowerSource.DISTURBED * system.part(), 1))
                        : Message.plain("read with a meter at the source, load connected"),
                volts != null && volts > PowerSource.MOST ? PowerRules.DESTROYED : PowerRules.STATES,
                List.of(source.id().isEmpty()
                        ? WireField.SOURCES.address()
                        : (alone ? KeyState.RUNNING : state).of(source.id())));
    }
}
