package amberheron.app.freeair;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.parts.Choice;
import amberheron.app.parts.Columns;
import amberheron.app.parts.Leaf;
import amberheron.app.parts.Parts;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.bench.AirFault;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.ControllerSheet.Sign;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import amberheron.core.finding.Message;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachEvent;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.Instruction;
import amberheron.core.freeair.Steadiness;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.Unusable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The calibration step by step: what to do now, how long, what should be seen, and what it means when it is not. */
final class CoachLeaf implements Leaf {
    /** Style of a label wide enough for most of its words beside its button. */
    private static final String WIDE = "-fx-min-width: 13em; -fx-pref-width: 13em;";

    private final Session session;
    private final AirModel model;
    private final FlowPane steps = new FlowPane(6, 4);
    private final Label clock = Parts.line("", "coach-clock");
    private final Label now = Parts.text("", "strong");
    private final Label trouble = Parts.text("", "wrong");
    private final Label expect = Parts.text("");
    private final Label otherwise = Parts.text("", "soft");
    private final Label why = Parts.text("", "soft");
    private final Button done;
    private final Button again;
    private final GridPane conditions = new GridPane(12, 6);
    private final ComboBox<Sign> signs = new ComboBox<>();
    private final Button saw;
    private final Label shows = Parts.line("", "figure");
    private final Label meaning = Parts.text("", "soft");
    private final Label steadiness = Parts.text("", "soft");
    private final TextField watch = new TextField();
    private final Label refused = Parts.text("", "wrong");
    private final TextField address = new TextField();
    private final ComboBox<StreamFormat> format = new ComboBox<>();
    private final ComboBox<AirFault> fault = new ComboBox<>();
    private final Label display = Parts.text("", "strong");
    private final FlowPane keys = new FlowPane(6, 6);
    private final VBox toConnect = new VBox(8);
    private Button away = new Button();
    private final VBox seen;
    private final Node node;

    CoachLeaf(Session session, AirModel model) {
        this.session = session;
        this.model = model;
        clock.setId("air.clock");
        now.setId("air.now");
        done = Parts.button("", "air.done", this::done, "primary");
        again = Parts.button("", "air.again", () -> model.happens(session, stop()), "quiet");
        int place = 0;
        for (Condition condition : Condition.values()) {
            conditions.add(box(condition), place % 2, place / 2);
            place++;
        }
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        conditions.getColumnConstraints().addAll(half, half);
        conditions.addEventHandler(KeyEvent.KEY_TYPED, e -> Arrays.stream(Condition.values())
                .filter(c -> Letters.of(c).equalsIgnoreCase(e.getCharacter())).findFirst()
                .ifPresent(c -> model.happens(session,
                        new CoachEvent.Said(c, !session.job().air().conditions().contains(c)))));
        signs.setId(AirModel.SIGN);
        signs.setAccessibleText(say("What lamp or display does"));
        signs.setPromptText(say("what lamp or display does"));
        signs.setConverter(Parts.named(s -> s.seen() + " = " + s.state().words()));
        signs.setMaxWidth(Double.MAX_VALUE);
        Choice.foundByWord(signs);
        Choice.onEnter(signs, this::saw);
        saw = Parts.button(say("It does this"), "air.saw", this::saw, "quiet");
        signs.valueProperty().addListener((o, was, now) -> Parts.show(saw, waiting()));
        HBox.setHgrow(signs, Priority.ALWAYS);
        watch.setId(AirModel.WATCH);
        watch.setAccessibleText(say("What it shows now"));
        watch.setOnAction(e -> watched());
        HBox.setHgrow(watch, Priority.ALWAYS);
        seen = Parts.card(say("What is seen"), new HBox(8, signs, saw), meaning, shows,
                new HBox(8, watch, Parts.button(say("Read"), "air.read", this::watched, "quiet")), refused, steadiness);
        node = new Columns(300,
                Parts.card(say("Step by step"), steps, clock, trouble, now, expect, otherwise, why, conditions,
                        new HBox(8, done, again)),
                Parts.stacked(seen,
                        Parts.noted(say("Controller's stream"), new Label(say("or work by hand")), link())));
    }

    /** Takes what was picked; looked through, a list says nothing. */
    private void saw() {
        Sign sign = signs.getValue();
        if (sign != null) {
            model.happens(session, new CoachEvent.Sees(sign.state()));
        }
    }

    /** Whether what stands in the list was not taken yet. */
    private boolean waiting() {
        Sign sign = signs.getValue();
        return sign != null && model.coach(session).filter(c -> c.state() == sign.state()).isEmpty();
    }

    private CheckBox box(Condition condition) {
        CheckBox box = new CheckBox(condition.words());
        Label letter = new Label(Letters.of(condition));
        letter.getStyleClass().add("letter-key");
        box.setGraphic(letter);
        box.setId(condition.path());
        box.setWrapText(true);
        box.setOnAction(e -> model.happens(session, new CoachEvent.Said(condition, box.isSelected())));
        return box;
    }

