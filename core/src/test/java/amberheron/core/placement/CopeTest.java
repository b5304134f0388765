package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.units.UnitChoice;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CopeTest {
    /** R − √(R² − r²) for a square bung of 30 mm. */
    @ParameterizedTest
    @CsvSource({"63.5, 3.77", "50.8, 4.90"})
    void depthOfASquareBung(double pipe, double depth) {
        assertThat(1000 * new Cope(0.015, pipe / 2000, Math.PI / 2).depth()).isCloseTo(depth, within(0.005));
    }

    /** (R·asin(r·sin ψ/R), r·cos ψ). */
    @Test
    void outlineOfASquareBung() {
        List<Cope.Point> outline = new Cope(0.011, 0.0254, Math.PI / 2).outline(4);
        assertThat(outline.get(0).y()).isCloseTo(0.011, within(1e-12));
        assertThat(outline.get(1).x()).isCloseTo(0.0254 * Math.asin(0.011 / 0.0254), within(1e-12));
        assertThat(outline.get(2).y()).isCloseTo(-0.011, within(1e-12));
    }

    /** Rolled back onto the pipe, every point of the outline lies on the bung too; so does the end of every line along it. */
    @Property(tries = 300)
    void outlineAndCopeLieOnBothSurfaces(@ForAll @DoubleRange(min = 0.02, max = 0.06) double pipe,
            @ForAll @DoubleRange(min = 0.2, max = 0.95) double part,
            @ForAll @DoubleRange(min = 0.5, max = 2.6) double angle) {
        double bung = part * pipe;
        Cope cope = new Cope(bung, pipe, angle);
        for (Cope.Point p : cope.outline(36)) {
            double side = pipe * Math.sin(p.x() / pipe);
            double radial = pipe * Math.cos(p.x() / pipe);
            double along = p.y() + pipe / Math.tan(angle);
            double onAxis = radial * Math.sin(angle) + along * Math.cos(angle);
            double fromAxis = Math.sqrt(side * side + radial * radial + along * along - onAxis * onAxis);
            assertThat(fromAxis).isCloseTo(bung, within(1e-9));
        }
        for (int i = 0; i < 36; i++) {
            double around = Math.toRadians(10.0 * i);
            double onAxis = pipe / Math.sin(angle) - cope.reach(around);
            double side = bung * Math.sin(around);
            double radial = onAxis * Math.sin(angle) + bung * Math.cos(around) * Math.cos(angle);
            assertThat(Math.hypot(side, radial)).isCloseTo(pipe, within(1e-9));
        }
    }

    @Property(tries = 50)
    void theStripIsGroundSomewhereToNothingAndNowhereBelow(@ForAll @DoubleRange(min = 0.6, max = 2.5) double angle) {
        Cope cope = new Cope(0.015, 0.0254, angle);
        List<Cope.Point> strip = cope.wrap(720);
        assertThat(strip.stream().mapToDouble(Cope.Point::y).min().orElseThrow()).isCloseTo(0, within(1e-9));
        assertThat(strip.stream().mapToDouble(Cope.Point::y).max().orElseThrow()).isCloseTo(cope.depth(), within(1e-6));
        assertThat(strip.getLast().x()).isCloseTo(2 * Math.PI * 0.015, within(1e-12));
    }

    @Test
    void theMarksAreMeasuredAroundThePipeAndTheLastStepIsTheHole() {
        MarkingOut marks = MarkingOut.of(Runs.OPEN, Runs.at(0.7, -60).withLean(Math.toRadians(15)), Bung.USUAL)
                .orElseThrow();
        assertThat(marks.around()).isCloseTo(-0.0254 * Math.PI / 3, within(1e-12));
        assertThat(marks.bung().angle()).isCloseTo(Math.toRadians(75), within(1e-12));
        assertThat(marks.steps()).extracting(m -> UnitChoice.METRIC.number(m, 14.7)).startsWith("6", "8").endsWith("20",
                "22");
        assertThat(MarkingOut.of(Runs.OPEN, Candidate.named("A"), Bung.USUAL)).isEmpty();
    }
}
