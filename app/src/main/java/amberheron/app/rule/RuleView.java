package amberheron.app.rule;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Parts;
import amberheron.app.parts.Redraw;
import amberheron.app.session.Figures;
import amberheron.app.session.Navigation;
import amberheron.app.session.Session;
import amberheron.core.job.Station;
import amberheron.core.scaling.Tolerance;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The rule across the foot of the window: drag the cursor, step it by keys, or type on any scale. */
public final class RuleView extends Pane {
    private static final double STEP_ROOM = 84;
    private static final double STEP = 0.005;
    private static final double STRIDE = 0.05;
    private static final double ROW = 25;
    private static final double FIELD = 74;
    /** Room for what the reader shows, in one line. */
    private static final double SAID = 400;
    private static final PseudoClass MEASURED = PseudoClass.getPseudoClass("measured");
    private static final PseudoClass LIES = PseudoClass.getPseudoClass("lies");

    private final Session session;
    private final Group scales = new Group();
    private final Line cursor = styled(new Line(), "rule-cursor");
    private final Rectangle halo = styled(new Rectangle(), "rule-halo");
    private final Rectangle gap = styled(new Rectangle(), "rule-gap");
    private final Line ghost = styled(new Line(), "rule-ghost");
    private final Polygon head = styled(new Polygon(0, 0, 12, 0, 6, 8), "rule-head");
    private final Text verdict = styled(new Text(), "rule-verdict");
    private final Button fold;
    private final List<TextField> values = new ArrayList<>();
    private RuleModel model;
    private final List<Row> rows = new ArrayList<>();
    private double drawnFor = -1;
    private boolean folded;
    private double top;
    private double left;
    private double right;

    /** The rule on a session. */
    public RuleView(Session session) {
        this.session = session;
        this.model = new RuleModel(session.review(), session.preferences().units());
        fold = Parts.button("", "rule.fold", this::foldOrUnfold, "rule-fold");
        fold(false);
        setId("rule");
        getStyleClass().add("rule");
        fold.setFocusTraversable(false);
        setFocusTraversable(true);
        setAccessibleText(say("Reading rule: arrow keys move the mixture"));
        scales.setMouseTransparent(true);
        setOnMousePressed(e -> {
            requestFocus();
            drag(e.getX());
        });
        setOnMouseDragged(e -> drag(e.getX()));
        setOnKeyPressed(this::key);
        session.listeners().onCursor(this::moved);
    }

    /** Folds or unfolds the reading rule at this station; at the list of jobs there is nothing to read on it. */
    public void foldOrUnfold() {
        if (session.at().view() == Navigation.View.STATION) {
            Station station = session.at().station();
            session.preferences().folded(station, !session.preferences().folded(station));
        }
    }

    private static <S extends javafx.scene.Node> S styled(S node, String style) {
        node.getStyleClass().add(style);
        node.setMouseTransparent(true);
        return node;
    }

    /** Folds it to the mixture, what the reader shows for it and where they part; or lays out every scale. */
    public final void fold(boolean inOneLine) {
        folded = inOneLine;
        top = folded ? 8 : 12;
        left = folded ? sized(98 + FIELD) : sized(152);
        right = folded ? sized(SAID) : sized(FIELD) + 26;
        fold.setText(folded ? say("unfold F6") : say("fold F6"));
        fold.setAccessibleText(folded ? say("Unfold the reading rule") : say("Fold the reading rule to one line"));
    }

    private List<RuleModel.Scale> scalesSeen() {
        return folded ? model.scales().subList(0, 1) : model.scales();
    }

    /** Lays the scales anew for the job as it stands. */
    public void refresh() {
        model = new RuleModel(session.review(), session.preferences().units(), model);
        if (values.size() != scalesSeen().size()) {
            makeFields();
        }
        drawnFor = -1;
        requestLayout();
        layout();
    }

