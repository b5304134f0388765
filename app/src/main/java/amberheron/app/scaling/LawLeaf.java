package amberheron.app.scaling;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pasted;
import amberheron.app.parts.Scales;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.job.Pair;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.LawText;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderInput;
import amberheron.core.scaling.ScaleField;
import amberheron.core.scaling.SettingText;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Sane;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** Output law of the controller as its sheet says, and what reads it. */
final class LawLeaf implements Leaf {
    private static final QuantityField RAIL = QuantityField.of("Rail", Unit.VOLT, -15, 30);
    private static final String USUAL_LOW = "0";
    private static final String USUAL_HIGH = "5";

    private final Session session;
    private final Choice<OutputLaw> law;
    private final Choice<Gauge> gauge;
    private final Choice<Reader> reader;
    private final Label reads = Parts.text("", "plain");
    private final Pasted sheet;
    private final TextField low = new TextField(USUAL_LOW);
    private final TextField high = new TextField(USUAL_HIGH);
    private final Choice<Quantity> quantity;
    private final Label understood = Parts.text("", "soft");
    private final Button take;
    private final Label takes = Parts.text("", "soft");
    private final CheckBox logged = new CheckBox(say("can be logged"));
    private final EntryField filter;
    private final ScaleFiles files;
    private final ComboBox<Pair> pairs = new ComboBox<>();
    private final Label proof = Parts.text("", "soft");
    private final Button more;
    private final Button less;
    private Quantity said = Quantity.TOLD;
    private final Node node;

    /** Quantity of the numbers of a sheet. */
    private enum Quantity {
        TOLD("λ or AFR"),
        LAMBDA("λ"),
        AFR("AFR"),
        OXYGEN("% of oxygen");

        private final String words;

        Quantity(String words) {
            this.words = words;
        }

        private String words() {
            return word(words);
        }
    }

