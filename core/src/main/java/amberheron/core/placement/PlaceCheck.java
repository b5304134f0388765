package amberheron.core.placement;

import amberheron.core.finding.CheckId;

/** The checks of a place and of what was made of it. */
public enum PlaceCheck implements CheckId {
    TILT("tilt"),
    DISTANCE("distance"),
    PIECE("piece"),
    CATALYST("catalyst"),
    BANK("bank"),
    ROOM("room"),
    TOOLS("tools"),
    LEAD("lead"),
    GAS("gas"),
    DELAY_IDLE("delay-idle"),
    DELAY_FULL("delay-full"),
    DRY("dry"),
    OPEN_END("open-end"),
    JOINTS("joints"),
    SECONDARY_AIR("secondary-air"),
    WATER("water"),
    MOVED("moved"),
    TURNED("turned"),
    TIGHT("tight");

    private final String key;

    PlaceCheck(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
