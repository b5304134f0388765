package amberheron.core.wiring;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.WireEffect;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Unit;
import amberheron.core.wiring.Hookup.Form;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Judges how each reader is hooked up. */
public final class SignalRules {
    /** The most a simulated narrowband puts out, V. */
    private static final double NARROWBAND_MOST = 1.0;
    /** The most an analog output puts out where no law is chosen yet, V. */
    private static final double ANALOG_MOST = 5.0;
    /** Less than this on an output whose law is not known is let pass, V; from memory. */
    private static final double UNNOTICED = 0.02;
    /** Steps in which the whole output is looked over for the worst place. */
    private static final int STEPS = 50;

    private static final Source HOOKUPS = Source.practice(
            "each output to the input made for it; narrowband and wideband are not interchangeable on one input");
    private static final Source MILLMAN = Source
            .derived("V = (Vo/Ro + Vp/Rp) / (1/Ro + 1/Rp + 1/Rin), Millman's theorem");
    private static final Source RATING = Source
            .derived("the highest the output or a pull-up can put on the pin, against what the reader's sheet allows");

    private SignalRules() {
    }

    /**
     * Every check of the signal.
     *
     * @param readers what reads it
     * @param law the controller's; null until chosen
     * @param tolerance what gauge and reader may differ by, λ
     */
    public static List<Finding> judge(Signals signals, Set<ReaderKind> readers, @Nullable OutputLaw law,
            double tolerance) {
        List<Finding> findings = new ArrayList<>();
        for (ReaderKind reader : readers) {
            if (!reader.wired()) {
                continue;
            }
            Hookup hookup = signals.of(reader);
            findings.add(hookup(hookup));
            Form form = hookup.form();
            if (form != null && form.analog() && hookup.refusal().isEmpty()) {
                over(hookup, form, law).ifPresent(findings::add);
                load(signals, hookup, form, law, tolerance).ifPresent(findings::add);
            }
        }
        return List.copyOf(findings);
    }

    private static Finding hookup(Hookup hookup) {
        Form form = hookup.form();
        Optional<String> refused = hookup.refusal();
        Verdict verdict = form == null ? Verdict.UNKNOWN : refused.isPresent() ? Verdict.FAIL : Verdict.PASS;
        ReaderKind reader = hookup.reader();
        return new Finding(new Check(WireCheck.SIGNAL_FORM, reader.key()),
                Message.of("Signal to the {0}", Message.plain(reader.words())), verdict, null, null,
                form == null
                        ? Message.plain("Say how the signal gets there.")
                        : refused.map(Message::plain).orElseGet(() -> Message.of("Connect: {0}.",
                                Message.joined("; ", hookup.needs().stream().map(Message::plain).toList()))),
                null, Message.plain(form == null ? "" : form.words()), HOOKUPS,
                List.of(WireField.SIGNAL_FORM.of(reader.key())));
    }

    private static Optional<Finding> over(Hookup hookup, Form form, @Nullable OutputLaw law) {
        Double allowed = hookup.mostVolts();
        if (allowed == null) {
            return Optional.empty();
        }
        double output = form == Form.NARROWBAND
                ? NARROWBAND_MOST
                : law == null ? ANALOG_MOST : law.highestVolts();
        // With the controller unplugged only the pull-up is left on the pin.
        Double pull = hookup.pullUpOhms() == null ? null : hookup.pullUpVolts();
        double most = Math.max(output, pull == null ? 0 : pull);
        Limit limit = new Limit(AT_MOST, new Measure(allowed, Dimension.VOLTAGE, 2));
        boolean kept = limit.keptBy(most);
        return Optional.of(new Finding(WireCheck.SIGNAL_OVER, "", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(most, Dimension.VOLTAGE, 2), limit,
                kept
                        ? "Never more than the input stands."
                        : "The input is over-driven: it clips at best, at worst it is damaged. A lower output range, or another input.",
                null, "the greater of the output's highest volts and the pull-up's supply", RATING)
                .of(hookup.reader().key(),
                        Message.of("Most on the pin, {0}", Message.plain(hookup.reader().words())))
                .asking(WireField.SIGNAL_MOST.of(hookup.reader().key())));
    }

