package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.scaling.Expression;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * A reader.
 *
 * <pre>
 * {"form": "slope-offset", "quantity": "afr", "stoich": 14.7, "decimals": 3,
 *  "input": {"minVolts": 0, "maxVolts": 5, "bits": 10, "filter": null},
 *  "setting": {"slope": 2.375, "offset": 7.313}}
 * </pre>
 *
 * {@code form} and its {@code setting}: {@code slope-offset} {slope, offset}; {@code two-point} {v1, q1, v2, q2};
 * {@code expression} {text} in the variable {@code v}; {@code table} {rows: [[v, q], …]}, at most {@code maxRows}.
 * {@code counts} is such a table by the counts of the input, {rows: [[count, q], …]}. {@code whole} says that numbers are
 * typed without a point, and in how many bits negative ones are written as their two's complement.
 * {@code setting}, {@code bits} and {@code whole} may be absent. {@code id}, {@code name} and {@code source} may be given.
 */
public final class ReaderJson {
    private ReaderJson() {
    }

    /** Reads a reader from a file of its own. */
    public static Reader read(Path file) {
        ObjectNode root = Json.read(file);
        return read(new Cursor(String.valueOf(file.getFileName()), "", root));
    }

    static Reader read(Cursor at) {
        Reader.Form form = at.choice("form", Reader.Form.values(), Reader.Form::id);
        Cursor input = at.object("input");
        Integer maxRows = at.integerOrNull("maxRows");
        ReaderInput sees = at.build(() -> new ReaderInput(input.number("minVolts"), input.number("maxVolts"),
                input.integerOrNull("bits"), input.numberOrNull("filter")));
        ReaderSetting setting = at.objectOrNone("setting").map(s -> setting(s, form, maxRows, sees)).orElse(null);
        Reader.Whole whole = at.objectOrNone("whole").map(w -> w.build(() -> new Reader.Whole(w.integerOrNull("bits"))))
                .orElse(null);
        return at.build(() -> new Reader(at.text("id", at.file()), at.text("name", at.text("id", at.file())), form,
                QuantityJson.read(at), at.integer("decimals"), sees, maxRows, whole, setting, SourceJson.read(at)));
    }

    private static ReaderSetting setting(Cursor s, Reader.Form form, @Nullable Integer maxRows,
            ReaderInput input) {
        return s.build(() -> switch (form) {
            case SLOPE_OFFSET -> new ReaderSetting.SlopeOffset(s.number("slope"), s.number("offset"));
            case TWO_POINT -> new ReaderSetting.TwoPoint(s.number("v1"), s.number("q1"), s.number("v2"),
                    s.number("q2"));
            case EXPRESSION -> new ReaderSetting.Equation(Expression.parse(s.text("text")));
            case TABLE, COUNTS -> {
                List<Point> rows = s.list("rows").stream().map(r -> new Point(
                        form == Reader.Form.COUNTS ? input.volts(Math.round(r.numberAt(0))) : r.numberAt(0),
                        r.numberAt(1))).toList();
                if (maxRows != null && rows.size() > maxRows) {
                    throw new IllegalArgumentException(
                            say("rows: found %d, expected at most %d (maxRows)", rows.size(), maxRows));
                }
                yield new ReaderSetting.Table(rows);
            }
        });
    }

    static ObjectNode write(Reader reader) {
        ObjectNode out = Json.object().put("id", reader.id()).put("name", reader.name()).put("form",
                reader.form().id());
        QuantityJson.write(out, reader.scale());
        out.put("decimals", reader.decimals());
        out.putObject("input").put("minVolts", reader.input().minVolts()).put("maxVolts", reader.input().maxVolts())
                .put("bits", reader.input().bits()).put("filter", reader.input().filter());
        out.put("maxRows", reader.maxRows());
        ReaderSetting setting = reader.setting();
        if (setting == null) {
            out.putNull("setting");
        } else {
            out.set("setting", write(setting, reader));
        }
        Reader.Whole whole = reader.whole();
        if (whole == null) {
            out.putNull("whole");
        } else {
            out.putObject("whole").put("bits", whole.bits());
        }
        SourceJson.write(out, reader.source());
        return out;
    }

    /** A setting in the form of its reader. */
    static ObjectNode write(ReaderSetting setting, Reader reader) {
        ObjectNode out = Json.object();
        switch (setting) {
            case ReaderSetting.SlopeOffset s -> out.put("slope", s.slope()).put("offset", s.offset());
            case ReaderSetting.TwoPoint t -> out.put("v1", t.v1()).put("q1", t.q1()).put("v2", t.v2()).put("q2",
                    t.q2());
            case ReaderSetting.Equation e -> out.put("text", e.expression().text());
            case ReaderSetting.Table t -> {
                var rows = out.putArray("rows");
                t.rows().forEach(r -> {
                    Long count = reader.form() == Reader.Form.COUNTS ? reader.input().counts(r.volts()) : null;
                    if (count == null) {
                        rows.addArray().add(r.volts()).add(r.value());
                    } else {
                        rows.addArray().add(count).add(r.value());
                    }
                });
            }
        }
        return out;
    }
}
