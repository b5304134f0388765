package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;

import amberheron.bench.AirFault;
import amberheron.bench.ControllerServer;
import amberheron.bench.SimulatedController;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.freeair.Air;
import amberheron.io.UnusableInput;
import amberheron.io.catalogue.Catalogue;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code heron simulate}: stand-ins for instruments, behind real lines. */
@Command(name = "simulate", mixinStandardHelpOptions = true, description = "A stand-in for an instrument, behind a real line.")
final class SimulateCommand implements Runnable {
    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public void run() {
        throw new picocli.CommandLine.ParameterException(spec.commandLine(), say("expected: simulate controller"));
    }

    /** A controller with its sensor in free air. */
    @Command(name = "controller", mixinStandardHelpOptions = true, description = {
            "A controller and its sensor in free air, ten lines a second; docs/formats.md has the protocol.",
            "Keys on standard input: on, off, plug, unplug, turn 0.4, quit."})
    static final class OfController extends OfShop {
        private static final double MOST_AGE = 1e5;
        private static final double LEAST_SPEED = 0.1;
        private static final double MOST_SPEED = 1000;
        private static final int MOST_PORT = 65_535;

        @Option(names = "--port", paramLabel = "N", defaultValue = "6140", description = "TCP port on this machine; 0 for any (${DEFAULT-VALUE})")
        private int port;
        @Option(names = "--serial", paramLabel = "LINK", defaultValue = "", description = "a serial port to send to as well")
        private String serial = "";
        @Option(names = "--controller", paramLabel = "ID", defaultValue = "learner", description = "what it does: an id of the catalogue (${DEFAULT-VALUE})")
        private String controller = "";
        @Option(names = "--fault", paramLabel = "F", defaultValue = "none", description = "what is wrong with it (${DEFAULT-VALUE})")
        private String fault = "";
        @Option(names = "--age", paramLabel = "H", defaultValue = "0", description = "hours its sensor has run")
        private double age;
        @Option(names = "--speed", paramLabel = "X", defaultValue = "1", description = "how many times faster it lives")
        private double speed;
        @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "the same seed behaves the same")
        private long seed;

        OfController(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() throws IOException, InterruptedException {
            if (port < 0 || port > MOST_PORT) {
                throw new UnusableInput("simulate", "--port", say("found %d, expected 0 to 65535", port));
            }
            if (!(age >= 0 && age <= MOST_AGE)) {
                throw new UnusableInput("simulate", "--age", say("found %s, expected 0 to 100000 h", age));
            }
            if (!(speed >= LEAST_SPEED && speed <= MOST_SPEED)) {
                throw new UnusableInput("simulate", "--speed", say("found %s, expected 0.1 to 1000", speed));
            }
            ControllerSheet sheet = sheet();
            SimulatedController made = new SimulatedController(sheet, Air.atHeight(293.15, 0.5, 0), faulty(), age,
                    seed);
            made.power(true);
            PrintWriter out = out();
            try (ControllerServer server = open(made, sheet)) {
                if (!serial.isEmpty()) {
                    attach(server);
                }
                out.println(say("simulated controller, %s, %s, at 127.0.0.1:%s%s", sheet.name(), faulty().words(),
                        server.port(), serial.isEmpty() ? "" : say(" and %s", serial)));
                out.println(say("keys: on, off, plug, unplug, turn 0.4, quit"));
                out.flush();
                keys(server);
            }
            return 0;
        }

        private ControllerServer open(SimulatedController made, ControllerSheet sheet) {
            try {
                return new ControllerServer(made, sheet.name(), port, speed);
            } catch (IOException e) {
                throw new UnusableInput("simulate", "--port",
                        say("port %d cannot be had (%s), expected one that is free, or 0 for any", port,
                                e.getMessage()));
            }
        }

        private void attach(ControllerServer server) {
            try {
                server.attach(serial);
            } catch (IOException e) {
                throw new UnusableInput("simulate", "--serial",
                        say("%s, expected a serial port that is there and free",
                                e.getMessage()));
            }
        }

        /** Until somebody quits; where nobody can key anything, until the program is ended. */
        private void keys(ControllerServer server) throws IOException, InterruptedException {
            BufferedReader lines = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.strip().equalsIgnoreCase("quit")) {
                    return;
                }
                if (!line.isBlank() && !server.key(line)) {
                    err().println(
                            say("heron: found “%s”, expected on, off, plug, unplug, turn 0.4 or quit", line.strip()));
                    err().flush();
                }
            }
            new CountDownLatch(1).await();
        }

        private ControllerSheet sheet() {
            List<ControllerSheet> all = Catalogue.withShop(home().resolve("catalogue")).controllers();
            return all.stream().filter(c -> c.id().equals(controller)).findFirst()
                    .orElseThrow(() -> new UnusableInput("simulate", "--controller",
                            say("found “%s”, expected one of %s",
                                    controller,
                                    all.stream().map(ControllerSheet::id).collect(Collectors.joining(", ")))));
        }

        private static String key(AirFault fault) {
            return fault.name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        private AirFault faulty() {
            return Arrays.stream(AirFault.values()).filter(f -> key(f).equals(fault)).findFirst()
                    .orElseThrow(() -> new UnusableInput("simulate", "--fault",
                            say("found “%s”, expected one of %s", fault,
                                    Arrays.stream(AirFault.values()).map(OfController::key)
                                            .collect(Collectors.joining(", ")))));
        }
    }
}
