package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Finding;
import amberheron.core.finding.Message;
import amberheron.core.finding.Source;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * The reasons column of a station.
 *
 * @param next what to do next, one sentence
 * @param action the one action for it; null when it is done away from the keyboard
 * @param why why that is next
 * @param disagreement where schools part and which is ours; empty when they do not
 * @param checked what the station was checked against
 * @param caution the usual caution; empty where nothing can be hurt
 */
public record Advice(Message next, @Nullable Action action, Message why, Message disagreement, List<Source> checked,
        Message caution) {
    /**
     * Action of a button.
     *
     * @param letter the key for what a person vouches for, since it asks for a look; empty where the key for what is next
     *        does it
     */
    public record Action(String label, Runnable run, String letter) {
        /** An action that the key for what is next does. */
        public Action(String label, Runnable run) {
            this(label, run, "");
        }

        /** Keeps what a person says is so; the key is the first letter of its words. */
        public static Action vouch(String label, Runnable run) {
            return new Action(label, run, label.substring(0, 1).toUpperCase(Locale.ROOT));
        }

        /** Leads to the field of a value. */
        public static Action enter(Session session, Address value) {
            return new Action(say("Enter: %s", value.property().words()), () -> session.seek(value));
        }

        /** Leads to the first value that a finding was worked out from. */
        public static Action again(Session session, Finding found) {
            return new Action(say("Enter it again"), () -> session.seek(found.asks().getFirst()));
        }

        /** Leads to a station. */
        public static Action go(Session session, Station to) {
            return new Action(say("Go to %s", to.title()), () -> session.at().go(to));
        }
    }

    /** What is next in one case, the action for it, and why. */
    public record Case(Message next, @Nullable Action action, Message why) {
        /** A case, where it is one. */
        public static Optional<Case> when(boolean is, Supplier<Case> then) {
            return is ? Optional.of(then.get()) : Optional.empty();
        }

        /** Returns the advice of a case together with what holds at the station in every case. */
        public Advice with(Message disagreement, List<Source> checked, Message caution) {
            return new Advice(next, action, why, disagreement, checked, caution);
        }
    }

    /**
     * Returns the first of the cases that holds; those behind it are not computed.
     *
     * @param cases in the order in which they matter; the last holds always
     */
    @SafeVarargs
    public static Case first(Supplier<Optional<Case>>... cases) {
        for (Supplier<Optional<Case>> one : cases) {
            Optional<Case> now = one.get();
            if (now.isPresent()) {
                return now.get();
            }
        }
        throw new IllegalStateException("no case holds, not even the last");
    }

    /** The sources behind findings, each once. */
    public static List<Source> sources(List<Finding> findings) {
        Map<String, Source> once = new LinkedHashMap<>();
        findings.forEach(f -> once.putIfAbsent(f.source().citation(), f.source()));
        return List.copyOf(once.values());
    }
}
