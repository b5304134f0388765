package amberheron.app.freeair;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.CELSIUS;
import static amberheron.core.units.Unit.HECTOPASCAL;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.PERCENT;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.finding.Finding;
import amberheron.core.freeair.AirCheck;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.CostOfAir;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.PressureReading;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;

/** The air of the day, the controller that is to learn it, and what that costs later. */
final class TodayLeaf implements Leaf {
    private final Session session;
    private final AirFields fields;
    private final FindingsTable findings;
    private final Label oxygen = Parts.line("", "big-figure");
    private final Cells costs = new Cells(18, 4);
    private final Label usual = Parts.text("", "soft");
    private final Label go = Parts.text("", "strong");
    private final Label where = new Label();
    private final Label procedure = Parts.text("", "soft");
    private final Label does = Parts.text("", "soft");
    private final Choice<PressureReading> reading;
    private final Node node;

    TodayLeaf(Session session) {
        this.session = session;
        fields = new AirFields(session);
        findings = new FindingsTable(session);
        Choice<ControllerSheet> controller = Choice.list(say("This controller"), AirField.CONTROLLER.path(),
                choices(session), ControllerSheet::name, () -> session.job().air().controller(),
                c -> session.edit(c.name(), j -> j.withAir(j.air().withController(c))));
        fields.with(controller::refresh);
        reading = new Choice<>(say("That pressure was"), AirField.READING.path(), List.of(PressureReading.values()),
                PressureReading::words, () -> session.job().air().today().reading(),
                r -> session.edit(say("which pressure was read"),
                        j -> j.withAir(j.air().withToday(j.air().today().withReading(r)))));
        fields.with(reading::refresh);
        node = new Columns(300,
                Parts.card(say("The air today"),
                        Parts.evenly(
                                fields.air(say("Temperature"), CELSIUS, -30, 55, 1, AirField.TEMPERATURE,
                                        AirOfDay::temperature, AirOfDay::withTemperature),
                                fields.air(say("Humidity"), PERCENT, 0, 100, 0, AirField.HUMIDITY, AirOfDay::humidity,
                                        AirOfDay::withHumidity),
                                fields.air(say("Height"), METRE, -430, 5500, 0, AirField.HEIGHT, AirOfDay::height,
                                        AirOfDay::withHeight)),
                        Parts.evenly(
                                fields.air(say("Pressure, if read"), HECTOPASCAL, 450, 1100, 0, AirField.PRESSURE,
                                        AirOfDay::pressure, AirOfDay::withPressure),
                                fields.air(say("Driven at height, if not here"), METRE, -430, 5500, 0, AirField.DRIVEN,
                                        AirOfDay::drivenHeight, AirOfDay::withDrivenHeight)),
                        reading),
                Parts.card(say("What this controller does"), controller, procedure, does),
                Parts.card(say("Wait or go"), go, findings),
                Parts.noted(say("Oxygen in this air"), where, oxygen, costs, usual));
    }

    /** The catalogue's, and the one that came with the job where that is another. */
    private static List<ControllerSheet> choices(Session session) {
        List<ControllerSheet> all = new ArrayList<>(session.catalogue().controllers());
        Optional.ofNullable(session.isOpen() ? session.job().air().controller() : null)
                .filter(c -> !all.contains(c)).ifPresent(all::add);
        return all;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        List<Finding> found = AirModel.findings(session, LeafId.AIR_TODAY);
        findings.refresh(found, "");
        go.setText(found.stream().filter(f -> f.check().is(AirCheck.AIR))
                .findFirst().map(f -> Figures.text(session, f.consequence())).orElse(""));
        FreeAirCheck check = session.job().air();
        ControllerSheet controller = check.controller();
        procedure.setText(controller == null ? say("Choose it as its manual says.") : controller.school().procedure());
        does.setText(controller == null ? "" : does(controller));
        Parts.show(does, controller != null);
        AirOfDay today = check.today();
        Parts.show(reading, today.contradicts() || (today.pressure() != null && today.reading() != null));
        oxygen.setText(today.air().map(a -> AirModel.oxygen(session, a)).orElse("—"));
        where.setText(
                today.drivenHeight() == null ? say("what it costs here") : say("what it costs where it is driven"));
        costs.write(() -> costs(check));
        fields.refresh();
    }

    private String does(ControllerSheet controller) {
        InAir inAir = controller.inAir();
        Double value = inAir.value();
        String shows = value == null
                ? inAir.kind().words()
                : Figures.text(session, inAir.oxygen()
                        ? new Measure(value, Dimension.FRACTION, 2)
                        : new Measure(value, Dimension.MIXTURE, 2)) + ", " + inAir.kind().words();
        Double placeholder = controller.placeholder();
        return say("In air it shows %s. Ready within %s%s", shows,
                Figures.text(session, new Measure(controller.warmUp(), Dimension.DURATION, 0)), placeholder == null
                        ? "."
                        : say("; until then %s, a placeholder.", Figures.mixture(session, placeholder)));
    }

    private void costs(FreeAirCheck check) {
        Optional<CostOfAir> known = CostOfAir.of(check);
        if (known.isEmpty()) {
            costs.line(0, 0, say("Enter the air to see what it costs."), "soft");
            return;
        }
        CostOfAir cost = known.get();
        CostOfAir another = CostOfAir.onAnotherDay(check).orElse(cost);
        costs.line(0, 0, say("true"), "column-head");
        costs.line(1, 0, say("shown later"), "column-head");
        costs.line(2, 0, say("free-air error"), "column-head");
        costs.line(3, 0, say("another day"), "column-head");
        for (int i = 0; i < CostOfAir.QUOTED.size(); i++) {
            double lambda = CostOfAir.QUOTED.get(i);
            costs.line(0, i + 1, Figures.mixture(session, lambda), "figure");
            costs.line(1, i + 1, Figures.mixture(session, cost.shown(lambda)), "figure");
            costs.line(2, i + 1, Figures.difference(session, cost.at(lambda)), "figure");
            costs.line(3, i + 1, Figures.difference(session, another.at(lambda)), "soft");
        }
        usual.setText(say("Another day: error when calibrated in air of %s, %s.",
                Figures.text(session, new Measure(CostOfAir.USUAL_TEMPERATURE, Dimension.TEMPERATURE, 0)),
                Figures.text(session, new Measure(CostOfAir.USUAL_HUMIDITY, Dimension.FRACTION, 0))));
    }
}
