package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.CELSIUS;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.core.job.Shop;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Line;
import amberheron.core.placement.TiltSchool;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The rules, the clock face, the candidates, the search and the shop's schools. */
final class ChooseLeaf implements Leaf {
    private static final double SECTION = 216;

    private final Session session;
    private final PlaceModel model;
    private final ClockFace face;
    private final FindingsTable rules;
    private final Label rulesNote = new Label();
    private final FlowPane letters = new FlowPane(6, 6);
    private final Label searched = Parts.text("");
    private final VBox one;
    private final Choice<Line> line;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final Button take;
    private final VBox remark;
    private final VBox section;
    private final VBox schools;
    private final Columns node;

    ChooseLeaf(Session session, PlaceModel model, Runnable moved) {
        this.session = session;
        this.model = model;
        face = new ClockFace(session, model, moved);
        rules = new FindingsTable(session);
        EntryField distance = candidate(say("Along the pipe"), MILLIMETRE, -2000, 10_000, PlaceField.DISTANCE,
                Candidate::distance, (c, v) -> {
                    if (v != null) {
                        PlaceModel.exhaust(session).run(c.line()).require(v);
                    }
                    return c.withDistance(v);
                });
        EntryField clock = candidate(say("Clock"), DEGREE, -180, 180, PlaceField.CLOCK, Candidate::clock,
                Candidate::withClock).onClockFace();
        EntryField slope = candidate(say("Slope there"), DEGREE, -90, 90, PlaceField.SLOPE, Candidate::slope,
                Candidate::withSlope);
        EntryField lean = candidate(say("Leans along it"), DEGREE, -60, 60, PlaceField.LEAN, Candidate::lean,
                (c, v) -> c.withLean(v == null ? 0 : v));
        line = Choice.list(say("On the pipes of"), "place.line", List.of(Line.FIRST, Line.SECOND), Line::words,
                () -> PlaceModel.entered(session).map(Candidate::line).orElse(null),
                l -> edit(say("on the %s", l.words()), c -> c.withLine(l)));
        Choice<Candidate.Hole> hole = Choice.list(say("Hole"), "place.hole", List.of(Candidate.Hole.values()),
                Candidate.Hole::words, () -> PlaceModel.entered(session).map(Candidate::hole).orElse(null),
                h -> edit(h.words(), c -> c.withHole(h)));
        TextEntry note = new TextEntry(session, say("What speaks for it"), "place.note",
                say("near, dry, easy to reach…"), 1,
                j -> PlaceModel.entered(session).map(Candidate::note).orElse(""),
                (j, v) -> session.at().place()
                        .map(id -> j.withPlacing(j.placing().withCandidate(id, c -> c.withNote(v)))).orElse(j));
        EntryField gas = candidate(say("Gas there"), CELSIUS, 0, 1400, PlaceField.GAS, Candidate::gas,
                Candidate::withGas);
        one = new VBox(8, Parts.evenly(distance, clock, slope, lean), Parts.evenly(hole, gas, line));
        refreshers.addAll(List.of(line::refresh, hole::refresh, note::refresh));
        take = Parts.button(say("Take up what it found"), "place.search", () -> model.addBest(session), "quiet");
        section = Parts.noted(say("From behind"), face.note(), face);
        section.setPrefWidth(SECTION);
        section.setMinWidth(SECTION);
        schools = Parts.noted(say("How this shop does it"), new Label(say("for every job")), schoolChoices());
        VBox place = Parts.bare(letters, one);
        remark = Parts.bare(note);
        node = new Columns(300, Parts.stacked(place, Parts.card(say("Search of the whole run"), searched, take)),
                Parts.stacked(Parts.noted(say("Against the rules"), rulesNote, rules), remark));
    }

    /** The clock face, for whoever has room for it. */
    VBox section() {
        return section;
    }

    /** Habits of the shop, for every job. */
    Node schools() {
        return schools;
    }

