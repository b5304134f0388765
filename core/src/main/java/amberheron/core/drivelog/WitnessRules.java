package amberheron.core.drivelog;

import static amberheron.core.finding.Finding.Relation.AT_LEAST;
import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.drivelog.Witness.Act;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.mixture.Composition;
import amberheron.core.mixture.GasAnalysis;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Judges the controller by other witnesses of the mixture. A witness that nobody began to note is left out. */
public final class WitnessRules {
    private WitnessRules() {
    }

    /**
     * Judges every check of the witnesses.
     *
     * @param fuel what is burnt
     * @param tolerance what the trade lets gauge and truth differ by, λ
     */
    public static List<Finding> judge(Witness witness, Composition fuel, double tolerance) {
        List<Finding> findings = new ArrayList<>();
        if (witness.gas().begun() || witness.shown() != null) {
            findings.add(analyser(witness, fuel, tolerance));
        }
        if (witness.act() != null || witness.before() != null || witness.after() != null) {
            findings.add(change(witness));
        }
        return List.copyOf(findings);
    }

    private static Finding analyser(Witness witness, Composition fuel, double tolerance) {
        GasAnalysis gas = witness.gas();
        Double burnt = gas.lambda(fuel);
        Double shown = witness.shown();
        Limit limit = new Limit(AT_MOST, difference(tolerance + GasAnalysis.DOUBT));
        if (gas.diluted() || burnt == null || shown == null) {
            return new Finding(LogCheck.ANALYSER, "Controller against the gas analyser", Verdict.UNKNOWN, null, limit,
                    gas.diluted()
                            ? "So little carbon: the probe draws air. Push it in further and seal the tailpipe."
                            : "Note CO2, CO, HC and O2 at a steady warm idle, and what the controller shows meanwhile.",
                    null, "", GasAnalysis.SOURCE)
                    .asking(LogField.CARBON_DIOXIDE.address(), LogField.CARBON_MONOXIDE.address(),
                            LogField.HYDROCARBONS.address(), LogField.OXYGEN.address(), LogField.SHOWN.address());
        }
        double off = shown - burnt;
        boolean holds = Math.abs(off) <= tolerance + GasAnalysis.DOUBT;
        return new Finding(LogCheck.ANALYSER, "Controller against the gas analyser",
                holds ? Verdict.PASS : Verdict.FAIL, difference(off), limit,
                holds
                        ? "Another instrument says the same."
                        : off > 0
                                ? "The controller shows lean of what is burnt: look for air let in before the sensor, then calibrate again. A catalyst or an air pump before the probe spoils the comparison."
                                : "The controller shows rich of what is burnt: look for air let in behind the sensor and at the probe, then calibrate again.",
                off,
                Message.of("the gas is λ {0}; an analyser in order may still be off by {1}",
                        new Measure(burnt, Dimension.NUMBER, 3), difference(GasAnalysis.DOUBT)),
                GasAnalysis.SOURCE)
                .asking(LogField.CARBON_DIOXIDE.address(), LogField.CARBON_MONOXIDE.address(),
                        LogField.HYDROCARBONS.address(), LogField.OXYGEN.address(), LogField.SHOWN.address());
    }

    private static Finding change(Witness witness) {
        @Nullable
        Act act = witness.act();
        Double before = witness.before();
        Double after = witness.after();
        Source source = Source
                .memory("a change made on purpose has to move the number the right way; how far is our own choice");
        if (act == null || before == null || after == null) {
            return new Finding(LogCheck.CHANGE, "A change made on purpose", Verdict.UNKNOWN, null, null,
                    "Say what is changed, and note what is shown before and once it has settled.", null, "", source)
                    .asking(LogField.ACT.address(), LogField.BEFORE.address(), LogField.AFTER.address());
        }
        double moved = after - before;
        boolean richer = act.most() < 0;
        boolean rightWay = richer ? moved < 0 : moved > 0;
        boolean plausible = moved >= act.least() && moved <= act.most();
        double least = richer ? act.most() : act.least();
        return new Finding(LogCheck.CHANGE, "", rightWay
                ? plausible ? Verdict.PASS : Verdict.WARN
                : Verdict.FAIL,
                difference(moved), new Limit(richer ? AT_MOST : AT_LEAST, difference(least)),
                !rightWay
                        ? "The number moved the wrong way, or not at all: it does not follow the mixture. Look for swapped points, a held signal or another bank."
                        : plausible
                                ? "The number follows the mixture, the right way and by a plausible amount."
                                : "The right way, but not by what such a change makes: do it again, and let it settle.",
                null,
                Message.of("after − before; {0} to {1} is plausible", difference(act.least()), difference(act.most())),
                source).named(Message.of("Change: {0}", Message.plain(act.words())))
                .asking(LogField.ACT.address(), LogField.BEFORE.address(), LogField.AFTER.address());
    }

    private static Measure difference(double lambda) {
        return new Measure(lambda, Dimension.MIXTURE, 3);
    }
}
