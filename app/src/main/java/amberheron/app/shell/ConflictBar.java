package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.session.Figures;
import amberheron.app.session.Saver;
import amberheron.app.session.Session;
import amberheron.io.json.Difference;
import amberheron.io.json.FieldWords;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Bar that shows both versions of a job that two bays changed, for a person to choose. */
final class ConflictBar extends VBox {
    private static final int SHOWN = 6;

    private final Session session;
    private final Label says = Parts.text("");

    ConflictBar(Session session) {
        super(8);
        this.session = session;
        says.setId("parted.says");
        getChildren().addAll(says,
                new HBox(8,
                        Parts.button(say("Keep what is on this screen"), "parted.ours", session.openJob()::keepOurs,
                                "primary"),
                        Parts.button(say("Take what is in the book"), "parted.theirs", session.openJob()::takeTheirs,
                                "quiet")));
        getStyleClass().add("notice");
        refresh();
    }

    void refresh() {
        Optional<Saver.Conflict> conflict = session.openJob().conflict();
        conflict.ifPresent(c -> {
            List<Difference> all = Difference.between(c.ours(), c.theirs());
            says.setText(
                    say("▲ Job %s was changed in another bay while it was open here. Nothing is lost; choose which goes on.%n",
                            c.ours().job().id())
                            + all.stream().limit(SHOWN)
                                    .map(this::said)
                                    .collect(Collectors.joining("\n"))
                            + (all.size() > SHOWN ? say("\nand %s more", all.size() - SHOWN) : ""));
        });
        Parts.show(this, conflict.isPresent());
    }

    private String said(Difference d) {
        FieldWords field = FieldWords.of(d.field());
        return say("%s: here %s, in the book %s", field.words(), Figures.text(session, field, d.ours()),
                Figures.text(session, field, d.theirs()));
    }
}
