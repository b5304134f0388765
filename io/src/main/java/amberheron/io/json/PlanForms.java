package amberheron.io.json;

import static amberheron.io.json.CommonForms.catalogueId;
import static amberheron.io.json.CommonForms.catalogueName;
import static amberheron.io.json.CommonForms.source;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOr;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.choices;
import static amberheron.io.json.Value.date;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.integer;
import static amberheron.io.json.Value.integerOrNull;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOrEmpty;
import static amberheron.io.json.Value.textSet;
import static amberheron.io.json.Value.texts;

import amberheron.core.job.Progress;
import amberheron.core.job.Waiting;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.FuelKind;
import amberheron.core.placement.PlaceField;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.IntakeField;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;

/** Answers given when the vehicle came in, and how far the work is. */
final class PlanForms {
    private static final RecordForm<Composition> COMPOSITION = RecordForm.of(Composition::new,
            number("hydrogen", Composition::hydrogen).within(0, 4), number("oxygen", Composition::oxygen).within(0, 2));

    /** A fuel; what it is made of is petrol's where that is not said. */
    static final RecordForm<Fuel> FUEL = RecordForm.of(Fuel::new, catalogueId(Fuel::id),
            catalogueName(Fuel::name).needed(),
            number("stoich", Fuel::stoich).within(Sane.STOICH).about("air-fuel ratio by mass at lambda 1"),
            source(Fuel::source),
            objectOr("perCarbon", Fuel::composition, COMPOSITION, Composition.PETROL)
                    .about("atoms for each of carbon; petrol's where it is not said"),
            choiceOr("kind", Fuel::kind, FuelKind.values(), PlanForms::known)
                    .about("what it means for judging an engine; petrol's where it is not said"));

    private static final RecordForm<Engine> ENGINE = RecordForm.of(Engine::new,
            choiceOrNull("fuelSystem", Engine::fuelSystem, Engine.FuelSystem.values())
                    .called(IntakeField.FUEL_SYSTEM),
            choiceOrNull("aspiration", Engine::aspiration, Engine.Aspiration.values())
                    .called(PlaceField.ASPIRATION),
            choiceOrNull("cycle", Engine::cycle, Engine.Cycle.values()).called(IntakeField.CYCLE),
            choiceOrNull("supply", Engine::supply, Engine.Supply.values()).about("what the electrics give")
                    .called(IntakeField.SUPPLY));

    static final RecordForm<Intake> INTAKE = RecordForm.of(Intake::new,
            text("vehicle", Intake::vehicle).called(IntakeField.VEHICLE),
            numberOrNull("displacement", Intake::displacement).within(Sane.DISPLACEMENT).about("m³")
                    .called(PlaceField.DISPLACEMENT, Dimension.VOLUME),
            integerOrNull("cylinders", Intake::cylinders).within(Sane.CYLINDERS).called(IntakeField.CYLINDERS),
            integer("banks", Intake::banks).within(1, 2).called(IntakeField.BANKS),
            ENGINE.inlined(Intake::engine),
            objectOrNull("fuel", Intake::fuel, FUEL), object("exhaust", Intake::exhaust, PlaceForms.EXHAUST),
            choiceOrNull("material", Intake::material, Intake.Material.values()).called(IntakeField.MATERIAL),
            choice("condition", Intake::condition, Intake.Condition.values()).called(IntakeField.CONDITION),
            numberOrNull("leak", Intake::leak).within(Sane.BORE).about("m, diameter of the hole the leak amounts to")
                    .called(IntakeField.LEAK, Dimension.LENGTH),
            choice("fit", Intake::fit, Intake.Fit.values()).called(IntakeField.FIT),
            choices("readers", Intake::readers, Intake.ReaderKind.values()).called(IntakeField.READERS),
            choiceOrNull("link", Intake::link, Intake.Link.values()).called(IntakeField.LINK),
            flag("permanent", Intake::permanent).called(IntakeField.STAYS),
            flag("fixedHarness", Intake::fixedHarness).called(IntakeField.HARNESS));

    static final RecordForm<Progress> PROGRESS = RecordForm.of(Progress::new,
            textSet("done", Progress::done).about("ids of the steps ticked").called("a step that is done"),
            texts("order", Progress::order)
                    .about("ids of the steps as the shop prefers them; empty for the usual order"),
            textSet("inHand", Progress::inHand).about("names of parts and tools that lie ready")
                    .called("what is at hand"),
            textOrEmpty("bay", Progress::bay).called("bay"), date("day", Progress::day).about("date").called("day"),
            choiceOrNull("hold", Progress::hold, Waiting.values()).called("what it waits on"));

    private PlanForms() {
    }

    /** Kind of a fuel in a document from before it was said: those of our own catalogue are known by their id. */
    private static FuelKind known(Cursor at) {
        String id = at.textOrNull("id");
        return switch (id == null ? "" : id) {
            case "diesel" -> FuelKind.DIESEL;
            case "methanol" -> FuelKind.METHANOL;
            case "propane", "methane" -> FuelKind.GAS;
            default -> FuelKind.PETROL;
        };
    }
}
