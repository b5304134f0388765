package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.job.LastingIds;
import amberheron.core.parts.PartIds;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Segment;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.PowerSource;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Whatever two or three bays add to one job at once, in whatever order it is brought together: every row is there. */
class MergeProperties {
    /** A person in a bay who adds, changes, moves and removes rows; notes what it did to them. */
    private static final class Bay {
        private final Random random;
        private final String name;
        private final Set<String> added = new TreeSet<>();
        private final Set<String> removed = new TreeSet<>();
        private int made;
        private Job job;

        private Bay(String name, long seed, Job from) {
            this.name = name;
            this.random = new Random(seed * 31 + name.hashCode());
            this.job = from;
        }

        private void work(int acts) {
            for (int i = 0; i < acts; i++) {
                Set<String> before = rows(job);
                job = LastingIds.given(job, act(), () -> name + made++);
                Set<String> after = rows(job);
                after.stream().filter(r -> !before.contains(r)).forEach(added::add);
                before.stream().filter(r -> !after.contains(r)).forEach(removed::add);
            }
        }

        private Job act() {
            Chart chart = job.wiring().harness().chart();
            return switch (random.nextInt(13)) {
                case 0, 1 -> chart(chart.plus(Wire.tagged("").withWork(Work.DIMMER)));
                case 2 -> chart(changed(chart));
                case 3 -> chart(new Chart(fewer(chart.wires())));
                case 4 -> chart(new Chart(moved(chart.wires())));
                case 5 -> job.withPlacing(job.placing().withCandidates(more(job.candidates(), Candidate
                        .named(PartIds.nextLetter(job.candidates().stream().map(Candidate::letter).toList()))
                        .withId(""))));
                case 6 -> job.withWiring(job.wiring().withSources(more(job.wiring().sources(), PowerSource
                        .named(PartIds.nextLetter(job.wiring().sources().stream().map(PowerSource::letter).toList()))
                        .withId(""))));
                case 7 -> job.withPoint(new CheckPoint(1.0, null, 0.9, ""));
                case 8 -> job.withPoints(fewer(job.points()));
                case 9 -> exhaust(more(job.intake().exhaust().segments(),
                        Segment.straight(Segment.Line.ALL, Segment.Kind.PIPE, 0.4, 0.05, null)));
                case 10 -> exhaust(moved(job.intake().exhaust().segments()));
                case 11 -> job.withWiring(job.wiring().withHarness(job.wiring().harness()
                        .withRoute(job.wiring().harness().route()
                                .withPoints(more(job.wiring().harness().route().points(), Waypoint.named("clip"))))
                        .withJoints(job.wiring().harness().joints().plus(new Joints.Test(
                                chart.wires().isEmpty() ? "" : chart.wires().getLast().tag(), null, 80.0, null)))));
                default -> job.withOutputs(job.outputs().oneMore().facingFirst());
            };
        }

        private Job chart(Chart chart) {
            return job.withWiring(job.wiring().withHarness(job.wiring().harness().withChart(chart)));
        }

        private Job exhaust(List<Segment> segments) {
            return job.withIntake(job.intake().withExhaust(job.intake().exhaust().withSegments(segments)));
        }

        private Chart changed(Chart chart) {
            return chart.wires().isEmpty()
                    ? chart
                    : chart.with(any(chart.wires()).id(), w -> w.withOhms(1 + random.nextInt(50) / 10.0));
        }

        private <T> T any(List<T> all) {
            return all.get(random.nextInt(all.size()));
        }

        private <T> List<T> more(List<T> all, T one) {
            List<T> more = new ArrayList<>(all);
            more.add(random.nextInt(all.size() + 1), one);
            return more;
        }

        private <T> List<T> fewer(List<T> all) {
            List<T> less = new ArrayList<>(all);
            if (!less.isEmpty()) {
                less.remove(random.nextInt(less.size()));
            }
            return less;
        }

        private <T> List<T> moved(List<T> all) {
            List<T> other = new ArrayList<>(fewer(all));
            all.stream().filter(p -> !other.contains(p)).findFirst()
                    .ifPresent(p -> other.add(random.nextInt(other.size() + 1), p));
            return other;
        }
    }

    private static <T> Stream<String> ids(List<T> parts, String kind, Function<T, String> id) {
        return parts.stream().map(p -> kind + " " + id.apply(p));
    }

    private static Set<String> rows(Job job) {
        Set<String> all = new HashSet<>();
        Stream.of(ids(job.wiring().harness().chart().wires(), "wire", Wire::id),
                ids(job.candidates(), "place", Candidate::id),
                ids(job.wiring().sources(), "source", PowerSource::id),
                ids(job.intake().exhaust().segments(), "piece", Segment::id),
                ids(job.intake().exhaust().neighbours(), "neighbour", Neighbour::id),
                ids(job.wiring().harness().route().points(), "waypoint", Waypoint::id),
                ids(job.wiring().harness().joints().tested(), "joint", Joints.Test::id),
                ids(job.points(), "point", CheckPoint::id),
                ids(job.outputs().all(), "output", o -> o.id())).flatMap(s -> s).forEach(all::add);
        return all;
    }

    private static void everyRowIsThere(Merge merge, Bay... bays) {
        for (JobDocument both : List.of(merge.ours(), merge.theirs())) {
            Set<String> there = rows(both.job());
            for (Bay bay : bays) {
                bay.added.stream().filter(r -> Stream.of(bays).noneMatch(b -> b.removed.contains(r)))
                        .forEach(r -> assertThat(there).as("added by %s", bay.name).contains(r));
            }
            assertThat(both.job().wiring().harness().chart().wires()).extracting(Wire::tag).doesNotHaveDuplicates();
            assertThat(both.job().candidates()).extracting(Candidate::letter).doesNotHaveDuplicates();
            assertThat(both.job().wiring().sources()).extracting(PowerSource::letter).doesNotHaveDuplicates();
        }
    }

    @Property(tries = 150)
    void everyRowThatEitherAddedIsThere(@ForAll long seed) {
        Bay before = new Bay("base", seed, Job.empty("J"));
        before.work(new Random(seed).nextInt(30));
        JobDocument base = JobDocument.of(before.job);
        Bay one = new Bay("one", seed, base.job());
        Bay two = new Bay("two", seed, base.job());
        Bay three = new Bay("three", seed, base.job());
        Stream.of(one, two, three).forEach(b -> b.work(1 + b.random.nextInt(15)));
        JobDocument ours = JobDocument.of(one.job);
        JobDocument theirs = JobDocument.of(two.job);
        Merge merge = Merge.of(base, ours, theirs);
        everyRowIsThere(merge, one, two);
        everyRowIsThere(Merge.of(base, theirs, ours), one, two);
        everyRowIsThere(Merge.of(base, JobDocument.of(three.job), merge.ours()), one, two, three);
        assertThat(Merge.of(merge.ours(), merge.ours(), merge.ours()).ours().job()).isEqualTo(merge.ours().job());
    }
}
