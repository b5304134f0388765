package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.units.UnitChoice;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * All that is printed of three jobs, line by line, against what was read by eye and found right: one proven, one half done,
 * one whose link lies. After a change that is meant, {@code -Dpacks.renew=DIR} writes the lines anew into a folder, to be
 * read there before they are kept.
 */
class PrintedPacksTest {
    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
    private static final Pattern DRAWING = Pattern.compile("<svg.*?</svg>", Pattern.DOTALL);

    @TempDir
    private Path folder = Path.of("");

    private static String resource(String name) throws IOException {
        try (InputStream in = PrintedPacksTest.class.getResourceAsStream(name)) {
            return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** The words of a page, one piece to a line, and its drawings as they are written. */
    private static List<String> lines(String page) {
        List<String> lines = new ArrayList<>();
        Matcher drawing = DRAWING.matcher(page);
        int from = 0;
        while (drawing.find()) {
            words(page.substring(from, drawing.start()), lines);
            drawing.group().lines().map(String::strip).filter(l -> !l.isEmpty()).forEach(lines::add);
            from = drawing.end();
        }
        words(page.substring(from), lines);
        return lines;
    }

    private static void words(String part, List<String> into) {
        for (String piece : part.replaceAll("(?s)<style.*?</style>", "").split("<[^>]*>", -1)) {
            String words = piece.replaceAll("\\s+", " ").strip();
            if (!words.isEmpty()) {
                into.add(words);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"SB-014, false", "SB-015, false", "SB-016, true"})
    void whatIsPrintedIsWhatWasReadAndFoundRight(String id, boolean american) throws IOException {
        JobDocument document = JobDocument.parse(id, resource(id + ".json"));
        Shop shop = new Shop(Catalogue.shipped().laws(), Shop.of(List.of()).schools(), Shop.USUAL_TRIM,
                Shop.USUAL_MONTHS, true, DAY);
        UnitChoice units = american ? new UnitChoice(true, true, true, true) : UnitChoice.METRIC;
        List<String> printed = new ArrayList<>();
        for (Path file : HandOverPack.write(document, new JobReview(document.job(), shop), units, ShopCard.NONE,
                folder.resolve("packs").resolve("one"))) {
            String name = String.valueOf(file.getFileName());
            if (!name.matches(".*\\.(pdf|json)")) {
                printed.add("== " + name);
                printed.addAll(lines(Files.readString(file)));
            }
        }
        String renew = System.getProperty("packs.renew", "");
        if (!renew.isEmpty()) {
            Files.write(Path.of(renew).resolve(id + ".txt"), printed);
        }
        assertThat(printed).isEqualTo(resource(id + ".txt").lines().toList());
    }
}
