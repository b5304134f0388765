package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.mixture.Fuel;
import java.util.Objects;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Choices, picked by what is typed on them. */
class ChoicesTest extends WindowTest {
    @BeforeEach
    void plan() {
        find("job SB-014");
        hands.push(KeyCode.ALT, KeyCode.DIGIT1);
        hands.clickOn(byId("plan.leaf.intake"));
        hands.interact(() -> session.focus("plan.fuel"));
    }

    private String fuel() {
        Fuel fuel = session.job().intake().fuel();
        return Objects.requireNonNull(fuel).name();
    }

    @Test
    void aFuelIsTypedAndCountsOnceItIsKept() {
        hands.write("e10");
        assertThat(fuel()).as("only looked at, in the open list").isEqualTo("E85");
        hands.push(KeyCode.ESCAPE);
        assertThat(fuel()).isEqualTo("E85");
        hands.write("e10");
        assertThat(fuel()).as("only looked at, in the closed one").isEqualTo("E85");
        assertThat(shows("Enter keeps it, Esc puts back what was there.")).isTrue();
        hands.push(KeyCode.ESCAPE);
        assertThat(shows("Enter keeps it")).isFalse();
        hands.push(KeyCode.TAB);
        assertThat(fuel()).as("put back").isEqualTo("E85");
        hands.interact(() -> session.focus("plan.fuel"));
        hands.write("pe").push(KeyCode.ENTER);
        assertThat(fuel()).as("not ethanol, nor the first of its letter").startsWith("Petrol");
        assertThat(byId("plan.fuel").isFocused()).as("moved on").isFalse();
        hands.interact(() -> session.focus("plan.fuel"));
        hands.write("E5").push(KeyCode.TAB);
        assertThat(fuel()).as("what stands in it when it is left is kept").isEqualTo("E5");
    }

    @Test
    void whatNoNameHasIsSaid() {
        hands.push(KeyCode.ESCAPE);
        hands.write("kerosene");
        assertThat(shows("Nothing here has a word that begins with “ke”")
                || shows("Nothing here has a word that begins with “kerosene”")).isTrue();
        hands.push(KeyCode.TAB);
        assertThat(fuel()).isEqualTo("E85");
    }
}
