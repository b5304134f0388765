package amberheron.core.finding;

import amberheron.core.parts.Address;
import amberheron.core.units.Measure;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A check and its outcome.
 *
 * @param check which, and of what
 * @param subject what was checked, in the trade's words
 * @param verdict how it stands
 * @param figure the value found, or null when nothing is known yet
 * @param limit the bound it is held to, or null when there is none
 * @param consequence what it means for the reading or the part; for a pass, why that is enough
 * @param lambdaCost the error it puts on the reading, lambda (positive = reads lean), or null when it has none that
 *        can be put in a number
 * @param working the formula with its inputs, for the person who asks why
 * @param source where the limit comes from
 * @param asks while nothing is known, the values it waits for and nothing else; after that, the values it is worked out
 *        from that are worth a second look; the first to be entered first
 */
public record Finding(Check check, Message subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
        Message consequence, @Nullable Double lambdaCost, Message working, Source source, List<Address> asks) {
    public Finding {
        asks = List.copyOf(asks);
    }

    /** Makes the finding of a part of which there is only one, without addresses of its values. */
    public Finding(CheckId id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
            Message consequence, @Nullable Double lambdaCost, Message working, Source source) {
        this(Check.of(id), Message.plain(subject), verdict, figure, limit, consequence, lambdaCost, working, source,
                List.of());
    }

    /** A check whose sentences have no values. */
    public Finding(CheckId id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
            String consequence, @Nullable Double lambdaCost, String working, Source source) {
        this(id, subject, verdict, figure, limit, Message.plain(consequence), lambdaCost, Message.plain(working),
                source);
    }

    /** A check whose working has values. */
    public Finding(CheckId id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
            String consequence, @Nullable Double lambdaCost, Message working, Source source) {
        this(id, subject, verdict, figure, limit, Message.plain(consequence), lambdaCost, working, source);
    }

    /** Returns the finding as that of one part of several. */
    public Finding of(String part, Message name) {
        return new Finding(new Check(check.id(), part), name, verdict, figure, limit, consequence, lambdaCost, working,
                source, asks);
    }

    /** Returns the finding with another subject, in words that have values. */
    public Finding named(Message name) {
        return of(check.of(), name);
    }

    /** The same, with where its values are entered. */
    public Finding asking(List<Address> where) {
        return new Finding(check, subject, verdict, figure, limit, consequence, lambdaCost, working, source, where);
    }

    /** The same, with where its values are entered. */
    public Finding asking(Address... where) {
        return asking(List.of(where));
    }

    /** A bound on a figure. */
    public record Limit(Relation relation, Measure bound) {
        /** Whether a figure, in SI, keeps the bound. */
        public boolean keptBy(double si) {
            double slack = 1e-9 * Math.max(1, Math.abs(bound.si()));
            return switch (relation) {
                case AT_LEAST -> si >= bound.si() - slack;
                case AT_MOST -> si <= bound.si() + slack;
            };
        }
    }

    /** Which side of the bound is good. */
    public enum Relation {
        AT_LEAST("≥"),
        AT_MOST("≤");

        private final String sign;

        Relation(String sign) {
            this.sign = sign;
        }

        /** The sign shown before the bound. */
        public String sign() {
            return sign;
        }
    }
}
