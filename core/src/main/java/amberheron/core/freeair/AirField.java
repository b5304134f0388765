package amberheron.core.freeair;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of the air and of what the controller shows in it. */
public enum AirField implements Property {
    TEMPERATURE("air.temperature", "air temperature"),
    HUMIDITY("air.humidity", "relative humidity"),
    HEIGHT("air.height", "height above the sea"),
    PRESSURE("air.pressure", "pressure"),
    READING("air.reading", "which pressure that is"),
    DRIVEN("air.driven", "height where the car is driven"),
    CONTROLLER("air.controller", "controller"),
    SHOWN("air.shown", "oxygen the controller shows"),
    MIXTURE("air.mixture", "mixture the controller shows"),
    DISPLAY_END("air.displayEnd", "leanest mixture the display can show"),
    SETTLED("air.settled", "how long it is steady"),
    SENSOR("air.sensor", "number or mark of the sensor");

    private final String path;
    private final String words;

    AirField(String path, String words) {
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
