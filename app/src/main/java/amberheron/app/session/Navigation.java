package amberheron.app.session;

import amberheron.core.finding.Check;
import amberheron.core.job.Job;
import amberheron.core.job.Station;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where the person is and what is looked at; nothing of it is kept with the job. */
public final class Navigation {
    private static final double FIRST_CURSOR = 0.9;

    private final Host host;
    private View view = View.JOBS;
    private Station station = Station.PLAN;
    private double cursor = FIRST_CURSOR;
    private final Map<Station, LeafId> leaves = new EnumMap<>(Station.class);
    private @Nullable Check asked;
    private @Nullable String place;

    /** View that fills the middle of the window. */
    public enum View {
        JOBS,
        STATION
    }

    /** Whom a move concerns. */
    interface Host {
        void changed();

        void cursorMoved();

        boolean isOpen();

        Job job();
    }

    Navigation(Host host) {
        this.host = host;
    }

    /** Goes to where a job just opened was left, else to the first station. */
    void begin(Optional<Whereabouts.Spot> before) {
        view = View.STATION;
        station = before.map(Whereabouts.Spot::station).orElse(Station.PLAN);
        leaves.clear();
        before.map(Whereabouts.Spot::leaf).ifPresent(leaf -> leaves.put(station, leaf));
        cursor = FIRST_CURSOR;
        asked = null;
        place = null;
    }

    /** Leaves the stations, since no job is open any more. */
    void leaveJob() {
        view = View.JOBS;
    }

    /** The view that fills the middle. */
    public View view() {
        return view;
    }

    /** Shows the list of jobs. */
    public void showJobs() {
        view = View.JOBS;
        host.changed();
    }

    /** The station shown. */
    public Station station() {
        return station;
    }

    /** Goes to a station, where a job is open. */
    public void go(Station to) {
        if (host.isOpen()) {
            view = View.STATION;
            station = to;
            asked = null;
            host.changed();
        }
    }

    /** The leaf shown at this station; empty before one was, or where it is one leaf. */
    public Optional<LeafId> leaf() {
        return Optional.ofNullable(leaves.get(station));
    }

    /** Notes that a leaf of this station is shown now. */
    public void leaf(LeafId shown) {
        if (shown != leaves.get(station)) {
            leaves.put(station, shown);
            host.changed();
        }
    }

    /** The check whose working was asked for; null when none was. */
    public @Nullable Check asked() {
        return asked;
    }

    /** Asks why a figure is what it is; asking again puts the answer away. */
    public void ask(Check check) {
        asked = check.equals(asked) ? null : check;
        host.changed();
    }

    /** Id of the candidate looked at; the chosen one, else the first, until another is picked. */
    public Optional<String> place() {
        List<String> ids = host.job().candidates().stream().map(c -> c.id()).toList();
        return place != null && ids.contains(place)
                ? Optional.of(place)
                : host.job().chosenPlace().map(c -> c.id()).or(() -> ids.stream().findFirst());
    }

    /** Looks at a candidate. */
    public void look(String candidate) {
        place = candidate;
        host.changed();
    }

    /** The mixture under the rule's cursor, lambda. */
    public double cursor() {
        return cursor;
    }

    /** Moves the rule's cursor; to a number that is none it does not move. */
    public void cursor(double lambda) {
        if (Double.isFinite(lambda)) {
            cursor = lambda;
            host.cursorMoved();
        }
    }
}
