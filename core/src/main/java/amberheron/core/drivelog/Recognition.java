package amberheron.core.drivelog;

import static amberheron.core.units.Phrase.fixed;
import static amberheron.core.units.Phrase.say;

import amberheron.core.mixture.MixtureScale;
import amberheron.core.mixture.Stoichiometry;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Finds what the columns of a log hold from their names, units and values. The name says what a column is for, the values
 * what its numbers are: 14.7 is no λ. What cannot be told is asked, never guessed.
 *
 * @param uses what was taken for what
 * @param asks what could not be told; while this is not empty the log is not judged
 */
public record Recognition(List<ColumnUse> uses, List<String> asks) {
    /** Range in which a healthy engine's mixture nearly always is, λ. */
    private static final double RICH = 0.45;
    private static final double LEAN = 4;
    /** Bound between λ and AFR: no fuel's AFR is less, and no λ of the road is as much. */
    private static final double LEAST_AFR = 4.5;
    private static final double MOST_AFR = 60;
    /** Ratio of a fuel in the head of a column, such as AFR 9.82. */
    private static final Pattern RATIO = Pattern.compile("(?<![\\d.,])((?:[6-9]|1[0-7])[.,]\\d{1,3})(?![\\d.,])");
    /** How far from λ 1 an engine in order is run most of the time, and from where on that is doubted; our own choice. */
    private static final double USUAL = 0.05;
    private static final double UNUSUAL = 0.06;
    /** Distance from λ 1 that is doubted where another fuel's ratio brings it this near; our own choice. */
    private static final double SUSPICIOUS = 0.035;
    private static final double HELD = 0.015;
    private static final double KELVIN = 273.15;
    private static final double MPH = 0.44704;

    private static final Pattern MIXTURE = Pattern.compile(
            "lambda|λ|\\bafr\\b|afr|air.?fuel|\\ba/f\\b|wide.?band|\\bwb|mixture|gemisch|m[eé]lange|\\bphi\\b|equivalence");
    private static final Pattern OF_CONTROLLER = Pattern.compile(
            "controller|contr|gauge|sensor|serial|direct|true|steuer|wide.?band|\\bwb|ctrl");
    private static final Pattern OF_READER = Pattern.compile(
            "reader|logger|shown|ecu|analog|\\bain|\\badc|input|\\blog\\b|anzeige|\\bdaq|in\\d");
    private static final Map<LogChannel, Pattern> NAMES = names();

    private static Map<LogChannel, Pattern> names() {
        Map<LogChannel, Pattern> names = new EnumMap<>(LogChannel.class);
        names.put(LogChannel.TIME, Pattern.compile(
                "^(time|t|zeit|temps|tid|tiempo|sec|secs|seconds?|elapsed|clock|ms|millis|timestamp|uptime)\\b.*|.*\\btime(stamp)?\\b.*|.*zeit.*"));
        names.put(LogChannel.ENGINE_SPEED, Pattern.compile(
                ".*(\\brpm\\b|engine.?speed|\\brevs?\\b|drehzahl|r[eé]gime|n_mot|nmot|1/min|\\bu/min).*"));
        names.put(LogChannel.NARROWBAND, Pattern.compile(
                ".*(narrow|\\bnb|stock.?o2|ho2s|\\bo2s|o2.?(volt|sens)|lambdasonde|jump).*"));
        names.put(LogChannel.PRESSURE, Pattern.compile(".*(\\bmap\\b|manifold|boost|saugrohr|\\bbaro?\\b|kpa).*"));
        names.put(LogChannel.THROTTLE, Pattern.compile(".*(throttle|\\btps\\b|pedal|drossel|papillon|\\bapp\\b).*"));
        names.put(LogChannel.AIR_MASS, Pattern.compile(".*(\\bmaf\\b|air.?mass|mass.?air|luftmasse|air.?flow).*"));
        names.put(LogChannel.TEMPERATURE, Pattern.compile(
                ".*(coolant|\\bclt\\b|\\bect\\b|water.?temp|engine.?temp|k[üu]hl|wasser|head.?temp|\\bcht\\b).*"));
        names.put(LogChannel.SPEED, Pattern.compile(
                ".*(\\bvss\\b|vehicle.?speed|road.?speed|\\bkm/?h\\b|\\bmph\\b|gps.?speed|geschw|vitesse|^speed.*|wheel.?speed).*"));
        return names;
    }

