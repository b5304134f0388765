package amberheron.app.session;

import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.units.UnitChoice;
import amberheron.io.UnusableInput;
import amberheron.io.book.BookProblem;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What is open: one job, its review, the units, where the person is. Knows no toolkit. Every edit is on its way to the
 * book before the call returns; saving happens on a thread of its own, in order, and a failure is shown until a later
 * save succeeds.
 */
public final class Session implements AutoCloseable {
    private static final int MOST_UNDOS = 500;
    private static final double FIRST_CURSOR = 0.9;

    private final JobBook book;
    private final Catalogue catalogue;
    private final Path home;
    private final Executor ui;
    private final ExecutorService saver = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "saver");
        thread.setDaemon(true);
        return thread;
    });
    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "worker");
        thread.setDaemon(true);
        return thread;
    });
    private final List<Runnable> listeners = new CopyOnWriteArrayList<>();
    private final List<Runnable> savedListeners = new CopyOnWriteArrayList<>();
    private final List<Runnable> cursorListeners = new CopyOnWriteArrayList<>();
    private final List<Consumer<String>> focusListeners = new CopyOnWriteArrayList<>();
    private final Deque<Change> undo = new ArrayDeque<>();
    private final Deque<Change> redo = new ArrayDeque<>();

    private @Nullable JobDocument document;
    private Shop shop;
    private JobReview review;
    private AtomicLong revision = new AtomicLong();
    private UnitChoice units = UnitChoice.METRIC;
    private boolean dark;
    private View view = View.JOBS;
    private Station station = Station.PLAN;
    private double cursor = FIRST_CURSOR;
    private @Nullable String asked;
    private @Nullable String place;
    private Saving saving = Saving.saved();
    private String notice = "";

    /** What fills the middle. */
    public enum View {
        JOBS, STATION
    }

    /** How the last save went. */
    public record Saving(boolean busy, @Nullable String failure) {
        static Saving saved() {
            return new Saving(false, null);
        }
    }

    private record Change(String what, Job job) {
    }

    /**
     * A session on a book.
     *
     * @param home the folder for packs and the shop's catalogue
     * @param ui runs what must happen on the interface's thread
     */
    public Session(JobBook book, Catalogue catalogue, Path home, Executor ui) {
        this.book = book;
        this.catalogue = catalogue;
        this.home = home;
        this.ui = ui;
        Map<String, String> kept = book.preferences();
        this.shop = ShopHabits.read(kept, catalogue.laws());
        this.review = new JobReview(Job.empty(""), shop);
        this.units = new UnitChoice("afr".equals(kept.get("mixture")), "in".equals(kept.get("length")),
                "°F".equals(kept.get("temperature")), "lb·ft".equals(kept.get("torque")));
        this.dark = "dark".equals(kept.get("paper"));
        if (!catalogue.faults().isEmpty()) {
            notice = "Your catalogue: " + String.join(" · ", catalogue.faults());
        }
    }

    /** Calls back after every change of job, units or place. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    /** Calls back when a save has ended, well or not; nothing of the job has changed then. */
    public void onSaved(Runnable listener) {
        savedListeners.add(listener);
    }

    /** Calls back when only the rule's cursor moved. */
    public void onCursor(Runnable listener) {
        cursorListeners.add(listener);
    }

    /** Calls back with the name of the field that should be typed into next. */
    public void onFocus(Consumer<String> listener) {
        focusListeners.add(listener);
    }

    private void changed() {
        listeners.forEach(Runnable::run);
    }

    /** Whether a job is open. */
    public boolean isOpen() {
        return document != null;
    }

    /** The open job; an empty one when none is open. */
    public Job job() {
        return review.job();
    }

    /** What follows from the open job. */
    public JobReview review() {
        return review;
    }

    /** The open job as a document. */
    public JobDocument document() {
        return Objects.requireNonNullElseGet(document, () -> JobDocument.of(job()));
    }

    /** The jobs in the book. */
    public List<JobBook.Entry> jobs() {
        return book.jobs();
    }

    /** A job of the book reviewed, without opening it. */
    public Optional<JobReview> peek(String id) {
        return book.load(id).map(k -> new JobReview(k.document().job(), shop));
    }

    /** What there is to choose from. */
    public Catalogue catalogue() {
        return catalogue;
    }

    /** The folder for packs. */
    public Path home() {
        return home;
    }

    /** Opens a job of the book at its first station that is not proven. */
    public void open(String id) {
        try {
            book.load(id).ifPresentOrElse(this::show, () -> tell("The book has no job " + id + "."));
        } catch (BookProblem | UnusableInput e) {
            tell(String.valueOf(e.getMessage()));
        }
    }

    private void show(JobBook.Kept kept) {
        document = kept.document();
        revision = new AtomicLong(kept.revision());
        review = new JobReview(kept.document().job(), shop);
        undo.clear();
        redo.clear();
        asked = null;
        place = null;
        notice = "";
        view = View.STATION;
        station = Station.PLAN;
        cursor = FIRST_CURSOR;
        keep(Map.of("job", kept.document().job().id()));
        changed();
    }

    /** Opens the job that was open last, if the book still has it. */
    public void openLast() {
        String last = book.preferences().get("job");
        if (last != null) {
            open(last);
        }
    }

    /** Begins a job under a number of the shop's. */
    public void begin(String id) {
        String number = id.strip();
        if (number.isEmpty() || number.length() > 40) {
            tell("Job number: found “" + number + "”, expected 1 to 40 characters such as SB-017.");
            return;
        }
        add(JobDocument.of(Job.empty(number)));
    }

    /** Takes a job document that was mailed into the book. */
    public void take(Path file) {
        try {
            add(JobDocument.read(file));
        } catch (UnusableInput e) {
            tell(String.valueOf(e.getMessage()));
        }
    }

    private void add(JobDocument added) {
        try {
            show(book.add(added));
        } catch (BookProblem e) {
            tell(String.valueOf(e.getMessage()));
        }
    }

    /**
     * Changes the job.
     *
     * @param what the change in a few words, for undo
     */
    public void edit(String what, UnaryOperator<Job> change) {
        Job before = job();
        Job after = change.apply(before);
        if (document == null || after.equals(before)) {
            return;
        }
        undo.push(new Change(what, before));
        if (undo.size() > MOST_UNDOS) {
            undo.removeLast();
        }
        redo.clear();
        put(after);
    }

    /** Takes back the last change. */
    public void undo() {
        swap(undo, redo, "Taken back: ");
    }

    /** Does again what was taken back. */
    public void redo() {
        swap(redo, undo, "Done again: ");
    }

    private void swap(Deque<Change> from, Deque<Change> to, String said) {
        if (!from.isEmpty()) {
            Change change = from.pop();
            to.push(new Change(change.what(), job()));
            notice = said + change.what();
            put(change.job());
        }
    }

    /** What would be taken back, in a few words. */
    public Optional<String> undoable() {
        return Optional.ofNullable(undo.peek()).map(Change::what);
    }

    private void put(Job job) {
        JobDocument next = document().with(job);
        document = next;
        review = new JobReview(job, shop);
        AtomicLong at = revision;
        saving = new Saving(true, saving.failure());
        saver.execute(() -> save(next, at));
        changed();
    }

    private void save(JobDocument next, AtomicLong at) {
        Saving outcome;
        try {
            at.set(book.save(next, at.get()));
            outcome = Saving.saved();
        } catch (BookProblem e) {
            outcome = new Saving(false, e.getMessage());
        }
        Saving told = outcome;
        ui.execute(() -> {
            saving = told;
            savedListeners.forEach(Runnable::run);
        });
    }

    /** How the last save went. */
    public Saving saving() {
        return saving;
    }

    /** Says something to the person until the next change. */
    public void tell(String text) {
        notice = text;
        changed();
    }

    /**
     * Does slow work off the screen's thread and says what came of it.
     *
     * @param work gives what to say; what it throws for bad input is said instead
     */
    public void inBackground(String what, Supplier<String> work) {
        inBackground(what, work, said -> said);
    }

    /**
     * Does slow work off the screen's thread.
     *
     * @param work what it throws for bad input is said
     * @param then takes what came of it, on the screen's thread, and gives what to say
     */
    public <T> void inBackground(String what, Supplier<T> work, Function<T, String> then) {
        tell(what + "…");
        worker.execute(() -> {
            try {
                T result = work.get();
                ui.execute(() -> tell(then.apply(result)));
            } catch (RuntimeException e) {
                ui.execute(() -> tell(what + " failed: " + e.getMessage()));
            }
        });
    }

    /** What was said last. */
    public String notice() {
        return notice;
    }

    /** The units shown. */
    public UnitChoice units() {
        return units;
    }

    /** Changes the units everywhere at once. */
    public void units(UnitChoice choice) {
        units = choice;
        keep(Map.of("mixture", choice.afr() ? "afr" : "lambda", "length", choice.inches() ? "in" : "mm", "temperature",
                choice.fahrenheit() ? "°F" : "°C", "torque", choice.poundFeet() ? "lb·ft" : "N·m"));
        changed();
    }

    /** What the shop holds with. */
    public Shop shop() {
        return shop;
    }

    /** Changes what the shop holds with, for every job. */
    public void shop(Shop habits) {
        shop = habits;
        review = new JobReview(job(), shop);
        keep(ShopHabits.written(shop));
        changed();
    }

    /** Whether the dark variant is shown. */
    public boolean dark() {
        return dark;
    }

    /** Shows light or dark paper. */
    public void dark(boolean on) {
        dark = on;
        keep(Map.of("paper", on ? "dark" : "light"));
        changed();
    }

    private void keep(Map<String, String> preferences) {
        saver.execute(() -> {
            try {
                preferences.forEach(book::prefer);
            } catch (BookProblem e) {
                ui.execute(() -> tell(String.valueOf(e.getMessage())));
            }
        });
    }

    /** What fills the middle. */
    public View view() {
        return view;
    }

    /** Shows the list of jobs. */
    public void showJobs() {
        view = View.JOBS;
        changed();
    }

    /** The station shown. */
    public Station station() {
        return station;
    }

    /** Goes to a station. */
    public void go(Station to) {
        if (isOpen()) {
            view = View.STATION;
            station = to;
            asked = null;
            changed();
        }
    }

    /** The id of the check whose working was asked for; null when none was. */
    public @Nullable String asked() {
        return asked;
    }

    /** Asks why a figure is what it is. */
    public void ask(String finding) {
        asked = finding.equals(asked) ? null : finding;
        changed();
    }

    /** The candidate looked at; the chosen one, else the first, until another is picked. */
    public Optional<String> place() {
        List<String> ids = job().candidates().stream().map(c -> c.id()).toList();
        if (place != null && ids.contains(place)) {
            return Optional.of(place);
        }
        return job().chosenPlace().map(c -> c.id()).or(() -> ids.stream().findFirst());
    }

    /** Looks at a candidate. */
    public void look(String candidate) {
        place = candidate;
        changed();
    }

    /** The mixture under the rule's cursor, lambda. */
    public double cursor() {
        return cursor;
    }

    /** Moves the rule's cursor. */
    public void cursor(double lambda) {
        if (Double.isFinite(lambda)) {
            cursor = lambda;
            cursorListeners.forEach(Runnable::run);
        }
    }

    /** Asks for a field to be typed into. */
    public void focus(String field) {
        focusListeners.forEach(l -> l.accept(field));
    }

    /** Today, for dates in the record. */
    public LocalDate today() {
        return LocalDate.now(java.time.ZoneId.systemDefault());
    }

    /** Waits until everything entered is in the book. */
    public void flush() {
        try {
            saver.submit(() -> {
            }).get(30, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (java.util.concurrent.ExecutionException | java.util.concurrent.TimeoutException e) {
            throw new IllegalStateException("saving did not finish", e);
        }
    }

    @Override
    public void close() {
        flush();
        saver.shutdown();
        worker.shutdown();
        book.close();
    }
}
