package amberheron.core.placement;

import amberheron.core.finding.Verdict;
import amberheron.core.placement.PlaceSchools.BankSchool;
import amberheron.core.placement.PlaceSchools.CatalystSchool;
import amberheron.core.placement.Segment.Kind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * How the places considered stand against each other.
 *
 * @param places each with its worst verdict, as entered
 * @param found the best place of every line of pipes that has one
 * @param schools each school that bears on this exhaust with the letter it would take, or none; the other schools as the
 *        shop has them
 */
public record PlaceRanking(List<Judged> places, List<Candidate> found, Map<String, String> schools) {
    /** A place and its worst verdict. */
    public record Judged(Candidate place, Verdict verdict) {
    }

    public PlaceRanking {
        places = List.copyOf(places);
        found = List.copyOf(found);
    }

    /** Judges all of them; the search included, which takes some milliseconds. */
    public static PlaceRanking of(Site site, List<Candidate> candidates) {
        return new PlaceRanking(
                candidates.stream().map(c -> new Judged(c, PlaceRules.verdict(site, c))).toList(),
                site.exhaust().lines().stream().flatMap(l -> PlaceSearch.best(site, l).stream()).toList(),
                schools(site, candidates));
    }

    /** What each school would take, in the order the schools are listed. */
    public static Map<String, String> schools(Site site, List<Candidate> candidates) {
        PlaceSchools held = site.schools();
        Map<String, String> takes = new LinkedHashMap<>();
        for (TiltSchool school : TiltSchool.values()) {
            takes.put(school.words(), taken(site, held.withTilt(school), candidates));
        }
        if (site.exhaust().catalyst().filter(k -> k == Kind.STRAIGHT_THROUGH).isPresent()) {
            for (CatalystSchool school : CatalystSchool.values()) {
                takes.put(school.words(), taken(site, held.withCatalyst(school), candidates));
            }
        }
        if (site.banks() > 1) {
            for (BankSchool school : BankSchool.values()) {
                takes.put(school.words(), taken(site, held.withBank(school), candidates));
            }
        }
        return takes;
    }

    /** Whether the shop holds with a school. */
    public static boolean held(PlaceSchools schools, String school) {
        return List.of(schools.tilt().words(), schools.catalyst().words(), schools.bank().words()).contains(school);
    }

    private static String taken(Site site, PlaceSchools schools, List<Candidate> candidates) {
        return PlaceRules.choice(site.withSchools(schools), candidates).map(c -> Objects.requireNonNull(c.id()))
                .orElse("none");
    }
}
