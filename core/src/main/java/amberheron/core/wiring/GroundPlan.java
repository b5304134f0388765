package amberheron.core.wiring;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.Source;
import amberheron.core.units.Sane;
import amberheron.core.wiring.GroundNetwork.Branch;
import amberheron.core.wiring.GroundNetwork.Load;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The grounds of a fit: the wires at hand, and where each school would take them. What was not measured is taken as
 * usual and said so.
 *
 * @param school the one taken; null until one is
 * @param twoWires whether the controller has a ground for the signal apart from the heater's
 * @param wires what the currents go through
 * @param loads the currents
 * @param measured drops measured between the controller's signal ground and the reader's, all working, V, by school
 * @param trial the same drop with one load after the other switched on, as the school taken has it
 * @param rewired whether it was said to be rewired as a cure says: then it counts once the drop was measured again
 */
public record GroundPlan(@Nullable GroundSchool school, boolean twoWires, GroundWires wires, GroundLoads loads,
        Map<GroundSchool, Double> measured, GroundTrial trial, boolean rewired) {
    /** Where good installers take the grounds. */
    public enum GroundSchool {
        BATTERY("Everything at the battery negative"),
        CHASSIS("Clean chassis point"),
        READER("Signal at the reader's sensor ground"),
        SAME_POINT("Controller and reader at one point");

        private final String words;

        GroundSchool(String words) {
            this.words = words;
        }

        /** The school's rule in a few words. */
        public String words() {
            return word(words);
        }
    }

    /** Nothing measured. */
    public static final GroundPlan UNMEASURED = new GroundPlan(null, false, GroundWires.UNMEASURED,
            GroundLoads.UNMEASURED, Map.of(), GroundTrial.NONE, false);
    /** Values taken for what was not measured. */
    public static final Source USUAL = Source.memory(
            "taken where not measured: strap 5 mΩ, 10 A of other loads on it; the reader's own ground reaches the battery by 10 mΩ; a wire that goes to the battery at 80 °C, others at 20 °C");
    /** Resistance taken for a strap that was not measured, Ω. */
    public static final double USUAL_STRAP = 0.005;
    private static final double USUAL_OTHERS = 10;
    private static final double READER_WIRE = 0.010;
    /** Stands for a wire that carries nothing here, m and m². */
    private static final double ANY_LENGTH = 1;
    private static final double ANY_SECTION = 1e-6;

    private static final int CHASSIS = 1;
    private static final int READER = 2;
    private static final int SIGNAL_GROUND = 3;
    private static final int HEATER_GROUND = 4;

    public GroundPlan {
        measured.values().forEach(v -> Sane.SUPPLY.check("measured", v));
        EnumMap<GroundSchool, Double> kept = new EnumMap<>(GroundSchool.class);
        measured.forEach((s, v) -> kept.put(s, Objects.requireNonNull(v)));
        measured = Collections.unmodifiableMap(kept);
    }

    /**
     * Cost of a school on this harness.
     *
     * @param shift of the controller's signal ground over the reader's, mean, V; positive makes the reader read high
     * @param ripple the same with the heater switched on, less with it off, V; null where its wire is not known
     * @param measured whether the shift is a meter's reading rather than worked out
     */
    public record Cost(GroundSchool school, double shift, @Nullable Double ripple, boolean measured) {
    }

    /** Every school's cost; those whose wire is not measured are left out. */
    public List<Cost> costs() {
        List<Cost> costs = new ArrayList<>();
        for (GroundSchool s : GroundSchool.values()) {
            cost(s).ifPresent(costs::add);
        }
        return List.copyOf(costs);
    }

    /** Cost of the school taken; empty until one is taken and its wire is measured. */
    public Optional<Cost> cost() {
        return school == null ? Optional.empty() : cost(school);
    }

    private Optional<Cost> cost(GroundSchool s) {
        Double read = measured.get(s);
        Double length = length(s);
        if (length == null || wires.section() == null || loads.mean() == null) {
            return Optional.ofNullable(read).map(v -> new Cost(s, v, null, true));
        }
        double ripple = shift(s, loads.peak() == null ? loads.mean() : loads.peak()) - shift(s, 0);
        return Optional.of(read == null
                ? new Cost(s, shift(s, loads.mean()), ripple, false)
                : new Cost(s, read, ripple, true));
    }

    /**
     * The school that stays inside a tolerance at the least cost; empty when none does. With one ground wire never the
     * reader's sensor ground: the heater's amperes would shift every sensor that is measured against it.
     *
     * @param most greatest shift allowed, V
     */
    public Optional<GroundSchool> recommended(double most) {
        return costs().stream().filter(c -> !throughSensorGround(c.school()))
                .filter(c -> Math.abs(c.shift()) <= most)
                .min(Comparator.comparingDouble(c -> Math.abs(c.shift()))).map(Cost::school);
    }

    /** Whether a school takes the heater's amperes through the ground that the reader's sensors are measured against. */
    public boolean throughSensorGround(GroundSchool s) {
        return s == GroundSchool.READER && !twoWires;
    }

    /** Length of the controller's ground wire if it is taken as a school says, m; null when not measured. */
    public @Nullable Double length(GroundSchool s) {
        return switch (s) {
            case BATTERY -> wires.toBattery();
            case CHASSIS, SAME_POINT -> wires.toChassis();
            case READER -> wires.toReader();
        };
    }

    /** Volts of the signal's ground less that of the reader's, the heater drawing so much. */
    private double shift(GroundSchool s, double heater) {
        List<Double> volts = GroundNetwork.solve(HEATER_GROUND + 1, branches(s),
                List.of(new Load(CHASSIS, orUsual(loads.others(), USUAL_OTHERS)),
                        new Load(READER, orUsual(loads.readerDraw(), 0)),
                        new Load(HEATER_GROUND, heater + orUsual(loads.display(), 0))));
        return volts.get(SIGNAL_GROUND) - volts.get(READER);
    }

    /** Resistance of the controller's ground wire as a school takes it, its joints with it, Ω. */
    public double wire(GroundSchool s) {
        Double length = length(s);
        Conductor copper = new Conductor(length == null ? ANY_LENGTH : length,
                wires.section() == null ? ANY_SECTION : wires.section());
        return (s == GroundSchool.BATTERY ? copper.resistance(Conductor.UNDER_BONNET) : copper.resistance())
                + 2 * orUsual(wires.joint(), 0);
    }

    /** The way of the heater's current; parted from the signal, which alone goes to the reader, it goes to the chassis. */
    private GroundSchool heaterWay(GroundSchool s) {
        return twoWires && s == GroundSchool.READER ? GroundSchool.CHASSIS : s;
    }

    /** Resistance of the wire the heater's current leaves by, as the school taken has it, Ω; null while not known. */
    public @Nullable Double heaterWire() {
        GroundSchool way = school == null ? null : heaterWay(school);
        return way == null || length(way) == null || wires.section() == null ? null : Double.valueOf(wire(way));
    }

    /** The wires.strap() from chassis to battery, Ω: as entered, else as the trial found it, else the usual. */
    private double strapOhms() {
        return wires.strap() != null
                ? wires.strap()
                : school == GroundSchool.CHASSIS
                        ? trial.loadOhms().filter(r -> r > 0).orElse(USUAL_STRAP)
                        : USUAL_STRAP;
    }

    /** The network of a school; with one ground wire heater and signal leave the controller at the same point. */
    List<Branch> branches(GroundSchool s) {
        List<Branch> all = new ArrayList<>();
        all.add(new Branch(CHASSIS, 0, strapOhms()));
        all.add(new Branch(READER, s == GroundSchool.SAME_POINT ? CHASSIS : 0, READER_WIRE));
        all.add(new Branch(SIGNAL_GROUND, switch (s) {
            case BATTERY -> 0;
            case CHASSIS, SAME_POINT -> CHASSIS;
            case READER -> READER;
        }, wire(s)));
        all.add(twoWires
                ? new Branch(HEATER_GROUND, s == GroundSchool.BATTERY ? 0 : CHASSIS,
                        wire(heaterWay(s)))
                : new Branch(HEATER_GROUND, SIGNAL_GROUND, 1e-6));
        return List.copyOf(all);
    }

    private static double orUsual(@Nullable Double value, double usual) {
        return value == null ? usual : value;
    }

    public GroundPlan withSchool(@Nullable GroundSchool value) {
        return new GroundPlan(value, twoWires, wires, loads, measured, trial, rewired);
    }

    public GroundPlan withTwoWires(boolean value) {
        return new GroundPlan(school, value, wires, loads, measured, trial, rewired);
    }

    public GroundPlan withWires(UnaryOperator<GroundWires> change) {
        return new GroundPlan(school, twoWires, change.apply(wires), loads, measured, trial, rewired);
    }

    public GroundPlan withLoads(UnaryOperator<GroundLoads> change) {
        return new GroundPlan(school, twoWires, wires, change.apply(loads), measured, trial, rewired);
    }

    public GroundPlan withTrial(GroundTrial value) {
        return new GroundPlan(school, twoWires, wires, loads, measured, value, rewired);
    }

    /** The drop measured as the school taken has it, V; null when not measured. */
    public @Nullable Double drop() {
        return school == null ? null : measured.get(school);
    }

    /** Returns it as rewired: what was measured before says nothing of it, and is to be measured again. */
    public GroundPlan afterRewiring() {
        EnumMap<GroundSchool, Double> others = new EnumMap<>(GroundSchool.class);
        others.putAll(measured);
        if (school != null) {
            others.remove(school);
        }
        return new GroundPlan(school, twoWires, wires, loads, others,
                GroundTrial.NONE.withLamps(trial.lamps()).withFan(trial.fan()), true);
    }

    /** Whether it was rewired and the drop was not measured since. */
    public boolean unproven() {
        return rewired && drop() == null;
    }

    /** Keeps the drop measured as the school taken has it; without a school there is nothing to measure. */
    public GroundPlan withDrop(@Nullable Double volts) {
        return school == null ? this : withMeasured(school, volts);
    }

    /** Keeps a measured drop, or forgets it when null. */
    public GroundPlan withMeasured(GroundSchool at, @Nullable Double volts) {
        EnumMap<GroundSchool, Double> more = new EnumMap<>(GroundSchool.class);
        more.putAll(measured);
        if (volts == null) {
            more.remove(at);
        } else {
            more.put(at, volts);
        }
        return new GroundPlan(school, twoWires, wires, loads, more, trial, rewired);
    }
}
