package amberheron.core.plan;

import amberheron.core.finding.Source;
import amberheron.core.plan.Step.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Forecast of when a plan is finished by some people with one lift. Each person does one step at a time, the earliest in
 * order that waits on nothing; the lift takes one step at a time, and no engine runs while somebody is under the car.
 *
 * @param slots who does what when, at likely times
 * @param likely minutes that every other job keeps
 * @param early minutes that one job in ten beats
 * @param late minutes that nine jobs in ten keep
 */
public record Schedule(List<Slot> slots, double likely, double early, double late) {
    /** Where the spread comes from. */
    public static final Source SOURCE = Source.published(
            "three-point times as beta distributions: Malcolm, Roseboom, Clark and Fazar, Operations Research 7 (1959) 646");
    private static final int DRAWS = 600;
    private static final long SEED = 1959;

    /**
     * A step at its time.
     *
     * @param person from 0
     * @param from minutes from now
     * @param to minutes from now
     */
    public record Slot(Step step, int person, double from, double to) {
    }

    public Schedule {
        slots = List.copyOf(slots);
    }

    /**
     * Schedules what is left of a plan.
     *
     * @param people 1 or more
     */
    public static Schedule of(JobPlan plan, Set<String> done, int people) {
        List<Step> left = plan.steps().stream().filter(s -> !done.contains(s.key())).toList();
        List<Slot> likely = slots(left, people, s -> s.time().likely());
        RandomDataGenerator random = new RandomDataGenerator(SEED);
        double[] ends = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            Map<String, Double> drawn = new HashMap<>();
            left.forEach(s -> drawn.put(s.key(), draw(s.time(), random)));
            ends[i] = end(slots(left, people, s -> drawn.getOrDefault(s.key(), 0.0)));
        }
        Arrays.sort(ends);
        return new Schedule(likely, ends[DRAWS / 2], ends[DRAWS / 10], ends[DRAWS - 1 - DRAWS / 10]);
    }

    private static double draw(Time t, RandomDataGenerator random) {
        double span = t.high() - t.low();
        return span == 0
                ? t.low()
                : t.low() + span * random.nextBeta(1 + 4 * (t.likely() - t.low()) / span,
                        1 + 4 * (t.high() - t.likely()) / span);
    }

    private static double end(List<Slot> slots) {
        return slots.stream().mapToDouble(Slot::to).max().orElse(0);
    }

    private static List<Slot> slots(List<Step> steps, int people, ToDoubleFunction<Step> minutes) {
        Set<String> ids = new java.util.HashSet<>(steps.stream().map(Step::key).toList());
        List<Step> waiting = new ArrayList<>(steps);
        Map<String, Double> ended = new HashMap<>();
        double[] free = new double[people];
        double lift = 0;
        List<Slot> slots = new ArrayList<>();
        while (!waiting.isEmpty()) {
            Step next = null;
            double start = Double.MAX_VALUE;
            int who = 0;
            for (int p = 1; p < people; p++) {
                who = free[p] < free[who] ? p : who;
            }
            for (Step s : waiting) {
                double ready = free[who];
                boolean known = true;
                for (StepId earlier : s.after()) {
                    if (ids.contains(earlier.key())) {
                        known &= ended.containsKey(earlier.key());
                        ready = Math.max(ready, ended.getOrDefault(earlier.key(), 0.0));
                    }
                }
                double can = s.takesCar() ? Math.max(ready, lift) : ready;
                if (known && can < start) {
                    next = s;
                    start = can;
                }
            }
            if (next == null) {
                throw new IllegalStateException("steps wait on one another in a circle");
            }
            double to = start + minutes.applyAsDouble(next);
            slots.add(new Slot(next, who, start, to));
            free[who] = to;
            lift = next.takesCar() ? to : lift;
            ended.put(next.key(), to);
            waiting.remove(next);
        }
        return slots;
    }
}
