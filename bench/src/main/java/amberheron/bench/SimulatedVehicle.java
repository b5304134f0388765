package amberheron.bench;

import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.util.Random;

/** A vehicle that stands in for a real one: its key is turned, and one point of its wiring behaves as it was told. */
public final class SimulatedVehicle {
    private static final double NOISE = 0.012;

    private final Behaviour behaviour;
    private final Random random;
    private volatile KeyState key = KeyState.OFF;

    /**
     * A vehicle.
     *
     * @param behaviour of the point that the meter is on
     * @param seed the same seed gives the same readings
     */
    public SimulatedVehicle(Behaviour behaviour, long seed) {
        this.behaviour = behaviour;
        this.random = new Random(seed);
    }

    /** Turns the key. */
    public void turn(KeyState to) {
        key = to;
    }

    /** Volts at the point now, with the noise of a hand meter. */
    public double volts() {
        return Math.max(0, sound() + NOISE * random.nextGaussian());
    }

    private double sound() {
        double battery = switch (key) {
            case OFF, ACCESSORY, ON -> 12.5;
            case CRANKING -> 9.6;
            case RUNNING -> 14.1;
            case LAMPS -> 13.9;
            case INDICATORS -> 14.0;
        };
        boolean live = switch (key) {
            case OFF -> behaviour == Behaviour.CONSTANT;
            case ACCESSORY -> behaviour == Behaviour.CONSTANT || behaviour == Behaviour.ACCESSORY_TOO;
            case CRANKING -> behaviour != Behaviour.LOST_WHILE_CRANKING;
            case ON, RUNNING, LAMPS, INDICATORS -> true;
        };
        if (!live || behaviour == Behaviour.DEAD) {
            return 0.01;
        }
        double lost = switch (behaviour) {
            case WEAK -> 2.4;
            case TOO_MUCH -> battery > 13 ? -3.1 : 0.1;
            case SAGS_WHILE_CRANKING -> key == KeyState.CRANKING ? 4.6 : 0.1;
            case DISTURBED -> key == KeyState.LAMPS || key == KeyState.INDICATORS ? 1.6 : 0.1;
            default -> 0.1;
        };
        return battery - lost;
    }
}
