package amberheron.app.cli;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.Regime;
import amberheron.core.finding.Check;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.CostOfAir;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.WireColour;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.job.JobCheck;
import amberheron.core.job.JobReview;
import amberheron.core.job.LinkState;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.placement.PlaceRanking;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.OpenBook;
import amberheron.io.book.ShopHabits;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.csv.TrimCsv;
import amberheron.io.json.FieldWords;
import amberheron.io.json.JobDocument;
import amberheron.io.json.ResultJson;
import amberheron.io.log.DriveLog;
import amberheron.io.log.KnownColumns;
import amberheron.io.log.LogReading;
import amberheron.io.pack.HandOverPack;
import amberheron.io.pack.HarnessSheet;
import amberheron.io.pack.PackCheck;
import amberheron.io.pack.ShopCard;
import amberheron.io.pack.ShopKey;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The commands that read a job document. */
final class JobCommands {
    private JobCommands() {
    }

    /** Base of commands with a job in, and findings out. */
    abstract static class OfJob extends OfShop {
        @Parameters(index = "0", paramLabel = "JOB", description = "job document (.json)")
        private Path job = Path.of("");
        @Option(names = "--json", description = "one JSON document on standard output")
        boolean json;

        OfJob(HeronCommand.Environment environment) {
            super(environment);
        }

        final JobDocument document() {
            return JobDocument.read(job);
        }

        /** The shop whose home folder this is: the same laws and schools that the desktop judges by. */
        final Shop shop() {
            Path home = home();
            Catalogue catalogue = Catalogue.withShop(home.resolve("catalogue"));
            catalogue.faults().forEach(f -> err().println(say("heron: left out of the catalogue: %s", f)));
            return ShopHabits.read(OpenBook.habits(environment().address(), home), catalogue.laws())
                    .on(LocalDate.now(ZoneId.systemDefault()));
        }

        /** How the shop of this home folder shows itself on paper. */
        final ShopCard card() {
            return ShopCard.read(OpenBook.habits(environment().address(), home()), home());
        }

        /** Reviews a job; one that can be read but not worked out is as unusable as one that cannot be read. */
        final JobReview review(Job of) {
            Shop shop = shop();
            try {
                return new JobReview(of, shop);
            } catch (ArithmeticException | Unusable | IllegalArgumentException | IllegalStateException e) {
                throw new UnusableInput(TextFiles.name(job), "",
                        say("its figures cannot be worked out (%s), expected a job that can be", e.getMessage()));
            }
        }

        final int report(Job about, List<Finding> findings, String none) {
            if (json) {
                out().print(ResultJson.findings(about.id(), findings));
            } else {
                print(about, findings, none);
            }
            out().flush();
            return exit(findings);
        }

        static int exit(List<Finding> findings) {
            return findings.stream().anyMatch(f -> f.verdict() == Verdict.FAIL) ? HeronCommand.OUT : 0;
        }

        static int exit(JobReview review) {
            return Arrays.stream(Station.values()).anyMatch(s -> review.state(s) == LinkState.OUT_OF_TOLERANCE)
                    ? HeronCommand.OUT
                    : 0;
        }

        final boolean json() {
            return json;
        }

        private void print(Job about, List<Finding> findings, String none) {
            if (findings.isEmpty()) {
                out().println(none);
            }
            for (Finding f : findings) {
                var figure = f.figure();
                var limit = f.limit();
                Double cost = f.lambdaCost();
                out().print(say("%-8s %-26s %12s %14s %12s%n", f.verdict().word(), f.subject().metric(),
                        figure == null ? "-" : UnitChoice.METRIC.text(figure, about.stoich()),
                        limit == null
                                ? ""
                                : limit.relation().sign() + " " + UnitChoice.METRIC.text(limit.bound(), about.stoich()),
                        cost == null ? "" : say("%+.4f λ", cost)));
                out().print(say("         %s%n         %s, %s%n", f.consequence().metric(),
                        f.source().citation(),
                        f.source().kind().words()));
            }
        }
    }