    /**
     * Facts of the job that help to recognise a mixture.
     *
     * @param stoich of the fuel in the tank
     * @param ratios ratios that a person said an AFR is meant with, by channel
     */
    public record Known(@Nullable OutputLaw law, @Nullable MixtureScale gauge, @Nullable Reader reader,
            double stoich, Map<LogChannel, Double> ratios) {
        public Known {
            ratios = Map.copyOf(ratios);
        }
    }

    public Recognition {
        uses = List.copyOf(uses);
        asks = List.copyOf(asks);
    }

    /** Returns the column that a channel is taken from; empty where there is none. */
    public Optional<ColumnUse> use(LogChannel channel) {
        return uses.stream().filter(u -> u.channel() == channel).findFirst();
    }

    /**
     * Assigns columns to channels.
     *
     * @param said columns by channel that a person named, by index from 0; what is named is not doubted, but its numbers are
     *        still looked at
     */
    public static Recognition of(List<ColumnFacts> columns, Known known, Map<LogChannel, Integer> said) {
        List<ColumnUse> uses = new ArrayList<>();
        List<String> asks = new ArrayList<>();
        TreeSet<Integer> taken = new TreeSet<>(said.values());
        time(columns, said.get(LogChannel.TIME), taken).ifPresentOrElse(uses::add,
                () -> asks.add(say("No column of time was found: name it.")));
        uses.forEach(u -> taken.add(u.column()));
        for (LogChannel channel : NAMES.keySet()) {
            Integer named = said.get(channel);
            if (channel != LogChannel.TIME) {
                candidate(columns, channel, named, taken).ifPresent(c -> {
                    taken.add(c.index());
                    uses.add(other(channel, c, named != null));
                });
            }
        }
        mixtures(columns, known, said, taken, uses, asks);
        return new Recognition(uses, asks);
    }

    private static Optional<ColumnUse> time(List<ColumnFacts> columns, @Nullable Integer said, TreeSet<Integer> taken) {
        Pattern name = NAMES.getOrDefault(LogChannel.TIME, MIXTURE);
        Optional<ColumnFacts> found = said != null
                ? Optional.of(columns.get(said))
                : columns.stream().filter(c -> !taken.contains(c.index()))
                        .filter(c -> (c.clock() || c.rises(0.05)) && name.matcher(small(c.name())).matches())
                        .findFirst()
                        .or(() -> columns.stream().filter(c -> c.clock() || (c.numeric() && c.rises(0.005)
                                && c.step() > 0)).findFirst());
        return found.map(c -> {
            String because = said != null
                    ? say("named")
                    : name.matcher(small(c.name())).matches()
                            ? say("by its name, and it rises")
                            : say("it is the first that only rises");
            double factor = c.clock() ? 1 : secondsIn(c);
            String quantity = c.clock()
                    ? say("time of the clock")
                    : factor == 1 ? "s" : factor == 1e-3 ? "ms" : factor == 60 ? "min" : "µs";
            return new ColumnUse(LogChannel.TIME, c.index(), c.name(), quantity, because, t -> t * factor);
        });
    }

    /**
     * Returns how many seconds one unit of a time column is, from the usual rates of logging: 10 kHz to one row in some
     * seconds.
     */
    private static double secondsIn(ColumnFacts c) {
        String words = small(c.name() + " " + c.unit());
        if (words.matches(".*(\\bms\\b|milli|_ms).*")) {
            return 1e-3;
        }
        if (words.matches(".*(\\bus\\b|µs|micro).*")) {
            return 1e-6;
        }
        if (words.matches(".*\\b(min|minutes)\\b.*")) {
            return 60;
        }
        double step = c.step();
        return step >= 5000 ? 1e-6 : step >= 5 ? 1e-3 : 1;
    }

