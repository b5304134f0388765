package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Source;
import amberheron.core.units.Phrase;
import java.util.List;

/**
 * Procedure by which a bung is fitted, in order.
 *
 * @param title which way
 * @param steps what to do, one after the other
 * @param caution what can hurt; local codes and licensed trades decide
 * @param source where it comes from
 */
public record FittingProcedure(String title, List<String> steps, String caution, Source source) {
    private static final String TIGHTEN = "Screw the sensor in by hand first; anti-seize stays on the thread, none on the tip. 40 to 54 N·m (30 to 40 lb·ft), 22 mm hexagon; anti-seize makes a torque wrench read differently.";
    private static final String TIGHT = "Leak test before the sensor goes in, the bung plugged: soapy water, a little pressure in the pipe, look for bubbles.";
    private static final String LEVEL = "Car on stands on level ground, never on the jack alone. Eyes covered when drilling overhead; hot exhaust burns.";

    /** A bung welded in. */
    public static final FittingProcedure WELD_IN = new FittingProcedure("Weld-in bung", List.of(
            "Sensor out, an old dead one in the bung: it holds it square and keeps the thread clean. Battery negative off.",
            "Mark place and clock position from the template; centre-punch.",
            "Pilot, then step drill up to the marked step; deburr inside; vacuum the shavings.",
            "Shape (cope) the bung's face to the pipe; trial fit.",
            "Tack, check the angle again with a level, weld airtight; let it cool in air.",
            "Chase the thread.", TIGHT, TIGHTEN),
            LEVEL + " Fumes of coated or plated pipe are poisonous; fuel lines and tank near: shield them, fire watch. Welding is a licensed trade in places: local codes decide.",
            Source.practice("weld-in bung"));
    /** A clamp with its gasket. */
    public static final FittingProcedure CLAMP = new FittingProcedure("No-weld clamp", List.of(
            "Mark place and clock position from the template; clean the pipe to bare metal around it.",
            "Drill in place with a right-angle drill: pilot, then step drill up to the marked step.",
            "File the burr off, peen the rim inwards lightly; vacuum the shavings.",
            "Gasket tape on once, hole over hole: its adhesive takes no second try.",
            "Clamp around, its bolts where neither road nor branch can catch them; nuts by turns, a little each time.",
            TIGHT, TIGHTEN,
            "After the first hot run tighten the nuts again while it is hot, then once more cold."),
            LEVEL + " Retightening hot: gloves.", Source.practice("no-weld clamp"));
    /** A hole that is there. */
    public static final FittingProcedure EXISTING_HOLE = new FittingProcedure("Hole that is there", List.of(
            "Pipe warm, penetrating oil on the thread, wait; low-profile crowfoot or slotted socket.",
            "Free plug or old sensor: forwards and back, never by force alone.",
            "Look at the thread; chase it before anything is screwed in. M18×1.5.",
            "Check with a level that the hole still keeps the tilt.", TIGHT, TIGHTEN),
            LEVEL + " Removing or replacing emission parts can be illegal on the road: check local law and inspection rules.",
            Source.practice("using a hole that is there"));

    /** A probe in the open end, for tuning days only. */
    public static final FittingProcedure TAILPIPE_PROBE = new FittingProcedure("Probe in the tailpipe", List.of(
            "Sensor into the probe, by hand, then tight; its body above the tip when the probe lies in the pipe.",
            "Probe as far in as it goes, and farther than any branch or perforated piece; clamped, so that it cannot walk out.",
            "Cable off the pipe and the bumper; a loop where the car moves on its springs.",
            "At idle air is drawn back from the open end: read under load only, or throttle the end a little.",
            "After a catalyst it reads what the catalyst leaves: write that on the sheet."),
            "Hot exhaust burns. " + LEVEL, Source.practice("temporary probe in the tailpipe"));

    public FittingProcedure {
        steps = List.copyOf(steps);
    }

    @Override
    public String title() {
        return word(title);
    }

    @Override
    public List<String> steps() {
        return steps.stream().map(Phrase::word).toList();
    }

    @Override
    public String caution() {
        return word(caution);
    }
}
