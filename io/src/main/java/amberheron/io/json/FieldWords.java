package amberheron.io.json;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.job.Station;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Name of a value of a job document as people call it, and how its number is shown.
 *
 * @param words the station and what it is, such as “Place: distance as fitted”
 * @param dimension what its number measures; null for words, choices and bare numbers
 */
public record FieldWords(String words, @Nullable Dimension dimension) {
    private static final Pattern INDEX = Pattern.compile("\\[(\\d+)]");
    /** A value of another output than the first, which stands in the job itself. */
    private static final Pattern OF_OUTPUT = Pattern.compile("outputs\\.putBy\\[(\\d{1,4})]\\.(.+)");
    private static final Map<String, Station> STATIONS = Map.ofEntries(Map.entry("intake", Station.PLAN),
            Map.entry("progress", Station.PLAN), Map.entry("placing", Station.PLACE),
            Map.entry("wiring", Station.WIRE), Map.entry("air", Station.AIR), Map.entry("law", Station.SCALE),
            Map.entry("gauge", Station.SCALE), Map.entry("reader", Station.SCALE), Map.entry("points", Station.SCALE),
            Map.entry("display", Station.SCALE), Map.entry("outputs", Station.SCALE),
            Map.entry("proving", Station.PROVE), Map.entry("roadTest", Station.PROVE),
            Map.entry("handOver", Station.HAND_OVER));
    private static final FieldNames NAMES = JobForm.names();

    /** Returns the paths of the values that have a name of their own. */
    static Set<String> named() {
        return NAMES.paths();
    }

    /**
     * Returns the name of a field as {@link Difference#field()} has it; one without a name of its own is called by the
     * words in its path.
     */
    public static FieldWords of(String field) {
        Matcher output = OF_OUTPUT.matcher(field);
        if (output.matches()) {
            FieldWords of = of(output.group(2));
            return new FieldWords(say("%s, reader %d", of.words(), 1 + Integer.parseInt(output.group(1))),
                    of.dimension());
        }
        String path = INDEX.matcher(field).replaceAll("");
        Optional<FieldNames.Name> name = NAMES.of(path);
        Station station = STATIONS.get(path.split("\\.", 2)[0]);
        Matcher index = INDEX.matcher(field);
        String which = index.find() ? " (" + index.group(1) + ")" : "";
        return new FieldWords((station == null ? "" : station.title() + ": ")
                + name.map(FieldNames.Name::words).orElseGet(() -> word(plain(path, station != null))) + which,
                name.map(FieldNames.Name::dimension).orElse(null));
    }

    private static String plain(String path, boolean stationSaid) {
        return Stream.of(path.split("\\.")).skip(stationSaid && path.contains(".") ? 1 : 0)
                .map(p -> p.replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    /** A value of it as a measure; empty for what is shown as it stands. */
    public Optional<Measure> measure(String value) {
        try {
            return dimension == null
                    ? Optional.empty()
                    : Optional.of(new Measure(Double.parseDouble(value), dimension, decimals(dimension)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    /** Returns enough decimals that two different values are not shown alike. */
    private static int decimals(Dimension dimension) {
        return switch (dimension) {
            case VOLTAGE, RESISTANCE, MIXTURE -> 4;
            case CURRENT, CROSS_SECTION, FRACTION, VOLUME -> 3;
            default -> 1;
        };
    }
}
