package amberheron.app.shell;

import amberheron.app.parts.Parts;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.app.session.Whereabouts;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import org.jspecify.annotations.Nullable;

/** Where the person was: in each leaf of the open job, and in each job when it is opened again. */
final class ComingBack {
    private final Session session;
    private final ScrollPane scroll;
    private final Node middle;
    /** Field typed into last of each leaf of the open job. */
    private final Map<Object, String> fields = new HashMap<>();
    private String jobShown = "";

    /**
     * Nothing remembered yet.
     *
     * @param scroll scrolls what is in the middle
     * @param middle all that belongs to a station
     */
    ComingBack(Session session, ScrollPane scroll, Node middle) {
        this.session = session;
        this.scroll = scroll;
        this.middle = middle;
    }

    /** Remembers which field of the leaf shown was typed into last. */
    void remember(@Nullable Node focused) {
        String id = focused == null ? null : focused.getId();
        if (focused != null && id != null && !focused.getStyleClass().contains("leaf-tab") && session.isOpen()
                && session.at().view() == Navigation.View.STATION && Parts.within(focused, middle)) {
            fields.put(place(), id);
        }
    }

    /** The leaf shown, or the station where it is one leaf. */
    private Object place() {
        return session.at().leaf().<Object>map(l -> l).orElse(session.at().station());
    }

    /** Notes where the person is in the open job, so that it comes back there. */
    void note() {
        if (session.isOpen() && !jobShown.isEmpty()) {
            session.where().note(jobShown, new Whereabouts.Spot(session.at().station(),
                    session.at().leaf().orElse(null), fields.getOrDefault(place(), ""), scroll.getVvalue()));
        }
    }

    /** Comes back to where the person was in a job that was just opened. */
    void comeBack() {
        String now = session.isOpen() ? session.job().id() : "";
        if (now.equals(jobShown)) {
            return;
        }
        jobShown = now;
        fields.clear();
        session.where().of(now).ifPresent(spot -> Platform.runLater(() -> {
            if (!spot.field().isEmpty()) {
                session.focus(spot.field());
            }
            scroll.setVvalue(spot.scroll());
        }));
    }

    /** Brings the field of the leaf shown that was typed into last, else its first. */
    void bringField() {
        String last = fields.get(place());
        Node field = last == null ? null : Parts.find(middle, last);
        (field == null ? first(middle) : Optional.of(field)).ifPresent(Node::requestFocus);
    }

    /** The first node in a tree that is shown and can be typed into or pressed. */
    private static Optional<Node> first(Node in) {
        if (!in.isVisible() || in.isDisabled()) {
            return Optional.empty();
        }
        if (in.isFocusTraversable() && !(in instanceof ScrollPane)) {
            return Optional.of(in);
        }
        return in instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().map(ComingBack::first).flatMap(Optional::stream).findFirst()
                : Optional.empty();
    }
}
