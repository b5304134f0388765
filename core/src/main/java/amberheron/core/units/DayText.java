package amberheron.core.units;

import static amberheron.core.units.Phrase.say;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Days as people of a language write and read them: digits in its order and with its sign between them, the year in full.
 * A language without a country has the order of ISO 8601, since its own is not known.
 *
 * @param order the fields, such as {@code dMy}
 * @param sign between them
 */
public record DayText(String order, String sign) {
    /** Year, month, day. */
    public static final DayText ISO = new DayText("yMd", "-");

    private static final Pattern THREE = Pattern.compile("(\\d{1,4})[-./\\s]+(\\d{1,2})[-./\\s]+(\\d{1,4})\\.?");
    private static final Pattern TWO = Pattern.compile("(\\d{1,2})[-./\\s]+(\\d{1,2})\\.?");
    private static final Pattern ISO_DAY = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern AWAY = Pattern.compile("([-+−–])\\s*(\\d{1,4})");
    private static final int CENTURY = 2000;

    /** The form of a language and country. */
    public static DayText of(Locale locale) {
        if (locale.getCountry().isEmpty()) {
            return ISO;
        }
        String pattern = DateTimeFormatterBuilder.getLocalizedDateTimePattern(FormatStyle.SHORT, null,
                IsoChronology.INSTANCE, locale);
        String order = pattern.replaceAll("[^dMyu]", "").replace('u', 'y').replaceAll("(.)\\1+", "$1");
        Matcher sign = Pattern.compile("[-./]").matcher(pattern);
        return order.length() == 3 && sign.find() ? new DayText(order, sign.group()) : ISO;
    }

    /** A day as it is shown. */
    public String text(LocalDate day) {
        return order.chars().mapToObj(field -> switch (field) {
            case 'd' -> two(day.getDayOfMonth());
            case 'M' -> two(day.getMonthValue());
            default -> String.valueOf(day.getYear());
        }).collect(Collectors.joining(sign));
    }

    private static String two(int number) {
        return number < 10 ? "0" + number : String.valueOf(number);
    }

    /** An example of how a day is typed. */
    public String example() {
        return text(LocalDate.of(CENTURY + 26, 5, 31));
    }

    /**
     * Reads a day: in this form or in that of ISO 8601, with one digit or two, with the year in two digits or left out;
     * “today”, “yesterday”, “tomorrow”; days from today such as −3.
     *
     * @return empty where it is none
     */
    public Optional<LocalDate> read(String typed, LocalDate today) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        if (text.equals(say("today"))) {
            return Optional.of(today);
        }
        if (text.equals(say("yesterday")) || text.equals(say("tomorrow"))) {
            return Optional.of(today.plusDays(text.equals(say("yesterday")) ? -1 : 1));
        }
        Matcher away = AWAY.matcher(text);
        if (away.matches()) {
            long days = Long.parseLong(away.group(2));
            return Optional.of(today.plusDays(away.group(1).equals("+") ? days : -days));
        }
        Matcher iso = ISO_DAY.matcher(text);
        if (iso.matches()) {
            return day(number(iso, 1), number(iso, 2), number(iso, 3));
        }
        Matcher three = THREE.matcher(text);
        if (three.matches()) {
            int year = number(three, 1 + order.indexOf('y'));
            return day(year < 100 ? CENTURY + year : year, number(three, 1 + order.indexOf('M')),
                    number(three, 1 + order.indexOf('d')));
        }
        Matcher two = TWO.matcher(text);
        boolean monthFirst = order.indexOf('M') < order.indexOf('d');
        return two.matches()
                ? day(today.getYear(), number(two, monthFirst ? 1 : 2), number(two, monthFirst ? 2 : 1))
                : Optional.empty();
    }

    private static int number(Matcher of, int group) {
        return Integer.parseInt(of.group(group));
    }

    private static Optional<LocalDate> day(int year, int month, int day) {
        try {
            return year < 1900 || year > 2200 ? Optional.empty() : Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
