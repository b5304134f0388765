package amberheron.app.placement;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.session.Advice;
import amberheron.app.session.JobPhotos;
import amberheron.app.session.Session;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Photo;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.Placing;
import amberheron.core.placement.TiltSchool;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PlaceModelTest {
    @TempDir
    private Path home = Path.of("");
    private final PlaceModel model = new PlaceModel();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = Demo.session(home);
        session().open("SB-014");
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private void act() {
        Objects.requireNonNull(model.advice(session()).action()).run().run();
    }

    private List<Finding> fails() {
        return model.findings(session()).stream().filter(f -> f.verdict() == Verdict.FAIL).toList();
    }

    private void placing(UnaryOperator<Placing> change) {
        session().edit("test", j -> j.withPlacing(change.apply(j.placing())));
    }

    @Test
    void theChosenPlaceIsLookedAtUntilAnotherIs() {
        assertThat(session().at().place()).hasValue("B");
        session().at().look("A");
        assertThat(session().at().place()).hasValue("A");
        assertThat(fails()).singleElement()
                .satisfies(f -> assertThat(f.subject().metric()).isEqualTo("After the turbine"));
        assertThat(model.findings(session()).getFirst().verdict()).as("what stands in the way is seen first")
                .isEqualTo(Verdict.FAIL);
        assertThat(model.figure(session())).as("looking is not choosing").startsWith("B: ");
    }

    @Test
    void whyTheOthersAreNotTakenIsSaidForEach() {
        String why = model.advice(session()).why().metric();
        assertThat(why).contains("B keeps every rule").contains("A: Too near the turbine")
                .contains("C: After a working catalyst");
    }

    @Test
    void schoolsAreNamedWithWhatEachWouldTakeAndTheShopsIsMarked() {
        assertThat(model.advice(session()).disagreement().metric()).contains("“Straight up is best” takes B")
                .contains("“Anything from 10° up” takes B (yours)").contains("no usable place is refused");
        session().preferences()
                .shop(session().preferences().shop().withSchools(PlaceSchools.OURS.withTilt(TiltSchool.STRAIGHT_UP))
                        .withRecalibrateMonths(12));
        assertThat(model.advice(session()).disagreement().metric()).contains("“Straight up is best” takes B (yours)");
        try (Session next = Demo.empty(home)) {
            assertThat(next.preferences().shop().schools().tilt()).as("for every job, also tomorrow")
                    .isEqualTo(TiltSchool.STRAIGHT_UP);
            assertThat(next.preferences().shop().recalibrateMonths()).isEqualTo(12);
        }
    }

    @Test
    void fromNothingToATakenPlaceByDoingWhatIsNext() {
        session().open("SB-015");
        placing(p -> p.withCandidates(List.of()).withChosen(null).withFitted(AsFitted.NOTHING));
        assertThat(model.figure(session())).isEmpty();
        assertThat(model.advice(session()).next().metric()).startsWith("Name a place");
        act();
        assertThat(letter()).as("what the search found").isEqualTo("A");
        assertThat(fails()).isEmpty();
        placing(p -> p.withCandidate(lettered("A").id(), c -> c.withClock(null)));
        assertThat(model.advice(session()).next().metric()).isEqualTo("A: Enter the clock position.");
        placing(p -> p.withCandidate(lettered("A").id(), c -> c.withClock(0.5).withDistance(null)));
        assertThat(model.advice(session()).next().metric()).startsWith("A: Enter the ");
        placing(p -> p.withCandidate(lettered("A").id(), c -> c.withDistance(0.3)));
        assertThat(model.advice(session()).next().metric()).startsWith("Find another place");
        assertThat(model.advice(session()).why().metric()).contains("Too near the engine");
        act();
        assertThat(letter()).isEqualTo("B");
        placing(p -> p.withCandidate(lettered("B").id(), c -> c.withClock(0.6).withDistance(0.7)));
        Advice advice = model.advice(session());
        assertThat(advice.next().metric()).isEqualTo("Take B.");
        act();
        assertThat(session().job().placing().chosen()).isEqualTo(lettered("B").id());
        assertThat(model.figure(session())).startsWith("B: 700 mm on · 5");
    }

    @Test
    void theSearchIsWorkedOutAgainOnlyForAnotherPipe() {
        var band = PlaceModel.band(session()).orElseThrow();
        session().edit("note", j -> j.withPlacing(j.placing().withCandidate("B", c -> c.withNote("x"))));
        assertThat(PlaceModel.band(session()).orElseThrow()).isSameAs(band);
        PlaceModel.exhaust(session(), "shorter", e -> e.withSegments(e.segments().subList(0, 4)));
        assertThat(PlaceModel.band(session()).orElseThrow().size()).isLessThan(band.size());
        assertThat(PlaceModel.searched(session())).contains("places judged. Best: 460 mm at ");
    }

    private String letter() {
        return PlaceModel.entered(session()).orElseThrow().letter();
    }

    private Candidate lettered(String letter) {
        return session().job().candidates().stream().filter(c -> c.letter().equals(letter)).findFirst().orElseThrow();
    }

    @Test
    void aSensorThatDoesNotFitIsNotTaken() {
        PlaceModel.exhaust(session(), "low floor", e -> e.withNeighbours(e.neighbours().stream()
                .map(n -> n.kind() == Neighbour.Kind.FLOOR ? n.withGap(0.03).withFrom(0) : n).toList()));
        model.take(session(), lettered("A"));
        assertThat(session().job().placing().chosen()).isEqualTo("B");
        assertThat(session().notice()).contains("A cannot be taken").contains("more than the floor leaves at A");
    }

    /** While the hand holds it everything is judged where the hand has it; the job changes when it lets go. */
    @Test
    void draggingJudgesAtOnceAndKeepsAtTheEnd() {
        model.drag(session(), c -> c.withDistance(0.2), false);
        assertThat(fails()).extracting(f -> f.check().key()).containsExactly("distance");
        assertThat(session().job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
        model.drag(session(), c -> c.withDistance(0.55), true);
        assertThat(session().job().chosenPlace().orElseThrow().distance()).isEqualTo(0.55);
        session().openJob().undo();
        assertThat(session().job().chosenPlace().orElseThrow().distance()).isEqualTo(0.61);
    }

    @Test
    void aPlaceThatIsRemovedIsNoLongerTaken() {
        model.remove(session(), lettered("B"));
        assertThat(session().job().placing().chosen()).isNull();
        assertThat(session().job().candidates()).extracting(c -> c.id()).containsExactly("A", "C");
        session().openJob().undo();
        assertThat(session().job().placing().chosen()).isEqualTo("B");
        model.add(session());
        assertThat(letter()).as("the next free letter").isEqualTo("D");
    }

    @Test
    void aBodyThatHangsDownIsSaidAsDown() {
        placing(p -> p.withFitted(AsFitted.NOTHING).withCandidate("B", c -> c.withClock(2.6)));
        assertThat(model.figure(session())).contains(" down");
        assertThat(fails().getFirst().consequence().metric()).contains("hangs below");
    }

    @Test
    void theTemplateIsWrittenAndThePhotoKept() throws Exception {
        placing(p -> p.withFitted(AsFitted.NOTHING));
        session().edit("not marked", j -> j.withDone(Set.of("leaks")));
        assertThat(model.advice(session()).next().metric()).isEqualTo("Print the hole and cope template for B.");
        act();
        assertThat(session().job().done()).contains("place");
        await("Written to");
        assertThat(home.resolve("templates/SB-014-marking-out.pdf")).isNotEmptyFile();
        Path photo = home.resolve("bung.jpg");
        Files.write(photo, new byte[]{(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, 1});
        attach(photo);
        await("is kept in");
        assertThat(session().job().placing().fitted().photos()).extracting(Photo::file)
                .containsExactly("bung.jpg");
        assertThat(home.resolve("photos/SB-014/bung.jpg")).isNotEmptyFile();
        attach(home.resolve("book.db"));
        await("is no picture");
        assertThat(session().job().placing().fitted().photos()).hasSize(1);
    }

    private void attach(Path file) {
        JobPhotos.attach(session(), file.toString(), j -> j.placing().fitted().photos(),
                (j, v) -> j.withPlacing(j.placing().withFitted(j.placing().fitted().withPhotos(v))));
    }

    private void await(String words) {
        assertThat(session().notice()).contains(words);
    }

    @Test
    void aBungTooLargeForThePipeIsSaid() {
        PlaceModel.exhaust(session(), "thin", e -> e.withSegments(
                e.segments().stream().map(s -> s.withDiameter(0.028)).toList()));
        assertThat(model.whyNoMarks(session())).contains("smaller than the pipe");
        model.print(session());
        assertThat(session().notice()).startsWith("No template yet.");
    }
}
