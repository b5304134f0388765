package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;

import amberheron.app.demo.DemoBook;
import amberheron.app.palette.FindOrDo;
import amberheron.app.session.Session;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.io.UnusableInput;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;

/** A shop that has used it for ten years: the demo jobs, each many times over under numbers of their own. */
final class BigBook {
    /** Jobs in it. */
    static final int JOBS = 5000;
    private static final int MEASURED = 30;

    private BigBook() {
    }

    /** Makes the book in a folder. */
    static void make(Path home) {
        fill(home);
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + home.resolve("book.db").toUri());
                var statement = connection.createStatement()) {
            statement.execute("with recursive n(i) as (select 1 union all select i + 1 from n where i < " + JOBS / 3
                    + ") insert into job (id, vehicle, revision, changed, document, judged, states, waits, detail, checked, "
                    + "booked, bay, fault, spread) select id || '-' || i, vehicle, revision, changed, "
                    + "replace(document, '\"id\" : \"' || id || '\"', '\"id\" : \"' || id || '-' || i || '\"'), "
                    + "judged, states, waits, detail, checked, booked, bay, fault, spread from job, n");
            statement.execute("update preference set value = 'SB-016-7' where name = 'job'");
        } catch (SQLException e) {
            throw new UnusableInput("benchmark", "",
                    say("the book of %s jobs cannot be made: %s", JOBS, e.getMessage()));
        }
    }

    /** Makes a book of the demo jobs alone. */
    static void fill(Path home) {
        Catalogue catalogue = Catalogue.shipped();
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            DemoBook.fill(book, catalogue, home, LocalDate.now(ZoneId.systemDefault()));
        }
        // Every job is judged as it would be after years of use.
        Session.direct(JobBook.open(home.resolve("book.db")), catalogue, home).close();
    }

    /** Milliseconds: the list of jobs, an answer of find or do, a job opened with all that follows from it. */
    static double[][] measure(Path home) {
        double[][] times = new double[3][MEASURED];
        Random random = new Random(1);
        Catalogue catalogue = Catalogue.shipped();
        try (JobBook book = JobBook.open(home.resolve("book.db"))) {
            for (int i = 0; i < MEASURED; i++) {
                long begun = System.nanoTime();
                List<JobSummary> jobs = book.jobs();
                times[0][i] = since(begun);
                String wanted = "job sb-01" + (4 + i % 3) + "-" + random.nextInt(JOBS / 3);
                begun = System.nanoTime();
                long found = FindOrDo.wanted(
                        jobs.stream().map(j -> new FindOrDo.Hit(say("job"), j.id() + " " + j.vehicle(), "", "", () -> {
                        })).toList(), wanted, List.of()).stream().limit(60).count();
                times[1][i] = since(begun);
                String id = jobs.get(random.nextInt(jobs.size())).id();
                begun = System.nanoTime();
                new JobReview(book.load(id).orElseThrow().document().job(),
                        amberheron.core.job.Shop.of(catalogue.laws()));
                times[2][i] = found < 0 ? Double.NaN : since(begun);
            }
        }
        return times;
    }

    private static double since(long begun) {
        return (System.nanoTime() - begun) / 1e6;
    }
}
