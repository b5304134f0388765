package amberheron.io.pack;

import amberheron.core.finding.Origin;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.finding.Photo;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.placement.Segment;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.units.UnitChoice;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Wiring;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HandOverPackTest {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    @TempDir
    private Path folder = Path.of("");

    /** A job with a line in every part of the sheet, and words that would break a careless page. */
    private static Job full() {
        Job job = Job.empty("SB-9");
        List<Sample> log = IntStream.range(0, 900).mapToObj(i -> new Sample(i, 1, 1 + 0.002 * Math.sin(i))).toList();
        job = job.withIntake(job.intake().withVehicle("Van <b>&\"long\" " + "name ".repeat(12))
                .withFuel(CATALOGUE.fuel("e85")).withDisplacement(2e-3).withBanks(2)
                .withExhaust(new Exhaust(List.of(Segment.straight(Line.ALL, Kind.MANIFOLD, 0.1, 0.05, 0.0),
                        Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.05, 0.0),
                        Segment.straight(Line.ALL, Kind.CATALYST, 0.3, 0.1, 0.0)),
                        List.of(new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 2, 0.2),
                                new Neighbour(Neighbour.Kind.DRIVESHAFT, Neighbour.Side.LEFT, 0, 2, 0.2),
                                new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0, 2, 0.2)),
                        Attitude.LEVEL)))
                .withPlacing(Placing.NONE.withCandidates(List.of(Candidate.named("B").withNote("straight")
                        .withDistance(0.61).withClock(0.9).withSlope(0.0))).withChosen("B")
                        .withFitted(new AsFitted(0.61, 0.67, 0, 0, java.time.LocalDate.of(2026, 5, 12), true,
                                List.of(new Photo("bung.jpg", "ab")))))
                .withLaw(CATALOGUE.law("straight-lambda")).withReader(CATALOGUE.reader("ecu-table-8"))
                .withProving(
                        new Output.Proving("drive.csv", "0123456789abcdef0123", Origin.UNRECORDED,
                                LogComparison.of(Drive.of(log)), null))
                .withHandOver(new Job.HandOver("Shield not refitted.", java.time.LocalDate.of(2026, 5, 13)));
        for (double v = 0.5; v < 4.5; v += 0.5) {
            job = job.withPoint(new CheckPoint(v, null, 0.9, ""));
        }
        return job;
    }

    private List<Path> write(Job job) {
        return HandOverPack.write(JobDocument.of(job),
                HandOverSheet.of(new JobReview(job, Shop.of(CATALOGUE.laws())), UnitChoice.METRIC), folder);
    }

    @Test
    void theSheetIsOnePageAndSaysWhatTheNextPersonNeeds() throws IOException {
        Path pdf = write(full()).stream().filter(f -> f.toString().endsWith(".pdf")).findFirst().orElseThrow();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("SB-9").contains("Van <b>&\"long\"").contains("λ 1 = 9.8").contains("610 mm")
                    .contains("Shield not refitted.").contains("drive.csv").contains("Not proven: ")
                    .contains("sees all cylinders").contains("photos: bung.jpg")
                    .contains("common practice, no published source").contains("≥ 10°");
        }
    }

    /** What was done to the wiring is told in one line; what was not measured in another. */
    @Test
    void theWiringIsOnTheSheet() {
        Chart chart = new Chart(List.of(Wire.of("4", Work.SERIAL, Device.CONTROLLER, null).withLeft(Wire.Left.TAPED),
                Wire.of("5", Work.DIMMER, Device.CONTROLLER, null)));
        Job job = full().withWiring(Wiring.UNMEASURED
                .withHeater(new HeaterTiming(HeaterTiming.School.TIMER_RELAY, 45.0))
                .withHarness(new Harness(chart, Route.UNMEASURED, Joints.NONE.joinedBy(Joints.School.SOLDERED),
                        new AsWired(13.9, 13.1, java.time.LocalDate.of(2026, 5, 12), "fuse behind the glove box",
                                List.of(new Photo("loom.jpg", "cd"))))));
        HandOverSheet sheet = HandOverSheet.of(new JobReview(job, Shop.of(CATALOGUE.laws())), UnitChoice.METRIC);
        assertThat(sheet.facts()).filteredOn(f -> f.name().equals("Wiring")).singleElement()
                .satisfies(f -> assertThat(f.value()).isEqualTo(
                        "2026-05-12; heater timer relay, about 30 s after the start; joints soldered splice; "
                                + "unused wires 4 (taped and bundled), 5 (not said how left); photos: loom.jpg; "
                                + "fuse behind the glove box"));
        assertThat(sheet.groups()).filteredOn(g -> g.title().equals("Wire")).singleElement().satisfies(g -> {
            assertThat(g.checks()).extracting(c -> c.subject()).contains("Supply lost on the way");
            assertThat(g.kept()).contains("Not measured: ").contains("Chart, lines open");
        });
    }

    @Test
    void theJobInThePackIsTheJob() {
        Path json = write(full()).stream().filter(f -> f.toString().endsWith(".json")).findFirst().orElseThrow();
        assertThat(JobDocument.read(json).text()).isEqualTo(JobDocument.of(full()).text());
    }

    @Test
    void anEmptyJobMakesASheetThatClaimsNothing() throws IOException {
        Path html = write(Job.empty("N")).getFirst();
        assertThat(Files.readString(html)).contains("Not proven: Plan (open)").contains("no check points taken")
                .contains("not handed over yet").doesNotContain("Every link from");
    }

    @Test
    void aFolderThatCannotBeWrittenIsSaidAndNothingIsHalfWritten() throws IOException {
        Path blocked = Files.writeString(folder.resolve("file"), "a file, not a folder");
        Job job = full();
        assertThatThrownBy(() -> HandOverPack.write(JobDocument.of(job),
                HandOverSheet.of(new JobReview(job, Shop.of(CATALOGUE.laws())), UnitChoice.METRIC), blocked))
                .hasMessageContaining("cannot be written");
        assertThat(blocked).hasContent("a file, not a folder");
        Path full = Path.of("/dev/full");
        if (Files.exists(full)) {
            Path link = Files.createSymbolicLink(folder.resolve("SB-9-hand-over.html.part"), full);
            assertThatThrownBy(() -> write(job)).hasMessageContainingAll("cannot be written", "space");
            assertThat(folder.resolve("SB-9-hand-over.html")).doesNotExist();
            assertThat(link).doesNotExist();
        }
    }
}
