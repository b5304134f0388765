package amberheron.app.plan;

import javafx.scene.layout.TilePane;
import amberheron.app.parts.Leaves;
import static amberheron.core.units.Phrase.say;

import static amberheron.core.units.Unit.LITRE;
import static amberheron.core.units.Unit.MILLIMETRE;
import static amberheron.core.units.Unit.ONE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.DateEntry;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.app.parts.TextEntry;
import amberheron.core.job.Job;
import amberheron.core.job.Waiting;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Question;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import amberheron.core.units.QuantityField;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** When it is finished, the steps, the intake, the exhaust's state, parts and tools, booking. */
public final class PlanView implements StationView {
    private static final String LOOK_FOR = "Cold start: ticking that fades as it warms. Soot at gaskets, flex, slip joints, welds. "
            + "Soapy water or smoke with a little pressure. Rust that a screwdriver goes through.";

    private static final double PART = 340;
    private static final String READERS = Question.READERS.address().key();

    private final Session session;
    private final PlanModel model;
    private final Leaves leaves;
    private final FinishDrawing finish;
    private final Label path = Parts.line("", "soft");
    private final VBox first = new VBox();
    private final VBox second = new VBox();
    private final Label stepsNote = new Label();
    private final Label finishNote = new Label();
    private final VBox follows = new VBox(4);
    private final VBox leaks = new VBox(2);
    private final TilePane parts = new TilePane(12, 0);
    private final Label partsNote = new Label();
    private final List<Runnable> refreshers = new ArrayList<>();
    private final List<CheckBox> readers = new ArrayList<>();
    private final Map<Question, Node> asked = new LinkedHashMap<>();

    /** The view on a session. */
    public PlanView(Session session, PlanModel model) {
        this.session = session;
        this.model = model;
        finish = new FinishDrawing(session, model);
        Columns steps = Columns.even(240, first, second);
        Node[] all = intake();
        VBox left = new VBox(8);
        VBox right = new VBox(8);
        for (int i = 0; i < all.length; i++) {
            (i < (all.length + 1) / 2 ? left : right).getChildren().add(all[i]);
        }
        leaves = new Leaves(session).with("Steps", "plan.leaf.steps",
                new VBox(12, Parts.noted("Finished", finishNote, finish, path),
                        Parts.noted("Steps", stepsNote, steps)),
                this::steps)
                .with("Intake", "plan.leaf.intake", Parts.card("Intake", Columns.even(300, left, right)), this::fields)
                .with("Exhaust and booking", "plan.leaf.exhaust", new Columns(300,
                        Parts.card("The exhaust first", condition()), Parts.stacked(Parts.card("Booking", booking()),
                                Parts.card("Follows from the intake", follows))),
                        this::fields)
                .with("Parts and tools", "plan.leaf.parts", Parts.noted("Parts and tools", partsNote, parts,
                        Parts.button("Write the list, to print and as CSV", "plan.parts.write",
                                () -> model.writeParts(session), "quiet")),
                        this::fields);
    }

