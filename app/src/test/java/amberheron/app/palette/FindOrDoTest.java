package amberheron.app.palette;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.palette.FindOrDo.Hit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FindOrDoTest {
    private static Hit hit(String kind, String text, String words) {
        return new Hit(kind, text, words, "", () -> {
        });
    }

    /** Any of the words, in any order, in any case, parts of words too; all of them must occur. */
    @ParameterizedTest
    @CsvSource({"'', true", "fuel, true", "E85, true", "e85 fuel, true", "sett fu, true", "fuel e10, false",
            "diesel, false", "'  fuel   e8 ', true"})
    void aHitAnswersWhatIsTyped(String typed, boolean answers) {
        assertThat(hit("setting", "Fuel: E85", "").answers(typed).isPresent()).isEqualTo(answers);
    }

    @Test
    void exactAndStartOfWordComeBeforeOtherWordsAndPartsOfWords() {
        List<Hit> all = List.of(hit("station", "Wire: fuse and feed", ""), hit("action", "Refuse it", ""),
                hit("station", "Go to Wire", "fuse, ground"), hit("action", "Fuse", ""),
                hit("action", "Fuses of all", ""));
        assertThat(FindOrDo.wanted(all, "fuse", List.of())).extracting(Hit::text).containsExactly("Fuse",
                "Fuses of all", "Wire: fuse and feed", "Go to Wire", "Refuse it");
    }

    @Test
    void withNothingTypedTheLatestStandOnTop() {
        List<Hit> all = List.of(hit("action", "a", ""), hit("action", "b", ""), hit("action", "c", ""));
        assertThat(FindOrDo.wanted(all, "", List.of("c", "gone", "b"))).extracting(Hit::text).containsExactly("c", "b",
                "a");
    }
}
