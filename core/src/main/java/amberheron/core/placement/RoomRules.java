package amberheron.core.placement;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.placement.PlaceRules.length;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Refused;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Judges the room that a sensor has where it is to go: for its end, its cable and the tool. */
public final class RoomRules {
    private static final Source ROOM = Source.memory("room for boot, cable and tool; measure the sensor in hand");

    private RoomRules() {
    }

    /** Room to each neighbour and for the tool, in the order of the exhaust's list. */
    static List<Finding> judge(Site site, Run run, Candidate place) {
        Double distance = place.distance();
        Double clock = place.clock();
        Probe probe = site.probe();
        double out = probe.standOutOrUsual();
        if (distance == null || clock == null || site.exhaust().neighbours().isEmpty()) {
            return List.of(new Finding(PlaceCheck.ROOM, "Room around it", Verdict.UNKNOWN, null, null,
                    distance == null || clock == null
                            ? "Enter place and clock position first."
                            : "Enter what lies around the pipe: floor, shaft, road.",
                    null, "", ROOM).asking(PlaceAsks.room(site, place)));
        }
        List<Finding> findings = new ArrayList<>();
        List<Neighbour> beside = beside(site, place);
        double[] left = roomLeft(site, place, out);
        Vector3D axis = PlaceRules.axes(site.exhaust(), place).sensor(clock, place.lean());
        double radius = radius(run, distance);
        double free = Double.POSITIVE_INFINITY;
        for (int i = 0; i < left.length; i++) {
            Neighbour n = beside.get(i);
            findings.add(room(n, left[i], probe, Room.towards(n, axis) > 0));
            free = Math.min(free, Room.free(n, radius, Room.towards(n, axis)));
        }
        List<Address> gaps = beside.stream().filter(n -> n.gap() == null)
                .map(n -> PlaceField.NEIGHBOUR_GAP.of(n.id())).toList();
        findings.add(tools(free, out).asking(gaps.isEmpty() ? List.of(PlaceField.CLOCK.of(place.id())) : gaps));
        return findings;
    }

    private static Finding room(Neighbour n, double left, Probe probe, boolean points) {
        Verdict verdict = PlaceLimits.room(n, left);
        String consequence = switch (verdict) {
            case PASS -> "Room for boot and cable.";
            case UNKNOWN -> "Measure the gap from the pipe's outside.";
            case WARN -> switch (n.kind()) {
                case GROUND -> "The lowest point is near the road: a kerb or a rut tears it off.";
                case HOT_PART -> "Insulation melts there: a heat sleeve over the cable, or farther off.";
                case FUEL_LINE ->
                    "Near a line with fuel in it: turn the sensor away, and shield the line before welding.";
                default -> "The cable leaves in a tight bend and rubs through.";
            };
            default -> left < 0
                    ? "It does not fit: the sensor is longer than the gap."
                    : n.kind() == Neighbour.Kind.HOT_PART
                            ? "So near it that no sleeve saves the cable."
                            : "What moves there catches the cable.";
        };
        return new Finding(PlaceCheck.ROOM, "", verdict, Double.isNaN(left) ? null : length(left),
                new Limit(AT_LEAST, length(PlaceLimits.room(n))), consequence,
                null, points
                        ? Message.of(
                                "gap {0} less what the sensor's end reaches out towards it; it stands out {1} ({2})",
                                length(Objects.requireNonNullElse(n.gap(), 0.0)), length(probe.standOutOrUsual()),
                                Message.plain(probe.standOut() == null ? "usual, from memory" : "measured"))
                        : Message.plain("the sensor points away from it; the gap is the pipe's own"),
                ROOM).of(n.id(),
                        Message.of("To the {0} {1}", Message.plain(n.kind().words()),
                                Message.plain(n.side().words())))
                .asking(PlaceField.NEIGHBOUR_GAP.of(n.id()));
    }

    private static Finding tools(double free, double out) {
        Verdict verdict = PlaceLimits.tools(free, out);
        boolean open = !Double.isFinite(free);
        return new Finding(PlaceCheck.TOOLS, "Socket access", verdict, open ? null : length(free),
                new Limit(AT_LEAST, length(Math.max(PlaceLimits.SOCKET, out))), switch (verdict) {
                    case PASS -> "A slotted socket goes over it.";
                    case UNKNOWN -> "Measure the gaps first.";
                    case WARN -> "Only a low-profile crowfoot or an open wrench: slower, and worse at the next change.";
                    default -> "No tool reaches it, nor does the sensor go in.";
                }, null, open
                        ? "nothing entered stands in the sensor's way"
                        : "free length along the sensor's axis to the nearest neighbour",
                ROOM);
    }

    /** Gap to each neighbour beside a place, m, in the order of the exhaust's list; empty without a clock position. */
    private static double[] roomLeft(Site site, Candidate place, double standOut) {
        double radius = radius(site.exhaust().run(place.line()), Objects.requireNonNull(place.distance()));
        Vector3D axis = PlaceRules.axes(site.exhaust(), place).sensor(Objects.requireNonNull(place.clock()),
                place.lean());
        return beside(site, place).stream()
                .mapToDouble(n -> Room.left(n, radius, standOut, Room.towards(n, axis))).toArray();
    }

    /**
     * Refuses a sensor that does not fit where it is to go.
     *
     * @throws Unusable naming the neighbour it would run into
     */
    public static void requireRoom(Site site, Candidate place) {
        if (place.distance() == null || place.clock() == null) {
            return;
        }
        double out = site.probe().standOutOrUsual();
        double[] left = roomLeft(site, place, out);
        List<Neighbour> beside = beside(site, place);
        for (int i = 0; i < left.length; i++) {
            if (left[i] < 0) {
                throw new Refused(Message.of("The sensor stands out {0}: {1} more than the {2} leaves at {3}",
                        Refused.whole(out), Refused.whole(-left[i]), beside.get(i).kind().words(), place.letter()));
            }
        }
    }

    private static List<Neighbour> beside(Site site, Candidate place) {
        Double distance = place.distance();
        return distance == null
                ? List.of()
                : site.exhaust().neighbours().stream().filter(n -> n.covers(distance)).toList();
    }

    /** Outer radius of the pipe there, m; the usual two-inch pipe's while it is not measured. */
    private static double radius(Run run, double distance) {
        return run.at(distance).map(p -> p.segment().diameter()).orElse(0.0508) / 2;
    }
}
