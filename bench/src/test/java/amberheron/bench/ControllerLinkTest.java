package amberheron.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import amberheron.bench.ControllerLink.Heard;
import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.InAir;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.controller.StreamFormat;
import amberheron.core.finding.Source;
import amberheron.core.freeair.Air;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ControllerLinkTest {
    private static final Air AIR = Air.atHeight(293.15, 0.5, 0);
    private static final String GOOD = StreamFormat.write(new Report(1.5, State.READY, 1.2, 0.207, 2.5, 12.4));

    static ControllerSheet sheet(CalibrationSchool school, InAir inAir) {
        return new ControllerSheet("made-up", "made up", school, 40, 1.0, inAir, List.of(), List.of(),
                Source.practice("made up"));
    }

    private static void until(BooleanSupplier so) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (!so.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            LockSupport.parkNanos(1_000_000);
        }
    }

    private static ControllerServer server(AirFault fault, double speed, int port) throws IOException {
        SimulatedController made = new SimulatedController(
                sheet(CalibrationSchool.FACTORY_TRIMMED, new InAir(InAir.Kind.OF_THE_DAY, null)), AIR, fault, 0, 7);
        made.power(true);
        return new ControllerServer(made, "made up", port, speed);
    }

    private static ControllerLink link(int port) {
        return ControllerLink.at("127.0.0.1:" + port, StreamFormat.OWN, InstantSource.system());
    }

    @Test
    void theStandInWarmsUpAndShowsTheAirAndSaysThatItIsOne() throws IOException {
        try (ControllerServer server = server(AirFault.NONE, 100, 0); ControllerLink link = link(server.port())) {
            until(() -> link.heard().live(Instant.now()).filter(r -> r.state() == State.READY && r.oxygen() != null)
                    .isPresent());
            assertThat(link.simulated()).isTrue();
            Double oxygen = link.heard().live(Instant.now()).orElseThrow().oxygen();
            assertThat(oxygen).isNotNull().isCloseTo(AIR.oxygen(), within(0.003));
            try (Socket keys = new Socket(InetAddress.getLoopbackAddress(), server.port())) {
                keys.getOutputStream().write("off\n".getBytes(StandardCharsets.UTF_8));
            }
            until(() -> link.heard().live(Instant.now()).isEmpty());
            assertThat(link.heard().report()).as("what was said stands, as something old").isNotNull();
        }
    }

    @Test
    void aLinkThatBrokeIsTriedAgain() throws IOException {
        int port;
        ControllerLink link;
        try (ControllerServer server = server(AirFault.NONE, 1, 0)) {
            port = server.port();
            link = link(port);
            until(() -> link.heard().lines() > 2);
        }
        until(() -> !link.heard().fault().isEmpty());
        try (ControllerServer again = server(AirFault.NONE, 1, port)) {
            long before = link.heard().lines();
            until(() -> link.heard().lines() > before + 1 && link.heard().fault().isEmpty());
            assertThat(again.port()).isEqualTo(port);
        }
        link.close();
    }

    /** A line that says these bytes and hangs up. */
    private static Heard said(byte[] bytes, StreamFormat format) {
        ControllerLink.Line line = new ControllerLink.Line() {
            private boolean once;

            @Override
            public String name() {
                return "a test";
            }

            @Override
            public ControllerLink.Open open() throws IOException {
                if (once) {
                    throw new IOException("no more");
                }
                once = true;
                return new ControllerLink.Open() {
                    @Override
                    public InputStream in() {
                        return new ByteArrayInputStream(bytes);
                    }

                    @Override
                    public OutputStream out() {
                        return new ByteArrayOutputStream();
                    }

                    @Override
                    public void close() {
                    }
                };
            }
        };
        try (ControllerLink link = new ControllerLink(line, format, InstantSource.system())) {
            until(() -> !link.heard().fault().isEmpty());
            return link.heard();
        }
    }

    private static Heard said(String text) {
        return said(text.getBytes(StandardCharsets.UTF_8), StreamFormat.OWN);
    }

    @Test
    void halfLinesAndGarbageSayNothing() {
        assertThat(said(GOOD + "\n").lines()).isEqualTo(1);
        assertThat(said(GOOD).lines()).as("no end of the line").isZero();
        assertThat(said(GOOD.substring(5) + "\n" + GOOD + "\r\n").lines()).isEqualTo(1);
        assertThat(said(GOOD.replace("20.7", "2.07") + "\n").bad()).as("a digit damaged").isEqualTo(1);
        assertThat(said("x".repeat(100_000) + "\n" + GOOD + "\n").lines()).isEqualTo(1);
        assertThat(said("# simulated\n" + GOOD + "\n").bad()).isZero();
    }

    /** A million lines, most of them damaged: none stops it, and none is taken for what it is not. */
    @Test
    void noLineStopsItAndNoneIsTakenForAnother() {
        Random random = new Random(5);
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        int lines = Integer.getInteger("fuzz.lines", 100_000);
        int sound = 0;
        for (int i = 0; i < lines; i++) {
            byte[] line = (GOOD + "\n").getBytes(StandardCharsets.UTF_8);
            if (random.nextInt(10) == 0) {
                sound++;
            } else {
                line[random.nextInt(line.length - 1)] ^= (byte) (1 << random.nextInt(8));
            }
            all.write(line, 0, line.length);
        }
        Heard heard = said(all.toByteArray(), StreamFormat.OWN);
        assertThat(heard.lines()).isEqualTo(sound);
        assertThat(heard.report()).isEqualTo(StreamFormat.OWN.read(GOOD).orElseThrow());
    }

    /** A clock that runs backwards is said, and nothing is live until it goes on from there, as after a switch off and on. */
    @Test
    void aClockThatRunsBackwardsIsNotLive() {
        String later = StreamFormat.write(new Report(90.0, State.READY, 1.0, null, null, null)) + "\n";
        String earlier = StreamFormat.write(new Report(10.0, State.READY, 1.1, null, null, null)) + "\n";
        String on = StreamFormat.write(new Report(11.0, State.READY, 1.2, null, null, null)) + "\n";
        Heard back = said(later + earlier);
        assertThat(back.at()).isNull();
        assertThat(back.lines()).isEqualTo(1);
        assertThat(back.bad()).isEqualTo(1);
        Heard again = said(later + earlier + on);
        assertThat(again.at()).isNotNull();
        assertThat(again.report()).extracting(Report::lambda).isEqualTo(1.2);
    }

    @Test
    void whatIsOldIsNotLive() {
        Instant at = Instant.parse("2026-05-01T09:00:00Z");
        Heard heard = new Heard(StreamFormat.OWN.read(GOOD).orElseThrow(), at, 1, 0, "");
        assertThat(heard.live(at.plusMillis(1000))).isPresent();
        assertThat(heard.live(at.plusMillis(1001))).isEmpty();
        assertThat(heard.live(at.minus(Duration.ofHours(1)))).as("the clock was set back").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a b", "http://x", "x:99999", "[::1"})
    void anAddressThatIsNoneIsRefusedWithAnExample(String typed) {
        assertThatThrownBy(() -> ControllerLink.at(typed, StreamFormat.OWN, InstantSource.system()))
                .hasMessageContaining("expected an address such as");
    }

    /** Over a serial lead as over the network: a pair of pseudo-terminals stands in for the lead. */
    @Test
    void theSameOverASerialLead(@TempDir Path folder) throws IOException, InterruptedException {
        Path here = folder.resolve("here");
        Path there = folder.resolve("there");
        Process pair;
        try {
            pair = new ProcessBuilder("socat", "pty,raw,echo=0,link=" + here, "pty,raw,echo=0,link=" + there)
                    .redirectErrorStream(true).redirectOutput(folder.resolve("said").toFile()).start();
        } catch (IOException e) {
            assumeTrue(false, "no socat on this machine");
            return;
        }
        try {
            until(() -> Files.exists(here) && Files.exists(there));
            try (ControllerServer server = server(AirFault.NONE, 50, 0);
                    ControllerLink link = ControllerLink.at(here.toString(), StreamFormat.OWN,
                            InstantSource.system())) {
                server.attach(there.toString());
                until(() -> link.heard().live(Instant.now()).filter(r -> r.state() == State.READY).isPresent());
            }
        } finally {
            pair.destroy();
            pair.waitFor();
        }
    }

    /** Nobody at the other end: closing does not wait for one. */
    @Test
    void aSilentLineIsLeftAtOnce() throws IOException {
        try (ServerSocket silent = new ServerSocket(0); ControllerLink link = link(silent.getLocalPort())) {
            try (Socket caller = silent.accept()) {
                assertThat(caller.isConnected()).isTrue();
                assertThat(link.heard().live(Instant.now())).isEmpty();
            }
        }
    }
}
