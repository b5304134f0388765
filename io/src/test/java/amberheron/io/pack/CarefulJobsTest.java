package amberheron.io.pack;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Finding;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.LinkState;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.core.plan.Step;
import amberheron.core.units.UnitChoice;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import amberheron.io.json.ResultJson;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Jobs that look proven and must not be signed, or that get advice: each is a document that is proven, with one thing of it
 * changed, and is held to what review, plan, board and printed sheets say of it.
 */
class CarefulJobsTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);

    /** One case, named by what is the matter with it. */
    record Case(String job, JsonNode said) {
        @Override
        public String toString() {
            return job;
        }
    }

    private static JsonNode resource(String name) {
        try (InputStream in = CarefulJobsTest.class.getResourceAsStream(name)) {
            return JSON.readTree(Objects.requireNonNull(in, name).readAllBytes());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    static Stream<Case> cases() {
        return resource("careful-jobs.json").valueStream().map(c -> new Case(c.get("job").asString(), c));
    }

    private static String document(JsonNode changes) {
        JsonNode tree = resource("SB-014.json");
        String digest = tree.at("/proving/digest").asString();
        changes.propertyStream().forEach(change -> {
            JsonPointer at = JsonPointer.compile(change.getKey());
            JsonNode parent = tree.at(at.head());
            JsonPointer last = at.last();
            if (parent instanceof ArrayNode list) {
                list.set(last.getMatchingIndex(), change.getValue());
            } else {
                ((ObjectNode) parent).set(last.getMatchingProperty(), change.getValue());
            }
        });
        return tree.toString().replace("\"SAME\"", "\"" + digest + "\"");
    }

    /** All that anybody is told of a job: findings, plan, what follows from the intake, board and sheets. */
    private static String told(JobReview review) {
        StringBuilder told = new StringBuilder();
        for (Station station : Station.values()) {
            for (Finding f : review.findings(station)) {
                told.append(f.subject().metric()).append(": ").append(f.consequence().metric()).append('\n');
            }
        }
        review.job().intake().follows().forEach(m -> told.append(m.metric()).append('\n'));
        review.stale().forEach(s -> told.append(s.text().metric()).append('\n'));
        for (Step step : review.plan().steps()) {
            told.append(step.title()).append(", ").append(step.caution()).append(", ").append(step.items())
                    .append('\n');
        }
        JobSummary line = JobSummary.of(review);
        told.append("board: ").append(line.on()).append(", ").append(line.detail()).append('\n');
        review.next().ifPresent(n -> told.append("next: ").append(n.text().metric()).append('\n'));
        Sheets sheets = new Sheets(review, UnitChoice.METRIC, ShopCard.NONE, "");
        for (Sheets.For whom : Sheets.For.values()) {
            told.append(sheets.of(whom)).append('\n');
        }
        return told.toString();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void isSignedOnlyAsACarefulInstallerWould(Case each) {
        JsonNode said = each.said();
        JobDocument document = JobDocument.parse("SB-014.json", document(said.get("set")));
        Shop shop = new Shop(Catalogue.shipped().laws(), Shop.of(List.of()).schools(), Shop.USUAL_TRIM,
                Shop.USUAL_MONTHS,
                true, DAY);
        JobReview review = new JobReview(document.job(), shop);
        JsonNode stations = JSON.readTree(ResultJson.review(review)).get("stations");
        said.path("states").propertyStream().forEach(state -> assertThat(stations.at("/" + state.getKey() + "/state")
                .asString()).as("%s: %s", state.getKey(), stations.at("/" + state.getKey() + "/because"))
                .isEqualTo(state.getValue().asString()));
        said.path("because").propertyStream().forEach(because -> assertThat(
                stations.at("/" + because.getKey() + "/because").valueStream().map(JsonNode::asString).toList())
                .as(because.getKey())
                .containsAll(because.getValue().valueStream().map(JsonNode::asString).toList()));
        said.path("first").propertyStream().forEach(first -> assertThat(
                stations.at("/" + first.getKey() + "/because/0").asString()).isEqualTo(first.getValue().asString()));
        boolean broken = Arrays.stream(Station.values()).anyMatch(s -> review.state(s) == LinkState.OUT_OF_TOLERANCE);
        assertThat(broken && JobSummary.of(review).on() == Waiting.FINISHED).as("finished, and not to be signed")
                .isFalse();
        String told = told(review);
        said.path("says").valueStream().forEach(words -> assertThat(told).contains(words.asString()));
        said.path("never").valueStream().forEach(
                words -> assertThat(told.lines().filter(l -> l.contains(words.asString())).toList()).isEmpty());
    }
}
