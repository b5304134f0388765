package amberheron.core.drivelog;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.FuelKind;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Judges a proving log. */
public final class LogRules {
    /** Multiple of the tolerance that a single moment may be off; readers lag in transients. */
    private static final double TRANSIENT = 3;

    /** Length of a drive that has been through warm idle, cruise and a pull, s. */
    private static final double LONG = 60;
    /** Number of moments below which an agreement may be chance. */
    private static final int MANY = 100;
    /** Distance from λ 1 at which a tuned engine is run, where an error of the gain costs most, λ. */
    private static final double AWAY = 0.2;
    private static final Source OWN = Source.memory("length and range of a proving drive are our own choice");

    /** Lag above which a log shows the mixture of another engine speed, s. */
    private static final double LATE = 0.5;
    /** Difference between a lag and that of the reader's filter within which the filter explains it, s. */
    private static final double NEARLY = 0.15;
    private static final Source STEPS = Source
            .memory("a warm narrowband steps at λ 1 within about 0.002 to 0.005, whatever the fuel");
    private static final Source WITNESS = Source.derived("what is made from a reading says nothing against it");
    /** Distance from λ 1 at which warm idle and cruise are doubted, λ. */
    private static final double FAR_OFF = 0.1;
    private static final Source RUNS_NEAR_ONE = Source
            .practice("closed loop holds warm idle and cruise at λ 1; the limit is our own choice");
    private static final Source SCAVENGING = Source
            .memory("a two-stroke's exhaust holds fresh gas that was not burnt");
    private static final Source TIPS_IN = Source
            .practice(
                    "a mixture that leans out as the throttle opens makes an engine stumble; the limits are our own choice");

    /** Uncertainty of the clocks above which a transient cannot be compared, s. */
    private static final double SHARP = 0.1;

    /** Shortest steady running that proves agreement, and shortest pull, s. */
    private static final double CRUISED = 20;
    private static final double LOADED = 2;

    private LogRules() {
    }

    /**
     * Traits of the engine and of the sensor's place by which the drive is judged.
     *
     * @param filter time constant of the reader's own filter, s; null where it is not known
     */
    public record Engine(Set<EngineTrait> traits, @Nullable Double filter) {
        public Engine {
            traits = Set.copyOf(traits);
        }

        /** Returns traits with a reader whose filter is not known. */
        public static Engine with(EngineTrait... traits) {
            return new Engine(Set.of(traits), null);
        }

        /** Returns whether a trait applies. */
        public boolean is(EngineTrait trait) {
            return traits.contains(trait);
        }
    }

    /**
     * Judges every check of the station.
     *
     * @param found what the drive says besides; null where nobody looked
     * @param tolerance what the trade lets gauge and reader differ by, λ
     * @param toleranceSource where that comes from
     * @param engine what of the engine and of the sensor's place the drive is judged by
     */
    public static List<Finding> judge(LogComparison log, @Nullable DriveFound found, double tolerance,
            Source toleranceSource, Engine engine) {
        Agreement line = found == null ? null : found.agreement();
        List<Finding> findings = new ArrayList<>();
        runs(found, engine, findings);
        findings.add(bias(log, line, tolerance, toleranceSource));
        findings.add(gain(log, line, tolerance));
        boolean calm = log.spread() <= tolerance;
        boolean tame = Math.abs(log.worst()) <= TRANSIENT * tolerance;
        findings.add(new Finding(LogCheck.SPREAD, "Spread", calm ? Verdict.PASS : Verdict.WARN,
                difference(log.spread()), new Limit(AT_MOST, difference(tolerance)),
                calm ? "Quiet: no noise or lag worth naming." : "Noise or lag: look at the ground and the filter.",
                null, Message.of("standard deviation of {0} samples", log.samples()), toleranceSource));
        findings.add(new Finding(LogCheck.WORST, "", tame ? Verdict.PASS : Verdict.WARN, difference(log.worst()),
                new Limit(AT_MOST, difference(TRANSIENT * tolerance)),
                tame
                        ? "No moment stands out."
                        : "One moment stands out: look at it in the plot before trusting the rest.",
                log.worst(),
                "largest magnitude of shown − true, less what a mixture on its way changes there from one row to the next",
                Source.derived("three times the tolerance is our own choice: readers lag in transients"))
                .named(Message.of("Worst, at {0}", new Measure(log.worstAt(), Dimension.DURATION, 1))));
        findings.add(length(log));
        held(found == null ? null : found.held(), engine, findings);
        if (found != null) {
            besides(found, line, engine, findings);
            crossings(found.crossings(), engine, tolerance, findings);
        }
        return List.copyOf(findings);
    }

