package amberheron.core.placement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.Address;
import amberheron.core.placement.Candidate.Hole;
import amberheron.core.placement.PlaceRanking.Judged;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** How places stand against each other, and what is missing of a site. */
class PlaceRankingTest {
    private static final Site TURBO = Runs.site(Runs.TURBO);

    private static Candidate place(String letter, double distance, double clock) {
        return Candidate.named(letter).withDistance(distance).withClock(Math.toRadians(clock));
    }

    private static String choice(Site site, Candidate... places) {
        return PlaceRanking.of(site, List.of(places), null).choice().map(Candidate::letter).orElse("none");
    }

    @Test
    void eachPlaceHasItsWorstVerdictAndAnyOtherIsJudgedToo() {
        Candidate good = place("A", 0.6, 30);
        Candidate near = place("B", 0.1, 30);
        Candidate open = Candidate.named("C");
        PlaceRanking ranking = PlaceRanking.of(TURBO, List.of(good, near, open), null);
        assertThat(ranking.site()).isEqualTo(TURBO);
        assertThat(ranking.places()).extracting(Judged::place).containsExactly(good, near, open);
        assertThat(ranking.places()).extracting(Judged::verdict)
                .isEqualTo(List.of(good, near, open).stream().map(p -> PlaceRules.verdict(TURBO, p)).toList());
        assertThat(ranking.places().get(1).verdict()).isEqualTo(Verdict.FAIL);
        Candidate other = place("D", 0.7, 200);
        assertThat(ranking.findings(other)).isEqualTo(PlaceRules.judge(TURBO, other));
        assertThat(ranking.findings(good)).isEqualTo(PlaceRules.judge(TURBO, good));
    }

    /** The best verdict, then the fewest warnings, then a hole that is there, then the tilt the school likes, then the nearest. */
    @Test
    void theChoiceGoesByVerdictWarningsHoleTiltAndDistance() {
        Candidate good = place("A", 0.6, 30);
        assertThat(choice(TURBO, place("B", 0.1, 30), Candidate.named("C"), place("D", 0.6, 30).withDistance(null)))
                .isEqualTo("none");
        assertThat(choice(TURBO, place("B", 0.1, 30), good)).isEqualTo("A");
        assertThat(choice(TURBO, good, place("B", 0.6, 30).withHole(Hole.SPARE))).isEqualTo("B");
        assertThat(choice(TURBO, place("B", 0.7, 30), good)).isEqualTo("A");
        Site upright = TURBO.withSchools(PlaceSchools.OURS.withTilt(TiltSchool.STRAIGHT_UP));
        assertThat(choice(upright, good, place("B", 0.7, 5))).isEqualTo("B");
        // A place of which a rule has something to say is no better for its hole.
        List<Candidate> warned = List.of(place("W", 0.6, 60), place("X", 0.55, 75), place("Y", 0.65, -60)).stream()
                .filter(p -> PlaceRules.verdict(TURBO, p) == Verdict.WARN).toList();
        for (Candidate w : warned) {
            assertThat(choice(TURBO, w.withHole(Hole.SPARE), good)).isEqualTo("A");
        }
    }

    /** Each school that bears on the exhaust, with the place that it would take; the others are not asked. */
    @Test
    void eachSchoolSaysWhatItWouldTake() {
        List<Candidate> places = List.of(place("A", 0.6, 60), place("B", 0.8, 3), place("C", 0.9, 40));
        Map<String, String> schools = PlaceRanking.of(TURBO, places, null).schools();
        assertThat(schools.keySet()).containsExactly(TiltSchool.STRAIGHT_UP.words(), TiltSchool.OFF_VERTICAL.words(),
                TiltSchool.FROM_TEN_DEGREES.words());
        for (TiltSchool tilt : TiltSchool.values()) {
            assertThat(schools.get(tilt.words())).as(tilt.words()).isEqualTo(
                    choice(TURBO.withSchools(PlaceSchools.OURS.withTilt(tilt)), places.toArray(new Candidate[0])));
        }
        assertThat(schools.get(TiltSchool.STRAIGHT_UP.words())).isEqualTo("B");
        assertThat(PlaceRanking.of(TURBO, List.of(), null).schools().values()).containsOnly("none");

        Site straight = Runs.site(Runs.TURBO.withCatalyst(Kind.STRAIGHT_THROUGH));
        PlaceRanking afterIt = PlaceRanking.of(straight, List.of(place("A", 1.7, 30)), null);
        assertThat(afterIt.schools()).containsKeys(CatalystSchool.EVERY_ONE.words(),
                CatalystSchool.OPEN_IS_NEGLIGIBLE.words()).doesNotContainKey(BankSchool.AFTER_MERGE.words());
        Site vee = new Site(Runs.TURBO, 2e-3, 2, 14.7, Runs.PROBE, Runs.LEAD, PlaceSchools.OURS);
        PlaceRanking banks = PlaceRanking.of(vee, places, null);
        assertThat(banks.schools()).containsKey(BankSchool.EASIER_BANK.words());
        assertThat(banks.schools()).as("worked out once").isSameAs(banks.schools());
        assertThat(banks.held(PlaceSchools.OURS.tilt().words())).isTrue();
        assertThat(banks.held(TiltSchool.STRAIGHT_UP.words())).isFalse();
    }

