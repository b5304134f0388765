package amberheron.core.wiring;

import amberheron.core.units.Sane;

import amberheron.core.plan.Intake.ReaderKind;
import java.util.ArrayList;
import java.util.List;
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
