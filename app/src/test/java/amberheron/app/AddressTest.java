package amberheron.app;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.drivelog.LogField;
import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.freeair.AirField;
import amberheron.core.harness.HarnessField;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.core.parts.Property;
import amberheron.core.placement.Candidate;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.Placing;
import amberheron.core.plan.IntakeField;
import amberheron.core.scaling.ScaleField;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.PowerSource;
import amberheron.core.wiring.WireCheck;
import amberheron.core.wiring.WireField;
import amberheron.core.wiring.Wiring;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import org.junit.jupiter.api.Test;

/** A check names the values it waits for, and each of them has its field. */
class AddressTest extends WindowTest {
    private Set<Address> asked() {
        Set<Address> asked = new LinkedHashSet<>();
        for (Station station : Station.values()) {
            for (Finding f : session.review().findings(station)) {
                assertThat(f.verdict() == Verdict.UNKNOWN && f.asks().isEmpty()).as(f.check().key()).isFalse();
                // One part of a kind stands for its like.
                f.asks().stream().filter(a -> asked.stream().noneMatch(b -> b.property().equals(a.property())))
                        .forEach(asked::add);
            }
        }
        return asked;
    }

    private void eachIsBrought(Set<Address> asked) {
        for (Address address : asked) {
            // Brought at once: nothing has to be waited for.
            boolean there = Hands.onScreen(() -> {
                session.seek(address);
                return hands.find(n -> n.isFocused() && within(n, address.key())).isPresent();
            });
            assertThat(session.at().station()).as(address.key()).isEqualTo(Station.of(address));
            assertThat(there).as(address.key()).isTrue();
        }
    }

    private static boolean within(Node node, String id) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (id.equals(n.getId()) || (n.getId() != null && n.getId().startsWith(id + "."))) {
                return true;
            }
        }
        return false;
    }

    /** Whatever a check of the demo's jobs is worked out from can be looked at again. */
    @Test
    void everyValueOfAJobIsBroughtWhereItIsEntered() {
        find("job SB-016");
        eachIsBrought(asked());
    }

    /** A job begun and left half done waits for values that can all be entered. */
    @Test
    void everyValueThatIsMissingIsBrought() {
        find("job SB-015");
        hands.interact(() -> session.edit("bare", j -> j.withIntake(j.intake().withDisplacement(null)
                .withExhaust(j.intake().exhaust().withNeighbours(List.of())))
                .withPlacing(Placing.NONE.withCandidates(List.of(Candidate.named("Q"))).withChosen("Q"))
                .withWiring(Wiring.UNMEASURED.withSources(List.of(PowerSource.named("K")))
                        .withTaken("K"))));
        Set<Address> asked = asked();
        assertThat(asked).extracting(Address::key).contains("plan.displacement", "place.Q.distance", "place.Q.clock",
                "wire.K.cranking", "place.neighbour.add", "wire.school", "wire.heater");
        eachIsBrought(asked);
    }

    /** What waits for a place or a source leads to where one is added. */
    @Test
    void whatWaitsForAPlaceOrASourceLeadsToOne() {
        find("job SB-015");
        hands.interact(() -> session.edit("bare", j -> j.withPlacing(Placing.NONE).withWiring(j.wiring().withHeater(
                HeaterTiming.OPEN.withSchool(HeaterTiming.HeaterSchool.WITH_IGNITION)))));
        Set<Address> asked = session.review().findings(Station.WIRE).stream()
                .filter(f -> f.check().is(WireCheck.HEATER)).map(f -> f.asks().getFirst())
                .collect(Collectors.toSet());
        assertThat(asked).extracting(Address::key).containsExactly("place.add");
        eachIsBrought(asked);
        hands.interact(() -> session.edit("no source", j -> j.withWiring(j.wiring().withSources(List.of())
                .withTaken(null))));
        eachIsBrought(Set.of(WireField.SOURCES.address()));
    }

    /** No two values share an address, so no draft can land in another's field. */
    @Test
    void everyPropertyHasAStationAndAPathOfItsOwn() {
        List<Property> all = Stream.<Property[]>of(PlaceField.values(), WireField.values(), KeyState.values(),
                HarnessField.values(), AirField.values(), ScaleField.values(), LogField.values(), IntakeField.values())
                .flatMap(Arrays::stream).toList();
        assertThat(all).extracting(Property::path).doesNotHaveDuplicates();
        assertThat(all).allSatisfy(p -> assertThat(Station.of(p.of("1")).title()).isNotEmpty());
    }
}
