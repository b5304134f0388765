package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.Cell;
import amberheron.core.trim.TrimPlan.State;
import java.util.Optional;
import java.util.function.IntConsumer;
import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;

/**
 * Every bin of speed and load: first how much was driven there, as a disc, and how sure that makes it, as the part of the
 * ring that is drawn; then what it asks for. The bin looked at is framed; arrow keys move the frame.
 */
final class TrimDrawing extends Drawing {
    private static final double LEFT = 46;
    private static final double FOOT = 36;
    private static final double TOP = 4;
    /** Time in a bin at which its disc is largest, s. */
    private static final double FULL = 60;

    /** Width of a bin below which no number is written beside the disc, pixels. */
    private static final double NUMBERS = 30;

    private final IntConsumer looked;
    private Optional<TrimPlan> plan = Optional.empty();
    private int at;

    TrimDrawing(double height, IntConsumer looked) {
        super(height);
        this.looked = looked;
        setId("trims.bins");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText(say("Bins of speed and load; arrow keys move"));
        setOnMousePressed(e -> {
            requestFocus();
            plan.ifPresent(p -> {
                int x = (int) Math.floor((e.getX() - LEFT) / wide(p));
                int y = (int) Math.floor((e.getY() - TOP) / high(p));
                if (x >= 0 && x < p.speeds().size() && y >= 0 && y < p.loads().size()) {
                    look((p.loads().size() - 1 - y) * p.speeds().size() + x);
                }
            });
        });
        setOnKeyPressed(e -> plan.ifPresent(p -> {
            int n = p.speeds().size();
            int x = at % n + (e.getCode() == KeyCode.RIGHT ? 1 : e.getCode() == KeyCode.LEFT ? -1 : 0);
            int y = at / n + (e.getCode() == KeyCode.UP ? 1 : e.getCode() == KeyCode.DOWN ? -1 : 0);
            if ((x != at % n || y != at / n) && x >= 0 && x < n && y >= 0 && y < p.loads().size()) {
                look(y * n + x);
                e.consume();
            } else if (e.getCode().isArrowKey()) {
                e.consume();
            }
        }));
        focusedProperty().addListener(o -> refresh());
    }

    private void look(int cell) {
        at = cell;
        refresh();
        looked.accept(cell);
    }

    void show(Optional<TrimPlan> now, int cell) {
        plan = now;
        at = cell;
        refresh();
    }

    private double wide(TrimPlan p) {
        return (getWidth() - LEFT) / p.speeds().size();
    }

    private double high(TrimPlan p) {
        return (getHeight() - TOP - FOOT) / p.loads().size();
    }

    @Override
    protected void draw(double width, double height) {
        TrimPlan p = plan.orElse(null);
        if (p == null) {
            text(say("No evidence yet: a warm drive with engine speed and load in its log."), LEFT, 40, 0,
                    "drawing-text",
                    "soft-text");
            return;
        }
        double w = wide(p);
        double h = high(p);
        int n = p.speeds().size();
        for (int y = 0; y < p.loads().size(); y++) {
            double middle = TOP + (p.loads().size() - 0.5 - y) * h;
            text(say("%.0f", p.axis().shown(p.loads().get(y))), LEFT - 8, middle + 4, 1, "drawing-text");
            line(LEFT, middle + h / 2, width, middle + h / 2, "trim-line");
            for (int x = 0; x < n; x++) {
                cell(p.cell(x, y), LEFT + (x + 0.5) * w, middle, w, h);
            }
        }
        int every = w < 34 ? 2 : 1;
        for (int x = 0; x < n; x += every) {
            text(say("%.0f", p.speeds().get(x)), LEFT + (x + 0.5) * w, height - FOOT + 16, 0.5, "drawing-text");
        }
        text(say("engine speed, 1/min"), width, height - 3, 1, "drawing-text", "soft-text");
        text(say("%s, %s", p.axis().words(), p.axis().unit()), 0, height - 3, 0, "drawing-text", "soft-text");
        add(new Rectangle(LEFT + at % n * w + 1, TOP + (p.loads().size() - 1 - at / n) * h + 1, w - 2, h - 2),
                isFocused() ? "trim-looked-at" : "trim-looked");
    }

    private void cell(Cell cell, double x, double y, double w, double h) {
        if (cell.seconds() <= 0) {
            return;
        }
        double room = Math.min(w / 2, h);
        boolean numbers = w >= NUMBERS;
        double middle = numbers ? x - w * 0.24 : x;
        double radius = Math.max(2, (room / 2 - 4) * Math.sqrt(Math.min(1, cell.seconds() / FULL)));
        add(new Circle(middle, y, radius), cell.state() == State.TOO_LITTLE ? "trim-little" : "trim-disc");
        if (cell.state() == State.TOO_LITTLE) {
            return;
        }
        Arc sure = new Arc(middle, y, radius + 2.5, radius + 2.5, 90, -360 * cell.sure());
        sure.setType(ArcType.OPEN);
        add(sure, "trim-sure");
        if (!numbers) {
            return;
        }
        Double advice = cell.advice();
        String words = switch (cell.state()) {
            case DONE -> "✓";
            case FAULT -> "▲";
            default -> advice == null ? "" : say("%+.0f", 100 * advice);
        };
        text(words, x + w * 0.36, y + 4, 1, "drawing-text", cell.state() == State.FAULT ? "wrong-text" : "strong");
    }
}
