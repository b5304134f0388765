package amberheron.io.pack;

import static amberheron.core.units.Phrase.say;

import amberheron.io.Printable;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** The day on which free air is to be done again, as iCalendar (RFC 5545). */
final class Reminder {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT);
    private static final int LINE = 74;

    private Reminder() {
    }

    /**
     * A whole day, with an alarm a week before.
     *
     * @param stamp the day it was written
     */
    static String text(String job, String vehicle, String code, LocalDate due, LocalDate stamp) {
        StringBuilder out = new StringBuilder();
        for (String line : new String[]{"BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Amber Heron//hand-over//EN",
                "BEGIN:VEVENT", "UID:" + job.replaceAll("[^A-Za-z0-9-]", "-") + "-" + code + "@amber-heron.invalid",
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
