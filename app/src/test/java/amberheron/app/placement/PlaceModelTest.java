package amberheron.app.placement;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.shell.Advice;
import amberheron.app.shell.Session;
import amberheron.core.finding.Verdict;
import java.nio.file.Path;
import java.util.Objects;
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

    @Test
    void theChosenPlaceIsLookedAtUntilAnotherIs() {
        assertThat(session().place()).hasValue("B");
        session().look("A");
        assertThat(session().place()).hasValue("A");
        assertThat(PlaceModel.findings(session())).filteredOn(f -> f.verdict() == Verdict.FAIL)
                .singleElement().satisfies(f -> assertThat(f.subject()).isEqualTo("After the turbine"));
        assertThat(model.figure(session())).as("looking is not choosing").startsWith("B: ");
    }

    @Test
    void whyTheOthersAreNotTakenIsSaidForEach() {
        String why = model.advice(session()).why();
        assertThat(why).contains("B keeps every rule").contains("A: Too near the turbine")
                .contains("C: After the catalyst");
    }

    @Test
    void schoolsAreNamedWithWhatEachWouldTake() {
        String parted = model.advice(session()).parted();
        assertThat(parted).contains("“Straight up is best” takes B").contains("“Anything from 10° up” takes B (ours)")
                .contains("no usable place is refused");
    }

    @Test
    void fromNothingToATakenPlaceByDoingWhatIsNext() {
        session().open("SB-015");
        session().edit("none", j -> j.withCandidates(java.util.List.of()).withChosen(null));
        assertThat(model.figure(session())).isEmpty();
        assertThat(model.advice(session()).next()).startsWith("Name a place");
        act();
        assertThat(session().place()).hasValue("A");
        assertThat(model.advice(session()).next()).isEqualTo("A: Enter the clock position.");
        session().edit("clock", j -> j.withCandidate("A", c -> c.withClock(0.5)));
        assertThat(model.advice(session()).next()).isEqualTo("A: Enter the distance along the pipe.");
        session().edit("distance", j -> j.withCandidate("A", c -> c.withDistance(0.3)));
        assertThat(model.advice(session()).next()).startsWith("Find another place");
        assertThat(model.advice(session()).why()).contains("Too near the engine");
        act();
        assertThat(session().place()).hasValue("B");
        session().edit("good", j -> j.withCandidate("B", c -> c.withClock(0.5).withDistance(0.7)));
        Advice advice = model.advice(session());
        assertThat(advice.next()).isEqualTo("Take B.");
        act();
        assertThat(session().job().chosen()).isEqualTo("B");
        assertThat(model.figure(session())).isEqualTo("B: 700 mm on · 61° up");
    }

    @Test
    void aPlaceThatIsRemovedIsNoLongerTaken() {
        model.remove(session(), "B");
        assertThat(session().job().chosen()).isNull();
        assertThat(session().job().candidates()).extracting(c -> c.id()).containsExactly("A", "C");
        session().undo();
        assertThat(session().job().chosen()).isEqualTo("B");
        model.add(session());
        assertThat(session().place()).as("the next free letter").hasValue("D");
    }

    @Test
    void aBodyThatHangsDownIsSaidAsDown() {
        session().edit("low", j -> j.withCandidate("B", c -> c.withClock(2.6)));
        assertThat(model.figure(session())).contains(" down");
        assertThat(PlaceModel.findings(session()).getFirst().consequence()).contains("hangs below");
    }
}
