package amberheron.core.finding;

import amberheron.core.units.Phrase;
import java.util.Collection;
import java.util.Comparator;

/** How a figure stands against its limit, in rising order of concern. */
public enum Verdict {
    /** Within the limit. */
    PASS,
    /** Nothing has been measured or entered yet; never counts as a pass. */
    UNKNOWN,
    /** Usable, at a stated cost. */
    WARN,
    /** Not to be used as it stands. */
    FAIL;

    /** Returns one word for it, where a line has no room for more. */
    public String word() {
        return Phrase.word(name());
    }

    /** The most serious of several verdicts; {@link #UNKNOWN} when there is none. */
    public static Verdict worst(Collection<Verdict> verdicts) {
        return verdicts.stream().max(Comparator.naturalOrder()).orElse(UNKNOWN);
    }
}
