package amberheron.app.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.parts.Grip;
import amberheron.app.parts.Redraw;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.PlaceSearch;
import amberheron.core.placement.Run;
import amberheron.core.placement.Run.Piece;
import amberheron.core.placement.Run.Point;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;

/**
 * The exhaust to scale from the side: pieces, what lies above and below, where one may drill, and the places
 * considered. The place looked at is dragged along it.
 */
final class RunDrawing extends Drawing {
    /** Distance from a pin at which it is taken, px. */
    private static final double REACH = 14;
    private static final double HEIGHT = 190;
    private static final double ENGINE = 58;
    private static final double EDGE = 10;
    private static final double TOP = 44;
    private static final double BOTTOM = 44;
    /** Size of a pixel on screen, m, at the customary 96 to the inch. */
    private static final double PIXEL = 0.0254 / 96;
    private static final double STEP = 0.005;
    private static final double FALLBACK_DIAMETER = 0.05;
    /** Length drawn for a piece whose length is not measured, m. */
    private static final double OPEN_LENGTH = 0.5;

    private final Session session;
    private final PlaceModel model;
    private final Label note = new Label();
    private final Group pipes = new Group();
    private final Redraw pipe = new Redraw(pipes.getChildren());
    private final Group found = new Group();
    private final Redraw band = new Redraw(found.getChildren());
    private final Group pins = new Group();
    private final Redraw places = new Redraw(pins.getChildren());
    private Run run = Run.of(List.of());
    /** Where the pin of the place looked at is taken. */
    private Rectangle pinLooked = new Rectangle(0, 0);
    private double from;
    private double to;
    private double scale = 1;
    private double left;
    private double zero;

    RunDrawing(Session session, PlaceModel model, Runnable moved) {
        super(HEIGHT);
        this.session = session;
        this.model = model;
        setId("place.run");
        // A place is moved over the picture of the pipe, and what the search found changes with it: painting the pipe takes
        // most of a frame.
        pipes.setCache(true);
        found.setCache(true);
        Grip.on(this, new Grip.Hold() {
            @Override
            public boolean at(double x, double y) {
                return pinLooked.getBoundsInLocal().contains(x, y);
            }

            @Override
            public void to(double x, double y, boolean done) {
                double at = Math.rint(1000 * nearest(x, y)) / 1000;
                model.drag(session, c -> c.withDistance(at), done);
                moved.run();
            }

            @Override
            public void back() {
                model.putBack();
                moved.run();
            }
        });
    }

    Label note() {
        return note;
    }

    private double x(Point p) {
        return left + p.back() * scale;
    }

    private double y(Point p) {
        return zero - p.up() * scale;
    }

    /** The distance along the run of the centre line's point nearest to a point on screen. */
    private double nearest(double x, double y) {
        double best = nearest(x, y, from, to, 0.02);
        best = nearest(x, y, Math.max(from, best - 0.02), Math.min(to, best + 0.02), 0.001);
        return best;
    }

    private double nearest(double x, double y, double begin, double end, double step) {
        double best = begin;
        double least = Double.MAX_VALUE;
        for (double d = begin; d <= end + 1e-9; d += step) {
            Point p = run.point(d);
            double off = Math.hypot(x(p) - x, 0.3 * (y(p) - y));
            if (off < least) {
                least = off;
                best = d;
            }
        }
        return best;
    }

