package amberheron.app.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;
import amberheron.core.harness.HarnessCheck;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.WireCheck;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The leaves of the Wire station in reading order, and which checks stand on each. */
enum WireLeaf {
    POWER("Source", "power source and meter", id -> id instanceof KeyState || id == WireCheck.HOST),
    FEED("Feed", "fuse and feed", Set.of(WireCheck.FUSE, WireCheck.FEED, WireCheck.DRAIN)::contains),
    GROUNDS("Grounds", "grounds and their schools", Set.of(WireCheck.GROUND, WireCheck.RIPPLE)::contains),
    HEATER("Heater", "heater timing", id -> id == WireCheck.HEATER),
    SIGNAL("Signal", "signal to each reader", Set.of(WireCheck.SIGNAL_FORM, WireCheck.SIGNAL_OVER,
            WireCheck.SIGNAL_LOAD)::contains),
    STRIP("Strip", "harness strip, tags on paper", id -> false),
    CHART("Chart", "conductor chart", EnumSet.range(HarnessCheck.CHART_COMPLETE,
            HarnessCheck.CHART_CONTINUITY)::contains),
    ROUTE("Route", "cable route", EnumSet.range(HarnessCheck.ROUTE_LENGTH, HarnessCheck.ROUTE_SPRAY)::contains),
    JOINTS("Joints", "joints and their tests", EnumSet.of(HarnessCheck.JOINT_STEPS, HarnessCheck.JOINT_PULL,
            HarnessCheck.JOINT_DROP)::contains),
    WIRED("Wired", "as wired, shift and supply",
            EnumSet.of(HarnessCheck.WIRED_DROP, HarnessCheck.CHART_CONTINUITY)::contains);

    private final String title;
    private final String words;
    @SuppressWarnings("ImmutableEnumChecker") // sets of constants, made once
    private final Predicate<CheckId> checks;

    WireLeaf(String title, String words, Predicate<CheckId> checks) {
        this.title = title;
        this.words = words;
        this.checks = checks;
    }

    /** Its name on the screen. */
    String title() {
        return word(title);
    }

    /** Words by which it is found. */
    String words() {
        return word(words);
    }

    String id() {
        return "wire.leaf." + name().toLowerCase(java.util.Locale.ROOT);
    }

    /** Whether a check stands on it. */
    boolean holds(CheckId check) {
        return checks.test(check);
    }

    /** The leaf of an id; empty for one of another station. */
    static Optional<WireLeaf> of(String id) {
        return Arrays.stream(values()).filter(l -> l.id().equals(id)).findFirst();
    }
}
