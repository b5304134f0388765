package amberheron.app.cli;

import amberheron.bench.AirTrial;
import amberheron.bench.BenchTrial;
import amberheron.bench.ColumnTrial;
import amberheron.bench.RoadDrive;
import amberheron.bench.RoadTrial;
import amberheron.bench.ScaleOracle;
import amberheron.bench.ScaleTrial;
import amberheron.bench.SettingTrial;
import amberheron.bench.SimulatedLife;
import amberheron.bench.TrimTrial;
import amberheron.bench.TrustTrial;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.drivelog.Agreement;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Tolerance;
import amberheron.core.trim.TrimSheet;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** How often the judgement is right, and how often sure and wrong, on trials that are made apart from it. */
final class JudgementBenchmark {
    private static final int TRIALS = 1000;
    /** Chains of each kind of fault. */
    private static final int CHAINS = 300;
    private static final int BINS = 10;
    private static final int LIVES = 2000;
    private static final int BENCHES = 400;
    private static final int DRIVES = 60;
    private static final double SECONDS = 300;
    private static final int READERS = 70;
    private static final int COLUMNS = 32;
    private static final int TRUSTED = 60;
    private static final int DAYS = 2000;
    private static final int TRIMMED = 30;
    private static final int LAWS = 200;
    private static final String ALL = "judgement";

    private JudgementBenchmark() {
    }

    /** What is judged, in the order it is reported. */
    private enum Part {
        AIR,
        CHAINS,
        BENCH,
        ROAD,
        READERS,
        COLUMNS,
        TRUST,
        TRIMS,
        SETTINGS,
        LIVES;

        /** The name it is asked for by. */
        String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        static List<String> keys() {
            return Arrays.stream(values()).map(Part::key).toList();
        }
    }

    /** Names of the parts, for help: made at every start of the program, so that it loads nothing of the trials. */
    static final class Parts extends ArrayList<String> {
        private static final long serialVersionUID = 1;

        Parts() {
            super(Part.keys());
        }
    }

    /**
     * Runs parts of it.
     *
     * @param only names of parts; all where there are none
     */
    static void run(List<String> only, PrintWriter out) {
        for (String name : only) {
            if (!name.equals(ALL) && !Part.keys().contains(name)) {
                throw new UnusableInput("--only", "", "found " + name + ", expected " + ALL + " or one of "
                        + String.join(", ", Part.keys()));
            }
        }
        for (Part part : Part.values()) {
            if (only.isEmpty() || only.contains(ALL) || only.contains(part.key())) {
                report(part, out);
                out.flush();
            }
        }
    }

    private static void report(Part part, PrintWriter out) {
        switch (part) {
            case AIR -> air(out);
            case CHAINS -> chains(out);
            case BENCH -> bench(out);
            case ROAD -> road(out);
            case READERS -> readers(out);
            case COLUMNS -> columns(out);
            case TRUST -> trust(out);
            case TRIMS -> trims(out);
            case SETTINGS -> settings(out);
            case LIVES -> lives(out);
        }
    }

    /** What people and benches do beside the faults that are looked for. */
    private static void bench(PrintWriter out) {
        for (BenchTrial.Kind kind : BenchTrial.Kind.values()) {
            BenchTrial.Count c = BenchTrial.Count.of(kind, 0, BENCHES);
            out.printf(Locale.ROOT,
                    "%-46s %7.2f %%          wrong where more than 90 %% sure, of %d; aim: at most 3 %%; %d right%n",
                    "bench: " + kind.name().toLowerCase(Locale.ROOT).replace('_', ' '), 100.0 * c.deceived() / c.all(),
                    c.all(), c.right());
            out.printf(Locale.ROOT, "%-46s %8d          rows named rightly; %d of %d offers do not hold%n", "",
                    c.rowsNamed(), c.broken(), c.offered());
        }
    }

