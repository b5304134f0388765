package amberheron.app.drivelog;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.scaling.OutputSwitch;
import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Figures;
import amberheron.app.session.Onward;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogCheck;
import amberheron.core.drivelog.LogField;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Origin;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.job.JobCheck;
import amberheron.core.job.Output;
import amberheron.core.job.Stale;
import amberheron.core.job.Station;
import amberheron.io.UnusableInput;
import amberheron.io.csv.StreamRecorder;
import amberheron.io.log.DriveLog;
import amberheron.io.log.KnownColumns;
import amberheron.io.log.LogReading;
import amberheron.io.pack.HandOverPack;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Model of the Prove station. */
public final class ProveModel implements StationModel {
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss", Locale.ROOT)
            .withZone(ZoneOffset.UTC);

    @Override
    public String subtitle() {
        return say("The controller's own channel against the reader's, over a drive");
    }

    @Override
    public String figure(Session session) {
        Output.Proving proving = session.job().proving();
        return proving == null
                ? session.isOpen() ? say("no log yet") : ""
                : say("%s over %s", Figures.difference(session, proving.result().bias()),
                        Figures.time((int) Math.ceil(proving.result().duration() / 60)));
    }

    /** Begins to write down what the controller sends, or ends that; each log has a name of its own. */
    static void record(Session session) {
        ControllerDesk desk = session.controller();
        Optional<StreamRecorder.Written> now = desk.recording();
        if (now.isPresent()) {
            desk.stopRecording();
            session.tell(say("%s in %s.", count("1 line is", "%,d lines are", now.get().rows()), now.get().file()));
            return;
        }
        String kind = desk.simulated() ? "simulated" : "controller";
        String name = HandOverPack.stem(session.job()) + "-" + kind + "-" + STAMP.format(session.now()) + ".csv";
        try {
            desk.record(session.home().resolve("logs").resolve(name));
        } catch (UnusableInput e) {
            session.tell(String.valueOf(e.getMessage()));
        }
    }

    private record Taken(DriveLog log, DriveLog.Proved proved) {
    }

    /** Reads and compares a log off the screen's thread, and keeps what it says with the job it was read for. */
    static void take(Session session, TraceView view, String typed, String with, String named, String part) {
        Job job = session.job();
        Origin origin = session.typed();
        Path home = session.home();
        session.background().intoJob(say("Reading the log"), progress -> {
            LogReading reading = LogReading.of(typed, with, named, part);
            KnownColumns known = KnownColumns.in(home);
            DriveLog log = reading.read(job, known, progress::at);
            reading.remember(known);
            return new Taken(log, log.proved(job, origin));
        }, (id, taken) -> say("%s was read for %s, which is no longer open: read it again there.", taken.log().file(),
                id), taken -> {
                    DriveLog log = taken.log();
                    session.edit(say("log %s", log.file()), j -> j.withProving(taken.proved().proving()));
                    view.hold(log.digest(), taken.proved().drive());
                    String columns = String.join("; ", log.recognition().uses().stream()
                            .filter(u -> u.channel() == LogChannel.CONTROLLER || u.channel() == LogChannel.READER)
                            .map(u -> say("“%s” is %s in %s", u.name(), u.channel().words(), u.quantity())).toList())
                            + ".";
                    return log.leftOut() == 0
                            ? columns
                            : say("%s %s; the first: %s", columns,
                                    count("1 row could not be used and was left out",
                                            "%d rows could not be used and were left out", log.leftOut()),
                                    log.faults().getFirst());
                });
    }

    /** Reads another log off the screen's thread, only to be laid over the drive that is looked at. */
    static void lay(Session session, TraceView view, String typed, String named) {
        Job job = session.job();
        Path home = session.home();
        session.background().intoJob(say("Reading the other log"),
                progress -> LogReading.of(typed, "", named, "").read(job, KnownColumns.in(home), progress::at),
                (id, log) -> say("%s was read for %s, which is no longer open.", log.file(), id), log -> {
                    view.lay(log.file(), log.drive());
                    return say(
                            "%s lies over the drive: its controller, from its first second. Nothing is judged by it.",
                            log.file());
                });
    }

    @Override
    public Advice advice(Session session) {
        List<Finding> findings = session.review().findings(Station.PROVE);
        var checked = Advice.sources(findings);
        Message caution = plain(
                "Never watch a gauge while driving: log on a closed road or a dynamometer. Lean under load destroys engines: 15.7 on petrol under acceleration means stop.");
        Optional<Action> other = OutputSwitch.other(session, Station.PROVE);
        if (other.isPresent()) {
            return new Advice(plain(other.get().label() + "."), other.get(),
                    plain(session.job().outputs().active().logged()
                            ? "This one agrees on the road; every reader is driven by itself."
                            : "What this one shows cannot be logged."),
                    Message.NONE, checked, caution);
        }
        Output.Proving proving = session.job().proving();
        if (!session.job().outputs().active().logged() && proving == null) {
            Onward onward = Onward.from(session);
            return new Advice(onward.next(), onward.action(), plain("What this reader shows cannot be logged."),
                    Message.NONE, checked, caution);
        }
        if (proving == null) {
            return new Advice(plain("Drive with the log running, then read it here."),
                    new Action(say("Name the log"), () -> session.seek(LogField.FILE.address())),
                    plain("A cold start is rich and says nothing yet; wait for warm idle, cruise, full throttle and lift-off."),
                    Message.NONE, checked, caution);
        }
        Optional<Stale> stale = session.review().stale(Station.PROVE);
        if (stale.isPresent()) {
            return new Advice(plain(stale.get().reading().again()),
                    new Action(say("Name the log"), () -> session.seek(LogField.FILE.address())), stale.get().text(),
                    Message.NONE, checked, caution);
        }
        Optional<Finding> lean = findings.stream()
                .filter(f -> f.check().is(LogCheck.LEAN) && f.verdict() == Verdict.FAIL).findFirst();
        if (lean.isPresent()) {
            // Before anything about the reader: the engine.
            return new Advice(plain("Stop: mend the fuelling, then drive again."),
                    new Action(say("Name the log"), () -> session.seek(LogField.FILE.address())),
                    Message.of("{0}. {1}", lean.get().subject(), lean.get().consequence()), Message.NONE, checked,
                    caution);
        }
        Optional<Finding> worst = Figures.worst(findings);
        if (worst.isPresent() && worst.get().verdict() == Verdict.FAIL) {
            return new Advice(plain("Go back to Scale: the reader is off on the road."),
                    Action.go(session, Station.SCALE),
                    session.review().onTheRoad().filter(d -> !d.withinTolerance())
                            .map(d -> Message.of("{0} {1}: {2}", worst.get().consequence(),
                                    plain(d.title()), plain(d.remedy())))
                            .orElse(Message.of(
                                    "{0} What agreed on the bench and not on the road points at the grounds.",
                                    worst.get().consequence())),
                    Message.NONE, checked, caution);
        }
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        if (open.isPresent() || proving.origin().taken() == null) {
            return new Advice(plain("Drive on with the log running, then read it here."),
                    new Action(say("Name the log"), () -> session.seek(LogField.FILE.address())),
                    open.map(Finding::consequence).orElse(plain(JobCheck.LOG_DATED.words())), Message.NONE, checked,
                    caution);
        }
        Onward onward = Onward.from(session);
        return new Advice(onward.next(), onward.action(),
                worst.map(Finding::consequence).orElse(plain("Gauge and reader agree over the whole drive.")),
                Message.NONE, checked,
                caution);
    }
}
