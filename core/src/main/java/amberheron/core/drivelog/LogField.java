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
    AFTER("prove.change.after", "what was shown after it"),
    LINK_SCALE("prove.link.scale", "what the numbers by the link are"),
    LINK_TOLD_FIRST("prove.link.first.controller", "what the controller's display shows first"),
    LINK_SHOWN_FIRST("prove.link.first.reader", "what the reader by the link shows first"),
    LINK_TOLD_SECOND("prove.link.second.controller", "what the controller's display shows second"),
    LINK_SHOWN_SECOND("prove.link.second.reader", "what the reader by the link shows second");

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
