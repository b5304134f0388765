package amberheron.core.placement;

import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.List;

/** Exhausts that several tests judge. */
final class Runs {
    static final Neighbour FLOOR = new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 3, 0.15);
    static final Neighbour GROUND = new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0, 3, 0.2);
    /** 3 m of lead; water harms the sensor from 45 s on. */
    static final Site.Wired LEAD = new Site.Wired(3.0, null, 45);
    static final Probe PROBE = new Probe(0.085, 1.0, 1.0);
    /** Turbine, 1.2 m of level two-inch pipe, a catalyst, a tail. */
    static final Exhaust TURBO = new Exhaust(List.of(Segment.straight(Line.ALL, Kind.TURBINE, 0.1, 0.06, 0.0),
            Segment.straight(Line.ALL, Kind.PIPE, 1.2, 0.0508, 0.0),
            Segment.straight(Line.ALL, Kind.CATALYST, 0.3, 0.1, 0.0),
            Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.0508, 0.0)), List.of(FLOOR, GROUND), Attitude.LEVEL);
    /** The same without a turbine or a catalyst. */
    static final Exhaust OPEN = new Exhaust(List.of(Segment.straight(Line.ALL, Kind.MANIFOLD, 0.2, 0.05, 0.0),
            Segment.straight(Line.ALL, Kind.PIPE, 2.0, 0.0508, 0.0)), List.of(FLOOR, GROUND), Attitude.LEVEL);

    private Runs() {
    }

    static Site site(Exhaust exhaust) {
        return new Site(exhaust, 2e-3, 1, 14.7, PROBE, LEAD, PlaceSchools.OURS);
    }

    static Candidate at(double distance, double clockDegrees) {
        return Candidate.named("A").withDistance(distance).withClock(Math.toRadians(clockDegrees));
    }
}