    /** A search takes long: a ranking of other places of the same site has it already. */
    @Test
    void aSearchIsTakenOverWhileTheSiteStays() {
        PlaceRanking first = PlaceRanking.of(TURBO, List.of(place("A", 0.6, 30)), null);
        first.workOut();
        PlaceRanking.Searched found = first.search(Line.ALL);
        assertThat(found.best()).isEqualTo(PlaceSearch.best(TURBO, Line.ALL)).isPresent();
        assertThat(found.band().orElseThrow().distance(100))
                .isCloseTo(found.band().orElseThrow().distance(0) + 0.1, within(1e-9));
        assertThat(first.found()).containsExactly(found.best().orElseThrow());
        assertThat(PlaceRanking.of(TURBO, List.of(place("A", 0.6, 30)), first)).isSameAs(first);
        PlaceRanking moved = PlaceRanking.of(TURBO, List.of(place("A", 0.7, 30)), first);
        assertThat(moved).isNotSameAs(first);
        assertThat(moved.search(Line.ALL)).isSameAs(found);
        Site other = Runs.site(Runs.OPEN);
        assertThat(PlaceRanking.of(other, List.of(), first).search(Line.ALL)).isNotEqualTo(found);
    }

    /** Piece by piece, then what is beside, then the sensor and its lead; nothing once all is measured. */
    @Test
    void whatASearchNeedsIsAskedInTheOrderInWhichItIsMeasured() {
        Exhaust open = new Exhaust(List.of(Segment.straight(Line.ALL, Kind.MANIFOLD, null, 0.05, 0.0).withId("m"),
                Segment.straight(Line.ALL, Kind.PIPE, 1.0, null, null).withId("p"),
                Segment.straight(Line.ALL, Kind.JOINT, 0.05, 0.05, null).withId("j")), List.of(), Attitude.LEVEL);
        Site bare = new Site(open, null, 1, 14.7, Probe.UNMEASURED, new Site.Wired(null, null, 45), PlaceSchools.OURS);
        List<Address> asked = new ArrayList<>(
                List.of(PlaceField.PIECE_LENGTH.of("m"), PlaceField.PIECE_DIAMETER.of("p"),
                        PlaceField.PIECE_SLOPE.of("p"), PlaceField.NEIGHBOURS.address(), PlaceField.STAND_OUT.address(),
                        PlaceField.LEAD.address(), PlaceField.LEAD_EXIT.address(), PlaceField.LEAD_ONWARD.address()));
        assertThat(PlaceSearch.lacks(bare)).isEqualTo(asked);
        Neighbour unmeasured = new Neighbour(Neighbour.Kind.FLOOR, Neighbour.Side.ABOVE, 0, 3, null).withId("f");
        asked.set(3, PlaceField.NEIGHBOUR_GAP.of("f"));
        assertThat(PlaceSearch.lacks(new Site(open.withNeighbours(List.of(Runs.FLOOR, unmeasured)), null, 1, 14.7,
                Probe.UNMEASURED, new Site.Wired(null, null, 45), PlaceSchools.OURS))).isEqualTo(asked);
        assertThat(PlaceSearch.lacks(TURBO)).isEmpty();
    }

