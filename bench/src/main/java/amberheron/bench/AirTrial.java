package amberheron.bench;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.AirCheck;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.AirRules;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachEvent;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;

/**
 * One blind trial: a controller that does not exist, of which only what it sends is known, coached by somebody who does
 * what is said, and judged by the rules. The truth is known afterwards.
 *
 * @param fault what was wrong with it
 * @param good whether its gain fits its sensor and nothing spoils it
 * @param edge whether it is so near the limit that it cannot be told
 * @param verdict what coach and rules make of it
 */
public record AirTrial(ControllerSheet sheet, AirFault fault, boolean good, boolean edge, Verdict verdict) {
    private static final double STEP = 0.1;
    private static final int MOST_STEPS = 9000;
    /** How far the gain may be off, and within what of that it is near the limit. */
    private static final double TOLERANCE = 0.01;
    private static final double NEAR = 0.012;

    /** Whether what was said is right. */
    public boolean right() {
        return edge ? verdict != Verdict.PASS || good : good == (verdict == Verdict.PASS);
    }

    /** Whether something bad was passed as good, that could have been seen. */
    public boolean deceived() {
        return !good && !edge && verdict == Verdict.PASS && sheet.inAir().oxygen();
    }

    /** The same on a display that ends at its top: too high a gain cannot be seen there. */
    public boolean hidden() {
        return !good && !edge && verdict == Verdict.PASS && !sheet.inAir().oxygen();
    }

    /**
     * A trial of one of these controllers in some air.
     *
     * @param seed the same seed is the same trial
     */
    public static AirTrial of(List<ControllerSheet> sheets, long seed) {
        Random random = new Random(seed);
        ControllerSheet sheet = sheets.get(random.nextInt(sheets.size()));
        Air air = new Air(278 + 30 * random.nextDouble(), 0.1 + 0.8 * random.nextDouble(),
                Air.pressureAt(1500 * random.nextDouble()) + 1200 * random.nextGaussian());
        List<AirFault> faults = List.of(AirFault.values());
        AirFault fault = random.nextInt(3) == 0 ? AirFault.NONE : faults.get(random.nextInt(faults.size()));
        SimulatedController made = new SimulatedController(sheet, air, fault, 1500 * random.nextDouble(),
                random.nextLong());
        Coach coach = coached(made, sheet);
        FreeAirCheck before = FreeAirCheck.NONE.withController(sheet)
                .withToday(new AirOfDay(air.temperature(), air.humidity(), null, air.pressure(), null, null))
                .withConditions(coach.conditions()).withCoaching(coach.now());
        FreeAirCheck check = coach.result().map(r -> before.recorded(r, LocalDate.EPOCH)).orElse(before);
        Verdict verdict = Verdict.worst(AirRules.judge(check, null, 1).stream()
                .filter(f -> f.check().is(AirCheck.SHOWN) || f.check().is(AirCheck.TOP)
                        || f.check().is(AirCheck.SETTLED))
                .map(Finding::verdict).toList());
        double off = sheet.school() == CalibrationSchool.FACTORY_TRIMMED ? made.gainNow() - 1 : 0;
        boolean spoiled = fault.spoils();
        return new AirTrial(sheet, fault, !spoiled && Math.abs(off) <= TOLERANCE,
                !spoiled && Math.abs(Math.abs(off) - TOLERANCE) <= NEAR, verdict);
    }

    /** Somebody does what the coach says, and knows nothing else. */
    public static Coach coached(SimulatedController made, ControllerSheet sheet) {
        Instant now = Instant.EPOCH;
        Coach coach = Coach.open(sheet, true, true, EnumSet.allOf(Condition.class), Coaching.NONE, now)
                .on(new CoachEvent.Done(), now);
        CoachStep before = CoachStep.CONDITIONS;
        double adjuster = 0;
        for (int i = 0; i < MOST_STEPS && coach.now().step().underWay() && coach.now().step() != CoachStep.READY; i++) {
            CoachStep step = coach.now().step();
            if (step != before) {
                act(made, step);
                before = step;
            }
            if (step == CoachStep.TURN) {
                adjuster += 0.0005;
                made.turn(adjuster);
            }
            made.step(STEP);
            now = now.plusMillis((long) (STEP * 1000));
            if (made.powered()) {
                for (CoachEvent told : CoachEvent.of(sheet, made.report(), true)) {
                    coach = coach.on(told, now);
                }
            }
            boolean mark = step == CoachStep.TURN && made.atMark();
            boolean does = (step == CoachStep.PLUG_IN && coach.lasted(now) > 3)
                    || step == CoachStep.ANTICLOCKWISE || step == CoachStep.POWER_ON || mark;
            coach = (does ? coach.on(new CoachEvent.Done(), now) : coach).on(new CoachEvent.Tick(), now);
            if ((step == CoachStep.TURN && adjuster >= 1) || (step == CoachStep.CLEAR && coach.lasted(now) > 60)) {
                coach = coach.on(new CoachEvent.Stop(), now);
            }
        }
        return coach;
    }

    private static void act(SimulatedController made, CoachStep step) {
        switch (step) {
            case CLEAR -> {
                made.plug(false);
                made.power(true);
            }
            case PLUG_IN -> {
                made.power(false);
                made.plug(true);
            }
            case LEARN, POWER_ON -> made.power(true);
            case ANTICLOCKWISE -> {
                made.turn(0);
                made.power(true);
            }
            default -> {
            }
        }
    }
}
