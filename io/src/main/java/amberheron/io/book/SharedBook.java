package amberheron.io.book;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.JobSummary;
import amberheron.io.TextFiles;
import amberheron.io.book.BookAddress.OfServer;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;

/**
 * A book on a server, with a copy on this machine that follows it. While the server does not answer, the copy does. A
 * change of a job is then refused with {@link BookUnreachable}, since another bay may be changing it too; whoever entered
 * it keeps it and asks again. Habits of the shop are kept on the server, preferences of this bay in the copy.
 */
public final class SharedBook implements OpenBook {
    private static final int BATCH = 50;

    private final JobBook server;
    private final JobBook copy;
    private volatile boolean inReach = true;
    /** Whether the listener was last told that the book is in reach. */
    private volatile boolean told = true;
    private boolean followed;

    private SharedBook(JobBook server, JobBook copy) {
        this.server = server;
        this.copy = copy;
    }

    static SharedBook open(OfServer address, Path home) {
        String file = TextFiles.digest(address.shown().getBytes(StandardCharsets.UTF_8)).substring(0, 12);
        return new SharedBook(JobBook.on(new PostgresServer(address)),
                JobBook.open(home.resolve("shared").resolve(file).resolve("book.db")));
    }

    /** The book itself, without the copy. */
    JobBook server() {
        return server;
    }

    private <T> T read(Function<JobBook, T> what) {
        if (inReach) {
            try {
                return what.apply(server);
            } catch (BookUnreachable e) {
                inReach = false;
            }
        }
        return what.apply(copy);
    }

    private <T> T write(Function<JobBook, T> what) {
        if (!inReach) {
            throw new BookUnreachable(server.name());
        }
        try {
            return what.apply(server);
        } catch (BookUnreachable e) {
            inReach = false;
            throw e;
        }
    }

    private static Function<JobBook, Boolean> doing(Consumer<JobBook> what) {
        return book -> {
            what.accept(book);
            return true;
        };
    }

    /** Repeats a change in the copy; one that fails there, as on a full disk, is still taken by the server. */
    private void alsoHere(Runnable what) {
        try {
            what.run();
        } catch (BookProblem e) {
            Logger.getLogger(SharedBook.class.getName()).log(Level.WARNING, "the copy does not follow", e);
        }
    }

    @Override
    public boolean inReach() {
        return inReach;
    }

    @Override
    public Optional<String> said() {
        // What the copy lost it gets from the server again.
        return Optional.empty();
    }

    @Override
    public String name() {
        return server.name();
    }

    @Override
    public List<JobSummary> jobs() {
        return read(JobBook::jobs);
    }

    @Override
    public List<JobSummary> jobs(Collection<String> ids) {
        return read(b -> b.jobs(ids));
    }

    @Override
    public Optional<Kept> load(String id) {
        Optional<Kept> found = read(b -> b.load(id));
        found.filter(k -> inReach).ifPresent(k -> alsoHere(() -> {
            // What was looked at here is here, also when the line goes down before the copy has followed.
            if (copy.revision(id).filter(r -> r >= k.revision()).isEmpty()) {
                copy.put(server.rows(List.of(id)));
            }
        }));
        return found;
    }

    @Override
    public Kept add(JobDocument document, @Nullable Judged judged, List<EntryKey> keys) {
        Kept kept = write(b -> b.add(document, judged, keys));
        alsoHere(() -> copy.put(document, judged, kept.revision()));
        return kept;
    }

    @Override
    public long save(JobDocument document, @Nullable Judged judged, long basedOn, List<EntryKey> keys) {
        long revision = write(b -> b.save(document, judged, basedOn, keys));
        // What was entered here is read here, also when the line goes down right after.
        alsoHere(() -> copy.put(document, judged, revision));
        return revision;
    }

    @Override
    public List<EntryKey> taken(String job, List<EntryKey> keys) {
        return write(b -> b.taken(job, keys));
    }

    /** The server's; the copy remembers it. */
    @Override
    public String identity() {
        if (inReach) {
            try {
                String known = write(JobBook::identity);
                alsoHere(() -> copy.prefer(ShopHabits.BOOK, known));
                return known;
            } catch (BookUnreachable e) {
                Logger.getLogger(SharedBook.class.getName()).log(Level.FINE, "as it was when it last answered", e);
            }
        }
        return copy.preferences().getOrDefault(ShopHabits.BOOK, "");
    }

