package amberheron.core.harness;

import static amberheron.core.units.Phrase.say;

import static amberheron.core.finding.Finding.Relation.AT_MOST;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Chart.Twins;
import amberheron.core.harness.Wire.Left;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** Judges the conductor chart. */
public final class ChartRules {
    /** More than this end to end and a joint or a wire is not sound, Ω; from memory. */
    static final double CONTINUITY = 1.0;

    private static final Source CHART = Source
            .practice("conductor chart drawn up before cutting, colours confirmed by continuity, both ends tagged");
    private static final Source UNUSED = Source.practice("unused wires are taped and bundled, not cut");
    private static final Source OHMS = Source.memory("a sound wire of a few metres with its joints is well under 1 Ω");

    private ChartRules() {
    }

    /**
     * Every check of a chart.
     *
     * @param needed the lines this job cannot do without
     */
    public static List<Finding> judge(Chart chart, List<Wire> needed) {
        List<Finding> findings = new ArrayList<>();
        findings.add(complete(chart, needed));
        if (!chart.wires().isEmpty()) {
            findings.add(twins(chart));
            findings.add(clashes(chart));
            findings.add(unused(chart));
            continuity(chart).ifPresent(findings::add);
        }
        return List.copyOf(findings);
    }

    private static Finding complete(Chart chart, List<Wire> needed) {
        List<Wire> lacking = chart.lacking(needed);
        List<Wire> bare = chart.wires().stream().filter(w -> w.colour() == null || w.work() == null).toList();
        int open = lacking.size() + bare.size();
        String says = !lacking.isEmpty()
                ? "No line yet for: " + lacking.stream().map(ChartRules::words).collect(Collectors.joining("; ")) + "."
                : bare.isEmpty()
                        ? "Every wire this job needs is in the chart with its colour."
                        : "Colour or work not written: " + tags(bare) + ".";
        return finding("chart.complete", "Chart, lines open", open == 0 ? Verdict.PASS : Verdict.UNKNOWN, open, says,
                "lines needed by the readers and grounds of this job, and lines without colour or work", CHART);
    }

    private static String words(Wire wire) {
        Device to = wire.to();
        return Objects.requireNonNull(wire.work()).words() + (to == null ? "" : " to " + to.words());
    }

    private static Finding twins(Chart chart) {
        List<Twins> open = chart.twins().stream().filter(t -> !t.toldApart()).toList();
        return finding("chart.twins", "Wires of one colour", open.isEmpty() ? Verdict.PASS : Verdict.UNKNOWN,
                open.size(),
                open.isEmpty()
                        ? chart.twins().isEmpty()
                                ? "No two look alike."
                                : "Those that look alike are told apart by continuity."
                        : open.stream()
                                .map(t -> say("%s: two or more are %s (%s)", t.where().words(),
                                        t.colour().words(), tags(t.wires())))
                                .collect(Collectors.joining("; ", "Tell apart by continuity before joining. ", ".")),
                "groups of one colour at one end in which a wire is not confirmed", CHART);
    }

    private static Finding clashes(Chart chart) {
        List<List<Wire>> clashes = chart.clashes();
        return finding("chart.pins", "Two wires on one pin", clashes.isEmpty() ? Verdict.PASS : Verdict.FAIL,
                clashes.size(),
                clashes.isEmpty()
                        ? "Every pin takes one wire."
                        : clashes.stream()
                                .map(c -> say("%s, pin %s: %s",
                                        Objects.requireNonNull(c.getFirst().to()).words(), c.getFirst().toPin(),
                                        tags(c)))
                                .collect(Collectors.joining("; ", "One of them is in the wrong place. ", ".")),
                "pins with more than one wire, grounds and supplies left out", CHART);
    }

    private static Finding unused(Chart chart) {
        List<Wire> open = chart.unused().stream().filter(w -> w.left() == null).toList();
        List<Wire> cut = chart.unused().stream().filter(w -> w.left() == Left.CUT).toList();
        List<Wire> dimmers = chart.unused().stream()
                .filter(w -> w.work() == Work.DIMMER && w.left() == Left.TAPED).toList();
        Verdict verdict = !open.isEmpty()
                ? Verdict.UNKNOWN
                : cut.isEmpty() && dimmers.isEmpty() ? Verdict.PASS : Verdict.WARN;
        String says = !open.isEmpty()
                ? "Say how these are left: " + tags(open) + "."
                : !cut.isEmpty()
                        ? "Cut off, so it cannot be used later: " + tags(cut) + ". Tape the ends all the same."
                        : !dimmers.isEmpty()
                                ? "An unused dimmer wire goes to ground, or the display may stay dark: "
                                        + tags(dimmers) + "."
                                : chart.unused().isEmpty()
                                        ? "None."
                                        : "All accounted for: " + tags(chart.unused())
                                                + ".";
        return finding("chart.unused", "Unused wires open", verdict, open.size(), says,
                "wires without a destination whose end is not accounted for", UNUSED);
    }

    private static Optional<Finding> continuity(Chart chart) {
        Optional<Wire> worst = chart.wires().stream().filter(w -> w.ohms() != null)
                .max(Comparator.comparing(Wire::ohms));
        return worst.map(w -> {
            double ohms = Objects.requireNonNull(w.ohms());
            boolean kept = ohms <= CONTINUITY;
            long measured = chart.wires().stream().filter(o -> o.ohms() != null).count();
            return new Finding("chart.continuity", "Continuity, worst", kept ? Verdict.PASS : Verdict.FAIL,
                    new Measure(ohms, Dimension.RESISTANCE, 2),
                    new Limit(AT_MOST, new Measure(CONTINUITY, Dimension.RESISTANCE, 2)),
                    kept
                            ? say("Wire %s is the highest of %d measured.", w.tag(), measured)
                            : say("Wire %s: a joint is bad, or it is not the wire it is taken for.", w.tag()),
                    null, "end to end, both ends free, leads of the meter subtracted", OHMS);
        });
    }

    private static String tags(List<Wire> wires) {
        return wires.stream().map(Wire::tag).collect(Collectors.joining(", "));
    }

    private static Finding finding(String id, String subject, Verdict verdict, int count, String says, String working,
            Source source) {
        return new Finding(id, subject, verdict, new Measure(count, Dimension.NUMBER, 0),
                new Limit(AT_MOST, new Measure(0, Dimension.NUMBER, 0)), says, null, working, source);
    }
}
