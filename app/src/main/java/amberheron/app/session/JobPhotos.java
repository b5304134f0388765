package amberheron.app.session;

import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import amberheron.io.book.BookProblem;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Photos;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.logging.Level;
import java.util.logging.Logger;

/** The open job's photos follow it from bay to bay, off the screen's thread. Used on the screen's thread. */
final class JobPhotos {
    private final OpenBook book;
    private final Path home;
    private final Threads threads;
    private final Runnable came;
    /** Those that lie here and in the book; others are looked for again. */
    private final Set<Path> settled = new HashSet<>();
    private boolean busy;

    /**
     * Of a bay.
     *
     * @param came is told when photos of other bays have come
     */
    JobPhotos(OpenBook book, Path home, Threads threads, Runnable came) {
        this.book = book;
        this.home = home;
        this.threads = threads;
        this.came = came;
    }

    /** Puts in and fetches what is missing; asked for as often as one likes. */
    void follow(Job job) {
        if (!busy && !job.photos().stream().allMatch(p -> settled.contains(at(job, p)))) {
            follow(job, () -> {
            });
        }
    }

    /** The same, and then something else, whether it worked or not. */
    void follow(Job job, Runnable then) {
        busy = true;
        Answers.on(threads.ui(),
                Answers.of(() -> Photos.follow(job, home, book), threads.worker()),
                (fetched, e) -> {
                    busy = false;
                    if (fetched == null) {
                        Logger.getLogger(JobPhotos.class.getName())
                                .log(e instanceof BookProblem ? Level.FINE : Level.WARNING, "photos of " + job.id(), e);
                    } else {
                        job.photos().stream().map(p -> at(job, p)).filter(Files::exists).forEach(settled::add);
                        if (fetched > 0) {
                            came.run();
                        }
                    }
                    then.run();
                });
    }

    private Path at(Job job, Photo photo) {
        return Photos.folder(home, job).resolve(photo.file());
    }
}
