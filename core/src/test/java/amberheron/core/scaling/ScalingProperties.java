package amberheron.core.scaling;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw.Kind;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader.Form;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;

/** Any law with any reader: what is reported is what happens. */
class ScalingProperties {
    @Provide
    Arbitrary<OutputLaw> laws() {
        Arbitrary<MixtureScale> scales = Arbitraries.of(MixtureScale.lambda(), MixtureScale.afr(14.7),
                MixtureScale.afr(9.81));
        Arbitrary<List<Double>> steps = Arbitraries.doubles().between(0.05, 1).list().ofMinSize(3).ofMaxSize(12);
        return Combinators.combine(scales, steps, Arbitraries.of(true, false), Arbitraries.of(Kind.values()))
                .as((scale, widths, falls, kind) -> {
                    double volts = widths.get(0);
                    double lambda = 0.6;
                    List<Point> points = new ArrayList<>();
                    for (int i = 1; i < widths.size(); i++) {
                        points.add(new Point(volts, scale.fromLambda(falls ? 2.5 - lambda : lambda)));
                        volts = Math.min(volts + widths.get(i) * 0.4, 4.9 + i * 1e-3);
                        lambda += 0.02 + widths.get(widths.size() - i) * 0.1;
                    }
                    List<Point> used = kind == Kind.LINEAR ? List.of(points.getFirst(), points.getLast()) : points;
                    // A line goes on to its rails, but never down to λ 0.
                    double beyond = kind == Kind.LINEAR ? 0.1 * (used.getLast().volts() - used.getFirst().volts()) : 5;
                    return new OutputLaw("any", "any", kind, scale, used, Math.max(0, used.getFirst().volts() - beyond),
                            Math.min(5, used.getLast().volts() + beyond), Laws.WIDE.source());
                });
    }

    @Provide
    Arbitrary<Reader> readers() {
        return Combinators.combine(Arbitraries.of(Form.values()),
                Arbitraries.of(MixtureScale.lambda(), MixtureScale.afr(14.7), MixtureScale.afr(6.47)),
                Arbitraries.integers().between(1, 5), Arbitraries.of(8, 10, 12, 16).injectNull(0.3),
                Arbitraries.integers().between(2, 16).injectNull(0.5), Arbitraries.of(0.0, 0.7),
                Arbitraries.of(5.0, 3.3, 10.0))
                .as((form, scale, decimals, bits, rows, low, high) -> new Reader("any", "any", form, scale, decimals,
                        new ReaderInput(low, high, bits == null && form == Form.COUNTS ? Integer.valueOf(12) : bits),
                        rows, null, Laws.WIDE.source()));
    }

    /** Typing the setting that was found makes shown equal true within the error that was reported. */
    @Property(tries = 100)
    void shownIsTrueWithinTheReportedError(@ForAll("laws") OutputLaw law, @ForAll("readers") Reader reader,
            @ForAll @DoubleRange(min = 0, max = 1) double part) {
        Scaling.report(law, reader).ifPresent(report -> {
            Reader typed = reader.withSetting(report.setting());
            double lambda = law.richest() + part * (law.leanest() - law.richest());
            double shown = typed.scale()
                    .toLambda(report.setting().at(typed.input().sensed(law.voltsAt(lambda))));
            assertThat(Math.abs(shown - lambda)).isLessThanOrEqualTo(Math.abs(report.worst().lambda()) + 1e-9);
            assertThat(Scaling.report(law, typed).orElseThrow().worst()).isEqualTo(report.worst());
        });
    }

    /** The reported worst is met at the mixture it names, up to a converter step and no further. */
    @Property(tries = 100)
    void theWorstIsWhereItIsSaidToBe(@ForAll("laws") OutputLaw law, @ForAll("readers") Reader reader) {
        Scaling.report(law, reader).ifPresent(report -> {
            SignalChain chain = new SignalChain(law, WireEffect.NONE, reader, report.setting());
            double at = report.worst().atLambda();
            double volts = law.voltsAt(at);
            double nearest = List.of(volts - 1e-7, volts, volts + 1e-7).stream()
                    .mapToDouble(v -> Math.abs(reader.scale().toLambda(chain.setting().at(reader.input().sensed(v)))
                            - law.lambdaAt(v) - report.worst().lambda()))
                    .min().orElseThrow();
            assertThat(nearest).isLessThan(1e-5);
        });
    }

    /** No better line exists: moving slope and offset about never lowers the worst error of an unrounded line. */
    @Property(tries = 100)
    void theLineIsTheBestLine(@ForAll("laws") OutputLaw law, @ForAll @DoubleRange(min = -0.2, max = 0.2) double turn,
            @ForAll @DoubleRange(min = -0.2, max = 0.2) double lift) {
        List<Point> nodes = law.points();
        ReaderSetting.SlopeOffset best = SettingFinder.bestLine(nodes);
        ReaderSetting.SlopeOffset other = new ReaderSetting.SlopeOffset(best.slope() + turn, best.offset() + lift);
        assertThat(furthest(best, nodes)).isLessThanOrEqualTo(furthest(other, nodes) + 1e-9);
    }

    private static double furthest(ReaderSetting setting, List<Point> nodes) {
        return nodes.stream().mapToDouble(n -> Math.abs(setting.at(n.volts()) - n.value())).max().orElseThrow();
    }
}
