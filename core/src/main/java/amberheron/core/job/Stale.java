package amberheron.core.job;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Message;
import amberheron.core.parts.Address;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.units.Phrase;
import amberheron.core.wiring.WireField;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A reading that no longer proves anything.
 *
 * @param changed what it rested on and has changed since, or its age, in a few words
 */
public record Stale(Reading reading, String changed) {
    /** The readings of a job that what changed since, or their age, has made worthless. */
    static List<Stale> of(Job job, Shop shop) {
        List<Stale> found = new ArrayList<>();
        job.air().reading()
                .flatMap(shown -> job
                        .changed(taken(job, shown), Reading.FREE_AIR.restsOn()).map(Stale::changed)
                        .or(() -> age(job, shop)))
                .ifPresent(why -> found.add(new Stale(Reading.FREE_AIR, why)));
        if (job.wiring().ground().drop() != null) {
            job.changed(job.entries().origin(WireField.MEASURED.address()).taken(),
                    Reading.GROUND_SHIFT.restsOn())
                    .ifPresent(r -> found.add(new Stale(Reading.GROUND_SHIFT, changed(r))));
        }
        job.points().stream().flatMap(p -> since(job, p).stream()).findFirst()
                .ifPresent(r -> found.add(new Stale(Reading.CHECK_POINTS, changed(r))));
        Optional.ofNullable(job.proving()).flatMap(p -> job.changed(p.before(), Reading.DRIVE.restsOn())
                .map(r -> job.changed(p.origin().taken(), Set.of(r)).isPresent()
                        ? changed(r)
                        // Read after the change, and driven before it.
                        : say("it was driven before %s changed", r.words())))
                .ifPresent(why -> found.add(new Stale(Reading.DRIVE, why)));
        return List.copyOf(found);
    }

    /** Returns what a check point rested on and has changed since; empty for one that still counts. */
    public static Optional<RestsOn> since(Job job, CheckPoint point) {
        Set<RestsOn> restsOn = EnumSet.copyOf(Reading.CHECK_POINTS.restsOn());
        if (point.volts() == null) {
            // Read off the gauge, in the quantity of the law.
            restsOn.add(RestsOn.LAW);
        }
        return job.changed(point.origin().taken(), restsOn);
    }

    private static String changed(RestsOn what) {
        return say("%s changed since", what.words());
    }

    /** Returns when the free-air reading was taken; where only the day is known, the end of that day. */
    private static @Nullable Instant taken(Job job, Address shown) {
        Instant taken = job.entries().origin(shown).taken();
        LocalDate day = job.air().date();
        return taken == null && day != null ? day.plusDays(1).atStartOfDay(ZoneOffset.UTC).toInstant() : taken;
    }

    private static Optional<String> age(Job job, Shop shop) {
        LocalDate day = job.air().date();
        LocalDate today = shop.today();
        return day != null && today != null && day.plusMonths(shop.recalibrateMonths()).isBefore(today)
                ? Optional.of(say("it is older than %s", count("1 month", "%d months", shop.recalibrateMonths())))
                : Optional.empty();
    }

    /** Change that happened, and the shortest way to prove the link again. */
    public Message text() {
        return Message.of("{0}: {1}. {2}", Message.plain(Phrase.capital(reading.words())), Message.plain(changed),
                Message.plain(reading.again()));
    }
}
