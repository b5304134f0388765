package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.plan.Engine.Supply;
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

    static final Source STATES = Source.memory(
            "0.5 V key off, 11 to 13.5 V key on, 6 V cranking, 12.8 V running, half a volt between loads, by 12 V system: our own limits "
                    + "for the practice of 0 V off, about 12 V on, still there while cranking and running, undisturbed by other loads");
    static final Source DESTROYED = Source
            .practice("a supply over about 15.5 V running, or a 24 V system, destroys a controller made for 12 V");
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
            @Nullable Double draw, Electrics system) {
        PowerSource source = taken == null ? PowerSource.named("") : taken;
        List<Finding> findings = new ArrayList<>();
        for (KeyState state : KeyState.values()) {
            if (system.has(state) && (!state.optional() || source.at(state).isPresent())) {
                findings.add(new SourceRule(source, state, system, feed.relay()).judge());
            }
        }
        double peak = draw == null ? DRAW : draw;
        findings.add(fuse(fuse, peak, feed));
        if (taken != null && !feed.relay()) {
            findings.add(host(taken, peak));
        }
        if (system.needsConverter()) {
            findings.add(converter(feed, system));
        }
        findings.add(drop(source, feed, fuse == null ? FUSE : fuse, peak, system));
        if (source.behaviour(system) == Behaviour.CONSTANT) {
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
            case TOO_MUCH ->
                "More than a controller stands: it destroys it. Mend the regulator first; a vehicle of more volts needs a converter.";
            case CONSTANT ->
                "It flattens the battery and cooks the sensor: take another, or let a switched one work a relay.";
            case LOST_WHILE_CRANKING ->
                "The controller restarts with every start, and a relay worked by it would let go as well: take another.";
            case SAGS_WHILE_CRANKING ->
                "The controller restarts with every start: let it work a relay that is fed from the battery, or take another.";
            case DISTURBED -> "Another load moves it: a relay at the battery, with this one switching it.";
            case WEAK ->
                "Too weak for the heater. Where the battery's posts show the same, battery or charging first; where the volts are lost in the wire, a relay at the battery, with this one switching it.";
            case DEAD -> "No supply with the key on: take another.";
            case NOT_MEASURED -> "Measure it in every state before it is trusted.";
        };
    }

    /** How good a source is as it stands. */
    public static Verdict verdict(Behaviour behaviour, boolean relay) {
        return switch (behaviour) {
            case SWITCHED -> Verdict.PASS;
            case ACCESSORY_TOO -> Verdict.WARN;
            case TOO_MUCH, CONSTANT, DEAD -> Verdict.FAIL;
            case LOST_WHILE_CRANKING -> Verdict.WARN;
            case SAGS_WHILE_CRANKING, DISTURBED, WEAK -> relay ? Verdict.PASS : Verdict.WARN;
            case NOT_MEASURED -> Verdict.UNKNOWN;
        };
    }

    /** The best of several sources; of equals the one listed first. Empty when none can be used. */
    public static Optional<PowerSource> best(List<PowerSource> sources, boolean relay, Electrics system) {
        return sources.stream().filter(s -> verdict(s.behaviour(system), relay) != Verdict.FAIL)
                .min(Comparator.comparing(s -> verdict(s.behaviour(system), relay)));
    }

    /** Judges the fuse by the smallest wire behind it, the controller's own leads included. */
    private static Finding fuse(@Nullable Double fuse, double peak, Feed feed) {
        Double section = feed.smallest();
        double stands = section == null ? FUSE : Feed.greatestFuse(section);
        Limit limit = new Limit(AT_MOST, amperes(stands));
        boolean blows = fuse != null && fuse <= peak;
        boolean burns = fuse != null && section != null && fuse > stands + 1e-9;
        Verdict verdict = blows || burns
                ? Verdict.FAIL
                : fuse == null || section == null
                        ? Verdict.UNKNOWN
                        : fuse > Math.max(FUSE, peak) ? Verdict.WARN : Verdict.PASS;
        String says = switch (verdict) {
            case PASS -> "Above the draw, below what the wire stands. A tapped circuit keeps its own rating.";
            case UNKNOWN -> fuse == null
                    ? "Enter the fuse."
                    : "Enter the size of the feed and of the controller's own leads: the fuse protects the thinnest.";
            case WARN -> "Bigger than usual: it must stay below what the thinnest wire stands.";
            case FAIL -> blows
                    ? "Not above the draw while heating: it will blow on a cold start."
                    : "Above what the thinnest wire behind it stands, the controller's own leads included: the wire burns before the fuse blows.";
        };
        return new Finding(WireCheck.FUSE, "Fuse", verdict, fuse == null ? null : amperes(fuse), limit, says, null,
                Message.of("draw {0} < fuse ≤ {1}", amperes(peak), limit.bound()),
                section == null ? FUSES : PAIRS)
                .asking((fuse == null || verdict != Verdict.UNKNOWN
                        ? WireField.FUSE
                        : feed.leads() == null ? WireField.LEADS : WireField.FEED_SECTION).address());
    }

    /** Judges what stands between a supply that is none for 12 V and the controller. */
    private static Finding converter(Feed feed, Electrics system) {
        Double volts = feed.converted();
        boolean own = system.supply() == Supply.NONE_AT_IDLE;
        boolean low = volts != null && volts < PowerSource.WEAK;
        Verdict verdict = volts == null
                ? Verdict.UNKNOWN
                : low || volts > PowerSource.MOST ? Verdict.FAIL : Verdict.PASS;
        return new Finding(WireCheck.CONVERTER, own ? "Battery of its own" : "Behind the converter", verdict,
                volts == null ? null : volts(volts, 1),
                volts != null && !low
                        ? new Limit(AT_MOST, volts(PowerSource.MOST, 1))
                        : new Limit(AT_LEAST, volts(PowerSource.WEAK, 1)),
                switch (verdict) {
                    case PASS -> "What a controller is made for.";
                    case UNKNOWN -> own
                            ? "No steady volts at idle: give the controller a 12 V battery of its own, and measure at its posts with the heater working."
                            : "A controller is made for 12 V: put a converter before it, and measure behind it with the heater working.";
                    default -> low
                            ? "It sags under the heater: a bigger one, for the greatest draw and half as much again."
                            : "More than a controller stands: it destroys it. Do not connect it.";
                }, null, Message.plain("read with a meter, heater working"), DESTROYED)
                .asking(WireField.CONVERTED.address());
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

    private static Finding drop(PowerSource source, Feed feed, double fuse, double peak, Electrics system) {
        Double loop = feed.loop(Conductor.UNDER_BONNET);
        // A relay takes its volts from the battery; the source only holds its coil.
        Double on = system.needsConverter()
                ? feed.converted()
                : feed.relay() ? feed.atBattery() : source.at(KeyState.ON).orElse(null);
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
            asks.add(system.needsConverter()
                    ? WireField.CONVERTED.address()
                    : feed.relay()
                            ? WireField.AT_BATTERY.address()
                            : source.id().isEmpty() ? WireField.SOURCES.address() : KeyState.ON.of(source.id()));
        }
        if (loop == null || on == null) {
            return new Finding(WireCheck.FEED, "Volts at the controller", Verdict.UNKNOWN, null, limit,
                    loop == null
                            ? Message.of("Enter length and size of the feed{0}.", wire)
                            : Message.plain(system.needsConverter()
                                    ? "Measure behind what feeds the controller, its heater working."
                                    : feed.relay()
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

    static Measure volts(double volts, int decimals) {
        return new Measure(volts, Dimension.VOLTAGE, decimals);
    }

    private static Measure amperes(double amperes) {
        return new Measure(amperes, Dimension.CURRENT, 1);
    }
}