    private static Optional<Finding> load(Signals signals, Hookup hookup, Form form, @Nullable OutputLaw law,
            double tolerance) {
        Double input = hookup.inputOhms();
        Double pull = hookup.pullUpOhms();
        Double pullVolts = hookup.pullUpVolts();
        Double output = signals.outputOhms();
        if (input == null && pull == null) {
            return Optional.empty();
        }
        String reader = hookup.reader().key();
        Message subject = Message.of("Moved by the input, {0}", Message.plain(hookup.reader().words()));
        Optional<WireEffect> effect = output == null ? Optional.empty() : hookup.loading(output);
        if (output == null || effect.isEmpty()) {
            return Optional.of(new Finding(WireCheck.SIGNAL_LOAD, "", Verdict.UNKNOWN, null, null,
                    output == null
                            ? "Enter the resistance of the controller's output; its sheet has it."
                            : "Enter the supply of the pull-up.",
                    null, "", MILLMAN).of(reader, subject).asking(output == null
                            ? WireField.SIGNAL_OUTPUT.of(reader)
                            : WireField.SIGNAL_PULL_VOLTS.of(reader)));
        }
        // A narrowband's volts stand for no mixture but λ 1, so nothing can be said of the reading.
        OutputLaw judged = form == Form.NARROWBAND ? null : law;
        double low = judged == null ? 0 : judged.lowestVolts();
        double high = form == Form.NARROWBAND ? NARROWBAND_MOST : judged == null ? ANALOG_MOST : judged.highestVolts();
        double worst = 0;
        double cost = 0;
        double at = low;
        for (int i = 0; i <= STEPS; i++) {
            double volts = low + i * (high - low) / STEPS;
            double pin = effect.get().atPin(volts);
            double costs = judged == null
                    ? 0
                    : judged.lambdaAt(Math.clamp(pin, low, high)) - judged.lambdaAt(volts);
            // By the reading where a law is known: where it is bent, few volts cost much.
            boolean worse = judged == null
                    ? Math.abs(pin - volts) > Math.abs(worst)
                    : Math.abs(costs) > Math.abs(cost);
            if (worse) {
                worst = pin - volts;
                at = volts;
                cost = costs;
            }
        }
        Verdict verdict = judged == null
                ? Math.abs(worst) < UNNOTICED ? Verdict.PASS : Verdict.WARN
                : Math.abs(cost) <= tolerance ? Verdict.PASS : Verdict.FAIL;
        Message working = Message.of("worst at {0}: output {1}{2}{3}", Measure.of(at, Unit.VOLT, 2),
                Measure.of(output, Unit.OHM, 0),
                input == null ? Message.NONE : Message.of(", input {0}", Measure.of(input, Unit.OHM, 0)),
                pull == null
                        ? Message.NONE
                        : Message.of(", pull-up {0} to {1}", Measure.of(pull, Unit.OHM, 0),
                                Measure.of(pullVolts == null ? 0 : pullVolts, Unit.VOLT, 1)));
        return Optional.of(new Finding(WireCheck.SIGNAL_LOAD, "", verdict, new Measure(worst, Dimension.VOLTAGE, 3),
                null,
                verdict == Verdict.PASS
                        ? "The input hardly loads the output."
                        : pull != null && worst > 0
                                ? "The pull-up lifts the signal: remove it, or scale at the reader with check points."
                                : "The input loads the output: an input of higher resistance, or check points at the reader.",
                judged == null ? null : cost, working, MILLMAN).of(reader, subject)
                .asking(WireField.SIGNAL_INPUT.of(reader), WireField.SIGNAL_OUTPUT.of(reader)));
    }
}
