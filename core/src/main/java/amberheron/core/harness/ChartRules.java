package amberheron.core.harness;

import static amberheron.core.finding.Finding.Relation.AT_MOST;
import static amberheron.core.units.Phrase.capital;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Chart.Twins;
import amberheron.core.harness.HarnessRules.Heater;
import amberheron.core.harness.Wire.Left;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Judges the conductor chart. */
public final class ChartRules {
    /** Greatest resistance end to end of a sound joint, or of a wire that carries a signal, Ω; from memory. */
    static final double CONTINUITY = 1.0;
    /** Multiple of the resistance by length and size above which a joint is bad. */
    private static final double EXPLAINED = 2;
    /** Resolution of a shop's meter and its clips, Ω. */
    private static final double METER = 0.05;

    private static final Source CHART = Source
            .practice("conductor chart drawn up before cutting, colours confirmed by continuity, both ends tagged");
    private static final Source UNUSED = Source.practice("unused wires are taped and bundled, not cut");
    private static final Source OHMS = Source.memory(
            "1 Ω for a signal; half a volt at the heater's peak for what carries it; a ground twice what length and size explain");

    private ChartRules() {
    }

    /**
     * Every check of a chart.
     *
     * @param needed the lines this job cannot do without
     * @param chosen those of them of which it was said where they go
     */
    public static List<Finding> judge(Chart chart, List<Wire> needed, List<Wire> chosen, Heater heater) {
        List<Finding> findings = new ArrayList<>();
        findings.add(complete(chart, needed));
        if (!chart.wires().isEmpty()) {
            findings.add(twins(chart));
            findings.add(clashes(chart));
            crossed(chart).ifPresent(findings::add);
            findings.add(way(chart, chosen));
            findings.add(unused(chart));
            continuity(chart, heater).ifPresent(findings::add);
        }
        return List.copyOf(findings);
    }

    private static Finding complete(Chart chart, List<Wire> needed) {
        List<Wire> lacking = chart.lacking(needed);
        List<Wire> bare = chart.wires().stream().filter(w -> w.colour() == null || w.work() == null).toList();
        int open = lacking.size() + bare.size();
        Message says = !lacking.isEmpty()
                ? Message.of("No line yet for: {0}.",
                        Message.joined("; ", lacking.stream().map(ChartRules::words).toList()))
                : bare.isEmpty()
                        ? Message.plain("Every wire this job needs is in the chart with its colour.")
                        : Message.of("Colour or work not written: {0}.", tags(bare));
        return finding(HarnessCheck.CHART_COMPLETE, "Chart, lines not finished",
                open == 0 ? Verdict.PASS : Verdict.UNKNOWN,
                open, says, "lines needed by the readers and grounds of this job, and lines without colour or work",
                CHART)
                .asking(Stream.concat(lacking.isEmpty() ? Stream.of() : Stream.of(HarnessField.CHART.address()),
                        bare.stream().map(w -> (w.colour() == null
                                ? HarnessField.CHART_COLOUR
                                : HarnessField.CHART_WORK).of(w.id())))
                        .toList());
    }

    private static Message words(Wire wire) {
        Device to = wire.to();
        Message work = Message.plain(Objects.requireNonNull(wire.work()).words());
        return to == null ? work : Message.of("{0} to {1}", work, Message.plain(to.words()));
    }

    private static Finding twins(Chart chart) {
        List<Twins> open = chart.twins().stream().filter(t -> !t.toldApart()).toList();
        return finding(HarnessCheck.CHART_TWINS, "Wires of one colour", open.isEmpty() ? Verdict.PASS : Verdict.UNKNOWN,
                open.size(),
                open.isEmpty()
                        ? Message.plain(chart.twins().isEmpty()
                                ? "No two look alike."
                                : "Those that look alike are told apart by continuity.")
                        : Message.of("Tell apart by continuity before joining. {0}.",
                                Message.joined("; ", open.stream()
                                        .map(t -> Message.of("{0}: two or more are {1} ({2})",
                                                Message.plain(capital(t.where().words())),
                                                Message.plain(t.colour().words()), tags(t.wires())))
                                        .toList())),
                "groups of one colour at one end in which a wire is not confirmed", CHART)
                .asking(chart.wires().stream().filter(chart::doubtful)
                        .map(w -> HarnessField.CHART_APART.of(w.id())).toList());
    }

