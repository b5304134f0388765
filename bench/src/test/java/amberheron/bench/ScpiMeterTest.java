package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import amberheron.bench.Meter.Reading;
import amberheron.core.wiring.Electrics;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.PowerSource.Behaviour;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ScpiMeterTest {
    private static final int PATIENCE = 300;

    /** An instrument that misbehaves: each connection is answered by the next of these, after a proper identity. */
    private record Rude(ServerSocket listening, AtomicInteger calls, List<Socket> held) implements AutoCloseable {
        static Rude answering(String... answers) throws IOException {
            ServerSocket server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
            AtomicInteger calls = new AtomicInteger();
            // One that nobody holds is closed when memory is tidied up.
            List<Socket> held = new CopyOnWriteArrayList<>();
            Thread thread = new Thread(() -> {
                for (String answer : answers) {
                    try {
                        Socket caller = server.accept();
                        held.add(caller);
                        calls.incrementAndGet();
                        caller.getInputStream().read(new byte[64]);
                        send(caller, "Maker,M-1,0,1\n");
                        caller.getInputStream().read(new byte[64]);
                        send(caller, answer);
                        if (answer.endsWith("#")) {
                            caller.close();
                        }
                    } catch (IOException e) {
                        return;
                    }
                }
            });
            thread.setDaemon(true);
            thread.start();
            return new Rude(server, calls, held);
        }

        private static void send(Socket to, String words) throws IOException {
            to.getOutputStream().write(words.replace("#", "").getBytes(StandardCharsets.US_ASCII));
            to.getOutputStream().flush();
        }

        ScpiMeter meter() {
            return ScpiMeter.at("127.0.0.1:" + listening.getLocalPort(), PATIENCE);
        }

        @Override
        public void close() throws IOException {
            listening.close();
            for (Socket socket : held) {
                socket.close();
            }
        }
    }

    private static void says(Reading reading, String words) {
        assertThat(reading).isInstanceOfSatisfying(Reading.None.class, n -> assertThat(n.why()).contains(words));
    }

    @Test
    void aNumberIsReadAndTheMeterSaysItsName() throws IOException {
        try (Rude rude = Rude.answering("+1.24567E+01\n"); ScpiMeter meter = rude.meter()) {
            assertThat(meter.read()).isEqualTo(new Reading.Volts(12.4567));
            assertThat(meter.name()).isEqualTo("Maker M-1");
        }
    }

    @Test
    void overloadIsNoReading() throws IOException {
        try (Rude rude = Rude.answering("+9.90000000E+37\n"); ScpiMeter meter = rude.meter()) {
            assertThat(meter.read()).isEqualTo(new Reading.Overload());
        }
    }

    /** Silence, garbage, half a line, a hang-up in mid-answer, words without end: each is said, and the next asking works. */
    @Test
    void whateverGoesWrongIsSaidAndTheNextReadingIsGood() throws IOException {
        String endless = "1".repeat(5000);
        try (Rude rude = Rude.answering("", "ERR 12\n", "+1.0E+30\n", "+1.2", "+1.2#", endless, "+5.0E+00\n");
                ScpiMeter meter = rude.meter()) {
            says(meter.read(), "no whole answer within 0.3 s");
            says(meter.read(), "found “ERR 12”, expected a number");
            says(meter.read(), "volts: found 1.0E30, expected ");
            says(meter.read(), "no whole answer");
            says(meter.read(), "hung up in mid-answer");
            says(meter.read(), "without end");
            assertThat(meter.read()).isEqualTo(new Reading.Volts(5));
            assertThat(rude.calls()).hasValue(7);
        }
    }

    /** A late answer belongs to the question before: it must not be taken for the answer to this one. */
    @Test
    void aLateAnswerIsNeverTakenForTheNext() throws IOException {
        try (Rude rude = Rude.answering("+1.1", "+2.2E+00\n"); ScpiMeter meter = rude.meter()) {
            says(meter.read(), "no whole answer");
            assertThat(meter.read()).isEqualTo(new Reading.Volts(2.2));
        }
    }

    /** A second line to one question would be taken for the answer to the next. */
    @Test
    void aSurplusLineIsNotTakenForTheNextAnswer() throws IOException {
        try (Rude rude = Rude.answering("+1.1E+00\n+9.9E+00\n", "+2.2E+00\n"); ScpiMeter meter = rude.meter()) {
            assertThat(meter.read()).isEqualTo(new Reading.Volts(1.1));
            says(meter.read(), "more than one line");
            assertThat(meter.read()).isEqualTo(new Reading.Volts(2.2));
        }
    }

    /** A meter that does not answer can be put away at once, and its name be shown meanwhile. */
    @Test
    void aSilentMeterHoldsNobodyUp() throws Exception {
        try (Rude rude = Rude.answering("")) {
            ScpiMeter meter = ScpiMeter.at("127.0.0.1:" + rude.listening().getLocalPort(), 60_000);
            var reading = java.util.concurrent.CompletableFuture.supplyAsync(meter::read);
            while (!meter.name().equals("Maker M-1")) {
                Thread.onSpinWait();
            }
            meter.close();
            says(reading.get(5, java.util.concurrent.TimeUnit.SECONDS), "");
            says(meter.read(), "put away");
        }
    }

    @ParameterizedTest
    @CsvSource({"meter.local, meter at meter.local:5025", "meter.local:99, meter at meter.local:99",
            "::1, meter at ::1:5025", "[::1]:77, meter at ::1:77", "fe80::2, meter at fe80::2:5025"})
    void anAddressIsReadAsItIsMeant(String typed, String name) {
        try (ScpiMeter meter = ScpiMeter.at(typed, PATIENCE)) {
            assertThat(meter.name()).isEqualTo(name);
        }
    }

    @Test
    void nobodyThereIsSaid() throws IOException {
        int free;
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            free = socket.getLocalPort();
        }
        try (ScpiMeter meter = ScpiMeter.at("127.0.0.1:" + free, PATIENCE)) {
            says(meter.read(), "refused");
        }
        assertThatThrownBy(() -> ScpiMeter.at("a meter: somewhere", PATIENCE))
                .hasMessageContaining("expected an address");
    }

    /** The stand-in is spoken to as a real meter is, and every fault of the vehicle behind it is found from its readings. */
    @ParameterizedTest
    @EnumSource(value = Behaviour.class, mode = EnumSource.Mode.EXCLUDE, names = "NOT_MEASURED")
    void everyFaultOfTheVehicleIsFoundThroughTheMeter(Behaviour fault) throws IOException {
        SimulatedVehicle vehicle = new SimulatedVehicle(fault, 7);
        PowerSource source = PowerSource.named("A");
        try (SimulatedMeter stand = new SimulatedMeter(vehicle::volts);
                ScpiMeter meter = ScpiMeter.at(stand.address(), 2000)) {
            for (KeyState state : KeyState.values()) {
                vehicle.turn(state);
                Reading reading = meter.read();
                assertThat(reading).isInstanceOf(Reading.Volts.class);
                source = source.withVolts(state, ((Reading.Volts) reading).volts());
            }
            assertThat(meter.name()).isEqualTo("Simulated bench meter");
        }
        assertThat(source.behaviour(Electrics.USUAL)).isEqualTo(fault);
        assertThat(source.at(KeyState.RUNNING).orElseThrow()).isCloseTo(switch (fault) {
            case WEAK -> 11.7;
            case DEAD -> 0.01;
            case TOO_MUCH -> 17.2;
            default -> 14.0;
        }, within(0.1));
    }
}