    @Override
    protected void draw(double width, double height) {
        Exhaust exhaust = PlaceModel.exhaust(session);
        run = exhaust.run(PlaceModel.line(session));
        if (run.pieces().isEmpty()) {
            note.setText("");
            text(say("No pieces yet. Say at Plan whether it has a turbo, then measure the pieces here."), width / 2,
                    height / 2, 0.5, "drawing-text");
            return;
        }
        frame(width, height);
        String says = say("from the side, 1 : %.0f · drag its pin, or type", 1 / (scale * PIXEL));
        // The heading is laid out before the drawing knows its scale.
        Platform.runLater(() -> note.setText(says));
        // Words are measured where their style is known: in the window.
        add(pipes);
        add(found);
        List<Object> shows = List.of(exhaust, PlaceModel.line(session), width, height, scale, left, zero, to);
        List<Zone> zones = PlaceModel.band(session).map(this::zones).orElse(List.of());
        into(pipe, shows, () -> pipe(exhaust));
        into(band, List.of(shows, zones), () -> zones.forEach(this::zone));
        add(pins);
        layPins();
    }

    private void pipe(Exhaust exhaust) {
        neighbours(exhaust);
        otherLine(exhaust);
        engine();
        run.pieces().forEach(this::piece);
        if (Double.isInfinite(run.end())) {
            text(say("not measured on"), x(run.point(to)) - 4, y(run.point(to)) + 26, 1, "drawing-text", "soft-text");
        }
        least();
    }

    private void pins() {
        boolean one = PlaceModel.exhaust(session).lines().size() == 1;
        session.job().candidates().stream().filter(c -> one || onThisLine(c)).forEach(this::pin);
    }

    /** Draws only the places anew: nothing else moves with the hand. */
    void move() {
        if (getChildren().contains(pins)) {
            layPins();
        }
    }

    private void layPins() {
        pinLooked = new Rectangle(0, 0);
        into(places, this::pins);
    }

    /** Measured along the line drawn, or where both lines have become one. */
    private boolean onThisLine(Candidate c) {
        Double at = c.distance();
        return c.line() == PlaceModel.line(session)
                || (at != null && run.at(at).filter(p -> p.segment().line() == Line.ALL).isPresent());
    }

    /** Finds the scale at which the whole run and what lies around it fits. */
    private void frame(double width, double height) {
        double farthest = session.job().candidates().stream().map(Candidate::distance).filter(Objects::nonNull)
                .mapToDouble(d -> d).max().orElse(0);
        Piece last = run.pieces().getLast();
        from = run.start();
        to = Double.isInfinite(run.end()) ? Math.max(last.from() + OPEN_LENGTH, farthest + 0.1) : run.end();
        double back = run.point(to).back();
        double lowest = 0;
        double highest = 0;
        for (double d = from; d <= to; d += 0.02) {
            double up = run.point(d).up();
            double half = run.at(d).map(this::half).orElse(FALLBACK_DIAMETER / 2);
            lowest = Math.min(lowest, up - half);
            highest = Math.max(highest, up + half);
        }
        for (Neighbour n : PlaceModel.exhaust(session).neighbours()) {
            double gap = Objects.requireNonNullElse(n.gap(), 0.0);
            lowest = n.side() == Neighbour.Side.BELOW ? Math.min(lowest, edge(n, -1) - gap) : lowest;
            highest = n.side() == Neighbour.Side.ABOVE ? Math.max(highest, edge(n, 1) + gap) : highest;
        }
        double front = run.point(from).back();
        double wide = width - ENGINE - 2 * EDGE;
        long aside = PlaceModel.exhaust(session).neighbours().stream().filter(n -> n.gap() != null)
                .filter(n -> n.side() == Neighbour.Side.LEFT || n.side() == Neighbour.Side.RIGHT).count();
        // What lies beside it is drawn in rows at the foot.
        double bottom = BOTTOM + 20 * Math.max(0, aside - 1);
        scale = Math.min(wide / Math.max(0.2, back - front), (height - TOP - bottom) / Math.max(0.1, highest - lowest));
        left = ENGINE + EDGE - front * scale;
        zero = TOP + highest * scale + (height - TOP - bottom - (highest - lowest) * scale) / 2;
    }

    private double half(Piece p) {
        Double diameter = p.segment().diameter();
        double half = (diameter == null ? FALLBACK_DIAMETER : diameter) / 2;
        Kind kind = p.segment().kind();
        return diameter == null && (kind.isCatalyst() || kind == Kind.MUFFLER) ? 2 * half : half;
    }

