package amberheron.app.scaling;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.parts.Pasted;
import amberheron.app.session.Session;
import amberheron.core.scaling.CheckPoint.Engine;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.jspecify.annotations.Nullable;

/** The three fields that a check point is typed into: Enter goes from one to the next, and from the last keeps it. */
final class TypedFields {
    final Pasted volts;
    private final Pasted gauge;
    private final Pasted shown;

    /** @param id begins the names of the fields */
    TypedFields(Session session, String id, Runnable keep) {
        volts = field(session, id + "volts", say("volts applied"), say("Volts applied at the controller's output"));
        gauge = field(session, id + "true", say("its own display"),
                say("What the controller's own display or link shows"));
        shown = field(session, id + "shown", say("reader shows"), say("What the reader shows"));
        volts.setOnAction(e -> (volts.getText().isBlank() ? gauge : shown).requestFocus());
        gauge.setOnAction(e -> shown.requestFocus());
        shown.setOnAction(e -> keep.run());
    }

    private static Pasted field(Session session, String id, String prompt, String name) {
        Pasted field = new Pasted(session);
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(name);
        field.setMinWidth(40);
        field.setPrefWidth(72);
        HBox.setHgrow(field, Priority.ALWAYS);
        Parts.undoFrom(field, session, () -> field.getText().isEmpty());
        return field;
    }

    List<Pasted> all() {
        return List.of(volts, gauge, shown);
    }

    Node row() {
        return new HBox(8, volts, gauge, shown);
    }

    ScaleModel.Typed typed(@Nullable Engine engine) {
        return new ScaleModel.Typed(volts.getText(), gauge.getText(), shown.getText(), engine);
    }

    void show(ScaleModel.Typed typed) {
        volts.setText(typed.volts());
        gauge.setText(typed.gauge());
        shown.setText(typed.shown());
    }
}