    /** Judges whether reader and controller were compared long enough, at cruise and under load. */
    private static void held(@Nullable Held held, Engine engine, List<Finding> findings) {
        findings.add(
                lasting(LogCheck.HELD_CRUISING, "Compared at idle and cruise", held == null ? null : held.cruising(),
                        CRUISED, "Drive on at idle and steady cruise, warm, with the log running."));
        if (engine.is(EngineTrait.READ_UNDER_LOAD)) {
            findings.add(lasting(LogCheck.HELD_UNDER_LOAD, "Compared at full load's mixture",
                    held == null ? null : held.underLoad(), LOADED,
                    "Log a pull at full load too: that is where a wrong number costs an engine."));
        }
    }

    private static Finding lasting(LogCheck check, String subject, @Nullable Double seconds, double wanted,
            String more) {
        boolean enough = seconds != null && seconds >= wanted;
        return new Finding(check, subject, enough ? Verdict.PASS : Verdict.UNKNOWN,
                seconds == null ? null : new Measure(seconds, Dimension.DURATION, 0),
                new Limit(AT_LEAST, new Measure(wanted, Dimension.DURATION, 0)),
                seconds == null
                        ? "This log was read before that was asked: read it again."
                        : enough ? "Long enough there." : more,
                null, "time in which both showed a mixture like that, without what says nothing", OWN)
                .asking(LogField.FILE.address());
    }

    /** Judges the controller at the narrowband's steps, the one point of a drive that is true for any fuel. */
    private static void crossings(@Nullable Crossings crossings, Engine engine, double tolerance,
            List<Finding> findings) {
        if (crossings == null) {
            return;
        }
        if (engine.is(EngineTrait.NARROWBAND_SIMULATED)) {
            findings.add(new Finding(LogCheck.CROSSINGS, "Controller at the narrowband's steps", Verdict.WARN, null,
                    null,
                    "No witness: this controller simulates the narrowband and steps it where it believes λ 1 to be, so it agrees with any error. Ask a stock sensor that is still in the pipe, or a gas analyser.",
                    null, "a simulated narrowband is wired in this job", WITNESS));
            return;
        }
        double off = crossings.lambda() - 1;
        double bound = tolerance + crossings.doubt();
        boolean holds = Math.abs(off) <= bound;
        findings.add(new Finding(LogCheck.CROSSINGS, "Controller at the narrowband's steps",
                holds ? Verdict.PASS : Verdict.FAIL, difference(off), new Limit(AT_MOST, difference(bound)),
                Message.plain(holds
                        ? "At λ 1 the controller shows the truth: another sensor says so."
                        : engine.is(EngineTrait.AFTER_MERGE) && off > 0
                                ? "The bank of the narrowband is held at λ 1 and the gas of both is leaner: the other bank runs lean, hidden after the merge. Look at each bank by itself."
                                : engine.is(EngineTrait.AFTER_MERGE)
                                        ? "The bank of the narrowband is held at λ 1 and the gas of both is richer: the other bank runs rich. Look at each bank by itself."
                                        : off > 0
                                                ? "The controller itself shows lean: air leaks in between the two sensors, or its free-air calibration is off. Test the exhaust joints, then calibrate again."
                                                : "The controller itself shows rich: calibrate it again in free air, and look at the sensor's age."),
                off,
                Message.of("{0} steps, both ways alike; the step itself is λ 1 within {1}", crossings.steps(),
                        difference(crossings.doubt())),
                STEPS));
    }

    private static Finding bias(LogComparison log, @Nullable Agreement line, double tolerance, Source source) {
        double off = line == null ? log.bias() : line.offset();
        boolean level = Math.abs(off) <= tolerance;
        return new Finding(LogCheck.BIAS, line == null ? "Bias, shown − true" : "Offset at λ 1, shown − true",
                level ? Verdict.PASS : Verdict.FAIL, difference(off), new Limit(AT_MOST, difference(tolerance)),
                level
                        ? "Gauge and reader agree on the road."
                        : off > 0
                                ? "The reader reads lean: the tuner would add fuel that is not wanted."
                                : "The reader reads rich: the tuner would take away fuel the engine needs.",
                off,
                line == null
                        ? Message.of("mean of {0} samples", log.samples())
                        : Message.of("robust line through {0} steady moments, lag taken out; 95 of 100: {1} to {2}",
                                line.pairs(), difference(line.offsetLow()), difference(line.offsetHigh())),
                source);
    }

