package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** A serial lead: 8 bits, no parity, one stop bit. */
record SerialLine(String path, int baud) implements ControllerLink.Line {
    /** How fast most speak. */
    static final int USUAL_BAUD = 9600;

    @Override
    public String name() {
        return path;
    }

    @Override
    public ControllerLink.Open open() throws IOException {
        SerialPort port;
        try {
            port = SerialPort.getCommPort(path);
        } catch (SerialPortInvalidPortException e) {
            throw new IOException(say("no serial port %s", path), e);
        }
        port.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
        if (!port.openPort()) {
            throw new IOException(say("the serial port %s cannot be opened", path));
        }
        port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, 0, 0);
        return new ControllerLink.Open() {
            @Override
            public InputStream in() {
                return port.getInputStream();
            }

            @Override
            public OutputStream out() {
                return port.getOutputStream();
            }

            @Override
            public void close() {
                port.closePort();
            }
        };
    }
}
