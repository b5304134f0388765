package amberheron.app.scaling;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.bench.Bench;
import amberheron.bench.SimulatedBench;
import amberheron.core.controller.Report;
import amberheron.core.controller.State;
import amberheron.core.job.Job;
import amberheron.core.job.JobCheck;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.ScaleReport;
import amberheron.core.scaling.Settled;
import amberheron.core.scaling.SignalChain;
import amberheron.core.scaling.WireEffect;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.Phrase;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import amberheron.core.wiring.WireRules;
import amberheron.io.TextFiles;
import amberheron.io.csv.CheckPointCsv;
import amberheron.io.kind.FileKind;
import amberheron.io.pack.HandOverPack;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Model of the Scale station. */
public final class ScaleModel implements StationModel {
    static final int WANTED = 4;
    static final QuantityField VOLTS = QuantityField.of("Applied", Unit.VOLT, 0, 5);

    @Override
    public String subtitle() {
        return say("What the reader must be told, and whether it then shows the truth");
    }

    @Override
    public String figure(Session session) {
        Optional<Diagnosis> diagnosis = session.review().diagnosis();
        if (session.isOpen() && session.review().state(Station.SCALE) == LinkState.OUT_OF_TOLERANCE
                && session.review().own(Station.SCALE) != LinkState.OUT_OF_TOLERANCE) {
            return say("another reader lies");
        }
        if (diagnosis.isPresent()) {
            ScaleReport.Worst worst = diagnosis.get().worst();
            return diagnosis.get().withinTolerance()
                    ? say("agrees within %s", Figures.text(session,
                            new Measure(Math.max(1e-4, Math.abs(worst.lambda())), Dimension.MIXTURE, 4)))
                    : diagnosis.get().writtenWrong()
                            ? say("readings to take again")
                            : say("shows %s at %s", Figures.text(session, Figures.leanOrRich(worst.lambda())),
                                    Figures.mixture(session, worst.atLambda()));
        }
        return session.review().scale().isPresent()
                ? say("set, nothing checked yet")
                : session.isOpen() ? say("no law and reader yet") : "";
    }

    /** Whether the engine is to run for the next check point: first it stands, until those points are spread over the range. */
    static CheckPoint.Engine nextEngine(Session session) {
        List<JobCheck> lacks = session.review().lacks();
        return lacks.contains(JobCheck.LAW) || lacks.contains(JobCheck.ENGINE_OFF)
                ? CheckPoint.Engine.OFF
                : CheckPoint.Engine.RUNNING;
    }

    /** The check points that would say most, spread over the range: first among those of this state of the engine. */
    static Optional<Double> nextVolts(Session session) {
        OutputLaw law = session.job().law();
        if (law == null) {
            return Optional.empty();
        }
        List<CheckPoint> points = session.review().points();
        boolean enough = points.size() >= WANTED && session.review().lacks().isEmpty();
        Optional<Double> splits = session.review().diagnosis().filter(d -> !d.withinTolerance() || enough)
                .map(Diagnosis::nextPoint).map(n -> n.volts());
        if (splits.isPresent()) {
            return splits;
        }
        CheckPoint.Engine engine = nextEngine(session);
        List<Double> taken = points.stream().map(p -> p.outputVolts(law)).toList();
        List<Double> alike = points.stream().filter(p -> p.engine() == engine).map(p -> p.outputVolts(law)).toList();
        double low = Math.max(0, law.lowestVolts());
        double high = Math.min(5, law.highestVolts());
        List<Double> spread = new ArrayList<>();
        for (double part : new double[]{0.1, 0.9, 0.5, 0.3, 0.7}) {
            spread.add(Math.round(20 * (low + part * (high - low))) / 20.0);
        }
        return spread.stream().max(Comparator.comparingDouble(
                v -> apart(v, alike, high - low) + apart(v, taken, high - low) / 8 - 1e-6 * spread.indexOf(v)));
    }

    private static double apart(double volts, List<Double> taken, double most) {
        return taken.stream().mapToDouble(t -> Math.abs(t - volts)).min().orElse(most);
    }

    /**
     * The bench that takes readings: a stand-in whose wire has the ground shift that this job's own wiring predicts.
     */
    static Optional<Bench> bench(Job job, Session session) {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        Optional<ReaderSetting> setting = session.review().scale().map(ScaleReport::setting);
        if (law == null || reader == null || setting.isEmpty()) {
            return Optional.empty();
        }
        WireEffect wire = WireRules.effect(job.wiring(), job.intake().readers());
        return Optional.of(new SimulatedBench(new SignalChain(law, wire, reader, setting.get()),
                job.points().size() + 1L));
    }

    /** Takes one reading at the volts that say most. */
    void take(Session session) {
        Optional<Bench> bench = bench(session.job(), session);
        Optional<Double> volts = nextVolts(session);
        if (bench.isPresent() && volts.isPresent()) {
            Bench.Reading reading = bench.get().take(volts.get());
            add(session, new CheckPoint(reading.volts(), null, reading.shown(), "",
                    session.read(bench.get().name(), true, session.now()), nextEngine(session)));
        }
    }

