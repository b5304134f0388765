package amberheron.io.book;

import amberheron.core.job.Job;
import amberheron.io.json.JobDocument;
import java.nio.file.Path;

/** A program that writes to a book as fast as it can and says what was acknowledged, to be killed in the middle. */
final class BookWriter {
    private BookWriter() {
    }

    /** Arguments: the book's file. */
    public static void main(String[] args) {
        try (JobBook book = JobBook.open(Path.of(args[0]))) {
            JobBook.Kept kept = book.load("K").orElseGet(() -> book.add(JobDocument.of(Job.empty("K"))));
            long revision = kept.revision();
            while (true) {
                Job job = kept.document().job();
                revision = book.save(
                        kept.document().with(job.withIntake(job.intake().withVehicle("entry " + (revision + 1)))),
                        revision);
                System.out.println(revision);
            }
        }
    }
}
