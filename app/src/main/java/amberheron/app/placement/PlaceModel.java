package amberheron.app.placement;

import amberheron.app.shell.Advice;
import amberheron.app.shell.Advice.Action;
import amberheron.app.shell.Figures;
import amberheron.app.shell.Session;
import amberheron.app.shell.StationModel;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.PlaceRules;
import amberheron.core.placement.TiltSchool;
import amberheron.core.plan.Intake.Fit;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the Place station says. */
public final class PlaceModel implements StationModel {
    private static final TiltSchool OURS = TiltSchool.FROM_TEN_DEGREES;

    @Override
    public String subtitle() {
        return "Where the sensor sees true gas and stays dry";
    }

    @Override
    public String figure(Session session) {
        Job job = session.job();
        Optional<Candidate> chosen = job.chosenPlace();
        if (chosen.isEmpty()) {
            return job.candidates().isEmpty() ? "" : job.candidates().size() + " considered, none taken";
        }
        Candidate c = chosen.get();
        List<String> parts = new ArrayList<>();
        Double distance = c.distance();
        if (distance != null) {
            parts.add(Figures.length(session, distance) + (job.intake().exhaust().turbine() ? " past turbine" : " on"));
        }
        PlaceRules.tiltOf(job.intake().exhaust(), c).ifPresent(t -> parts.add(tilt(session, t)));
        return c.id() + (parts.isEmpty() ? "" : ": " + String.join(" · ", parts));
    }

    static String tilt(Session session, double radians) {
        return Figures.text(session, new Measure(Math.abs(radians), Dimension.ANGLE, 0))
                + (radians >= 0 ? " up" : " down");
    }

    /** The candidate looked at. */
    static Optional<Candidate> looked(Session session) {
        return session.place().flatMap(
                id -> session.job().candidates().stream().filter(c -> c.id().equals(id)).findFirst());
    }

    /** The name of a field of the candidate looked at; each candidate has its own. */
    static String field(Session session, String field) {
        return "place." + session.place().orElse("") + "." + field;
    }

    /** How the candidate looked at stands against the rules. */
    static List<Finding> findings(Session session) {
        return looked(session).map(c -> PlaceRules.judge(session.job().intake().exhaust(), c)).orElse(List.of());
    }

    /** Adds a candidate under the next letter and looks at it. */
    void add(Session session) {
        List<String> taken = session.job().candidates().stream().map(Candidate::id).toList();
        String id = "ABCDEFGHIJKLMNOPQRSTUVWXYZ".chars().mapToObj(c -> String.valueOf((char) c))
                .filter(c -> !taken.contains(c)).findFirst().orElse("Z" + taken.size());
        session.edit("place " + id + " added", j -> {
            List<Candidate> more = new ArrayList<>(j.candidates());
            more.add(new Candidate(id, "", null, null, 0, 0));
            return j.withCandidates(more);
        });
        session.look(id);
    }

    void take(Session session, String id) {
        session.edit("place " + id + " taken", j -> j.withChosen(id));
    }

    void remove(Session session, String id) {
        session.edit("place " + id + " removed",
                j -> j.withCandidates(j.candidates().stream().filter(c -> !c.id().equals(id)).toList())
                        .withChosen(id.equals(j.chosen()) ? null : j.chosen()));
    }

    @Override
    public Advice advice(Session session) {
        Job job = session.job();
        Exhaust exhaust = job.intake().exhaust();
        String parted = parted(job);
        String caution = caution(job);
        List<Finding> findings = findings(session);
        var checked = Advice.sources(findings);
        if (job.candidates().isEmpty()) {
            return new Advice("Name a place where the bung could go.", new Action("Add a place", () -> add(session)),
                    "Look for a hole that is there before cutting a new one: a spare plugged bung, or the second sensor's place.",
                    parted, checked, caution);
        }
        Candidate looked = looked(session).orElseThrow();
        Optional<Finding> open = findings.stream().filter(f -> f.verdict() == Verdict.UNKNOWN).findFirst();
        if (open.isPresent()) {
            String field = switch (open.get().id()) {
                case "tilt" -> field(session, "clock");
                case "catalyst" -> looked.distance() == null ? field(session, "distance") : "place.catalyst";
                default -> field(session, "distance");
            };
            return new Advice(looked.id() + ": " + open.get().consequence(),
                    new Action("Enter it", () -> session.focus(field)),
                    "Until it is measured the place is neither good nor bad.", parted, checked, caution);
        }
        Optional<Candidate> best = PlaceRules.choice(exhaust, job.candidates(), OURS);
        if (best.isEmpty()) {
            Finding worst = Figures.worst(findings).orElseThrow();
            return new Advice("Find another place: none so far keeps the rules.",
                    new Action("Add a place", () -> add(session)), looked.id() + ": " + worst.consequence(), parted,
                    checked, caution);
        }
        Optional<Candidate> chosen = job.chosenPlace();
        boolean sound = chosen.isPresent() && PlaceRules.verdict(exhaust, chosen.get()) != Verdict.FAIL;
        if (!sound) {
            String id = best.get().id();
            return new Advice("Take " + id + ".", new Action("Take " + id, () -> {
                session.look(id);
                take(session, id);
            }), why(session, best.get()), parted, checked, caution);
        }
        return new Advice("Mark " + chosen.get().id() + " on the pipe, then wire.",
                new Action("Go to Wire", () -> session.go(Station.WIRE)), why(session, chosen.get()), parted, checked,
                caution);
    }

    /** Why this one and not the others, in a few words each. */
    private static String why(Session session, Candidate best) {
        Exhaust exhaust = session.job().intake().exhaust();
        String others = session.job().candidates().stream().filter(c -> !c.id().equals(best.id()))
                .map(c -> Figures.worst(PlaceRules.judge(exhaust, c))
                        .map(f -> c.id() + ": " + f.consequence()).orElse(c.id() + " would do as well."))
                .collect(Collectors.joining(" "));
        String own = Figures.worst(PlaceRules.judge(exhaust, best))
                .map(f -> best.id() + " is usable: " + f.consequence()).orElse(best.id() + " keeps every rule.");
        return own + (others.isEmpty() ? "" : " " + others);
    }

    private static String parted(Job job) {
        String choices = Arrays.stream(TiltSchool.values())
                .map(s -> "“" + s.words() + "” takes "
                        + PlaceRules.choice(job.intake().exhaust(), job.candidates(), s).map(Candidate::id)
                                .orElse("none")
                        + (s == OURS ? " (ours)" : ""))
                .collect(Collectors.joining("; "));
        return choices
                + ". Ours is the widest: what any school takes, it takes too, so no usable place is refused.";
    }

    private static String caution(Job job) {
        return "Car on stands on level ground, never only the jack. Eyes covered when drilling overhead."
                + (job.intake().fit() == Fit.WELD_IN
                        ? " Sensor out of the bung while it is welded; battery negative off; shield fuel lines, keep a fire watch."
                        : "");
    }
}
