package amberheron.app.wiring;

import amberheron.app.parts.Leaf;
import amberheron.app.parts.PartList;
import amberheron.core.units.QuantityField;
import amberheron.app.parts.EditTable;
import amberheron.core.harness.HarnessField;
import static amberheron.core.units.Phrase.say;

import static amberheron.core.units.Unit.NEWTON;
import static amberheron.core.units.Unit.MILLIOHM;
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
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How the wires were joined and tested, and what was measured when it was done. */
final class WiredLeaf implements Leaf {

    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final Label record = Parts.text("");
    private final VBox steps = new VBox(4);
    private final Label ticked = new Label();
    private final PartList<Test> list;
    private final EditTable table;
    private final PhotoCard photos;
    private final DateEntry date;
    private final Node node;

    WiredLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        photos = new PhotoCard(session, "wire.photo", j -> j.wiring().harness().asWired().photos(),
                (j, v) -> j.withWiring(wired(j.wiring(), a -> a.withPhotos(v))));
        date = new DateEntry(session, "Wired on", "wire.wired.date", j -> j.wiring().harness().asWired().date(),
                (j, v) -> j.withWiring(wired(j.wiring(), a -> a.withDate(v))));
        list = new PartList<>(session, j -> j.wiring().harness().joints().tested(),
                (j, all) -> j.withWiring(joints(j.wiring(), t -> t.withTested(all))), Test::id,
                HarnessField.JOINT_WIRE,
                (all, place) -> new Test("", session.job().wiring().ground().section(), null, null),
                new PartList.Words<>(t -> "joint tested", "joint moved", "joint removed"));
        table = new EditTable("wire.joint", "Add a joint", list, List.of(
                list.words("Wire", 1, "wire", Test::wire, Test::withWire),
                tested("Its size", SQUARE_MILLIMETRE, 0.1, 50, 3, HarnessField.JOINT_SECTION, Test::section,
                        Test::withSection),
                tested("Pull it stood", NEWTON, 1, 2000, 0, HarnessField.JOINT_PULL, Test::pull, Test::withPull),
                tested("Across it", MILLIOHM, 0, 1e6, 1, HarnessField.JOINT_OHMS, Test::ohms, Test::withOhms)));
        VBox joints = Parts.noted("Joints", ticked,
                fields.list("Joined by", HarnessField.JOINT_SCHOOL.path(), List.of(School.values()),
                        School::words, w -> w.harness().joints().school(),
                        (w, v) -> joints(w, j -> j.joinedBy(v))),
                steps);
        VBox made = Parts.bare(record,
                Parts.evenly(volts("At the source, heater on", HarnessField.AT_SOURCE, AsWired::atSource,
                        AsWired::withAtSource),
                        volts("At the controller then", HarnessField.AT_CONTROLLER, AsWired::atController,
                                AsWired::withAtController)),
                Parts.evenly(fields.text("For the next person", () -> "wire.wired.note",
                        "such as: fuse holder behind the glove box", w -> w.harness().asWired().note(),
                        (w, v) -> wired(w, a -> a.withNote(v))), date));
        node = new Columns(300, Parts.stacked(Parts.card("Against the rules", findings), made, photos),
                Parts.stacked(joints, Parts.card("Joints tested", table)));
    }

    private static Wiring joints(Wiring wiring, UnaryOperator<Joints> change) {
        return wiring.withHarness(wiring.harness().withJoints(change.apply(wiring.harness().joints())));
    }

    private static Wiring wired(Wiring wiring, UnaryOperator<AsWired> change) {
        return wiring.withHarness(wiring.harness().withAsWired(change.apply(wiring.harness().asWired())));
    }

    private EditTable.Column tested(String name, Unit unit, double min, double max, int decimals,
            HarnessField property, Function<Test, @Nullable Double> read,
            BiFunction<Test, @Nullable Double, Test> write) {
        return list.quantity(QuantityField.of(name, unit, min, max), decimals, property, read, write);
    }

    private EntryField volts(String name, HarnessField property, Function<AsWired, @Nullable Double> read,
            BiFunction<AsWired, @Nullable Double, AsWired> write) {
        return fields.quantity(name, VOLT, 0, 60, 2, property::address,
                w -> read.apply(w.harness().asWired()), (w, v) -> wired(w, a -> write.apply(a, v)));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Wiring wiring = session.job().wiring();
        Joints joints = wiring.harness().joints();
        table.refresh();
        findings.refresh(WireModel.findings(session,
                WireLeaf.WIRED), "");
        School school = joints.school();
        ticked.setText(school == null ? "" : joints.done().size() + " of " + school.steps().size() + " steps");
        Parts.fill(steps, List.of(Optional.ofNullable(school), joints.done()), () -> school == null
                ? List.of()
                : IntStream.range(0, school.steps().size()).mapToObj(i -> step(school, joints, i)).toList());
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
}