    private static void add(Session session, CheckPoint point) {
        session.edit(say("check point"), j -> j.withPoint(point));
    }

    /**
     * A check point as it is typed.
     *
     * @param gauge what the controller's own gauge shows, in its own quantity
     */
    record Typed(String volts, String gauge, String shown, CheckPoint.@Nullable Engine engine) {
        Typed(String volts, String shown) {
            this(volts, "", shown, null);
        }
    }

    /**
     * Adds a point as typed; without volts or gauge it is what the controller on the desk says just now.
     *
     * @return what is wrong with it; empty when it was added
     */
    String add(Session session, Typed typed) {
        if (typed.volts().isBlank() && typed.gauge().isBlank() && session.controller().connected()) {
            Reader reader = session.job().reader();
            return reader == null ? say("Choose a reader first.") : addFromController(session, reader, typed);
        }
        try {
            add(session, point(session, typed));
            return "";
        } catch (Unusable e) {
            return String.valueOf(e.getMessage());
        }
    }

    /**
     * Takes a point anew as it is typed now; it keeps its note.
     *
     * @return what is wrong with it; empty when it was changed
     */
    String change(Session session, CheckPoint point, Typed typed) {
        if (typed.equals(typed(session, point))) {
            return "";
        }
        if (!point.origin().real()) {
            return say("This one is simulated and stays so: remove it and take a real one.");
        }
        try {
            CheckPoint now = point(session, typed);
            session.edit(say("check point changed"), j -> j.withPoints(j.points().stream()
                    .map(p -> p.id().equals(point.id())
                            ? new CheckPoint(now.volts(), now.truth(), now.shown(), p.note(), now.origin(),
                                    now.engine(), p.id())
                            : p)
                    .toList()));
            return "";
        } catch (Unusable e) {
            return String.valueOf(e.getMessage());
        }
    }

    /** A point in the words it would be typed in. */
    static Typed typed(Session session, CheckPoint point) {
        OutputLaw law = session.job().law();
        MixtureScale own = session.job().gauge();
        Double truth = point.truth();
        return new Typed(point.volts() == null ? "" : number(point.volts()),
                truth == null || law == null
                        ? ""
                        : number(own == null ? truth : own.fromLambda(law.scale().toLambda(truth))),
                number(point.shown()), point.engine());
    }

    private static String number(double value) {
        return Phrase.shown(new BigDecimal(value).round(new MathContext(9)).stripTrailingZeros().toPlainString());
    }

    /** Adds pasted rows of volts and number shown, or of volts, the controller's own display and number shown, as one step. */
    void paste(Session session, List<List<String>> rows, CheckPoint.Engine engine) {
        List<CheckPoint> points = new ArrayList<>();
        for (List<String> row : rows) {
            try {
                if (row.size() < 2 || row.size() > 3) {
                    throw new Unusable(say("found %d cells, expected volts and number shown, or volts, own display and "
                            + "number shown", row.size()));
                }
                points.add(point(session, new Typed(row.getFirst(), row.size() == 3 ? row.get(1) : "", row.getLast(),
                        engine)));
            } catch (Unusable e) {
                session.tell(say("Nothing was pasted. Row %d: %s", points.size() + 1, e.getMessage()));
                return;
            }
        }
        session.edit(count("1 row pasted", "%d rows pasted", points.size()), j -> {
            Job job = j;
            for (CheckPoint p : points) {
                job = job.withPoint(p);
            }
            return job;
        });
    }

    /**
     * Returns a point as it is typed.
     *
     * @throws Unusable where it cannot be used
     */
    private static CheckPoint point(Session session, Typed typed) {
        Reader reader = session.job().reader();
        OutputLaw law = session.job().law();
        if (reader == null || law == null) {
            throw new Unusable(reader == null ? say("Choose a reader first.") : say("Choose the output law first."));
        }
        MixtureScale own = Objects.requireNonNullElse(session.job().gauge(), law.scale());
        Double truth = typed.gauge().isBlank() ? null : value(gaugeField(own).parse(typed.gauge(), 1));
        Double volts = typed.volts().isBlank() && truth != null ? null : value(VOLTS.parse(typed.volts(), 1));
        return new CheckPoint(volts, truth == null ? null : law.scale().fromLambda(own.toLambda(truth)),
                value(shownField(reader).parse(typed.shown(), 1)), "", session.typed(), typed.engine());
    }

    private static Double value(Parsed parsed) {
        return switch (parsed) {
            case Parsed.Value v -> v.si();
            case Parsed.Bad bad -> throw new Unusable(bad.message());
        };
    }

    private static QuantityField gaugeField(MixtureScale scale) {
        return QuantityField.of(say("Gauge, in %s", scale.label()), Unit.ONE, scale.fromLambda(0.3),
                scale.fromLambda(3));
    }

