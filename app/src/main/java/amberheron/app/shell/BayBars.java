package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.parts.HourBars;
import amberheron.core.job.JobSummary;
import amberheron.core.job.JobSummary.Left;
import java.util.List;

/** The day's bays as a line of hours: when each booked job is finished by one person, eight in ten inside the bar. */
final class BayBars extends HourBars {
    private static final double ROW = 34;
    private static final double FOOT = 22;
    private static final double LEFT = 96;
    private static final double RIGHT = 30;

    private List<JobSummary> jobs = List.of();

    BayBars() {
        super(0, LEFT, RIGHT);
    }

    void show(List<JobSummary> today) {
        if (!today.equals(jobs)) {
            jobs = List.copyOf(today);
            refresh();
            requestLayout();
        }
    }

    @Override
    protected double computePrefHeight(double width) {
        return jobs.isEmpty() ? 0 : jobs.size() * ROW + FOOT;
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    private static double late(JobSummary job) {
        Left left = job.left();
        return left == null ? 0 : left.late();
    }

    @Override
    protected void draw(double width, double height) {
        hours(jobs.stream().mapToDouble(BayBars::late).max().orElse(0), width, jobs.size() * ROW);
        for (int i = 0; i < jobs.size(); i++) {
            JobSummary job = jobs.get(i);
            double y = i * ROW;
            text(say("Bay %s", job.bay().isBlank() ? "?" : job.bay()), 0, y + 12, 0, "drawing-text", "soft-text");
            text(job.id(), 0, y + 27, 0, "drawing-text", "strong");
            Left left = job.left();
            if (left == null || left.late() <= 0) {
                text(say("nothing left to do"), LEFT + 6, y + 19, 0, "drawing-text");
            } else {
                bar(y + 15, left.early(), left.likely(), left.late());
            }
        }
    }
}
