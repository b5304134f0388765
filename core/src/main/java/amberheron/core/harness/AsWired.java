package amberheron.core.harness;

import amberheron.core.finding.Photo;
import amberheron.core.units.Sane;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Measurements taken when the wiring was done.
 *
 * @param atSource volts at the source, the heater on, V
 * @param atController volts between the controller's own supply and ground pins at the same time, V
 * @param date when; null when not said
 * @param note where power and ground were taken, in words
 * @param photos files attached
 */
public record AsWired(@Nullable Double atSource, @Nullable Double atController, @Nullable LocalDate date, String note,
        List<Photo> photos) {
    /** Wiring of which nothing was recorded. */
    public static final AsWired NOTHING = new AsWired(null, null, null, "", List.of());

    public AsWired {
        Sane.SUPPLY.check("atSource", atSource);
        Sane.SUPPLY.check("atController", atController);
        photos = List.copyOf(photos);
    }

    public AsWired withAtSource(@Nullable Double value) {
        return new AsWired(value, atController, date, note, photos);
    }

    public AsWired withAtController(@Nullable Double value) {
        return new AsWired(atSource, value, date, note, photos);
    }

    public AsWired withDate(@Nullable LocalDate value) {
        return new AsWired(atSource, atController, value, note, photos);
    }

    public AsWired withNote(String value) {
        return new AsWired(atSource, atController, date, value, photos);
    }

    public AsWired withPhotos(List<Photo> value) {
        return new AsWired(atSource, atController, date, note, value);
    }
}
