package amberheron.app.session;

import static amberheron.core.units.Phrase.word;

import amberheron.core.job.Station;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** The leaves of each station in reading order; each answers one question on one screen. */
public enum LeafId {
    PLAN_STEPS(Station.PLAN, "Steps", "steps and when it is finished"),
    PLAN_INTAKE(Station.PLAN, "Intake", "intake"),
    PLAN_EXHAUST(Station.PLAN, "Exhaust and booking", "state of the exhaust, leaks, booking"),
    PLAN_PARTS(Station.PLAN, "Parts and tools", "parts and tools at hand"),
    PLACE_PIPE(Station.PLACE, "Pipe", "pieces of the pipe"),
    PLACE_AROUND(Station.PLACE, "Around it", "what lies around it, sensor and lead, how the car stands"),
    PLACE_CHOOSE(Station.PLACE, "Choose", "choose, rules and search"),
    PLACE_MARK(Station.PLACE, "Mark out", "mark out, templates"),
    PLACE_PROCEDURE(Station.PLACE, "Procedure", "procedure, step by step"),
    PLACE_FITTED(Station.PLACE, "As fitted", "as fitted"),
    PLACE_SCHOOLS(Station.PLACE, "Shop's way", "how this shop places a sensor"),
    WIRE_POWER(Station.WIRE, "Source", "power source and meter"),
    WIRE_FEED(Station.WIRE, "Feed", "fuse and feed"),
    WIRE_GROUNDS(Station.WIRE, "Grounds", "grounds and ways to take them"),
    WIRE_HEATER(Station.WIRE, "Heater", "heater timing"),
    WIRE_SIGNAL(Station.WIRE, "Signal", "signal to each reader"),
    WIRE_STRIP(Station.WIRE, "Strip", "harness strip, tags on paper"),
    WIRE_CHART(Station.WIRE, "Chart", "conductor chart"),
    WIRE_ROUTE(Station.WIRE, "Route", "cable route"),
    WIRE_JOINTS(Station.WIRE, "Joints", "joints and their tests"),
    WIRE_WIRED(Station.WIRE, "Wired", "as wired, shift and supply"),
    AIR_TODAY(Station.AIR, "Air today", "air of the day and what it costs"),
    AIR_COACH(Station.AIR, "Coach", "coach for the calibration in air"),
    AIR_VERDICT(Station.AIR, "Verdict", "verdict of the free-air check"),
    AIR_SENSOR(Station.AIR, "Sensor", "sensor book, its life"),
    SCALE_CHECK(Station.SCALE, "Check points", "check points, what the reader shows"),
    SCALE_LAW(Station.SCALE, "Law and reader", "output law and reader"),
    SCALE_TYPE(Station.SCALE, "Type this", "type this into the reader"),
    SCALE_LINK(Station.SCALE, "Which link", "which link lies, likely causes"),
    SCALE_DISPLAY(Station.SCALE, "Display", "display set-up, alarms, pulses"),
    PROVE_VERDICT(Station.PROVE, "Verdict", "verdict of the proving drive"),
    PROVE_DRIVE(Station.PROVE, "Drive", "how it was driven, regimes, events"),
    PROVE_TRUTH(Station.PROVE, "Truth", "truth: gas analyser, narrowband's steps, a change made on purpose"),
    PROVE_TRIMS(Station.PROVE, "Fuel trims", "fuel trims: what the drive advises"),
    PROVE_CHANNELS(Station.PROVE, "Channels", "log and its channels"),
    HAND_OVER_SHEET(Station.HAND_OVER, "Sheet", "sheets for owner, tuner and next mechanic"),
    HAND_OVER_PACK(Station.HAND_OVER, "Pack", "pack and how the shop shows itself"),
    HAND_OVER_PROOF(Station.HAND_OVER, "Proof", "proof: whether a pack is whole and what changed since");

    private final Station station;
    private final String id;
    private final String title;
    private final String words;

    LeafId(Station station, String title, String words) {
        this.station = station;
        id = station.name().replace("_", "").toLowerCase(Locale.ROOT) + ".leaf."
                + name().substring(station.name().length() + 1).toLowerCase(Locale.ROOT);
        this.title = title;
        this.words = words;
    }

    /** The leaves of a station. */
    public static List<LeafId> of(Station station) {
        return Arrays.stream(values()).filter(l -> l.station == station).toList();
    }

    /** Id of the button that brings it, such as {@code scale.leaf.link}. */
    public String id() {
        return id;
    }

    /** Its name on the screen. */
    public String title() {
        return word(title);
    }

    /** Words by which it is found. */
    public String words() {
        return word(words);
    }
}
