package amberheron.app.wiring;

import amberheron.app.session.LeafId;
import amberheron.core.finding.CheckId;
import amberheron.core.harness.HarnessCheck;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.WireCheck;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** Which checks stand on which leaf of the Wire station. */
final class LeafChecks {
    private static final Map<LeafId, Predicate<CheckId>> CHECKS = Map.of(
            LeafId.WIRE_POWER, id -> id instanceof KeyState || id == WireCheck.HOST,
            LeafId.WIRE_FEED, Set.of(WireCheck.FUSE, WireCheck.FEED, WireCheck.DRAIN)::contains,
            LeafId.WIRE_GROUNDS, Set.of(WireCheck.GROUND, WireCheck.RIPPLE)::contains,
            LeafId.WIRE_HEATER, id -> id == WireCheck.HEATER,
            LeafId.WIRE_SIGNAL,
            Set.of(WireCheck.SIGNAL_FORM, WireCheck.SIGNAL_OVER, WireCheck.SIGNAL_LOAD)::contains,
            LeafId.WIRE_CHART,
            EnumSet.range(HarnessCheck.CHART_COMPLETE, HarnessCheck.CHART_CONTINUITY)::contains,
            LeafId.WIRE_ROUTE, EnumSet.range(HarnessCheck.ROUTE_LENGTH, HarnessCheck.ROUTE_SPRAY)::contains,
            LeafId.WIRE_JOINTS, EnumSet.of(HarnessCheck.JOINT_STEPS, HarnessCheck.JOINT_PULL,
                    HarnessCheck.JOINT_DROP)::contains,
            LeafId.WIRE_WIRED, EnumSet.of(HarnessCheck.WIRED_DROP, HarnessCheck.CHART_CONTINUITY)::contains);

    private LeafChecks() {
    }

    /** Whether a check stands on a leaf. */
    static boolean hold(LeafId leaf, CheckId check) {
        return CHECKS.getOrDefault(leaf, id -> false).test(check);
    }
}
