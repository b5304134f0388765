package amberheron.core.plan;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;
import amberheron.core.finding.Message;
import amberheron.core.mixture.Bands;
import amberheron.core.mixture.Fuel;
import amberheron.core.mixture.FuelKind;
import amberheron.core.parts.Address;
import amberheron.core.parts.Property;
import amberheron.core.placement.Exhaust;
import amberheron.core.placement.FittingProcedure;
import amberheron.core.placement.PlaceField;
import amberheron.core.placement.PlaceRules;
import amberheron.core.units.Dimension;
import amberheron.core.units.Measure;
import amberheron.core.units.Sane;
import amberheron.core.units.Unusable;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Answers given when the vehicle comes in. Everything not yet known is null or empty.
 *
 * @param vehicle in the shop's words
 * @param displacement of the engine, m³
 * @param cylinders number of them
 * @param banks exhaust banks, 1 or 2
 * @param engine how it works, what fills it, what its electrics give
 * @param fuel in the tank
 * @param exhaust the pipes
 * @param material of the pipe the bung goes into
 * @param condition of the exhaust
 * @param leak diameter of the hole that the leak amounts to, m
 * @param fit how the bung is to be fixed
 * @param readers what will read the signal
 * @param link how tuning software or a display elsewhere gets its data
 * @param permanent false for a fit that comes off after the tuning days
 * @param fixedHarness true when the connector cannot be made up after the sensor is in
 */
