package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Judges a power source, the fuse and the feed from it. */
public final class PowerRules {
    /** The usual fuse, A. */
    private static final double FUSE = 5.0;
    /** The usual greatest draw while heating up, A. */
    public static final double DRAW = 3.0;
    /** Current when warm, A; from memory. */
    static final double WARM = 1.2;
    /** Least volts at the controller while it heats up; from memory, the controller's sheet decides. */
    private static final double LEAST_FEED = 10.5;
    /** Part of its rating a fuse carries for hours. */
    private static final double CONTINUOUS = 0.8;
    /** A car that stands a fortnight has to start. */
    private static final double LEAST_DAYS = 14;
    /** Drawn by a controller left powered, engine off, its heater working in cold air, A; from memory. */
    private static final double IDLE_DRAIN = 1.2;

    /** Common sections of vehicle wire, m². */
    private static final List<Double> COMMON = List.of(0.35e-6, 0.5e-6, 0.75e-6, 1e-6, 1.5e-6, 2.5e-6, 4e-6);

    private static final Source STATES = Source.memory(
            "0.5 V key off, 11 V key on, 6 V cranking, 12.8 V running, half a volt between loads: our own limits for the practice of "
                    + "0 V off, about 12 V on, still there while cranking and running, undisturbed by other loads");
    private static final Source FUSES = Source
            .practice("5 A fuse, up to about 3 A while heating; a host circuit keeps its rating");
    private static final Source HOST = Source.memory("a fuse carries 80 % of its rating for hours");
    private static final Source PAIRS = Source.memory("pairs of wire and fuse met in vehicles");
    private static final Source COPPER = Source
            .memory("10.5 V at the controller, its sheet decides; resistances by IEC 60028 (copper), ASTM B258 (AWG)");
    private static final Source HALF = Source.derived("hours to half charge = 0.5·Ah / drain");

    private PowerRules() {
    }

    /** Every check of power, in the order it is proved; of the source taken, or of one that does not exist yet. */
    public static List<Finding> judge(@Nullable PowerSource taken, Feed feed, @Nullable Double fuse,
            @Nullable Double draw) {
        PowerSource source = taken == null ? PowerSource.named("") : taken;
        List<Finding> findings = new ArrayList<>();
        for (KeyState state : KeyState.values()) {
            if (!state.optional() || source.at(state).isPresent()) {
                findings.add(state(source, state, feed.relay()));
            }
        }
        double peak = draw == null ? DRAW : draw;
        findings.add(fuse(fuse, peak, feed));
        if (taken != null && !feed.relay()) {
            findings.add(host(taken, peak));
        }
        findings.add(drop(source, feed, fuse == null ? FUSE : fuse, peak));
        if (source.behaviour() == Behaviour.CONSTANT) {
            findings.add(drain(feed, IDLE_DRAIN));
        } else if (feed.memory() != null) {
            findings.add(drain(feed, feed.memory()));
        }
        return List.copyOf(findings);
    }

    /** Meaning of a source's behaviour, and the cure. */
    public static String remedy(Behaviour behaviour) {
        return switch (behaviour) {
            case SWITCHED -> "A proper source: take it.";
            case ACCESSORY_TOO -> "Usable; do not sit in accessory with the heater working.";
            case CONSTANT ->
                "It flattens the battery and cooks the sensor: take another, or let a switched one work a relay.";
            case LOST_WHILE_CRANKING ->
                "The controller restarts with every start, and a relay worked by it would let go as well: take another.";
            case SAGS_WHILE_CRANKING ->
                "The controller restarts with every start: let it work a relay that is fed from the battery, or take another.";
            case DISTURBED -> "Another load moves it: a relay at the battery, with this one switching it.";
            case WEAK -> "Too weak for the heater: a relay at the battery, with this one switching it.";
            case DEAD -> "No supply with the key on: take another.";
            case NOT_MEASURED -> "Measure it in every state before it is trusted.";
        };
    }

    /** How good a source is as it stands. */
    public static Verdict verdict(Behaviour behaviour, boolean relay) {
        return switch (behaviour) {
            case SWITCHED -> Verdict.PASS;
            case ACCESSORY_TOO -> Verdict.WARN;
            case CONSTANT, DEAD -> Verdict.FAIL;
            case LOST_WHILE_CRANKING -> Verdict.WARN;
            case SAGS_WHILE_CRANKING, DISTURBED, WEAK -> relay ? Verdict.PASS : Verdict.WARN;
            case NOT_MEASURED -> Verdict.UNKNOWN;
        };
    }

    /** The best of several sources; of equals the one listed first. Empty when none can be used. */
    public static Optional<PowerSource> best(List<PowerSource> sources, boolean relay) {
        return sources.stream().filter(s -> verdict(s.behaviour(), relay) != Verdict.FAIL)
                .min(Comparator.comparing(s -> verdict(s.behaviour(), relay)));
    }

