package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.core.display.Display;
import amberheron.core.display.DisplaySetUp;
import amberheron.core.finding.CheckId;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.finding.Wording;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.harness.Harness;
import amberheron.core.harness.HarnessCheck;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Wire;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import amberheron.core.mixture.Fuel;
import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceCheck;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.SettingText;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.WireCheck;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Content of the sheet, every figure already in words. */
public record HandOverSheet(String job, String vehicle, String fuel, String date, boolean proven, String standing,
        List<Fact> facts, List<Group> groups, List<ReaderSheet> told, String notDone) {
    /** Told in a line when they are kept; so are all of harness and signal. */
    private static final Set<CheckId> BRIEF = Set.of(WireCheck.HEATER, WireCheck.SIGNAL_FORM, WireCheck.SIGNAL_LOAD,
            WireCheck.SIGNAL_OVER, PlaceCheck.PIECE, PlaceCheck.ROOM, PlaceCheck.TOOLS, PlaceCheck.LEAD,
            PlaceCheck.GAS, PlaceCheck.DELAY_IDLE, PlaceCheck.DELAY_FULL, PlaceCheck.DRY, PlaceCheck.MOVED,
            PlaceCheck.TURNED, PlaceCheck.TIGHT);

    /**
     * One reader: what it was told, how that was checked, and what the drive says of it.
     *
     * @param title its name where the controller has several readers; else empty
     */
    public record ReaderSheet(String title, List<SettingText.Line> setting, String settingNote, List<Point> points,
            String pointsNote, String proving, @Nullable String plot) {
        static ReaderSheet of(JobReview review, UnitChoice units) {
            Job job = review.job();
            var proving = job.proving();
            return new ReaderSheet(job.outputs().active().title(), HandOverSheet.setting(review),
                    HandOverSheet.settingNote(review, units, job.stoich()), HandOverSheet.points(job, units),
                    HandOverSheet.pointsNote(review, units, job.stoich()), HandOverSheet.proving(job),
                    proving == null ? null : ProvingPlot.svg(proving.result()));
        }

        ReaderSheet withTitle(String value) {
            return new ReaderSheet(value, setting, settingNote, points, pointsNote, proving, plot);
        }
    }

    /** A fact the next person needs. */
    public record Fact(String name, String value) {
    }

    /** A station's checks, and in a line what else is kept. */
    public record Group(String title, List<Check> checks, String kept) {
    }

    /** One check as a line. */
    public record Check(String mark, String subject, String figure, String limit, String cost, String source) {
    }

    /** One check point as a line. */
    public record Point(String volts, String truth, String shown, String off) {
    }

    /** How the links of a job stand. */
    public record Standing(boolean proven, String words) {
    }

    /** How the links of a job stand, in the sheet's words. */
    public static Standing standing(JobReview review, UnitChoice units) {
        double stoich = review.job().stoich();
        List<Station> unproven = new ArrayList<>(List.of(Station.values()));
        unproven.removeIf(s -> s == Station.HAND_OVER || review.state(s).done());
        String standing = unproven.isEmpty()
                ? "Every link from the exhaust gas to the number shown is proven."
                : "Not proven: " + String.join(", ", unproven.stream()
                        .map(s -> s.title() + " (" + review.state(s).words() + ")").toList()) + ".";
        if (!review.stale().isEmpty()) {
            standing += " Stale: "
                    + String.join(" ",
                            review.stale().stream().map(s -> Wording.of(units, stoich).text(s.text())).toList());
        }
        return new Standing(unproven.isEmpty(), standing);
    }

    /** The sheet of a job. */
    public static HandOverSheet of(JobReview review, UnitChoice units) {
        Job job = review.job();
        double stoich = job.stoich();
        Fuel fuel = job.intake().fuel();
        Standing stands = standing(review, units);
        var date = job.handOver().date();
        boolean one = review.others().isEmpty();
        List<ReaderSheet> told = job.outputs().all().stream().map(o -> review.ofOutput(o.id()).orElseThrow())
                .map(r -> ReaderSheet.of(r, units)).map(t -> one ? t.withTitle("") : t).toList();
        return new HandOverSheet(job.id(), job.intake().vehicle(),
                fuel == null
                        ? "fuel not said"
                        : say("%s, λ 1 = %.2f AFR", fuel.name(), fuel.stoich()),
                date == null ? "not handed over yet" : date.toString(), stands.proven(), stands.words(),
                facts(job, review), groups(review, units, stoich), told, job.handOver().notDone());
    }

    private static String mark(Verdict verdict) {
        return switch (verdict) {
            case PASS -> "✓";
            case UNKNOWN -> "○";
            case WARN -> "!";
            case FAIL -> "▲";
        };
    }

    private static List<Fact> facts(Job job, JobReview review) {
        List<Fact> facts = new ArrayList<>();
        job.chosenPlace().ifPresent(c -> facts
                .add(new Fact("Place", c.letter() + (c.note().isBlank() ? "" : ": " + c.note()) + ", "
                        + job.intake().fit().words() + bank(job, c))));
        AsFitted fitted = job.placing().fitted();
        if (fitted.begun()) {
            var date = fitted.date();
            facts.add(new Fact("As fitted", (date == null ? "not dated" : date.toString())
                    + (fitted.photos().isEmpty()
                            ? ""
                            : "; photos: " + String.join(", ", fitted.photos().stream().map(p -> p.file()).toList()))));
        }
        Double fuse = job.wiring().fuse();
        job.wiring().source().ifPresent(p -> facts.add(new Fact("Power", p.letter()
                + (p.place().isBlank() ? "" : ": " + p.place()) + ", " + p.behaviour().words()
                + (job.wiring().feed().relay() ? ", by a relay" : "")
                + (fuse == null ? "" : ", fuse " + UnitChoice.plain(fuse) + " A"))));
        if (!job.wiring().groundPoint().isBlank()) {
            facts.add(new Fact("Grounds", job.wiring().groundPoint()));
        }
        wired(job).ifPresent(facts::add);
        facts.add(new Fact("Free air", freeAir(job.air())));
        OutputLaw law = job.law();
        if (law != null) {
            facts.add(new Fact("Output law", law.name() + " (" + law.source().kind().words() + ")"));
        }
        Reader reader = job.reader();
        if (reader != null) {
            facts.add(new Fact(review.others().isEmpty() ? "Reader" : "Readers", job.outputs().all().stream()
                    .map(Output::title).collect(Collectors.joining("; "))));
        }
        display(job, review).ifPresent(facts::add);
        facts.add(new Fact("Trust", review.trust().map(t -> String.join(", ", t.at().stream()
                .map(a -> say("λ %.2f ± %.3f", a.lambda(), a.u())).toList())
                + t.largest().map(l -> "; mostly " + l.by().words()).orElse(""))
                .orElse("no figure: a link lies, or something that it rests on was not measured")));
        return List.copyOf(facts);
    }

    /** Settings of the display, in its own quantity, with those that are missing or otherwise than they should be. */
    private static Optional<Fact> display(Job job, JobReview review) {
        Display display = job.display();
        if (display.equals(Display.UNTOLD)) {
            return Optional.empty();
        }
        List<String> says = new ArrayList<>();
        List<String> not = new ArrayList<>();
        for (DisplaySetUp.Line line : job.displaySetUp(review.shop().schools()).lines()) {
            Double told = line.told();
            String words = line.what().brief();
            if (told == null) {
                not.add(words);
            } else {
                says.add((line.verdict() == Verdict.WARN ? "▲ " : "") + words + " "
                        + DisplaySetUp.text(line.what(), told, job.shownByGauge()));
            }
        }
        return Optional.of(new Fact("Display", String.join(", ", says)
                + (not.isEmpty() ? "" : (says.isEmpty() ? "" : "; ") + "not told: " + String.join(", ", not))));
    }

    /** How it was calibrated, what it showed then, and what was not looked at. */
    private static String freeAir(FreeAirCheck air) {
        List<String> says = new ArrayList<>();
        var controller = air.controller();
        says.add(controller == null ? "controller not noted" : controller.school().words());
        Double oxygen = air.shownOxygen();
        Double lambda = air.shownLambda();
        if (oxygen != null) {
            says.add(say("showed %.2f %% oxygen", 100 * oxygen));
        } else if (lambda != null) {
            says.add(say("showed λ %.3f", lambda));
        }
        Double settled = air.settled();
        if (settled != null) {
            says.add(say("steady for %.0f s", settled));
        }
        int looked = air.conditions().size();
        if (air.reading().isPresent() && looked < Condition.values().length) {
            says.add(say("%d of %d conditions looked at", looked, Condition.values().length));
        }
        if (!air.sensor().isBlank()) {
            says.add("sensor " + air.sensor());
        }
        var date = air.date();
        says.add(date == null ? "not checked" : date.toString());
        return String.join(", ", says);
    }

    /** When the heater comes on, how wires are joined, unused wires, and the note for the next person. */
    private static Optional<Fact> wired(Job job) {
        Harness harness = job.wiring().harness();
        List<String> says = new ArrayList<>();
        var date = harness.asWired().date();
        if (date != null) {
            says.add(date.toString());
        }
        HeaterTiming.HeaterSchool heater = job.wiring().heater().school();
        if (heater != null) {
            says.add("heater " + heater.words());
        }
        Joints.JointSchool joints = harness.joints().school();
        if (joints != null) {
            says.add("joints " + joints.words());
        }
        List<Wire> unused = harness.chart().unused();
        if (!unused.isEmpty()) {
            says.add("unused wires " + unused.stream().map(w -> {
                Wire.Left left = w.left();
                return w.tag() + " (" + (left == null ? "not said how left" : left.words()) + ")";
            }).collect(Collectors.joining(", ")));
        }
        if (!harness.asWired().photos().isEmpty()) {
            says.add("photos: "
                    + harness.asWired().photos().stream().map(p -> p.file()).collect(Collectors.joining(", ")));
        }
        if (!harness.asWired().note().isBlank()) {
            says.add(harness.asWired().note());
        }
        return says.isEmpty() ? Optional.empty() : Optional.of(new Fact("Wiring", String.join("; ", says)));
    }

    private static String bank(Job job, Candidate place) {
        Double at = place.distance();
        return job.intake().banks() < 2 || at == null
                ? ""
                : job.intake().exhaust().run(place.line()).at(at).map(p -> "; sees " + p.segment().line().words())
                        .orElse("");
    }

    private static List<Group> groups(JobReview review, UnitChoice units, double stoich) {
        List<Group> groups = new ArrayList<>();
        for (Station station : List.of(Station.PLACE, Station.WIRE, Station.AIR, Station.PROVE)) {
            List<Finding> findings = review.findings(station);
            List<Check> checks = findings.stream().filter(f -> !brief(f)).map(f -> check(f, units, stoich)).toList();
            String kept = line("✓ also: ", findings, Verdict.PASS, units, stoich)
                    + line(" Not measured: ", findings, Verdict.UNKNOWN, units, stoich);
            if (!checks.isEmpty() || !kept.isBlank()) {
                groups.add(new Group(station.title(), checks, kept.strip()));
            }
        }
        return List.copyOf(groups);
    }

    /** Checks told in a line: what is kept or was not measured, so that the next person sees what stands out. */
    private static boolean brief(Finding f) {
        CheckId id = f.check().id();
        return f.verdict() == Verdict.UNKNOWN
                || (f.verdict() == Verdict.PASS && (BRIEF.contains(id) || id instanceof HarnessCheck));
    }

    private static String line(String head, List<Finding> findings, Verdict verdict, UnitChoice units, double stoich) {
        String all = findings.stream().filter(f -> f.verdict() == verdict && brief(f)).map(f -> {
            Measure figure = f.figure();
            return Wording.of(units, stoich).text(f.subject())
                    + (figure == null ? "" : " " + units.text(figure, stoich));
        }).collect(Collectors.joining("; "));
        return all.isEmpty() ? "" : head + all + ".";
    }

    private static Check check(Finding f, UnitChoice units, double stoich) {
        Measure figure = f.figure();
        Finding.Limit limit = f.limit();
        Double cost = f.lambdaCost();
        return new Check(mark(f.verdict()), Wording.of(units, stoich).text(f.subject()),
                figure != null ? units.text(figure, stoich) : f.verdict() == Verdict.UNKNOWN ? "not measured" : "",
                limit == null ? "" : limit.relation().sign() + " " + units.text(limit.bound(), stoich),
                cost == null ? "" : units.signed(mixture(cost), stoich), f.source().kind().words());
    }

    private static Measure mixture(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 3);
    }

    private static List<SettingText.Line> setting(JobReview review) {
        Reader reader = review.job().reader();
        return review.scale().map(r -> SettingText.of(r.setting(), Objects.requireNonNull(reader))).orElse(List.of());
    }

    private static String settingNote(JobReview review, UnitChoice units, double stoich) {
        Reader reader = review.job().reader();
        if (review.scale().isEmpty() || reader == null) {
            return "no law and reader chosen";
        }
        ScaleReport report = review.scale().get();
        return say("in %s; worst error %s at %s", SettingText.quantity(reader.scale()),
                units.signed(mixture(report.worst().lambda()), stoich),
                units.text(mixture(report.worst().atLambda()), stoich));
    }

    private static List<Point> points(Job job, UnitChoice units) {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        if (law == null || reader == null) {
            return List.of();
        }
        List<Point> points = new ArrayList<>();
        for (CheckPoint p : job.points()) {
            points.add(new Point(UnitChoice.digits(p.outputVolts(law), 2) + " V",
                    units.text(mixture(p.trueLambda(law)), job.stoich()),
                    units.text(mixture(reader.scale().toLambda(p.shown())), job.stoich()),
                    units.signed(mixture(p.error(law, reader)), job.stoich())
                            + (p.engine() == CheckPoint.Engine.RUNNING ? " · " + CheckPoint.Engine.RUNNING.words() : "")
                            + (p.origin().real() ? "" : " · simulated")));
        }
        return List.copyOf(points);
    }

    private static String pointsNote(JobReview review, UnitChoice units, double stoich) {
        int simulated = review.job().points().size() - review.points().size();
        if (review.diagnosis().isEmpty()) {
            return simulated == 0 ? "no check points taken" : "only simulated points, which prove nothing: not checked";
        }
        Diagnosis d = review.diagnosis().get();
        ReaderSetting corrected = d.correctedSetting();
        String verdict = d.withinTolerance() ? "within tolerance" : "out of tolerance";
        return say("%s, worst %s; likeliest: %s%s", verdict,
                units.signed(mixture(d.worst().lambda()), stoich), d.named(),
                d.withinTolerance() || corrected != null ? "" : ". " + d.notByTyping())
                + (simulated == 0 ? "" : "; " + simulated + " simulated points left out");
    }

    private static String proving(Job job) {
        Output.Proving proving = job.proving();
        return proving == null
                ? job.outputs().active().logged() ? "no proving log read" : "cannot be logged: never seen on the road"
                : say("%s, %d samples, %s; SHA-256 %s…", proving.file(),
                        proving.result().samples(), ProvingPlot.axes(proving.result()),
                        proving.digest().substring(0, Math.min(16, proving.digest().length())));
    }
}