    private void makeFields() {
        values.clear();
        for (int i = 0; i < scalesSeen().size(); i++) {
            TextField value = new TextField();
            value.getStyleClass().add("rule-value");
            int index = i;
            value.setOnAction(e -> typed(index, value.getText()));
            Parts.undoFrom(value, session,
                    () -> value.getText().equals(model.scales().get(index).text(session.at().cursor())));
            value.focusedProperty().addListener((o, was, now) -> moved());
            values.add(value);
        }
        rows.clear();
        scales.getChildren().clear();
        values.forEach(v -> {
            Row row = new Row();
            scales.getChildren().add(row.all);
            rows.add(row);
        });
        getChildren().setAll(halo, gap, ghost, scales, cursor, head, verdict, fold);
        getChildren().addAll(values);
        requestParentLayout();
    }

    private void typed(int index, String text) {
        try {
            double value = Double.parseDouble(text.strip().replace(',', '.').replace('−', '-'));
            OptionalDouble found = model.find(model.scales().get(index), value);
            if (found.isPresent()) {
                requestFocus();
                session.at().cursor(found.getAsDouble());
            } else {
                session.tell(say("%s: %s is not on the rule, which runs from %s to %s.",
                        model.scales().get(index).name(), text.strip(), model.scales().get(index).text(model.from()),
                        model.scales().get(index).text(model.to())));
            }
        } catch (NumberFormatException e) {
            session.tell(say("%s: found “%s”, expected a number such as %s.", model.scales().get(index).name(),
                    text.strip(), model.scales().get(index).text(session.at().cursor())));
        }
    }

    private void drag(double x) {
        session.at().cursor(model.lambda((x - left) / room()));
    }

    /** A width or height that words have to fit into. */
    private double sized(double usual) {
        return usual * session.preferences().textSize() / 100;
    }

    private double room() {
        return Math.max(10, getWidth() - left - right);
    }

    private void key(KeyEvent e) {
        double step = e.isShiftDown() ? STRIDE : STEP;
        Double to = switch (e.getCode()) {
            case LEFT -> session.at().cursor() - step;
            case RIGHT -> session.at().cursor() + step;
            case HOME -> model.from();
            case END -> model.to();
            default -> null;
        };
        if (to != null && !e.isAltDown() && e.getTarget() == this) {
            session.at().cursor(model.held(Math.round(to / STEP) * STEP));
            e.consume();
        }
    }

    private double x(double lambda) {
        return left + Math.clamp(model.place(lambda), 0, 1) * room();
    }

    private double foot() {
        return top + sized(ROW) * values.size();
    }

