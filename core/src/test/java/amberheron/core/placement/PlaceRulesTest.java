package amberheron.core.placement;

import static amberheron.core.finding.Verdict.FAIL;
import static amberheron.core.finding.Verdict.PASS;
import static amberheron.core.finding.Verdict.UNKNOWN;
import static amberheron.core.finding.Verdict.WARN;
import static amberheron.core.placement.Runs.OPEN;
import static amberheron.core.placement.Runs.TURBO;
import static amberheron.core.placement.Runs.at;
import static amberheron.core.placement.Runs.site;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.ExhaustGas;
import amberheron.core.placement.Candidate.Hole;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import amberheron.core.units.Unusable;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the trade says of a place comes out as the trade says it. */
class PlaceRulesTest {
    private static Finding finding(Site site, Candidate place, String id) {
        return PlaceRules.judge(site, place).stream().filter(f -> f.check().key().equals(id)).findFirst().orElseThrow();
    }

    private static double figure(Site site, Candidate place, String id) {
        return Objects.requireNonNull(finding(site, place, id).figure()).si();
    }

    @Test
    void beforeTheTurbineFailsAndSaysWhatItCosts() {
        Finding before = finding(site(TURBO), at(-0.05, 45), "distance");
        assertThat(before.verdict()).isEqualTo(FAIL);
        // At 2 bar 1.1837 times the current: λ 1.2 is read as the mixture that leaves so much more oxygen.
        assertThat(ExhaustGas.oxygen(1.2 + Objects.requireNonNull(before.lambdaCost()), 1.87))
                .isCloseTo(1.1837 * ExhaustGas.oxygen(1.2, 1.87), within(1e-5));
        assertThat(before.consequence().metric()).contains("pressure");
    }

    @ParameterizedTest
    @CsvSource({"-90, FAIL", "90, FAIL", "-80, PASS", "80, PASS", "-81, FAIL", "0, PASS", "150, FAIL"})
    void nineOClockFailsAndNineTwentyPassesOnALevelPipe(double clock, Verdict verdict) {
        assertThat(finding(site(TURBO), at(0.6, clock), "tilt").verdict()).isEqualTo(verdict);
    }

    @Test
    void fortySixCentimetresAfterTheTurbine() {
        assertThat(finding(site(TURBO), at(0.46, 45), "distance").verdict()).isEqualTo(PASS);
        assertThat(finding(site(TURBO), at(0.459, 45), "distance").verdict()).isEqualTo(FAIL);
    }

    @Test
    void fortyFiveCentimetresFromTheManifold() {
        assertThat(finding(site(OPEN), at(0.45, 45), "distance").verdict()).isEqualTo(PASS);
        assertThat(finding(site(OPEN), at(0.449, 45), "distance").verdict()).isEqualTo(FAIL);
        assertThat(finding(site(OPEN), at(0.45, 45), "distance").subject().metric()).isEqualTo("From the manifold");
    }

    @Test
    void afterACatalystWarnsThatItReadsLean() {
        Finding after = finding(site(TURBO), at(1.7, 45), "catalyst");
        assertThat(after.verdict()).isEqualTo(WARN);
        assertThat(after.consequence().metric()).contains("lean").contains("Record");
        assertThat(finding(site(TURBO), at(1.1, 45), "catalyst").verdict()).isEqualTo(PASS);
        assertThat(PlaceRules.judge(site(OPEN), at(1.3, 45))).noneMatch(f -> f.check().key().equals("catalyst"));
    }

    @Test
    void aStraightThroughCatalystIsNegligibleToOneSchoolOnly() {
        Site open = site(TURBO.withCatalyst(Kind.STRAIGHT_THROUGH));
        assertThat(finding(open, at(1.7, 45), "catalyst").verdict()).isEqualTo(WARN);
        Site held = open.withSchools(PlaceSchools.OURS.withCatalyst(CatalystSchool.OPEN_IS_NEGLIGIBLE));
        assertThat(finding(held, at(1.7, 45), "catalyst").verdict()).isEqualTo(PASS);
        assertThat(finding(site(TURBO).withSchools(held.schools()), at(1.7, 45), "catalyst").verdict())
                .as("an ordinary catalyst counts for every school").isEqualTo(WARN);
    }

