package amberheron.core.scaling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Scatter of readings that were taken at the same volts with the engine as it was.
 *
 * @param readings that were repeated
 * @param places volts at which they were
 * @param spread standard deviation of shown − true about each place's mean, λ
 */
public record Repeats(int readings, int places, double spread) {
    /** Distance within which two voltages are the same, V: a hand meter's error. */
    private static final double SAME = 0.02;

    /** Finds repeated readings; empty where no point repeats another. */
    public static Optional<Repeats> of(List<CheckPoint> points, OutputLaw law, Reader reader) {
        List<CheckPoint> left = new ArrayList<>(points);
        int readings = 0;
        int places = 0;
        double square = 0;
        while (!left.isEmpty()) {
            CheckPoint first = left.getFirst();
            List<CheckPoint> same = left.stream().filter(p -> p.engine() == first.engine()
                    && Math.abs(p.outputVolts(law) - first.outputVolts(law)) <= SAME).toList();
            left.removeAll(same);
            if (same.size() > 1) {
                double mean = same.stream().mapToDouble(p -> p.error(law, reader)).average().orElseThrow();
                square += same.stream().mapToDouble(p -> Math.pow(p.error(law, reader) - mean, 2)).sum();
                readings += same.size();
                places++;
            }
        }
        return places == 0
                ? Optional.empty()
                : Optional.of(new Repeats(readings, places, Math.sqrt(square / (readings - places))));
    }
}
