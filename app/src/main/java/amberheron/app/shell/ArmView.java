package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.Advice;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;

/**
 * View to be read from the car, one thing at a time: the step in a sentence, the station's figure as large as fits, and the
 * one key. Forms and rule are for the desk.
 */
final class ArmView extends BorderPane {
    private static final double LARGEST = 190;
    /** Width of a figure against the size of its type. */
    private static final double DIGIT = 0.56;

    private final Session session;
    private final Label next = Parts.text("", "arm-next");
    private final Label why = Parts.text("", "arm-why");
    private final Label figure = Parts.line("", "arm-figure");
    private final Label caution = Parts.text("", "arm-caution");
    private final Button act = new Button();
    private Runnable run = () -> {
    };

    ArmView(Session session) {
        this.session = session;
        next.setId("arm.next");
        figure.setId("arm.figure");
        act.setId("arm.action");
        Label key = new Label("F2");
        key.getStyleClass().add("button-key");
        act.setGraphic(key);
        act.setContentDisplay(ContentDisplay.RIGHT);
        act.getStyleClass().addAll("primary", "arm-action");
        act.setOnAction(e -> run.run());
        setTop(new VBox(10, next, why));
        setCenter(new StackPane(figure));
        HBox foot = new HBox(18, act, Parts.spring(), Parts.line(say("F11 back to the desk"), "arm-why"));
        foot.setAlignment(Pos.CENTER_LEFT);
        setBottom(new VBox(16, foot, caution));
        getStyleClass().add("arm-view");
        widthProperty().addListener(o -> fit());
    }

    /** Shows what is next at a station, and its figure. */
    void refresh(Advice advice, String telling) {
        next.setText(Figures.text(session, advice.next()));
        why.setText(Figures.text(session, advice.why()));
        figure.setText(telling);
        caution.setText(Figures.text(session, advice.caution()));
        Parts.show(caution, !advice.caution().isEmpty());
        Advice.Action action = advice.action();
        act.setText(action == null ? "" : action.label());
        run = action == null ? () -> {
        } : action.run();
        Parts.show(act, action != null);
        fit();
    }

    private void fit() {
        double size = getWidth() / (DIGIT * Math.max(1, figure.getText().length()));
        figure.setFont(Font.font("Source Sans 3 SemiBold", Math.clamp(size, 24, LARGEST)));
    }
}
