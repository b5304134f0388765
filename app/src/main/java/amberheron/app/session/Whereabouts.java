package amberheron.app.session;

import amberheron.core.job.Station;
import amberheron.io.TextFiles;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * Where the person was in each job, and where the window stood: kept on this machine, since another bay's window is
 * another's. It is a convenience: a file that cannot be read or written costs nothing else.
 */
public final class Whereabouts {
    private static final String FILE = "window.properties";
    private static final String WINDOW = "window";
    private static final String JOB = "job.";
    private static final String LATELY = "lately.";
    /** Things done lately that are remembered. */
    private static final int MOST_LATELY = 8;
    /** Jobs that are remembered, the latest. */
    private static final int MOST = 200;
    private static final long MOST_BYTES = 1 << 20;

    private final Path file;
    private final Map<String, Spot> spots = new LinkedHashMap<>();
    private @Nullable Frame frame;
    private final List<String> lately = new ArrayList<>();
    private String written;

    /**
     * Place in a job.
     *
     * @param leaf null where the station is one leaf
     * @param field name of the field that had the focus; empty when none had
     * @param scroll how far down the middle was, 0 to 1
     */
    public record Spot(Station station, @Nullable LeafId leaf, String field, double scroll) {
        String text() {
            return String.join(" ", station.key(), leaf == null ? "-" : leaf.name(), field.isEmpty() ? "-" : field,
                    String.valueOf(scroll));
        }

        static Optional<Spot> read(String text) {
            String[] part = text.split(" ", -1);
            if (part.length != 4) {
                return Optional.empty();
            }
            try {
                LeafId leaf = part[1].equals("-") ? null : LeafId.valueOf(part[1]);
                double scroll = Double.parseDouble(part[3]);
                return Arrays.stream(Station.values()).filter(s -> s.key().equals(part[0])).findFirst()
                        .map(s -> new Spot(s, leaf, part[2].equals("-") ? "" : part[2], scroll));
            } catch (IllegalArgumentException e) {
                return Optional.empty();
            }
        }
    }

    /** Place and size of a window on its screen, pixels. */
    public record Frame(double x, double y, double width, double height, boolean whole) {
        String text() {
            return String.join(" ", String.valueOf(x), String.valueOf(y), String.valueOf(width),
                    String.valueOf(height), String.valueOf(whole));
        }

        static @Nullable Frame read(String text) {
            String[] part = text.split(" ", -1);
            try {
                return part.length == 5
                        ? new Frame(Double.parseDouble(part[0]), Double.parseDouble(part[1]),
                                Double.parseDouble(part[2]), Double.parseDouble(part[3]),
                                Boolean.parseBoolean(part[4]))
                        : null;
            } catch (NumberFormatException e) {
                return null;
            }
        }
    }

    Whereabouts(Path home) {
        file = home.resolve(FILE);
        Properties kept = new Properties();
        if (Files.isRegularFile(file)) {
            try {
                kept.load(new StringReader(TextFiles.read(file, MOST_BYTES)));
            } catch (IOException | RuntimeException e) {
                Logger.getLogger(Whereabouts.class.getName()).log(Level.WARNING, "unreadable: " + file, e);
            }
        }
        // In the order of their going: the number before the blank.
        kept.stringPropertyNames().stream().filter(k -> k.startsWith(JOB))
                .sorted(java.util.Comparator.comparingInt(k -> order(kept.getProperty(k))))
                .forEach(k -> Spot.read(after(kept.getProperty(k)))
                        .ifPresent(s -> spots.put(k.substring(JOB.length()), s)));
        for (int i = 0; kept.containsKey(LATELY + i); i++) {
            lately.add(kept.getProperty(LATELY + i));
        }
        String window = kept.getProperty(WINDOW);
        frame = window == null ? null : Frame.read(window);
        written = text();
    }

    private static int order(String text) {
        try {
            return Integer.parseInt(text.substring(0, Math.max(0, text.indexOf(' '))));
        } catch (NumberFormatException e) {
            return 0;
        }
    }

    private static String after(String text) {
        return text.substring(text.indexOf(' ') + 1);
    }

    /** The place in a job; empty where it was never open on this machine. */
    public Optional<Spot> of(String job) {
        return Optional.ofNullable(spots.get(job));
    }

    /** Notes the place in a job. */
    public void note(String job, Spot spot) {
        spots.remove(job);
        spots.put(job, spot);
        if (spots.size() > MOST) {
            spots.remove(spots.keySet().iterator().next());
        }
    }

    /** Where the window stood last; null where none was noted. */
    public @Nullable Frame frame() {
        return frame;
    }

    /** Notes where the window stands. */
    public void frame(Frame now) {
        frame = now;
    }

    /** What was done lately, in its words, the last first. */
    public List<String> lately() {
        return List.copyOf(lately);
    }

    /** Notes what was done. */
    public void did(String what) {
        lately.remove(what);
        lately.addFirst(what);
        if (lately.size() > MOST_LATELY) {
            lately.removeLast();
        }
    }

    private String text() {
        Properties keeps = new Properties();
        for (int i = 0; i < lately.size(); i++) {
            keeps.setProperty(LATELY + i, lately.get(i));
        }
        int at = 0;
        for (Map.Entry<String, Spot> spot : spots.entrySet()) {
            keeps.setProperty(JOB + spot.getKey(), at++ + " " + spot.getValue().text());
        }
        Frame now = frame;
        if (now != null) {
            keeps.setProperty(WINDOW, now.text());
        }
        StringWriter out = new StringWriter();
        try {
            keeps.store(out, null);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        // The first line is the date of writing.
        return out.toString().lines().filter(l -> !l.startsWith("#")).sorted()
                .reduce("", (all, line) -> all + line + "\n");
    }

    /** Writes what was noted since the last time. */
    void keep() {
        String now = text();
        if (now.equals(written)) {
            return;
        }
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            TextFiles.replace(file, now.getBytes(StandardCharsets.UTF_8));
            written = now;
        } catch (IOException e) {
            Logger.getLogger(Whereabouts.class.getName()).log(Level.WARNING, "not written: " + file, e);
        }
    }
}
