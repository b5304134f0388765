package amberheron.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Device;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.Estimate;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.Hookup.Form;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SignalTest {
    /** AFR = 2·V + 10. */
    private static final OutputLaw LAW = new OutputLaw("two-v", "2·V + 10", OutputLaw.Kind.LINEAR,
            MixtureScale.afr(14.7), List.of(new OutputLaw.Point(0, 10), new OutputLaw.Point(5, 20)), 0, 5,
            Source.practice("check value"));

    private static List<Finding> judge(Signals signals, ReaderKind reader, @Nullable OutputLaw law) {
        return SignalRules.judge(signals, Set.of(reader), law, 0.1 / 14.7);
    }

    private static Finding finding(List<Finding> findings, String id) {
        return findings.stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow();
    }

    /** What the trade refuses: narrowband and wideband are not interchangeable on the same input. */
    @ParameterizedTest
    @CsvSource({"STOCK_ECU, SINGLE_ENDED, false", "STOCK_ECU, DIFFERENTIAL, false", "STOCK_ECU, NARROWBAND, true",
            "STOCK_ECU, SERIAL, false", "STOCK_ECU, CAN, false", "LOGGER, NARROWBAND, false",
            "LOGGER, SINGLE_ENDED, true", "LOGGER, DIAGNOSTIC_PORT, false", "ECU, CAN, true", "ECU, NARROWBAND, false",
            "SOFTWARE, SINGLE_ENDED, false", "SOFTWARE, SERIAL, true", "SOFTWARE, DIAGNOSTIC_PORT, true",
            "GAUGE, DIFFERENTIAL, true", "DISPLAY, CAN, true"})
    void anOutputGoesOnlyToTheInputMadeForIt(ReaderKind reader, Form form, boolean allowed) {
        Hookup hookup = Hookup.of(reader).withForm(form);
        assertThat(hookup.refusal().isEmpty()).isEqualTo(allowed);
        assertThat(hookup.needs()).isNotEmpty();
        Signals signals = Signals.NONE.with(reader, h -> h.withForm(form));
        assertThat(judge(signals, reader, LAW).getFirst().verdict()).isEqualTo(allowed ? Verdict.PASS : Verdict.FAIL);
    }

    @Test
    void withoutAMinusInputTheMinusGoesToTheReadersSensorGround() {
        Hookup hookup = Hookup.of(ReaderKind.LOGGER).withForm(Form.DIFFERENTIAL);
        assertThat(hookup.needs()).anyMatch(n -> n.contains("sensor ground"));
        assertThat(hookup.withMinusInput(true).needs()).noneMatch(n -> n.contains("sensor ground"));
    }

    /** By hand: 1 kΩ into 10 kΩ leaves 10/11 of the volts; worst at 5 V, where 0.4545 V less is 0.909 AFR less. */
    @Test
    void anInputThatLoadsTheOutputCostsWhatOhmsLawSays() {
        Signals signals = Signals.NONE.withOutputOhms(1000.0).with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(10_000.0));
        Finding load = finding(judge(signals, ReaderKind.LOGGER, LAW), "signal.load.logger");
        assertThat(load.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(Objects.requireNonNull(load.figure()).si()).isCloseTo(-5.0 / 11, within(1e-9));
        assertThat(Objects.requireNonNull(load.lambdaCost())).isCloseTo(-2 * 5.0 / 11 / 14.7, within(1e-9));
        Signals light = signals.with(ReaderKind.LOGGER, h -> h.withInputOhms(1e6));
        assertThat(finding(judge(light, ReaderKind.LOGGER, LAW), "signal.load.logger").verdict())
                .isEqualTo(Verdict.PASS);
    }

    /** By hand: 100 Ω against a pull-up of 4.9 kΩ to 5 V lifts 0 V by a fiftieth of 5 V: 0.1 V, 0.2 AFR. */
    @Test
    void aPullUpLiftsTheLowEndMost() {
        Signals signals = Signals.NONE.withOutputOhms(100.0).with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withPullUpOhms(4900.0).withPullUpVolts(5.0));
        Finding load = finding(judge(signals, ReaderKind.LOGGER, LAW), "signal.load.logger");
        assertThat(Objects.requireNonNull(load.figure()).si()).isCloseTo(0.1, within(1e-9));
        assertThat(load.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(load.consequence().metric()).contains("pull-up");
    }

    /** On a bent law the dearest volts decide, not the most volts: here the first fifth of a volt spans half the scale. */
    @Test
    void whereTheLawIsBentTheReadingDecides() {
        OutputLaw bent = new OutputLaw("bent", "bent", OutputLaw.Kind.TABLE, MixtureScale.lambda(),
                List.of(new OutputLaw.Point(0, 0.6), new OutputLaw.Point(0.2, 1.0), new OutputLaw.Point(5, 1.4)), 0, 5,
                Source.practice("made up for the test"));
        Signals signals = Signals.NONE.withOutputOhms(100.0).with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(5_000.0).withPullUpOhms(9_900.0)
                        .withPullUpVolts(5.0));
        Finding load = finding(judge(signals, ReaderKind.LOGGER, bent), "signal.load.logger");
        assertThat(load.working().metric()).startsWith("worst at 0.00 V");
        assertThat(Objects.requireNonNull(load.lambdaCost())).isGreaterThan(0.09);
    }

    /** Nothing is said of the reading without a law, but a lifted narrowband is warned of. */
    @Test
    void withoutALawTheVoltsAreWarnedOf() {
        Signals signals = Signals.NONE.withOutputOhms(1000.0).with(ReaderKind.STOCK_ECU,
                h -> h.withForm(Form.NARROWBAND).withPullUpOhms(20_000.0).withPullUpVolts(5.0));
        Finding load = finding(judge(signals, ReaderKind.STOCK_ECU, LAW), "signal.load.stock_ecu");
        assertThat(load.verdict()).isEqualTo(Verdict.WARN);
        assertThat(load.lambdaCost()).isNull();
        assertThat(load.consequence().metric()).contains("pull-up");
    }

    @Test
    void withoutTheOutputsResistanceNothingIsPassed() {
        Signals signals = Signals.NONE.with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(1e6));
        assertThat(finding(judge(signals, ReaderKind.LOGGER, LAW), "signal.load.logger").verdict())
                .isEqualTo(Verdict.UNKNOWN);
        assertThat(judge(Signals.NONE, ReaderKind.LOGGER, LAW).getFirst().verdict()).isEqualTo(Verdict.UNKNOWN);
    }

    @Test
    void anInputIsNotDrivenOverWhatItStands() {
        Signals signals = Signals.NONE.with(ReaderKind.LOGGER,
                h -> h.withForm(Form.SINGLE_ENDED).withMostVolts(3.3));
        assertThat(finding(judge(signals, ReaderKind.LOGGER, LAW), "signal.over.logger").verdict())
                .isEqualTo(Verdict.FAIL);
        Signals five = signals.with(ReaderKind.LOGGER, h -> h.withMostVolts(5.0));
        assertThat(finding(judge(five, ReaderKind.LOGGER, LAW), "signal.over.logger").verdict())
                .isEqualTo(Verdict.PASS);
        // Unplugged, a pull-up to 12 V is all that is left on the pin.
        Signals pulled = five.with(ReaderKind.LOGGER, h -> h.withPullUpOhms(10_000.0).withPullUpVolts(12.0));
        assertThat(finding(judge(pulled, ReaderKind.LOGGER, LAW), "signal.over.logger").verdict())
                .isEqualTo(Verdict.FAIL);
        Signals narrow = Signals.NONE.with(ReaderKind.STOCK_ECU,
                h -> h.withForm(Form.NARROWBAND).withMostVolts(1.2));
        assertThat(finding(judge(narrow, ReaderKind.STOCK_ECU, LAW), "signal.over.stock_ecu").verdict())
                .isEqualTo(Verdict.PASS);
    }

    @Test
    void theHeaterIsAtRiskUntilThePipeIsDry() {
        Estimate dry = new Estimate(18, 40);
        HeaterTiming ignition = HeaterTiming.OPEN.withSchool(HeaterTiming.HeaterSchool.WITH_IGNITION);
        assertThat(ignition.atRisk(HeaterTiming.HeaterSchool.WITH_IGNITION, dry)).as("from when the ceramic is hot")
                .isEqualTo(new Estimate(3, 25));
        assertThat(ignition.judge(new Estimate(2, 15)).verdict()).as("dry before it is hot").isEqualTo(Verdict.PASS);
        assertThat(ignition.judge(new Estimate(2, 15.1)).verdict()).isEqualTo(Verdict.WARN);
        assertThat(ignition.judge(dry).verdict()).isEqualTo(Verdict.WARN);
        HeaterTiming timer = HeaterTiming.OPEN.withSchool(HeaterTiming.HeaterSchool.TIMER_RELAY);
        assertThat(timer.atRisk(HeaterTiming.HeaterSchool.TIMER_RELAY, dry)).isEqualTo(new Estimate(0, 0));
        assertThat(timer.withDelay(24.0).judge(dry).verdict()).isEqualTo(Verdict.WARN);
        assertThat(timer.withDelay(100.0).judge(dry).verdict()).isEqualTo(Verdict.PASS);
        assertThat(timer.withDelay(100.1).judge(dry).consequence().metric()).as("a minute past dry").contains("soots");
        assertThat(timer.withDelay(45.0).judge(dry).verdict()).isEqualTo(Verdict.PASS);
        assertThat(timer.judge(null).verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(HeaterTiming.OPEN.judge(dry).verdict()).isEqualTo(Verdict.UNKNOWN);
    }

    /** The law is scaled for the logger, and its ground is where the signal's goes; what its input takes reaches Scale. */
    @Test
    void withGaugeAndLoggerTheSignalIsTheLoggers() {
        Set<ReaderKind> both = Set.of(ReaderKind.GAUGE, ReaderKind.LOGGER);
        Wiring wiring = Wiring.UNMEASURED
                .withGround(GroundPlan.UNMEASURED.withSchool(GroundSchool.READER).withTwoWires(true))
                .withSignals(Signals.NONE.withOutputOhms(1000.0)
                        .with(ReaderKind.GAUGE, h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(1e6))
                        .with(ReaderKind.LOGGER, h -> h.withForm(Form.SINGLE_ENDED).withInputOhms(9_000.0)));
        assertThat(wiring.needed(both)).filteredOn(w -> w.work() == Work.SIGNAL_GROUND).singleElement()
                .extracting(Wire::to).isEqualTo(Device.LOGGER);
        assertThat(WireRules.effect(wiring, both).atPin(4.0)).isCloseTo(3.6, within(1e-9));
        assertThat(WireRules.effect(wiring.withSignals(wiring.signals().withOutputOhms(null)), both).atPin(4.0))
                .isEqualTo(4.0);
    }

    @Test
    void theChartNeedsWhatReadersGroundsAndHookupsAskFor() {
        Wiring wiring = Wiring.UNMEASURED
                .withGround(GroundPlan.UNMEASURED.withSchool(GroundSchool.READER).withTwoWires(true))
                .withSignals(Signals.NONE.with(ReaderKind.ECU, h -> h.withForm(Form.DIFFERENTIAL)));
        assertThat(wiring.needed(Set.of(ReaderKind.ECU)))
                .extracting(Wire::work, Wire::to)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(Work.POWER, Device.POWER),
                        org.assertj.core.groups.Tuple.tuple(Work.HEATER_GROUND, Device.CHASSIS),
                        org.assertj.core.groups.Tuple.tuple(Work.SIGNAL_GROUND, Device.ECU),
                        org.assertj.core.groups.Tuple.tuple(Work.ANALOG, Device.ECU),
                        org.assertj.core.groups.Tuple.tuple(Work.ANALOG_MINUS, Device.ECU));
    }
}
