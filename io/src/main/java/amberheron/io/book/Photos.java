package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import amberheron.io.JobNumber;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Photos kept with a job: copied beside the book and known by their digest; where bays share a book, carried through it.
 */
public final class Photos {
    private static final long MOST_BYTES = 40L << 20;

    private Photos() {
    }

    /** Returns the folder of a job's photos. */
    public static Path folder(Path home, Job job) {
        return home.resolve("photos").resolve(JobNumber.stem(job.id()));
    }

    /** A photo of a job as it lies here; empty where it is not here, or too large to be carried. */
    public static Optional<byte[]> beside(Path home, Job job, Photo photo) {
        Path file = TextFiles.path(photo.file());
        Path here = folder(home, job).resolve(file);
        try {
            return photo.file().equals(TextFiles.name(file)) && Files.isRegularFile(here)
                    && Files.size(here) <= MOST_BYTES ? Optional.of(Files.readAllBytes(here)) : Optional.empty();
        } catch (IOException e) {
            Logger.getLogger(Photos.class.getName()).log(Level.WARNING, "cannot be read: " + here, e);
            return Optional.empty();
        }
    }

    /**
     * Puts into the book what it lacks of a job's photos, and fetches what lies in it and not here.
     *
     * @return how many were fetched
     * @throws amberheron.io.book.BookProblem when the book does not answer; to be asked again
     * @throws UnusableInput when the folder cannot be written
     */
    public static int follow(Job job, Path home, OpenBook book) {
        Path folder = folder(home, job);
        int fetched = 0;
        for (Photo photo : job.photos()) {
            Path file = TextFiles.path(photo.file());
            if (!photo.file().equals(TextFiles.name(file))) {
                // Another bay's words do not lead out of the folder.
                continue;
            }
            Path here = folder.resolve(file);
            try {
                if (!Files.exists(here)) {
                    Optional<byte[]> there = book.photo(photo.digest())
                            .filter(b -> TextFiles.digest(b).equals(photo.digest()));
                    if (there.isPresent()) {
                        TextFiles.replace(here, there.get());
                        fetched++;
                    }
                } else {
                    share(photo, here, book);
                }
            } catch (IOException e) {
                throw unkept(folder, e);
            }
        }
        return fetched;
    }

    /**
     * Puts a photo that lies here into a book that bays share; one that does not answer gets it by {@link #follow}.
     *
     * @throws UnusableInput when it cannot be read
     */
    public static void offer(Photo photo, Path folder, OpenBook book) {
        try {
            share(photo, folder.resolve(photo.file()), book);
        } catch (BookProblem e) {
            Logger.getLogger(Photos.class.getName()).log(Level.FINE, "the photo goes in later", e);
        } catch (IOException e) {
            throw unkept(folder, e);
        }
    }

    private static void share(Photo photo, Path here, OpenBook book) throws IOException {
        if (book.lacks(photo.digest()) && Files.size(here) <= MOST_BYTES) {
            byte[] bytes = Files.readAllBytes(here);
            if (TextFiles.digest(bytes).equals(photo.digest())) {
                book.keep(photo.digest(), bytes);
            }
        }
    }

    private static UnusableInput unkept(Path folder, IOException why) {
        return new UnusableInput(folder.toString(), "",
                say("the photo cannot be kept: %s; expected a folder with room", TextFiles.reason(why)));
    }

    /**
     * Copies a JPEG or PNG file into a folder. One of the same name and another content gets a number.
     *
     * @throws UnusableInput when it is no such file, or the folder cannot be written
     */
    public static Photo keep(String typed, Path folder) {
        Path file = TextFiles.path(typed);
        byte[] bytes = TextFiles.bytes(file, MOST_BYTES);
        boolean jpeg = bytes.length > 3 && (bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xD8;
        boolean png = bytes.length > 8 && (bytes[0] & 0xFF) == 0x89 && bytes[1] == 'P' && bytes[2] == 'N'
                && bytes[3] == 'G';
        if (!jpeg && !png) {
            throw new UnusableInput(TextFiles.name(file), "", say("is no picture, expected a JPEG or PNG file"));
        }
        String digest = TextFiles.digest(bytes);
        try {
            String name = TextFiles.name(file);
            Path target = folder.resolve(name);
            for (int n = 2; Files.exists(target) && !digest.equals(TextFiles.digest(Files.readAllBytes(target))); n++) {
                int dot = name.lastIndexOf('.');
                target = folder
                        .resolve(dot < 0 ? name + "-" + n : name.substring(0, dot) + "-" + n + name.substring(dot));
            }
            TextFiles.replace(target, bytes);
            return new Photo(TextFiles.name(target), digest, "");
        } catch (IOException e) {
            throw unkept(folder, e);
        }
    }
}
