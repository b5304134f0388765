package amberheron.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityFieldTest {
    private static final QuantityField PIPE = QuantityField.of("Pipe diameter", Unit.MILLIMETRE, 10, 300);
    private static final QuantityField CLOCK = QuantityField.of("Clock", Unit.DEGREE, -180, 180);
    private static final QuantityField MIX = QuantityField.of("Mixture", Unit.LAMBDA, 0.3, 3);
    private static final QuantityField WIRE = QuantityField.of("Wire", Unit.SQUARE_MILLIMETRE, 0.05, 50);

    private static double value(QuantityField field, String typed) {
        assertThat(field.parse(typed, 14.7)).isInstanceOf(Parsed.Value.class);
        return ((Parsed.Value) field.parse(typed, 14.7)).si();
    }

    private static String fault(QuantityField field, String typed) {
        assertThat(field.parse(typed, 14.7)).isInstanceOf(Parsed.Bad.class);
        return ((Parsed.Bad) field.parse(typed, 14.7)).message();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"63.5|0.0635", "63,5|0.0635", "2 1/2 in|0.0635", "2½ in|-", "2.5\"|0.0635",
            "1/2 in|0.0127", " 6.35 cm |0.0635", "0.05m|0.05", "5e1|0.05"})
    void lengthsAsPeopleTypeThem(String typed, String metres) {
        if (metres.equals("-")) {
            assertThat(fault(PIPE, typed)).contains("2½ in").contains("63.5, 2 1/2 in or 46 cm");
        } else {
            assertThat(value(PIPE, typed)).isCloseTo(Double.parseDouble(metres), within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource({"12:00, 0", "3:00, 90", "9:20, -80", "2:40, 80", "1:52, 56", "6:00, 180", "-12°, -12", "30, 30"})
    void clockPositionsAndAngles(String typed, double degrees) {
        assertThat(Math.toDegrees(value(CLOCK, typed))).isCloseTo(degrees, within(1e-9));
    }

    /** A million ohms and a thousandth of one differ by the size of a letter. */
    @ParameterizedTest
    @CsvSource({"1 MΩ, 1e6", "5 mΩ, 0.005", "10 kΩ, 1e4", "10k, 1e4", "470 KOHM, 4.7e5", "0.4, 0.4", "2 megohm, 2e6"})
    void resistancesAsPeopleTypeThem(String typed, double ohms) {
        QuantityField field = QuantityField.of("Input", Unit.OHM, 0, 1e9);
        assertThat(value(field, typed)).isCloseTo(ohms, within(1e-9 * ohms));
    }

    /** 18 AWG is 0.823 mm²: ASTM B258. */
    @Test
    void wireByGaugeOrSection() {
        assertThat(value(WIRE, "18 awg") * 1e6).isCloseTo(0.823, within(5e-4));
        assertThat(value(WIRE, "18ga")).isEqualTo(value(WIRE, "18 AWG"));
        assertThat(value(WIRE, "0.75 mm2")).isCloseTo(0.75e-6, within(1e-15));
    }

    @Test
    void afrIsReadWithTheStatedRatio() {
        assertThat(((Parsed.Value) MIX.parse("9.81 AFR", 9.81)).si()).isCloseTo(1, within(1e-12));
        assertThat(((Parsed.Value) MIX.parse("0.88", 9.81)).si()).isCloseTo(0.88, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "wide", "63.5 V", "1 200", "12:75", "5..2", "0x10", "NaN", "1e999", "1/0 in", "--5"})
    void whatIsNotALengthIsRefusedWithTheEntryAndWhatWasExpected(String typed) {
        assertThat(fault(PIPE, typed)).startsWith("Pipe diameter: found “" + typed + "”").contains("expected");
    }

    @Test
    void outOfRangeSaysTheRangeInTheFieldsUnit() {
        assertThat(fault(PIPE, "6 mm")).contains("expected between 10 mm and 300 mm");
    }

    @Test
    void aThousandsCommaIsNotTakenForADecimalOne() {
        QuantityField height = QuantityField.of("Height", Unit.METRE, -500, 6000);
        assertThat(fault(height, "1,500")).contains("1500").contains("1.500");
        assertThat(value(height, "1,5")).isCloseTo(1.5, within(1e-12));
        assertThat(value(height, "0,500")).isCloseTo(0.5, within(1e-12));
    }

    @Test
    void aPastedFileIsRefusedUnread() {
        assertThat(fault(PIPE, "9".repeat(100_000))).contains("100000 characters").hasSizeLessThan(200);
    }

    @Property
    void everyUnitGoesToSiAndBack(@ForAll Unit unit, @ForAll @DoubleRange(min = -1000, max = 1000) double value) {
        assertThat(unit.fromSi(unit.toSi(value))).isCloseTo(value, within(1e-9));
    }
}
