package amberheron.core.display;

import static amberheron.core.units.Phrase.word;

/** A number that the display is told. */
public enum DisplaySetting {
    LEAN("lean", "Lean alarm above", "lean >", Kind.MIXTURE),
    LEAN_DELAY("leanDelay", "Lean alarm after", "after", Kind.SECONDS),
    RICH("rich", "Rich alarm below", "rich <", Kind.MIXTURE),
    RICH_DELAY("richDelay", "Rich alarm after", "after", Kind.SECONDS),
    FILTER("filter", "Filter, at most", "filter", Kind.SECONDS),
    PULSES("pulses", "Engine-speed pulses per turn", "pulses a turn", Kind.NUMBER);

    /** Kind of the number. */
    public enum Kind {
        /** λ. */
        MIXTURE,
        /** s. */
        SECONDS,
        /** A plain number. */
        NUMBER
    }

    private final String key;
    private final String words;
    private final String brief;
    private final Kind kind;

    DisplaySetting(String key, String words, String brief, Kind kind) {
        this.key = key;
        this.words = words;
        this.brief = brief;
        this.kind = kind;
    }

    /** The name in documents. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }

    /** The same in as few words as a line of several takes. */
    public String brief() {
        return word(brief);
    }

    /** Kind of the number. */
    public Kind kind() {
        return kind;
    }
}
