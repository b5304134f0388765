package amberheron.app.freeair;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Cells;
import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.parts.TextEntry;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.freeair.SensorOutlook;
import amberheron.core.job.Changes;
import amberheron.core.job.Job;
import amberheron.core.job.RestsOn;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.io.csv.SensorCsv;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** The life of the sensor that is checked: what was noted of it, and when it is due. */
final class SensorLeaf implements Leaf {
    /** Number of the latest notes that are shown; all of them count. */
    private static final int SHOWN = 6;

    private final Session session;
    private final AirFields fields;
    private final Cells notes = new Cells(14, 2);
    private final ComboBox<Kind> kind = new ComboBox<>();
    private final TextField value = new TextField();
    private final Label refused = Parts.text("", "wrong");
    private final Cells outlook = new Cells(18, 4);
    private final Label shortened = Parts.text("", "soft");
    private final LifeDrawing drawing;
    private final Button add;
    private final Button forget;
    private final Label renewed = Parts.text("", "strong");
    private final Button renew;
    private final Label first = Parts.text(
            say("Is it the sensor that was calibrated and driven here before it had a number?"), "strong");
    private final FlowPane which;
    /** The job in which a first number was entered after something was read, until it is said which sensor it is. */
    private String asked = "";
    private final Node node;

    SensorLeaf(Session session) {
        this.session = session;
        fields = new AirFields(session);
        drawing = new LifeDrawing(session);
        TextEntry sensor = new TextEntry(session, say("Sensor"), AirField.SENSOR.address().key(),
                say("number or mark on it"), 1,
                j -> j.air().sensor(), this::numbered);
        fields.with(sensor::refresh);
        kind.getItems().setAll(Kind.values());
        kind.setConverter(Parts.named(Kind::words));
        Choice.foundByWord(kind);
        kind.setValue(Kind.GAIN);
        kind.setId("air.note.kind");
        kind.setAccessibleText(say("What is noted"));
        kind.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(kind, Priority.ALWAYS);
        value.setId("air.note.value");
        value.setAccessibleText(say("Its value"));
        value.setPrefColumnCount(5);
        value.setPromptText(say("such as %.2f", 0.99));
        value.setOnAction(e -> note());
        add = Parts.button(say("Note it"), "air.note.add", this::note, "quiet");
        forget = Parts.button(say("Take back"), "air.note.forget",
                () -> session.sensors().of(number()).notes().reversed().stream().findFirst()
                        .ifPresent(n -> session.sensors().forget(number(), n)),
                "quiet");
        which = new FlowPane(8, 6,
                Parts.button(say("The same sensor"), "air.sensor.same", () -> told(false), "quiet"),
                Parts.button(say("Another one"), "air.sensor.another", () -> told(true), "quiet"));
        renew = Parts.button(say("It is a new one"), "air.note.renew", this::renew, "quiet");
        FlowPane files = new FlowPane(8, 6, forget,
                Parts.button(say("All to CSV"), "air.sensors.write", this::write, "quiet"),
                Parts.button(say("From CSV…"), "air.sensors.read", this::read, "quiet"));
        node = new Columns(300,
                Parts.stacked(Parts.noted(say("Gain over hours"), new Label(say("band: 90 in 100")), drawing),
                        Parts.card(say("Outlook"), renewed, renew, outlook, shortened, Parts.text(
                                say("How fast sensors age is from memory, until readings tell."), "soft"))),
                Parts.stacked(
                        Parts.card(say("The sensor"), sensor, first, which,
                                new HBox(8, kind), new HBox(8, value, add), refused),
                        Parts.card(say("Noted so far"), notes, files)));
    }

    /** Enters the number; a first one, after something was read, may be of another sensor. */
    private Job numbered(Job job, String number) {
        boolean read = job.air().reading().isPresent() || job.proving() != null;
        asked = job.air().sensor().isBlank() && !number.isBlank() && read ? job.id() : "";
        return job.withAir(job.air().withSensor(number));
    }

    private void told(boolean other) {
        asked = "";
        if (other) {
            session.edit(say("another sensor"), j -> j.withChanges(
                    j.changes().and(new Changes(Map.of(RestsOn.SENSOR, session.now())))));
        } else {
            refresh();
        }
    }

    private String number() {
        return session.job().air().sensor();
    }

