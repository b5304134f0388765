package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader.FixedPoint;
import amberheron.core.scaling.Reader.Form;
import amberheron.core.scaling.ReaderSetting.SlopeOffset;
import amberheron.core.scaling.ReaderSetting.Table;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Readers told by counts, in whole numbers, negative ones as two's complement. */
class CountsReaderTest {
    private static final OutputLaw BENT = Laws.table(new Point(0.2, 0.6), new Point(1.7, 0.82), new Point(3.1, 1.04),
            new Point(4.8, 1.4));

    private static Reader reader(Form form, int decimals, @Nullable Integer rows, @Nullable FixedPoint whole) {
        return new Reader("r", "r", form, MixtureScale.lambda(), decimals, new ReaderInput(0, 5, 10), rows, whole, null,
                Source.practice("made up for the test"));
    }

    private static String typed(ReaderSetting setting, Reader reader) {
        return SettingText.of(setting, reader).stream().map(l -> l.ask() + " " + l.type())
                .collect(Collectors.joining("; "));
    }

    @Test
    void aTableByCountsIsAsGoodAsOneByVoltsAndItsRowsAreCounts() {
        Reader counts = reader(Form.COUNTS, 3, 3, null);
        Table found = (Table) SettingFinder.find(BENT, counts).orElseThrow();
        assertThat(found.rows()).hasSizeLessThanOrEqualTo(3).allSatisfy(r -> {
            double count = r.volts() / counts.input().step();
            assertThat(count).isCloseTo(Math.rint(count), within(1e-9));
        });
        double worst = Math.abs(Scaling.report(BENT, counts).orElseThrow().worst().lambda());
        double byVolts = Math.abs(Scaling.report(BENT, reader(Form.TABLE, 3, 3, null)).orElseThrow().worst().lambda());
        assertThat(worst).isLessThan(1.1 * byVolts + 0.0005);
        assertThat(typed(found, counts)).matches("at count \\d+ \\d\\.\\d{3} λ; .*");
        assertThat(SettingText.parse(typed(found, counts).replaceAll("at count|λ", ""), counts)).isEqualTo(found);
    }

    /** 16 bits hold −32768 to 32767: −2.375 with three decimals is 65536 − 2375. */
    @Test
    void aNegativeNumberIsTypedAsItsTwosComplementAndReadBack() {
        Reader words = reader(Form.SLOPE_OFFSET, 3, null, new FixedPoint(16));
        SlopeOffset setting = new SlopeOffset(0.19, -2.375);
        assertThat(typed(setting, words)).isEqualTo("slope per V 190; offset 63161");
        assertThat(SettingText.parse("190 63161", words)).isEqualTo(setting);
        Reader signed = reader(Form.SLOPE_OFFSET, 3, null, new FixedPoint(null));
        assertThat(typed(setting, signed)).isEqualTo("slope per V 190; offset -2375");
        assertThat(SettingText.parse("190 -2375", signed)).isEqualTo(setting);
        assertThatThrownBy(() -> SettingText.parse("190 -2.5", signed)).hasMessageContaining("expected whole numbers");
    }

    @Test
    void whatDoesNotFitIntoItsWordIsSaidAndNotCutOff() {
        Reader narrow = reader(Form.SLOPE_OFFSET, 3, null, new FixedPoint(8));
        assertThat(typed(new SlopeOffset(0.19, 0.1), narrow))
                .contains("slope per V 190, which does not fit into 8 bits");
        assertThatThrownBy(
                () -> new Reader("r", "r", Form.COUNTS, MixtureScale.lambda(), 3, new ReaderInput(0, 5, null),
                        null, null, Source.practice("made up")))
                .hasMessageContaining("expected the bits of the counts");
    }
}
