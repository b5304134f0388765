package amberheron.io.pack;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

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
import amberheron.core.job.Reservation;
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
public record HandOverSheet(String job, String vehicle, String fuel, String date, Standing standing,
        List<Known> facts, List<Group> groups, List<ReaderSheet> told, String notDone) {
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

    /** What a fact of the job is about. */
    public enum About {
        PLACE("Place"),
        FITTED("As fitted"),
        POWER("Power"),
        GROUNDS("Grounds"),
        WIRING("Wiring"),
        FREE_AIR("Free air"),
        LAW("Output law"),
        READER("Reader"),
        READERS("Readers"),
        DISPLAY("Display"),
        TRUST("Trust");

        private final String words;

        About(String words) {
            this.words = words;
        }
    }

    /** What is known of the job about something. */
    public record Known(About about, String value) {
        /** As it stands on a sheet. */
        Fact fact() {
            return new Fact(word(about.words), value);
        }
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

    /**
     * How the links of a job stand.
     *
     * @param reserved whether something of what is proven is usable only at a cost
     */
    public record Standing(boolean proven, boolean reserved, String words) {
        /** The sign before the words. */
        public String mark() {
            return HandOverSheet.mark(proven ? reserved ? Verdict.WARN : Verdict.PASS : Verdict.FAIL);
        }
    }

    /** How the links of a job stand, in the sheet's words. */
    public static Standing standing(JobReview review, UnitChoice units) {
        double stoich = review.job().stoich();
        List<Station> unproven = new ArrayList<>(List.of(Station.values()));
        unproven.removeIf(s -> s == Station.HAND_OVER || review.state(s).done());
        Wording wording = new Wording(units, stoich);
        List<Reservation> reserved = review.reservations();
        String standing = unproven.isEmpty()
                ? reserved.isEmpty()
                        ? say("Every link from the exhaust gas to the number shown is proven.")
                        : say("Every link from the exhaust gas to the number shown is proven, with %s.",
                                count("1 reservation", "%d reservations", reserved.size()))
                : say("Not proven: %s.", String.join(", ", unproven.stream()
                        .map(s -> s.title() + " (" + review.state(s).words() + ")").toList()));
        if (!reserved.isEmpty()) {
            String worst = wording.text(reserved.getFirst().text());
            standing += reserved.size() == 1 ? " " + worst : say(" The worst: %s", worst);
        }
        if (!review.stale().isEmpty()) {
            standing += say(" Stale: %s", String.join(" ",
                    review.stale().stream().map(s -> wording.text(s.text())).toList()));
        }
        return new Standing(unproven.isEmpty(), !reserved.isEmpty(), standing);
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
                        ? say("fuel not said")
                        : say("%s, λ 1 = %.2f AFR", fuel.name(), fuel.stoich()),
                date == null ? say("not handed over yet") : date.toString(), stands,
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

    private static List<Known> facts(Job job, JobReview review) {
        List<Known> facts = new ArrayList<>();
        job.chosenPlace().ifPresent(c -> facts
                .add(new Known(About.PLACE, c.letter() + (c.note().isBlank() ? "" : ": " + c.note()) + ", "
                        + job.intake().fit().words() + bank(job, c))));
        AsFitted fitted = job.placing().fitted();
        if (fitted.begun()) {
            var date = fitted.date();
            facts.add(new Known(About.FITTED, (date == null ? say("not dated") : date.toString())
                    + (fitted.photos().isEmpty()
                            ? ""
                            : say("; photos: %s",
                                    String.join(", ", fitted.photos().stream().map(p -> p.file()).toList())))));
        }
        Double fuse = job.wiring().fuse();
        job.wiring().source().ifPresent(p -> facts.add(new Known(About.POWER, p.letter()
                + (p.place().isBlank() ? "" : ": " + p.place()) + ", " + p.behaviour(job.electrics()).words()
                + (job.wiring().feed().relay() ? say(", by a relay") : "")
                + (fuse == null ? "" : say(", fuse %s A", UnitChoice.plain(fuse))))));
        if (!job.wiring().groundPoint().isBlank()) {
            facts.add(new Known(About.GROUNDS, job.wiring().groundPoint()));
        }
        wired(job).ifPresent(facts::add);
        facts.add(new Known(About.FREE_AIR, freeAir(job.air())));
        OutputLaw law = job.law();
        if (law != null) {
            facts.add(new Known(About.LAW, law.name() + " (" + law.source().kind().words() + ")"));
        }
        Reader reader = job.reader();
        if (reader != null) {
            facts.add(new Known(review.others().isEmpty() ? About.READER : About.READERS, job.outputs().all().stream()
                    .map(Output::title).collect(Collectors.joining("; "))));
        }
        display(job, review).ifPresent(facts::add);
        facts.add(new Known(About.TRUST, review.trust().map(t -> String.join(", ", t.at().stream()
                .map(a -> say("λ %.2f ± %.3f", a.lambda(), a.u())).toList())
                + t.largest().map(l -> say("; mostly %s", l.by().words())).orElse(""))
                .orElse(say("no figure: a link lies, or something that it rests on was not measured"))));
        return List.copyOf(facts);
    }

    /** Settings of the display, in its own quantity, with those that are missing or otherwise than they should be. */
    private static Optional<Known> display(Job job, JobReview review) {
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
        return Optional.of(new Known(About.DISPLAY, String.join(", ", says)
                + (not.isEmpty() ? "" : say("%snot told: %s", says.isEmpty() ? "" : "; ", String.join(", ", not)))));
    }

    /** How it was calibrated, what it showed then, and what was not looked at. */
    private static String freeAir(FreeAirCheck air) {
        List<String> says = new ArrayList<>();
        var controller = air.controller();
        says.add(controller == null ? say("controller not noted") : controller.school().words());
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
            says.add(say("sensor %s", air.sensor()));
        }
        var date = air.date();
        says.add(date == null ? say("not checked") : date.toString());
        return String.join(", ", says);
    }

    /** When the heater comes on, how wires are joined, unused wires, and the note for the next person. */
    private static Optional<Known> wired(Job job) {
        Harness harness = job.wiring().harness();
        List<String> says = new ArrayList<>();
        var date = harness.asWired().date();
        if (date != null) {
            says.add(date.toString());
        }
        HeaterTiming.HeaterSchool heater = job.wiring().heater().school();
        if (heater != null) {
            says.add(say("heater %s", heater.words()));
        }
        Joints.JointSchool joints = harness.joints().school();
        if (joints != null) {
            says.add(say("joints %s", joints.words()));
        }
        List<Wire> unused = harness.chart().unused();
        if (!unused.isEmpty()) {
            says.add(say("unused wires %s", unused.stream().map(w -> {
                Wire.Left left = w.left();
                return w.tag() + " (" + (left == null ? say("not said how left") : left.words()) + ")";
            }).collect(Collectors.joining(", "))));
        }
        if (!harness.asWired().photos().isEmpty()) {
            says.add(say("photos: %s",
                    harness.asWired().photos().stream().map(p -> p.file()).collect(Collectors.joining(", "))));
        }
        if (!harness.asWired().note().isBlank()) {
            says.add(harness.asWired().note());
        }
        return says.isEmpty() ? Optional.empty() : Optional.of(new Known(About.WIRING, String.join("; ", says)));
    }

    private static String bank(Job job, Candidate place) {
        Double at = place.distance();
        return job.intake().banks() < 2 || at == null
                ? ""
                : job.intake().exhaust().run(place.line()).at(at).map(p -> say("; sees %s", p.segment().line().words()))
                        .orElse("");
    }

    private static List<Group> groups(JobReview review, UnitChoice units, double stoich) {
        List<Group> groups = new ArrayList<>();
        for (Station station : List.of(Station.PLACE, Station.WIRE, Station.AIR, Station.PROVE)) {
            List<Finding> findings = review.findings(station);
            List<Check> checks = findings.stream().filter(f -> !brief(f)).map(f -> check(f, units, stoich)).toList();
            String kept = line(say("✓ also: "), findings, Verdict.PASS, units, stoich)
                    + line(say(" Not measured: "), findings, Verdict.UNKNOWN, units, stoich);
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
            return new Wording(units, stoich).text(f.subject())
                    + (figure == null ? "" : " " + units.text(figure, stoich));
        }).collect(Collectors.joining("; "));
        return all.isEmpty() ? "" : head + all + ".";
    }

    private static Check check(Finding f, UnitChoice units, double stoich) {
        Measure figure = f.figure();
        Finding.Limit limit = f.limit();
        Double cost = f.lambdaCost();
        return new Check(mark(f.verdict()), new Wording(units, stoich).text(f.subject()),
                figure != null ? units.text(figure, stoich) : f.verdict() == Verdict.UNKNOWN ? say("not measured") : "",
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
            return say("no law and reader chosen");
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
                            + (p.origin().real() ? "" : say(" · simulated"))));
        }
        return List.copyOf(points);
    }

    private static String pointsNote(JobReview review, UnitChoice units, double stoich) {
        int simulated = review.job().points().size() - review.points().size();
        if (review.diagnosis().isEmpty()) {
            return simulated == 0
                    ? say("no check points taken")
                    : say("only simulated points, which prove nothing: not checked");
        }
        Diagnosis d = review.diagnosis().get();
        ReaderSetting corrected = d.correctedSetting();
        String verdict = d.withinTolerance() ? say("within tolerance") : say("out of tolerance");
        return say("%s, worst %s; likeliest: %s%s", verdict,
                units.signed(mixture(d.worst().lambda()), stoich), d.named(),
                d.withinTolerance() || corrected != null ? "" : ". " + d.notByTyping())
                + (simulated == 0 ? "" : say("; %s simulated points left out", simulated));
    }

    private static String proving(Job job) {
        Output.Proving proving = job.proving();
        return proving == null
                ? job.outputs().active().logged()
                        ? say("no proving log read")
                        : say("cannot be logged: never seen on the road")
                : say("%s, %s, %s; SHA-256 %s…", proving.file(),
                        count("1 sample", "%d samples", proving.result().samples()),
                        ProvingPlot.axes(proving.result()),
                        proving.digest().substring(0, Math.min(16, proving.digest().length())));
    }
}
