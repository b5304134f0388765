package amberheron.io.json;

import static amberheron.io.json.Value.NOTE;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.date;
import static amberheron.io.json.Value.flag;
import static amberheron.io.json.Value.flagOrNull;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.numbered;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.partId;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOr;
import static amberheron.io.json.Value.textOrEmpty;
import static amberheron.io.json.Value.textOrNull;

import amberheron.core.placement.AsFitted;
import amberheron.core.placement.Attitude;
import amberheron.core.placement.Bung;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.Neighbour;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.Placing;
import amberheron.core.placement.Probe;
import amberheron.core.placement.Segment;
import amberheron.core.placement.Segment.Line;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;

/** The exhaust with what lies around it, the places considered, the one taken and how it was fitted. */
final class PlaceForms {
    private static final RecordForm<Segment> SEGMENT = RecordForm.of(Segment::new,
            choice("line", Segment::line, Line.values()),
            choice("kind", Segment::kind, Segment.Kind.values()).called("kind of the piece"),
            numberOrNull("length", Segment::length).within(Sane.LENGTH).about("m along the centre line")
                    .called(PlaceField.PIECE_LENGTH, Dimension.LENGTH),
            numberOrNull("diameter", Segment::diameter).within(Sane.BORE).about("m, outer")
                    .called(PlaceField.PIECE_DIAMETER, Dimension.LENGTH),
            numberOrNull("wall", Segment::wall).within(Sane.BORE).about("m")
                    .called(PlaceField.PIECE_WALL, Dimension.LENGTH),
            numberOrNull("slope", Segment::slope).within(Sane.ANGLE)
                    .about("rad where the gas enters, positive when it rises with the gas; null when not measured")
                    .called(PlaceField.PIECE_SLOPE, Dimension.ANGLE),
            numberOrNull("endSlope", Segment::endSlope).within(Sane.ANGLE)
                    .about("rad where it leaves; null for a straight piece")
                    .called(PlaceField.PIECE_END_SLOPE, Dimension.ANGLE),
            number("heading", Segment::heading).within(Sane.ANGLE)
                    .about("rad away from straight back, positive to the car's right")
                    .called(PlaceField.PIECE_HEADING, Dimension.ANGLE),
            partId(Segment::id)).first("id");

    private static final RecordForm<Neighbour> NEIGHBOUR = RecordForm.of(Neighbour::new,
            choice("kind", Neighbour::kind, Neighbour.Kind.values()).called("what lies beside the pipe"),
            choice("side", Neighbour::side, Neighbour.Side.values()),
            number("from", Neighbour::from).within(Sane.PLACE).about("m along the run")
                    .called(PlaceField.NEIGHBOUR_FROM, Dimension.LENGTH),
            number("to", Neighbour::to).within(Sane.PLACE).about("m along the run")
                    .called(PlaceField.NEIGHBOUR_TO, Dimension.LENGTH),
            numberOrNull("gap", Neighbour::gap).within(Sane.GAP)
                    .about("m from the pipe's outside; null when not measured")
                    .called(PlaceField.NEIGHBOUR_GAP, Dimension.LENGTH),
            partId(Neighbour::id)).first("id");

    private static final RecordForm<Attitude> ATTITUDE = RecordForm.of(Attitude::new,
            number("pitch", Attitude::pitch).within(Sane.ANGLE).about("rad, nose up")
                    .called(PlaceField.PITCH, Dimension.ANGLE),
            number("roll", Attitude::roll).within(Sane.ANGLE).about("rad, right side up")
                    .called(PlaceField.ROLL, Dimension.ANGLE));

    static final RecordForm<Exhaust> EXHAUST = RecordForm.of(Exhaust::new,
            numbered("segments", Exhaust::segments, SEGMENT, Segment::id, Segment::withId).needed()
                    .about("in the order the gas meets them; of two banks first the one, then the other, then what both share"),
            numbered("neighbours", Exhaust::neighbours, NEIGHBOUR, Neighbour::id, Neighbour::withId),
            object("attitude", Exhaust::attitude, ATTITUDE).about("the car on its wheels"));