    LawLeaf(Session session) {
        this.session = session;
        law = new Choice<>(say("From the catalogue"), ScaleField.LAW.path(), session.catalogue().laws(),
                l -> l.name() + " " + (l.scale() instanceof MixtureScale.Lambda ? "λ" : "AFR"),
                () -> session.job().law(), l -> session.edit(say("law %s", l.name()), j -> j.withLaw(l))).inTable();
        reader = new Choice<>(say("Reader"), ScaleField.READER.path(), session.catalogue().readers(), Reader::name,
                () -> known(session.job().reader()),
                r -> session.edit(say("reader %s", r.name()), j -> j.withReader(r)));
        List<Gauge> gauges = gauges(session);
        gauge = Choice.list(say("Controller's own gauge shows"), ScaleField.GAUGE.path(), gauges, Gauge::words,
                () -> gauges.stream().filter(g -> Objects.equals(g.scale(), session.job().gauge())).findFirst()
                        .orElseGet(() -> named(session.job().gauge())),
                g -> session.edit(say("gauge %s", g.words()), j -> j.withGauge(g.scale())));
        quantity = Choice.list(say("Its numbers are"), "scale.sheet.quantity", List.of(Quantity.values()),
                Quantity::words, () -> said, q -> {
                    said = q;
                    read();
                }).inTable();
        // A table that is pasted stands as its rows, to be looked at.
        sheet = new Pasted(session);
        sheet.onCells(rows -> sheet.setText(rows.stream()
                .map(row -> String.join(" = ", row.stream().filter(c -> !c.isEmpty()).toList()))
                .filter(row -> !row.isEmpty()).collect(Collectors.joining("; "))));
        field(sheet, "scale.sheet", say("2.2v + 9, or 0.4 V = 0.62; 4.6 V = 1.38"),
                say("The law as its sheet writes it"));
        field(low, "scale.sheet.low", USUAL_LOW, say("Lower rail, V"));
        field(high, "scale.sheet.high", USUAL_HIGH, say("Upper rail, V"));
        low.setPrefColumnCount(4);
        high.setPrefColumnCount(4);
        take = Parts.button(say("Take this law"), "scale.sheet.take", this::take, "quiet");
        more = Parts.button(say("Another reader"), "scale.output.more",
                () -> session.edit(say("another reader"), j -> j.withOutputs(j.outputs().oneMore())), "quiet");
        less = Parts.button(say("Take it off"), "scale.output.less",
                () -> session.edit(say("reader taken off"), j -> j.withOutputs(j.outputs().oneLess())), "quiet");
        logged.setId("scale.output.logged");
        logged.setAccessibleText(say("What this reader shows can be logged"));
        logged.setOnAction(e -> session.edit(say("what can be logged"), j -> j.withOutputs(
                j.outputs().with(j.outputs().active().withLogged(logged.isSelected())))));
        filter = new EntryField(session,
                QuantityField.of(say("Reader's filter"), Unit.SECOND, Sane.FILTER.min(), Sane.FILTER.max()), 2,
                ScaleField.FILTER::address, j -> j.reader() == null ? null : j.reader().input().filter(),
                (j, v) -> j.reader() == null
                        ? j
                        : j.withReader(j.reader().withInput(j.reader().input().withFilter(v))));
        files = new ScaleFiles(session);
        pairs.setId("scale.pair");
        pairs.setAccessibleText(say("A pair of law and reader that the shop keeps"));
        pairs.setPromptText(say("none kept yet"));
        pairs.setMaxWidth(Double.MAX_VALUE);
        pairs.setConverter(new StringConverter<>() {
            @Override
            public String toString(Pair pair) {
                return pair == null ? "" : pair.title();
            }

            @Override
            public Pair fromString(String words) {
                throw new UnsupportedOperationException("picked, never typed");
            }
        });
        pairs.setOnAction(e -> {
            Pair picked = pairs.getValue();
            Parts.show(proof, picked == null ? "" : files.words(picked));
            if (picked != null) {
                files.use(picked);
            }
        });
        Parts.show(proof, false);
        files.list(this::offer);
        Button from = Parts.button(say("From a file…"), "scale.files.read", () -> {
        }, "quiet");
        from.setOnAction(e -> Parts.browse(from, say("Law, reader or pair (JSON, CSV)"), files::read));
        HBox keeping = new HBox(8, pairs, Parts.button(say("Keep this one"), "scale.pair.keep",
                () -> files.keep(() -> files.list(this::offer)), "quiet"));
        HBox.setHgrow(pairs, Priority.ALWAYS);
        HBox ways = new HBox(8, Parts.button(say("To files"), "scale.files.write", files::write, "quiet"), from);
        filter.setPrefWidth(96);
        filter.setMinWidth(96);
        HBox.setHgrow(gauge, Priority.ALWAYS);
        HBox shows = new HBox(8, gauge, filter);
        HBox outputs = new HBox(8, more, less, Parts.spring(), logged);
        outputs.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(sheet, Priority.ALWAYS);
        HBox.setHgrow(quantity, Priority.ALWAYS);
        HBox rails = new HBox(8, Parts.line(say("rails, V"), "field-name"), low, high, Parts.spring(), take);
        rails.setAlignment(Pos.CENTER_LEFT);
        node = Columns.even(300,
                Parts.stacked(Parts.card(say("Output law, from the catalogue"), law, reads),
                        Parts.card(say("Pairs that the shop keeps"), keeping, proof, ways)),
                Parts.stacked(
                        Parts.card(say("What reads it"), reader, takes, outputs, shows),
                        Parts.card(say("Or the law as its sheet writes it"), new HBox(8, sheet, quantity), rails,
                                understood)));
    }

    private void offer(List<Pair> kept) {
        pairs.getItems().setAll(kept);
        pairs.setPromptText(kept.isEmpty() ? say("none kept yet") : say("pick one to use it"));
    }

    private void field(TextField field, String id, String prompt, String name) {
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(name);
        field.textProperty().addListener((o, before, now) -> read());
        field.setOnAction(e -> take());
        Parts.undoFrom(field, session, () -> sheet.getText().isEmpty());
    }

