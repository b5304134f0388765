package amberheron.core.drivelog;

import amberheron.core.parts.Property;

/** What is entered of a proving drive. */
public enum LogField implements Property {
    FILE("prove.file");

    private final String path;

    LogField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
