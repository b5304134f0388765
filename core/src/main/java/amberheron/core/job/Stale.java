package amberheron.core.job;

import amberheron.core.finding.Message;

/**
 * A reading that no longer proves anything.
 *
 * @param changed what it rested on and has changed since, or its age, in a few words
 */
public record Stale(Reading reading, String changed) {
    /** What happened, and the shortest way to prove it again. */
    public Message text() {
        return Message.of("{0}: {1}. {2}", Message.plain(capital(reading.words())), Message.plain(changed),
                Message.plain(reading.again()));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
