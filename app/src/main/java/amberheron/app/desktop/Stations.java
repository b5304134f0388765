package amberheron.app.desktop;

import amberheron.app.drivelog.ProveModel;
import amberheron.app.drivelog.ProveView;
import amberheron.app.freeair.AirModel;
import amberheron.app.freeair.AirView;
import amberheron.app.handover.HandOverModel;
import amberheron.app.handover.HandOverView;
import amberheron.app.parts.StationPlug;
import amberheron.app.parts.StationPlug.Picture;
import amberheron.app.placement.PlaceModel;
import amberheron.app.placement.PlaceView;
import amberheron.app.plan.PlanModel;
import amberheron.app.plan.PlanView;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.scaling.ScaleView;
import amberheron.app.session.LeafId;
import amberheron.app.wiring.WireModel;
import amberheron.app.wiring.WireView;
import amberheron.core.job.Station;
import java.util.List;

/** The stations in working order: the one place where they are listed. */
public final class Stations {
    private Stations() {
    }

    /** Every station, made anew for one window. */
    public static List<StationPlug<?>> all() {
        return List.of(
                new StationPlug<>(Station.PLAN, new PlanModel(), PlanView::new,
                        List.of(new Picture("plan", "SB-015", LeafId.PLAN_STEPS))),
                new StationPlug<>(Station.PLACE, new PlaceModel(), PlaceView::new,
                        List.of(new Picture("place-mark-out", "SB-014", LeafId.PLACE_MARK),
                                new Picture("place", "SB-014", LeafId.PLACE_CHOOSE))),
                new StationPlug<>(Station.WIRE, new WireModel(), WireView::new,
                        List.of(new Picture("wire-power", "SB-014", LeafId.WIRE_POWER),
                                new Picture("wire", "SB-016", LeafId.WIRE_GROUNDS),
                                new Picture("wire-strip", "SB-016", LeafId.WIRE_STRIP))),
                new StationPlug<>(Station.AIR, new AirModel(), AirView::new,
                        List.of(new Picture("air-coach", "SB-015", LeafId.AIR_COACH),
                                new Picture("air-sensor", "SB-014", LeafId.AIR_SENSOR),
                                new Picture("air", "SB-014", LeafId.AIR_TODAY))),
                new StationPlug<>(Station.SCALE, new ScaleModel(), ScaleView::new,
                        List.of(new Picture("scale", "SB-016", LeafId.SCALE_CHECK),
                                new Picture("scale-display", "SB-016", LeafId.SCALE_DISPLAY))),
                new StationPlug<>(Station.PROVE, new ProveModel(), ProveView::new,
                        List.of(new Picture("prove", "SB-014", LeafId.PROVE_VERDICT),
                                new Picture("prove-drive", "SB-014", LeafId.PROVE_DRIVE),
                                new Picture("prove-trims", "SB-014", LeafId.PROVE_TRIMS))),
                new StationPlug<>(Station.HAND_OVER, new HandOverModel(), HandOverView::new,
                        List.of(new Picture("hand-over", "SB-014", LeafId.HAND_OVER_SHEET))));
    }
}