    @Test
    void aLowPlaceFailsEvenWithRoom() {
        Site roomy = site(OPEN.withNeighbours(List.of(
                new Neighbour(Neighbour.Kind.GROUND, Neighbour.Side.BELOW, 0, 3, 1.5))));
        assertThat(finding(roomy, at(0.9, 180), "room.new-0").verdict()).isEqualTo(PASS);
        assertThat(PlaceRules.verdict(roomy, at(0.9, 180))).isEqualTo(FAIL);
        assertThat(finding(roomy, at(0.9, 180), "tilt").consequence().metric()).contains("tears it off");
    }

    /** Upright under a floor 150 mm above a 50.8 mm pipe, a sensor of 85 mm leaves 65 mm; at 60° half its height counts. */
    @Test
    void theFloorLeavesWhatTheSensorDoesNotReach() {
        assertThat(figure(site(OPEN), at(0.9, 0), "room.new-0")).isCloseTo(0.065, within(1e-9));
        double reach = (0.0254 + 0.085) * 0.5 + Probe.RADIUS * Math.sin(Math.toRadians(60));
        assertThat(figure(site(OPEN), at(0.9, 60), "room.new-0")).isCloseTo(0.0254 + 0.15 - reach, within(1e-9));
        assertThat(figure(site(OPEN), at(0.9, 0), "tools")).isCloseTo(0.15, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"FLOOR, 0.14, PASS", "FLOOR, 0.1, WARN", "FLOOR, 0.08, FAIL", "DRIVESHAFT, 0.14, PASS",
            "DRIVESHAFT, 0.12, FAIL"})
    void nearTheFloorTheCableRubsNearAShaftItIsCaught(Neighbour.Kind kind, double gap, Verdict verdict) {
        Site site = site(OPEN.withNeighbours(List.of(new Neighbour(kind, Neighbour.Side.ABOVE, 0, 3, gap))));
        assertThat(finding(site, at(0.9, 0), "room.new-0").verdict()).isEqualTo(verdict);
    }

    @Test
    void aSensorLongerThanTheGapIsRefusedWithTheReason() {
        Site low = site(OPEN.withNeighbours(List.of(Runs.FLOOR.withGap(0.06))));
        assertThatThrownBy(() -> RoomRules.requireRoom(low, at(0.9, 0))).isInstanceOf(Unusable.class)
                .hasMessageContaining("85 mm").hasMessageContaining("25 mm more than the floor leaves");
        RoomRules.requireRoom(low, at(0.9, 70));
        assertThat(finding(low, at(0.9, 0), "tools").consequence().metric()).startsWith("No tool reaches it");
    }

    @Test
    void theLeadHasToReachWithSlackAtBothEnds() {
        Site site = new Site(OPEN, 2e-3, 1, 14.7, new Probe(0.08, 0.5, 1.0), new Site.Wired(2.0, null, 45),
                PlaceSchools.OURS);
        assertThat(figure(site, at(0.9, 45), "lead")).isCloseTo(2.0 - 0.4 - 1.0 - 0.15, within(1e-9));
        assertThat(finding(site, at(1.4, 45), "lead").verdict()).isEqualTo(FAIL);
        Site laid = new Site(OPEN, 2e-3, 1, 14.7, new Probe(0.08, 0.5, 1.0), new Site.Wired(2.0, 0.75, 45),
                PlaceSchools.OURS);
        assertThat(figure(laid, at(0.9, 45), "lead")).as("as the cable lies, whatever was planned")
                .isCloseTo(0.75 - 0.4, within(1e-9));
    }

    @Test
    void hotNearTheEngineAndSlowAndWetFarFromIt() {
        double near = figure(site(OPEN), at(0.46, 45), "gas");
        double far = figure(site(OPEN), at(1.9, 45), "gas");
        assertThat(near).isGreaterThan(far);
        assertThat(Objects.requireNonNull(finding(site(OPEN), at(0.46, 45), "gas").figure()).spread())
                .as("an estimate with its range").isGreaterThan(20);
        assertThat(figure(site(OPEN), at(1.9, 45), "dry")).isGreaterThan(figure(site(OPEN), at(0.46, 45), "dry"));
        assertThat(figure(site(OPEN), at(1.9, 45), "delay-idle"))
                .isGreaterThan(figure(site(OPEN), at(1.9, 45), "delay-full"));
    }

