package amberheron.core.placement;

import static amberheron.core.finding.Verdict.FAIL;
import static amberheron.core.finding.Verdict.PASS;
import static amberheron.core.finding.Verdict.UNKNOWN;
import static amberheron.core.finding.Verdict.WARN;

import amberheron.core.finding.Verdict;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import org.jspecify.annotations.Nullable;

/**
 * The limit of each rule, and the verdict it gives a figure. A single place and a whole run are judged by the same limits.
 */
final class PlaceLimits {
    /** Least tilt of the body above the horizon, radians. */
    static final double TILT = Math.toRadians(10);
    /** Least distance after a turbine, m. */
    static final double AFTER_TURBINE = 0.46;
    /** Least distance from the manifold when there is no turbine, m. */
    static final double AFTER_MANIFOLD = 0.45;
    /** Hottest gas a sensor stands for long, K. */
    static final double GAS = 1203;
    /** Delay at idle above which turning a mixture screw no longer shows its effect, s. */
    static final double IDLE_DELAY = 2;
    /** Delay at full load that equals the sensor's own response time, s. */
    static final double FULL_LOAD_DELAY = 0.1;
    /** Distance from an open end within which air is drawn back at idle, m. */
    static final double OPEN_END = 0.3;
    /** Distance from an open end within which air reaches it at any load, m; our own, from memory. */
    static final double CLOSE_END = 0.1;
    /** Number of joints before the sensor above which one of them draws air sooner or later. */
    static final int JOINTS = 2;
    /** Free length that a slotted socket and its ratchet take, m. */
    static final double SOCKET = 0.13;

    private static final double SLACK = 1e-9;
    private static final double LEAST_SINE = Math.sin(TILT - SLACK);

    private PlaceLimits() {
    }

    static Verdict tilt(double tilt) {
        return tilt >= TILT - SLACK ? PASS : FAIL;
    }

    /** Judges the tilt by its sine, which a search of many places has at hand. */
    static Verdict tiltOfSine(double sine) {
        return sine >= LEAST_SINE ? PASS : FAIL;
    }

    static Verdict piece(AlongRun at) {
        if (at.piece() == null) {
            return FAIL;
        }
        // The manifold has its own rule: it is too near.
        Kind kind = at.piece().segment().kind();
        return kind.takesBung() || kind == Kind.MANIFOLD ? PASS : FAIL;
    }

    static double leastDistance(Run run) {
        return run.turbine() ? AFTER_TURBINE : AFTER_MANIFOLD;
    }

    static Verdict distance(Run run, double distance) {
        return distance >= leastDistance(run) - SLACK ? PASS : FAIL;
    }

    static Verdict catalyst(Site site, Run run, AlongRun at) {
        return afterCatalyst(site, run, at) ? WARN : PASS;
    }

    /** Whether a place is after a catalyst that counts, by the shop's school. */
    static boolean afterCatalyst(Site site, Run run, AlongRun at) {
        Double margin = at.catalyst();
        boolean open = run.catalyst().filter(c -> c.segment().kind() == Kind.STRAIGHT_THROUGH).isPresent();
        boolean negligible = open && site.schools().catalyst() == CatalystSchool.OPEN_IS_NEGLIGIBLE;
        return margin != null && margin <= 0 && !negligible;
    }

    static Verdict bank(Site site, AlongRun at) {
        boolean whole = site.banks() < 2 || (at.piece() != null && at.piece().segment().line() == Line.ALL);
        return whole || site.schools().bank() == BankSchool.EASIER_BANK ? PASS : WARN;
    }

    static Verdict gas(@Nullable Estimate gas) {
        if (gas == null) {
            return UNKNOWN;
        }
        return gas.low() > GAS ? FAIL : gas.high() > GAS ? WARN : PASS;
    }

    static Verdict atMost(@Nullable Double figure, double limit) {
        return figure == null ? UNKNOWN : figure <= limit ? PASS : WARN;
    }

    /**
     * Judges whether the pipe is dry before the heater has the ceramic hot; the wiring's heater timing is judged by the
     * same figures.
     */
    static Verdict dry(@Nullable Estimate dry, double heaterHot) {
        return dry == null ? UNKNOWN : dry.high() <= heaterHot ? PASS : WARN;
    }

    static Verdict openEnd(@Nullable Double toEnd) {
        return toEnd == null
                ? UNKNOWN
                : toEnd >= OPEN_END - SLACK ? PASS : toEnd >= CLOSE_END - SLACK ? WARN : FAIL;
    }

    /** Judges a place by the water injected into the pipe, where any is. */
    static Verdict water(AlongRun at) {
        Double water = at.toWater();
        return water == null || (water > 0 && at.riser()) ? PASS : water > 0 ? WARN : FAIL;
    }

    static Verdict joints(AlongRun at) {
        return at.joints() <= JOINTS ? PASS : WARN;
    }

    static Verdict secondaryAir(AlongRun at) {
        return at.secondaryAir() ? WARN : PASS;
    }

    static Verdict lead(@Nullable Double spare) {
        return spare == null ? UNKNOWN : spare >= 0 ? PASS : FAIL;
    }

    /** Returns the distance that a neighbour asks for, m. */
    static double room(Neighbour n) {
        return switch (n.kind()) {
            case GROUND -> Clearance.GROUND;
            case LINKAGE, DRIVESHAFT, STEERING -> Clearance.MOVING;
            case HOT_PART -> Clearance.HOT;
            case FUEL_LINE -> Clearance.LINE;
            case FLOOR, HEAT_SHIELD, GEARBOX, BODYWORK -> Clearance.CABLE;
        };
    }

    static Verdict room(Neighbour n, double left) {
        if (Double.isNaN(left)) {
            return UNKNOWN;
        }
        if (left >= room(n)) {
            return PASS;
        }
        boolean melts = n.kind() == Neighbour.Kind.HOT_PART && left < Clearance.HOT_SLEEVED;
        return left < 0 || n.kind().moving() || melts ? FAIL : WARN;
    }

    static Verdict tools(double free, double standOut) {
        if (Double.isNaN(free)) {
            return UNKNOWN;
        }
        return free >= Math.max(SOCKET, standOut) ? PASS : free >= standOut ? WARN : FAIL;
    }
}
