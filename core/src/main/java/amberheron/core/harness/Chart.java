package amberheron.core.harness;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.PartIds;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * The conductor chart of a job.
 *
 * @param wires its lines, in the installer's order; every tag once
 */
public record Chart(List<Wire> wires) {
    /** A chart without wires. */
    public static final Chart EMPTY = new Chart(List.of());

    /** Places where wires can look alike. */
    public enum Where {
        AT_FIRST_END("where they start"),
        IN_EXTENSION("in the extension");

        private final String words;

        Where(String words) {
            this.words = words;
        }

        /** The words for it. */
        public String words() {
            return word(words);
        }
    }

    /**
     * Wires of one colour that leave the same thing side by side.
     *
     * @param wires two or more
     */
    public record Twins(Where where, WireColour colour, List<Wire> wires) {
        /**
         * Returns whether a meter has told every one of them apart; telling the last by elimination is not enough for a
         * sensor lead.
         */
        public boolean toldApart() {
            return wires.stream().allMatch(Wire::toldApart);
        }
    }

    /**
     * A chart.
     *
     * @throws Unusable when a tag is empty or there twice
     */
    public Chart {
        wires = PartIds.given(wires, Wire::id, Wire::withId);
        Set<String> tags = new HashSet<>();
        for (Wire w : wires) {
            if (w.tag().isBlank() || !tags.add(w.tag())) {
                throw new Unusable(
                        say("found tag “%s” %s, expected every wire with a tag of its own", w.tag(),
                                w.tag().isBlank() ? say("empty") : say("twice")));
            }
        }
    }

    /** Returns every group of wires that look alike. Wires of one device are compared only with each other. */
    public List<Twins> twins() {
        List<Twins> all = new ArrayList<>();
        for (Device from : Device.values()) {
            List<Wire> side = wires.stream().filter(w -> w.from() == from).toList();
            for (WireColour colour : side.stream().flatMap(w -> Optional.ofNullable(w.colour()).stream()).distinct()
                    .toList()) {
                add(all, Where.AT_FIRST_END, colour, side.stream().filter(w -> colour.equals(w.colour())).toList());
            }
        }
        for (WireColour colour : wires.stream().flatMap(w -> Optional.ofNullable(w.extension()).stream()).distinct()
                .toList()) {
            add(all, Where.IN_EXTENSION, colour, wires.stream().filter(w -> colour.equals(w.extension())).toList());
        }
        return List.copyOf(all);
    }

    private static void add(List<Twins> all, Where where, WireColour colour, List<Wire> wires) {
        if (wires.size() > 1) {
            all.add(new Twins(where, colour, wires));
        }
    }

    /** Returns whether a wire is one of twins that were not told apart yet. */
    public boolean doubtful(Wire wire) {
        return !wire.toldApart() && twins().stream().anyMatch(t -> t.wires().contains(wire));
    }

    /** Wires that go nowhere. */
    public List<Wire> unused() {
        return wires.stream().filter(w -> !w.used()).toList();
    }

    /**
     * A pin that takes one wire and has more.
     *
     * @param pin as it is written first
     * @param wires two or more
     * @param starts whether they start there; else they end there
     */
    public record Clash(Device at, String pin, List<Wire> wires, boolean starts) {
    }

    /** Returns the pins that more than one wire goes to, or comes from, though they take only one. */
    public List<Clash> clashes() {
        List<Clash> clashes = new ArrayList<>();
        for (Wire w : wires) {
            clash(w, w.from(), w.fromPin(), o -> o.from() == w.from() ? o.fromPin() : "", true)
                    .ifPresent(clashes::add);
            Device to = w.to();
            if (to != null && !to.shared()) {
                clash(w, to, w.toPin(), o -> o.to() == to ? o.toPin() : "", false)
                        .filter(c -> !c.wires().stream().allMatch(Chart::ground)).ifPresent(clashes::add);
            }
        }
        return List.copyOf(clashes);
    }

