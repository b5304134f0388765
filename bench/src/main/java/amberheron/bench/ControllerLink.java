package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import amberheron.core.controller.Report;
import amberheron.core.controller.StreamFormat;
import amberheron.core.units.Unusable;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A controller on a line. A thread of its own reads it as fast as it comes; callers get a snapshot of the last whole line.
 * A broken link is retried until it is closed. No input can stop it: half lines, garbage, floods and endless lines are
 * counted and dropped.
 */
public final class ControllerLink implements AutoCloseable {
    /** Age after which a report is out of date. */
    public static final Duration LIVE = Duration.ofSeconds(1);
    private static final Duration AGAIN = Duration.ofMillis(500);
    private static final int LONGEST_LINE = 512;
    /** Beginning of the line by which a stand-in introduces itself. */
    static final String SIMULATED = "# simulated";
    private static final Pattern SERIAL = Pattern.compile("(?i)com\\d{1,3}");
    private static final int PATIENCE = 2000;
    private static final Heard NOTHING = new Heard(null, null, 0, 0, "");

    /** The other end of the line; opened anew when it broke. */
    public interface Line {
        /** Name, such as an address. */
        String name();

        /** Opens it. */
        Open open() throws IOException;
    }

    /** A line that is open. */
    public interface Open extends AutoCloseable {
        /** Bytes that come in. */
        InputStream in() throws IOException;

        /** Message to it. */
        OutputStream out() throws IOException;

        @Override
        void close() throws IOException;
    }

    /**
     * Bytes received so far.
     *
     * @param report the last whole line; null while there was none
     * @param at when that came
     * @param lines whole lines
     * @param bad lines that said nothing
     * @param fault why nothing is heard; empty while the link stands
     */
    public record Heard(@Nullable Report report, @Nullable Instant at, long lines, long bad, String fault) {
        /** Current message; empty once it is old. */
        public Optional<Report> live(Instant now) {
            return report == null || at == null || Duration.between(at, now).abs().compareTo(LIVE) > 0
                    ? Optional.empty()
                    : Optional.of(report);
        }
    }

    private final Line line;
    private final StreamFormat format;
    private final InstantSource clock;
    private final Thread thread;
    private volatile Heard heard = NOTHING;
    private volatile boolean simulated;
    private volatile boolean closed;
    private volatile @Nullable Open open;
    private volatile BiConsumer<Report, Instant> listener = (said, at) -> {
    };

    /**
     * A controller from what a person types: a serial port such as {@code /dev/ttyUSB0} or {@code COM3}, else an address on
     * the network.
     *
     * @throws Unusable when it is neither
     */
    public static ControllerLink at(String typed, StreamFormat format, InstantSource clock) {
        return new ControllerLink(line(typed), format, clock);
    }

    /** The line to what a person typed. */
    static Line line(String typed) {
        String words = typed.strip();
        return words.startsWith("/") || SERIAL.matcher(words).matches()
                ? new SerialLine(words, SerialLine.USUAL_BAUD)
                : new TcpLine(NetworkAddress.expect(say("Controller"), words, ControllerServer.USUAL_PORT), PATIENCE);
    }

    /** Begins to listen. */
    public ControllerLink(Line line, StreamFormat format, InstantSource clock) {
        this.line = line;
        this.format = format;
        this.clock = clock;
        this.thread = Thread.ofPlatform().daemon().name("controller " + line.name()).start(this::listen);
    }

    /** Name of the other end. */
    public String name() {
        return (simulated ? say("simulated controller at ") : say("controller at ")) + line.name();
    }

    /** Whether it said that it is a stand-in. */
    public boolean simulated() {
        return simulated;
    }

    /** Tells each whole line to somebody, in place of who was told before, on the thread that reads. */
    public void tell(BiConsumer<Report, Instant> who) {
        listener = who;
    }

    /** Returns what was received so far; never waits. */
    public Heard heard() {
        return heard;
    }

    private void listen() {
        while (!closed) {
            try (Open made = line.open()) {
                open = made;
                if (!format.start().isEmpty()) {
                    made.out().write((format.start() + "\n").getBytes(StandardCharsets.UTF_8));
                    made.out().flush();
                }
                heard = failed("");
                read(made.in());
                heard = failed(say("it hung up"));
            } catch (IOException e) {
                heard = failed(e.getMessage() == null ? say("the connection broke") : e.getMessage());
            } finally {
                open = null;
            }
            pause();
        }
    }

    private Heard failed(String why) {
        Heard h = heard;
        return new Heard(h.report(), h.at(), h.lines(), h.bad(), why);
    }

    private void pause() {
        try {
            if (!closed) {
                Thread.sleep(AGAIN);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void read(InputStream raw) throws IOException {
        InputStream in = new BufferedInputStream(raw, 1 << 14);
        byte[] text = new byte[LONGEST_LINE];
        int length = 0;
        // Who joins in the middle of a line hears only its end.
        boolean whole = format.checked();
        for (int next = in.read(); next >= 0 && !closed; next = in.read()) {
            if (next == '\n' || next == '\r') {
                if (length > 0) {
                    said(whole && length <= LONGEST_LINE
                            ? new String(text, 0, length, StandardCharsets.UTF_8)
                            : "");
                }
                whole = true;
                length = 0;
            } else {
                if (length < LONGEST_LINE) {
                    text[length] = (byte) next;
                }
                length = Math.min(length + 1, LONGEST_LINE + 1);
            }
        }
    }

    private void said(String text) {
        if (text.startsWith(StreamFormat.COMMENT)) {
            simulated |= text.startsWith(SIMULATED);
            return;
        }
        Heard h = heard;
        Optional<Report> said = format.read(text);
        Instant at = clock.instant();
        Double before = clockOf(h.report());
        Double now = said.map(ControllerLink::clockOf).orElse(null);
        if (before != null && now != null && now < before) {
            // It was switched off and on, or is not what it seems: what it says counts once its clock goes on from here.
            heard = new Heard(said.orElse(null), null, h.lines(), h.bad() + 1,
                    say("its clock ran backwards, from %.1f to %.1f s", before, now));
            return;
        }
        heard = said.map(r -> new Heard(r, at, h.lines() + 1, h.bad(), ""))
                .orElseGet(() -> new Heard(h.report(), h.at(), h.lines(), h.bad() + 1, h.fault()));
        said.ifPresent(r -> listener.accept(r, at));
    }

    private static @Nullable Double clockOf(@Nullable Report report) {
        return report == null ? null : report.seconds();
    }

    /** Closes the link without waiting: a line that does not answer is left at once. */
    @Override
    public void close() {
        closed = true;
        Open is = open;
        thread.interrupt();
        try {
            if (is != null) {
                is.close();
            }
        } catch (IOException e) {
            System.getLogger(ControllerLink.class.getName()).log(System.Logger.Level.DEBUG, "closing the link", e);
        }
    }
}
