package amberheron.app.palette;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FindOrDoTest {
    /** Any of the words, in any order, in any case, parts of words too; all of them must occur. */
    @ParameterizedTest
    @CsvSource({"'', true", "fuel, true", "E85, true", "e85 fuel, true", "sett fu, true", "fuel e10, false",
            "diesel, false", "'  fuel   e8 ', true"})
    void aHitAnswersWhatIsTyped(String typed, boolean answers) {
        FindOrDo.Hit hit = new FindOrDo.Hit("setting", "Fuel: E85", "", () -> {
        });
        assertThat(hit.answers(typed)).isEqualTo(answers);
    }
}
