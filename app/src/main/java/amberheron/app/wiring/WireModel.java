package amberheron.app.wiring;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.session.Advice;
import amberheron.app.session.Figures;
import amberheron.app.session.JobPhotos;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.bench.ScpiMeter;
import amberheron.bench.SimulatedMeter;
import amberheron.bench.SimulatedVehicle;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Photo;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Device;
import amberheron.core.harness.Harness;
import amberheron.core.harness.HarnessField;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.core.parts.PartIds;
import amberheron.core.parts.Property;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Tolerance;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.UnitChoice;
import amberheron.core.units.Unusable;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerRules;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.csv.ChartCsv;
import amberheron.io.kind.FileKind;
import amberheron.io.pack.HarnessSheet;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Model of the Wire station. */
public final class WireModel implements StationModel {
    private static final int PATIENCE = 1500;
    private static final Set<Property> OF_SOURCE = Set.of(WireField.SOURCE_PLACE, WireField.HOST_FUSE,
            WireField.HOST_LOAD);
    private static final Set<Property> OF_WIRE = Set.copyOf(
            EnumSet.range(HarnessField.CHART_WORK, HarnessField.CHART_OHMS));

    private final MeterDesk desk = new MeterDesk();
    private @Nullable SimulatedMeter standIn;
    private @Nullable SimulatedVehicle vehicle;
    private @Nullable String looked;
    private @Nullable ReaderKind reader;
    private @Nullable String wire;

    /** The source looked at: the one picked, else the one taken, else the first. */
    Optional<PowerSource> looked(Session session) {
        Wiring wiring = session.job().wiring();
        return wiring.sources().stream().filter(s -> s.id().equals(looked)).findFirst().or(wiring::source)
                .or(() -> wiring.sources().stream().findFirst());
    }

    void look(Session session, String source) {
        looked = source;
        session.tell(session.notice());
    }

    /** The reader looked at: the one picked, else the first of the job. */
    Optional<ReaderKind> reader(Session session) {
        Set<ReaderKind> readers = session.job().intake().readers();
        return Optional.ofNullable(reader).filter(readers::contains).or(() -> readers.stream().findFirst());
    }

    void look(Session session, ReaderKind which) {
        reader = which;
        session.tell(session.notice());
    }

    /** The line of the chart looked at: the one picked, else the first. */
    Optional<Wire> wire(Session session) {
        Chart chart = chart(session);
        return Optional.ofNullable(wire).flatMap(chart::wire).or(() -> chart.wires().stream().findFirst());
    }

    void lookAtWire(Session session, String id) {
        wire = id;
        session.tell(session.notice());
    }

    private static Chart chart(Session session) {
        return session.job().wiring().harness().chart();
    }

    private static void chart(Session session, String what, UnaryOperator<Chart> change) {
        session.edit(what, j -> j.withWiring(j.wiring().withHarness(
                j.wiring().harness().withChart(change.apply(j.wiring().harness().chart())))));
    }

    /** Adds lines at the end, and looks at the first of them. */
    private void addWires(Session session, String what, UnaryOperator<Chart> change) {
        int had = chart(session).wires().size();
        chart(session, what, change);
        wire = chart(session).wires().get(had).id();
    }

    void addWire(Session session) {
        addWires(session, say("wire added"), c -> c.plus(Wire.tagged("")));
    }

    /** Moves the line looked at earlier or later. */
    void moveWire(Session session, int by) {
        wire(session).ifPresent(w -> chart(session, say("wire %s moved", w.tag()), c -> c.moved(w.id(), by)));
    }

    /** Looks at the line so many places on; at the ends it stays. */
    void stepWire(Session session, int by) {
        List<Wire> all = chart(session).wires();
        wire(session).map(all::indexOf).filter(at -> at + by >= 0 && at + by < all.size())
                .ifPresent(at -> lookAtWire(session, all.get(at + by).id()));
    }

    void removeWire(Session session) {
        wire(session).ifPresent(w -> session.edit(say("wire %s removed", w.tag()), j -> j.withWiring(j.wiring()
                .withHarness(j.wiring().harness().withChart(j.wiring().harness().chart().without(w.id()))))
                .withoutPart(HarnessField.CHART_OHMS.of(w.id()))));
    }

