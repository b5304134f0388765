package amberheron.io.log;

import static amberheron.core.units.Phrase.say;

import amberheron.core.display.DisplaySetUp;
import amberheron.core.drivelog.Clocks;
import amberheron.core.drivelog.ColumnFacts;
import amberheron.core.drivelog.ColumnUse;
import amberheron.core.drivelog.Drive;
import amberheron.core.drivelog.DriveFound;
import amberheron.core.drivelog.EngineAsked;
import amberheron.core.drivelog.Joined;
import amberheron.core.drivelog.LogChannel;
import amberheron.core.drivelog.LogComparison;
import amberheron.core.drivelog.Recognition;
import amberheron.core.finding.Origin;
import amberheron.core.job.Job;
import amberheron.core.job.Output;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.placement.PlaceSchools;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.SettingFinder;
import amberheron.io.UnusableInput;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A log read for a job: what its columns were taken for, the drive, and what could not be used.
 *
 * @param leftOut rows that could not be used
 * @param faults the first of those, each with line and reason
 * @param digest SHA-256 of the file's bytes, hexadecimal
 * @param driven when the drive ended, by the log's own clock, else by the file; null where neither says
 * @param joined the second log that was put together with it; null for one log
 */
public record DriveLog(String file, Recognition recognition, Drive drive, int leftOut, List<String> faults,
        String digest, @Nullable Instant driven, @Nullable Joined joined) {
    /** Channels by which two logs are put together, the most telling first; where they share none, the mixture itself. */
    private static final List<LogChannel> SHARED = List.of(LogChannel.ENGINE_SPEED, LogChannel.THROTTLE,
            LogChannel.PRESSURE, LogChannel.SPEED, LogChannel.AIR_MASS);

    /** Seconds since 1970 between which a log's clock tells the day of the drive: the years 2000 and 2100. */
    private static final double FIRST_LOGGERS = 946_684_800;
    private static final double LAST_DAY = 4_102_444_800.0;

    /** A column with the ratio that its AFR is meant with. */
    private static final Pattern WITH_RATIO = Pattern.compile("(.*)@\\s*(\\d{1,2}(?:[.,]\\d{1,3})?)\\s*");

    /**
     * Reads a log. Good rows are kept, each bad one is counted. Interrupting the thread stops it.
     *
     * @param said columns by channel, by name or by number from 1, with the ratio of an AFR where it is said
     * @param progress is told how far it is, 0 to 1; may throw to stop
     * @throws UnusableInput when it cannot be read, or its columns cannot be told
     */
    public static DriveLog read(Job job, LogFile file, Map<LogChannel, String> said, DoubleConsumer progress) {
        Recognition recognition = Recognition.of(file.columns(), known(job, said),
                named(file.name(), file.shape().names(), said));
        answered(file.name(), recognition);
        Taken taken = take(file, recognition.uses(), progress);
        return usable(new DriveLog(file.name(), recognition, drive(taken.seconds, taken.channels), taken.leftOut,
                taken.faults, taken.digest, taken.driven, null));
    }

    /**
     * Reads two logs of one drive, of which each has what the other lacks, such as the controller's own and that of the tuning
     * software. Their clocks are brought together; the rows are the first one's, as far as the second reaches.
     *
     * @param said columns by channel, by name in either or by number, the second's counted on after the first's
     * @throws UnusableInput also when no part of the one can be found in the other
     */
    public static DriveLog read(Job job, LogFile first, LogFile second, Map<LogChannel, String> said,
            DoubleConsumer progress) {
        int own = first.shape().names().size();
        List<String> names = Stream.concat(first.shape().names().stream(), second.shape().names().stream()).toList();
        Map<LogChannel, Integer> named = named(first.name(), names, said);
        Integer clock = named.remove(LogChannel.TIME);
        List<ColumnFacts> facts = first.columns();
        List<ColumnFacts> otherFacts = second.columns();
        List<ColumnUse> firsts = alone(facts, job, clock != null && clock < own ? clock : null);
        List<ColumnUse> seconds = alone(otherFacts, job, clock != null && clock >= own ? clock - own : null);
        ColumnUse time = time(first, firsts);
        ColumnUse otherTime = time(second, seconds);
        Recognition both = Recognition.of(
                Stream.concat(facts.stream(), otherFacts.stream()
                        .map(c -> c.index() == otherTime.column() ? c.passedOver() : c).map(c -> c.at(own + c.index())))
                        .toList(),
                known(job, said), named);
        answered(first.name() + " + " + second.name(), both);
        Optional<LogChannel> shared = SHARED.stream().filter(c -> has(firsts, c) && has(seconds, c)).findFirst();
        List<ColumnUse> uses = both.uses().stream().filter(u -> u.channel() != LogChannel.TIME).toList();
        List<ColumnUse> ofFirst = uses.stream().filter(u -> u.column() < own).toList();
        List<ColumnUse> ofSecond = uses.stream().filter(u -> u.column() >= own)
                .map(u -> u.at(u.column() - own)).toList();
        Taken one = take(first, with(time, ofFirst, firsts, shared), p -> progress.accept(p / 2));
        Taken other = take(second, with(otherTime, ofSecond, seconds, shared), p -> progress.accept(0.5 + p / 2));
        Clocks clocks = clocks(one, other, shared).orElseThrow(() -> new UnusableInput(
                first.name() + " + " + second.name(), "",
                say("no part of the one is found in the other by %s, expected two logs of one drive; log a channel "
                        + "of the engine, such as its speed, in both",
                        shared.map(LogChannel::words).orElse(say("the mixture")))));
        double[] there = clocks.first(other.seconds);
        Map<LogChannel, float[]> channels = new EnumMap<>(one.channels);
        ofSecond.forEach(u -> channels.put(u.channel(),
                Clocks.onto(one.seconds, there, needed(other.channels, u.channel()))));
        Drive drive = drive(one.seconds, channels).within(there[0], there[there.length - 1]);
        List<String> faults = Stream.concat(one.faults.stream(),
                other.faults.stream().map(f -> second.name() + ": " + f)).toList();
        return usable(new DriveLog(first.name(),
                new Recognition(Stream.concat(Stream.of(time), uses.stream()).toList(), List.of()), drive,
                one.leftOut + other.leftOut, faults, one.digest, one.driven,
                new Joined(second.name(), other.digest, clocks)));
    }

    private static boolean has(List<ColumnUse> uses, LogChannel channel) {
        return uses.stream().anyMatch(u -> u.channel() == channel);
    }

    private static List<ColumnUse> with(ColumnUse time, List<ColumnUse> uses, List<ColumnUse> all,
            Optional<LogChannel> shared) {
        return Stream.concat(Stream.concat(Stream.of(time), uses.stream()),
                all.stream().filter(u -> shared.filter(s -> s == u.channel() && !has(uses, s)).isPresent())).toList();
    }

    private static Optional<Clocks> clocks(Taken one, Taken other, Optional<LogChannel> shared) {
        if (shared.isPresent()) {
            return Clocks.between(one.seconds, needed(one.channels, shared.get()), other.seconds,
                    needed(other.channels, shared.get()), shared.get());
        }
        return Clocks.between(one.seconds, mixture(one), other.seconds, mixture(other), LogChannel.CONTROLLER);
    }

    private static float[] mixture(Taken log) {
        return needed(log.channels,
                log.channels.containsKey(LogChannel.CONTROLLER) ? LogChannel.CONTROLLER : LogChannel.READER);
    }

    /** Uses of the columns of one of two logs, whatever it lacks. */
    private static List<ColumnUse> alone(List<ColumnFacts> facts, Job job, @Nullable Integer time) {
        return Recognition.of(facts, known(job, Map.of()), time == null ? Map.of() : Map.of(LogChannel.TIME, time))
                .uses();
    }

    private static ColumnUse time(LogFile file, List<ColumnUse> uses) {
        return uses.stream().filter(u -> u.channel() == LogChannel.TIME).findFirst().orElseThrow(
                () -> new UnusableInput(file.name(), "", say("found no column of time, expected one that rises")));
    }

    private static void answered(String what, Recognition recognition) {
        if (!recognition.asks().isEmpty()) {
            throw new UnusableInput(what, "", String.join(" ", recognition.asks()));
        }
    }

    private static DriveLog usable(DriveLog log) {
        if (!log.anything()) {
            throw new UnusableInput(log.file, "",
                    say("found no usable row%s, expected one or more with a time and both mixtures",
                            log.faults.isEmpty() ? "" : " (" + log.faults.getFirst() + ")"));
        }
        return log;
    }

    /** Columns as they were read, each in the unit of its channel. */
    @SuppressWarnings("ArrayRecordComponent") // never compared
    private record Taken(double[] seconds, Map<LogChannel, float[]> channels, int leftOut, List<String> faults,
            String digest, @Nullable Instant driven) {
    }

    private static Taken take(LogFile file, List<ColumnUse> uses, DoubleConsumer progress) {
        ColumnUse time = time(file, uses);
        List<ColumnUse> others = uses.stream().filter(u -> u.channel() != LogChannel.TIME).toList();
        LogColumns read = file.read(time.column(), time.si().applyAsDouble(1),
                others.stream().mapToInt(ColumnUse::column).toArray(), progress);
        Map<LogChannel, float[]> channels = new EnumMap<>(LogChannel.class);
        for (int i = 0; i < others.size(); i++) {
            channels.put(others.get(i).channel(), meant(read.columns().get(i), others.get(i).si()));
        }
        double[] seconds = read.time();
        double start = seconds.length == 0 ? 0 : seconds[0];
        double end = seconds.length == 0 ? 0 : seconds[seconds.length - 1];
        Instant driven = start > FIRST_LOGGERS && start < LAST_DAY
                ? Instant.ofEpochSecond(Math.round(end))
                : file.modified();
        if (start > 1e6) {
            // Counted since some day of the past: of a drive only the time since it began says anything.
            for (int i = 0; i < seconds.length; i++) {
                seconds[i] -= start;
            }
        }
        return new Taken(seconds, channels, read.leftOut(), read.faults(), read.digest(), driven);
    }

    private static Drive drive(double[] seconds, Map<LogChannel, float[]> channels) {
        return new Drive(seconds, needed(channels, LogChannel.CONTROLLER), needed(channels, LogChannel.READER),
                channels.get(LogChannel.ENGINE_SPEED), channels.get(LogChannel.SPEED),
                channels.get(LogChannel.PRESSURE), channels.get(LogChannel.THROTTLE),
                channels.get(LogChannel.TEMPERATURE), channels.get(LogChannel.AIR_MASS),
                channels.get(LogChannel.NARROWBAND));
    }

    private boolean anything() {
        for (int i = 0; i < drive.time().length; i++) {
            if (drive.controller()[i] > 0 && drive.reader()[i] > 0 && drive.controller()[i] < 20
                    && drive.reader()[i] < 20) {
                return true;
            }
        }
        return false;
    }

    private static float[] needed(Map<LogChannel, float[]> channels, LogChannel channel) {
        float[] found = channels.get(channel);
        if (found == null) {
            throw new IllegalStateException("no column for " + channel.key());
        }
        return found;
    }

    private static float[] meant(float[] values, DoubleUnaryOperator si) {
        boolean same = si.equals(ColumnUse.AS_IT_STANDS);
        for (int i = 0; i < values.length && !same; i++) {
            if (!Float.isNaN(values[i])) {
                values[i] = (float) si.applyAsDouble(values[i]);
            }
        }
        return values;
    }

    private static Map<LogChannel, Integer> named(String file, List<String> names, Map<LogChannel, String> said) {
        Map<LogChannel, Integer> named = new EnumMap<>(LogChannel.class);
        said.forEach((channel, typed) -> {
            Matcher ratio = WITH_RATIO.matcher(typed);
            String name = ratio.matches() ? ratio.group(1) : typed;
            int at = -1;
            for (int i = 0; i < names.size() && at < 0; i++) {
                at = names.get(i).strip().equalsIgnoreCase(name.strip()) ? i : -1;
            }
            if (at < 0 && name.strip().matches("\\d{1,3}") && Integer.parseInt(name.strip()) >= 1
                    && Integer.parseInt(name.strip()) <= names.size()) {
                at = Integer.parseInt(name.strip()) - 1;
            }
            if (at < 0) {
                throw new UnusableInput(file, "",
                        say("%s: found no column “%s”, expected a number from 1 or one of %s", channel.key(), name,
                                String.join(", ", names)));
            }
            named.put(channel, at);
        });
        return named;
    }

    /** Reads {@code time=COL,controller=COL}; an AFR may have the ratio that it is meant with, {@code controller=AFR@9.81}. */
    public static Map<LogChannel, String> map(String typed) {
        Map<LogChannel, String> said = new EnumMap<>(LogChannel.class);
        for (String one : typed.split(",", -1)) {
            int at = one.indexOf('=');
            String key = at < 0 ? one : one.substring(0, at);
            LogChannel channel = Arrays.stream(LogChannel.values())
                    .filter(c -> c.key().equals(key.strip().toLowerCase(Locale.ROOT))).findFirst()
                    .filter(c -> at > 0).orElseThrow(() -> new UnusableInput("--map", "",
                            say("found “%s”, expected such as time=1,controller=AFR with one of %s", one,
                                    String.join(", ",
                                            Arrays.stream(LogChannel.values()).map(LogChannel::key)
                                                    .toList()))));
            said.put(channel, one.substring(at + 1));
        }
        return said;
    }

    private static Recognition.Known known(Job job, Map<LogChannel, String> said) {
        Map<LogChannel, Double> ratios = new EnumMap<>(LogChannel.class);
        said.forEach((channel, name) -> {
            Matcher ratio = WITH_RATIO.matcher(name);
            if (ratio.matches()) {
                ratios.put(channel, Double.valueOf(ratio.group(2).replace(',', '.')));
            }
        });
        return new Recognition.Known(job.law(), job.gauge(), job.reader(), job.stoich(), ratios);
    }

    private static Optional<ReaderSetting> setting(Job job) {
        OutputLaw law = job.law();
        Reader reader = job.reader();
        return reader == null
                ? Optional.empty()
                : Optional.ofNullable(reader.setting())
                        .or(() -> law == null ? Optional.empty() : SettingFinder.find(law, reader));
    }

    /** A part of a log, in seconds of it. */
    public record Part(double from, double to) {
        /**
         * Reads {@code 60-300}.
         *
         * @return empty where nothing is said
         */
        public static Optional<Part> of(String typed) {
            String[] ends = typed.strip().replace("–", "-").replace(',', '.').split("\\s*-\\s*", -1);
            try {
                if (typed.isBlank()) {
                    return Optional.empty();
                }
                Part part = new Part(Double.parseDouble(ends[0]), Double.parseDouble(ends[ends.length - 1]));
                if (ends.length == 2 && part.to > part.from) {
                    return Optional.of(part);
                }
            } catch (NumberFormatException e) {
                // Said below.
            }
            throw new UnusableInput(say("part"), "",
                    say("found “%s”, expected from and to in seconds, such as 60-300", typed));
        }
    }

    /**
     * Only a part of it.
     *
     * @throws UnusableInput when nothing usable is in it
     */
    public DriveLog only(Part part) {
        DriveLog log = new DriveLog(say("%s, %.0f to %.0f s", file, part.from(), part.to()), recognition,
                drive.within(part.from(), part.to()), leftOut, faults, digest, driven, joined);
        if (!log.anything()) {
            throw new UnusableInput(file, "", say("found no usable row from %.0f to %.0f s, expected one or more",
                    part.from(), part.to()));
        }
        return log;
    }

    /**
     * Result of a drive, as it is kept with the job.
     *
     * @param drive every row, the reader's lag out
     */
    public record Proved(Output.Proving proving, Drive drive) {
    }

    /** Returns what this drive proves. */
    public Proved proved(Job job, Origin origin) {
        DriveFound.In found = DriveFound.in(drive, asked(job), recognition.uses(), joined);
        return new Proved(new Output.Proving(file, digest, origin, driven, List.of(),
                LogComparison.of(found.drive(), found.compared()), found.found()), found.drive());
    }

    /** Facts of the job by which the drive is judged. */
    private static EngineAsked asked(Job job) {
        OutputLaw law = job.law();
        @Nullable
        Reader reader = job.reader();
        double low = law == null ? 0.5 : law.richest();
        double high = law == null ? 1.5 : law.leanest();
        double shownLow = low;
        double shownHigh = high;
        if (reader != null) {
            MixtureScale scale = reader.scale();
            double[] ends = setting(job).map(s -> new double[]{
                    scale.toLambda(s.at(reader.input().minVolts())), scale.toLambda(s.at(reader.input().maxVolts()))})
                    .orElse(new double[]{low, high});
            shownLow = Math.min(ends[0], ends[1]);
            shownHigh = Math.max(ends[0], ends[1]);
        }
        return new EngineAsked(job.engineTraits(), low, high, shownLow, shownHigh,
                job.transport(PlaceSchools.OURS).orElse(0.0) + DisplaySetUp.SENSOR,
                reader == null ? null : reader.input().filter());
    }
}
