package amberheron.app.freeair;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Advice.Case;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Onward;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.controller.ControllerSheet;
import amberheron.core.controller.Report;
import amberheron.core.finding.CheckId;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.AirCheck;
import amberheron.core.freeair.AirField;
import amberheron.core.freeair.Coach;
import amberheron.core.freeair.CoachEvent;
import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.freeair.Condition;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.freeair.Instruction;
import amberheron.core.freeair.SensorNote;
import amberheron.core.freeair.SensorOutlook;
import amberheron.core.freeair.ShouldShow;
import amberheron.core.job.Job;
import amberheron.core.job.Stale;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.io.TextFiles;
import amberheron.io.csv.SensorCsv;
import amberheron.io.kind.FileKind;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Model of the Air station, with the coach of the open job. */
public final class AirModel implements StationModel {
    /** The list of what lamp and display can do. */
    static final String SIGN = "air.sign";
    /** The field for what is read while it is watched. */
    static final String WATCH = "air.watch";

    private @Nullable Coach coach;
    /** The coaching that the job was given last: when the job has another, somebody took something back. */
    private Coaching kept = Coaching.NONE;
    private String job = "";
    private boolean heard;
    private long second;

    @Override
    public String subtitle() {
        return say("The one gas everyone has for nothing, and how much oxygen is in it today");
    }

    @Override
    public void leave() {
        coach = null;
        job = "";
        heard = false;
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        read(session, file);
        return LeafId.AIR_SENSOR;
    }

    /** Takes up a sensor book from a file. */
    static void read(Session session, String file) {
        session.background().run(say("Reading the sensor book"),
                () -> session.sensors().take(SensorCsv.read(TextFiles.path(file))), n -> {
                    session.sensors().refresh();
                    return count("1 sensor taken up.", "%d sensors taken up.", n);
                });
    }

    /** The coach where it is now; empty until it is known what the controller does. */
    Optional<Coach> coach(Session session) {
        FreeAirCheck check = session.job().air();
        ControllerSheet sheet = check.controller();
        if (sheet == null) {
            coach = null;
            return Optional.empty();
        }
        boolean powered = session.review().powerProved();
        Coach known = coach;
        if (known == null || !job.equals(session.job().id()) || !known.sheet().equals(sheet)
                || !kept.equals(check.coaching())) {
            known = Coach.open(sheet, powered, session.preferences().shop().demo(), check.conditions(),
                    check.coaching(),
                    session.now());
            kept = check.coaching();
            job = session.job().id();
        } else if (known.powered() != powered || !known.conditions().equals(check.conditions())) {
            known = known.knowing(powered, check.conditions(), session.now());
        }
        coach = known;
        return Optional.of(known);
    }

    /** Handles an event of the coach; the new state is kept with the job at once. */
    void happens(Session session, CoachEvent event) {
        coach(session).ifPresent(before -> {
            Coach after = before.on(event, session.now());
            coach = after;
            Coaching was = before.now();
            Coaching now = after.now();
            boolean moved = was.step() != now.step() || was.trouble() != now.trouble();
            if (moved || !before.conditions().equals(after.conditions())) {
                Optional<Coach.Result> found = now.step() == CoachStep.RECORDED && was.step() != CoachStep.RECORDED
                        ? before.result()
                        : Optional.empty();
                // Conditions alone do not begin anything.
                Coaching keeps = moved ? now : kept;
                kept = keeps;
                found.flatMap(r -> noted(session, r)).ifPresent(n -> session.sensors().note(
                        session.job().air().sensor(), n));
                session.edit(what(event, now), j -> changed(session, j, after.conditions(), keeps, found));
            }
        });
    }

    /** How fast the sensor ages by its own life; null where too little is known of it. */
    static @Nullable Double ageing(Session session, FreeAirCheck check) {
        return SensorOutlook.inAMonth(session.sensors().of(check.sensor()), session.today()).orElse(null);
    }

