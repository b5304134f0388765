package amberheron.core.freeair;

import amberheron.core.freeair.SensorNote.Kind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;
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

    /** Hours by which a count may fall by a slip, h, and rise of the gain that no reading's noise explains; our own choice. */
    private static final double HOURS_BACK = 5;
    private static final double RISES = 0.03;

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

    /**
     * Returns the life of the sensor that is in use now: from the last day on which it was noted to be new, or must be, since
     * hours do not fall and a gain does not rise again.
     */
    public SensorLife current() {
        LocalDate since = Stream.concat(of(Kind.RENEWED).map(SensorNote::date), renewed().stream())
                .max(Comparator.naturalOrder()).orElse(null);
        return since == null
                ? this
                : new SensorLife(number, notes.stream().filter(n -> !n.date().isBefore(since)).toList());
    }

    /**
     * Returns the last day from which on it seems to be a new sensor, though nobody noted that: then it has to be asked. Empty
     * where there is none.
     */
    public Optional<LocalDate> renewed() {
        LocalDate noted = of(Kind.RENEWED).map(SensorNote::date).max(Comparator.naturalOrder()).orElse(LocalDate.MIN);
        return Stream.concat(jumps(Kind.HOURS, (before, after) -> after < before - HOURS_BACK),
                jumps(Kind.GAIN, (before, after) -> after > before + RISES)).filter(day -> day.isAfter(noted))
                .max(Comparator.naturalOrder());
    }

    private Stream<LocalDate> jumps(Kind kind, BiPredicate<Double, Double> jump) {
        List<SensorNote> all = of(kind).toList();
        return IntStream.range(1, all.size())
                .filter(i -> jump.test(all.get(i - 1).value(), all.get(i).value())).mapToObj(i -> all.get(i).date());
    }

    /**
     * Returns what a drive adds to its life: a tank of leaded fuel, a day with oil in the exhaust; each once a day and job.
     *
     * @param leaded whether the fuel is
     * @param oil whether the engine burns oil with it
     */
    public List<SensorNote> driven(boolean leaded, boolean oil, LocalDate day, String job) {
        return Stream.of(Kind.LEADED, Kind.OILY).filter(k -> k == Kind.LEADED ? leaded : oil)
                .filter(k -> of(k).noneMatch(n -> n.date().equals(day) && n.job().equals(job)))
                .map(k -> new SensorNote(day, k, 1 + current().last(k).orElse(0.0), job)).toList();
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
