package amberheron.app.session;

import static amberheron.core.finding.Message.plain;

import amberheron.app.session.Advice.Action;
import amberheron.core.finding.Message;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import java.util.Arrays;

/**
 * Where to go on when all is done at a station: to the first other one, in working order, that is not finished; to the
 * hand-over when every other is.
 *
 * @param next what is done there, one sentence
 */
public record Onward(Message next, Action action) {
    /** Onward from the station shown. */
    public static Onward from(Session session) {
        Station to = Arrays.stream(Station.values()).filter(s -> s != session.station())
                .filter(s -> waits(session, s)).findFirst().orElse(Station.HAND_OVER);
        return new Onward(plain(switch (to) {
            case PLAN -> "Enter the rest of the intake.";
            case PLACE -> "Find the place next.";
            case WIRE -> "Wire it next.";
            case AIR -> "Calibrate in free air next.";
            case SCALE -> "Scale the reader next.";
            case PROVE -> "Prove it on the road.";
            case HAND_OVER -> "Write the sheet.";
        }), Action.go(session, to));
    }

    /** What lies is shown wherever one is; one goes back for what is unfinished. */
    private static boolean waits(Session session, Station station) {
        LinkState state = session.review().state(station);
        return state != LinkState.PROVEN
                && (state != LinkState.OUT_OF_TOLERANCE || station.compareTo(session.station()) > 0);
    }
}
