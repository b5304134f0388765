package amberheron.io.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.freeair.CoachStep;
import amberheron.core.freeair.Coaching;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.io.JobNumber;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JobBookTest {
    /** Enough to meet every moment of a save in a few runs; -Dkills=1000 is the long campaign. */
    private static final int KILLS = Integer.getInteger("kills", 3);

    @TempDir
    private Path folder = Path.of("");

    private Path file() {
        return folder.resolve("book.db");
    }

    static JobDocument job(String id, String vehicle) {
        Job empty = Job.empty(id);
        return JobDocument.of(empty.withIntake(empty.intake().withVehicle(vehicle)));
    }

    @Test
    void jobsAndPreferencesComeBack() {
        try (JobBook book = JobBook.open(file())) {
            book.add(job("B", "second"));
            book.add(job("A", "first"));
            book.prefer("mixture", "afr");
            book.prefer("mixture", "lambda");
        }
        try (JobBook book = JobBook.open(file())) {
            assertThat(book.jobs()).extracting(JobSummary::id).containsExactly("A", "B");
            assertThat(book.load("A").orElseThrow().document().job().intake().vehicle()).isEqualTo("first");
            assertThat(book.load("C")).isEmpty();
            assertThat(book.preferences()).containsExactly(java.util.Map.entry("mixture", "lambda"));
            assertThatThrownBy(() -> book.add(job("A", "again"))).hasMessageContaining("has a job A already");
        }
    }

    @Test
    void twoThatChangeOneJobDoNotOverwriteEachOther() {
        try (JobBook here = JobBook.open(file()); JobBook there = JobBook.open(file())) {
            long seen = here.add(job("A", "before")).revision();
            there.save(job("A", "theirs"), seen);
            assertThatThrownBy(() -> here.save(job("A", "ours"), seen)).isInstanceOf(BookProblem.class)
                    .hasMessageContaining("changed elsewhere");
            assertThat(here.load("A").orElseThrow().document().job().intake().vehicle()).isEqualTo("theirs");
        }
    }

    /**
     * Kills a program that calibrates at random moments: whatever it was told is saved must be there, and a calibration that
     * was under way says where it was.
     */
    @Test
    void nothingAcknowledgedIsLostByAKill() throws IOException, InterruptedException {
        Random random = new Random();
        long acknowledged = 0;
        int midway = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            acknowledged = BookWriter.killed(BookWriter.start(file().toString(), folder), 1 + random.nextInt(60));
            try (JobBook book = JobBook.open(file())) {
                JobBook.Kept kept = book.load("K").orElseThrow();
                assertThat(kept.revision()).as("after kill %d", kill).isGreaterThanOrEqualTo(acknowledged);
                Job job = kept.document().job();
                Coaching left = job.air().coaching();
                assertThat(job.intake().vehicle()).isEqualTo("entry " + kept.revision() + " " + left.step());
                Coaching opened = BookWriter.opened(job, left.since().plusSeconds(1)).now();
                if (left.step().underWay()) {
                    midway++;
                    assertThat(opened).extracting(Coaching::step, Coaching::trouble, Coaching::from)
                            .containsExactly(CoachStep.STOPPED, Coaching.Trouble.LEFT, left.step());
                }
            }
        }
        assertThat(acknowledged).isGreaterThan(KILLS);
        assertThat(midway).as("killed while a calibration was under way").isPositive();
    }

    /** The list of jobs is answered from columns that every save keeps; a job nobody has looked at says so. */
    @Test
    void theListIsAnsweredWithoutReadingAJob() {
        try (JobBook book = JobBook.open(file())) {
            JobSummary summary = JobSummary.of(new JobReview(job("A", "van").job(), Shop.of(List.of())));
            long revision = book.add(job("A", "van"), new JobBook.Judged(summary, "ours")).revision();
            book.add(job("B", "unseen"));
            assertThat(book.jobs()).containsExactly(summary, JobSummary.unseen("B", "unseen"));
            assertThat(book.unjudged("ours")).containsExactly("B");
            assertThat(book.unjudged("other schools")).containsExactly("A", "B");
            book.judge(new JobBook.Judged(summary, "other schools"), revision - 1);
            assertThat(book.unjudged("other schools")).as("changed meanwhile: that judgement is old").contains("A");
            book.judgeUnreadable("B", "it is torn", "ours");
            assertThat(book.jobs().getLast().fault()).isEqualTo("it is torn");
            String plan = book.with(h -> h.createQuery("explain query plan select " + JobRow.LISTED + " from job")
                    .map((row, context) -> row.getString("detail")).one());
            assertThat(plan).as("nor reading past one").contains("COVERING INDEX");
        }
    }

    /** A flipped bit inside a document that still parses would be a false figure: it is seen. */
    @Test
    void aFlippedBitIsSeen() throws SQLException {
        try (JobBook book = JobBook.open(file());
                var other = DriverManager.getConnection("jdbc:sqlite:" + file());
                var statement = other.createStatement()) {
            book.add(job("A", "van"));
            statement.execute("update job set document = replace(document, '\"van\"', '\"vao\"')");
            assertThatThrownBy(() -> book.load("A")).isInstanceOf(BookProblem.class)
                    .hasMessageContainingAll("not as it was kept", "copies");
        }
    }

    /** One copy a day stands beside the book, whole and readable by its owner only. */
    @Test
    void aDailyCopyStandsBesideTheBook() throws IOException {
        try (JobBook book = JobBook.open(file())) {
            book.add(job("A", "van"));
            for (int day = 1; day <= 24; day++) {
                book.copy(LocalDate.of(2026, 6, day));
            }
            book.save(job("A", "later"), 1);
            book.copy(LocalDate.of(2026, 6, 24));
        }
        Path copy = folder.resolve("copies/book-2026-06-24.db");
        assertThat(folder.resolve("copies").toFile().list()).as("the last fourteen days, and of each week its last")
                .hasSize(14 + 1).contains("book-2026-06-07.db", "book-2026-06-11.db")
                .doesNotContain("book-2026-06-10.db", "book-2026-06-01.db");
        assertThat(Files.getPosixFilePermissions(folder.resolve("copies")))
                .isEqualTo(PosixFilePermissions.fromString("rwx------"));
        assertThat(Files.getPosixFilePermissions(copy)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        assertThat(Files.getPosixFilePermissions(file())).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        try (JobBook book = JobBook.open(copy)) {
            assertThat(book.load("A").orElseThrow().document().job().intake().vehicle()).isEqualTo("van");
        }
    }

    @Test
    void anyPathIsTheBooksOwn() {
        Path odd = folder.resolve("what? a #1 50% book.db");
        try (JobBook book = JobBook.open(odd)) {
            book.add(job("A", "van"));
        }
        assertThat(odd).isNotEmptyFile();
        assertThat(folder.toFile().list()).allMatch(f -> f.startsWith("what? a #1 50% book.db"));
    }

    @Test
    void anotherProgramsDatabaseIsLeftAsItIs() throws SQLException, IOException {
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file());
                var statement = connection.createStatement()) {
            statement.execute("create table recipe (cake text)");
        }
        byte[] before = Files.readAllBytes(file());
        assertThatThrownBy(() -> JobBook.open(file())).isInstanceOf(BookProblem.class)
                .hasMessageContainingAll("another program's database", "recipe", "left as it is");
        assertThat(file()).hasBinaryContent(before);
    }

    @Test
    void aSchemaThatIsNoNumberIsSaid() throws SQLException {
        JobBook.open(file()).close();
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file());
                var statement = connection.createStatement()) {
            statement.execute("update flyway_schema_history set version = '1.1'");
        }
        assertThatThrownBy(() -> JobBook.open(file())).isInstanceOf(BookProblem.class)
                .hasMessageContainingAll("“1.1”", "left as it is");
    }

    /** Two numbers that fold to one folder would overwrite each other's packs. */
    @Test
    void twoJobsWhoseFilesWouldBeOneAreKeptApart() {
        try (JobBook book = JobBook.open(file())) {
            book.add(job("SB/1", "first"));
            assertThatThrownBy(() -> book.add(job("sb_1", "second"))).isInstanceOf(BookProblem.class)
                    .hasMessageContainingAll("would overwrite", "SB/1");
        }
        assertThatThrownBy(() -> JobNumber.of("..")).hasMessageContaining("expected 1 to 40 characters");
        assertThat(JobNumber.stem("..")).isEqualTo("_.");
    }

    @Test
    void whatIsNotABookIsLeftAsItIs() throws IOException {
        Files.writeString(file(), "Dear diary, today I fitted a sensor.");
        assertThatThrownBy(() -> JobBook.open(file())).isInstanceOf(BookProblem.class)
                .hasMessageContainingAll("not a job book", "left as it is");
        assertThat(file()).hasContent("Dear diary, today I fitted a sensor.");
    }

    @Test
    void aDamagedBookIsLeftAsItIs() throws IOException {
        try (JobBook book = JobBook.open(file())) {
            for (int i = 0; i < 40; i++) {
                book.add(job("J" + i, "x".repeat(2000)));
            }
        }
        byte[] whole = Files.readAllBytes(file());
        byte[] damaged = java.util.Arrays.copyOf(whole, whole.length * 2 / 3);
        new Random(1).ints(2000, 200, damaged.length).forEach(i -> damaged[i] = (byte) 0xA5);
        Files.write(file(), damaged);
        assertThatThrownBy(() -> JobBook.open(file())).isInstanceOf(BookProblem.class)
                .hasMessageContainingAll("damaged", "left as it");
        assertThat(file()).hasBinaryContent(damaged);
    }

    @Test
    void aBookOfANewerVersionIsLeftAsItIs() throws SQLException {
        JobBook.open(file()).close();
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file());
                var statement = connection.createStatement()) {
            statement.execute("update flyway_schema_history set version = '99'");
        }
        assertThatThrownBy(() -> JobBook.open(file())).hasMessageContainingAll("newer version", "99");
    }

    @Test
    void aLockedBookSaysWhoToAskAndKeepsWhatItHad() throws SQLException {
        try (JobBook book = JobBook.open(file());
                var other = DriverManager.getConnection("jdbc:sqlite:" + file());
                var statement = other.createStatement()) {
            long revision = book.add(job("A", "before")).revision();
            statement.execute("begin immediate");
            assertThatThrownBy(() -> book.save(job("A", "after"), revision)).isInstanceOf(BookProblem.class)
                    .hasMessageContaining("in use by another program");
            statement.execute("rollback");
            assertThat(book.save(job("A", "after"), revision)).as("the same entry goes in once it is free")
                    .isEqualTo(revision + 1);
        }
    }

    /** The disk is made full by bounding the file's pages. */
    @Test
    void aFullDiskIsSaidAndKeepsWhatItHad() {
        try (JobBook book = JobBook.open(file())) {
            long revision = book.add(job("A", "before")).revision();
            book.with(h -> h.execute("pragma max_page_count = 1"));
            assertThatThrownBy(() -> book.save(job("A", "x".repeat(500_000)), revision))
                    .isInstanceOf(BookProblem.class).hasMessageContaining("disk is full");
            assertThat(book.load("A").orElseThrow().document().job().intake().vehicle()).isEqualTo("before");
        }
    }
}
