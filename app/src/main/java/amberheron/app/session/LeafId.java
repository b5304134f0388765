package amberheron.app.session;

import static amberheron.core.units.Phrase.word;

import amberheron.core.job.Station;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The leaves of each station in reading order; each answers one question on one screen. */
public enum LeafId {
    PLAN_STEPS("Steps", "steps and when it is finished"),
    PLAN_INTAKE("Intake", "intake"),
    PLAN_EXHAUST("Exhaust and booking", "state of the exhaust, leaks, booking"),
    PLAN_PARTS("Parts and tools", "parts and tools at hand"),
    PLACE_PIPE("Pipe", "pieces of the pipe"),
    PLACE_AROUND("Around it", "what lies around it, sensor and lead, how the car stands"),
    PLACE_CHOOSE("Choose", "choose, rules and search"),
    PLACE_MARK("Mark out", "mark out, templates"),
    PLACE_PROCEDURE("Procedure", "procedure, step by step"),
    PLACE_FITTED("As fitted", "as fitted"),
    PLACE_SCHOOLS("Schools", "the shop's schools"),
    WIRE_POWER("Source", "power source and meter"),
    WIRE_FEED("Feed", "fuse and feed"),
    WIRE_GROUNDS("Grounds", "grounds and their schools"),
    WIRE_HEATER("Heater", "heater timing"),
    WIRE_SIGNAL("Signal", "signal to each reader"),
    WIRE_STRIP("Strip", "harness strip, tags on paper"),
    WIRE_CHART("Chart", "conductor chart"),
    WIRE_ROUTE("Route", "cable route"),
    WIRE_JOINTS("Joints", "joints and their tests"),
    WIRE_WIRED("Wired", "as wired, shift and supply"),
    AIR_TODAY("Air today", "air of the day and what it costs"),
    AIR_COACH("Coach", "coach for the calibration in air"),
    AIR_VERDICT("Verdict", "verdict of the free-air check"),
    AIR_SENSOR("Sensor", "sensor book, its life"),
    SCALE_CHECK("Check points", "check points, what the reader shows"),
    SCALE_LAW("Law and reader", "output law and reader"),
    SCALE_TYPE("Type this", "type this into the reader"),
    SCALE_LINK("Which link", "which link lies, likely causes"),
    SCALE_DISPLAY("Display", "display set-up, alarms, pulses"),
    PROVE_VERDICT("Verdict", "verdict of the proving drive"),
    PROVE_DRIVE("Drive", "how it was driven, regimes, events"),
    PROVE_TRUTH("Truth", "truth: gas analyser, narrowband's steps, a change made on purpose"),
    PROVE_TRIMS("Trims", "trims: what the drive advises of the fuelling"),
    PROVE_CHANNELS("Channels", "log and its channels"),
    HAND_OVER_SHEET("Sheet", "sheets for owner, tuner and next mechanic"),
    HAND_OVER_PACK("Pack", "pack and how the shop shows itself"),
    HAND_OVER_PROOF("Proof", "proof: whether a pack is whole and what changed since");

    private final Station station;
    private final String id;
    private final String title;
    private final String words;

    LeafId(String title, String words) {
        int cut = name().lastIndexOf('_');
        station = Station.valueOf(name().substring(0, cut));
        id = name().substring(0, cut).replace("_", "").toLowerCase(Locale.ROOT) + ".leaf."
                + name().substring(cut + 1).toLowerCase(Locale.ROOT);
        this.title = title;
        this.words = words;
    }

    /** The leaves of a station. */
    public static List<LeafId> of(Station station) {
        return Arrays.stream(values()).filter(l -> l.station == station).toList();
    }

    /** The leaf that has an id; empty where none has. */
    public static Optional<LeafId> named(String id) {
        return Arrays.stream(values()).filter(l -> l.id.equals(id)).findFirst();
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
