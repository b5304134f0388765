package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Sample;
import amberheron.core.finding.Origin;
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
import amberheron.core.job.JobReview;
import amberheron.core.job.Output;
import amberheron.core.job.Shop;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.units.UnitChoice;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Wiring;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.Photos;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.Difference;
import amberheron.io.json.JobDocument;
import amberheron.io.json.Manifest;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionGoTo;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HandOverPackTest {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    @TempDir
    private static Path made = Path.of("");
    @TempDir
    private Path folder = Path.of("");

    /** One pack of the full job, made once: laying out takes its time. */
    @BeforeAll
    static void once() {
        write(full(), made, ShopCard.NONE);
    }

    /** The same pack, in this test's own folder. */
    private List<Path> pack() throws IOException {
        List<Path> files = new ArrayList<>();
        try (Stream<Path> all = Files.list(made)) {
            for (Path each : all.sorted().toList()) {
                files.add(Files.copy(each, folder.resolve(each.getFileName())));
            }
        }
        return files;
    }

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
                                List.of(new Photo("bung.jpg", "ab", "")))))
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
        return write(job, folder, ShopCard.NONE);
    }

    private static List<Path> write(Job job, Path folder, ShopCard shop) {
        return HandOverPack.write(JobDocument.of(job), review(job), UnitChoice.METRIC, shop, folder);
    }

    private static JobReview review(Job job) {
        return new JobReview(job, Shop.of(CATALOGUE.laws()).on(LocalDate.of(2026, 5, 13)));
    }

    private static Path named(List<Path> files, String end) {
        return files.stream().filter(f -> f.toString().endsWith(end)).findFirst().orElseThrow();
    }

    private static String text(Path pdf, int pages) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).as(pdf.toString()).isLessThanOrEqualTo(pages);
            for (int i = 0; i < document.getNumberOfPages(); i++) {
                for (COSName name : document.getPage(i).getResources().getFontNames()) {
                    assertThat(document.getPage(i).getResources().getFont(name).isEmbedded()).isTrue();
                }
                PDFTextStripper one = new PDFTextStripper();
                one.setStartPage(i + 1);
                one.setEndPage(i + 1);
                // Every page says which job it belongs to and where it stands among the others.
                assertThat(one.getText(document)).contains(Manifest.code(JobDocument.of(full()).bytes()))
                        .contains((i + 1) + " / " + document.getNumberOfPages());
            }
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void eachReaderGetsASheetAndWhatIsNotProvenComesFirst() throws IOException {
        List<Path> files = pack();
        String owner = text(named(files, "-owner.pdf"), 1);
        assertThat(owner).contains("Van <b>&\"long\"").contains("λ 1 = 9.8").contains("What not to do")
                .contains("stop: lean destroys engines").contains("not calibrated yet");
        assertThat(owner.indexOf("Not done: Shield not refitted.")).isBetween(0, owner.indexOf("Not proven: "));
        assertThat(owner.indexOf("Not proven: ")).isLessThan(owner.indexOf("What was fitted"));
        assertThat(text(named(files, "-tuner.pdf"), 3)).contains("0.50 V").contains("drive.csv")
                .contains("λ × 9.8").contains("Tolerance").contains("Check points");
        assertThat(text(named(files, "-mechanic.pdf"), 4)).contains("610 mm").contains("sees all cylinders")
                .contains("photos: bung.jpg").contains("common practice, no published source").contains("≥ 10°")
                .contains("Screw the sensor in by hand first").contains("Shield not refitted.");
    }

    @Test
    void lettersAndTheShopsNameArePrinted() throws IOException {
        List<Path> files = write(full(), folder, new ShopCard("Salt & <i>Marsh</i>", null, ShopCard.Paper.LETTER));
        try (PDDocument document = Loader.loadPDF(named(files, "-owner.pdf").toFile())) {
            assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(792, within(1f));
            assertThat(new PDFTextStripper().getText(document)).contains("Salt & <i>Marsh</i>");
        }
        assertThat(Files.readString(named(files, "-owner.html"))).contains("Salt &amp; &lt;i&gt;Marsh")
                .doesNotContain("<script").doesNotContain("src=\"http").doesNotContain("<b>&");
    }

    /** The templates go with the vehicle at full size: 100 mm are 100 mm. */
    @Test
    void theTemplatesAreInThePack() throws IOException {
        List<Path> files = pack();
        assertThat(text(named(files, "-marking-out.pdf"), "100 mm")).contains("Cope, deepest");
        assertThat(Files.readString(named(files, "-marking-out.svg"))).contains("<svg");
        assertThat(Files.readString(named(files, "-manifest.json"))).contains("SB-9-marking-out.svg");
    }

    private static String text(Path pdf, String contains) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains(contains);
            return text;
        }
    }

    /** Long sheets lead to their parts; pages in a browser lead to what lies beside them, and to nothing else. */
    @Test
    void sheetsLeadToTheirPartsAndPagesToTheirPack() throws IOException {
        pack();
        try (PDDocument mechanic = Loader.loadPDF(folder.resolve("SB-9-mechanic.pdf").toFile())) {
            List<String> parts = new ArrayList<>();
            mechanic.getDocumentCatalog().getDocumentOutline().children().forEach(c -> parts.add(c.getTitle()));
            assertThat(parts).startsWith("Where it is", "Why there").contains("What was measured");
            List<PDPage> led = new ArrayList<>();
            for (PDAnnotation note : mechanic.getPage(0).getAnnotations()) {
                if (note instanceof PDAnnotationLink link && link.getAction() instanceof PDActionGoTo to
                        && to.getDestination() instanceof PDPageDestination page) {
                    led.add(page.getPage());
                }
            }
            assertThat(led).hasSize(parts.size()).doesNotContainNull();
            assertThat(mechanic.getPages().indexOf(led.getLast())).as("the last part is further on")
                    .isPositive();
        }
        Matcher links = Pattern.compile("href=\"([^\"#]+)\"")
                .matcher(Files.readString(folder.resolve("SB-9-owner.html")));
        List<String> led = links.results().map(m -> m.group(1)).toList();
        assertThat(led).contains("SB-9-tuner.html", "SB-9-law.csv")
                .allSatisfy(file -> assertThat(folder.resolve(file)).isRegularFile());
    }

    /** A photo stands on the mechanic's sheet with its caption; one that is gone or was swapped is said first instead. */
    @Test
    void photosStandOnTheSheetOrAreMissed() throws IOException {
        Path photos = Files.createDirectories(folder.resolve("photos/SB-9"));
        BufferedImage picture = new BufferedImage(3000, 1500, BufferedImage.TYPE_INT_RGB);
        Path camera = folder.resolve("bung & clamp.png");
        ImageIO.write(picture, "png", camera.toFile());
        Photo kept = Photos.keep(camera.toString(), photos).withCaption("seen <from> below");
        Job job = full();
        job = job.withPlacing(job.placing().withFitted(
                job.placing().fitted().withPhotos(List.of(kept, new Photo("loom.jpg", "cd", "the loom")))));
        ShopCard shop = new ShopCard("", folder, ShopCard.Paper.A4);

        List<Path> files = write(job, folder.resolve("whole"), shop);
        String html = Files.readString(named(files, "-mechanic.html"));
        assertThat(html).contains("seen &lt;from&gt; below (bung &amp; clamp.png)")
                .containsOnlyOnce("<img src=\"data:image/jpeg")
                .contains("Photo the loom (loom.jpg) is not with the job.");
        assertThat(Files.size(named(files, "-mechanic.html"))).as("small enough to be mailed").isLessThan(200_000);
        assertThat(Files.readString(named(files, "-owner.html"))).doesNotContain("data:image");
        try (PDDocument pdf = Loader.loadPDF(named(files, "-mechanic.pdf").toFile())) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("seen <from> below");
        }

        ImageIO.write(new BufferedImage(30, 15, BufferedImage.TYPE_INT_RGB), "png",
                photos.resolve(kept.file()).toFile());
        assertThat(Files.readString(named(write(job, folder.resolve("swapped"), shop), "-mechanic.html")))
                .contains("is not the picture that was attached").doesNotContain("data:image");
    }

    @Test
    void aPackIsWholeUntilAFileOfItIsTouched() throws IOException {
        List<Path> files = pack();
        PackCheck whole = PackCheck.of(folder, JobDocument.of(full()), CATALOGUE.laws());
        assertThat(whole.agrees()).isTrue();
        assertThat(whole.manifest().made()).isEqualTo(LocalDate.of(2026, 5, 13));
        assertThat(whole.manifest().stations()).containsEntry("prove", "begun").containsEntry("wire", "open");
        Path sheet = named(files, "-tuner.html");
        Files.writeString(sheet, Files.readString(sheet).replace("Tolerance", "tolerance"));
        Files.delete(named(files, "-law.csv"));
        Files.writeString(folder.resolve("SB-9-extra.pdf"), "x");
        assertThat(PackCheck.of(folder, null, CATALOGUE.laws()).faults()).containsExactlyInAnyOrder(
                "SB-9-tuner.html: changed since the pack was made", "SB-9-law.csv: missing",
                "SB-9-extra.pdf: not of this pack");
    }

    /** Whoever puts another job's document in and its sum into the manifest has not changed the code on the pages. */
    @Test
    void anotherDocumentHasAnotherCode() throws IOException {
        List<Path> files = pack();
        Path json = named(files, "SB-9.json");
        byte[] other = JobDocument.of(full().withHandOver(new Job.HandOver("", null))).bytes();
        Path manifest = named(files, Manifest.NAME);
        Files.writeString(manifest, Files.readString(manifest).replace(TextFiles.digest(Files.readAllBytes(json)),
                TextFiles.digest(other)));
        Files.write(json, other);
        assertThat(PackCheck.of(folder, null, CATALOGUE.laws()).faults()).anyMatch(f -> f.contains("its code is"))
                .noneMatch(f -> f.contains("changed since the pack was made"));
    }

    @Test
    void whatChangedSinceIsSaidValueByValue() throws IOException {
        pack();
        Job now = full().withHandOver(full().handOver().withNotDone("Nothing.").withBy("K"));
        PackCheck check = PackCheck.of(folder, JobDocument.of(now), CATALOGUE.laws());
        assertThat(check.faults()).isEmpty();
        assertThat(check.since()).extracting(Difference::field).containsExactly("handOver.notDone", "handOver.by");
        assertThatThrownBy(() -> PackCheck.of(folder, JobDocument.of(Job.empty("SB-10")), CATALOGUE.laws()))
                .hasMessageContaining("is the pack of SB-9");
        assertThatThrownBy(() -> PackCheck.of(folder.resolve("nowhere"), null, CATALOGUE.laws()))
                .hasMessageContaining("nowhere");
    }

    @Test
    void aManifestThatPointsOutOfItsFolderIsRefused() throws IOException {
        Path manifest = named(pack(), Manifest.NAME);
        Files.writeString(manifest, Files.readString(manifest).replace("SB-9-owner.pdf", "../SB-9-owner.pdf"));
        assertThatThrownBy(() -> PackCheck.of(folder, null, CATALOGUE.laws())).hasMessageContaining("without folders");
    }

    @Test
    void aLaterHandOverIsKeptBesideTheFirst() throws IOException {
        LocalDate day = LocalDate.of(2026, 5, 13);
        String first = Manifest.code(JobDocument.of(full()).bytes());
        Path one = Visits.next(folder, day, first);
        manifest(one, full());
        assertThat(Visits.next(folder, day, first)).as("nothing changed").isEqualTo(one);
        Path two = Visits.next(folder, day, "0000-0000");
        assertThat(two).isNotEqualTo(one);
        manifest(two, full().withHandOver(full().handOver().withBy("K")));
        assertThat(Visits.in(folder)).extracting(Visits.Visit::title).containsExactly("2026-05-13", "2026-05-13-2");
    }

    private static void manifest(Path folder, Job job) throws IOException {
        Files.createDirectories(folder);
        Files.writeString(folder.resolve("SB-9" + Manifest.NAME),
                Manifest.of(review(job), Manifest.code(JobDocument.of(job).bytes()), null, Map.of(),
                        Map.of()).text());
    }

    @Test
    void freeAirIsRememberedAsACalendarDay() throws IOException {
        Job aired = full().withAir(full().air().withDate(LocalDate.of(2026, 5, 12)));
        String ics = Files.readString(named(write(aired, folder.resolve("2026-05-12"), ShopCard.NONE), ".ics"));
        assertThat(ics).startsWith("BEGIN:VCALENDAR\r\n").contains("DTSTART;VALUE=DATE:20261112")
                .contains("TRIGGER:-P7D").endsWith("END:VCALENDAR\r\n");
        String again = Files.readString(named(write(aired, folder.resolve("2026-05-12-2"), ShopCard.NONE), ".ics"));
        assertThat(line(again, "UID:")).as("one entry for a job").isEqualTo(line(ics, "UID:"));
        assertThat(Long.parseLong(line(again, "SEQUENCE:"))).as("which the later one replaces")
                .isGreaterThan(Long.parseLong(line(ics, "SEQUENCE:")));
        assertThat(ics.lines()).allMatch(l -> l.getBytes(StandardCharsets.UTF_8).length <= 75);
        assertThat(ics.replace("\r\n ", "")).contains("Van <b>&\"long\" name name");
    }

    /** What was done to the wiring is told in one line; what was not measured in another. */
    @Test
    void theWiringIsOnTheSheet() {
        Chart chart = new Chart(List.of(Wire.of("4", Work.SERIAL, Device.CONTROLLER, null).withLeft(Wire.Left.TAPED),
                Wire.of("5", Work.DIMMER, Device.CONTROLLER, null)));
        Job job = full().withWiring(Wiring.UNMEASURED
                .withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.TIMER_RELAY, 45.0))
                .withHarness(new Harness(chart, Route.UNMEASURED, Joints.NONE.joinedBy(Joints.JointSchool.SOLDERED),
                        new AsWired(13.9, 13.1, java.time.LocalDate.of(2026, 5, 12), "fuse behind the glove box",
                                List.of(new Photo("loom.jpg", "cd", ""))))));
        HandOverSheet sheet = HandOverSheet.of(review(job), UnitChoice.METRIC);
        assertThat(sheet.facts()).filteredOn(f -> f.about() == HandOverSheet.About.WIRING).singleElement()
                .satisfies(f -> assertThat(f.value()).isEqualTo(
                        "2026-05-12; heater timer relay, about 30 s after the start; joints soldered splice; "
                                + "unused wires 4 (taped and bundled), 5 (not said how left); photos: loom.jpg; "
                                + "fuse behind the glove box"));
        assertThat(sheet.groups()).filteredOn(g -> g.title().equals("Wire")).singleElement().satisfies(g -> {
            assertThat(g.checks()).extracting(c -> c.subject()).contains("Supply lost on the way");
            assertThat(g.kept()).contains("Not measured: ").contains("Chart, lines not finished");
        });
    }

    @Test
    void theJobInThePackIsTheJob() throws IOException {
        Path json = named(pack(), "SB-9.json");
        assertThat(JobDocument.read(json).text()).isEqualTo(JobDocument.of(full()).text());
    }

    @Test
    void anEmptyJobMakesASheetThatClaimsNothing() throws IOException {
        List<Path> files = write(Job.empty("N"));
        assertThat(Files.readString(named(files, "-tuner.html"))).contains("no check points taken");
        assertThat(Files.readString(named(files, "-owner.html"))).contains("Not proven: Plan (not begun)")
                .contains("not handed over yet").doesNotContain("Every link from");
    }

    /** A signed pack names who made it; another key, another manifest or a forged one does not pass for it. */
    @Test
    void aPackIsSignedWithTheShopsKey() throws IOException {
        Path home = Files.createDirectory(folder.resolve("home"));
        ShopKey key = ShopKey.make(home);
        assertThat(ShopKey.make(home).shown()).as("made once").isEqualTo(key.shown());
        assertThat(Files.getPosixFilePermissions(home.resolve(ShopKey.FILE)))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        Path pack = folder.resolve("pack");
        List<Path> files = write(full(), pack, new ShopCard("", home, ShopCard.Paper.A4));
        assertThat(Files.readString(named(files, "-owner.html"))).contains(key.shown())
                .contains("Content-Security-Policy").doesNotContain("<script");
        PackCheck check = PackCheck.of(pack, null, CATALOGUE.laws());
        assertThat(check.faults()).isEmpty();
        assertThat(check.signedBy()).isEqualTo(key.shown());
        Path manifest = named(files, "-manifest.json");
        String text = Files.readString(manifest);
        Files.writeString(manifest, text.replaceFirst("\"made\" : \"2026", "\"made\" : \"2025"));
        assertThat(PackCheck.of(pack, null, CATALOGUE.laws()))
                .satisfies(c -> assertThat(c.faults()).anyMatch(f -> f.contains("is no signature of this manifest")))
                .extracting(PackCheck::signedBy).isEqualTo("");
        Files.writeString(manifest, text);
        Files.writeString(home.resolve(ShopKey.FILE), "torn");
        assertThatThrownBy(() -> ShopKey.in(home)).isInstanceOf(UnusableInput.class).hasMessageContaining("two lines");
    }

    /** Whatever the manifest says is held to the pack: bytes, links, stations, files and folders that are not its own. */
    @Test
    void whatAManifestSaysIsHeldToThePack() throws IOException {
        List<Path> files = write(full(), folder, ShopCard.NONE);
        assertThat(PackCheck.of(folder, null, CATALOGUE.laws()).proves()).contains("not signed");
        Path manifest = named(files, "-manifest.json");
        String text = Files.readString(manifest);
        Files.writeString(manifest, text.replaceFirst("\"scale\" : \"[a-z-]+\"", "\"scale\" : \"proven\"")
                .replaceFirst("\"bytes\" : \\d+", "\"bytes\" : 7")
                .replace("\"made\" : \"2026-05-13\"", "\"made\" : null"));
        Files.createDirectory(folder.resolve("more"));
        Path page = named(files, "-tuner.html");
        Files.writeString(page,
                Files.readString(page).replace("</body>", "<a href=\"https://x.example/a\">a</a></body>"));
        assertThat(PackCheck.of(folder, null, CATALOGUE.laws()).faults())
                .anyMatch(f -> f.contains("the manifest says 7"))
                .anyMatch(f -> f.startsWith("scale: the manifest says proven, the document shows "))
                .anyMatch(f -> f.contains("does not say on which day"))
                .anyMatch(f -> f.equals("more (a folder): not of this pack"))
                .anyMatch(f -> f.contains("leads to https://x.example/a"));
        Files.writeString(manifest, text.replaceFirst("\"name\" : \"", "\"name\" : \"\\\\u0000"));
        assertThatThrownBy(() -> PackCheck.of(folder, null, CATALOGUE.laws())).isInstanceOf(UnusableInput.class)
                .hasMessageContainingAll("files[0]", "without folders");
    }

    @Test
    void aFolderThatCannotBeWrittenIsSaidAndNothingIsHalfWritten() throws IOException {
        Path blocked = Files.writeString(folder.resolve("file"), "a file, not a folder");
        Job job = full();
        assertThatThrownBy(() -> write(job, blocked, ShopCard.NONE))
                .hasMessageContaining("cannot be written");
        assertThat(blocked).hasContent("a file, not a folder");
        Path full = Path.of("/dev/full");
        if (Files.exists(full)) {
            Path unfinished = Files.createDirectory(
                    folder.resolve("unfinished-" + ProcessHandle.current().pid()));
            Path link = Files.createSymbolicLink(unfinished.resolve("SB-9-owner.html.part"), full);
            assertThatThrownBy(() -> write(job)).hasMessageContainingAll("cannot be written", "space");
            assertThat(folder.resolve("SB-9-owner.html")).doesNotExist();
            assertThat(link).doesNotExist();
            assertThat(unfinished).as("nothing is left of it").doesNotExist();
        }
    }

    private static String line(String text, String begins) {
        return text.lines().filter(l -> l.startsWith(begins)).findFirst().orElseThrow().substring(begins.length());
    }
}
