package amberheron.core.placement;

import amberheron.core.placement.Run.Piece;
import org.jspecify.annotations.Nullable;

/**
 * The figures that follow from how far along the run a place is, whatever its clock position; null where something is
 * not measured.
 *
 * @param distance m
 * @param piece what the place is on; null off the run
 * @param catalyst from the place to the catalyst's inlet, m; negative after it; null without one
 * @param gas temperature at full load, K
 * @param idle delay at idle, s
 * @param fullLoad delay at full load, s
 * @param dry time until the wall is dry after a cold start, s
 * @param lead what is left of the lead, m
 * @param toEnd from the place to the open end, m; null while that is not measured
 * @param joints how many joints the gas has passed
 * @param secondaryAir whether air is pumped in before it
 * @param toWater from the place to where water is injected, m; negative after it; null where none is
 * @param riser whether a dry riser keeps that water from running back to it
 */
record AlongRun(double distance, @Nullable Piece piece, @Nullable Double catalyst, @Nullable Estimate gas,
        @Nullable Double idle, @Nullable Double fullLoad, @Nullable Estimate dry, @Nullable Double lead,
        @Nullable Double toEnd, int joints, boolean secondaryAir, @Nullable Double toWater, boolean riser) {
    /** Spare length kept at the two ends of the lead together, m; from memory. */
    static final double SLACK = 0.15;

    static AlongRun of(Site site, Run run, double distance) {
        Piece piece = run.at(distance).orElse(null);
        Double catalyst = run.catalyst().map(c -> c.from() - distance).orElse(null);
        Estimate gas = null;
        Double idle = null;
        Double full = null;
        Estimate dry = null;
        Double volume = run.volumeTo(distance);
        Double surface = run.surfaceTo(distance);
        Double engine = site.displacement();
        if (piece != null && volume != null && surface != null && engine != null) {
            double share = engine / (piece.segment().line() == Segment.Line.ALL ? 1 : 2);
            double stoich = site.stoich();
            gas = GasAlongPipe.atFullLoad(surface, TransportDelay.massFlow(share, GasAlongPipe.fullLoad(stoich)),
                    run.turbine(), run.turbine() && distance >= 0);
            idle = TransportDelay.seconds(share, volume, GasAlongPipe.idle(stoich));
            full = TransportDelay.seconds(share, volume, GasAlongPipe.fullLoad(stoich));
            dry = GasAlongPipe.dryAfter(surface, piece.segment().wallOrUsual(),
                    TransportDelay.massFlow(share, GasAlongPipe.coldIdle(stoich)));
        }
        Double toEnd = run.beyond().isEmpty() && Double.isFinite(run.end()) ? run.end() - distance : null;
        int joints = 0;
        boolean pumped = false;
        Double water = run.first(Segment.Kind.WATER).map(w -> w.from() - distance).orElse(null);
        boolean riser = run.first(Segment.Kind.RISER).filter(r -> r.to() > distance).isPresent();
        for (Piece p : run.pieces()) {
            if (p.from() < distance) {
                joints += p.segment().kind().joint() ? 1 : 0;
                pumped |= p.segment().kind() == Segment.Kind.AIR_INLET;
            }
        }
        return new AlongRun(distance, piece, catalyst, gas, idle, full, dry, lead(site, distance), toEnd, joints,
                pumped, water, riser);
    }

    /** Returns what is left of the lead, by the cable as laid once that is measured, before by the plan. */
    private static @Nullable Double lead(Site site, double distance) {
        Double lead = site.wired().lead();
        Double exit = site.probe().leadExit();
        Double onward = site.probe().leadOnward();
        Double laid = site.wired().laid();
        if (laid != null && exit != null) {
            return laid - Math.abs(distance - exit);
        }
        return lead == null || exit == null || onward == null
                ? null
                : lead - Math.abs(distance - exit) - onward - SLACK;
    }
}