    private Node[] intake() {
        ask(Question.VEHICLE,
                add(new TextEntry(session, "Vehicle", Question.VEHICLE.address().key(), "as the shop calls it", 1,
                        j -> j.intake().vehicle(), (j, v) -> j.withIntake(j.intake().withVehicle(v)))));
        EntryField displacement = add(new EntryField(session, QuantityField.of("Displacement", LITRE, 0.02, 30), 3,
                Question.DISPLACEMENT::address, j -> j.intake().displacement(),
                (j, v) -> j.withIntake(j.intake().withDisplacement(v))));
        EntryField cylinders = add(new EntryField(session, QuantityField.of("Cylinders", ONE, 1, 16), 0,
                Question.CYLINDERS::address,
                j -> j.intake().cylinders() == null ? null : (double) j.intake().cylinders(),
                (j, v) -> j.withIntake(j.intake().withCylinders(v == null ? null : (int) Math.round(v)))));
        Node engine = Parts.evenly(displacement, cylinders);
        asked.put(Question.DISPLACEMENT, engine);
        choice(Question.BANKS, "Exhaust banks", List.of(1, 2), String::valueOf, Intake::banks,
                PlanView::withBanks);
        choice(Question.ASPIRATION, "Aspiration", List.of(false, true),
                t -> t ? "turbo" : "natural", i -> i.exhaust().segments().isEmpty() ? null : i.exhaust().turbine(),
                (i, t) -> i.withExhaust(i.exhaust().segments().isEmpty()
                        ? i.exhaust().withSegments(Exhaust.usual(t, i.banks()))
                        : i.exhaust().withTurbine(t)));
        choice(Question.FUEL, "Fuel", session.catalogue().fuels(),
                f -> say("%s, λ 1 = %.2f AFR", f.name(), f.stoich()), Intake::fuel, Intake::withFuel);
        choice(Question.FUEL_SYSTEM, "Fuel system", List.of(Intake.FuelSystem.values()),
                Intake.FuelSystem::words, Intake::fuelSystem, Intake::withFuelSystem);
        ask(Question.READERS, readers());
        choice(Question.LINK, "Its data comes by", List.of(Intake.Link.values()), Intake.Link::words,
                Intake::link, Intake::withLink);
        choice(Question.FIT, "Bung", List.of(Intake.Fit.values()), Intake.Fit::words, Intake::fit,
                Intake::withFit);
        choice(Question.MATERIAL, "Pipe of", List.of(Intake.Material.values()),
                Intake.Material::words, Intake::material, Intake::withMaterial);
        choice(Question.STAYS, "Fit", List.of(true, false), p -> p ? "permanent" : "for tuning days",
                Intake::permanent, Intake::withPermanent);
        choice(Question.HARNESS, "Harness", List.of(true, false),
                p -> p ? "fixed: sensor first" : "joined on the bench", Intake::fixedHarness, Intake::withFixedHarness);
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

    private Node[] condition() {
        Choice<Intake.Condition> state = add(
                new Choice<>(session, "State of the exhaust", Question.CONDITION.address().key(),
                        List.of(Intake.Condition.SOUND, Intake.Condition.LEAKS, Intake.Condition.ROTTEN),
                        Intake.Condition::words, () -> session.job().intake().condition(),
                        v -> edit("State of the exhaust: " + v.words(), i -> i.withCondition(v))));
        EntryField leak = add(
                new EntryField(session, QuantityField.of("The leak amounts to a hole of", MILLIMETRE, 0.2, 40),
                        1, Question.LEAK::address, j -> j.intake().leak(),
                        (j, v) -> j.withIntake(j.intake().withLeak(v))));
        ask(Question.LEAK, leak);
        Choice<String> catalyst = add(new Choice<>(session, "Catalyst", "plan.catalyst",
                List.of("none", "catalyst", "straight-through"), w -> w,
                () -> session.job().intake().exhaust().segments().isEmpty()
                        ? null
                        : session.job().intake().exhaust().catalyst()
                                .map(k -> k == Kind.CATALYST ? "catalyst" : "straight-through").orElse("none"),
                w -> edit("Catalyst: " + w, i -> i.withExhaust(i.exhaust().withCatalyst(switch (w) {
                    case "catalyst" -> Kind.CATALYST;
                    case "straight-through" -> Kind.STRAIGHT_THROUGH;
                    default -> null;
                })))));
        return new Node[]{state, leak, Parts.text(LOOK_FOR, "soft"), leaks, catalyst};
    }

    private Node[] booking() {
        TextEntry bay = add(new TextEntry(session, "Bay", "plan.bay", "such as 2, lift", 1, j -> j.progress().bay(),
                (j, v) -> j.withProgress(j.progress().withBay(v))));
        DateEntry day = new DateEntry(session, "Day", "plan.day", j -> j.progress().day(),
                (j, v) -> j.withProgress(j.progress().withDay(v)));
        refreshers.add(day::refresh);
        List<Optional<Waiting>> holds = List.of(Optional.empty(), Optional.of(Waiting.CUSTOMER),
                Optional.of(Waiting.PARTS), Optional.of(Waiting.WELDER));
        Choice<Optional<Waiting>> hold = add(Choice.list(session, "On hold for", "plan.hold", holds,
                h -> h.map(Waiting::words).orElse("nothing"),
                () -> Optional.ofNullable(session.job().progress().hold()),
                h -> session.edit("on hold for " + h.map(Waiting::words).orElse("nothing"),
                        j -> j.withProgress(j.progress().withHold(h.orElse(null))))));
        return new Node[]{Parts.evenly(bay, day, hold)};
    }

    private <T extends Region> T add(T part) {
        refreshers.add(switch (part) {
            case EntryField e -> e::refresh;
            case TextEntry t -> t::refresh;
            case Choice<?> c -> c::refresh;
            default -> throw new IllegalArgumentException(part.toString());
        });
        return part;
    }

    private void ask(Question question, Node node) {
        asked.put(question, node);
    }

    private interface Setter<T> {
        Intake set(Intake intake, T value);
    }

    private <T> void choice(Question question, String name, List<T> values, Function<T, String> words,
            Function<Intake, @Nullable T> read, Setter<T> set) {
        ask(question, add(new Choice<>(session, name, question.address().key(), values, words,
                () -> read.apply(session.job().intake()),
                v -> edit(name + ": " + words.apply(v), i -> set.set(i, v)))));
    }

    private void edit(String what, UnaryOperator<Intake> change) {
        session.edit(what, j -> j.withIntake(change.apply(j.intake())));
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
                edit("read by " + kind.words(), i -> i.withReaders(now));
            });
            readers.add(box);
            row.getChildren().add(box);
        }
        session.onFocus(wanted -> {
            if (wanted.equals(READERS)) {
                readers.getFirst().requestFocus();
            }
        });
        VBox entry = new VBox(Parts.line("What the customer has to read it with", "field-name"), row);
        entry.getStyleClass().add("entry");
        return entry;
    }

    @Override
    public Parent node() {
        return leaves;
    }

    @Override
    public List<Node> besideTitle() {
        return List.of(leaves.tabs());
    }

    @Override
    public void refresh() {
        leaves.refresh();
    }

    private void fields() {
        Job job = session.job();
        Intake intake = job.intake();
        refreshers.forEach(Runnable::run);
        asked.forEach((question, node) -> Parts.show(node, intake.asks(question)));
        for (int i = 0; i < readers.size(); i++) {
            readers.get(i).setSelected(intake.readers().contains(Arrays.asList(ReaderKind.values()).get(i)));
        }
        Parts.fill(follows, List.of(intake.follows(), session.units()), () -> intake.follows().isEmpty()
                ? List.of(Parts.text("Nothing yet.", "soft"))
                : intake.follows().stream().map(t -> Parts.text("· " + Figures.text(session, t))).toList());
        Parts.fill(leaks, model.leaks(session), () -> model.leaks(session).stream()
                .map(l -> Parts
                        .text(say("A hole of %s draws in %s of air at idle: λ 1 reads %s.", l.hole(), l.air(),
                                l.shown()), "soft"))
                .toList());
        parts(job);
    }

    private void steps() {
        finish.refresh();
        finishNote.setText("eight jobs in ten end inside the bar · one lift");
        path.setText(model.criticalPath(session));
        Parts.show(path, !path.getText().isEmpty());
        stepsNote.setText(model.figure(session));
        List<PlanModel.Row> rows = model.rows(session);
        int half = (rows.size() + 1) / 2;
        List<Object> shows = List.of(rows, session.units(), model.opened(), session.job().progress());
        Parts.fill(first, shows, () -> rows.subList(0, half).stream().map(this::row).toList());
        Parts.fill(second, shows, () -> rows.subList(half, rows.size()).stream().map(this::row).toList());
    }

    private void parts(Job job) {
        JobPlan plan = session.review().plan();
        int lacking = plan.lacking(job.done(), job.progress().inHand()).size();
        partsNote.setText(lacking == 0 ? "all parts at hand" : lacking + " parts not at hand");
        Parts.fill(parts, List.of(plan.items(), job.progress().inHand()), () -> plan.items().stream().map(r -> {
            CheckBox have = new CheckBox(r.item().name());
            have.setId("have." + r.item().name());
            have.setSelected(job.progress().inHand().contains(r.item().name()));
            have.setWrapText(true);
            have.setAccessibleText(r.item().name() + " at hand");
            have.setOnAction(e -> model.have(session, r.item().name()));
            HBox.setHgrow(have, Priority.ALWAYS);
            have.setMaxWidth(Double.MAX_VALUE);
            Label kind = Parts.line(r.item().kind().words(), "soft");
            kind.setMinWidth(Region.USE_PREF_SIZE);
            HBox line = new HBox(8, have, kind);
            line.setAlignment(Pos.CENTER_LEFT);
            line.setPrefWidth(PART);
            line.getStyleClass().add("part-row");
            return line;
        }).toList());
    }

    private Node row(PlanModel.Row row) {
        Step step = row.step();
        CheckBox tick = new CheckBox();
        tick.setId("step." + step.id());
        tick.setSelected(row.done());
        Label title = Parts.text(PlanModel.title(session, step), row.done() ? "step-done" : "step-title");
        VBox words = new VBox(title);
        boolean open = model.opened().filter(step.id()::equals).isPresent();
        if (!row.waits().isEmpty() && !row.done() && !row.ready()) {
            words.getChildren().add(Parts.line(row.waits(), "soft", row.ready() ? "ready" : "waiting"));
        }
        VBox press = new VBox(new Pressable("step.details." + step.id(), "Details of " + step.title(),
                () -> model.open(session, step.id()), words));
        if (open) {
            press.getChildren().add(details(row));
        }
        press.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(press, Priority.ALWAYS);
        Label time = Parts.line(row.time(), "soft", "figure");
        time.setMinWidth(Region.USE_PREF_SIZE);
        Label critical = Parts.line(row.critical() ? "decides the end" : "", "critical");
        VBox right = new VBox(time, critical);
        right.setAlignment(Pos.CENTER_RIGHT);
        right.setMinWidth(Region.USE_PREF_SIZE);
        if (!row.critical()) {
            right.getChildren().remove(critical);
        }
        HBox line = new HBox(8, tick, press, right);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().addAll("step", row.ready() && !row.done() ? "step-ready" : "step-other");
        tick.setAccessibleText(step.title());
        tick.setOnAction(e -> {
            tick.setSelected(row.done());
            model.toggle(session, step);
            again("step." + step.id());
        });
        return line;
    }

    /** The rows were laid anew; stay on the one that was pressed. */
    private void again(String id) {
        Node same = Parts.find(leaves, id);
        if (same != null) {
            same.requestFocus();
        }
    }

    private Node details(PlanModel.Row row) {
        Step step = row.step();
        VBox box = new VBox(4);
        box.getChildren().add(Parts.text(step.where().words() + " · likely " + step.time().likely() + " min", "soft"));
        if (!step.items().isEmpty()) {
            box.getChildren().add(Parts.text("Have ready: " + step.items().stream().map(Step.Item::name)
                    .collect(Collectors.joining("; ")) + ".", "soft"));
        }
        if (!step.caution().isEmpty()) {
            box.getChildren().add(Parts.text(step.caution(), "caution-text"));
        }
        box.getChildren()
                .add(new HBox(6, Parts.button("Earlier", "step.earlier", () -> model.move(session, step, -1), "quiet"),
                        Parts.button("Later", "step.later", () -> model.move(session, step, 1), "quiet")));
        return box;
    }
}
