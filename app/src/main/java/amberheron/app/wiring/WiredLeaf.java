package amberheron.app.wiring;

import java.util.Set;
import java.util.EnumSet;
import amberheron.core.parts.Property;
import amberheron.core.parts.Address;
import amberheron.core.harness.HarnessCheck;
import amberheron.core.harness.HarnessField;
import static amberheron.core.units.Phrase.say;

import static amberheron.core.units.Unit.NEWTON;
import static amberheron.core.units.Unit.OHM;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;
import static amberheron.core.units.Unit.VOLT;

import amberheron.app.parts.Columns;
import amberheron.app.parts.DateEntry;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Parts;
import amberheron.app.parts.PhotoCard;
import amberheron.app.session.Session;
import amberheron.core.harness.AsWired;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Joints.School;
import amberheron.core.harness.Joints.Test;
import amberheron.core.units.Unit;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How the wires were joined and tested, and what was measured when it was done. */
final class WiredLeaf {
    private static final Set<HarnessCheck> WIRED = EnumSet.of(HarnessCheck.JOINT_STEPS, HarnessCheck.JOINT_PULL,
            HarnessCheck.JOINT_OHMS, HarnessCheck.WIRED_DROP, HarnessCheck.CHART_CONTINUITY);
    private static final Set<Property> OF_JOINT = Set.of(HarnessField.JOINT_SECTION, HarnessField.JOINT_PULL,
            HarnessField.JOINT_OHMS);

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final Label record = Parts.text("");
    private final VBox steps = new VBox(4);
    private final Label ticked = new Label();
    private final FlowPane tests = new FlowPane(6, 6);
    private final VBox one;
    private final PhotoCard photos;
    private final DateEntry date;
    private final Node node;
    private int selected;

    WiredLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        session.onSeek(this::bring);
        findings = new FindingsTable(session);
        photos = new PhotoCard(session, "wire.photo", j -> j.wiring().harness().asWired().photos(),
                (j, v) -> j.withWiring(wired(j.wiring(), a -> a.withPhotos(v))));
        date = new DateEntry(session, "Wired on", "wire.wired.date", j -> j.wiring().harness().asWired().date(),
                (j, v) -> j.withWiring(wired(j.wiring(), a -> a.withDate(v))));
        one = new VBox(8,
                Parts.evenly(fields.text("Wire", this::wire, "its tag", w -> test(w).map(Test::wire).orElse(""),
                        (w, v) -> change(w, t -> t.withWire(v))),
                        tested("Its size", SQUARE_MILLIMETRE, 0.1, 50, 3, HarnessField.JOINT_SECTION, Test::section,
                                Test::withSection)),
                Parts.evenly(
                        tested("Pull it stood", NEWTON, 1, 2000, 0, HarnessField.JOINT_PULL, Test::pull,
                                Test::withPull),
                        tested("Across it", OHM, 0, 1000, 4, HarnessField.JOINT_OHMS, Test::ohms,
                                Test::withOhms)),
                Parts.button("Remove it", "wire.joint.remove", this::remove, "quiet"));
        node = new Columns(300, Parts.card("Against the rules", findings), Parts.noted("Joints", ticked,
                fields.choice("Joined by", HarnessField.JOINT_SCHOOL.path(), List.of(School.values()), School::words,
                        w -> w.harness().joints().school(), (w, v) -> joints(w, j -> j.joinedBy(v))),
                steps, Parts.line("Joints tested", "field-name"), tests, one),
                Parts.card("As wired", record,
                        Parts.evenly(volts("At the source, heater on", HarnessField.AT_SOURCE, AsWired::atSource,
                                AsWired::withAtSource),
                                volts("At the controller then", HarnessField.AT_CONTROLLER, AsWired::atController,
                                        AsWired::withAtController)),
                        fields.text("What the next person should know", () -> "wire.wired.note",
                                "such as: fuse holder behind the glove box",
                                w -> w.harness().asWired().note(), (w, v) -> wired(w, a -> a.withNote(v))),
                        date),
                photos);
    }

    private String part() {
        return test(session.job().wiring()).map(Test::id).orElse("");
    }

    private String wire() {
        return "wire.joint." + part() + ".wire";
    }

    private void bring(Address wanted) {
        int at = session.job().wiring().harness().joints().tested().stream().map(Test::id).toList()
                .indexOf(wanted.part());
        if (at >= 0 && OF_JOINT.contains(wanted.property())) {
            selected = at;
            refresh();
        }
    }

    private static Wiring joints(Wiring wiring, UnaryOperator<Joints> change) {
        return wiring.withHarness(wiring.harness().withJoints(change.apply(wiring.harness().joints())));
    }

    private static Wiring wired(Wiring wiring, UnaryOperator<AsWired> change) {
        return wiring.withHarness(wiring.harness().withAsWired(change.apply(wiring.harness().asWired())));
    }

    private Optional<Test> test(Wiring wiring) {
        List<Test> all = wiring.harness().joints().tested();
        return selected < all.size() ? Optional.of(all.get(selected)) : Optional.empty();
    }

    private Wiring change(Wiring wiring, UnaryOperator<Test> change) {
        return joints(wiring, j -> {
            List<Test> all = new ArrayList<>(j.tested());
            if (selected < all.size()) {
                all.set(selected, change.apply(all.get(selected)));
            }
            return j.withTested(all);
        });
    }

    private EntryField tested(String name, Unit unit, double min, double max, int decimals, HarnessField property,
            Function<Test, @Nullable Double> read, BiFunction<Test, @Nullable Double, Test> write) {
        return fields.quantity(name, unit, min, max, decimals, () -> property.of(part()),
                w -> test(w).map(read).orElse(null),
                (w, v) -> change(w, t -> write.apply(t, v)));
    }

    private EntryField volts(String name, HarnessField property, Function<AsWired, @Nullable Double> read,
            BiFunction<AsWired, @Nullable Double, AsWired> write) {
        return fields.quantity(name, VOLT, 0, 60, 2, property::address,
                w -> read.apply(w.harness().asWired()), (w, v) -> wired(w, a -> write.apply(a, v)));
    }

    private void add() {
        selected = session.job().wiring().harness().joints().tested().size();
        fields.edit("joint tested", w -> joints(w, j -> j.plus(new Test("", w.ground().section(), null, null))));
        session.focus(wire());
    }

    private void remove() {
        int gone = selected;
        selected = Math.max(0, gone - 1);
        List<Test> all = new ArrayList<>(session.job().wiring().harness().joints().tested());
        if (gone < all.size()) {
            String id = all.remove(gone).id();
            session.edit("joint removed", j -> j.withWiring(joints(j.wiring(), t -> t.withTested(all)))
                    .withoutDrafts(HarnessField.JOINT_PULL.of(id)));
        }
    }

    Node node() {
        return node;
    }

    void refresh() {
        Wiring wiring = session.job().wiring();
        Joints joints = wiring.harness().joints();
        selected = Math.clamp(selected, 0, Math.max(0, joints.tested().size() - 1));
        findings.refresh(WireModel.findings(session,
                WIRED::contains), "");
        School school = joints.school();
        ticked.setText(school == null ? "" : joints.done().size() + " of " + school.steps().size() + " steps");
        steps.getChildren().setAll(school == null
                ? List.of()
                : IntStream.range(0, school.steps().size()).mapToObj(i -> step(school, joints, i)).toList());
        tests.getChildren().setAll(IntStream.range(0, joints.tested().size()).mapToObj(this::pick).toList());
        tests.getChildren().add(Parts.button("Add a joint", "wire.joint.add", this::add, "quiet"));
        Parts.show(one, test(wiring).isPresent());
        record.setText("Power: "
                + wiring.source().map(PowerSource::place).filter(p -> !p.isBlank()).orElse("place not written")
                + (wiring.feed().relay() ? ", by a relay at the battery" : "") + ". Fuse: "
                + Optional.ofNullable(wiring.fuse()).map(f -> say("%.1f A", f)).orElse("not entered")
                + ". Ground: " + (wiring.groundPoint().isBlank() ? "place not written" : wiring.groundPoint()) + ".");
        photos.refresh();
        date.refresh();
        fields.refresh();
    }

    private Node step(School school, Joints joints, int step) {
        CheckBox box = new CheckBox(school.steps().get(step));
        box.setId(HarnessField.JOINT_STEP.of(String.valueOf(step)).key());
        box.setWrapText(true);
        box.setSelected(joints.done().contains(step));
        box.setOnAction(e -> fields.edit(box.isSelected() ? "step done" : "step open",
                w -> joints(w, j -> j.ticked(step, box.isSelected()))));
        return box;
    }

    private ToggleButton pick(int index) {
        Test test = session.job().wiring().harness().joints().tested().get(index);
        ToggleButton button = new ToggleButton(test.wire().isBlank() ? "joint " + (index + 1) : "wire " + test.wire());
        button.setId("wire.joint.row." + index);
        button.setSelected(index == selected);
        button.setOnAction(e -> {
            selected = index;
            refresh();
        });
        return button;
    }
}