    private static final RecordForm<Candidate> CANDIDATE = RecordForm.of(Candidate::new,
            text("id", Candidate::id).most(SHORT)
                    .about("finds the part wherever it stands; no two parts of a job that anybody adds have the same"),
            textOr("letter", Candidate::letter, (at, field) -> at.text("id")).most(SHORT)
                    .about("what people call the place; its id where it is not said"),
            textOrEmpty("note", Candidate::note).most(NOTE).called("what the place is"),
            choice("line", Candidate::line, Line.values()),
            numberOrNull("distance", Candidate::distance).within(Sane.PLACE).about("m after the turbine or manifold")
                    .called(PlaceField.DISTANCE, Dimension.LENGTH),
            numberOrNull("clock", Candidate::clock).within(Sane.ANGLE)
                    .about("rad from 12 o'clock, positive towards 3, seen from behind")
                    .called(PlaceField.CLOCK, Dimension.ANGLE),
            numberOrNull("slope", Candidate::slope).within(Sane.ANGLE)
                    .about("rad as measured there; null for the run's").called(PlaceField.SLOPE, Dimension.ANGLE),
            number("lean", Candidate::lean).within(Sane.ANGLE).about("rad with the gas")
                    .called(PlaceField.LEAN, Dimension.ANGLE),
            choice("hole", Candidate::hole, Candidate.Hole.values()),
            numberOrNull("gas", Candidate::gas).within(Sane.GAS_TEMPERATURE).about("hottest gas measured there, K")
                    .called(PlaceField.GAS, Dimension.TEMPERATURE));

    private static final RecordForm<Probe> PROBE = RecordForm.of(Probe::new,
            numberOrNull("standOut", Probe::standOut).within(Sane.BORE).about("m")
                    .called(PlaceField.STAND_OUT, Dimension.LENGTH),
            numberOrNull("leadExit", Probe::leadExit).within(Sane.PLACE).about("m along the run")
                    .called(PlaceField.LEAD_EXIT, Dimension.LENGTH),
            numberOrNull("leadOnward", Probe::leadOnward).within(Sane.LENGTH).about("m")
                    .called(PlaceField.LEAD_ONWARD, Dimension.LENGTH))
            .formerly("lead", Value.limited(Value.either("number"), Sane.LENGTH.min(), Sane.LENGTH.max())
                    .put("description", "m; it stands in the wiring's route"))
            .first("standOut", "lead");

    private static final RecordForm<Bung> BUNG = RecordForm.of(Bung::new,
            number("diameter", Bung::diameter).within(Sane.BORE).about("m")
                    .called(PlaceField.BUNG_DIAMETER, Dimension.LENGTH),
            number("lip", Bung::lip).within(Sane.BORE).about("m").called(PlaceField.BUNG_LIP, Dimension.LENGTH),
            flag("stepped", Bung::stepped));

    private static final RecordForm<AsFitted> AS_FITTED = RecordForm.of(AsFitted::new,
            numberOrNull("distance", AsFitted::distance).within(Sane.PLACE).about("m")
                    .called(PlaceField.FITTED_DISTANCE, Dimension.LENGTH),
            numberOrNull("reading", AsFitted::reading).within(Sane.ANGLE).about("rad, tilt of the body as read")
                    .called(PlaceField.FITTED_READING, Dimension.ANGLE),
            number("along", AsFitted::along).within(Sane.ANGLE).about("rad, level along the car, nose up")
                    .called(PlaceField.FITTED_ALONG, Dimension.ANGLE),
            number("across", AsFitted::across).within(Sane.ANGLE).about("rad, level across the car, right side up")
                    .called(PlaceField.FITTED_ACROSS, Dimension.ANGLE),
            date("date", AsFitted::date), flagOrNull("airtight", AsFitted::airtight).called(PlaceField.FITTED_TIGHT),
            list("photos", AsFitted::photos, CommonForms.PHOTO));

    static final RecordForm<Placing> PLACING = RecordForm.of(Placing::new,
            list("candidates", Placing::candidates, CANDIDATE),
            textOrNull("chosen", Placing::chosen).called("the place taken"), object("probe", Placing::probe, PROBE),
            object("bung", Placing::bung, BUNG), object("fitted", Placing::fitted, AS_FITTED));

    private PlaceForms() {
    }
}
