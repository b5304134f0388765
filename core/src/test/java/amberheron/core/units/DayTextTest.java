package amberheron.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DayTextTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    /** The order is the country's own: the same digits are another day in another country. */
    @ParameterizedTest
    @CsvSource({"de-DE, 3.4.26, 2026-04-03", "de-DE, 03.04.2026, 2026-04-03", "de-DE, 3.4., 2026-04-03",
            "en-US, 3/4/26, 2026-03-04", "en-GB, 3/4/26, 2026-04-03", "en-GB, 31 12 2025, 2025-12-31",
            "sv-SE, 2026-04-03, 2026-04-03", "hu-HU, 2026. 04. 03., 2026-04-03", "en, 2026-4-3, 2026-04-03",
            "de-DE, 2026-04-03, 2026-04-03", "ar-EG, 3/4/2026, 2026-04-03", "th-TH, 3/4/2026, 2026-04-03",
            "de-DE, today, 2026-12-01", "de-DE, -3, 2026-11-28", "de-DE, +2, 2026-12-03",
            "de-DE, Yesterday, 2026-11-30"})
    void aDayIsReadAsItIsWrittenThere(String language, String typed, LocalDate meant) {
        assertThat(DayText.of(Locale.forLanguageTag(language)).read(typed, TODAY)).contains(meant);
    }

    @ParameterizedTest
    @CsvSource({"en-US, 31/12/26", "de-DE, 31.2.2026", "de-DE, soon", "de-DE, 12", "en-GB, 1/2/3/4", "de-DE, 0.1.2026"})
    void whatIsNoDayIsNone(String language, String typed) {
        assertThat(DayText.of(Locale.forLanguageTag(language)).read(typed, TODAY)).isEmpty();
    }

    /** Whatever the language, what is shown is read back as the same day, and has its year in full. */
    @Property(tries = 300)
    void whatIsShownIsReadBack(@ForAll @IntRange(min = 0, max = 1200) int language,
            @ForAll @IntRange(min = 0, max = 40_000) int day) {
        Locale[] all = Locale.getAvailableLocales();
        DayText form = DayText.of(all[language % all.length]);
        LocalDate shown = LocalDate.of(1970, 1, 1).plusDays(day);
        assertThat(form.read(form.text(shown), TODAY)).contains(shown);
        assertThat(form.text(shown)).contains(String.valueOf(shown.getYear()));
    }
}
