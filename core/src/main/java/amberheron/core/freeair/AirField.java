package amberheron.core.freeair;

import amberheron.core.parts.Property;

/** What is entered of the air and of what the controller shows in it. */
public enum AirField implements Property {
    TEMPERATURE("air.temperature"),
    HUMIDITY("air.humidity"),
    HEIGHT("air.height"),
    SHOWN("air.shown"),
    MIXTURE("air.mixture"),
    SETTLED("air.settled");

    private final String path;

    AirField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
