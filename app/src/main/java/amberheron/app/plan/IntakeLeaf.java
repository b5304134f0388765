package amberheron.app.plan;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.LITRE;
import static amberheron.core.units.Unit.ONE;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Refreshed;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Session;
import amberheron.core.placement.Exhaust;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Question;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.QuantityField;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Fields of the intake. */
final class IntakeLeaf implements Leaf {
    private static final String READERS = Question.READERS.address().key();

    private final Session session;
    private final List<Refreshed> shown = new ArrayList<>();
    private final List<CheckBox> readers = new ArrayList<>();
    private final Map<Question, Node> asked = new LinkedHashMap<>();
    private final VBox fields;
    private final VBox told;
    private final Cells answers = new Cells(14, 4);
    private final Node node;
    private String job = "";
    private boolean open = true;

    IntakeLeaf(Session session) {
        this.session = session;
        Node[] all = intake();
        VBox left = new VBox(8);
        VBox right = new VBox(8);
        for (int i = 0; i < all.length; i++) {
            (i < (all.length + 1) / 2 ? left : right).getChildren().add(all[i]);
        }
        fields = Parts.card(say("Intake"), Columns.even(300, left, right));
        told = Parts.card(say("Intake"), answers,
                new HBox(Parts.button(say("Change what was asked"), "plan.intake.change", () -> open(true), "quiet")));
        node = new VBox(fields, told);
        fields.focusWithinProperty().addListener((o, was, now) -> {
            if (!now && session.job().intake().missing().isEmpty()) {
                open(false);
            }
        });
        session.listeners().onFocus(wanted -> {
            Node field = Parts.find(fields, wanted);
            if (field != null && !open) {
                open(true);
                field.requestFocus();
            }
        });
    }

    /** The fields; or, once all is answered, what was answered. */
    private void open(boolean wanted) {
        open = wanted;
        Parts.show(fields, open);
        Parts.show(told, !open);
    }

    private Node[] intake() {
        ask(Question.VEHICLE,
                add(new TextEntry(session, say("Vehicle"), Question.VEHICLE.address().key(),
                        say("as the shop calls it"), 1,
                        j -> j.intake().vehicle(), (j, v) -> j.withIntake(j.intake().withVehicle(v)))));
        EntryField displacement = add(new EntryField(session, QuantityField.of(say("Displacement"), LITRE, 0.02, 30), 3,
                Question.DISPLACEMENT::address, j -> j.intake().displacement(),
                (j, v) -> j.withIntake(j.intake().withDisplacement(v))));
        EntryField cylinders = add(new EntryField(session, QuantityField.of(say("Cylinders"), ONE, 1, 16), 0,
                Question.CYLINDERS::address,
                j -> j.intake().cylinders() == null ? null : (double) j.intake().cylinders(),
                (j, v) -> j.withIntake(j.intake().withCylinders(v == null ? null : (int) Math.round(v)))));
        Node engine = Parts.evenly(displacement, cylinders);
        asked.put(Question.DISPLACEMENT, engine);
        choice(Question.BANKS, say("Exhaust banks"), List.of(1, 2), String::valueOf, Intake::banks,
                IntakeLeaf::withBanks);
        engine(Question.ASPIRATION, say("Aspiration"), Engine.Aspiration.values(), Engine.Aspiration::words,
                Engine::aspiration, IntakeLeaf::withAspiration);
        engine(Question.CYCLE, say("Works as"), Engine.Cycle.values(), Engine.Cycle::words, Engine::cycle,
                (i, c) -> i.withEngine(e -> e.withCycle(c)));
        engine(Question.SUPPLY, say("Electrics"), Engine.Supply.values(), Engine.Supply::words, Engine::supply,
                (i, s) -> i.withEngine(e -> e.withSupply(s)));
        choice(Question.FUEL, say("Fuel"), session.catalogue().fuels(),
                f -> say("%s, λ 1 = %.2f AFR", f.name(), f.stoich()), Intake::fuel, Intake::withFuel);
        engine(Question.FUEL_SYSTEM, say("Fuel system"), Engine.FuelSystem.values(), Engine.FuelSystem::words,
                Engine::fuelSystem, (i, f) -> i.withEngine(e -> e.withFuelSystem(f)));
        ask(Question.READERS, readers());
        choice(Question.LINK, say("Its data comes by"), List.of(Intake.Link.values()), Intake.Link::words,
                Intake::link, Intake::withLink);
        choice(Question.FIT, say("Bung"), List.of(Intake.Fit.values()), Intake.Fit::words, Intake::fit,
                Intake::withFit);
        choice(Question.MATERIAL, say("Pipe of"), List.of(Intake.Material.values()),
                Intake.Material::words, Intake::material, Intake::withMaterial);
        choice(Question.STAYS, say("Fit"), List.of(true, false), p -> p ? say("permanent") : say("for tuning days"),
                Intake::permanent, Intake::withPermanent);
        choice(Question.HARNESS, say("Harness"), List.of(true, false),
                p -> p ? say("fixed: sensor first") : say("joined on the bench"), Intake::fixedHarness,
                Intake::withFixedHarness);
        return asked.values().toArray(Node[]::new);
    }