    private static Optional<ColumnFacts> candidate(List<ColumnFacts> columns, LogChannel channel,
            @Nullable Integer named, TreeSet<Integer> taken) {
        if (named != null) {
            return Optional.of(columns.get(named));
        }
        Pattern name = NAMES.getOrDefault(channel, MIXTURE);
        return columns.stream().filter(c -> !taken.contains(c.index()) && c.numeric())
                .filter(c -> name.matcher(small(c.name() + " " + c.unit())).matches())
                .filter(c -> plausible(channel, c)).findFirst();
    }

    private static boolean plausible(LogChannel channel, ColumnFacts c) {
        return switch (channel) {
            case ENGINE_SPEED -> c.within(0, 25_000) && c.quantile(0.95) > 100;
            case SPEED -> c.within(-5, 500);
            case PRESSURE -> c.within(-120, 500_000);
            case THROTTLE -> c.within(-5, 110);
            case AIR_MASS -> c.within(-1, 5000);
            case TEMPERATURE -> c.within(-60, 450);
            case NARROWBAND -> c.within(-0.1, 1.3) || c.within(-100, 1300);
            default -> true;
        };
    }

    private static ColumnUse other(LogChannel channel, ColumnFacts c, boolean named) {
        String unit = small(c.unit() + " " + c.name());
        double high = c.quantile(0.98);
        String because = named ? say("named") : say("by its name");
        return switch (channel) {
            case ENGINE_SPEED -> use(channel, c, "1/min", because, ColumnUse.AS_IT_STANDS);
            case SPEED -> unit.matches(".*mph.*")
                    ? use(channel, c, "mph", because, v -> v * MPH)
                    : unit.matches(".*\\bm/s\\b.*")
                            ? use(channel, c, "m/s", because, ColumnUse.AS_IT_STANDS)
                            : use(channel, c, "km/h", because, v -> v / 3.6);
            case PRESSURE -> pressure(c, unit, high, because);
            case THROTTLE -> high <= 1.05
                    ? use(channel, c, say("part of full"), say("%s; never above 1", because), ColumnUse.AS_IT_STANDS)
                    : high <= 5.2 && unit.contains("v")
                            ? use(channel, c, say("V, from its least to its greatest"), because,
                                    between(c.quantile(0.01), c.quantile(0.995)))
                            : use(channel, c, "%", because, v -> v / 100);
            case AIR_MASS -> unit.matches(".*kg/?h.*")
                    ? use(channel, c, "kg/h", because, v -> v / 3600)
                    : use(channel, c, "g/s", because, v -> v / 1000);
            case TEMPERATURE -> unit.matches(".*(°f|\\bf\\b|fahr|degf).*") || (high > 135 && high < 260)
                    ? use(channel, c, "°F", because, v -> (v + 459.67) * 5 / 9)
                    : high > 260
                            ? use(channel, c, "K", say("%s; as hot as that only in kelvin", because),
                                    ColumnUse.AS_IT_STANDS)
                            : use(channel, c, "°C", because, v -> v + KELVIN);
            default -> high > 1.5
                    ? use(channel, c, "mV", because, v -> v / 1000)
                    : use(channel, c, "V", because, ColumnUse.AS_IT_STANDS);
        };
    }

    private static DoubleUnaryOperator between(double low, double high) {
        double span = Math.max(1e-6, high - low);
        return v -> Math.clamp((v - low) / span, 0, 1);
    }

    private static ColumnUse pressure(ColumnFacts c, String unit, double high, String because) {
        LogChannel channel = LogChannel.PRESSURE;
        boolean gauge = unit.contains("boost") || c.quantile(0.05) < -0.05;
        if (unit.matches(".*\\bpsi.*")) {
            return use(channel, c, gauge ? say("psi above the air") : "psi", because,
                    v -> v * 6894.757 + (gauge ? 101_325 : 0));
        }
        if (unit.matches(".*(mbar|hpa).*") || (high > 600 && high < 5000)) {
            return use(channel, c, "hPa", because, v -> v * 100);
        }
        if (high > 5000) {
            return use(channel, c, say("Pa"), because, ColumnUse.AS_IT_STANDS);
        }
        if (unit.matches(".*\\bbar\\b.*") || high < 6) {
            return use(channel, c, gauge ? say("bar above the air") : "bar", because,
                    v -> v * 1e5 + (gauge ? 101_325 : 0));
        }
        return use(channel, c, gauge ? say("kPa above the air") : "kPa", because,
                v -> v * 1000 + (gauge ? 101_325 : 0));
    }

