package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.app.Demo;
import amberheron.app.session.Session;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Job;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Segment;
import amberheron.io.book.JobBook;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The commands on one job: each station of it, its review, its pack. */
class JobCommandsTest extends CommandTest {
    /** The text of a review names checks as people know them, not as scripts do. */
    @Test
    void aReviewSaysInWordsWhatIsOpen() throws IOException {
        String job = file("blank.json", JobDocument.of(Job.empty("B")).text());
        Ran said = run(folder, "review", job);
        assertThat(said.out()).contains("Choose the controller's output law", "Take a place for the bung")
                .doesNotContain("proving-log", "handed-over");
        assertThat(run(folder, "review", job, "--json").out()).as("scripts know them by their keys").contains("law");
    }

    /** 35 °C and 90 %: a gain of 1.0525, and 0.0126 at λ 1.2 by the whole model. */
    @Test
    void theAirIsGivenWithWhatItCosts() throws IOException {
        Job job = Job.empty("A").withAir(FreeAirCheck.NONE.withToday(AirOfDay.of(308.15, 0.9, 0)));
        Ran ran = run("air", file("a.json", JobDocument.of(job).text()), "--json");
        JsonNode out = JsonMapper.shared().readTree(ran.out());
        assertThat(out.path("air").path("gain").asDouble()).isCloseTo(1.0525, within(5e-5));
        assertThat(out.path("air").path("costs").path(2).path("shown").asDouble()).isCloseTo(1.2126, within(5e-5));
        assertThat(out.path("shouldShow").isNull()).isTrue();
        assertThat(out.path("coach").asString()).isEqualTo("conditions");
    }

    /** What stands proven, what does not and why, in words and for scripts. */
    @Test
    void aJobIsReviewed() throws IOException {
        String lying;
        try (Session session = Demo.session(folder)) {
            session.open("SB-016");
            lying = file("SB-016.json", session.document().text());
        }
        Ran ran = run(folder, "review", lying, "--json");
        assertThat(ran.exit()).isEqualTo(1);
        JsonNode stations = ran.json().get("stations");
        assertThat(stations.propertyNames()).containsExactly("plan", "place", "wire", "air", "scale", "prove",
                "hand-over");
        assertThat(stations.get("scale").get("state").stringValue()).isEqualTo("out-of-tolerance");
        assertThat(stations.get("scale").get("because").get(0).stringValue()).isEqualTo("ground-shift");
        assertThat(stations.get("wire").get("because")).extracting(b -> b.stringValue()).contains("ground");
        assertThat(ran.json().get("next").get("station").stringValue()).isIn("plan", "place", "wire");
        assertThat(ran.json().get("trust").isNull()).as("not worked out: nothing is claimed").isTrue();
        Ran elsewhere = run("review", lying, "--json");
        assertThat(elsewhere.json().get("stations").get("scale").get("state").stringValue())
                .as("outside the demo its simulated points prove nothing").isEqualTo("begun");
        assertThat(run(folder, "review", lying).out()).contains("out of tolerance").contains("next: ");
    }

