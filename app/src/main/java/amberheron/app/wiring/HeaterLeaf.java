package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Unit.SECOND;

import amberheron.app.parts.Columns;
import amberheron.app.parts.EntryField;
import amberheron.app.parts.FindingsTable;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.Pressable;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.placement.Estimate;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.HeaterTiming.HeaterSchool;
import amberheron.core.wiring.WireField;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** When the heater gets its power: what each way risks at this place, and how it is wired. */
final class HeaterLeaf implements Leaf {
    private final Session session;
    private final WireFields fields;
    private final VBox compared = new VBox();
    private final Label dry = Parts.text("", "soft");
    private final FindingsTable findings;
    private final EntryField delay;
    private final VBox steps = new VBox(6);
    private final Label title = new Label();
    private final Label caution = Parts.text("", "caution-text");
    private final Node node;

    HeaterLeaf(Session session) {
        this.session = session;
        fields = new WireFields(session);
        findings = new FindingsTable(session);
        delay = fields.quantity(say("Heater on after the start, 30 s if blank"), SECOND, 1, 300, 0,
                WireField.HEATER_DELAY::address, w -> w.heater().delay(),
                (w, v) -> w.withHeater(w.heater().withDelay(v)));
        compared.setId(WireField.HEATER.path());
        node = new Columns(300,
                Parts.noted(say("Hot while the pipe is wet"), new Label(say("press one to take it")), compared, dry,
                        findings),
                Parts.noted(say("Wiring and parts"), title, delay, steps,
                        caution));
    }

    private Node row(HeaterSchool school, Optional<Estimate> wet) {
        HeaterTiming timing = session.job().wiring().heater();
        boolean taken = timing.school() == school;
        Optional<Estimate> risk = wet.map(d -> timing.atRisk(school, d));
        Label words = Parts.text(school.words(), taken ? "strong" : "plain");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        boolean none = risk.filter(r -> r.high() <= 0).isPresent();
        String figure = risk
                .map(r -> none
                        ? say("none")
                        : Figures.text(session, new Measure(r.middle(), Dimension.DURATION, 0, r.spread())))
                .orElse(say("place not known"));
        Label seconds = Parts.line(figure, "figure", risk.isEmpty() ? "soft" : none ? "agreed" : "wrong");
        seconds.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new HBox(8, Parts.line(risk.isEmpty() ? "○" : none ? "✓" : "▲", "plain"), words, seconds);
        Label second = Parts.text(
                say("needs %s%s",
                        school.parts().isEmpty()
                                ? say("nothing more")
                                : school.parts().stream().map(Phrase::word).collect(Collectors.joining(", ")),
                        taken ? say(" · taken") : ""),
                "soft");
        Pressable press = new Pressable("wire.heater." + school, school.words() + ": " + figure,
                () -> fields.edit(school.words(), w -> w.withHeater(w.heater().withSchool(school))), first, second);
        press.getStyleClass().add("finding-row");
        return press;
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Optional<Estimate> wet = session.job().dry(session.preferences().shop().schools());
        Parts.fill(compared, List.of(session.job().wiring().heater(), wet),
                () -> Arrays.stream(HeaterSchool.values()).map(s -> row(s, wet)).toList());
        caution.setText(say("Never key-on, engine off, on a cold day: water on the hot ceramic cracks it. %s",
                Figures.text(session, session.job().wiring().heater().unpowered())));
        dry.setText(wet
                .map(d -> say(
                        "At the place taken the wall is past the exhaust's dew point %.0f to %.0f s after a cold start: an estimate, its constants from memory.",
                        d.low(), d.high()))
                .orElse(say("Take a place at Place and enter displacement and pipe: how long it stays wet "
                        + "there decides.")));
        findings.refresh(WireModel.findings(session, LeafId.WIRE_HEATER), "");
        HeaterTiming timing = session.job().wiring().heater();
        HeaterSchool school = timing.school();
        Parts.show(delay, school != null && school.delayed());
        title.setText(school == null ? "" : school.words());
        steps.getChildren().setAll(school == null
                ? java.util.List.of(Parts.text(say("Take a way at the left."), "soft"))
                : IntStream.range(0, school.steps().size())
                        .mapToObj(i -> Parts.text((i + 1) + "  " + school.steps().get(i))).toList());
        fields.refresh();
    }
}
