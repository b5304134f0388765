package amberheron.core.placement;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Kind;
import amberheron.core.placement.Segment.Line;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Ranking of the places considered, the choice of each school, and the result of a search of every line of pipes. The site
 * is immutable; each part is computed when first asked for and then kept. Safe for several threads.
 */
public final class PlaceRanking {
    private final Site site;
    private final List<Candidate> places;
    private final Map<Candidate, List<Finding>> judged;
    private final Map<Line, Searched> searched;
    private @Nullable Map<String, String> schools;

    /** A place and its worst verdict. */
    public record Judged(Candidate place, Verdict verdict) {
    }

    /** Every place of a line judged, and the best of them; empty where something is not measured, or every place fails. */
    public record Searched(Optional<PlaceSearch.Band> band, Optional<Candidate> best) {
    }

    private PlaceRanking(Site site, List<Candidate> places, Map<Line, Searched> searched) {
        this.site = site;
        this.places = List.copyOf(places);
        this.searched = searched;
        this.judged = places.stream().distinct()
                .collect(Collectors.toMap(Function.identity(), c -> PlaceRules.judge(site, c)));
    }

    /**
     * Judges the places considered.
     *
     * @param before an earlier ranking, whose search is taken over where the site is the same; null for none
     */
    public static PlaceRanking of(Site site, List<Candidate> places, @Nullable PlaceRanking before) {
        return before != null && before.site.equals(site)
                ? before.places.equals(places) ? before : new PlaceRanking(site, places, before.searched)
                : new PlaceRanking(site, places, new HashMap<>());
    }

    /** Returns the site by which the places are judged. */
    public Site site() {
        return site;
    }

    /** Each place with its worst verdict, as entered. */
    public List<Judged> places() {
        return places.stream()
                .map(c -> new Judged(c, Verdict.worst(findings(c).stream().map(Finding::verdict).toList()))).toList();
    }

    /** Returns the findings of any place, also of one that is not among those considered. */
    public List<Finding> findings(Candidate place) {
        List<Finding> known = judged.get(place);
        return known == null ? PlaceRules.judge(site, place) : known;
    }

    /** The place the shop's schools would take. */
    public Optional<Candidate> choice() {
        return PlaceRules.choice(site, places);
    }

    /** A line of pipes, searched. */
    public Searched search(Line line) {
        // Shared with the ranking it was taken over from.
        synchronized (searched) {
            return searched.computeIfAbsent(line, l -> {
                Optional<PlaceSearch.Band> band = PlaceSearch.band(site, l);
                return new Searched(band, band.flatMap(b -> PlaceSearch.best(site, l, b)));
            });
        }
    }

    /** The best place of every line of pipes that has one. */
    public List<Candidate> found() {
        return site.exhaust().lines().stream().flatMap(l -> search(l).best().stream()).toList();
    }

    /** Computes everything that is otherwise computed when first asked for. */
    public void workOut() {
        schools();
        site.exhaust().lines().forEach(this::search);
    }

    /**
     * Each school that bears on this exhaust with the letter it would take, or none; the other schools as the shop has
     * them. In the order the schools are listed.
     */
    public synchronized Map<String, String> schools() {
        Map<String, String> known = schools;
        if (known != null) {
            return known;
        }
        PlaceSchools held = site.schools();
        Map<String, String> takes = new LinkedHashMap<>();
        for (TiltSchool school : TiltSchool.values()) {
            takes.put(school.words(), taken(held.withTilt(school)));
        }
        if (site.exhaust().catalyst().filter(k -> k == Kind.STRAIGHT_THROUGH).isPresent()) {
            for (CatalystSchool school : CatalystSchool.values()) {
                takes.put(school.words(), taken(held.withCatalyst(school)));
            }
        }
        if (site.banks() > 1) {
            for (BankSchool school : BankSchool.values()) {
                takes.put(school.words(), taken(held.withBank(school)));
            }
        }
        schools = takes;
        return takes;
    }

    /** Whether the shop holds with a school. */
    public boolean held(String school) {
        PlaceSchools schools = site.schools();
        return List.of(schools.tilt().words(), schools.catalyst().words(), schools.bank().words()).contains(school);
    }

    private String taken(PlaceSchools other) {
        return PlaceRules.choice(site.withSchools(other), places).map(c -> Objects.requireNonNull(c.letter()))
                .orElse(say("none"));
    }
}
