package amberheron.app.session;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Verdict;
import amberheron.core.finding.Wording;
import amberheron.core.job.Station;
import amberheron.core.units.DayText;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Parsed;
import amberheron.core.units.QuantityField;
import amberheron.core.units.Unit;
import amberheron.core.units.UnitChoice;
import amberheron.io.json.FieldWords;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Figures in the units and the fuel of the open job. */
public final class Figures {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DayText DAYS = DayText.of(Locale.getDefault(Locale.Category.FORMAT));

    private Figures() {
    }

    /** A measure as shown. */
    public static String text(Session session, Measure measure) {
        return session.preferences().units().text(measure, session.job().stoich());
    }

    /** A value in which two versions of the job differ, in the units at hand. */
    public static String text(Session session, FieldWords field, String value) {
        return field.measure(value).map(m -> text(session, m)).orElse(value);
    }

    /** A sentence in the units at hand. */
    public static String text(Session session, Message message) {
        return new Wording(session.preferences().units(), session.job().stoich()).text(message);
    }

    /** A mixture as shown, three decimals of lambda. */
    public static String mixture(Session session, double lambda) {
        return text(session, new Measure(lambda, Dimension.MIXTURE, 3));
    }

    /** A difference of mixtures, always with its sign. */
    public static String difference(Session session, double lambda) {
        return session.preferences().units().signed(new Measure(lambda, Dimension.MIXTURE, 3), session.job().stoich());
    }

    /** A difference in the words of the trade: so much lean or rich. */
    public static Message leanOrRich(double lambda) {
        return Message.of(lambda >= 0 ? "{0} lean" : "{0} rich",
                new Measure(Math.abs(lambda), Dimension.MIXTURE, 3));
    }

    /** A length in the unit people say it in. */
    public static String length(Session session, double metres) {
        return text(session, new Measure(metres, Dimension.LENGTH, 0));
    }

    /** A moment on the shop's clock, to the minute. */
    public static String moment(Instant moment) {
        ZonedDateTime here = moment.atZone(ZoneId.systemDefault());
        return day(here.toLocalDate()) + " " + TIME.format(here);
    }

    /** How days are written and read on this machine. */
    public static DayText days() {
        return DAYS;
    }

    /** A day as this machine's language writes it. */
    public static String day(LocalDate day) {
        return DAYS.text(day);
    }

    /** Minutes as hours and minutes. */
    public static String time(int minutes) {
        return minutes < 60 ? minutes + " min" : say("%d h %02d", minutes / 60, minutes % 60);
    }

    /** The check that matters most: the worst, and of equals the first. */
    public static Optional<Finding> worst(List<Finding> findings) {
        return findings.stream().filter(f -> f.verdict() != Verdict.PASS)
                .max(Comparator.comparing(Finding::verdict).thenComparingInt(f -> -findings.indexOf(f)));
    }

    /** An angle on the pipe's clock face, such as 1:52. */
    public static String clock(double radians) {
        long minutes = Math.round(Math.toDegrees(radians) * 2);
        long onFace = Math.floorMod(minutes, 720L);
        long hour = onFace / 60;
        return say("%d:%02d", hour == 0 ? 12 : hour, onFace % 60);
    }

    /** Returns the text of a field for a value: digits without idle zeros, and the unit. */
    public static String entry(QuantityField field, int decimals, double si, UnitChoice units, double stoich) {
        if (field.dimension() == Dimension.MIXTURE && units.afr()) {
            return trimmed(si * stoich, decimals - 1) + " AFR";
        }
        Unit unit = units.shown(field.unit());
        String number = trimmed(unit.fromSi(si), decimals + (unit == Unit.INCH ? 2 : 0));
        return unit.symbol().isEmpty() ? number : unit == Unit.DEGREE ? number + "°" : number + " " + unit.symbol();
    }

    /** Reads what a person typed into a field; a bare number is in the active unit. */
    public static Parsed parse(Session session, QuantityField field, String typed) {
        QuantityField inUnit = field.in(session.preferences().units().shown(field.unit()));
        String text = field.dimension() == Dimension.MIXTURE && session.preferences().units().afr()
                && typed.matches("[\\d.,\\s]+")
                        ? typed + " AFR"
                        : typed;
        return inUnit.parse(text, session.job().stoich());
    }

    private static String trimmed(double value, int decimals) {
        String text = UnitChoice.digits(value, Math.max(0, decimals)).replace('−', '-');
        return text.matches(".*[.,].*") ? text.replaceFirst("[.,]?0+$", "") : text;
    }

    /** How long ago a reading was taken, in days; empty where that was not recorded. */
    public static String age(Session session, @Nullable Instant taken) {
        if (taken == null) {
            return "";
        }
        long days = ChronoUnit.DAYS.between(taken.atZone(ZoneId.systemDefault()).toLocalDate(), session.today());
        return days <= 0 ? say("today") : count("1 day old", "%d days old", days);
    }

    /** The worst reservation under which a station is proven; empty for one without. */
    public static String reserved(Session session, Station station) {
        return session.review().reservation(station).map(r -> say("but: %s", text(session, r.finding().subject())))
                .orElse("");
    }

    /** Why the reading of a station no longer proves anything; empty where it does. */
    public static String stale(Session session, Station station) {
        return session.review().stale(station).map(s -> say("stale: %s", s.changed())).orElse("");
    }
}
