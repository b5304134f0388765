package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {
    private static final UnitChoice OTHER = new UnitChoice(true, true, true, true);
    private static final QuantityField CLOCK = QuantityField.of("Clock", Unit.DEGREE, -180, 180);
    private static final QuantityField PIPE = QuantityField.of("Pipe", Unit.MILLIMETRE, 0, 10_000);

    @ParameterizedTest
    @CsvSource({"0, 12:00", "56, 1:52", "-80, 9:20", "90, 3:00", "180, 6:00", "-0.2, 12:00", "359.9, 12:00"})
    void anglesOnTheClockFace(double degrees, String clock) {
        assertThat(Figures.clock(Math.toRadians(degrees))).isEqualTo(clock);
    }

    /** What a clock field shows is read back as the same place, to half a minute of the clock. */
    @Property
    void theClockIsReadAsItIsShown(@ForAll @DoubleRange(min = -179.7, max = 179.7) double degrees) {
        Parsed back = CLOCK.parse(Figures.clock(Math.toRadians(degrees)), 14.7);
        assertThat(Math.toDegrees(((Parsed.Value) back).si())).isCloseTo(degrees, within(0.2501));
    }

    /** An entry that is shown in either unit and kept again does not creep. */
    @Property
    void anEntryShownAndKeptAgainStaysWhereItIs(@ForAll @DoubleRange(min = 0, max = 9) double metres,
            @ForAll boolean inches) {
        UnitChoice units = new UnitChoice(false, inches, false, false);
        String shown = Figures.entry(PIPE, 1, metres, units, 14.7);
        double once = ((Parsed.Value) PIPE.in(units.shown(Unit.MILLIMETRE)).parse(shown, 14.7)).si();
        assertThat(once).isCloseTo(metres, within(6e-5));
        String again = Figures.entry(PIPE, 1, once, units, 14.7);
        assertThat(again).isEqualTo(shown);
    }

    @Test
    void entriesCarryTheirUnitAndNoIdleZeros() {
        assertThat(Figures.entry(PIPE, 1, 0.0635, UnitChoice.METRIC, 14.7)).isEqualTo("63.5 mm");
        assertThat(Figures.entry(PIPE, 1, 0.46, UnitChoice.METRIC, 14.7)).isEqualTo("460 mm");
        assertThat(Figures.entry(PIPE, 1, 0.0635, OTHER, 14.7)).isEqualTo("2.5 in");
        assertThat(Figures.entry(QuantityField.of("Mix", Unit.LAMBDA, 0, 2), 3, 1, OTHER, 9.81)).isEqualTo("9.81 AFR");
        assertThat(Figures.entry(QuantityField.of("Slope", Unit.DEGREE, -90, 90), 1, Math.toRadians(-4), OTHER, 1))
                .isEqualTo("-4°");
    }

    @Test
    void timesReadAsPeopleSayThem() {
        assertThat(Figures.time(45)).isEqualTo("45 min");
        assertThat(Figures.time(125)).isEqualTo("2 h 05");
    }
}
