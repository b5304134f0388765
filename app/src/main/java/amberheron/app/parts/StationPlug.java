package amberheron.app.parts;

import amberheron.app.session.LeafId;
import amberheron.app.session.Session;
import amberheron.app.session.StationModel;
import amberheron.core.job.Station;
import java.util.List;
import java.util.function.BiFunction;

/**
 * All that a station brings to the window, so that it is listed in one place only.
 *
 * @param view makes the screen; called when the station is first shown
 * @param pictures the views that are kept as pictures
 */
public record StationPlug<M extends StationModel>(Station station, M model, BiFunction<Session, M, StationView> view,
        List<Picture> pictures) {
    /**
     * A view of a demo job.
     *
     * @param name of the picture's file, without its ending
     * @param job number of the demo job
     * @param leaf which of its leaves
     */
    public record Picture(String name, String job, LeafId leaf) {
    }

    public StationPlug {
        pictures = List.copyOf(pictures);
    }

    /** The station's screen on a session. */
    public StationView open(Session session) {
        return view.apply(session, model);
    }
}
