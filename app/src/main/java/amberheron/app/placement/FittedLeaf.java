package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.DEGREE;
import static amberheron.core.units.Unit.MILLIMETRE;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.DateEntry;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.PhotoCard;
import amberheron.app.session.Session;
import amberheron.core.finding.CheckId;
import amberheron.core.job.Job;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceCheck;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.RoomRules;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import org.jspecify.annotations.Nullable;

/** Record of the fit: where the sensor ended up, the tilt read, photos, and how far from plan that is. */
final class FittedLeaf implements Leaf {
    private static final Set<CheckId> DEVIATIONS = Set.of(PlaceCheck.TILT, PlaceCheck.MOVED, PlaceCheck.TURNED,
            PlaceCheck.TIGHT);

    private final Session session;
    private final FindingsTable deviation;
    private final Label turned = Parts.text("", "soft");
    private final PhotoCard photos;
    private final List<Runnable> refreshers;
    private final Node node;

    FittedLeaf(Session session) {
        this.session = session;
        deviation = new FindingsTable(session);
        EntryField distance = field(say("Distance along the pipe"), MILLIMETRE, -2000, 10_000,
                PlaceField.FITTED_DISTANCE,
                AsFitted::distance, (f, v) -> {
                    if (v != null) {
                        session.job().chosenPlace()
                                .ifPresent(c -> PlaceModel.exhaust(session).run(c.line()).require(v));
                    }
                    return f.withDistance(v);
                });
        EntryField reading = field(say("Tilt read on the body"), DEGREE, -90, 90, PlaceField.FITTED_READING,
                AsFitted::reading,
                AsFitted::withReading);
        EntryField along = field(say("Car then, nose up"), DEGREE, -40, 40, PlaceField.FITTED_ALONG, AsFitted::along,
                (f, v) -> f.withAlong(v == null ? 0 : v));
        EntryField across = field(say("Car, right side up"), DEGREE, -40, 40, PlaceField.FITTED_ACROSS,
                AsFitted::across,
                (f, v) -> f.withAcross(v == null ? 0 : v));
        Choice<Boolean> tight = new Choice<>(say("Airtight test"), "place.fitted.tight", List.of(true, false),
                t -> t ? say("no bubbles") : say("leaks"), () -> session.job().placing().fitted().airtight(),
                t -> PlaceModel.fitted(session, t ? say("airtight") : say("leaks"), f -> f.withAirtight(t)));
        DateEntry date = new DateEntry(session, say("Fitted on"), "place.fitted.date", j -> j.placing().fitted().date(),
                (j, v) -> j.withPlacing(j.placing().withFitted(j.placing().fitted().withDate(v))));
        photos = new PhotoCard(session, "place.photo", PlaceModel::photos, PlaceModel::withPhotos);
        refreshers = List.of(distance::refresh, reading::refresh, along::refresh, across::refresh, tight::refresh,
                date::refresh, photos::refresh);
        node = new Columns(300, Parts.card(say("Against the plan"), deviation, turned),
                Parts.card(say("As fitted"), Parts.evenly(distance, reading),
                        Parts.text(say("How the car stood when the tilt was read, a level laid along and across it:"),
                                "soft"),
                        Parts.evenly(along, across), Parts.evenly(tight, date)),
                photos);
    }

    private EntryField field(String name, Unit unit, double min, double max, PlaceField property,
            Function<AsFitted, @Nullable Double> read, BiFunction<AsFitted, @Nullable Double, AsFitted> write) {
        return new EntryField(session, QuantityField.of(name, unit, min, max), 1, property::address,
                j -> read.apply(j.placing().fitted()), (j, v) -> {
                    Job with = j.withPlacing(j.placing().withFitted(write.apply(j.placing().fitted(), v)));
                    with.chosenPlace().flatMap(c -> with.placing().fitted().place(with.intake().exhaust(), c))
                            .ifPresent(
                                    c -> RoomRules.requireRoom(with.site(session.preferences().shop().schools()), c));
                    return with;
                });
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        refreshers.forEach(Runnable::run);
        AsFitted fitted = session.job().placing().fitted();
        deviation.refresh(session.review().findings(amberheron.core.job.Station.PLACE).stream()
                .filter(f -> fitted.begun() && DEVIATIONS.contains(f.check().id())).toList(),
                session.job().chosenPlace().isEmpty()
                        ? say("Take a place first.")
                        : say("Once it is fitted: measure where it is, lay a level on body and car."));
        Optional<Candidate> made = session.job().chosenPlace()
                .flatMap(c -> fitted.place(PlaceModel.exhaust(session), c));
        turned.setText(made.isPresent() && fitted.reading() != null
                ? say("That tilt on the car as it stood is %s; on its wheels the body is %s.",
                        PlaceModel.where(session, made.get()),
                        PlaceModel.tilt(session,
                                PlaceRules.tiltOf(PlaceModel.site(session), made.get()).orElseThrow()))
                : "");
    }
}