    /** Adds a line for whatever readers, grounds and hook-ups ask for. */
    void addNeeded(Session session) {
        List<Wire> needed = session.job().wiring().needed(session.job().intake().readers());
        int lacking = chart(session).lacking(needed).size();
        if (lacking == 0) {
            session.tell(say("The chart has every line this job needs. Colours and pins are yours to see."));
            return;
        }
        addWires(session, count("1 line added", "%d lines added", lacking), c -> c.completed(needed));
    }

    /** Adds the lines of the sensor's own lead; its colours are the maker's. */
    void addLead(Session session) {
        List<Wire> lead = Stream
                .of(Work.PUMP, Work.REFERENCE, Work.COMMON, Work.HEATER_PLUS, Work.HEATER_MINUS, Work.TRIM)
                .map(w -> Wire.of("lead", w, Device.SENSOR, Device.CONTROLLER)).toList();
        if (chart(session).lacking(lead).isEmpty()) {
            session.tell(say("The sensor's lead is in the chart already."));
            return;
        }
        addWires(session, say("sensor's lead added"), c -> c.completed(lead));
    }

    /** Takes a chart from a CSV file, read off the screen's thread. */
    void importChart(Session session, String typed) {
        session.background().intoJob(say("Reading the chart"), progress -> ChartCsv.read(TextFiles.path(typed)),
                (job, read) -> say("%s is no longer open; import the chart there again.", job),
                read -> taken(session, say("chart imported"), read));
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        if (kind == FileKind.PHOTO) {
            JobPhotos.attach(session, file, WireModel::photos, WireModel::withPhotos);
            return LeafId.WIRE_WIRED;
        }
        importChart(session, file);
        return LeafId.WIRE_CHART;
    }

    static List<Photo> photos(Job job) {
        return job.wiring().harness().asWired().photos();
    }

    static Job withPhotos(Job job, List<Photo> photos) {
        Harness harness = job.wiring().harness();
        return job.withWiring(job.wiring().withHarness(harness.withAsWired(harness.asWired().withPhotos(photos))));
    }

    /** Takes a chart that was copied from a table. */
    void pasteChart(Session session, String text) {
        try {
            session.tell(taken(session, say("chart pasted"), ChartCsv.pasted(text)));
        } catch (UnusableInput e) {
            session.tell(say("Nothing was pasted. %s", e.getMessage()));
        }
    }

    private static String taken(Session session, String what, Chart read) {
        chart(session, what, c -> read);
        return say("%s read. What the chart had before comes back with Ctrl+Z.",
                count("1 wire", "%d wires", read.wires().size()));
    }

    /** Writes chart, strip and tags. */
    void writeChart(Session session) {
        Path folder = session.home().resolve("harness");
        Job job = session.job();
        session.background().run(say("Writing chart, strip and tags"), () -> HarnessSheet.of(job).write(job, folder),
                files -> say("Written to %s: %s.", folder,
                        files.stream().map(TextFiles::name).collect(Collectors.joining(", "))));
    }

    /** Findings of some checks, the gravest first. */
    static List<Finding> findings(Session session, LeafId leaf) {
        return session.review().findings(Station.WIRE).stream().filter(f -> LeafChecks.hold(leaf, f.check().id()))
                .sorted(Comparator.comparing(Finding::verdict).reversed()).toList();
    }

    /** A value of the source looked at; each source has its own. */
    Address of(Session session, Property property) {
        return property.of(looked(session).map(PowerSource::id).orElse(""));
    }

    /** Looks at the source, reader or wire that a value belongs to. */
    void bring(Session session, Address value) {
        if (value.part().isEmpty()) {
            return;
        }
        if (value.property() instanceof KeyState || OF_SOURCE.contains(value.property())) {
            looked = value.part();
        } else if (value.property() instanceof WireField) {
            reader = session.job().intake().readers().stream().filter(r -> r.key().equals(value.part())).findFirst()
                    .orElse(reader);
        } else if (OF_WIRE.contains(value.property())) {
            wire = value.part();
        }
        session.tell(session.notice());
    }

