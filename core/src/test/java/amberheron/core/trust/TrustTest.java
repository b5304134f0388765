package amberheron.core.trust;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.WireEffect;
import amberheron.core.trust.Uncertainty.Entry;
import amberheron.core.trust.Uncertainty.Shape;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

class TrustTest {
    private static final Source MADE_UP = Source.practice("made up for the test");
    /** λ = 0.5 + 0.2 V, typed exactly. */
    private static final SignalChain CHAIN = chain(0, 5);

    private static SignalChain chain(double low, double high) {
        OutputLaw law = new OutputLaw("l", "l", OutputLaw.Kind.LINEAR, MixtureScale.lambda(),
                List.of(new OutputLaw.Point(0, 0.5), new OutputLaw.Point(5, 1.5)), low, high, MADE_UP);
        Reader reader = new Reader("r", "r", Reader.Form.SLOPE_OFFSET, MixtureScale.lambda(), 3,
                new ReaderInput(0, 5, null), null, null, MADE_UP);
        return new SignalChain(law, WireEffect.NONE, reader, new ReaderSetting.SlopeOffset(0.2, 0.5));
    }

    private static Uncertainty doubt(Contributor by, Entry at, Shape shape, double size) {
        return new Uncertainty(by, at, shape, size);
    }

    /** JCGM 100:2008, 4.3.7: an even spread of half width a has the standard uncertainty a / √3; coverage factor 2. */
    @Test
    void oneEvenShiftOfTheGround() {
        Trust trust = Trust.of(CHAIN,
                List.of(doubt(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN, 0.075)));
        assertThat(trust.at()).extracting(Trust.At::lambda).containsExactly(0.8, 1.0, 1.2);
        assertThat(trust.worst().analytic()).isCloseTo(2 * 0.075 * 0.2 / Math.sqrt(3), within(1e-9));
        assertThat(trust.largest().orElseThrow()).isEqualTo(new Trust.Share(Contributor.GROUND_SHIFT, 1));
    }

    /** Where all is linear the two ways agree within 5 %, and drawing again gives the same figure. */
    @Property(tries = 60)
    void bothWaysAgreeWhereAllIsLinear(@ForAll @DoubleRange(min = 0, max = 0.05) double gain,
            @ForAll @DoubleRange(min = 0.01, max = 0.1) double shift,
            @ForAll @DoubleRange(min = 0, max = 0.02) double load,
            @ForAll @DoubleRange(min = 0, max = 0.02) double scatter) {
        List<Uncertainty> doubts = List.of(doubt(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN, gain),
                doubt(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN, shift),
                doubt(Contributor.LOADING, Entry.PIN_GAIN, Shape.EVEN, load),
                doubt(Contributor.CHECK_POINTS, Entry.SHOWN, Shape.NORMAL, scatter));
        Trust trust = Trust.of(CHAIN, doubts);
        for (Trust.At at : trust.at()) {
            assertThat(at.u()).isCloseTo(at.analytic(), Percentage.withPercentage(5));
        }
        assertThat(Trust.of(CHAIN, doubts)).isEqualTo(trust);
    }

    /** At λ 1 a gain changes nothing; away from it, it does. */
    @Test
    void aGainCostsNothingAtStoichiometric() {
        Trust trust = Trust.of(CHAIN, List.of(doubt(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN, 0.05)));
        assertThat(trust.at().get(1).u()).isCloseTo(0, within(1e-9));
        assertThat(trust.at().get(0).u()).isCloseTo(2 * 0.05 * 0.2 / Math.sqrt(3), Percentage.withPercentage(5));
    }

    /** At a rail the volts cannot go on: only what is drawn through the chain sees it. */
    @Test
    void atARailTheDrawnFigureIsSmallerThanTheSum() {
        Trust trust = Trust.of(chain(0, 3.5),
                List.of(doubt(Contributor.AIR, Entry.SENSOR_GAIN, Shape.EVEN, 0.3)));
        Trust.At lean = trust.at().get(2);
        assertThat(lean.lambda()).isCloseTo(1.2, within(1e-12));
        assertThat(lean.u()).isLessThan(0.8 * 2 * 0.3 * 0.2 / Math.sqrt(3));
    }

    @Test
    void theLargestShareIsNamed() {
        Trust trust = Trust.of(CHAIN, List.of(doubt(Contributor.GROUND_SHIFT, Entry.PIN_VOLTS, Shape.EVEN, 0.01),
                doubt(Contributor.GROUND_RIPPLE, Entry.PIN_VOLTS, Shape.EVEN, 0.02)));
        assertThat(trust.largest().orElseThrow().by()).isEqualTo(Contributor.GROUND_RIPPLE);
        assertThat(trust.largest().orElseThrow().share()).as("four parts of five").isCloseTo(0.8, within(1e-9));
        assertThat(Trust.of(CHAIN, List.of()).largest()).isEmpty();
        assertThatThrownBy(() -> doubt(Contributor.AIR, Entry.SHOWN, Shape.EVEN, -1)).hasMessageContaining("-1");
    }
}