    /** Returns the note for the sensor's book: that it was calibrated, else what a check found of it; none without its number. */
    private static Optional<SensorNote> noted(Session session, Coach.Result found) {
        FreeAirCheck check = session.job().air();
        ControllerSheet sheet = check.controller();
        if (sheet == null || check.sensor().isBlank()) {
            return Optional.empty();
        }
        return sheet.school().learns()
                ? Optional.of(new SensorNote(session.today(), SensorNote.Kind.CALIBRATED,
                        1 + session.sensors().of(check.sensor()).last(SensorNote.Kind.CALIBRATED).orElse(0.0),
                        session.job().id()))
                : asFound(session, check, found);
    }

    /**
     * Returns what the check found: for a controller trimmed at the factory nothing was set, so what it shows is the cell's
     * gain.
     */
    private static Optional<SensorNote> asFound(Session session, FreeAirCheck check, Coach.Result found) {
        Double oxygen = found.oxygen();
        return oxygen == null
                ? Optional.empty()
                : ShouldShow.of(check).map(s -> oxygen / s.oxygen())
                        .filter(g -> g >= SensorNote.Kind.GAIN.min() && g <= SensorNote.Kind.GAIN.max())
                        .map(g -> new SensorNote(session.today(), SensorNote.Kind.GAIN, Math.rint(1e4 * g) / 1e4,
                                session.job().id()));
    }

    private static String what(CoachEvent event, Coaching now) {
        return event instanceof CoachEvent.Said said
                ? said.condition().words()
                : say("coach: %s", Phrase.capital(now.step().words()));
    }

    private static Job changed(Session session, Job job, Set<Condition> conditions, Coaching now,
            Optional<Coach.Result> found) {
        FreeAirCheck air = job.air().withCoaching(now).withConditions(conditions);
        if (found.isEmpty()) {
            // From here on it forgets what it was taught: what was read before says nothing of it any more.
            boolean begins = job.air().coaching().step() == CoachStep.CONDITIONS && now.step().underWay();
            return job.withAir(begins ? air.unread() : air);
        }
        Coach.Result result = found.get();
        ControllerDesk desk = session.controller();
        Origin origin = result.simulated() || desk.live().isPresent()
                ? session.read(desk.name(), result.simulated(), session.now())
                : session.typed();
        Address reading = (result.oxygen() == null ? AirField.MIXTURE : AirField.SHOWN).address();
        return job.withAir(air.recorded(result, session.today()).withAgeing(ageing(session, air)))
                .withEntries(job.entries().entered(reading, origin).entered(AirField.SETTLED.address(), origin));
    }

    /**
     * Advances time: reads the controller on the desk, and counts down what takes its time.
     *
     * @return whether something is to be shown anew: a step, what is said, or the next second of the clock
     */
    boolean tick(Session session) {
        if (!session.isOpen()) {
            return false;
        }
        Optional<Coach> before = coach(session);
        ControllerDesk desk = session.controller();
        Optional<Report> live = desk.live();
        live.ifPresent(r -> hear(session, r));
        if (live.isEmpty() && heard) {
            happens(session, new CoachEvent.LinkLost());
        }
        boolean linkChanged = heard != live.isPresent();
        heard = live.isPresent();
        happens(session, new CoachEvent.Tick());
        long now = session.now().getEpochSecond();
        boolean alive = desk.connected()
                || before.filter(c -> c.now().step().underWay()).isPresent();
        boolean turned = alive && now != second;
        second = now;
        return turned || linkChanged;
    }

    private void hear(Session session, Report said) {
        coach(session).map(Coach::sheet).ifPresent(sheet -> CoachEvent
                .of(sheet, said, session.controller().simulated()).forEach(e -> happens(session, e)));
    }

    /** Takes a number that a person reads off the display while it is watched, oxygen or lambda as the controller shows. */
    void watched(Session session, double value) {
        coach(session).ifPresent(c -> happens(session, CoachEvent.Shows.of(c.sheet(), value, false)));
    }

