package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.desktop.Stations;
import amberheron.app.parts.StationPlug;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Station;
import amberheron.core.plan.Step;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.ResultJson;
import amberheron.io.pack.HandOverSheet;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What a review takes over from the one before is what a review from scratch would work out, whichever value of the job was
 * changed. {@code -Dedits=100000} tries every value.
 */
class TakenOverTest {
    private static final int EDITS = Integer.getInteger("edits", 12);

    @TempDir
    private Path home = Path.of("");

    /** All that is shown of a review, by name, so that what differs can be told. */
    private static Map<String, String> shown(JobReview review) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("summary", JobSummary.of(review).toString());
        for (Station station : Station.values()) {
            all.put("findings of " + station, review.findings(station).toString());
            all.put("state of " + station, review.state(station) + " " + review.because(station));
        }
        all.put("result", ResultJson.review(review));
        all.put("plan", review.plan().steps().stream().map(Step::toString).toList().toString());
        all.put("schedule", review.schedule().map(Object::toString).orElse(""));
        all.put("trust", review.trust().map(Object::toString).orElse(""));
        all.put("scale", review.scale().map(Object::toString).orElse(""));
        var reader = review.job().reader();
        if (reader != null) {
            all.put("points", review.diagnosis().map(d -> ResultJson.diagnosis(d, reader)).orElse(""));
            all.put("road", review.onTheRoad().map(d -> ResultJson.diagnosis(d, reader)).orElse(""));
        }
        all.put("trims", review.trims().map(Object::toString).orElse(""));
        all.put("chain", review.chain().map(c -> c.basis() + " " + c.reading().applyAsDouble(0.9)).orElse(""));
        all.put("stale", review.stale().toString());
        all.put("lacks", review.lacks().toString());
        all.put("places", review.places().places().toString());
        all.put("ticked", review.tickedTooSoon() + " " + review.provenUnticked());
        all.put("sheet", HandOverSheet.of(review, UnitChoice.METRIC).toString());
        review.others().forEach(other -> all.put("other " + other.job().outputs().activeId(), shown(other).toString()));
        return all;
    }

    /** What the screens say on it. */
    private static Map<String, String> advised(Session session) {
        Map<String, String> all = shown(session.review());
        for (StationPlug<?> plug : Stations.all()) {
            session.at().go(plug.station());
            StationModel model = plug.model();
            Advice advice = model.advice(session);
            all.put("advice of " + plug.station(), advice.next().metric() + "|"
                    + Optional.ofNullable(advice.action()).map(Advice.Action::label).orElse("") + "|"
                    + advice.why().metric() + "|" + advice.caution().metric());
            all.put("figure of " + plug.station(), model.figure(session));
        }
        return all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"SB-014", "SB-015", "SB-016"})
    void aReviewTakenOverIsTheOneFromScratch(String id) {
        long seed = Long.getLong("seed", System.nanoTime());
        Random random = new Random(seed);
        List<String> faults = new ArrayList<>();
        int tried = 0;
        try (Session session = Demo.session(home)) {
            session.open(id);
            Job original = session.job();
            for (OneFieldEdits.Edit edit : OneFieldEdits.of(original, random)) {
                Optional<Job> changed = edit.changed(random).filter(j -> j.id().equals(id) && !j.equals(original));
                if (changed.isEmpty()) {
                    continue;
                }
                if (++tried > EDITS) {
                    break;
                }
                session.edit(edit.path(), j -> changed.get());
                Map<String, String> takenOver = advised(session);
                session.open(id);
                Map<String, String> scratch = advised(session);
                scratch.forEach((what, says) -> {
                    if (!says.equals(takenOver.get(what))) {
                        faults.add(edit.path() + ", " + what + ":\n  from scratch " + says + "\n  taken over   "
                                + takenOver.get(what));
                    }
                });
                session.edit("back", j -> original);
            }
        }
        assertThat(faults).as("seed %d, %d edits", seed, tried).isEmpty();
        assertThat(tried).isGreaterThan(Math.min(EDITS, 100) / 2);
    }
}
