package amberheron.core.placement;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Finding.Limit;
import amberheron.core.finding.Finding.Relation;
import amberheron.core.finding.Source;
import amberheron.core.finding.Verdict;
import amberheron.core.parts.PartIds;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The places considered, the one taken, and what was made of it.
 *
 * @param candidates places considered
 * @param chosen id of the place taken; null until one is
 * @param probe sensor and lead
 * @param bung the bung in hand
 * @param fitted where the sensor ended up
 */
public record Placing(List<Candidate> candidates, @Nullable String chosen, Probe probe, Bung bung, AsFitted fitted) {
    /** No place considered yet. */
    public static final Placing NONE = new Placing(List.of(), null, Probe.UNMEASURED, Bung.USUAL, AsFitted.NOTHING);
    /** Distance along the pipe by which a bung may miss its mark before it counts as another place, m; from memory. */
    private static final double MISS = 0.02;
    /** Tilt by which it may miss, radians. */
    private static final double MISS_ANGLE = Math.toRadians(5);
    private static final Source WELDED = Source
            .memory("a small deviation is taken for nothing; beyond the limit shown, the place is judged anew");

    public Placing {
        candidates = PartIds.given(candidates, Candidate::id, Candidate::withId);
    }

    /** The place taken. */
    public Optional<Candidate> place() {
        return candidates.stream().filter(c -> c.id().equals(chosen)).findFirst();
    }

    /**
     * Every finding about the place taken; once it is fitted, about the place as fitted, and how far it is from plan.
     */
    public List<Finding> findings(Site site) {
        Candidate planned = place().orElse(null);
        if (planned == null) {
            return List.of();
        }
        if (!fitted.begun()) {
            return PlaceRules.judge(site, planned);
        }
        List<Finding> findings = new ArrayList<>();
        Optional<Candidate> made = fitted.place(site.exhaust(), planned);
        findings.addAll(PlaceRules.judge(site, made.orElse(planned)));
        findings.add(moved(planned));
        findings.add(turned(site, planned, made));
        findings.add(airtight());
        return List.copyOf(findings);
    }

    private Finding moved(Candidate planned) {
        Double was = planned.distance();
        Double is = fitted.distance();
        Double off = was == null || is == null ? null : is - was;
        return new Finding(PlaceCheck.MOVED, "Off the mark, along", deviation(off, MISS),
                measure(off, Dimension.LENGTH),
                new Limit(Relation.AT_MOST, new Measure(MISS, Dimension.LENGTH, 0)),
                off == null
                        ? "Measure where it ended up."
                        : Math.abs(off) <= MISS
                                ? "Where it was marked."
                                : "Not where it was marked; every rule above is judged where it is.",
                null, "distance as fitted less distance planned", WELDED)
                .asking(PlaceField.FITTED_DISTANCE.address());
    }

    private Finding turned(Site site, Candidate planned, Optional<Candidate> made) {
        Double reading = fitted.reading();
        Double was = PlaceRules.tiltOf(site, planned).orElse(null);
        Limit limit = new Limit(Relation.AT_MOST, new Measure(MISS_ANGLE, Dimension.ANGLE, 0));
        if (reading == null || was == null) {
            return new Finding(PlaceCheck.TURNED, "Off the mark, tilt", Verdict.UNKNOWN, null, limit,
                    "Lay a level or phone on the body after welding, and on the car.", null, "", WELDED)
                    .asking(PlaceField.FITTED_READING.address());
        }
        if (made.isEmpty()) {
            return new Finding(PlaceCheck.TURNED, "Off the mark, tilt", Verdict.FAIL, measure(reading, Dimension.ANGLE),
                    null,
                    "No clock position on this pipe shows that tilt, the car standing so: read body and car again.",
                    null, "asin(a·z) solved for the clock position has no solution", WELDED)
                    .asking(PlaceField.FITTED_READING.address(), PlaceField.FITTED_ALONG.address(),
                            PlaceField.FITTED_ACROSS.address());
        }
        double off = PlaceRules.tiltOf(site, made.get()).orElseThrow() - was;
        return new Finding(PlaceCheck.TURNED, "Off the mark, tilt", deviation(off, MISS_ANGLE),
                measure(off, Dimension.ANGLE),
                limit,
                Math.abs(off) <= MISS_ANGLE
                        ? "As it was meant."
                        : "Not as it was meant; the tilt above is the one it has now.",
                null,
                "the clock position that shows the tilt read on the car as it stood, turned back to the car on its wheels",
                WELDED).asking(PlaceField.FITTED_READING.address());
    }

    private Finding airtight() {
        Boolean tight = fitted.airtight();
        return new Finding(PlaceCheck.TIGHT, "Airtight",
                tight == null ? Verdict.UNKNOWN : tight ? Verdict.PASS : Verdict.FAIL,
                null, null,
                tight == null
                        ? "Test it: soapy water on weld or gasket, a little pressure in the pipe."
                        : tight
                                ? "No bubble anywhere."
                                : "It leaks: air comes in and the reading is lean. Mend it first.",
                null, "said after the test", Source.practice("test airtight after fitting"))
                .asking(PlaceField.FITTED_TIGHT.address());
    }

    private static Verdict deviation(@Nullable Double off, double most) {
        return off == null ? Verdict.UNKNOWN : Math.abs(off) <= most ? Verdict.PASS : Verdict.WARN;
    }

    private static @Nullable Measure measure(@Nullable Double si, Dimension dimension) {
        return si == null ? null : new Measure(si, dimension, 0);
    }

    public Placing withCandidates(List<Candidate> value) {
        return new Placing(value, chosen, probe, bung, fitted);
    }

    /** Changes the candidate with this id; the others stay as they are. */
    public Placing withCandidate(String id, UnaryOperator<Candidate> change) {
        return withCandidates(candidates.stream().map(c -> c.id().equals(id) ? change.apply(c) : c).toList());
    }

    public Placing withChosen(@Nullable String value) {
        return new Placing(candidates, value, probe, bung, fitted);
    }

    public Placing withProbe(Probe value) {
        return new Placing(candidates, chosen, value, bung, fitted);
    }

    public Placing withBung(Bung value) {
        return new Placing(candidates, chosen, probe, value, fitted);
    }

    public Placing withFitted(AsFitted value) {
        return new Placing(candidates, chosen, probe, bung, value);
    }
}
