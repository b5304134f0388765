package amberheron.app.freeair;

import amberheron.app.parts.TextEntry;
import amberheron.app.parts.Cells;
import amberheron.core.freeair.AirField;
import static amberheron.core.units.Unit.CELSIUS;
import static amberheron.core.units.Unit.LAMBDA;
import static amberheron.core.units.Unit.METRE;
import static amberheron.core.units.Unit.PERCENT;
import static amberheron.core.units.Unit.SECOND;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.session.Figures;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import amberheron.app.parts.StationView;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.FreeAirCheck.School;
import amberheron.core.job.Station;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The air of the day, what the controller showed in it, and what it costs. */
public final class AirView implements StationView {
    private final Session session;
    private final FindingsTable findings;
    private final Label stale = new Label();
    private final List<Runnable> refreshers = new ArrayList<>();
    private final Label oxygen = Parts.line("", "big-figure");
    private final Cells costs = new Cells(18, 4);
    private final Label procedure = Parts.text("", "soft");
    private final Label date = new Label();
    private final Parent root;

    /** The view on a session. */
    public AirView(Session session) {
        this.session = session;
        findings = new FindingsTable(session);
        EntryField temperature = field("Temperature", CELSIUS, -30, 55, 1, AirField.TEMPERATURE,
                FreeAirCheck::temperature, FreeAirCheck::withTemperature);
        EntryField humidity = field("Humidity", PERCENT, 0, 100, 0, AirField.HUMIDITY, FreeAirCheck::humidity,
                FreeAirCheck::withHumidity);
        EntryField height = field("Height", METRE, -430, 5500, 0, AirField.HEIGHT, FreeAirCheck::height,
                FreeAirCheck::withHeight);
        EntryField shown = field("It shows", PERCENT, 0, 30, 2, AirField.SHOWN, FreeAirCheck::shownOxygen,
                (c, v) -> c.withShownOxygen(v, day(c, v)));
        EntryField mixture = field("or as a mixture", LAMBDA, 0.3, 20, 3, AirField.MIXTURE,
                FreeAirCheck::shownLambda,
                (c, v) -> c.withShownLambda(v, day(c, v)));
        EntryField settled = field("Steady for", SECOND, 0, 3600, 0, AirField.SETTLED, FreeAirCheck::settled,
                FreeAirCheck::withSettled);
        Choice<School> school = Choice.list(session, "This controller is", "air.school", List.of(School.values()),
                School::words, () -> session.job().air().school(),
                s -> session.edit(s.words(), j -> j.withAir(j.air().withSchool(s))));
        refreshers.add(school::refresh);
        TextEntry sensor = new TextEntry(session, "Sensor", AirField.SENSOR.address().key(), "number or mark on it", 1,
                j -> j.air().sensor(), (j, v) -> j.withAir(j.air().withSensor(v)));
        refreshers.add(sensor::refresh);
        VBox today = Parts.card("Oxygen in this air", oxygen, costs);
        root = new Columns(300, Parts.card("The air today", Parts.evenly(temperature, humidity, height)),
                Parts.noted("What the controller shows", date, school, procedure,
                        Parts.evenly(shown, mixture, settled)),
                today, Parts.noted("Against the rules", stale, findings), Parts.card("The sensor checked", sensor));
    }

    /** The day of the reading: today for a new one, none when it is taken back. */
    private @Nullable LocalDate day(FreeAirCheck check, @Nullable Double reading) {
        return reading == null ? check.date() : session.today();
    }

    private EntryField field(String name, Unit unit, double min, double max, int decimals, AirField property,
            Function<FreeAirCheck, @Nullable Double> read,
            BiFunction<FreeAirCheck, @Nullable Double, FreeAirCheck> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), decimals,
                property::address, j -> read.apply(j.air()), (j, v) -> j.withAir(write.apply(j.air(), v)));
        refreshers.add(field::refresh);
        return field;
    }

    @Override
    public Parent node() {
        return root;
    }

    @Override
    public void refresh() {
        FreeAirCheck check = session.job().air();
        findings.refresh(session.review().findings(Station.AIR), "");
        procedure.setText(check.school().procedure());
        LocalDate day = check.date();
        date.setText(day == null ? "no reading yet" : "read " + day);
        stale.setText(Figures.stale(session, Station.AIR));
        Air air = check.air();
        oxygen.setText(air == null ? "—" : AirModel.oxygen(session, air));
        costs.write(() -> costs(air));
        refreshers.forEach(Runnable::run);
    }

    private void costs(@Nullable Air air) {
        if (air == null) {
            costs.line(0, 0, "Enter the air to see what it costs.", "soft");
            return;
        }
        costs.line(0, 0, "true", "column-head");
        costs.line(1, 0, "shown later", "column-head");
        costs.line(2, 0, "off by", "column-head");
        for (int i = 0; i < AirModel.SHOWN_AT.size(); i++) {
            double lambda = AirModel.SHOWN_AT.get(i);
            double shown = air.shownAfterCalibration(lambda);
            costs.line(0, i + 1, Figures.mixture(session, lambda), "figure");
            costs.line(1, i + 1, Figures.mixture(session, shown), "figure");
            costs.line(2, i + 1, Figures.difference(session, shown - lambda), "figure");
        }
    }
}