    /** Draws the cursor anew; the scales stay as they are. */
    private void moved() {
        double lambda = session.at().cursor();
        double x = x(lambda);
        cursor.setStartX(x);
        cursor.setEndX(x);
        cursor.setStartY(4);
        cursor.setEndY(foot());
        head.setTranslateX(x - 6);
        // As wide as the trust figure: anywhere in it may be the truth.
        double u = model.trust(lambda).orElse(0);
        double from = u > 0 ? x(lambda - u) : x - 12;
        halo.setX(Math.min(from, x - 3));
        halo.setY(4);
        halo.setWidth(Math.max(6, u > 0 ? x(lambda + u) - from : 24));
        halo.setHeight(foot() - 4);
        for (int i = 0; i < values.size(); i++) {
            String text = model.scales().get(i).text(lambda);
            if (!values.get(i).isFocused() && !values.get(i).getText().equals(text)) {
                values.get(i).setText(text);
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
            verdict.setText(folded
                    ? model.shown(lambda).map(m -> Figures.text(session, m)).orElse("")
                    : lies
                            ? say("▲ shows %s, %s", Figures.text(session, Figures.leanOrRich(off.getAsDouble())),
                                    model.basis())
                            : say("shown = true here, %s", model.basis()));
            verdict.pseudoClassStateChanged(LIES, lies);
            verdict.pseudoClassStateChanged(MEASURED, model.measured());
            double wide = verdict.getLayoutBounds().getWidth();
            verdict.setX(folded
                    ? getWidth() - right + 22
                    : Math.clamp(x + 16, left, Math.max(left, getWidth() - right - wide)));
            verdict.setY(folded ? foot() - 6 : foot() + 13);
        }
    }

    @Override
    protected void layoutChildren() {
        for (int i = 0; i < values.size(); i++) {
            values.get(i).resizeRelocate(folded ? left - sized(FIELD) - 10 : getWidth() - sized(FIELD) - 14,
                    top + sized(ROW) * i - 3, sized(FIELD),
                    sized(ROW) - 1);
        }
        double wide = fold.prefWidth(-1);
        fold.resizeRelocate(getWidth() - wide - 10, folded ? (getHeight() - sized(ROW)) / 2 : foot() - 2, wide,
                sized(ROW) - 3);
        if (getWidth() > 0 && drawnFor != getWidth()) {
            drawnFor = getWidth();
            int most = (int) (room() / sized(STEP_ROOM));
            for (int i = 0; i < values.size(); i++) {
                rows.get(i).draw(model.scales().get(i), most, top + sized(ROW) * (i + 1) - 4, values.get(i));
            }
            moved();
        }
    }

    /** One scale as it is drawn. */
    private final class Row {
        private final Group all = new Group();
        private final Redraw drawn = new Redraw(all.getChildren());

        /** A hundred numbers are styled only when they change. */
        void draw(RuleModel.Scale scale, int most, double y, TextField value) {
            List<RuleModel.Tick> ticks = model.ticks(scale, most);
            List<Object> shows = List.of(getWidth(), left, right, y, folded, scale.id(), scale.name(), scale.told(),
                    ticks, scale.id().equals("lambda") ? model.witnesses() : List.of());
            drawn.draw(shows, () -> {
                value.setId("rule." + scale.id());
                value.setAccessibleText(say("%s at the cursor", scale.name()));
                RuleView.this.draw(drawn, scale, y, scale.told() ? "told" : "true", ticks);
            });
        }
    }

    private void draw(Redraw drawn, RuleModel.Scale scale, double y, String style, List<RuleModel.Tick> ticks) {
        if (scale.id().equals("lambda")) {
            model.witnesses().forEach(w -> {
                double at = Math.rint(x(w.truth()));
                double off = Math.rint(x(w.shown()));
                // From what it is to what the controller showed: no length where both agree.
                drawn.add(new Rectangle(Math.min(at, off), Math.rint(y) - 16, Math.max(2, Math.abs(off - at)), 3),
                        Math.abs(w.shown() - w.truth()) > Tolerance.LAMBDA ? "rule-gap" : "rule-witness");
                drawn.add(new Text(at - 12, y - 6, w.letter()), "rule-number-told");
            });
        }
        // On whole pixels, as rectangles: strokes and pictures take several times as long to paint.
        double foot = Math.rint(y);
        drawn.add(new Rectangle(left, foot, room(), 1), "rule-tick-" + style);
        ticks.forEach(t -> {
            double high = t.number().isEmpty() ? 4 : 9;
            drawn.add(new Rectangle(Math.rint(left + t.place() * room()), foot - high, 1, high), "rule-tick-" + style);
        });
        List<Text> numbers = ticks.stream().filter(t -> !t.number().isEmpty())
                .map(t -> new Text(left + t.place() * room() + 3, y - 6, t.number())).toList();
        Text name = drawn.add(new Text(0, y - 5, scale.name()), "rule-name-" + style);
        name.applyCss();
        double end = left - 14 - (folded ? sized(FIELD) : 0);
        for (int cut = scale.name().length() - 1; cut > 0 && name.getLayoutBounds().getWidth() > end - 6; cut--) {
            name.setText(scale.name().substring(0, cut).strip() + "…");
        }
        name.setX(end - name.getLayoutBounds().getWidth());
        double lastEnd = -1e9;
        for (Text text : numbers) {
            Text number = drawn.add(text, "rule-number-" + style);
            number.applyCss();
            double until = number.getX() + number.getLayoutBounds().getWidth();
            boolean fits = number.getX() >= lastEnd && until <= getWidth() - right + 12;
            number.setVisible(fits);
            lastEnd = fits ? until + 4 : lastEnd;
        }
    }

    @Override
    protected double computePrefHeight(double width) {
        return folded ? foot() + 6 : foot() + sized(20);
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }
}
