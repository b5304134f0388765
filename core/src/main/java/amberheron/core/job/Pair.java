package amberheron.core.job;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A controller's law and a reader with its setting, kept for the next job. That it was proven once proves nothing of the
 * next job's wires, but spares the typing and the doubt about the setting.
 *
 * @param gauge what the controller's own gauge shows; null for the quantity of its output
 * @param reader with the setting that was typed
 * @param proof where it was proven; null where it was not
 */
public record Pair(OutputLaw law, @Nullable MixtureScale gauge, Reader reader, @Nullable Proof proof) {
    /**
     * Where a pair was proven.
     *
     * @param job its number
     * @param on the day of the last check point
     * @param points that counted
     * @param worst greatest error of them, λ
     */
    public record Proof(String job, LocalDate on, int points, double worst) {
    }

    /** Its name. */
    public String title() {
        return law.name() + " → " + reader.name();
    }

    /** Returns the pair of the active output; empty until law, reader and setting are known. */
    public static Optional<Pair> of(JobReview review) {
        Job job = review.job();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        if (law == null || reader == null || review.scale().isEmpty()) {
            return Optional.empty();
        }
        Proof proof = review.own(Station.SCALE) != LinkState.PROVEN
                ? null
                : new Proof(job.id(),
                        review.points().stream().map(p -> p.origin().taken()).filter(Objects::nonNull)
                                .max(Comparator.naturalOrder()).map(Pair::day).orElseThrow(),
                        review.points().size(), review.diagnosis().orElseThrow().worst().lambda());
        return Optional.of(new Pair(law, job.gauge(), reader.withSetting(review.scale().get().setting()), proof));
    }

    private static LocalDate day(Instant taken) {
        return taken.atZone(ZoneOffset.UTC).toLocalDate();
    }

    /** Returns a job that uses this pair in its active output. */
    public Job in(Job job) {
        return job.withLaw(law).withGauge(gauge).withReader(reader);
    }
}
