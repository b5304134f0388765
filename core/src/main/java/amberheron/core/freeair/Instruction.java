package amberheron.core.freeair;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.State;
import amberheron.core.finding.Message;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;

/**
 * Instruction of the coach at a step.
 *
 * @param now what to do
 * @param why what it is for
 * @param expect what lamp and display should do meanwhile
 * @param otherwise what it means when they do something else
 * @param trouble what sent it here; empty when all is in order
 * @param done the words on the key by which the person says that it is done; empty where it is not the person who says so
 */
public record Instruction(Message now, Message why, Message expect, Message otherwise, Message trouble, String done) {
    /** Returns the instruction at the step where a coach is. */
    public static Instruction of(Coach coach) {
        ControllerSheet sheet = coach.sheet();
        Message trouble = trouble(coach);
        return switch (coach.now().step()) {
            case CONDITIONS -> new Instruction(
                    plain(coach.powered()
                            ? coach.prepared()
                                    ? "All is ready."
                                    : "Look at each of these and say so."
                            : "Prove the supply at Wire first: key on, and still there while cranking."),
                    plain("Hot parts, fumes, water or a weak supply spoil what it learns, and nobody sees it later."),
                    Message.NONE, Message.NONE, trouble, coach.prepared() ? say("Begin") : "");
            case CLEAR -> new Instruction(
                    plain("Power on with the sensor unplugged, until the controller shows that it misses it."),
                    plain("That clears what it learned before."),
                    seen(sheet, State.NO_SENSOR, say("the sign for a missing sensor")),
                    plain("Nothing at all: no supply. A number or a warm-up sign: the sensor is still plugged in."),
                    trouble, say("It shows it"));
            case HOLD -> new Instruction(plain("Hold it like that: powered, sensor unplugged."),
                    plain("It needs the time to forget."),
                    seen(sheet, State.NO_SENSOR, say("the sign for a missing sensor")),
                    plain("If the sign goes, the supply was lost or the plug touched: it begins again."), trouble, "");
            case PLUG_IN -> new Instruction(
                    plain("Power off. Plug the sensor in until it clicks. Hang it in free air. Power on."),
                    plain("From here on what it measures is taken for air."),
                    seen(sheet, State.WARMING, say("the sign for warming up")),
                    plain("Still the sign for a missing sensor: the plug is not home, or a wire of the lead is broken."),
                    trouble, say("It is powered"));
            case LEARN -> new Instruction(plain("Wait: it heats and learns. Touch nothing."),
                    Message.of("A sensor in order is ready within {0}.",
                            new Measure(sheet.warmUp(), Dimension.DURATION, 0)),
                    seen(sheet, State.READY, say("the sign for ready")), plain(
                            "Too cold for long: weak supply or a heater wire. Too hot: unplug. Missing: the plug."),
                    trouble, "");
            case ANTICLOCKWISE -> new Instruction(
                    plain("Turn the adjuster fully anticlockwise, then ignition on, sensor in free air."),
                    plain("From its end the mark is met once, and from one side."),
                    seen(sheet, State.WARMING, say("the sign for warming up")),
                    plain("Nothing: no supply. The sign for a missing sensor: the plug is not home."), trouble,
                    say("It is on"));
            case POWER_ON -> new Instruction(plain("Ignition on, sensor in free air."),
                    plain("Nothing is set: it was trimmed when it was made. What it shows of today's air is checked."),
                    seen(sheet, State.WARMING, say("the sign for warming up")),
                    plain("Nothing: no supply. The sign for a missing sensor: the plug is not home."), trouble,
                    say("It is on"));
            case WARM -> new Instruction(plain("Wait: it warms up. What it shows is a placeholder."),
                    Message.of("A number is measured only after {0}.",
                            new Measure(coach.warmUp(), Dimension.DURATION, 0)),
                    seen(sheet, State.READY, say("the sign for ready, in the end")),
                    plain("Too cold for long: weak supply or a heater wire. Too hot: unplug."), trouble, "");
            case TURN -> new Instruction(
                    plain("Raise the gain a little at a time and wait after each; stop where the display gives up its highest number for what it shows in air."),
                    plain("There its gain fits this sensor in this air."), air(sheet),
                    plain("The mark never comes: sensor spent or in fumes. It comes at once: turn back and begin again."),
                    trouble, say("The mark is there"));
            case STEADY -> new Instruction(
                    Message.of("Watch what it shows until it has been steady for {0}.",
                            new Measure(Steadiness.LONG_ENOUGH, Dimension.DURATION, 0)),
                    plain("By hand: enter it now, half way, and at the end."), air(sheet),
                    plain("It wanders: fumes or draught. It jumps: plug or lead. It falls: still warming."), trouble,
                    "");
            case READY -> new Instruction(plain("Steady. Record it."),
                    plain("Air, conditions, day and what it showed go into the job."), air(sheet), Message.NONE,
                    trouble, say("Record"));
            case RECORDED -> new Instruction(plain("Recorded."),
                    plain(sheet.school() == CalibrationSchool.CLEAR_THEN_LEARN
                            ? "Never power it with the sensor unplugged again: that clears it."
                            : sheet.school() == CalibrationSchool.TRIM_BY_HAND
                                    ? "Seal the adjuster: whoever turns it calibrates it anew."
                                    : "Check it again in air when sensor or place changes."),
                    Message.NONE, Message.NONE, Message.NONE, "");
            case STOPPED -> new Instruction(plain("Stopped: nothing was recorded."),
                    plain("What the controller has learned meanwhile is not known: begin again."), Message.NONE,
                    Message.NONE, trouble, "");
        };
    }

