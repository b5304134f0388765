package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.scaling.FaultParameters.Name;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FaultParametersTest {
    @Test
    void sayTheLawFirstThenItsFiguresInOneOrderWhateverOrderTheyCameIn() {
        FaultParameters other = new FaultParameters(Map.of(Name.OFFSET, 0.5), "two-v", null, false).with(Name.SLOPE,
                0.16);

        assertThat(other.words()).isEqualTo(": two-v, 0.160 λ per V, from 0.500 λ");
    }

    @Test
    void sayWhichWayTheVoltsMoveAndThatTheyMoveOnlyWhileItRuns() {
        FaultParameters running = new FaultParameters(Map.of(Name.VOLTS, 0.06), null, null, true);

        assertThat(running.words()).isEqualTo(" while it runs, +60 mV");
        assertThat(running.with(Name.VOLTS, -0.06).words()).endsWith(" −60 mV");
    }

    @Test
    void keepFiguresThatMeanNothingInTheShopOutOfTheWords() {
        FaultParameters narrow = FaultParameters.of(Name.WIDTH, 0.01).with(Name.RICH_VOLTS, 0.9);

        assertThat(narrow.words()).isEmpty();
        assertThat(narrow.value(Name.RICH_VOLTS)).hasValue(0.9);
        assertThat(narrow.value(Name.VOLTS)).isEmpty();
    }
}