    /** The coach's clock: what a step still takes, else how long it has lasted; empty while nothing is under way. */
    Optional<String> clock(Session session) {
        Instant now = session.now();
        return coach(session).filter(c -> c.now().step().underWay() && c.now().step() != CoachStep.READY)
                .map(c -> clock(c.remaining(now).map(Math::ceil).orElseGet(() -> Math.floor(c.lasted(now)))));
    }

    private static String clock(double seconds) {
        long whole = (long) seconds;
        return Phrase.say("%d:%02d", whole / 60, whole % 60);
    }

    @Override
    public String figure(Session session) {
        Optional<String> clock = clock(session);
        if (clock.isPresent()) {
            return clock.get();
        }
        Optional<Air> air = session.job().air().today().air();
        Double settled = session.job().air().settled();
        return air.map(a -> oxygen(session, a) + " O₂"
                + (settled == null
                        ? ""
                        : say(" · held %s", Figures.text(session, new Measure(settled, Dimension.DURATION, 0)))))
                .orElse("");
    }

    static String oxygen(Session session, Air air) {
        return Figures.text(session, new Measure(air.oxygen(), Dimension.FRACTION, 2));
    }

    /** The leaf that a check stands on. */
    private static LeafId leaf(CheckId check) {
        return check == AirCheck.AIR || check == AirCheck.PRESSURE || check == AirCheck.CONTROLLER
                ? LeafId.AIR_TODAY
                : LeafId.AIR_VERDICT;
    }

    /** Content of a leaf. */
    static List<Finding> findings(Session session, LeafId leaf) {
        return session.review().findings(Station.AIR).stream()
                .filter(f -> leaf(f.check().id()) == leaf).toList();
    }

    @Override
    public Advice advice(Session session) {
        FreeAirCheck check = session.job().air();
        List<Finding> findings = session.review().findings(Station.AIR);
        var checked = Advice.sources(findings);
        Message disagreement = plain(
                "Three kinds of controller, three ways: clear, then learn; adjust by hand; adjusted at "
                        + "the factory. Not a matter of taste: the maker's sheet says which.");
        Message caution = plain(
                "The sensor is hot enough to burn skin and light vapour: hang it free, away from fuel and solvent. "
                        + "Leave the anti-seize on. Never run an engine indoors without extraction.");
        return said(session, check, findings).with(disagreement, checked, caution);
    }

    private Case said(Session session, FreeAirCheck check, List<Finding> findings) {
        Optional<Coach> now = coach(session);
        if (now.filter(c -> c.now().step().underWay()).isPresent()) {
            return coached(session, now.get());
        }
        if (check.today().air().isEmpty()) {
            return new Case(
                    check.today().contradicts()
                            ? plain("Say which pressure was read.")
                            : plain("Enter temperature, humidity and height."),
                    Action.enter(session, findings.getFirst().asks().getFirst()),
                    plain("Water vapour and height change the oxygen in “air”; the controller takes it for dry air."));
        }
        if (check.controller() == null) {
            return new Case(plain("Choose the controller."), Action.enter(session, AirField.CONTROLLER.address()),
                    plain("Each is calibrated in its own way, and shows its own number in air."));
        }
        if (beganAgain(session.job())) {
            return toDo(session, now.orElseThrow());
        }
        Optional<Stale> stale = session.review().stale(Station.AIR);
        if (stale.isPresent()) {
            return new Case(plain(stale.get().reading().again()), again(session, check), stale.get().text());
        }
        Optional<Finding> wrong = findings.stream().filter(f -> f.verdict() == Verdict.FAIL).findFirst();
        if (wrong.isPresent()) {
            return new Case(wrong.get().consequence(), again(session, check), wrong.get().working());
        }
        if (check.conditions().size() < Condition.values().length || check.reading().isEmpty()) {
            return toDo(session, now.orElseThrow());
        }
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        if (open.isPresent()) {
            return new Case(open.get().consequence(), Action.enter(session, open.get().asks().getFirst()),
                    plain("Sensor out of the exhaust, cap off, in clean moving air, before it is screwed in."));
        }
        if (check.sensor().isBlank()) {
            return new Case(plain("Enter the sensor's number, or a mark you make on it."),
                    Action.enter(session, AirField.SENSOR.address()),
                    plain("Calibration and drive count for the sensor they were made with: without its number nobody sees that it was changed."));
        }
        Onward onward = Onward.from(session);
        return new Case(onward.next(), onward.action(), now.filter(c -> c.now().step() == CoachStep.RECORDED)
                .map(c -> Instruction.of(c).why()).orElse(plain("The sensor's gain fits this air.")));
    }

