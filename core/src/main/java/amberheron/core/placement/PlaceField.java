package amberheron.core.placement;

import amberheron.core.parts.Property;

/** What is entered of exhaust, places, sensor and what was fitted. */
public enum PlaceField implements Property {
    ASPIRATION("plan.aspiration"),
    DISPLACEMENT("plan.displacement"),
    DISTANCE("place.*.distance"),
    CLOCK("place.*.clock"),
    LEAN("place.*.lean"),
    SLOPE("place.*.slope"),
    PLACES("place.add"),
    PIECES("place.piece.after"),
    PIECE_LENGTH("place.piece.*.length"),
    PIECE_DIAMETER("place.piece.*.diameter"),
    PIECE_WALL("place.piece.*.wall"),
    PIECE_SLOPE("place.piece.*.slope"),
    PIECE_END_SLOPE("place.piece.*.endSlope"),
    PIECE_HEADING("place.piece.*.heading"),
    NEIGHBOURS("place.neighbour.add"),
    NEIGHBOUR_FROM("place.neighbour.*.from"),
    NEIGHBOUR_TO("place.neighbour.*.to"),
    NEIGHBOUR_GAP("place.neighbour.*.gap"),
    STAND_OUT("place.standout"),
    LEAD("place.lead"),
    LEAD_EXIT("place.lead.exit"),
    LEAD_ONWARD("place.lead.onward"),
    PITCH("place.pitch"),
    ROLL("place.roll"),
    BUNG_DIAMETER("place.bung.diameter"),
    BUNG_LIP("place.bung.lip"),
    FITTED_DISTANCE("place.fitted.distance"),
    FITTED_READING("place.fitted.reading"),
    FITTED_ALONG("place.fitted.along"),
    FITTED_ACROSS("place.fitted.across"),
    FITTED_TIGHT("place.fitted.tight");

    private final String path;

    PlaceField(String path) {
        this.path = path;
    }

    @Override
    public String path() {
        return path;
    }
}