    /** The same job is judged the same here and on the desktop: by the shop's laws and schools. */
    @Test
    void theShopsOwnSchoolsCount() throws IOException {
        Path home = Files.createDirectory(folder.resolve("home"));
        String job;
        try (Session session = Demo.session(folder)) {
            session.open("SB-014");
            session.edit("behind an open one", j -> j.withIntake(j.intake().withExhaust(j.intake().exhaust()
                    .withSegments(j.intake().exhaust().segments().stream()
                            .map(s -> s.kind() == Segment.Kind.CATALYST ? s.withKind(Segment.Kind.STRAIGHT_THROUGH) : s)
                            .toList())))
                    .withPlacing(
                            j.placing().withCandidate("B", c -> c.withDistance(1.6)).withFitted(AsFitted.NOTHING)));
            job = file("behind.json", session.document().text());
        }
        assertThat(finding(run(home, "place", job, "--json").json(), "catalyst").get("verdict").stringValue())
                .isEqualTo("warn");
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            book.prefer("school.catalyst", "OPEN_IS_NEGLIGIBLE");
        }
        assertThat(finding(run(home, "place", job, "--json").json(), "catalyst").get("verdict").stringValue())
                .isEqualTo("pass");
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
                "best on all cylinders: 460 mm at ", "by “Straight up is best”: B");
        Ran placing = run("place", lying, "--json");
        assertThat(placing.json().get("place").stringValue()).isEqualTo("A");
        assertThat(placing.json().get("candidates").get(1).get("verdict").stringValue())
                .as("wet when the heater is hot already").isEqualTo("warn");
        assertThat(placing.json().get("search")).extracting(f -> f.get("line").stringValue()).containsExactly("first",
                "second");
        assertThat(placing.json().get("findings").get(0).get("figure").doubleValue()).isCloseTo(Math.toRadians(63),
                within(0.01));
        assertThat(run("air", proven).exit()).isZero();
        assertThat(run("wire", proven).exit()).isZero();
        Ran wire = run("wire", lying, "--json");
        assertThat(wire.exit()).isEqualTo(1);
        assertThat(finding(wire.json(), "ground").get("lambdaCost").doubleValue()).isCloseTo(0.01145, within(1e-4));
        assertThat(wire.json().get("twins").get(0).get("tags")).extracting(t -> t.stringValue()).containsExactly("3",
                "4");
        assertThat(wire.json().get("grounds")).hasSize(4);
        assertThat(run("wire", proven, "--out", at("harness")).out()).contains("source B (cigar lighter): live all",
                "wire 10  analog +, pink/blue, to standalone ECU");
        assertThat(folder.resolve("harness/SB-014-strip.svg")).isNotEmptyFile();
        Ran prove = run("prove", proven, at("logs/SB-014-drive.csv"), "--json");
        assertThat(prove.exit()).isZero();
        assertThat(prove.json().get("verdict").stringValue()).isEqualTo("pass");
        assertThat(prove.json().get("reader").get("lag").asDouble()).isCloseTo(0.1, within(0.01));
        assertThat(prove.json().get("reader").get("gainInterval").size()).isEqualTo(2);
        assertThat(prove.json().get("rows").get("leftOut").asInt()).isZero();
        assertThat(prove.json().get("columns").toString()).contains("\"channel\":\"rpm\"", "by its name");
        assertThat(prove.json().get("regimes").toString()).contains("cold-start", "idle", "cruise", "acceleration",
                "full-load", "lift-off");
        assertThat(prove.json().get("events").size()).isZero();
        assertThat(prove.json().get("causes").get(0).get("cause").stringValue()).isEqualTo("none");
        Ran mapped = run("prove", proven, at("logs/SB-014-drive.csv"), "--map", "reader=nothing");
        assertThat(mapped.exit()).isEqualTo(2);
        assertThat(mapped.err()).contains("found no column “nothing”", "logger lambda");
        twoLogsOfOneDrive(proven);
        assertThat(run("pack", proven, "--out", at("pack")).exit()).isZero();
        assertThat(folder.resolve("pack/SB-014-mechanic.pdf")).isNotEmptyFile();
        assertThat(run("pack", lying, "--out", at("lying")).exit()).isEqualTo(1);
        Ran whole = run("verify", at("pack"), proven);
        assertThat(whole.exit()).isZero();
        assertThat(whole.out()).contains("SB-014, code ", "whole, ", "The job is as it was handed over.");
        assertThat(run("verify", at("pack"), lying).exit()).as("another job's").isEqualTo(2);
        Files.writeString(folder.resolve("pack/SB-014-law.csv"), "volts,lambda\n0,1\n5,1\n");
        Ran touched = run("verify", at("pack"), "--json");
        assertThat(touched.exit()).isEqualTo(1);
        assertThat(touched.json().get("whole").booleanValue()).isFalse();
        assertThat(touched.json().get("faults").toString()).contains("SB-014-law.csv: changed");
        assertThat(run("verify", at("nowhere")).exit()).isEqualTo(2);
    }

    /** The controller's own log begun later, on a clock that runs fast, and the reader's: put together they say what one log says. */
    private void twoLogsOfOneDrive(String job) throws IOException {
        List<String[]> rows = Files.readAllLines(folder.resolve("logs/SB-014-drive.csv")).stream()
                .map(l -> l.split(",", -1)).toList();
        List<String> names = List.of(rows.getFirst());
        int time = names.indexOf("time s");
        int controller = names.indexOf("controller lambda");
        int rpm = names.indexOf("engine speed rpm");
        StringBuilder own = new StringBuilder("seconds,controller lambda,engine speed\n");
        StringBuilder engineless = new StringBuilder("seconds,controller lambda\n");
        rows.stream().skip(1).filter(r -> Double.parseDouble(r[time]) >= 20).forEach(r -> {
            String at = String.format(Locale.ROOT, "%.4f,%s", (Double.parseDouble(r[time]) - 20) * 1.0004,
                    r[controller]);
            own.append(at).append(',').append(r[rpm]).append('\n');
            engineless.append(at).append('\n');
        });
        String reader = file("reader.csv", rows.stream().map(r -> IntStream.range(0, r.length)
                .filter(c -> c != controller).mapToObj(c -> r[c]).collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n")));
        Ran joined = run("prove", job, reader, "--with", file("own.csv", own.toString()), "--json");
        assertThat(joined.exit()).as(joined.err()).isZero();
        assertThat(joined.json().get("joined").get("shift").asDouble()).isCloseTo(20, within(0.02));
        assertThat(joined.json().get("joined").get("drift").asDouble()).isCloseTo(-0.0004, within(5e-5));
        assertThat(joined.json().get("joined").get("by").stringValue()).isEqualTo("rpm");
        assertThat(joined.json().get("reader").get("lag").asDouble()).isCloseTo(0.1, within(0.02));
        assertThat(finding(joined.json(), "clocks").get("verdict").stringValue()).isEqualTo("pass");
        Ran mixtures = run("prove", job, reader, "--with", file("engineless.csv", engineless.toString()), "--json");
        assertThat(mixtures.json().get("reader").get("lag").isNull()).as("cannot be told").isTrue();
        assertThat(finding(mixtures.json(), "clocks").get("verdict").stringValue()).isEqualTo("warn");
        Ran another = run("prove", job, reader, "--with", file("another.csv", "seconds,controller lambda\n"
                + IntStream.range(0, 4000).mapToObj(i -> say("%.2f,%.3f", i * 0.05, 1 + 0.1 * Math.sin(i * i / 9e4)))
                        .collect(Collectors.joining("\n"))));
        assertThat(another.exit()).isEqualTo(2);
        assertThat(another.err()).contains("no part of the one is found in the other", "engine");
    }

    private static JsonNode finding(JsonNode result, String check) {
        for (JsonNode f : result.get("findings")) {
            if (f.get("id").stringValue().equals(check)) {
                return f;
            }
        }
        throw new AssertionError("no finding " + check);
    }
}