    /** Judges what else the drive shows of signal and engine. */
    private static void besides(DriveFound found, @Nullable Agreement line, Engine engine, List<Finding> findings) {
        if (line != null && line.lag() != null) {
            findings.add(lag(line.lag(), line.averaging(), engine.filter()));
        }
        clocks(found.joined(), findings);
        if (found.lost() > 0) {
            findings.add(new Finding(LogCheck.LOST, "Rows without a signal", Verdict.WARN,
                    new Measure(found.lost(), Dimension.NUMBER, 0), null,
                    "The reader lost the signal: look at plug, pin and ground.", null,
                    "nothing shown, or an end of what can be shown, while the controller shows a mixture", OWN));
        }
        if (found.frozen() > 0) {
            findings.add(new Finding(LogCheck.FROZEN, "Rows that stood still", Verdict.WARN,
                    new Measure(found.frozen(), Dimension.NUMBER, 0), null,
                    "The reader stood still while the mixture moved: look at the link and the logger's rate.", null,
                    "two seconds or more unchanged", OWN));
        }
        List<DriveEvent> lean = found.events(DriveEvent.Kind.LEAN);
        if (engine.is(EngineTrait.DIESEL)) {
            smoke(found, findings);
        } else if (!found.notTold().contains(Regime.Kind.FULL_LOAD) && found.seconds(Regime.Kind.FULL_LOAD) > 0) {
            Bands bands = EngineTrait.bands(engine.traits());
            double limit = bands.lean();
            double worst = lean.stream().mapToDouble(DriveEvent::lambda).max().orElse(0);
            findings.add(new Finding(LogCheck.LEAN, "", lean.isEmpty() ? Verdict.PASS : Verdict.FAIL,
                    lean.isEmpty() ? null : new Measure(worst, Dimension.MIXTURE, 3),
                    new Limit(AT_MOST, new Measure(limit, Dimension.MIXTURE, 3)),
                    lean.isEmpty()
                            ? "Never lean under load; what is left of a fuel cut does not count."
                            : "Stop: lean under load destroys engines. Mend the fuelling before it is driven again.",
                    null,
                    "the gas that the sensor must have seen to show that, worked back by its own lag, for a quarter of a second or longer; not what is left of a fuel cut",
                    bands.source())
                    .named(lean.isEmpty()
                            ? Message.plain("Lean under load")
                            : Message.of("Lean under load, {0} times, first at {1}", lean.size(),
                                    new Measure(lean.getFirst().from(), Dimension.DURATION, 0))));
        }
        tipIn(found, engine, findings);
        if (engine.is(EngineTrait.TWO_STROKE)) {
            findings.add(new Finding(LogCheck.SCAVENGED, "Two-stroke", Verdict.WARN, null, null,
                    "Fresh gas is blown through with the burnt: the λ shown is leaner than what was burnt, most at part load. Judge changes by it, and the mixture by plug and temperature.",
                    null, "not corrected: how much is blown through is not known", SCAVENGING));
        }
        found.events(DriveEvent.Kind.LEAK).stream().findFirst().ifPresent(leak -> findings.add(
                new Finding(LogCheck.LEAK, "Idle", Verdict.WARN, new Measure(leak.lambda(), Dimension.MIXTURE, 3), null,
                        engine.is(EngineTrait.NEAR_OPEN_END)
                                ? "Lean at idle and less with load: the open end is near, so air is drawn back to the sensor between the pulses, or an exhaust joint before it leaks. Raise the idle: what is drawn back goes away."
                                : "Lean at idle and less with load, as false air makes it: test the exhaust joints before the sensor.",
                        null, "middle of the idle against that of cruise", OWN)));
    }

    /** An engine in order idles and cruises near λ 1: where the log has it far from there, its numbers may be of another scale. */
    private static void runs(@Nullable DriveFound found, Engine engine, List<Finding> findings) {
        if (found == null || engine.is(EngineTrait.CARBURETTOR) || engine.is(EngineTrait.DIESEL)) {
            return;
        }
        Stream.of(Regime.Kind.CRUISE, Regime.Kind.IDLE).flatMap(k -> found.driven(k).stream())
                .filter(d -> Math.abs(d.lambda() - 1) > FAR_OFF).findFirst()
                .ifPresent(d -> findings.add(new Finding(LogCheck.RUNS, "Warm idle and cruise", Verdict.WARN,
                        new Measure(d.lambda(), Dimension.MIXTURE, 2),
                        new Limit(d.lambda() > 1 ? AT_MOST : AT_LEAST,
                                new Measure(1 + Math.signum(d.lambda() - 1) * FAR_OFF,
                                        Dimension.MIXTURE, 1)),
                        "An engine in order runs near λ 1 there. Is the AFR of the log meant with another ratio? Then say so at Channels; else mend the fuelling before anything of this drive is trusted.",
                        null, "mean of what the controller showed", RUNS_NEAR_ONE)));
    }