    private VBox schoolChoices() {
        return new VBox(8, school(say("Tilt"), "place.school.tilt", TiltSchool.values(), TiltSchool::words,
                PlaceSchools::tilt, PlaceSchools::withTilt),
                school(say("Catalyst"), "place.school.catalyst", CatalystSchool.values(), CatalystSchool::words,
                        PlaceSchools::catalyst, PlaceSchools::withCatalyst),
                school(say("Bank"), "place.school.bank", BankSchool.values(), BankSchool::words, PlaceSchools::bank,
                        PlaceSchools::withBank));
    }

    private <S> Choice<S> school(String name, String key, S[] all, Function<S, String> words,
            Function<PlaceSchools, S> read, BiFunction<PlaceSchools, S, PlaceSchools> write) {
        Choice<S> choice = new Choice<>(name, key, List.of(all), words,
                () -> read.apply(session.preferences().shop().schools()), s -> {
                    Shop shop = session.preferences().shop();
                    session.preferences().shop(shop.withSchools(write.apply(shop.schools(), s)));
                });
        refreshers.add(choice::refresh);
        return choice;
    }

    private EntryField candidate(String name, Unit unit, double min, double max, PlaceField property,
            Function<Candidate, @Nullable Double> read, BiFunction<Candidate, @Nullable Double, Candidate> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), 1,
                () -> property.of(session.at().place().orElse("")),
                j -> PlaceModel.entered(session).map(read).orElse(null),
                (j, v) -> session.at().place().map(
                        id -> j.withPlacing(j.placing().withCandidate(id, c -> write.apply(c, v)))).orElse(j));
        refreshers.add(field::refresh);
        return field;
    }

    private void edit(String what, UnaryOperator<Candidate> change) {
        PlaceModel.entered(session).ifPresent(place -> session.edit(say("place %s %s", place.letter(), what),
                j -> j.withPlacing(j.placing().withCandidate(place.id(), change))));
    }

    @Override
    public Columns node() {
        return node;
    }

    /** Shows what depends on where the hand has the candidate. */
    void judge() {
        Job job = session.job();
        rulesNote.setText(model.looked(session).map(c -> c.letter()
                + (c.id().equals(job.placing().chosen())
                        ? job.placing().fitted().begun() ? say(", as fitted") : say(", taken")
                        : say(", considered")))
                .orElse(""));
        rules.refresh(model.findings(session), say("Add a place to judge it."));
        face.show();
    }

    @Override
    public void refresh() {
        Job job = session.job();
        Parts.fill(letters,
                List.of(job.candidates().stream().map(c -> c.id() + c.letter()).toList(), session.at().place(),
                        Optional.ofNullable(job.placing().chosen())),
                () -> letters(job));
        Parts.show(one, session.at().place().isPresent());
        Parts.show(remark, session.at().place().isPresent());
        Parts.show(line, PlaceModel.exhaust(session).lines().size() > 1);
        searched.setText(PlaceModel.searched(session));
        // A button that could not act is not offered.
        Parts.show(take, PlaceModel.best(session).isPresent());
        refreshers.forEach(Runnable::run);
        judge();
    }

    private List<Node> letters(Job job) {
        List<Node> nodes = new ArrayList<>(job.candidates().stream().map(this::letter).toList());
        nodes.add(Parts.button(say("Add a place"), "place.add", () -> model.add(session), "quiet"));
        PlaceModel.entered(session).ifPresent(c -> {
            if (!c.id().equals(job.placing().chosen())) {
                nodes.add(
                        Parts.button(say("Take %s", c.letter()), "place.take", () -> model.take(session, c), "quiet"));
            }
            nodes.add(Parts.button(say("Remove %s", c.letter()), "place.remove", () -> model.remove(session, c),
                    "quiet"));
        });
        return nodes;
    }

    private ToggleButton letter(Candidate c) {
        return Parts.looked(c.letter(), "place.letter." + c.letter(),
                session.at().place().filter(c.id()::equals).isPresent(),
                () -> session.at().look(c.id()));
    }
}
