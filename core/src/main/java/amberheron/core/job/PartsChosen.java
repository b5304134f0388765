package amberheron.core.job;

import static amberheron.core.units.Phrase.say;
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

/** Parts that the choices at the wiring call for, by step; a step that nothing was chosen for keeps the usual. */
final class PartsChosen {
    private PartsChosen() {
    }

    static Map<StepId, List<Item>> of(Wiring wiring) {
        Map<StepId, List<Item>> chosen = new EnumMap<>(StepId.class);
        HeaterTiming.HeaterSchool heater = wiring.heater().school();
        Double fuse = wiring.fuse();
        if (heater != null || wiring.feed().relay() || fuse != null) {
            List<Item> items = new ArrayList<>();
            items.add(new Item(wiring.feed().relay() ? "fuse holder for the battery" : "fuse tap", Kind.PART));
            items.add(new Item(fuse == null ? "fuse 5 A" : say("fuse %s A", plain(fuse)), Kind.PART));
            if (heater != null) {
                heater.parts().forEach(p -> items.add(new Item(p, Kind.PART)));
            }
            boolean relay = items.stream().anyMatch(i -> i.name().contains("relay"));
            if (wiring.feed().relay() && !relay) {
                items.add(new Item("relay with its socket", Kind.PART));
            }
            chosen.put(StepId.FEED, List.copyOf(items));
        }
        Joints.JointSchool joints = wiring.harness().joints().school();
        if (joints != null) {
            chosen.put(StepId.SPLICE, switch (joints) {
                case SOLDERED -> List.of(new Item("heat-shrink and solder", Kind.CONSUMABLE),
                        new Item("soldering iron", Kind.TOOL));
                case CRIMPED -> List.of(new Item("crimp terminals with seals", Kind.CONSUMABLE),
                        new Item("crimper with the terminals' die", Kind.TOOL));
                case PLUGGED -> List.of(new Item("plug-in kit for this car", Kind.PART));
            });
        }
        Route route = wiring.harness().route();
        if (route.firewall().passage() != null || route.lengths().extension() != null) {
            List<Item> items = new ArrayList<>();
            Double extension = route.lengths().extension();
            if (extension == null || extension > 0) {
                items.add(new Item(say("extension harness %s m", plain(extension == null ? 2.4 : extension)),
                        Kind.PART));
            }
            if (route.firewall().passage() == null || route.firewall().passage() == Route.Passage.GROMMET) {
                items.add(new Item("grommet", Kind.PART));
            }
            chosen.put(StepId.RUN, List.copyOf(items));
        }
        return Map.copyOf(chosen);
    }
}
