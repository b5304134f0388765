package amberheron.core.plan;

import static amberheron.core.units.Phrase.say;

import amberheron.core.plan.Step.Item;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jgrapht.alg.shortestpath.BFSShortestPath;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;
import org.jgrapht.traverse.TopologicalOrderIterator;

/** The steps that follow from the intake, and what each waits on, as a graph without circles. */
public final class JobPlan {
    private final DirectedAcyclicGraph<String, DefaultEdge> graph = new DirectedAcyclicGraph<>(DefaultEdge.class);
    private final Map<String, Step> byId = new LinkedHashMap<>();
    private List<Step> steps = List.of();

    /** Result of moving a step. */
    public sealed interface Move {
        /** The move is allowed; the new order of all steps. */
        record Done(List<String> order) implements Move {
        }

        /** The move is refused, and why. */
        record Refused(String reason) implements Move {
        }
    }

    private JobPlan() {
    }

    /** The plan for an intake in the usual order. */
    public static JobPlan of(Intake intake) {
        return of(intake, List.of(), Map.of());
    }

    /**
     * The plan for an intake.
     *
     * @param order the order the shop prefers; kept wherever no step would come before one it waits on
     * @param chosen what was chosen elsewhere for a step to have ready, in place of the usual, by the step; nothing for a
     *        step that is dropped
     */
    public static JobPlan of(Intake intake, List<String> order, Map<StepId, List<Step.Item>> chosen) {
        JobPlan plan = new JobPlan();
        // What a plug-in kit has done already is no step.
        Set<StepId> dropped = chosen.entrySet().stream().filter(e -> e.getValue().isEmpty()).map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        without(PlanSteps.of(intake), dropped).stream().map(s -> {
            List<Step.Item> items = chosen.get(s.id());
            return items == null ? s : s.withItems(items);
        }).forEach(plan::add);
        List<String> usual = List.copyOf(plan.byId.keySet());
        Comparator<String> wanted = Comparator.comparingDouble(id -> rank(id, order, usual));
        List<Step> sorted = new ArrayList<>();
        new TopologicalOrderIterator<>(plan.graph, wanted).forEachRemaining(id -> sorted.add(plan.step(id)));
        plan.steps = List.copyOf(sorted);
        return plan;
    }

    /** Returns the steps without some; what waited on one of those waits on what that waited on. */
    private static List<Step> without(List<Step> steps, Set<StepId> dropped) {
        Map<StepId, List<StepId>> instead = new EnumMap<>(StepId.class);
        List<Step> left = new ArrayList<>();
        for (Step step : steps) {
            List<StepId> after = step.after().stream()
                    .flatMap(id -> instead.getOrDefault(id, List.of(id)).stream()).distinct().toList();
            if (dropped.contains(step.id())) {
                instead.put(step.id(), after);
            } else {
                left.add(after.equals(step.after()) ? step : step.withAfter(after));
            }
        }
        return List.copyOf(left);
    }

    /** Returns the rank of a step; one that the order does not know ranks after the step it usually follows. */
    private static double rank(String id, List<String> order, List<String> usual) {
        int at = order.indexOf(id);
        if (at >= 0 || order.isEmpty()) {
            return order.isEmpty() ? usual.indexOf(id) : at;
        }
        for (int i = usual.indexOf(id) - 1; i >= 0; i--) {
            int earlier = order.indexOf(usual.get(i));
            if (earlier >= 0) {
                return earlier + 0.5 + usual.indexOf(id) * 1e-4;
            }
        }
        return -1;
    }

    private void add(Step step) {
        graph.addVertex(step.key());
        byId.put(step.key(), step);
        for (StepId earlier : step.after()) {
            if (!byId.containsKey(earlier.key())) {
                throw new IllegalStateException(step.id() + " waits on " + earlier + ", which is no step yet");
            }
            graph.addEdge(earlier.key(), step.key());
        }
    }

    private Step step(String id) {
        return Objects.requireNonNull(byId.get(id), id);
    }

    /** The steps in working order; every step comes after all it waits on. */
    public List<Step> steps() {
        return steps;
    }

    /** The steps a step still waits on, given those done. */
    public List<Step> waitingOn(Step step, Set<String> done) {
        return step.after().stream().map(StepId::key).filter(id -> !done.contains(id)).map(this::step).toList();
    }

