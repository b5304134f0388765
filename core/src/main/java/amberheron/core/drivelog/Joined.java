package amberheron.core.drivelog;

/**
 * A second log of the same drive that was put together with the first.
 *
 * @param file its name, without folders
 * @param digest SHA-256 of its bytes, hexadecimal
 * @param clocks how the two clocks go
 */
public record Joined(String file, String digest, Clocks clocks) {
}
