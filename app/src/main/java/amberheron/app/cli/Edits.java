package amberheron.app.cli;

import amberheron.core.job.Job;
import amberheron.core.job.Station;
import amberheron.core.scaling.CheckPoint;
import java.util.List;
import java.util.function.BiFunction;

/** An entry at each station, different on every frame, for the benchmark. */
final class Edits {
    /** An edit for each station that is typed into. */
    static final List<Edit> STATIONS = List.of(
            new Edit(Station.PLAN, (j, n) -> j.withIntake(j.intake().withVehicle("van " + n))),
            new Edit(Station.PLACE, (j, n) -> j.withPlacing(j.placing().withCandidate("A",
                    c -> c.withDistance(0.5 + 0.001 * n)))),
            new Edit(Station.WIRE, (j, n) -> j.withWiring(j.wiring().withFuse(3.5 + 0.01 * n))),
            new Edit(Station.AIR,
                    (j, n) -> j.withAir(j.air().withToday(j.air().today().withTemperature(280 + 0.1 * n)))),
            new Edit(Station.SCALE, (j, n) -> j.withPoints(List.of(new CheckPoint(1.0, null, 12.1 + 0.001 * n, ""),
                    new CheckPoint(4.0, null, 18.1, "")))),
            new Edit(Station.HAND_OVER, (j, n) -> j.withHandOver(new Job.HandOver("left " + n, null))));

    private Edits() {
    }

    /** An entry. */
    record Edit(Station station, BiFunction<Job, Integer, Job> change) {
    }
}
