package amberheron.app.wiring;

import amberheron.bench.Meter;
import amberheron.bench.Meter.Reading;
import amberheron.core.units.UnitChoice;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The meter on the desk and what it said last. A good reading stays on show after a bad one, but as an old one with its
 * age: what is shown as live was taken just now and nothing has gone wrong since.
 */
final class MeterDesk implements AutoCloseable {
    private static final Duration LIVE = Duration.ofSeconds(5);

    private @Nullable Meter meter;
    private @Nullable Double last;
    private @Nullable Instant taken;
    private String fault = "";

    /** Puts a meter on the desk in place of the one before. */
    synchronized void put(Meter other) {
        close();
        meter = other;
        last = null;
        taken = null;
        fault = "";
    }

    /** Whether there is a meter. */
    synchronized boolean connected() {
        return meter != null;
    }

    /** Asks the meter; slow, so never on the screen's thread. Empty when there is no good reading, the reason is kept. */
    synchronized Optional<Double> read(Instant now) {
        if (meter == null) {
            fault = "no meter is connected";
            return Optional.empty();
        }
        return switch (meter.read()) {
            case Reading.Volts v -> {
                last = v.volts();
                taken = now;
                fault = "";
                yield Optional.of(v.volts());
            }
            case Reading.Overload o -> {
                fault = "more than the meter's range: choose a higher one";
                yield Optional.empty();
            }
            case Reading.None n -> {
                fault = n.why();
                yield Optional.empty();
            }
        };
    }

    /** What went wrong last; empty when nothing did. */
    synchronized String fault() {
        return fault;
    }

    /** What stands on the display. */
    synchronized String shown(Instant now) {
        String name = meter == null ? "no meter connected" : meter.name();
        if (last == null || taken == null) {
            return name + (fault.isEmpty() ? "" : " · " + fault);
        }
        Duration age = Duration.between(taken, now);
        String volts = UnitChoice.digits(last, 3) + " V";
        return fault.isEmpty() && age.compareTo(LIVE) <= 0
                ? volts + " live · " + name
                : "old: " + volts + ", " + age.toSeconds() + " s ago"
                        + (fault.isEmpty() ? " · " + name : " · " + fault);
    }

    @Override
    public synchronized void close() {
        if (meter != null) {
            meter.close();
            meter = null;
        }
    }
}