    private static Finding clashes(Chart chart) {
        List<Chart.Clash> clashes = chart.clashes();
        return finding(HarnessCheck.CHART_PINS, "Two wires on one pin", clashes.isEmpty() ? Verdict.PASS : Verdict.FAIL,
                clashes.size(),
                clashes.isEmpty()
                        ? Message.plain("Every pin takes one wire.")
                        : Message.of("One of them is in the wrong place. {0}.",
                                Message.joined("; ", clashes.stream()
                                        .map(c -> Message.of("{0}, pin {1}: {2}", Message.plain(c.at().words()),
                                                c.pin(),
                                                tags(c.wires())))
                                        .toList())),
                "pins with more than one wire, grounds and supplies left out", CHART)
                .asking(clashes.stream().flatMap(c -> c.wires().stream().map(
                        w -> (c.starts() ? HarnessField.CHART_FROM_PIN : HarnessField.CHART_TO_PIN).of(w.id())))
                        .toList());
    }

    /** Two leads that go on in each other's colour are most likely exchanged. */
    private static Optional<Finding> crossed(Chart chart) {
        List<Chart.Crossed> crossed = chart.crossed();
        if (crossed.isEmpty()) {
            return Optional.empty();
        }
        boolean apart = crossed.stream().allMatch(Chart.Crossed::toldApart);
        Message which = Message.joined("; ", crossed.stream()
                .map(c -> Message.of("{0} and {1}", Message.plain(c.one().tag()), Message.plain(c.other().tag())))
                .toList());
        return Optional.of(finding(HarnessCheck.CHART_CROSSED, "Colours exchanged in the extension",
                apart ? Verdict.WARN : Verdict.FAIL, crossed.size(),
                Message.of(apart
                        ? "Each goes on in the other's colour: {0}. By continuity it is so; whoever joins by colour next will exchange them. Look again."
                        : "Each goes on in the other's colour: {0}. Exchanged, most likely: prove both by continuity, or join them anew.",
                        which),
                "pairs of which each has the other's colour behind the joint", CHART)
                .asking(crossed.stream().map(c -> HarnessField.CHART_EXTENSION.of(c.one().id())).toList()));
    }

    /** A wire goes where the grounds and hook-ups chosen take it, or one of the two is wrong. */
    private static Finding way(Chart chart, List<Wire> chosen) {
        List<Wire> astray = chart.wires().stream().filter(w -> chosen.stream().anyMatch(n -> astray(w, n))).toList();
        return finding(HarnessCheck.CHART_WAY, "Wires that go another way than was chosen",
                astray.isEmpty() ? Verdict.PASS : Verdict.FAIL, astray.size(),
                astray.isEmpty()
                        ? Message.plain("Chart, grounds and hook-ups say the same.")
                        : Message.of("{0}. Wire it as chosen, or choose what was wired.",
                                Message.joined("; ", astray.stream().map(w -> Message.of("Wire {0}, {1}",
                                        Message.plain(w.tag()), words(w))).toList())),
                "lines of the chart against where grounds and signals are taken", CHART)
                .asking(astray.stream().map(w -> HarnessField.CHART_TO.of(w.id())).toList());
    }

    private static boolean astray(Wire wire, Wire needed) {
        Device to = wire.to();
        Work work = wire.work();
        Device wanted = needed.to();
        if (to == null || wanted == null || work == null) {
            return false;
        }
        boolean ground = work == Work.SIGNAL_GROUND || work == Work.HEATER_GROUND;
        if (ground && work == needed.work()) {
            // Chassis and battery are told apart by length and drop, not here.
            return to != wanted && !(to.shared() && wanted.shared());
        }
        boolean onOther = (work == Work.ANALOG && needed.work() == Work.NARROWBAND)
                || (work == Work.NARROWBAND && needed.work() == Work.ANALOG);
        return onOther && to == wanted;
    }

