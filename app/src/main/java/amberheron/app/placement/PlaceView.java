package amberheron.app.placement;

import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.shell.Choice;
import amberheron.app.shell.Columns;
import amberheron.app.shell.EntryField;
import amberheron.app.shell.FindingsTable;
import amberheron.app.shell.Parts;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationView;
import amberheron.app.shell.TextEntry;
import amberheron.core.job.Job;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.units.QuantityField;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The run, the clock face, the candidates and the rules. */
public final class PlaceView implements StationView {
    private final Session session;
    private final PlaceModel model;
    private final RunDrawing run;
    private final ClockFace face;
    private final FlowPane letters = new FlowPane(6, 6);
    private final FindingsTable rules;
    private final Label rulesNote = new Label();
    private final VBox one;
    private final List<Runnable> refreshers;
    private final Parent root;

    /** The view on a session. */
    public PlaceView(Session session, PlaceModel model) {
        this.session = session;
        this.model = model;
        run = new RunDrawing(session);
        face = new ClockFace(session);
        rules = new FindingsTable(session);
        EntryField distance = candidate("Distance along the pipe", MILLIMETRE, -2000, 10_000, "distance",
                Candidate::distance,
                Candidate::withDistance);
        EntryField clock = candidate("Clock position", DEGREE, -180, 180, "clock", Candidate::clock,
                Candidate::withClock).onClockFace();
        EntryField slope = candidate("Pipe slope, rising +", DEGREE, -90, 90, "slope", Candidate::slope,
                (c, v) -> c.withSlope(v == null ? 0 : v));
        EntryField lean = candidate("Sensor leans along pipe", DEGREE, -60, 60, "lean", Candidate::lean,
                (c, v) -> c.withLean(v == null ? 0 : v));
        one = new VBox(8, Parts.evenly(distance, clock), Parts.evenly(slope, lean));
        EntryField diameter = exhaust("Pipe outer diameter", MILLIMETRE, 15, 200, "diameter", Exhaust::outerDiameter,
                (e, v) -> new Exhaust(e.turbine(), v, e.catalyst(), e.catalystAt(), e.roll()));
        EntryField catalystAt = exhaust("Catalyst starts at", MILLIMETRE, 50, 10_000, "catalyst", Exhaust::catalystAt,
                (e, v) -> new Exhaust(e.turbine(), e.outerDiameter(), e.catalyst(), v, e.roll()));
        EntryField roll = exhaust("Car leans to its right", DEGREE, -30, 30, "roll", Exhaust::roll,
                (e, v) -> new Exhaust(e.turbine(), e.outerDiameter(), e.catalyst(), e.catalystAt(), v == null ? 0 : v));
        Choice<Boolean> turbine = new Choice<>(session, "Begins at", "place.turbine", List.of(true, false),
                t -> t ? "turbine" : "manifold", () -> session.job().intake().exhaust().turbine(),
                t -> edit("begins at " + (t ? "turbine" : "manifold"),
                        e -> new Exhaust(t, e.outerDiameter(), e.catalyst(), e.catalystAt(), e.roll())));
        Choice<Exhaust.Catalyst> catalyst = new Choice<>(session, "Catalyst", "place.kind",
                List.of(Exhaust.Catalyst.values()), Exhaust.Catalyst::words,
                () -> session.job().intake().exhaust().catalyst(),
                c -> edit(c.words(), e -> new Exhaust(e.turbine(), e.outerDiameter(), c, e.catalystAt(), e.roll())));
        VBox drawing = Parts.noted("Run, from the side", run.note(), run);
        VBox pipe = Parts.card("Pipe", turbine, catalyst, Parts.evenly(diameter, catalystAt), roll);
        TextEntry note = new TextEntry(session, "What speaks for it", "place.note", "near, dry, a hole that is there…",
                1,
                j -> PlaceModel.looked(session).map(Candidate::note).orElse(""),
                (j, v) -> session.place().map(id -> j.withCandidate(id, c -> new Candidate(c.id(), v, c.distance(),
                        c.clock(), c.slope(), c.lean()))).orElse(j));
        one.getChildren().add(note);
        root = new VBox(12, drawing, new Columns(300, Parts.noted("Against the rules", rulesNote, rules),
                Parts.noted("Section looking back", face.note(), face), Parts.card("Places", letters, one), pipe));
        refreshers = List.of(distance::refresh, clock::refresh, slope::refresh, lean::refresh, diameter::refresh,
                catalystAt::refresh, roll::refresh, turbine::refresh, catalyst::refresh, note::refresh);
    }

    private EntryField candidate(String name, amberheron.core.units.Unit unit, double min, double max, String key,
            Function<Candidate, @Nullable Double> read, BiFunction<Candidate, @Nullable Double, Candidate> write) {
        return new EntryField(session, QuantityField.of(name, unit, min, max), 1,
                () -> PlaceModel.field(session, key), j -> PlaceModel.looked(session).map(read).orElse(null),
                (j, v) -> session.place()
                        .map(id -> j.withCandidate(id, c -> write.apply(c, v))).orElse(j));
    }

    private EntryField exhaust(String name, amberheron.core.units.Unit unit, double min, double max, String key,
            Function<Exhaust, @Nullable Double> read, BiFunction<Exhaust, @Nullable Double, Exhaust> write) {
        return new EntryField(session, QuantityField.of(name, unit, min, max), 1, () -> "place." + key,
                j -> read.apply(j.intake().exhaust()),
                (j, v) -> j.withIntake(j.intake().withExhaust(write.apply(j.intake().exhaust(), v))));
    }

    private void edit(String what, UnaryOperator<Exhaust> change) {
        session.edit(what, j -> j.withIntake(j.intake().withExhaust(change.apply(j.intake().exhaust()))));
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        Job job = session.job();
        letters.getChildren().setAll(job.candidates().stream().map(this::letter).toList());
        letters.getChildren().add(Parts.button("Add a place", "place.add", () -> model.add(session), "quiet"));
        session.place().ifPresent(id -> {
            Button take = Parts.button(id.equals(job.chosen()) ? id + " is taken" : "Take " + id, "place.take",
                    () -> model.take(session, id), "quiet");
            take.setDisable(id.equals(job.chosen()));
            letters.getChildren().addAll(take,
                    Parts.button("Remove " + id, "place.remove", () -> model.remove(session, id), "quiet"));
        });
        Parts.show(one, session.place().isPresent());
        rulesNote.setText(session.place().map(id -> id + (id.equals(job.chosen()) ? ", taken" : ", considered"))
                .orElse(""));
        rules.refresh(PlaceModel.findings(session), "Add a place to judge it.");
        run.refresh();
        face.refresh();
        refreshers.forEach(Runnable::run);
    }

    private ToggleButton letter(Candidate c) {
        ToggleButton button = new ToggleButton(c.id());
        button.setId("place.letter." + c.id());
        button.setSelected(session.place().filter(c.id()::equals).isPresent());
        button.setOnAction(e -> session.look(c.id()));
        return button;
    }
}
