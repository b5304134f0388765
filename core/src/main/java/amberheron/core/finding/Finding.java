package amberheron.core.finding;

import amberheron.core.units.Measure;
import org.jspecify.annotations.Nullable;

/**
 * One check and its outcome.
 *
 * @param id stable name of the check, such as {@code tilt}
 * @param subject what was checked, in the trade's words
 * @param verdict how it stands
 * @param figure the value found, or null when nothing is known yet
 * @param limit the bound it is held to, or null when there is none
 * @param consequence what it means for the reading or the part; for a pass, why that is enough
 * @param lambdaCost the error it puts on the reading, lambda (positive = reads lean), or null when it has none that
 *        can be put in a number
 * @param working the formula with its inputs, for the person who asks why
 * @param source where the limit comes from
 */
public record Finding(String id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
        Message consequence, @Nullable Double lambdaCost, Message working, Source source) {
    /** A check whose sentences have no values. */
    public Finding(String id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
            String consequence, @Nullable Double lambdaCost, String working, Source source) {
        this(id, subject, verdict, figure, limit, Message.plain(consequence), lambdaCost, Message.plain(working),
                source);
    }

    /** A check whose working has values. */
    public Finding(String id, String subject, Verdict verdict, @Nullable Measure figure, @Nullable Limit limit,
            String consequence, @Nullable Double lambdaCost, Message working, Source source) {
        this(id, subject, verdict, figure, limit, Message.plain(consequence), lambdaCost, working, source);
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
        AT_LEAST("≥"), AT_MOST("≤");

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