    @Command(name = "place", mixinStandardHelpOptions = true, description = "The place taken, against the rules; the others, the search, and what each school would take.")
    static final class Place extends OfJob {
        Place(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            Job job = document().job();
            JobReview review = review(job);
            List<Finding> findings = review.findings(Station.PLACE);
            PlaceRanking ranking = review.places();
            if (json()) {
                out().print(ResultJson.place(job, findings, ranking));
                out().flush();
                return exit(findings);
            }
            int exit = report(job, findings, say("No place is taken yet."));
            ranking.places().forEach(p -> out().print(say("%-8s %s%n", p.verdict().word(), p.place().letter()
                    + (p.place().note().isBlank() ? "" : ": " + p.place().note())
                    + (p.place().id().equals(job.placing().chosen()) ? say(" (taken)") : ""))));
            ranking.found().forEach(f -> out().print(say("best on %s: %.0f mm at %.0f° from 12 o'clock%n",
                    f.line().words(), 1000 * Objects.requireNonNull(f.distance()),
                    Math.toDegrees(Objects.requireNonNull(f.clock())))));
            ranking.schools().forEach((school, id) -> out().print(say("by “%s”: %s%n", school, id)));
            out().flush();
            return exit;
        }
    }

    @Command(name = "wire", mixinStandardHelpOptions = true, description = "Power, grounds, heater, signal, chart, joints and route, against the rules; what each school costs.")
    static final class Wire extends OfJob {
        Wire(HeronCommand.Environment environment) {
            super(environment);
        }

        @Option(names = "--out", paramLabel = "DIR", description = "also write chart, strip and tags there: PDF, SVG, CSV")
        private @Nullable Path folder;

        @Override
        public Integer call() {
            Job job = document().job();
            List<Finding> findings = review(job).findings(Station.WIRE);
            if (folder != null) {
                HarnessSheet.of(job).write(job, folder).forEach(f -> err().println(say("heron: written: %s", f)));
            }
            if (json()) {
                out().print(ResultJson.wire(job, findings));
                out().flush();
                return exit(findings);
            }
            int exit = report(job, findings, "");
            job.wiring().sources().forEach(s -> out().print(say("source %s (%s): %s%n", s.letter(), s.place(),
                    s.behaviour(job.electrics()).words())));
            OutputLaw law = job.law();
            job.wiring().ground().costs()
                    .forEach(c -> out().print(say("ground “%s”: shift %.1f mV%s%s%n",
                            c.school().words(), 1000 * c.shift(),
                            c.ripple() == null ? "" : say(", ripple %.1f mV", 1000 * c.ripple()),
                            law == null ? "" : say(", %+.4f λ", c.shift() * law.lambdaPerVolt()))));
            Chart chart = job.wiring().harness().chart();
            chart.wires().forEach(w -> out().print(say("wire %-3s %s%n", w.tag(), words(chart, w))));
            out().flush();
            return exit;
        }

        private static String words(Chart chart, amberheron.core.harness.Wire wire) {
            Work work = wire.work();
            Device to = wire.to();
            WireColour colour = wire.colour();
            return (work == null ? "?" : work.words()) + ", " + (colour == null ? say("colour ?") : colour.words())
                    + ", "
                    + (to == null ? say("unused") : say("to %s", to.words()))
                    + (chart.doubtful(wire) ? say(", twin: tell apart") : "");
        }
    }

    @Command(name = "air", mixinStandardHelpOptions = true, description = "The free-air check: the air and what it costs, and what was shown against what should be.")
    static final class Air extends OfJob {
        Air(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            Job job = document().job();
            List<Finding> findings = review(job).findings(Station.AIR);
            if (json()) {
                out().print(ResultJson.air(job, findings));
                out().flush();
                return exit(findings, job);
            }
            report(job, findings, "");
            return exit(findings, job);
        }

        /** A calibration in air that costs more than the tolerance is out of it, though the controller is in order. */
        private static int exit(List<Finding> findings, Job job) {
            return CostOfAir.of(job.air()).filter(c -> !c.within(Tolerance.LAMBDA)).isPresent()
                    ? HeronCommand.OUT
                    : exit(findings);
        }
    }

    @Command(name = "prove", mixinStandardHelpOptions = true, description = "A proving log: agreement, lag, how the engine was run, what to act on, which link lies.")
    static final class Prove extends OfJob {
        Prove(HeronCommand.Environment environment) {
            super(environment);
        }

