package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.finding.Verdict;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** The search of a whole run says of every place what the rules say of it alone. */
class PlaceSearchProperties {
    private static <T> T any(Random random, List<T> values) {
        return values.get(random.nextInt(values.size()));
    }

    private static Site any(Random random) {
        List<Segment> pieces = new ArrayList<>();
        pieces.add(Segment.straight(Line.ALL, random.nextBoolean() ? Kind.MANIFOLD : Kind.TURBINE, 0.2, 0.06, 0.0));
        for (Kind kind : List.of(Kind.PIPE, Kind.FLEX, Kind.JOINT, Kind.PIPE,
                random.nextBoolean() ? Kind.AIR_INLET : Kind.JOINT, Kind.PIPE, Kind.CATALYST, Kind.PIPE)) {
            double slope = random.nextGaussian() * 0.3;
            pieces.add(new Segment(Line.ALL, kind, 0.05 + random.nextDouble(), 0.04 + 0.03 * random.nextDouble(),
                    random.nextBoolean() ? null : 0.002, random.nextInt(6) == 0 ? null : slope,
                    random.nextBoolean() ? null : 0.0,
                    random.nextGaussian() * 0.3));
        }
        List<Neighbour> beside = new ArrayList<>();
        for (Neighbour.Side side : Neighbour.Side.values()) {
            if (random.nextBoolean()) {
                double from = random.nextDouble() * 2;
                beside.add(new Neighbour(any(random, List.of(Neighbour.Kind.values())), side,
                        from, from + random.nextDouble(),
                        random.nextInt(8) == 0 ? null : 0.05 + 0.15 * random.nextDouble()));
            }
        }
        Probe probe = new Probe(0.06 + 0.04 * random.nextDouble(), 1.0, 0.6);
        return new Site(
                new Exhaust(pieces, beside, new Attitude(0.1 * random.nextGaussian(), 0.1 * random.nextGaussian())),
                1e-3 + 3e-3 * random.nextDouble(), 1, 14.7, probe,
                new Site.Wired(1 + 2 * random.nextDouble(), null, 20 + 60 * random.nextDouble()), PlaceSchools.OURS);
    }

    @Property(tries = 60)
    void agreesWithTheRulesAtAnyPlace(@ForAll long seed) {
        Random random = new Random(seed);
        Site site = any(random);
        PlaceSearch.Band band = PlaceSearch.band(site, Line.ALL).orElseThrow();
        for (int i = 0; i < 40; i++) {
            int index = random.nextInt(band.size());
            int degrees = random.nextInt(360) - 179;
            Candidate place = Runs.at(band.distance(index), degrees);
            assertThat(band.verdict(index, degrees)).as("%.3f m at %d°", band.distance(index), degrees)
                    .isEqualTo(PlaceRules.verdict(site, place));
            assertThat(band.usable(index, degrees)).isEqualTo(PlaceRules.judge(site, place).stream()
                    .noneMatch(f -> f.verdict() == Verdict.FAIL || f.verdict() == Verdict.UNKNOWN));
        }
    }

    /** Of the places that lack no measure none is better than the one put first. */
    @Property(tries = 40)
    void nothingIsBetterThanTheBest(@ForAll long seed) {
        bestOf(seed);
    }

    /** Here a place warns of one thing and waits for the measure of another: it is no place to offer. */
    @Test
    void aWarningDoesNotHideAMissingMeasure() {
        bestOf(274342);
    }

    private static void bestOf(long seed) {
        Site site = any(new Random(seed));
        PlaceSearch.Band band = PlaceSearch.band(site, Line.ALL).orElseThrow();
        Verdict most = Verdict.FAIL;
        for (int i = 0; i < band.size(); i++) {
            for (int degrees = 0; degrees < 360; degrees++) {
                Verdict here = band.usable(i, degrees) ? band.verdict(i, degrees) : Verdict.FAIL;
                most = here.compareTo(most) < 0 ? here : most;
            }
        }
        Optional<Candidate> best = PlaceSearch.best(site, Line.ALL);
        if (most == Verdict.FAIL) {
            assertThat(best).isEmpty();
        } else {
            assertThat(PlaceRules.verdict(site, best.orElseThrow())).isEqualTo(most);
        }
    }

    @Test
    void takesTheNearestAndTheSteepestWithRoomForTheTool() {
        Candidate best = PlaceSearch.best(Runs.site(Runs.TURBO), Line.ALL).orElseThrow();
        assertThat(best.distance()).isEqualTo(0.46);
        double tilt = Math.toDegrees(PlaceRules.tiltOf(Runs.site(Runs.TURBO), best).orElseThrow());
        assertThat(tilt).as("well clear of the limit, and clear of the floor").isBetween(30.0, 89.0);
        Site upright = Runs.site(Runs.TURBO).withSchools(PlaceSchools.OURS.withTilt(TiltSchool.STRAIGHT_UP));
        assertThat(PlaceSearch.best(upright, Line.ALL).orElseThrow().clock()).isEqualTo(0.0);
        assertThat(PlaceSearch.best(Runs.site(Exhaust.UNMEASURED), Line.ALL)).isEmpty();
    }
}
