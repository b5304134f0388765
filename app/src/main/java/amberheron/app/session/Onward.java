package amberheron.app.session;

import static amberheron.core.finding.Message.plain;

import amberheron.app.session.Advice.Action;
import amberheron.core.finding.Message;
import amberheron.core.job.JobCheck;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import java.util.Arrays;

/**
 * The way on when all is done at a station: to the first other one, in working order, that is not finished; to the
 * hand-over when every other is.
 *
 * @param next what is done there, one sentence
 */
public record Onward(Message next, Action action) {
    /** Onward from the station shown. */
    public static Onward from(Session session) {
        Station to = Arrays.stream(Station.values()).filter(s -> s != session.at().station())
                .filter(s -> waits(session, s)).findFirst()
                .orElse(session.at().station() == Station.PLAN || session.review().state(Station.PLAN).done()
                        ? Station.HAND_OVER
                        : Station.PLAN);
        return new Onward(plain(switch (to) {
            case PLAN -> session.review().planned() ? "Tick the steps that are left." : "Enter the rest of the intake.";
            case PLACE -> "Find the place next.";
            case WIRE -> "Wire it next.";
            case AIR -> "Calibrate in free air next.";
            case SCALE -> "Scale the reader next.";
            case PROVE -> "Prove it on the road.";
            case HAND_OVER -> "Write the sheet.";
        }), Action.go(session, to));
    }

    /** A link that lies is shown wherever one is; one goes back for what is unfinished. */
    private static boolean waits(Session session, Station station) {
        LinkState state = session.review().state(station);
        // Steps that are left are done at the other stations.
        boolean planned = station == Station.PLAN && session.review().planned();
        // How it was fitted is measured when it stays there.
        boolean placed = station == Station.PLACE && !session.review().state(Station.WIRE).done()
                && session.review().because(station).stream().allMatch(c -> c.is(JobCheck.AS_FITTED));
        return !state.done() && !planned && !placed
                && (state != LinkState.OUT_OF_TOLERANCE || station.compareTo(session.at().station()) > 0);
    }
}
