package amberheron.io.csv;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.LoadAxis;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimSheet;
import amberheron.core.trim.TrimSheet.BinTarget;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Trims as CSV, a row for each bin: {@code speed} (1/min), {@code load} with its {@code unit}, then what the drive says of it
 * and {@code advice} (% of fuel). Read again it gives bins, {@code target} (λ) and what was given: {@code advice}.
 */
public final class TrimCsv {
    private static final long MOST_BYTES = 1L << 20;

    private TrimCsv() {
    }

    /** The plan as a table; what was not driven has empty cells, and no advice is a blank, not a nought. */
    public static String write(TrimPlan plan) {
        return Cells.table(csv -> {
            csv.writeRecord("speed", "load", "unit", "seconds", "visits", "shown", "target", "need", "doubt", "advice",
                    "state");
            for (Cell c : plan.cells()) {
                csv.writeRecord(fixed("%.0f", c.speed()), fixed("%.3f", plan.axis().shown(c.load())),
                        plan.axis().unit(),
                        fixed("%.1f", c.seconds()), String.valueOf(c.visits()), mixture(c.lambda()),
                        mixture(c.target()), percent(c.need()), percent(c.doubt()),
                        percent(c.advice()), c.state().key());
            }
        });
    }

    private static String mixture(@Nullable Double lambda) {
        return lambda == null ? "" : fixed("%.4f", lambda);
    }

    private static String percent(@Nullable Double part) {
        return part == null ? "" : fixed("%+.1f", 100 * part);
    }

    /**
     * Reads a sheet: the shop's own bins, or a plan that was written and applied.
     *
     * @throws UnusableInput with file, line and column
     */
    public static TrimSheet read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    static TrimSheet parse(String name, String text) {
        List<BinTarget> told = new ArrayList<>();
        TreeSet<Double> speeds = new TreeSet<>();
        TreeSet<Double> loads = new TreeSet<>();
        CsvRows.read(name, text, header -> {
            if (!header.has("speed") || !header.has("load") || !header.has("unit")) {
                throw header.headerFault("speed, load and unit");
            }
        }, row -> {
            Double speed = row.number("speed");
            Double load = row.number("load");
            if (speed == null || load == null) {
                throw row.fault("found a row without speed or load, expected both");
            }
            double si = load * axis(row.text("unit"), row).si();
            speeds.add(speed);
            loads.add(si);
            Double target = row.number("target");
            Double advice = row.number("advice");
            if (target != null && !(target > 0.4 && target < 2)) {
                throw row.fault(say("target: found %s, expected λ of 0.4 to 2", target));
            }
            if (advice != null && Math.abs(advice) > 100 * TrimPlan.MOST + 1e-9) {
                throw row.fault(say("advice: found %s, expected at most ±20 %%", advice));
            }
            told.add(new BinTarget(speed, si, target, advice == null ? null : advice / 100));
        });
        try {
            return new TrimSheet(List.copyOf(speeds), List.copyOf(loads), told, false);
        } catch (Unusable e) {
            throw new UnusableInput(name, "", String.valueOf(e.getMessage()));
        }
    }

    private static LoadAxis axis(String unit, CsvRows.Row row) {
        return Arrays.stream(LoadAxis.values())
                .filter(a -> a.unit().toLowerCase(Locale.ROOT).equals(unit.strip().toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> row.fault(say("unit: found “%s”, expected kPa, %% or mg", unit)));
    }
}
