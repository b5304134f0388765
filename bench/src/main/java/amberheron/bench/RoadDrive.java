package amberheron.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A drive on the road worked out in steps of 5 ms from what happens in engine, pipe and sensor: a driver who shifts through
 * gears, fuel that is cut on the overrun and in gear changes, gas that travels down the pipe as fast as the engine breathes
 * and mixes on the way, and a sensor of first order. All figures are made up, of the size the trade speaks of.
 */
public final class RoadDrive {
    static final double DT = 0.005;
    private static final double[] GEARS = {3.55, 2.05, 1.38, 1.03, 0.82};
    private static final double FINAL_DRIVE = 3.9;
    private static final double WHEEL = 0.30;
    private static final double MASS = 1250;
    private static final double TORQUE = 190;
    private static final double IDLE = 850;
    private static final double LIMIT = 6200;

    /**
     * Traits of a car and of its sensor.
     *
     * @param displacement m³
     * @param pipe volume from the valves to the sensor, m³
     * @param mixing part of that volume in which the gas mixes
     * @param sensor time constant of the sensor, s
     * @param fullLoad target at full load, λ
     * @param cuts whether fuel is cut on the overrun
     * @param cutAfter time with the throttle shut until it is, s
     * @param shiftCut whether gear changes cut the fuel at once
     * @param flatShift whether the throttle stays open in gear changes, with a cut
     * @param swing amplitude of the closed loop, λ
     * @param period of the closed loop, s
     * @param film how much leaner an opening throttle makes it for a moment, λ
     * @param map spread of the fuelling over the map, λ
     */
    public record Traits(double displacement, double pipe, double mixing, double sensor, double fullLoad, boolean cuts,
            double cutAfter, boolean shiftCut, boolean flatShift, double swing, double period, double film,
            double map) {
        /** Draws a car in good order. */
        public static Traits drawn(Random random) {
            boolean cuts = random.nextInt(5) > 0;
            return new Traits(1e-3 * (1.2 + 2 * random.nextDouble()), 1e-3 * (1.5 + 4 * random.nextDouble()),
                    0.1 + 0.3 * random.nextDouble(), 0.06 + 0.24 * random.nextDouble(),
                    0.78 + 0.08 * random.nextDouble(),
                    cuts, 0.1 + 0.5 * random.nextDouble(), cuts && random.nextBoolean(), random.nextInt(5) == 0,
                    0.01 + 0.02 * random.nextDouble(), 0.7 + 1.5 * random.nextDouble(), 0.03 * random.nextDouble(),
                    0.02 * random.nextDouble());
        }

        /** Returns the car with another sensor. */
        public Traits withSensor(double seconds) {
            return new Traits(displacement, pipe, mixing, seconds, fullLoad, cuts, cutAfter, shiftCut, flatShift, swing,
                    period, film, map);
        }
    }

    /**
     * A mistake in the fuelling.
     *
     * @param pulls pulls at full load that lean out
     * @param lasts for how long each, s
     * @param lambda mixture burnt then
     * @param tipIn mixture burnt for 0.4 s after each opening of the throttle out of steady cruise; 1 for none
     */
    public record Mistake(int pulls, double lasts, double lambda, double tipIn) {
        /** No mistake. */
        public static final Mistake NONE = new Mistake(0, 0, 1, 1);
    }

    /** One moment: the mixture burnt and that at the sensor, λ, and what the engine's own channels would say. */
    record Moment(double time, double burnt, double seen, double rpm, double speed, double pressure, double throttle,
            double temperature) {
    }

    /** A span of time in which the engine burnt what it should not, s of the drive. */
    public record Span(double from, double to) {
    }

    private final Traits traits;
    private final Mistake mistake;
    private final Random random;
    private final List<Moment> moments = new ArrayList<>();
    private final List<Span> lean = new ArrayList<>();
    private final List<Span> tipIns = new ArrayList<>();
    private final double mapSpeed;
    private final double mapLoad;
    private double time;
    private double rpm = 1150;
    private double speed;
    private int gear;
    private boolean clutch = true;
    private double throttle;
    private double filling = 0.3;
    private double temperature = 355;
    private double shutFor;
    private double film;
    private boolean cutting;
    private boolean forcedCut;
    private double forcedLean = Double.NaN;
    private double mixed;
    private double cell;
    private double volume;
    private final List<double[]> pipe = new ArrayList<>();
    private int pipeAt;

    private RoadDrive(Traits traits, Mistake mistake, Random random, boolean cold) {
        this.traits = traits;
        this.mistake = mistake;
        this.random = random;
        mapSpeed = traits.map * random.nextGaussian();
        mapLoad = traits.map * random.nextGaussian();
        temperature = cold ? 290 : 352 + 8 * random.nextDouble();
        if (cold) {
            mixed = oxygen(0.8);
            cell = mixed;
        }
    }