    /** Adds a source under the next letter and looks at it; the first is taken at once. */
    void add(Session session) {
        String letter = PartIds.nextLetter(session.job().wiring().sources().stream().map(PowerSource::letter).toList());
        session.edit(say("source %s added", letter), j -> {
            List<PowerSource> more = new ArrayList<>(j.wiring().sources());
            more.add(PowerSource.named(letter).withId(""));
            Wiring wiring = j.wiring().withSources(more);
            return j.withWiring(wiring.taken() == null ? wiring.withTaken(wiring.sources().getLast().id()) : wiring);
        });
        look(session, session.job().wiring().sources().getLast().id());
    }

    void take(Session session, PowerSource source) {
        session.edit(say("source %s taken", source.letter()), j -> j.withWiring(j.wiring().withTaken(source.id())));
    }

    void remove(Session session, PowerSource source) {
        String id = source.id();
        session.edit(say("source %s removed", source.letter()), j -> j.withWiring(j.wiring()
                .withSources(j.wiring().sources().stream().filter(s -> !s.id().equals(id)).toList())
                .withTaken(id.equals(j.wiring().taken()) ? null : j.wiring().taken()))
                .withoutPart(WireField.SOURCE_PLACE.of(id)));
    }

    /** A source with the readings that count. */
    private static PowerSource counted(Session session, PowerSource source) {
        return session.preferences().shop().demo() ? source : source.real();
    }

    /** How the source looked at behaves and what to do about it. */
    String verdict(Session session) {
        return looked(session).map(s -> counted(session, s)).map(s -> {
            String missing = s.missing(session.job().electrics()).isEmpty()
                    ? ""
                    : say(" Still to measure: %s.",
                            s.missing(session.job().electrics()).stream().map(KeyState::words)
                                    .collect(Collectors.joining("; ")));
            return say("%s is %s. %s%s", s.letter(), s.behaviour(session.job().electrics()).words(),
                    word(PowerRules.remedy(s.behaviour(session.job().electrics()))), missing);
        }).orElse(say("No source named yet."));
    }

    /** Connects to a meter on the network. */
    void connect(Session session, String address) {
        try {
            desk.put(ScpiMeter.at(address, PATIENCE));
            read(session, null);
        } catch (Unusable e) {
            session.tell(String.valueOf(e.getMessage()));
        }
    }

    /** Puts the stand-in on the desk, a simulated vehicle behind it. */
    public void simulate(Session session, PowerSource.Behaviour behaviour) {
        String at = looked;
        try {
            SimulatedVehicle car = new SimulatedVehicle(behaviour, session.job().id().hashCode());
            SimulatedMeter made = new SimulatedMeter(car::volts);
            leave();
            looked = at;
            vehicle = car;
            standIn = made;
            desk.put(ScpiMeter.at(made.address(), PATIENCE));
            read(session, null);
        } catch (IOException e) {
            session.tell(say("The stand-in cannot listen: %s", TextFiles.reason(e)));
        }
    }

    /** Takes a reading, off the screen's thread; into a state of the source looked at, or only onto the display for null. */
    public void read(Session session, @Nullable KeyState into) {
        String job = session.job().id();
        String source = looked(session).map(PowerSource::id).orElse("");
        SimulatedVehicle car = vehicle;
        if (car != null && into != null) {
            car.turn(into);
        }
        session.background().run(say("Reading the meter"), () -> desk.read(session.now()), taken -> {
            if (taken.isEmpty()) {
                return say("No reading: %s.", desk.fault());
            }
            if (into == null || !session.job().id().equals(job)) {
                return desk.shown(session.now());
            }
            MeterDesk.Taken read = taken.get();
            double kept = Math.rint(1000 * read.volts()) / 1000;
            Origin origin = session.read(read.instrument(), read.simulated(), read.when());
            session.edit(into.words() + " " + UnitChoice.digits(kept, 3) + " V",
                    j -> j.withWiring(j.wiring().withSource(source, s -> s.withReading(into, kept, origin))));
            return into.words() + ": " + desk.shown(session.now());
        });
    }

