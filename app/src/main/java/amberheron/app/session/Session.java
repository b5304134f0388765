package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Origin;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.parts.Address;
import amberheron.io.UnusableInput;
import amberheron.io.book.Book;
import amberheron.io.book.BookProblem;
import amberheron.io.book.BookThread;
import amberheron.io.book.JobBook.Kept;
import amberheron.io.book.OpenBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Session of one window. It puts together the job with its undo, its review, its saving, the list of jobs, tasks, preferences and
 * where the person is, and tells the screen what has changed. Knows no toolkit; used on the screen's thread only.
 */
public final class Session implements AutoCloseable {
    private final Book book;
    private final Catalogue catalogue;
    private final Path home;
    private final Threads threads;
    private final Navigation at;
    private final Jobs jobs;
    private final Unsaved unsaved;
    private final Shelf shelf;
    private final JobPhotos photos;
    private final Whereabouts where;
    private final Preferences preferences;
    private final OpenJob open;
    private final Tasks tasks;
    private final Background background;
    private final Listeners listeners = new Listeners();
    /** The preferences as the book has them. */
    private final Map<String, String> kept;
    private final Opening coming;
    private final ControllerDesk controller;
    private final SensorBook sensors;

    private Runnable anew = () -> {
    };
    private String notice = "";
    private boolean ended;

    /**
     * A session on a book.
     *
     * @param kept the preferences that the book has
     * @param identity what tells the book from others
     * @param home the folder for packs and the shop's catalogue
     */
    public Session(Book book, Map<String, String> kept, String identity, Catalogue catalogue, Path home,
            Threads threads) {
        this.book = book;
        this.kept = new LinkedHashMap<>(kept);
        this.catalogue = catalogue;
        this.home = home;
        this.threads = threads;
        this.controller = new ControllerDesk(threads.clock());
        this.sensors = new SensorBook(book, threads.ui(), this::changed, this::tell);
        this.jobs = new Jobs(book);
        this.unsaved = new Unsaved(home, identity);
        this.photos = new JobPhotos(book.itself(), home, threads, this::changed);
        this.tasks = new Tasks(threads.worker(), threads.ui(), listeners::saved);
        this.background = new Background(tasks, this::tell, () -> job().id());
        Parts parts = new Parts();
        this.where = new Whereabouts(home);
        this.preferences = new Preferences(kept, catalogue.laws(), home, parts);
        this.at = new Navigation(parts);
        this.open = new OpenJob(book, unsaved, threads, JobReview::new, parts);
        this.shelf = new Shelf(book, jobs, new Joining(book, unsaved, home), open, tasks, threads, parts);
        this.coming = new Opening(book, unsaved, jobs, threads, parts);
        if (!catalogue.faults().isEmpty()) {
            notice = say("Your catalogue: %s", String.join(" · ", catalogue.faults()));
        }
    }

    /** Callbacks by which the parts of a session reach the whole of it. */
    private final class Parts implements OpenJob.Host, Shelf.Host, Opening.Host, Preferences.Host, Navigation.Host {
        @Override
        public void changed() {
            Session.this.changed();
        }

        @Override
        public void touched() {
            listeners.touched();
        }

        @Override
        public void saved() {
            listeners.saved();
        }

        @Override
        public void notice(String said) {
            notice = said;
        }

        @Override
        public void tell(String said) {
            Session.this.tell(said);
        }

        @Override
        public void shown(JobSummary job) {
            jobs.show(job);
        }

        @Override
        public void taken(String id) {
            shelf.underAnotherNumber(id);
        }

        @Override
        public void follow(Runnable then) {
            photos.follow(job(), then);
        }

        @Override
        public void open(String id) {
            Session.this.open(id);
        }

        @Override
        public void show(Opening.Opened opened, Shop by) {
            Session.this.show(opened, by);
        }

        @Override
        public boolean away() {
            return Session.this.away();
        }

        @Override
        public boolean leftBehind() {
            return unsaved.any();
        }

        @Override
        public String mark() {
            return preferences.mark();
        }