    /** Drives for about so long. */
    public static RoadDrive of(Traits traits, Mistake mistake, double seconds, boolean cold, Random random) {
        RoadDrive drive = new RoadDrive(traits, mistake, random, cold);
        drive.idle(cold ? 60 : 8);
        int pulls = 0;
        while (drive.time < seconds) {
            pulls = drive.round(pulls);
        }
        drive.idle(10);
        return drive;
    }

    private int round(int done) {
        int pulls = done;
        launch(0.3 + 0.3 * random.nextDouble());
        upTo(2 + random.nextInt(2), 0.35 + 0.25 * random.nextDouble(), 2600 + 900 * random.nextDouble());
        cruise(12 + 15 * random.nextDouble());
        tipIn();
        cruise(8 + 6 * random.nextDouble());
        boolean leans = pulls < mistake.pulls;
        lift(0.8 + 1.5 * random.nextDouble());
        pull(3.5 + 2 * random.nextDouble(), leans);
        pulls++;
        if (gear < GEARS.length - 1 && random.nextBoolean()) {
            shift(gear + 1);
            pull(2 + random.nextDouble(), false);
        }
        lift(2 + 2 * random.nextDouble());
        // Full throttle straight out of the overrun.
        pull(1.5 + random.nextDouble(), false);
        lift(3 + 3 * random.nextDouble());
        shift(Math.max(1, gear - 1));
        cruise(10 + 15 * random.nextDouble());
        tipIn();
        lift(4 + 3 * random.nextDouble());
        stop();
        idle(8 + 12 * random.nextDouble());
        return pulls;
    }

    /** Mixture burnt and seen, and the engine's channels, every 5 ms. */
    List<Moment> moments() {
        return moments;
    }

    /** Returns the mistake in its fuelling. */
    public Mistake mistake() {
        return mistake;
    }

    /** Returns the car. */
    public Traits traits() {
        return traits;
    }

    /** Returns the spans in which full load was burnt lean, s of the drive. */
    public List<Span> lean() {
        return List.copyOf(lean);
    }

    /** Returns the spans in which an opening throttle was burnt lean, s of the drive. */
    public List<Span> tipIns() {
        return List.copyOf(tipIns);
    }

    private void idle(double seconds) {
        clutch = true;
        double end = time + seconds;
        while (time < end) {
            throttleTo(0.012, 0.1);
            step();
        }
    }

    private void launch(double to) {
        gear = 0;
        double end = time + 2.5;
        while (time < end && speed < 4.5) {
            throttleTo(to, 0.35);
            clutch = false;
            speed += 2.2 * DT;
            step();
        }
        clutch = false;
    }

    private void upTo(int last, double to, double at) {
        while (gear < last) {
            double end = time + 6;
            while (time < end && rpm < at) {
                throttleTo(to, 0.3);
                step();
            }
            shift(gear + 1);
        }
    }

    private void shift(int to) {
        double lasts = 0.2 + 0.4 * random.nextDouble();
        double end = time + lasts;
        boolean flat = traits.flatShift && throttle > 0.9 && to > gear;
        forcedCut = flat || (traits.shiftCut && throttle > 0.05);
        while (time < end) {
            if (!flat) {
                throttleTo(0, 0.05);
            }
            clutch = true;
            step();
        }
        forcedCut = false;
        gear = to;
        clutch = false;
    }

    private void cruise(double seconds) {
        double end = time + seconds;
        double wanted = Math.max(9, speed);
        while (time < end) {
            throttleTo(Math.clamp(0.13 + 0.12 * (wanted - speed) + 0.004 * wanted, 0.04, 0.35), 0.5);
            step();
        }
    }

    private void tipIn() {
        double from = time;
        double to = 0.3 + 0.3 * random.nextDouble();
        boolean wrong = mistake.tipIn > 1;
        double end = time + 1.6;
        while (time < end) {
            throttleTo(to, 0.08);
            forcedLean = wrong && time - from < 0.4 ? mistake.tipIn : Double.NaN;
            step();
        }
        forcedLean = Double.NaN;
        if (wrong) {
            tipIns.add(new Span(from, from + 0.4));
        }
    }

    private void pull(double seconds, boolean leans) {
        double from = time + 0.35 * seconds;
        double end = time + seconds;
        boolean done = false;
        while (time < end && rpm < LIMIT - 100) {
            throttleTo(1, 0.07);
            boolean now = leans && time >= from && time < from + mistake.lasts;
            done |= now;
            forcedLean = now ? mistake.lambda : Double.NaN;
            step();
        }
        if (done) {
            lean.add(new Span(from, Math.min(time, from + mistake.lasts)));
        }
        forcedLean = Double.NaN;
    }

