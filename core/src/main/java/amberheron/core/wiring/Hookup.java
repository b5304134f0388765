package amberheron.core.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.WireEffect;
import amberheron.core.units.Sane;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a reader gets the mixture from the controller, and what its input is like.
 *
 * @param reader which
 * @param form how the signal gets there; null until chosen
 * @param minusInput whether it has a − input of its own
 * @param inputOhms from the input to ground, Ω; null when not known
 * @param pullUpOhms to its own supply, Ω; null when there is none
 * @param pullUpVolts that supply, V; null when not known
 * @param mostVolts the most the input stands or reads, V; null when not known
 */
public record Hookup(ReaderKind reader, @Nullable Form form, boolean minusInput, @Nullable Double inputOhms,
        @Nullable Double pullUpOhms, @Nullable Double pullUpVolts, @Nullable Double mostVolts) {
    public Hookup {
        Sane.RESISTANCE.check("inputOhms", inputOhms);
        Sane.RESISTANCE.check("pullUpOhms", pullUpOhms);
        Sane.SUPPLY.check("pullUpVolts", pullUpVolts);
        Sane.SUPPLY.check("mostVolts", mostVolts);
    }

    /** A way to bring the mixture to a reader. */
    public enum Form {
        SINGLE_ENDED("0–5 V, single-ended"),
        DIFFERENTIAL("0–5 V, + and −"),
        NARROWBAND("simulated narrowband, 0–1 V"),
        SERIAL("serial"),
        CAN("CAN"),
        DIAGNOSTIC_PORT("diagnostic port");

        private final String words;

        Form(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether volts stand for the mixture. */
        public boolean analog() {
            return this == SINGLE_ENDED || this == DIFFERENTIAL || this == NARROWBAND;
        }
    }

    /** A reader of which only the kind is known. */
    public static Hookup of(ReaderKind reader) {
        return new Hookup(reader, null, false, null, null, null, null);
    }

    /** Why this reader cannot be hooked up so; empty when it can. */
    public Optional<String> refusal() {
        if (form == null) {
            return Optional.empty();
        }
        boolean wantsNarrowband = reader == ReaderKind.STOCK_ECU;
        return Optional.ofNullable(switch (form) {
            case SINGLE_ENDED, DIFFERENTIAL -> wantsNarrowband
                    ? say("A stock ECU's sensor input expects 0 to 1 V switching at λ 1: five volts can "
                            + "damage it, and every other mixture would be read wrong. Use the simulated "
                            + "narrowband output.")
                    : reader == ReaderKind.SOFTWARE
                            ? say("Software has no volts input: it gets numbers by serial, CAN or the diagnostic "
                                    + "port, or from a logger that reads the volts.")
                            : null;
            case NARROWBAND -> wantsNarrowband
                    ? null
                    : say("A simulated narrowband only tells richer from leaner than λ 1: on an input "
                            + "scaled for a wideband every reading is wrong.");
            case SERIAL -> wantsNarrowband
                    ? say("A stock ECU takes no serial data in place of its sensor.")
                    : null;
            case CAN -> wantsNarrowband
                    ? say("A stock ECU takes its sensor's volts, not messages from a controller it does not "
                            + "know.")
                    : null;
            case DIAGNOSTIC_PORT -> reader == ReaderKind.SOFTWARE || reader == ReaderKind.DISPLAY
                    ? null
                    : say("The diagnostic port is where software or a display reads, passed through; it "
                            + "feeds no %s.",
                            reader
                                    .words());
        });
    }

    /**
     * Effect of its input on the volts of an output of so many ohms; empty while it is not known.
     *
     * @param outputOhms Ω
     */
    public Optional<WireEffect> loading(double outputOhms) {
        boolean known = (inputOhms != null || pullUpOhms != null) && (pullUpOhms == null || pullUpVolts != null);
        return known
                ? Optional
                        .of(InputLoading.effect(outputOhms, pullUpOhms == null || pullUpVolts == null ? 0 : pullUpVolts,
                                pullUpOhms == null ? Double.POSITIVE_INFINITY : pullUpOhms,
                                inputOhms == null ? Double.POSITIVE_INFINITY : inputOhms))
                : Optional.empty();
    }

    /** Terminals that have to be connected for it. */
    public List<String> needs() {
        return form == null ? List.of() : switch (form) {
            case SINGLE_ENDED -> List.of(say("analog + to the reader's input"),
                    say("the controller's signal ground to the reader's sensor ground"));
            case DIFFERENTIAL -> List.of(say("analog + to the reader's + input"), minusInput
                    ? say("analog − to the reader's − input")
                    : say("the reader has no − input: analog − to its sensor ground"));
            case NARROWBAND ->
                List.of(say("narrowband output to the stock sensor's signal wire, the stock sensor unplugged"),
                        say("its ground to the stock sensor's signal ground"),
                        say("no wideband volts on the same input"));
            case SERIAL -> List.of(say("data on pin 2"), say("ground on pin 5"), say("the same rate at both ends"));
            case CAN -> List.of(say("CAN high to high, low to low, as a twisted pair"),
                    say("120 Ω at each end of the bus: 60 Ω between the two, all power off"),
                    say("one identifier each, one rate"));
            case DIAGNOSTIC_PORT -> List.of(say("pass-through at the port, with its own supply there"),
                    say("nothing else answering on the same identifier"));
        };
    }

    public Hookup withForm(@Nullable Form value) {
        return new Hookup(reader, value, minusInput, inputOhms, pullUpOhms, pullUpVolts, mostVolts);
    }

    public Hookup withMinusInput(boolean value) {
        return new Hookup(reader, form, value, inputOhms, pullUpOhms, pullUpVolts, mostVolts);
    }

    public Hookup withInputOhms(@Nullable Double value) {
        return new Hookup(reader, form, minusInput, value, pullUpOhms, pullUpVolts, mostVolts);
    }

    public Hookup withPullUpOhms(@Nullable Double value) {
        return new Hookup(reader, form, minusInput, inputOhms, value, pullUpVolts, mostVolts);
    }

    public Hookup withPullUpVolts(@Nullable Double value) {
        return new Hookup(reader, form, minusInput, inputOhms, pullUpOhms, value, mostVolts);
    }

    public Hookup withMostVolts(@Nullable Double value) {
        return new Hookup(reader, form, minusInput, inputOhms, pullUpOhms, pullUpVolts, value);
    }
}