    /** The first step that is not done and waits on nothing. */
    public Optional<Step> next(Set<String> done) {
        return steps.stream().filter(s -> !done.contains(s.key())).filter(s -> waitingOn(s, done).isEmpty())
                .findFirst();
    }

    /** Steps already done that depend, directly or not, on this one: they fall with it when it is undone. */
    public List<Step> dependants(Step step, Set<String> done) {
        Set<String> after = graph.getDescendants(step.key());
        return steps.stream().filter(s -> after.contains(s.key()) && done.contains(s.key())).toList();
    }

    /** Moves a step to a place in the order, counted from 0; refused where it would come before what it waits on, or after what waits on it. */
    public Move move(String id, int to) {
        List<String> order = new ArrayList<>(steps.stream().map(Step::key).toList());
        int from = order.indexOf(id);
        int target = Math.clamp(to, 0, order.size() - 1);
        for (int i = Math.min(from, target); i <= Math.max(from, target); i++) {
            String other = order.get(i);
            boolean up = target < from;
            if (up ? graph.getAncestors(id).contains(other) : graph.getDescendants(id).contains(other)) {
                return new Move.Refused(up ? chain(other, id) : chain(id, other));
            }
        }
        order.remove(id);
        order.add(target, id);
        return new Move.Done(List.copyOf(order));
    }

    private String chain(String first, String last) {
        List<String> path = new BFSShortestPath<>(graph).getPath(first, last).getVertexList();
        StringBuilder text = new StringBuilder(
                say("“%s” cannot come before “%s”: ", step(last).title(), step(first).title()));
        for (int i = path.size() - 1; i > 0; i--) {
            text.append(i == path.size() - 1 ? say("it waits on “") : say(", which waits on “"))
                    .append(step(path.get(i - 1)).title()).append('”');
        }
        String reason = step(last).reason();
        return text.append(reason.isEmpty() ? "." : "; " + reason + ".").toString();
    }

    /**
     * Returns the critical path: the steps not done, each waiting on the one before, whose likely times add up to most.
     */
    public List<Step> criticalPath(Set<String> done) {
        Map<String, Integer> reach = new LinkedHashMap<>();
        Map<String, String> before = new LinkedHashMap<>();
        for (Step s : steps) {
            if (done.contains(s.key())) {
                continue;
            }
            String longest = s.after().stream().map(StepId::key).filter(reach::containsKey)
                    .max(Comparator.comparingInt(reach::get)).orElse(null);
            reach.put(s.key(), s.time().likely() + (longest == null ? 0 : reach.getOrDefault(longest, 0)));
            if (longest != null) {
                before.put(s.key(), longest);
            }
        }
        List<Step> path = new ArrayList<>();
        String at = reach.keySet().stream().max(Comparator.comparingInt(reach::get)).orElse(null);
        while (at != null) {
            path.addFirst(step(at));
            at = before.get(at);
        }
        return List.copyOf(path);
    }

    /** How many of the steps of this plan are done. */
    public int done(Set<String> done) {
        return (int) byId.keySet().stream().filter(done::contains).count();
    }

    /** Minutes that the steps not yet done take on average, one after the other. */
    public int minutesLeft(Set<String> done) {
        return (int) Math
                .round(steps.stream().filter(s -> !done.contains(s.key())).mapToDouble(s -> s.time().mean()).sum());
    }

    /** A line of the list to have ready. */
    public record Ready(Item item, List<Step> steps) {
    }

    /** Everything to have ready, parts first, each once with the steps that need it. */
    public List<Ready> items() {
        Map<Item, List<Step>> needed = new LinkedHashMap<>();
        for (Step s : steps) {
            s.items().forEach(i -> needed.computeIfAbsent(i, k -> new ArrayList<>()).add(s));
        }
        return needed.entrySet().stream().map(e -> new Ready(e.getKey(), List.copyOf(e.getValue())))
                .sorted(Comparator.comparing(r -> r.item().kind())).toList();
    }

    /** Parts that steps still to be done need and that are not at hand. */
    public List<Item> lacking(Set<String> done, Set<String> inHand) {
        return items().stream().filter(r -> r.item().kind() != Item.Kind.TOOL)
                .filter(r -> !inHand.contains(r.item().name()))
                .filter(r -> r.steps().stream().anyMatch(s -> !done.contains(s.key()))).map(Ready::item)
                .collect(Collectors.toList());
    }
}
