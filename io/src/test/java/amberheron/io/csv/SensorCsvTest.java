package amberheron.io.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.io.UnusableInput;
import amberheron.io.book.JobBook;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SensorCsvTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final SensorLife LIFE = new SensorLife("=V-07", List.of(
            new SensorNote(DAY, Kind.GAIN, 0.991, "SB-014"), new SensorNote(DAY.plusDays(9), Kind.HOURS, 310.5, "")));

    @Test
    void whatIsWrittenReadsBackTheSame() {
        String text = SensorCsv.write(List.of(LIFE));
        assertThat(text).contains("'=V-07,2026-03-02,gain,0.991,SB-014").as("a spreadsheet runs nothing of it");
        assertThat(SensorCsv.parse("s.csv", text)).containsExactly(LIFE);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"V,2026-03-02,gain,9,|expected 0.05 to 2",
            "V,2026-03-02,mood,1,|expected one of gain",
            "V,the 2nd,gain,1,|expected a day such as", ",2026-03-02,gain,1,|column sensor",
            "V,2026-03-02,gain,,|column value"})
    void aRowThatCannotBeUsedRefusesTheFileWithItsLine(String row, String says) {
        assertThatThrownBy(() -> SensorCsv.parse("s.csv", "sensor,date,kind,value,job\n" + row + "\n"))
                .isInstanceOf(UnusableInput.class).hasMessageContaining("s.csv").hasMessageContaining("2")
                .hasMessageContaining(says);
    }

    /** From job to job: what two bays note stands side by side, and the same noted again is replaced. */
    @Test
    void theBookKeepsTheLifeOfEachSensor(@TempDir Path home) {
        try (JobBook book = JobBook.open(home.resolve("book.db"));
                JobBook other = JobBook.open(home.resolve("book.db"))) {
            book.note(List.of(new SensorLife("V-07", LIFE.notes())));
            other.note(List.of(new SensorLife("V-07", List.of(new SensorNote(DAY, Kind.GAIN, 0.98, "SB-014"))),
                    new SensorLife("V-08", List.of(new SensorNote(DAY, Kind.SHOCK, 1, "")))));
            assertThat(book.life("V-07").notes()).extracting(SensorNote::value).containsExactly(0.98, 310.5);
            book.forget("V-07", new SensorNote(DAY, Kind.GAIN, 0.98, "SB-014"));
            assertThat(other.life("V-07").notes()).hasSize(1);
            assertThat(other.lives()).extracting(SensorLife::number).containsExactly("V-07", "V-08");
            assertThat(other.life("nobody").notes()).isEmpty();
        }
    }
}
