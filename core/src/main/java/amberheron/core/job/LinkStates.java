package amberheron.core.job;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Step;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;

/** States of the links of a job, from what its review found. */
final class LinkStates {
    private final JobReview review;
    /** States for the active output alone. */
    private final Map<Station, LinkState> own = new EnumMap<>(Station.class);
    private final Map<Station, LinkState> states = new EnumMap<>(Station.class);

    /** Judges the links of a completed review. */
    LinkStates(JobReview review) {
        this.review = review;
        states.put(Station.PLACE, placeState());
        LinkState wire = judged(Station.WIRE);
        states.put(Station.WIRE, isStale(Station.WIRE) && wire.done() ? LinkState.STALE : wire);
        states.put(Station.AIR, isStale(Station.AIR) ? LinkState.STALE : judged(Station.AIR));
        own.put(Station.SCALE, scaleState());
        own.put(Station.PROVE, proveState());
        states.put(Station.SCALE, together(Station.SCALE));
        states.put(Station.PROVE, together(Station.PROVE));
        states.put(Station.PLAN, planState());
        states.put(Station.HAND_OVER, handOverState());
    }

    private LinkState handOverState() {
        if (review.job().handOver().date() == null) {
            return review.job().handOver().notDone().isBlank() ? LinkState.OPEN : LinkState.BEGUN;
        }
        return !states.values().stream().allMatch(LinkState::done)
                ? LinkState.BEGUN
                : states.containsValue(LinkState.RESERVED) ? LinkState.RESERVED : LinkState.PROVEN;
    }

    LinkState of(Station station) {
        return Objects.requireNonNull(states.get(station));
    }

    /**
     * Returns the state of a link for the active output alone.
     *
     * @throws IllegalArgumentException for a station that all outputs share
     */
    LinkState own(Station station) {
        LinkState state = own.get(station);
        if (state == null) {
            throw new IllegalArgumentException("no output has a " + station.key() + " of its own");
        }
        return state;
    }

    private boolean isStale(Station station) {
        return review.stale(station).isPresent();
    }

    /** Combines the states of all outputs: one that fails makes the link fail, one that is open leaves it open. */
    private LinkState together(Station station) {
        List<LinkState> all = Stream.concat(Stream.of(own(station)), review.others().stream().map(r -> r.own(station)))
                .toList();
        return all.contains(LinkState.OUT_OF_TOLERANCE)
                ? LinkState.OUT_OF_TOLERANCE
                : all.contains(LinkState.STALE)
                        ? LinkState.STALE
                        : all.stream().distinct().count() == 1
                                ? all.getFirst()
                                : !all.stream().allMatch(LinkState::done)
                                        ? LinkState.BEGUN
                                        : all.contains(LinkState.RESERVED) ? LinkState.RESERVED : LinkState.PROVEN;
    }

    /** Returns the state of the plan, which is proven by having been carried out. */
    private LinkState planState() {
        if (review.job().intake().condition().stops()) {
            return LinkState.OUT_OF_TOLERANCE;
        }
        if (!review.job().intake().missing().isEmpty()) {
            return review.job().intake().vehicle().isBlank() ? LinkState.OPEN : LinkState.BEGUN;
        }
        return review.stepsLeft() || !contradicted(true).isEmpty() ? LinkState.BEGUN : LinkState.PROVEN;
    }

    /** Returns the steps whose tick contradicts the checks of their station. */
    List<Step> contradicted(boolean ticked) {
        return review.plan().steps().stream().filter(s -> review.job().done().contains(s.key()) == ticked)
                .filter(s -> Station.shownAt(s.id()).filter(at -> ticked ? !of(at).done() : shown(of(at))).isPresent())
                .toList();
    }

    /** Whether a link has shown that its steps were done; one with nothing to be proven shows nothing. */
    private static boolean shown(LinkState state) {
        return state.done() && state != LinkState.NOT_NEEDED;
    }

    private LinkState placeState() {
        if (review.findings(Station.PLACE).isEmpty() && !review.job().candidates().isEmpty()) {
            return LinkState.BEGUN;
        }
        LinkState found = judged(Station.PLACE);
        // A place on paper proves nothing.
        return found.done() && !review.job().placing().fitted().begun() ? LinkState.BEGUN : found;
    }

    private LinkState proveState() {
        boolean logged = review.job().outputs().active().logged();
        if (!logged && !review.job().intake().asks(Intake.Question.LINK)) {
            return LinkState.NOT_NEEDED;
        }
        if (isStale(Station.PROVE)) {
            return LinkState.STALE;
        }
        LinkState found = judged(Station.PROVE);
        Output.Proving proving = review.job().proving();
        return logged && found.done() && (proving == null || !review.proves(proving.origin()))
                ? LinkState.BEGUN
                : found;
    }

    /**
     * Judges a station by its findings: a missing figure never becomes a pass, and a warning does not break the link but
     * stays a reservation.
     */
    private LinkState judged(Station station) {
        List<Finding> findings = review.findings(station);
        if (findings.stream().anyMatch(f -> f.verdict() == Verdict.FAIL)) {
            return LinkState.OUT_OF_TOLERANCE;
        }
        if (findings.stream().allMatch(f -> f.verdict() == Verdict.UNKNOWN)) {
            return LinkState.OPEN;
        }
        return findings.stream().anyMatch(f -> f.verdict() == Verdict.UNKNOWN)
                ? LinkState.BEGUN
                : warned(findings).isEmpty() ? LinkState.PROVEN : LinkState.RESERVED;
    }

    private static List<Finding> warned(List<Finding> findings) {
        return findings.stream().filter(f -> f.verdict() == Verdict.WARN).toList();
    }

    /** The warnings of every link that is proven otherwise, the worst first. */
    List<Reservation> reservations() {
        return Arrays.stream(Station.values()).filter(s -> of(s) == LinkState.RESERVED)
                .flatMap(s -> Stream.concat(Stream.of(review), review.others().stream())
                        .flatMap(r -> warned(r.findings(s)).stream()).distinct().map(f -> new Reservation(s, f)))
                .sorted(Reservation.WORST_FIRST).toList();
    }

    private LinkState scaleState() {
        if (review.job().intake().byLinkAlone()) {
            return LinkState.NOT_NEEDED;
        }
        if (review.job().law() == null && review.job().reader() == null) {
            return LinkState.OPEN;
        }
        if (review.diagnosis().filter(d -> !d.withinTolerance()).isPresent()) {
            return LinkState.OUT_OF_TOLERANCE;
        }
        return review.lacks().isEmpty()
                ? LinkState.PROVEN
                : isStale(Station.SCALE) ? LinkState.STALE : LinkState.BEGUN;
    }
}