    /** A diesel is limited on the rich side: by smoke, and by how hot its exhaust gets. */
    private static void smoke(DriveFound found, List<Finding> findings) {
        found.driven(Regime.Kind.FULL_LOAD).ifPresent(full -> {
            Bands bands = FuelKind.DIESEL.bands(false);
            double richest = found.regimes().stream().filter(r -> r.kind() == Regime.Kind.FULL_LOAD)
                    .mapToDouble(Regime::lambda).min().orElse(full.lambda());
            boolean kept = richest >= bands.rich();
            findings.add(new Finding(LogCheck.SMOKE, "Richest at full load", kept ? Verdict.PASS : Verdict.WARN,
                    new Measure(richest, Dimension.MIXTURE, 2),
                    new Limit(AT_LEAST, new Measure(bands.rich(), Dimension.MIXTURE, 1)),
                    kept
                            ? "Lean enough not to smoke. How much more fuel it stands is for the exhaust's temperature to say."
                            : "It smokes and the exhaust gets hot: less fuel or more air. Watch the exhaust's temperature, not the lean side.",
                    null, "the richest of the stretches at full load", bands.source()));
        });
    }

    /** A drop in fuelling as the throttle opens, with no cut before it. */
    private static void tipIn(DriveFound found, Engine engine, List<Finding> findings) {
        Integer openings = found.openings();
        List<DriveEvent> lean = found.events(DriveEvent.Kind.TIP_IN);
        if (openings == null || openings == 0 || engine.is(EngineTrait.DIESEL)) {
            return;
        }
        double worst = lean.stream().mapToDouble(DriveEvent::lambda).max().orElse(0);
        double longest = lean.stream().mapToDouble(e -> e.to() - e.from()).max().orElse(0);
        findings.add(new Finding(LogCheck.TIP_IN, "", lean.isEmpty() ? Verdict.PASS : Verdict.WARN,
                lean.isEmpty() ? null : new Measure(worst, Dimension.MIXTURE, 3),
                new Limit(AT_MOST, new Measure(EngineTrait.bands(engine.traits()).stop(), Dimension.MIXTURE, 3)),
                lean.isEmpty()
                        ? Message.plain("Never lean as the throttle opened out of cruise.")
                        : Message.of(
                                "Lean for up to {0} as the throttle opens: it stumbles, and may fire back. More fuel "
                                        + "for the opening. A slow sensor shows less than was there.",
                                new Measure(longest, Dimension.DURATION, 1)),
                null,
                Message.plain(
                        "the gas that the sensor must have seen, for 0.2 s or longer within 1.5 s of an opening out of steady cruise"),
                TIPS_IN)
                .named(lean.isEmpty()
                        ? Message.of("Throttle opened out of cruise, {0} times", openings)
                        : Message.of("Lean as the throttle opens, {0} of {1} times, first at {2}", lean.size(),
                                openings,
                                new Measure(lean.getFirst().from(), Dimension.DURATION, 0))));
    }

    /** Judges the reader's lag and names its cause: the known filter, an average that shows, or a pure delay. */
    private static Finding lag(double lag, @Nullable Double averaging, @Nullable Double filter) {
        boolean prompt = Math.abs(lag) <= LATE;
        double blur = averaging == null ? 0 : averaging;
        String late = filter != null && lag <= filter + NEARLY
                ? "Its own filter makes it late: filter less, or shift the channel."
                : blur >= lag / 2
                        ? "It averages, and so what is logged belongs to an engine speed already left: filter less, or shift the channel."
                        : "It is late without averaging, as a slow link or rate makes it: what is logged belongs to an engine speed already left. Log faster, or shift the channel.";
        return new Finding(LogCheck.LAG, "Lag of the reader", prompt ? Verdict.PASS : Verdict.WARN,
                new Measure(lag, Dimension.DURATION, 2), new Limit(AT_MOST, new Measure(LATE, Dimension.DURATION, 1)),
                Message.plain(prompt ? "The log shows the mixture of the moment." : late), null,
                blur == 0
                        ? filter == null
                                ? Message.plain("where the changes of both go together best")
                                : Message.of("where the changes of both go together best; its filter alone makes {0}",
                                        new Measure(filter, Dimension.DURATION, 2))
                        : filter == null
                                ? Message.of("where the changes of both go together best, averaged over about {0}",
                                        new Measure(blur, Dimension.DURATION, 2))
                                : Message.of("where the changes of both go together best, averaged over about {0}; "
                                        + "its filter alone makes {1}", new Measure(blur, Dimension.DURATION, 2),
                                        new Measure(filter, Dimension.DURATION, 2)),
                OWN);
    }