    private static Message seen(ControllerSheet sheet, State state, String usual) {
        return Message.of("Should show: {0}.", plain(sheet.seen(state).orElse(usual)));
    }

    private static Message air(ControllerSheet sheet) {
        InAir inAir = sheet.inAir();
        Double value = inAir.value();
        return switch (inAir.kind()) {
            case LEARNED -> Message.of("Should show: {0}, its own idea of air.",
                    new Measure(value == null ? 0 : value, Dimension.FRACTION, 2));
            case OF_THE_DAY -> plain("Should show: today's oxygen.");
            case TOP -> value == null
                    ? plain("Should show: the top of its range.")
                    : Message.of("Should show: {0}, the top of its range.", new Measure(value, Dimension.MIXTURE, 2));
        };
    }

    private static Message trouble(Coach coach) {
        CoachStep from = coach.now().from();
        Message was = plain(from == null ? "" : from.words());
        return switch (coach.now().trouble()) {
            case NONE -> Message.NONE;
            case CONDITION -> Message.of("Stopped at “{0}”: a condition does not hold any more.", was);
            case NOT_UNPLUGGED -> plain("It sees its sensor: unplug it, or it lost its supply.");
            case SENSOR_LOST -> plain(coach.sheet().school() == CalibrationSchool.CLEAR_THEN_LEARN
                    ? "It missed its sensor while powered: what it learned is cleared. Push the plug home."
                    : "No sensor detected: push the plug home, look at the lead.");
            case HEATER -> plain("The heater's circuit is broken: look at its wires and at the plug.");
            case LOW_SUPPLY -> plain("The supply is too low: charge the battery, look at feed and ground.");
            case FAULT -> plain("It shows a fault: read its manual, mend it, begin again.");
            case HOT -> plain("The sensor is too hot: power off, let it cool.");
            case COLD -> plain("The sensor has lost its temperature: less draught, look at the supply.");
            case NOT_READY -> plain("It did not get ready in its time: weak supply, heater wire, or a spent sensor.");
            case TOO_SOON -> Message.of(
                    "Ready within {0} is doubted: no heater is that quick. Look again and pick what it shows now; if it is so, it was not unplugged long enough.",
                    new Measure(Coach.SOONEST, Dimension.DURATION, 0));
            case PLACEHOLDER -> plain("That number is the placeholder: it measures nothing yet.");
            case SIMULATED -> plain("A simulated controller proves nothing here: connect the real one, or type.");
            case UNSTEADY -> plain("It did not stay steady: fumes, draught or a loose lead.");
            case UNSEEN -> plain("Nothing was read for a while: watch it again.");
            case LINK_LOST -> plain("The link was lost: what was watched before does not count.");
            case POWER_LOST -> Message.of("Power was lost at “{0}”: it begins again.", was);
            case LEFT -> Message.of("It was at “{0}” when the job was left.", was);
            case STOPPED -> Message.of("Stopped by hand at “{0}”.", was);
        };
    }

    /** Returns in a sentence what is to be done about a state that is seen. */
    public static Message meaning(State state) {
        return plain(switch (state) {
            case WARMING -> "It heats; what it shows is a placeholder.";
            case LEARNING -> "It takes what it measures for air.";
            case READY -> "Its sensor is at temperature.";
            case COLD -> "Too cold: draught, weak supply, or the heater.";
            case HOT -> "Too hot: power off.";
            case NO_SENSOR -> "No sensor detected: plug or lead.";
            case HEATER -> "The heater's circuit is broken.";
            case LOW_SUPPLY -> "The supply is too low.";
            case FAULT -> "Read its manual.";
        });
    }
}
