package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

import amberheron.core.wiring.GroundPlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Inputs that a reading rests on besides what was read. When one of them changes, what rested on it has to be taken again. */
public enum RestsOn {
    /** Where the sensor sits. */
    PLACE("place", "the place", j -> said(j.placing().chosen())),
    /** The sensor itself. */
    SENSOR("sensor", "the sensor", j -> said(j.air().sensor())),
    /** The controller's sheet. */
    CONTROLLER("controller", "the controller", j -> said(j.air().controller())),
    /** Oxygen that the controller was taught in free air. */
    CALIBRATION("calibration", "the free-air calibration", j -> said(j.air().shownOxygen(), j.air().shownLambda())),
    /** Where controller and reader take their ground, and by which wires. */
    GROUNDS("grounds", "the grounds", j -> {
        GroundPlan g = j.wiring().ground();
        return said(g.school(), g.school() == null ? null : g.twoWires(), j.wiring().groundPoint(),
                g.wires().toBattery(),
                g.wires().toChassis(), g.wires().toReader(), g.wires().section());
    }),
    /** How the readers are hooked up. */
    SIGNAL("signal", "the hook-up of the signal",
            j -> said(j.wiring().signals().hookups().isEmpty() ? null : j.wiring().signals().hookups())),
    /** What the engine burns: a drive is judged by it. */
    FUEL("fuel", "the fuel", j -> said(j.intake().fuel())),
    /** The controller's output law. */
    LAW("law", "the output law", j -> said(j.law())),
    /** Reader of the volts with its setting; not its filter, which changes nothing that stands. */
    SETTING("setting", "the reader or its setting",
            j -> said(j.reader() == null ? null : j.reader().withInput(j.reader().input().withFilter(null))));

    private final String key;
    private final String words;
    @SuppressWarnings("ImmutableEnumChecker") // a function without state
    private final Function<Job, List<Object>> of;

    RestsOn(String key, String words, Function<Job, List<Object>> of) {
        this.key = key;
        this.words = words;
        this.of = of;
    }

    /** Lists answers for comparison; one that was not given yet counts as nothing. */
    private static List<Object> said(@Nullable Object... values) {
        List<Object> said = new ArrayList<>();
        for (Object value : values) {
            said.add(value == null || (value instanceof String text && text.isBlank()) ? "" : value);
        }
        return said;
    }

    /** The word in documents. */
    public String key() {
        return key;
    }

    /** Its name in the trade's words. */
    public String words() {
        return word(words);
    }

    /** Whether it is a matter of one output rather than of the whole job. */
    public boolean ofAnOutput() {
        return this == LAW || this == SETTING;
    }

    /** Whether it differs between two states of a job; what is said for the first time has not changed. */
    boolean changed(Job before, Job after) {
        List<Object> was = of.apply(before);
        List<Object> now = of.apply(after);
        for (int i = 0; i < was.size(); i++) {
            if (!was.get(i).equals("") && !Objects.equals(was.get(i), now.get(i))) {
                return true;
            }
        }
        return false;
    }
}