        @Parameters(index = "1", paramLabel = "LOG.csv", description = "a log of any make; its columns are recognised")
        private String log = "";
        @Option(names = "--map", paramLabel = "CHANNEL=COL,…", description = "what columns are, by name or number, such as time=1,controller=AFR; an AFR with the ratio it is meant with: controller=AFR@9.81")
        private String map = "";
        @Option(names = "--with", paramLabel = "OTHER.csv", description = "a second log of the same drive that has what the first lacks; their clocks are brought together")
        private String other = "";
        @Option(names = "--part", paramLabel = "FROM-TO", description = "only a part of it, in seconds, such as 60-300")
        private String part = "";
        @Option(names = "--trims", paramLabel = "CSV", description = "also write there what the drive advises of the fuelling")
        private @Nullable Path trims;

        @Override
        public Integer call() {
            Job job = document().job();
            // What the desktop was told of such a log holds here too.
            DriveLog read = LogReading.of(log, other, map, part).read(job, KnownColumns.in(home()), done -> {
            });
            read.faults().forEach(f -> err().println(say("heron: left out: %s", f)));
            if (read.leftOut() > read.faults().size()) {
                err().print(say("heron: left out: %s in all%n", count("1 row", "%d rows", read.leftOut())));
            }
            Job proven = job.withProving(read.proved(job, Origin.UNRECORDED).proving());
            JobReview review = review(proven);
            List<Finding> findings = review.findings(Station.PROVE);
            if (trims != null) {
                TextFiles.write(trims, TrimCsv.write(review.trims().orElseThrow(() -> new UnusableInput(read.file(), "",
                        nothing(Objects.requireNonNull(proven.proving()).found())))));
                err().println(say("heron: written: %s", trims));
            }
            if (json) {
                out().print(ResultJson.prove(review, read));
                out().flush();
                return exit(findings);
            }
            read.recognition().uses().forEach(u -> out().print(say("  %-12s %-24s %s (%s)%n",
                    u.channel().key(), u.name(), u.quantity(), u.because())));
            DriveFound found = Objects.requireNonNull(Objects.requireNonNull(proven.proving()).found());
            Joined joined = found.joined();
            if (joined != null) {
                out().print(say("  %s: its clock + %.3f s, apart by %.4f %%, told by %s%n", joined.file(),
                        joined.clocks().shift(), 100 * joined.clocks().drift(), joined.clocks().toldBy()));
            }
            for (Regime.Kind kind : Regime.Kind.values()) {
                out().print(say("  %-18s %s%n", kind.words(), found.notTold().contains(kind)
                        ? say("cannot be told: a channel is missing")
                        : say("%.0f s", found.seconds(kind))));
            }
            review.onTheRoad().filter(d -> !d.withinTolerance())
                    .ifPresent(d -> out().print(say("Which link: %s. %s%n", d.named(), d.remedy())));
            return report(proven, findings, "");
        }

        /** Says why a drive tells nothing of the fuelling. */
        private static String nothing(@Nullable DriveFound found) {
            Fuelling fuelling = found == null ? null : found.fuelling();
            return fuelling == null
                    ? say("tells nothing of the fuelling, expected a warm, settled drive with engine speed and load")
                    : fuelling.missing().map(Message::metric).orElse("");
        }
    }

    @Command(name = "review", mixinStandardHelpOptions = true, description = "What stands proven, what does not and why, and what is next.")
    static final class Review extends OfJob {
        Review(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            JobReview review = review(document().job());
            if (json()) {
                out().print(ResultJson.review(review));
            } else {
                for (Station station : Station.values()) {
                    out().print(say("%-10s %-16s %s%n", station.title(), review.state(station).words(),
                            review.because(station).stream().map(c -> words(review, station, c))
                                    .collect(Collectors.joining("; "))));
                }
                review.stale().forEach(s -> out().println(say("stale: %s", s.text().metric())));
                review.trust().ifPresent(t -> {
                    t.at().forEach(a -> out().print(say("trust: λ %.3f ± %.3f%n", a.lambda(), a.u())));
                    t.largest().ifPresent(l -> out().print(say("       mostly %s, %.0f %%%n", l.by().words(),
                            100 * l.share())));
                });
                review.next()
                        .ifPresent(n -> out().print(say("next: %s: %s%n", n.station().title(), n.text())));
            }
            out().flush();
            return exit(review);
        }