    private static Finding state(PowerSource source, KeyState state, boolean relay) {
        Double volts = source.at(state).orElse(null);
        boolean dead = state == KeyState.OFF || state == KeyState.ACCESSORY;
        Double running = source.at(KeyState.RUNNING).orElse(null);
        boolean compared = state == KeyState.LAMPS || state == KeyState.INDICATORS;
        double bound = switch (state) {
            case OFF, ACCESSORY -> PowerSource.DEAD;
            case ON -> PowerSource.WEAK;
            case CRANKING -> PowerSource.CRANKING;
            case RUNNING -> PowerSource.WEAK_RUNNING;
            case LAMPS, INDICATORS ->
                (running == null ? PowerSource.WEAK_RUNNING : running) - PowerSource.DISTURBED;
        };
        Limit limit = new Limit(dead ? AT_MOST : AT_LEAST, volts(bound, 1));
        boolean kept = volts != null && ((compared && running != null)
                ? Math.abs(volts - running) <= PowerSource.DISTURBED
                : limit.keptBy(volts));
        Behaviour shown = switch (state) {
            case OFF -> Behaviour.CONSTANT;
            case ACCESSORY -> Behaviour.ACCESSORY_TOO;
            case ON -> volts != null && volts <= PowerSource.DEAD ? Behaviour.DEAD : Behaviour.WEAK;
            case CRANKING -> volts == null
                    ? Behaviour.LOST_WHILE_CRANKING
                    : PowerSource.cranked(volts).orElse(Behaviour.SWITCHED);
            case RUNNING -> Behaviour.WEAK;
            case LAMPS, INDICATORS -> Behaviour.DISTURBED;
        };
        // Without the reading that it is compared with it says nothing.
        boolean alone = compared && running == null;
        Verdict verdict = volts == null || alone
                ? Verdict.UNKNOWN
                : kept ? Verdict.PASS : verdict(shown, relay);
        Message says = volts == null || alone
                ? Message.of("Measure: {0}.", Message.plain((volts == null ? state : KeyState.RUNNING).words()))
                : Message.plain(kept
                        ? "As it should be."
                        : relay && verdict == Verdict.PASS
                                ? "The relay feeds from the battery; this one only has to hold its coil."
                                : remedy(shown));
        return new Finding(Check.of(state), Message.of("Source, {0}", Message.plain(state.words())), verdict,
                volts == null ? null : volts(volts, 1), limit, says, null,
                compared
                        ? Message.of("within {0} of the reading with the engine running",
                                volts(PowerSource.DISTURBED, 1))
                        : Message.plain("read with a meter at the source, load connected"),
                STATES, List.of(source.id().isEmpty()
                        ? WireField.SOURCES.address()
                        : (volts != null && alone ? KeyState.RUNNING : state).of(source.id())));
    }

    private static Finding fuse(@Nullable Double fuse, double peak, Feed feed) {
        Double section = feed.crossSection();
        double most = section == null ? FUSE : Math.min(Feed.greatestFuse(section), Math.max(FUSE, peak));
        Limit limit = new Limit(AT_MOST, amperes(section == null ? FUSE : Feed.greatestFuse(section)));
        Verdict verdict = fuse == null
                ? Verdict.UNKNOWN
                : fuse <= peak || (section != null && fuse > limit.bound().si() + 1e-9)
                        ? Verdict.FAIL
                        : fuse > most ? Verdict.WARN : Verdict.PASS;
        String says = switch (verdict) {
            case PASS -> "Above the draw, below what the wire stands. A tapped circuit keeps its own rating.";
            case UNKNOWN -> "Enter the fuse.";
            case WARN -> "Bigger than usual: it must stay below what the thinnest wire stands.";
            case FAIL -> fuse != null && fuse <= peak
                    ? "Not above the draw while heating: it will blow on a cold start."
                    : "Above what this wire stands: the wire burns before the fuse blows.";
        };
        return new Finding(WireCheck.FUSE, "Fuse", verdict, fuse == null ? null : amperes(fuse), limit, says, null,
                Message.of("draw {0} < fuse ≤ {1}", amperes(peak), limit.bound()),
                section == null ? FUSES : PAIRS).asking(WireField.FUSE.address());
    }

    private static Finding host(PowerSource source, double peak) {
        Double rating = source.hostFuse();
        Double load = source.hostLoad();
        Limit limit = rating == null ? null : new Limit(AT_MOST, amperes(CONTINUOUS * rating));
        Verdict verdict = limit == null || load == null
                ? Verdict.UNKNOWN
                : limit.keptBy(load + peak) ? Verdict.PASS : Verdict.FAIL;
        return new Finding(WireCheck.HOST, "Tapped circuit", verdict, load == null ? null : amperes(load + peak),
                limit, switch (verdict) {
                    case PASS -> "It carries both on its own fuse.";
                    case UNKNOWN ->
                        "Enter the circuit's own fuse and what it feeds already, 0 A where nothing else.";
                    default ->
                        "Too much for the tapped circuit, and its fuse stays as it is: take another, or a relay.";
                }, null, "what it feeds already and the heater's peak, against 80 % of its rating", HOST)
                .asking((rating == null ? WireField.HOST_FUSE : WireField.HOST_LOAD).of(source.id()));
    }

