package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Envelope;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Silence;
import amberheron.core.drivelog.Traces;
import amberheron.core.job.Output;
import amberheron.core.scaling.Tolerance;
import java.nio.IntBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.scene.AccessibleRole;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;

/**
 * The log over time: above, what controller and reader said; below, their difference in its band. Wheel, keys and two
 * fingers zoom and move; the cursor drives the reading rule.
 */
final class TracePlot extends Drawing {
    private static final double MARGIN = 62;
    private static final double RIGHT = 10;
    private static final double ZOOM = 0.8;
    private static final double STEP = 0.1;
    private static final int DASH = 6;
    private static final int GAP = 4;

    private final Session session;
    private final TraceView view;
    private final Line cursor = new Line();
    private @Nullable Columns pixels;
    private double least;
    private double most;

    TracePlot(Session session, TraceView view, double height) {
        super(height);
        this.session = session;
        this.view = view;
        setId("prove.trace");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setAccessibleText(say("The drive over time: arrow keys move the cursor, plus and minus zoom, page keys "
                + "move along"));
        cursor.getStyleClass().add("rule-cursor");
        cursor.setMouseTransparent(true);
        view.watch(() -> {
            if (getScene() != null) {
                refresh();
            }
        });
        onDrag((x, y, done) -> {
            requestFocus();
            Traces traces = view.traces();
            if (traces != null) {
                view.at(traces, time(traces, x));
            }
        });
        setOnScroll(this::scrolled);
        setOnZoom(e -> {
            Traces traces = view.traces();
            if (traces != null && e.getZoomFactor() > 0) {
                view.zoom(traces, time(traces, e.getX()), 1 / e.getZoomFactor());
                e.consume();
            }
        });
        setOnKeyPressed(this::keyed);
        focusedProperty().addListener(o -> refresh());
    }

    private double room() {
        return Math.max(1, getWidth() - MARGIN - RIGHT);
    }

    private double time(Traces traces, double x) {
        double from = view.from(traces);
        return from + Math.clamp((x - MARGIN) / room(), 0, 1) * (view.to(traces) - from);
    }

    private double x(Traces traces, double time) {
        double from = view.from(traces);
        return MARGIN + (time - from) / Math.max(1e-9, view.to(traces) - from) * room();
    }

    private void scrolled(ScrollEvent e) {
        Traces traces = view.traces();
        if (traces == null) {
            return;
        }
        double along = e.getDeltaX() != 0 ? e.getDeltaX() : e.isShiftDown() ? e.getDeltaY() : 0;
        if (along != 0) {
            view.pan(traces, -along / room());
        } else if (e.getDeltaY() != 0) {
            view.zoom(traces, time(traces, e.getX()), Math.pow(ZOOM, e.getDeltaY() / 40));
        }
        e.consume();
    }

