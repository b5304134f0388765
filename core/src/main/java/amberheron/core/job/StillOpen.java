package amberheron.core.job;

import amberheron.core.finding.Check;
import amberheron.core.finding.CheckId;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Verdict;
import amberheron.core.plan.Intake;
import amberheron.core.scaling.Cause;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Open checks of a job's links, and what is to be done first.
 *
 * @param review of the job
 */
record StillOpen(JobReview review) {
    Optional<JobReview.Next> next() {
        Stream<Station> others = Arrays.stream(Station.values()).filter(s -> s != Station.PLAN || !review.planned());
        return Stream.concat(others.filter(s -> s != Station.HAND_OVER), Stream.of(Station.PLAN, Station.HAND_OVER))
                .filter(s -> !review.state(s).done()).findFirst().map(s -> new JobReview.Next(s, toDo(s)));
    }

    private Message toDo(Station station) {
        return review.stale(station).filter(s -> review.state(station) == LinkState.STALE).map(Stale::text)
                .or(() -> review.findings(station).stream().filter(f -> f.verdict() == worst(station))
                        .map(f -> Message.of("{0}: {1}", f.subject(), f.consequence())).findFirst())
                .orElseGet(() -> Message.joined(" ",
                        Stream.concat(because(station).stream().map(c -> cure(c.id())), reserved(station)).toList()));
    }

    /** The worst reservation, named before a job is handed over with it. */
    private Stream<Message> reserved(Station station) {
        return station == Station.HAND_OVER
                ? review.reservations().stream().limit(1).map(r -> Message.of("With a reservation: {0}", r.text()))
                : Stream.empty();
    }

    /** Advice where no rule has anything to judge yet. */
    private static Message cure(CheckId open) {
        return switch (open) {
            case Intake.Question q -> Message.of("Enter: {0}.", Message.plain(q.words()));
            case JobCheck c -> Message.plain(c.words());
            case Cause c -> Message.plain(c.remedy());
            default -> Message.plain(open.key());
        };
    }

    private Verdict worst(Station station) {
        return review.findings(station).stream().map(Finding::verdict)
                .filter(v -> v == Verdict.FAIL || v == Verdict.UNKNOWN).max(Comparator.naturalOrder())
                .orElse(Verdict.UNKNOWN);
    }

    /**
     * The checks that keep a link from being proven: those that fail, then those that wait for a measure; of one that is
     * proven with reservations, those that warn, the worst first.
     */
    List<Check> because(Station station) {
        if (review.state(station) == LinkState.RESERVED) {
            return review.reservations().stream().filter(r -> station == Station.HAND_OVER || r.station() == station)
                    .map(r -> r.finding().check()).toList();
        }
        if (review.state(station).done()) {
            return List.of();
        }
        List<Check> checks = review.findings(station).stream()
                .filter(f -> f.verdict() == Verdict.FAIL || f.verdict() == Verdict.UNKNOWN)
                .sorted(Comparator.comparing(Finding::verdict).reversed()).map(Finding::check).toList();
        if (!checks.isEmpty()) {
            return checks;
        }
        Optional<Output> other = station == Station.SCALE || station == Station.PROVE
                ? review.waiting(station)
                : Optional.empty();
        if (other.isPresent()) {
            return review.ofOutput(other.get().id()).orElseThrow().because(station);
        }
        List<? extends CheckId> open = switch (station) {
            case PLAN -> review.job().intake().condition().stops()
                    ? List.of(JobCheck.CONDITION)
                    : !review.job().intake().missing().isEmpty()
                            ? review.job().intake().missing()
                            : List.of(review.stepsLeft() ? JobCheck.STEPS : JobCheck.TICKED);
            case PLACE -> List.of(review.findings(Station.PLACE).isEmpty() ? JobCheck.PLACE_TAKEN : JobCheck.AS_FITTED);
            case SCALE -> List.of(review.job().law() == null
                    ? JobCheck.LAW
                    : review.job().reader() == null
                            ? JobCheck.READER
                            : review.diagnosis().filter(d -> !d.withinTolerance())
                                    .<CheckId>map(
                                            d -> d.settingFollows()
                                                    ? d.best().fault().cause()
                                                    : JobCheck.SETTING_FOLLOWS)
                                    .orElseGet(() -> review.lacks().getFirst()));
            case PROVE -> List.of(review.job().proving() == null || review.stale(Station.PROVE).isPresent()
                    ? JobCheck.PROVING_LOG
                    : JobCheck.LOG_DATED);
            case HAND_OVER ->
                List.of(review.job().handOver().date() == null ? JobCheck.HANDED_OVER : JobCheck.OTHER_LINKS);
            case WIRE, AIR -> List.of();
        };
        return open.stream().map(Check::of).toList();
    }
}
