package amberheron.app.rule;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.parts.Parts;
import amberheron.app.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.geometry.VPos;
import javafx.scene.Group;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The rule across the foot of the window: drag the cursor, step it by keys, or type on any scale. */
public final class RuleView extends Pane {
    private static final double STEP_ROOM = 84;
    private static final double STEP = 0.005;
    private static final double STRIDE = 0.05;

    private final Session session;
    private final Group scales = new Group();
    private final Line cursor = styled(new Line(), "rule-cursor");
    private final Rectangle halo = styled(new Rectangle(), "rule-halo");
    private final Rectangle gap = styled(new Rectangle(), "rule-gap");
    private final Line ghost = styled(new Line(), "rule-ghost");
    private final Polygon head = styled(new Polygon(0, 0, 12, 0, 6, 8), "rule-head");
    private final Text verdict = styled(new Text(), "rule-verdict");
    private final List<TextField> values = new ArrayList<>();
    private RuleModel model;
    private List<Object> shown = List.of();
    private double drawnFor = -1;
    private double type = 1;
    private double row;
    private double top;
    private double left;
    private double field;
    private double right;

    /** The rule on a session. */
    public RuleView(Session session) {
        this.session = session;
        this.model = new RuleModel(session.review(), session.units());
        type(1);
        setId("rule");
        getStyleClass().add("rule");
        setFocusTraversable(true);
        setAccessibleText("Reading rule: arrow keys move the mixture");
        scales.setMouseTransparent(true);
        setOnMousePressed(e -> {
            requestFocus();
            drag(e.getX());
        });
        setOnMouseDragged(e -> drag(e.getX()));
        setOnKeyPressed(this::key);
        session.onCursor(this::moved);
    }

    private static <S extends javafx.scene.Node> S styled(S node, String style) {
        node.getStyleClass().add(style);
        node.setMouseTransparent(true);
        return node;
    }

    /** Grows with the type: 1 as usual, 2 at arm's length. */
    public void type(double size) {
        type = size;
        row = 25 * size;
        top = 12 * size;
        left = 134 * size;
        field = 74 * size;
        right = field + 26;
    }

    /** Lays the scales anew for the job as it stands. */
    public void refresh() {
        model = new RuleModel(session.review(), session.units());
        if (values.size() != model.scales().size()) {
            makeFields();
        }
        drawnFor = -1;
        requestLayout();
        layout();
        moved();
    }

    private void makeFields() {
        values.clear();
        for (int i = 0; i < model.scales().size(); i++) {
            TextField value = new TextField();
            value.getStyleClass().add("rule-value");
            int index = i;
            value.setOnAction(e -> typed(index, value.getText()));
            Parts.undoFrom(value, session,
                    () -> value.getText().equals(model.scales().get(index).text(session.cursor())));
            value.focusedProperty().addListener((o, was, now) -> moved());
            values.add(value);
        }
        getChildren().setAll(halo, gap, ghost, scales, cursor, head, verdict);
        getChildren().addAll(values);
        requestParentLayout();
    }

    private void typed(int index, String text) {
        try {
            double value = Double.parseDouble(text.strip().replace(',', '.').replace('−', '-'));
            OptionalDouble found = model.find(model.scales().get(index), value);
            if (found.isPresent()) {
                requestFocus();
                session.cursor(found.getAsDouble());
            } else {
                session.tell(say("%s: %s is not on the rule, which runs from %s to %s.",
                        model.scales().get(index).name(), text.strip(), model.scales().get(index).text(model.from()),
                        model.scales().get(index).text(model.to())));
            }
        } catch (NumberFormatException e) {
            session.tell(say("%s: found “%s”, expected a number such as %s.", model.scales().get(index).name(),
                    text.strip(), model.scales().get(index).text(session.cursor())));
        }
    }

    private void drag(double x) {
        session.cursor(model.lambda((x - left) / room()));
    }

    private double room() {
        return Math.max(10, getWidth() - left - right);
    }

    private void key(KeyEvent e) {
        double step = e.isShiftDown() ? STRIDE : STEP;
        Double to = switch (e.getCode()) {
            case LEFT -> session.cursor() - step;
            case RIGHT -> session.cursor() + step;
            case HOME -> model.from();
            case END -> model.to();
            default -> null;
        };
        if (to != null && !e.isAltDown() && e.getTarget() == this) {
            session.cursor(model.held(Math.round(to / STEP) * STEP));
            e.consume();
        }
    }

    private double x(double lambda) {
        return left + Math.clamp(model.place(lambda), 0, 1) * room();
    }

