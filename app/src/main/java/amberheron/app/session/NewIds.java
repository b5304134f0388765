package amberheron.app.session;

import java.security.SecureRandom;

/** Ids of parts that no other window, bay or program makes: 60 random bits each, written with letters and digits. */
final class NewIds {
    private static final String LETTERS = "abcdefghijkmnpqrstuvwxyz23456789";
    private static final int LENGTH = 12;
    private static final SecureRandom RANDOM = new SecureRandom();

    private NewIds() {
    }

    /** Returns an id that was never given before. */
    static String next() {
        StringBuilder id = new StringBuilder(LENGTH);
        for (int i = 0; i < LENGTH; i++) {
            id.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return id.toString();
    }
}
