package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A bench meter on the network that speaks the Standard Commands for Programmable Instruments (SCPI-1999, on the message
 * rules of IEEE 488.2) over a plain TCP connection: one command a line, one answer a line. An answer that did not come
 * whole and in time is never waited for again, so that it cannot be taken for the next one: the connection is closed and
 * made anew.
 */
public final class ScpiMeter implements Meter {
    /** The port such instruments usually listen on. */
    public static final int USUAL_PORT = 5025;
    /** Sent for more than the range: 9.9E+37 stands for infinity in SCPI. */
    private static final double INFINITY = 9.9e37;
    private static final int LONGEST_ANSWER = 256;
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(\\.\\d*)?([eE][+-]?\\d+)?");

    private final String host;
    private final int port;
    private final int patience;
    private volatile @Nullable Socket socket;
    private volatile String name;
    private volatile boolean simulated;
    private volatile boolean putAway;

    /**
     * A meter that is connected to when it is first asked.
     *
     * @param patience how long to wait for the connection and for an answer, ms
     */
    public ScpiMeter(String host, int port, int patience) {
        this.host = host;
        this.port = port;
        this.patience = patience;
        this.name = say("meter at %s:%s", host, port);
    }

    /**
     * A meter from what a person types: {@code host} or {@code host:port}.
     *
     * @throws Unusable when it is neither
     */
    public static ScpiMeter at(String address, int patience) {
        NetworkAddress at = NetworkAddress.expect(say("Meter"), address, USUAL_PORT);
        return new ScpiMeter(at.host(), at.port(), patience);
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public boolean simulated() {
        return simulated;
    }

    @Override
    public synchronized Reading read() {
        if (putAway) {
            return new Reading.None(say("%s: it was put away", name));
        }
        try {
            if (socket == null) {
                connect();
            }
            String answer = ask("MEAS:VOLT:DC?");
            if (!NUMBER.matcher(answer).matches()) {
                return fail(say("found “%s”, expected a number", answer));
            }
            double volts = Double.parseDouble(answer);
            if (Math.abs(volts) >= INFINITY) {
                return new Reading.Overload();
            }
            Sane.SUPPLY.check("volts", volts);
            return new Reading.Volts(volts);
        } catch (Unusable e) {
            return fail(String.valueOf(e.getMessage()));
        } catch (SocketTimeoutException e) {
            return fail(say("no whole answer within %.1f s", patience / 1000.0));
        } catch (IOException e) {
            return fail(e.getMessage() == null ? say("the connection broke") : e.getMessage());
        }
    }

    private Reading fail(String why) {
        disconnect();
        return new Reading.None(name + ": " + why);
    }

    private void connect() throws IOException {
        Socket made = new Socket();
        try {
            made.connect(new InetSocketAddress(host, port), patience);
            made.setSoTimeout(patience);
            made.setTcpNoDelay(true);
            socket = made;
            String[] identity = ask("*IDN?").split(",", -1);
            simulated = identity[0].strip().equalsIgnoreCase("Simulated");
            name = identity.length >= 2 ? (identity[0] + " " + identity[1]).strip() : say("meter at %s:%s", host, port);
        } catch (IOException e) {
            made.close();
            socket = null;
            throw e;
        }
    }

    private String ask(String command) throws IOException {
        Socket to = socket;
        if (to == null) {
            throw new IOException(say("not connected"));
        }
        int surplus = to.getInputStream().available();
        if (surplus > 0) {
            // What it still says belongs to an earlier question: nothing on this connection can be trusted any more.
            throw new IOException(say("it said more than one line to one question, expected one; asked anew"));
        }
        to.getOutputStream().write((command + "\n").getBytes(StandardCharsets.US_ASCII));
        to.getOutputStream().flush();
        long until = System.nanoTime() + patience * 1_000_000L;
        InputStream in = new BufferedInputStream(to.getInputStream(), 1);
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        while (true) {
            // An instrument that dribbles must not keep us longer than one that is silent.
            if (System.nanoTime() > until) {
                throw new SocketTimeoutException();
            }
            int next = in.read();
            if (next < 0) {
                throw new IOException(say("it hung up in mid-answer"));
            }
            if (next == '\n') {
                return line.toString(StandardCharsets.US_ASCII).strip();
            }
            if (line.size() >= LONGEST_ANSWER) {
                throw new IOException(say("an answer without end, expected one line"));
            }
            line.write(next);
        }
    }

    @Override
    public void close() {
        putAway = true;
        disconnect();
    }

    /** Not locked: a meter that is being waited for can be put away at once. */
    private void disconnect() {
        Socket open = socket;
        socket = null;
        try {
            if (open != null) {
                open.close();
            }
        } catch (IOException e) {
            System.getLogger(ScpiMeter.class.getName()).log(System.Logger.Level.DEBUG, "closing the meter", e);
        }
    }
}
