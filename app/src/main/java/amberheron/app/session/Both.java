package amberheron.app.session;

import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import amberheron.io.json.LeftEntry;
import amberheron.io.json.Merge;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Result of merging what was entered here with what the book has; worked out off the screen's thread.
 *
 * @param from the job that both grew from; null where that is not known
 * @param known what of ours the book has already
 */
record Both(@Nullable JobDocument from, Saver.Entry ours, Kept theirs, List<EntryKey> known,
        @Nullable Merge merge) {
    static Both of(@Nullable JobDocument from, Saver.Entry ours, Kept theirs, List<EntryKey> known) {
        return new Both(from, ours, theirs, known,
                from == null ? null : Merge.of(from, ours.document(), theirs.document()));
    }

    /** The job that both grew from: the last state of ours that the book has, else what ours was based on. */
    static @Nullable JobDocument grown(@Nullable JobDocument base, List<LeftEntry.Sent> sent, List<EntryKey> known) {
        JobDocument from = base;
        for (LeftEntry.Sent each : sent) {
            if (known.contains(each.key())) {
                from = each.document();
            }
        }
        return from;
    }
}
