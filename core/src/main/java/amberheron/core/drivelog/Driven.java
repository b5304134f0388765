package amberheron.core.drivelog;

import amberheron.core.finding.Verdict;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * All stretches in which the engine was run in one way, taken together.
 *
 * @param seconds in all
 * @param lambda what the controller showed, each stretch by its length, λ
 * @param low least that is right there, λ; null where what is shown says nothing
 * @param high most that is right there; null with it
 * @param stretches how many
 * @param off how many of them are not as they should be
 * @param worst of their verdicts
 */
public record Driven(double seconds, double lambda, @Nullable Double low, @Nullable Double high, int stretches, int off,
        Verdict worst) {
    /** Sums up the stretches of one kind; empty where there is none. */
    static Optional<Driven> of(List<Regime> regimes, Regime.Kind kind) {
        List<Regime> all = regimes.stream().filter(r -> r.kind() == kind).toList();
        if (all.isEmpty()) {
            return Optional.empty();
        }
        double seconds = all.stream().mapToDouble(Regime::seconds).sum();
        Regime first = all.getFirst();
        List<Verdict> verdicts = all.stream().map(Regime::verdict).toList();
        return Optional.of(new Driven(seconds,
                all.stream().mapToDouble(r -> r.lambda() * r.seconds()).sum() / seconds, first.low(), first.high(),
                all.size(), (int) verdicts.stream().filter(v -> v == Verdict.FAIL || v == Verdict.WARN).count(),
                Objects.requireNonNull(Verdict.worst(verdicts))));
    }
}
