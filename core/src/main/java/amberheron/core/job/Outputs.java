package amberheron.core.job;

import static amberheron.core.units.Phrase.say;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The controller's analog outputs: each goes to a reader of its own. One of them is worked on; the others are put by.
 *
 * @param atHand the one that is worked on
 * @param putBy the others, in no order that matters
 */
public record Outputs(Output atHand, List<Output> putBy) {
    /** One output, of which nothing is known. */
    public static final Outputs ONE = new Outputs(Output.blank("1"), List.of());

    public Outputs {
        putBy = List.copyOf(putBy);
        List<String> ids = Stream.concat(Stream.of(atHand), putBy.stream()).map(Output::id).toList();
        if (ids.stream().distinct().count() < ids.size()) {
            throw new IllegalArgumentException(
                    say("outputs: found %s, expected each id once", String.join(", ", ids)));
        }
    }

    /** All of them, by their ids. */
    public List<Output> all() {
        return Stream.concat(Stream.of(atHand), putBy.stream()).sorted(Comparator.comparing(Output::id)).toList();
    }

    /** The same with the one at hand changed. */
    public Outputs with(Output value) {
        return new Outputs(value, putBy);
    }

    /** Another one taken up; the one at hand is put by as it is. */
    public Outputs facing(String id) {
        if (id.equals(atHand.id())) {
            return this;
        }
        Output wanted = putBy.stream().filter(o -> o.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException(say("outputs: none has the id “%s”", id)));
        List<Output> rest = new ArrayList<>(putBy);
        rest.set(rest.indexOf(wanted), atHand);
        return new Outputs(wanted, rest);
    }

    /** One more, of the same law, taken up; the one at hand is put by. */
    public Outputs oneMore() {
        int last = all().stream().map(Output::id).filter(i -> i.matches("\\d{1,6}")).mapToInt(Integer::parseInt).max()
                .orElse(0);
        List<Output> rest = new ArrayList<>(putBy);
        rest.add(atHand);
        return new Outputs(Output.blank(Integer.toString(last + 1)).withLaw(atHand.law()), rest);
    }

    /** Without the one at hand; the next is taken up. The last one stays. */
    public Outputs oneLess() {
        return putBy.isEmpty() ? this : new Outputs(putBy.getFirst(), putBy.subList(1, putBy.size()));
    }
}
