package amberheron.io.csv;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.OutputLaw.Kind;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingText;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A law as CSV: {@code volts} and {@code lambda}, or {@code volts}, {@code afr} and {@code stoich}, straight between the
 * rows; and what is typed into a reader: {@code ask} and {@code type}, a row for each box.
 */
public final class LawCsv {
    private static final long MOST_BYTES = 1L << 20;

    private LawCsv() {
    }

    /**
     * Reads a law.
     *
     * @throws UnusableInput with file, line and column
     */
    public static OutputLaw read(Path file) {
        return parse(TextFiles.name(file), TextFiles.read(file, MOST_BYTES));
    }

    static OutputLaw parse(String name, String text) {
        List<Point> points = new ArrayList<>();
        List<MixtureScale> scales = new ArrayList<>();
        CsvRows.read(name, text, header -> {
            if (!header.has("volts") || !(header.has("lambda") || (header.has("afr") && header.has("stoich")))) {
                throw header.headerFault("volts, and lambda or afr with stoich");
            }
        }, row -> {
            Double volts = row.number("volts");
            Double lambda = row.number("lambda");
            Double afr = row.number("afr");
            Double stoich = row.number("stoich");
            Double value = lambda == null ? afr : lambda;
            if (volts == null || value == null || (lambda == null && stoich == null)) {
                throw row.fault("found a row without volts or mixture, expected both");
            }
            try {
                MixtureScale scale = lambda != null || stoich == null
                        ? MixtureScale.lambda()
                        : MixtureScale.afr(stoich);
                if (!scales.isEmpty() && !scales.getFirst().equals(scale)) {
                    throw row.fault("found another quantity or ratio than in the first row, expected the same in all");
                }
                scales.add(scale);
                points.add(new Point(volts, value));
            } catch (Unusable e) {
                throw row.fault(String.valueOf(e.getMessage()));
            }
        });
        if (points.size() < 2) {
            throw new UnusableInput(name, "",
                    say("found %s, expected two or more", count("1 row", "%d rows", points.size())));
        }
        try {
            double low = points.stream().mapToDouble(Point::volts).min().orElseThrow();
            double high = points.stream().mapToDouble(Point::volts).max().orElseThrow();
            return new OutputLaw("own", say("From %s", name), Kind.TABLE, scales.getFirst(), points, low, high,
                    Source.practice("read from a file of the shop"));
        } catch (Unusable e) {
            throw new UnusableInput(name, "", String.valueOf(e.getMessage()));
        }
    }

    /** A law as it can be read again: a straight one by its ends, at the rails. */
    public static String write(OutputLaw law) {
        List<Double> volts = new ArrayList<>();
        volts.add(law.lowestVolts());
        if (law.kind() == Kind.TABLE) {
            law.points().stream().map(Point::volts).filter(v -> v > law.lowestVolts() && v < law.highestVolts())
                    .forEach(volts::add);
        }
        volts.add(law.highestVolts());
        return Cells.table(csv -> {
            boolean afr = law.scale() instanceof MixtureScale.Afr;
            csv.writeRecord(
                    afr ? List.of("volts", "afr", "stoich") : List.of("volts", "lambda"));
            for (double v : volts) {
                String value = String.valueOf(law.scale().fromLambda(law.lambdaAt(v)));
                csv.writeRecord(law.scale() instanceof MixtureScale.Afr with
                        ? List.of(String.valueOf(v), value, String.valueOf(with.stoich()))
                        : List.of(String.valueOf(v), value));
            }
        });
    }

    /** Writes what is typed into the reader, box by box. */
    public static String write(ReaderSetting setting, Reader reader) {
        return Cells.table(csv -> {
            csv.writeRecord("ask", "type");
            SettingText.of(setting, reader).forEach(l -> csv.writeRecord(Cells.safe(l.ask(), l.bare())));
        });
    }

    /** Whether a file says what stands in a reader's boxes rather than a law. */
    public static boolean holdsBoxes(Path file) {
        return TextFiles.read(file, MOST_BYTES).lines().findFirst().orElse("").strip().toLowerCase(Locale.ROOT)
                .replace("\uFEFF", "").startsWith("ask");
    }

    /**
     * Returns the content of the boxes in a file, as one types it: only what stands in them is read, row by row.
     *
     * @throws UnusableInput when it is no such file
     */
    public static String boxes(Path file) {
        List<String> typed = new ArrayList<>();
        CsvRows.read(TextFiles.name(file), TextFiles.read(file, MOST_BYTES), header -> {
            if (!header.has("ask") || !header.has("type")) {
                throw header.headerFault("ask and type");
            }
        }, row -> typed.add(row.text("ask").replaceAll("[^0-9.,+-]+", " ").strip() + " " + row.text("type")));
        return typed.stream().map(String::strip).collect(Collectors.joining("; "));
    }
}