    private Node[] link() {
        address.setId("air.address");
        address.setPromptText(say("port or address, such as 192.168.1.41"));
        address.setAccessibleText(say("Serial port or address of the controller"));
        address.setOnAction(e -> connect());
        HBox.setHgrow(address, Priority.ALWAYS);
        List<StreamFormat> formats = new ArrayList<>(List.of(StreamFormat.OWN));
        formats.addAll(session.catalogue().streams());
        format.getItems().setAll(formats);
        format.setConverter(Parts.named(StreamFormat::name));
        Choice.foundByWord(format);
        format.setValue(StreamFormat.OWN);
        format.setId("air.format");
        format.setAccessibleText(say("Form of what it sends"));
        fault.getItems().setAll(AirFault.values());
        fault.setConverter(Parts.named(AirFault::words));
        Choice.foundByWord(fault);
        fault.setValue(AirFault.NONE);
        fault.setId("air.fault");
        fault.setAccessibleText(say("What is wrong with the simulated controller"));
        keys.getChildren().add(Parts.line(say("Stand-in:"), "soft"));
        keys.setAlignment(Pos.CENTER_LEFT);
        for (String key : List.of("on", "off", "plug", "unplug")) {
            keys.getChildren().add(Parts.button(word(key), "air.key." + key, () -> {
                session.controller().key(key);
                session.tell(say("Stand-in: %s.", word(key)));
            }, "quiet", "leaf-tab"));
        }
        fault.setStyle(WIDE);
        format.setStyle(WIDE);
        toConnect.getChildren().setAll(address,
                new FlowPane(8, 6, format, Parts.button(say("Connect"), "air.connect", this::connect, "quiet")),
                new FlowPane(8, 6, fault, Parts.button(say("Simulate"), "air.simulate", this::simulate, "quiet")));
        away = Parts.button(say("Put it away"), "air.away", () -> {
            session.controller().close();
            session.tell(say("Nothing is listened to any more."));
        }, "quiet");
        return new Node[]{display, toConnect, keys, away};
    }

    private void connect() {
        try {
            session.controller().connect(address.getText(), format.getValue());
            session.tell(say("Listening to the controller."));
        } catch (Unusable e) {
            session.tell(String.valueOf(e.getMessage()));
        }
    }

    private void simulate() {
        ControllerSheet sheet = session.job().air().controller();
        if (sheet == null) {
            session.tell(say("Choose the controller first: what is simulated follows from it."));
            return;
        }
        try {
            session.controller().simulate(sheet,
                    session.job().air().today().air().orElse(Air.atHeight(293.15, 0.5, 0)), fault.getValue());
            session.tell(say("Simulated: %s. %s", fault.getValue().words(), session.preferences().shop().demo()
                    ? say("In this demo book it counts.")
                    : say("It counts for nothing.")));
        } catch (IOException e) {
            session.tell(say("The stand-in cannot be started: %s", e.getMessage()));
        }
    }

    private void done() {
        model.coach(session).ifPresent(c -> model.happens(session,
                c.now().step() == CoachStep.READY ? new CoachEvent.Recorded() : new CoachEvent.Done()));
    }

    private CoachEvent stop() {
        return model.coach(session).filter(c -> c.now().step().underWay()).isPresent()
                ? new CoachEvent.Stop()
                : new CoachEvent.Again();
    }

    private QuantityField reading(Coach coach) {
        return coach.sheet().inAir().oxygen()
                ? QuantityField.of(say("It shows"), Unit.PERCENT, 0, 30)
                : QuantityField.of(say("It shows"), Unit.LAMBDA, 0.3, 20);
    }

    /** Takes the number watched; one that cannot be used stays as typed, with the reason. */
    private void watched() {
        Optional<Coach> coach = model.coach(session);
        if (coach.isEmpty() || watch.getText().isBlank()) {
            return;
        }
        Parsed parsed = Figures.parse(session, reading(coach.get()), watch.getText());
        switch (parsed) {
            case Parsed.Value value -> {
                refused.setText("");
                watch.clear();
                model.watched(session, value.si());
                session.tell(say("Read: %s.", figure(value.si(), coach.get())));
            }
            case Parsed.Bad bad -> refused.setText(bad.message());
        }
        Parts.show(refused, !refused.getText().isEmpty());
    }

    private String figure(double value, Coach coach) {
        return Figures.text(session, coach.sheet().inAir().oxygen()
                ? new Measure(value, Dimension.FRACTION, 2)
                : new Measure(value, Dimension.MIXTURE, 3));
    }

    @Override
    public Node node() {
        return node;
    }

