package amberheron.core.scaling;

import amberheron.core.parts.Property;

/** What is entered of controller, reader and check points. */
public enum ScaleField implements Property {
    LAW("scale.law"),
    READER("scale.reader"),
    POINTS("scale.volts");

    private final String path;

    ScaleField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
