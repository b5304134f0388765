package amberheron.core.finding;

/**
 * A picture kept with the job as evidence.
 *
 * @param file name without folders
 * @param digest SHA-256 of its bytes, hexadecimal
 */
public record Photo(String file, String digest) {
}