    /** Highest or lowest outside of the pipe beside a neighbour, m. */
    private double edge(Neighbour n, int sense) {
        double most = -1e9;
        for (double d = Math.max(from, n.from()); d <= Math.min(to, n.to()); d += 0.02) {
            most = Math.max(most, sense * run.point(d).up() + run.at(d).map(this::half).orElse(FALLBACK_DIAMETER / 2));
        }
        return most < -1e8 ? 0 : sense * most;
    }

    private void engine() {
        Point p = run.point(from);
        add(new Rectangle(x(p) - ENGINE + 2, y(p) - 34, ENGINE - 6, 60), "vessel");
        text(say("engine"), x(p) - ENGINE / 2, y(p), 0.5, "drawing-text");
    }

    private List<double[]> outline(Piece p, double half) {
        double end = Math.min(p.to(), to);
        int n = Math.max(1, (int) Math.ceil((end - p.from()) / STEP));
        List<double[]> upper = new ArrayList<>();
        List<double[]> lower = new ArrayList<>();
        for (int i = 0; i <= n; i++) {
            double d = p.from() + (end - p.from()) * i / n;
            Point at = run.point(d);
            double slope = p.slopeAt(d);
            double nx = -Math.sin(slope) * half;
            double ny = Math.cos(slope) * half;
            upper.add(new double[]{x(new Point(at.back() + nx, at.up() + ny)),
                    y(new Point(at.back() + nx, at.up() + ny))});
            lower.addFirst(
                    new double[]{x(new Point(at.back() - nx, at.up() - ny)),
                            y(new Point(at.back() - nx, at.up() - ny))});
        }
        upper.addAll(lower);
        return upper;
    }

    private static double[] flat(List<double[]> points) {
        return points.stream().flatMapToDouble(java.util.Arrays::stream).toArray();
    }

    private void piece(Piece p) {
        Kind kind = p.segment().kind();
        if (p.to() <= p.from()) {
            if (kind == Kind.TURBINE) {
                Point at = run.point(p.to());
                add(new Circle(x(at) - 4, y(at), 13), "vessel", "hot");
                text(say("turbine"), x(at), y(at) + 28, 0.5, "drawing-text");
            }
            return;
        }
        boolean vessel = kind.isCatalyst() || kind == Kind.MUFFLER || kind == Kind.TURBINE;
        add(new Polygon(flat(outline(p, half(p)))), vessel ? "vessel" : "pipe",
                kind == Kind.PIPE || kind == Kind.MERGE || kind == Kind.MUFFLER
                        ? "cool"
                        : kind == Kind.FLEX ? "flex" : "hot");
        if (kind != Kind.PIPE) {
            Point middle = run.point((p.from() + Math.min(p.to(), to)) / 2);
            String words = kind == Kind.STRAIGHT_THROUGH ? say("open catalyst") : kind.words();
            double wide = (Math.min(p.to(), to) - p.from()) * scale;
            boolean inside = half(p) * scale > 11 && wide > 7 * words.length();
            if (kind == Kind.MANIFOLD && wide < 8 * words.length()) {
                return;
            }
            // Beside the pipe there is room above before the first place, below after it.
            text(words, x(middle), inside
                    ? y(middle) + 5
                    : p.to() <= 0
                            ? y(middle) - half(p) * scale - 7
                            : y(middle) + half(p) * scale + 17,
                    0.5, "drawing-text");
        }
    }

