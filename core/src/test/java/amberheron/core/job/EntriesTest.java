package amberheron.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Origin;
import amberheron.core.parts.Address;
import amberheron.core.placement.PlaceField;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class EntriesTest {
    private static final Address WALL = PlaceField.PIECE_WALL.of("3");
    private static final Address LENGTH = PlaceField.PIECE_LENGTH.of("3");
    private static final Address OTHER = PlaceField.PIECE_WALL.of("31");
    private static final Origin SEEN = new Origin(Origin.Kind.TYPED, "", Instant.EPOCH, "J");

    @Test
    void anEntryThatCannotBeUsedLeavesWhatStandsThereAndWhereItCameFrom() {
        Entries entries = Entries.NONE.entered(WALL, SEEN).drafted(WALL, "thick");
        assertThat(entries.draft(WALL)).contains("thick");
        assertThat(entries.origin(WALL)).isEqualTo(SEEN);
        assertThat(entries.entered(WALL, SEEN).draft(WALL)).isEmpty();
        assertThat(entries.cleared(WALL)).isEqualTo(Entries.NONE);
        assertThat(Entries.NONE.origin(WALL)).isEqualTo(Origin.UNRECORDED);
    }

    @Test
    void aPartTakesItsEntriesAlongAndNobodyElses() {
        Entries entries = Entries.NONE.entered(WALL, SEEN).drafted(LENGTH, "long").entered(OTHER, SEEN);
        assertThat(entries.withoutPart(LENGTH)).isEqualTo(Entries.NONE.entered(OTHER, SEEN));
    }
}
