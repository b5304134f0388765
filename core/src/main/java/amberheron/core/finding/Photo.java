package amberheron.core.finding;

/**
 * A picture kept with the job as evidence.
 *
 * @param file name without folders
 * @param digest SHA-256 of its bytes, hexadecimal
 * @param caption what it shows; may be empty
 */
public record Photo(String file, String digest, String caption) {
    /** The same with other words below it. */
    public Photo withCaption(String words) {
        return new Photo(file, digest, words);
    }
}
