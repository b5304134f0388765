package amberheron.core.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.controller.StreamFormat.Column;
import amberheron.core.controller.StreamFormat.Field;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StreamFormatTest {
    /** Milliseconds, an AFR of 14.7, a word, separated by semicolons, with a decimal comma. */
    private static final StreamFormat SHOPS = new StreamFormat("shop", "what the shop described", "go", ";",
            List.of(new Column(Field.SECONDS, 0.001), new Column(Field.IGNORED, 1), new Column(Field.LAMBDA, 1 / 14.7),
                    new Column(Field.STATE, 1)),
            Map.of("fine", State.READY, "brr", State.COLD), false);

    @Test
    void aShopsOwnStreamIsReadByItsDescription() {
        Report report = SHOPS.read("1500; whatever ;16,17;fine").orElseThrow();
        assertThat(report.seconds()).isEqualTo(1.5);
        assertThat(report.lambda()).isCloseTo(1.1, within(1e-9));
        assertThat(report.state()).isEqualTo(State.READY);
        assertThat(report.oxygen()).isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", ";", "1500;x;16.17", "1500;x;16.17;fine;1", "1500;x;16.17;grim", "1500;x;NaN;fine",
            "1500;x;0x1p3;fine", "1500;x;1e9;fine", "1500;x;--3;fine", "1500;x;-3;fine", ";x;;"})
    void aLineThatIsNotInItsFormSaysNothing(String line) {
        assertThat(SHOPS.read(line)).isEmpty();
    }

    /** The CRC-32 of the ASCII digits 1 to 9 is CBF43926: the check value of the published catalogue of CRCs. */
    @Test
    void ourOwnLinesEndInTheCrcOfWhatStandsBefore() {
        StreamFormat digits = new StreamFormat("d", "d", "", ",", List.of(new Column(Field.SECONDS, 1)), Map.of(),
                true);
        assertThat(digits.read("123456789,CBF43926")).isPresent();
        assertThat(digits.read("123456798,CBF43926")).isEmpty();
    }

    @Property
    void whatIsWrittenIsReadAgain(@ForAll @DoubleRange(min = 0, max = 1e6) double seconds,
            @ForAll @DoubleRange(min = 0.3, max = 20) double lambda,
            @ForAll @DoubleRange(min = 0, max = 1) double oxygen,
            @ForAll State state) {
        Report read = StreamFormat.OWN
                .read(StreamFormat.write(new Report(seconds, state, lambda, oxygen, null, 12.4))).orElseThrow();
        assertThat(read.seconds()).isCloseTo(seconds, within(6e-4));
        assertThat(read.lambda()).isCloseTo(lambda, within(6e-5));
        assertThat(read.oxygen()).isCloseTo(oxygen, within(6e-6));
        assertThat(read.state()).isEqualTo(state);
        assertThat(read.volts()).isNull();
    }

    @Test
    void twoColumnsThatSayTheSameAreRefused() {
        assertThatThrownBy(() -> new StreamFormat("d", "d", "", ",",
                List.of(new Column(Field.LAMBDA, 1), new Column(Field.LAMBDA, 1)), Map.of(), false))
                .hasMessageContaining("expected one");
    }
}
