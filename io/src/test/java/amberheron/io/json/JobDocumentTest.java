package amberheron.io.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.job.Entries;
import amberheron.core.job.Job;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Run;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Line;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class JobDocumentTest {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    @TempDir
    private Path folder = Path.of("");

    private static Job job() {
        Job empty = Job.empty("SB-1");
        return empty.withIntake(empty.intake().withVehicle("van “λ”").withFuel(CATALOGUE.fuel("e85")))
                .withLaw(CATALOGUE.law("straight-lambda")).withGauge(MixtureScale.afr(14.7))
                .withReader(CATALOGUE.reader("ecu-table-8"))
                .withPoint(new CheckPoint(1.5, null, 0.71, "bench"))
                .withEntries(Entries.NONE.drafted(WireField.FUSE.address(), "five-ish").entered(
                        AirField.TEMPERATURE.address(), new Origin(Origin.Kind.TYPED, "", Instant.EPOCH, "J-1")));
    }

    private Path file(String text) throws IOException {
        return Files.writeString(folder.resolve("job.json"), text);
    }

    private void refused(String text, String... says) throws IOException {
        Path file = file(text);
        assertThatThrownBy(() -> JobDocument.read(file)).isInstanceOf(UnusableInput.class)
                .hasMessageContainingAll(says).hasMessageStartingWith("job.json");
        assertThat(file).as("the file is left as it was").hasContent(text);
    }

    @Test
    void everyFieldComesBackAndTheSchemaAgrees() throws IOException {
        JobDocument back = JobDocument.read(file(JobDocument.of(job()).text()));
        assertThat(back.job()).isEqualTo(job());
        assertThat(back.job().entries().drafts()).containsEntry("wire.fuse", "five-ish");
        assertThat(JobDocument.read(file(JobDocument.of(Job.empty("X")).text())).job()).isEqualTo(Job.empty("X"));
    }

    /** A newer version may write more; what it wrote stays through an edit by this one. */
    @Test
    void unknownFieldsOfANewerVersionAreKept() throws IOException {
        String newer = JobDocument.of(job()).text()
                .replaceFirst("\"version\" : 4", "\"version\" : 5, \"mood\" : \"calm\"")
                .replaceFirst("\"fuse\" :", "\"relay\" : {\"pin\" : 87}, \"fuse\" :")
                .replaceFirst("\"volts\" : 1.5", "\"supply\" : \"S1\", \"volts\" : 1.5");
        JobDocument read = JobDocument.read(file(newer));
        String edited = read.with(read.job().withWiring(read.job().wiring().withFuse(5.0))).text();
        assertThat(edited).contains("\"mood\" : \"calm\"").contains("\"pin\" : 87").contains("\"supply\" : \"S1\"")
                .contains("\"fuse\" : 5.0");
    }

    /** Documents of version 1 knew the exhaust by four answers; they open, nothing said in them is lost, nothing is made up. */
    @Test
    void aDocumentOfVersionOneBecomesPieces() throws IOException {
        String old = """
                {"format": "amber-heron-job", "version": 1, "id": "SB-7", "mood": "calm",
                 "intake": {"vehicle": "van", "banks": 1, "condition": "sound", "fit": "weld-in", "readers": ["logger"],
                  "permanent": true, "fixedHarness": true,
                  "exhaust": {"turbine": true, "outerDiameter": 0.05, "catalyst": "fitted", "catalystAt": 0.98, "roll": 0.02}},
                 "done": ["leaks"], "chosen": "B",
                 "candidates": [{"id": "B", "note": "straight", "distance": 0.61, "clock": 0.9, "slope": -0.07, "lean": 0}],
                 "wiring": {"volts": {"off": 0, "on": 12.4, "cranking": null}, "ground": {"shared": true, "length": 3, "crossSection": 1e-6, "current": 1.2}}, "air": {"school": "factory-trimmed"}, "handOver": {}}""";
        JobDocument document = JobDocument.read(file(old));
        Job read = document.job();
        assertThat(read.done()).containsExactly("leaks");
        assertThat(read.chosenPlace().orElseThrow()).isEqualTo(new Candidate("B", "B", "straight", Line.ALL, 0.61, 0.9,
                -0.07, 0, Candidate.Hole.NONE, null));
        assertThat(read.wiring().source().orElseThrow().volts()).containsOnly(
                Map.entry(KeyState.OFF, new PowerSource.Reading(0.0, Origin.UNRECORDED)),
                Map.entry(KeyState.ON, new PowerSource.Reading(12.4, Origin.UNRECORDED)));
        assertThat(read.wiring().ground().cost().orElseThrow().shift()).isEqualTo(3.6 / 58, within(1e-9));
        Run run = read.intake().exhaust().run(Line.ALL);
        assertThat(run.turbine()).isTrue();
        assertThat(run.catalyst().orElseThrow().from()).isEqualTo(0.98);
        assertThat(run.at(0.61).orElseThrow().segment().diameter()).isEqualTo(0.05);
        assertThat(run.end()).as("how long the catalyst is was never said").isInfinite();
        assertThat(read.intake().exhaust().attitude().roll()).isEqualTo(0.02);
        String text = document.with(read).text();
        assertThat(text).contains("\"version\" : 4").contains("\"mood\" : \"calm\"").doesNotContain("catalystAt");
        assertThat(JobDocument.read(file(text)).job()).isEqualTo(read);
        refused(old.replace("\"distance\": 0.61", "\"distance\": \"far\""), "candidates", "distance");
    }

    /** A file without anything in it is said to be so. */
    @Test
    void aBlankFileIsRefusedInWords() throws IOException {
        refused(" \n\t ", "found nothing, expected a JSON object");
    }

    /** Beyond what the schema's checker can count: still refused by its place, as any other number. */
    @Test
    void aCountOutOfThisWorldIsRefusedInWords() throws IOException {
        refused(JobDocument.of(job()).text().replaceFirst("\"cylinders\" : \\w+", "\"cylinders\" : 1e308"),
                "intake.cylinders", "found 1.0E308");
        refused(JobDocument.of(job()).text().replaceFirst("\"version\" : 4", "\"version\" : -1e308"), "version");
        refused(JobDocument.of(job()).text().replaceFirst("\"cylinders\" : \\w+", "\"cylinders\" : " + "9".repeat(400)),
                "intake.cylinders", "found 999999999999999999999999…");
    }

    private static String stored(int version) throws IOException {
        try (var in = Objects.requireNonNull(
                JobDocumentTest.class.getResourceAsStream("job-version-" + version + ".json"))) {
            return new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        }
    }

    /** A stored document of version 3 knew a controller by its school only, and asked nobody before something was read. */
    @Test
    void aDocumentOfVersionThreeKeepsItsSchoolAndWhatWasReadByIt() throws IOException {
        FreeAirCheck read = JobDocument.read(file(stored(3))).job().air();
        ControllerSheet controller = Objects.requireNonNull(read.controller());
        assertThat(controller.school()).isEqualTo(CalibrationSchool.FACTORY_TRIMMED);
        assertThat(controller.inAir().kind()).isEqualTo(InAir.Kind.OF_THE_DAY);
        assertThat(read.today()).isEqualTo(AirOfDay.of(294.15, 0.55, 4));
        assertThat(read.shownOxygen()).isEqualTo(0.2068);
        assertThat(read.conditions()).as("nobody was asked").isEmpty();
        String unread = stored(3).replace("\"factory-trimmed\"", "\"clear-then-learn\"")
                .replace("\"shownOxygen\" : 0.2068", "\"shownOxygen\" : null");
        assertThat(JobDocument.read(file(unread)).job().air().controller()).isNull();
    }

    /** A stored document of version 2: it opens, what it called simulated stays so, its parts get ids, nothing is lost. */
    @Test
    void aDocumentOfVersionTwoSaysWhereItsReadingsCameFrom() throws IOException {
        String old = stored(2);
        JobDocument document = JobDocument.read(file(old.replaceFirst("\\{", "{\"mood\": \"calm\",")));
        Job read = document.job();
        assertThat(read.points()).hasSize(4).allMatch(p -> p.origin().kind() == Origin.Kind.SIMULATED);
        assertThat(read.wiring().source().orElseThrow().volts().values()).isNotEmpty()
                .allMatch(r -> r.origin().equals(Origin.UNRECORDED));
        assertThat(read.intake().exhaust().segments()).extracting(Segment::id).isNotEmpty().doesNotHaveDuplicates()
                .doesNotContain("");
        String text = document.with(read.withWiring(read.wiring().withFuse(4.0))).text();
        assertThat(text).contains("\"version\" : 4").contains("\"mood\" : \"calm\"");
        assertThat(JobDocument.read(file(text)).job()).isEqualTo(read.withWiring(read.wiring().withFuse(4.0)));
    }

    /** Once it was asked at the place as well; it is the same cable, and stands with its route. */
    @Test
    void theLeadStandsInOnePlace() throws IOException {
        String old = stored(2);
        Job both = JobDocument.read(file(old)).job();
        assertThat(both.wiring().harness().route().lengths().lead()).as("the route's own stands").isEqualTo(0.4);
        JobDocument document = JobDocument.read(file(old.replaceFirst("\"lead\" : 0.4", "\"lead\" : null")));
        assertThat(document.job().wiring().harness().route().cableInAll()).isEqualTo(2.4, within(1e-9));
        Route cleared = document.job().wiring().harness().route().withLengths(p -> p.withLead(null));
        String text = document.with(document.job().withWiring(document.job().wiring()
                .withHarness(document.job().wiring().harness().withRoute(cleared)))).text();
        assertThat(JobDocument.read(file(text)).job().wiring().harness().route().lengths().lead())
                .as("what was taken back stays gone").isNull();
    }

    /** A removed draft is not an unknown field: it must not come back. */
    @Test
    void whatWasTakenBackIsGone() {
        JobDocument document = JobDocument.of(job());
        assertThat(document.with(job().withEntries(Entries.NONE)).text()).doesNotContain("five-ish");
    }

    @Test
    void aTruncatedDocumentIsRefusedWithLineAndColumn() throws IOException {
        String whole = JobDocument.of(job()).text();
        for (int part = 1; part < 10; part++) {
            refused(whole.substring(0, whole.length() * part / 10), "line", "column", "expected one complete JSON");
        }
    }

    /** A harness that cannot be is refused with its place, and the file stays as it was. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
            "\"colour\" : \"white/blue\"|\"colour\" : \"beige\"|wiring.harness.wires[0].colour|expected a colour",
            "\"work\" : \"analog\"|\"work\" : \"music\"|/wiring/harness/wires/0/work|found “music”, expected one of power, constant",
            "\"tag\" : \"8\"|\"tag\" : \"7\"|wiring.harness|tag “7” twice",
            "\"to\" : \"logger\"|\"to\" : \"moon\"|/wiring/harness/wires/0/to|found “moon”, expected one of sensor",
            "\"done\" : [ 1 ]|\"done\" : [ \"one\" ]|/wiring/harness/joints/done/0|found string, expected integer",
            "\"passage\" : \"slit\"|\"passage\" : 3|/wiring/harness/route/passage|expected one of none, bare",
            "\"school\" : \"timer-relay\"|\"school\" : \"luck\"|/wiring/heater/school|found “luck”, expected one of with-ignition",
            "\"form\" : \"can\"|\"form\" : \"smoke\"|/wiring/signals/hookups/0/form|found “smoke”, expected one of single-ended",
            "\"outputOhms\" : 220.0|\"outputOhms\" : -1|/wiring/signals/outputOhms|found -1, expected more than 0",
            "\"outputOhms\" : 220.0|\"outputOhms\" : 0|/wiring/signals/outputOhms|expected more than 0"})
    void aHarnessThatCannotBeIsNamedByItsPlace(String right, String wrong, String place, String says)
            throws IOException {
        Chart chart = new Chart(List.of(
                Wire.of("7", Work.ANALOG, Device.CONTROLLER, Device.LOGGER)
                        .withColour(WireColour.parse("white/blue").orElseThrow()),
                Wire.tagged("8")));
        Job wired = job().withWiring(Wiring.UNMEASURED
                .withSignals(Signals.NONE.withOutputOhms(220.0).with(ReaderKind.ECU, h -> h.withForm(Hookup.Form.CAN)))
                .withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.TIMER_RELAY, 45.0))
                .withHarness(new Harness(chart, Route.UNMEASURED.withFirewall(p -> p.withPassage(Route.Passage.SLIT)),
                        Joints.NONE.joinedBy(Joints.JointSchool.CRIMPED).ticked(1, true), AsWired.NOTHING)));
        String whole = JobDocument.of(wired).text();
        assertThat(whole).contains(right);
        assertThat(JobDocument.read(file(whole)).job()).isEqualTo(wired);
        refused(whole.replace(right, wrong), place, says);
    }

    /** Whoever writes documents by other means reads it there; after a change of the description it is taken over. */
    @Test
    void thePublishedSchemaIsTheOneThatDocumentsAreHeldTo() throws IOException {
        assertThat(Files.readString(Path.of("..", "docs", "job-4.schema.json"))).isEqualTo(JobSchema.text());
    }

    @Test
    void hostileDocumentsAreRefused() throws IOException {
        refused("[".repeat(100_000), "not JSON");
        refused("{\"a\":".repeat(5000), "not JSON");
        refused("{\"id\": 1, \"id\": 2}", "twice in one object");
        refused("[1, 2]", "expected a JSON object");
        refused("{} {}", "not JSON");
        refused(JobDocument.of(job()).text().replace("1.5", "1e999"), "number");
    }

    @Test
    void wrongEncodingIsRefusedWithTheLine() throws IOException {
        Path file = folder.resolve("job.json");
        byte[] latin = "{\n\"id\": \"M\u00fcller\"}".getBytes(StandardCharsets.ISO_8859_1);
        Files.write(file, latin);
        assertThatThrownBy(() -> JobDocument.read(file)).hasMessageContainingAll("line 2", "0xFC", "UTF-8");
        assertThat(file).hasBinaryContent(latin);
    }

    @Test
    void aHugeFileIsRefusedUnread() throws IOException {
        Path file = folder.resolve("job.json");
        try (var channel = java.nio.channels.FileChannel.open(file, java.nio.file.StandardOpenOption.CREATE,
                java.nio.file.StandardOpenOption.WRITE)) {
            channel.write(java.nio.ByteBuffer.wrap(new byte[]{'{'}), 3L << 30);
        }
        assertThatThrownBy(() -> JobDocument.read(file)).hasMessageContainingAll("bytes", "at most");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"\"banks\" : 1|\"banks\" : 3|banks",
            "\"fit\" : \"weld-in\"|\"fit\" : \"glue\"|fit",
            "\"kind\" : \"linear\"|\"kind\" : \"cubic\"|kind", "\"shown\" : 0.71|\"shown\" : \"0.71\"|shown",
            "\"format\" : \"amber-heron-job\"|\"format\" : \"x\"|format"})
    void aWrongFieldIsNamed(String right, String wrong, String field) throws IOException {
        String whole = JobDocument.of(job()).text();
        assertThat(whole).contains(right);
        refused(whole.replace(right, wrong), field);
    }

    @ParameterizedTest
    @ValueSource(strings = {"volts", "points", "quantity", "stoich"})
    void aLawWithoutAFieldSaysWhich(String field) throws IOException {
        String law = """
                {"kind": "linear", "quantity": "afr", "stoich": 14.7,
                 "points": [{"volts": 0.5, "value": 8.5}, {"volts": 4.5, "value": 18.0}], "volts": {"min": 0, "max": 5}}""";
        Path file = file(law);
        assertThat(LawJson.read(file).lambdaAt(0.5) * 14.7).isEqualTo(8.5);
        Path broken = file(law.replaceFirst("\"" + field + "\":", "\"other\":"));
        assertThatThrownBy(() -> LawJson.read(broken)).hasMessageContaining(field);
    }

    @Test
    void readerSettingsOfEveryFormAreRead() throws IOException {
        String reader = """
                {"form": "%s", "quantity": "lambda", "decimals": 3, "maxRows": 3,
                 "input": {"minVolts": 0, "maxVolts": 5}, "setting": %s}""";
        assertThat(shown(reader.formatted("slope-offset", "{\"slope\": 2, \"offset\": 1}"), 2)).isEqualTo(5);
        assertThat(shown(reader.formatted("two-point", "{\"v1\":0,\"q1\":1,\"v2\":5,\"q2\":2}"), 2.5)).isEqualTo(1.5);
        assertThat(shown(reader.formatted("expression", "{\"text\": \"v/5+0.5\"}"), 5)).isEqualTo(1.5);
        assertThat(shown(reader.formatted("table", "{\"rows\": [[0, 0.5], [5, 1.5]]}"), 2.5)).isEqualTo(1);
        Path tooMany = file(reader.formatted("table", "{\"rows\": [[0,1],[1,2],[2,3],[3,4]]}"));
        assertThatThrownBy(() -> ReaderJson.read(tooMany)).hasMessageContainingAll("rows: found 4", "at most 3");
        Path bracket = file(reader.formatted("expression", "{\"text\": \"2*(v+1\"}"));
        assertThatThrownBy(() -> ReaderJson.read(bracket)).hasMessageContainingAll("setting", "character 7", "“)”");
    }

    private double shown(String reader, double volts) throws IOException {
        return java.util.Objects.requireNonNull(ReaderJson.read(file(reader)).setting()).at(volts);
    }
}