    /**
     * The smallest common wire that stands the fuse and leaves the controller enough volts while it heats up, m²; empty
     * when none does, or the length is not known.
     *
     * @param fuse A
     * @param peak greatest draw, A
     * @param volts of the source with the key on, V
     */
    static Optional<Double> smallestWire(Feed feed, double fuse, double peak, double volts) {
        return feed.length() == null
                ? Optional.empty()
                : COMMON.stream().filter(s -> Feed.greatestFuse(s) >= fuse - 1e-9)
                        .filter(s -> volts - peak * loop(feed.withCrossSection(s)) >= LEAST_FEED).findFirst();
    }

    private static double loop(Feed feed) {
        Double loop = feed.loop(Conductor.UNDER_BONNET);
        return loop == null ? Double.POSITIVE_INFINITY : loop;
    }

    private static Finding drop(PowerSource source, Feed feed, double fuse, double peak) {
        Double loop = feed.loop(Conductor.UNDER_BONNET);
        // A relay takes its volts from the battery; the source only holds its coil.
        Double on = feed.relay() ? feed.atBattery() : source.at(KeyState.ON).orElse(null);
        Limit limit = new Limit(AT_LEAST, volts(LEAST_FEED, 1));
        Message wire = on == null
                ? Message.NONE
                : smallestWire(feed, fuse, peak, on).map(
                        s -> Message.of("; smallest wire for this length and fuse: {0}",
                                new Measure(s, Dimension.CROSS_SECTION, 2)))
                        .orElse(feed.length() == null
                                ? Message.NONE
                                : Message.plain("; no common wire does for this length and fuse"));
        List<Address> asks = new ArrayList<>();
        if (feed.length() == null) {
            asks.add(WireField.FEED_LENGTH.address());
        }
        if (feed.crossSection() == null) {
            asks.add(WireField.FEED_SECTION.address());
        }
        if (on == null) {
            asks.add(feed.relay()
                    ? WireField.AT_BATTERY.address()
                    : source.id().isEmpty() ? WireField.SOURCES.address() : KeyState.ON.of(source.id()));
        }
        if (loop == null || on == null) {
            return new Finding(WireCheck.FEED, "Volts at the controller", Verdict.UNKNOWN, null, limit,
                    loop == null
                            ? Message.of("Enter length and size of the feed{0}.", wire)
                            : Message.plain(feed.relay()
                                    ? "Measure the battery with the key on: the relay feeds from there."
                                    : "Measure the source with the key on."),
                    null, Message.plain("V − I·R, there and back"), COPPER).asking(asks);
        }
        double cold = on - peak * loop;
        double warm = on - WARM * loop;
        return new Finding(WireCheck.FEED, "Volts at the controller", limit.keptBy(cold) ? Verdict.PASS : Verdict.WARN,
                volts(cold, 1), limit,
                limit.keptBy(cold)
                        ? Message.plain("Enough to heat it up.")
                        : Message.of("It heats slowly or not at all: a thicker or a shorter feed{0}.", wire),
                null, Message.of("{0} − {1} × {2} heating up; {3} at {4} when warm; wire at {5}{6}", volts(on, 1),
                        amperes(peak), new Measure(loop, Dimension.RESISTANCE, 3), volts(warm, 1), amperes(WARM),
                        new Measure(Conductor.UNDER_BONNET, Dimension.TEMPERATURE, 0), wire),
                COPPER).asking(WireField.FEED_SECTION.address(), WireField.FEED_LENGTH.address());
    }

    private static Finding drain(Feed feed, double amperes) {
        Double battery = feed.battery();
        Limit limit = new Limit(AT_LEAST, new Measure(LEAST_DAYS, Dimension.NUMBER, 1));
        Double days = battery == null ? null : 0.5 * battery / Math.max(amperes, 1e-6) / 24;
        return new Finding(WireCheck.DRAIN, "Days until it does not start",
                days == null ? Verdict.UNKNOWN : days >= LEAST_DAYS ? Verdict.PASS : Verdict.FAIL,
                days == null ? null : new Measure(days, Dimension.NUMBER, 1), limit,
                days == null
                        ? "Enter the battery's capacity."
                        : "Half the battery is gone by then.",
                null, Message.of("0.5·Ah / {0} / 24 h", new Measure(amperes, Dimension.CURRENT, 3)), HALF)
                .asking(WireField.BATTERY.address());
    }

    private static Measure volts(double volts, int decimals) {
        return new Measure(volts, Dimension.VOLTAGE, decimals);
    }

    private static Measure amperes(double amperes) {
        return new Measure(amperes, Dimension.CURRENT, 1);
    }
}
