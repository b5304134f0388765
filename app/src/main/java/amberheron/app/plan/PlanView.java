package amberheron.app.plan;

import static amberheron.core.units.Unit.LITRE;
import static amberheron.core.units.Unit.ONE;

import amberheron.app.shell.Choice;
import amberheron.app.shell.Columns;
import amberheron.app.shell.EntryField;
import amberheron.app.shell.Parts;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationView;
import amberheron.app.shell.TextEntry;
import amberheron.core.mixture.Fuel;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.units.QuantityField;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
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

/** Intake and steps. */
public final class PlanView implements StationView {
    private final Session session;
    private final PlanModel model;
    private final Parent root;
    private final VBox steps = new VBox();
    private final Label stepsNote = new Label();
    private final List<Runnable> refreshers = new ArrayList<>();
    private final List<CheckBox> readers = new ArrayList<>();

    /** The view on a session. */
    public PlanView(Session session, PlanModel model) {
        this.session = session;
        this.model = model;
        TextEntry vehicle = add(new TextEntry(session, "Vehicle", "plan.vehicle", "as the shop calls it", 1,
                j -> j.intake().vehicle(), (j, v) -> j.withIntake(j.intake().withVehicle(v))));
        EntryField displacement = add(new EntryField(session, QuantityField.of("Displacement", LITRE, 0.02, 30), 3,
                () -> "plan.displacement", j -> j.intake().displacement(),
                (j, v) -> j.withIntake(j.intake().withDisplacement(v))));
        EntryField cylinders = add(new EntryField(session, QuantityField.of("Cylinders", ONE, 1, 16), 0,
                () -> "plan.cylinders", j -> j.intake().cylinders() == null ? null : (double) j.intake().cylinders(),
                (j, v) -> j.withIntake(j.intake().withCylinders(v == null ? null : (int) Math.round(v)))));
        Choice<Integer> banks = choice("Exhaust banks", "plan.banks", List.of(1, 2), String::valueOf, Intake::banks,
                Intake::withBanks);
        Choice<Fuel> fuel = choice("Fuel", "plan.fuel", session.catalogue().fuels(),
                f -> "%s, λ 1 = %.2f AFR".formatted(f.name(), f.stoich()), Intake::fuel, Intake::withFuel);
        Choice<Intake.Condition> condition = choice("State of the exhaust", "plan.condition",
                List.of(Intake.Condition.SOUND, Intake.Condition.LEAKS, Intake.Condition.ROTTEN),
                Intake.Condition::words, Intake::condition, Intake::withCondition);
        Choice<Intake.Fit> fit = choice("Bung", "plan.fit", List.of(Intake.Fit.values()), Intake.Fit::words,
                Intake::fit, Intake::withFit);
        Choice<Boolean> stays = choice("Fit", "plan.permanent", List.of(true, false),
                p -> p ? "permanent" : "for tuning days", Intake::permanent, Intake::withPermanent);
        Choice<Boolean> harness = choice("Harness", "plan.harness", List.of(true, false),
                p -> p ? "fixed: sensor first" : "joined on the bench", Intake::fixedHarness, Intake::withFixedHarness);
        VBox intake = Parts.card("Intake", vehicle, Parts.evenly(displacement, cylinders), fuel, condition, readers(),
                fit, banks, stays, harness);
        VBox plan = Parts.noted("Steps", stepsNote, steps);
        root = new Columns(300, plan, intake);
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

    private interface Setter<T> {
        Intake set(Intake intake, T value);
    }

    private <T> Choice<T> choice(String name, String key, List<T> values, java.util.function.Function<T, String> words,
            java.util.function.Function<Intake, @org.jspecify.annotations.Nullable T> read, Setter<T> set) {
        return add(new Choice<>(session, name, key, values, words, () -> read.apply(session.job().intake()),
                v -> edit(name + ": " + words.apply(v), i -> set.set(i, v))));
    }

    private void edit(String what, UnaryOperator<Intake> change) {
        session.edit(what, j -> j.withIntake(change.apply(j.intake())));
    }

    private Node readers() {
        FlowPane row = new FlowPane(14, 0);
        for (ReaderKind kind : ReaderKind.values()) {
            CheckBox box = new CheckBox(kind.words());
            box.setId(readers.isEmpty() ? "plan.readers" : "plan.readers." + kind);
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
            if (wanted.equals("plan.readers")) {
                readers.getFirst().requestFocus();
            }
        });
        VBox entry = new VBox(Parts.line("What reads the signal", "field-name"), row);
        entry.getStyleClass().add("entry");
        return entry;
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        refreshers.forEach(Runnable::run);
        Set<ReaderKind> now = session.job().intake().readers();
        for (int i = 0; i < readers.size(); i++) {
            readers.get(i).setSelected(now.contains(Arrays.asList(ReaderKind.values()).get(i)));
        }
        stepsNote.setText(model.figure(session));
        steps.getChildren().setAll(model.rows(session).stream().map(this::row).toList());
    }

    private Node row(PlanModel.Row row) {
        CheckBox tick = new CheckBox();
        tick.setId("step." + row.step().id());
        tick.setSelected(row.done());
        Label title = Parts.text(PlanModel.title(session, row.step()), row.done() ? "step-done" : "step-title");
        VBox words = new VBox(title);
        if (!row.waits().isEmpty() && !row.done()) {
            words.getChildren().add(Parts.text(row.waits(), "soft", row.ready() ? "ready" : "waiting"));
        }
        words.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(words, Priority.ALWAYS);
        Label time = Parts.line(row.time(), "soft", "figure");
        time.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(8, tick, words, time);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().addAll("step", row.ready() && !row.done() ? "step-ready" : "step-other");
        tick.setAccessibleText(row.step().title());
        tick.setOnAction(e -> {
            tick.setSelected(row.done());
            model.toggle(session, row.step());
            // The rows were laid anew; stay on the one that was pressed.
            Node again = steps.lookup("#step\\." + row.step().id());
            if (again != null) {
                again.requestFocus();
            }
        });
        line.setOnMouseClicked(e -> {
            if (!tick.equals(e.getTarget())) {
                model.toggle(session, row.step());
            }
        });
        return line;
    }
}
