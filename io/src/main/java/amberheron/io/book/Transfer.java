package amberheron.io.book;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.function.Predicate;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Result of carrying jobs from one book into another: each as it lies there, checked against the sum that was kept with
 * it, and read back from where it was put.
 *
 * @param carried jobs that the other book did not have, or has in this version now
 * @param same jobs that both had already, alike
 * @param differing jobs that the other book has in another version; they were left as they are there
 * @param damaged jobs that are not as they were kept; they were left out
 * @param lacking photos that could not be found, with the number of their job
 */
public record Transfer(List<String> carried, List<String> same, List<Differing> differing, List<String> damaged,
        List<String> lacking) {
    private static final Logger LOG = Logger.getLogger(Transfer.class.getName());
    private static final int BATCH = 50;

    /**
     * A job that both books have, in two versions.
     *
     * @param changedThere when the version that was to be carried was changed, ISO 8601; empty where it does not say
     * @param changedHere when the other book's was
     */
    public record Differing(String id, String changedThere, String changedHere) {
        private String said() {
            int newer = changedHere.compareTo(changedThere);
            return say("%s was left as it is: changed %s here, %s there%s.", id, day(changedHere), day(changedThere),
                    newer > 0 ? say("; this one is newer") : newer < 0 ? say("; that one is newer") : "");
        }

        /** Writes a moment to the second, since smaller parts tell nobody anything. */
        private static String day(String instant) {
            return instant.length() < 19
                    ? say("at an unknown time")
                    : say("%s UTC", instant.substring(0, 19).replace('T', ' '));
        }
    }

    public Transfer {
        carried = List.copyOf(carried);
        same = List.copyOf(same);
        differing = List.copyOf(differing);
        damaged = List.copyOf(damaged);
        lacking = List.copyOf(lacking);
    }

    /** Whether every job is in the other book now as it was in the one. */
    public boolean whole() {
        return differing.isEmpty() && damaged.isEmpty() && lacking.isEmpty();
    }

    /** Result in a line or more. */
    public String said() {
        List<String> lines = new ArrayList<>();
        lines.add(say("%s carried and read back, %d there already.", count("1 job", "%d jobs", carried.size()),
                same.size()));
        differing.forEach(d -> lines.add(d.said()));
        if (!damaged.isEmpty()) {
            lines.add(say("Left out, since they are not as they were kept: %s; take them from a copy.",
                    String.join(", ", damaged)));
        }
        if (!lacking.isEmpty()) {
            lines.add(say("Photos that were not found, and are not in it: %s.", String.join(", ", lacking)));
        }
        return String.join("\n", lines);
    }

    /** Where photos lie that are not in the book itself. */
    public interface PhotosBeside {
        /** A photo of a job; empty where it is not there. */
        Optional<byte[]> of(Job job, Photo photo);
    }

    /**
     * Writes a book into a new file: every job with its photos, what was noted of sensors, and what the shop prefers. What was
     * written is read back.
     *
     * @param beside where a book in a file has its photos
     * @param progress takes how far it is, from 0 to 1; what it throws ends the work, and what is carried stays carried
     * @throws BookProblem when there is such a file, or it cannot be written
     */
    public static Transfer backup(OpenBook from, Path file, PhotosBeside beside, DoubleConsumer progress) {
        if (Files.exists(file)) {
            throw new BookProblem(say("%s is there already, expected a new file; it was left as it is.", file));
        }
        // Under a name that says so until it is done.
        Path half = file.resolveSibling(TextFiles.name(file) + ".unfinished");
        try {
            Files.deleteIfExists(half);
            Transfer done;
            try (JobBook to = JobBook.open(half)) {
                done = all(from, to, id -> false, beside, progress);
            }
            Files.move(half, file);
            return done;
        } catch (IOException e) {
            throw new BookProblem(say("%s cannot be written: %s", file, TextFiles.reason(e)), e);
        } finally {
            for (String part : List.of("", "-count", "-wal", "-shm")) {
                deleteQuietly(half.resolveSibling(TextFiles.name(half) + part));
            }
        }
    }

    private static void deleteQuietly(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not deleted: " + file, e);
        }
    }

    /**
     * Brings a backup into a book; what is not in the backup stays. The backup is only read, also where nothing can be
     * written.
     *
     * @param over whether a job that differs is put back as the backup has it
     * @throws BookProblem when the file is not a book
     */
    public static Transfer restore(Path file, OpenBook to, Predicate<String> over,
            DoubleConsumer progress) {
        if (!Files.isRegularFile(file)) {
            throw new BookProblem(say("There is no file %s, expected a backup of a book.", file));
        }
        Path work = null;
        try {
            if (Files.size(file) == 0) {
                throw new BookProblem(say("%s is empty, expected a backup of a book; it was left as it is.", file));
            }
            work = Files.createTempDirectory("heron-restore");
            Path copy = work.resolve("book.db");
            for (String part : List.of("", "-wal")) {
                Path of = file.resolveSibling(TextFiles.name(file) + part);
                if (Files.exists(of)) {
                    Path there = work.resolve("book.db" + part);
                    PrivateFile.create(there);
                    Files.copy(of, there, StandardCopyOption.REPLACE_EXISTING);
                    Files.setLastModifiedTime(there, Files.getLastModifiedTime(of));
                }
            }
            writable(work);
            try (JobBook from = JobBook.backup(copy, file)) {
                return all(from, to, over, null, progress);
            }
        } catch (IOException e) {
            throw new BookProblem(say("%s cannot be read: %s", file, TextFiles.reason(e)), e);
        } finally {
            delete(work);
        }
    }

    /** A copy of a file that nobody may write may not be written either, until it is said. */
    private static void writable(Path work) throws IOException {
        try (Stream<Path> files = Files.list(work)) {
            files.map(Path::toFile).filter(f -> !f.setWritable(true, true))
                    .forEach(f -> LOG.log(Level.FINE, "cannot be written: {0}", f));
        }
    }

    private static void delete(@Nullable Path work) {
        if (work == null) {
            return;
        }
        try (Stream<Path> files = Files.list(work)) {
            for (Path each : files.toList()) {
                Files.delete(each);
            }
            Files.delete(work);
        } catch (IOException e) {
            LOG.log(Level.WARNING, "not deleted: " + work, e);
        }
    }

    private static Transfer all(OpenBook from, OpenBook to, Predicate<String> over,
            @Nullable PhotosBeside beside, DoubleConsumer progress) {
        Transfer done = carry(from, to, revisions(kept(from)).keySet(), over, beside, progress);
        to.note(from.lives());
        Map<String, String> there = to.preferences();
        from.preferences().forEach((name, value) -> {
            // Simulated readings prove nothing in another book than the demo's, and another book is another one.
            if (!there.containsKey(name) && !name.equals(ShopHabits.DEMO) && !name.equals(ShopHabits.BOOK)) {
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
        Transfer done = carry(from, to, ids, id -> false, null, progress);
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
            @Nullable PhotosBeside beside, DoubleConsumer progress) {
        JobBook source = kept(from);
        JobBook target = kept(to);
        Map<String, Long> there = revisions(target);
        List<String> all = ids.stream().sorted().toList();
        List<String> carried = new ArrayList<>();
        List<String> same = new ArrayList<>();
        List<Differing> differing = new ArrayList<>();
        List<String> damaged = new ArrayList<>();
        List<String> lacking = new ArrayList<>();
        for (int i = 0; i < all.size(); i += BATCH) {
            progress.accept((double) i / all.size());
            List<String> batch = all.subList(i, Math.min(i + BATCH, all.size()));
            Map<String, Row> had = byId(target.rows(batch));
            Map<String, Row> rows = new LinkedHashMap<>();
            for (Row row : byId(source.rows(batch)).values()) {
                String id = row.text("id");
                Row other = had.get(id);
                if (!row.sound()) {
                    damaged.add(id);
                } else if (other != null && row.digest().equals(other.digest())) {
                    same.add(id);
                } else if (other != null && !over.test(id)) {
                    differing.add(new Differing(id, row.text("changed"), other.text("changed")));
                } else {
                    // Whoever has it open there finds that it was changed.
                    rows.put(id, row.after(there.getOrDefault(id, 0L)));
                }
            }
            // Before the jobs that show them.
            rows.forEach((id, row) -> photos(id, row.text("document"), source, target, beside, lacking));
            target.put(rows.values().stream().map(Row::columns).toList());
            Map<String, Row> read = byId(target.rows(rows.keySet()));
            rows.forEach((id, row) -> {
                Row now = read.get(id);
                if (now != null && now.digest().equals(row.digest())) {
                    carried.add(id);
                } else {
                    // Another bay was quicker.
                    differing.add(new Differing(id, row.text("changed"), now == null ? "" : now.text("changed")));
                }
            });
        }
        return new Transfer(carried, same, differing, damaged, lacking);
    }

    /** A job as it lies in a book. */
    private record Row(Map<String, @Nullable Object> columns) {
        String text(String column) {
            return Objects.requireNonNullElse(columns.get(column), "").toString();
        }

        String digest() {
            return JobRow.digest(text("document"));
        }

        /** Returns whether a row is as it was kept, as far as that is known. */
        boolean sound() {
            return JobRow.isWhole(columns.get("digest") == null ? null : text("digest"), text("document"));
        }

        /** The same with its digest, as a later revision than one that the other book has. */
        Row after(long revision) {
            Map<String, @Nullable Object> put = new LinkedHashMap<>(columns);
            put.put("digest", digest());
            put.put("revision", Math.max((long) Objects.requireNonNull(columns.get("revision")), revision + 1));
            return new Row(put);
        }
    }

    private static Map<String, Row> byId(List<Map<String, @Nullable Object>> rows) {
        Map<String, Row> all = new LinkedHashMap<>();
        for (Map<String, @Nullable Object> each : rows) {
            Row row = new Row(each);
            all.put(row.text("id"), row);
        }
        return all;
    }

    /**
     * Those that lie in the book itself, and those that lie beside it.
     *
     * @param beside null where those may stay where they lie
     */
    private static void photos(String id, String document, JobBook source, JobBook target,
            @Nullable PhotosBeside beside,
            List<String> lacking) {
        try {
            Job job = JobDocument.parse(id, document).job();
            for (Photo photo : job.photos()) {
                if (target.hasPhoto(photo.digest())) {
                    continue;
                }
                Optional<byte[]> bytes = source.photo(photo.digest())
                        .or(() -> beside == null ? Optional.empty() : beside.of(job, photo))
                        .filter(b -> TextFiles.digest(b).equals(photo.digest()));
                if (bytes.isPresent()) {
                    target.keep(photo.digest(), bytes.get());
                } else if (beside != null) {
                    lacking.add(say("%s of %s", photo.file(), id));
                }
            }
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

    /** Returns the book that really keeps the jobs, so that they are not carried by way of a copy. */
    private static JobBook kept(OpenBook book) {
        return switch (book) {
            case JobBook own -> own;
            case SharedBook shared -> shared.server();
        };
    }
}
