package amberheron.core.wiring;

import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.WireEffect;
import amberheron.core.units.Sane;
import amberheron.core.wiring.Hookup.Form;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * How every reader of a job is hooked up.
 *
 * @param outputOhms resistance of the controller's analog output and its wire, Ω; null when not known
 * @param hookups one for each reader that was looked at
 */
public record Signals(@Nullable Double outputOhms, List<Hookup> hookups) {
    /** Nothing decided. */
    public static final Signals NONE = new Signals(null, List.of());

    public Signals {
        Sane.RESISTANCE.check("outputOhms", outputOhms);
        hookups = List.copyOf(hookups);
    }

    /** The hook-up of a reader; a blank one until something is said about it. */
    public Hookup of(ReaderKind reader) {
        return hookups.stream().filter(h -> h.reader() == reader).findFirst().orElse(Hookup.of(reader));
    }

    /** Whether a shift between the grounds reaches a reader: not where numbers, or a difference of volts, get there. */
    public boolean feelGround(Set<ReaderKind> readers) {
        return readers.isEmpty() || readers.stream().filter(ReaderKind::wired).map(r -> of(r).form())
                .anyMatch(f -> f == null || f == Form.SINGLE_ENDED || f == Form.NARROWBAND);
    }

    /** The reader that the law is scaled for: the first that gets wideband volts; empty where none does. */
    public Optional<Hookup> scaled(Set<ReaderKind> readers) {
        return readers.stream().sorted(Comparator.comparing(r -> r == ReaderKind.GAUGE)).map(this::of)
                .filter(h -> h.form() == Form.SINGLE_ENDED || h.form() == Form.DIFFERENTIAL).findFirst();
    }

    /** Effect of the scaled reader's input on the volts; {@link WireEffect#NONE} while it is not known. */
    public WireEffect loading(Set<ReaderKind> readers) {
        return scaled(readers).filter(h -> outputOhms != null)
                .flatMap(h -> h.loading(Objects.requireNonNull(outputOhms)))
                .orElse(WireEffect.NONE);
    }

    public Signals withOutputOhms(@Nullable Double value) {
        return new Signals(value, hookups);
    }

    /** Changes the hook-up of a reader. */
    public Signals with(ReaderKind reader, UnaryOperator<Hookup> change) {
        List<Hookup> more = new ArrayList<>(hookups);
        more.removeIf(h -> h.reader() == reader);
        more.add(change.apply(of(reader)));
        return new Signals(outputOhms, more);
    }
}
