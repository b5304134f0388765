package amberheron.app.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.job.Job;
import amberheron.io.book.JobBook;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The commands as scripts see them. */
class CommandLineTest extends CommandTest {
    private static final String LAW = """
            {"kind": "linear", "quantity": "afr", "stoich": 14.7,
             "points": [{"volts": 0.5, "value": 8.5}, {"volts": 4.5, "value": 18.0}], "volts": {"min": 0, "max": 5}}""";
    private static final String READER = """
            {"form": "slope-offset", "quantity": "afr", "stoich": 14.7, "decimals": 3,
             "input": {"minVolts": 0, "maxVolts": 5, "bits": 10}%s}""";

    @BeforeEach
    void files() throws IOException {
        file("law.json", LAW);
        file("reader.json", READER.formatted(""));
    }

    /** What does not fit is refused in our own words: what was found, and what was expected. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"plaice|heron: not understood: plaice", "place|heron: missing: JOB",
            "scale|heron: missing: --law, --reader", "place --jason x|heron: not understood: --jason",
            "simulate controller --port x|heron: --port: found “x”, expected a whole number",
            "scale --law a --law b --reader c|heron: --law stands twice, expected once",
            "simulate|heron: expected: simulate controller"})
    void argumentsThatDoNotFitAreNamed(String command, String says) {
        Ran ran = run(command.split(" "));
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.err()).startsWith(says);
        assertThat(ran.out()).isEmpty();
    }

    /** A near miss is answered with what is near, anything else with how the command is used. */
    @Test
    void aNearMissIsAnsweredWithWhatIsNear() {
        assertThat(run("plaice").err()).contains("Perhaps: place");
        assertThat(run("place").err()).contains("Usage: heron place", "job document (.json)");
        assertThat(run("review").err()).contains("What stands proven");
    }

    /** The manual knows every command and every option that is offered, and none that is not. */
    @Test
    void theManualLeavesNothingOut() {
        String page = run("man").out().replace("\\-", "-");
        assertThat(page).startsWith(".TH HERON 1");
        HeronCommand.line(new HeronCommand.Environment(folder, Optional.empty(), Optional.empty(), () -> {
            throw new IllegalStateException("no desktop here");
        })).getSubcommands().forEach((name, command) -> {
            assertThat(page).contains(".SS " + name);
            String section = page.substring(page.indexOf(".SS " + name)).substring(4).split("\\.SS", 2)[0];
            command.getCommandSpec().options().stream().filter(o -> !o.usageHelp() && !o.versionHelp())
                    .forEach(o -> assertThat(section.contains("\\fB" + o.longestName())).as(name + o.longestName())
                            .isEqualTo(!o.hidden()));
        });
        assertThat(page).contains(".SS book move JOB", "HERON_BOOK", "70");
    }

    /** From one book into another by commands, as a shop does it that outgrows a file. */
    @Test
    void theBookIsCarriedByCommands() throws IOException {
        Path other = folder.resolve("other.db");
        try (JobBook book = JobBook.open(folder.resolve("home/book.db"))) {
            book.add(JobDocument.of(Job.empty("A")), null);
            book.add(JobDocument.of(Job.empty("B")), null);
        }
        assertThat(run(folder.resolve("home"), "book").out()).contains("book.db: 2 jobs");
        assertThat(run(folder.resolve("home"), "book", "backup", at("backup.db")).out()).contains("2 jobs carried");
        assertThat(run(folder.resolve("home"), "book", "backup", at("backup.db")).exit()).isEqualTo(2);
        assertThat(run(folder.resolve("home"), "book", "move", "A", "--to", other.toString()).exit()).isZero();
        assertThat(run(folder.resolve("home"), "book").out()).contains("book.db: 1 job");
        assertThat(run(folder.resolve("home"), "book", "move", "A", "--to", other.toString()).err())
                .contains("has no job A");
        assertThat(run(folder.resolve("home"), "book", "restore", at("backup.db")).out())
                .contains("1 job carried and read back, 1 there already");
        assertThat(run(folder.resolve("home"), "book", "use", other.toString()).out()).contains("1 job");
        assertThat(run(folder.resolve("home"), "book").out()).contains("other.db: 1 job");
        assertThat(run(folder.resolve("home"), "book", "use", "postgresql://nobody@[::1]:1/x").err())
                .contains("does not answer");
        assertThat(run(folder.resolve("home"), "book", "use", "postgresql://nobody:secret@[::1]:1/x").err())
                .contains("stood on the command line", "--ask").doesNotContain("secret");
        Files.writeString(folder.resolve("text.db"), "not a book at all");
        assertThat(run(folder.resolve("home"), "book", "restore", at("text.db")).err()).contains("is not a job book");
    }

