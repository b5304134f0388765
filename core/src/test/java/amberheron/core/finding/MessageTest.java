package amberheron.core.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.placement.Segment;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import org.junit.jupiter.api.Test;

class MessageTest {
    private static final UnitChoice IMPERIAL = new UnitChoice(true, true, true, true);
    private static final Message LOW = Message.of("It is {0}, less than the {1} that a {2} needs.",
            new Measure(0.2, Dimension.LENGTH, 0), new Measure(0.46, Dimension.LENGTH, 0), "turbine");

    @Test
    void valuesFollowTheUnitsAtHand() {
        assertThat(LOW.metric()).isEqualTo("It is 200 mm, less than the 460 mm that a turbine needs.");
        assertThat(new Wording(IMPERIAL, 14.7).text(LOW))
                .isEqualTo("It is 7.87 in, less than the 18.11 in that a turbine needs.");
        assertThat(new Wording(IMPERIAL, 9.81).text(Message.of("{0} lean", new Measure(0.1, Dimension.MIXTURE, 3))))
                .isEqualTo("0.98 AFR lean");
    }

    /** A name with braces or a dollar in it is a name. */
    @Test
    void whatAPersonEnteredIsNeverAPattern() {
        assertThat(Message.of("At {0}.", "{0} $1 \\").metric()).isEqualTo("At {0} $1 \\.");
        assertThat(Message.plain("a {0} b").metric()).isEqualTo("a {0} b");
    }

    @Test
    void whatCannotBeRenderedIsRefusedWhereItIsMade() {
        assertThatThrownBy(() -> Message.of("nowhere", 3)).hasMessageContaining("no place for value 0");
        assertThatThrownBy(() -> Message.of("{0}", 3.5)).hasMessageContaining("no such value");
    }

    @Test
    void aRefusalIsSaidInTheUnitsAtHand() {
        assertThatThrownBy(() -> Segment.straight(Segment.Line.ALL, Segment.Kind.PIPE, 1.0, 0.0508, 0.0).withWall(0.03))
                .isInstanceOfSatisfying(Refused.class, e -> {
                    assertThat(e)
                            .hasMessage("Wall 30.0 mm in a pipe of 50.8 mm leaves no bore; expected less than 25.4 mm");
                    assertThat(new Wording(IMPERIAL, 14.7).text(e.why()))
                            .isEqualTo(
                                    "Wall 1.181 in in a pipe of 2.000 in leaves no bore; expected less than 1.000 in");
                });
    }
}
