package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.mixture.Fuel;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.Fault;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.Scaling;
import amberheron.core.scaling.SettingFinder;
import amberheron.core.scaling.SettingText;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Unusable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.json.ResultJson;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code heron scale} and {@code heron diagnose}. */
final class ScaleCommands {
    private ScaleCommands() {
    }

    /** Base of commands with law, reader and fuel in, and a result in words or as JSON out. */
    abstract static class OfChain extends OfShop {
        @Option(names = "--law", required = true, paramLabel = "L", description = "output law: catalogue id or JSON file")
        private String lawName = "";
        @Option(names = "--reader", required = true, paramLabel = "R", description = "reader: catalogue id or JSON file")
        private String readerName = "";
        @Option(names = "--fuel", paramLabel = "F", description = "fuel: catalogue id or JSON file")
        private @Nullable String fuelName;
        @Option(names = "--json", description = "one JSON document on standard output")
        private boolean json;

        OfChain(HeronCommand.Environment environment) {
            super(environment);
        }

        /** A result in both forms, and whether it keeps the tolerance. */
        record Result(String json, Consumer<PrintWriter> words, boolean kept) {
        }

        /** Law and reader are each sound, but may have no volts in common, or an equation without a value. */
        abstract Result work(Catalogue catalogue, OutputLaw law, Reader reader, @Nullable Fuel fuel);

        @Override
        public final Integer call() {
            PrintWriter out = out();
            Catalogue catalogue = Catalogue.withShop(home().resolve("catalogue"));
            catalogue.faults()
                    .forEach(f -> err().println(say("heron: left out of the catalogue: %s", f)));
            OutputLaw law = catalogue.law(lawName);
            Reader reader = catalogue.reader(readerName);
            Fuel fuel = fuelName == null ? null : catalogue.fuel(fuelName);
            Result result;
            try {
                result = work(catalogue, law, reader, fuel);
            } catch (Unusable e) {
                throw new UnusableInput(readerName, "", String.valueOf(e.getMessage()));
            }
            if (json) {
                out.print(result.json());
            } else {
                result.words().accept(out);
            }
            out.flush();
            return result.kept() ? 0 : HeronCommand.OUT;
        }
    }

    private static String mixture(double lambda, @Nullable Fuel fuel) {
        return fuel == null
                ? say("%.4f λ", lambda)
                : say("%.4f λ (%.2f AFR of %s)", lambda, lambda * fuel.stoich(), fuel.name());
    }

    @Command(name = "scale", mixinStandardHelpOptions = true, description = "What to type into the reader, check table, error budget.")
    static final class Scale extends OfChain {
        Scale(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        Result work(Catalogue catalogue, OutputLaw law, Reader reader, @Nullable Fuel fuel) {
            ScaleReport report = Scaling.report(law, reader)
                    .orElseThrow(() -> SettingFinder.nothingShared(law, reader));
            return new Result(ResultJson.scale(report, reader), out -> text(out, reader, fuel, report),
                    report.withinTolerance());
        }

        private static void text(PrintWriter out, Reader reader, @Nullable Fuel fuel, ScaleReport report) {
            out.println(say("Type into the reader, in %s:", SettingText.quantity(reader.scale())));
            SettingText.of(report.setting(), reader).forEach(l -> out.println("  " + l.ask() + "  →  " + l.type()));
            out.println();
            out.print(say("  %8s %9s %8s %10s%n", "λ", say("volts"), say("counts"), say("shown")));
            for (ScaleReport.Row row : report.table()) {
                out.print(say("  %8.4f %9.4f %8s %10.4f%n", row.lambda(), row.volts(),
                        row.counts() == null ? "-" : row.counts(), row.shown()));
            }
            out.println();
            out.print(say("Worst error %+.5f λ at %s; tolerance ±%.5f λ (%s, %s).%n", report.worst().lambda(),
                    mixture(report.worst().atLambda(), fuel), Tolerance.LAMBDA, Tolerance.SOURCE.citation(),
                    Tolerance.SOURCE.kind().words()));
            report.budget().forEach(b -> out.print(say("  %-52s %.5f λ%n", b.cause(), b.lambda())));
            out.print(say("  %-52s %.5f λ%n  %-52s %.5f λ%n", say("all at their worst together"),
                    report.worstCase(),
                    say("root of the sum of squares"), report.rootSumSquare()));
        }
    }

