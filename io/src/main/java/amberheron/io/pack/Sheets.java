package amberheron.io.pack;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.controller.ControllerSheet;
import amberheron.core.display.DisplaySetUp;
import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Regime;
import amberheron.core.finding.Wording;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Output;
import amberheron.core.job.Station;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.FuelKind;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.plan.Engine;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Step;
import amberheron.core.plan.StepId;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.io.pack.HandOverSheet.About;
import amberheron.io.pack.HandOverSheet.Fact;
import amberheron.io.pack.HandOverSheet.Known;
import amberheron.io.pack.HandOverSheet.ReaderSheet;
import amberheron.io.pack.Sheet.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** One job's three sheets, each for its reader: the owner, the tuner near or far, the next mechanic. */
public final class Sheets {
    /** Whom a sheet is for. */
    public enum For {
        OWNER("Owner", "owner"),
        TUNER("Tuner", "tuner"),
        MECHANIC("Next mechanic", "mechanic");

        private final String words;
        private final String file;

        For(String words, String file) {
            this.words = words;
            this.file = file;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Stem of its files' names. */
        String file() {
            return file;
        }
    }

    private static final int LAW_ROWS = 9;
    private static final int MOST_STEPS = 5;
    /** Steps that are not left undone when the sheet is written. */
    private static final Set<StepId> LAST = Set.of(StepId.SHEET, StepId.PLUG);

    private final JobReview review;
    private final Job job;
    private final UnitChoice units;
    private final HandOverSheet said;
    private final ShopCard shop;
    private final String code;

    Sheets(JobReview review, UnitChoice units, ShopCard shop, String code) {
        this.review = review;
        this.job = review.job();
        this.units = units;
        this.said = HandOverSheet.of(review, units);
        this.shop = shop;
        this.code = code;
    }

    private Sheet sheet(String title, boolean signed, List<Section> sections, List<Album.Shown> photos) {
        return new Sheet(title, said.job(), said.vehicle(), said.fuel(), said.date(), code, shop, said.standing(),
                first(photos), sections, photos.stream().filter(p -> p.missing().isEmpty()).toList(),
                signed, job.handOver().by(), caution());
    }

    private String caution() {
        Wording wording = new Wording(units, job.stoich());
        return say(
                "Sensor and exhaust burn. Never power the sensor unplugged after calibration. %s Never watch a gauge while driving. %s Removing or replacing emission parts can be illegal on the road: local law and inspection rules decide.",
                wording.text(job.wiring().heater().unpowered()), wording.text(job.bands().danger()));
    }

    /** Steps that were not done, and readings that are stale. */
    private List<String> first(List<Album.Shown> photos) {
        List<String> first = new ArrayList<>();
        if (review.shop().demo()) {
            first.add(say("Demo book: an invented job, its readings simulated."));
        }
        if (!said.notDone().isBlank()) {
            first.add(say("Not done: %s", said.notDone()));
        }
        notTicked(review).ifPresent(first::add);
        review.stale().forEach(s -> first.add(say("Stale: %s", text(s))));
        photos.stream().filter(p -> !p.missing().isEmpty())
                .forEach(p -> first.add(say("Photo %s %s.", p.words(), p.missing())));
        int simulated = job.points().size() - review.points().size();
        if (!review.shop().demo() && simulated > 0) {
            first.add(say("%d check points do not count: simulated, stale or outside the law.", simulated));
        }
        return first;
    }

    /** The steps that were not ticked, but for those that are left when a sheet is written. */
    public static List<String> left(JobReview review) {
        return review.plan().steps().stream()
                .filter(s -> !review.job().done().contains(s.key()) && !LAST.contains(s.id())).map(Step::title)
                .toList();
    }

    /** A sentence that names the first of the steps that were not ticked; none where all were. */
    public static Optional<String> notTicked(JobReview review) {
        List<String> left = left(review);
        return left.isEmpty()
                ? Optional.empty()
                : Optional.of(say("Steps not ticked: %s%s.",
                        String.join("; ", left.subList(0, Math.min(MOST_STEPS, left.size()))),
                        left.size() > MOST_STEPS ? say("; and %d more", left.size() - MOST_STEPS) : ""));
    }

    private String text(amberheron.core.job.Stale stale) {
        return new Wording(units, job.stoich()).text(stale.text());
    }

    private String mixture(double lambda) {
        return units.text(new Measure(lambda, Dimension.MIXTURE, 3), job.stoich());
    }

    private String signed(double lambda) {
        return units.signed(new Measure(lambda, Dimension.MIXTURE, 4), job.stoich());
    }

