package amberheron.core.plan;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Leaf of the questions asked when the vehicle comes in, but for those of the exhaust. */
public enum IntakeField implements Property {
    VEHICLE("plan.vehicle", "vehicle"),
    CYLINDERS("plan.cylinders", "cylinders"),
    BANKS("plan.banks", "exhaust banks"),
    FUEL("plan.fuel", "fuel"),
    FUEL_SYSTEM("plan.system", "fuel system"),
    CYCLE("plan.cycle", "two-stroke, four-stroke or rotary"),
    SUPPLY("plan.supply", "volts of the electrical system"),
    READERS("plan.readers", "what reads the signal"),
    LINK("plan.link", "how it gets its data"),
    STAYS("plan.permanent", "how long it stays"),
    CONDITION("plan.condition", "state of the exhaust"),
    LEAK("plan.leak", "size of the leak"),
    FIT("plan.fit", "bung"),
    MATERIAL("plan.material", "material of the pipe"),
    HARNESS("plan.harness", "harness");

    private final String path;
    private final String words;

    IntakeField(String path, String words) {
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
