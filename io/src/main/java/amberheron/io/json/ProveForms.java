package amberheron.io.json;

import static amberheron.io.json.CommonForms.DIGEST;
import static amberheron.io.json.Value.choice;
import static amberheron.io.json.Value.choiceOrNull;
import static amberheron.io.json.Value.choices;
import static amberheron.io.json.Value.flagOrNot;
import static amberheron.io.json.Value.integer;
import static amberheron.io.json.Value.list;
import static amberheron.io.json.Value.moment;
import static amberheron.io.json.Value.momentOrNull;
import static amberheron.io.json.Value.number;
import static amberheron.io.json.Value.numberOrNull;
import static amberheron.io.json.Value.numbers;
import static amberheron.io.json.Value.objectOr;
import static amberheron.io.json.Value.objectOrNull;
import static amberheron.io.json.Value.rows;
import static amberheron.io.json.Value.text;

import amberheron.core.drivelog.Agreement;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.Crossings;
import amberheron.core.drivelog.DriveEvent;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Held;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LinkReading;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.LogField;
import amberheron.core.drivelog.Regime;
import amberheron.core.drivelog.Sample;
import amberheron.core.drivelog.Witness;
import amberheron.core.job.Output;
import amberheron.core.job.RoadTest;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.trim.TrimSheet;
import amberheron.core.units.Dimension;
import amberheron.core.units.Sane;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A proving log as it is kept with the job, and what is noted of the drive besides. */
final class ProveForms {
    private static final RecordForm<LogComparison> COMPARISON = RecordForm.of(LogComparison::new,
            integer("samples", LogComparison::samples).within(1, 1e9),
            number("duration", LogComparison::duration).about("s"),
            number("bias", LogComparison::bias).about("lambda"),
            number("spread", LogComparison::spread).about("lambda"),
            number("worst", LogComparison::worst).about("lambda"),
            number("worstAt", LogComparison::worstAt).about("s"),
            numberOrNull("richest", LogComparison::richest).about("least the controller showed, lambda"),
            numberOrNull("leanest", LogComparison::leanest).about("greatest the controller showed, lambda"),
            numberOrNull("gain", LogComparison::gain)
                    .about("what the reader makes of one lambda more at the controller"),
            rows("trace", LogComparison::trace, 3, s -> new Sample(s.numberAt(0), s.numberAt(1), s.numberAt(2)),
                    (row, s) -> row.add(s.time()).add(s.controller()).add(s.reader())).needed()
                    .about("rows of s, controller lambda, reader lambda"));

    private static final RecordForm<Agreement> AGREEMENT = RecordForm.of(Agreement::new,
            number("offset", Agreement::offset), number("offsetLow", Agreement::offsetLow),
            number("offsetHigh", Agreement::offsetHigh), numberOrNull("gain", Agreement::gain),
            numberOrNull("gainLow", Agreement::gainLow), numberOrNull("gainHigh", Agreement::gainHigh),
            numberOrNull("lag", Agreement::lag).about("s"), numberOrNull("averaging", Agreement::averaging).about("s"),
            integer("pairs", Agreement::pairs),
            rows("bins", Agreement::bins, 3,
                    b -> new Agreement.Bin(b.numberAt(0), b.numberAt(1), (int) b.numberAt(2)),
                    (row, b) -> row.add(b.told()).add(b.shown()).add(b.moments())));

    private static final RecordForm<Regime> REGIME = RecordForm.of(Regime::new,
            choice("kind", Regime::kind, Regime.Kind.values()), number("from", Regime::from).about("s"),
            number("to", Regime::to).about("s"), number("lambda", Regime::lambda),
            numberOrNull("low", Regime::low).about("lambda"), numberOrNull("high", Regime::high).about("lambda"));

    private static final RecordForm<DriveEvent> EVENT = RecordForm.of(DriveEvent::new,
            choice("kind", DriveEvent::kind, DriveEvent.Kind.values()), number("from", DriveEvent::from).about("s"),
            number("to", DriveEvent::to).about("s"), number("lambda", DriveEvent::lambda),
            numberOrNull("load", DriveEvent::load));

    private static final RecordForm<DriveFound.Column> COLUMN = RecordForm.of(DriveFound.Column::new,
            choice("channel", DriveFound.Column::channel, LogChannel.values(), LogChannel::key),
            text("name", DriveFound.Column::name).most(Value.NOTE),
            text("quantity", DriveFound.Column::quantity).most(Value.NOTE),
            text("because", DriveFound.Column::because).most(Value.NOTE));