    @Test
    void aCatalogueIsTakenUpAndWorkedWith() throws IOException {
        Path stick = Files.createDirectories(folder.resolve("stick"));
        Files.writeString(stick.resolve("laws.json"), "{\"laws\": [" + LAW.strip().replaceFirst("\\{",
                "{\"id\": \"stick\", \"name\": \"Stick\", ") + "]}");
        Path home = folder.resolve("shop");
        assertThat(run(home, "catalogue", stick.toString()).out()).contains("1 new").contains("laws: stick");
        assertThat(run(home, "scale", "--law", "stick", "--reader", at("reader.json")).exit()).isZero();
        assertThat(run(home, "catalogue", at("nowhere")).err()).contains("no catalogue entries");
    }

    /** A folder is looked at before the work begins; one that was not named, or cannot be written, is said. */
    @Test
    void aFolderThatCannotBeWrittenIsSaidFirst() throws IOException {
        Path job = Files.write(folder.resolve("job.json"), JobDocument.of(Job.empty("A")).bytes());
        assertThat(run("pack", job.toString(), "--out", "").err()).contains("--out: found nothing, expected a folder");
        Path file = Files.writeString(folder.resolve("file"), "x");
        for (String[] command : List.of(new String[]{"pack", job.toString(), "--out", file.toString()},
                new String[]{"pictures", "--out", file.toString()})) {
            Ran run = run(command);
            assertThat(run.exit()).isEqualTo(2);
            assertThat(run.err()).contains("is in the way: it is no folder").hasLineCount(1);
        }
        assertThat(file).hasContent("x");
    }

    /** What every command exits with stands in one table, and none is left out of it. */
    @Test
    void everyCommandIsInTheTableOfExitCodes() throws IOException {
        String formats = Files.readString(Path.of("..", "docs", "formats.md"));
        String table = formats.substring(formats.indexOf("## Exit codes"));
        table = table.substring(0, table.indexOf("\n## ", 5));
        assertThat(HeronCommand.line(new HeronCommand.Environment(folder, Optional.empty(), Optional.empty(), () -> {
            throw new IllegalStateException("no desktop here");
        })).getSubcommands().keySet()).allSatisfy(name -> assertThat(formats).contains("`" + name + "`"));
        for (String name : List.of("place", "wire", "air", "prove", "review", "pack", "verify", "scale", "diagnose")) {
            assertThat(table).contains("`" + name + "`");
            String[] args = switch (name) {
                case "prove" -> new String[]{name, at("nowhere"), at("nowhere")};
                case "pack" -> new String[]{name, at("nowhere"), "--out", at("pack")};
                case "scale" -> new String[]{name, "--law", at("nowhere"), "--reader", at("reader.json")};
                case "diagnose" -> new String[]{name, "--law", at("nowhere"), "--reader", at("reader.json"),
                        "--points", at("nowhere")};
                default -> new String[]{name, at("nowhere")};
            };
            Ran ran = run(args);
            assertThat(ran.exit()).as(name).isEqualTo(2);
            assertThat(ran.out()).as(name).isEmpty();
            assertThat(ran.err()).as(name).contains("nowhere", "expected").doesNotContain("Exception", "\tat ");
        }
    }

