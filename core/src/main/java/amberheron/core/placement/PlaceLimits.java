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

/** Each rule's limit, and the verdict it gives a figure. One place is judged by them, and so is a whole run. */
final class PlaceLimits {
    /** Least tilt of the body above the horizon, radians. */
    static final double TILT = Math.toRadians(10);
    /** Least distance after a turbine, m. */
    static final double AFTER_TURBINE = 0.46;
    /** Least distance from the manifold when there is no turbine, m. */
    static final double AFTER_MANIFOLD = 0.45;
    /** Hottest gas a sensor stands for long, K. */
    static final double GAS = 1203;
    /** Slower than this at idle, and who turns a mixture screw no longer sees what the turn did, s. */
    static final double IDLE_DELAY = 2;
    /** About the sensor's own time to answer, s. */
    static final double FULL_LOAD_DELAY = 0.1;
    /** Nearer than this to an open end air is drawn back at idle, m. */
    static final double OPEN_END = 0.3;
    /** More joints than this before the sensor, and one of them draws air sooner or later. */
    static final int JOINTS = 2;
    /** Free length a slotted socket and its ratchet take, m. */
    static final double SOCKET = 0.13;

    private static final double SLACK = 1e-9;
    private static final double LEAST_SINE = Math.sin(TILT - SLACK);

    private PlaceLimits() {
    }

    static Verdict tilt(double tilt) {
        return tilt >= TILT - SLACK ? PASS : FAIL;
    }

    /** The same from the sine of the tilt, which a search of many places has at hand. */
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
        Double margin = at.catalyst();
        boolean open = run.catalyst().filter(c -> c.segment().kind() == Kind.STRAIGHT_THROUGH).isPresent();
        boolean negligible = open && site.schools().catalyst() == CatalystSchool.OPEN_IS_NEGLIGIBLE;
        return margin == null || margin > 0 || negligible ? PASS : WARN;
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

    /** Dry before the heater has the ceramic hot: the wiring's heater timing is judged by the same figures. */
    static Verdict dry(@Nullable Estimate dry, double heaterHot) {
        return dry == null ? UNKNOWN : dry.high() <= heaterHot ? PASS : WARN;
    }

    static Verdict openEnd(@Nullable Double toEnd) {
        return toEnd == null ? UNKNOWN : toEnd >= OPEN_END - SLACK ? PASS : WARN;
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

    /** The room a neighbour asks for, m. */
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
