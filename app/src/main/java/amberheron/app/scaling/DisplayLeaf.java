package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.display.Display;
import amberheron.core.display.Display.Dimmer;
import amberheron.core.display.DisplayField;
import amberheron.core.display.DisplaySetUp;
import amberheron.core.display.DisplaySetting;
import amberheron.core.display.PickUp;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/** Leaf of the display's settings besides the law: alarms for this engine, bands, pulses, filter, dimmer. */
final class DisplayLeaf implements Leaf {
    private final Session session;
    private final List<Choice<?>> choices = new ArrayList<>();
    private final Map<DisplaySetting, EntryField> fields = new EnumMap<>(DisplaySetting.class);
    private final EntryField teeth;
    private final BandsDrawing bands;
    private final Label quantity = new Label();
    private final Cells table = new Cells(12, 1);
    private final Label why = Parts.text("", "soft");
    private final Node pinned;
    private final Node strokes;
    private final Node node;

    DisplayLeaf(Session session) {
        this.session = session;
        bands = new BandsDrawing(session);
        teeth = new EntryField(session, QuantityField.of(say("Teeth that pass in a turn"), Unit.ONE, 1, 400), 0,
                DisplayField.TEETH::address,
                j -> j.display().teeth() == null ? null : j.display().teeth().doubleValue(),
                (j, v) -> j.withDisplay(j.display().withTeeth(v == null ? null : (int) Math.round(v))));
        for (DisplaySetting what : DisplaySetting.values()) {
            fields.put(what, field(what));
        }
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        ColumnConstraints right = new ColumnConstraints();
        right.setHalignment(HPos.RIGHT);
        table.getColumnConstraints().addAll(wide, right);
        pinned = Parts.noted(say("What the display makes of it"), quantity, bands);
        HBox all = new HBox(Parts.spring(),
                Parts.button(say("It was told all this"), "scale.display.all", this::tellAll, "quiet"));
        strokes = choice(say("The engine is a"), DisplayField.STROKES, List.of(false, true),
                two -> two ? say("two-stroke") : say("four-stroke"), Display::twoStroke, Display::withTwoStroke);
        node = new Columns(300, Parts.card(say("Tell it"), table, why),
                Parts.card(say("How it is connected"),
                        Parts.evenly(
                                choice(say("Engine-speed pulses from"), DisplayField.PICK_UP, List.of(PickUp.values()),
                                        PickUp::words, Display::pickUp, Display::withPickUp),
                                teeth),
                        Parts.evenly(strokes,
                                choice(say("It knows the load"), DisplayField.LOAD, List.of(true, false),
                                        yes -> yes ? say("yes") : say("no"), Display::knowsLoad,
                                        Display::withKnowsLoad)),
                        choice(say("Dimmer wire to"), DisplayField.DIMMER, List.of(Dimmer.values()), Dimmer::words,
                                Display::dimmer, Display::withDimmer),
                        all));
    }

    private <T> Choice<T> choice(String name, DisplayField field, List<T> values, Function<T, String> words,
            Function<Display, @Nullable T> read, BiFunction<Display, T, Display> write) {
        Supplier<@Nullable T> now = () -> read.apply(session.job().display());
        Consumer<T> pick = v -> session.edit(name + " " + words.apply(v),
                j -> j.withDisplay(write.apply(j.display(), v)));
        Choice<T> choice = Choice.list(name, field.path(), values, words, now, pick);
        choices.add(choice);
        return choice;
    }

    /** A mixture is typed in the display's own quantity, whatever that is by now. */
    private EntryField field(DisplaySetting what) {
        boolean mixture = what.kind() == DisplaySetting.Kind.MIXTURE;
        Unit unit = what.kind() == DisplaySetting.Kind.SECONDS ? Unit.SECOND : Unit.ONE;
        EntryField field = new EntryField(session, QuantityField.of(what.words(), unit, 0, mixture ? 60 : 400),
                mixture ? 2 : 1, () -> DisplayField.TOLD.of(what.key()), j -> {
                    Double told = j.display().told().get(what);
                    return told == null || !mixture ? told : Double.valueOf(j.shownByGauge().fromLambda(told));
                }, (j, v) -> j.withDisplay(j.display().withTold(what,
                        v == null || !mixture ? v : Double.valueOf(j.shownByGauge().toLambda(v)))));
        return field.inTable();
    }

    /** Notes every number that is known as told; what was told otherwise is told anew. */
    private void tellAll() {
        session.edit(say("display told"), j -> {
            Display told = j.display();
            for (DisplaySetUp.Line line : setUp(j).lines()) {
                Double ought = line.ought();
                if (ought != null && line.verdict() != Verdict.PASS) {
                    told = told.withTold(line.what(), rounded(j, line.what(), ought));
                }
            }
            return j.withDisplay(told);
        });
    }

    /** As it is shown here, since that is what was typed. */
    private static double rounded(Job job, DisplaySetting what, double value) {
        if (what.kind() != DisplaySetting.Kind.MIXTURE) {
            return Math.round(10 * value) / 10.0;
        }
        MixtureScale scale = job.shownByGauge();
        return scale.toLambda(Double.parseDouble(DisplaySetUp.mixture(value, scale).replace(',', '.')));
    }

    private DisplaySetUp setUp(Job job) {
        return job.displaySetUp(session.preferences().shop().schools());
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public List<Node> pinned() {
        return List.of(pinned);
    }

    @Override
    public void refresh() {
        Job job = session.job();
        choices.forEach(Choice::refresh);
        teeth.refresh();
        // Where the intake says it, it is not asked again.
        Parts.show(strokes, job.intake().engine().cycle() == null);
        Parts.show(teeth, job.display().pickUp() == PickUp.WHEEL);
        fields.values().forEach(EntryField::refresh);
        bands.refresh();
        quantity.setText(say("in %s, as it shows it", job.shownByGauge().label()));
        DisplaySetUp setUp = setUp(job);
        table.write(() -> rows(job, setUp));
        // Of all the reasons the one that is next to be acted on.
        why.setText(setUp.first().map(l -> l.what().words() + ": " + Figures.text(session, l.why()))
                .orElse(say("It was told everything as it should be.")));
    }

    private void rows(Job job, DisplaySetUp setUp) {
        table.line(0, 0, "", "column-head");
        table.line(1, 0, say("tell it"), "column-head");
        table.line(2, 0, say("was told"), "column-head");
        int row = 1;
        for (DisplaySetUp.Line line : setUp.lines()) {
            table.line(0, row, line.what().words(), "plain");
            table.line(1, row,
                    line.ought() == null ? "—" : DisplaySetUp.text(line.what(), line.ought(), job.shownByGauge()),
                    "figure").setMinWidth(Region.USE_PREF_SIZE);
            EntryField field = Objects.requireNonNull(fields.get(line.what()));
            field.setPrefWidth(70);
            table.put(2, row, () -> field);
            boolean right = line.verdict() == Verdict.PASS;
            table.line(3, row, line.verdict() == Verdict.UNKNOWN ? "○" : right ? "✓" : "▲",
                    right ? "agreed" : line.verdict() == Verdict.WARN ? "wrong" : "soft");
            row++;
        }
    }
}
