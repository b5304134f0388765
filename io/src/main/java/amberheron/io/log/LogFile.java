package amberheron.io.log;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.drivelog.ColumnFacts;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** A log in a file: its shape, samples of its rows, and its columns, read in pieces on several threads. */
public final class LogFile {
    private static final int PIECE = 4 << 20;
    private static final int BEGINNING = 256 << 10;
    private static final int SAMPLE = 64 << 10;
    private static final int SAMPLES = 6;
    private static final int MOST_FAULTS = 20;
    private static final double HALF_A_DAY = 43_200;
    private static final double DAY = 86_400;
    /** A stretch of one clock has to be so long where the clock jumps, s. */
    private static final double SHORTEST = 10;

    private final Path path;
    private final LogShape shape;
    private final List<List<String>> sample;

    private LogFile(Path path, LogShape shape, List<List<String>> sample) {
        this.path = path;
        this.shape = shape;
        this.sample = sample;
    }

    /** When the file was last written; null where that cannot be told. */
    @Nullable
    Instant modified() {
        try {
            return Files.getLastModifiedTime(path).toInstant().truncatedTo(ChronoUnit.SECONDS);
        } catch (IOException e) {
            return null;
        }
    }

    /**
     * Finds out how a log is written, and takes rows from several places of it.
     *
     * @throws UnusableInput when it cannot be read or holds no rows of numbers
     */
    public static LogFile of(Path path) {
        String name = TextFiles.name(path);
        TextFiles.size(path);
        try (InputStream in = Files.newInputStream(path)) {
            byte[] beginning = in.readNBytes(BEGINNING);
            if (beginning.length == 0) {
                throw new UnusableInput(name, "", say("is empty, expected a header and rows"));
            }
            LogShape shape = LogShape.of(name, beginning);
            return new LogFile(path, shape, sample(path, shape, beginning));
        } catch (IOException e) {
            throw TextFiles.unreadable(path, e);
        }
    }

