package amberheron.app.freeair;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;
import amberheron.core.freeair.AirCheck;
import java.util.Locale;

/** The leaves of the Air station in reading order. */
enum AirLeaf {
    TODAY("Air today", "air of the day and what it costs"),
    COACH("Coach", "coach for the calibration in air"),
    VERDICT("Verdict", "verdict of the free-air check"),
    SENSOR("Sensor", "sensor book, its life");

    private final String title;
    private final String words;

    AirLeaf(String title, String words) {
        this.title = title;
        this.words = words;
    }

    /** Its name on the screen. */
    String title() {
        return word(title);
    }

    /** Words by which it is found. */
    String words() {
        return word(words);
    }

    String id() {
        return "air.leaf." + name().toLowerCase(Locale.ROOT);
    }

    /** The leaf that a check stands on. */
    static AirLeaf of(CheckId check) {
        return check == AirCheck.AIR || check == AirCheck.CONTROLLER ? TODAY : VERDICT;
    }
}