    /** A delay waits for the engine's size and for the bore of what the gas passes, and for nothing behind the place. */
    @Test
    void aDelayWaitsForWhatTheGasPasses() {
        Exhaust open = new Exhaust(List.of(Segment.straight(Line.ALL, Kind.TURBINE, 0.1, null, 0.0).withId("t"),
                Segment.straight(Line.ALL, Kind.PIPE, 0.5, null, 0.0).withId("near"),
                Segment.straight(Line.ALL, Kind.PIPE, 0.5, null, 0.0).withId("far")), List.of(Runs.FLOOR),
                Attitude.LEVEL);
        Site site = new Site(open, null, 1, 14.7, Runs.PROBE, Runs.LEAD, PlaceSchools.OURS);
        Finding delay = PlaceRules.judge(site, place("A", 0.4, 30)).stream()
                .filter(f -> f.check().is(PlaceCheck.DELAY_FULL)).findFirst().orElseThrow();
        assertThat(delay.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(delay.asks()).containsExactly(PlaceField.DISPLACEMENT.address(),
                PlaceField.PIECE_DIAMETER.of("near"));
        assertThat(PlaceRules.delayAtFullLoad(site, place("A", 0.4, 30))).isEmpty();
        assertThat(PlaceRules.delayAtFullLoad(TURBO, Candidate.named("A"))).isEmpty();
        assertThat(PlaceRules.delayAtFullLoad(TURBO, place("A", 0.4, 30)).orElseThrow())
                .isLessThan(PlaceRules.delayAtFullLoad(TURBO, place("A", 1.1, 30)).orElseThrow());
        assertThat(PlaceRules.dry(TURBO, Candidate.named("A"))).isEmpty();
    }

    private static Exhaust vee() {
        return Exhaust.UNMEASURED.withSegments(Exhaust.usual(false, 2));
    }

    private static List<String> kinds(Exhaust exhaust) {
        return exhaust.segments().stream().map(s -> s.line() + " " + s.kind()).toList();
    }

    @Test
    void turbineAndCatalystAreSetWhereTheyBelong() {
        assertThat(kinds(vee())).containsExactly("FIRST MANIFOLD", "FIRST PIPE", "SECOND MANIFOLD", "SECOND PIPE",
                "ALL MERGE", "ALL PIPE");
        assertThat(kinds(vee().withTurbine(true))).containsExactly("FIRST MANIFOLD", "FIRST TURBINE", "FIRST PIPE",
                "SECOND MANIFOLD", "SECOND TURBINE", "SECOND PIPE", "ALL MERGE", "ALL PIPE");
        assertThat(kinds(vee().withTurbine(true).withTurbine(true))).isEqualTo(kinds(vee().withTurbine(true)));
        assertThat(kinds(vee().withTurbine(true).withTurbine(false))).isEqualTo(kinds(vee()));
        assertThat(vee().withTurbine(true).turbine()).isTrue();
        Exhaust single = Exhaust.UNMEASURED
                .withSegments(List.of(Segment.straight(Line.ALL, Kind.PIPE, null, null, null),
                        Segment.straight(Line.ALL, Kind.MUFFLER, null, null, null)));
        Exhaust with = single.withCatalyst(Kind.CATALYST);
        assertThat(kinds(with)).containsExactly("ALL PIPE", "ALL CATALYST", "ALL MUFFLER");
        assertThat(with.catalyst()).hasValue(Kind.CATALYST);
        assertThat(kinds(with.withCatalyst(Kind.STRAIGHT_THROUGH))).containsExactly("ALL PIPE", "ALL STRAIGHT_THROUGH",
                "ALL MUFFLER");
        assertThat(kinds(with.withCatalyst(null))).isEqualTo(kinds(single));
        assertThat(vee().lines()).containsExactly(Line.FIRST, Line.SECOND);
        assertThat(single.lines()).containsExactly(Line.ALL);
        assertThat(List.of(vee().separateBanks(), single.separateBanks())).containsExactly(true, false);
    }

    /** A place behind the merge sees both banks, one before it its own; of a single pipe there is no merge to speak of. */
    @Test
    void aPlaceBehindTheMergeSeesBothBanks() {
        Exhaust two = Exhaust.UNMEASURED.withSegments(List.of(
                Segment.straight(Line.FIRST, Kind.MANIFOLD, 0.2, 0.05, 0.0),
                Segment.straight(Line.FIRST, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.SECOND, Kind.MANIFOLD, 0.2, 0.05, 0.0),
                Segment.straight(Line.SECOND, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.MERGE, 0.2, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.05, 0.0)));
        Site vee = new Site(two, 3e-3, 2, 14.7, Runs.PROBE, Runs.LEAD, PlaceSchools.OURS);
        Candidate before = place("A", 0.5, 30).withLine(Line.FIRST);
        assertThat(PlaceRules.afterMerge(vee, before)).isFalse();
        assertThat(PlaceRules.afterMerge(vee, before.withDistance(1.3))).isTrue();
        assertThat(PlaceRules.afterMerge(vee, Candidate.named("A"))).isFalse();
        assertThat(PlaceRules.afterMerge(TURBO, place("A", 0.6, 30))).isFalse();
    }
}
