package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.units.Phrase;
import amberheron.core.units.UnitChoice;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;

/** Where people write a decimal comma, pages have it; what machines read has a point everywhere. */
@Isolated
class DecimalCommaTest {
    @TempDir
    private Path folder = Path.of("");

    private Map<String, String> pack(String into) throws IOException {
        try (InputStream in = DecimalCommaTest.class.getResourceAsStream("SB-016.json")) {
            JobDocument document = JobDocument.parse("SB-016",
                    new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8));
            List<Path> files = HandOverPack.write(document,
                    new JobReview(document.job(), Shop.of(Catalogue.shipped().laws())), UnitChoice.METRIC,
                    ShopCard.NONE, folder.resolve(into));
            Map<String, String> texts = new TreeMap<>();
            for (Path file : files) {
                String name = String.valueOf(file.getFileName());
                if (name.matches(".*\\.(csv|json|svg|html)") && !name.contains("manifest")) {
                    texts.put(name, Files.readString(file));
                }
            }
            return texts;
        }
    }

    @Test
    void pagesHaveACommaAndTablesAPoint() throws IOException {
        Map<String, String> point = pack("point");
        Map<String, String> comma;
        Phrase.decimalComma(true);
        try {
            comma = pack("comma");
        } finally {
            Phrase.decimalComma(false);
        }
        assertThat(comma.keySet()).isEqualTo(point.keySet());
        point.forEach((name, text) -> {
            if (name.endsWith(".html")) {
                assertThat(comma.get(name)).as(name).isNotEqualTo(text);
            } else {
                // The words in a drawing are for people.
                assertThat(comma.get(name).replaceAll(">[^<]*<", "><")).as(name)
                        .isEqualTo(text.replaceAll(">[^<]*<", "><"));
            }
        });
    }
}
