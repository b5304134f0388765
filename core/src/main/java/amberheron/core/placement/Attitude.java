package amberheron.core.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Attitude of a car, on its wheels or on the jack. Car axes are x to its rear, y to its right, z up.
 *
 * @param pitch how far the nose is up, radians
 * @param roll how far the right side is up, radians
 */
public record Attitude(double pitch, double roll) {
    public Attitude {
        Sane.ANGLE.check("pitch", pitch);
        Sane.ANGLE.check("roll", roll);
    }

    /** Level both ways. */
    public static final Attitude LEVEL = new Attitude(0, 0);

    /**
     * Works out the attitude from two readings of a level or phone laid on the car.
     *
     * @param along laid along the car, nose up positive, radians
     * @param across laid across the car, right side up positive, radians
     * @throws Unusable when no car can show both
     */
    public static Attitude ofLevel(double along, double across) {
        double sine = Math.sin(across) / Math.cos(along);
        if (!(Math.abs(sine) <= 1)) {
            throw new Unusable(
                    say("%.0f° along and %.0f° across: no car stands so; lay the level again", Math.toDegrees(along),
                            Math.toDegrees(across)));
        }
        return new Attitude(along, Math.asin(sine));
    }

    /** Turns a direction of the car into one of the earth: first the roll about the long axis, then the pitch. */
    public Vector3D toEarth(Vector3D inCar) {
        Rotation rolled = new Rotation(Vector3D.PLUS_I, roll, RotationConvention.VECTOR_OPERATOR);
        Rotation pitched = new Rotation(Vector3D.PLUS_J, pitch, RotationConvention.VECTOR_OPERATOR);
        return pitched.applyTo(rolled.applyTo(inCar));
    }

    /** The earth's upward direction as seen from the car. */
    public Vector3D up() {
        Rotation rolled = new Rotation(Vector3D.PLUS_I, roll, RotationConvention.VECTOR_OPERATOR);
        Rotation pitched = new Rotation(Vector3D.PLUS_J, pitch, RotationConvention.VECTOR_OPERATOR);
        return rolled.applyInverseTo(pitched.applyInverseTo(Vector3D.PLUS_K));
    }
}
