package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.WireEffect;
import java.util.List;
import org.junit.jupiter.api.Test;

class SimulatedBenchTest {
    private static final Source MADE_UP = Source.practice("made up for the test");
    private static final OutputLaw LAW = new OutputLaw("l", "l", OutputLaw.Kind.LINEAR, MixtureScale.afr(14.7),
            List.of(new OutputLaw.Point(0, 10), new OutputLaw.Point(5, 20)), 0, 5, MADE_UP);
    private static final Reader READER = new Reader("r", "r", Reader.Form.SLOPE_OFFSET, MixtureScale.afr(14.7), 3,
            new ReaderInput(0, 5, 12), null, null, MADE_UP);

    private static Bench bench(double shift) {
        return new SimulatedBench(
                new SignalChain(LAW, WireEffect.linear(1, shift), READER, new ReaderSetting.SlopeOffset(2, 10)), 1);
    }

    @Test
    void theFaultInTheWireIsInTheReading() {
        Bench.Reading reading = bench(0.075).take(2.5);
        assertThat(reading.volts()).isCloseTo(2.5, within(0.005));
        assertThat(reading.shown()).isCloseTo(15.15, within(0.005));
        assertThat(bench(0).take(2.5).shown()).isCloseTo(15, within(0.005));
    }

    @Test
    void moreThanFiveVoltsIsNeverApplied() {
        assertThatThrownBy(() -> bench(0).take(5.5)).hasMessageContaining("destroy");
    }

    @Test
    void theDriveShowsNothingWhileItWarmsAndThenSwingsAboutStoichiometric() {
        SimulatedDrive drive = new SimulatedDrive();
        assertThat(drive.lambda(1)).isEmpty();
        for (double t = 4; t < 14; t += 0.1) {
            assertThat(drive.lambda(t).orElseThrow()).isBetween(0.97, 1.03);
        }
        assertThat(drive.lambda(3 + 15.9).orElseThrow()).as("full throttle").isCloseTo(12 / 14.7, within(0.01));
    }
}
