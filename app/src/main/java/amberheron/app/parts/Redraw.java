package amberheron.app.parts;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.Shape;
import javafx.scene.text.Text;

/**
 * Draws the same kind of picture again and again. A shape that was there the last time in the same order and the same
 * style is moved and not made anew: finding its style takes longer than drawing it.
 */
public final class Redraw {
    private static final Map<Class<?>, BiConsumer<Node, Node>> MOVES = Map.ofEntries(kind(Text.class, (f, t) -> {
        t.setText(f.getText());
        t.setX(f.getX());
        t.setY(f.getY());
        t.setTextOrigin(f.getTextOrigin());
    }), kind(Line.class, (f, t) -> {
        t.setStartX(f.getStartX());
        t.setStartY(f.getStartY());
        t.setEndX(f.getEndX());
        t.setEndY(f.getEndY());
    }), kind(Rectangle.class, (f, t) -> {
        t.setX(f.getX());
        t.setY(f.getY());
        t.setWidth(f.getWidth());
        t.setHeight(f.getHeight());
        if (f.getArcWidth() > 0) {
            // What the style sheet rounds stays rounded.
            t.setArcWidth(f.getArcWidth());
            t.setArcHeight(f.getArcHeight());
        }
    }), kind(Circle.class, (f, t) -> {
        t.setCenterX(f.getCenterX());
        t.setCenterY(f.getCenterY());
        t.setRadius(f.getRadius());
    }), kind(SVGPath.class, (f, t) -> t.setContent(f.getContent())),
            kind(Path.class, (f, t) -> t.getElements().setAll(List.copyOf(f.getElements()))),
            kind(Polygon.class, (f, t) -> {
                if (!t.getPoints().equals(f.getPoints())) {
                    t.getPoints().setAll(f.getPoints());
                }
            }));

    private final ObservableList<Node> nodes;
    private List<Object> shown = List.of();
    private int next;

    /** Draws into a list of children that nothing else is added to. */
    public Redraw(ObservableList<Node> nodes) {
        this.nodes = nodes;
    }

    /** Draws all of it. */
    public void draw(Runnable drawing) {
        next = 0;
        drawing.run();
        nodes.remove(next, nodes.size());
    }

    /**
     * Draws all of it, only when it would look different: styling and painting take longer than a frame.
     *
     * @param shows everything that the drawing depends on
     */
    public void draw(List<Object> shows, Runnable drawing) {
        if (!shows.equals(shown)) {
            shown = shows;
            draw(drawing);
        }
    }

    /** Adds a shape in style classes, and gives back the one that is seen. */
    public <S extends Node> S add(S fresh, String... styles) {
        if (next < nodes.size()) {
            Node old = nodes.get(next);
            if (old.equals(fresh)) {
                next++;
                return fresh;
            }
            if (old.getClass() == fresh.getClass() && old.getStyleClass().equals(List.of(styles))
                    && moved(fresh, old)) {
                next++;
                @SuppressWarnings("unchecked") // of the same class
                S same = (S) old;
                return same;
            }
        }
        fresh.getStyleClass().addAll(styles);
        // Placed by the drawing itself: moving it must not have the whole screen measured again.
        fresh.setManaged(false);
        if (fresh instanceof Shape) {
            fresh.setMouseTransparent(true);
        }
        nodes.remove(next, nodes.size());
        nodes.add(fresh);
        next++;
        return fresh;
    }

    /** Gives an old shape the form of a new one; false for a kind that is always made anew. */
    private static boolean moved(Node from, Node to) {
        BiConsumer<Node, Node> move = MOVES.get(from.getClass());
        if (move == null) {
            return false;
        }
        to.setRotate(0);
        if (!to.getTransforms().isEmpty()) {
            to.getTransforms().clear();
        }
        move.accept(from, to);
        return true;
    }

    private static <S extends Node> Map.Entry<Class<?>, BiConsumer<Node, Node>> kind(Class<S> kind,
            BiConsumer<S, S> move) {
        return Map.entry(kind, (from, to) -> move.accept(kind.cast(from), kind.cast(to)));
    }
}
