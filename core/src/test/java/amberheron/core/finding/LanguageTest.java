package amberheron.core.finding;

import static amberheron.core.units.Phrase.say;
import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.Phrase;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

/** A translation is a table keyed by the English pattern; it may put the values in another order, and need not be whole. */
@Isolated
class LanguageTest {
    private static final Map<String, String> GERMAN = Map.of(
            "It is {0}, less than the {1} that a {2} needs.", "Für {2} sind {1} nötig, hier sind es {0}.",
            "measured", "gemessen", "%d of %d steps", "von %2$d Schritten %1$d", "%.1f mm", "%d Millimeter");

    @BeforeEach
    void speak() {
        Phrase.speak(english -> GERMAN.getOrDefault(english, english));
    }

    @AfterEach
    void speakEnglish() {
        Phrase.speak(english -> english);
    }

    @Test
    void aMessageIsTranslatedWithTheMessagesInIt() {
        Measure little = new Measure(0.2, Dimension.LENGTH, 0);
        assertThat(Message.of("It is {0}, less than the {1} that a {2} needs.", little,
                new Measure(0.46, Dimension.LENGTH, 0), "turbine").metric())
                .isEqualTo("Für turbine sind 460 mm nötig, hier sind es 200 mm.");
        assertThat(Message.of("{0} ({1})", little, Message.plain("measured")).metric()).isEqualTo("200 mm (gemessen)");
        assertThat(Message.plain("Not in the table.").metric()).isEqualTo("Not in the table.");
    }

    @Test
    void aSentenceMayPutItsValuesInAnotherOrder() {
        assertThat(say("%d of %d steps", 3, 7)).isEqualTo("von 7 Schritten 3");
        assertThat(Phrase.word("measured")).isEqualTo("gemessen");
        assertThat(Phrase.fixed("%d of %d steps", 3, 7)).isEqualTo("3 of 7 steps");
    }

    /** Whoever reads it has the figure, if not in the language they chose. */
    @Test
    void aTranslationWhosePlacesDoNotFitGivesWayToEnglish() {
        assertThat(say("%.1f mm", 2.5)).isEqualTo("2.5 mm");
    }

    /** A field reads what it shows: with a comma where that parts decimals; a point is asked about where it could part thousands. */
    @Test
    void decimalsAreWrittenAndReadWithAComma() {
        Phrase.decimalComma(true);
        try {
            assertThat(UnitChoice.METRIC.text(new Measure(1.5, Dimension.VOLTAGE, 3), 14.7)).isEqualTo("1,500 V");
            assertThat(say("%.1f mV", -2.5)).isEqualTo("-2,5 mV");
            assertThat(UnitChoice.point(2.5, 1)).as("for another program").isEqualTo("2.5");
            QuantityField volts = QuantityField.of("Volts", Unit.VOLT, 0, 5000);
            assertThat(volts.parse("1,500 V", 1)).isEqualTo(new Parsed.Value(1.5));
            assertThat(volts.parse("1.5", 1)).isEqualTo(new Parsed.Value(1.5));
            assertThat(volts.parse("0.500", 1)).isEqualTo(new Parsed.Value(0.5));
            assertThat(volts.parse("1.500", 1)).isInstanceOfSatisfying(Parsed.Bad.class,
                    bad -> assertThat(bad.message()).contains("1500 or 1,500"));
        } finally {
            Phrase.decimalComma(false);
        }
    }
}
