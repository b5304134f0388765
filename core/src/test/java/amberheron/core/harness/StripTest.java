package amberheron.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Strip.Box;
import amberheron.core.harness.Strip.Lane;
import amberheron.core.harness.Strip.Mark;
import amberheron.core.harness.WireColour.Hue;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where each wire, box and mark of a harness laid flat stands, and what is written beside it. */
class StripTest {
    private static final WireColour PINK = WireColour.of(Hue.PINK);
    private static final WireColour GREY = WireColour.of(Hue.GREY);
    private static final double WIDTH = 1000;
    private static final double PITCH = 20;
    private static final double BOX = 100;
    private static final double HEAD = 40;
    /** Left edge of the boxes in the middle, and of those on the right. */
    private static final double MIDDLE = 0.48 * WIDTH - BOX / 2;
    private static final double RIGHT = WIDTH - BOX;

    private static final Wire PUMP = Wire.of("1", Work.PUMP, Device.SENSOR, Device.CONTROLLER).withColour(PINK);
    private static final Wire LOOSE = Wire.of("2", Work.TRIM, Device.SENSOR, null);
    private static final Wire ANALOG = Wire.of("3", Work.ANALOG, Device.CONTROLLER, Device.LOGGER);
    private static final Wire PULSES = Wire.of("4", Work.PULSES, Device.CONTROLLER, null);
    private static final Wire POWER = Wire.of("5", Work.POWER, Device.CONTROLLER, Device.POWER);

    private static Strip strip(List<Waypoint> points, Wire... wires) {
        return Strip.of(Harness.NONE.withChart(new Chart(List.of(wires)))
                .withRoute(Route.UNMEASURED.withPoints(points)), WIDTH, PITCH, BOX, HEAD);
    }

    private static Lane lane(Strip strip, Wire wire) {
        return strip.lanes().stream().filter(l -> l.wire().tag().equals(wire.tag())).findFirst().orElseThrow();
    }

    private static Box box(Strip strip, Device device) {
        return strip.boxes().stream().filter(b -> b.device() == device).findFirst().orElseThrow();
    }

    private static Waypoint point(String name, @Nullable Double length) {
        return Waypoint.named(name).withLength(length);
    }

    /** From the sensor's box to the controller's, one under the other; what goes nowhere ends half way. */
    @Test
    void theSensorsLeadGoesFromBoxToBox() {
        Strip strip = strip(List.of(), PUMP, LOOSE);
        Lane pump = lane(strip, PUMP);
        assertThat(pump.x1()).isEqualTo(BOX);
        assertThat(pump.x2()).isEqualTo(MIDDLE);
        assertThat(pump.y()).isEqualTo(PITCH - 0.3 * PITCH);
        Lane loose = lane(strip, LOOSE);
        assertThat(loose.x2()).isEqualTo((BOX + MIDDLE) / 2);
        assertThat(loose.y()).isEqualTo(2 * PITCH - 0.3 * PITCH);
        assertThat(box(strip, Device.SENSOR)).isEqualTo(new Box(Device.SENSOR, 0, 0, BOX, 2 * PITCH));
        assertThat(box(strip, Device.CONTROLLER)).isEqualTo(new Box(Device.CONTROLLER, MIDDLE, 0, BOX, 2 * PITCH));
        assertThat(strip.height()).isCloseTo(2 * PITCH + 0.6 * PITCH + PITCH, within(1e-9));
    }

    /** A box is two lanes high at least, so that its name has room. */
    @Test
    void aBoxOfOneWireHasRoomForItsName() {
        Strip strip = strip(List.of(), PUMP);
        assertThat(box(strip, Device.SENSOR).height()).isEqualTo(2 * PITCH);
        assertThat(box(strip, Device.CONTROLLER).height()).isEqualTo(2 * PITCH);
    }

    /** Each device that wires end at has a box of its own, with air between; loose ends come last and are short. */
    @Test
    void whatGoesOnFromTheControllerIsGroupedByWhereItEnds() {
        Strip strip = strip(List.of(), ANALOG, PULSES, POWER);
        double from = BOX;
        Box first = strip.boxes().get(0);
        Box second = strip.boxes().get(1);
        assertThat(first.x()).isEqualTo(RIGHT);
        assertThat(second.y() - (first.y() + first.height())).isCloseTo(0.6 * PITCH, within(1e-9));
        assertThat(box(strip, Device.LOGGER).height()).isEqualTo(PITCH);
        Lane analog = lane(strip, ANALOG);
        assertThat(analog.x1()).as("without a sensor's lead the controller stands first").isEqualTo(from);
        assertThat(analog.x2()).isEqualTo(RIGHT);
        assertThat(analog.y()).isCloseTo(box(strip, Device.LOGGER).y() + PITCH - 0.3 * PITCH, within(1e-9));
        Lane loose = lane(strip, PULSES);
        assertThat(loose.x2()).isCloseTo(from + 0.3 * (RIGHT - from), within(1e-9));
        assertThat(loose.y()).isCloseTo(3 * PITCH + 2 * 0.6 * PITCH - 0.3 * PITCH, within(1e-9));
        assertThat(loose.joint()).isNull();
        Box controller = box(strip, Device.CONTROLLER);
        assertThat(controller.x()).isZero();
        assertThat(controller.height()).isCloseTo(3 * PITCH + 2.5 * 0.6 * PITCH, within(1e-9));
        assertThat(strip.height()).isCloseTo(controller.height() + 0.6 * PITCH + PITCH, within(1e-9));
    }

