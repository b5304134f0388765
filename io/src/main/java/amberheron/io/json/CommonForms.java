package amberheron.io.json;

import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.momentOrNull;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOrEmpty;

import amberheron.core.finding.Origin;
import amberheron.core.finding.Photo;
import amberheron.core.finding.Source;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.parts.Property;
import amberheron.core.units.Sane;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/** Forms that stand in several places of a job document: where a value comes from, photos, the quantity of a number. */
final class CommonForms {
    /** Hexadecimal digits of a SHA-256. */
    static final int DIGEST = 64;

    /** Where a reading came from; documents before version 3 do not say. */
    static final RecordForm<Origin> ORIGIN = RecordForm.of(Origin::new,
            choice("kind", Origin::kind, Origin.Kind.values()),
            textOrEmpty("instrument", Origin::instrument).about("the instrument's own identity"),
            momentOrNull("taken", Origin::taken).about("moment, ISO 8601"),
            textOrEmpty("job", Origin::job).most(SHORT).about("number of the job it was taken for"));

    static final RecordForm<Photo> PHOTO = RecordForm.of(Photo::new, text("file", Photo::file),
            text("digest", Photo::digest).most(DIGEST), textOrEmpty("caption", Photo::caption).most(NOTE));

    /** The quantity a number is in: {@code "quantity": "lambda"}, or {@code "afr"} with its {@code "stoich"}. */
    static final RecordForm<MixtureScale> QUANTITY = RecordForm.of(new Quantity(null));

    private static final RecordForm<Source> SOURCE = RecordForm.of(Source::new,
            choice("kind", Source::kind, Source.Kind.values()),
            text("citation", Source::citation).notEmpty().most(NOTE));

    private enum QuantityName {
        AFR,
        LAMBDA
    }

    /**
     * Its two fields.
     *
     * @param called name of the value where two documents differ in it; null where the object around it is named
     */
    private record Quantity(@Nullable Property called) implements Part<MixtureScale, MixtureScale> {
        @Override
        public MixtureScale read(Cursor at) {
            return switch (at.choice("quantity", QuantityName.values())) {
                case LAMBDA -> MixtureScale.lambda();
                case AFR -> {
                    double stoich = at.number("stoich");
                    yield at.build(() -> MixtureScale.afr(stoich));
                }
            };
        }

        @Override
        public void write(ObjectNode out, MixtureScale from) {
            switch (from) {
                case MixtureScale.Lambda l -> out.put("quantity", "lambda");
                case MixtureScale.Afr afr -> out.put("quantity", "afr").put("stoich", afr.stoich());
            }
        }

        @Override
        public void describe(SchemaObject into) {
            ObjectNode quantity = Json.object();
            quantity.putArray("enum").add("afr").add("lambda");
            into.add("quantity", quantity, true).add("stoich",
                    Value.limited(Value.type("number"), Sane.STOICH.min(), Sane.STOICH.max()), false);
        }

        @Override
        public void name(String path, FieldNames into) {
            if (called != null) {
                into.add(path + "quantity", new FieldNames.Name(called::words, null));
            }
        }
    }

    private CommonForms() {
    }

    /** The quantity of a number that has a field of its own. */
    static RecordForm<MixtureScale> quantity(Property called) {
        return RecordForm.of(new Quantity(called));
    }

    /** Where a reading came from, under {@code origin}. */
    static <T> Value<T, Origin> origin(Function<T, Origin> of) {
        return objectOr("origin", of, ORIGIN, Origin.UNRECORDED).about("where a reading came from");
    }

    /** Where a value comes from, under {@code source}; a file that names none is taken for the maker's sheet. */
    static <T> Value<T, Source> source(Function<T, Source> of) {
        return Value.<T, Source>of("source", of,
                new Kind<>((at, field) -> sourceIn(at), (out, field, source) -> out.set(field, SOURCE.write(source)),
                        SOURCE::schema, false))
                .about("where a value comes from");
    }

    /** The source named in an object. */
    static Source sourceIn(Cursor at) {
        return at.objectOrNone("source").map(SOURCE::read)
                .orElseGet(() -> new Source(Source.Kind.MAKERS_SHEET, "as entered in " + at.file()));
    }

    /** Id of an entry of the catalogue; the file's name where it has none. */
    static <T> Value<T, String> catalogueId(Function<T, String> of) {
        return Value.textOr("id", of, (at, field) -> at.file()).most(SHORT);
    }

    /** Name of an entry of the catalogue; its id where it has none. */
    static <T> Value<T, String> catalogueName(Function<T, String> of) {
        return Value.textOr("name", of, (at, field) -> at.text("id", at.file()));
    }
}
