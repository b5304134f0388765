package amberheron.app.wiring;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.bench.Meter;
import amberheron.bench.Meter.Reading;
import amberheron.core.units.UnitChoice;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The meter on the desk and what it said last. A good reading stays on show after a bad one, but as an old one with its
 * age: what is shown as live was taken just now and nothing has gone wrong since. What is shown is a snapshot: showing it
 * never waits for a meter that does not answer.
 */
final class MeterDesk implements AutoCloseable {
    private static final Duration LIVE = Duration.ofSeconds(5);
    private static final Shown NOTHING = new Shown("no meter connected", null, null, "");

    private @Nullable Meter meter;
    private volatile Shown shown = NOTHING;

    private record Shown(String name, @Nullable Double last, @Nullable Instant taken, String fault) {
        Shown failed(String why) {
            return new Shown(name, last, taken, why);
        }
    }

    /**
     * A reading that was taken.
     *
     * @param instrument what the meter calls itself
     * @param simulated whether it is a stand-in
     */
    record Taken(double volts, String instrument, boolean simulated, Instant when) {
    }

    /** Puts a meter on the desk in place of the one before. */
    synchronized void put(Meter other) {
        close();
        meter = other;
        shown = new Shown(other.name(), null, null, "");
    }

    /** Whether there is a meter to ask. */
    boolean connected() {
        return !shown.name().equals(NOTHING.name());
    }

    private synchronized @Nullable Meter meter() {
        return meter;
    }

    /** Asks the meter; slow, so never on the screen's thread. Empty when there is no good reading, the reason is kept. */
    Optional<Taken> read(Instant now) {
        Meter asked = meter();
        if (asked == null) {
            shown = NOTHING.failed(say("no meter is connected"));
            return Optional.empty();
        }
        Reading reading = asked.read();
        return said(asked, reading, now);
    }

    private synchronized Optional<Taken> said(Meter asked, Reading reading, Instant now) {
        if (!asked.equals(meter)) {
            // Another was put in its place while it was asked.
            return Optional.empty();
        }
        return switch (reading) {
            case Reading.Volts v -> {
                shown = new Shown(asked.name(), v.volts(), now, "");
                yield Optional.of(new Taken(v.volts(), asked.name(), asked.simulated(), now));
            }
            case Reading.Overload o -> {
                shown = shown.failed(say("more than the meter's range: choose a higher one"));
                yield Optional.empty();
            }
            case Reading.None n -> {
                shown = shown.failed(n.why());
                yield Optional.empty();
            }
        };
    }

    /** The last fault; empty when there was none. */
    String fault() {
        return shown.fault();
    }

    /** Content of the display. */
    String shown(Instant now) {
        Shown at = shown;
        Double last = at.last();
        Instant taken = at.taken();
        if (last == null || taken == null) {
            return word(at.name()) + (at.fault().isEmpty() ? "" : " · " + at.fault());
        }
        Duration age = Duration.between(taken, now);
        String volts = UnitChoice.digits(last, 3) + " V";
        return at.fault().isEmpty() && age.compareTo(LIVE) <= 0
                ? say("%s live · %s", volts, at.name())
                : say("old: %s, %s s ago · %s", volts, age.toSeconds(), at.fault().isEmpty() ? at.name() : at.fault());
    }

    @Override
    public synchronized void close() {
        if (meter != null) {
            meter.close();
            meter = null;
        }
        shown = NOTHING;
    }
}
