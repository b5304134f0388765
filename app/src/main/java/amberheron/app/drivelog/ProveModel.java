package amberheron.app.drivelog;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.session.Advice;
import amberheron.app.session.ControllerDesk;
import amberheron.app.session.Figures;
import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.drivelog.ColumnFacts;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.finding.Origin;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.mixture.FuelKind;
import amberheron.core.plan.Intake;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.csv.StreamRecorder;
import amberheron.io.kind.FileKind;
import amberheron.io.log.DriveLog;
import amberheron.io.log.KnownColumns;
import amberheron.io.log.LogFile;
import amberheron.io.log.LogReading;
import amberheron.io.pack.HandOverPack;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Model of the Prove station. */
public final class ProveModel implements StationModel {
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss", Locale.ROOT)
            .withZone(ZoneOffset.UTC);

    private Consumer<String> reader = file -> {
    };

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

    /** Sets what reads a log into the leaf of its columns. */
    void readBy(Consumer<String> leaf) {
        reader = leaf;
    }

    @Override
    public LeafId take(Session session, FileKind kind, String file) {
        if (kind == FileKind.TRIMS) {
            TrimModel.read(session, file);
            return LeafId.PROVE_TRIMS;
        }
        // The leaf is made when it is first shown.
        session.focus(LeafId.PROVE_CHANNELS);
        reader.accept(file);
        return LeafId.PROVE_CHANNELS;
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

    /** Looks at the columns of a log, whether or not they can be told. */
    static void columns(Session session, String typed, Consumer<List<ColumnFacts>> then) {
        session.background().intoJob(say("Looking at the columns"),
                progress -> {
                    try {
                        return LogFile.of(TextFiles.path(typed)).columns();
                    } catch (UnusableInput e) {
                        // Reading it says why.
                        return List.<ColumnFacts>of();
                    }
                }, (job, facts) -> session.notice(), facts -> {
                    then.accept(facts);
                    return session.notice();
                });
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
                    String noted = noted(session);
                    String columns = String.join("; ", log.recognition().uses().stream()
                            .filter(u -> u.channel() == LogChannel.CONTROLLER || u.channel() == LogChannel.READER)
                            .map(u -> say("“%s” is %s in %s", u.name(), u.channel().words(), u.quantity())).toList())
                            + "." + noted;
                    return log.leftOut() == 0
                            ? columns
                            : say("%s %s; the first: %s", columns,
                                    count("1 row could not be used and was left out",
                                            "%d rows could not be used and were left out", log.leftOut()),
                                    log.faults().getFirst());
                });
    }

    /** Dates in the sensor's book what a drive of this engine does to a sensor; returns the words for it. */
    private static String noted(Session session) {
        Intake intake = session.job().intake();
        String sensor = session.job().air().sensor();
        if (sensor.isBlank()) {
            return "";
        }
        List<SensorNote> notes = session.sensors().of(sensor).driven(intake.fuelKind() == FuelKind.LEADED,
                intake.burnsOil(), session.today(), session.job().id());
        notes.forEach(n -> session.sensors().note(sensor, n));
        return notes.stream().map(n -> say(" In the sensor's book: %s %.0f.", n.kind().words(), n.value()))
                .collect(Collectors.joining());
    }

    /** Takes the installer's word that the file's time is wrong; what was read before stays what it is. */
    static void drivenSince(Session session) {
        Output.Proving proving = session.job().proving();
        if (proving != null) {
            session.edit(say("driven since"), j -> j.withCorrected(proving.withoutFileTime()));
        }
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
        return new ProveAdvice(session).advice();
    }
}