    /** A mixture as the owner's display shows it, λ beside it. */
    private String both(double lambda) {
        MixtureScale scale = job.shownByGauge();
        return scale instanceof MixtureScale.Lambda
                ? say("λ %.2f", lambda)
                : say("%s (λ %.2f)", DisplaySetUp.mixture(lambda, scale), lambda);
    }

    /** What the display's numbers are. */
    private String onDisplay() {
        MixtureScale scale = job.shownByGauge();
        return scale instanceof MixtureScale.Lambda
                ? say("on your display, in λ")
                : say("on your display, in %s (%.1f is λ 1)", scale.label(), scale.fromLambda(1));
    }

    /** What the numbers mean while driving, for this engine on its fuel. */
    private List<List<String>> means() {
        Bands bands = job.bands();
        boolean carburettor = job.intake().engine().fuelSystem() == Engine.FuelSystem.CARBURETTOR;
        List<List<String>> means = new ArrayList<>();
        if (!bands.leanHarms()) {
            means.add(List.of(say("Idle and light load"), say("at the lean end"),
                    say("right: a diesel runs lean always")));
            means.add(List.of(say("Full load"), say("%s to %s", both(bands.rich()), both(bands.lean())),
                    say("richer: it smokes and the exhaust gets hot; leaner does no harm")));
            return means;
        }
        means.add(List.of(carburettor ? say("Cold, choke on") : say("Cold"), say("rich and climbing"),
                say("says nothing yet")));
        means.add(List.of(say("Warm idle, cruise"),
                say("%s to %s", both(carburettor ? Bands.CARBURETTOR_RICH : bands.steadyRich()),
                        both(bands.steadyLean())),
                say("as it should be")));
        means.add(List.of(say("Full load"), say("%s to %s", both(bands.rich()), both(bands.lean())),
                say("leaner than that: lift off and have it looked at")));
        means.add(carburettor
                ? List.of(say("Foot off, rolling"), say("anything"),
                        say("says nothing: air and fuel are what leaks past"))
                : List.of(say("Foot off, rolling"), say("the lean end, or blank"), say("right: the fuel is cut")));
        means.add(List.of(say("Pulling, leaner than %s", both(bands.stop())), say("lean"),
                say("stop: lean destroys engines")));
        return means;
    }

    Sheet of(For whom) {
        return switch (whom) {
            case OWNER -> owner();
            case TUNER -> tuner();
            case MECHANIC -> mechanic();
        };
    }

    /** For the owner: one page. */
    private Sheet owner() {
        List<Fact> fitted = new ArrayList<>();
        pick(About.PLACE, fitted);
        ControllerSheet controller = job.air().controller();
        fitted.add(new Fact(say("Controller"), controller == null ? say("not noted") : controller.name()));
        fitted.add(new Fact(say("Sensor"), job.air().sensor().isBlank() ? say("no number noted") : job.air().sensor()));
        pick(About.READER, fitted);
        pick(About.READERS, fitted);
        pick(About.TRUST, fitted);
        List<Fact> alarms = new ArrayList<>();
        pick(About.DISPLAY, alarms);
        return sheet(say("For the owner"), true, List.of(
                Section.facts(say("What was fitted"), fitted),
                Section.table(say("What the number means"),
                        List.of("", onDisplay(), ""),
                        means(),
                        say("Common practice, no published source; an engine's own tuner may set other limits.")),
                Section.facts(say("What the display was told"), alarms),
                Section.notes(say("What not to do"), List.of(
                        say("Do not watch the number while driving: the passenger or the log does."),
                        say("Do not unplug the sensor with the ignition on."),
                        new Wording(units, job.stoich()).text(job.wiring().heater().unpowered()),
                        spoils(job.intake())
                                ? say("Do not tune by the number before it has warmed up.")
                                : say("Do not tune by the number before it has warmed up; do not use leaded or oily fuel."),
                        say("Do not cut or join the tagged wires: the next mechanic needs them."))),
                Section.facts(say("When to come back"), comeBack())), List.of());
    }

    /** Whether what this engine burns ages a sensor in any case, or comes from a pump that has nothing else. */
    private static boolean spoils(Intake intake) {
        return intake.burnsOil() || intake.fuelKind() == FuelKind.LEADED || intake.fuelKind() == FuelKind.DIESEL;
    }

