package amberheron.app.scaling;

import static amberheron.core.finding.Message.plain;
import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.core.finding.Message;
import amberheron.core.job.Stale;
import amberheron.core.mixture.MixtureScale;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.scaling.Diagnosis;
import amberheron.core.scaling.OutputLaw;
import amberheron.core.scaling.Reader;
import amberheron.core.scaling.ReaderSetting;
import amberheron.core.scaling.Repeats;
import amberheron.core.scaling.SettingText;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Phrase;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Words for check points and their diagnosis, on every leaf the same. */
final class ScaleWords {
    private ScaleWords() {
    }

    /** The likeliest fault and how likely it is. */
    static String likeliest(Session session, Diagnosis d) {
        if (!d.settingFollows()) {
            return d.title() + ".";
        }
        return Figures.text(session, Message.of("{0}: {1}.", plain(d.title() + d.best().parameters().words()),
                new Measure(d.best().probability(), Dimension.FRACTION, 0)));
    }

    /** Says what the points do not tell, and what would; empty where they tell enough. */
    static String doubt(Session session, Diagnosis d) {
        List<String> says = new ArrayList<>();
        if (d.onePlace()) {
            says.add(word(Diagnosis.ONE_PLACE));
        }
        if (!d.cannotTell().isEmpty()) {
            says.add(say("The points cannot yet tell these apart: %s.",
                    String.join("; ", d.cannotTell().stream().map(f -> Phrase.small(f.title())).toList())));
        }
        Diagnosis.NextPoint next = d.nextPoint();
        if (next != null) {
            says.add(Figures.text(session, Message.of("Most telling next: {0}, parts {1} from {2}.",
                    new Measure(next.volts(), Dimension.VOLTAGE, 2), plain(Phrase.small(next.first().title())),
                    plain(Phrase.small(next.second().title())))));
        }
        return String.join(" ", says);
    }

    /** What to type, or why nothing helps that is typed; empty where nothing has to be mended. */
    static String correction(Session session, Diagnosis d) {
        Reader reader = session.job().reader();
        OutputLaw law = session.job().law();
        // What to do about a setting that follows nothing is said above.
        if (d.withinTolerance() || !d.settingFollows() || reader == null || law == null) {
            return "";
        }
        Diagnosis.Offer offer = d.offer();
        ReaderSetting first = d.typeFirst();
        if (offer == null) {
            return first == null ? d.notByTyping() : d.notByTyping() + " " + typed(first, reader);
        }
        String range = offer.range(law, lambda -> Figures.mixture(session, lambda));
        return ScaleModel.corrects(d, session.job())
                ? (d.best().parameters().whileRunning()
                        ? say("Corrected, for the engine running: ")
                        : say("Corrected: ")) + typed(offer.setting(), reader) + (range.isEmpty() ? "" : "; " + range)
                : range.isEmpty() ? "" : say("The setting that it has stays: %s.", range);
    }

    private static String typed(ReaderSetting setting, Reader reader) {
        return String.join(", ",
                SettingText.of(setting, reader).stream().map(l -> l.ask() + " → " + l.type()).toList());
    }

    /** Scatter of readings at the same volts; empty where none was repeated. */
    static String repeats(Session session) {
        OutputLaw law = session.job().law();
        Reader reader = session.job().reader();
        return law == null || reader == null
                ? ""
                : Repeats.of(session.review().points(), law, reader).map(r -> Figures.text(session,
                        Message.of("Repeated at {0} voltages: scatters {1}.", r.places(),
                                new Measure(r.spread(), Dimension.MIXTURE, 4))))
                        .orElse("");
    }

    /** Readings that have to be looked at again; empty where there are none. */
    static String asks(Session session, Diagnosis d) {
        Reader reader = session.job().reader();
        if (d.misfit() || reader == null) {
            return d.misfit() ? word(Diagnosis.MISFIT) : "";
        }
        List<CheckPoint> counted = session.review().points();
        return String.join(" ", d.asks(i -> session.job().points().indexOf(counted.get(i)) + 1,
                shown -> inReader(reader, shown)));
    }

    /** Where a point came from, where that has to be said. */
    static String origin(Session session, CheckPoint point) {
        if (Stale.since(session.review().job(), point).isPresent()) {
            return say("stale, %s", Figures.age(session, point.origin().taken()));
        }
        Optional<String> instead = point.meansInstead(session.job().law());
        if (instead.isPresent()) {
            return say("means “%s”: counts for nothing", instead.get());
        }
        return point.origin().real()
                ? ""
                : session.preferences().shop().demo() ? say("simulated") : say("simulated: counts for nothing");
    }

    /** A reader's own number for a mixture, with its quantity. */
    static String inReader(Reader reader, double shown) {
        return UnitChoice.digits(shown, reader.scale() instanceof MixtureScale.Lambda ? 3 : 2)
                + " " + reader.scale().label();
    }
}
