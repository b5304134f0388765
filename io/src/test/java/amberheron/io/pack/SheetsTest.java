package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.placement.Bung;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.placement.MarkingOut;
import amberheron.core.placement.Segment;
import amberheron.core.plan.JobPlan;
import amberheron.core.units.UnitChoice;
import amberheron.core.wiring.Wiring;
import amberheron.io.UnusableInput;
import amberheron.io.book.Photos;
import amberheron.io.csv.ChartCsv;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The sheets taken to the pipe and to the shelf. */
class SheetsTest {
    private static final double POINTS_PER_MM = 72 / 25.4;

    @TempDir
    private Path folder = Path.of("");

    private static final Exhaust PIPE = Exhaust.UNMEASURED
            .withSegments(List.of(Segment.straight(Segment.Line.ALL, Segment.Kind.PIPE, 2.0, 0.0635, 0.0)));

    private static MarkingOut marks(double lean) {
        return MarkingOut.of(PIPE, Candidate.named("B").withDistance(0.61).withClock(0.4).withLean(lean), Bung.USUAL)
                .orElseThrow();
    }

    /** Every stroked path of a page, in millimetres on paper. */
    private static final class Strokes extends PDFGraphicsStreamEngine {
        private final List<List<Point2D>> paths = new ArrayList<>();
        private List<Point2D> now = new ArrayList<>();

        private Strokes(PDPage page) {
            super(page);
        }

        private void add(float x, float y) {
            now.add(new Point2D.Double(x / POINTS_PER_MM, y / POINTS_PER_MM));
        }

        double width(List<Point2D> path) {
            return path.stream().mapToDouble(Point2D::getX).max().orElseThrow()
                    - path.stream().mapToDouble(Point2D::getX).min().orElseThrow();
        }

        double height(List<Point2D> path) {
            return path.stream().mapToDouble(Point2D::getY).max().orElseThrow()
                    - path.stream().mapToDouble(Point2D::getY).min().orElseThrow();
        }

        @Override
        public void moveTo(float x, float y) {
            now = new ArrayList<>();
            add(x, y);
        }

        @Override
        public void lineTo(float x, float y) {
            add(x, y);
        }

        @Override
        public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
            add(x3, y3);
        }

        @Override
        public Point2D getCurrentPoint() {
            return now.isEmpty() ? new Point2D.Double() : now.getLast();
        }

        @Override
        public void strokePath() {
            paths.add(now);
        }

        @Override
        public void fillAndStrokePath(int rule) {
            paths.add(now);
        }

