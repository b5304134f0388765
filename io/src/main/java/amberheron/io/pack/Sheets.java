package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

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
import amberheron.core.placement.Candidate;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.plan.Intake;
import amberheron.core.plan.Step;
import amberheron.core.plan.StepId;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.io.pack.HandOverSheet.Fact;
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
            return words;
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
        return new Sheet(title, said.job(), said.vehicle(), said.fuel(), said.date(), code, shop, said.proven(),
                said.standing(), first(photos), sections, photos.stream().filter(p -> p.missing().isEmpty()).toList(),
                signed, job.handOver().by());
    }

    /** Steps that were not done, and readings that are stale. */
    private List<String> first(List<Album.Shown> photos) {
        List<String> first = new ArrayList<>();
        if (review.shop().demo()) {
            first.add("Demo book: an invented job, its readings simulated.");
        }
        if (!said.notDone().isBlank()) {
            first.add("Not done: " + said.notDone());
        }
        List<String> left = review.plan().steps().stream()
                .filter(s -> !job.done().contains(s.key()) && !LAST.contains(s.id())).map(Step::title).toList();
        if (!left.isEmpty()) {
            first.add("Steps not ticked: " + String.join("; ", left.subList(0, Math.min(MOST_STEPS, left.size())))
                    + (left.size() > MOST_STEPS ? say("; and %d more", left.size() - MOST_STEPS) : "") + ".");
        }
        review.stale().forEach(s -> first.add("Stale: " + text(s)));
        photos.stream().filter(p -> !p.missing().isEmpty())
                .forEach(p -> first.add(say("Photo %s %s.", p.words(), p.missing())));
        int simulated = job.points().size() - review.points().size();
        if (!review.shop().demo() && simulated > 0) {
            first.add(say("%d check points do not count: simulated, stale or outside the law.", simulated));
        }
        return first;
    }

    private String text(amberheron.core.job.Stale stale) {
        return Wording.of(units, job.stoich()).text(stale.text());
    }

    private String mixture(double lambda) {
        return units.text(new Measure(lambda, Dimension.MIXTURE, 3), job.stoich());
    }

    private String signed(double lambda) {
        return units.signed(new Measure(lambda, Dimension.MIXTURE, 4), job.stoich());
    }

    /** λ, and the AFR of this fuel beside it, the ratio named once at the top. */
    private String both(double lambda) {
        return say("λ %.2f = %.1f AFR", lambda, lambda * job.stoich());
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
        boolean boosted = job.intake().exhaust().turbine();
        boolean carburettor = job.intake().fuelSystem() == Intake.FuelSystem.CARBURETTOR;
        double rich = carburettor ? 0.85 : 1 - DisplaySetUp.SWING;
        List<List<String>> means = List.of(
                List.of("Cold, choke on", "rich and climbing", "says nothing yet"),
                List.of("Warm idle, cruise", both(rich) + " to " + both(1 + DisplaySetUp.SWING), "as it should be"),
                List.of("Full load",
                        both(DisplaySetUp.richUnderLoad(boosted)) + " to " + both(DisplaySetUp.leanUnderLoad(boosted)),
                        "leaner than that: lift off and have it looked at"),
                List.of("Foot off, rolling", "the lean end, or blank", "right: the fuel is cut"),
                List.of("Pulling, leaner than " + both(DisplaySetUp.STOP), "lean", "stop: lean destroys engines"));
        List<Fact> fitted = new ArrayList<>();
        pick("Place", fitted);
        ControllerSheet controller = job.air().controller();
        fitted.add(new Fact("Controller", controller == null ? "not noted" : controller.name()));
        fitted.add(new Fact("Sensor", job.air().sensor().isBlank() ? "no number noted" : job.air().sensor()));
        pick("Reader", fitted);
        pick("Readers", fitted);
        pick("Trust", fitted);
        List<Fact> alarms = new ArrayList<>();
        pick("Display", alarms);
        return sheet("For the owner", true, List.of(
                Section.facts("What was fitted", fitted),
                Section.table("What the number means",
                        List.of("", say("λ, and AFR with %.2f at λ 1", job.stoich()), ""),
                        means, "Common practice, no published source; an engine's own tuner may set other limits."),
                Section.facts("What the display was told", alarms),
                Section.notes("What not to do", List.of(
                        "Do not watch the number while driving: the passenger or the log does.",
                        "Do not unplug the sensor with the ignition on, and do not run the engine with the sensor fitted and without power: it dies of it.",
                        "Do not tune by the number before it has warmed up; do not use leaded or oily fuel.",
                        "Do not cut or join the tagged wires: the next mechanic needs them.")),
                Section.facts("When to come back", comeBack())), List.of());
    }

    private List<Fact> comeBack() {
        List<Fact> back = new ArrayList<>();
        back.add(new Fact("Free air again", due(job, review.shop().recalibrateMonths())
                .map(d -> d + ", or when the number stands still, drifts or the sensor was changed")
                .orElse("not calibrated yet: have that done first")));
        back.add(new Fact("At once", "if the sensor got wet hot, was powered unplugged, or the exhaust leaks"));
        return back;
    }

    /** When free air is to be done again; empty while it was not done. */
    static Optional<LocalDate> due(Job job, int months) {
        LocalDate date = job.air().date();
        return Optional.ofNullable(date == null ? null : date.plusMonths(months));
    }

    private void pick(String name, List<Fact> into) {
        said.facts().stream().filter(f -> f.name().equals(name)).forEach(into::add);
    }

    /** For the tuner. */
    private Sheet tuner() {
        List<Section> sections = new ArrayList<>();
        List<Fact> trust = new ArrayList<>();
        pick("Trust", trust);
        trust.add(new Fact("Tolerance",
                "0.1 AFR on the petrol scale between gauge and reader; common practice, no published source"));
        trust.add(new Fact("AFR here", say("λ × %.2f, the ratio of %s", job.stoich(),
                job.intake().fuel() == null ? "pump petrol, no fuel being said" : job.intake().fuel().name())));
        sections.add(Section.facts("How far to trust it", trust));
        List<JobReview> all = new ArrayList<>();
        for (Output output : job.outputs().all()) {
            all.add(review.ofOutput(output.id()).orElseThrow());
        }
        for (int i = 0; i < all.size(); i++) {
            output(all.get(i), said.told().get(i), all.size() > 1, sections);
        }
        return sheet("For the tuner", false, sections, List.of());
    }

    private void output(JobReview of, ReaderSheet told, boolean several, List<Section> sections) {
        String title = several ? told.title() + ": " : "";
        OutputLaw law = of.job().law();
        if (law != null) {
            sections.add(Section.table(title + "Output law, " + law.name(), List.of("volts", "λ", "AFR"),
                    IntStream.range(0, LAW_ROWS).mapToObj(i -> {
                        double volts = law.lowestVolts()
                                + i * (law.highestVolts() - law.lowestVolts()) / (LAW_ROWS - 1);
                        double lambda = law.lambdaAt(volts);
                        return List.of(say("%.3f V", volts), say("%.3f", lambda), say("%.2f", lambda * job.stoich()));
                    }).toList(), "From " + law.source().citation() + " (" + law.source().kind().words() + ")."));
        }
        List<Fact> setting = new ArrayList<>(told.setting().stream().map(l -> new Fact(l.ask(), l.type())).toList());
        setting.add(new Fact("which is", told.settingNote()));
        sections.add(Section.facts(title + "Told to the reader", setting));
        sections.add(Section.table(title + "Check points", List.of("applied", "true", "shown", "off by"),
                told.points().stream().map(p -> List.of(p.volts(), p.truth(), p.shown(), p.off())).toList(),
                told.pointsNote() + "."));
        Output.Proving proving = of.job().proving();
        DriveFound found = proving == null ? null : proving.found();
        sections.add(Section.drawing(title + "What the log shows", told.plot() == null ? "" : told.plot(),
                "Shown − true: " + told.proving() + "."));
        if (found != null) {
            sections.add(drive(title, found));
        }
    }

    private Section drive(String title, DriveFound found) {
        List<Fact> facts = new ArrayList<>();
        Agreement line = found.agreement();
        if (line != null) {
            facts.add(new Fact("Offset at λ 1",
                    signed(line.offset()) + "; 95 of 100: " + signed(line.offsetLow()) + " to "
                            + signed(line.offsetHigh())));
            Double gain = line.gain();
            facts.add(new Fact("Gain", gain == null ? "the mixture did not move enough" : say("%.4f", gain)));
            Double lag = line.lag();
            facts.add(new Fact("Lag of the reader", lag == null ? "cannot be told" : say("%.2f s", lag)));
        }
        facts.add(new Fact("Lost, frozen rows", say("%d, %d", found.lost(), found.frozen())));
        List<DriveEvent> events = found.events();
        facts.add(new Fact("To be acted on", events.isEmpty()
                ? "nothing found"
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
                                ? "says nothing"
                                : mixture(low) + " to " + mixture(high)
                                        + (d.off() == 0 ? "" : say(", off in %d", d.off())));
            }).orElseGet(() -> List.of(kind.words(),
                    found.notTold().contains(kind) ? "a channel is missing" : "not driven", "", "")));
        }
        return new Section(title + "The drive", facts, List.of("driven", "for", "showed", "should"), rows, "",
                List.of());
    }

    /** For the next mechanic. */
    private Sheet mechanic() {
        List<Section> sections = new ArrayList<>();
        List<Fact> where = new ArrayList<>();
        pick("Place", where);
        pick("As fitted", where);
        Optional<Candidate> place = job.chosenPlace()
                .flatMap(c -> job.placing().fitted().place(job.intake().exhaust(), c));
        sections.add(new Section("Where it is", where, List.of(), List.of(),
                place.map(c -> PlaceDrawing.svg(job.intake().exhaust(), c)).orElse(""), List.of()));
        group(Station.PLACE, "Why there", sections);
        List<Fact> wired = new ArrayList<>();
        for (String name : List.of("Power", "Grounds", "Wiring")) {
            pick(name, wired);
        }
        sections.add(Section.facts("Power, fuse and ground", wired));
        HarnessSheet harness = HarnessSheet.of(job);
        sections.add(new Section("Which wire is which", List.of(),
                List.of("tag", "work", "from", "colour", "extension", "to", "colour there", ""),
                harness.lines().stream()
                        .map(l -> List.of(l.tag(), l.work(), l.from(), l.colour(), l.extension(), l.to(),
                                l.joins(), l.state()))
                        .toList(),
                harness.lines().isEmpty() ? "" : narrower(harness.strip()), List.of()));
        group(Station.WIRE, "What was measured", sections);
        List<Fact> air = new ArrayList<>();
        pick("Free air", air);
        ControllerSheet controller = job.air().controller();
        sections.add(new Section("Free air", air, List.of(), List.of(), "",
                controller == null ? List.of() : List.of(controller.school().procedure())));
        group(Station.AIR, "Against the rules", sections);
        FittingProcedure procedure = job.intake().fit().procedure();
        sections.add(
                Section.notes("How it is fitted: " + procedure.title(), IntStream.range(0, procedure.steps().size())
                        .mapToObj(i -> (i + 1) + ". " + procedure.steps().get(i)).toList()));
        sections.add(Section.notes("Caution", List.of(procedure.caution())));
        return sheet("For the next mechanic", true, sections, photos());
    }

    private List<Album.Shown> photos() {
        Album album = shop.album(job);
        return Stream.concat(job.placing().fitted().photos().stream(),
                job.wiring().harness().asWired().photos().stream()).map(album::show).toList();
    }

    private void group(Station station, String title, List<Section> sections) {
        said.groups().stream().filter(g -> g.title().equals(station.title())).forEach(g -> sections.add(Section.table(
                title, List.of("", "", "found", "limit", "costs", "source"),
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
        return head + say("height=\"%.1fmm\"", high * 180 / wide) + rest.substring(rest.indexOf("mm\"") + 3);
    }
}
