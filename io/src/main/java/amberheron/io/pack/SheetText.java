package amberheron.io.pack;

import amberheron.core.job.JobReview;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import java.util.ArrayList;
import java.util.List;

/** A sheet as plain text, for a message or a note: all its words and figures, no drawings. */
public final class SheetText {
    private SheetText() {
    }

    /** The sheet for somebody, as it would be printed now. */
    public static String of(JobDocument document, JobReview review, UnitChoice units, ShopCard shop,
            Sheets.For whom) {
        return text(new Sheets(review, units, shop, Manifest.code(document.bytes())).of(whom));
    }

    /** Parts apart by an empty line, facts as “name: value”, cells of a table apart by tabs. */
    static String text(Sheet sheet) {
        List<String> lines = new ArrayList<>();
        lines.add(String.join(" · ", sheet.title(), sheet.job(), sheet.vehicle(), sheet.date(), sheet.code()));
        lines.add(sheet.standing().mark() + " " + sheet.standing().words());
        lines.addAll(sheet.first());
        for (Sheet.Section section : sheet.sections()) {
            if (section.facts().isEmpty() && section.rows().isEmpty() && section.notes().isEmpty()) {
                continue;
            }
            lines.add("");
            lines.add(section.title());
            section.facts().forEach(f -> lines.add(f.name() + ": " + f.value()));
            if (!section.rows().isEmpty()) {
                lines.add(String.join("\t", section.head()));
            }
            section.rows().forEach(row -> lines.add(String.join("\t", row)));
            lines.addAll(section.notes());
        }
        lines.add("");
        lines.add(sheet.caution());
        return String.join("\n", lines);
    }
}
