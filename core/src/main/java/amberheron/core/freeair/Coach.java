package amberheron.core.freeair;

import static amberheron.core.freeair.CoachStep.CLEAR;
import static amberheron.core.freeair.CoachStep.CONDITIONS;
import static amberheron.core.freeair.CoachStep.HOLD;
import static amberheron.core.freeair.CoachStep.LEARN;
import static amberheron.core.freeair.CoachStep.PLUG_IN;
import static amberheron.core.freeair.CoachStep.READY;
import static amberheron.core.freeair.CoachStep.RECORDED;
import static amberheron.core.freeair.CoachStep.STEADY;
import static amberheron.core.freeair.CoachStep.STOPPED;
import static amberheron.core.freeair.CoachStep.TURN;
import static amberheron.core.freeair.CoachStep.WARM;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.State;
import amberheron.core.freeair.CoachEvent.Shows;
import amberheron.core.freeair.Coaching.Trouble;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A calibration or check in free air, step by step, as a state machine for each school. It never reaches {@link
 * CoachStep#RECORDED} without all conditions, with the power unproved, on the placeholder, too cool, with a state that does
 * not count, or by a stand-in outside the demo. Whatever is lost in between leaves it in the state that is true.
 *
 * @param sheet what the controller does
 * @param powered whether its supply was proved where it is wired
 * @param demo whether a simulated reading counts
 * @param conditions those that are so
 * @param now how far it is
 * @param last when something happened last
 * @param state what the controller told last, null while it told nothing that still holds
 * @param series what was shown since it counts, in the order shown
 */
public record Coach(ControllerSheet sheet, boolean powered, boolean demo, Set<Condition> conditions, Coaching now,
        Instant last, @Nullable State state, List<Shown> series) {
    /** Time for which a controller is held without its sensor, s; common practice. */
    public static final double HOLD_TIME = 30;
    /** Time for which a trimmed controller warms up before it is turned, s; common practice. */
    public static final double TRIM_WARM_UP = 120;
    /** Time after plugging in before which no sensor is at temperature, s; from memory: a quick heater takes ten or more. */
    static final double SOONEST = 5;
    /** Time that is waited beyond what a sensor in order takes, s. */
    private static final double PATIENCE = 60;
    /**
     * Longest time for which a reading is watched, s: a sensor in order is steady from the start, and waiting until it
     * happens to be steady deceives.
     */
    private static final double MOST_WATCHED = 180;
    /** Number of readings from which they come from a stream rather than from a person who types. */
    private static final int STREAM = 20;
    /** Time between two readings below which the second adds nothing. */
    private static final Duration NEAREST = Duration.ofMillis(200);
    /** Readings older than this are dropped. */
    private static final Duration WINDOW = Duration.ofSeconds(90);
    /** Longest time between two readings of one steady series. */
    private static final Duration LONGEST_GAP = Duration.ofSeconds(45);

    /** Reading shown at a moment. */
    public record Shown(Instant at, Shows what) {
    }

    /**
     * Result that can be recorded.
     *
     * @param oxygen shown at the end, mole fraction; null where a mixture was
     * @param lambda shown at the end; null where oxygen was
     */
    public record Result(@Nullable Double oxygen, @Nullable Double lambda, Steadiness steadiness, boolean simulated) {
    }

    public Coach {
        conditions = Set.copyOf(conditions);
        series = List.copyOf(series);
    }

    /**
     * Opens a coach at the beginning, or where it was left.
     *
     * @param before how far it was when the job was left or the program ended; what was under way then is lost
     */
    public static Coach open(ControllerSheet sheet, boolean powered, boolean demo, Set<Condition> conditions,
            Coaching before, Instant at) {
        Coaching now = before.step() == RECORDED || before.step() == STOPPED
                ? before
                : before.step().underWay()
                        ? new Coaching(STOPPED, at, Trouble.LEFT, before.step())
                        : new Coaching(CONDITIONS, at, Trouble.NONE, null);
        return new Coach(sheet, powered, demo, conditions, now, at, null, List.of());
    }

    /**
     * Returns the coach with what is known elsewhere of supply and conditions; what is under way ends when one does not
     * hold.
     */
    public Coach knowing(boolean supply, Set<Condition> so, Instant at) {
        Coach knows = new Coach(sheet, supply, demo, so, now, last, state, series);
        return now.step().underWay() && !knows.prepared()
                ? knows.at(new Coaching(CONDITIONS, at, Trouble.CONDITION, now.step()), at, null, List.of())
                : knows;
    }

    /** Returns the coach after an event at a moment. */
    public Coach on(CoachEvent event, Instant at) {
        if (at.isBefore(last)) {
            // A clock that is set back measures no time.
            CoachStep step = now.step() == READY ? STEADY : now.step();
            return at(new Coaching(step, at, now.trouble(), now.from()), at, state, List.of()).on(event, at);
        }
        Coach moved = at(now, at, state, series);
        return switch (event) {
            case CoachEvent.Said said -> moved.said(said, at);
            case CoachEvent.Done done -> moved.done(at);
            case CoachEvent.Sees sees -> now.step().underWay() ? moved.sees(sees.state(), at) : moved;
            case Shows shows -> moved.shows(shows, at);
            case CoachEvent.LinkLost lost -> moved.linkLost(at);
            case CoachEvent.PowerLost lost -> now.step().underWay() ? moved.restart(Trouble.POWER_LOST, at) : moved;
            case CoachEvent.Tick tick -> moved.tick(at);
            case CoachEvent.Stop stop -> now.step().underWay() ? moved.stop(Trouble.STOPPED, at) : moved;
            case CoachEvent.Again again -> moved.again(at);
            case CoachEvent.Recorded recorded -> result().isPresent()
                    ? moved.to(RECORDED, Trouble.NONE, at)
                    : moved;
        };
    }

    private Coach at(Coaching where, Instant at, @Nullable State told, List<Shown> shown) {
        return new Coach(sheet, powered, demo, conditions, where, at, told, shown);
    }

    private CalibrationSchool school() {
        return sheet.school();
    }

    /** Begins a step; readings taken before it do not count. */
    private Coach to(CoachStep step, Trouble trouble, Instant at) {
        boolean keeps = step == READY || step == RECORDED;
        return at(new Coaching(step, at, trouble, null), at, state, keeps ? series : List.of());
    }

    private Coach stop(Trouble why, Instant at) {
        return at(new Coaching(STOPPED, at, why, now.step()), at, null, List.of());
    }

    /** Begins again where the school begins with the controller; the conditions still hold. */
    private Coach restart(Trouble why, Instant at) {
        return at(new Coaching(CoachStep.first(school()), at, why, now.step()), at, null, List.of());
    }

    private Coach again(Instant at) {
        // The sensor may have been anywhere since.
        Set<Condition> still = now.step() == CONDITIONS ? conditions : Set.of();
        return new Coach(sheet, powered, demo, still, new Coaching(CONDITIONS, at, Trouble.NONE, null), at, null,
                List.of());
    }

    private Coach said(CoachEvent.Said said, Instant at) {
        Set<Condition> more = EnumSet.noneOf(Condition.class);
        more.addAll(conditions);
        if (said.so()) {
            more.add(said.condition());
        } else {
            more.remove(said.condition());
        }
        return knowing(powered, more, at);
    }

    /** Returns whether everything holds that has to before the controller is touched. */
    public boolean prepared() {
        return powered && conditions.size() == Condition.values().length;
    }

    private Coach done(Instant at) {
        return switch (now.step()) {
            case CONDITIONS -> prepared() ? to(CoachStep.first(school()), Trouble.NONE, at) : this;
            case CLEAR, ANTICLOCKWISE, POWER_ON, PLUG_IN -> at(now, at, null, List.of())
                    .to(now.step().next(school()), Trouble.NONE, at);
            // Only a trim ends by the hand that turns.
            case TURN -> to(STEADY, Trouble.NONE, at);
            // Time and the controller say when these are done, not the person.
            case HOLD, LEARN, WARM, STEADY, READY, RECORDED, STOPPED -> this;
        };
    }

    private Coach sees(State told, Instant at) {
        Coach knows = at(now, at, told, series);
        return switch (told) {
            case NO_SENSOR -> switch (now.step()) {
                case CLEAR -> knows.to(HOLD, now.trouble() == Trouble.SENSOR_LOST ? now.trouble() : Trouble.NONE, at);
                case HOLD, PLUG_IN -> knows;
                // Powered without its sensor it forgets what it was taught.
                default -> restart(Trouble.SENSOR_LOST, at).at(told);
            };
            case HEATER -> stop(Trouble.HEATER, at);
            case LOW_SUPPLY -> stop(Trouble.LOW_SUPPLY, at);
            case FAULT -> stop(Trouble.FAULT, at);
            case HOT -> knows.cooler(Trouble.HOT, at);
            case COLD -> knows.cooler(Trouble.COLD, at);
            case WARMING -> knows.heard(at).cooler(Trouble.NONE, at);
            case LEARNING -> knows.heard(at);
            case READY -> {
                Coach heard = knows.heard(at);
                if (heard.now.step() != LEARN) {
                    yield heard;
                }
                // One that only lost its temperature for a moment is soon back at it.
                yield heard.now.from() == null && heard.lasted(at) < SOONEST
                        ? heard.at(heard.now.withTrouble(Trouble.TOO_SOON), at, null, List.of())
                        : heard.to(STEADY, Trouble.NONE, at);
            }
        };
    }

    private Coach at(State told) {
        return at(now, last, told, series);
    }

    /** Notes that the controller is alive with its sensor, which ends the steps that wait for just that. */
    private Coach heard(Instant at) {
        return switch (now.step()) {
            case HOLD -> to(CLEAR, Trouble.NOT_UNPLUGGED, at);
            case PLUG_IN -> to(LEARN, Trouble.NONE, at);
            case POWER_ON -> to(WARM, Trouble.NONE, at);
            default -> this;
        };
    }

    /** Notes that the sensor is below its temperature: readings do not count, and the watch begins anew. */
    private Coach cooler(Trouble why, Instant at) {
        return switch (now.step()) {
            case STEADY, READY -> at(new Coaching(
                    school() == CalibrationSchool.CLEAR_THEN_LEARN ? LEARN : WARM, at, why, now.step()), at, state,
                    List.of());
            case WARM, LEARN, TURN -> at(now.withTrouble(why), at, state, List.of());
            default -> this;
        };
    }

    private Coach shows(Shows what, Instant at) {
        if (now.step() != STEADY && now.step() != READY) {
            return this;
        }
        if (what.simulated() && !demo) {
            return at(new Coaching(STEADY, at, Trouble.SIMULATED, null), at, state, List.of());
        }
        Double lambda = what.lambda();
        if (lambda != null && sheet.placeholds(lambda)) {
            return at(new Coaching(STEADY, at, Trouble.PLACEHOLDER, null), at, state, List.of());
        }
        if (state != null && !state.counts()) {
            return this;
        }
        if (!series.isEmpty() && Duration.between(series.getLast().at(), at).compareTo(NEAREST) < 0) {
            return this;
        }
        List<Shown> more = new ArrayList<>();
        boolean goesOn = !series.isEmpty()
                && Duration.between(series.getLast().at(), at).compareTo(LONGEST_GAP) <= 0
                && (series.getLast().what().oxygen() == null) == (what.oxygen() == null);
        if (goesOn) {
            series.stream().filter(s -> s.at().isAfter(at.minus(WINDOW))).forEach(more::add);
        }
        more.add(new Shown(at, what));
        Coach seen = at(now.withTrouble(goesOn ? now.trouble() : Trouble.NONE), at, state, more);
        if (seen.now.step() == STEADY && lasted(at) > MOST_WATCHED && more.size() >= STREAM) {
            return seen.stop(Trouble.UNSTEADY, at);
        }
        boolean steady = seen.watched() >= Steadiness.LONG_ENOUGH
                && seen.steadiness().filter(Steadiness::steady).isPresent();
        if (steady) {
            return now.step() == READY
                    ? seen.at(now.withTrouble(Trouble.NONE), at, state, more)
                    : seen.to(READY, Trouble.NONE, at);
        }
        return now.step() == READY ? seen.at(new Coaching(STEADY, at, Trouble.UNSTEADY, null), at, state, more) : seen;
    }

    /** Returns the steadiness of the readings so far; empty while there are too few. */
    public Optional<Steadiness> steadiness() {
        if (series.size() < Steadiness.FEWEST || watched() == 0) {
            return Optional.empty();
        }
        Instant from = series.getFirst().at();
        return Optional.of(Steadiness.of(series.stream().map(s -> new Steadiness.Reading(
                Duration.between(from, s.at()).toNanos() / 1e9, s.what().value())).toList()));
    }

    /** Returns for how long the readings that count have been watched, s. */
    private double watched() {
        return series.isEmpty()
                ? 0
                : Duration.between(series.getFirst().at(), series.getLast().at()).toNanos() / 1e9;
    }

    private Coach linkLost(Instant at) {
        return switch (now.step()) {
            case STEADY, READY -> at(new Coaching(STEADY, at, Trouble.LINK_LOST, null), at, null, List.of());
            // Without power it says nothing; that is what this step is about.
            case PLUG_IN -> this;
            default -> at(now, at, null, List.of());
        };
    }

    private Coach tick(Instant at) {
        double lasted = lasted(at);
        return switch (now.step()) {
            case HOLD -> lasted >= HOLD_TIME ? to(PLUG_IN, Trouble.NONE, at) : this;
            case LEARN -> lasted > sheet.warmUp() + PATIENCE ? stop(Trouble.NOT_READY, at) : this;
            case WARM -> {
                if (state != null && !state.counts()) {
                    yield lasted > warmUp() + PATIENCE ? stop(Trouble.NOT_READY, at) : this;
                }
                yield lasted >= warmUp() ? to(now.step().next(school()), Trouble.NONE, at) : this;
            }
            // It was not looked at for so long that it may have been anything.
            case READY -> series.isEmpty()
                    || Duration.between(series.getLast().at(), at).compareTo(LONGEST_GAP) > 0
                            ? at(new Coaching(STEADY, at, Trouble.UNSEEN, null), at, state, List.of())
                            : this;
            default -> this;
        };
    }

    /** Returns how long the sensor warms up before readings count, s. */
    public double warmUp() {
        return school() == CalibrationSchool.TRIM_BY_HAND ? Math.max(TRIM_WARM_UP, sheet.warmUp()) : sheet.warmUp();
    }

    /** How long the step has lasted, s. */
    public double lasted(Instant at) {
        return Math.max(0, Duration.between(now.since(), at).toNanos() / 1e9);
    }

    /** How long the step still has to last, s; empty where time does not say when it is over. */
    public Optional<Double> remaining(Instant at) {
        double whole = switch (now.step()) {
            case HOLD -> HOLD_TIME;
            case WARM -> warmUp();
            case STEADY -> Steadiness.LONG_ENOUGH;
            default -> Double.NaN;
        };
        double gone = now.step() == STEADY
                ? series.isEmpty() ? 0 : Duration.between(series.getFirst().at(), at).toNanos() / 1e9
                : lasted(at);
        return Double.isNaN(whole) ? Optional.empty() : Optional.of(Math.max(0, whole - gone));
    }

    /** Result that can be recorded now; empty while there is none. */
    public Optional<Result> result() {
        if (now.step() != READY || !prepared() || (state != null && !state.counts())) {
            return Optional.empty();
        }
        boolean simulated = series.stream().anyMatch(s -> s.what().simulated());
        Shows shown = series.getLast().what();
        double[] values = series.stream().mapToDouble(s -> s.what().value()).sorted().toArray();
        double middle = values[values.length / 2];
        return simulated && !demo
                ? Optional.empty()
                : steadiness().filter(Steadiness::steady).map(s -> new Result(
                        shown.oxygen() == null ? null : middle, shown.oxygen() == null ? middle : null, s, simulated));
    }
}