    private static List<List<String>> sample(Path path, LogShape shape, byte[] beginning) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        String text = new String(beginning, shape.charset());
        rows(text.lines().skip(shape.firstLine() - 1L).toList(), shape, rows);
        long size = TextFiles.size(path);
        boolean wide = shape.charset().name().startsWith("UTF-16");
        for (int i = 1; i < SAMPLES && size > 4L * BEGINNING && !wide; i++) {
            try (InputStream in = Files.newInputStream(path)) {
                in.skipNBytes(size * i / SAMPLES);
                List<String> lines = new String(in.readNBytes(SAMPLE), shape.charset()).lines().toList();
                rows(lines.subList(Math.min(1, lines.size()), Math.max(1, lines.size() - 1)), shape, rows);
            }
        }
        return List.copyOf(rows);
    }

    private static void rows(List<String> lines, LogShape shape, List<List<String>> into) {
        lines.stream().filter(l -> !LogShape.comment(l)).map(l -> LogShape.row(l, shape.separator()))
                .filter(r -> Math.abs(r.size() - shape.names().size()) <= 1).forEach(into::add);
    }

    /** How it is written. */
    public LogShape shape() {
        return shape;
    }

    /** Its name without folders. */
    public String name() {
        return TextFiles.name(path);
    }

    /** Facts of its columns from rows of several places. */
    public List<ColumnFacts> columns() {
        List<ColumnFacts> facts = new ArrayList<>();
        for (int c = 0; c < shape.names().size(); c++) {
            int at = c;
            List<String> fields = sample.stream().filter(r -> at < r.size()).map(r -> r.get(at).strip())
                    .filter(f -> !f.isEmpty()).toList();
            boolean clock = !fields.isEmpty() && fields.stream().limit(50)
                    .allMatch(f -> LogShape.CLOCK.matcher(f).matches());
            double[] values = fields.stream().mapToDouble(f -> number(f, shape.decimalComma()))
                    .filter(Double::isFinite).toArray();
            facts.add(new ColumnFacts(c, shape.names().get(c), shape.units().get(c), clock, values, fields.size()));
        }
        return facts;
    }

    private static double number(String field, boolean comma) {
        try {
            return Double.parseDouble(comma ? field.replace(',', '.') : field);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    /**
     * Reads columns. Good rows are kept, each bad one is counted, and the first are said. Interrupting the thread stops it.
     *
     * @param timeFactor seconds in one of the time column's numbers; of no weight for a time of the clock
     * @param progress is told how far it is, 0 to 1; may throw to stop
     * @throws UnusableInput when it cannot be read, or was stopped
     */
    public LogColumns read(int timeColumn, double timeFactor, int[] columns, DoubleConsumer progress) {
        RowParser parser = new RowParser(shape, timeColumn, timeFactor, columns);
        MessageDigest digest = sha256();
        Collected all = new Collected(columns.length);
        // What is read ahead is bounded, or a slow parser would have the whole file in memory.
        int ahead = Math.max(2, Runtime.getRuntime().availableProcessors());
        Deque<Future<RowParser.Chunk>> waiting = new ArrayDeque<>();
        boolean wide = shape.charset().name().startsWith("UTF-16");
        try (ExecutorService workers = Executors.newFixedThreadPool(ahead, Thread.ofPlatform().daemon().factory());
                InputStream raw = Files.newInputStream(path);
                InputStream in = wide ? new Narrowed(raw, shape, digest) : raw) {
            long size = Math.max(1, TextFiles.size(path));
            long done = 0;
            int rest = 0;
            byte[] restOf = new byte[0];
            int restAt = 0;
            boolean first = true;
            Deque<RowParser.Chunk> free = new ArrayDeque<>();
            try {
                while (true) {
                    RowParser.Chunk chunk = free.isEmpty() ? parser.chunk() : free.removeFirst();
                    byte[] piece = chunk.room(rest + PIECE);
                    System.arraycopy(restOf, restAt, piece, 0, rest);
                    int more = in.readNBytes(piece, rest, PIECE);
                    if (!wide && more > 0) {
                        digest.update(piece, rest, more);
                    }
                    int end = rest + more;
                    piece[end] = 0;
                    boolean last = more < PIECE;
                    int cut = last ? end : lastLine(piece, end);
                    if (Thread.currentThread().isInterrupted()) {
                        throw new UnusableInput(name(), "", say("stopped before the end"));
                    }
                    // Its bytes stay as they are until it is free again, and it is not before the next is filled.
                    restOf = piece;
                    restAt = cut;
                    rest = end - cut;
                    chunk.end = cut;
                    int from = first ? skipped(piece, cut) : 0;
                    first = false;
                    waiting.addLast(workers.submit(() -> parser.parse(chunk, from)));
                    if (waiting.size() > ahead) {
                        free.addLast(all.add(waiting.removeFirst().get(), shape, size));
                    }
                    done += more;
                    progress.accept(Math.min(1, (double) done / size));
                    if (last) {
                        break;
                    }
                }
                while (!waiting.isEmpty()) {
                    all.add(waiting.removeFirst().get(), shape, size);
                }
            } finally {
                workers.shutdownNow();
            }
        } catch (IOException e) {
            throw TextFiles.unreadable(path, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new UnusableInput(name(), "", say("stopped before the end"));
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        }
        return all.columns(name(), HexFormat.of().formatHex(digest.digest()));
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static int lastLine(byte[] bytes, int end) {
        int at = end;
        while (at > 0 && bytes[at - 1] != '\n') {
            at--;
        }
        return at == 0 ? end : at;
    }

    /** Where the first row of numbers begins. */
    private int skipped(byte[] bytes, int end) {
        int line = 1;
        int at = 0;
        while (at < end && line < shape.firstLine()) {
            if (bytes[at++] == '\n') {
                line++;
            }
        }
        return at;
    }

    /** Text of two bytes a character, handed on as UTF-8; the sum is that of the file. */
    private static final class Narrowed extends InputStream {
        private final Reader reader;
        private byte[] ready = new byte[0];
        private int at;

        Narrowed(InputStream raw, LogShape shape, MessageDigest digest) {
            reader = new InputStreamReader(new java.security.DigestInputStream(raw, digest), shape.charset());
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            if (at == ready.length) {
                char[] some = new char[1 << 16];
                int n = reader.read(some);
                if (n < 0) {
                    return -1;
                }
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                try (OutputStreamWriter writer = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
                    writer.write(some, 0, n);
                }
                ready = out.toByteArray();
                at = 0;
            }
            int n = Math.min(length, ready.length - at);
            System.arraycopy(ready, at, into, offset, n);
            at += n;
            return n;
        }

        @Override
        public void close() throws IOException {
            reader.close();
        }
    }

    /**
     * A row whose time does not go on from the one before.
     *
     * @param line of the file
     */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    private record Row(double time, float[] values, long line) {
    }

    /** Rows with one clock, up to the next stretch. */
    private record Stretch(int from, long line) {
    }

    /** The pieces put one behind the other, what another clock wrote left out. */
    private static final class Collected {
        private final List<Stretch> stretches = new ArrayList<>();
        private @Nullable Row outlier;
        private double[] time = new double[0];
        private final List<float[]> columns = new ArrayList<>();
        private int rows;
        private int leftOut;
        private long read;
        private long lines;
        private double day;
        private final List<String> faults = new ArrayList<>();

        Collected(int wanted) {
            for (int i = 0; i < wanted; i++) {
                columns.add(new float[time.length]);
            }
        }

        /** Takes what a chunk held, of a file of so many bytes, and gives it back. */
        RowParser.Chunk add(RowParser.Chunk chunk, LogShape shape, long size) {
            read += chunk.end;
            if (rows + chunk.rows > time.length) {
                // As many as there will be if all lines are as long as those so far, and a few more.
                double all = 1.02 * size * (rows + chunk.rows) / Math.max(1, read);
                int more = (int) Math.min(Integer.MAX_VALUE - 16.0, Math.max(rows + chunk.rows, all));
                time = Arrays.copyOf(time, more);
                columns.replaceAll(c -> Arrays.copyOf(c, more));
            }
            long before = lines + shape.firstLine();
            for (RowParser.Fault fault : chunk.faults) {
                if (faults.size() < MOST_FAULTS) {
                    faults.add(say("line %d: %s", before + fault.line(), fault.why()));
                }
            }
            leftOut += chunk.leftOut;
            if (follows(chunk)) {
                // Nearly always: all of them at once.
                System.arraycopy(chunk.time, 0, time, rows, chunk.rows);
                for (int c = 0; c < columns.size(); c++) {
                    System.arraycopy(chunk.columns[c], 0, columns.get(c), rows, chunk.rows);
                }
                rows += chunk.rows;
            } else {
                oneByOne(chunk, before);
            }
            lines += chunk.lines;
            return chunk;
        }

        /** Whether its times follow on without a jump or another day. */
        private boolean follows(RowParser.Chunk chunk) {
            if (day != 0 || outlier != null) {
                return false;
            }
            double last = rows == 0 ? Double.NaN : time[rows - 1];
            for (int i = 0; i < chunk.rows; i++) {
                if (jumps(last, chunk.time[i])) {
                    return false;
                }
                last = chunk.time[i];
            }
            return true;
        }

        /** Whether a clock does not run from the one time to the other; NaN before the first. */
        private static boolean jumps(double last, double now) {
            return now < last || now - last > DAY;
        }

        private void oneByOne(RowParser.Chunk chunk, long firstLine) {
            for (int i = 0; i < chunk.rows; i++) {
                double now = chunk.time[i] + day;
                double last = rows == 0 ? Double.NaN : time[rows - 1];
                if (last - now > HALF_A_DAY && last - now < DAY) {
                    // Past midnight the clock begins anew.
                    day += DAY;
                    now += DAY;
                }
                float[] values = new float[columns.size()];
                for (int c = 0; c < values.length; c++) {
                    values[c] = chunk.columns[c][i];
                }
                take(new Row(now, values, firstLine + chunk.line[i]));
            }
        }

        /** One row off the clock is left out; from where two or more agree on another clock it is another stretch. */
        private void take(Row row) {
            double last = rows == 0 ? Double.NaN : time[rows - 1];
            Row before = outlier;
            if (!jumps(last, row.time)) {
                if (before != null) {
                    leaveOut(before, last);
                    outlier = null;
                }
                put(row);
            } else if (before == null) {
                outlier = row;
            } else if (!jumps(before.time, row.time)) {
                stretches.add(new Stretch(rows, before.line));
                outlier = null;
                put(before);
                put(row);
            } else {
                leaveOut(before, last);
                outlier = row;
            }
        }

        private void put(Row row) {
            if (rows == time.length) {
                int more = Math.max(16, 2 * rows);
                time = Arrays.copyOf(time, more);
                columns.replaceAll(c -> Arrays.copyOf(c, more));
            }
            time[rows] = row.time;
            for (int c = 0; c < row.values.length; c++) {
                columns.get(c)[rows] = row.values[c];
            }
            rows++;
        }

        private void leaveOut(Row row, double last) {
            leftOut++;
            if (faults.size() < MOST_FAULTS) {
                faults.add(say("line %d: found the time %.3f s after %.3f s, expected times that go on from there",
                        row.line, row.time, last));
            }
        }

        /** The longest stretch with one clock; what is not in it is counted, and said where it begins. */
        private int[] longest(String name) {
            if (outlier != null) {
                leaveOut(outlier, time[rows - 1]);
            }
            if (stretches.isEmpty()) {
                return new int[]{0, rows};
            }
            List<Stretch> all = new ArrayList<>(stretches);
            all.addFirst(new Stretch(0, 0));
            int best = 0;
            double length = -1;
            for (int i = 0; i < all.size(); i++) {
                double seconds = time[end(all, i) - 1] - time[all.get(i).from];
                if (seconds > length) {
                    best = i;
                    length = seconds;
                }
            }
            Stretch first = all.get(best == 0 ? 1 : 0);
            long line = best == 0 ? first.line : all.get(1).line;
            if (length < SHORTEST) {
                throw new UnusableInput(name, say("line %d", all.get(1).line),
                        say("the clock jumps %d times, and no stretch of one clock is %.0f s long; expected a column of "
                                + "time that goes on", stretches.size(), SHORTEST));
            }
            int from = all.get(best).from;
            int to = end(all, best);
            leftOut += rows - (to - from);
            faults.addFirst(
                    say("line %d: the clock jumps there; the longest stretch with one clock is used, %.0f s; %s",
                            line, length, count("1 row of another clock is left out",
                                    "%d rows of other clocks are left out", rows - (to - from))));
            return new int[]{from, to};
        }

        private int end(List<Stretch> all, int at) {
            return at + 1 < all.size() ? all.get(at + 1).from : rows;
        }

        LogColumns columns(String name, String digest) {
            int[] used = longest(name);
            return new LogColumns(Arrays.copyOfRange(time, used[0], used[1]),
                    columns.stream().map(c -> Arrays.copyOfRange(c, used[0], used[1])).toList(),
                    leftOut, List.copyOf(faults), digest);
        }
    }
}
