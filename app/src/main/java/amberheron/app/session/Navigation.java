package amberheron.app.session;

import amberheron.core.finding.Check;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where the person is and what is looked at. */
final class Navigation {
    private static final double FIRST_CURSOR = 0.9;

    private Session.View view = Session.View.JOBS;
    private Station station = Station.PLAN;
    private double cursor = FIRST_CURSOR;
    private final Map<Station, String> leaves = new EnumMap<>(Station.class);
    private @Nullable Check asked;
    private @Nullable String place;

    /** At the first station of a job just opened. */
    void begin() {
        view = Session.View.STATION;
        station = Station.PLAN;
        cursor = FIRST_CURSOR;
        asked = null;
        place = null;
    }

    /** The leaf shown at the station; null before one was, or where it is one leaf. */
    @Nullable
    String leaf() {
        return leaves.get(station);
    }

    void leaf(String id) {
        leaves.put(station, id);
    }

    Session.View view() {
        return view;
    }

    Station station() {
        return station;
    }

    void jobs() {
        view = Session.View.JOBS;
    }

    void go(Station to) {
        view = Session.View.STATION;
        station = to;
        asked = null;
    }

    @Nullable
    Check asked() {
        return asked;
    }

    /** Asks about a check; asking again puts the answer away. */
    void ask(Check check) {
        asked = check.equals(asked) ? null : check;
    }

    Optional<String> place(Job job) {
        List<String> ids = job.candidates().stream().map(c -> c.id()).toList();
        return place != null && ids.contains(place)
                ? Optional.of(place)
                : job.chosenPlace().map(c -> c.id()).or(() -> ids.stream().findFirst());
    }

    void look(String candidate) {
        place = candidate;
    }

    double cursor() {
        return cursor;
    }

    void cursor(double lambda) {
        cursor = lambda;
    }
}
