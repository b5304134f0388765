package amberheron.bench;

import static amberheron.core.units.Phrase.say;

import amberheron.core.units.Unusable;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A name or address on the network, with a port. */
public record NetworkAddress(String host, int port) {
    /** A name or IPv4 address with or without a port; an IPv6 address bare, or in brackets with or without one. */
    private static final Pattern TYPED = Pattern.compile(
            "(?:\\[(?<six>[0-9a-fA-F:.%\\w]+)\\]|(?<host>[^\\[\\]:\\s/]+|[0-9a-fA-F]*:[0-9a-fA-F:]*:[0-9a-fA-F:.]*))(?::(?<port>\\d{1,5}))?");
    private static final int MOST = 65_535;

    /** An address as typed; empty when it is none. */
    static Optional<NetworkAddress> of(String typed, int usualPort) {
        Matcher parts = TYPED.matcher(typed.strip());
        if (!parts.matches()) {
            return Optional.empty();
        }
        String host = parts.group("six") != null ? parts.group("six") : parts.group("host");
        int port = parts.group("port") == null ? usualPort : Integer.parseInt(parts.group("port"));
        return host.isBlank() || port > MOST ? Optional.empty() : Optional.of(new NetworkAddress(host, port));
    }

    /** An address as typed, or the reason why it is none. */
    static NetworkAddress expect(String what, String typed, int usualPort) {
        return of(typed, usualPort).orElseThrow(() -> new Unusable(
                say("%s: found “%s”, expected an address such as 192.168.1.40, meter.local:5025 or [::1]:5025", what,
                        typed)));
    }

    @Override
    public String toString() {
        return (host.contains(":") ? "[" + host + "]" : host) + ":" + port;
    }
}
