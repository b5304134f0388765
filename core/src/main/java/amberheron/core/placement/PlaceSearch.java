package amberheron.core.placement;

import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.placement.Run.Piece;
import amberheron.core.placement.Segment.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.IntFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * Judges every place on a run, each millimetre along it and each degree around it, by the same rules as a single place. The
 * sensor is taken to be square to the pipe.
 */
public final class PlaceSearch {
    private static final int AROUND = 360;
    private static final double STEP = 0.001;
    /** Greatest distance that is searched, m: nobody sets a sensor beyond. */
    private static final double FAR = 3;
    /** Free length above which more is no better, m. */
    private static final double ROOMY = 0.2;
    private static final double[] COSINE = new double[AROUND];
    private static final double[] SINE = new double[AROUND];

    static {
        for (int i = 0; i < AROUND; i++) {
            COSINE[i] = Math.cos(clockOf(i));
            SINE[i] = Math.sin(clockOf(i));
        }
    }

    /** Findings of the whole run. */
    public static final class Band {
        private final double start;
        private final List<Along> along;
        /** Turns by place, absent where the place fails at every clock position; each is made when first asked for. */
        private final List<@Nullable Ring> around;
        private final IntFunction<Ring> make;

        private Band(double start, List<Along> along, List<@Nullable Ring> around, IntFunction<Ring> make) {
            this.start = start;
            this.along = along;
            this.around = around;
            this.make = make;
        }

        private Ring ring(int index) {
            Ring ring = around.get(index);
            return ring == null ? make.apply(index) : ring;
        }

        /** Returns the number of places judged along the run. */
        public int size() {
            return along.size();
        }

        /** Distance of a place, m. */
        public double distance(int index) {
            return start + index * STEP;
        }

        /** The best verdict any clock position has at a place along the run. */
        public Verdict best(int index) {
            Verdict here = along.get(index).verdict();
            return here == Verdict.FAIL ? here : worse(here, ring(index).best);
        }

        /** The verdict at a place along the run and a clock position in whole degrees from 12. */
        public Verdict verdict(int index, int degrees) {
            Verdict here = along.get(index).verdict();
            return here == Verdict.FAIL ? here : worse(here, ring(index).verdicts[Math.floorMod(degrees, AROUND)]);
        }

        /** Whether it does not fail and no rule waits for a measure at a place and a clock position in whole degrees. */
        public boolean usable(int index, int degrees) {
            return along.get(index).usable() && ring(index).usable[Math.floorMod(degrees, AROUND)];
        }

        /** Verdicts of the rules that depend on the clock position alone (tilt, room, tools), by whole degrees from 12. */
        public List<Verdict> around(int index) {
            return List.of(ring(index).verdicts);
        }

        /** The place along the run nearest to a distance. */
        public int index(double distance) {
            return Math.clamp(Math.round((distance - start) / STEP), 0, Math.max(0, along.size() - 1));
        }
    }

    /** The rules that depend on the distance alone. A warning may hide that another rule waits for a measure. */
    private record Along(Verdict verdict, boolean usable) {
    }

    /**
     * One turn around the pipe: verdict and free length at each degree. There is one for every millimetre, so it is
     * compact.
     */
    private static final class Ring {
        private final Verdict[] verdicts = new Verdict[AROUND];
        private final boolean[] usable = new boolean[AROUND];
        private final float[] free = new float[AROUND];
        private final double upNormal;
        private final double upSide;
        private Verdict best = Verdict.FAIL;

        /** Makes the turn of a pipe from the components of the earth's up along its own up and its side. */
        Ring(double upNormal, double upSide) {
            this.upNormal = upNormal;
            this.upSide = upSide;
        }

        /** Sine of the tilt. */
        double sine(int degree) {
            return Math.clamp(upNormal * COSINE[degree] + upSide * SINE[degree], -1, 1);
        }

        void put(int degree, Verdict verdict, boolean known, double room) {
            verdicts[degree] = verdict;
            usable[degree] = known && verdict != Verdict.FAIL;
            free[degree] = (float) room;
            best = verdict.compareTo(best) < 0 ? verdict : best;
        }
    }

    private PlaceSearch() {
    }

