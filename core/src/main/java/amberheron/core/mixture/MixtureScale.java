package amberheron.core.mixture;

import amberheron.core.units.Sane;

/** The numbers a mixture is written in: lambda itself, or AFR with the stoichiometric ratio it was made with. */
public sealed interface MixtureScale {
    /** Converts a number on this scale to lambda. */
    double toLambda(double value);

    /** Converts lambda to a number on this scale. */
    double fromLambda(double lambda);

    /** The word that says which scale a number is on. */
    String label();

    /** Lambda: 1 is stoichiometric whatever the fuel. */
    record Lambda() implements MixtureScale {
        @Override
        public double toLambda(double value) {
            return value;
        }

        @Override
        public double fromLambda(double lambda) {
            return lambda;
        }

        @Override
        public String label() {
            return "λ";
        }
    }

    /**
     * Air-fuel ratio by mass.
     *
     * @param stoich the ratio that is called lambda 1, from 1 to 40
     */
    record Afr(double stoich) implements MixtureScale {
        public Afr {
            Sane.STOICH.check("stoichiometric ratio", stoich);
        }

        @Override
        public double toLambda(double value) {
            return value / stoich;
        }

        @Override
        public double fromLambda(double lambda) {
            return lambda * stoich;
        }

        @Override
        public String label() {
            return "AFR";
        }
    }

    /** Lambda. */
    static MixtureScale lambda() {
        return new Lambda();
    }

    /** AFR with the given stoichiometric ratio. */
    static MixtureScale afr(double stoich) {
        return new Afr(stoich);
    }
}
