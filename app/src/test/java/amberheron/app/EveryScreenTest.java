package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.parts.Drawing;
import amberheron.app.session.LeafId;
import amberheron.core.job.Station;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Shape;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** What holds on every leaf of every station, whatever it shows. */
class EveryScreenTest extends WindowTest {
    /** Brings each leaf of each station in turn; looked at on the screen's thread, where nothing moves meanwhile. */
    private void everywhere(String job, Consumer<String> looked) {
        Consumer<String> look = where -> Hands.onScreen(() -> {
            looked.accept(where);
            return null;
        });
        find("job " + job);
        for (Station station : Station.values()) {
            hands.push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(station.number())));
            LeafId.of(station).forEach(leaf -> {
                hands.interact(() -> session.focus(leaf));
                look.accept(job + " " + station + " " + leaf.words());
            });
        }
    }

    private static boolean seen(Node node) {
        return node.isVisible() && (node.getParent() == null || seen(node.getParent()));
    }

    private static List<Node> all(Node from, List<Node> into) {
        if (from.isVisible()) {
            into.add(from);
            if (from instanceof Parent parent) {
                parent.getChildrenUnmodifiable().forEach(child -> all(child, into));
            }
        }
        return into;
    }

    private List<Node> shown() {
        return all(hands.scene().getRoot(), new ArrayList<>());
    }

    /** Every leaf is found by words of its own, and brought. */
    @Test
    void everyLeafIsFoundByItsWords() {
        find("job SB-014");
        for (LeafId leaf : LeafId.values()) {
            find(leaf.words());
            assertThat(((ToggleButton) byId(leaf.id())).isSelected()).as(leaf.words()).isTrue();
            assertThat(seen(byId(leaf.id()))).as(leaf.words()).isTrue();
        }
    }

    /** A leaf answers one question on one screen: with the demo's jobs nothing has to be scrolled for, and tab goes as one reads. */
    @Test
    void nothingScrollsAndTabGoesAsOneReads() {
        List<String> scrolled = new ArrayList<>();
        List<String> jumps = new ArrayList<>();
        for (String job : List.of("SB-014", "SB-015", "SB-016")) {
            everywhere(job, where -> {
                readingOrder(where, jumps);
                for (Node node : shown()) {
                    if (node instanceof ScrollPane pane) {
                        double over = Objects.requireNonNull(pane.getContent()).getLayoutBounds().getHeight()
                                - pane.getViewportBounds().getHeight();
                        if (over > 1) {
                            scrolled.add(where + ": " + Math.round(over) + " px too high");
                        }
                    }
                }
            });
        }
        assertThat(scrolled).isEmpty();
        assertThat(jumps).isEmpty();
    }

    /** At two sizes no button's words, no figure and no name is cut, and nothing drawn hangs out of its drawing. */
    @Test
    void nothingIsCutAtEitherSize() {
        cut("SB-014", 1280, 800);
        cut("SB-016", 1280, 800);
        hands.interact(() -> session.preferences().units(new UnitChoice(true, true, true, true)));
        cut("SB-014", 1024, 700);
        cut("SB-016", 1024, 700);
    }

    /** Figures, what they are of, and what was chosen must be there whole; sentences may end in dots. */
    private static boolean whole(Labeled words) {
        return words.getParent() instanceof ComboBox<?>
                || words.getStyleClass().stream().anyMatch(Set.of("figure", "field-name", "column-head")::contains);
    }

    private static double width(TextField field) {
        Text text = new Text(field.getText());
        text.setFont(field.getFont());
        return text.getLayoutBounds().getWidth();
    }

    /** Larger words cost scrolling, never a word of a button or a width. */
    @Test
    void nothingIsCutWithLargerWords() {
        hands.push(KeyCode.CONTROL, KeyCode.EQUALS);
        assertThat(session.preferences().textSize()).isEqualTo(125);
        hands.push(KeyCode.CONTROL, KeyCode.EQUALS).push(KeyCode.CONTROL, KeyCode.EQUALS);
        assertThat(session.preferences().textSize()).as("the largest").isEqualTo(150);
        cut("SB-014", 1280, 800);
    }

    /** On a small screen what is typed into is in view, and the run above it stays where it is. */
    @Test
    void whatIsTypedIntoIsInViewOnASmallScreen() {
        hands.interact(() -> {
            hands.stage().setWidth(1024);
            hands.stage().setHeight(700);
        });
        everywhere("SB-015", where -> {
            Bounds window = hands.scene().getRoot().getLayoutBounds();
            ScrollPane middle = shown().stream().filter(n -> n.getStyleClass().contains("middle-scroll"))
                    .map(ScrollPane.class::cast).findFirst().orElseThrow();
            List<Node> fields = all(Objects.requireNonNull(middle.getContent()), new ArrayList<>()).stream()
                    .filter(n -> n instanceof TextInputControl && !n.isDisabled() && !inside(n)).toList();
            for (Node field : fields) {
                field.requestFocus();
                middle.layout();
                Bounds at = field.localToScene(field.getBoundsInLocal());
                Bounds room = middle.localToScene(middle.getBoundsInLocal());
                assertThat(room.contains(at.getMinX() + 2, at.getMinY() + 2) && room.contains(at.getMaxX() - 2,
                        at.getMaxY() - 2)).as(where + ": " + field.getId() + " " + at + " in " + room).isTrue();
                shown().stream().filter(n -> "place.run".equals(n.getId()))
                        .map(n -> n.localToScene(n.getBoundsInLocal()))
                        .forEach(run -> assertThat(window.contains(run)).as(where + ": the run").isTrue());
            }
        });
    }

    /** Tab goes through a card line by line, from the left. */
    private void readingOrder(String where, List<String> jumps) {
        for (Node card : shown()) {
            if (card.getStyleClass().contains("card")) {
                List<Node> stops = all(card, new ArrayList<>()).stream()
                        .filter(n -> n.isFocusTraversable() && !n.isDisabled() && !inside(n)).toList();
                for (int i = 1; i < stops.size(); i++) {
                    Bounds before = stops.get(i - 1).localToScene(stops.get(i - 1).getBoundsInLocal());
                    Bounds now = stops.get(i).localToScene(stops.get(i).getBoundsInLocal());
                    boolean column = now.getMinX() >= before.getMaxX();
                    boolean up = now.getMaxY() <= before.getMinY() && !column;
                    boolean back = now.getMaxX() <= before.getMinX() && now.getMinY() < before.getMaxY();
                    if (up || back) {
                        jumps.add(where + ": from " + stops.get(i - 1).getId() + " to " + stops.get(i).getId());
                    }
                }
            }
        }
    }

    private void cut(String job, double width, double height) {
        hands.interact(() -> {
            hands.stage().setWidth(width);
            hands.stage().setHeight(height);
        });
        everywhere(job, where -> {
            for (Node node : shown()) {
                if (node instanceof ButtonBase button && !button.isWrapText() && button.getWidth() > 0) {
                    assertThat(button.isTextTruncated()).as(where + ": " + button.getText()).isFalse();
                    assertThat(button.getBoundsInParent().getMaxX()).as(where + ": " + button.getText())
                            .isLessThanOrEqualTo(
                                    Objects.requireNonNull(button.getParent()).getLayoutBounds().getMaxX() + 1);
                }
                if (node instanceof Labeled words && (whole(words) || words.getStyleClass().contains("subtitle"))) {
                    assertThat(words.isTextTruncated()).as(where + ": " + words.getText()).isFalse();
                }
                if (node instanceof TextField field && Objects.requireNonNull(field.getParent()).getStyleClass()
                        .contains("in-table")) {
                    assertThat(width(field)).as(where + ": " + field.getText()).isLessThanOrEqualTo(
                            field.getWidth() - field.getInsets().getLeft() - field.getInsets().getRight() + 0.5);
                }
                if (node instanceof ScrollPane pane && pane.getContent() != null) {
                    assertThat(pane.getContent().getLayoutBounds().getWidth()).as(where + ": as wide as its room")
                            .isLessThanOrEqualTo(pane.getViewportBounds().getWidth() + 1);
                }
                if (node instanceof Drawing drawing) {
                    assertThat(drawing.getChildren()).as(where)
                            .filteredOn(n -> n instanceof Text t && !t.getText().isEmpty()
                                    && (t.getBoundsInParent().getMinX() < -3
                                            || t.getBoundsInParent().getMaxX() > drawing.getWidth() + 3))
                            .isEmpty();
                }
            }
        });
    }

    /** In both variants every word stands out from what is behind it: WCAG 2.2, success criterion 1.4.3, 4.5 to 1. */
    @Test
    void everyWordCanBeRead() {
        Map<String, String> faint = new TreeMap<>();
        for (boolean dark : List.of(false, true)) {
            hands.interact(() -> session.preferences().dark(dark));
            Consumer<String> look = where -> {
                for (Node node : shown()) {
                    Paint paint = node instanceof Labeled l && l.getText() != null && !l.getText().isBlank()
                            ? l.getTextFill()
                            : node instanceof Text t && t.getParent() instanceof Drawing ? t.getFill() : null;
                    if (paint instanceof Color ink && !node.isDisabled()) {
                        Color paper = paper(node);
                        double contrast = Contrast.of(ink, paper);
                        if (contrast < 4.5) {
                            faint.putIfAbsent(node.getStyleClass() + (dark ? " dark" : ""),
                                    where + ": " + node + " " + ink + " on " + paper + ": " + contrast);
                        }
                    }
                }
            };
            everywhere("SB-016", look);
            hands.push(KeyCode.CONTROL, KeyCode.J);
            hands.interact(() -> look.accept("jobs"));
        }
        assertThat(faint).isEmpty();
    }

    /** What was drawn before it, where its middle is. */
    private static Color under(Drawing drawing, Node text) {
        Bounds at = text.getBoundsInParent();
        Color over = Color.TRANSPARENT;
        for (Node node : drawing.getChildren().reversed().subList(
                drawing.getChildren().size() - drawing.getChildren().indexOf(text), drawing.getChildren().size())) {
            if (node instanceof Shape shape && !(shape instanceof Text) && shape.getFill() instanceof Color fill
                    && node.isVisible() && node.contains(node.parentToLocal(at.getCenterX(), at.getCenterY()))) {
                over = Contrast.over(over, fill);
            }
        }
        return over;
    }

    /** The colour behind a node: of the nearest that is painted, with what shines through it. */
    private static Color paper(Node node) {
        Color over = node instanceof Text && node.getParent() instanceof Drawing drawing
                ? under(drawing, node)
                : Color.TRANSPARENT;
        for (Node at = node; at != null; at = at.getParent()) {
            if (at instanceof Region region && region.getBackground() != null
                    && !region.getBackground().getFills().isEmpty()
                    && region.getBackground().getFills().getLast().getFill() instanceof Color fill) {
                over = Contrast.over(over, fill);
            }
        }
        return over;
    }

    /** Whoever does not see the screen is told what each control is; whatever is pressed is large enough for a glove. */
    @Test
    void everyControlHasANameAndRoomForAFinger() {
        everywhere("SB-014", where -> {
            Set<Object> labelled = new java.util.HashSet<>();
            for (Node node : shown()) {
                if (node instanceof Label label && label.getLabelFor() != null) {
                    labelled.add(label.getLabelFor());
                }
            }
            for (Node node : shown()) {
                if (!node.isFocusTraversable() || node instanceof ScrollPane || inside(node)) {
                    continue;
                }
                String says = node.getAccessibleText();
                boolean words = node instanceof ButtonBase b && b.getText() != null && !b.getText().isBlank();
                boolean named = words || (says != null && !says.isBlank()) || labelled.contains(node)
                        || (node instanceof CheckBox c && !c.getText().isBlank());
                assertThat(named).as(where + ": " + node).isTrue();
                if (node instanceof ButtonBase) {
                    Bounds bounds = node.getBoundsInLocal();
                    assertThat(Math.min(bounds.getHeight(), bounds.getWidth())).as(where + ": " + node)
                            .isGreaterThanOrEqualTo(28);
                }
            }
        });
    }

    /** A part of a control, such as the text inside a date field, is named by the control. */
    private static boolean inside(Node node) {
        for (Parent p = node.getParent(); p != null; p = p.getParent()) {
            if (p instanceof Control c && !(c instanceof ScrollPane)) {
                return true;
            }
        }
        return false;
    }
}
