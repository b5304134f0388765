package amberheron.core.placement;

import amberheron.core.finding.Photo;
import amberheron.core.units.Sane;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The sensor's place as it was fitted.
 *
 * @param distance measured along the pipe, m; null when not measured
 * @param reading tilt of the body as a level or phone on it showed, radians; null when not read
 * @param along level along the car as it stood then, nose up positive, radians
 * @param across level across the car as it stood then, right side up positive, radians
 * @param date when; null when not said
 * @param airtight whether it was tested tight; null when not tested
 * @param photos files attached
 */
public record AsFitted(@Nullable Double distance, @Nullable Double reading, double along, double across,
        @Nullable LocalDate date, @Nullable Boolean airtight, List<Photo> photos) {
    /** A fit of which nothing was recorded. */
    public static final AsFitted NOTHING = new AsFitted(null, null, 0, 0, null, null, List.of());

    public AsFitted {
        Sane.PLACE.check("distance", distance);
        Sane.ANGLE.check("reading", reading);
        Sane.ANGLE.check("along", along);
        Sane.ANGLE.check("across", across);
        photos = List.copyOf(photos);
        if (Math.abs(along) + Math.abs(across) > 0) {
            Attitude.ofLevel(along, across);
        }
    }

    /** Whether anything was recorded. */
    public boolean begun() {
        return distance != null || reading != null || airtight != null || !photos.isEmpty();
    }

    /**
     * Returns the place as fitted: the measured distance, and the clock position that the measured tilt implies with the
     * car standing as it did. What was not measured is taken from the plan.
     *
     * @return empty when the tilt read is one that this pipe cannot show
     */
    public Optional<Candidate> place(Exhaust exhaust, Candidate planned) {
        Candidate at = distance == null ? planned : planned.withDistance(distance);
        if (reading == null) {
            return Optional.of(at);
        }
        Double meant = planned.clock();
        return SensorTilt.clockFrom(reading, PlaceRules.axes(exhaust, at), at.lean(),
                Attitude.ofLevel(along, across), meant == null ? 0 : meant).map(at::withClock);
    }

    public AsFitted withDistance(@Nullable Double value) {
        return new AsFitted(value, reading, along, across, date, airtight, photos);
    }

    public AsFitted withReading(@Nullable Double value) {
        return new AsFitted(distance, value, along, across, date, airtight, photos);
    }

    public AsFitted withAlong(double value) {
        return new AsFitted(distance, reading, value, across, date, airtight, photos);
    }

    public AsFitted withAcross(double value) {
        return new AsFitted(distance, reading, along, value, date, airtight, photos);
    }

    public AsFitted withDate(@Nullable LocalDate value) {
        return new AsFitted(distance, reading, along, across, value, airtight, photos);
    }

    public AsFitted withAirtight(@Nullable Boolean value) {
        return new AsFitted(distance, reading, along, across, date, value, photos);
    }

    public AsFitted withPhotos(List<Photo> value) {
        return new AsFitted(distance, reading, along, across, date, airtight, value);
    }
}