    /** A joint is drawn half way, a splice near the far end; without extension or another colour there is none. */
    @Test
    void jointsAndSplicesStandOnTheirLanes() {
        Strip strip = strip(List.of(), PUMP.withExtension(GREY), ANALOG.withToColour(GREY),
                POWER.withExtension(PINK), LOOSE.withToColour(GREY));
        assertThat(lane(strip, PUMP).joint()).isEqualTo((BOX + MIDDLE) / 2);
        assertThat(lane(strip, PUMP).splice()).isNull();
        double from = MIDDLE + BOX;
        assertThat(lane(strip, ANALOG).joint()).isNull();
        assertThat(lane(strip, ANALOG).splice()).isCloseTo(from + 0.82 * (RIGHT - from), within(1e-9));
        assertThat(lane(strip, POWER).joint()).isEqualTo((from + RIGHT) / 2);
        assertThat(lane(strip, LOOSE).splice()).as("it joins nothing").isNull();
    }

    /** Places stand as far along as the cable is long to there; where a stretch is not measured, evenly. */
    @Test
    void marksStandByTheLengthOfTheCable() {
        double first = BOX / 2;
        double last = RIGHT + BOX / 2;
        assertThat(strip(List.of(point("clip", 0.5), point("grommet", 1.5)), PUMP).marks()).containsExactly(
                new Mark("clip", first + 0.25 * (last - first), 0.5), new Mark("grommet", last, 2.0));
        assertThat(strip(List.of(point("clip", 0.5), point("grommet", null)), PUMP).marks()).containsExactly(
                new Mark("clip", first + 0.5 * (last - first), null), new Mark("grommet", last, null));
        assertThat(strip(List.of(point("clip", 0.0)), PUMP).marks()).containsExactly(new Mark("clip", last, 0.0));
        assertThat(strip(List.of(point("clip", 0.5)), PUMP).boxes().getFirst().y()).as("room for names above")
                .isEqualTo(HEAD);
        assertThat(strip(List.of(), PUMP).boxes().getFirst().y()).isZero();
    }

    @Test
    void whatIsWrittenBesideAWireSaysWhatItIsAndWhereItGoes() {
        Lane pump = lane(strip(List.of(), PUMP.withExtension(GREY).withFromPin("k").withToPin("B2")), PUMP);
        assertThat(pump.near(false)).isEqualTo("PK → GY · pin k");
        assertThat(pump.near(true)).isEqualTo("PK → GY");
        assertThat(pump.far(false)).isEqualTo("pump cell · pin B2");
        assertThat(pump.far(true)).isEqualTo("pump cell");
        Lane analog = lane(strip(List.of(), ANALOG.withToColour(GREY)), ANALOG);
        assertThat(analog.near(false)).isEqualTo("colour ?");
        assertThat(analog.far(false)).isEqualTo("analog + · GY");
        Lane unknown = lane(strip(List.of(), ANALOG.withWork(null)), ANALOG);
        assertThat(unknown.far(true)).isEqualTo("work ?");
        Lane loose = lane(strip(List.of(), PULSES), PULSES);
        assertThat(loose.far(true)).isEqualTo("engine-speed pulses, unused: ?");
        assertThat(lane(strip(List.of(), PULSES.withLeft(Wire.Left.TAPED)), PULSES).far(false))
                .isEqualTo("engine-speed pulses, unused: taped and bundled");
    }

    /** Two of one colour that nobody told apart are marked until one is. */
    @Test
    void aTwinIsMarkedUntilItIsToldApart() {
        Wire other = POWER.withColour(PINK);
        Wire twin = ANALOG.withColour(PINK);
        assertThat(lane(strip(List.of(), twin, other), twin).near(true)).endsWith("TWIN, tell apart");
        assertThat(lane(strip(List.of(), twin.withToldApart(true), other), twin).near(true)).isEqualTo("PK");
    }

    /** The published sizes by name, straight lines between, in proportion below and no more above. */
    @ParameterizedTest
    @CsvSource({"0.326, 36", "0.163, 18", "0.422, 47", "0.518, 58", "0.6705, 73.5", "0.823, 89", "1.0665, 111",
            "1.31, 133", "1.695, 177.5", "2.08, 222", "2.695, 266.5", "3.31, 311", "6, 311"})
    void aJointHasToStandAPullByTheSizeOfItsWire(double squareMillimetres, double newtons) {
        assertThat(JointRules.leastPull(squareMillimetres * 1e-6)).isCloseTo(newtons, within(1e-6));
    }
}
