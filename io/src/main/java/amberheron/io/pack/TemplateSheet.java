package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Job;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.placement.MarkingOut;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The sheet taken to the pipe: figures to mark and cut by, the templates at full size, and the procedure.
 *
 * @param marks name and figure
 * @param drawing the templates as SVG
 */
public record TemplateSheet(String job, String place, List<Mark> marks, String drawing, FittingProcedure procedure) {
    /** A figure to mark by. */
    public record Mark(String name, String figure) {
    }

    /** The figures to mark and cut by, in the units chosen. */
    public static List<Mark> marks(MarkingOut marks, UnitChoice units, double stoich) {
        List<Mark> list = new ArrayList<>();
        list.add(new Mark(say("Along the pipe"), length(marks.along(), 0, units, stoich)));
        list.add(new Mark(say("Around, from 12 o'clock"), length(Math.abs(marks.around()), 1, units, stoich)
                + (marks.around() < 0 ? say(" towards 9") : marks.around() > 0 ? say(" towards 3") : "")));
        list.add(new Mark(say("Pilot"), length(marks.pilot(), 0, units, stoich)));
        list.add(new Mark(say("Step drill"), marks.steps().stream().map(m -> units.number(m, stoich))
                .collect(Collectors.joining(" · "))));
        list.add(new Mark(say("Hole"), length(marks.hole(), 1, units, stoich)));
        list.add(new Mark(say("Cope, deepest"), length(marks.bung().depth(), 2, units, stoich)));
        list.add(new Mark(say("Bung to pipe"), say("%.0f°", Math.toDegrees(marks.bung().angle()))));
        return List.copyOf(list);
    }

    private static String length(double metres, int decimals, UnitChoice units, double stoich) {
        return units.text(new Measure(metres, Dimension.LENGTH, decimals), stoich);
    }

    /** Writes the sheet as PDF and HTML and the templates alone as SVG. */
    public static List<Path> write(Job job, Candidate place, MarkingOut marks, FittingProcedure procedure,
            UnitChoice units, Path folder) {
        return Pages.write(folder, files(job, place, marks, procedure, units));
    }

    /** The same of the place that was taken, for the pack; nothing while it cannot be marked out. */
    static Map<String, byte[]> files(Job job, UnitChoice units) {
        Optional<Candidate> place = job.chosenPlace();
        try {
            Optional<MarkingOut> marks = place
                    .flatMap(c -> MarkingOut.of(job.intake().exhaust(), c, job.placing().bung()));
            return marks.isEmpty()
                    ? Map.of()
                    : files(job, place.orElseThrow(), marks.get(), job.intake().fit().procedure(), units);
        } catch (Unusable e) {
            // The station says what is in the way.
            return Map.of();
        }
    }

    private static Map<String, byte[]> files(Job job, Candidate place, MarkingOut marks, FittingProcedure procedure,
            UnitChoice units) {
        TemplateSheet sheet = new TemplateSheet(job.id(),
                place.letter() + (place.note().isBlank() ? "" : ": " + place.note()), marks(marks, units, job.stoich()),
                TemplateDrawing.svg(marks, false), procedure);
        String html = Pages.html("template.html", sheet);
        String stem = Pages.stem(job) + "-marking-out";
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(stem + ".pdf", Pages.pdf(html));
        files.put(stem + ".html", html.getBytes(StandardCharsets.UTF_8));
        files.put(stem + ".svg", TemplateDrawing.svg(marks, true).getBytes(StandardCharsets.UTF_8));
        return files;
    }
}
