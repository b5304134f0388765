package amberheron.app.shell;

import java.util.Map;

/** What a station says about itself, computed without a toolkit. */
public interface StationModel {
    /** What the station answers, under its title. */
    String subtitle();

    /** Its one telling figure on the signal path; empty when there is none yet. */
    String figure(Session session);

    /** The reasons column. */
    Advice advice(Session session);

    /** What its leaves show, in words to find them by, each with the leaf's id; none where the station is one leaf. */
    default Map<String, String> leaves() {
        return Map.of();
    }
}