    private static Intake withBanks(Intake intake, int banks) {
        boolean unmeasured = intake.exhaust().segments().stream()
                .allMatch(s -> s.length() == null && s.diameter() == null);
        Intake with = intake.withBanks(banks);
        // Pieces nobody has measured yet are laid out anew for the other number of banks; measured ones stay.
        return intake.exhaust().segments().isEmpty() || !unmeasured
                ? with
                : with.withExhaust(intake.exhaust().withSegments(Exhaust.usual(intake.exhaust().turbine(), banks)));
    }

    /** The pieces of the exhaust follow: those nobody has measured yet are laid out, a turbine comes and goes. */
    private static Intake withAspiration(Intake intake, Engine.Aspiration aspiration) {
        boolean turbine = aspiration == Engine.Aspiration.TURBO;
        Intake with = intake.withEngine(e -> e.withAspiration(aspiration));
        return with.withExhaust(with.exhaust().segments().isEmpty()
                ? with.exhaust().withSegments(Exhaust.usual(turbine, with.banks()))
                : with.exhaust().withTurbine(turbine));
    }

    private <E extends Enum<E>> void engine(Question question, String name, E[] values, Function<E, String> words,
            Function<Engine, @Nullable E> read, Setter<E> set) {
        choice(question, name, List.of(values), words, i -> read.apply(i.engine()), set);
    }

    private void ask(Question question, Node node) {
        asked.put(question, node);
    }

    private interface Setter<T> {
        Intake set(Intake intake, T value);
    }

    private <T> void choice(Question question, String name, List<T> values, Function<T, String> words,
            Function<Intake, @Nullable T> read, Setter<T> set) {
        ask(question, add(new Choice<>(name, question.address().key(), values, words,
                () -> read.apply(session.job().intake()),
                v -> PlanModel.intake(session, name + ": " + words.apply(v), i -> set.set(i, v)))));
    }

    private <T extends Refreshed> T add(T part) {
        shown.add(part);
        return part;
    }

    private Node readers() {
        FlowPane row = new FlowPane(14, 0);
        for (ReaderKind kind : ReaderKind.values()) {
            CheckBox box = new CheckBox(kind.words());
            box.setId(readers.isEmpty() ? READERS : READERS + "." + kind);
            box.setOnAction(e -> {
                Set<ReaderKind> now = new TreeSet<>(session.job().intake().readers());
                if (!now.remove(kind)) {
                    now.add(kind);
                }
                PlanModel.intake(session, say("read by %s", kind.words()), i -> i.withReaders(now));
            });
            readers.add(box);
            row.getChildren().add(box);
        }
        Choice.foundByWord(row, readers);
        VBox entry = new VBox(Parts.line(say("What the customer has to read it with"), "field-name"), row);
        entry.getStyleClass().add("entry");
        return entry;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Intake intake = session.job().intake();
        boolean complete = intake.missing().isEmpty();
        boolean other = !job.equals(session.job().id());
        job = session.job().id();
        // While it is typed into it stays as it is.
        if (other || !complete) {
            open(!complete);
        }
        List<PlanModel.Answer> all = PlanModel.answers(session);
        answers.write(() -> {
            for (int i = 0; i < all.size(); i++) {
                answers.line(0, i, all.get(i).asked(), "soft");
                answers.line(1, i, all.get(i).said(), "plain");
            }
        });
        shown.forEach(Refreshed::refresh);
        asked.forEach((question, field) -> Parts.show(field, intake.asks(question)));
        for (int i = 0; i < readers.size(); i++) {
            readers.get(i).setSelected(intake.readers().contains(Arrays.asList(ReaderKind.values()).get(i)));
        }
    }
}
