package amberheron.core.freeair;

import amberheron.core.freeair.SensorNote.Kind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The life of one sensor, from job to job.
 *
 * @param number what is on it
 * @param notes in the order of their days
 */
public record SensorLife(String number, List<SensorNote> notes) {
    /** Usual hours that a car is driven in a day, h; from memory. */
    private static final double USUAL_HOURS = 0.8;

    public SensorLife {
        notes = notes.stream().sorted(Comparator.comparing(SensorNote::date)).toList();
    }

    /** Returns the life with one more note, which replaces one of the same day, kind and job. */
    public SensorLife with(SensorNote note) {
        List<SensorNote> more = new ArrayList<>(notes);
        more.removeIf(n -> n.date().equals(note.date()) && n.kind() == note.kind() && n.job().equals(note.job()));
        more.add(note);
        return new SensorLife(number, more);
    }

    /** Without a note. */
    public SensorLife without(SensorNote note) {
        List<SensorNote> less = new ArrayList<>(notes);
        less.remove(note);
        return new SensorLife(number, less);
    }

    /** The notes of a kind. */
    public Stream<SensorNote> of(Kind kind) {
        return notes.stream().filter(n -> n.kind() == kind);
    }

    /** Returns the last value of something that counts up; empty where nobody noted it. */
    public Optional<Double> last(Kind kind) {
        return of(kind).reduce((a, b) -> b).map(SensorNote::value);
    }

    /** The day it was calibrated last: a gain as found is read when it is; empty until it was. */
    public Optional<LocalDate> calibrated() {
        return notes.stream().filter(n -> n.kind() == Kind.CALIBRATED || n.kind() == Kind.GAIN)
                .reduce((a, b) -> b).map(SensorNote::date);
    }

    /** Hours in a day, by the first and last hours noted, else as usual. */
    public double hoursADay() {
        List<SensorNote> hours = of(Kind.HOURS).toList();
        if (hours.size() < 2) {
            return USUAL_HOURS;
        }
        long days = ChronoUnit.DAYS.between(hours.getFirst().date(), hours.getLast().date());
        double run = hours.getLast().value() - hours.getFirst().value();
        return days <= 0 || run <= 0 ? USUAL_HOURS : run / days;
    }

    /** Hours it had run by a day: between those noted by the line through them, before and after as in a usual day. */
    public double hoursAt(LocalDate day) {
        List<SensorNote> hours = of(Kind.HOURS).toList();
        if (hours.isEmpty()) {
            return notes.isEmpty()
                    ? 0
                    : Math.max(0, ChronoUnit.DAYS.between(notes.getFirst().date(), day) * USUAL_HOURS);
        }
        SensorNote before = hours.getFirst();
        for (SensorNote after : hours) {
            if (!after.date().isBefore(day) && after.date().isAfter(before.date())) {
                double part = (double) ChronoUnit.DAYS.between(before.date(), day)
                        / ChronoUnit.DAYS.between(before.date(), after.date());
                return Math.max(0, before.value() + part * (after.value() - before.value()));
            }
            before = after;
        }
        return Math.max(0, before.value() + ChronoUnit.DAYS.between(before.date(), day) * hoursADay());
    }
}
