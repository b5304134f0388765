package amberheron.core.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class EnvelopeProperties {
    @Property(tries = 60)
    void noSpikeIsLostAndNothingIsMadeUp(@ForAll @IntRange(min = 1, max = 20_000) int rows, @ForAll long seed) {
        Random random = new Random(seed);
        float[] values = new float[rows];
        for (int i = 0; i < rows; i++) {
            values[i] = random.nextInt(20) == 0 ? Float.NaN : random.nextFloat();
        }
        Envelope envelope = new Envelope(values);
        for (int k = 0; k < 20; k++) {
            int from = random.nextInt(rows);
            int to = from + 1 + random.nextInt(rows - from);
            float least = Float.NaN;
            float most = Float.NaN;
            for (int i = from; i < to; i++) {
                if (!Float.isNaN(values[i])) {
                    least = Float.isNaN(least) ? values[i] : Math.min(least, values[i]);
                    most = Float.isNaN(most) ? values[i] : Math.max(most, values[i]);
                }
            }
            assertThat(Float.compare(envelope.least(from, to), least)).isZero();
            assertThat(Float.compare(envelope.most(from, to), most)).isZero();
        }
    }

    /** Rows taken together never are a stretch of their own. */
    @Property
    void whatIsTakenTogetherIsASmallPartOfTheStretch(@ForAll @IntRange(min = 0, max = 10_000_000) int rows) {
        assertThat(Envelope.grain(rows)).isBetween(1, Math.max(1, rows / 16));
    }
}
