package amberheron.core.job;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.parts.PartIds;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Segment;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Wiring;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Gives every part of a job that was just made an id that nobody else can make, so that what two people add to one job at
 * the same moment stays two parts when both jobs are brought together.
 */
public final class LastingIds {
    private LastingIds() {
    }

    /**
     * Returns the changed job with a lasting id for each part that was just made; what points to such a part follows.
     *
     * @param before the job before the change
     * @param ids each answer is an id that nobody else can make
     */
    public static Job given(Job before, Job job, Supplier<String> ids) {
        Exhaust exhaust = job.intake().exhaust();
        Exhaust was = before.intake().exhaust();
        List<Segment> segments = PartIds.lasting(was.segments(), exhaust.segments(), Segment::id, Segment::withId, ids);
        List<Neighbour> neighbours = PartIds.lasting(was.neighbours(), exhaust.neighbours(), Neighbour::id,
                Neighbour::withId, ids);
        Job next = segments.equals(exhaust.segments()) && neighbours.equals(exhaust.neighbours())
                ? job
                : job.withIntake(job.intake()
                        .withExhaust(exhaust.withSegments(segments).withNeighbours(neighbours)));
        return outputs(before, wiring(before, placing(before, next, ids), ids), ids);
    }

    private static Job placing(Job before, Job job, Supplier<String> ids) {
        Placing placing = job.placing();
        List<Candidate> all = PartIds.lasting(before.candidates(), placing.candidates(), Candidate::id,
                Candidate::withId, ids);
        return all.equals(placing.candidates())
                ? job
                : job.withPlacing(placing.withCandidates(all)
                        .withChosen(renamed(placing.chosen(), placing.candidates(), all, Candidate::id)));
    }

    private static Job wiring(Job before, Job job, Supplier<String> ids) {
        Wiring wiring = job.wiring();
        Harness harness = wiring.harness();
        Harness had = before.wiring().harness();
        List<PowerSource> sources = PartIds.lasting(before.wiring().sources(), wiring.sources(), PowerSource::id,
                PowerSource::withId, ids);
        List<Wire> wires = PartIds.lasting(had.chart().wires(), harness.chart().wires(), Wire::id, Wire::withId, ids);
        List<Waypoint> points = PartIds.lasting(had.route().points(), harness.route().points(), Waypoint::id,
                Waypoint::withId, ids);
        List<Joints.Test> tested = PartIds.lasting(had.joints().tested(), harness.joints().tested(), Joints.Test::id,
                Joints.Test::withId,
                ids);
        if (sources.equals(wiring.sources()) && wires.equals(harness.chart().wires())
                && points.equals(harness.route().points()) && tested.equals(harness.joints().tested())) {
            return job;
        }
        return job.withWiring(wiring.withSources(sources)
                .withTaken(renamed(wiring.taken(), wiring.sources(), sources, PowerSource::id))
                .withHarness(harness.withChart(new Chart(wires)).withRoute(harness.route().withPoints(points))
                        .withJoints(harness.joints().withTested(tested))));
    }

    private static Job outputs(Job before, Job job, Supplier<String> ids) {
        Outputs outputs = job.outputs();
        List<Output> all = PartIds.lasting(before.outputs().all(), outputs.all(), Output::id, Output::withId, ids)
                .stream()
                .map(o -> o.withPoints(
                        PartIds.lasting(points(before, o), o.points(), CheckPoint::id, CheckPoint::withId, ids)))
                .toList();
        String active = Objects.requireNonNull(renamed(outputs.activeId(), outputs.all(), all, Output::id));
        return all.equals(outputs.all()) ? job : job.withOutputs(new Outputs(all, active));
    }

    private static List<CheckPoint> points(Job before, Output of) {
        return before.outputs().all().stream().filter(o -> o.id().equals(of.id())).findFirst().map(Output::points)
                .orElse(List.of());
    }

    private static <T> @Nullable String renamed(@Nullable String id, List<T> before, List<T> after,
            Function<T, String> idOf) {
        return IntStream.range(0, before.size()).filter(i -> idOf.apply(before.get(i)).equals(id))
                .mapToObj(i -> idOf.apply(after.get(i))).findFirst().orElse(id);
    }
}
