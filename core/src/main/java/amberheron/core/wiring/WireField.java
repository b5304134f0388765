package amberheron.core.wiring;

import amberheron.core.parts.Property;

/** What is entered of power, grounds, heater and signal; the volts in a state are a {@link KeyState}'s own. */
public enum WireField implements Property {
    SOURCES("wire.add"),
    SOURCE_PLACE("wire.*.place"),
    HOST_FUSE("wire.*.hostFuse"),
    HOST_LOAD("wire.*.hostLoad"),
    FUSE("wire.fuse"),
    DRAW("wire.draw"),
    FEED_LENGTH("wire.feed.length"),
    FEED_SECTION("wire.feed.section"),
    BATTERY("wire.feed.battery"),
    SCHOOL("wire.school"),
    TO_BATTERY("wire.toBattery"),
    TO_CHASSIS("wire.toChassis"),
    TO_READER("wire.toReader"),
    SECTION("wire.section"),
    MEAN("wire.mean"),
    PEAK("wire.peak"),
    DISPLAY("wire.display"),
    JOINT("wire.joint"),
    OTHERS("wire.others"),
    MEASURED("wire.measured"),
    HEATER("wire.heater"),
    HEATER_DELAY("wire.heater.delay"),
    SIGNAL_FORM("wire.signal.form"),
    SIGNAL_OUTPUT("wire.signal.output"),
    SIGNAL_INPUT("wire.signal.*.input"),
    SIGNAL_MOST("wire.signal.*.most"),
    SIGNAL_PULL("wire.signal.*.pull"),
    SIGNAL_PULL_VOLTS("wire.signal.*.pullVolts");

    private final String path;

    WireField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