    /** Reading on the meter's display. */
    public String display(Session session) {
        return desk.shown(session.now());
    }

    /** Whether a reading can be taken that counts. */
    boolean metered(Session session) {
        return desk.connected() && (standIn == null || session.preferences().shop().demo());
    }

    /** Where the readings of the source looked at came from, where that has to be said. */
    String origins(Session session) {
        Map<KeyState, PowerSource.Reading> volts = looked(session).map(PowerSource::volts).orElse(Map.of());
        List<String> simulated = volts.entrySet().stream().filter(r -> !r.getValue().origin().real())
                .map(r -> r.getKey().words()).toList();
        if (simulated.isEmpty()) {
            return "";
        }
        return (simulated.size() == volts.size()
                ? say("Every reading here is simulated")
                : say("Simulated: %s", String.join("; ", simulated)))
                + (session.preferences().shop().demo()
                        ? say(". In this demo book that counts.")
                        : say(". Made up by a stand-in, so it counts for nothing: measure it on the vehicle."));
    }

    @Override
    public void leave() {
        desk.close();
        if (standIn != null) {
            standIn.close();
        }
        standIn = null;
        vehicle = null;
        looked = null;
        reader = null;
        wire = null;
    }

    @Override
    public String subtitle() {
        return say("Every wire known, every volt accounted for");
    }

    @Override
    public String figure(Session session) {
        Optional<Double> shift = WireRules.shift(session.job().wiring(), session.job().intake().readers());
        GroundPlan ground = session.job().wiring().ground();
        if (ground.unproven() && ground.cost().isPresent()) {
            return say("shift to measure again");
        }
        boolean source = session.review().wiring().source().filter(p -> p.missing(session.job().electrics()).isEmpty())
                .isPresent();
        return shift.map(s -> say("%s ground shift", Figures.text(session, new Measure(s, Dimension.VOLTAGE, 3))))
                .orElse(source ? say("ground not looked at") : session.isOpen() ? say("source not proved") : "");
    }

    @Override
    public Advice advice(Session session) {
        return new WireAdvice(this, session).advice();
    }

    static void ground(Session session, String what, UnaryOperator<GroundPlan> change) {
        session.edit(what, j -> j.withWiring(j.wiring().withGround(change.apply(j.wiring().ground()))));
    }

    /** A line of the comparison of schools; shift and ripple are empty while its wire is not measured. */
    record SchoolRow(GroundSchool school, String shift, String ripple, String cost, boolean kept, boolean taken,
            boolean recommended) {
    }

    private static String ripple(Session session, @Nullable Double volts, double slope) {
        return volts == null
                ? say("not known")
                : say("%s mV%s", UnitChoice.digits(1000 * volts, 1),
                        Double.isNaN(slope) ? "" : ", " + Figures.difference(session, Math.abs(volts * slope)));
    }

    /** Returns the cost of each school on this harness, in volts and in the reading after the law. */
    List<SchoolRow> schools(Session session) {
        GroundPlan ground = session.job().wiring().ground();
        OutputLaw law = session.job().law();
        double slope = law == null ? Double.NaN : law.lambdaPerVolt();
        double most = law == null ? Double.MAX_VALUE : Tolerance.LAMBDA / Math.abs(slope);
        Optional<GroundSchool> best = ground.recommended(most);
        return Arrays.stream(GroundSchool.values()).map(s -> {
            boolean taken = s == ground.school();
            Optional<GroundPlan.Cost> cost = ground.withSchool(s).cost();
            return cost.map(c -> new SchoolRow(s,
                    say("%s mV%s", UnitChoice.digits(1000 * c.shift(), 1), c.measured() ? say(" measured") : ""),
                    ripple(session, c.ripple(), slope),
                    law == null ? say("choose a law") : Figures.difference(session, c.shift() * slope),
                    Math.abs(c.shift()) <= most, taken, best.filter(b -> b == s).isPresent()))
                    .orElseGet(() -> new SchoolRow(s, "", "", say("not measured"), false, taken, false));
        }).toList();
    }
}
