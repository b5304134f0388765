package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.DoubleConsumer;
import java.util.function.Predicate;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * What came of carrying jobs from one book into another: each as it lies there, checked against the sum that was kept with
 * it.
 *
 * @param carried jobs that the other book did not have, or has in this version now
 * @param same jobs that both had already, alike
 * @param differing jobs that the other book has in another version; they were left as they are there
 * @param damaged jobs that are not as they were kept; they were left out
 */
public record Transfer(List<String> carried, List<String> same, List<String> differing, List<String> damaged) {
    private static final Logger LOG = Logger.getLogger(Transfer.class.getName());
    private static final int BATCH = 50;

    public Transfer {
        carried = List.copyOf(carried);
        same = List.copyOf(same);
        differing = List.copyOf(differing);
        damaged = List.copyOf(damaged);
    }

    /** Whether every job is in the other book now as it was in the one. */
    public boolean whole() {
        return differing.isEmpty() && damaged.isEmpty();
    }

    /** What came of it, in a line or two. */
    public String said() {
        return say("%d jobs carried, %d were there already.", carried.size(), same.size())
                + (differing.isEmpty()
                        ? ""
                        : say(" Left as they are there, since they differ: %s.", String.join(", ", differing)))
                + (damaged.isEmpty()
                        ? ""
                        : say(" Left out, since they are not as they were kept: %s; take them from a copy.",
                                String.join(", ", damaged)));
    }

    /**
     * Writes a book into a new file: every job, what was noted of sensors, and what the shop prefers.
     *
     * @param progress takes how far it is, from 0 to 1; what it throws ends the work, and what is carried stays carried
     * @throws BookProblem when there is such a file, or it cannot be written
     */
    public static Transfer backup(OpenBook from, Path file, DoubleConsumer progress) {
        if (Files.exists(file)) {
            throw new BookProblem(say("%s is there already, expected a new file; it was left as it is.", file));
        }
        try (JobBook to = JobBook.open(file)) {
            return all(from, to, id -> false, progress);
        }
    }

    /**
     * Brings a backup into a book; what is not in the backup stays.
     *
     * @param over whether a job that differs is put back as the backup has it
     * @throws BookProblem when the file is not a book
     */
    public static Transfer restore(Path file, OpenBook to, Predicate<String> over,
            DoubleConsumer progress) {
        if (!Files.exists(file)) {
            throw new BookProblem(say("There is no %s, expected a backup of a book.", file));
        }
        try (JobBook from = JobBook.open(file)) {
            return all(from, to, over, progress);
        }
    }

    private static Transfer all(OpenBook from, OpenBook to, Predicate<String> over, DoubleConsumer progress) {
        Transfer done = carry(from, to, revisions(kept(from)).keySet(), over, progress);
        to.note(from.lives());
        Map<String, String> there = to.preferences();
        from.preferences().forEach((name, value) -> {
            // Simulated readings prove nothing in another book than the demo's.
            if (!there.containsKey(name) && !name.equals(ShopHabits.DEMO)) {
                to.prefer(name, value);
            }
        });
        return done;
    }

    /**
     * Moves jobs: once they stand in the other book, as a second look confirms, they are taken out of the one.
     *
     * @throws BookProblem when the one has no such job
     */
    public static Transfer move(OpenBook from, OpenBook to, Collection<String> ids, DoubleConsumer progress) {
        JobBook source = kept(from);
        JobBook target = kept(to);
        Map<String, Long> had = revisions(source);
        ids.stream().filter(id -> !had.containsKey(id)).findFirst().ifPresent(id -> {
            throw new BookProblem(say("%s has no job %s; nothing was moved.", from.name(), id));
        });
        Transfer done = carry(from, to, ids, id -> false, progress);
        Map<String, String> there = digests(target, done.carried());
        there.putAll(digests(target, done.same()));
        digests(source, there.keySet()).forEach((id, digest) -> {
            if (digest.equals(there.get(id))) {
                source.remove(id, had.getOrDefault(id, 0L));
            }
        });
        return done;
    }

    private static Transfer carry(OpenBook from, OpenBook to, Collection<String> ids, Predicate<String> over,
            DoubleConsumer progress) {
        JobBook source = kept(from);
        JobBook target = kept(to);
        Map<String, Long> there = revisions(target);
        List<String> all = ids.stream().sorted().toList();
        List<String> carried = new ArrayList<>();
        List<String> same = new ArrayList<>();
        List<String> differing = new ArrayList<>();
        List<String> damaged = new ArrayList<>();
        for (int i = 0; i < all.size(); i += BATCH) {
            progress.accept((double) i / all.size());
            List<String> batch = all.subList(i, Math.min(i + BATCH, all.size()));
            Map<String, String> digests = digests(target, batch);
            List<Map<String, @Nullable Object>> rows = new ArrayList<>();
            for (Map<String, @Nullable Object> row : source.rows(batch)) {
                String id = String.valueOf(row.get("id"));
                String digest = JobRow.digest(String.valueOf(row.get("document")));
                if (row.get("digest") != null && !digest.equals(row.get("digest"))) {
                    damaged.add(id);
                } else if (digest.equals(digests.get(id))) {
                    same.add(id);
                } else if (digests.containsKey(id) && !over.test(id)) {
                    differing.add(id);
                } else {
                    Map<String, @Nullable Object> put = new LinkedHashMap<>(row);
                    put.put("digest", digest);
                    // Whoever has it open there finds that it was changed.
                    put.put("revision", Math.max((long) Objects.requireNonNull(row.get("revision")),
                            there.getOrDefault(id, 0L) + 1));
                    rows.add(put);
                    carried.add(id);
                }
            }
            // Before the jobs that show them.
            for (Map<String, @Nullable Object> row : rows) {
                photos(String.valueOf(row.get("id")), String.valueOf(row.get("document")), source, target);
            }
            target.put(rows);
        }
        return new Transfer(carried, same, differing, damaged);
    }

    /** Those that lie in the book itself; others lie beside it, and come when their job is opened there. */
    private static void photos(String id, String document, JobBook source, JobBook target) {
        try {
            JobDocument.parse(id, document).job().photos()
                    .stream().filter(p -> !target.hasPhoto(p.digest()))
                    .forEach(p -> source.photo(p.digest()).ifPresent(bytes -> target.keep(p.digest(), bytes)));
        } catch (UnusableInput e) {
            // A document that cannot be read is carried as it lies there.
            LOG.log(Level.FINE, "its photos are not known", e);
        }
    }

    private static Map<String, Long> revisions(JobBook book) {
        return book.with(JobBook::revisions);
    }

    private static Map<String, String> digests(JobBook book, Collection<String> ids) {
        Map<String, String> all = new HashMap<>();
        book.rows(ids).forEach(
                r -> all.put(String.valueOf(r.get("id")), JobRow.digest(String.valueOf(r.get("document")))));
        return all;
    }

    /** Jobs go from where they are kept to where they are kept, not by way of a copy. */
    private static JobBook kept(OpenBook book) {
        return switch (book) {
            case JobBook own -> own;
            case SharedBook shared -> shared.server();
        };
    }
}
