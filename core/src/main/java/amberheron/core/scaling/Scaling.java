package amberheron.core.scaling;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.ScaleReport.BudgetLine;
import amberheron.core.scaling.ScaleReport.Row;
import amberheron.core.scaling.ScaleReport.Worst;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Puts law and reader together: λ → volts → counts → shown, and what that costs. */
public final class Scaling {
    private static final int ROWS = 11;
    /** Points between corners where an equation may bend as it likes. */
    private static final int SCAN = 4096;
    /** Resolution above which single steps of a converter are finer than any scan needs, bits. */
    private static final int BITS_SEEN_ONE_BY_ONE = 16;

    private Scaling() {
    }

    /**
     * The report for a law and a reader. A reader that has a setting is judged as it stands; one without is given the
     * right one.
     *
     * @return empty when law and input share no volts
     */
    public static Optional<ScaleReport> report(OutputLaw law, Reader reader) {
        return report(law, reader, WireEffect.NONE);
    }

    /**
     * The same, with what grounds and input do to the volts on their way.
     */
    public static Optional<ScaleReport> report(OutputLaw law, Reader reader, WireEffect wire) {
        ReaderSetting given = reader.setting();
        Optional<ReaderSetting> setting = given == null ? SettingFinder.find(law, reader) : Optional.of(given);
        return setting.map(s -> {
            SignalChain chain = new SignalChain(law, wire, reader, s);
            return new ScaleReport(s, worst(chain), table(chain), budget(chain));
        });
    }

    private static List<Row> table(SignalChain chain) {
        OutputLaw law = chain.law();
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < ROWS; i++) {
            double lambda = law.richest() + (law.leanest() - law.richest()) * i / (ROWS - 1);
            rows.add(new Row(lambda, law.voltsAt(lambda), chain.counts(lambda), chain.shown(lambda)));
        }
        return List.copyOf(rows);
    }

    /**
     * The greatest error over the range. Between corners the error is a straight line and within a count it only runs
     * one way, so corners and both sides of every count's edge are enough; an equation is scanned as well.
     */
    static Worst worst(SignalChain chain) {
        Worst worst = new Worst(0, chain.law().richest());
        for (double volts : telling(chain)) {
            double truth = chain.law().lambdaAt(volts);
            for (double sensed : sensedAround(chain, volts)) {
                double error = chain.reader().scale().toLambda(chain.setting().at(sensed)) - truth;
                if (!Double.isFinite(error)) {
                    throw new Unusable(
                            say("setting: gives no number at %.3f V, expected one over the law's whole range", sensed));
                }
                if (Math.abs(error) > Math.abs(worst.lambda())) {
                    worst = new Worst(error, truth);
                }
            }
        }
        return worst;
    }

    /** Returns the output volts at which the error can be greatest. */
    private static NavigableSet<Double> telling(SignalChain chain) {
        OutputLaw law = chain.law();
        double low = law.lowestVolts();
        double high = law.highestVolts();
        ReaderInput input = chain.reader().input();
        NavigableSet<Double> volts = new TreeSet<>();
        for (double v : law.breakpoints()) {
            volts.add(v);
        }
        List<Double> atPin = new ArrayList<>(List.of(input.minVolts(), input.maxVolts()));
        if (chain.setting() instanceof ReaderSetting.Table table) {
            table.rows().forEach(row -> atPin.add(row.volts()));
        }
        Integer bits = input.bits();
        if (bits != null && bits <= BITS_SEEN_ONE_BY_ONE) {
            for (long count = 0; count < input.topCount(); count++) {
                atPin.add(input.volts(count) + input.step() / 2);
            }
        }
        atPin.stream().map(chain.wire()::before).filter(v -> v > low && v < high).forEach(volts::add);
        if (chain.setting() instanceof ReaderSetting.Equation || (bits != null && bits > BITS_SEEN_ONE_BY_ONE)) {
            for (int i = 1; i < SCAN; i++) {
                volts.add(low + (high - low) * i / SCAN);
            }
        }
        return volts;
    }

    /** Counts that the converter may make of these volts: both neighbours at an edge between two of them. */
    private static double[] sensedAround(SignalChain chain, double volts) {
        ReaderInput input = chain.reader().input();
        double pin = chain.wire().atPin(volts);
        if (input.bits() == null) {
            return new double[]{input.clipped(pin)};
        }
        double step = input.step() * 1e-6;
        return new double[]{input.sensed(pin - step), input.sensed(pin + step)};
    }

    private static List<BudgetLine> budget(SignalChain chain) {
        OutputLaw law = chain.law();
        Reader reader = chain.reader();
        List<BudgetLine> lines = new ArrayList<>();
        ReaderInput unquantised = new ReaderInput(Math.min(reader.input().minVolts(), law.minVolts()),
                Math.max(reader.input().maxVolts(), law.maxVolts()), null);
        lines.add(new BudgetLine(
                reader.setting() == null
                        ? say("setting: rounded to %s, as %s", count("1 decimal", "%d decimals", reader.decimals()),
                                reader.form().words())
                        : say("setting: as it was noted"),
                Math.abs(worst(new SignalChain(law, WireEffect.NONE, reader.withInput(unquantised), chain.setting()))
                        .lambda())));
        double perVolt = steepest(chain);
        if (reader.input().bits() != null) {
            lines.add(new BudgetLine(say("input step: half of %.2f mV", reader.input().step() * 1000),
                    reader.input().step() / 2 * perVolt));
        }
        if (reader.input().minVolts() > law.lowestVolts() || reader.input().maxVolts() < law.highestVolts()) {
            double below = Math.max(0, reader.input().minVolts() - law.lowestVolts());
            double above = Math.max(0, law.highestVolts() - reader.input().maxVolts());
            lines.add(new BudgetLine(say("input range: the law leaves it"), Math.max(
                    Math.abs(law.lambdaAt(law.lowestVolts() + below) - law.lambdaAt(law.lowestVolts())),
                    Math.abs(law.lambdaAt(law.highestVolts()) - law.lambdaAt(law.highestVolts() - above)))));
        }
        double moved = Stream.of(law.lowestVolts(), law.highestVolts()).map(v -> chain.wire().atPin(v) - v)
                .max(Comparator.comparingDouble(Math::abs)).orElseThrow();
        if (moved != 0) {
            lines.add(new BudgetLine(
                    say(chain.wire().gain() == 1 ? "ground shift: %.0f mV" : "grounds and input: %.0f mV",
                            moved * 1000),
                    Math.abs(moved) * perVolt));
        }
        return List.copyOf(lines);
    }

    /** The steepest the setting gets over the law's volts, λ/V. */
    private static double steepest(SignalChain chain) {
        double[] corners = telling(new SignalChain(chain.law(), chain.wire(),
                chain.reader().withInput(new ReaderInput(chain.reader().input().minVolts(),
                        chain.reader().input().maxVolts(), null)),
                chain.setting())).stream().mapToDouble(Double::doubleValue).toArray();
        double steepest = 0;
        for (int i = 1; i < corners.length; i++) {
            double rise = chain.setting().at(corners[i]) - chain.setting().at(corners[i - 1]);
            steepest = Math.max(steepest,
                    Math.abs(chain.reader().scale().toLambda(rise) / (corners[i] - corners[i - 1])));
        }
        return steepest;
    }
}