    /** The bank that is not looked at, as a broken line. */
    private void otherLine(Exhaust exhaust) {
        for (Line line : exhaust.lines()) {
            if (line == PlaceModel.line(session)) {
                continue;
            }
            Run other = exhaust.run(line);
            double end = Double.isInfinite(other.end()) ? OPEN_LENGTH : other.end();
            int n = 60;
            double[] xs = new double[n + 1];
            double[] ys = new double[n + 1];
            for (int i = 0; i <= n; i++) {
                Point p = other.point(other.start() + (end - other.start()) * i / n);
                xs[i] = x(p);
                ys[i] = y(p) + 5;
            }
            path(xs, ys, "other-line");
            text(say("broken: %s", line.words()), 2, 12, 0, "drawing-text", "soft-text");
        }
    }

    /** A stretch of the run in which the best place at each distance stands alike. */
    private record Zone(double begin, double end, Verdict verdict) {
    }

    /** Where the search found that one may drill, or may at a cost. */
    private List<Zone> zones(PlaceSearch.Band band) {
        List<Zone> zones = new ArrayList<>();
        int begin = 0;
        for (int i = 1; i <= band.size(); i++) {
            if (i == band.size() || band.best(i) != band.best(begin)) {
                Verdict verdict = band.best(begin);
                if (verdict != Verdict.FAIL && band.distance(begin) < to) {
                    zones.add(new Zone(band.distance(begin), Math.min(to, band.distance(i - 1)), verdict));
                }
                begin = i;
            }
        }
        return zones;
    }

    /** Hatched one way where one may drill, broken the other way where one may at a cost. */
    private void zone(Zone zone) {
        Verdict verdict = zone.verdict();
        String style = verdict == Verdict.PASS ? "zone-good" : verdict == Verdict.WARN ? "zone-late" : "zone-unknown";
        for (Piece p : run.pieces()) {
            double a = Math.max(zone.begin(), p.from());
            double b = Math.min(zone.end(), Math.min(to, p.to()));
            if (b - a > 1e-6) {
                Piece part = new Piece(p.segment().withSlope(p.slopeAt(a)).withEndSlope(p.slopeAt(b)), a, b);
                add(new Polygon(flat(outline(part, half(p)))), style);
                hatch(p, a, b, style + "-hatch");
            }
        }
    }

    private void hatch(Piece p, double a, double b, String style) {
        double half = half(p);
        double lean = Math.min(half, 0.02);
        for (double d = a + lean; d + lean <= b; d += Math.max(0.01, 11 / scale)) {
            Point low = run.point(d - lean);
            Point high = run.point(d + lean);
            line(x(low), y(low) + half * scale, x(high), y(high) - half * scale, style);
        }
    }

    private void least() {
        double least = PlaceRules.leastDistance(run);
        if (least > to) {
            return;
        }
        Point a = run.point(0);
        Point b = run.point(least);
        double y = Math.max(y(a), y(b)) + run.at(least).map(this::half).orElse(0.03) * scale + 12;
        line(x(a), y, x(b), y, "dimension");
        line(x(a), y - 5, x(a), y + 5, "dimension");
        line(x(b), y - 5, x(b), y + 5, "dimension");
        text(Figures.length(session, least), (x(a) + x(b)) / 2, y + 15, 0.5, "drawing-text", "soft-text");
    }

    private void neighbours(Exhaust exhaust) {
        // Ends of the rows in which what lies beside the pipe is drawn; what does not overlap shares a row.
        List<Double> rows = new ArrayList<>();
        for (Neighbour n : exhaust.neighbours()) {
            double a = Math.max(from, n.from());
            double b = Math.min(to, n.to());
            Double gap = n.gap();
            if (b <= a || gap == null) {
                continue;
            }
            double x1 = x(run.point(a));
            double x2 = x(run.point(b));
            String words = n.kind().words() + " " + n.side().words() + ", " + Figures.length(session, gap);
            if (n.side() == Neighbour.Side.LEFT || n.side() == Neighbour.Side.RIGHT) {
                aside(words, x1, x2, rows);
            } else {
                int sense = n.side() == Neighbour.Side.BELOW ? -1 : 1;
                wall(words, x1, x2, y(new Point(0, edge(n, sense) + sense * gap)), sense);
            }
        }
    }

