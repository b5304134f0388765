package amberheron.core.finding;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.parts.Address;
import amberheron.core.placement.PlaceCheck;
import amberheron.core.placement.PlaceField;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class StandingTest {
    private static final Address DISPLACEMENT = PlaceField.DISPLACEMENT.address();
    private static final Address DIAMETER = PlaceField.PIECE_DIAMETER.of("2");

    private static Finding found(PlaceCheck check, Verdict verdict, @Nullable Double cost, Address... asks) {
        return new Finding(check, check.key(), verdict, null, null, "so", cost, "", Source.practice("a test"))
                .asking(asks);
    }

    private static List<CheckId> ids(List<Finding> findings) {
        return findings.stream().map(f -> f.check().id()).toList();
    }

    /** One line for each value that is missing, however many checks wait for it; warnings by what they cost. */
    @Test
    void whatIsMissingIsAskedForOnce() {
        Standing standing = Standing.of(List.of(found(PlaceCheck.GAS, Verdict.UNKNOWN, null, DISPLACEMENT, DIAMETER),
                found(PlaceCheck.BANK, Verdict.WARN, null), found(PlaceCheck.TILT, Verdict.PASS, null, DIAMETER),
                found(PlaceCheck.CATALYST, Verdict.WARN, 0.004), found(PlaceCheck.ROOM, Verdict.WARN, -0.02),
                found(PlaceCheck.DRY, Verdict.UNKNOWN, null, DISPLACEMENT),
                found(PlaceCheck.LEAD, Verdict.FAIL, null)));
        assertThat(ids(standing.wrong())).containsExactly(PlaceCheck.LEAD);
        assertThat(ids(standing.warned())).containsExactly(PlaceCheck.ROOM, PlaceCheck.CATALYST, PlaceCheck.BANK);
        assertThat(standing.missing()).extracting(Standing.Missing::value).containsExactly(DISPLACEMENT, DIAMETER);
        assertThat(ids(standing.missing().getFirst().waiting())).containsExactly(PlaceCheck.GAS, PlaceCheck.DRY);
        assertThat(ids(standing.kept())).containsExactly(PlaceCheck.TILT);
    }
}
