package amberheron.app.cli;

import amberheron.core.mixture.Fuel;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.Diagnostician;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.Scaling;
import amberheron.core.scaling.SettingText;
import amberheron.core.scaling.Tolerance;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.json.ResultJson;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code heron scale} and {@code heron diagnose}. */
final class ScaleCommands {
    private ScaleCommands() {
    }

    /** Law, reader and fuel, each a catalogue id or a file. */
    static final class Chain {
        @Option(names = "--law", required = true, paramLabel = "L", description = "output law: catalogue id or JSON file")
        private String lawName = "";
        @Option(names = "--reader", required = true, paramLabel = "R", description = "reader: catalogue id or JSON file")
        private String readerName = "";
        @Option(names = "--fuel", paramLabel = "F", description = "fuel: catalogue id or JSON file")
        private @Nullable String fuelName;
        @Option(names = "--json", description = "one JSON document on standard output")
        private boolean json;

        OutputLaw law(Catalogue catalogue) {
            return catalogue.law(lawName);
        }

        Reader reader(Catalogue catalogue) {
            return catalogue.reader(readerName);
        }

        @Nullable
        Fuel fuel(Catalogue catalogue) {
            return fuelName == null ? null : catalogue.fuel(fuelName);
        }

        /** Law and reader are each sound, but may have no volts in common, or an equation without a value. */
        <T> T together(Callable<T> work) throws Exception {
            try {
                return work.call();
            } catch (IllegalArgumentException e) {
                throw new UnusableInput(readerName, "", String.valueOf(e.getMessage()));
            }
        }
    }

    private static Catalogue catalogue(HeronCommand.Surroundings surroundings, PrintWriter err) {
        Catalogue catalogue = Catalogue.withShop(surroundings.home().resolve("catalogue"));
        catalogue.faults().forEach(f -> err.println("heron: left out of the catalogue: " + f));
        return catalogue;
    }

    private static String mixture(double lambda, @Nullable Fuel fuel) {
        return fuel == null
                ? "%.4f λ".formatted(lambda)
                : "%.4f λ (%.2f AFR of %s)".formatted(lambda, lambda * fuel.stoich(), fuel.name());
    }

    @Command(name = "scale", mixinStandardHelpOptions = true, description = "What to type into the reader, check table, error budget.")
    static final class Scale implements Callable<Integer> {
        private final HeronCommand.Surroundings surroundings;
        @Mixin
        private Chain chain = new Chain();
        @Spec
        @SuppressWarnings("NullAway.Init") // set by picocli
        private CommandSpec spec;

        Scale(HeronCommand.Surroundings surroundings) {
            this.surroundings = surroundings;
        }

        @Override
        public Integer call() throws Exception {
            PrintWriter out = spec.commandLine().getOut();
            Catalogue catalogue = catalogue(surroundings, spec.commandLine().getErr());
            OutputLaw law = chain.law(catalogue);
            Reader reader = chain.reader(catalogue);
            Fuel fuel = chain.fuel(catalogue);
            ScaleReport report = chain.together(() -> Scaling.report(law, reader).orElseThrow(
                    () -> new IllegalArgumentException(
                            "input: %s V to %s V shares nothing with the law's %s V to %s V, expected an input that sees them"
                                    .formatted(reader.input().minVolts(), reader.input().maxVolts(), law.lowestVolts(),
                                            law.highestVolts()))));
            if (chain.json) {
                out.print(ResultJson.scale(report));
            } else {
                text(out, reader, fuel, report);
            }
            out.flush();
            return report.withinTolerance() ? 0 : HeronCommand.OUT;
        }