    private void lift(double seconds) {
        double end = time + seconds;
        while (time < end && rpm > 1250) {
            throttleTo(0, 0.06);
            step();
        }
    }

    private void stop() {
        while (speed > 0.3) {
            throttleTo(0, 0.06);
            speed = Math.max(0, speed - 3.5 * DT);
            clutch = rpm < 1300 || clutch;
            step();
        }
        speed = 0;
    }

    private void throttleTo(double to, double within) {
        throttle += Math.clamp(to - throttle, -DT / within, DT / within);
    }

    private void step() {
        double full = 1 - Math.exp(-7 * (throttle + 0.012) * 2500 / rpm);
        filling += (full - filling) * (1 - Math.exp(-DT / 0.06));
        shutFor = throttle < 0.03 ? shutFor + DT : 0;
        cutting = forcedCut || rpm > LIMIT
                || (traits.cuts && !clutch && shutFor > traits.cutAfter && rpm > (cutting ? 1300 : 1700));
        double torque = cutting ? -25 : TORQUE * filling - 28;
        if (clutch) {
            double target = throttle < 0.03 ? IDLE : 1500 + 3000 * throttle;
            rpm += (target - rpm) * (1 - Math.exp(-DT / 0.5));
            speed = Math.max(0, speed - 0.15 * DT);
        } else {
            double ratio = GEARS[gear] * FINAL_DRIVE;
            double force = torque * ratio / WHEEL * 0.9 - 150 - 0.45 * speed * speed;
            speed = Math.max(0.5, speed + force / MASS * DT);
            double locked = speed / WHEEL * ratio * 60 / (2 * Math.PI);
            rpm += (Math.max(900, locked) - rpm) * (1 - Math.exp(-DT / 0.05));
        }
        temperature += (359 - temperature) * DT / 90;
        double burnt = burnt();
        gas(burnt);
        moments.add(new Moment(time, burnt, lambda(cell), rpm, speed, 101_325 * (0.25 + 0.75 * filling), throttle,
                temperature));
        time += DT;
    }

    private double burnt() {
        if (cutting) {
            return 100;
        }
        double opens = Math.max(0, throttle - film);
        film += (throttle - film) * (1 - Math.exp(-DT / 0.25));
        if (!Double.isNaN(forcedLean)) {
            return forcedLean;
        }
        double cold = Math.clamp((335 - temperature) / 45, 0, 1);
        double loop = Math.sin(2 * Math.PI * time / traits.period);
        double part = Math.clamp((throttle - 0.55) / 0.25, 0, 1);
        double wanted = ((1 + (cold > 0 ? 0 : traits.swing) * loop) * (1 - part) + traits.fullLoad * part)
                * (1 - 0.22 * cold);
        double off = mapSpeed * (rpm - 3000) / 2000 + mapLoad * (filling - 0.6);
        return wanted + (part > 0.5 ? off : 0.3 * off) + traits.film * Math.min(1, 3 * opens);
    }

    /** Moves the gas of this moment down the pipe, and lets the sensor follow what is there. */
    private void gas(double burnt) {
        double flow = traits.displacement * rpm / 120 * (0.25 + 0.65 * filling) * 2.4;
        volume += flow * DT;
        pipe.add(new double[]{volume, time, oxygen(burnt)});
        double cycle = 120 / rpm;
        while (pipeAt < pipe.size() - 1 && pipe.get(pipeAt + 1)[0] <= volume - traits.pipe
                && pipe.get(pipeAt + 1)[1] <= time - cycle) {
            pipeAt++;
        }
        double mixing = traits.mixing * traits.pipe / flow;
        mixed += (pipe.get(pipeAt)[2] - mixed) * (1 - Math.exp(-DT / mixing));
        cell += (mixed - cell) * (1 - Math.exp(-DT / traits.sensor));
    }

    /** Oxygen that the cell pumps, of that of air: wet lean exhaust of petrol; what is missing where it is rich. */
    static double oxygen(double lambda) {
        double wet = (lambda - 1) / (lambda + 0.0665);
        return lambda >= 1 ? wet : 1.35 * wet;
    }

    /** The mixture that so much oxygen means. */
    static double lambda(double oxygen) {
        double wet = Math.min(0.985, oxygen >= 0 ? oxygen : oxygen / 1.35);
        return (1 + 0.0665 * wet) / (1 - wet);
    }
}
