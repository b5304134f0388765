package amberheron.core.freeair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.State;
import amberheron.core.freeair.CoachEvent.Done;
import amberheron.core.freeair.CoachEvent.LinkLost;
import amberheron.core.freeair.CoachEvent.PowerLost;
import amberheron.core.freeair.CoachEvent.Recorded;
import amberheron.core.freeair.CoachEvent.Said;
import amberheron.core.freeair.CoachEvent.Sees;
import amberheron.core.freeair.CoachEvent.Shows;
import amberheron.core.freeair.CoachEvent.Tick;
import amberheron.core.freeair.Coaching.Trouble;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CoachTest {
    private static final Instant START = Instant.parse("2026-05-01T09:00:00Z");
    private static final Set<Condition> ALL = EnumSet.allOf(Condition.class);

    /** A coach and a clock that only the test moves. */
    private static final class Bay {
        private Coach coach;
        private Instant now = START;

        Bay(ControllerSheet sheet) {
            this(sheet, true, false);
        }

        Bay(ControllerSheet sheet, boolean powered, boolean demo) {
            coach = Coach.open(sheet, powered, demo, ALL, Coaching.NONE, now);
        }

        Bay does(CoachEvent... events) {
            for (CoachEvent event : events) {
                coach = coach.on(event, now);
            }
            return this;
        }

        Bay waits(double seconds) {
            for (int i = 0; i < seconds; i++) {
                now = now.plusSeconds(1);
                does(new Tick());
            }
            return this;
        }

        /** Watches the oxygen shown, each second. */
        Bay watches(double seconds, double oxygen) {
            for (int i = 0; i <= seconds; i++) {
                now = now.plusSeconds(1);
                does(new Tick(), new Shows(oxygen + (i % 3 - 1) * 1e-5, null, false));
            }
            return this;
        }

        CoachStep step() {
            return coach.now().step();
        }

        Trouble trouble() {
            return coach.now().trouble();
        }
    }

    /** A controller that learns, up to where it is ready. */
    private static Bay learned() {
        return new Bay(Controllers.LEARNS).does(new Done(), new Sees(State.NO_SENSOR)).waits(30)
                .does(new Done(), new Sees(State.WARMING)).waits(20).does(new Sees(State.READY));
    }

    @Test
    void clearThenLearnHoldsHalfAMinuteAndIsRecordedOnceItWasSteady() {
        Bay bay = new Bay(Controllers.LEARNS).does(new Done());
        assertThat(bay.step()).isEqualTo(CoachStep.CLEAR);
        assertThat(bay.waits(300).step()).as("until the sign is seen").isEqualTo(CoachStep.CLEAR);
        bay.does(new Sees(State.NO_SENSOR)).waits(29);
        assertThat(bay.step()).isEqualTo(CoachStep.HOLD);
        assertThat(bay.coach.remaining(bay.now).orElseThrow()).isCloseTo(1, within(1e-9));
        assertThat(bay.waits(1).step()).isEqualTo(CoachStep.PLUG_IN);
        assertThat(bay.does(new Done()).step()).isEqualTo(CoachStep.LEARN);
        assertThat(bay.waits(20).does(new Sees(State.READY)).step()).isEqualTo(CoachStep.STEADY);
        assertThat(bay.watches(58, 0.207).step()).isEqualTo(CoachStep.STEADY);
        assertThat(bay.watches(3, 0.207).step()).isEqualTo(CoachStep.READY);
        Coach.Result found = bay.coach.result().orElseThrow();
        assertThat(found.oxygen()).isCloseTo(0.207, within(1e-5));
        assertThat(found.steadiness().seconds()).isBetween(60.0, 62.0);
        assertThat(bay.does(new Recorded()).step()).isEqualTo(CoachStep.RECORDED);
        assertThat(Instruction.of(bay.coach).why().metric()).contains("Never power it with the sensor unplugged");
    }

    @Test
    void byHandThreeReadingsOverAMinuteDo() {
        Bay bay = new Bay(Controllers.TRIMMED).does(new Done(), new Done());
        assertThat(bay.waits(119).step()).isEqualTo(CoachStep.WARM);
        assertThat(bay.waits(1).step()).isEqualTo(CoachStep.TURN);
        bay.does(new Done(), new Shows(null, 1.4, false)).waits(30).does(new Shows(null, 1.4, false)).waits(30);
        assertThat(bay.step()).isEqualTo(CoachStep.STEADY);
        assertThat(bay.does(new Shows(null, 1.4, false)).step()).isEqualTo(CoachStep.READY);
        assertThat(bay.coach.result().orElseThrow().lambda()).isEqualTo(1.4);
    }

    @Test
    void theFactorysTrimIsOnlyWatched() {
        Bay bay = new Bay(Controllers.FACTORY).does(new Done(), new Sees(State.WARMING)).waits(39);
        assertThat(bay.step()).isEqualTo(CoachStep.WARM);
        assertThat(bay.does(new Sees(State.READY)).waits(1).watches(62, 0.2068).step()).isEqualTo(CoachStep.READY);
    }

    @Test
    void aConditionTakenBackSendsItBack() {
        Bay bay = learned().watches(40, 0.207).does(new Said(Condition.CLEAN_AIR, false));
        assertThat(bay.step()).isEqualTo(CoachStep.CONDITIONS);
        assertThat(bay.does(new Done()).step()).as("not all are so").isEqualTo(CoachStep.CONDITIONS);
        assertThat(bay.does(new Said(Condition.CLEAN_AIR, true), new Done()).step()).isEqualTo(CoachStep.CLEAR);
    }

    @Test
    void withoutAProvedSupplyNothingBegins() {
        assertThat(new Bay(Controllers.LEARNS, false, false).does(new Done()).step()).isEqualTo(CoachStep.CONDITIONS);
    }

    @Test
    void missingItsSensorOnceItLearnedClearsIt() {
        Bay bay = learned().watches(62, 0.207);
        assertThat(bay.does(new Sees(State.NO_SENSOR)).step()).isEqualTo(CoachStep.CLEAR);
        assertThat(bay.trouble()).isEqualTo(Trouble.SENSOR_LOST);
        assertThat(bay.coach.result()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(value = State.class, names = {"HEATER", "LOW_SUPPLY", "FAULT"})
    void whatSomebodyHasToMendStopsIt(State state) {
        assertThat(learned().watches(62, 0.207).does(new Sees(state)).step()).isEqualTo(CoachStep.STOPPED);
    }

    @ParameterizedTest
    @EnumSource(value = State.class, names = {"COLD", "HOT", "WARMING"})
    void tooCoolOrTooHotIsWaitedOutAgain(State state) {
        Bay bay = learned().watches(62, 0.207).does(new Sees(state));
        assertThat(bay.step()).isEqualTo(CoachStep.LEARN);
        assertThat(bay.does(new Sees(State.READY)).watches(30, 0.207).step()).as("what was before does not count")
                .isEqualTo(CoachStep.STEADY);
    }

    @Test
    void aSensorThatDoesNotGetReadyIsGivenUp() {
        Bay bay = new Bay(Controllers.LEARNS).does(new Done(), new Sees(State.NO_SENSOR)).waits(30).does(new Done());
        assertThat(bay.waits(100).step()).isEqualTo(CoachStep.LEARN);
        assertThat(bay.waits(1).step()).isEqualTo(CoachStep.STOPPED);
        assertThat(bay.trouble()).isEqualTo(Trouble.NOT_READY);
    }

    @Test
    void aPlaceholderAStandInAndABrokenLinkCountForNothing() {
        Bay holder = new Bay(Controllers.TRIMMED).does(new Done(), new Done()).waits(120).does(new Done());
        for (int i = 0; i < 90; i++) {
            holder.waits(1).does(new Shows(null, 1.0, false));
        }
        assertThat(holder.trouble()).isEqualTo(Trouble.PLACEHOLDER);
        Bay simulated = learned();
        for (int i = 0; i < 90; i++) {
            simulated.waits(1).does(new Shows(0.207, null, true));
        }
        assertThat(simulated.step()).isEqualTo(CoachStep.STEADY);
        assertThat(simulated.trouble()).isEqualTo(Trouble.SIMULATED);
        Bay link = learned().watches(62, 0.207).does(new LinkLost());
        assertThat(link.step()).isEqualTo(CoachStep.STEADY);
        assertThat(link.coach.series()).isEmpty();
    }

    @Test
    void aReadingThatDriftsOrJumpsIsNotReady() {
        Bay drifts = learned();
        for (int i = 0; i < 89; i++) {
            drifts.waits(1).does(new Shows(0.207 * (1 - 0.01 * i / 60), null, false));
        }
        assertThat(drifts.step()).as("a hundredth a minute").isEqualTo(CoachStep.STEADY);
        Bay jumps = learned();
        for (int i = 0; i < 89; i++) {
            jumps.waits(1).does(new Shows(i % 12 == 0 ? 0.15 : 0.207 + (i % 3) * 1e-5, null, false));
        }
        assertThat(jumps.step()).as("a lead that is loose now and then").isEqualTo(CoachStep.STEADY);
        assertThat(jumps.coach.steadiness().orElseThrow().loose()).isTrue();
    }

    @Test
    void leftInTheMiddleItSaysWhereItWas() {
        Coaching before = learned().watches(20, 0.207).coach.now();
        Coach again = Coach.open(Controllers.LEARNS, true, false, ALL, before, START.plusSeconds(7200));
        assertThat(again.now().step()).isEqualTo(CoachStep.STOPPED);
        assertThat(Instruction.of(again).trouble().metric()).contains("“Watch”");
        Coach begun = again.on(new CoachEvent.Again(), START.plusSeconds(7300));
        assertThat(begun.conditions()).as("the sensor may have been anywhere").isEmpty();
    }

    @Test
    void withoutPowerForAMomentItBeginsAgain() {
        assertThat(learned().watches(10, 0.207).does(new PowerLost()).step()).isEqualTo(CoachStep.CLEAR);
    }

    /** The clock is set back by an hour while it holds: the hold is measured from there. */
    @Test
    void aClockSetBackMeasuresNoTime() {
        Bay bay = new Bay(Controllers.LEARNS).does(new Done(), new Sees(State.NO_SENSOR)).waits(20);
        bay.now = bay.now.minusSeconds(3600);
        assertThat(bay.does(new Tick()).waits(29).step()).isEqualTo(CoachStep.HOLD);
        assertThat(bay.waits(1).step()).isEqualTo(CoachStep.PLUG_IN);
    }

    /** Who looks away for longer than three quarters of a minute has not seen what it did meanwhile. */
    @Test
    void whoLooksAwayTooLongBeginsToWatchAnew() {
        Bay ready = learned().watches(70, 0.209);
        assertThat(ready.step()).isEqualTo(CoachStep.READY);
        assertThat(ready.waits(45).step()).isEqualTo(CoachStep.READY);
        assertThat(ready.waits(1).step()).isEqualTo(CoachStep.STEADY);
        assertThat(ready.trouble()).isEqualTo(Trouble.UNSEEN);
    }

    /** No heater is at temperature a second after it got its power: whoever says so looks again. */
    @Test
    void readyASecondAfterPluggingInIsDoubted() {
        Bay bay = new Bay(Controllers.LEARNS).does(new Done(), new Sees(State.NO_SENSOR)).waits(30)
                .does(new Done()).waits(1).does(new Sees(State.READY));
        assertThat(bay.step()).isEqualTo(CoachStep.LEARN);
        assertThat(bay.trouble()).isEqualTo(Trouble.TOO_SOON);
        assertThat(bay.waits(14).does(new Sees(State.READY)).step()).isEqualTo(CoachStep.STEADY);
    }
}
