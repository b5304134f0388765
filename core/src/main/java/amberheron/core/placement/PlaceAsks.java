package amberheron.core.placement;

import amberheron.core.parts.Address;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** The values that the checks of a place wait for, or that are worth a second look. */
final class PlaceAsks {
    private PlaceAsks() {
    }

    /** Measures of the lead that are missing; its length where none is. */
    static List<Address> lead(Site site, Candidate place) {
        List<Address> asks = new ArrayList<>();
        if (place.distance() == null) {
            asks.add(PlaceField.DISTANCE.of(place.id()));
        }
        asks.addAll(lead(site));
        return asks.isEmpty() ? List.of(PlaceField.LEAD.address()) : asks;
    }

    private static List<Address> lead(Site site) {
        Probe probe = site.probe();
        List<Address> asks = new ArrayList<>();
        if (site.wired().lead() == null) {
            asks.add(PlaceField.LEAD.address());
        }
        if (probe.leadExit() == null) {
            asks.add(PlaceField.LEAD_EXIT.address());
        }
        if (probe.leadOnward() == null) {
            asks.add(PlaceField.LEAD_ONWARD.address());
        }
        return asks;
    }

    /** Measures that are missing before a search can tell anything: piece by piece, then neighbours, sensor and lead. */
    static List<Address> search(Site site) {
        List<Address> asks = new ArrayList<>();
        for (Segment piece : site.exhaust().segments()) {
            if (piece.length() == null) {
                asks.add(PlaceField.PIECE_LENGTH.of(piece.id()));
            }
            if (piece.diameter() == null) {
                asks.add(PlaceField.PIECE_DIAMETER.of(piece.id()));
            }
            if (piece.slope() == null && piece.kind().takesBung()) {
                asks.add(PlaceField.PIECE_SLOPE.of(piece.id()));
            }
        }
        List<Neighbour> around = site.exhaust().neighbours();
        if (around.isEmpty()) {
            asks.add(PlaceField.NEIGHBOURS.address());
        }
        around.stream().filter(n -> n.gap() == null).forEach(n -> asks.add(PlaceField.NEIGHBOUR_GAP.of(n.id())));
        if (site.probe().standOut() == null) {
            asks.add(PlaceField.STAND_OUT.address());
        }
        asks.addAll(lead(site));
        return asks;
    }

    /** Missing measures of engine and pipe up to the place; the place where there are none. */
    static List<Address> flow(Site site, Run run, Candidate place) {
        List<Address> asks = new ArrayList<>();
        if (site.displacement() == null) {
            asks.add(PlaceField.DISPLACEMENT.address());
        }
        Double distance = place.distance();
        if (distance == null) {
            asks.add(PlaceField.DISTANCE.of(place.id()));
        }
        // What lies before the point that distances count from takes no part, nor does what lies behind the place.
        run.pieces().stream().filter(p -> p.to() > 0 && (distance == null || p.from() < distance))
                .map(Run.Piece::segment).filter(s -> s.diameter() == null)
                .forEach(s -> asks.add(PlaceField.PIECE_DIAMETER.of(s.id())));
        if (run.pieces().isEmpty()) {
            asks.add(PlaceField.ASPIRATION.address());
        }
        if (asks.isEmpty()) {
            // Past the last piece: it is longer than was measured, or the place is elsewhere.
            boolean past = run.at(Objects.requireNonNull(distance)).isEmpty();
            asks.add(past
                    ? PlaceField.PIECE_LENGTH.of(run.pieces().getLast().segment().id())
                    : PlaceField.DISTANCE.of(place.id()));
        }
        return asks;
    }

    /** Measures that the tilt waits for; the clock position first. */
    static List<Address> tilt(Candidate place, boolean slopeKnown) {
        List<Address> asks = new ArrayList<>();
        if (place.clock() == null) {
            asks.add(PlaceField.CLOCK.of(place.id()));
        }
        if (place.distance() == null) {
            asks.add(PlaceField.DISTANCE.of(place.id()));
        } else if (!slopeKnown) {
            asks.add(PlaceField.SLOPE.of(place.id()));
        }
        return asks;
    }

    /** Measures that the room around it waits for. */
    static List<Address> room(Site site, Candidate place) {
        List<Address> asks = new ArrayList<>();
        if (place.distance() == null) {
            asks.add(PlaceField.DISTANCE.of(place.id()));
        }
        if (place.clock() == null) {
            asks.add(PlaceField.CLOCK.of(place.id()));
        }
        if (site.exhaust().neighbours().isEmpty()) {
            asks.add(PlaceField.NEIGHBOURS.address());
        }
        return asks;
    }
}