    private static ColumnUse use(LogChannel channel, ColumnFacts c, String quantity, String because,
            DoubleUnaryOperator si) {
        return new ColumnUse(channel, c.index(), c.name(), quantity, because, si);
    }

    private static String small(String words) {
        return words.toLowerCase(Locale.ROOT).replace('_', ' ').strip();
    }

    /** Where the numbers of a column lie: looked up for every reading of it, and worked out once. */
    private record Level(double middle, double mode) {
    }

    /**
     * Candidate quantity of a column of mixtures, and how well it goes with all else.
     *
     * @param guessed whether its ratio was neither said nor written
     */
    private record Reading(ColumnFacts column, Level level, String quantity, String because, boolean guessed,
            DoubleUnaryOperator si) {
        double middle() {
            return si.applyAsDouble(level.middle);
        }

        /** Returns by how much the engine is run off λ 1, by the mixture seen most or the middle one, whichever is nearer. */
        private double off() {
            return Math.min(Math.abs(si.applyAsDouble(level.mode) - 1), Math.abs(middle() - 1));
        }

        /** Returns how strange a reading it is: half of that. */
        double strange() {
            return guessed ? off() / 2 : 0;
        }

        /** Returns the question after the ratio where another fuel's has the engine run at λ 1, and this one does not. */
        Optional<String> asks(LogChannel channel) {
            double mode = level.mode;
            if (!guessed || Math.abs(si.applyAsDouble(mode) - 1) <= SUSPICIOUS) {
                return Optional.empty();
            }
            double tenths = mode > 60 ? 10 : 1;
            double near = off() > UNUSUAL ? USUAL : HELD;
            List<Double> fuels = Stoichiometry.FUELS.stream().filter(f -> Math.abs(mode / tenths / f - 1) <= near)
                    .sorted()
                    .toList();
            String choices = Stream.concat(fuels.stream(), Stream.of(mode / tenths / si.applyAsDouble(mode)))
                    .map(f -> fixed("%s=%s@%.2f", channel.key(), column.name(), f))
                    .reduce((a, b) -> a + say(" or ") + b).orElseThrow();
            return fuels.isEmpty()
                    ? Optional.empty()
                    : Optional.of(say(
                            "“%s” is at %.2f most of the time, which is λ %.2f if it is %s: say with which ratio it "
                                    + "is meant, such as %s.",
                            column.name(), mode,
                            si.applyAsDouble(mode), quantity, choices));
        }
    }

