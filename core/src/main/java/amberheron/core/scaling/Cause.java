package amberheron.core.scaling;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;

/** Causes for which a reader may show something else than the truth, as a check can tell them apart. */
public enum Cause implements CheckId {
    NONE("none", "Nothing wrong", "The reader shows the truth.", "Keep the check points with the job."),
    OTHER_LAW("other-law", "Another law's setting", "The reader was told another controller's law.",
            "Type the setting for this controller's law."),
    POINTS_SWAPPED("points-swapped", "Two points swapped", "Rich and lean ends are exchanged in the reader.",
            "Type the two points the right way round."),
    WRONG_STOICH("wrong-stoich", "Wrong stoichiometric ratio", "The reader turns λ into AFR with another fuel's ratio.",
            "Set the reader's stoichiometric ratio, or type the setting for the ratio it has."),
    LAMBDA_AS_AFR("lambda-as-afr", "λ taken for AFR", "One side speaks λ, the other AFR.",
            "Tell the reader which of the two it is being given."),
    UNSCALED("unscaled", "Volts shown unscaled", "The reader shows raw volts.",
            "Type the setting: the reader has none."),
    GROUND_SHIFT("ground-shift", "Ground shift",
            "The same volts are added everywhere: the reader's ground is not the controller's.",
            "Keep the heater's current out of the signal's ground."),
    GAIN("gain", "Loading or wrong reference", "The volts arrive in proportion too small or too large.",
            "Measure at the pin with the reader connected; look for a load on the wire or a wrong input reference."),
    PULL_UP("pull-up", "Pull-up at the input", "The input pulls the signal towards its own supply.",
            "Switch the input's pull-up off, or use another input."),
    CLIPPED("clipped", "Input range too small", "Above some volts the reader sees no more.",
            "Use an input with the law's whole range."),
    NARROWBAND("narrowband", "Narrowband output wired", "The reader is fed the switching output, not the wideband one.",
            "Move the wire to the wideband output."),
    CONSTANT("constant", "Constant: broken or shorted wire, or placeholder",
            "The reader shows the same whatever the mixture.",
            "Check the wire for a break or a short, and that the sensor is warm.");

    private final String id;
    private final String title;
    private final String meaning;
    private final String remedy;

    Cause(String id, String title, String meaning, String remedy) {
        this.id = id;
        this.title = title;
        this.meaning = meaning;
        this.remedy = remedy;
    }

    /** The name used in files. */
    @Override
    public String key() {
        return id;
    }

    /** A few words for a list. */
    public String title() {
        return word(title);
    }

    /** Description in a sentence. */
    public String meaning() {
        return word(meaning);
    }

    /** Whether the reader was told something wrong, so that typing mends it. */
    public boolean isOfTheSetting() {
        return this == OTHER_LAW || this == POINTS_SWAPPED || this == WRONG_STOICH || this == LAMBDA_AS_AFR
                || this == UNSCALED;
    }

    /** The cure, in a sentence. */
    public String remedy() {
        return word(remedy);
    }
}
