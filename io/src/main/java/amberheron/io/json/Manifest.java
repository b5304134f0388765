package amberheron.io.json;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.JobReview;
import amberheron.core.job.Station;
import amberheron.core.units.Unusable;
import amberheron.io.Printable;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * List of the files of a pack, by which anybody can tell whether it is whole.
 *
 * @param job the job's number
 * @param made the day it was made; null where that is not known
 * @param code of the job as it stood, as printed on every page
 * @param stations how each link stood, by the station's key
 * @param habits what the shop holds with, by which that was worked out; empty in a pack that does not say
 * @param files each file but this one
 */
public record Manifest(String job, @Nullable LocalDate made, String code, Map<String, String> stations,
        Map<String, String> habits, List<Entry> files) {
    /** Ending of the name of a file that holds one. */
    public static final String NAME = "-manifest.json";
    /** Letters and figures that are not mistaken for one another, after Crockford. */
    private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int LONG = 8;
    private static final int LONGEST_NAME = 255;
    private static final String FORMAT = "amber-heron-pack";

    /**
     * A file.
     *
     * @param name without folders
     * @param digest SHA-256 of its bytes, hexadecimal
     */
    public record Entry(String name, long bytes, String digest) {
        public Entry {
            if (name.isBlank() || name.contains("/") || name.contains("\\") || name.equals("..") || name.equals(".")
                    || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
                throw new Unusable(
                        say("name: found “%s”, expected the name of a file without folders", Printable.of(name)));
            }
            if (bytes < 0) {
                throw new Unusable(say("bytes: found %d, expected 0 or more", bytes));
            }
            if (!digest.matches("[0-9a-f]{64}")) {
                throw new Unusable(say("sha256 of %s, expected 64 hexadecimal digits", name));
            }
        }
    }

    public Manifest {
        stations = Map.copyOf(stations);
        habits = Map.copyOf(habits);
        files = List.copyOf(files);
    }

    /** The short code of a job document: the first 40 bits of its SHA-256. */
    public static String code(byte[] document) {
        long bits = Long.parseUnsignedLong(TextFiles.digest(document).substring(0, 10), 16);
        StringBuilder code = new StringBuilder();
        for (int i = LONG - 1; i >= 0; i--) {
            code.append(LETTERS.charAt((int) (bits >>> (5 * i) & 31)));
            if (i == LONG / 2) {
                code.append('-');
            }
        }
        return code.toString();
    }

    /**
     * Lists files that are about to be written.
     *
     * @param habits what the shop holds with
     * @param files name and bytes
     */
    public static Manifest of(JobReview review, String code, @Nullable LocalDate made, Map<String, String> habits,
            Map<String, byte[]> files) {
        return new Manifest(review.job().id(), made, code, stations(review), habits, files.entrySet().stream()
                .map(f -> new Entry(f.getKey(), f.getValue().length, TextFiles.digest(f.getValue()))).toList());
    }

    /** How each link stands, by the station's key. */
    public static Map<String, String> stations(JobReview review) {
        Map<String, String> stations = new LinkedHashMap<>();
        for (Station station : Station.values()) {
            stations.put(station.key(), review.state(station).name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
        return stations;
    }

    /** The one file of the pack that is the job's document; null where it has none. */
    public @Nullable Entry document() {
        return files.stream().filter(f -> f.name().endsWith(".json")).findFirst().orElse(null);
    }

    /** As it is written. */
    public String text() {
        ObjectNode out = Json.object().put("format", FORMAT).put("version", 1).put("job", job)
                .put("made", made == null ? null : made.toString()).put("code", code);
        ObjectNode links = out.putObject("stations");
        for (Station station : Station.values()) {
            links.put(station.key(), stations.get(station.key()));
        }
        ObjectNode held = out.putObject("habits");
        new TreeMap<>(habits).forEach(held::put);
        ArrayNode list = out.putArray("files");
        files.forEach(
                f -> list.addObject().put("name", f.name()).put("bytes", f.bytes()).put("sha256", f.digest()));
        return Json.text(out);
    }

    /**
     * Reads one.
     *
     * @throws UnusableInput when it is none
     */
    public static Manifest parse(String name, String text) {
        Cursor at = new Cursor(name, "", Json.parse(name, text));
        if (!FORMAT.equals(at.textOrNull("format"))) {
            throw at.fault("format", "“" + FORMAT + "”");
        }
        Map<String, String> stations = new LinkedHashMap<>();
        at.objectOrNone("stations").ifPresent(s -> {
            for (Station station : Station.values()) {
                String state = s.textOrNull(station.key());
                if (state != null) {
                    stations.put(station.key(), state);
                }
            }
        });
        Map<String, String> habits = new LinkedHashMap<>();
        at.objectOrNone("habits").ifPresent(h -> h.node().propertyNames().forEach(n -> habits.put(n, h.text(n))));
        return new Manifest(at.text("job"), at.date("made"), at.text("code"), stations, habits, at.list("files")
                .stream()
                .map(f -> f.build(() -> new Manifest.Entry(f.text("name"), (long) f.number("bytes"), f.text("sha256"))))
                .toList());
    }
}
