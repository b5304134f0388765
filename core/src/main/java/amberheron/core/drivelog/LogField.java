package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of a proving drive. */
public enum LogField implements Property {
    FILE("prove.file", "the log"),
    CARBON_DIOXIDE("prove.gas.co2", "CO2 in the tailpipe"),
    CARBON_MONOXIDE("prove.gas.co", "CO in the tailpipe"),
    HYDROCARBONS("prove.gas.hc", "HC in the tailpipe"),
    OXYGEN("prove.gas.o2", "O2 in the tailpipe"),
    NITRIC_OXIDE("prove.gas.no", "NO in the tailpipe"),
    SHOWN("prove.gas.shown", "what the controller shows meanwhile"),
    ACT("prove.change.act", "what was changed on purpose"),
    BEFORE("prove.change.before", "what was shown before the change"),
    AFTER("prove.change.after", "what was shown after it");

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
        return word(words);
    }
}
