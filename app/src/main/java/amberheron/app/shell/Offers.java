package amberheron.app.shell;

import static amberheron.core.units.Phrase.say;

import amberheron.app.palette.FindOrDo.Hit;
import amberheron.app.parts.StationPlug;
import amberheron.app.session.LeafId;
import amberheron.app.session.OpenJob;
import amberheron.app.session.Session;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Station;
import amberheron.core.units.NaturalOrder;
import amberheron.core.units.UnitChoice;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** All that can be found and done from anywhere. */
final class Offers {
    private final Session session;
    private final Map<Station, StationPlug<?>> plugs;

    Offers(Session session, Map<Station, StationPlug<?>> plugs) {
        this.session = session;
        this.plugs = plugs;
    }

    /** Other words that people look for a station by. */
    static String also(Station station) {
        return switch (station) {
            case PLAN -> say("intake, steps, checklist, schedule, booking, parts");
            case PLACE -> say("bung, hole, weld, mount, install, fit, drill, torque, angle, exhaust");
            case WIRE -> say("wiring, harness, fuse, ground, power, relay, feed, pinout");
            case AIR -> say("calibrate, calibration, free air, sensor");
            case SCALE -> say("scaling, calibrate the reader, offset, AFR, volts, analog output");
            case PROVE -> say("log, drive, road, test, compare, dyno");
            case HAND_OVER -> say("sheet, customer, sign, finish");
        };
    }

    private static String also(LeafId leaf) {
        return switch (leaf) {
            case PLACE_FITTED, WIRE_WIRED -> say("photo, picture, camera");
            case PLACE_PROCEDURE -> say("torque, weld, anti-seize, how to fit");
            case WIRE_FEED -> say("amps, voltage drop");
            case AIR_TODAY -> say("calibrate, temperature, humidity, altitude, pressure");
            case AIR_COACH -> say("calibrate, calibration");
            case AIR_SENSOR -> say("replace the sensor, new sensor, sensor number, worn");
            case SCALE_LAW -> say("AFR, voltage, formula, equation, gauge, ECU");
            case SCALE_TYPE -> say("setting, table, slope, offset");
            case SCALE_DISPLAY -> say("alarm, gauge, dimming");
            case PROVE_TRIMS -> say("fuel map, VE, correction");
            case PROVE_CHANNELS -> say("import a log, CSV, columns");
            case HAND_OVER_SHEET -> say("print, PDF, report");
            case HAND_OVER_PACK -> say("export, PDF, CSV, e-mail, send, logo, paper size");
            case HAND_OVER_PROOF -> say("verify, signature, changed");
            default -> "";
        };
    }

    /** What Ctrl+S is answered with: everything is kept as it is entered. */
    String saved() {
        OpenJob.Saving saving = session.openJob().saving();
        return !session.isOpen()
                ? say("Everything is kept as it is entered: %s.", session.book().name())
                : saving.failure() != null || saving.lost()
                        ? say("Not in the book yet: it is tried again and again.")
                        : saving.busy()
                                ? say("Just being saved: %s.", session.book().name())
                                : say("All of it is kept already, as it is entered: %s.", session.book().name());
    }

    /** All keys, for the list of them. */
    static List<String> keys(List<Command> commands) {
        List<String> lines = new ArrayList<>();
        lines.add("# " + say("Anywhere"));
        commands.stream().filter(c -> !c.hint().isEmpty()).forEach(c -> lines.add(c.hint() + "\t" + c.text()));
        lines.add("# " + say("In fields and lists"));
        for (String[] key : new String[][]{{"Enter", say("keeps what is typed and moves on")},
                {"Esc", say("puts back what was there, closes what is open")},
                {"Ctrl+Enter", say("adds a row")}, {"Alt+↑ ↓", say("moves a row")},
                {"Ctrl+Del", say("removes a row")}, {"Ctrl+C", say("copies row, figure or drawing's values")},
                {"Ctrl+Shift+C", say("copies the whole table")}, {"Ctrl+V", say("fills cells to the right and below")},
                {"1 … 7", say("sorts the jobs by that column")}, {"a … z", say("picks from a choice by its words")},
                {say("a letter on a button"), say("keeps what was looked at and is so")}}) {
            lines.add(key[0] + "\t" + key[1]);
        }
        return List.copyOf(lines);
    }

    /** Everything, gathered anew. */
    List<Hit> hits(List<Command> commands) {
        List<Hit> hits = new ArrayList<>();
        commands.forEach(c -> hits.add(new Hit(c.kind(), c.text(), c.words(), c.hint(), c.run())));
        session.openJob().undoable().ifPresent(what -> hits.add(new Hit(say("action"), say("Take back: %s", what),
                say("undo"), "", session.openJob()::undo)));
        for (JobSummary job : session.jobs().stream()
                .sorted(Comparator.comparing(JobSummary::id, NaturalOrder.OF)).toList()) {
            hits.add(new Hit(say("job"), job.id() + " " + job.vehicle(), "", "", () -> session.open(job.id())));
        }
        units(hits);
        hits.add(new Hit(say("help"), say("Language: English, the only one so far"), say("translate, locale"), "",
                () -> session.tell(say("English is the only language so far; numbers and dates are read as this "
                        + "machine writes them, too."))));
        if (session.isOpen()) {
            ofJob(hits);
        }
        return hits;
    }

    private void units(List<Hit> hits) {
        UnitChoice u = session.preferences().units();
        String also = say("units, metric, imperial");
        hits.add(new Hit(say("setting"), say("Mixtures as %s", u.afr() ? "λ" : "AFR"), also, "",
                () -> session.preferences().units(u.withAfr(!u.afr()))));
        hits.add(new Hit(say("setting"), say("Lengths in %s", u.inches() ? "mm" : say("in")), also, "",
                () -> session.preferences().units(u.withInches(!u.inches()))));
        hits.add(new Hit(say("setting"), say("Temperatures in %s", u.fahrenheit() ? "°C" : "°F"), also, "",
                () -> session.preferences().units(u.withFahrenheit(!u.fahrenheit()))));
        hits.add(new Hit(say("setting"), say("Torque in %s", u.poundFeet() ? "N·m" : "lb·ft"), also, "",
                () -> session.preferences().units(u.withPoundFeet(!u.poundFeet()))));
    }

    private void ofJob(List<Hit> hits) {
        plugs.keySet().forEach(station -> LeafId.of(station).forEach(leaf -> hits
                .add(new Hit(say("station"), station.title() + ": " + leaf.words(), also(leaf), "", () -> {
                    session.at().go(station);
                    session.focus(leaf);
                }))));
        session.catalogue().fuels()
                .forEach(f -> hits.add(new Hit(say("setting"), say("Fuel: %s", f.name()), "", "",
                        () -> session.edit(say("fuel %s", f.name()), j -> j.withIntake(j.intake().withFuel(f))))));
        session.catalogue().laws()
                .forEach(l -> hits.add(new Hit(say("setting"), say("Output law: %s", l.name()), "", "",
                        () -> session.edit(say("law %s", l.name()), j -> j.withLaw(l)))));
        session.catalogue().readers()
                .forEach(r -> hits.add(new Hit(say("setting"), say("Reader: %s", r.name()), "", "",
                        () -> session.edit(say("reader %s", r.name()), j -> j.withReader(r)))));
    }
}