    /** Adds a note; text that cannot be used stays as typed, with the reason. */
    private void note() {
        Kind what = kind.getValue();
        if (value.getText().isBlank() || number().isBlank()) {
            return;
        }
        QuantityField field = QuantityField.of(what.words(), Unit.ONE, what.min(), what.max());
        refused.setText("");
        switch (Figures.parse(session, field, value.getText())) {
            case Parsed.Value v -> {
                session.sensors().note(number(),
                        new SensorNote(session.today(), what, v.si(), session.job().id()));
                value.clear();
            }
            case Parsed.Bad bad -> refused.setText(bad.message());
        }
        Parts.show(refused, !refused.getText().isEmpty());
    }

    /** Notes that the sensor is a new one from the day on which it seems to be. */
    private void renew() {
        session.sensors().of(number()).renewed().ifPresent(day -> session.sensors().note(number(),
                new SensorNote(day, Kind.RENEWED, 1, session.job().id())));
    }

    private void write() {
        Path file = session.home().resolve("lists").resolve("sensors.csv");
        session.background().run(say("Writing the sensor book"), () -> {
            List<SensorLife> all = session.sensors().all();
            SensorCsv.write(file, all);
            return all.size();
        }, n -> say("%s written to %s.", count("1 sensor", "%d sensors", n), file));
    }

    private void read() {
        Parts.browse(node, say("Sensor book (CSV)"), file -> AirModel.read(session, file));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        boolean ask = asked.equals(session.job().id());
        Parts.show(first, ask);
        Parts.show(which, ask);
        SensorLife life = session.sensors().of(number());
        boolean named = !number().isBlank();
        add.setDisable(!named);
        value.setDisable(!named);
        forget.setDisable(life.notes().isEmpty());
        notes.write(() -> notes(life, named));
        Optional<LocalDate> day = life.renewed();
        Parts.show(renewed, day.map(d -> say("On %s its hours fell, or its gain rose again: is it a new sensor? "
                + "The outlook takes it for one. If not, take that note back.", Figures.day(d))).orElse(""));
        Parts.show(renew, day.isPresent());
        outlook.write(() -> outlook(life.current()));
        List<String> says = SensorOutlook.shortened(life).stream().map(m -> Figures.text(session, m)).toList();
        Parts.show(shortened, String.join("\n", says));
        Parts.show(refused, !refused.getText().isEmpty());
        drawing.refresh();
        fields.refresh();
    }

    private void notes(SensorLife life, boolean named) {
        if (life.notes().isEmpty()) {
            notes.line(0, 0,
                    named ? say("Nothing yet: note what it shows as found.") : say("Give the sensor its number first."),
                    "soft");
            return;
        }
        List<SensorNote> latest = life.notes().reversed().stream().limit(SHOWN).toList();
        for (int i = 0; i < latest.size(); i++) {
            SensorNote note = latest.get(i);
            notes.line(0, i, Figures.day(note.date()), "soft");
            notes.line(1, i, Figures.text(session, new Measure(note.value(), Dimension.NUMBER,
                    note.kind() == Kind.GAIN || note.kind() == Kind.RESPONSE ? 3 : 0)), "figure");
            notes.line(2, i, word(note.kind().key().replace('-', ' ')), "plain");
        }
    }

    private void outlook(SensorLife life) {
        if (life.of(Kind.GAIN).findAny().isEmpty()) {
            outlook.line(0, 0, say("No gain was noted yet: nothing can be told."), "soft");
            return;
        }
        SensorOutlook ahead = SensorOutlook.of(life, session.today());
        int row = 0;
        outlook.row(row++, say("run"), Figures.text(session, new Measure(ahead.hours(), Dimension.NUMBER, 0)) + " h",
                "");
        outlook.row(row++, say("gain now"), part(ahead.gain().at(ahead.hours())),
                say("± %s, of new", part(2 * ahead.gain().doubtAt(ahead.hours()))));
        outlook.row(row++, say("since calibrated"), part(ahead.drift().mean()),
                say("at most %s at 1.2 λ", Figures.mixture(session, ahead.costs())));
        outlook.row(row++, say("calibrate by"), ahead.recalibrate().toString(), say("the gain has then changed 1 %%"));
        Optional<SensorOutlook.Due> due = ahead.replace();
        outlook.row(row++, say("replace about"), due.map(d -> d.likely().toString()).orElse(say("not in sight")),
                due.map(d -> {
                    var late = d.late();
                    return say("90 in 100: %s to %s", d.early(), late == null ? say("never") : late);
                }).orElse(""));
        if (!ahead.fits()) {
            outlook.line(0, row, say("Its readings lie on no course that sensors follow: the nearer day is said."),
                    "soft");
        }
    }

    private String part(double value) {
        return Figures.text(session, new Measure(value, Dimension.FRACTION, 1));
    }
}
