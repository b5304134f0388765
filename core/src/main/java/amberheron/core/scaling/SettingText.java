package amberheron.core.scaling;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.UnitChoice;
import java.util.List;

/** A setting as a person types it: one line for each entry the reader asks for. */
public final class SettingText {
    private SettingText() {
    }

    /** What the reader asks for, and what to type there. */
    public record Line(String ask, String type) {
    }

    /** The lines, in the order they are typed, with the digits the reader accepts. */
    public static List<Line> of(ReaderSetting setting, Reader reader) {
        int d = reader.decimals();
        return switch (setting) {
            case ReaderSetting.SlopeOffset s -> List.of(new Line("slope per V", plain(s.slope(), d)),
                    new Line("offset", plain(s.offset(), d)));
            case ReaderSetting.TwoPoint t -> List.of(
                    new Line("at " + plain(t.v1(), d) + " V", plain(t.q1(), d) + quantity(reader)),
                    new Line("at " + plain(t.v2(), d) + " V", plain(t.q2(), d) + quantity(reader)));
            case ReaderSetting.Equation e -> List.of(new Line("equation", e.expression().text()));
            case ReaderSetting.Table t -> t.rows().stream()
                    .map(r -> new Line("at " + plain(r.volts(), d) + " V", plain(r.value(), d) + quantity(reader)))
                    .toList();
        };
    }

    /** The quantity with the ratio it is meant with, since an AFR says nothing without it. */
    public static String quantity(MixtureScale scale) {
        return switch (scale) {
            case MixtureScale.Lambda l -> "λ";
            case MixtureScale.Afr afr -> "AFR (λ 1 = " + UnitChoice.digits(afr.stoich(), 2) + ")";
        };
    }

    private static String quantity(Reader reader) {
        return " " + reader.scale().label();
    }

    private static String plain(double value, int decimals) {
        return UnitChoice.digits(value, decimals);
    }
}
