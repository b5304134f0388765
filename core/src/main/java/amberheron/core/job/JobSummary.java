package amberheron.core.job;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.plan.Step;
import amberheron.core.plan.StepId;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A job as the list of jobs shows it: how its links stand, what it waits on, and which day it is booked or due again.
 * Kept beside the job, so that a long list is shown without working out every job in it.
 *
 * @param states how each link stands; empty while nobody has looked
 * @param on what it waits on; null while nobody has looked, or where the job cannot be read
 * @param detail what exactly, in a few words
 * @param checked the day of its free-air check; null when none was done, or the fit came off
 * @param day the day it is booked for; null when it is not
 * @param bay where the vehicle stands or will stand; may be empty
 * @param left how long what is left takes one person; null when it is not booked
 * @param fault why the job cannot be read; empty when it can
 */
public record JobSummary(String id, String vehicle, Map<Station, LinkState> states, @Nullable Waiting on, String detail,
        @Nullable LocalDate checked, @Nullable LocalDate day, String bay, @Nullable Left left, String fault) {
    /** Minutes until it is finished: one job in ten is earlier, half are, one in ten is later. */
    public record Left(double early, double likely, double late) {
    }

    /** Group of a job for the person who looks for the next one. */
    public enum Group {
        /** Held up by the customer, by parts or by the welder. */
        WAITING("Waiting"),
        /** The next step can be done, or the proving drive. */
        READY("Ready"),
        /** Its free-air check is overdue. */
        DUE("Due"),
        /** Every step is done. */
        FINISHED("Finished");

        private final String words;

        Group(String words) {
            this.words = words;
        }

        /** The words on screen. */
        public String words() {
            return word(words);
        }
    }

    public JobSummary {
        Map<Station, LinkState> copy = new EnumMap<>(Station.class);
        copy.putAll(states);
        states = Collections.unmodifiableMap(copy);
    }

    /** Returns the line of a job that was reviewed. */
    public static JobSummary of(JobReview review) {
        Job job = review.job();
        Map<Station, LinkState> states = new EnumMap<>(Station.class);
        for (Station station : Station.values()) {
            states.put(station, review.state(station));
        }
        boolean cameOff = !job.intake().permanent() && job.done().contains(StepId.PLUG.key());
        Standing standing = standing(review);
        String reserved = review.reservations().stream().findFirst()
                .map(r -> say("; with a reservation: %s", r.finding().subject().metric())).orElse("");
        return new JobSummary(job.id(), job.intake().vehicle(), states, standing.on(), standing.detail() + reserved,
                cameOff ? null : job.air().date(), job.progress().day(), job.progress().bay(),
                review.schedule().map(s -> new Left(s.early(), s.likely(), s.late())).orElse(null), "");
    }

    /** Returns the line of a job that nobody has looked at yet. */
    public static JobSummary unseen(String id, String vehicle) {
        return new JobSummary(id, vehicle, Map.of(), null, "", null, null, "", null, "");
    }

    /** Returns the line of a job that cannot be read, and why. */
    public static JobSummary unreadable(String id, String vehicle, String why) {
        return new JobSummary(id, vehicle, Map.of(), null, "", null, null, "", null, why);
    }

    private record Standing(Waiting on, String detail) {
    }

    private static Standing standing(JobReview review) {
        Job job = review.job();
        // Once it is handed over the sheet is written, ticked or not.
        Set<String> done = new HashSet<>(job.done());
        if (job.handOver().date() != null) {
            done.add(StepId.SHEET.key());
        }
        Optional<Step> next = review.plan().next(done);
        Waiting hold = job.progress().hold();
        if (job.intake().condition().stops()) {
            return new Standing(Waiting.CUSTOMER, say("exhaust: %s", job.intake().condition().words()));
        }
        if (next.isEmpty()) {
            return ticked(review);
        }
        if (hold != null) {
            return new Standing(hold, say("put on hold; next: %s", next.get().title()));
        }
        if (!job.intake().missing().isEmpty()) {
            return new Standing(Waiting.CUSTOMER, say("not said yet: %s",
                    String.join(", ", job.intake().missing().stream().map(q -> q.words()).toList())));
        }
        List<String> lacking = next.get().items().stream().filter(i -> i.kind() != Step.Item.Kind.TOOL)
                .filter(i -> !job.progress().inHand().contains(i.name())).map(Step.Item::words).toList();
        if (!lacking.isEmpty()) {
            return new Standing(Waiting.PARTS, String.join("; ", lacking));
        }
        Waiting on = switch (next.get().id()) {
            case WELD -> Waiting.WELDER;
            case PROVE -> Waiting.PROVING_DRIVE;
            default -> Waiting.NOTHING;
        };
        return new Standing(on, say("next: %s", next.get().title()));
    }

    /** A job of which every step is done: finished, unless a link of it is out of tolerance. */
    private static Standing ticked(JobReview review) {
        List<Station> wrong = Arrays.stream(Station.values())
                .filter(s -> review.state(s) == LinkState.OUT_OF_TOLERANCE).toList();
        List<Station> unproven = EnumSet.range(Station.PLACE, Station.PROVE).stream()
                .filter(s -> !review.state(s).done()).toList();
        return !wrong.isEmpty()
                ? new Standing(Waiting.NOTHING, say("every step is ticked, but out of tolerance: %s", titles(wrong)))
                : new Standing(Waiting.FINISHED, unproven.isEmpty()
                        ? say("every step is done")
                        : say("every step is ticked; not proven: %s", titles(unproven)));
    }

    private static String titles(List<Station> stations) {
        return String.join(", ", stations.stream().map(Station::title).toList());
    }

    /** The day its free-air check is due again, for a shop that repeats it after so many months. */
    public Optional<LocalDate> due(int months) {
        return Optional.ofNullable(checked).map(d -> d.plusMonths(months));
    }

    /** Whether that day has passed. */
    public boolean overdue(int months, LocalDate today) {
        return due(months).filter(d -> d.isBefore(today)).isPresent();
    }

    /**
     * Whether it belongs to a group; a job that nobody has looked at or that cannot be read is in none.
     *
     * @param months after which a shop repeats the free-air check
     */
    public boolean in(Group group, int months, LocalDate today) {
        return switch (group) {
            case DUE -> overdue(months, today);
            case FINISHED -> on == Waiting.FINISHED;
            case READY -> on == Waiting.NOTHING || on == Waiting.PROVING_DRIVE;
            case WAITING -> on == Waiting.CUSTOMER || on == Waiting.PARTS || on == Waiting.WELDER;
        };
    }

    /** Whether number, vehicle, bay or what it waits on have each of these words in them. */
    public boolean answers(String words) {
        String all = String.join(" ", id, vehicle, bay, detail, on == null ? "" : on.standing())
                .toLowerCase(Locale.ROOT);
        return Arrays.stream(words.toLowerCase(Locale.ROOT).strip().split("\\s+")).allMatch(all::contains);
    }

    /** The jobs booked for a day, by bay. */
    public static List<JobSummary> onDay(List<JobSummary> jobs, LocalDate day) {
        return jobs.stream().filter(j -> day.equals(j.day())).sorted(Comparator.comparing(JobSummary::bay)).toList();
    }
}
