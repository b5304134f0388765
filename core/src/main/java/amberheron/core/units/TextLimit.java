package amberheron.core.units;

/**
 * How long words of a person's own can be, in characters: far longer than anybody needs, so that only what got in by mistake
 * is refused. The same limits stand in the document's schema. Our own choice, no published source.
 */
public enum TextLimit {
    /** A note of several lines. */
    NOTE(4000),
    /** A name or a place. */
    NAME(200),
    /** A pin, a tag, a letter. */
    MARK(40);

    private final int most;

    TextLimit(int most) {
        this.most = most;
    }

    /** The most characters. */
    public int most() {
        return most;
    }
}
