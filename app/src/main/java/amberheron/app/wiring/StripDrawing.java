package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.core.harness.Harness;
import amberheron.core.harness.Strip;
import amberheron.core.harness.Strip.Box;
import amberheron.core.harness.Strip.Lane;
import amberheron.core.harness.Wire;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.WireColour.Hue;
import java.util.Locale;
import javafx.geometry.Orientation;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/** The harness laid flat: every wire in its colour, which is also written, with tag, joint and ends. */
final class StripDrawing extends Drawing {
    private static final double BOX = 96;
    private static final double PITCH = 27;
    /** Where there is no room for both ends' words beside each other they stand above and below the wire. */
    private static final double PITCH_NARROW = 38;
    private static final double WIDE = 330;
    /** Below this only colour and work are written. */
    private static final double BRIEF = 190;
    private static final double HEAD = 46;
    private static final double LEAST = 80;

    private final Session session;
    private final WireModel model;

    StripDrawing(Session session, WireModel model) {
        super(LEAST);
        this.session = session;
        this.model = model;
        setId("wire.strip");
        setOnMouseClicked(e -> strip(getWidth()).lanes().stream()
                .filter(l -> Math.abs(l.y() - e.getY()) < PITCH / 2 && e.getX() >= l.x1() && e.getX() <= l.x2())
                .findFirst().ifPresent(l -> {
                    model.lookAtWire(session, l.wire().id());
                    session.focus(LeafId.WIRE_CHART);
                }));
    }

    private Strip strip(double width) {
        Harness harness = session.job().wiring().harness();
        Strip wide = Strip.of(harness, width, PITCH, box(width), HEAD);
        return narrow(wide) ? Strip.of(harness, width, PITCH_NARROW, box(width), HEAD) : wide;
    }

    private static double box(double width) {
        return Math.min(BOX, 0.16 * width);
    }

    private static boolean narrow(Strip strip) {
        return strip.lanes().stream().anyMatch(l -> l.wire().used() && l.x2() - l.x1() < WIDE);
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computePrefHeight(double width) {
        return session.job().wiring().harness().chart().wires().isEmpty() ? LEAST : strip(width).height();
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected void draw(double width, double height) {
        if (session.job().wiring().harness().chart().wires().isEmpty()) {
            text(say("No wire in the chart yet. Add the lines this job needs, or import a chart."), width / 2,
                    height / 2,
                    0.5, "drawing-text");
            return;
        }
        Strip strip = strip(width);
        boolean narrow = narrow(strip);
        double level = 14;
        for (Strip.Mark mark : strip.marks()) {
            line(mark.x(), level + 5, mark.x(), top(strip) - 4, "dimension", "broken");
            Double along = mark.along();
            text(mark.name() + (along == null ? "" : ", " + Figures.length(session, along)),
                    Math.min(mark.x(), width - 4), level, mark.x() > width - 80 ? 1 : 0.5, "drawing-text",
                    "soft-text");
            level = level < 20 ? 30 : 14;
        }
        for (Box box : strip.boxes()) {
            add(new Rectangle(box.x(), box.y(), box.width(), box.height()), "vessel");
            device(box);
        }
        strip.lanes().forEach(lane -> lane(lane, narrow));
    }

    /** Its name, over two lines where the box is narrow. */
    private void device(Box box) {
        String words = box.device().words();
        int space = words.indexOf(' ');
        double x = box.x() + box.width() / 2;
        double y = box.y() + box.height() / 2 + 4;
        if (space < 0 || 7.2 * words.length() < box.width()) {
            text(words, x, y, 0.5, "drawing-text");
        } else {
            text(words.substring(0, space), x, y - 8, 0.5, "drawing-text");
            text(words.substring(space + 1), x, y + 8, 0.5, "drawing-text");
        }
    }

    private static double top(Strip strip) {
        return strip.boxes().stream().mapToDouble(Box::y).min().orElse(0);
    }

    private void lane(Lane lane, boolean narrow) {
        Wire wire = lane.wire();
        Double joint = lane.joint();
        Double splice = lane.splice();
        double end = splice == null ? lane.x2() : splice;
        wire(lane.x1(), joint == null ? end : joint, lane.y(), wire.colour());
        if (splice != null) {
            wire(splice, lane.x2(), lane.y(), wire.toColour());
            add(new Circle(splice, lane.y(), 5), "splice");
        }
        if (joint != null) {
            wire(joint, end, lane.y(), wire.extension());
            add(new Rectangle(joint - 5, lane.y() - 5, 10, 10), "joint");
        }
        boolean looked = model.wire(session).filter(wire::equals).isPresent();
        tag(lane.x1() + 13, lane.y(), wire.tag(), looked);
        if (wire.used()) {
            tag(lane.x2() - 13, lane.y(), wire.tag(), looked);
        }
        boolean brief = lane.x2() - lane.x1() < BRIEF;
        String[] near = lane.doubtful() ? new String[]{"drawing-text", "strong"} : new String[]{"drawing-text"};
        text(lane.near(brief), lane.x1() + 28, lane.y() - 7, 0, near);
        if (wire.used()) {
            text(lane.far(brief), lane.x2() - 28, narrow ? lane.y() + 16 : lane.y() - 7, 1, "drawing-text",
                    "soft-text");
        } else {
            Text words = text(lane.far(brief), lane.x2() + 6, lane.y() + 4, 0, "drawing-text", "soft-text");
            double over = words.getLayoutBounds().getMaxX() - getWidth();
            if (over > 0) {
                words.setX(Math.max(0, words.getX() - over));
                words.setY(lane.y() + 17);
            }
        }
    }

    private void wire(double x1, double x2, double y, @Nullable WireColour colour) {
        line(x1, y, x2, y, "insulation-edge");
        if (colour == null) {
            line(x1, y, x2, y, "insulation", "insulation-unknown");
            return;
        }
        line(x1, y, x2, y, "insulation", hue(colour.base()));
        Hue stripe = colour.stripe();
        if (stripe != null) {
            line(x1, y, x2, y, "insulation", "insulation-stripe", hue(stripe));
        }
    }

    static String hue(Hue hue) {
        return "hue-" + hue.name().toLowerCase(Locale.ROOT);
    }

    private void tag(double x, double y, String tag, boolean looked) {
        double wide = Math.max(20, 10 + 7.0 * tag.length());
        Rectangle plate = add(new Rectangle(x - wide / 2, y - 8, wide, 16), "wire-tag",
                looked ? "wire-tag-looked" : "wire-tag-plain");
        plate.setArcWidth(5);
        plate.setArcHeight(5);
        text(tag, x, y + 4, 0.5, "drawing-text", looked ? "wire-tag-words" : "plain");
    }
}