    /** Drives of cars that are worked out from engine, pipe and sensor. */
    private static void road(PrintWriter out) {
        RoadTrial.Events sound = pulls(RoadDrive.Mistake.NONE, 1000);
        out.printf(Locale.ROOT, "%-46s %8.2f          in ten minutes, of %.0f; aim: under 0.1%n",
                "road: lean pulls that were none", sound.wrongInTen(), sound.minutes());
        found(out, "lean pulls of 1 s found", pulls(new RoadDrive.Mistake(3, 1, 1.03, 1), 2000), "100 %");
        found(out, "lean pulls of 0.5 s found", pulls(new RoadDrive.Mistake(3, 0.5, 1.03, 1), 3000), "90 %");
        RoadTrial.Events opened = IntStream.range(0, DRIVES).parallel().mapToObj(i -> {
            RoadTrial t = RoadTrial.of(4000 + i, new RoadDrive.Mistake(0, 0, 1, 1.12), SECONDS);
            return t.tipIns(t.judged());
        }).reduce(RoadTrial.Events.NONE, RoadTrial.Events::plus);
        found(out, "lean openings of the throttle found", opened, "none made up");
    }

    private static RoadTrial.Events pulls(RoadDrive.Mistake mistake, long seed) {
        return IntStream.range(0, DRIVES).parallel().mapToObj(i -> {
            RoadTrial t = RoadTrial.of(seed + i, mistake, SECONDS);
            return t.leanPulls(t.judged());
        }).reduce(RoadTrial.Events.NONE, RoadTrial.Events::plus);
    }

    private static void found(PrintWriter out, String what, RoadTrial.Events events, String aim) {
        out.printf(Locale.ROOT, "%-46s %7.1f %%          of %d, %d made up; aim: %s%n", what,
                100.0 * events.found() / events.asked(), events.asked(), events.wrong(), aim);
    }

    /** Readers with a filter, a delay, an offset and a gain, and whether the intervals hold the truth. */
    private static void readers(PrintWriter out) {
        int offsets = 0;
        int gains = 0;
        double worst = 0;
        for (int i = 0; i < READERS; i++) {
            RoadTrial trial = RoadTrial.ofReader(i, SECONDS);
            RoadTrial.Reader reader = trial.reader();
            Agreement found = Objects.requireNonNull(trial.judged().agreement());
            offsets += reader.offset() >= found.offsetLow() && reader.offset() <= found.offsetHigh() ? 1 : 0;
            Double gain = found.gain();
            gains += gain != null && within(found.gainLow(), reader.gain(), found.gainHigh()) ? 1 : 0;
            worst = gain != null && reader.digit() < 0.005 ? Math.max(worst, Math.abs(gain - reader.gain())) : worst;
        }
        out.printf(Locale.ROOT, "%-46s %9.4f        three digits; aim: 0.005%n", "readers that filter: gain, worst",
                worst);
        out.printf(Locale.ROOT, "%-46s %8d, %d      of %d; aim: 95 of 100%n", "intervals that hold offset, gain",
                offsets, gains, READERS);
    }

    /** Days on which all that is in doubt happens to be something. */
    private static void trust(PrintWriter out) {
        for (double lambda : new double[]{0.8, 1, 1.2, 1.3}) {
            double held = IntStream.range(0, TRUSTED).parallel()
                    .mapToDouble(i -> TrustTrial.of(i).held(lambda, DAYS, 9000 + i)).average().orElseThrow();
            out.printf(Locale.ROOT, "%-46s %7.1f %%          aim: 94 to 96 %%%n",
                    String.format(Locale.ROOT, "truth within the trust figure at %.1f", lambda), 100 * held);
        }
    }

