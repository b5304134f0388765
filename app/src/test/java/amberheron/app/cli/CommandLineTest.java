package amberheron.app.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.Demo;
import amberheron.app.session.Session;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The commands as scripts see them. */
class CommandLineTest {
    private static final String LAW = """
            {"kind": "linear", "quantity": "afr", "stoich": 14.7,
             "points": [{"volts": 0.5, "value": 8.5}, {"volts": 4.5, "value": 18.0}], "volts": {"min": 0, "max": 5}}""";
    private static final String READER = """
            {"form": "slope-offset", "quantity": "afr", "stoich": 14.7, "decimals": 3,
             "input": {"minVolts": 0, "maxVolts": 5, "bits": 10}%s}""";

    @TempDir
    private Path folder = Path.of("");

    private record Ran(int exit, String out, String err) {
        JsonNode json() {
            return JsonMapper.shared().readTree(out);
        }
    }

    private static Ran run(String... args) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        ByteArrayOutputStream complained = new ByteArrayOutputStream();
        try {
            System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
            System.setErr(new PrintStream(complained, true, StandardCharsets.UTF_8));
            int exit = HeronCommand.run(args, new HeronCommand.Surroundings(Path.of("nowhere"), () -> {
                throw new AssertionError("no desktop here");
            }));
            return new Ran(exit, said.toString(StandardCharsets.UTF_8), complained.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
    }

    private String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @BeforeEach
    void files() throws IOException {
        file("law.json", LAW);
        file("reader.json", READER.formatted(""));
    }

    private String at(String name) {
        return folder.resolve(name).toString();
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
        assertThat(json.get("correctedSetting").get("slope").doubleValue()).isCloseTo(2.375, within(1e-9));
        assertThat(json.propertyNames()).contains("worstError", "nextPoint");
        double sum = 0;
        for (JsonNode cause : json.get("causes")) {
            sum += cause.get("probability").doubleValue();
        }
        assertThat(sum).isCloseTo(1, within(1e-9));
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
            "scale --law afr-2v-10 --reader nothing|expected a JSON file or one of",
            "scale --law afr-2v-10|--reader", "scale --law afr-2v-10 --reader gauge --fuel tar|fuel",
            "diagnose --law afr-2v-10 --reader gauge --points none.csv|none.csv", "place none.json|none.json",
            "frobnicate|frobnicate"})
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

    @Test
    void theStationsOfAJob() throws IOException {
        String proven;
        String lying;
        try (Session session = Demo.session(folder)) {
            session.open("SB-014");
            proven = file("SB-014.json", session.document().text());
            session.open("SB-016");
            lying = file("SB-016.json", session.document().text());
        }
        Ran placed = run("place", proven);
        assertThat(placed.exit()).isZero();
        assertThat(placed.out()).contains("PASS     B: straight before the catalyst (taken)", "FAIL     A: elbow",
                "best on all cylinders: 460 mm at ", "school “Straight up is best”: B");
        Ran placing = run("place", lying, "--json");
        assertThat(placing.json().get("place").stringValue()).isEqualTo("A");
        assertThat(placing.json().get("candidates").get(1).get("verdict").stringValue()).isEqualTo("pass");
        assertThat(placing.json().get("search")).extracting(f -> f.get("line").stringValue()).containsExactly("first",
                "second");
        assertThat(placing.json().get("findings").get(0).get("figure").doubleValue()).isCloseTo(Math.toRadians(63),
                within(0.01));
        assertThat(run("air", proven).exit()).isZero();
        assertThat(run("wire", proven).exit()).isZero();
        Ran wire = run("wire", lying, "--json");
        assertThat(wire.exit()).isEqualTo(1);
        assertThat(wire.json().get("findings").get(8).get("lambdaCost").doubleValue()).isCloseTo(0.0103, within(1e-4));
        assertThat(wire.json().get("twins").get(0).get("tags")).extracting(t -> t.stringValue()).containsExactly("3",
                "4");
        assertThat(wire.json().get("grounds")).hasSize(4);
        assertThat(run("wire", proven, "--out", at("harness")).out()).contains("source B (cigar lighter): live all",
                "wire 10  analog +, white/blue, to standalone ECU");
        assertThat(folder.resolve("harness/SB-014-strip.svg")).isNotEmptyFile();
        Ran prove = run("prove", proven, at("logs/SB-014-drive.csv"), "--json");
        assertThat(prove.exit()).isZero();
        assertThat(prove.json().get("verdict").stringValue()).isEqualTo("pass");
        assertThat(run("pack", proven, "--out", at("pack")).exit()).isZero();
        assertThat(folder.resolve("pack/SB-014-hand-over.pdf")).isNotEmptyFile();
        assertThat(run("pack", lying, "--out", at("pack")).exit()).isEqualTo(1);
    }
}