    @Test
    void noBungHoldsOnAFlexOrPastTheEnd() {
        assertThat(finding(site(TURBO), at(1.3, 45), "piece").consequence().metric()).contains("catalyst");
        assertThat(finding(site(OPEN), at(2.5, 45), "piece").verdict()).isEqualTo(FAIL);
        assertThatThrownBy(() -> OPEN.run(Line.ALL).require(2.5))
                .hasMessageContaining("past the end of the run at 2000");
        assertThatThrownBy(() -> OPEN.run(Line.ALL).require(-0.3))
                .hasMessageContaining("before the run begins at −200");
    }

    @Test
    void oneSensorSeesOneBankUntilTheMerge() {
        Exhaust vee = new Exhaust(List.of(Segment.straight(Line.FIRST, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.SECOND, Kind.PIPE, 0.8, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.PIPE, 1.0, 0.05, 0.0)), List.of(Runs.FLOOR), Attitude.LEVEL);
        Site site = new Site(vee, 2e-3, 2, 14.7, Runs.PROBE, Runs.LEAD, PlaceSchools.OURS);
        Candidate early = at(0.6, 45).withLine(Line.SECOND);
        assertThat(finding(site, early, "bank").subject().metric()).isEqualTo("Bank seen: second bank");
        assertThat(finding(site, early, "bank").verdict()).isEqualTo(PASS);
        assertThat(finding(site, at(1.0, 45).withLine(Line.SECOND), "bank").subject().metric())
                .isEqualTo("Bank seen: both");
        Site strict = site.withSchools(PlaceSchools.OURS.withBank(BankSchool.AFTER_MERGE));
        assertThat(finding(strict, early, "bank").verdict()).isEqualTo(WARN);
        assertThat(figure(site, early, "delay-idle"))
                .as("half the engine feeds a bank's own pipe: twice the time for the same volume, besides the cycle")
                .isCloseTo(2 * (figure(site(vee.withSegments(List.of(
                        Segment.straight(Line.ALL, Kind.PIPE, 0.8, 0.05, 0.0)))), at(0.6, 45), "delay-idle") - 0.15)
                        + 0.15, within(1e-9));
    }

    @Test
    void whatIsNotMeasuredNeverPasses() {
        Site bare = new Site(Exhaust.UNMEASURED, null, 1, 14.7, Probe.UNMEASURED,
                new Site.Wired(null, null, 45), PlaceSchools.OURS);
        assertThat(PlaceRules.judge(bare, Candidate.named("A"))).extracting(Finding::verdict).containsOnly(UNKNOWN);
        assertThat(PlaceRules.judge(bare, at(0.6, 45))).extracting(Finding::verdict).doesNotContain(PASS);
        Site unmeasured = site(OPEN.withNeighbours(List.of(Runs.FLOOR.withGap(null))));
        assertThat(finding(unmeasured, at(0.9, 0), "room.new-0").verdict()).isEqualTo(UNKNOWN);
        assertThat(finding(unmeasured, at(0.9, 0), "tools").verdict()).isEqualTo(UNKNOWN);
    }

    @Test
    void eachSchoolChoosesItsOwn() {
        List<Candidate> places = List.of(at(0.9, 0), at(0.8, 45), at(0.6, 75), at(0.5, 90));
        assertThat(clock(places, TiltSchool.STRAIGHT_UP)).isEqualTo(0, within(1e-9));
        assertThat(clock(places, TiltSchool.OFF_VERTICAL)).isEqualTo(45, within(1e-9));
        assertThat(clock(places, TiltSchool.FROM_TEN_DEGREES)).isEqualTo(75, within(1e-9));
    }

    private static double clock(List<Candidate> places, TiltSchool school) {
        return Math.toDegrees(Objects.requireNonNull(PlaceRules
                .choice(site(OPEN).withSchools(PlaceSchools.OURS.withTilt(school)), places).orElseThrow().clock()));
    }