    @Override
    public void refresh() {
        Optional<Coach> coach = model.coach(session);
        conditions.getChildren().forEach(n -> {
            if (n instanceof CheckBox box) {
                box.setSelected(session.job().air().conditions().stream().anyMatch(c -> c.path().equals(box.getId())));
                box.setDisable(coach.isEmpty());
            }
        });
        ControllerDesk desk = session.controller();
        display.setText(desk.shown());
        Parts.show(keys, desk.hasKeys());
        Parts.show(toConnect, !desk.connected());
        Parts.show(away, desk.connected());
        if (coach.isEmpty()) {
            nothing();
        } else {
            show(coach.get(), desk);
        }
    }

    private void nothing() {
        Parts.fill(steps, "", List::of);
        clock.setText("—");
        now.setText(say("Choose the controller on “Air today”: each has its own way."));
        List.of(trouble, expect, otherwise, why, shows, steadiness, refused).forEach(l -> Parts.show(l, false));
        Parts.show(done, false);
        Parts.show(again, false);
        Parts.show(seen, false);
        Parts.show(conditions, false);
    }

    private void show(Coach coach, ControllerDesk desk) {
        CoachStep at = coach.now().step();
        Instruction says = Instruction.of(coach);
        Parts.fill(steps, List.of(coach.sheet().school(), at), () -> strip(coach));
        clock.setText(
                model.clock(session)
                        .orElse(at == CoachStep.RECORDED ? "✓" : at == CoachStep.READY ? say("steady") : "—"));
        show(now, says.now());
        show(trouble, says.trouble().isEmpty() ? Message.NONE : Message.of("▲ {0}", says.trouble()));
        show(expect, says.expect());
        show(otherwise, says.otherwise());
        show(why, says.why());
        done.setText(says.done());
        Parts.show(done, !says.done().isEmpty());
        again.setText(at.underWay() ? say("Stop") : say("Begin again"));
        Parts.show(again, at.underWay() || at == CoachStep.RECORDED || at == CoachStep.STOPPED);
        if (!signs.isShowing() && !(signs.isFocused() && waiting())) {
            if (!signs.getItems().equals(coach.sheet().signs())) {
                signs.getItems().setAll(coach.sheet().signs());
            }
            signs.setValue(coach.sheet().signs().stream().filter(s -> s.state() == coach.state()).findFirst()
                    .orElse(null));
        }
        Parts.show(saw, waiting());
        State told = coach.state();
        show(meaning, told == null ? Message.NONE : Instruction.meaning(told));
        Optional<Report> live = desk.live();
        shows.setText(live.map(r -> said(r, coach)).orElse(desk.connected() ? say("nothing heard") : ""));
        Parts.show(shows, desk.connected());
        Parts.show(seen, at.underWay());
        Parts.show(conditions, at == CoachStep.CONDITIONS);
        Parts.show(clock, at != CoachStep.CONDITIONS);
        watch.setDisable(at != CoachStep.STEADY && at != CoachStep.READY);
        watch.setPromptText(at == CoachStep.STEADY || at == CoachStep.READY
                ? say("what it shows, such as %s",
                        coach.sheet().inAir().oxygen() ? say("%.1f", 20.7) : say("%.2f", 1.45))
                : say("asked when it is watched"));
        Optional<Steadiness> steady = coach.steadiness();
        steadiness.setText(coach.series().isEmpty()
                ? ""
                : steady.map(this::steadiness).orElse(say("%s read so far", coach.series().size())));
        Parts.show(steadiness, !steadiness.getText().isEmpty());
        Parts.show(refused, !refused.getText().isEmpty());
    }

    private void show(Label label, Message words) {
        Parts.show(label, Figures.text(session, words));
    }

    private String said(Report report, Coach coach) {
        State state = report.state();
        Double value = coach.sheet().inAir().of(report);
        return (state == null ? "" : state.words()) + (value == null ? "" : " · " + figure(value, coach));
    }

    private String steadiness(Steadiness s) {
        return say("%s over %s, drift %s ± %s a minute, scatter %s", count("1 reading", "%d readings", s.count()),
                Figures.text(session, new Measure(s.seconds(), Dimension.DURATION, 0)),
                Figures.text(session, new Measure(s.drift(), Dimension.FRACTION, 2)),
                Figures.text(session, new Measure(s.driftDoubt(), Dimension.FRACTION, 2)),
                Figures.text(session, new Measure(s.scatter(), Dimension.FRACTION, 2)));
    }

    /** The school's steps in a row: those behind, the one in hand, those ahead. */
    private static List<Node> strip(Coach coach) {
        List<CoachStep> all = CoachStep.of(coach.sheet().school());
        CoachStep at = coach.now().step();
        List<Node> nodes = new ArrayList<>();
        for (CoachStep step : all) {
            boolean behind = at != CoachStep.STOPPED && all.indexOf(step) < all.indexOf(at);
            boolean here = step == at;
            nodes.add(Parts.line((behind || at == CoachStep.RECORDED ? "✓ " : here ? "▸ " : "○ ") + step.words(),
                    here ? "strong" : "soft"));
        }
        if (at == CoachStep.STOPPED) {
            nodes.add(Parts.line("▲ " + at.words(), "wrong"));
        }
        return nodes;
    }
}
