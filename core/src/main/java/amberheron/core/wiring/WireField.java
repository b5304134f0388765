package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of power, grounds, heater and signal; the volts in a state are a {@link KeyState}'s own. */
public enum WireField implements Property {
    SOURCES("wire.add", "a power source"),
    SOURCE_PLACE("wire.*.place", "where the source is"),
    HOST_FUSE("wire.*.hostFuse", "the tapped circuit's fuse"),
    HOST_LOAD("wire.*.hostLoad", "what the tapped circuit feeds"),
    FUSE("wire.fuse", "fuse"),
    DRAW("wire.draw", "greatest draw"),
    FEED_LENGTH("wire.feed.length", "length of the feed"),
    FEED_SECTION("wire.feed.section", "size of the feed"),
    BATTERY("wire.feed.battery", "the battery's capacity"),
    AT_BATTERY("wire.feed.atBattery", "volts at the battery"),
    CONVERTED("wire.feed.converted", "volts behind the converter"),
    LEADS("wire.feed.leads", "size of the controller's own leads"),
    MEMORY("wire.feed.memory", "current of a second, constant feed"),
    SCHOOL("wire.school", "where the grounds are taken"),
    TO_BATTERY("wire.toBattery", "length to the battery"),
    TO_CHASSIS("wire.toChassis", "length to the chassis point"),
    TO_READER("wire.toReader", "length to the reader's ground"),
    SECTION("wire.section", "size of the ground wire"),
    MEAN("wire.mean", "mean heater current"),
    PEAK("wire.peak", "heater current while on"),
    DISPLAY("wire.display", "the display's current"),
    JOINT("wire.joint", "resistance of a joint"),
    STRAP("wire.strap", "resistance of the strap"),
    OTHERS("wire.others", "other loads on the strap"),
    READER_DRAW("wire.readerDraw", "the reader's own current"),
    MEASURED("wire.measured", "drop as measured"),
    TRIAL("wire.trial.*", "drop with so much switched on"),
    TRIAL_LAMPS("wire.trial.lampsDraw", "what the lamps draw"),
    TRIAL_FAN("wire.trial.fanDraw", "what the fan draws"),
    HEATER("wire.heater", "when the heater gets its power"),
    HEATER_DELAY("wire.heater.delay", "the heater's delay"),
    SIGNAL_FORM("wire.signal.form", "how the signal gets there"),
    SIGNAL_OUTPUT("wire.signal.output", "resistance of the controller's output"),
    SIGNAL_INPUT("wire.signal.*.input", "resistance of the input"),
    SIGNAL_MOST("wire.signal.*.most", "most the input stands"),
    SIGNAL_PULL("wire.signal.*.pull", "pull-up in the reader"),
    SIGNAL_PULL_VOLTS("wire.signal.*.pullVolts", "supply of the pull-up");

    private final String path;
    private final String words;

    WireField(String path, String words) {
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
