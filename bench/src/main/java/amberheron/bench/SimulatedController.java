package amberheron.bench;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.freeair.Air;
import amberheron.core.mixture.ExhaustGas;
import java.util.Random;

/**
 * A controller and its sensor in free air that do not exist: a heater that brings the ceramic up, a cell that follows the
 * oxygen with a lag, ages and has its own spread, and a controller that learns, is turned, or was trimmed. All figures are
 * made up, of the size the trade speaks of.
 */
public final class SimulatedController {
    /** Temperature it is ready at, K, and what it aims for. */
    private static final double READY_AT = 1020;
    private static final double AIM = 1053;
    private static final double TOO_HOT = 1130;
    private static final double HEATER_LAG = 14;
    private static final double LEAST_SUPPLY = 10.5;
    private static final double SOUND_SUPPLY = 12.4;
    private static final double LEARNING_TAKES = 4;
    private static final double MISSES_AFTER = 2;
    /** Loss of a cell's gain in a thousand hours, as a part of it, and how much slower it gets. */
    private static final double LOST_IN_1000_H = 0.04;
    private static final double SLOWER_IN_1000_H = 0.15;
    private static final double FRESH_LAG = 0.12;
    private static final double NOISE = 0.0004;
    /** Fumes drift past in so many seconds. */
    private static final double DRIFTING = 8;
    private static final double TOP = 1.52;
    private static final double BAR = 1e5;

    private final ControllerSheet sheet;
    private final Air air;
    private final AirFault fault;
    private final Random random;
    /** Current of this cell for the oxygen of dry air, over that of a cell as made. */
    private final double cellGain;
    private final double lag;
    private final double wrong;
    private final double pressureConstant;
    /** Part of the air that fumes take on average, and by how much a cracked ceramic wanders in a second. */
    private final double smoke;
    private final double cracked;
    private boolean powered;
    private boolean plugged = true;
    private double adjuster;
    private double time;
    private double poweredFor;
    private double readyFor;
    private double temperature;
    private double cell;
    private double fumes;
    private double crack;
    private double learned;
    private boolean learning;

    /**
     * A controller on the bench, powered off.
     *
     * @param sheet what it does
     * @param age hours its sensor has run
     * @param seed the same seed behaves the same
     */
    public SimulatedController(ControllerSheet sheet, Air air, AirFault fault, double age, long seed) {
        this.sheet = sheet;
        this.air = air;
        this.fault = fault;
        this.random = new Random(seed);
        double spread = 1 + 0.02 * random.nextGaussian();
        this.cellGain = spread * Math.max(0.3, 1 - LOST_IN_1000_H * age / 1000);
        this.lag = FRESH_LAG * (1 + SLOWER_IN_1000_H * age / 1000);
        this.temperature = air.temperature();
        this.pressureConstant = random.nextDouble(ExhaustGas.LEAST_PRESSURE_CONSTANT, ExhaustGas.PRESSURE_CONSTANT);
        this.smoke = 0.03 + 0.05 * random.nextDouble();
        this.cracked = 0.006 + 0.014 * random.nextDouble();
        this.wrong = fault == AirFault.WRONG_CALIBRATION
                ? (random.nextBoolean() ? 1 : -1) * (0.03 + 0.09 * random.nextDouble())
                : 0;
        // Adjusted at the factory to this very cell as it was new; one that learns has what it was taught before.
        this.learned = (1 + wrong) / (sheet.school().learns() ? cellGain : spread);
    }

    /** Switches its supply. */
    public void power(boolean on) {
        if (on && !powered) {
            poweredFor = 0;
            readyFor = 0;
        }
        powered = on;
    }

    /** Plugs the sensor in, or unplugs it. */
    public void plug(boolean in) {
        plugged = in;
    }

    /** Turns the adjuster, from 0 at its anticlockwise end to 1. */
    public void turn(double to) {
        adjuster = Math.clamp(to, 0, 1);
    }

    /** Whether it stands at its free-air mark: where what it shows has just reached the top. */
    public boolean atMark() {
        return raw() * trim() >= 1;
    }

    private double trim() {
        return 0.6 + adjuster;
    }

    /** Reading of the cell for dry air's oxygen, as a part of a new one's. */
    private double raw() {
        return cell * cellGain;
    }