    @Test
    void scaleGivesTheSettingInTheReadersForm() {
        Ran ran = run("scale", "--law", at("law.json"), "--reader", at("reader.json"), "--json");
        assertThat(ran.exit()).isZero();
        assertThat(ran.json().get("setting").get("slope").doubleValue()).isEqualTo(2.375);
        assertThat(ran.json().get("setting").get("offset").doubleValue()).isCloseTo(7.3125, within(6e-4));
        assertThat(ran.json().get("table").get(0).propertyNames()).containsExactlyInAnyOrder("lambda", "volts",
                "counts", "shown");
        assertThat(ran.json().get("worstError").propertyNames()).containsExactlyInAnyOrder("lambda", "atLambda");
        assertThat(ran.json().get("budget").get(0).propertyNames()).containsExactlyInAnyOrder("cause", "lambda");
        assertThat(ran.err()).isEmpty();
    }

    @Test
    void aSettingOutOfToleranceExitsWithOne() throws IOException {
        String wrong = file("wrong.json", READER.formatted(", \"setting\": {\"slope\": 2, \"offset\": 10}"));
        Ran ran = run("scale", "--law", at("law.json"), "--reader", wrong, "--fuel", "e85");
        assertThat(ran.exit()).isEqualTo(1);
        assertThat(ran.out()).contains("Worst error").contains("AFR of E85");
    }

    @Test
    void diagnoseFollowsTheContract() throws IOException {
        StringBuilder csv = new StringBuilder("volts,shown\n");
        for (double v : new double[]{0.5, 1.5, 2.5, 3.5, 4.5}) {
            csv.append(v).append(',').append(Math.round(100 * (2.375 * (v + 0.075) + 7.3125)) / 100.0).append('\n');
        }
        Ran ran = run("diagnose", "--law", at("law.json"), "--reader", at("reader.json"), "--points",
                file("points.csv", csv.toString()), "--json");
        assertThat(ran.exit()).isEqualTo(1);
        JsonNode json = ran.json();
        assertThat(json.get("causes").get(0).get("cause").stringValue()).isEqualTo("ground-shift");
        assertThat(json.get("causes").get(0).get("parameters").get("volts").doubleValue()).isCloseTo(0.075,
                within(0.004));
        assertThat(json.get("withinTolerance").booleanValue()).isFalse();
        JsonNode typed = json.get("correctedSetting");
        for (double v = 0; v <= 5; v += 0.5) {
            assertThat(typed.get("slope").doubleValue() * Math.min(5, v + 0.075) + typed.get("offset").doubleValue())
                    .as("with it, at %s V", v).isCloseTo(2.375 * v + 7.3125, within(0.1));
        }
        assertThat(json.propertyNames()).contains("worstError", "nextPoint");
        double sum = 0;
        for (JsonNode cause : json.get("causes")) {
            sum += cause.get("probability").doubleValue();
        }
        assertThat(sum).isCloseTo(1, within(1e-9));

        assertThat(run("diagnose", "--law", at("law.json"), "--reader", at("reader.json"), "--points",
                file("points.csv", csv.toString())).out()).containsPattern("Ground shift \\+7[3-7] mV\n");
    }