    private static void mixtures(List<ColumnFacts> columns, Known known, Map<LogChannel, Integer> said,
            TreeSet<Integer> taken, List<ColumnUse> uses, List<String> asks) {
        List<ColumnFacts> free = columns.stream()
                .filter(c -> c.numeric() && (!taken.contains(c.index()) || said.containsValue(c.index())))
                .filter(c -> uses.stream().noneMatch(u -> u.column() == c.index())).toList();
        Optional<ColumnFacts> controller = role(columns, free, said, LogChannel.CONTROLLER, OF_CONTROLLER, OF_READER,
                null);
        Optional<ColumnFacts> reader = role(columns, free, said, LogChannel.READER, OF_READER, OF_CONTROLLER,
                controller.map(ColumnFacts::index).orElse(null));
        List<ColumnFacts> unnamed = free.stream().filter(c -> MIXTURE.matcher(small(c.name() + " " + c.unit())).find())
                .filter(c -> controller.filter(c::equals).isEmpty() && reader.filter(c::equals).isEmpty()).toList();
        Optional<ColumnFacts> first = controller.or(() -> reader.isPresent() && unnamed.size() == 1
                ? Optional.of(unnamed.getFirst())
                : Optional.empty());
        Optional<ColumnFacts> second = reader.or(() -> controller.isPresent() && unnamed.size() == 1
                ? Optional.of(unnamed.getFirst())
                : Optional.empty());
        if (first.isEmpty() || second.isEmpty()) {
            String there = String.join(", ", columns.stream().map(ColumnFacts::name).toList());
            asks.add(say("%s could not be told apart: found the columns %s. Name controller and reader.",
                    first.isEmpty() && second.isEmpty()
                            ? say("The controller's and the reader's mixture")
                            : first.isEmpty()
                                    ? say("The controller's mixture")
                                    : say("The reader's mixture"),
                    there));
            return;
        }
        List<Reading> told = readings(first.get(), known, true);
        List<Reading> shown = readings(second.get(), known, false);
        choose(first.get(), told, LogChannel.CONTROLLER, asks);
        choose(second.get(), shown, LogChannel.READER, asks);
        if (told.isEmpty() || shown.isEmpty()) {
            return;
        }
        // Of what both may be, what brings them together and has the engine run at λ 1; the first of each is what is
        // likeliest alone.
        Reading one = told.getFirst();
        Reading other = shown.getFirst();
        double least = Double.POSITIVE_INFINITY;
        for (Reading a : told) {
            for (Reading b : shown) {
                double apart = Math.abs(a.middle() - b.middle()) + a.strange() + b.strange()
                        + 0.002 * (told.indexOf(a) + shown.indexOf(b));
                if (apart < least) {
                    least = apart;
                    one = a;
                    other = b;
                }
            }
        }
        // What agrees with a column of which there is no doubt is not doubted either.
        boolean sure = (!one.guessed() || !other.guessed()) && Math.abs(one.middle() - other.middle()) <= USUAL;
        if (!sure) {
            one.asks(LogChannel.CONTROLLER).ifPresent(asks::add);
            other.asks(LogChannel.READER).ifPresent(asks::add);
        }
        uses.add(use(LogChannel.CONTROLLER, one.column(), one.quantity(), one.because(), one.si()));
        uses.add(use(LogChannel.READER, other.column(), other.quantity(), other.because(), other.si()));
        uses.sort(Comparator.comparing(ColumnUse::channel));
    }

    private static Optional<ColumnFacts> role(List<ColumnFacts> columns, List<ColumnFacts> free,
            Map<LogChannel, Integer> said, LogChannel channel, Pattern own, Pattern others, @Nullable Integer not) {
        Integer named = said.get(channel);
        if (named != null) {
            return Optional.of(columns.get(named));
        }
        List<ColumnFacts> fit = free.stream().filter(c -> not == null || c.index() != not)
                .filter(c -> (own.matcher(small(c.name())).find() && !others.matcher(small(c.name())).find())
                        || small(c.name()).equals(channel.key()))
                .toList();
        // Several inputs of a reader: only one that is a mixture by its name, or the only one there is.
        List<ColumnFacts> mixtures = fit.stream().filter(c -> MIXTURE.matcher(small(c.name() + " " + c.unit())).find()
                || small(c.name()).startsWith(channel.key())).toList();
        return mixtures.size() == 1
                ? Optional.of(mixtures.getFirst())
                : mixtures.isEmpty() && fit.size() == 1 ? Optional.of(fit.getFirst()) : Optional.empty();
    }

    private static void choose(ColumnFacts column, List<Reading> readings, LogChannel channel, List<String> asks) {
        if (readings.isEmpty()) {
            asks.add(
                    say("“%s” was taken for %s, but its numbers, %s to %s, are neither λ nor AFR nor volts of the law.",
                            column.name(), channel.words(), UnitChoice.plain(column.quantile(0.05)),
                            UnitChoice.plain(column.quantile(0.95))));
        }
    }