        private static void text(PrintWriter out, Reader reader, @Nullable Fuel fuel, ScaleReport report) {
            out.println("Type into the reader, in " + SettingText.quantity(reader.scale()) + ":");
            SettingText.of(report.setting(), reader).forEach(l -> out.println("  " + l.ask() + "  →  " + l.type()));
            out.println();
            out.printf("  %8s %9s %8s %10s%n", "λ", "volts", "counts", "shown");
            for (ScaleReport.Row row : report.table()) {
                out.printf("  %8.4f %9.4f %8s %10.4f%n", row.lambda(), row.volts(),
                        row.counts() == null ? "-" : row.counts(), row.shown());
            }
            out.println();
            out.printf("Worst error %+.5f λ at %s; tolerance ±%.5f λ (%s, %s).%n", report.worst().lambda(),
                    mixture(report.worst().atLambda(), fuel), Tolerance.LAMBDA, Tolerance.SOURCE.citation(),
                    Tolerance.SOURCE.kind().words());
            report.budget().forEach(b -> out.printf("  %-52s %.5f λ%n", b.cause(), b.lambda()));
            out.printf("  %-52s %.5f λ%n  %-52s %.5f λ%n", "all at their worst together", report.worstCase(),
                    "root of the sum of squares", report.rootSumSquare());
        }
    }

    @Command(name = "diagnose", mixinStandardHelpOptions = true, description = "Which link lies, from check points.")
    static final class Diagnose implements Callable<Integer> {
        private final HeronCommand.Surroundings surroundings;
        @Mixin
        private Chain chain = new Chain();
        @Option(names = "--points", required = true, paramLabel = "CSV", description = "columns volts and/or true, shown, note")
        private Path points = Path.of("");
        @Spec
        @SuppressWarnings("NullAway.Init") // set by picocli
        private CommandSpec spec;

        Diagnose(HeronCommand.Surroundings surroundings) {
            this.surroundings = surroundings;
        }

        @Override
        public Integer call() throws Exception {
            PrintWriter out = spec.commandLine().getOut();
            Catalogue catalogue = catalogue(surroundings, spec.commandLine().getErr());
            OutputLaw law = chain.law(catalogue);
            Reader reader = chain.reader(catalogue);
            Fuel fuel = chain.fuel(catalogue);
            List<CheckPoint> taken = CheckPointCsv.read(points);
            Diagnosis diagnosis = chain.together(() -> Diagnostician.diagnose(law, reader, taken,
                    new Diagnostician.Surroundings(catalogue.laws(), fuel == null ? null : fuel.stoich())));
            if (chain.json) {
                out.print(ResultJson.diagnosis(diagnosis));
            } else {
                text(out, reader, fuel, diagnosis);
            }
            out.flush();
            return diagnosis.withinTolerance() ? 0 : HeronCommand.OUT;
        }

        private static void text(PrintWriter out, Reader reader, @Nullable Fuel fuel, Diagnosis diagnosis) {
            out.printf("%s: worst %+.4f λ at %s.%n%n",
                    diagnosis.withinTolerance() ? "Within tolerance" : "OUT OF TOLERANCE",
                    diagnosis.worst().lambda(), mixture(diagnosis.worst().atLambda(), fuel));
            diagnosis.causes().stream().filter(c -> c.probability() >= 0.001).forEach(
                    c -> out.printf("  %5.1f %%  %-40s %s%n", 100 * c.probability(), c.cause().title(),
                            c.parameters()));
            out.printf("%n%s %s%n", diagnosis.best().cause().meaning(), diagnosis.best().cause().remedy());
            ReaderSetting corrected = diagnosis.correctedSetting();
            if (corrected == null) {
                out.println("No setting can make it show the truth while this cause stays.");
            } else if (!diagnosis.withinTolerance()) {
                out.println("While it stays, type:");
                SettingText.of(corrected, reader).forEach(l -> out.println("  " + l.ask() + "  →  " + l.type()));
            }
            Diagnosis.NextPoint next = diagnosis.nextPoint();
            if (next != null) {
                out.printf("Most telling next: %.2f V parts %s from %s.%n", next.volts(), next.first().id(),
                        next.second().id());
            }
        }
    }
}