    @Test
    void aHoleThatIsThereGoesFirstButNotAtThePriceOfAWarning() {
        Candidate cut = at(0.6, 45);
        Candidate spare = at(0.9, 45).withHole(Hole.SPARE);
        assertThat(PlaceRules.choice(site(TURBO), List.of(cut, spare))).hasValue(spare);
        Candidate late = at(1.8, 45).withHole(Hole.SECOND_SENSOR);
        assertThat(PlaceRules.choice(site(TURBO), List.of(cut, late))).hasValue(cut);
    }

    /** Each limit from both sides; a measured temperature stands for the estimate. */
    @ParameterizedTest
    @CsvSource({"FLOOR, 0.115, PASS", "FLOOR, 0.1149, WARN", "HOT_PART, 0.185, PASS", "HOT_PART, 0.1849, WARN",
            "HOT_PART, 0.115, WARN", "HOT_PART, 0.1149, FAIL", "FUEL_LINE, 0.185, PASS", "FUEL_LINE, 0.1849, WARN",
            "LINKAGE, 0.135, PASS", "LINKAGE, 0.1349, FAIL"})
    void whatIsHotOrCarriesFuelAsksForMoreRoom(Neighbour.Kind kind, double gap, Verdict verdict) {
        Site site = site(OPEN.withNeighbours(List.of(new Neighbour(kind, Neighbour.Side.ABOVE, 0, 3, gap))));
        assertThat(finding(site, at(0.9, 0), "room.new-0").verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({"1203, PASS", "1203.1, FAIL"})
    void gasThatWasMeasuredStandsForTheEstimate(double kelvin, Verdict verdict) {
        Finding gas = finding(site(OPEN), at(0.46, 45).withGas(kelvin), "gas");
        assertThat(gas.verdict()).isEqualTo(verdict);
        assertThat(Objects.requireNonNull(gas.figure()).spread()).isZero();
    }

    /** The estimate can warn: an engine on boost, its sensor close behind the turbine, a pipe that loses little. */
    @Test
    void anEstimateThatCrossesTheLimitSaysSo() {
        Estimate boosted = GasAlongPipe.atFullLoad(0.02, 0.12, true, true);
        assertThat(boosted.low()).isLessThan(PlaceLimits.GAS);
        assertThat(boosted.high()).isGreaterThan(PlaceLimits.GAS);
        assertThat(PlaceLimits.gas(boosted)).isEqualTo(WARN);
        assertThat(GasAlongPipe.atFullLoad(0.02, 0.12, true, false).high()).as("before it, hotter")
                .isGreaterThan(boosted.high());
        assertThat(PlaceLimits.gas(new Estimate(1204, 1300))).isEqualTo(FAIL);
        assertThat(PlaceLimits.gas(new Estimate(900, 1203))).isEqualTo(PASS);
        assertThat(PlaceLimits.gas(null)).isEqualTo(UNKNOWN);
    }

    @ParameterizedTest
    @CsvSource({"1.7, PASS", "1.71, WARN", "1.9, WARN", "1.901, FAIL", "1.96, FAIL"})
    void nearAnOpenEndAirIsDrawnBack(double distance, Verdict verdict) {
        assertThat(finding(site(OPEN), at(distance, 45), "open-end").verdict()).isEqualTo(verdict);
        Site endless = site(OPEN.withSegments(List.of(Segment.straight(Line.ALL, Kind.MANIFOLD, 0.2, 0.05, 0.0),
                Segment.straight(Line.ALL, Kind.PIPE, null, 0.0508, 0.0))));
        assertThat(finding(endless, at(distance, 45), "open-end").verdict()).isEqualTo(UNKNOWN);
    }

    @Test
    void jointsAndSecondaryAirCountWhereTheGasHasPassedThem() {
        Segment pipe = Segment.straight(Line.ALL, Kind.PIPE, 0.4, 0.0508, 0.0);
        Segment joint = Segment.straight(Line.ALL, Kind.JOINT, 0.05, 0.0508, 0.0);
        Segment inlet = Segment.straight(Line.ALL, Kind.AIR_INLET, 0.05, 0.0508, 0.0);
        Site site = site(OPEN.withSegments(List.of(pipe, joint, pipe, joint, pipe, joint, inlet, pipe)));
        assertThat(figure(site, at(1.2, 45), "joints")).isEqualTo(2);
        assertThat(finding(site, at(1.2, 45), "joints").verdict()).isEqualTo(PASS);
        assertThat(PlaceRules.judge(site, at(1.2, 45))).noneMatch(f -> f.check().key().equals("secondary-air"));
        assertThat(finding(site, at(1.5, 45), "joints").verdict()).isEqualTo(WARN);
        assertThat(finding(site, at(1.5, 45), "secondary-air").consequence().metric()).contains("reads lean");
    }

    /** A boat's exhaust: dry pipe, riser, then water is sprayed in. Past the water a sensor drowns. */
    @Test
    void inAWetExhaustTheSensorGoesIntoTheDryPart() {
        Segment manifold = Segment.straight(Line.ALL, Kind.MANIFOLD, 0.2, 0.05, 0.0);
        Segment dry = Segment.straight(Line.ALL, Kind.PIPE, 0.8, 0.0508, 0.0);
        Segment riser = Segment.straight(Line.ALL, Kind.RISER, 0.3, 0.0508, 0.5);
        Segment water = Segment.straight(Line.ALL, Kind.WATER, 0.1, 0.0508, 0.0);
        Site kept = site(OPEN.withSegments(List.of(manifold, dry, riser, water, dry)));
        assertThat(finding(kept, at(0.6, 45), "water").verdict()).isEqualTo(PASS);
        assertThat(finding(kept, at(0.9, 45), "water").verdict()).as("in the riser itself").isEqualTo(PASS);
        assertThat(finding(kept, at(0.9, 45), "piece").verdict()).as("a riser takes a bung").isEqualTo(PASS);
        assertThat(finding(kept, at(1.4, 45), "water").verdict()).isEqualTo(FAIL);
        assertThat(finding(kept, at(1.4, 45), "water").consequence().metric()).contains("Into the dry part");
        Site splashed = site(OPEN.withSegments(List.of(manifold, riser, dry, water, dry)));
        assertThat(finding(splashed, at(0.6, 45), "water").verdict()).as("the riser is behind it").isEqualTo(WARN);
        assertThat(PlaceRules.judge(site(OPEN), at(0.9, 45))).noneMatch(f -> f.check().is(PlaceCheck.WATER));
        assertThat(PlaceErrors.of(splashed, chosen(0.6)).wet()).isEqualTo(PlaceErrors.Wet.SPLASHED);
        assertThat(PlaceErrors.of(kept, chosen(1.4)).wet()).isEqualTo(PlaceErrors.Wet.WET);
        assertThat(PlaceErrors.of(kept, chosen(0.6)).wet()).isEqualTo(PlaceErrors.Wet.DRY);
    }

    private static Placing chosen(double distance) {
        Candidate place = at(distance, 45);
        return Placing.NONE.withCandidates(List.of(place)).withChosen(place.id());
    }

    @Test
    void dryIsJudgedByWhenTheHeaterIsHot() {
        double dry = PlaceRules.dry(site(OPEN), at(0.9, 45)).orElseThrow().high();
        Site hot = new Site(OPEN, 2e-3, 1, 14.7, Runs.PROBE, new Site.Wired(3.0, null, dry), PlaceSchools.OURS);
        assertThat(finding(hot, at(0.9, 45), "dry").verdict()).isEqualTo(PASS);
        Site sooner = new Site(OPEN, 2e-3, 1, 14.7, Runs.PROBE, new Site.Wired(3.0, null, dry - 0.1),
                PlaceSchools.OURS);
        assertThat(finding(sooner, at(0.9, 45), "dry").verdict()).isEqualTo(WARN);
    }

    @ParameterizedTest
    @CsvSource({"2.0, PASS", "2.001, WARN"})
    void aDelayIsFeltWhereAScrewIsTurnedPastItsPoint(double seconds, Verdict verdict) {
        assertThat(PlaceLimits.atMost(seconds, PlaceLimits.IDLE_DELAY)).isEqualTo(verdict);
        assertThat(PlaceLimits.atMost(null, PlaceLimits.IDLE_DELAY)).isEqualTo(UNKNOWN);
    }
}
