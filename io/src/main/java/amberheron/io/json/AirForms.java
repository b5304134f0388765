package amberheron.io.json;

import static amberheron.io.json.CommonForms.source;
import static amberheron.io.json.Value.SHORT;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.choices;
import static amberheron.io.json.Value.date;
import static amberheron.io.json.Value.integer;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.moment;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.object;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.objectUnless;
import static amberheron.io.json.Value.text;
import static amberheron.io.json.Value.textOrEmpty;
import static amberheron.io.json.Value.texts;

import amberheron.core.controller.CalibrationSchool;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.ControllerSheet.Sign;
import amberheron.core.controller.InAir;
import amberheron.core.controller.State;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.AirOfDay;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.PressureReading;
import amberheron.core.freeair.Steadiness;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;

/** The free-air check, with the controller it was done on. */
final class AirForms {
    private static final double MOST = 1e6;

    private static final RecordForm<InAir> IN_AIR = RecordForm.of(InAir::new,
            choice("kind", InAir::kind, InAir.Kind.values()),
            numberOrNull("value", InAir::value).within(Sane.MIXTURE).about("oxygen 0 to 1, or lambda"));

    private static final RecordForm<Sign> SIGN = RecordForm.of(Sign::new, text("seen", Sign::seen),
            choice("state", Sign::state, State.values()));

    /**
     * Behaviour of a controller, from its maker's paper.
     *
     * <pre>
     * {"id": "learner", "name": "Learns in air", "school": "clear-then-learn", "warmUp": 45, "placeholder": 1.0,
     *  "inAir": {"kind": "learned", "value": 0.207}, "signs": [{"seen": "two dashes", "state": "no-sensor"}],
     *  "laws": ["straight-lambda"]}
     * </pre>
     *
     * {@code school}: {@code clear-then-learn}, {@code trim-by-hand} or {@code factory-trimmed}. {@code warmUp} in seconds,
     * {@code placeholder} in lambda or null. {@code inAir.kind}: {@code learned} (then the oxygen it shows as {@code value}),
     * {@code of-the-day}, or {@code top} (then the leanest lambda it shows, or null).
     */
    static final RecordForm<ControllerSheet> CONTROLLER = RecordForm.of(ControllerSheet::new,
            text("id", ControllerSheet::id).most(SHORT),
            text("name", ControllerSheet::name).called(AirField.CONTROLLER),
            choice("school", ControllerSheet::school, CalibrationSchool.values()),
            number("warmUp", ControllerSheet::warmUp).within(1, 900).about("s"),
            numberOrNull("placeholder", ControllerSheet::placeholder).within(Sane.MIXTURE).about("lambda"),
            object("inAir", ControllerSheet::inAir, IN_AIR), list("signs", ControllerSheet::signs, SIGN),
            texts("laws", ControllerSheet::laws), source(ControllerSheet::source));

    private static final RecordForm<AirOfDay> AIR_OF_DAY = RecordForm.of(AirOfDay::new,
            numberOrNull("temperature", AirOfDay::temperature).within(Sane.AIR_TEMPERATURE).about("K")
                    .called(AirField.TEMPERATURE, Dimension.TEMPERATURE),
            numberOrNull("humidity", AirOfDay::humidity).within(Sane.PART).about("0 to 1")
                    .called(AirField.HUMIDITY, Dimension.FRACTION),
            numberOrNull("height", AirOfDay::height).within(Sane.HEIGHT).about("m")
                    .called(AirField.HEIGHT, Dimension.LENGTH),
            numberOrNull("pressure", AirOfDay::pressure).within(Sane.AIR_PRESSURE).about("as it was read, Pa")
                    .called(AirField.PRESSURE, Dimension.PRESSURE),
            choiceOrNull("pressureReading", AirOfDay::reading, PressureReading.values()).called(AirField.READING),
            numberOrNull("drivenHeight", AirOfDay::drivenHeight).within(Sane.HEIGHT)
                    .about("where the car is driven, m; null for here").called(AirField.DRIVEN, Dimension.LENGTH));

    private static final RecordForm<Steadiness> STEADINESS = RecordForm.of(Steadiness::new,
            integer("count", Steadiness::count).within(3, MOST),
            number("seconds", Steadiness::seconds).within(Sane.TIME),
            number("drift", Steadiness::drift).within(-MOST, MOST).about("part of the reading in a minute"),
            number("driftDoubt", Steadiness::driftDoubt).within(0, MOST),
            number("scatter", Steadiness::scatter).within(0, MOST), integer("wild", Steadiness::wild).within(0, MOST));

    private static final RecordForm<Coaching> COACHING = RecordForm.of(Coaching::new,
            choice("step", Coaching::step, CoachStep.values()), moment("since", Coaching::since),
            choice("trouble", Coaching::trouble, Coaching.Trouble.values()),
            choiceOrNull("from", Coaching::from, CoachStep.values()));

    static final RecordForm<FreeAirCheck> AIR = RecordForm.of(FreeAirCheck::new,
            objectOrNull("controller", FreeAirCheck::controller, CONTROLLER), AIR_OF_DAY.inlined(FreeAirCheck::today),
            choices("conditions", FreeAirCheck::conditions, Condition.values()),
            numberOrNull("shownOxygen", FreeAirCheck::shownOxygen).within(Sane.PART).about("0 to 1")
                    .called(AirField.SHOWN, Dimension.FRACTION),
            numberOrNull("shownLambda", FreeAirCheck::shownLambda).within(Sane.MIXTURE).about("lambda")
                    .called(AirField.MIXTURE, Dimension.MIXTURE),
            numberOrNull("displayEnd", FreeAirCheck::displayEnd).within(Sane.MIXTURE)
                    .about("leanest mixture that the display can show, lambda")
                    .called(AirField.DISPLAY_END, Dimension.MIXTURE),
            numberOrNull("settled", FreeAirCheck::settled).within(Sane.TIME).about("s")
                    .called(AirField.SETTLED, Dimension.DURATION),
            objectOrNull("steadiness", FreeAirCheck::steadiness, STEADINESS),
            objectUnless("coaching", FreeAirCheck::coaching, COACHING, Coaching.NONE),
            date("date", FreeAirCheck::date),
            textOrEmpty("sensor", FreeAirCheck::sensor).about("number or mark of the sensor that was checked")
                    .called(AirField.SENSOR),
            numberOrNull("ageing", FreeAirCheck::ageing).within(Sane.PART)
                    .about("most the sensor's gain changes in a month, part of it"));

    private AirForms() {
    }
}
