package amberheron.core.plan;

import amberheron.core.parts.Property;

/** What is asked when the vehicle comes in, but for what belongs to the exhaust. */
public enum IntakeField implements Property {
    VEHICLE("plan.vehicle"),
    CYLINDERS("plan.cylinders"),
    BANKS("plan.banks"),
    FUEL("plan.fuel"),
    FUEL_SYSTEM("plan.system"),
    READERS("plan.readers"),
    LINK("plan.link"),
    STAYS("plan.permanent"),
    CONDITION("plan.condition"),
    LEAK("plan.leak"),
    FIT("plan.fit"),
    MATERIAL("plan.material"),
    HARNESS("plan.harness");

    private final String path;

    IntakeField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
