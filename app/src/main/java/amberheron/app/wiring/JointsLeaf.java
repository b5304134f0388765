package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.MILLIVOLT;
import static amberheron.core.units.Unit.NEWTON;
import static amberheron.core.units.Unit.SQUARE_MILLIMETRE;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EditTable;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.PartList;
import amberheron.app.parts.Parts;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Joints.JointSchool;
import amberheron.core.harness.Joints.Test;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
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

/** How the wires were joined, and the joints that were tested. */
final class JointsLeaf implements Leaf {
    private final Session session;
    private final WireFields fields;
    private final FindingsTable findings;
    private final VBox steps = new VBox(4);
    private final Label ticked = new Label();
    private final PartList<Test> list;
    private final EditTable table;
    private final Node node;

    JointsLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        list = new PartList<>(session, j -> j.wiring().harness().joints().tested(),
                (j, all) -> j.withWiring(joints(j.wiring(), t -> t.withTested(all))), Test::id,
                HarnessField.JOINT_WIRE,
                (all, place) -> new Test("", session.job().wiring().ground().wires().section(), null, null),
                new PartList.Words<>(t -> say("joint tested"), say("joint moved"), say("joint removed")));
        table = new EditTable("wire.joint", say("Add a joint"), list, List.of(
                list.words(say("Wire"), "wire", Test::wire, Test::withWire),
                tested(say("Its size"), SQUARE_MILLIMETRE, 0.1, 50, 3, HarnessField.JOINT_SECTION, Test::section,
                        Test::withSection),
                tested(say("Pull it stood"), NEWTON, 1, 2000, 0, HarnessField.JOINT_PULL, Test::pull, Test::withPull),
                tested(say("Across it"), MILLIVOLT, 0, 12_000, 1, HarnessField.JOINT_DROP, Test::drop,
                        Test::withDrop)));
        VBox made = Parts.noted(say("Joints"), ticked,
                fields.list(say("Joined by"), HarnessField.JOINT_SCHOOL.path(), List.of(JointSchool.values()),
                        JointSchool::words, w -> w.harness().joints().school(),
                        (w, v) -> joints(w, j -> j.joinedBy(v))),
                steps);
        node = new Columns(300, Parts.stacked(made, Parts.card(say("Joints tested"), table)),
                Parts.card(say("Against the rules"), findings));
    }

    private static Wiring joints(Wiring wiring, UnaryOperator<Joints> change) {
        return wiring.withHarness(wiring.harness().withJoints(change.apply(wiring.harness().joints())));
    }

    private EditTable.Column tested(String name, Unit unit, double min, double max, int decimals,
            HarnessField property, Function<Test, @Nullable Double> read,
            BiFunction<Test, @Nullable Double, Test> write) {
        return list.quantity(QuantityField.of(name, unit, min, max), decimals, property, read, write);
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Joints joints = session.job().wiring().harness().joints();
        table.refresh();
        findings.refresh(WireModel.findings(session, LeafId.WIRE_JOINTS), "");
        JointSchool school = joints.school();
        ticked.setText(school == null ? "" : say("%s of %s steps", joints.done().size(), school.steps().size()));
        Parts.fill(steps, List.of(Optional.ofNullable(school), joints.done()), () -> school == null
                ? List.of()
                : IntStream.range(0, school.steps().size()).mapToObj(i -> step(school, joints, i)).toList());
        fields.refresh();
    }

    private Node step(JointSchool school, Joints joints, int step) {
        CheckBox box = new CheckBox(school.steps().get(step));
        box.setId(HarnessField.JOINT_STEP.of(String.valueOf(step)).key());
        box.setWrapText(true);
        box.setSelected(joints.done().contains(step));
        box.setOnAction(e -> {
            boolean done = box.isSelected();
            fields.edit(done ? say("step done") : say("step not done"), w -> joints(w, j -> j.ticked(step, done)));
            // On to the next, as Enter does everywhere.
            int next = done && step + 1 < school.steps().size() ? step + 1 : step;
            session.focus(HarnessField.JOINT_STEP.of(String.valueOf(next)).key());
        });
        return box;
    }
}