    /** Drives of engines that follow their targets, and of some that are off by a known part of the fuel. */
    private static void trims(PrintWriter out) {
        double advised = IntStream.range(0, TRIMMED).parallel()
                .mapToDouble(i -> TrimTrial.worst(TrimTrial.of(i, 0, 0).plan(TrimSheet.NONE), 0)).max().orElseThrow();
        out.printf(Locale.ROOT, "%-46s %7.1f %%          aim: at most 1 %%%n",
                "most advised to one that needs nothing, of " + TRIMMED, 100 * advised);
        double mistold = IntStream.range(0, TRIMMED).parallel().mapToDouble(i -> {
            double off = i % 2 == 0 ? 0.06 : -0.06;
            TrimTrial trial = TrimTrial.of(100 + i, off, off);
            return trial.mistold(trial.plan(TrimSheet.NONE));
        }).max().orElseThrow();
        out.printf(Locale.ROOT, "%-46s %7.1f %%          aim: within 1 %%%n", "6 % more or less: worst bin",
                100 * mistold);
    }

    /** Tables that are typed with few digits, against an exchange of their rows. */
    private static void settings(PrintWriter out) {
        for (SettingTrial.Typed typed : SettingTrial.Typed.values()) {
            List<SettingTrial> all = IntStream.range(0, LAWS).parallel().mapToObj(i -> SettingTrial.of(typed, i))
                    .toList();
            long worse = IntStream.range(0, LAWS).parallel()
                    .filter(i -> all.get(i).error() > 1.05 * all.get(i).exchanged(3, i) + 5e-5).count();
            out.printf(Locale.ROOT, "%-46s %9.5f λ      mean; %d of %d more than 5 %% worse than by exchange; aim: 0%n",
                    "tables in " + typed.name().toLowerCase(Locale.ROOT),
                    all.stream().mapToDouble(SettingTrial::error).average().orElseThrow(), worse, LAWS);
        }
    }

    private static boolean within(@Nullable Double low, double value, @Nullable Double high) {
        return low != null && high != null && value >= low && value <= high;
    }

    /** Logs in AFR of any fuel, of which the ratio is said or not. */
    private static void columns(PrintWriter out) {
        Map<ColumnTrial.Result, Integer> counts = ColumnTrial.run(COLUMNS);
        out.printf(Locale.ROOT, "%-46s %8d          %d asked, of %d; aim: 0%n",
                "columns in AFR taken with a wrong ratio", counts.get(ColumnTrial.Result.WRONG),
                counts.get(ColumnTrial.Result.ASKED), counts.values().stream().mapToInt(n -> n).sum());
    }

    /** Blind trials of the coach: sensors and faults that nobody told it of. */
    private static void air(PrintWriter out) {
        List<ControllerSheet> sheets = Catalogue.shipped().controllers();
        int right = 0;
        int deceived = 0;
        int hidden = 0;
        for (int i = 0; i < TRIALS; i++) {
            AirTrial trial = AirTrial.of(sheets, i);
            right += trial.right() ? 1 : 0;
            deceived += trial.deceived() ? 1 : 0;
            hidden += trial.hidden() ? 1 : 0;
        }
        out.printf(Locale.ROOT, "%-46s %7.1f %%          aim: at least 97 %%%n",
                "sensors in air judged rightly, of " + TRIALS,
                100.0 * right / TRIALS);
        out.printf(Locale.ROOT, "%-46s %8d          aim: 0%n", "bad ones passed as good", deceived);
        out.printf(Locale.ROOT, "%-46s %8d          cannot be seen there%n",
                "the same on displays that end at their top",
                hidden);
    }

