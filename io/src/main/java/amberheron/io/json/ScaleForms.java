package amberheron.io.json;

import static amberheron.core.units.Phrase.say;
import static amberheron.io.json.CommonForms.catalogueId;
import static amberheron.io.json.CommonForms.catalogueName;
import static amberheron.io.json.CommonForms.source;
import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.flagOrNull;
import static amberheron.io.json.Value.integer;
import static amberheron.io.json.Value.integerOrNull;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.partId;
import static amberheron.io.json.Value.textOrEmpty;

import amberheron.core.display.Display;
import amberheron.core.display.DisplayField;
import amberheron.core.display.DisplaySetting;
import amberheron.core.display.PickUp;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Expression;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.OutputLaw.Beyond;
import amberheron.core.scaling.OutputLaw.Point;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleField;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Output law, reader, check points and display. */
final class ScaleForms {
    private static final int FEWEST_BITS = 8;
    private static final int MOST_BITS = 32;

    private static final RecordForm<Point> POINT = RecordForm.of(Point::new,
            number("volts", Point::volts).about("V"), number("value", Point::value).about("in the law's quantity"));

    /** Ends of a law's output, V, and what is meant by volts beyond them. */
    private record Rails(double min, double max, Beyond beyond) {
    }

    /** Written only where something is meant by them. */
    private static final class BeyondRails implements Part<Rails, Beyond> {
        @Override
        public Beyond read(Cursor at) {
            return new Beyond(at.text("below", ""), at.text("above", ""));
        }

        @Override
        public void write(ObjectNode out, Rails from) {
            if (!from.beyond().equals(Beyond.NOTHING)) {
                out.put("below", from.beyond().below()).put("above", from.beyond().above());
            }
        }

        @Override
        public void describe(SchemaObject into) {
            into.add("below", Value.type("string").put("maxLength", Value.LINE).put("description",
                    "what volts below the rail mean instead of a mixture"), false)
                    .add("above", Value.type("string").put("maxLength", Value.LINE), false);
        }
    }

    private static final RecordForm<Rails> RAILS = RecordForm.of(Rails::new, number("min", Rails::min),
            number("max", Rails::max), new BeyondRails());

    /** An output law, as {@link LawJson} describes it. */
    static final RecordForm<OutputLaw> LAW = RecordForm.of(
            (id, name, kind, scale, points, rails, source) -> new OutputLaw(id, name, kind, scale, points, rails.min(),
                    rails.max(), rails.beyond(), source),
            catalogueId(OutputLaw::id), catalogueName(OutputLaw::name).called(ScaleField.LAW),
            choice("kind", OutputLaw::kind, OutputLaw.Kind.values()), CommonForms.QUANTITY.inlined(OutputLaw::scale),
            list("points", OutputLaw::points, POINT).needed().fewestEntries(2),
            object("volts", (OutputLaw l) -> new Rails(l.minVolts(), l.maxVolts(), l.beyond()), RAILS)
                    .about("rails of the output, V"),
            source(OutputLaw::source));

    private static final RecordForm<ReaderInput> INPUT = RecordForm.of(ReaderInput::new,
            number("minVolts", ReaderInput::minVolts), number("maxVolts", ReaderInput::maxVolts),
            integerOrNull("bits", ReaderInput::bits),
            numberOrNull("filter", ReaderInput::filter).within(Sane.FILTER)
                    .about("time constant of what the reader averages by before it shows, s")
                    .called(ScaleField.FILTER, Dimension.DURATION));

    private static final RecordForm<Reader.FixedPoint> WHOLE = RecordForm.of(Reader.FixedPoint::new,
            integerOrNull("bits", Reader.FixedPoint::bits).within(FEWEST_BITS, MOST_BITS));

    /** Setting of a reader, in the form that the reader has. */
    private static final class Setting implements Part<Reader, @Nullable ReaderSetting> {
        private static final String NAME = "setting";

        @Override
        public @Nullable ReaderSetting read(Cursor at) {
            Reader.Form form = at.choice("form", Reader.Form.values(), Reader.Form::id);
            Integer maxRows = at.integerOrNull("maxRows");
            ReaderInput input = INPUT.read(at.object("input"));
            return at.objectOrNone(NAME).map(s -> s.build(() -> of(s, form, maxRows, input))).orElse(null);
        }

