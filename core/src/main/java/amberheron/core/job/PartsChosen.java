package amberheron.core.job;

import static amberheron.core.units.UnitChoice.plain;

import amberheron.core.harness.Joints;
import amberheron.core.harness.Route;
import amberheron.core.plan.Step.Item;
import amberheron.core.plan.Step.Item.Kind;
import amberheron.core.plan.StepId;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Wiring;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Parts that the choices at the wiring call for, by step; a step that nothing was chosen for keeps the usual, one that a
 * plug-in kit has done has none and is dropped.
 */
final class PartsChosen {
    private PartsChosen() {
    }

    static Map<StepId, List<Item>> of(Wiring wiring) {
        Map<StepId, List<Item>> chosen = new EnumMap<>(StepId.class);
        HeaterTiming.HeaterSchool heater = wiring.heater().school();
        Double fuse = wiring.fuse();
        if (heater != null || wiring.feed().relay() || fuse != null) {
            List<Item> items = new ArrayList<>();
            items.add(
                    wiring.feed().relay()
                            ? Item.of(Kind.PART, "fuse holder for the battery")
                            : Item.of(Kind.PART, "fuse tap"));
            items.add(fuse == null ? Item.of(Kind.PART, "fuse 5 A") : Item.of(Kind.PART, "fuse %s A", plain(fuse)));
            if (heater != null) {
                heater.parts().forEach(p -> items.add(new Item(p, Kind.PART)));
            }
            boolean relay = items.stream().anyMatch(i -> i.name().contains("relay"));
            if (wiring.feed().relay() && !relay) {
                items.add(Item.of(Kind.PART, "relay with its socket"));
            }
            chosen.put(StepId.FEED, List.copyOf(items));
        }
        Joints.JointSchool joints = wiring.harness().joints().school();
        if (joints != null) {
            chosen.put(StepId.SPLICE, switch (joints) {
                case SOLDERED -> List.of(Item.of(Kind.CONSUMABLE, "heat-shrink and solder"),
                        Item.of(Kind.TOOL, "soldering iron"));
                case CRIMPED -> List.of(Item.of(Kind.CONSUMABLE, "crimp terminals with seals"),
                        Item.of(Kind.TOOL, "crimper with the terminals' die"));
                case PLUGGED -> List.of();
            });
            if (joints == Joints.JointSchool.PLUGGED) {
                // The kit brings its ground with it, and its feed where no relay takes another.
                if (!wiring.feed().relay()) {
                    chosen.put(StepId.FEED, List.of());
                }
                chosen.put(StepId.GROUND, List.of());
                chosen.put(StepId.CONNECT, List.of(Item.of(Kind.PART, "plug-in kit for this car")));
            }
        }
        Route route = wiring.harness().route();
        if (route.firewall().passage() != null || route.lengths().extension() != null) {
            List<Item> items = new ArrayList<>();
            Double extension = route.lengths().extension();
            if (extension == null || extension > 0) {
                items.add(Item.of(Kind.PART, "extension harness %s m", plain(extension == null ? 2.4 : extension)));
            }
            if (route.firewall().passage() == null || route.firewall().passage() == Route.Passage.GROMMET) {
                items.add(Item.of(Kind.PART, "grommet"));
            }
            chosen.put(StepId.RUN, List.copyOf(items));
        }
        return Map.copyOf(chosen);
    }
}
