package amberheron.app.wiring;

import amberheron.app.shell.Advice;
import amberheron.app.shell.Advice.Action;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationModel;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Station;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.wiring.WireRules;
import amberheron.core.wiring.Wiring;
import java.util.List;
import java.util.Optional;

/** What the Wire station says. */
public final class WireModel implements StationModel {
    @Override
    public String subtitle() {
        return "Power that follows the key, and a ground that does not shift the volts";
    }

    @Override
    public String figure(Session session) {
        Optional<Double> shift = WireRules.shift(session.job().wiring().ground());
        List<Finding> findings = session.review().findings(Station.WIRE);
        boolean source = findings.stream().limit(3).noneMatch(f -> f.verdict() == Verdict.UNKNOWN);
        return shift.map(s -> Figures.text(session, new Measure(s, Dimension.VOLTAGE, 3)) + " ground shift")
                .orElse(source ? "ground not looked at" : session.isOpen() ? "source not proved" : "");
    }

    @Override
    public Advice advice(Session session) {
        List<Finding> findings = session.review().findings(Station.WIRE);
        String parted = "Grounds: everything at the battery; one clean chassis point; signal at the reader's own sensor ground; gauge and logger at one point. "
                + "Ours follows the figure: whichever keeps heater current out of the signal's ground, or inside tolerance here.";
        String caution = "Battery negative off before wiring. Look behind before drilling a firewall or dash: brake, fuel, airbag. "
                + "Never power the sensor on a cold day with the engine off, nor run the engine with it unpowered.";
        var checked = Advice.sources(findings);
        Optional<Finding> wrong = findings.stream().filter(f -> f.verdict() == Verdict.FAIL).findFirst();
        if (wrong.isPresent()) {
            Finding f = wrong.get();
            boolean ground = f.id().equals("ground");
            Double cost = f.lambdaCost();
            return new Advice(
                    ground
                            ? "Part the grounds: give the signal a return of its own."
                            : f.subject() + ": " + f.consequence(),
                    ground
                            ? new Action("They are parted now",
                                    () -> session.edit("grounds parted", j -> j.withWiring(j.wiring()
                                            .withGround(new Wiring.Ground(false, j.wiring().ground().length(),
                                                    j.wiring().ground().crossSection(),
                                                    j.wiring().ground().current())))))
                            : new Action("Enter it again", () -> session.focus("wire." + f.id())),
                    cost == null
                            ? f.working()
                            : "Heater current in a shared wire lifts the reader's ground: it reads "
                                    + Figures.leanOrRich(session, cost) + ". " + f.working() + ".",
                    parted, checked, caution);
        }
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        if (open.isPresent()) {
            return new Advice(open.get().consequence(),
                    new Action("Enter it", () -> session.focus(field(session.job().wiring(), open.get().id()))),
                    "A reading that is missing never counts as a pass.", parted, checked, caution);
        }
        return new Advice("Calibrate in free air next.", new Action("Go to Air", () -> session.go(Station.AIR)),
                "Source, fuse and ground are proved by their figures.", parted, checked, caution);
    }

    private static String field(Wiring wiring, String finding) {
        if (!finding.equals("ground")) {
            return "wire." + finding;
        }
        Wiring.Ground g = wiring.ground();
        return g.shared() == null
                ? "wire.shared"
                : g.length() == null ? "wire.length" : g.crossSection() == null ? "wire.section" : "wire.current";
    }
}