    /** Says the meaning of the sheet's text, or why it has none; both as one types. */
    private void read() {
        Optional<OutputLaw> law = Optional.empty();
        String says = "";
        if (!sheet.getText().isBlank()) {
            try {
                OutputLaw read = typed();
                law = Optional.of(read);
                says = words(read);
            } catch (Unusable e) {
                says = String.valueOf(e.getMessage());
            }
        }
        Parts.show(understood, says);
        Parts.styles(understood, law.isPresent() || says.isEmpty() ? "soft" : "fault");
        take.setDisable(law.isEmpty());
    }

    private OutputLaw typed() {
        String text = sheet.getText();
        return switch (said) {
            case TOLD -> LawText.parse(text, rail(low), rail(high), Optional.empty());
            case LAMBDA -> LawText.parse(text, rail(low), rail(high), Optional.of(MixtureScale.lambda()));
            case AFR ->
                LawText.parse(text, rail(low), rail(high), Optional.of(MixtureScale.afr(session.job().stoich())));
            case OXYGEN -> LawText.parseOxygen(text, rail(low), rail(high));
        };
    }

    private static double rail(TextField field) {
        return switch (RAIL.parse(field.getText(), 1)) {
            case Parsed.Value v -> v.si();
            case Parsed.Bad bad -> throw new Unusable(bad.message());
        };
    }

    private void take() {
        if (!take.isDisabled()) {
            OutputLaw read = typed();
            session.edit(say("law %s", read.name()), j -> j.withLaw(read));
            sheet.clear();
        }
    }

    private String words(OutputLaw law) {
        return Figures.text(session, Message.joined(" ", LawText.says(law)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        law.refresh();
        gauge.refresh();
        reader.refresh();
        filter.refresh();
        filter.setDisable(session.job().reader() == null);
        quantity.refresh();
        OutputLaw used = session.job().law();
        boolean listed = used != null && session.catalogue().laws().contains(used);
        Parts.show(reads, used == null ? "" : (listed ? "" : used.name() + ". ") + words(used));
        Reader read = session.job().reader();
        Parts.show(takes, read == null ? "" : takes(read));
        logged.setSelected(session.job().outputs().active().logged());
        Parts.show(less, !session.job().outputs().others().isEmpty());
        read();
    }

    /** Description of a reader's input and form, in words. */
    private static String takes(Reader reader) {
        ReaderInput input = reader.input();
        Integer rows = reader.maxRows();
        Integer bits = input.bits();
        return say("Takes %s in %s, %s%s; sees %s to %s V%s.", reader.form().words(),
                SettingText.quantity(reader.scale()), reader.whole() == null
                        ? count("1 decimal", "%d decimals", reader.decimals())
                        : say("whole numbers, %d to 1", Math.round(Math.pow(10, reader.decimals()))),
                rows == null ? "" : say(", at most %d rows", rows),
                UnitChoice.digits(input.minVolts(), 1), UnitChoice.digits(input.maxVolts(), 1),
                bits == null ? "" : say(" in %,d steps", input.topCount()));
    }

    /** Scale of a gauge; null for that of the output. */
    private record Gauge(@Nullable MixtureScale scale, String words) {
    }

    private static List<Gauge> gauges(Session session) {
        return Stream.concat(Stream.of(new Gauge(null, say("the quantity of its output"))),
                Scales.all(session).stream().map(LawLeaf::named)).toList();
    }

    private static Gauge named(@Nullable MixtureScale scale) {
        return new Gauge(scale, scale == null ? "λ" : Scales.words(scale));
    }

    /** The reader as the catalogue lists it: one that was given a setting is still that reader. */
    private @Nullable Reader known(@Nullable Reader used) {
        return used == null
                ? null
                : session.catalogue().readers().stream().filter(r -> r.id().equals(used.id())).findFirst().orElse(used);
    }
}
