package amberheron.app.session;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import amberheron.io.book.BookProblem;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Photos;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.logging.Logger;

/** The open job's photos follow it from bay to bay, off the screen's thread. Used on the screen's thread. */
public final class JobPhotos {
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

    /**
     * Copies a photo to the job's folder, off the screen's thread; the job it was attached to may no longer be open by
     * then.
     */
    public static void attach(Session session, String typed, Function<Job, List<Photo>> read,
            BiFunction<Job, List<Photo>, Job> write) {
        Path folder = Photos.folder(session.home(), session.job());
        session.background().intoJob(say("Attaching"), progress -> {
            Photo kept = Photos.keep(typed, folder);
            Photos.offer(kept, folder, session.book());
            return kept;
        },
                (job, photo) -> say("%s was kept, but %s is no longer open; attach it there again.", photo.file(), job),
                photo -> {
                    session.edit(say("photo %s", photo.file()), j -> {
                        List<Photo> photos = new ArrayList<>(read.apply(j));
                        photos.removeIf(p -> p.file().equals(photo.file()));
                        photos.add(photo);
                        return write.apply(j, photos);
                    });
                    return say("%s is kept in %s.", photo.file(), folder);
                });
    }
}
