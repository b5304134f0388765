package amberheron.core.scaling;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of controller, reader and check points. */
public enum ScaleField implements Property {
    LAW("scale.law", "output law"),
    GAUGE("scale.gauge", "what the controller's own gauge shows"),
    READER("scale.reader", "the reader"),
    FILTER("scale.filter", "the reader's own filter"),
    POINTS("scale.volts", "a check point"),
    TRUE("scale.true", "what the controller's own display shows");

    private final String path;
    private final String words;

    ScaleField(String path, String words) {
        this.path = path;
        this.words = words;
    }

    @Override
    public String path() {
        return path;
    }

    @Override
    public String words() {
        return word(words);
    }
}
