package amberheron.core.job;

import static amberheron.core.units.Phrase.word;

import amberheron.core.finding.CheckId;
import amberheron.core.scaling.Diagnosis;

/** Entries that a link waits for where no rule has anything to judge yet. */
public enum JobCheck implements CheckId {
    CONDITION("exhaust-condition", "Have the exhaust mended before anything is fitted."),
    PLACE_TAKEN("place-taken", "Take a place for the bung."),
    LAW("law", "Choose the controller's output law from its sheet."),
    READER("reader", "Choose what reads the volts, and in which form it is told."),
    CHECK_POINTS("check-points", "Apply volts and note what the reader shows."),
    PROVING_LOG("proving-log", "Drive with the log running, then read it."),
    HANDED_OVER("handed-over", "Write the pack and hand it over."),
    AS_FITTED("as-fitted", "Measure the place as it was fitted."),
    STEPS("steps", "Do the steps that are left."),
    TICKED("ticked", "A step is ticked although its checks are not finished or failed."),
    DATED("dated", "Nobody wrote down when the check points were taken: take them again."),
    SETTING_HELD("setting-held",
            "The reader shows the truth, but not by the setting noted here: read it back and note what it holds."),
    SETTING_FOLLOWS("setting-follows", Diagnosis.TYPE_FIRST),
    LAW_READ("law-read",
            "Nobody has read the controller's own number: at one check point or more, note what its own display or link shows. Until then the law is only the one that was chosen."),
    SPREAD("spread", "Take check points over more of the range: agreement in one place says nothing of the slope."),
    ENGINE_OFF("engine-off", "Take check points with the engine off too, over a third of the range or more."),
    ENGINE_RUNNING("engine-running",
            "Take check points with the engine running too, over a third of the range or more: heater and alternator move the grounds."),
    LOG_DATED("log-dated", "Nobody wrote down when the log was read: read it again."),
    OTHER_LINKS("other-links", "Prove the links before it first.");

    private final String key;
    private final String words;

    JobCheck(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The cure, in a sentence. */
    public String words() {
        return word(words);
    }

    @Override
    public String key() {
        return key;
    }
}
