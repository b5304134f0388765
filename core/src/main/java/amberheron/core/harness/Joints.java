package amberheron.core.harness;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Source;
import amberheron.core.parts.PartIds;
import amberheron.core.units.Phrase;
import amberheron.core.units.Sane;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * How the wires are joined.
 *
 * @param school the way taken; null until one is
 * @param done numbers of its steps that are ticked, from 0
 * @param tested joints that were pulled and measured
 */
public record Joints(@Nullable JointSchool school, Set<Integer> done, List<Test> tested) {
    /** No joint made. */
    public static final Joints NONE = new Joints(null, Set.of(), List.of());
    /** Where the steps come from. */
    public static final Source SOURCE = Source.practice("inline splice soldered, or crimped terminals with seals");

    /** The ways good installers join a wire. */
    public enum JointSchool {
        SOLDERED("soldered splice", List.of("Sleeve threaded on and pushed well away from the heat.",
                "Both ends bared by a thumb's width, every strand whole.",
                "The ends wound round one another so that they hold without solder.",
                "The wire itself heated until it draws the solder in; bright all through, nowhere a dull lump.",
                "Left to cool untouched, then tugged.",
                "Sleeve over the joint and a finger's width of sound insulation on each side, shrunk.")),
        CRIMPED("crimped, with seals",
                List.of("Seal threaded on first, its lip the right way round.",
                        "Bared to the barrel's length, every strand whole.",
                        "Terminal and die for this size of wire.",
                        "Crimp once, conductor and insulation wings each in their place.",
                        "Pull test on a sample of the same wire and terminal.",
                        "Terminal into its housing until it clicks; tug it back.")),
        PLUGGED("plugged in with a made-up kit, nothing cut",
                List.of("Both plugs looked at: pins straight, seals in place.",
                        "Pushed home until the lock clicks; tug it back.",
                        "Kit's cable tied off, so that no plug carries it."));

        private final String words;
        @SuppressWarnings("ImmutableEnumChecker") // made by List.of
        private final List<String> steps;

        JointSchool(String words, List<String> steps) {
            this.words = words;
            this.steps = steps;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether a joint is made here, whose volts tell whether it is sound. */
        public boolean made() {
            return this != PLUGGED;
        }

        /** Whether a terminal was crimped, which a pull shows; a soldered splice is pulled by hand. */
        public boolean pulled() {
            return this == CRIMPED;
        }

        /** Actions, in order. */
        public List<String> steps() {
            return steps.stream().map(Phrase::word).toList();
        }
    }

    /**
     * A joint pulled and measured.
     *
     * @param wire tag of the wire
     * @param section of its conductor, m²; null when not known
     * @param pull it stood, N; null when not pulled
     * @param drop volts across it, the heater working, V; null when not measured
     * @param id of its own among the joints; empty until it is in a list
     */
    public record Test(String wire, @Nullable Double section, @Nullable Double pull, @Nullable Double drop, String id) {
        public Test {
            Sane.SECTION.check("section", section);
            Sane.FORCE.check("pull", pull);
            Sane.SUPPLY.check("drop", drop);
        }

        /** Makes a joint that gets its id in its list. */
        public Test(String wire, @Nullable Double section, @Nullable Double pull, @Nullable Double drop) {
            this(wire, section, pull, drop, "");
        }

        public Test withWire(String value) {
            return new Test(value, section, pull, drop, id);
        }

        public Test withSection(@Nullable Double value) {
            return new Test(wire, value, pull, drop, id);
        }

        public Test withPull(@Nullable Double value) {
            return new Test(wire, section, value, drop, id);
        }

        public Test withDrop(@Nullable Double value) {
            return new Test(wire, section, pull, value, id);
        }

        public Test withId(String value) {
            return new Test(wire, section, pull, drop, value);
        }
    }

    public Joints {
        done = Collections.unmodifiableSet(new TreeSet<>(done));
        tested = PartIds.given(tested, Test::id, Test::withId);
    }

    /** Chooses a way of joining; its steps start anew. */
    public Joints joinedBy(JointSchool value) {
        return value == school ? this : new Joints(value, Set.of(), tested);
    }

    /** Ticks a step, or takes the tick back. */
    public Joints ticked(int step, boolean on) {
        Set<Integer> more = new TreeSet<>(done);
        if (on) {
            more.add(step);
        } else {
            more.remove(step);
        }
        return new Joints(school, more, tested);
    }

    public Joints withTested(List<Test> value) {
        return new Joints(school, done, value);
    }

    /** Adds a joint tested. */
    public Joints plus(Test test) {
        List<Test> more = new ArrayList<>(tested);
        more.add(test);
        return withTested(more);
    }
}
