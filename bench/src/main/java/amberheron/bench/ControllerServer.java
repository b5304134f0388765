package amberheron.bench;

import amberheron.core.controller.StreamFormat;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CopyOnWriteArrayList;

/**
 * A simulated controller behind a real line: ten lines a second in our own protocol to everybody who listens, and keys that
 * it understands from each: {@code on}, {@code off}, {@code plug}, {@code unplug}, {@code turn 0.4}.
 */
public final class ControllerServer implements AutoCloseable {
    /** The port it waits at unless another is asked for. */
    public static final int USUAL_PORT = 6140;
    /** Time of the controller between two lines, s. */
    private static final double STEP = 0.1;
    private static final int LONGEST_KEY = 40;
    private static final int WAITING = 8;

    private final SimulatedController controller;
    private final ServerSocket waiting;
    private final double speed;
    private final String introduction;
    private final List<OutputStream> listeners = new CopyOnWriteArrayList<>();
    private final Thread door;
    private volatile boolean closed;

    /**
     * Waits for listeners on this machine only.
     *
     * @param port 0 for any that is free
     * @param speed how many times faster than it would it lives
     * @throws IOException when the port cannot be had
     */
    public ControllerServer(SimulatedController controller, String name, int port, double speed) throws IOException {
        this.controller = controller;
        this.speed = speed;
        this.introduction = ControllerLink.SIMULATED + " controller, " + name + "\n";
        this.waiting = new ServerSocket();
        // Begun again at the port it just had, where old lines may still linger.
        waiting.setReuseAddress(true);
        try {
            waiting.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), WAITING);
        } catch (IOException e) {
            waiting.close();
            throw e;
        }
        Thread.ofPlatform().daemon().name("simulated controller").start(this::live);
        this.door = Thread.ofPlatform().daemon().name("simulated controller's door").start(this::welcome);
    }

    /** The port it waits at. */
    public int port() {
        return waiting.getLocalPort();
    }

    /** Sends to somebody else as well, such as a serial port, and listens to what they key. */
    public void attach(InputStream in, OutputStream out) throws IOException {
        out.write(introduction.getBytes(StandardCharsets.UTF_8));
        listeners.add(out);
        Thread.ofPlatform().daemon().name("simulated controller's keys").start(() -> keys(in, out));
    }

    /** Sends to a serial port as well, until this is closed. */
    public void attach(String serialPort) throws IOException {
        ControllerLink.Open line = new SerialLine(serialPort, SerialLine.USUAL_BAUD).open();
        attach(line.in(), line.out());
    }

    private void welcome() {
        while (!closed) {
            try {
                Socket socket = waiting.accept();
                socket.setTcpNoDelay(true);
                attach(socket.getInputStream(), socket.getOutputStream());
            } catch (IOException e) {
                if (!closed) {
                    System.getLogger(ControllerServer.class.getName()).log(System.Logger.Level.DEBUG, "a listener", e);
                }
            }
        }
    }

    private void keys(InputStream in, OutputStream out) {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null && !closed; line = lines.readLine()) {
                key(line);
            }
        } catch (IOException e) {
            System.getLogger(ControllerServer.class.getName()).log(System.Logger.Level.DEBUG, "a listener left", e);
        } finally {
            listeners.remove(out);
        }
    }

    /**
     * A key that somebody presses.
     *
     * @return whether it is one of those
     */
    public boolean key(String words) {
        String[] said = words.strip().toLowerCase(Locale.ROOT).split("\\s+", -1);
        synchronized (controller) {
            switch (said[0]) {
                case "on" -> controller.power(true);
                case "off" -> controller.power(false);
                case "plug" -> controller.plug(true);
                case "unplug" -> controller.plug(false);
                case "turn" -> {
                    if (said.length != 2 || said[1].length() > LONGEST_KEY || !said[1].matches("[01](\\.\\d+)?")) {
                        return false;
                    }
                    controller.turn(Double.parseDouble(said[1]));
                }
                default -> {
                    return false;
                }
            }
            return true;
        }
    }

    private void live() {
        long began = System.nanoTime();
        double lived = 0;
        while (!closed) {
            double due = (System.nanoTime() - began) / 1e9 * speed;
            byte[] line = null;
            while (lived < due) {
                synchronized (controller) {
                    controller.step(STEP);
                    line = controller.powered()
                            ? (StreamFormat.write(controller.report()) + "\n").getBytes(StandardCharsets.UTF_8)
                            : null;
                }
                lived += STEP;
            }
            if (line != null) {
                send(line);
            }
            try {
                Thread.sleep(Math.max(1, (long) (1000 * STEP / Math.max(1, Math.min(speed, 10)))));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private void send(byte[] line) {
        listeners.removeIf(to -> {
            try {
                to.write(line);
                to.flush();
                return false;
            } catch (IOException e) {
                return true;
            }
        });
    }

    @Override
    public void close() throws IOException {
        closed = true;
        waiting.close();
        try {
            // The port is free only once nobody waits at it.
            door.join(Duration.ofSeconds(1));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        for (OutputStream to : listeners) {
            to.close();
        }
    }
}