    @Test
    void agreementExitsWithZeroAndCause() throws IOException {
        Ran ran = run("diagnose", "--law", at("law.json"), "--reader", at("reader.json"), "--points",
                file("good.csv", "true,shown\n9.00,9.00\n12.00,12.01\n14.70,14.70\n17.50,17.49\n"), "--json");
        assertThat(ran.exit()).isZero();
        assertThat(ran.json().get("causes").get(0).get("cause").stringValue()).isEqualTo("none");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"scale --law nowhere.json --reader gauge|nowhere.json: no such file",
            "scale --law straight-afr --reader nothing|expected a JSON file or one of",
            "scale --law straight-afr|--reader", "scale --law straight-afr --reader gauge --fuel tar|fuel",
            "diagnose --law straight-afr --reader gauge --points none.csv|none.csv", "place none.json|none.json",
            "frobnicate|frobnicate", "simulate|expected: simulate controller",
            "simulate controller --fault gremlins|expected one of none, no-sensor",
            "simulate controller --controller none|expected one of learner",
            "simulate controller --port 99999|0 to 65535",
            "simulate controller --age -1|0 to 100000 h", "simulate controller --speed 0|0.1 to 1000",
            "simulate controller --port 0 --serial /nowhere|no serial port /nowhere"})
    void inputThatCannotBeUsedExitsWithTwoAndNoStackTrace(String command, String says) {
        Ran ran = run(command.split(" "));
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err()).contains(says).doesNotContain("\tat ").doesNotContain("Exception");
    }

    @Test
    void anInputThatSharesNoVoltsIsSaid() throws IOException {
        String far = file("far.json", READER.formatted("").replace("\"minVolts\": 0", "\"minVolts\": 8")
                .replace("\"maxVolts\": 5", "\"maxVolts\": 12"));
        Ran ran = run("scale", "--law", at("law.json"), "--reader", far, "--json");
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.err()).contains("shares nothing with");
    }

    /** A setting that has no number somewhere is refused with the volts where it breaks, also between two steps. */
    @ParameterizedTest
    @CsvSource({"v/0, at 0.000 V", "1/(v-2), at 2.000 V", "10 + 1/(v - 3.3337), at 3.33", "(v-6)^0.5, at 0.000 V",
            "2^(1000*v), at"})
    void aSettingThatBreaksIsRefused(String equation, String where) throws IOException {
        String reader = file("broken.json", """
                {"form": "expression", "quantity": "afr", "stoich": 14.7, "decimals": 3,
                 "input": {"minVolts": 0, "maxVolts": 5, "bits": 10}, "setting": {"text": "%s"}}"""
                .formatted(equation));
        Ran ran = run("scale", "--law", at("law.json"), "--reader", reader, "--json");
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err()).contains("broken.json", equation, where, "expected a number everywhere");
    }

    /** What no vehicle has is refused wherever it is read, with what was found and what was expected. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"\"max\": 5|\"max\": 1e308|found 1.0E308", "\"max\": 5|\"max\": 1e999|",
            "\"max\": 5|\"max\": 1e-300|found 1.0E-300, expected 0.001 to 120 V",
            "14.7|0.2|expected 1 to 40"})
    void whatNoVehicleHasIsRefused(String sound, String bad, @org.jspecify.annotations.Nullable String says)
            throws IOException {
        Ran ran = run("scale", "--law", file("odd.json", LAW.replace(sound, bad)), "--reader", at("reader.json"));
        assertThat(ran.exit()).as(ran.err()).isEqualTo(2);
        assertThat(ran.err()).contains("odd.json").contains(says == null ? "" : says).doesNotContain("\tat ");
    }

    /** An error of our own is no verdict on a job: its code is 70, one line, and where the log is. */
    @Test
    void anErrorOfOurOwnIsNotCalledOutOfTolerance() {
        Ran ran = run(folder, "demo");
        assertThat(ran.exit()).isEqualTo(70);
        assertThat(ran.err().lines()).singleElement().asString().contains("error of our own")
                .contains(folder.resolve("logs").toString());
        assertThat(folder.resolve("logs/heron-0.log")).content().contains("no desktop here");
    }

    @Test
    void aDeviceIsNoFile() {
        Path zero = Path.of("/dev/zero");
        org.junit.jupiter.api.Assumptions.assumeTrue(java.nio.file.Files.exists(zero));
        Ran ran = run("air", zero.toString());
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.err()).contains("is a device or a pipe, expected a file");
    }
}