    /** Judges how well the clocks of two logs are known. */
    private static void clocks(@Nullable Joined joined, List<Finding> findings) {
        if (joined == null) {
            return;
        }
        Clocks clocks = joined.clocks();
        boolean sharp = clocks.doubt() <= SHARP;
        findings.add(new Finding(LogCheck.CLOCKS, "Two logs on one clock, to within",
                sharp && clocks.tellsLag() ? Verdict.PASS : Verdict.WARN,
                new Measure(clocks.doubt(), Dimension.DURATION, 3),
                new Limit(AT_MOST, new Measure(SHARP, Dimension.DURATION, 1)),
                Message.plain(!sharp
                        ? "They do not go together well: log a channel of the engine in both."
                        : clocks.tellsLag()
                                ? "Both logs tell of the same moments."
                                : "Put together by the mixture itself, so how late the reader is cannot be told: log a channel of the engine in both."),
                null,
                Message.of("by {0}; the second begins at {1} of the first, its clock apart by {2}",
                        Message.plain(clocks.toldBy()),
                        new Measure(clocks.shift(), Dimension.DURATION, 1),
                        new Measure(clocks.drift(), Dimension.FRACTION, 3)),
                OWN).asking(LogField.FILE.address()));
    }

    private static Finding length(LogComparison log) {
        boolean enough = log.duration() >= LONG && log.samples() >= MANY;
        return new Finding(LogCheck.LENGTH, "Length of the drive", enough ? Verdict.PASS : Verdict.UNKNOWN,
                new Measure(log.duration(), Dimension.DURATION, 0),
                new Limit(AT_LEAST, new Measure(LONG, Dimension.DURATION, 0)),
                enough ? "Long enough to have been everywhere." : "Too short to prove anything: drive on and log.",
                null, Message.of("{0} samples, {1} or more wanted", log.samples(), MANY), OWN)
                .asking(LogField.FILE.address());
    }

    /** Judges the gain: a reader that is right at λ 1 and wrong away from it has no bias and little scatter. */
    private static Finding gain(LogComparison log, @Nullable Agreement line, double tolerance) {
        Double gain = line == null ? log.gain() : line.gain();
        Double richest = log.richest();
        Double leanest = log.leanest();
        Limit limit = new Limit(AT_MOST, new Measure(tolerance / AWAY, Dimension.FRACTION, 1));
        if (gain == null || richest == null || leanest == null || leanest - richest < Agreement.RANGE) {
            return new Finding(LogCheck.GAIN, "Gain, shown per true", Verdict.UNKNOWN, null, limit,
                    "The mixture hardly moved: log a pull and a lift-off too.", null, "", OWN)
                    .asking(LogField.FILE.address());
        }
        boolean kept = Math.abs(gain - 1) <= tolerance / AWAY;
        Double low = line == null ? null : line.gainLow();
        Double high = line == null ? null : line.gainHigh();
        return new Finding(LogCheck.GAIN, "Gain, shown per true", kept ? Verdict.PASS : Verdict.FAIL,
                new Measure(gain - 1, Dimension.FRACTION, 1), limit,
                kept
                        ? "As right away from λ 1 as at it."
                        : "Right in one place and wrong on both sides of it: the slope that was typed is not the law's.",
                AWAY * (gain - 1),
                low == null || high == null
                        ? Message.of("least squares from {0} to {1}; cost {2} from λ 1",
                                new Measure(richest, Dimension.MIXTURE, 3), new Measure(leanest, Dimension.MIXTURE, 3),
                                new Measure(AWAY, Dimension.MIXTURE, 1))
                        : Message.of("robust line; 95 of 100: {0} to {1}; cost {2} from λ 1",
                                new Measure(low - 1, Dimension.FRACTION, 1),
                                new Measure(high - 1, Dimension.FRACTION, 1),
                                new Measure(AWAY, Dimension.MIXTURE, 1)),
                OWN).asking(LogField.FILE.address());
    }

    private static Measure difference(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 4);
    }
}
