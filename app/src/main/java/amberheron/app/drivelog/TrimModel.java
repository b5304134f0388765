package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Fuelling.Gate;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.trim.TrimPlan;
import amberheron.core.trim.TrimPlan.State;
import amberheron.core.trim.TrimSheet;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.csv.TrimCsv;
import amberheron.io.pack.HandOverPack;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Model of the Trims leaf. */
final class TrimModel {
    private TrimModel() {
    }

    private static @Nullable Fuelling fuelling(Job job) {
        Output.Proving proving = job.proving();
        DriveFound found = proving == null ? null : proving.found();
        return found == null ? null : found.fuelling();
    }

    /** Returns the quantity by which the log tells the load; pressure until there is a log. */
    static LoadAxis axis(Job job) {
        Fuelling fuelling = fuelling(job);
        return fuelling == null ? LoadAxis.PRESSURE : fuelling.axis();
    }

    /** Says why nothing is advised: what the drive lacks, or that there is none. */
    static String nothing(Session session) {
        return Optional.ofNullable(fuelling(session.job())).flatMap(Fuelling::missing)
                .map(m -> Figures.text(session, m))
                .orElse(say("Advice needs a warm, settled drive with engine speed and load in its log."));
    }

    /** Seconds that each gate kept out, in the order of the gates. */
    static Map<Gate, Double> leftOut(Job job) {
        Fuelling fuelling = fuelling(job);
        return fuelling == null ? Map.of() : new TreeMap<>(fuelling.leftOut());
    }

    /** The bin that is most worth looking at: at its limit, else the one that asks for most. */
    static int first(TrimPlan plan) {
        int best = 0;
        double most = -1;
        for (int i = 0; i < plan.cells().size(); i++) {
            TrimPlan.Cell cell = plan.cells().get(i);
            Double need = cell.need();
            if (need != null && cell.state() != State.TOO_LITTLE && Math.abs(need) > most) {
                most = Math.abs(need);
                best = i;
            }
        }
        return best;
    }

    static String text(List<Double> bins, double unit) {
        return bins.stream().map(b -> {
            double shown = b / unit;
            return shown == Math.rint(shown) ? say("%.0f", shown) : say("%.3f", shown).replaceAll("0+$", "");
        }).collect(Collectors.joining(" "));
    }

    static Job speeds(Session session, Job job, String typed) {
        return with(session, job, typed, 1, TrimSheet::withSpeeds);
    }

    static Job loads(Session session, Job job, String typed) {
        return with(session, job, typed, axis(job).si(), TrimSheet::withLoads);
    }

    private interface Change {
        TrimSheet of(TrimSheet sheet, List<Double> bins);
    }

    private static Job with(Session session, Job job, String typed, double unit, Change change) {
        List<Double> bins = new ArrayList<>();
        try {
            for (String one : typed.strip().split("[\\s;]+", -1)) {
                if (!one.isEmpty()) {
                    bins.add(Double.parseDouble(one.replace(',', '.')) * unit);
                }
            }
            return job.withRoadTest(job.roadTest().withTrims(change.of(job.roadTest().trims(), bins)));
        } catch (NumberFormatException e) {
            session.tell(say("Bins: found “%s”, expected numbers that rise, such as 800 1500 2500.", typed));
        } catch (Unusable e) {
            session.tell(say("Bins: %s.", e.getMessage()));
        }
        return job;
    }

    /** Writes the plan beside the shop's other lists, and remembers what it gave: asked for twice it is a fault. */
    static void write(Session session) {
        Optional<TrimPlan> plan = session.review().trims();
        if (plan.isEmpty()) {
            session.tell(nothing(session));
            return;
        }
        Path file = session.home().resolve("lists").resolve(HandOverPack.stem(session.job()) + "-trims.csv");
        session.background().intoJob(say("Writing the advice"), progress -> {
            TextFiles.write(file, TrimCsv.write(plan.get()));
            return file;
        }, (job, f) -> say("%s is written.", f), f -> {
            session.edit(say("advice given"),
                    j -> j.withRoadTest(j.roadTest().withTrims(plan.get().given(j.roadTest().trims()))));
            return plan.get().released()
                    ? say("%s is written. Apply it, ride again and read that log.", f)
                    : say("%s is written, without advice: %s", f,
                            plan.get().findings().getFirst().consequence().metric());
        });
    }

    /** Takes up the shop's bins, or a plan that was applied. */
    static void read(Session session, String typed) {
        session.background().intoJob(say("Reading a trim sheet"), progress -> TrimCsv.read(TextFiles.path(typed)),
                (job, sheet) -> say("It was read for %s, which is no longer open: read it again there.", job),
                sheet -> {
                    session.edit(say("trim sheet"), j -> j.withRoadTest(
                            j.roadTest().withTrims(sheet.withLeaner(j.roadTest().trims().leaner()))));
                    return say("%d × %d bins are taken.", sheet.speeds().size(), sheet.loads().size());
                });
    }
}
