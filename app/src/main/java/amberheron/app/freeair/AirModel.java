package amberheron.app.freeair;

import amberheron.core.job.Stale;
import amberheron.app.session.Onward;
import amberheron.core.finding.Message;
import static amberheron.core.finding.Message.plain;

import amberheron.core.parts.Address;
import amberheron.app.session.Advice;
import amberheron.app.session.Advice.Action;
import amberheron.app.session.Figures;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.Air;
import amberheron.core.freeair.FreeAirCheck;
import amberheron.core.job.Station;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.List;
import java.util.Optional;

/** What the Air station says. */
public final class AirModel implements StationModel {
    /** Mixtures at which the cost of the air is shown. */
    static final List<Double> SHOWN_AT = List.of(0.8, 1.0, 1.2);

    @Override
    public String subtitle() {
        return "The one gas everyone has for nothing, and how much oxygen is in it today";
    }

    @Override
    public String figure(Session session) {
        Air air = session.job().air().air();
        if (air == null) {
            return "";
        }
        Double settled = session.job().air().settled();
        return oxygen(session, air) + " O₂"
                + (settled == null
                        ? ""
                        : " · held " + Figures.text(session, new Measure(settled, Dimension.DURATION, 0)));
    }

    static String oxygen(Session session, Air air) {
        return Figures.text(session, new Measure(air.oxygen(), Dimension.FRACTION, 2));
    }

    @Override
    public Advice advice(Session session) {
        FreeAirCheck check = session.job().air();
        List<Finding> findings = session.review().findings(Station.AIR);
        var checked = Advice.sources(findings);
        Message parted = Message.of(
                "Three kinds of controller, three ways: clear, then learn; trim by hand; trimmed at the factory. "
                        + "Not a matter of taste: the maker's sheet says which. “{0}” here: {1}",
                plain(check.school().words()), plain(check.school().procedure()));
        Message caution = plain(
                "The sensor is hot enough to burn skin and light vapour: hang it free, away from fuel and solvent. "
                        + "Leave the anti-seize on. Never run an engine indoors without extraction.");
        if (check.air() == null) {
            Address first = findings.getFirst().asks().getFirst();
            return new Advice(plain("Enter temperature, humidity and height."),
                    Action.enter(session, first),
                    plain("Water vapour and height change the oxygen in “air”; the controller takes it for dry air."),
                    parted,
                    checked, caution);
        }
        Optional<Stale> stale = session.review().stale(Station.AIR);
        if (stale.isPresent()) {
            return new Advice(plain(stale.get().reading().again()),
                    Action.enter(session, check.reading().orElseThrow()),
                    stale.get().text(), parted, checked, caution);
        }
        Optional<Finding> wrong = findings.stream().filter(f -> f.verdict() == Verdict.FAIL).findFirst();
        if (wrong.isPresent()) {
            return new Advice(plain("Calibrate again in clean moving air."),
                    new Action("Enter the new reading", () -> session.seek(wrong.get().asks().getFirst())),
                    wrong.get().consequence(),
                    parted, checked, caution);
        }
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        if (open.isPresent()) {
            return new Advice(open.get().consequence(),
                    Action.enter(session, open.get().asks().getFirst()),
                    plain("Sensor out of the exhaust, cap off, in clean moving air, before it is screwed in."), parted,
                    checked, caution);
        }
        Onward onward = Onward.from(session);
        return new Advice(onward.next(), onward.action(), plain("The sensor's gain fits this air."), parted, checked,
                caution);
    }
}
