package amberheron.core.job;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Source;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Requirements of check points that prove a setting: enough of them, dated, over the range, engine off and running, and a
 * law that somebody read off the controller or its maker's sheet.
 */
final class CheckPointProof {
    /** Least part of the law's volts that the points have to span; our own choice, no published source. */
    private static final double SPREAD = 1 / 3.0;

    private CheckPointProof() {
    }

    /**
     * Returns the requirements that are not met, in the order in which they are mended; empty where the points prove the
     * setting.
     *
     * @param controller the controller's sheet; null while none is named
     * @param points those that count
     * @param diagnosis what they say; null while they say nothing
     * @param proves whether a reading of this origin proves anything
     */
    static List<JobCheck> lacks(OutputLaw law, @Nullable ControllerSheet controller, List<CheckPoint> points,
            @Nullable Diagnosis diagnosis, Predicate<Origin> proves) {
        List<JobCheck> lacks = new ArrayList<>();
        if (diagnosis == null || points.size() < 2) {
            lacks.add(JobCheck.CHECK_POINTS);
        } else if (!diagnosis.settingHeld()) {
            lacks.add(JobCheck.SETTING_HELD);
        }
        List<CheckPoint> dated = points.stream().filter(p -> proves.test(p.origin())).toList();
        if (dated.size() < Math.min(2, points.size())) {
            lacks.add(JobCheck.DATED);
        }
        if (!spread(law, dated, p -> true)) {
            lacks.add(JobCheck.SPREAD);
        }
        if (!spread(law, dated, p -> p.engine() == CheckPoint.Engine.OFF)) {
            lacks.add(JobCheck.ENGINE_OFF);
        }
        if (!spread(law, dated, p -> p.engine() == CheckPoint.Engine.RUNNING)) {
            lacks.add(JobCheck.ENGINE_RUNNING);
        }
        if (dated.stream().allMatch(p -> p.truth() == null) && !onSheet(law, controller)) {
            lacks.add(JobCheck.LAW_READ);
        }
        return List.copyOf(lacks);
    }

    /**
     * Returns whether the law stands on the sheet of this very controller. Volts alone are turned into a mixture by the law
     * that was chosen, and so agree with it whatever the controller does.
     */
    private static boolean onSheet(OutputLaw law, @Nullable ControllerSheet controller) {
        return controller != null && law.source().kind() == Source.Kind.MAKERS_SHEET
                && controller.laws().contains(law.id());
    }

    /** Returns whether the points span enough: agreement in one place says nothing of the slope. */
    private static boolean spread(OutputLaw law, List<CheckPoint> points, Predicate<CheckPoint> which) {
        DoubleSummaryStatistics volts = points.stream().filter(which).mapToDouble(p -> p.outputVolts(law))
                .summaryStatistics();
        return volts.getMax() - volts.getMin() >= SPREAD * (law.highestVolts() - law.lowestVolts());
    }
}
