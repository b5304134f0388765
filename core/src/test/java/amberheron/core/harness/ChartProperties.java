package amberheron.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Verdict;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.WireColour.Hue;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jspecify.annotations.Nullable;

/** What holds for any chart and any route. */
class ChartProperties {
    private static final List<Device> FROM = List.of(Device.SENSOR, Device.CONTROLLER, Device.DISPLAY);
    private static final List<Device> TO = List.of(Device.LOGGER, Device.ECU, Device.GAUGE, Device.POWER,
            Device.CHASSIS);

    private static <T> T any(Random random, List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private static @Nullable WireColour colour(Random random) {
        // Few colours, so that wires often look alike.
        return random.nextInt(4) == 0
                ? null
                : new WireColour(any(random, List.of(Hue.WHITE, Hue.BLACK, Hue.RED)),
                        random.nextBoolean() ? null : Hue.BLUE);
    }

    private static Chart chart(Random random) {
        Chart chart = Chart.EMPTY;
        for (int i = random.nextInt(14); i > 0; i--) {
            chart = chart.plus(Wire.tagged("new").withFrom(any(random, FROM)).withColour(colour(random))
                    .withExtension(colour(random)).withWork(any(random, List.of(Work.values())))
                    .withTo(random.nextInt(4) == 0 ? null : any(random, TO))
                    .withToPin(random.nextBoolean() ? "" : String.valueOf(random.nextInt(4)))
                    .withToldApart(random.nextBoolean()));
        }
        return chart;
    }

    /** By comparing every pair: two look alike when they leave the same thing in one colour, or share one in the extension. */
    private static Set<String> doubtfulByPairs(Chart chart) {
        Set<String> doubtful = new HashSet<>();
        for (Wire a : chart.wires()) {
            for (Wire b : chart.wires()) {
                boolean ends = a.from() == b.from() && a.colour() != null && a.colour().equals(b.colour());
                boolean extension = a.extension() != null && a.extension().equals(b.extension());
                if (!a.tag().equals(b.tag()) && (ends || extension) && !a.toldApart()) {
                    doubtful.add(a.tag());
                }
            }
        }
        return doubtful;
    }

    @Property(tries = 500)
    void twinsAreThosePairsSayTheyAre(@ForAll long seed) {
        Chart chart = chart(new Random(seed));
        Set<String> found = new HashSet<>();
        chart.wires().stream().filter(chart::doubtful).forEach(w -> found.add(w.tag()));
        assertThat(found).isEqualTo(doubtfulByPairs(chart));
        boolean clean = ChartRules.judge(chart, List.of(), List.of(), new HarnessRules.Heater(1.2, 2.5, null)).stream()
                .filter(f -> f.check().key().equals("chart.twins"))
                .allMatch(f -> f.verdict() == Verdict.PASS);
        assertThat(clean).isEqualTo(found.isEmpty());
    }

    @Property(tries = 300)
    void aClashIsTwoSignalsOnOnePin(@ForAll long seed) {
        Chart chart = chart(new Random(seed));
        Set<String> clashing = new HashSet<>();
        for (Wire a : chart.wires()) {
            List<Wire> same = chart.wires().stream()
                    .filter(b -> a.to() != null && a.to() == b.to() && !a.toPin().isEmpty()
                            && a.toPin().equals(b.toPin()))
                    .toList();
            boolean signal = same.stream().anyMatch(b -> !Objects.requireNonNull(b.work()).ground());
            if (same.size() > 1 && signal && !Objects.requireNonNull(a.to()).shared()) {
                clashing.add(a.tag());
            }
        }
        Set<String> found = new HashSet<>();
        chart.clashes().forEach(c -> c.wires().forEach(w -> found.add(w.tag())));
        assertThat(found).isEqualTo(clashing);
    }

    /** Tags stay unique whatever is added, changed and left out, and nothing else of the chart moves. */
    @Property(tries = 200)
    void aChangeOfOneWireLeavesTheOthers(@ForAll long seed) {
        Random random = new Random(seed);
        Chart chart = chart(random).plus(Wire.tagged("last"));
        Wire changed = any(random, chart.wires());
        Chart after = chart.with(changed.id(), w -> w.withFromPin("77").withOhms(0.5));
        assertThat(after.wires()).hasSameSizeAs(chart.wires());
        for (Wire w : chart.wires()) {
            Wire now = after.wire(w.id()).orElseThrow();
            assertThat(now).isEqualTo(w.tag().equals(changed.tag()) ? w.withFromPin("77").withOhms(0.5) : w);
        }
        Chart without = after.without(changed.id());
        assertThat(without.wire(changed.id())).isEmpty();
        assertThat(without.plus(Wire.tagged("x")).wires()).extracting(Wire::tag).doesNotHaveDuplicates();
    }

    private static Route route(Random random) {
        List<Waypoint> points = new ArrayList<>();
        for (int i = 1 + random.nextInt(6); i > 0; i--) {
            boolean sleeved = random.nextBoolean();
            points.add(new Waypoint("P" + i, 0.1 + random.nextDouble(), 0.02 + 0.3 * random.nextDouble(), sleeved,
                    0.02 + 0.2 * random.nextDouble(), random.nextBoolean() ? null : 0.01 + 0.1 * random.nextDouble()));
        }
        return Route.UNMEASURED.withPoints(points).withLengths(p -> p.withLead(0.4))
                .withLengths(p -> p.withExtension(2 * random.nextDouble()))
                .withLengths(p -> p.withSlackAtEngine(0.2)).withLengths(p -> p.withSlackAtDisplay(0.2));
    }

    private static Verdict verdict(Route route, String id) {
        return RouteRules.judge(route).stream().filter(f -> f.check().key().equals(id)).map(Finding::verdict)
                .findFirst()
                .orElseThrow();
    }

    /** The worst place decides, wherever on the way it is; a longer extension never hurts the length. */
    @Property(tries = 300)
    void oneBadPlaceFailsTheWholeRoute(@ForAll long seed) {
        Route route = route(new Random(seed));
        boolean hot = route.points().stream()
                .anyMatch(p -> Objects.requireNonNull(p.hot()) < (p.sleeved() ? 0.03 : 0.1) - 1e-9);
        boolean moving = route.points().stream().anyMatch(p -> Objects.requireNonNull(p.moving()) < 0.05 - 1e-9);
        assertThat(verdict(route, "route.hot")).isEqualTo(hot ? Verdict.FAIL : Verdict.PASS);
        assertThat(verdict(route, "route.moving")).isEqualTo(moving ? Verdict.FAIL : Verdict.PASS);
        double need = route.total().orElseThrow() + 0.4 - 0.4;
        boolean reaches = Objects.requireNonNull(route.lengths().extension()) + 1e-12 >= need;
        assertThat(verdict(route, "route.length")).isEqualTo(reaches ? Verdict.PASS : Verdict.FAIL);
        Route longer = route
                .withLengths(p -> p.withExtension(Objects.requireNonNull(route.lengths().extension()) + need));
        assertThat(verdict(longer, "route.length")).isEqualTo(Verdict.PASS);
        assertThat(longer.spare().orElseThrow() - route.spare().orElseThrow()).isCloseTo(need, within(1e-9));
    }

    /** A place on the strip stands where its share of the cable puts it. */
    @Property(tries = 200)
    void thePlacesOnTheStripAreToScale(@ForAll long seed) {
        Route route = route(new Random(seed));
        Chart chart = new Chart(List.of(Wire.of("1", Work.ANALOG, Device.CONTROLLER, Device.LOGGER)));
        Strip strip = Strip.of(Harness.NONE.withChart(chart).withRoute(route), 1000, 20, 100, 40);
        List<Double> along = route.distances().orElseThrow();
        assertThat(strip.marks()).hasSameSizeAs(along);
        for (int i = 0; i < along.size(); i++) {
            assertThat(strip.marks().get(i).x()).isCloseTo(50 + 900 * along.get(i) / along.getLast(), within(1e-9));
            assertThat(strip.marks().get(i).along()).isEqualTo(along.get(i));
        }
        assertThat(strip.lanes()).allMatch(l -> l.y() > 40);
    }
}