public record Intake(String vehicle, @Nullable Double displacement, @Nullable Integer cylinders, int banks,
        Engine engine, @Nullable Fuel fuel, Exhaust exhaust, @Nullable Material material,
        Condition condition, @Nullable Double leak, Fit fit, Set<ReaderKind> readers, @Nullable Link link,
        boolean permanent, boolean fixedHarness) {
    /** An intake of which nothing was asked. */
    public static final Intake BLANK = new Intake("", null, null, 1, Engine.UNASKED, null, Exhaust.UNMEASURED, null,
            Condition.UNCHECKED, null, Fit.WELD_IN, Set.of(), null, true, true);

    /** State of the exhaust; it must be sound before anything is fitted. */
    public enum Condition {
        UNCHECKED("not checked"),
        SOUND("sound and airtight"),
        LEAKS("leaks"),
        ROTTEN("not worth fitting");

        private final String words;

        Condition(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether work has to stop here. */
        public boolean stops() {
            return this == LEAKS || this == ROTTEN;
        }
    }

    /** How the bung is fixed. */
    public enum Fit {
        WELD_IN("weld-in bung", FittingProcedure.WELD_IN),
        CLAMP("no-weld clamp", FittingProcedure.CLAMP),
        EXISTING_HOLE("hole that is there", FittingProcedure.EXISTING_HOLE),
        TAILPIPE_PROBE("probe in the tailpipe", FittingProcedure.TAILPIPE_PROBE);

        private final String words;
        @SuppressWarnings("ImmutableEnumChecker") // texts only
        private final FittingProcedure procedure;

        Fit(String words, FittingProcedure procedure) {
            this.words = words;
            this.procedure = procedure;
        }

        /** How that is done. */
        public FittingProcedure procedure() {
            return procedure;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Readers of the signal. */
    public enum ReaderKind {
        GAUGE("gauge", "gauge"),
        LOGGER("logger", "logger"),
        ECU("ecu", "standalone ECU"),
        STOCK_ECU("stock_ecu", "stock ECU, narrowband"),
        SOFTWARE("software", "tuning software"),
        DISPLAY("display", "display elsewhere"),
        OWN("own", "the controller's own display");

        private final String key;
        private final String words;

        ReaderKind(String key, String words) {
            this.key = key;
            this.words = words;
        }

        /** Key in the address of a value and the name of a check. */
        public String key() {
            return key;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }

        /** Whether it gets numbers by a link. */
        boolean byLink() {
            return this == SOFTWARE || this == DISPLAY;
        }

        /** Whether anything has to be wired to it: the controller's own display is part of it. */
        public boolean wired() {
            return this != OWN;
        }
    }

    /** How numbers rather than volts get to a reader. */
    public enum Link {
        SERIAL("serial"),
        CAN("CAN"),
        DIAGNOSTIC_PORT("diagnostic port");

        private final String words;

        Link(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Material of the pipe. */
    public enum Material {
        MILD_STEEL("mild steel"),
        COATED("coated or plated"),
        STAINLESS("stainless");

        private final String words;

        Material(String words) {
            this.words = words;
        }

        /** The trade's words. */
        public String words() {
            return word(words);
        }
    }

    /** Questions of the intake. Which of them a job needs follows from the answers to the others. */
    public enum Question implements CheckId {
        VEHICLE("intake-vehicle", "vehicle", IntakeField.VEHICLE),
        DISPLACEMENT("intake-displacement", "displacement", PlaceField.DISPLACEMENT),
        CYLINDERS("intake-cylinders", "cylinders", IntakeField.CYLINDERS),
        BANKS("intake-banks", "exhaust banks", IntakeField.BANKS),
        FUEL("intake-fuel", "fuel", IntakeField.FUEL),
        FUEL_SYSTEM("intake-fuel-system", "fuel system", IntakeField.FUEL_SYSTEM),
        CYCLE("intake-cycle", "two-stroke, four-stroke or rotary", IntakeField.CYCLE),
        ASPIRATION("intake-aspiration", "aspiration", PlaceField.ASPIRATION),
        SUPPLY("intake-supply", "volts of the electrical system", IntakeField.SUPPLY),
        READERS("intake-readers", "what reads the signal", IntakeField.READERS),
        LINK("intake-link", "how it gets its data", IntakeField.LINK),
        STAYS("intake-stays", "how long it stays", IntakeField.STAYS),
        CONDITION("intake-condition", "state of the exhaust", IntakeField.CONDITION),
        LEAK("intake-leak", "size of the leak", IntakeField.LEAK),
        FIT("intake-fit", "bung", IntakeField.FIT),
        MATERIAL("intake-material", "material of the pipe", IntakeField.MATERIAL),
        HARNESS("intake-harness", "harness", IntakeField.HARNESS);

        private final String key;
        private final String words;
        @SuppressWarnings("ImmutableEnumChecker") // a property is an enum constant
        private final Property field;

        Question(String key, String words, Property field) {
            this.key = key;
            this.words = words;
            this.field = field;
        }

        /** The check that it is answered. */
        @Override
        public String key() {
            return key;
        }

        /** Where it is answered. */
        public Address address() {
            return field.address();
        }

        /** Name of what is asked for, in the trade's words. */
        public String words() {
            return word(words);
        }
    }

    public Intake {
        Sane.DISPLACEMENT.check("displacement", displacement);
        Sane.PART.check("leak", leak);
        Sane.CYLINDERS.check("cylinders", cylinders == null ? null : (double) cylinders);
        readers = Collections.unmodifiableSet(new TreeSet<>(readers));
        if (banks < 1 || banks > 2) {
            throw new Unusable(say("Exhaust banks: found %d, expected 1 or 2", banks));
        }
    }

    /** Whether this job needs the answer to a question. */
    public boolean asks(Question question) {
        return switch (question) {
            case BANKS -> cylinders != null && cylinders > 1;
            case LINK -> readers.stream().anyMatch(ReaderKind::byLink);
            case LEAK -> condition == Condition.LEAKS;
            case MATERIAL -> fit == Fit.WELD_IN && condition != Condition.ROTTEN;
            case FIT, HARNESS -> condition != Condition.ROTTEN;
            default -> true;
        };
    }

    /** Questions still to be answered before the plan can be trusted; empty when there are none. */
    public List<Question> missing() {
        List<Question> missing = new ArrayList<>();
        for (Question q : Question.values()) {
            boolean open = switch (q) {
                case VEHICLE -> vehicle.isBlank();
                case DISPLACEMENT -> displacement == null;
                case CYLINDERS -> cylinders == null;
                case FUEL -> fuel == null;
                case ASPIRATION -> engine.aspiration() == null;
                case SUPPLY -> engine.supply() == null;
                case READERS -> readers.isEmpty();
                case LINK -> link == null;
                case CONDITION -> condition == Condition.UNCHECKED;
                // These have an answer from the start, or one that the work can begin without.
                case BANKS, FUEL_SYSTEM, CYCLE, STAYS, LEAK, FIT, MATERIAL, HARNESS -> false;
            };
            if (open && asks(q)) {
                missing.add(q);
            }
        }
        return List.copyOf(missing);
    }

    /** Whether numbers rather than volts get to every reader, its own display included, so that there is nothing to scale. */
    public boolean byLinkAlone() {
        return !readers.isEmpty()
                && readers.stream().allMatch(r -> r == ReaderKind.OWN || (r.byLink() && link != null));
    }

    /** Whether it is on boost, with a turbine or without. */
    public boolean boosted() {
        Engine.Aspiration aspiration = engine.aspiration();
        return exhaust.turbine() || (aspiration != null && aspiration.boosted());
    }

    /** Answers that follow from others, so that they need not be asked. */
    public List<Message> follows() {
        List<Message> follows = new ArrayList<>();
        if (exhaust.turbine()) {
            follows.add(Message.of("Turbine: the sensor goes at least {0} after it, never before.",
                    new Measure(PlaceRules.AFTER_TURBINE, Dimension.LENGTH, 0)));
        }
        if (boosted()) {
            follows.add(Message.plain(
                    "Water or methanol injected beside the fuel: judge by λ, which is that of all that burns; AFR is not the fuel's any more."));
        }
        if (exhaust.catalyst().isPresent()) {
            follows.add(Message
                    .plain("Catalyst: before it if there is room; after it the reading may err either way, and that is recorded."));
        }
        if (banks == 2) {
            follows.add(
                    Message.plain("Two banks: one sensor sees one, or goes after the merge; which is written down."));
        }
        if (readers.contains(ReaderKind.STOCK_ECU)) {
            follows.add(Message
                    .plain("Stock ECU: the controller's simulated narrowband, 0 to 1 V, never its wideband output."));
        }
        if (readers.contains(ReaderKind.LOGGER) || readers.contains(ReaderKind.ECU)) {
            follows.add(Message.plain("Analog output: law and reader are chosen and checked at Scale."));
        } else if (!readers.isEmpty()) {
            follows.add(
                    Message.plain("No analog reader: the display is checked against free air and known points only."));
        }
        if (asks(Question.LINK) && link != null) {
            follows.add(Message.plain(switch (link) {
                case SERIAL -> "Serial: data and ground to the 9-pin plug, pins 2 and 5; no voltage to scale.";
                case CAN -> "CAN: two wires twisted, a resistor at each end of the bus; no voltage to scale.";
                case DIAGNOSTIC_PORT -> "Diagnostic port: passed through at the plug; the port's own feed stays free.";
            }));
        }
        followsFuel(follows);
        if (engine.fuelSystem() == Engine.FuelSystem.CARBURETTOR) {
            follows.add(Message
                    .of("Carburettor: choke open before any reading counts; about {0} at cruise is right for it.",
                            new Measure(Bands.RICH_CRUISE, Dimension.MIXTURE, 2)));
        } else if (engine.fuelSystem() == Engine.FuelSystem.INJECTION && fuelKind().heldAtOne()) {
            follows.add(
                    Message.plain("Injection: warm idle swings about stoichiometric in closed loop; that is right."));
        }
        if (!permanent) {
            follows.add(Message.plain("Tuning days only: plug for the bung, and the sensor out when its power goes."));
        }
        if (asks(Question.MATERIAL) && material == Material.COATED) {
            follows.add(Message.plain("Coated pipe: grind it bare before welding; its fumes are poisonous."));
        }
        return List.copyOf(follows);
    }

    /** Whether its engine burns oil with the fuel, which ages a sensor. */
    public boolean burnsOil() {
        Engine.Cycle cycle = engine.cycle();
        return cycle != null && cycle.burnsOil();
    }

    /** What the fuel means for judging; petrol's until a fuel is chosen. */
    public FuelKind fuelKind() {
        return fuel == null ? FuelKind.PETROL : fuel.kind();
    }

    /** What fuel and working mean for sensor and judgement. */
    private void followsFuel(List<Message> follows) {
        FuelKind kind = fuelKind();
        if (kind == FuelKind.DIESEL) {
            follows.add(Message.plain(
                    "Diesel: it runs lean always, and a closed loop never holds it at λ 1: no narrowband, no fuel trims, no lean alarm. Smoke and the exhaust's temperature limit it."));
        }
        if (kind == FuelKind.LEADED) {
            follows.add(Message.plain(
                    "Leaded: a sensor lives for hours, not years. Fit it for the session, take it out after, and check it in free air each time."));
        }
        if (burnsOil()) {
            follows.add(Message.plain(
                    "Oil burns with the fuel: it ages the sensor, so check it in free air often."));
        }
        if (engine.cycle() == Engine.Cycle.TWO_STROKE) {
            follows.add(Message.plain(
                    "Two-stroke: fresh gas is blown through, so the λ shown is leaner than what was burnt. Judge changes by it, not the mixture."));
        }
    }

    public Intake withVehicle(String value) {
        return new Intake(value, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withDisplacement(@Nullable Double value) {
        return new Intake(vehicle, value, cylinders, banks, engine, fuel, exhaust, material, condition, leak, fit,
                readers, link, permanent, fixedHarness);
    }

    public Intake withCylinders(@Nullable Integer value) {
        return new Intake(vehicle, displacement, value, banks, engine, fuel, exhaust, material, condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withBanks(int value) {
        return new Intake(vehicle, displacement, cylinders, value, engine, fuel, exhaust, material, condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    /** Changes an answer about the engine. */
    public Intake withEngine(UnaryOperator<Engine> change) {
        return new Intake(vehicle, displacement, cylinders, banks, change.apply(engine), fuel, exhaust, material,
                condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withFuel(@Nullable Fuel value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, value, exhaust, material, condition,
                leak, fit, readers, link, permanent, fixedHarness);
    }

    public Intake withExhaust(Exhaust value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, value, material, condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withMaterial(@Nullable Material value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, value, condition, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withCondition(Condition value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, value, leak,
                fit, readers, link, permanent, fixedHarness);
    }

    public Intake withLeak(@Nullable Double value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition,
                value, fit, readers, link, permanent, fixedHarness);
    }

    public Intake withFit(Fit value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                value, readers, link, permanent, fixedHarness);
    }

    public Intake withReaders(Set<ReaderKind> value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                fit, value, link, permanent, fixedHarness);
    }

    public Intake withLink(@Nullable Link value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                fit, readers, value, permanent, fixedHarness);
    }

    public Intake withPermanent(boolean value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                fit, readers, link, value, fixedHarness);
    }

    public Intake withFixedHarness(boolean value) {
        return new Intake(vehicle, displacement, cylinders, banks, engine, fuel, exhaust, material, condition, leak,
                fit, readers, link, permanent, value);
    }
}
