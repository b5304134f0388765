package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.finding.Verdict;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AirTrialTest {
    private static final List<ControllerSheet> SHEETS = List.of(
            ControllerLinkTest.sheet(CalibrationSchool.CLEAR_THEN_LEARN, new InAir(InAir.Kind.LEARNED, 0.207)),
            ControllerLinkTest.sheet(CalibrationSchool.FACTORY_TRIMMED, new InAir(InAir.Kind.OF_THE_DAY, null)),
            ControllerLinkTest.sheet(CalibrationSchool.TRIM_BY_HAND, new InAir(InAir.Kind.TOP, null)));

    /** A thousand are run by the benchmark; here enough that a coach which passes anything, or nothing, is found out. */
    @Test
    void strangersAreJudgedRightlyAndNobodyIsDeceived() {
        List<AirTrial> trials = IntStream.range(0, 60).mapToObj(i -> AirTrial.of(SHEETS, i)).toList();
        assertThat(trials).noneMatch(AirTrial::deceived);
        assertThat(trials.stream().filter(AirTrial::right).count()).isGreaterThanOrEqualTo(57);
        assertThat(trials).anyMatch(t -> t.verdict() == Verdict.PASS && t.fault() == AirFault.WRONG_CALIBRATION);
        assertThat(trials.stream().map(AirTrial::fault).distinct()).hasSize(AirFault.values().length);
    }
}