    private void keyed(KeyEvent e) {
        Traces traces = view.traces();
        if (traces == null || e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        double at = Double.isNaN(view.cursor()) ? view.from(traces) : view.cursor();
        double one = (view.to(traces) - view.from(traces)) / room() * (e.isShiftDown() ? 20 : 2);
        switch (e.getCode()) {
            case RIGHT -> view.at(traces, at + one);
            case LEFT -> view.at(traces, at - one);
            case PLUS, ADD, EQUALS -> view.zoom(traces, at, ZOOM);
            case MINUS, SUBTRACT -> view.zoom(traces, at, 1 / ZOOM);
            case PAGE_UP -> view.pan(traces, -STEP * 8);
            case PAGE_DOWN -> view.pan(traces, STEP * 8);
            case HOME -> view.at(traces, traces.start());
            case END -> view.at(traces, traces.end());
            case DIGIT0, NUMPAD0 -> view.all();
            default -> {
                return;
            }
        }
        e.consume();
    }

    @Override
    protected void draw(double width, double height) {
        Output.Proving proving = session.job().proving();
        Traces traces = view.traces();
        if (proving == null || traces == null) {
            text(say("No log read yet."), 4, 30, 0, "drawing-text", "soft-text");
            return;
        }
        LogComparison log = proving.result();
        DriveFound found = proving.found();
        double split = height * 0.52;
        bounds(traces);
        double room = Math.max(0.02, most - least);
        DoubleUnaryOperator mixture = l -> split - 12 - (l - least) / room * (split - 34);
        double middle = (split + height - 20) / 2;
        double half = (height - 20 - split) / 2 - 4;
        double widest = Math.max(2 * Tolerance.LAMBDA, 1.1 * Math.abs(log.worst()));
        double band = Tolerance.LAMBDA / widest * half;
        Silence silence = found == null ? new Silence(List.of()) : found.silence();
        for (Silence.Span span : silence.spans()) {
            double left = Math.max(MARGIN, x(traces, span.from()));
            double right = Math.min(width - RIGHT, x(traces, span.to()));
            if (right > left) {
                hatch(left, right, split + 14, height - 20);
            }
        }
        add(new Rectangle(MARGIN, middle - band, room(), 2 * band), "plot-band");
        line(MARGIN, middle, width - RIGHT, middle, "plot-zero");
        Columns columns = Columns.of(pixels, (int) room(), (int) height);
        pixels = columns;
        columns.clear();
        Traces other = view.other();
        if (other != null) {
            trace(columns, "trace-other", traces, other, other.controller(), other.drive().controller(), mixture, null,
                    other.start() - traces.start());
        }
        trace(columns, "trace-controller", traces, traces, traces.controller(), traces.drive().controller(), mixture,
                null, 0);
        trace(columns, "trace-reader", traces, traces, traces.reader(), traces.drive().reader(), mixture, null, 0);
        trace(columns, "plot-line", traces, traces, traces.difference(), null,
                d -> middle - Math.clamp(d / widest, -1, 1) * half, silence, 0);
        ImageView drawn = add(new ImageView(columns.image()));
        drawn.setX(MARGIN);
        drawn.setMouseTransparent(true);
        legend(width, height, found, silence);
        text(Figures.mixture(session, most), MARGIN - 6, 26, 1, "drawing-text");
        text(Figures.mixture(session, least), MARGIN - 6, split - 8, 1, "drawing-text");
        text(say("shown − true"), MARGIN, split + 8, 0, "drawing-text");
        if (band > 8) {
            text(Figures.difference(session, Tolerance.LAMBDA), MARGIN - 6, middle - band + 4, 1, "drawing-text");
            text(Figures.difference(session, -Tolerance.LAMBDA), MARGIN - 6, middle + band + 4, 1, "drawing-text");
        } else {
            text("± " + Figures.mixture(session, Tolerance.LAMBDA), MARGIN - 6, middle + 4, 1, "drawing-text");
        }
        double worst = x(traces, log.worstAt());
        if (worst >= MARGIN && worst <= width - RIGHT) {
            add(new Circle(worst, middle - log.worst() / widest * half, 4.5), "plot-point");
        }
        cursor(traces, width, height);
    }

    private void legend(double width, double height, @Nullable DriveFound found, Silence silence) {
        line(MARGIN, 10, MARGIN + 26, 10, "trace-controller");
        text(say("controller"), MARGIN + 32, 14, 0, "drawing-text");
        line(MARGIN + 112, 10, MARGIN + 138, 10, "trace-reader");
        text(found == null || found.agreement() == null || found.agreement().lag() == null
                ? say("reader")
                : say("reader, lag out"), MARGIN + 144, 14, 0, "drawing-text");
        if (view.other() != null) {
            line(MARGIN + 262, 10, MARGIN + 288, 10, "trace-other");
            text(view.otherName(), MARGIN + 294, 14, 0, "drawing-text");
        }
        Traces traces = view.traces();
        if (traces != null) {
            text(say("%.0f s", view.from(traces)), MARGIN, height - 3, 0, "drawing-text");
            text(say("%.0f s", view.to(traces)), width - RIGHT, height - 3, 1, "drawing-text");
        }
        if (!silence.spans().isEmpty() && Double.isNaN(view.cursor())) {
            text(say("hatched: says nothing"), (MARGIN + width - RIGHT) / 2, height - 3, 0.5, "drawing-text");
        }
    }

    private void cursor(Traces traces, double width, double height) {
        int row = Double.isNaN(view.cursor()) ? -1 : traces.nearest(view.cursor());
        if (row < 0) {
            if (isFocused()) {
                text(say("← → cursor · + − zoom · 0 all"), width - RIGHT, 14, 1, "drawing-text", "soft-text");
            }
            return;
        }
        double at = x(traces, view.cursor());
        cursor.setStartX(at);
        cursor.setEndX(at);
        cursor.setStartY(18);
        cursor.setEndY(height - 18);
        if (at >= MARGIN - 1 && at <= width - RIGHT + 1) {
            add(cursor);
        }
        double told = traces.drive().controller()[row];
        double shown = traces.drive().reader()[row];
        text(say("%.1f s: ", view.cursor()) + Figures.mixture(session, told) + (Double.isNaN(shown)
                ? say(", the reader shows nothing")
                : say(", shown %s", Figures.mixture(session, shown))), (MARGIN + width - RIGHT) / 2, height - 3, 0.5,
                "drawing-text", "strong");
    }

    /** The colour of a style, which stands in the style sheet. */
    private Paint paint(String style) {
        Line line = add(new Line(-9, -9, -9, -9), style);
        line.applyCss();
        line.setVisible(false);
        return line.getStroke();
    }

    /** The mixtures seen in the part that is looked at. */
    private void bounds(Traces traces) {
        int first = Math.max(0, traces.row(view.from(traces)) - 1);
        int last = Math.min(traces.drive().size(), traces.row(view.to(traces)) + 1);
        least = Math.min(or(traces.controller().least(first, last), 1), or(traces.reader().least(first, last), 1));
        most = Math.max(or(traces.controller().most(first, last), 1), or(traces.reader().most(first, last), 1));
    }

    private static double or(float value, double otherwise) {
        return Float.isNaN(value) ? otherwise : value;
    }

    /** Few rows are joined by lines; of many, each column of the screen has its least and its greatest. */
    private void trace(Columns into, String style, Traces seen, Traces of, Envelope envelope,
            float @Nullable [] values, DoubleUnaryOperator place, @Nullable Silence without, double later) {
        int columns = (int) room();
        double from = view.from(seen) + later;
        double each = (view.to(seen) - view.from(seen)) / columns;
        int first = Math.max(0, of.row(from) - 1);
        int last = Math.min(of.drive().size(), of.row(from + each * columns) + 1);
        int colour = Columns.argb(paint(style));
        boolean dashed = style.equals("trace-reader");
        if (last - first <= 2 * columns) {
            joined(into, colour, dashed, seen, of, values, first, last, place, without, later);
            return;
        }
        int[] begins = of.columns(from, from + each * columns, columns);
        double before = Double.NaN;
        for (int c = 0; c < columns; c++) {
            int row = begins[c];
            int next = begins[c + 1];
            float low = envelope.least(row, next);
            if (!Float.isNaN(low) && (without == null || !without.at(from + (c + 0.5) * each))) {
                double top = place.applyAsDouble(envelope.most(row, next));
                double foot = place.applyAsDouble(low);
                // A step from one column to the next stays joined.
                double high = Double.isNaN(before) ? top : Math.min(top, before);
                double deep = Double.isNaN(before) ? foot : Math.max(foot, before);
                if (!dashed || c % (DASH + GAP) < DASH) {
                    into.fill(c, high - 0.8, Math.max(high + 0.8, deep + 0.8), colour);
                }
                before = (top + foot) / 2;
            } else if (next > row || without != null) {
                before = Double.NaN;
            }
        }
    }

    private void joined(Columns into, int colour, boolean dashed, Traces seen, Traces of, float @Nullable [] values,
            int first, int last, DoubleUnaryOperator place, @Nullable Silence without, double later) {
        double fromX = Double.NaN;
        double fromY = Double.NaN;
        for (int i = first; i < last; i++) {
            double time = of.drive().time()[i];
            float value = values == null ? of.drive().reader()[i] - of.drive().controller()[i] : values[i];
            boolean hole = Float.isNaN(value) || (without != null && without.at(time));
            if (hole || (i > first && time - of.drive().time()[i - 1] > of.gap())) {
                fromX = Double.NaN;
            }
            if (!hole) {
                double toX = x(seen, time - later) - MARGIN;
                double toY = place.applyAsDouble(value);
                if (!Double.isNaN(fromX)) {
                    stroke(into, colour, dashed, fromX, fromY, toX, toY);
                }
                fromX = toX;
                fromY = toY;
            }
        }
    }

    /** A straight line, column by column. */
    private static void stroke(Columns into, int colour, boolean dashed, double fromX, double fromY, double toX,
            double toY) {
        double slope = (toY - fromY) / Math.max(1e-9, toX - fromX);
        int last = (int) Math.min(into.wide() - 1, Math.floor(toX));
        for (int c = (int) Math.max(0, Math.floor(fromX)); c <= last; c++) {
            double a = fromY + slope * (Math.clamp(c, fromX, toX) - fromX);
            double b = fromY + slope * (Math.clamp(c + 1.0, fromX, toX) - fromX);
            if (!dashed || c % (DASH + GAP) < DASH) {
                into.fill(c, Math.min(a, b) - 0.8, Math.max(a, b) + 0.8, colour);
            }
        }
    }

    /** Slanting lines, so that it does not rest on a tint. */
    private void hatch(double left, double right, double top, double bottom) {
        double rise = (bottom - top) / 3;
        for (double x = left; x < right; x += 9) {
            double end = Math.min(right, x + rise);
            line(x, bottom, end, bottom - (end - x) / rise * (bottom - top), "plot-silent");
        }
    }

    /** A picture of upright strokes, one for each column: thousands of shapes would take longer than a frame. */
    private record Columns(int wide, int high, IntBuffer pixels, PixelBuffer<IntBuffer> buffer, WritableImage image) {
        static Columns of(@Nullable Columns before, int wide, int high) {
            if (before != null && before.wide == wide && before.high == high) {
                return before;
            }
            IntBuffer pixels = IntBuffer.allocate(wide * high);
            PixelBuffer<IntBuffer> buffer = new PixelBuffer<>(wide, high, pixels, PixelFormat.getIntArgbPreInstance());
            return new Columns(wide, high, pixels, buffer, new WritableImage(buffer));
        }

        static int argb(Paint paint) {
            Color c = (Color) paint;
            return 0xff000000 | (int) Math.round(255 * c.getRed()) << 16 | (int) Math.round(255 * c.getGreen()) << 8
                    | (int) Math.round(255 * c.getBlue());
        }

        void clear() {
            Arrays.fill(pixels.array(), 0);
            buffer.updateBuffer(b -> null);
        }

        void fill(int column, double top, double bottom, int colour) {
            int to = (int) Math.min(high - 1, Math.round(bottom));
            for (int y = (int) Math.max(0, Math.round(top)); y <= to; y++) {
                pixels.put(y * wide + column, colour);
            }
        }
    }
}