        private static String words(JobReview review, Station station, Check check) {
            return check.id() instanceof JobCheck ofJob
                    ? ofJob.words().replaceFirst("\\.$", "")
                    : review.findings(station).stream().filter(f -> f.check().equals(check)).findFirst()
                            .map(f -> f.subject().metric()).orElse(check.key());
        }
    }

    @Command(name = "pack", mixinStandardHelpOptions = true, description = "The hand-over pack: three sheets as HTML and PDF, figures as CSV, job as JSON, reminder, manifest.")
    static final class Pack extends OfJob {
        Pack(HeronCommand.Environment environment) {
            super(environment);
        }

        @Option(names = "--out", required = true, paramLabel = "DIR", description = "folder for the pack")
        private Path folder = Path.of("");

        @Override
        public Integer call() {
            JobDocument document = document();
            JobReview review = review(document.job());
            HandOverPack.write(document, review, UnitChoice.METRIC, card(), OutFolder.ready(folder))
                    .forEach(f -> out().println(f));
            out().flush();
            return exit(review);
        }
    }

    @Command(name = "key", mixinStandardHelpOptions = true, description = "The key that the shop signs its packs with, its public part; made when there is none and --make says so.")
    static final class Key extends OfShop {
        @Option(names = "--make", description = "makes one, in the home folder; from then on every pack is signed")
        private boolean make;

        Key(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            Optional<ShopKey> key = make ? Optional.of(ShopKey.make(home())) : ShopKey.in(home());
            out().println(key.map(ShopKey::shown)
                    .orElse(say("There is no key; packs are not signed. heron key --make makes one.")));
            out().flush();
            return key.isPresent() ? 0 : HeronCommand.OUT;
        }
    }

    @Command(name = "verify", mixinStandardHelpOptions = true, description = "Whether a pack is whole, and whether it and a job still agree.")
    static final class Verify extends OfShop {
        private static final int MOST = 20;
        @Parameters(index = "0", paramLabel = "PACK", description = "the pack's folder, or its manifest")
        private Path pack = Path.of("");
        @Parameters(index = "1", paramLabel = "JOB", arity = "0..1", description = "a job document (.json) to compare it with")
        private @Nullable Path job;
        @Option(names = "--by", paramLabel = "KEY", description = "whether it was signed with this shop's key, as printed on its sheets")
        private @Nullable String by;
        @Option(names = "--json", description = "one JSON document on standard output")
        private boolean json;

        Verify(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            PackCheck check = PackCheck.of(pack, job == null ? null : JobDocument.read(job),
                    Catalogue.withShop(home().resolve("catalogue")).laws());
            PrintWriter out = out();
            boolean theirs = by == null || by.strip().equals(check.signedBy());
            if (json) {
                out.print(ResultJson.verify(check.manifest(), check.faults(), check.since(), check.signedBy()));
            } else {
                out.print(say("%s, code %s, made %s: %s%n", check.manifest().job(), check.manifest().code(),
                        check.manifest().made() == null ? say("on no known day") : check.manifest().made(),
                        check.faults().isEmpty()
                                ? say("whole, %d files", check.manifest().files().size())
                                : say("NOT whole")));
                check.faults().forEach(f -> out.println("  " + f));
                out.println(
                        theirs ? check.proves() : say("NOT signed with the key that was given. %s", check.proves()));
                if (job != null) {
                    out.println(check.since().isEmpty()
                            ? say("The job is as it was handed over.")
                            : count("1 value changed since:", "%d values changed since:", check.since().size()));
                }
                check.since().stream().limit(MOST)
                        .forEach(d -> out.println("  " + FieldWords.of(d.field()).words() + ": " + d.ours() + " → "
                                + d.theirs()));
                if (check.since().size() > MOST) {
                    out.println(say("  and %d more", check.since().size() - MOST));
                }
            }
            out.flush();
            return check.agrees() && theirs ? 0 : HeronCommand.OUT;
        }
    }
}
