package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

import amberheron.core.parts.Property;

/** Fields of exhaust, places, sensor and what was fitted. */
public enum PlaceField implements Property {
    ASPIRATION("plan.aspiration", "turbo or not"),
    DISPLACEMENT("plan.displacement", "displacement"),
    DISTANCE("place.*.distance", "distance along the pipe"),
    CLOCK("place.*.clock", "clock position"),
    LEAN("place.*.lean", "lean along the pipe"),
    SLOPE("place.*.slope", "the pipe's slope there"),
    PLACES("place.add", "a place for the bung"),
    PIECE_LENGTH("place.piece.*.length", "length of the piece"),
    PIECE_DIAMETER("place.piece.*.diameter", "diameter of the piece"),
    PIECE_WALL("place.piece.*.wall", "wall of the piece"),
    PIECE_SLOPE("place.piece.*.slope", "slope of the piece"),
    PIECE_END_SLOPE("place.piece.*.endSlope", "slope at the piece's end"),
    PIECE_HEADING("place.piece.*.heading", "turn of the piece"),
    NEIGHBOURS("place.neighbour.add", "what lies around the pipe"),
    NEIGHBOUR_FROM("place.neighbour.*.from", "where it begins"),
    NEIGHBOUR_TO("place.neighbour.*.to", "where it ends"),
    NEIGHBOUR_GAP("place.neighbour.*.gap", "gap to the pipe"),
    STAND_OUT("place.standout", "how far the sensor stands out"),
    GAS("place.*.gas", "hottest gas measured there"),
    LEAD("place.lead", "length of the lead"),
    EXTENSION("place.extension", "length of the extension"),
    LEAD_EXIT("place.lead.exit", "where the lead leaves the pipe"),
    LEAD_ONWARD("place.lead.onward", "way from there to the controller"),
    PITCH("place.pitch", "how far the nose is up"),
    ROLL("place.roll", "how far the right side is up"),
    BUNG_DIAMETER("place.bung.diameter", "the bung's diameter"),
    BUNG_LIP("place.bung.lip", "the hole it needs"),
    FITTED_DISTANCE("place.fitted.distance", "distance as fitted"),
    FITTED_READING("place.fitted.reading", "tilt read on the body"),
    FITTED_ALONG("place.fitted.along", "the car's tilt then, along"),
    FITTED_ACROSS("place.fitted.across", "the car's tilt then, across"),
    FITTED_TIGHT("place.fitted.tight", "airtight test");

    private final String path;
    private final String words;

    PlaceField(String path, String words) {
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