    /** Candidate quantities of a column of mixtures, the likeliest first. */
    private static List<Reading> readings(ColumnFacts c, Known known, boolean controller) {
        String words = small(c.name() + " " + c.unit());
        double middle = c.quantile(0.5);
        Level level = new Level(middle, c.mode());
        List<Reading> all = new ArrayList<>();
        boolean saysVolts = words.matches(".*(\\bv\\b|volts?|\\bmv\\b|\\badc\\b).*");
        boolean saysLambda = words.matches(".*(lambda|λ).*");
        boolean saysAfr = words.matches(".*(afr|a/f|air.?fuel).*");
        OutputLaw law = known.law();
        Reader reader = known.reader();
        if (words.matches(".*(counts?|\\braw\\b).*") && c.whole() && reader != null && reader.input().bits() != null
                && law != null) {
            all.add(new Reading(c, level, say("counts of the input, %d bits, through the law", reader.input().bits()),
                    say("by its name, and whole numbers"), false,
                    v -> law.lambdaAt(reader.input().volts(Math.round(v)))));
            return all;
        }
        if (saysVolts && !saysAfr) {
            double factor = words.matches(".*\\bmv\\b.*") || middle > 60 ? 1e-3 : 1;
            if (law != null && middle * factor >= -0.2 && middle * factor <= 16) {
                all.add(new Reading(c, level, factor == 1 ? say("V through the law") : say("mV through the law"),
                        say("by its unit"), false, v -> law.lambdaAt(v * factor)));
            }
            return all;
        }
        if (words.matches(".*(\\bphi\\b|equivalence).*") && middle > 1 / LEAN && middle < 1 / RICH) {
            // Fuel per air rather than air per fuel: about 1 as λ is, and the other way round.
            all.add(new Reading(c, level, say("equivalence ratio, turned into λ"), say("by its name and its values"),
                    false,
                    v -> 1 / v));
            return all;
        }
        if (middle >= RICH && middle <= LEAN && !(saysAfr && middle > 2)) {
            all.add(new Reading(c, level, "λ",
                    saysLambda ? say("by its name and its values") : say("by its values, about 1"),
                    false, ColumnUse.AS_IT_STANDS));
        } else if (middle >= LEAST_AFR && middle <= MOST_AFR) {
            Optional<Double> told = told(known, words, controller);
            for (double ratio : told.map(List::of).orElseGet(() -> ratios(known, controller))) {
                all.add(new Reading(c, level, say("AFR, %.2f at λ 1", ratio),
                        told.isPresent()
                                ? say("by its ratio, as it is said")
                                : saysLambda ? say("by its values, though its name says λ") : say("by its values"),
                        told.isEmpty(), v -> v / ratio));
            }
        } else if (middle > 300 && middle < 3000 && saysLambda) {
            all.add(new Reading(c, level, say("λ in thousandths"), say("by its name and its values"), false,
                    v -> v / 1000));
        } else if (middle > 60 && middle < 300 && (saysAfr || saysLambda)) {
            boolean tenths = saysAfr;
            Optional<Double> told = told(known, words, controller);
            for (double ratio : tenths ? told.map(List::of).orElseGet(() -> ratios(known, controller)) : List.of(1.0)) {
                all.add(new Reading(c, level,
                        tenths ? say("AFR in tenths, %.2f at λ 1", ratio) : say("λ in hundredths"),
                        say("by its name and its values"), tenths && told.isEmpty(),
                        v -> tenths ? v / 10 / ratio : v / 100));
            }
        }
        return all;
    }

    /** Returns the ratio that a person said, or that stands in the column's head. */
    private static Optional<Double> told(Known known, String words, boolean controller) {
        Double said = known.ratios().get(controller ? LogChannel.CONTROLLER : LogChannel.READER);
        if (said != null) {
            return Optional.of(said);
        }
        Matcher written = RATIO.matcher(words);
        return written.find() ? Optional.of(Double.valueOf(written.group(1).replace(',', '.'))) : Optional.empty();
    }

    /**
     * Returns the ratios that an AFR may be meant with, the likeliest first: the law's own, the usual one, that of the
     * fuel.
     */
    private static List<Double> ratios(Known known, boolean controller) {
        OutputLaw law = known.law();
        Reader reader = known.reader();
        MixtureScale own = controller
                ? known.gauge() != null ? known.gauge() : law == null ? null : law.scale()
                : reader == null ? null : reader.scale();
        MixtureScale other = controller ? reader == null ? null : reader.scale() : law == null ? null : law.scale();
        return Stream.concat(Stream.concat(ratio(own), ratio(other)), DoubleStream.of(14.7, known.stoich()).boxed())
                .distinct().toList();
    }

    private static Stream<Double> ratio(@Nullable MixtureScale scale) {
        return scale instanceof MixtureScale.Afr afr ? Stream.of(afr.stoich()) : Stream.empty();
    }
}
