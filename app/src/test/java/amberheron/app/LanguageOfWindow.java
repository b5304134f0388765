package amberheron.app;

import amberheron.app.session.LeafId;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.Station;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.FieldWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import tools.jackson.databind.json.JsonMapper;

/**
 * Goes through the window in a made-up language and says every word that is seen in ours. The pages of the guide are
 * documents, which another language has of its own.
 */
final class LanguageOfWindow extends WindowTest {
    private final MadeUpLanguage language = new MadeUpLanguage();
    private int looked;

    private LanguageOfWindow(Path home) {
        this.home = home;
    }

    /** Says each word that is unmarked, where it was seen, and in the last line how many texts were looked at. */
    public static void main(String[] args) throws IOException {
        MadeUpLanguage.speak();
        int looked = 0;
        for (Consumer<LanguageOfWindow> part : List.<Consumer<LanguageOfWindow>>of(LanguageOfWindow::everyLeaf,
                LanguageOfWindow::anEmptyJobAndTheWindowAroundIt, LanguageOfWindow::whatIsDoneAndRefused,
                LanguageOfWindow::namesOfStoredValues)) {
            LanguageOfWindow walk = new LanguageOfWindow(Files.createDirectories(Path.of(args[0], "home-" + looked)));
            walk.open();
            walk.exempt();
            part.accept(walk);
            walk.close();
            looked += walk.looked;
        }
        System.out.println(looked);
        System.exit(0);
    }

    private void exempt() {
        hands.interact(session::listJobs);
        language.exemptColumns(home.resolve("logs/SB-014-drive.csv"));
        hands.settle();
        session.jobs().forEach(j -> language.exempt(List.of(j.id(), j.vehicle(), j.bay())));
        language.exempt(List.of("SB-099", System.getProperty("user.name")));
        hands.interact(() -> session.listeners().onChange(() -> note("notice", session.notice())));
    }

    private void open(String job) {
        hands.interact(() -> session.open(job));
        language.exempt(MadeUpLanguage.texts(JsonMapper.shared().readTree(session.document().text())));
    }

    private void look(String where) {
        Hands.onScreen(() -> {
            look(where, hands.scene().getRoot());
            note(where, ((Stage) hands.scene().getWindow()).getTitle());
            return null;
        });
    }

    private void look(String where, Node node) {
        if (node.getStyleClass().contains("guide-page")) {
            return;
        }
        String at = where + " " + (node.getId() == null ? "" : node.getId());
        note(at, node.getAccessibleText());
        switch (node) {
            case Labeled words -> note(at, words.getText());
            case Text words -> note(at, words.getText());
            case TextInputControl field -> note(at, field.getPromptText());
            case ComboBox<?> box -> choices(at, box);
            default -> {
            }
        }
        if (node instanceof Control control && control.getTooltip() != null) {
            note(at, control.getTooltip().getText());
        }
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> look(where, child));
        }
    }

    private <T> void choices(String at, ComboBox<T> box) {
        note(at, box.getPromptText());
        if (box.getConverter() != null) {
            box.getItems().forEach(item -> note(at, box.getConverter().toString(item)));
        }
    }

    private void note(String where, String text) {
        if (text == null || text.isEmpty()) {
            return;
        }
        looked++;
        List<String> unmarked = language.unmarked(text);
        if (!unmarked.isEmpty()) {
            System.out.println(where + ": " + unmarked + " in “" + text.replace('\n', ' ') + "”");
        }
    }

    private void everyLeaf() {
        for (String job : List.of("SB-014", "SB-016")) {
            open(job);
            for (Station station : Station.values()) {
                hands.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
                look(station.name());
                LeafId.of(station).forEach(leaf -> {
                    hands.interact(() -> session.focus(leaf));
                    look(leaf.id());
                });
            }
        }
    }

    /** A job of which nothing is known yet asks for everything. */
    private void anEmptyJobAndTheWindowAroundIt() {
        hands.interact(() -> session.at().showJobs());
        look("jobs");
        hands.clickOn(byId("jobs.book"));
        look("book");
        hands.push(KeyCode.CONTROL, KeyCode.K);
        look("find or do");
        hands.push(KeyCode.ESCAPE);
        hands.interact(() -> session.begin("SB-777"));
        language.exempt(List.of("SB-777"));
        for (Station station : Station.values()) {
            hands.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
            LeafId.of(station).forEach(leaf -> {
                hands.interact(() -> session.focus(leaf));
                look("empty " + leaf.id());
            });
            hands.push(KeyCode.F11);
            look("arm's length");
            hands.push(KeyCode.F11);
        }
    }

    /** What is done is said, and so is what is typed wrong. */
    private void whatIsDoneAndRefused() {
        open("SB-016");
        hands.interact(() -> {
            session.preferences().units(new UnitChoice(true, true, true, true));
            session.focus("wire.fuse");
        });
        hands.write("many").push(KeyCode.ENTER);
        look("a wrong entry");
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        hands.push(KeyCode.CONTROL, KeyCode.Z);
        look("nothing to take back");
        hands.interact(() -> session.focus("scale.volts"));
        hands.write("99").push(KeyCode.ENTER);
        look("volts that cannot be");
        hands.interact(() -> session.focus("prove.file"));
        hands.write(home.resolve("nowhere.csv").toString()).push(KeyCode.ENTER);
        hands.settle();
        look("a log that is not there");
        hands.interact(() -> session.focus("wire.meter"));
        hands.interact(() -> session.open("SB-099"));
        look("a job that is not there");
    }

    /** Names of values in which two bays differ, and of kinds of notes on a sensor. */
    private void namesOfStoredValues() {
        List.of("intake.vehicle", "wiring.feed.length", "placing.fitted.along", "points[3].volts", "handOver.notDone",
                "outputs.putBy[1].law").forEach(f -> note(f, FieldWords.of(f).words()));
        for (SensorNote.Kind kind : SensorNote.Kind.values()) {
            note(kind.key(), kind.words());
        }
    }
}