    private static final RecordForm<Held> HELD = RecordForm.of(Held::new, number("cruising", Held::cruising),
            number("underLoad", Held::underLoad));

    private static final RecordForm<Crossings> CROSSINGS = RecordForm.of(Crossings::new,
            integer("steps", Crossings::steps), number("lambda", Crossings::lambda),
            number("doubt", Crossings::doubt));

    private static final RecordForm<Fuelling> FUELLING = RecordForm.of(Fuelling::new,
            choice("axis", Fuelling::axis, LoadAxis.values()),
            rows("spots", Fuelling::spots, 6,
                    s -> new Fuelling.Spot(s.numberAt(0), s.numberAt(1), s.numberAt(2), (int) s.numberAt(3),
                            s.numberAt(4), s.numberAt(5)),
                    (row, s) -> row.add(s.speed()).add(s.load()).add(s.seconds()).add(s.visits()).add(s.lambda())
                            .add(s.spread()))
                    .about("rows of 1/min, load in SI, s, visits, lambda, spread"),
            // Each gate is named, so that an earlier drive's do not stay.
            objectOr("leftOut", Fuelling::leftOut, RecordForm.numbersBy(Fuelling.Gate.class, Cursor::id, true,
                    Sane.TIME, gate -> null), Map.of()).about("s"),
            numberOrNull("distance", Fuelling::distance).about("m"),
            numberOrNull("settled", Fuelling::settled).within(Sane.GAS_TEMPERATURE).about("K"))
            .first("axis", "distance", "leftOut");

    private static final RecordForm<Clocks> CLOCKS = RecordForm.of(Clocks::new,
            choice("by", Clocks::by, LogChannel.values(), LogChannel::key),
            number("shift", Clocks::shift).about("s"), number("drift", Clocks::drift),
            number("doubt", Clocks::doubt).about("s"));

    private static final RecordForm<Joined> JOINED_LOG = RecordForm.of(Joined::new, text("file", Joined::file),
            text("digest", Joined::digest).most(DIGEST), CLOCKS.inlined(Joined::clocks));

    /** Ways of running that the log cannot tell, as document and result say it alike. */
    static final Part<DriveFound, Set<Regime.Kind>> NOT_TOLD = choices("notTold", DriveFound::notTold,
            Regime.Kind.values());

    /** Events that have to be acted on, as document and result say them alike. */
    static final Part<DriveFound, List<DriveEvent>> EVENTS = list("events", DriveFound::events, EVENT);

    /** The second log and how the clocks go, as document and result say it alike. */
    static final Part<DriveFound, @Nullable Joined> JOINED = objectOrNull("joined", DriveFound::joined, JOINED_LOG);

    private static final RecordForm<DriveFound> FOUND = RecordForm.of(DriveFound::new,
            objectOrNull("agreement", DriveFound::agreement, AGREEMENT), integer("lost", DriveFound::lost),
            integer("frozen", DriveFound::frozen),
            Value.integerOrNull("openings", DriveFound::openings), list("regimes", DriveFound::regimes, REGIME),
            NOT_TOLD, EVENTS,
            list("columns", DriveFound::columns, COLUMN), objectOrNull("held", DriveFound::held, HELD),
            objectOrNull("crossings", DriveFound::crossings, CROSSINGS),
            objectOrNull("fuelling", DriveFound::fuelling, FUELLING), JOINED);

    private static final RecordForm<Output.Earlier> EARLIER = RecordForm.of(Output.Earlier::new,
            text("digest", Output.Earlier::digest).most(DIGEST), moment("read", Output.Earlier::read));

    static final RecordForm<Output.Proving> PROVING = RecordForm.of(Output.Proving::new,
            text("file", Output.Proving::file).called(LogField.FILE),
            text("digest", Output.Proving::digest).most(DIGEST),
            CommonForms.origin(Output.Proving::origin),
            momentOrNull("driven", Output.Proving::driven).about("when the drive ended, by the log or its file"),
            list("earlier", Output.Proving::earlier, EARLIER).about("logs read before for the same output"),
            COMPARISON.inlined(Output.Proving::result),
            objectOrNull("found", Output.Proving::found, FOUND)
                    .about("what the drive says besides: how reader and controller agree, how the engine was run, what has to be acted on"))
            .first("file", "digest", "samples", "duration", "bias", "spread", "worst", "worstAt", "richest", "leanest",
                    "gain", "origin", "trace");

