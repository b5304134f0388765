package amberheron.app.plan;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.DateEntry;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Refreshed;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.job.Waiting;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Intake.Question;
import amberheron.core.units.QuantityField;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** The state of the exhaust, the booking, and what follows from the intake. */
final class ExhaustLeaf implements Leaf {
    private static final String LOOK_FOR = "Cold start: ticking that fades as it warms. Soot at gaskets, flex, slip joints, welds. "
            + "Soapy water or smoke with a little pressure. Rust that a screwdriver goes through.";

    private final Session session;
    private final PlanModel model;
    private final List<Refreshed> shown = new ArrayList<>();
    private final EntryField leak;
    private final VBox follows = new VBox(4);
    private final VBox leaks = new VBox(2);
    private final Node node;

    ExhaustLeaf(Session session, PlanModel model) {
        this.session = session;
        this.model = model;
        leak = new EntryField(session, QuantityField.of(say("The leak amounts to a hole of"), MILLIMETRE, 0.2, 40), 1,
                Question.LEAK::address, j -> j.intake().leak(), (j, v) -> j.withIntake(j.intake().withLeak(v)));
        shown.add(leak);
        node = new Columns(300, Parts.card(say("The exhaust first"), condition()),
                Parts.stacked(Parts.card(say("Booking"), booking()),
                        Parts.card(say("Follows from the intake"), follows)));
    }

    private Node[] condition() {
        Choice<Intake.Condition> state = add(
                new Choice<>(say("State of the exhaust"), Question.CONDITION.address().key(),
                        List.of(Intake.Condition.SOUND, Intake.Condition.LEAKS, Intake.Condition.ROTTEN),
                        Intake.Condition::words, () -> session.job().intake().condition(),
                        v -> PlanModel.intake(session, say("State of the exhaust: %s", v.words()),
                                i -> i.withCondition(v))));
        Choice<Optional<Kind>> catalyst = add(new Choice<>(say("Catalyst"), "plan.catalyst",
                List.of(Optional.empty(), Optional.of(Kind.CATALYST), Optional.of(Kind.STRAIGHT_THROUGH)),
                ExhaustLeaf::words,
                () -> session.job().intake().exhaust().segments().isEmpty()
                        ? null
                        : session.job().intake().exhaust().catalyst(),
                k -> PlanModel.intake(session, say("Catalyst: %s", words(k)),
                        i -> i.withExhaust(i.exhaust().withCatalyst(k.orElse(null))))));
        return new Node[]{state, leak, Parts.text(word(LOOK_FOR), "soft"), leaks, catalyst};
    }

    private Node[] booking() {
        TextEntry bay = add(
                new TextEntry(session, say("Bay"), "plan.bay", say("such as 2, lift"), 1, j -> j.progress().bay(),
                        (j, v) -> j.withProgress(j.progress().withBay(v))));
        DateEntry day = add(new DateEntry(session, say("Day"), "plan.day", j -> j.progress().day(),
                (j, v) -> j.withProgress(j.progress().withDay(v))));
        List<Optional<Waiting>> holds = List.of(Optional.empty(), Optional.of(Waiting.CUSTOMER),
                Optional.of(Waiting.PARTS), Optional.of(Waiting.WELDER));
        Choice<Optional<Waiting>> hold = add(Choice.list(say("On hold for"), "plan.hold", holds,
                h -> h.map(Waiting::words).orElse(say("nothing")),
                () -> Optional.ofNullable(session.job().progress().hold()),
                h -> session.edit(say("on hold for %s", h.map(Waiting::words).orElse(say("nothing"))),
                        j -> j.withProgress(j.progress().withHold(h.orElse(null))))));
        return new Node[]{Parts.evenly(bay, hold), day};
    }

    private <T extends Refreshed> T add(T part) {
        shown.add(part);
        return part;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Intake intake = session.job().intake();
        shown.forEach(Refreshed::refresh);
        Parts.show(leak, intake.asks(Question.LEAK));
        Parts.fill(follows, List.of(intake.follows(), session.preferences().units()), () -> intake.follows().isEmpty()
                ? List.of(Parts.text(say("Nothing yet."), "soft"))
                : intake.follows().stream().map(t -> Parts.text("· " + Figures.text(session, t))).toList());
        Parts.fill(leaks, model.leaks(session), () -> model.leaks(session).stream()
                .map(l -> Parts
                        .text(say("A hole of %s draws in %s of air at idle: λ 1 reads %s.", l.hole(), l.air(),
                                l.shown()), "soft"))
                .toList());
    }

    private static String words(Optional<Kind> catalyst) {
        return catalyst.map(k -> k == Kind.CATALYST ? say("catalyst") : say("straight-through")).orElse(say("none"));
    }
}
