package amberheron.io.csv;

import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.Sample;
import amberheron.core.mixture.MixtureScale;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A proving log as CSV with a header: {@code time} in seconds, rising, {@code controller} (what the controller itself
 * reported) and {@code reader} (what the reader logged). Numbers are in the law's and the reader's own quantity; a name
 * that ends in {@code _lambda} or {@code _afr} says otherwise. Other columns are left alone.
 *
 * <pre>
 * time,controller_lambda,reader_lambda
 * 0.0,0.998,1.001
 * 0.1,1.004,1.006
 * </pre>
 */
public final class LogCsv {
    private static final long MOST_BYTES = 512L << 20;
    private static final int MOST_FAULTS = 20;

    private LogCsv() {
    }

    /**
     * What a log held.
     *
     * @param samples the good rows, times rising
     * @param faults the first rows that could not be used, each with file and line
     * @param skipped how many rows could not be used
     * @param digest SHA-256 of the file's bytes, hexadecimal
     */
    public record Log(String file, List<Sample> samples, List<String> faults, int skipped, String digest) {
    }

    /**
     * Reads a log. Good rows are kept, each bad one is reported. Interrupting the thread stops it.
     *
     * @param law the quantity of a plain {@code controller} column
     * @param reader the quantity of a plain {@code reader} column
     */
    public static Log read(Path file, MixtureScale law, MixtureScale reader) {
        String name = TextFiles.name(file);
        byte[] bytes = TextFiles.bytes(file, MOST_BYTES);
        List<Sample> samples = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        int[] skipped = {0};
        Channel[] channels = new Channel[2];
        CsvRows.read(name, TextFiles.decode(name, bytes), header -> {
            if (!header.has("time")) {
                throw header.headerFault("time, controller and reader");
            }
            channels[0] = Channel.of(header, "controller", law);
            channels[1] = Channel.of(header, "reader", reader);
        }, row -> {
            if (Thread.currentThread().isInterrupted()) {
                throw row.fault("stopped before the end");
            }
            try {
                samples.add(sample(row, channels, samples));
            } catch (UnusableInput e) {
                skipped[0]++;
                if (faults.size() < MOST_FAULTS) {
                    faults.add(e.getMessage());
                }
            }
        });
        if (samples.isEmpty()) {
            throw new UnusableInput(name, "",
                    "found no usable row" + (faults.isEmpty() ? "" : " (" + faults.getFirst() + ")")
                            + ", expected one or more with time, controller and reader");
        }
        return new Log(name, List.copyOf(samples), List.copyOf(faults), skipped[0], TextFiles.digest(bytes));
    }

    private static Sample sample(CsvRows.Row row, Channel[] channels, List<Sample> before) {
        double time = number(row, "time");
        if (!before.isEmpty() && time < before.getLast().time()) {
            throw row.fault(say("column time: found %s after %s, expected rising times", time,
                    before.getLast().time()));
        }
        return new Sample(time, channels[0].lambda(row), channels[1].lambda(row));
    }

    private static double number(CsvRows.Row row, String column) {
        Double value = row.number(column);
        if (value == null) {
            throw row.fault(say("column %s: found nothing, expected a number", column));
        }
        return value;
    }

    private record Channel(String column, MixtureScale scale) {
        static Channel of(CsvRows header, String name, MixtureScale own) {
            if (header.has(name)) {
                return new Channel(name, own);
            }
            if (header.has(name + "_lambda")) {
                return new Channel(name + "_lambda", MixtureScale.lambda());
            }
            if (header.has(name + "_afr") && own instanceof MixtureScale.Afr) {
                return new Channel(name + "_afr", own);
            }
            throw header.headerFault("time, controller and reader (or with _lambda or _afr behind)");
        }

        double lambda(CsvRows.Row row) {
            double lambda = scale.toLambda(number(row, column));
            if (!(lambda > 0 && lambda < 20)) {
                throw row.fault(say("column %s: found λ %.3f, expected a mixture (0 to 20)", column, lambda));
            }
            return lambda;
        }
    }
}
