package amberheron.io.pack;

import amberheron.core.job.Job;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import amberheron.io.csv.Cells;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Parts and tools to have ready.
 *
 * @param lines one for each
 */
public record PartsSheet(String job, String vehicle, List<Line> lines) {
    /** A part or tool, what it is, which steps need it, whether it lies ready. */
    public record Line(String name, String kind, String steps, boolean inHand) {
    }

    /** The list of a job's plan. */
    public static PartsSheet of(Job job, JobPlan plan) {
        return new PartsSheet(job.id(), job.intake().vehicle(), plan.items().stream()
                .map(r -> new Line(r.item().words(), r.item().kind().words(),
                        r.steps().stream().map(Step::title).collect(Collectors.joining("; ")),
                        job.progress().inHand().contains(r.item().name())))
                .toList());
    }

    /** The list as CSV: {@code kind,item,for,at hand}. */
    public String csv() {
        return Cells.table(csv -> {
            csv.writeRecord("kind", "item", "for", "at hand");
            lines.forEach(l -> csv.writeRecord(Cells.safe(l.kind(), l.name(), l.steps(), l.inHand() ? "yes" : "no")));
        });
    }

    /** Writes the list as PDF to print and as CSV. */
    public List<Path> write(Job of, Path folder) {
        String stem = Pages.stem(of) + "-parts";
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(stem + ".pdf", Pages.pdf(Pages.html("parts.html", this)));
        files.put(stem + ".csv", csv().getBytes(StandardCharsets.UTF_8));
        return Pages.write(folder, files);
    }
}
