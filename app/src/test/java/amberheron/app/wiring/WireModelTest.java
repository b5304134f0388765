package amberheron.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.Demo;
import amberheron.app.scaling.ScaleModel;
import amberheron.app.session.Advice;
import amberheron.app.session.Session;
import amberheron.bench.Meter;
import amberheron.core.harness.Chart;
import amberheron.core.harness.Harness;
import amberheron.core.harness.WireColour;
import amberheron.core.job.Station;
import amberheron.core.plan.Intake.ReaderKind;
import amberheron.core.wiring.GroundPlan;
import amberheron.core.wiring.GroundPlan.GroundSchool;
import amberheron.core.wiring.HeaterTiming;
import amberheron.core.wiring.Hookup.Form;
import amberheron.core.wiring.KeyState;
import amberheron.core.wiring.Signals;
import amberheron.core.wiring.Wiring;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WireModelTest {
    @TempDir
    private Path home = Path.of("");
    private final WireModel wire = new WireModel();
    private final List<String> focused = new ArrayList<>();
    private @org.jspecify.annotations.Nullable Session opened;

    @BeforeEach
    void open() {
        opened = Demo.session(home);
        session().open("SB-015");
        session().listeners().onFocus(focused::add);
    }

    @AfterEach
    void close() {
        session().close();
    }

    private Session session() {
        return Objects.requireNonNull(opened);
    }

    private static void act(Advice advice) {
        Objects.requireNonNull(advice.action()).run().run();
    }

    private void ground(GroundPlan ground) {
        session().edit("ground", j -> j.withWiring(j.wiring().withGround(ground)));
    }

    /** What is still missing is asked for in the order it is measured, and its field is put under the hand. */
    @Test
    void everyMissingReadingIsAskedForInTurn() {
        for (KeyState state : List.of(KeyState.CRANKING, KeyState.RUNNING, KeyState.LAMPS, KeyState.INDICATORS)) {
            act(wire.advice(session()));
            reading(state, state == KeyState.CRANKING ? 9.5 : 14);
        }
        act(wire.advice(session()));
        session().edit("leads", j -> j.withWiring(j.wiring().withFeed(j.wiring().feed().withLeads(0.75e-6))));
        act(wire.advice(session()));
        session().edit("section", j -> j.withWiring(j.wiring().withFeed(j.wiring().feed().withCrossSection(1e-6))));
        act(wire.advice(session()));
        session().edit("host", j -> j.withWiring(
                j.wiring().withSource("A", s -> s.withHostFuse(10.0).withHostLoad(2.0))));
        act(wire.advice(session()));
        session().edit("feed", j -> j.withWiring(j.wiring().withFeed(j.wiring().feed().withLength(1.0))));
        act(wire.advice(session()));
        GroundPlan chassis = GroundPlan.UNMEASURED.withSchool(GroundSchool.CHASSIS);
        ground(chassis);
        act(wire.advice(session()));
        ground(chassis.withWires(w -> w.withToChassis(2.0)));
        act(wire.advice(session()));
        ground(chassis.withWires(w -> w.withToChassis(2.0)).withWires(w -> w.withSection(0.8e-6)));
        act(wire.advice(session()));
        assertThat(focused).containsExactly("wire.A.cranking", "wire.A.running", "wire.A.lamps", "wire.A.indicators",
                "wire.feed.leads", "wire.feed.section", "wire.A.hostFuse", "wire.feed.length", "wire.school",
                "wire.toChassis", "wire.section", "wire.mean");
        assertThat(wire.figure(session())).isEqualTo("ground not looked at");
    }

    private void reading(KeyState state, double volts) {
        session().edit("reading", j -> j.withWiring(j.wiring().withSource("A", s -> s.withVolts(state, volts))));
    }

    @Test
    void aConstantFeedIsTheFirstThingToMend() {
        reading(KeyState.OFF, 12.6);
        assertThat(wire.advice(session()).next().metric()).contains("Source, key off").contains("flattens the battery");
        act(wire.advice(session()));
        assertThat(focused).containsExactly("wire.A.off");
    }

    @Test
    void aJobWithoutASourceIsAskedForOneAndOffersTheBest() {
        session().edit("none", j -> j.withWiring(Wiring.UNMEASURED));
        assertThat(wire.advice(session()).next().metric()).isEqualTo("Name a place where the power could come from.");
        act(wire.advice(session()));
        String first = session().job().wiring().source().orElseThrow().id();
        assertThat(session().job().wiring().source().orElseThrow().letter()).isEqualTo("A");
        assertThat(focused).containsExactly("wire." + first + ".place");
        session().open("SB-014");
        session().edit("open", j -> j.withWiring(j.wiring().withTaken(null)));
        assertThat(wire.advice(session()).next().metric()).as("B is live all the time").isEqualTo("Take source A.");
        act(wire.advice(session()));
        assertThat(session().job().wiring().taken()).isEqualTo("A");
        wire.look(session(), "B");
        assertThat(wire.verdict(session())).startsWith("B is live all the time. It flattens the battery");
    }

    /** A good reading stays on show after a bad one, but as an old one with its age. */
    @Test
    void whatWasReadBeforeTheMeterFellSilentIsMarkedOld() {
        Iterator<Meter.Reading> answers = List.<Meter.Reading>of(new Meter.Reading.Volts(12.4),
                new Meter.Reading.None("no whole answer within 1.5 s"), new Meter.Reading.Overload()).iterator();
        Instant noon = Instant.parse("2026-06-01T12:00:00Z");
        try (MeterDesk desk = new MeterDesk()) {
            assertThat(desk.read(noon)).isEmpty();
            assertThat(desk.shown(noon)).isEqualTo("no meter connected · no meter is connected");
            desk.put(new Meter() {
                @Override
                public String name() {
                    return "M";
                }

                @Override
                public boolean simulated() {
                    return false;
                }

                @Override
                public Reading read() {
                    return answers.next();
                }

                @Override
                public void close() {
                    // Nothing to let go of.
                }
            });
            assertThat(desk.read(noon)).hasValue(new MeterDesk.Taken(12.4, "M", false, noon));
            assertThat(desk.shown(noon.plusSeconds(2))).isEqualTo("12.400 V live · M");
            assertThat(desk.shown(noon.plusSeconds(9))).as("nothing new for a while")
                    .isEqualTo("old: 12.400 V, 9 s ago · M");
            assertThat(desk.read(noon.plusSeconds(3))).isEmpty();
            assertThat(desk.shown(noon.plusSeconds(3)))
                    .isEqualTo("old: 12.400 V, 3 s ago · no whole answer within 1.5 s");
            assertThat(desk.read(noon.plusSeconds(4))).as("overload is no number").isEmpty();
            assertThat(desk.fault()).contains("more than the meter's range");
        }
    }

    /** Showing what a meter said last never waits for one that does not answer. */
    @Test
    void aSilentMeterDoesNotHoldUpTheDisplay() throws Exception {
        CountDownLatch asked = new CountDownLatch(1);
        CountDownLatch answers = new CountDownLatch(1);
        Meter silent = new Meter() {
            @Override
            public String name() {
                return "silent";
            }

            @Override
            public boolean simulated() {
                return false;
            }

            @Override
            public Reading read() {
                asked.countDown();
                try {
                    answers.await();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
                return new Reading.Volts(1);
            }

            @Override
            public void close() {
                answers.countDown();
            }
        };
        MeterDesk desk = new MeterDesk();
        desk.put(silent);
        var reading = CompletableFuture.supplyAsync(() -> desk.read(Instant.EPOCH), r -> new Thread(r).start());
        asked.await();
        var display = CompletableFuture.supplyAsync(() -> desk.shown(Instant.EPOCH) + desk.connected() + desk.fault(),
                r -> new Thread(r).start());
        assertThat(display.get(5, TimeUnit.SECONDS)).isEqualTo("silenttrue");
        desk.close();
        assertThat(reading.get(5, TimeUnit.SECONDS)).as("it was put away while it was asked").isEmpty();
    }

    /** The shared ground reads lean; parted from the heater the signal costs nothing. */
    @Test
    void theSchoolInsideToleranceIsOneKeyAway() {
        session().open("SB-016");
        Advice advice = wire.advice(session());
        assertThat(advice.why().metric()).contains("0.011 λ lean");
        assertThat(advice.next().metric())
                .startsWith("Part the grounds: ")
                .isEqualTo(new ScaleModel().advice(session()).next().metric());
        assertThat(session().review().findings(Station.WIRE)).as("said the same against the rules")
                .anyMatch(x -> x.consequence().metric().endsWith(advice.next().metric()));
        assertThat(wire.schools(session())).filteredOn(r -> r.recommended()).singleElement()
                .satisfies(r -> assertThat(r.cost()).isEqualTo("+0.007 λ"));
        ground(session().job().wiring().ground().withWires(w -> w.withToBattery(null)));
        assertThat(wire.schools(session()).getFirst().cost()).isEqualTo("not measured");
        act(advice);
        assertThat(session().job().wiring().ground().school()).isEqualTo(GroundSchool.READER);
        assertThat(session().job().wiring().ground().twoWires()).isTrue();
        assertThat(wire.figure(session())).as("said, not measured").isEqualTo("shift to measure again");
        assertThat(wire.advice(session()).next().metric()).startsWith("Rewired: measure between the two grounds");
        ground(session().job().wiring().ground().withDrop(0.0));
        assertThat(wire.figure(session())).isEqualTo("0.000 V ground shift");
        assertThat(wire.advice(session()).next().metric()).startsWith("No line yet for: signal ground to ");
    }

    /** After power and grounds: heater, signal, the chart's lines, twins, joints, route, and the drop. */
    @Test
    void whatIsOpenInTheHarnessIsAskedForInItsOrder() {
        session().open("SB-014");
        assertThat(wire.advice(session()).next().metric()).isEqualTo("Write the sheet.");
        session().edit("bare", j -> j.withWiring(j.wiring().withHeater(HeaterTiming.OPEN).withSignals(Signals.NONE)
                .withHarness(Harness.NONE)));
        act(wire.advice(session()));
        edit(w -> w.withHeater(new HeaterTiming(HeaterTiming.HeaterSchool.WITH_IGNITION, null)));
        act(wire.advice(session()));
        edit(w -> w.withSignals(w.signals().with(ReaderKind.GAUGE, h -> h.withForm(Form.SINGLE_ENDED))
                .with(ReaderKind.ECU, h -> h.withForm(Form.DIFFERENTIAL))));
        assertThat(wire.advice(session()).next().metric())
                .isEqualTo("No line yet for: power, switched to power source; "
                        + "heater ground to chassis point; signal ground to standalone ECU; analog + to gauge; "
                        + "analog + to standalone ECU; analog − to standalone ECU.");
        act(wire.advice(session()));
        assertThat(chart().wires()).hasSize(6);
        act(wire.advice(session()));
        edit(w -> w.withHarness(w.harness().withChart(new Chart(chart().wires().stream()
                .map(c -> c.withColour(WireColour.of(WireColour.Hue.WHITE))).toList()))));
        act(wire.advice(session()));
        edit(w -> w.withHarness(w.harness().withChart(
                new Chart(chart().wires().stream().map(c -> c.withToldApart(true)).toList()))));
        act(wire.advice(session()));
        assertThat(focused).containsExactly("wire.heater", "wire.signal.form", "wire.leaf.chart", "wire.chart.colour",
                "wire.chart.apart", "wire.joint.school");
    }

    private Chart chart() {
        return session().job().wiring().harness().chart();
    }

    private void edit(UnaryOperator<Wiring> change) {
        session().edit("wiring", j -> j.withWiring(change.apply(j.wiring())));
    }

    @Test
    void aChartIsImportedWholeOrNotAtAll() throws Exception {
        session().open("SB-016");
        Chart before = chart();
        Path file = Files.writeString(home.resolve("chart.csv"), "work,colour,to\nanalog +,beige,logger\n");
        wire.importChart(session(), file.toString());
        await("“beige”, expected a colour");
        assertThat(chart()).isEqualTo(before);
        Files.writeString(file, "work,colour,to\nanalog +,pink,logger\n");
        wire.importChart(session(), file.toString());
        await("1 wire read");
        assertThat(chart().wires()).singleElement()
                .satisfies(w -> assertThat(w.colour()).isEqualTo(WireColour.of(WireColour.Hue.PINK)));
        session().openJob().undo();
        assertThat(chart()).isEqualTo(before);
        wire.writeChart(session());
        await("SB-016-tags.pdf");
        assertThat(home.resolve("harness/SB-016-chart.csv")).isNotEmptyFile();
    }

    private void await(String words) {
        assertThat(session().notice()).contains(words);
    }

    @Test
    void whereNoSchoolHelpsTheSignalGetsAWireOfItsOwn() {
        session().open("SB-016");
        ground(GroundPlan.UNMEASURED.withSchool(GroundSchool.SAME_POINT).withWires(w -> w.withToChassis(3.0))
                .withWires(w -> w.withSection(0.8e-6))
                .withLoads(l -> l.withMean(1.2)));
        act(wire.advice(session()));
        session().edit("host", j -> j.withWiring(
                j.wiring().withSource("A", s -> s.withHostFuse(10.0).withHostLoad(2.0))));
        assertThat(session().job().wiring().ground().twoWires()).isTrue();
        assertThat(wire.figure(session())).as("until somebody measured that wire").isEqualTo("ground not looked at");
        assertThat(wire.advice(session()).next().metric()).startsWith("Enter length, size and heater current");
    }
}