    /** The wires on one pin, told once: by the first of them. */
    private Optional<Clash> clash(Wire wire, Device at, String pin, Function<Wire, String> pinThere, boolean starts) {
        String name = pin(pin);
        List<Wire> together = wires.stream().filter(o -> pin(pinThere.apply(o)).equals(name)).toList();
        return name.isEmpty() || together.size() < 2 || !together.getFirst().equals(wire)
                ? Optional.empty()
                : Optional.of(new Clash(at, pin, together, starts));
    }

    private static boolean ground(Wire wire) {
        Work work = wire.work();
        return work != null && work.ground();
    }

    /** A pin's name without what people write differently: “B 7” and “b7” are one pin. */
    private static String pin(String written) {
        return written.replaceAll("[\\s.\\-_/]", "").toUpperCase(Locale.ROOT);
    }

    /** Two wires of which each goes on in the other's colour. */
    public record Crossed(Wire one, Wire other) {
        /** Returns whether a meter has shown of both which they are. */
        public boolean toldApart() {
            return one.toldApart() && other.toldApart();
        }
    }

    /** Returns the pairs of wires that have exchanged their colours in the extension. */
    public List<Crossed> crossed() {
        List<Crossed> crossed = new ArrayList<>();
        for (int first = 0; first < wires.size(); first++) {
            Wire one = wires.get(first);
            for (Wire other : wires.subList(first + 1, wires.size())) {
                WireColour a = one.colour();
                WireColour b = other.colour();
                if (a != null && b != null && !a.equals(b) && a.equals(other.extension())
                        && b.equals(one.extension())) {
                    crossed.add(new Crossed(one, other));
                }
            }
        }
        return List.copyOf(crossed);
    }

    /** The line with an id. */
    public Optional<Wire> wire(String id) {
        return wires.stream().filter(w -> w.id().equals(id)).findFirst();
    }

    /** Changes the line with this id; the others stay as they are. */
    public Chart with(String id, UnaryOperator<Wire> change) {
        return new Chart(wires.stream().map(w -> w.id().equals(id) ? change.apply(w) : w).toList());
    }

    /** Adds a line at the end under the next free number. */
    public Chart plus(Wire wire) {
        List<Wire> more = new ArrayList<>(wires);
        more.add(wire.withId("").withTag(nextTag()));
        return new Chart(more);
    }

    /** Leaves a line out. */
    public Chart without(String id) {
        return new Chart(wires.stream().filter(w -> !w.id().equals(id)).toList());
    }

    /** Moves a line by so many places, held inside the chart. */
    public Chart moved(String id, int by) {
        List<Wire> all = new ArrayList<>(wires);
        int at = all.stream().map(Wire::id).toList().indexOf(id);
        if (at >= 0) {
            Wire line = all.remove(at);
            all.add(Math.clamp(at + by, 0, all.size()), line);
        }
        return new Chart(all);
    }

    /** Returns the next number that no tag has. */
    public String nextTag() {
        return PartIds.nextNumber(wires.stream().map(Wire::tag).toList());
    }

    /** Adds a line for whatever is needed and has none yet. */
    public Chart completed(List<Wire> needed) {
        Chart chart = this;
        for (Wire n : needed) {
            if (!chart.has(n)) {
                chart = chart.plus(n);
            }
        }
        return chart;
    }

    /** Needed conductors that have no line. */
    public List<Wire> lacking(List<Wire> needed) {
        return needed.stream().filter(n -> !has(n)).toList();
    }

    /**
     * Returns whether the chart has a needed wire: a return or a supply counts wherever it is taken, a signal only at the
     * reader it is meant for.
     */
    private boolean has(Wire needed) {
        Set<Work> anywhere = EnumSet.of(Work.POWER, Work.CONSTANT, Work.HEATER_GROUND, Work.SIGNAL_GROUND);
        return wires.stream().anyMatch(w -> w.work() == needed.work()
                && ((needed.work() != null && anywhere.contains(needed.work())) || w.to() == needed.to()));
    }

    /** The lines in the order of what they go to, unused ones last: as they lie in the strip. */
    public List<Wire> byDestination() {
        return Stream.concat(wires.stream().filter(Wire::used).sorted(Comparator.comparing(Wire::to)),
                unused().stream()).toList();
    }
}