    @Command(name = "diagnose", mixinStandardHelpOptions = true, description = "Which link lies, from check points.")
    static final class Diagnose extends OfChain {
        @Option(names = "--points", required = true, paramLabel = "CSV", description = "columns volts and/or true, shown; engine, date, instrument, note")
        private Path points = Path.of("");

        Diagnose(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        Result work(Catalogue catalogue, OutputLaw law, Reader reader, @Nullable Fuel fuel) {
            List<CheckPoint> read = CheckPointCsv.read(points);
            List<CheckPoint> taken = read.stream().filter(p -> p.meansInstead(law).isEmpty()).toList();
            if (taken.isEmpty() && !read.isEmpty()) {
                throw new UnusableInput(TextFiles.name(points), "",
                        say("every point lies beyond the law's rails, where volts mean no mixture; expected "
                                + "points between them"));
            }
            Diagnosis diagnosis = Diagnostician.diagnose(law, reader, taken,
                    new Diagnostician.KnownLaws(catalogue.laws(), fuel == null ? null : fuel.stoich()));
            return new Result(ResultJson.diagnosis(diagnosis, reader), out -> {
                if (taken.size() < read.size()) {
                    out.print(say("%d of %d points mean no mixture and were left out.%n",
                            read.size() - taken.size(), read.size()));
                }
                text(out, law, reader, fuel, diagnosis);
            }, diagnosis.proves());
        }

        private static void text(PrintWriter out, OutputLaw law, Reader reader, @Nullable Fuel fuel,
                Diagnosis diagnosis) {
            out.print(say("%s: worst %+.4f λ at %s.%n%n",
                    diagnosis.withinTolerance() ? say("Within tolerance") : say("OUT OF TOLERANCE"),
                    diagnosis.worst().lambda(), mixture(diagnosis.worst().atLambda(), fuel)));
            diagnosis.told().stream().filter(c -> c.probability() >= 0.001).forEach(
                    c -> out.print(say("  %5.1f %%  %s%s%n", 100 * c.probability(), diagnosis.title(c),
                            c.parameters().words())));
            if (diagnosis.onePlace()) {
                out.print(say("%n%s%n", word(Diagnosis.ONE_PLACE)));
            } else {
                out.print(say("%n%s%n", diagnosis.withinTolerance()
                        ? diagnosis.meaning()
                        : diagnosis.meaning() + " " + diagnosis.remedy()));
            }
            if (diagnosis.misfit()) {
                out.println(word(Diagnosis.MISFIT));
            }
            if (!diagnosis.cannotTell().isEmpty()) {
                out.println(say("The points cannot yet tell these apart: %s.",
                        String.join(", ", diagnosis.cannotTell().stream().map(Fault::key).toList())));
            }
            diagnosis.asks(i -> i + 1, shown -> say("%.3f", shown)).forEach(out::println);
            Diagnosis.RunningShift running = diagnosis.runningShift();
            if (running != null) {
                out.print(say("With the engine running %+.0f mV ± %.0f mV arrive.%n", 1000 * running.volts(),
                        1000 * running.doubt()));
            }
            if (!diagnosis.withinTolerance()) {
                typed(out, law, reader, fuel, diagnosis);
            }
            Diagnosis.NextPoint next = diagnosis.nextPoint();
            if (next != null) {
                out.print(say("Most telling next: %.2f V parts %s from %s.%n", next.volts(),
                        next.first().key(),
                        next.second().key()));
            }
        }

        private static void typed(PrintWriter out, OutputLaw law, Reader reader, @Nullable Fuel fuel,
                Diagnosis diagnosis) {
            Diagnosis.Offer offer = diagnosis.offer();
            ReaderSetting first = diagnosis.typeFirst();
            if (offer != null) {
                String range = offer.range(law, lambda -> mixture(lambda, fuel));
                out.println(range.isEmpty()
                        ? say("While it stays, type:")
                        : say("While it stays, type (%s):", range));
                print(out, reader, offer.setting());
            } else if (diagnosis.settingFollows() && !diagnosis.onePlace()) {
                out.println(diagnosis.notByTyping());
                if (first != null) {
                    print(out, reader, first);
                }
            }
        }

        private static void print(PrintWriter out, Reader reader, ReaderSetting setting) {
            SettingText.of(setting, reader).forEach(l -> out.println("  " + l.ask() + "  →  " + l.type()));
        }
    }
}