        @Override
        public Shop shop() {
            return preferences.shop();
        }

        @Override
        public void keep(Map<String, String> what) {
            Session.this.keep(what);
        }

        @Override
        public void judgeBy(Shop habits) {
            open.judgeBy(habits);
            shelf.judgeAll();
        }

        @Override
        public void cursorMoved() {
            listeners.cursorMoved();
        }

        @Override
        public boolean isOpen() {
            return open.isOpen();
        }

        @Override
        public Job job() {
            return open.job();
        }

        @Override
        public Instant now() {
            return Session.this.now();
        }

        @Override
        public LocalDate today() {
            return Session.this.today();
        }
    }

    /**
     * A session with threads of its own beside the screen's, the job that was open last open in it. To be made off the
     * screen's thread and then handed over.
     */
    public static Session on(OpenBook book, Catalogue catalogue, Path home, Threads threads) {
        Map<String, String> kept = book.preferences();
        Session session = new Session(BookThread.of(book), kept, book.identity(), catalogue, home, threads);
        try {
            Optional.ofNullable(kept.get("job")).flatMap(book::load).ifPresent(k -> session
                    .show(Opening.Opened.of(k, session.preferences.shop(),
                            session.coming.left(k.document().job().id())),
                            session.preferences.shop()));
        } catch (BookProblem | UnusableInput e) {
            session.notice = String.valueOf(e.getMessage());
        }
        book.said().ifPresent(said -> session.notice = said);
        session.shelf.watchOnceListed();
        return session;
    }

    /** A session that does everything at once, for callers without a screen. */
    public static Session direct(OpenBook book, Catalogue catalogue, Path home) {
        Session session = new Session(BookThread.direct(book), book.preferences(), book.identity(), catalogue, home,
                Threads.direct());
        session.listJobs();
        return session;
    }

    /** Who is told of what happens. */
    public Listeners listeners() {
        return listeners;
    }

    /** Takes who opens the window anew when another book or catalogue lies beneath it. */
    public void onAnew(Runnable opener) {
        anew = opener;
    }

    /** Has the window opened anew on what was chosen; to be asked once everything is {@link #isIn}. */
    public void openAnew() {
        anew.run();
    }

    /** Whether all that was entered is in this book, so that another may be opened without leaving any of it behind. */
    public boolean isIn() {
        return (!isOpen() || open.settled()) && !unsaved.any();
    }

    private void changed() {
        if (open.isOpen() && open.reviewing()) {
            // Job and review do not belong together at this moment; it is told once they do.
            return;
        }
        if (isOpen() && !ended) {
            photos.follow(job());
        }
        listeners.changed();
    }

    /** Whether a job is open. */
    public boolean isOpen() {
        return open.isOpen();
    }

    /** The open job; an empty one when none is open. */
    public Job job() {
        return open.job();
    }

    /** Review of the open job, as last worked out; a moment behind {@link #job} after a change. */
    public JobReview review() {
        return open.review();
    }

    /** The open job as a document. */
    public JobDocument document() {
        return open.document();
    }

    /** The jobs in the book, as last heard. */
    public List<JobSummary> jobs() {
        return jobs.all();
    }

    /** The catalogue to choose from. */
    public Catalogue catalogue() {
        return catalogue;
    }

    /** The open book itself, for long work off the screen's thread. */
    public OpenBook book() {
        return book.itself();
    }

    /** Whether the book does not answer now: the copy of it does. */
    public boolean away() {
        return shelf.away();
    }

    /** The folder for packs. */
    public Path home() {
        return home;
    }

    /** Fetches the list of jobs, then has a look at those nobody has looked at, and at the day's copy of the book. */
    public void listJobs() {
        shelf.list();
    }

    /** Opens a job of the book. */
    public void open(String id) {
        coming.open(id);
    }

    private void show(Opening.Opened opened, Shop by) {
        leave();
        Kept found = opened.kept();
        notice = "";
        at.begin(where.of(found.document().job().id()));
        keep(Map.of("job", found.document().job().id()));
        open.show(found, opened.review(), by, opened.entries());
        changed();
    }

