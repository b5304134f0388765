package amberheron.io.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import amberheron.core.freeair.SensorLife;
import amberheron.core.freeair.SensorNote;
import amberheron.core.job.Job;
import amberheron.core.job.JobSummary;
import amberheron.io.json.EntryKey;
import amberheron.io.json.JobDocument;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever statement fails: one line in plain words, and neither it nor the log has anything that was in the book. */
class NothingSaidTest {
    private static final String SECRET = "customer's van 4711";

    /** The first is where what was thrown is written, as the window does. */
    private static final List<Logger> LOGGERS = Stream
            .of("heron.test", "amberheron", "org.postgresql", "org.jdbi", "org.flywaydb", "org.sqlite")
            .map(Logger::getLogger).toList();

    @TempDir
    private Path home = Path.of("");

    private static JobDocument job() {
        Job empty = Job.empty("A");
        return JobDocument.of(empty.withIntake(empty.intake().withVehicle(SECRET)));
    }

    private static Map<String, Runnable> acts(OpenBook book) {
        SensorNote note = new SensorNote(LocalDate.EPOCH, SensorNote.Kind.GAIN, 0.4711, SECRET);
        Map<String, Runnable> all = new LinkedHashMap<>();
        all.put("list", book::jobs);
        all.put("some", () -> book.jobs(List.of(SECRET)));
        all.put("load", () -> book.load(SECRET));
        all.put("add", () -> book.add(job(), null, List.of(new EntryKey(SECRET, 1))));
        all.put("save", () -> book.save(job(), null, 1, List.of(new EntryKey(SECRET, 2))));
        all.put("judge", () -> book.judge(new JobBook.Judged(JobSummary.unseen("A", SECRET), SECRET), 1));
        all.put("unreadable", () -> book.judgeUnreadable("A", SECRET, SECRET));
        all.put("unjudged", () -> book.unjudged(SECRET));
        all.put("photo", () -> book.photo(SECRET));
        all.put("keep", () -> book.keep(SECRET, SECRET.getBytes(StandardCharsets.UTF_8)));
        all.put("prefer", () -> book.prefer("school." + SECRET, SECRET));
        all.put("preferences", book::preferences);
        all.put("note", () -> book.note(List.of(new SensorLife(SECRET, List.of(note)))));
        all.put("forget", () -> book.forget(SECRET, note));
        all.put("lives", book::lives);
        all.put("taken", () -> book.taken(SECRET, List.of(new EntryKey(SECRET, 1))));
        return all;
    }

    private static String log(Runnable work) {
        StringBuilder all = new StringBuilder();
        Handler handler = new Handler() {
            @Override
            public void publish(LogRecord record) {
                synchronized (all) {
                    all.append(new SimpleFormatter().format(record));
                }
            }

            @Override
            public void flush() {
                // Nothing waits.
            }

            @Override
            public void close() {
                // Nothing is open.
            }
        };
        LOGGERS.forEach(logger -> logger.addHandler(handler));
        try {
            work.run();
        } finally {
            LOGGERS.forEach(logger -> logger.removeHandler(handler));
        }
        return all.toString();
    }

    private static void everyStatementFails(OpenBook book, Connection past, List<String> breaking) throws SQLException {
        book.add(job());
        Map<String, Runnable> acts = acts(book);
        try (var statement = past.createStatement()) {
            for (String each : breaking) {
                statement.execute(each);
            }
        }
        Logger logger = LOGGERS.getFirst();
        logger.setUseParentHandlers(false);
        acts.forEach((name, act) -> {
            Throwable[] thrown = new Throwable[1];
            String log = log(() -> {
                thrown[0] = catchThrowable(act::run);
                logger.log(Level.WARNING, "not done", thrown[0]);
            });
            assertThat(thrown[0]).as(name).isInstanceOf(BookProblem.class);
            assertThat(thrown[0].getMessage()).as(name).hasSizeLessThan(260)
                    .doesNotContain("\n", SECRET, "select", "insert")
                    .contains("missing, or was changed by hand");
            assertThat(log).as("the log of " + name).doesNotContain(SECRET, "4711", "intake");
        });
    }

    @Test
    void ofABookInAFile() throws SQLException {
        Path file = home.resolve("book.db");
        try (JobBook book = JobBook.open(file); Connection past = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            everyStatementFails(book, past, List.of("alter table job rename to job_", "alter table photo rename to p_",
                    "alter table preference rename to r_", "alter table sensor_note rename to s_",
                    "alter table entered rename to e_"));
        }
    }

    @Test
    void ofABookOnAServer() throws Exception {
        try (Server server = new Server();
                JobBook book = JobBook.on(new PostgresServer(server.address()));
                Connection past = server.admin()) {
            everyStatementFails(book, past, List.of("alter table job drop column document, drop column judged, "
                    + "drop column id cascade", "alter table photo rename to p_", "alter table preference rename to r_",
                    "alter table sensor_note rename to s_", "alter table entered rename to e_"));
        }
    }
}