    private static final RecordForm<GasAnalysis> GAS = RecordForm.of(GasAnalysis::new,
            numberOrNull("carbonDioxide", GasAnalysis::carbonDioxide).within(Sane.PART).about("part of the dry gas")
                    .called(LogField.CARBON_DIOXIDE, Dimension.FRACTION),
            numberOrNull("carbonMonoxide", GasAnalysis::carbonMonoxide).within(Sane.PART).about("part of the dry gas")
                    .called(LogField.CARBON_MONOXIDE, Dimension.FRACTION),
            numberOrNull("hydrocarbons", GasAnalysis::hydrocarbons).within(Sane.PART)
                    .about("as hexane, part of the dry gas"),
            numberOrNull("oxygen", GasAnalysis::oxygen).within(Sane.PART).about("part of the dry gas")
                    .called(LogField.OXYGEN, Dimension.FRACTION),
            numberOrNull("nitricOxide", GasAnalysis::nitricOxide).within(Sane.PART).about("part of the dry gas"));

    private static final RecordForm<Witness> WITNESS = RecordForm.of(Witness::new, GAS.inlined(Witness::gas),
            numberOrNull("shown", Witness::shown).within(Sane.MIXTURE).about("λ")
                    .called(LogField.SHOWN, Dimension.MIXTURE),
            choiceOrNull("act", Witness::act, Witness.Act.values()).called(LogField.ACT),
            numberOrNull("before", Witness::before).within(Sane.MIXTURE).about("λ")
                    .called(LogField.BEFORE, Dimension.MIXTURE),
            numberOrNull("after", Witness::after).within(Sane.MIXTURE).about("λ")
                    .called(LogField.AFTER, Dimension.MIXTURE));

    private static final RecordForm<LinkReading> LINK = RecordForm.of(LinkReading::new,
            objectOrNull("linkScale", LinkReading::scale, CommonForms.quantity(LogField.LINK_SCALE))
                    .about("what the reader's numbers are"),
            objectOr("first", LinkReading::first, pair(LogField.LINK_TOLD_FIRST, LogField.LINK_SHOWN_FIRST),
                    LinkReading.NONE.first()),
            objectOr("second", LinkReading::second, pair(LogField.LINK_TOLD_SECOND, LogField.LINK_SHOWN_SECOND),
                    LinkReading.NONE.second()));

    private static final RecordForm<TrimSheet.BinTarget> TOLD = RecordForm.of(TrimSheet.BinTarget::new,
            number("speed", TrimSheet.BinTarget::speed), number("load", TrimSheet.BinTarget::load),
            numberOrNull("target", TrimSheet.BinTarget::target).about("λ"),
            numberOrNull("given", TrimSheet.BinTarget::given).about("fuel given, as a part"));

    private static final RecordForm<TrimSheet> TRIMS = RecordForm.of(TrimSheet::new,
            numbers("speeds", TrimSheet::speeds).within(0, 1e9).mostEntries(TrimSheet.MOST),
            numbers("loads", TrimSheet::loads).within(0, 1e9).mostEntries(TrimSheet.MOST),
            list("told", TrimSheet::targets, TOLD),
            flagOrNot("leaner", TrimSheet::leaner).about("whether less fuel at full load was asked for"));

    static final RecordForm<RoadTest> ROAD_TEST = RecordForm.of(RoadTest::new,
            objectOr("witness", RoadTest::witness, WITNESS, Witness.NONE)
                    .about("what else says what the mixture is: a gas analyser, a change made on purpose"),
            objectOr("link", RoadTest::link, LINK, LinkReading.NONE)
                    .about("what a reader shows that gets its numbers by a link, at two mixtures"),
            objectOr("trims", RoadTest::trims, TRIMS, TrimSheet.NONE)
                    .about("the shop's own bins of speed (1/min) and load (Pa, part of full, or kg a turn), what is wanted and what was given there"));

    private ProveForms() {
    }

    private static RecordForm<LinkReading.Pair> pair(LogField told, LogField shown) {
        return RecordForm.of(LinkReading.Pair::new,
                numberOrNull("controller", LinkReading.Pair::controller).within(Sane.SHOWN).called(told)
                        .about("as the controller's own display shows it"),
                numberOrNull("reader", LinkReading.Pair::reader).within(Sane.SHOWN).called(shown)
                        .about("as the reader shows it"));
    }
}
