package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.OpenJob;
import amberheron.app.session.Session;
import amberheron.core.mixture.Fuel;
import amberheron.core.units.UnitChoice;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The band at the top: which job, find or do, units, and whether everything is saved. */
final class JobBand extends HBox {
    private final Session session;
    private final Button job;
    private final Label vehicle = Parts.line("", "band-vehicle");
    private final Label saved = Parts.line("", "band-saved");
    private final ToggleButton lambda = unit("λ", "unit.lambda");
    private final ToggleButton afr = unit("AFR", "unit.afr");
    private final ToggleButton mm = unit("mm", "unit.mm");
    private final ToggleButton in = unit("in", "unit.in");
    private final ToggleButton celsius = unit("°C", "unit.c");
    private final ToggleButton fahrenheit = unit("°F", "unit.f");
    private final ToggleButton newton = unit("N·m", "unit.nm");
    private final ToggleButton pound = unit("lb·ft", "unit.lbft");

    JobBand(Session session, Runnable find) {
        this.session = session;
        job = Parts.button(say("Jobs"), "band.job", session.at()::showJobs, "band-job");
        job.setMinWidth(Region.USE_PREF_SIZE);
        job.setTooltip(new Tooltip(say("All jobs (Ctrl+J)")));
        vehicle.setMinWidth(60);
        HBox.setHgrow(vehicle, Priority.ALWAYS);
        vehicle.setMaxWidth(Double.MAX_VALUE);
        Button search = Parts.button(say("Find or do…"), "band.find", find, "band-find");
        Label key = new Label(say("Ctrl K"));
        key.getStyleClass().add("band-key");
        search.setGraphic(key);
        search.setContentDisplay(javafx.scene.control.ContentDisplay.RIGHT);
        search.setMinWidth(Region.USE_PREF_SIZE);
        saved.setMinWidth(Region.USE_PREF_SIZE);
        lambda.setOnAction(e -> choose(u().withAfr(false)));
        afr.setOnAction(e -> choose(u().withAfr(true)));
        mm.setOnAction(e -> choose(u().withInches(false)));
        in.setOnAction(e -> choose(u().withInches(true)));
        celsius.setOnAction(e -> choose(u().withFahrenheit(false)));
        fahrenheit.setOnAction(e -> choose(u().withFahrenheit(true)));
        newton.setOnAction(e -> choose(u().withPoundFeet(false)));
        pound.setOnAction(e -> choose(u().withPoundFeet(true)));
        getChildren().addAll(job, vehicle, saved, search, pair(lambda, afr), pair(mm, in), pair(celsius, fahrenheit),
                pair(newton, pound));
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("band");
    }

    private UnitChoice u() {
        return session.preferences().units();
    }

    private void choose(UnitChoice choice) {
        session.preferences().units(choice);
        refresh();
    }

    private static ToggleButton unit(String text, String id) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.getStyleClass().setAll("unit");
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private static HBox pair(ToggleButton a, ToggleButton b) {
        HBox pair = new HBox(a, b);
        pair.setAlignment(Pos.CENTER);
        return pair;
    }

    void refresh() {
        List<ToggleButton> first = List.of(lambda, mm, celsius, newton);
        List<ToggleButton> second = List.of(afr, in, fahrenheit, pound);
        List<Boolean> on = List.of(u().afr(), u().inches(), u().fahrenheit(), u().poundFeet());
        for (int i = 0; i < first.size(); i++) {
            first.get(i).setSelected(!on.get(i));
            second.get(i).setSelected(on.get(i));
        }
        boolean open = session.isOpen();
        job.setText(open ? session.job().id() : say("Jobs"));
        Fuel fuel = session.job().intake().fuel();
        Double litres = session.job().intake().displacement();
        String name = session.job().intake().vehicle();
        vehicle.setText(!open
                ? say("Amber Heron")
                : (name.isBlank() ? say("vehicle not entered") : name)
                        + (litres == null ? "" : say(" · %.2f L", 1000 * litres))
                        + (fuel == null ? "" : " · " + fuel.name()));
        OpenJob.Saving saving = session.openJob().saving();
        saved.setText(session.away()
                ? say("▲ out of reach")
                : !open
                        ? ""
                        : saving.failure() != null
                                ? say("▲ not saved")
                                : saving.busy() ? say("saving…") : say("saved"));
        saved.setTooltip(saving.failure() == null ? null : new Tooltip(saving.failure()));
    }
}