    private static String addFromController(Session session, Reader reader, Typed typed) {
        ControllerDesk desk = session.controller();
        OutputLaw law = session.job().law();
        Optional<Report> live = desk.live();
        if (law == null || live.isEmpty()) {
            return law == null
                    ? say("Choose the output law first.")
                    : say("The controller says nothing just now: look at the link, or enter the volts.");
        }
        State state = live.get().state();
        if (state != null && !state.counts()) {
            return say("The controller says “%s”: what it shows is no measurement yet.", state.words());
        }
        if (live.get().lambda() == null && live.get().volts() == null) {
            return say("The controller sends neither mixture nor volts: enter the volts.");
        }
        Settled settled = Settled.of(desk.lately(), law).orElse(null);
        if (settled == null || !settled.stands()) {
            return settled == null
                    ? say("Wait until it has stood for %.0f seconds.", Settled.LONG_ENOUGH)
                    : say("It still moves, from %.3f to %.3f in the last %.0f seconds: hold it, then take it.",
                            settled.least(), settled.most(), Settled.LONG_ENOUGH);
        }
        Double lambda = settled.lambda();
        Double volts = settled.volts();
        Parsed shown = shownField(reader).parse(typed.shown(), 1);
        if (shown instanceof Parsed.Bad bad) {
            return bad.message();
        }
        add(session, new CheckPoint(volts == null ? null : Double.valueOf(CheckPoint.read(volts)),
                lambda == null ? null : Double.valueOf(CheckPoint.read(law.scale().fromLambda(lambda))),
                ((Parsed.Value) shown).si(), "",
                session.read(desk.name(), desk.simulated(), session.now()),
                typed.engine()));
        return "";
    }

    /** Prompt of the empty field for the volts: what the controller says, else what to apply next. */
    static String hint(Session session) {
        ControllerDesk desk = session.controller();
        if (desk.connected()) {
            Optional<Report> live = desk.live();
            Double lambda = live.map(Report::lambda).orElse(null);
            Double volts = live.map(Report::volts).orElse(null);
            return live.isEmpty()
                    ? say("nothing heard")
                    : volts != null
                            ? say("%s V, live", UnitChoice.digits(volts, 3))
                            : lambda == null ? say("no mixture sent") : say("%s λ, live", UnitChoice.digits(lambda, 3));
        }
        return nextVolts(session).map(v -> say("%s V next", UnitChoice.digits(v, 2))).orElse(say("volts"));
    }

    private static QuantityField shownField(Reader reader) {
        return QuantityField.of(say("Shown, in %s", reader.scale().label()), Unit.ONE, -100, 100);
    }

    void remove(Session session, int index) {
        session.edit(say("check point removed"), j -> {
            List<CheckPoint> less = new ArrayList<>(j.points());
            less.remove(index);
            return j.withPoints(less);
        });
    }

    /** The job with what its reader holds; null for the best there is. Points taken with another setting say nothing of it. */
    static Job holding(Job job, @Nullable ReaderSetting setting) {
        Reader reader = job.reader();
        return reader == null ? job : job.withReader(reader.withSetting(setting)).withPoints(List.of());
    }

    /** Writes the check points into a file of their own. */
    void write(Session session) {
        Path file = session.home().resolve("lists").resolve(HandOverPack.stem(session.job()) + "-points.csv");
        List<CheckPoint> points = session.job().points();
        session.background().run(say("Writing the check points"), () -> {
            CheckPointCsv.write(file, points);
            return points.size();
        }, n -> say("%d check points written to %s.", n, file));
    }

    /** Takes check points from a file into the job that it was read for. */
    void read(Session session, String typed) {
        session.background().intoJob(say("Reading check points"), progress -> CheckPointCsv.read(TextFiles.path(typed)),
                (job, points) -> say("They were read for %s, which is no longer open: read them again there.", job),
                points -> {
                    session.edit(say("check points from a file"), j -> {
                        List<CheckPoint> all = new ArrayList<>(j.points());
                        all.addAll(points);
                        return j.withPoints(all);
                    });
                    return count("1 check point taken up.", "%d check points taken up.", points.size());
                });
    }

    /** Returns whether a setting is offered that shows anything else than the one that the reader holds. */
    static boolean corrects(Diagnosis diagnosis, Job job) {
        Diagnosis.Offer offer = diagnosis.offer();
        OutputLaw law = job.law();
        Reader reader = job.reader();
        return offer != null && law != null && reader != null && offer.changes(law, reader);
    }

    /** Types the setting that makes shown agree with true while the cause stays, and starts the check anew. */
    void useCorrected(Session session) {
        ReaderSetting corrected = session.review().diagnosis().map(Diagnosis::correctedSetting).orElse(null);
        Reader reader = session.job().reader();
        if (corrected != null && reader != null) {
            session.edit(say("corrected setting"), j -> holding(j, corrected));
            session.tell(
                    say("The reader's setting is now the corrected one. Its check points were for the old "
                            + "setting and are put away: Ctrl+Z brings both back."));
        }
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        if (kind == FileKind.POINTS) {
            read(session, file);
            return LeafId.SCALE_CHECK;
        }
        new ScaleFiles(session).read(file);
        return LeafId.SCALE_LAW;
    }

    @Override
    public List<StationAction> actions() {
        return List.of(new StationAction(say("Take a reading from the simulated bench"), say("stand-in, demo"), "",
                this::take));
    }

    @Override
    public Advice advice(Session session) {
        return new ScaleAdvice(this, session).advice();
    }
}