        @Override
        public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
            // Rectangles are borders and clips of the page, not templates.
        }

        @Override
        public void drawImage(PDImage image) {
            throw new AssertionError("a template is drawn in lines, not as an image");
        }

        @Override
        public void clip(int rule) {
            // Nothing is cut away from a template.
        }

        @Override
        public void closePath() {
            // The outline repeats its first point.
        }

        @Override
        public void endPath() {
            now = new ArrayList<>();
        }

        @Override
        public void fillPath(int rule) {
            now = new ArrayList<>();
        }

        @Override
        public void shadingFill(COSName name) {
            throw new AssertionError("no shading on a template");
        }
    }

    private Strokes strokes(double lean) throws IOException {
        Path pdf = TemplateSheet.write(Job.empty("SB-9"), Candidate.named("B"), marks(lean), FittingProcedure.WELD_IN,
                UnitChoice.METRIC, folder).getFirst();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            Strokes strokes = new Strokes(document.getPage(0));
            strokes.processPage(document.getPage(0));
            return strokes;
        }
    }

    @Test
    void theTemplateIsPrintedAtFullSizeWithinATenthOfAMillimetre() throws IOException {
        for (double lean : new double[]{0, Math.toRadians(20)}) {
            Strokes s = strokes(lean);
            assertThat(s.paths).as("the check line").anySatisfy(p -> {
                assertThat(p).hasSize(2);
                assertThat(s.width(p)).isCloseTo(100, within(0.1));
                assertThat(s.height(p)).isCloseTo(0, within(0.01));
            });
            double around = 2 * 31.75 * Math.asin(11 / 31.75);
            double along = 22 / Math.cos(lean);
            assertThat(s.paths).as("the hole, laid flat").anySatisfy(p -> {
                assertThat(s.width(p)).isCloseTo(around, within(0.1));
                assertThat(s.height(p)).isCloseTo(along, within(0.1));
            });
            assertThat(s.paths).as("the strip around the bung").anySatisfy(p -> {
                assertThat(s.width(p)).isCloseTo(Math.PI * 30, within(0.1));
                assertThat(s.height(p)).isCloseTo(1000 * marks(lean).bung().depth(), within(0.1));
            });
        }
    }

    @Test
    void theSheetSaysWhatToMarkAndInWhichOrder() throws IOException {
        strokes(0);
        try (PDDocument document = Loader.loadPDF(folder.resolve("SB-9-marking-out.pdf").toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("610 mm", "12.7 mm towards 3", "22.0 mm",
                    "3.77 mm", "Tack, check the angle", "fire watch", "common practice, no published source");
        }
        assertThat(folder.resolve("SB-9-marking-out.svg")).content().contains("width=\"180mm\"",
                "this line is 100 mm long", "12 o'clock");
    }

    @Test
    void thePartsListIsAFileAnyTableOpens() throws IOException {
        Job job = Job.empty("SB-9");
        job = job.withProgress(job.progress().withInHand(Set.of("sensor")));
        List<Path> files = PartsSheet.of(job, JobPlan.of(job.intake())).write(job, folder);
        List<String> lines = Files.readAllLines(folder.resolve("SB-9-parts.csv"));
        assertThat(lines.getFirst()).isEqualTo("kind,item,for,at hand");
        assertThat(lines).contains("part,sensor,Calibrate in free air; Screw the sensor in,yes")
                .contains("consumable,\"loom, heat sleeve, cable ties\",\"Route, sleeve and tie the lead\",no");
        try (PDDocument document = Loader.loadPDF(files.getFirst().toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("bung and plug", "22 mm slotted socket");
        }
    }

    @Test
    void aPhotoIsKeptWholeAndNeverOverAnother() throws IOException {
        byte[] png = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 1, 2, 3};
        Path one = Files.write(folder.resolve("bung.png"), png);
        Path kept = folder.resolve("kept");
        assertThat(Photos.keep(one.toString(), kept).file()).isEqualTo("bung.png");
        assertThat(Photos.keep(one.toString(), kept).file()).as("the same picture again").isEqualTo("bung.png");
        png[10] = 9;
        Files.write(one, png);
        assertThat(Photos.keep(one.toString(), kept).file()).isEqualTo("bung-2.png");
        assertThat(kept.resolve("bung.png")).binaryContent().endsWith(1, 2, 3);
        Path text = Files.writeString(folder.resolve("a.txt"), "words");
        assertThatThrownBy(() -> Photos.keep(text.toString(), kept)).isInstanceOf(UnusableInput.class)
                .hasMessageContaining("is no picture");
        assertThatThrownBy(() -> Photos.keep(" ", kept)).isInstanceOf(UnusableInput.class);
    }

    /** Every wire is drawn, with its colour also written; every wire has two tags; markup in a name stays text. */
    @Test
    void theHarnessIsDrawnAndTagged() throws Exception {
        Chart chart = new Chart(List.of(
                Wire.of("11", Work.ANALOG, Device.CONTROLLER, Device.LOGGER)
                        .withColour(WireColour.parse("white/blue").orElseThrow()).withToPin("<A&1>"),
                Wire.of("12", Work.DIMMER, Device.CONTROLLER, null).withColour(WireColour.parse("orange").orElseThrow())
                        .withLeft(Wire.Left.GROUNDED)));
        Job job = Job.empty("SB-7").withWiring(Wiring.UNMEASURED.withHarness(Harness.NONE.withChart(chart).withRoute(
                Route.UNMEASURED.withPoints(List.of(Route.Waypoint.named("firewall").withLength(0.9))))));
        List<Path> files = HarnessSheet.of(job).write(job, folder);
        assertThat(files).extracting(f -> f.getFileName().toString()).containsExactly("SB-7-chart.pdf",
                "SB-7-tags.pdf", "SB-7-strip.svg", "SB-7-chart.csv");
        Chart odd = chart.with(chart.wires().getFirst().id(), w -> w.withToPin("a\u0007\u202Eb" + "x".repeat(200)));
        Path strange = HarnessSheet.of(job.withWiring(job.wiring().withHarness(job.wiring().harness().withChart(odd))))
                .write(job, folder.resolve("odd")).get(2);
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(strange.toFile());
        assertThat(Files.readString(strange)).contains("a\uFFFD\uFFFDbxxx").doesNotContain("x".repeat(100));
        var svg = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(files.get(2).toFile());
        List<String> words = new ArrayList<>();
        for (int i = 0; i < svg.getElementsByTagName("text").getLength(); i++) {
            words.add(svg.getElementsByTagName("text").item(i).getTextContent());
        }
        assertThat(words).contains("WH/BU", "analog + · pin <A&1>", "dimmer, unused: to ground", "firewall, 0.90 m",
                "controller", "logger");
        assertThat(Files.readString(files.get(2))).as("white with a blue stripe, and orange").contains("#2f6fb5",
                "#e08019").doesNotContain("#3d8b45");
        try (PDDocument chartPdf = Loader.loadPDF(files.get(0).toFile());
                PDDocument tags = Loader.loadPDF(files.get(1).toFile())) {
            assertThat(new PDFTextStripper().getText(chartPdf)).contains("white/blue WH/BU", "logger, pin <A&1>");
            String text = new PDFTextStripper().getText(tags);
            assertThat(text.split("SB-7 · ", -1)).as("two tags a wire").hasSize(1 + 4);
            assertThat(text).contains("to logger", "to ground");
        }
        assertThat(ChartCsv.read(files.get(3)).wires())
                .usingRecursiveFieldByFieldElementComparatorIgnoringFields("id").isEqualTo(chart.wires());
    }
}
