package amberheron.core.placement;

import static amberheron.core.units.Phrase.word;

/**
 * Habits of a shop where good installers differ.
 *
 * @param tilt which tilt it prefers
 * @param catalyst how it takes a straight-through catalyst
 * @param bank which bank it prefers to see
 */
public record PlaceSchools(TiltSchool tilt, CatalystSchool catalyst, BankSchool bank) {
    /** Schools on a straight-through catalyst. */
    public enum CatalystSchool {
        /** The default: the error has no published size, so a place after it is recorded. */
        EVERY_ONE("Any catalyst counts"),
        /** Its effect on the reading is taken for nothing. */
        OPEN_IS_NEGLIGIBLE("A straight-through one is negligible");

        private final String words;

        CatalystSchool(String words) {
            this.words = words;
        }

        /** The school's rule in a few words. */
        public String words() {
            return word(words);
        }
    }

    /** Which cylinders a sensor of a two-bank engine should see. */
    public enum BankSchool {
        /** The default: near and quick beats complete, as long as it is written down. */
        EASIER_BANK("The bank that is easier to reach"),
        /** Every cylinder, at the price of distance. */
        AFTER_MERGE("After the merge");

        private final String words;

        BankSchool(String words) {
            this.words = words;
        }

        /** The school's rule in a few words. */
        public String words() {
            return word(words);
        }
    }

    /** Anything from 10° up, every catalyst counts, the easier bank. */
    public static final PlaceSchools OURS = new PlaceSchools(TiltSchool.FROM_TEN_DEGREES, CatalystSchool.EVERY_ONE,
            BankSchool.EASIER_BANK);

    public PlaceSchools withTilt(TiltSchool value) {
        return new PlaceSchools(value, catalyst, bank);
    }

    public PlaceSchools withCatalyst(CatalystSchool value) {
        return new PlaceSchools(tilt, value, bank);
    }

    public PlaceSchools withBank(BankSchool value) {
        return new PlaceSchools(tilt, catalyst, value);
    }
}
