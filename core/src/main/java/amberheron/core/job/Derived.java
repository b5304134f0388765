package amberheron.core.job;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A result with the inputs that it follows from. A later review of a changed job takes it over, worked out or not, as long as
 * all inputs are equal. It is worked out when it is first asked for, and once, whichever thread asks.
 *
 * <pre>
 * wire = Derived.of(earlier.map(b -&gt; b.wire), () -&gt; WireRules.judge(wiring, installation), wiring, installation);
 * </pre>
 */
final class Derived<T> {
    private final List<@Nullable Object> inputs;
    private @Nullable Supplier<T> work;
    private @Nullable T value;

    private Derived(Supplier<T> work, List<@Nullable Object> inputs) {
        this.work = work;
        this.inputs = inputs;
    }

    /**
     * Returns the earlier result where it follows from equal inputs, else a new one.
     *
     * @param earlier of the review before; empty for none
     * @param work uses nothing of the job but the inputs
     * @param inputs all that the work uses; another result stands for all that it follows from itself
     */
    static <T> Derived<T> of(Optional<Derived<T>> earlier, Supplier<T> work, @Nullable Object... inputs) {
        List<@Nullable Object> from = Arrays.asList(inputs);
        return earlier.filter(e -> e.inputs.equals(from)).orElseGet(() -> new Derived<>(work, from));
    }

    /** Returns the result. */
    synchronized T get() {
        T known = value;
        Supplier<T> left = work;
        if (known == null) {
            if (left == null) {
                throw new IllegalStateException("worked out, but without a result");
            }
            known = left.get();
            value = known;
            work = null;
        }
        return known;
    }
}