    /** Closes the open job, so that it can leave the book; whether it could: not while something of it is not saved. */
    public boolean putAway() {
        if (!open.settled()) {
            return false;
        }
        leave();
        open.close();
        at.leaveJob();
        changed();
        return true;
    }

    /** Begins a job under a number of the shop's. */
    public void begin(String id) {
        coming.begin(id);
    }

    /** Takes a job document that was mailed into the book; one that cannot be worked out is refused. */
    public void take(Path file) {
        coming.take(file);
    }

    /**
     * Changes the job.
     *
     * @param what the change in a few words, for undo
     */
    public void edit(String what, UnaryOperator<Job> change) {
        open.edit(what, change);
    }

    /** The job that is open: its undo, how it is saved, and what a person has to choose of it. */
    public OpenJob openJob() {
        return open;
    }

    /** Preferences of the person and habits of the shop. */
    public Preferences preferences() {
        return preferences;
    }

    /** Where the person is and what is looked at. */
    public Navigation at() {
        return at;
    }

    /** Whether nothing is being worked out, saved or done. */
    public boolean idle() {
        return !coming.busy() && !shelf.busy() && !open.saving().busy() && !open.reviewing() && !tasks.busy();
    }

    /** Says something to the person until the next change. */
    public void tell(String text) {
        notice = text;
        changed();
    }

    /** Slow work that runs, and what failed. */
    public Tasks tasks() {
        return tasks;
    }

    /** Slow work that the person asked for. */
    public Background background() {
        return background;
    }

    /** The last notice. */
    public String notice() {
        return notice;
    }

    private void keep(Map<String, String> what) {
        if (kept.entrySet().containsAll(what.entrySet())) {
            return;
        }
        kept.putAll(what);
        Answers.on(threads.ui(), book.prefer(what), (done, e) -> {
            if (e != null) {
                tell(Answers.reason(e));
            }
        });
    }

    /** Asks for a field to be typed into. */
    public void focus(String field) {
        listeners.wanted(field);
    }

    /** Brings a leaf of the station shown. */
    public void focus(LeafId leaf) {
        focus(leaf.id());
    }

    /** Brings the field of a value, at whatever station and of whatever part it is. */
    public void seek(Address value) {
        Station to = Station.of(value);
        if (to != at.station()) {
            at.go(to);
        }
        listeners.sought(value);
        focus(value.key());
    }

    /** The origin of a reading that is typed now. */
    public Origin typed() {
        return new Origin(Origin.Kind.TYPED, "", now(), job().id());
    }

    /** The origin of a reading that an instrument gave. */
    public Origin read(String instrument, boolean simulated, Instant when) {
        return new Origin(simulated ? Origin.Kind.SIMULATED : Origin.Kind.INSTRUMENT, instrument, when, job().id());
    }

    /** The time now. */
    public Instant now() {
        return threads.clock().instant();
    }

    /** Today, for dates in the record. */
    public LocalDate today() {
        return LocalDate.ofInstant(now(), ZoneId.systemDefault());
    }

    /** The lives of sensors. */
    public SensorBook sensors() {
        return sensors;
    }

    /** The controller that stands on the desk of the open job, for every station. */
    public ControllerDesk controller() {
        return controller;
    }

    /** Where the person was in each job, and where the window stood. */
    public Whereabouts where() {
        return where;
    }

    /** The job's desk is cleared, and its last entry goes in although it is still being looked at. */
    private void leave() {
        try {
            listeners.left();
            where.keep();
        } finally {
            controller.close();
            open.leave();
        }
    }

    /** Keeps what is still being typed, and ends; a second time it does nothing. */
    @Override
    public void close() {
        if (ended) {
            return;
        }
        ended = true;
        try {
            listeners.closed();
            shelf.end();
            leave();
        } finally {
            // Whoever still asks finds nothing open to change.
            open.close();
            tasks.close();
            open.end();
            unsaved.close();
            threads.end().run();
            book.close();
        }
    }
}