    private static double clockOf(int degree) {
        return Math.toRadians(degree > AROUND / 2 ? degree - AROUND : degree);
    }

    private static Verdict worse(Verdict a, Verdict b) {
        return a.compareTo(b) >= 0 ? a : b;
    }

    /** The worst of several verdicts, and whether any of them waits for a measure. */
    private static final class Judged {
        private Verdict worst = Verdict.PASS;
        private boolean known = true;

        Judged and(Verdict verdict) {
            worst = worse(worst, verdict);
            known &= verdict != Verdict.UNKNOWN;
            return this;
        }

        boolean usable() {
            return known && worst != Verdict.FAIL;
        }
    }

    /** Judges the whole of a line; empty while its run is not known. */
    public static Optional<Band> band(Site site, Line line) {
        Run run = site.exhaust().run(line);
        if (run.pieces().isEmpty()) {
            return Optional.empty();
        }
        double end = Math.min(run.end(), FAR);
        double start = run.start();
        int size = (int) Math.floor((end - start) / STEP + 1e-6) + 1;
        List<Along> along = new ArrayList<>(size);
        List<@Nullable Ring> around = new ArrayList<>(size);
        Ring ring = null;
        Object ringOf = null;
        for (int i = 0; i < size; i++) {
            double distance = start + i * STEP;
            AlongRun at = AlongRun.of(site, run, distance);
            along.add(along(site, run, at));
            if (along.getLast().verdict() == Verdict.FAIL) {
                around.add(null);
                continue;
            }
            Piece piece = at.piece();
            double slope = piece == null ? 0 : piece.slopeAt(distance);
            List<Neighbour> beside = beside(site, distance);
            // On a straight piece the turn around the pipe is the same from one millimetre to the next.
            Object key = List.of(slope, Objects.requireNonNullElse(piece, ""), beside);
            if (ring == null || !key.equals(ringOf)) {
                ring = ring(site, piece, slope, beside);
                ringOf = key;
            }
            around.add(ring);
        }
        return Optional.of(new Band(start, along, around, i -> {
            double distance = start + i * STEP;
            Piece piece = run.at(distance).orElse(null);
            return ring(site, piece, piece == null ? 0 : piece.slopeAt(distance), beside(site, distance));
        }));
    }

    private static List<Neighbour> beside(Site site, double distance) {
        List<Neighbour> beside = new ArrayList<>();
        for (Neighbour n : site.exhaust().neighbours()) {
            if (n.covers(distance)) {
                beside.add(n);
            }
        }
        return beside;
    }

    private static Along along(Site site, Run run, AlongRun at) {
        Judged judged = new Judged().and(PlaceLimits.distance(run, at.distance())).and(PlaceLimits.piece(at))
                .and(PlaceLimits.catalyst(site, run, at)).and(PlaceLimits.bank(site, at))
                .and(PlaceLimits.lead(at.lead())).and(PlaceLimits.gas(at.gas()))
                .and(PlaceLimits.atMost(at.idle(), PlaceLimits.IDLE_DELAY))
                .and(PlaceLimits.atMost(at.fullLoad(), PlaceLimits.FULL_LOAD_DELAY))
                .and(PlaceLimits.dry(at.dry(), site.wired().heaterHot()));
        if (at.piece() != null) {
            judged.and(PlaceLimits.openEnd(at.toEnd())).and(PlaceLimits.joints(at)).and(PlaceLimits.secondaryAir(at))
                    .and(PlaceLimits.water(at));
        }
        if (site.exhaust().neighbours().isEmpty()) {
            judged.and(Verdict.UNKNOWN);
        }
        return new Along(judged.worst, judged.usable());
    }

