package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.job.Shop;
import amberheron.io.book.Book;
import amberheron.io.book.BookEvent;
import amberheron.io.book.BookUnreachable;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** The book's jobs as this window has them: listed, judged, followed as other bays change them, and joined after a time apart. */
final class Shelf {
    private final Book book;
    private final Jobs jobs;
    private final Joining joining;
    private final OpenJob open;
    private final Tasks tasks;
    private final Threads threads;
    private final Host host;
    private boolean listing;
    private boolean away;
    private boolean ended;
    private boolean watches;

    /** Whose jobs they are. */
    interface Host {
        /** Something of it was changed. */
        void changed();

        /** Says something with the next change. */
        void notice(String said);

        /** Says something now. */
        void tell(String said);

        /** Brings the open job's photos to the book, then goes on. */
        void follow(Runnable then);

        /** Opens a job. */
        void open(String id);

        /** Whether something is kept beside the book. */
        boolean leftBehind();

        Shop shop();

        LocalDate today();
    }

    Shelf(Book book, Jobs jobs, Joining joining, OpenJob open, Tasks tasks, Threads threads, Host host) {
        this.book = book;
        this.jobs = jobs;
        this.joining = joining;
        this.open = open;
        this.tasks = tasks;
        this.threads = threads;
        this.host = host;
    }

    /** Has it followed, too, once it was listed for a screen. */
    void watchOnceListed() {
        watches = true;
    }

    /** Whether the book does not answer now: the copy of it does. */
    boolean away() {
        return away;
    }

    /** Whether the list is being fetched. */
    boolean busy() {
        return listing;
    }

    /** Stops listening to the book. */
    void end() {
        ended = true;
    }

    /** Fetches the list of jobs, then has a look at those nobody has looked at, and at the day's copy of the book. */
    void list() {
        if (watches) {
            // Now that there is a screen to tell.
            watches = false;
            watch();
        }
        listing = true;
        Answers.on(threads.ui(), book.jobs(), (all, e) -> {
            listing = false;
            if (all == null) {
                host.tell(Answers.reason(e));
                return;
            }
            jobs.set(all);
            host.changed();
            lookThrough();
        });
        Answers.on(threads.ui(), book.copy(host.today()), (done, e) -> {
            if (e != null) {
                host.tell(Answers.reason(e));
            }
        });
    }

    /** Handles news of the book: another bay, another window, a line that is down. */
    private void heard(BookEvent heard) {
        if (ended) {
            return;
        }
        if (away == heard.inReach()) {
            away = !heard.inReach();
            if (away) {
                host.notice(Answers.reason(new BookUnreachable(book.itself().name())));
            } else {
                host.notice(say("The shared book %s answers again.", book.itself().name()));
                host.follow(() -> {
                    open.retry();
                    join();
                });
            }
            host.changed();
        }
        Map<String, Long> others = new LinkedHashMap<>(heard.changed());
        others.entrySet().removeIf(e -> open.isOurs(e.getKey(), e.getValue()));
        Long here = others.get(open.job().id());
        if (here != null && here > 0) {
            open.takeIn();
        }
        if (others.containsValue(0L)) {
            list();
        } else if (!others.isEmpty()) {
            Answers.on(threads.ui(), book.jobs(others.keySet()), (some, e) -> {
                if (some != null) {
                    // What is open here is shown as it is here.
                    some.stream().filter(j -> !open.isOpen() || !j.id().equals(open.job().id())).forEach(jobs::show);
                    host.changed();
                }
            });
        }
    }

    /** A job begun while the book was out of reach goes in under the next number where another bay has taken its own. */
    void underAnotherNumber(String id) {
        Shop by = host.shop();
        bringIn(say("Bringing in %s", id), () -> joining.bring(id, by), outcomes -> outcomes.forEach(o -> {
            jobs.show(o.summary());
            if (open.job().id().equals(id)) {
                host.open(o.summary().id());
            }
            host.tell(o.says());
        }));
    }

    /** Brings in what was left beside the book. */
    private void join() {
        Shop by = host.shop();
        Set<String> own = open.own();
        bringIn(say("Bringing in what is kept beside the book"), () -> joining.bring(own, by), outcomes -> {
            outcomes.forEach(o -> jobs.show(o.summary()));
            String said = outcomes.stream().map(Joining.Outcome::says).filter(w -> !w.isEmpty())
                    .collect(Collectors.joining(" "));
            if (!said.isEmpty()) {
                host.tell(said);
            } else if (!outcomes.isEmpty()) {
                host.changed();
            }
        });
    }

    private <T> void bringIn(String what, Supplier<T> work, Consumer<T> then) {
        tasks.start(what, progress -> work.get(), then, host::tell);
    }

    private void watch() {
        Answers.on(threads.ui(), book.watch(heard -> threads.ui().execute(() -> heard(heard))), (done, e) -> {
            if (e != null) {
                host.tell(Answers.reason(e));
            } else if (open.isOpen()) {
                // It was opened before anybody listened.
                open.takeIn();
            }
        });
    }

    private void lookThrough() {
        if (host.leftBehind()) {
            join();
        }
        if (jobs.all().stream().anyMatch(j -> j.on() == null && j.fault().isEmpty())) {
            judgeAll();
        }
    }

    /** Has a look at every job that was judged by other habits of the shop. */
    void judgeAll() {
        Shop by = host.shop();
        tasks.start(say("Looking through the book"), progress -> {
            jobs.judge(by, progress);
            return book.jobs().join();
        }, all -> {
            jobs.set(all);
            host.changed();
        }, host::tell);
    }
}
