package amberheron.core.trim;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;
import static amberheron.core.units.Phrase.word;

import amberheron.core.drivelog.EngineTrait;
import amberheron.core.drivelog.Fuelling;
import amberheron.core.drivelog.Fuelling.Spot;
import amberheron.core.drivelog.LoadAxis;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.Bands;
import amberheron.core.trim.TrimSheet.BinTarget;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Advice to the tuner: the fuel that each bin of speed and load needs, weighted by the evidence. An uncertain need shrinks
 * towards no change, neighbours are averaged in, nothing is advised beyond the limit, and a bin that asks for the limit
 * twice is reported as a fault to find.
 *
 * @param axis by what the load is told
 * @param speeds middles of the bins, 1/min
 * @param loads middles of the bins, SI of the axis
 * @param cells every bin, load by load
 * @param findings whether it may be used, and how far it is
 */
public record TrimPlan(LoadAxis axis, List<Double> speeds, List<Double> loads, List<Cell> cells,
        List<Finding> findings) {
    /** Greatest advice that any shop may choose, as a part of the fuel. */
    public static final double MOST = 0.20;
    /** Need below which a bin is done, as a part of the fuel. */
    public static final double DONE = 0.02;
    /** Distance of mixed driving before any advice, m. */
    public static final double FAR_ENOUGH = 16_000;
    private static final double FEWEST_SECONDS = 2;
    private static final int FEWEST_VISITS = 2;
    private static final double LONG_SECONDS = 5;
    /** Standard deviation expected of a bin's need before it was driven, as a part of the fuel. */
    private static final double EXPECTED = 0.05;
    /** Standard uncertainty of one settled stay, λ. */
    private static final double STAY = 0.01;
    private static final double NEIGHBOUR = 0.25;
    /** How much the need may change from a bin's middle to its edge, as a part of the fuel: it is said of the middle. */
    private static final double OFF_CENTRE = 0.01;
    /** Part of the way to full load, by the target, from which on less fuel is dangerous. */
    private static final double UNDER_LOAD = 0.5;
    /** Evidence that less fuel at full load needs, and the step that it is taken in. */
    private static final double LEANER_SECONDS = 10;
    private static final int LEANER_VISITS = 3;
    private static final double LEANER_SURE = 0.8;
    public static final double LEANER_STEP = 0.03;
    private static final Source PRACTICE = Source.practice(
            "after about 16 km of mixed riding; limited in size by the shop's own figure; a cell at its limit twice is a fault; done within 1 to 2 %");
    private static final Source OWN = Source.memory("how much evidence is enough is our own choice");

    /** State of a bin. */
    public enum State {
        NOT_DRIVEN("not driven"),
        TOO_LITTLE("too little to tell"),
        ADVISED("advised"),
        DONE("done"),
        LEANER("less fuel at full load: held back"),
        LIMIT("at the limit"),
        FAULT("at the limit twice: find the fault");

        private final String words;

        State(String words) {
            this.words = words;
        }

        /** The word that files know it by, the same in every language. */
        public String key() {
            return words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /**
     * A bin.
     *
     * @param speed its middle, 1/min
     * @param load its middle, SI of the axis
     * @param seconds of evidence
     * @param visits how often it was come to anew
     * @param lambda mean that was shown; null where nothing was
     * @param target wanted, λ
     * @param need fuel it lacks by that alone, as a part; null with it
     * @param doubt standard error of the need; null with it
     * @param sure weight of its own evidence, 0 to 1
     * @param advice fuel to give, as a part; null where none is given
     */
    public record Cell(double speed, double load, double seconds, int visits, @Nullable Double lambda, double target,
            @Nullable Double need, @Nullable Double doubt, double sure, @Nullable Double advice, State state) {
    }

    public TrimPlan {
        speeds = List.copyOf(speeds);
        loads = List.copyOf(loads);
        cells = List.copyOf(cells);
        findings = List.copyOf(findings);
    }

    /**
     * What is asked about the engine and its reader.
     *
     * @param traits traits of the engine
     * @param against what on the road speaks against any trimming: a reader that lies, an engine that is to be stopped
     * @param most greatest advice that the shop gives at once, as a part of the fuel
     */
    public record Asked(Set<EngineTrait> traits, List<Finding> against, double most) {
        public Asked {
            traits = Set.copyOf(traits);
            against = List.copyOf(against);
        }
    }

    /** Whether advice is given at all. */
    public boolean released() {
        return findings.stream().noneMatch(f -> f.verdict() == Verdict.FAIL && f.check().is(TrimCheck.HELD));
    }

    /** Returns the sheet after this advice was handed out; a bin without advice keeps what it was given before. */
    public TrimSheet given(TrimSheet before) {
        List<TrimSheet.BinTarget> told = new ArrayList<>();
        for (Cell cell : cells) {
            Optional<TrimSheet.BinTarget> earlier = before.of(cell.speed(), cell.load());
            Double target = earlier.map(TrimSheet.BinTarget::target).orElse(null);
            Double given = cell.advice() != null
                    ? cell.advice()
                    : earlier.map(TrimSheet.BinTarget::given).orElse(null);
            if (target != null || given != null) {
                told.add(new TrimSheet.BinTarget(cell.speed(), cell.load(), target, given));
            }
        }
        return new TrimSheet(speeds, loads, told, before.leaner());
    }

    /** A bin by its place in the lists. */
    public Cell cell(int speed, int load) {
        return cells.get(load * speeds.size() + speed);
    }

    /** Makes the plan; empty where nothing of the drive passed the gates. */
    public static Optional<TrimPlan> of(Fuelling fuelling, TrimSheet sheet, Asked asked) {
        if (fuelling.spots().isEmpty()) {
            return Optional.empty();
        }
        double highest = fuelling.spots().stream().mapToDouble(Spot::load).max().orElseThrow();
        List<Double> speeds = sheet.speedBins();
        List<Double> loads = sheet.loadBins(fuelling.axis(), highest);
        Targets targets = new Targets(sheet, fuelling.axis(), highest, asked, speeds, loads);
        List<Cell> own = new ArrayList<>();
        for (int y = 0; y < loads.size(); y++) {
            for (int x = 0; x < speeds.size(); x++) {
                own.add(evidence(fuelling.spots(), targets, x, y));
            }
        }
        List<Finding> findings = new ArrayList<>();
        held(asked, findings);
        boolean released = findings.isEmpty();
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            boolean loaded = underLoad(fuelling.axis(), own.get(i).load(), highest) >= UNDER_LOAD;
            cells.add(advised(own, i, speeds.size(), sheet, released, loaded, asked.most()));
        }
        distance(fuelling, findings);
        leaner(cells, sheet, findings);
        far(cells, asked.most(), findings);
        return Optional.of(new TrimPlan(fuelling.axis(), speeds, loads, cells, findings));
    }

    private static boolean within(List<Double> middles, int i, double value) {
        if (middles.size() == 1) {
            return true;
        }
        return value >= middles.get(i) - below(middles, i) / 2 && value < middles.get(i) + above(middles, i) / 2;
    }

    /** Returns the way from a bin's middle to the one below it; the lowest reaches as far down as up. */
    private static double below(List<Double> middles, int i) {
        return i > 0 ? middles.get(i) - middles.get(i - 1) : middles.get(1) - middles.get(0);
    }

    /** Returns the way from a bin's middle to the one above it; the highest reaches as far up as down. */
    private static double above(List<Double> middles, int i) {
        return i + 1 < middles.size() ? middles.get(i + 1) - middles.get(i) : below(middles, i);
    }

    private static Cell evidence(List<Spot> spots, Targets targets, int x, int y) {
        List<Double> speeds = targets.speeds();
        List<Double> loads = targets.loads();
        double speed = speeds.get(x);
        double load = loads.get(y);
        List<Spot> in = spots.stream()
                .filter(s -> within(speeds, x, s.speed()) && within(loads, y, s.load())).toList();
        double target = targets.at(speed, load);
        double seconds = in.stream().mapToDouble(Spot::seconds).sum();
        if (seconds <= 0) {
            return new Cell(speed, load, 0, 0, null, target, null, null, 0, null, State.NOT_DRIVEN);
        }
        // Fine steps that were passed in one go are one visit.
        int visits = in.stream().mapToInt(Spot::visits).max().orElse(0);
        double mean = weighed(in, seconds, Spot::lambda);
        // Each fine step against the target that holds there: in a bin that may fall by a fifth.
        ToDoubleFunction<Spot> lacks = s -> s.lambda() / targets.at(s.speed(), s.load()) - 1;
        double need = weighed(in, seconds, lacks);
        double scatter = Math.sqrt(weighed(in, seconds,
                s -> Math.pow(s.spread() / target, 2) + Math.pow(lacks.applyAsDouble(s) - need, 2)));
        double stays = Math.max(1, visits + seconds / LONG_SECONDS);
        double off = Math.max(offCentre(speeds, x, weighed(in, seconds, Spot::speed)),
                offCentre(loads, y, weighed(in, seconds, Spot::load)));
        double doubt = Math.hypot(Math.hypot(scatter, STAY / target) / Math.sqrt(stays), OFF_CENTRE * off);
        double sure = EXPECTED * EXPECTED / (EXPECTED * EXPECTED + doubt * doubt);
        boolean enough = seconds >= FEWEST_SECONDS && (visits >= FEWEST_VISITS || seconds >= LONG_SECONDS);
        return new Cell(speed, load, seconds, visits, mean, target, need, doubt, sure, null,
                enough ? State.ADVISED : State.TOO_LITTLE);
    }

    /** Returns how far from a bin's middle one drove, as a part of half of its width. */
    private static double offCentre(List<Double> middles, int i, double value) {
        if (middles.size() == 1) {
            return 0;
        }
        double off = value - middles.get(i);
        return Math.min(1, Math.abs(off) / (off < 0 ? below(middles, i) : above(middles, i)) * 2);
    }

    /** The mixture that is wanted at any speed and load. */
    private record Targets(TrimSheet sheet, LoadAxis axis, double highest, Asked asked, List<Double> speeds,
            List<Double> loads) {
        /** Returns the usual target, moved by what the shop's own differ from it, straight between the middles of the bins. */
        double at(double speed, double load) {
            double usual = usual(load);
            if (sheet.targets().isEmpty()) {
                return usual;
            }
            double sx = place(speeds, speed);
            double sy = place(loads, load);
            int x = Math.min((int) sx, speeds.size() - 1);
            int y = Math.min((int) sy, loads.size() - 1);
            int right = Math.min(x + 1, speeds.size() - 1);
            int up = Math.min(y + 1, loads.size() - 1);
            double px = sx - x;
            double py = sy - y;
            return usual + (1 - px) * (1 - py) * differs(x, y) + px * (1 - py) * differs(right, y)
                    + (1 - px) * py * differs(x, up) + px * py * differs(right, up);
        }

        private double differs(int x, int y) {
            double load = loads.get(y);
            return sheet.of(speeds.get(x), load).map(BinTarget::target).map(t -> t - usual(load)).orElse(0.0);
        }

        /** Returns where a value lies among rising middles: 1.5 is half-way between the second and the third. */
        private static double place(List<Double> middles, double value) {
            int i = 0;
            while (i < middles.size() - 1 && value >= middles.get(i + 1)) {
                i++;
            }
            return i == middles.size() - 1
                    ? i
                    : i + Math.max(0, (value - middles.get(i)) / (middles.get(i + 1) - middles.get(i)));
        }

        /** Returns the usual target: cruise at part load, full load at the top, straight between. */
        private double usual(double load) {
            double full = EngineTrait.bands(asked.traits()).fullLoad();
            double cruise = asked.traits().contains(EngineTrait.CARBURETTOR) ? Bands.RICH_CRUISE : 1;
            return cruise + underLoad(axis, load, highest) * (full - cruise);
        }
    }

    /** Returns how far a load is on the way from cruise to full load, 0 to 1. */
    private static double underLoad(LoadAxis axis, double load, double highest) {
        double top = switch (axis) {
            case PRESSURE -> 101_325;
            case THROTTLE -> 1;
            case AIR -> highest;
        };
        return Math.clamp((load / top - 0.6) / 0.3, 0, 1);
    }

    private static double weighed(List<Spot> spots, double seconds, ToDoubleFunction<Spot> of) {
        return spots.stream().mapToDouble(s -> s.seconds() * of.applyAsDouble(s)).sum() / seconds;
    }

    private static Cell advised(List<Cell> all, int i, int wide, TrimSheet sheet, boolean released, boolean loaded,
            double most) {
        Cell cell = all.get(i);
        Double need = cell.need();
        if (need == null || cell.state() == State.TOO_LITTLE) {
            return cell;
        }
        boolean atLimit = Math.abs(need) >= most;
        Double given = sheet.of(cell.speed(), cell.load()).map(TrimSheet.BinTarget::given).orElse(null);
        boolean again = atLimit && given != null && Math.abs(given) >= most - 1e-9 && given * need > 0;
        boolean leaner = loaded && need < -DONE;
        boolean taken = leaner && sheet.leaner() && cell.seconds() >= LEANER_SECONDS && cell.visits() >= LEANER_VISITS
                && cell.sure() >= LEANER_SURE;
        State state = again
                ? State.FAULT
                : leaner && !taken
                        ? State.LEANER
                        : atLimit ? State.LIMIT : Math.abs(need) <= DONE ? State.DONE : State.ADVISED;
        double advice = atLimit ? Math.copySign(most, need) : smoothed(all, i, wide, most);
        boolean gives = released && (state == State.ADVISED || state == State.LIMIT);
        return new Cell(cell.speed(), cell.load(), cell.seconds(), cell.visits(), cell.lambda(), cell.target(), need,
                cell.doubt(), cell.sure(),
                gives ? rounded(leaner ? Math.max(-LEANER_STEP, advice) : advice, most) : null,
                state);
    }

    private static double rounded(double part, double most) {
        return Math.round(Math.clamp(part, -most, most) * 1000) / 1000.0;
    }

    /**
     * Averages a bin's need with its neighbours', each weighted by its certainty, and shrinks the result by the bin's own
     * certainty. Neighbours draw it nearer to nothing, never beyond what it needs itself.
     */
    private static double smoothed(List<Cell> all, int i, int wide, double most) {
        double weight = 0;
        double sum = 0;
        int x = i % wide;
        int[] around = {i, x > 0 ? i - 1 : -1, x + 1 < wide ? i + 1 : -1, i - wide, i + wide};
        for (int k = 0; k < around.length; k++) {
            Cell cell = around[k] < 0 || around[k] >= all.size() ? null : all.get(around[k]);
            Double need = cell == null ? null : cell.need();
            // A neighbour that is itself out of all bounds says nothing of this one.
            if (cell != null && need != null && cell.state() != State.TOO_LITTLE
                    && (k == 0 || Math.abs(need) < most)) {
                double w = (k == 0 ? 1 : NEIGHBOUR) * cell.sure();
                weight += w;
                sum += w * need;
            }
        }
        double own = Objects.requireNonNull(all.get(i).need());
        return all.get(i).sure() * Math.clamp(sum / weight, Math.min(0, own), Math.max(0, own));
    }

    private static void held(Asked asked, List<Finding> findings) {
        asked.against().stream().findFirst().ifPresent(f -> findings.add(new Finding(TrimCheck.HELD,
                "Nothing is trimmed yet", Verdict.FAIL, null, null,
                Message.of("{0}: {1}", f.subject(), f.consequence()), null,
                Message.plain("trimming by a number that lies, or an engine in danger, makes it worse"), PRACTICE)));
    }

    private static void distance(Fuelling fuelling, List<Finding> findings) {
        Double driven = fuelling.distance();
        Limit limit = new Limit(AT_LEAST, new Measure(FAR_ENOUGH / 1000, Dimension.NUMBER, 0));
        boolean far = driven != null && driven >= FAR_ENOUGH;
        findings.add(new Finding(TrimCheck.DISTANCE, "Driven, km", far ? Verdict.PASS : Verdict.WARN,
                driven == null ? null : new Measure(driven / 1000, Dimension.NUMBER, 1), limit,
                driven == null
                        ? "Road speed was not logged: see to it that it was about 16 km, mixed."
                        : far ? "Far enough to have been everywhere." : "Ride on, mixed, before you apply anything.",
                null, "road speed over time", PRACTICE));
    }

    private static void leaner(List<Cell> cells, TrimSheet sheet, List<Finding> findings) {
        int held = count(cells, State.LEANER);
        if (held > 0 || sheet.leaner()) {
            findings.add(new Finding(TrimCheck.LEANER, "Less fuel at full load", Verdict.WARN,
                    new Measure(held, Dimension.NUMBER, 0), null,
                    sheet.leaner()
                            ? "Lean under load destroys engines: 3 % at a time, on a dynamometer, with exhaust temperature and knock watched."
                            : "Held back: lean under load destroys engines. It is given only once you ask for it.",
                    null,
                    "bins above three quarters of full load that ask for less; given after 10 s in 3 visits", OWN));
        }
    }

    private static void far(List<Cell> cells, double most, List<Finding> findings) {
        int told = (int) cells.stream().filter(c -> c.need() != null && c.state() != State.TOO_LITTLE).count();
        int faults = count(cells, State.FAULT);
        int limits = count(cells, State.LIMIT);
        if (faults > 0) {
            findings.add(new Finding(TrimCheck.FAULT, "", Verdict.FAIL, new Measure(faults, Dimension.NUMBER, 0),
                    null, "Find the fault there: pump, filter, pressure, injector, false air. It is not to be trimmed.",
                    null, "as much asked for as may be given, for the second time", PRACTICE)
                    .named(Message.plain("Bins at their limit twice")));
        }
        if (limits > 0) {
            findings.add(new Finding(TrimCheck.LIMIT, "Bins at their limit", Verdict.WARN,
                    new Measure(limits, Dimension.NUMBER, 0), null,
                    "Give it once and ride again; if it asks again there is a fault.", null,
                    Message.of("as much asked for as this shop gives at once, {0}, or more",
                            new Measure(most, Dimension.FRACTION, 0)),
                    PRACTICE));
        }
        int done = count(cells, State.DONE);
        double worst = cells.stream().filter(c -> c.state() != State.TOO_LITTLE).map(Cell::need)
                .filter(n -> n != null).mapToDouble(Math::abs).max().orElse(0);
        boolean settled = told > 0 && done == told;
        findings.add(new Finding(TrimCheck.SETTLED, "Furthest off", settled ? Verdict.PASS : Verdict.WARN,
                told == 0 ? null : new Measure(worst, Dimension.FRACTION, 1),
                new Limit(AT_MOST, new Measure(DONE, Dimension.FRACTION, 0)),
                told == 0
                        ? Message.plain("No bin has evidence enough yet: ride on.")
                        : settled
                                ? Message.plain("Every bin that was driven is done.")
                                : Message.of("{0} of {1} bins are within 2 %: apply, and ride again.", done, told),
                null, Message.plain("greatest of shown over wanted − 1, of bins with evidence enough"), OWN));
    }

    private static int count(List<Cell> cells, State state) {
        return (int) cells.stream().filter(c -> c.state() == state).count();
    }
}