    /** Blind trials of chains: one fault of each kind as often, then two at once. */
    private static void chains(PrintWriter out) {
        int cases = CHAINS * ScaleTrial.SINGLE.size();
        int right = 0;
        int sure = 0;
        int sureAndWrong = 0;
        int accused = 0;
        int offered = 0;
        int wronglyOffered = 0;
        int single = 0;
        int best = 0;
        double[] said = new double[BINS];
        int[] was = new int[BINS];
        for (String kind : ScaleTrial.SINGLE) {
            for (int i = 0; i < CHAINS; i++) {
                ScaleTrial trial = ScaleTrial.of(kind, i);
                Diagnosis diagnosis = trial.diagnosed();
                boolean named = diagnosis.best().fault().key().equals(kind);
                double probability = diagnosis.best().probability();
                right += named ? 1 : 0;
                sure += probability > Diagnosis.SURE ? 1 : 0;
                sureAndWrong += !named && probability > Diagnosis.SURE ? 1 : 0;
                accused += !named && probability > Diagnosis.SURE && kind.equals("none") ? 1 : 0;
                int bin = Math.min(BINS - 1, (int) (probability * BINS));
                said[bin] += probability;
                was[bin] += named ? 1 : 0;
                Diagnosis.Offer offer = diagnosis.offer();
                offered += offer != null ? 1 : 0;
                wronglyOffered += offer != null && trial.worstWith(offer) > 1.01 * Tolerance.LAMBDA ? 1 : 0;
                single += diagnosis.causes().stream().map(Diagnosis.Likelihood::fault)
                        .filter(f -> f.second() == null).findFirst().filter(f -> f.key().equals(kind)).isPresent()
                                ? 1
                                : 0;
                best += ScaleOracle.best(trial).equals(kind) ? 1 : 0;
            }
        }
        double apart = IntStream.range(0, BINS).mapToDouble(b -> Math.abs(said[b] - was[b])).sum() / cases;
        out.printf(Locale.ROOT, "%-46s %7.2f %%          of %d, %d sure%n", "chains: first cause right",
                100.0 * right / cases, cases, sure);
        out.printf(Locale.ROOT, "%-46s %7.2f %%          %.2f %% by one that knows how they are made%n",
                "the same among single causes", 100.0 * single / cases, 100.0 * best / cases);
        out.printf(Locale.ROOT, "%-46s %7.2f %%          aim: at most 1 %%%n", "wrong where more than 90 % sure",
                100.0 * sureAndWrong / cases);
        out.printf(Locale.ROOT, "%-46s %9.4f        aim: at most 0.02%n", "expected calibration error", apart);
        out.printf(Locale.ROOT, "%-46s %8d          of %d, aim: 1 of 1,000%n", "sound chains accused", accused, CHAINS);
        out.printf(Locale.ROOT, "%-46s %8d          of %d offered%n", "settings that do not keep the tolerance",
                wronglyOffered, offered);
        int pairs = CHAINS / 2 * ScaleTrial.PAIRS.size();
        long deceived = ScaleTrial.PAIRS.stream().mapToLong(kind -> IntStream.range(0, CHAINS / 2).filter(i -> {
            Diagnosis d = ScaleTrial.of(kind, i).diagnosed();
            return !d.best().fault().key().equals(kind) && d.best().probability() > Diagnosis.SURE;
        }).count()).sum();
        out.printf(Locale.ROOT, "%-46s %7.2f %%          of %d, aim: at most 3 %%%n",
                "two at once: wrong where more than 90 % sure", 100.0 * deceived / pairs, pairs);
    }

    /** Simulated lives of sensors, their ageing drawn otherwise than the outlook believes: skewed, a few much faster. */
    private static void lives(PrintWriter out) {
        for (SimulatedLife.Course course : SimulatedLife.Course.values()) {
            List<SimulatedLife> all = IntStream.range(0, LIVES).parallel()
                    .mapToObj(i -> SimulatedLife.of(course, i)).toList();
            out.printf(Locale.ROOT, "%-46s %7.1f %%          of %d, over before it %.1f %%; aim: 90 %%%n",
                    "day within its 90 % band: " + course.name().toLowerCase(Locale.ROOT),
                    100.0 * all.stream().filter(SimulatedLife::held).count() / LIVES, LIVES,
                    100.0 * all.stream().filter(SimulatedLife::tooLate).count() / LIVES);
        }
    }
}
