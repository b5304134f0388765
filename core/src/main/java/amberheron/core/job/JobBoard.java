package amberheron.core.job;

import amberheron.core.plan.JobPlan;
import amberheron.core.plan.Step;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What every job in the book waits on, the day's bays, and which calibrations are due again. */
public final class JobBoard {
    private JobBoard() {
    }

    /**
     * A job on the board.
     *
     * @param on what it waits on
     * @param detail what exactly, in a few words
     * @param due the day its free-air check is due again; null when none was done, or the fit came off
     * @param overdue whether that day has passed
     */
    public record Line(Job job, Waiting on, String detail, @Nullable LocalDate due, boolean overdue) {
    }

    /** The line of one job. */
    public static Line line(JobReview review, int recalibrateMonths, LocalDate today) {
        Job job = review.job();
        JobPlan plan = review.plan();
        LocalDate checked = job.air().date();
        boolean cameOff = !job.intake().permanent() && job.done().contains("plug");
        LocalDate due = checked == null || cameOff ? null : checked.plusMonths(recalibrateMonths);
        boolean overdue = due != null && due.isBefore(today);
        Optional<Step> next = plan.next(job.done());
        Waiting hold = job.progress().hold();
        if (job.intake().condition().stops()) {
            return new Line(job, Waiting.CUSTOMER, "exhaust: " + job.intake().condition().words(), due, overdue);
        }
        if (next.isEmpty()) {
            return new Line(job, Waiting.FINISHED, "every step is done", due, overdue);
        }
        if (hold != null) {
            return new Line(job, hold, "put on hold; next: " + next.get().title(), due, overdue);
        }
        if (!job.intake().missing().isEmpty()) {
            return new Line(job, Waiting.CUSTOMER,
                    "not said yet: " + String.join(", ", job.intake().missing().stream().map(q -> q.words()).toList()),
                    due, overdue);
        }
        Waiting on = switch (next.get().id()) {
            case "weld" -> Waiting.WELDER;
            case "prove" -> Waiting.PROVING_DRIVE;
            default -> Waiting.NOTHING;
        };
        List<Step.Item> lacking = next.get().items().stream().filter(i -> i.kind() != Step.Item.Kind.TOOL)
                .filter(i -> !job.progress().inHand().contains(i.name())).toList();
        if (!lacking.isEmpty()) {
            return new Line(job, Waiting.PARTS, String.join("; ", lacking.stream().map(Step.Item::name).toList()), due,
                    overdue);
        }
        return new Line(job, on, "next: " + next.get().title(), due, overdue);
    }

    /** The jobs booked for a day, by bay. */
    public static List<Line> onDay(List<Line> lines, LocalDate day) {
        return lines.stream().filter(l -> day.equals(l.job().progress().day()))
                .sorted(Comparator.comparing(l -> l.job().progress().bay())).toList();
    }
}