    private List<Fact> comeBack() {
        List<Fact> back = new ArrayList<>();
        back.add(new Fact(say("Free air again"), due(job, review.shop().recalibrateMonths())
                .map(d -> say("%s, or when the number stands still, drifts or the sensor was changed", d))
                .orElse(say("not calibrated yet: have that done first"))));
        back.add(new Fact(say("At once"),
                say("if the sensor got wet hot, was switched on with the sensor disconnected, or the exhaust leaks")));
        return back;
    }

    /** When free air is to be done again; empty while it was not done. */
    static Optional<LocalDate> due(Job job, int months) {
        LocalDate date = job.air().date();
        return Optional.ofNullable(date == null ? null : date.plusMonths(months));
    }

    private void pick(About about, List<Fact> into) {
        said.facts().stream().filter(f -> f.about() == about).map(Known::fact).forEach(into::add);
    }

    /** For the tuner. */
    private Sheet tuner() {
        List<Section> sections = new ArrayList<>();
        List<Fact> trust = new ArrayList<>();
        pick(About.TRUST, trust);
        trust.add(new Fact(say("Tolerance"),
                say("λ %.3f between gauge and reader, 0.1 AFR on the petrol scale; common practice, no "
                        + "published source", Tolerance.LAMBDA)));
        trust.add(new Fact(say("AFR here"), say("λ × %.2f, the ratio of %s", job.stoich(),
                job.intake().fuel() == null ? say("pump petrol, no fuel being said") : job.intake().fuel().name())));
        sections.add(Section.facts(say("How far to trust it"), trust));
        List<JobReview> all = new ArrayList<>();
        for (Output output : job.outputs().all()) {
            all.add(review.ofOutput(output.id()).orElseThrow());
        }
        for (int i = 0; i < all.size(); i++) {
            output(all.get(i), said.told().get(i), all.size() > 1, sections);
        }
        return sheet(say("For the tuner"), false, sections, List.of());
    }

    private void output(JobReview of, ReaderSheet told, boolean several, List<Section> sections) {
        String title = several ? told.title() + ": " : "";
        OutputLaw law = of.job().law();
        if (law != null) {
            sections.add(Section.table(say("%sOutput law, %s", title, law.name()), List.of(say("volts"), "λ", "AFR"),
                    IntStream.range(0, LAW_ROWS).mapToObj(i -> {
                        double volts = law.lowestVolts()
                                + i * (law.highestVolts() - law.lowestVolts()) / (LAW_ROWS - 1);
                        double lambda = law.lambdaAt(volts);
                        return List.of(say("%.3f V", volts), say("%.3f", lambda), say("%.2f", lambda * job.stoich()));
                    }).toList(), say("From %s (%s).", law.source().citation(), law.source().kind().words())));
        }
        List<Fact> setting = new ArrayList<>(told.setting().stream().map(l -> new Fact(l.ask(), l.type())).toList());
        setting.add(new Fact(say("which is"), told.settingNote()));
        sections.add(Section.facts(say("%sTyped into the reader", title), setting));
        sections.add(Section.table(say("%sCheck points", title),
                List.of(say("applied"), say("true"), say("shown"), say("off by")),
                told.points().stream().map(p -> List.of(p.volts(), p.truth(), p.shown(), p.off())).toList(),
                told.pointsNote() + "."));
        Output.Proving proving = of.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        sections.add(Section.drawing(say("%sWhat the log shows", title), told.plot() == null ? "" : told.plot(),
                say("Shown − true: %s.", told.proving())));
        if (found != null) {
            sections.add(drive(title, found));
        }
    }

    private Section drive(String title, DriveFound found) {
        List<Fact> facts = new ArrayList<>();
        Agreement line = found.agreement();
        if (line != null) {
            facts.add(new Fact(say("Offset at λ 1"),
                    say("%s; 95 of 100: %s to %s", signed(line.offset()), signed(line.offsetLow()),
                            signed(line.offsetHigh()))));
            Double gain = line.gain();
            facts.add(new Fact(say("Gain"), gain == null ? say("the mixture did not move enough") : say("%.4f", gain)));
            Double lag = line.lag();
            facts.add(new Fact(say("Lag of the reader"), lag == null ? say("cannot be told") : say("%.2f s", lag)));
        }
        facts.add(new Fact(say("Lost, frozen rows"), say("%d, %d", found.lost(), found.frozen())));
        List<DriveEvent> events = found.events();
        facts.add(new Fact(say("To be acted on"), events.isEmpty()
                ? say("nothing found")
                : String.join("; ", events.stream().limit(6)
                        .map(e -> say("%s at %.0f s, ", e.kind().words(), e.from()) + mixture(e.lambda())).toList())
                        + (events.size() > 6 ? say("; and %d more", events.size() - 6) : "")));
        List<List<String>> rows = new ArrayList<>();
        for (Regime.Kind kind : Regime.Kind.values()) {
            rows.add(found.driven(kind).map(d -> {
                Double low = d.low();
                Double high = d.high();
                return List.of(kind.words(), say("%.0f s", d.seconds()), mixture(d.lambda()),
                        low == null || high == null
                                ? say("says nothing")
                                : say("%s to %s%s", mixture(low), mixture(high),
                                        d.off() == 0 ? "" : say(", off in %d", d.off())));
            }).orElseGet(() -> List.of(kind.words(),
                    found.notTold().contains(kind) ? say("a channel is missing") : say("not driven"), "", "")));
        }
        return new Section(say("%sThe drive", title), facts,
                List.of(say("driven"), say("for"), say("showed"), say("should")), rows, "",
                List.of());
    }

