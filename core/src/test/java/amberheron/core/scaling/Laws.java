package amberheron.core.scaling;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Kind;
import amberheron.core.scaling.OutputLaw.Point;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Laws and readers the tests share. The laws are common practice, no published source, unless named otherwise. */
final class Laws {
    private static final Source PRACTICE = Source.practice("laws met in the trade");

    /** 0.5 V → 8.5 and 4.5 V → 18.0. */
    static final OutputLaw HALF_TO_FOUR_AND_A_HALF = afr("half", new Point(0.5, 8.5), new Point(4.5, 18));
    /** AFR = 2·V + 10. */
    static final OutputLaw TWO_V_PLUS_TEN = afr("two-v", new Point(0, 10), new Point(5, 20));
    /** 0 V → 7.35 and 5 V → 22.39. */
    static final OutputLaw WIDE = afr("wide", new Point(0, 7.35), new Point(5, 22.39));

    private Laws() {
    }

    static OutputLaw afr(String id, Point a, Point b) {
        return new OutputLaw(id, id, Kind.LINEAR, MixtureScale.afr(14.7), List.of(a, b), 0, 5, PRACTICE);
    }

    static OutputLaw table(Point... points) {
        return new OutputLaw("table", "table", Kind.TABLE, MixtureScale.lambda(), List.of(points), 0, 5, PRACTICE);
    }

    static Reader reader(Reader.Form form, MixtureScale scale, int decimals, @Nullable Integer bits) {
        return new Reader("reader", "reader", form, scale, decimals, new ReaderInput(0, 5, bits), null, null,
                PRACTICE);
    }

    /** A logger told slope and offset in AFR, three decimals, 10 bits. */
    static Reader logger() {
        return reader(Reader.Form.SLOPE_OFFSET, MixtureScale.afr(14.7), 3, 10);
    }
}
