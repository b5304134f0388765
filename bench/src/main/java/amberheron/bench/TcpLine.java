package amberheron.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;

/** A line over the network. */
record TcpLine(NetworkAddress address, int patience) implements ControllerLink.Line {
    @Override
    public String name() {
        return address.toString();
    }

    @Override
    public ControllerLink.Open open() throws IOException {
        Socket socket = new Socket();
        try {
            socket.connect(new InetSocketAddress(address.host(), address.port()), patience);
            socket.setTcpNoDelay(true);
        } catch (IOException e) {
            socket.close();
            throw e;
        }
        return new ControllerLink.Open() {
            @Override
            public InputStream in() throws IOException {
                return socket.getInputStream();
            }

            @Override
            public OutputStream out() throws IOException {
                return socket.getOutputStream();
            }

            @Override
            public void close() throws IOException {
                socket.close();
            }
        };
    }
}