    private static Finding unused(Chart chart) {
        List<Wire> open = chart.unused().stream().filter(w -> w.left() == null).toList();
        List<Wire> cut = chart.unused().stream().filter(w -> w.left() == Left.CUT).toList();
        List<Wire> dimmers = chart.unused().stream()
                .filter(w -> w.work() == Work.DIMMER && w.left() == Left.TAPED).toList();
        Verdict verdict = !open.isEmpty()
                ? Verdict.UNKNOWN
                : cut.isEmpty() && dimmers.isEmpty() ? Verdict.PASS : Verdict.WARN;
        Message says = !open.isEmpty()
                ? Message.of("Say how these are left: {0}.", tags(open))
                : !cut.isEmpty()
                        ? Message.of("Cut off, so it cannot be used later: {0}. Tape the ends all the same.", tags(cut))
                        : !dimmers.isEmpty()
                                ? Message.of("An unused dimmer wire goes to ground, or the display may stay dark: {0}.",
                                        tags(dimmers))
                                : chart.unused().isEmpty()
                                        ? Message.plain("None.")
                                        : Message.of("All accounted for: {0}.", tags(chart.unused()));
        return finding(HarnessCheck.CHART_UNUSED, "Unused wires not put away", verdict, open.size(), says,
                "wires without a destination whose end is not accounted for", UNUSED)
                .asking((open.isEmpty() ? chart.unused() : open).stream()
                        .map(w -> HarnessField.CHART_LEFT.of(w.id())).toList());
    }

    /** Returns the greatest resistance that a wire may have for its work, Ω. */
    static double mostOhms(@Nullable Work work, Heater heater) {
        return switch (work) {
            case POWER, HEATER_PLUS, HEATER_MINUS -> heater.mostOhms();
            case HEATER_GROUND -> heater.ground() == null
                    ? heater.mostOhms()
                    : Math.min(heater.mostOhms(), EXPLAINED * heater.ground() + METER);
            case null, default -> CONTINUITY;
        };
    }

    private static Optional<Finding> continuity(Chart chart, Heater heater) {
        Optional<Wire> worst = chart.wires().stream().filter(w -> w.ohms() != null)
                .max(Comparator.comparingDouble(w -> Objects.requireNonNull(w.ohms()) / mostOhms(w.work(), heater)));
        return worst.map(w -> {
            double ohms = Objects.requireNonNull(w.ohms());
            double most = mostOhms(w.work(), heater);
            boolean kept = ohms <= most;
            long measured = chart.wires().stream().filter(o -> o.ohms() != null).count();
            return new Finding(HarnessCheck.CHART_CONTINUITY, "Continuity, worst", kept ? Verdict.PASS : Verdict.FAIL,
                    new Measure(ohms, Dimension.RESISTANCE, 2),
                    new Limit(AT_MOST, new Measure(most, Dimension.RESISTANCE, 2)),
                    kept
                            ? Message.of("Wire {0} is nearest to its limit of {1} measured.", w.tag(), (int) measured)
                            : Message.of("Wire {0}: a joint is bad, or it is not the wire it is taken for.", w.tag()),
                    null, Message.plain("end to end, both ends free, leads of the meter subtracted"), OHMS)
                    .asking(HarnessField.CHART_OHMS.of(w.id()));
        });
    }

    private static String tags(List<Wire> wires) {
        return wires.stream().map(Wire::tag).collect(Collectors.joining(", "));
    }

    private static Finding finding(HarnessCheck id, String subject, Verdict verdict, int count, Message says,
            String working, Source source) {
        return new Finding(id, subject, verdict, new Measure(count, Dimension.NUMBER, 0),
                new Limit(AT_MOST, new Measure(0, Dimension.NUMBER, 0)), says, null, Message.plain(working), source);
    }
}
