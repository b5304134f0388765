package amberheron.app.session;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.bench.AirFault;
import amberheron.bench.ControllerLink;
import amberheron.bench.ControllerLink.Heard;
import amberheron.bench.ControllerServer;
import amberheron.bench.SimulatedController;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import amberheron.core.freeair.Air;
import amberheron.core.scaling.Settled;
import amberheron.core.units.Unusable;
import amberheron.io.csv.StreamRecorder;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The controller that is listened to while a job is open: one for the coach, the rule and every other station. Asking what
 * it said never waits for it.
 */
public final class ControllerDesk implements AutoCloseable {
    private final InstantSource clock;
    private @Nullable ControllerLink link;
    private @Nullable ControllerServer standIn;
    private @Nullable StreamRecorder recorder;
    /** The last moments of what it said, the oldest first; written by the thread that reads. */
    private final Deque<Settled.Moment> lately = new ArrayDeque<>();

    ControllerDesk(InstantSource clock) {
        this.clock = clock;
    }

    /**
     * Listens to a controller in place of the one before.
     *
     * @param typed its serial port, or its address on the network
     * @throws Unusable when it is neither
     */
    public void connect(String typed, StreamFormat format) {
        ControllerLink other = ControllerLink.at(typed, format, clock);
        close();
        listen(other);
    }

    private void listen(ControllerLink other) {
        synchronized (lately) {
            lately.clear();
        }
        other.tell(this::remember);
        link = other;
    }

    /** Remembers a measurement; a placeholder ends the series measured before it. */
    private void remember(Report said, Instant at) {
        State state = said.state();
        double seconds = at.toEpochMilli() / 1000.0;
        synchronized (lately) {
            if (state != null && !state.counts()) {
                lately.clear();
                return;
            }
            lately.addLast(new Settled.Moment(seconds, said.lambda(), said.volts()));
            while (lately.size() > 1 && seconds - lately.getFirst().seconds() > Settled.LONG_ENOUGH) {
                lately.removeFirst();
            }
        }
    }

    /** Reports of the last moments, the oldest first. */
    public List<Settled.Moment> lately() {
        synchronized (lately) {
            return List.copyOf(lately);
        }
    }

    /** Puts a stand-in on the desk and listens to it as to a real one. */
    public void simulate(ControllerSheet sheet, Air air, AirFault fault) throws IOException {
        close();
        ControllerServer made = new ControllerServer(new SimulatedController(sheet, air, fault, 0, 1), sheet.name(), 0,
                1);
        standIn = made;
        listen(ControllerLink.at("127.0.0.1:" + made.port(), StreamFormat.OWN, clock));
    }

    /** Whether anything is listened to. */
    public boolean connected() {
        return link != null;
    }

    /** Whether a stand-in is on the desk, whose keys can be pressed. */
    public boolean hasKeys() {
        return standIn != null;
    }

    /** Presses a key of the stand-in. */
    public void key(String words) {
        if (standIn != null) {
            standIn.key(words);
        }
    }

    /** Whether it said that it is a stand-in. */
    public boolean simulated() {
        return link != null && (link.simulated() || standIn != null);
    }

    /** Its name. */
    public String name() {
        return link == null ? say("no controller connected") : link.name();
    }

    /** Current report; empty where there is none, or where it is out of date. */
    public Optional<Report> live() {
        return link == null ? Optional.empty() : link.heard().live(clock.instant());
    }

    /** Content of the display: the last report, and how old it is. */
    public String shown() {
        if (link == null) {
            return name();
        }
        Heard heard = link.heard();
        Instant at = heard.at();
        String fault = heard.fault().isEmpty() ? "" : " · " + heard.fault();
        String bad = heard.bad() == 0
                ? ""
                : " · " + count("1 line not understood", "%d lines not understood", heard.bad());
        if (at == null) {
            return say("%s · nothing heard yet%s%s", name(), fault, bad);
        }
        return live().isPresent()
                ? name() + bad
                : say("%s · old: %s s%s%s", name(), Duration.between(at, clock.instant()).abs().toSeconds(), fault,
                        bad);
    }

    /**
     * Writes down all that is heard from now on.
     *
     * @throws amberheron.io.UnusableInput when it cannot be written
     */
    public void record(Path file) {
        stopRecording();
        ControllerLink from = link;
        if (from != null) {
            StreamRecorder made = new StreamRecorder(file, clock.instant());
            recorder = made;
            from.tell((said, at) -> {
                remember(said, at);
                made.heard(said, name(), at);
            });
        }
    }

    /** Writes down no more. */
    public void stopRecording() {
        if (link != null) {
            link.tell(this::remember);
        }
        if (recorder != null) {
            recorder.close();
            recorder = null;
        }
    }

    /** How far the writing is; empty while nothing is written down. */
    public Optional<StreamRecorder.Written> recording() {
        return Optional.ofNullable(recorder).map(StreamRecorder::written);
    }

    @Override
    public void close() {
        stopRecording();
        if (link != null) {
            link.close();
            link = null;
        }
        if (standIn != null) {
            try {
                standIn.close();
            } catch (IOException e) {
                System.getLogger(ControllerDesk.class.getName()).log(System.Logger.Level.DEBUG, "closing", e);
            }
            standIn = null;
        }
    }
}
