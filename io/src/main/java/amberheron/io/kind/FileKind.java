package amberheron.io.kind;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.log.LogShape;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Kinds of files that are taken up, told apart by their content and not by their names. */
public enum FileKind {
    /** A log of a drive, in whatever columns. */
    LOG("a log of a drive"),
    PHOTO("a photo"),
    JOB("a job document"),
    /** A law, a reader, a pair of them, or what stands in a reader's boxes. */
    SCALE("an output law or a reader"),
    POINTS("check points"),
    CHART("a conductor chart"),
    /** The shop's bins, or a plan of trims. */
    TRIMS("a sheet of fuel trims"),
    SENSORS("a sensor book"),
    /** The folder of a hand-over, or its manifest. */
    PACK("a hand-over pack");

    private static final int BEGINNING = 1 << 16;
    private static final Pattern MANIFEST = Pattern.compile("\"format\"\\s*:\\s*\"amber-heron-pack\"");
    private static final Pattern DOCUMENT = Pattern.compile("\"format\"\\s*:\\s*\"amber-heron-job\"");
    private static final Pattern SCALING = Pattern
            .compile("\"format\"\\s*:\\s*\"amber-heron-pair\"|\"form\"\\s*:|\"kind\"\\s*:");

    private final String words;

    FileKind(String words) {
        this.words = words;
    }

    /** The trade's words, with an article. */
    public String words() {
        return word(words);
    }

    /** Heads by which a table of ours is known; the first of which all are there counts. */
    private record Table(FileKind kind, List<String> heads) {
    }

    private static final List<Table> TABLES = List.of(new Table(POINTS, List.of("shown", "volts")),
            new Table(POINTS, List.of("shown", "true")), new Table(TRIMS, List.of("speed", "load", "unit")),
            new Table(SENSORS, List.of("sensor", "date", "kind", "value")), new Table(SCALE, List.of("ask", "type")),
            new Table(SCALE, List.of("volts", "lambda")), new Table(SCALE, List.of("volts", "afr", "stoich")),
            new Table(CHART, List.of("work")), new Table(CHART, List.of("colour")));

    /**
     * Tells what a file or folder is.
     *
     * @throws UnusableInput with what was found and what was expected
     */
    public static FileKind of(Path file) {
        String name = TextFiles.name(file);
        if (Files.isDirectory(file)) {
            try (Stream<Path> files = Files.list(file)) {
                if (files.anyMatch(f -> TextFiles.name(f).endsWith("-manifest.json"))) {
                    return PACK;
                }
            } catch (IOException e) {
                throw TextFiles.unreadable(file, e);
            }
            throw new UnusableInput(name, "", say("is a folder without a manifest, expected %s", expected()));
        }
        byte[] beginning;
        try (InputStream in = Files.newInputStream(file)) {
            beginning = in.readNBytes(BEGINNING);
        } catch (IOException e) {
            throw TextFiles.unreadable(file, e);
        }
        return of(name, beginning);
    }

    static FileKind of(String name, byte[] beginning) {
        if (begins(beginning, 0xFF, 0xD8, 0xFF) || begins(beginning, 0x89, 'P', 'N', 'G')) {
            return PHOTO;
        }
        String known = begins(beginning, 'P', 'K', 3, 4)
                ? say("is packed or a spreadsheet: unpack it, or write the table as CSV")
                : begins(beginning, '%', 'P', 'D', 'F')
                        ? say("is a PDF, which nothing is read from")
                        : begins(beginning, 'S', 'Q', 'L', 'i', 't', 'e')
                                ? say("is a book: it is brought in at Jobs, The book")
                                : beginning.length == 0 ? say("is empty") : "";
        if (!known.isEmpty()) {
            throw new UnusableInput(name, "", say("%s; expected %s", known, expected()));
        }
        String text = new String(beginning, StandardCharsets.UTF_8).replace("\uFEFF", "").stripLeading();
        if (text.startsWith("{")) {
            if (MANIFEST.matcher(text).find()) {
                return PACK;
            }
            if (DOCUMENT.matcher(text).find()) {
                return JOB;
            }
            if (SCALING.matcher(text).find()) {
                return SCALE;
            }
            throw new UnusableInput(name, "", say("is JSON of another kind, expected %s", expected()));
        }
        List<String> heads = Arrays.stream(text.lines().findFirst().orElse("").split("[,;\t]", -1))
                .map(h -> h.strip().toLowerCase(Locale.ROOT).replace("\"", "")).toList();
        // A table with a clock is a log, whatever else it has in it.
        boolean clock = heads.stream().anyMatch(h -> h.startsWith("time") || h.matches("t|s|sec.*|clock"));
        for (Table table : TABLES) {
            if (!clock && heads.containsAll(table.heads())) {
                return table.kind();
            }
        }
        LogShape.of(name, beginning);
        return LOG;
    }

    private static boolean begins(byte[] with, int... bytes) {
        for (int i = 0; i < bytes.length; i++) {
            if (with.length <= i || (with[i] & 0xFF) != bytes[i]) {
                return false;
            }
        }
        return true;
    }

    private static String expected() {
        return Arrays.stream(values()).map(FileKind::words).collect(Collectors.joining(", "));
    }
}