    private void aside(String words, double x1, double x2, List<Double> rows) {
        int row = 0;
        while (row < rows.size() && rows.get(row) > x1) {
            row++;
        }
        double ends = Math.max(x2, x1 + 7 * words.length());
        if (row == rows.size()) {
            rows.add(ends);
        } else {
            rows.set(row, ends);
        }
        double level = HEIGHT - 7 - 20 * row;
        line(x1, level, x2, level, "beside");
        text(words, x1 + 2, level - 5, 0, "drawing-text", "soft-text");
    }

    /** Whether a place's pin stands in a stretch of the drawing. */
    private boolean pinned(double x1, double x2) {
        return session.job().candidates().stream().map(Candidate::distance).filter(Objects::nonNull)
                .mapToDouble(d -> x(run.point(Math.min(d, to)))).anyMatch(x -> x > x1 - 16 && x < x2 + 16);
    }

    private void wall(String words, double x1, double x2, double level, int sense) {
        line(x1, level, x2, level, "wall");
        for (double x = x1; x < x2 - 4; x += 9) {
            line(x, level, x + 5, level - sense * 5, "wall-hatch");
        }
        // Beyond its end where there is room, so that it is not read as part of a place.
        double wide = 7.0 * words.length();
        boolean beyond = x2 + wide < getWidth();
        if (beyond) {
            text(words, x2 + 6, level + 4, 0, "drawing-text", "soft-text");
            return;
        }
        double end = sense > 0 ? x2 : x1 + wide;
        while (sense > 0 && end - wide > x1 && pinned(end - wide, end)) {
            end -= 20;
        }
        boolean crowded = sense > 0 && pinned(end - wide, end);
        text(words, crowded ? x2 : end, level + (crowded ? -28 : sense > 0 ? -8 : 15), 1, "drawing-text", "soft-text");
    }

    private void pin(Candidate kept) {
        boolean looked = session.at().place().filter(kept.id()::equals).isPresent();
        Candidate c = looked ? model.looked(session).orElse(kept) : kept;
        Double at = c.distance();
        if (at == null) {
            return;
        }
        Verdict verdict = Verdict
                .worst(session.review().places().findings(c).stream().map(Finding::verdict).toList());
        String style = "pin-" + verdict.name().toLowerCase(Locale.ROOT);
        Point p = run.point(Math.min(at, to));
        Optional<Double> tilt = PlaceRules.tiltOf(PlaceModel.site(session), c);
        boolean below = tilt.isPresent() && tilt.get() < 0;
        double half = run.at(at).map(this::half).orElse(0.025) * scale;
        double x = x(p);
        double foot = below ? y(p) + half : y(p) - half;
        double head = below ? Math.min(HEIGHT - 14, foot + 34) : Math.max(32, foot - 34);
        boolean taken = c.id().equals(session.job().placing().chosen());
        if (looked) {
            pinLooked = new Rectangle(x - REACH, Math.min(head, foot) - REACH, 2 * REACH,
                    Math.abs(head - foot) + 2 * REACH);
        }
        line(x, foot, x, below ? head - 12 : head + 12, "pin-line", style);
        add(new Circle(x, head, 12), "pin", style, taken ? "pin-taken" : "pin-free",
                looked ? "pin-looked" : "pin-beside");
        text(c.letter(), x, head + 5, 0.5, "pin-letter", taken ? "pin-letter-taken" : "pin-letter-free");
        if (looked) {
            text(Figures.length(session, at) + " · " + word(verdict), x, head - 18,
                    x > getWidth() - 90 ? 1 : 0.5, "drawing-text", "strong");
        }
    }

    static String word(Verdict verdict) {
        return switch (verdict) {
            case PASS -> say("good");
            case UNKNOWN -> say("not measured");
            case WARN -> say("usable");
            case FAIL -> say("no");
        };
    }
}