    /** Returns the ratio of its gain to the right one for this cell and this air, for trials that know the truth. */
    public double gainNow() {
        return cellGain * gain();
    }

    private double gain() {
        return sheet.school() == CalibrationSchool.TRIM_BY_HAND ? trim() : learned;
    }

    /** Lets time go on, s; less than a second at a time. */
    public void step(double seconds) {
        time += seconds;
        boolean open = open();
        double supply = supply();
        boolean heats = powered && !open && fault != AirFault.OPEN_HEATER && supply >= LEAST_SUPPLY;
        double reach = (fault == AirFault.COLD ? 0.82 : 1.12) * AIM;
        double target = heats ? reach : air.temperature();
        temperature += (target - temperature) * Math.min(1, seconds / HEATER_LAG);
        if (heats && fault != AirFault.TOO_HOT) {
            temperature = Math.min(temperature, AIM);
        }
        poweredFor = powered ? poweredFor + seconds : 0;
        fumes += fault == AirFault.FUMES
                ? (smoke - fumes) * seconds / DRIFTING
                        + 0.6 * smoke * Math.sqrt(2 * seconds / DRIFTING) * random.nextGaussian()
                : 0;
        crack += fault == AirFault.SHOCKED ? cracked * Math.sqrt(seconds) * random.nextGaussian() : 0;
        double oxygen = air.oxygen() / Air.DRY_OXYGEN
                * ExhaustGas.pumpCurrentRatio(air.pressure() / BAR, Air.SEA_LEVEL / BAR, pressureConstant)
                * (1 - Math.clamp(fumes, 0, 0.3)) * (1 + crack);
        cell += (oxygen - cell) * Math.min(1, seconds / lag);
        if (powered && open && poweredFor > MISSES_AFTER && sheet.school() == CalibrationSchool.CLEAR_THEN_LEARN) {
            // Forgotten: the next that it measures is air.
            learning = true;
            readyFor = 0;
        }
        boolean warm = temperature >= READY_AT && powered && !open;
        readyFor = warm ? readyFor + seconds : 0;
        if (learning && readyFor > LEARNING_TAKES) {
            learned = 1 / raw();
            learning = false;
        }
    }

    /** Whether it misses its sensor. */
    private boolean open() {
        return !plugged || fault == AirFault.NO_SENSOR;
    }

    private double supply() {
        return !powered ? 0 : fault == AirFault.LOW_SUPPLY ? 9.8 : SOUND_SUPPLY;
    }

    /** Whether it says anything at all. */
    public boolean powered() {
        return powered;
    }

    private State state() {
        if (open()) {
            return poweredFor > MISSES_AFTER ? State.NO_SENSOR : State.WARMING;
        }
        if (supply() < LEAST_SUPPLY) {
            return State.LOW_SUPPLY;
        }
        if (fault == AirFault.OPEN_HEATER && poweredFor > MISSES_AFTER) {
            return State.HEATER;
        }
        if (temperature > TOO_HOT) {
            return State.HOT;
        }
        if (temperature < READY_AT) {
            return poweredFor > 2 * sheet.warmUp() ? State.COLD : State.WARMING;
        }
        return learning ? State.LEARNING : State.READY;
    }

    /** Report that it sends now. */
    public Report report() {
        State state = state();
        double noisy = 1 + NOISE * random.nextGaussian();
        boolean gone = fault == AirFault.LOOSE && random.nextDouble() < 0.08;
        double dry = raw() * gain() * noisy * (gone ? 0.4 + 0.4 * random.nextDouble() : 1);
        Double idea = sheet.inAir().value();
        double air0 = sheet.inAir().kind() == InAir.Kind.LEARNED && idea != null ? idea : Air.DRY_OXYGEN;
        double top = sheet.inAir().kind() == InAir.Kind.TOP && idea != null ? idea : TOP;
        Double placeholder = sheet.placeholder();
        boolean counts = state == State.READY || state == State.HOT;
        Double oxygen = sheet.inAir().oxygen() && counts
                ? Math.clamp(Math.rint(dry * air0 * 1e4) / 1e4, 0.0, 1.0)
                : null;
        Double lambda = counts
                ? Double.valueOf(Math.rint(Math.clamp(top + (dry - 1) * 8, 0.5, top) * 1e3) / 1e3)
                : placeholder;
        return new Report(time, state, lambda, oxygen, null, supply());
    }
}
