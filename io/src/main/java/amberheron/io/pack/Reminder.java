package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.io.Printable;
import amberheron.io.TextFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The day on which free air is to be done again, as iCalendar (RFC 5545). */
final class Reminder {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT);
    private static final Pattern SEQUENCE = Pattern.compile("SEQUENCE:(\\d{1,9})");
    private static final int LINE = 74;

    private Reminder() {
    }

    /**
     * A whole day, with an alarm a week before. A calendar that has the job's entry already takes the one of the greater
     * sequence in its place.
     *
     * @param stamp the day it was written
     */
    static String text(String job, String vehicle, String code, LocalDate due, LocalDate stamp, long sequence) {
        StringBuilder out = new StringBuilder();
        for (String line : new String[]{"BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Amber Heron//hand-over//EN",
                "BEGIN:VEVENT",
                "UID:" + TextFiles.digest(job.getBytes(StandardCharsets.UTF_8)).substring(0, 32)
                        + "@amber-heron.invalid",
                "SEQUENCE:" + sequence,
                "DTSTAMP:" + DAY.format(stamp) + "T000000Z", "DTSTART;VALUE=DATE:" + DAY.format(due),
                "DTEND;VALUE=DATE:" + DAY.format(due.plusDays(1)),
                "SUMMARY:" + escaped(say("Calibrate in free air: %s, %s", job, vehicle)),
                "DESCRIPTION:" + escaped(say("Sensor out, clean air, as the sheet says. Pack %s.", code)),
                "BEGIN:VALARM", "ACTION:DISPLAY", "DESCRIPTION:" + escaped(say("Free air is due: %s", job)),
                "TRIGGER:-P7D", "END:VALARM", "END:VEVENT", "END:VCALENDAR"}) {
            folded(out, line);
        }
        return out.toString();
    }

    /**
     * Returns a sequence that is greater than that of every earlier entry of the same name, in this folder and in those beside
     * it, and never falls from day to day, wherever the entry is written.
     */
    static long sequence(Path folder, String name, LocalDate stamp) {
        long last = Stream.concat(Stream.of(folder), beside(folder).stream())
                .mapToLong(pack -> sequence(pack.resolve(name))).max().orElse(-1);
        return Math.max(last + 1, stamp.toEpochDay());
    }

    /** What lies beside a folder; nothing where that cannot be read: then the day alone counts. */
    private static List<Path> beside(Path folder) {
        Path parent = folder.toAbsolutePath().getParent();
        if (parent == null || !Files.isDirectory(parent)) {
            return List.of();
        }
        try (Stream<Path> packs = Files.list(parent)) {
            return packs.toList();
        } catch (IOException | UncheckedIOException e) {
            return List.of();
        }
    }

    /** Sequence of the entry in a file; −1 where there is none that can be read. */
    private static long sequence(Path file) {
        if (!Files.isRegularFile(file)) {
            return -1;
        }
        try (Stream<String> lines = Files.lines(file)) {
            return lines.map(SEQUENCE::matcher).filter(Matcher::matches).mapToLong(m -> Long.parseLong(m.group(1)))
                    .max()
                    .orElse(-1);
        } catch (IOException | UncheckedIOException e) {
            return -1;
        }
    }

    private static String escaped(String text) {
        return Printable.marked(text).replace("\\", "\\\\").replace(";", "\\;").replace(",", "\\,")
                .replaceAll("[\\r\\n]+", "\\\\n");
    }

    /** Lines are cut at 75 bytes; what goes on begins with a blank. */
    private static void folded(StringBuilder out, String line) {
        int bytes = 0;
        for (int i = 0; i < line.length();) {
            int c = line.codePointAt(i);
            int size = c < 0x80 ? 1 : c < 0x800 ? 2 : c < 0x10000 ? 3 : 4;
            if (bytes + size > LINE) {
                out.append("\r\n ");
                bytes = 1;
            }
            out.appendCodePoint(c);
            bytes += size;
            i += Character.charCount(c);
        }
        out.append("\r\n");
    }
}
