package amberheron.app.freeair;

import amberheron.app.parts.EntryField;
import amberheron.app.session.Session;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** The fields of a leaf of the Air station, refreshed together. */
final class AirFields {
    private final Session session;
    private final List<Runnable> refreshers = new ArrayList<>();

    AirFields(Session session) {
        this.session = session;
    }

    /** A quantity of the air. */
    EntryField air(String name, Unit unit, double min, double max, int decimals, AirField property,
            Function<AirOfDay, @Nullable Double> read, BiFunction<AirOfDay, @Nullable Double, AirOfDay> write) {
        return quantity(name, unit, min, max, decimals, property, c -> read.apply(c.today()),
                (c, v) -> c.withToday(write.apply(c.today(), v)));
    }

    /** A quantity of the check. */
    EntryField quantity(String name, Unit unit, double min, double max, int decimals, AirField property,
            Function<FreeAirCheck, @Nullable Double> read,
            BiFunction<FreeAirCheck, @Nullable Double, FreeAirCheck> write) {
        EntryField field = new EntryField(session, QuantityField.of(name, unit, min, max), decimals,
                property::address, j -> read.apply(j.air()), (j, v) -> j.withAir(write.apply(j.air(), v)));
        refreshers.add(field::refresh);
        return field;
    }

    /** The day of a reading: today for a new one, none when it is taken back. */
    @Nullable
    LocalDate day(FreeAirCheck check, @Nullable Double reading) {
        return reading == null ? check.date() : session.today();
    }

    /** A reading by hand, with what the sensor's own life tells of its ageing on that day. */
    FreeAirCheck read(FreeAirCheck check) {
        return check.withAgeing(AirModel.ageing(session, check));
    }

    void with(Runnable refresh) {
        refreshers.add(refresh);
    }

    void refresh() {
        refreshers.forEach(Runnable::run);
    }
}