    private static Ring ring(Site site, @Nullable Piece piece, double slope, List<Neighbour> beside) {
        PipeAxes pipe = PipeAxes.of(slope, piece == null ? 0 : piece.segment().heading());
        Vector3D up = site.exhaust().attitude().up();
        double upNormal = pipe.normal().dotProduct(up);
        double upSide = pipe.side().dotProduct(up);
        int n = beside.size();
        double[] towardsNormal = new double[n];
        double[] towardsSide = new double[n];
        for (int k = 0; k < n; k++) {
            towardsNormal[k] = Room.towards(beside.get(k), pipe.normal());
            towardsSide[k] = Room.towards(beside.get(k), pipe.side());
        }
        Double diameter = piece == null ? null : piece.segment().diameter();
        double radius = (diameter == null ? 0.0508 : diameter) / 2;
        double out = site.probe().standOutOrUsual();
        Ring ring = new Ring(upNormal, upSide);
        for (int degree = 0; degree < AROUND; degree++) {
            double sine = ring.sine(degree);
            Verdict worst = piece != null && piece.segment().slope() == null
                    ? Verdict.UNKNOWN
                    : PlaceLimits.tiltOfSine(sine);
            boolean known = worst != Verdict.UNKNOWN;
            if (worst == Verdict.FAIL) {
                // Nothing around it can make that good.
                ring.put(degree, worst, known, 0);
                continue;
            }
            double free = Double.POSITIVE_INFINITY;
            for (int k = 0; k < n; k++) {
                double towards = towardsNormal[k] * COSINE[degree] + towardsSide[k] * SINE[degree];
                Verdict room = PlaceLimits.room(beside.get(k), Room.left(beside.get(k), radius, out, towards));
                worst = worse(worst, room);
                known &= room != Verdict.UNKNOWN;
                free = Math.min(free, Room.free(beside.get(k), radius, towards));
            }
            if (!site.exhaust().neighbours().isEmpty()) {
                Verdict tools = PlaceLimits.tools(free, out);
                worst = worse(worst, tools);
                known &= tools != Verdict.UNKNOWN;
            }
            ring.put(degree, worst, known, free);
        }
        return ring;
    }

    /** Measures that a search needs, in the order in which they are measured. */
    public static List<Address> lacks(Site site) {
        return PlaceAsks.search(site);
    }

    /**
     * The best place on a line for the shop's schools: the best verdict, then the tilt the school likes, then the
     * nearest to the engine, then room enough, then the steepest.
     *
     * @return a candidate without a letter; empty when every place fails or lacks a measure
     */
    public static Optional<Candidate> best(Site site, Line line) {
        return band(site, line).flatMap(b -> best(site, line, b));
    }

    /** The best place of a band that was searched already. */
    public static Optional<Candidate> best(Site site, Line line, Band band) {
        TiltSchool school = site.schools().tilt();
        Verdict verdict = Verdict.FAIL;
        double distaste = Double.MAX_VALUE;
        double room = -1;
        double steep = -1;
        int foundAt = -1;
        int foundClock = 0;
        Ring before = null;
        Verdict alongBefore = Verdict.FAIL;
        for (int i = 0; i < band.size(); i++) {
            if (!band.along.get(i).usable()) {
                continue;
            }
            Verdict along = band.along.get(i).verdict();
            Ring ring = band.ring(i);
            // Farther along the same straight piece nothing gets better.
            if (ring == before && along.compareTo(alongBefore) >= 0) {
                continue;
            }
            before = ring;
            alongBefore = along;
            for (int degree = 0; degree < AROUND; degree++) {
                Verdict here = worse(along, ring.verdicts[degree]);
                if (!ring.usable[degree] || here.compareTo(verdict) > 0) {
                    continue;
                }
                double tilt = Math.asin(ring.sine(degree));
                double dislikes = Math.rint(1e6 * school.distaste(tilt));
                double roomy = Math.min(ring.free[degree], ROOMY);
                boolean tied = here == verdict && dislikes == distaste && i == foundAt;
                boolean liked = here.compareTo(verdict) < 0 || (here == verdict && dislikes < distaste);
                boolean better = liked
                        || (tied && (roomy > room || (roomy == room && tilt > steep)));
                if (better) {
                    verdict = here;
                    distaste = dislikes;
                    room = roomy;
                    steep = tilt;
                    foundAt = i;
                    foundClock = degree;
                }
            }
        }
        return foundAt < 0
                ? Optional.empty()
                : Optional.of(Candidate.named("").withLine(line)
                        .withDistance(Math.rint(1000 * band.distance(foundAt)) / 1000)
                        .withClock(clockOf(foundClock)));
    }
}