    @Override
    public List<String> unjudged(String by) {
        return read(b -> b.unjudged(by));
    }

    @Override
    public void judge(Judged judged, long revision) {
        read(doing(b -> b.judge(judged, revision)));
    }

    @Override
    public void judgeUnreadable(String id, String why, String by) {
        read(doing(b -> b.judgeUnreadable(id, why, by)));
    }

    @Override
    public void copy(LocalDate day) {
        copy.copy(day);
    }

    @Override
    public Optional<byte[]> photo(String digest) {
        return read(b -> b.photo(digest));
    }

    @Override
    public boolean lacks(String digest) {
        return !write(b -> b.hasPhoto(digest));
    }

    /** Not into the copy: a bay has in its folder what it has looked at. */
    @Override
    public void keep(String digest, byte[] photo) {
        write(doing(b -> b.keep(digest, photo)));
    }

    @Override
    public Map<String, String> preferences() {
        Map<String, String> all = new LinkedHashMap<>(copy.preferences());
        if (inReach) {
            Map<String, String> shops = read(JobBook::preferences);
            if (inReach) {
                all.keySet().removeIf(ShopHabits::isOfShop);
                shops.forEach((name, value) -> {
                    if (ShopHabits.isOfShop(name)) {
                        all.put(name, value);
                    }
                });
            }
        }
        return all;
    }

    @Override
    public void prefer(String name, String value) {
        if (ShopHabits.isOfShop(name)) {
            write(doing(b -> b.prefer(name, value)));
        }
        copy.prefer(name, value);
    }

    @Override
    public SensorLife life(String number) {
        return read(b -> b.life(number));
    }

    @Override
    public List<SensorLife> lives() {
        return read(JobBook::lives);
    }

    /**
     * Keeps a note in the copy while the server is out of reach, and sends it as soon as it answers: notes of two bays
     * cannot conflict.
     */
    @Override
    public void note(List<SensorLife> lives) {
        try {
            write(doing(b -> b.note(lives)));
            alsoHere(() -> copy.note(lives));
        } catch (BookUnreachable e) {
            copy.sensors().noteForLater(lives);
        }
    }

    @Override
    public void forget(String number, SensorNote note) {
        write(doing(b -> b.forget(number, note)));
        alsoHere(() -> copy.forget(number, note));
    }

    @Override
    public void watch(Consumer<BookEvent> listener) {
        Map<String, Long> known = read(b -> b.with(JobBook::revisions));
        told = inReach;
        if (!told) {
            listener.accept(new BookEvent(false, Map.of()));
        }
        server.watch(known, heard -> {
            boolean news = heard.inReach() != told || !heard.changed().isEmpty();
            inReach = heard.inReach();
            told = inReach;
            if (inReach && (news || !followed)) {
                follow();
            }
            if (news) {
                listener.accept(heard);
            }
        });
    }

    /** Brings the copy to what the server has, and to the server what was noted without it. */
    private void follow() {
        try {
            List<SensorLife> left = copy.sensors().left();
            if (!left.isEmpty()) {
                server.note(left);
                copy.sensors().told(left);
            }
            Map<String, Long> there = server.with(JobBook::revisions);
            Map<String, Long> here = copy.with(JobBook::revisions);
            List<String> newer = there.entrySet().stream().filter(e -> !e.getValue().equals(here.get(e.getKey())))
                    .map(Map.Entry::getKey).toList();
            here.forEach((id, revision) -> {
                if (!there.containsKey(id)) {
                    copy.remove(id, revision);
                }
            });
            for (int i = 0; i < newer.size(); i += BATCH) {
                copy.put(server.rows(newer.subList(i, Math.min(i + BATCH, newer.size()))));
            }
            if (!followed) {
                server.preferences().forEach((name, value) -> {
                    if (ShopHabits.isOfShop(name)) {
                        copy.prefer(name, value);
                    }
                });
                copy.sensors().follow(server.lives());
                followed = true;
            }
        } catch (BookProblem e) {
            followed = false;
            Logger.getLogger(SharedBook.class.getName()).log(Level.WARNING, "the copy does not follow", e);
        }
    }

    @Override
    public void close() {
        server.close();
        copy.close();
    }
}
