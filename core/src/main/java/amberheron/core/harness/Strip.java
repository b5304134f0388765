package amberheron.core.harness;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.harness.Route.Waypoint;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A harness laid out flat: sensor at the left, then controller and display, and at the right the devices that the wires go
 * to, each wire in a lane of its own. Worked out from chart and route, in the drawing's own units.
 *
 * @param boxes the devices
 * @param lanes the wires
 * @param marks places along the way, to scale between sensor and display where every stretch is measured
 * @param width of it all
 * @param height of it all
 */
public record Strip(List<Box> boxes, List<Lane> lanes, List<Mark> marks, double width, double height) {
    /** A device. */
    public record Box(Device device, double x, double y, double width, double height) {
    }

    /**
     * A wire in its lane.
     *
     * @param x1 where it starts
     * @param x2 where it ends
     * @param joint where it joins the extension; null where it has none
     * @param splice where it joins a wire of another colour that was there; null where it goes on by itself
     * @param doubtful whether it is a twin not told apart
     */
    public record Lane(Wire wire, double x1, double x2, double y, @Nullable Double joint, @Nullable Double splice,
            boolean doubtful) {
        /**
         * Returns the words at its first end: colour, pin, and a warning while it may be another wire.
         *
         * @param brief whether there is no room for the pin
         */
        public String near(boolean brief) {
            WireColour colour = wire.colour();
            return (colour == null ? say("colour ?") : colour.letters())
                    + (wire.extension() == null ? "" : " → " + wire.extension().letters())
                    + (brief || wire.fromPin().isBlank() ? "" : say(" · pin %s", wire.fromPin()))
                    + (doubtful ? say(" · TWIN, tell apart") : "");
        }

        /**
         * Returns the words at its far end: work, pin and the colour it joins; for an unused wire how it is left.
         *
         * @param brief whether there is room for the work alone
         */
        public String far(boolean brief) {
            Work work = wire.work();
            Wire.Left left = wire.left();
            WireColour joins = wire.toColour();
            // Beside the sensor's box its name says nothing new.
            String words = work == null ? say("work ?") : word(work.key().replace("sensor, ", ""));
            if (brief && wire.used()) {
                return words;
            }
            return wire.used()
                    ? words + (wire.toPin().isBlank() ? "" : say(" · pin %s", wire.toPin()))
                            + (joins == null ? "" : " · " + joins.letters())
                    : say("%s, unused: %s", words, left == null ? "?" : left.words());
        }
    }

    /**
     * A place the cable passes.
     *
     * @param along length of cable to there, m; null where a stretch is not measured
     */
    public record Mark(String name, double x, @Nullable Double along) {
    }

    /** Height that a lane needs, in heights of its type. */
    private static final double GAP = 0.6;
    /** Part of its lane after which a wire meets the one it joins. */
    private static final double SPLICE = 0.82;

    public Strip {
        boxes = List.copyOf(boxes);
        lanes = List.copyOf(lanes);
        marks = List.copyOf(marks);
    }

    /**
     * Lays a harness out.
     *
     * @param width of the drawing
     * @param pitch height of a lane
     * @param box width of a device's box
     * @param head room above for the names of the places on the way
     */
    public static Strip of(Harness harness, double width, double pitch, double box, double head) {
        List<Wire> wires = harness.chart().byDestination();
        List<Wire> lead = wires.stream().filter(w -> w.from() == Device.SENSOR).toList();
        List<Wire> onward = wires.stream().filter(w -> w.from() != Device.SENSOR).toList();
        double top = harness.route().points().isEmpty() ? 0 : head;
        boolean sensor = !lead.isEmpty();
        // Without a sensor's lead the controller stands first.
        double middle = sensor ? 0.48 * width - box / 2 : 0;
        double right = width - box;
        List<Box> boxes = new ArrayList<>();
        List<Lane> lanes = new ArrayList<>();
        double end = lead(harness, lead, boxes, lanes, top, pitch, box, middle);
        double y = top;
        for (Device from : Device.values()) {
            List<Wire> group = onward.stream().filter(w -> w.from() == from).toList();
            boolean holds = !group.isEmpty() || (from == Device.CONTROLLER && sensor);
            if (holds) {
                double begun = y;
                y = onward(harness, group, boxes, lanes, y, pitch, box, middle, right);
                double least = from == Device.CONTROLLER ? Math.max(end, begun + 2 * pitch) : begun + pitch;
                y = Math.max(y, least);
                boxes.add(new Box(from, middle, begun, box, y - begun));
                y += pitch * GAP;
            }
        }
        return new Strip(boxes, lanes, marks(harness.route(), box / 2, right + box / 2), width,
                Math.max(y, end) + pitch);
    }

    private static double lead(Harness harness, List<Wire> wires, List<Box> boxes, List<Lane> lanes, double top,
            double pitch, double box, double middle) {
        double y = top;
        for (Wire w : wires) {
            y += pitch;
            // The controller may stand before the extension's far end, so the joint is drawn half way.
            lanes.add(new Lane(w, box, w.used() ? middle : (box + middle) / 2, y - pitch * GAP / 2,
                    w.extension() == null ? null : (box + middle) / 2, splice(w, box, middle),
                    harness.chart().doubtful(w)));
        }
        if (!wires.isEmpty()) {
            boxes.add(new Box(Device.SENSOR, 0, top, box, Math.max(y - top, 2 * pitch)));
        }
        return y;
    }

    private static double onward(Harness harness, List<Wire> wires, List<Box> boxes, List<Lane> lanes, double top,
            double pitch, double box, double middle, double right) {
        Map<Device, List<Wire>> ends = new EnumMap<>(Device.class);
        List<Wire> loose = new ArrayList<>();
        for (Wire w : wires) {
            if (w.used()) {
                ends.computeIfAbsent(Objects.requireNonNull(w.to()), d -> new ArrayList<>()).add(w);
            } else {
                loose.add(w);
            }
        }
        double from = middle + box;
        double y = top;
        for (Map.Entry<Device, List<Wire>> end : ends.entrySet()) {
            double begun = y;
            for (Wire w : end.getValue()) {
                y += pitch;
                lanes.add(new Lane(w, from, right, y - pitch * GAP / 2,
                        w.extension() == null ? null : (from + right) / 2, splice(w, from, right),
                        harness.chart().doubtful(w)));
            }
            boxes.add(new Box(end.getKey(), right, begun, box, y - begun));
            y += pitch * GAP;
        }
        for (Wire w : loose) {
            y += pitch;
            lanes.add(new Lane(w, from, from + 0.3 * (right - from), y - pitch * GAP / 2, null, null,
                    harness.chart().doubtful(w)));
            y += pitch * GAP / 2;
        }
        return y;
    }

    private static @Nullable Double splice(Wire wire, double x1, double x2) {
        return wire.used() && wire.toColour() != null ? x1 + SPLICE * (x2 - x1) : null;
    }

    private static List<Mark> marks(Route route, double from, double to) {
        List<Waypoint> points = route.points();
        List<Double> at = route.distances().orElse(List.of());
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            double part = at.isEmpty() || at.getLast() <= 0
                    ? (i + 1.0) / points.size()
                    : at.get(i) / at.getLast();
            marks.add(new Mark(points.get(i).name(), from + part * (to - from), at.isEmpty() ? null : at.get(i)));
        }
        return marks;
    }
}
