package amberheron.core.finding;

import amberheron.core.parts.Address;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Findings by what to do about them.
 *
 * @param wrong what fails, as it was judged
 * @param warned what is usable at a cost, the dearest first
 * @param missing what is to be measured or said, each once, in the order of the checks
 * @param unknown what waits for something that cannot be entered here
 * @param kept what is within its limit
 */
public record Standing(List<Finding> wrong, List<Finding> warned, List<Missing> missing, List<Finding> unknown,
        List<Finding> kept) {
    /**
     * A value that is missing of one or several parts, and the checks that wait for it.
     *
     * @param values never empty; the first to be entered first
     */
    public record Missing(List<Address> values, List<Finding> waiting) {
        public Missing {
            values = List.copyOf(values);
            waiting = List.copyOf(waiting);
        }

        /** Returns the first value to be entered. */
        public Address value() {
            return values.getFirst();
        }
    }

    public Standing {
        wrong = List.copyOf(wrong);
        warned = List.copyOf(warned);
        missing = List.copyOf(missing);
        unknown = List.copyOf(unknown);
        kept = List.copyOf(kept);
    }

    /** Sorts findings. */
    public static Standing of(List<Finding> findings) {
        Map<Address, List<Finding>> waiting = new LinkedHashMap<>();
        findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN)
                .forEach(f -> f.asks().forEach(a -> waiting.computeIfAbsent(a, k -> new ArrayList<>()).add(f)));
        return new Standing(of(findings, Verdict.FAIL),
                of(findings, Verdict.WARN).stream().sorted(Comparator.comparingDouble(Standing::cost).reversed())
                        .toList(),
                grouped(waiting),
                of(findings, Verdict.UNKNOWN).stream().filter(f -> f.asks().isEmpty()).toList(),
                of(findings, Verdict.PASS));
    }

    /** Groups the same value of several parts into one line, where the same checks wait for it. */
    private static List<Missing> grouped(Map<Address, List<Finding>> waiting) {
        Map<Object, List<Address>> alike = new LinkedHashMap<>();
        waiting.forEach((address, findings) -> alike
                .computeIfAbsent(List.of(address.property(), findings), k -> new ArrayList<>()).add(address));
        return alike.values().stream().map(a -> new Missing(a, waiting.getOrDefault(a.getFirst(), List.of()))).toList();
    }

    private static List<Finding> of(List<Finding> findings, Verdict verdict) {
        return findings.stream().filter(f -> f.verdict() == verdict).toList();
    }

    private static double cost(Finding f) {
        Double cost = f.lambdaCost();
        return cost == null ? 0 : Math.abs(cost);
    }
}