    /** For the next mechanic. */
    private Sheet mechanic() {
        List<Section> sections = new ArrayList<>();
        List<Fact> where = new ArrayList<>();
        pick(About.PLACE, where);
        pick(About.FITTED, where);
        Optional<Candidate> place = job.chosenPlace()
                .flatMap(c -> job.placing().fitted().place(job.intake().exhaust(), c));
        sections.add(new Section(say("Where it is"), where, List.of(), List.of(),
                place.map(c -> PlaceDrawing.svg(job.intake().exhaust(), c)).orElse(""), List.of()));
        group(Station.PLACE, say("Why there"), sections);
        List<Fact> wired = new ArrayList<>();
        for (About about : List.of(About.POWER, About.GROUNDS, About.WIRING)) {
            pick(about, wired);
        }
        sections.add(Section.facts(say("Power, fuse and ground"), wired));
        HarnessSheet harness = HarnessSheet.of(job);
        sections.add(new Section(say("Which wire is which"), List.of(),
                List.of(say("tag"), say("work"), say("from"), say("colour"), say("extension"), say("to"),
                        say("colour there"), ""),
                harness.lines().stream()
                        .map(l -> List.of(l.tag(), l.work(), l.from(), l.colour(), l.extension(), l.to(),
                                l.joins(), l.state()))
                        .toList(),
                harness.lines().isEmpty() ? "" : narrower(harness.strip()), List.of()));
        group(Station.WIRE, say("What was measured"), sections);
        List<Fact> air = new ArrayList<>();
        pick(About.FREE_AIR, air);
        ControllerSheet controller = job.air().controller();
        sections.add(new Section(say("Free air"), air, List.of(), List.of(), "",
                controller == null ? List.of() : List.of(controller.school().procedure())));
        group(Station.AIR, say("Against the rules"), sections);
        FittingProcedure procedure = job.intake().fit().procedure();
        sections.add(
                Section.notes(say("How it is fitted: %s", procedure.title()),
                        IntStream.range(0, procedure.steps().size())
                                .mapToObj(i -> (i + 1) + ". " + procedure.steps().get(i)).toList()));
        sections.add(Section.notes(say("Caution"), List.of(procedure.caution())));
        return sheet(say("For the next mechanic"), true, sections, photos());
    }

    private List<Album.Shown> photos() {
        Album album = shop.album(job);
        return Stream.concat(job.placing().fitted().photos().stream(),
                job.wiring().harness().asWired().photos().stream()).map(album::show).toList();
    }

    private void group(Station station, String title, List<Section> sections) {
        said.groups().stream().filter(g -> g.title().equals(station.title())).forEach(g -> sections.add(Section.table(
                title, List.of("", "", say("found"), say("limit"), say("costs"), say("source")),
                g.checks().stream()
                        .map(c -> List.of(c.mark(), c.subject(), c.figure(), c.limit(), c.cost(), c.source()))
                        .toList(),
                g.kept().isEmpty() ? new String[0] : new String[]{g.kept()})));
    }

    /** The strip is drawn for a page laid flat; here it stands upright. */
    private static String narrower(String svg) {
        int end = svg.indexOf("height=\"");
        String head = svg.substring(0, end).replaceFirst("width=\"[0-9.]+mm\"", "width=\"180mm\"");
        String rest = svg.substring(end);
        double high = Double.parseDouble(rest.substring(8, rest.indexOf("mm\"")));
        double wide = Double.parseDouble(svg.replaceFirst("(?s).*?width=\"([0-9.]+)mm\".*", "$1"));
        return head + fixed("height=\"%.1fmm\"", high * 180 / wide) + rest.substring(rest.indexOf("mm\"") + 3);
    }
}
