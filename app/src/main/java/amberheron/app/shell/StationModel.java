package amberheron.app.shell;

/** What a station says about itself, computed without a toolkit. */
public interface StationModel {
    /** What the station answers, under its title. */
    String subtitle();

    /** Its one telling figure on the signal path; empty when there is none yet. */
    String figure(Session session);

    /** The reasons column. */
    Advice advice(Session session);
}
