package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.io.csv.ChartCsv;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The conductor chart with its strip, and the tags to cut out and fold around both ends of every wire.
 *
 * @param lines one for each wire
 * @param strip the harness laid flat, SVG
 */
public record HarnessSheet(String job, String vehicle, List<Line> lines, String strip) {
    /** A wire in words. */
    public record Line(String tag, String work, String from, String colour, String extension, String to, String joins,
            String state) {
        /** The words on the tags at its two ends. */
        public List<String> ends() {
            return List.of(from + " · " + colour,
                    to.equals(say("unused")) ? state : say("to %s%s", to, joins.isEmpty() ? "" : " · " + joins));
        }
    }

    /** The sheet of a job. */
    public static HarnessSheet of(Job job) {
        Chart chart = job.wiring().harness().chart();
        return new HarnessSheet(job.id(), job.intake().vehicle(),
                chart.wires().stream().map(w -> line(chart, w)).toList(),
                HarnessDrawing.svg(job.wiring().harness()));
    }

    private static Line line(Chart chart, Wire w) {
        Work work = w.work();
        Device to = w.to();
        Wire.Left left = w.left();
        return new Line(w.tag(), work == null ? "?" : work.words(), w.from().words() + pin(w.fromPin()),
                colour(w.colour(), "?"), colour(w.extension(), ""),
                to == null ? say("unused") : to.words() + pin(w.toPin()), colour(w.toColour(), ""),
                to == null
                        ? left == null ? say("how left ?") : left.words()
                        : chart.doubtful(w) ? say("twin: tell apart") : w.toldApart() ? say("confirmed") : "");
    }

    private static String pin(String pin) {
        return pin.isBlank() ? "" : say(", pin %s", pin);
    }

    private static String colour(@Nullable WireColour colour, String otherwise) {
        return colour == null ? otherwise : colour.words() + " " + colour.letters();
    }

    /** Writes chart and strip as PDF, the strip as SVG, the chart as CSV, and the tags as PDF. */
    public List<Path> write(Job of, Path folder) {
        return Pages.write(folder, files(of));
    }

    /** The same files, by name, not written yet. */
    Map<String, byte[]> files(Job of) {
        String stem = Pages.stem(of);
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(stem + "-chart.pdf", Pages.pdf(Pages.html("chart.html", this)));
        files.put(stem + "-tags.pdf", Pages.pdf(Pages.html("tags.html", this)));
        files.put(stem + "-strip.svg", strip.getBytes(StandardCharsets.UTF_8));
        files.put(stem + "-chart.csv",
                ChartCsv.write(of.wiring().harness().chart()).getBytes(StandardCharsets.UTF_8));
        return files;
    }
}
