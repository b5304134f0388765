package amberheron.io.pack;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.units.UnitChoice;
import amberheron.io.UnusableInput;
import amberheron.io.book.ShopHabits;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.csv.LawCsv;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The pack that goes with the vehicle: a sheet each for owner, tuner and next mechanic as HTML and PDF, the figures as CSV,
 * the job as JSON, a reminder for the calendar, and a manifest by which anybody can tell that it is whole.
 */
public final class HandOverPack {
    private HandOverPack() {
    }

    /**
     * Writes the pack. Everything is made before anything is written, and each file appears whole or not at all; the
     * manifest comes last.
     *
     * @param review of the document's job
     * @param shop how the shop shows itself
     * @return the files written
     * @throws UnusableInput when the folder cannot be written or is full
     */
    public static List<Path> write(JobDocument document, JobReview review, UnitChoice units, ShopCard shop,
            Path folder) {
        Job job = document.job();
        byte[] bytes = document.bytes();
        String code = Manifest.code(bytes);
        String stem = stem(job);
        Sheets sheets = new Sheets(review, units, shop, code);
        Map<String, byte[]> tables = new LinkedHashMap<>();
        tables(job, review, stem, tables);
        tables.putAll(TemplateSheet.files(job, units));
        List<String> beside = Stream.concat(Stream.of(Sheets.For.values()).map(w -> stem + "-" + w.file() + ".html"),
                tables.keySet().stream()).toList();
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (Sheets.For whom : Sheets.For.values()) {
            Sheet sheet = sheets.of(whom);
            String name = stem + "-" + whom.file();
            text(files, name + ".html", Pages.forScreen("sheet.html", sheet,
                    Map.of("files", beside.stream().filter(f -> !f.equals(name + ".html")).toList())));
            files.put(name + ".pdf", Pages.pdf(Pages.html("sheet.html", sheet, Map.of("paper", true))));
        }
        files.putAll(tables);
        LocalDate today = review.shop().today();
        Optional<LocalDate> due = Sheets.due(job, review.shop().recalibrateMonths());
        if (due.isPresent()) {
            LocalDate stamp = today == null ? due.get() : today;
            String name = stem + "-free-air.ics";
            text(files, name, Reminder.text(job.id(), job.intake().vehicle(), code, due.get(), stamp,
                    Reminder.sequence(folder, name, stamp)));
        }
        files.put(stem + ".json", bytes);
        String manifest = Manifest.of(review, code, today, ShopHabits.all(review.shop()), files).text();
        shop.signing().ifPresent(key -> text(files, stem + PackCheck.SIGNATURE,
                key.shown() + "\n" + Base64.getEncoder()
                        .encodeToString(key.sign(manifest.getBytes(StandardCharsets.UTF_8))) + "\n"));
        text(files, stem + Manifest.NAME, manifest);
        return Pages.write(folder, files);
    }

    private static void tables(Job job, JobReview review, String stem, Map<String, byte[]> files) {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        if (law != null) {
            text(files, stem + "-law.csv", LawCsv.write(law));
        }
        if (reader != null) {
            review.scale().ifPresent(r -> text(files, stem + "-setting.csv", LawCsv.write(r.setting(), reader)));
        }
        if (!job.points().isEmpty()) {
            text(files, stem + "-points.csv", CheckPointCsv.write(job.points()));
        }
        if (!job.wiring().harness().chart().wires().isEmpty()) {
            files.putAll(HarnessSheet.of(job).files(job));
        }
    }

    private static void text(Map<String, byte[]> files, String name, String text) {
        files.put(name, text.getBytes(StandardCharsets.UTF_8));
    }

    /** The job's number as it can stand in the name of a file or folder. */
    public static String stem(Job job) {
        return Pages.stem(job);
    }
}