    private double foot() {
        return top + row * values.size();
    }

    /** Only the cursor moves; the scales stay as they are drawn. */
    private void moved() {
        double lambda = session.cursor();
        double x = x(lambda);
        cursor.setStartX(x);
        cursor.setEndX(x);
        cursor.setStartY(4);
        cursor.setEndY(foot());
        head.setTranslateX(x - 6);
        halo.setX(x - 12);
        halo.setY(4);
        halo.setWidth(24);
        halo.setHeight(foot() - 4);
        for (int i = 0; i < values.size(); i++) {
            if (!values.get(i).isFocused()) {
                values.get(i).setText(model.scales().get(i).text(lambda));
            }
        }
        OptionalDouble off = model.gap(lambda);
        boolean lies = model.lies(lambda);
        gap.setVisible(lies);
        ghost.setVisible(lies);
        verdict.setVisible(off.isPresent());
        if (off.isPresent()) {
            double shownX = x(lambda + off.getAsDouble());
            gap.setX(Math.min(x, shownX));
            gap.setWidth(Math.max(2, Math.abs(shownX - x)));
            gap.setY(4);
            gap.setHeight(foot() - 4);
            ghost.setStartX(shownX);
            ghost.setEndX(shownX);
            ghost.setStartY(4);
            ghost.setEndY(foot());
            verdict.setText(lies
                    ? "▲ shows " + Figures.text(session, Figures.leanOrRich(off.getAsDouble())) + ", " + model.basis()
                    : "shown = true here, " + model.basis());
            verdict.pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("lies"), lies);
            double wide = verdict.getLayoutBounds().getWidth();
            verdict.setX(Math.clamp(x + 16, left, Math.max(left, getWidth() - right - wide)));
            verdict.setY(foot() + 13 * type);
        }
    }

    @Override
    protected void layoutChildren() {
        for (int i = 0; i < values.size(); i++) {
            values.get(i).resizeRelocate(getWidth() - field - 14, top + row * i - 3, field, row - 1);
        }
        if (getWidth() > 0 && drawnFor != getWidth()) {
            drawnFor = getWidth();
            int most = (int) (room() / STEP_ROOM * type);
            List<Object> shows = new ArrayList<>(List.of(getWidth(), type, left, right, top, row));
            model.scales().forEach(s -> shows.addAll(List.of(s.id(), s.name(), s.told(), model.ticks(s, most))));
            // Drawn anew only when it would look different: styling a hundred numbers takes longer than a frame.
            if (!shows.equals(shown)) {
                shown = shows;
                scales.getChildren().clear();
                for (int i = 0; i < model.scales().size() && i < values.size(); i++) {
                    draw(model.scales().get(i), top + row * (i + 1) - 4, values.get(i));
                }
            }
            moved();
        }
    }

    private void draw(RuleModel.Scale scale, double y, TextField value) {
        String style = scale.told() ? "told" : "true";
        value.setId("rule." + scale.id());
        value.setAccessibleText(say("%s at the cursor", scale.name()));
        Text name = styled(new Text(scale.name()), "rule-name-" + style);
        name.setTextOrigin(VPos.BASELINE);
        Path ticks = styled(new Path(), "rule-tick-" + style);
        scales.getChildren().addAll(ticks, name);
        name.applyCss();
        name.setX(left - 14 - name.getLayoutBounds().getWidth());
        name.setY(y - 5);
        ticks.getElements().addAll(new MoveTo(left, y), new LineTo(left + room(), y));
        double lastEnd = -1e9;
        for (RuleModel.Tick tick : model.ticks(scale, (int) (room() / STEP_ROOM * type))) {
            double x = left + tick.place() * room();
            ticks.getElements().addAll(new MoveTo(x, y),
                    new LineTo(x, y - (tick.number().isEmpty() ? 4 * type : 9 * type)));
            if (!tick.number().isEmpty()) {
                Text number = styled(new Text(tick.number()), "rule-number-" + style);
                scales.getChildren().add(number);
                number.applyCss();
                number.setX(x + 3);
                number.setY(y - 6);
                if (number.getX() < lastEnd
                        || number.getX() + number.getLayoutBounds().getWidth() > getWidth() - right + 12) {
                    scales.getChildren().remove(number);
                } else {
                    lastEnd = number.getX() + number.getLayoutBounds().getWidth() + 4;
                }
            }
        }
    }

    @Override
    protected double computePrefHeight(double width) {
        return foot() + 20 * type;
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }
}