    /** Whether somebody began again and has read nothing since, neither by the coach nor by hand. */
    private static boolean beganAgain(Job job) {
        Coaching coaching = job.air().coaching();
        boolean since = job.air().reading().map(r -> job.entries().origin(r).taken())
                .filter(t -> t.isAfter(coaching.since())).isPresent();
        return coaching.step() == CoachStep.CONDITIONS && !coaching.equals(Coaching.NONE) && !since;
    }

    /** Returns the case in which nothing is under way and nothing was read: get ready, then begin, or read by hand. */
    private Case toDo(Session session, Coach now) {
        Optional<Condition> open = Arrays.stream(Condition.values()).filter(c -> !now.conditions().contains(c))
                .findFirst();
        Instruction says = Instruction.of(now);
        if (now.now().step() == CoachStep.STOPPED) {
            return new Case(says.trouble().isEmpty() ? says.now() : says.trouble(),
                    act(session, say("Begin again"), new CoachEvent.Again()), says.why());
        }
        if (open.isPresent()) {
            Condition ask = open.get();
            return new Case(Message.of("{0}?", plain(ask.words())),
                    new Action(say("It is so"), () -> happens(session, new CoachEvent.Said(ask, true)),
                            Letters.of(ask)),
                    says.why());
        }
        if (!now.prepared()) {
            return new Case(plain("Enter what it shows in air; once the supply is proved at Wire, the coach leads."),
                    Action.enter(session,
                            (now.sheet().inAir().oxygen() ? AirField.SHOWN : AirField.MIXTURE).address()),
                    plain(now.sheet().school().procedure()));
        }
        return new Case(says.now(), now.now().step() == CoachStep.RECORDED
                ? act(session, say("Begin again"), new CoachEvent.Again())
                : did(session, says), plain(now.sheet().school().procedure()));
    }

    private Action again(Session session, FreeAirCheck check) {
        return session.review().powerProved()
                ? act(session, say("Begin again"), new CoachEvent.Again())
                : Action.enter(session, check.reading().orElseGet(AirField.SHOWN::address));
    }

    private Case coached(Session session, Coach now) {
        Instruction says = Instruction.of(now);
        Action action = switch (now.now().step()) {
            case READY -> act(session, says.done(), new CoachEvent.Recorded());
            case STEADY -> session.controller().live().isPresent()
                    ? null
                    : new Action(say("Enter what it shows"), () -> session.focus(WATCH));
            case HOLD, LEARN, WARM, CONDITIONS, RECORDED, STOPPED -> null;
            case CLEAR, PLUG_IN, ANTICLOCKWISE, POWER_ON, TURN -> did(session, says);
        };
        return new Case(says.trouble().isEmpty() ? says.now() : Message.of("{0} {1}", says.trouble(), says.now()),
                action, says.expect().isEmpty() ? says.why() : says.expect());
    }

    /** Keeps that a person has done a step at the controller. */
    private Action did(Session session, Instruction says) {
        return Action.vouch(says.done(), act(session, says.done(), new CoachEvent.Done()).run());
    }

    private Action act(Session session, String words, CoachEvent event) {
        return new Action(words, () -> {
            session.focus(LeafId.AIR_COACH);
            happens(session, event);
            // What is seen next is picked there; and no key falls on what stops it.
            session.focus(SIGN);
        });
    }
}
