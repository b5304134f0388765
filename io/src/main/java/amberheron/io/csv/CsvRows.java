package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
import amberheron.io.UnusableInput;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Rows of a CSV with a header; comma, semicolon or tab, whichever the header uses. */
final class CsvRows {
    private final String file;
    private final Map<String, Integer> columns;

    private CsvRows(String file, Map<String, Integer> columns) {
        this.file = file;
        this.columns = columns;
    }

    /** One row, able to say where it stands. */
    record Row(CsvRows of, CsvRecord record) {
        String text(String column) {
            Integer at = of.columns.get(column);
            return at == null || at >= record.getFieldCount() ? "" : Cells.meant(record.getField(at).strip());
        }

        /** The number in a column, null when the cell is empty. */
        @Nullable
        Double number(String column) {
            String text = text(column);
            if (text.isEmpty()) {
                return null;
            }
            try {
                double value = Double.parseDouble(text);
                if (Double.isFinite(value) && !text.toLowerCase(Locale.ROOT).matches(".*[dfx].*")) {
                    return value;
                }
            } catch (NumberFormatException e) {
                // Said below, with the place.
            }
            throw fault(say("column %s: found “%s”, expected a number with a decimal point", column,
                    text.length() > 40 ? text.substring(0, 40) + "…" : text));
        }

        UnusableInput fault(String message) {
            return new UnusableInput(of.file, say("line %s", record.getStartingLineNumber()), message);
        }
    }

    boolean has(String column) {
        return columns.containsKey(column);
    }

    /** The header's names as they stand, stripped, in lower case. */
    List<String> names() {
        return columns.entrySet().stream().sorted(Map.Entry.comparingByValue()).map(Map.Entry::getKey).toList();
    }

    UnusableInput headerFault(String expected) {
        return new UnusableInput(file, say("line 1"), say("found the columns %s, expected %s", names(), expected));
    }

    /**
     * Reads the header, then every row.
     *
     * @param begin is given the header; may refuse it
     * @throws UnusableInput when the text is not CSV, with the line
     */
    static void read(String file, String text, Consumer<CsvRows> begin, Consumer<Row> each) {
        String header = text.lines().findFirst().orElse("");
        char separator = List.of(';', '\t').stream().filter(c -> header.indexOf(c) >= 0).findFirst().orElse(',');
        long line = 1;
        try (CsvReader<CsvRecord> csv = CsvReader.builder().fieldSeparator(separator).allowUnclosedQuote(false)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE).missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .skipEmptyLines(true).ofCsvRecord(text)) {
            CsvRows rows = null;
            for (CsvRecord record : csv) {
                line = record.getStartingLineNumber();
                if (rows == null) {
                    rows = new CsvRows(file, header(file, record));
                    begin.accept(rows);
                } else {
                    Row row = new Row(rows, record);
                    try {
                        each.accept(row);
                    } catch (Unusable e) {
                        // A value that the quantity cannot have.
                        throw row.fault(String.valueOf(e.getMessage()));
                    }
                }
            }
            if (rows == null) {
                throw new UnusableInput(file, "", say("is empty, expected a header and rows"));
            }
        } catch (CsvParseException | java.io.IOException e) {
            throw new UnusableInput(file, say("after line %s", line),
                    say("not CSV: found an open quote or a field without end, expected one row a line"));
        }
    }

    private static Map<String, Integer> header(String file, CsvRecord record) {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < record.getFieldCount(); i++) {
            String name = record.getField(i).strip().toLowerCase(Locale.ROOT);
            if (!name.isEmpty() && columns.put(name, i) != null) {
                throw new UnusableInput(file, say("line 1"), say("found column “%s” twice, expected it once", name));
            }
        }
        return columns;
    }
}
