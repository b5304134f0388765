package amberheron.app.shell;

import amberheron.app.parts.Drawing;
import amberheron.app.session.Figures;
import amberheron.core.job.JobSummary;
import amberheron.core.job.JobSummary.Left;
import java.util.List;
import javafx.scene.shape.Rectangle;

/** The day's bays as a line of hours: when each booked job is finished by one person, eight in ten inside the bar. */
final class BayBars extends Drawing {
    private static final double ROW = 34;
    private static final double FOOT = 22;
    private static final double LEFT = 96;
    private static final double RIGHT = 30;

    private List<JobSummary> jobs = List.of();

    BayBars() {
        super(0);
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
        double hours = Math.max(1, Math.ceil(jobs.stream().mapToDouble(BayBars::late).max().orElse(0) / 60));
        double perMinute = (width - LEFT - RIGHT) / (hours * 60);
        double foot = jobs.size() * ROW;
        int every = hours > 6 ? 2 : 1;
        for (int h = 0; h <= hours; h += every) {
            double x = LEFT + h * 60 * perMinute;
            line(x, 0, x, foot, "plot-zero");
            text(h == 0 ? "now" : h + " h", x, foot + 15, h == 0 ? 0 : 0.5, "drawing-text", "soft-text");
        }
        for (int i = 0; i < jobs.size(); i++) {
            JobSummary job = jobs.get(i);
            double y = i * ROW;
            text("Bay " + (job.bay().isBlank() ? "?" : job.bay()), 0, y + 12, 0, "drawing-text", "soft-text");
            text(job.id(), 0, y + 27, 0, "drawing-text", "strong");
            Left left = job.left();
            if (left == null || left.late() <= 0) {
                text("nothing left to do", LEFT + 6, y + 19, 0, "drawing-text");
                continue;
            }
            double early = LEFT + left.early() * perMinute;
            line(LEFT, y + 15, early, y + 15, "finish-work");
            add(new Rectangle(early, y + 7, Math.max(3, (left.late() - left.early()) * perMinute), 16),
                    "finish-spread");
            double likely = LEFT + left.likely() * perMinute;
            line(likely, y + 4, likely, y + 26, "finish-likely");
            text(Figures.time((int) Math.round(left.likely())), early - 8, y + 12, 1, "drawing-text", "strong");
        }
    }
}
