package amberheron.core.job;

import static amberheron.core.units.Phrase.say;

import amberheron.core.parts.PartIds;
import java.util.ArrayList;
import java.util.List;

/**
 * The controller's analog outputs, each with a reader of its own. Which one is active belongs to whoever works on the job
 * and is not kept with it.
 *
 * @param all in the order in which they were added; at least one
 * @param activeId id of the one that is worked on
 */
public record Outputs(List<Output> all, String activeId) {
    /** One output, of which nothing is known. */
    public static final Outputs ONE = new Outputs(List.of(Output.blank("1")), "1");

    /**
     * Outputs.
     *
     * @throws IllegalArgumentException when an id is there twice, or the active one is not there
     */
    public Outputs {
        all = PartIds.given(all, Output::id, Output::withId);
        List<String> ids = all.stream().map(Output::id).toList();
        if (!ids.contains(activeId)) {
            throw new IllegalArgumentException(
                    say("outputs: found %s, expected one with the id “%s”", String.join(", ", ids), activeId));
        }
    }

    /** Returns the active output. */
    public Output active() {
        return all.stream().filter(o -> o.id().equals(activeId)).findFirst().orElseThrow();
    }

    /** Returns all outputs but the active one. */
    public List<Output> others() {
        return all.stream().filter(o -> !o.id().equals(activeId)).toList();
    }

    /** Returns the outputs with the active one changed. */
    public Outputs with(Output value) {
        return new Outputs(all.stream().map(o -> o.id().equals(activeId) ? value : o).toList(), value.id());
    }

    /**
     * Returns the outputs with another one active.
     *
     * @throws IllegalArgumentException when there is none with this id
     */
    public Outputs facing(String id) {
        return id.equals(activeId) ? this : new Outputs(all, id);
    }

    /** Returns the outputs with the first one active, as they are kept. */
    public Outputs facingFirst() {
        return facing(all.getFirst().id());
    }

    /** Adds an output of the same law and makes it active. */
    public Outputs oneMore() {
        List<Output> more = new ArrayList<>(all);
        more.add(Output.blank("").withLaw(active().law()));
        List<Output> given = PartIds.given(more, Output::id, Output::withId);
        return new Outputs(given, given.getLast().id());
    }

    /** Drops the active output and makes the first of the others active. The last output stays. */
    public Outputs oneLess() {
        List<Output> rest = others();
        return rest.isEmpty() ? this : new Outputs(rest, rest.getFirst().id());
    }
}