        private static ReaderSetting of(Cursor s, Reader.Form form, @Nullable Integer maxRows, ReaderInput input) {
            return switch (form) {
                case SLOPE_OFFSET -> new ReaderSetting.SlopeOffset(s.number("slope"), s.number("offset"));
                case TWO_POINT -> new ReaderSetting.TwoPoint(s.number("v1"), s.number("q1"), s.number("v2"),
                        s.number("q2"));
                case EXPRESSION -> new ReaderSetting.Equation(Expression.parse(s.text("text")));
                case TABLE, COUNTS -> {
                    List<Point> rows = s.list("rows").stream().map(r -> new Point(
                            form == Reader.Form.COUNTS ? input.volts(Math.round(r.numberAt(0))) : r.numberAt(0),
                            r.numberAt(1))).toList();
                    if (maxRows != null && rows.size() > maxRows) {
                        throw new Unusable(
                                say("rows: found %d, expected at most %d (maxRows)", rows.size(), maxRows));
                    }
                    yield new ReaderSetting.Table(rows);
                }
            };
        }

        @Override
        public void write(ObjectNode out, Reader from) {
            ReaderSetting setting = from.setting();
            out.set(NAME, setting == null ? out.nullNode() : ScaleForms.write(setting, from));
        }

        @Override
        public void describe(SchemaObject into) {
            into.add(NAME, Value.either("object"), false);
        }
    }

    /** A reader, as {@link ReaderJson} describes it. */
    static final RecordForm<Reader> READER = RecordForm.of(Reader::new, catalogueId(Reader::id),
            catalogueName(Reader::name).called(ScaleField.READER),
            choice("form", Reader::form, Reader.Form.values(), Reader.Form::id),
            CommonForms.QUANTITY.inlined(Reader::scale), integer("decimals", Reader::decimals).within(0, 9),
            object("input", Reader::input, INPUT), integerOrNull("maxRows", Reader::maxRows),
            objectOrNull("whole", Reader::whole, WHOLE)
                    .about("numbers are typed without a point; bits of the word that a negative one is written into as its two's complement"),
            new Setting(), source(Reader::source))
            .first("id", "name", "form", "quantity", "stoich", "decimals", "input", "maxRows", Setting.NAME, "whole");

    static final RecordForm<CheckPoint> CHECK_POINT = RecordForm.of(CheckPoint::new,
            numberOrNull("volts", CheckPoint::volts).within(Sane.SIGNAL).about("V at the controller's output")
                    .called("volts of the check point", Dimension.VOLTAGE),
            numberOrNull("true", CheckPoint::truth).within(Sane.SHOWN)
                    .about("what the controller shows, in the law's quantity")
                    .called("what the controller says at the check point", Dimension.MIXTURE),
            number("shown", CheckPoint::shown).within(Sane.SHOWN).about("in the reader's quantity")
                    .called("what the reader shows at the check point", Dimension.MIXTURE),
            textOrEmpty("note", CheckPoint::note).most(NOTE), CommonForms.origin(CheckPoint::origin),
            choiceOrNull("engine", CheckPoint::engine, CheckPoint.Engine.values())
                    .about("whether the engine ran meanwhile; null when that was not said"),
            partId(CheckPoint::id)).first("id", "volts", "true", "shown", "note", "engine");

    static final RecordForm<Display> DISPLAY = RecordForm.of(Display::new,
            choiceOrNull("pickUp", Display::pickUp, PickUp.values()).called(DisplayField.PICK_UP),
            integerOrNull("teeth", Display::teeth).within(1, 400).called(DisplayField.TEETH),
            flag("twoStroke", Display::twoStroke).called(DisplayField.STROKES),
            flagOrNull("knowsLoad", Display::knowsLoad).called(DisplayField.LOAD),
            choiceOrNull("dimmer", Display::dimmer, Display.Dimmer.values()).called(DisplayField.DIMMER),
            objectOr("told", Display::told,
                    RecordForm.numbersBy(DisplaySetting.class, DisplaySetting::key, false, Sane.TOLD, t -> null),
                    Map.of())
                    .about("lean and rich as lambda, leanDelay, richDelay and filter in s, pulses in a turn of the crankshaft"));

    private ScaleForms() {
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
                ArrayNode rows = out.putArray("rows");
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
