package amberheron.bench;

import static amberheron.core.units.Phrase.fixed;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.DoubleSupplier;

/**
 * Stands in for a bench meter on the network: listens on this machine only and answers the same commands as a real one,
 * so that nothing but the address differs.
 */
public final class SimulatedMeter implements AutoCloseable {
    private final ServerSocket listening;
    private final DoubleSupplier volts;

    /**
     * Starts listening on a free port.
     *
     * @param volts what is at its probes
     * @throws IOException when no port is to be had
     */
    public SimulatedMeter(DoubleSupplier volts) throws IOException {
        this.volts = volts;
        this.listening = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(this::serve, "simulated meter");
        thread.setDaemon(true);
        thread.start();
    }

    /** The address to connect to. */
    public String address() {
        return listening.getInetAddress().getHostAddress() + ":" + listening.getLocalPort();
    }

    private void serve() {
        while (!listening.isClosed()) {
            try (Socket caller = listening.accept();
                    BufferedReader in = new BufferedReader(
                            new java.io.InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII))) {
                for (String line = in.readLine(); line != null; line = in.readLine()) {
                    String answer = answer(line.strip().toUpperCase(Locale.ROOT));
                    if (!answer.isEmpty()) {
                        caller.getOutputStream().write((answer + "\n").getBytes(StandardCharsets.US_ASCII));
                        caller.getOutputStream().flush();
                    }
                }
            } catch (IOException e) {
                System.getLogger(SimulatedMeter.class.getName()).log(System.Logger.Level.DEBUG, "a caller left", e);
            }
        }
    }

    private String answer(String command) {
        return switch (command) {
            case "*IDN?" -> "Simulated,bench meter,0,1";
            case "MEAS:VOLT:DC?", "MEASURE:VOLTAGE:DC?" -> fixed("%+.6E", volts.getAsDouble());
            default -> "";
        };
    }

    @Override
    public void close() {
        try {
            listening.close();
        } catch (IOException e) {
            System.getLogger(SimulatedMeter.class.getName()).log(System.Logger.Level.DEBUG, "closing", e);
        }
    }
}
