package amberheron.core.display;

import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * Settings of a display for one engine, compared with those that it was given. Mixtures stand in lambda: an engine's
 * limits lie at the same lambda whatever the fuel, and the display shows them in its own quantity.
 *
 * @param lines one for each number, in the order in which they are told
 * @param bands where the bands meet, λ rising: too rich, power, cruise, lean
 */
public record DisplaySetUp(List<Line> lines, List<Double> bands) {
    /** A diesel at idle is leaner than this, λ; from memory. */
    private static final double IDLING = 3;
    /** Usual time for which a gear change cuts the fuel, s. */
    public static final double GEAR_CHANGE = 0.5;
    /** Greatest delay of reading and alarm together, s. */
    private static final double LATEST = 1.0;
    private static final double LEAST_DELAY = 0.2;
    /** Response time of the sensor, s. */
    public static final double SENSOR = 0.1;
    private static final double RICH_DELAY = 5;
    private static final double MOST_FILTER = 0.3;

    private static final Source OWN = Source.memory("times are our own choice; the delay of the reading is worked out");
    private static final Source FIRING = Source.derived("how often the place fires in one turn of the crankshaft");

    public DisplaySetUp {
        lines = List.copyOf(lines);
        bands = List.copyOf(bands);
    }

    /**
     * The engine, as far as the job knows it.
     *
     * @param bands mixtures that are right for it
     * @param cylinders null when not said
     * @param transport from exhaust valve to sensor at full load, s; null while the place is not known
     */
    public record Engine(Bands bands, @Nullable Integer cylinders, @Nullable Double transport) {
    }

    /**
     * One number to enter in the display.
     *
     * @param ought what it should be told, λ, s or a number; null while that is not known
     * @param told what it was told
     * @param why in a sentence
     */
    public record Line(DisplaySetting what, @Nullable Double ought, @Nullable Double told, Verdict verdict, Message why,
            Source source) {
    }

    /** Returns what to tell the display. */
    public static DisplaySetUp of(Engine engine, Display display) {
        boolean load = Boolean.TRUE.equals(display.knowsLoad());
        Bands bands = engine.bands();
        double lean = load ? bands.lean() : bands.stop();
        Double filter = display.told().get(DisplaySetting.FILTER);
        Double transport = engine.transport();
        Double late = transport == null ? null : transport + SENSOR + (filter == null ? 0 : filter);
        List<Line> lines = new ArrayList<>();
        if (bands.leanHarms()) {
            lines.add(line(display, DisplaySetting.LEAN, lean, load
                    ? Message.of("Armed under load only: {0} above what full load wants.", mixture(Bands.MARGIN))
                    : Message.plain(display.knowsLoad() == null
                            ? "Say whether it knows the load: without, only the limit at which to stop can be told."
                            : "Without the load it can only be the limit at which to stop, and each lift-off sounds it."),
                    bands.source()));
            lines.add(line(display, DisplaySetting.LEAN_DELAY,
                    late == null ? null : delay(late), leanDelay(late), OWN));
        }
        lines.add(line(display, DisplaySetting.RICH, bands.tooRich(), Message.plain(bands.leanHarms()
                ? "Armed once it is warm: a cold start and the choke are richer than that, and right."
                : "Richer than that a diesel smokes and its exhaust gets hot. Lean does it no harm: no lean alarm."),
                bands.source()));
        lines.add(line(display, DisplaySetting.RICH_DELAY, RICH_DELAY,
                Message.plain("Too rich harms slowly: it need not sound at every pull."), OWN));
        lines.add(line(display, DisplaySetting.FILTER, MOST_FILTER, Message.plain(
                "A calmer number is a later one: filter what the eye sees, never what is logged."), OWN));
        if (display.pickUp() != PickUp.NONE) {
            OptionalDouble pulses = display.pickUp() == null
                    ? OptionalDouble.empty()
                    : display.pickUp().perTurn(engine.cylinders(), display.twoStroke(), display.teeth());
            lines.add(line(display, DisplaySetting.PULSES, pulses.isPresent() ? pulses.getAsDouble() : null,
                    pulses.isPresent()
                            ? Message.plain(
                                    "Check it at idle against the tachometer: twice or half tells which is wrong.")
                            : Message.plain("Say where the pulses are taken, and from how many cylinders or teeth."),
                    FIRING));
        }
        return new DisplaySetUp(lines, List.of(bands.tooRich(), bands.lean(), Math.min(bands.steadyLean(), IDLING)));
    }

    /**
     * Returns the delay left for the alarm after the reading's own delay, s; long enough for a gear change where there is
     * room.
     */
    private static double delay(double late) {
        return Math.clamp(LATEST - late, LEAST_DELAY, GEAR_CHANGE);
    }

    private static Message leanDelay(@Nullable Double late) {
        if (late == null) {
            return Message.plain("Take a place first: how late the reading is depends on it.");
        }
        return Message.of(late + LEAST_DELAY > LATEST
                ? "The reading is {0} late by itself: the alarm comes {1} after the engine turns lean, too late to save it."
                : "The reading is {0} late by itself, so it sounds {1} after the engine turns lean; a change of gear does not sound it.",
                seconds(late), seconds(late + delay(late)));
    }

    private static Line line(Display display, DisplaySetting what, @Nullable Double ought, Message why, Source source) {
        Double told = display.told().get(what);
        return new Line(what, ought, told,
                ought == null || told == null
                        ? Verdict.UNKNOWN
                        : agrees(what, ought, told) ? Verdict.PASS : Verdict.WARN,
                why, source);
    }

    /** Returns whether a setting is right, or off on the harmless side. */
    private static boolean agrees(DisplaySetting what, double ought, double told) {
        return switch (what) {
            case LEAN -> told <= ought + 0.005 && told >= ought - Bands.MARGIN;
            case RICH -> told >= ought - 0.02 && told <= ought + 0.05;
            case LEAN_DELAY -> told <= ought + 0.1;
            case RICH_DELAY -> told >= 1 && told <= 2 * ought;
            case FILTER -> told <= ought + 1e-9;
            case PULSES -> Math.abs(told - ought) <= 0.01 * ought;
        };
    }

    /** Returns the first number that was not entered as it should be; empty where all were. */
    public Optional<Line> first() {
        return lines.stream().filter(l -> l.verdict() != Verdict.PASS).findFirst();
    }

    /** Writes a number as the display takes it: a mixture in the display's own quantity. */
    public static String text(DisplaySetting what, double value, MixtureScale scale) {
        return switch (what.kind()) {
            case MIXTURE -> mixture(value, scale) + " " + scale.label();
            case SECONDS -> UnitChoice.digits(value, 1) + " s";
            case NUMBER -> UnitChoice.plain(Math.round(100 * value) / 100.0);
        };
    }

    /** Writes a mixture in the display's own quantity, with as many digits as displays have. */
    public static String mixture(double lambda, MixtureScale scale) {
        return UnitChoice.digits(scale.fromLambda(lambda), scale instanceof MixtureScale.Lambda ? 2 : 1);
    }

    private static Measure mixture(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 3);
    }

    private static Measure seconds(double seconds) {
        return new Measure(seconds, Dimension.DURATION, 1);
    }
}
