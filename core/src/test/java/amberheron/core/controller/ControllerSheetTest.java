package amberheron.core.controller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.controller.ControllerSheet.Sign;
import amberheron.core.finding.Source;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a controller's paper may say, and what is read from it. */
class ControllerSheetTest {
    private static final InAir DAY = new InAir(InAir.Kind.OF_THE_DAY, null);
    private static final InAir LEARNED = new InAir(InAir.Kind.LEARNED, 0.2095);

    private static ControllerSheet sheet(CalibrationSchool school, double warmUp, @Nullable Double placeholder,
            InAir inAir) {
        return new ControllerSheet("x", "X", school, warmUp, placeholder, inAir,
                List.of(new Sign("two blinks", State.WARMING), new Sign("steady", State.READY),
                        new Sign("three blinks", State.WARMING)),
                List.of(), Source.practice("invented"));
    }

    private static ControllerSheet factory(double warmUp, @Nullable Double placeholder) {
        return sheet(CalibrationSchool.FACTORY_TRIMMED, warmUp, placeholder, DAY);
    }

    @ParameterizedTest
    @CsvSource({"1, true", "900, true", "0.99, false", "900.1, false", "NaN, false"})
    void warmingUpTakesFromASecondToAQuarterOfAnHour(double seconds, boolean can) {
        if (can) {
            assertThat(factory(seconds, null).warmUp()).isEqualTo(seconds);
        } else {
            assertThatThrownBy(() -> factory(seconds, null)).hasMessageContaining("expected 1 to 900 s");
        }
    }

    /** A number as near to the placeholder as the last digit shown cannot be told from it. */
    @ParameterizedTest
    @CsvSource({"1.0, true", "1.0004, true", "0.9996, true", "1.0006, false", "0.9994, false"})
    void thePlaceholderIsNoMeasurement(double shown, boolean placeholder) {
        assertThat(factory(30, 1.0).placeholds(shown)).isEqualTo(placeholder);
        assertThat(factory(30, null).placeholds(shown)).isFalse();
    }

    @Test
    void theFirstSignOfAStateIsTheOneToLookFor() {
        assertThat(factory(30, null).seen(State.WARMING)).contains("two blinks");
        assertThat(factory(30, null).seen(State.READY)).contains("steady");
        assertThat(factory(30, null).seen(State.HOT)).isEmpty();
    }

    /** One that is taught in air shows its own idea of air; one trimmed at the factory is taught nothing there. */
    @ParameterizedTest
    @EnumSource(CalibrationSchool.class)
    void whatItShowsInAirFollowsFromItsSchool(CalibrationSchool school) {
        assertThat(sheet(school, 30, null, new InAir(InAir.Kind.TOP, 1.4)).inAir().oxygen()).isFalse();
        if (school.learns()) {
            assertThat(sheet(school, 30, null, LEARNED).inAir().oxygen()).isTrue();
            assertThatThrownBy(() -> sheet(school, 30, null, DAY)).hasMessageContaining("found “of-the-day”");
        } else {
            assertThat(sheet(school, 30, null, DAY).inAir().oxygen()).isTrue();
            assertThatThrownBy(() -> sheet(school, 30, null, LEARNED)).hasMessageContaining("found “learned”");
        }
    }

    @Test
    void schoolsThatTeachInAirAreTwoOfThree() {
        assertThat(Arrays.stream(CalibrationSchool.values()).filter(CalibrationSchool::learns))
                .containsExactly(CalibrationSchool.CLEAR_THEN_LEARN, CalibrationSchool.TRIM_BY_HAND);
        assertThat(Arrays.stream(CalibrationSchool.values()).map(CalibrationSchool::procedure))
                .doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @CsvSource({"LEARNED, 0.1, ", "LEARNED, 0.3, ", "LEARNED, 0.0999, expected the oxygen of air",
            "LEARNED, 0.3001, expected the oxygen of air", "LEARNED, , found no value", "TOP, , ", "TOP, 1.4, ",
            "TOP, -1, inAir", "OF_THE_DAY, , ", "OF_THE_DAY, 0.2, expected none"})
    void theNumberInAirIsOfItsKind(InAir.Kind kind, @Nullable Double value, @Nullable String refused) {
        if (refused == null) {
            assertThat(new InAir(kind, value).value()).isEqualTo(value);
        } else {
            assertThatThrownBy(() -> new InAir(kind, value)).hasMessageContaining(refused);
        }
    }

    /** In air one shows oxygen and another a mixture: each is read from its own column. */
    @Test
    void whatIsReadInAirIsTheQuantityThatItShowsThere() {
        Report report = new Report(1.0, State.READY, 1.39, 0.2081, 4.9, 12.6);
        assertThat(DAY.of(report)).isEqualTo(0.2081);
        assertThat(LEARNED.of(report)).isEqualTo(0.2081);
        assertThat(new InAir(InAir.Kind.TOP, null).of(report)).isEqualTo(1.39);
    }

    /** A number counts in one state only: ready. */
    @Test
    void onlyAReadySensorMeasures() {
        assertThat(Arrays.stream(State.values()).filter(State::counts)).containsExactly(State.READY);
        assertThat(Arrays.stream(State.values()).map(State::key)).doesNotHaveDuplicates();
    }
}
