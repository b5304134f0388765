package amberheron.core.drivelog;

import amberheron.core.parts.Property;

/** What is entered of a proving drive. */
public enum LogField implements Property {
    FILE("prove.file", "the log");

    private final String path;
    private final String words;

    LogField(String path, String words) {
        this.path = path;
        this.words = words;
    }

    @Override
    public String path() {
        return path;
    }

    @Override
    public String words() {
        return words;
    }
}
