package amberheron.io.book;

import static amberheron.io.book.JobBookTest.job;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import amberheron.core.finding.Photo;
import amberheron.core.job.Job;
import amberheron.io.TextFiles;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Coming back from a copy, and noticing that one has to. */
class BookCopiesTest {
    /** Enough to meet every kind of damage; -Ddamages=2000 is the long campaign. */
    private static final int DAMAGES = Integer.getInteger("damages", 16);
    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

    @TempDir
    private Path folder = Path.of("");

    private Path file() {
        return folder.resolve("book.db");
    }

    private static void quiet(double part) {
        // Nobody waits for it.
    }

    private static String vehicle(OpenBook book, String id) {
        return book.load(id).orElseThrow().document().job().intake().vehicle();
    }

    private static void flip(Path book) throws SQLException {
        try (var other = DriverManager.getConnection("jdbc:sqlite:" + book);
                var statement = other.createStatement()) {
            statement.execute("update job set document = replace(document, '\"van\"', '\"vao\"') where id = 'A'");
        }
    }

    /** A bit that the disk has flipped passes the database's own check; the last copy without it stays, however long it takes. */
    @Test
    void aDamagedJobDoesNotRotateTheLastGoodCopyAway() throws SQLException {
        Path good = folder.resolve("copies/book-" + DAY.plusDays(2) + ".db");
        try (JobBook book = JobBook.open(file())) {
            book.add(job("A", "van"));
            book.add(job("B", "trike"));
            IntStream.range(0, 3).forEach(d -> book.copy(DAY.plusDays(d)));
            flip(file());
            for (int d = 3; d < 22; d++) {
                LocalDate day = DAY.plusDays(d);
                assertThatThrownBy(() -> book.copy(day)).isInstanceOf(BookProblem.class)
                        .hasMessageContainingAll("Damaged in the book", "A", "heron book restore", good.toString());
            }
            assertThat(folder.resolve("copies").toFile().list()).contains("book-2026-06-01.db", "book-2026-06-02.db",
                    "book-2026-06-03.db", "book-2026-06-22-damaged.db").hasSize(3 + 3);
            assertThat(Transfer.restore(good, book, "A"::equals, BookCopiesTest::quiet).carried()).containsExactly("A");
            assertThat(vehicle(book, "A")).isEqualTo("van");
            book.copy(DAY.plusDays(30));
        }
        assertThat(folder.resolve("copies")).isDirectoryContaining("glob:**book-2026-07-01.db");
    }

    /** Days, weeks and months: of ten years of copies forty stay at most, the first day of none is the only one to go. */
    @Test
    void thinningKeepsDaysWeeksAndMonths() {
        List<LocalDate> tenYears = IntStream.range(0, 3650).mapToObj(DAY::plusDays).toList();
        Set<LocalDate> kept = BookCopies.kept(tenYears);
        LocalDate last = tenYears.getLast();
        assertThat(kept).hasSizeBetween(14 + 6 + 20, 14 + 8 + 24);
        assertThat(kept).contains(last, last.minusDays(13), LocalDate.of(2035, 12, 31), LocalDate.of(2034, 6, 30))
                .doesNotContain(LocalDate.of(2034, 4, 30), last.minusDays(200));
        assertThat(BookCopies.kept(List.of(DAY))).containsExactly(DAY);
    }

    /** As on a stick: nothing may be written, neither the backup nor its folder. */
    @Test
    void aBackupIsOnlyRead() throws IOException {
        Path stick = Files.createDirectory(folder.resolve("stick"));
        Path backup = stick.resolve("backup.db");
        try (JobBook own = JobBook.open(file())) {
            own.add(job("A", "van"));
            assertThat(Transfer.backup(own, backup, (j, p) -> Optional.empty(), BookCopiesTest::quiet).said())
                    .startsWith("1 job carried and read back");
        }
        Files.setPosixFilePermissions(backup, PosixFilePermissions.fromString("r--r--r--"));
        Files.setPosixFilePermissions(stick, PosixFilePermissions.fromString("r-xr-xr-x"));
        byte[] before = Files.readAllBytes(backup);
        String[] there = stick.toFile().list();
        try (JobBook other = JobBook.open(folder.resolve("other.db"))) {
            assertThat(Transfer.restore(backup, other, id -> false, BookCopiesTest::quiet).carried())
                    .containsExactly("A");
            other.save(job("A", "blue van"), 1);
            assertThat(Transfer.restore(backup, other, id -> false, BookCopiesTest::quiet).said())
                    .contains("A was left as it is: changed 20", "this one is newer");
            assertThat(vehicle(other, "A")).isEqualTo("blue van");
        }
        assertThat(backup).hasBinaryContent(before);
        assertThat(stick.toFile().list()).isEqualTo(there);
        Files.setPosixFilePermissions(stick, PosixFilePermissions.fromString("rwx------"));
    }

    /** Out of a backup that the disk has damaged comes what is as it was kept, or nothing; the book has all it had. */
    @Test
    void aDamagedBackupGivesBackOnlyWhatIsWhole() throws IOException {
        Path backup = folder.resolve("backup.db");
        Random random = new Random(11);
        try (JobBook own = JobBook.open(file())) {
            for (int i = 0; i < 6; i++) {
                own.add(job("J" + i, "van " + i));
            }
            Transfer.backup(own, backup, (j, p) -> Optional.empty(), BookCopiesTest::quiet);
        }
        byte[] whole = Files.readAllBytes(backup);
        int leftOut = 0;
        for (int i = 0; i < DAMAGES; i++) {
            byte[] bytes = whole.clone();
            for (int n = 0; n < 1 + i % 4; n++) {
                bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
            }
            Path damaged = Files.write(folder.resolve("damaged.db"), bytes);
            Files.deleteIfExists(folder.resolve("into.db"));
            try (JobBook into = JobBook.open(folder.resolve("into.db"))) {
                into.add(job("MINE", "mine"));
                try {
                    leftOut += Transfer.restore(damaged, into, id -> true, BookCopiesTest::quiet).damaged().size();
                } catch (BookProblem e) {
                    leftOut++;
                    assertThat(e.getMessage()).as("damage %d", i).contains(damaged.toString())
                            .doesNotContain("heron-restore");
                }
                assertThat(vehicle(into, "MINE")).isEqualTo("mine");
                into.jobs().stream().filter(j -> !j.id().equals("MINE")).forEach(
                        j -> assertThat(vehicle(into, j.id())).isEqualTo("van " + j.id().substring(1)));
            }
        }
        assertThat(leftOut).as("the damage was felt").isPositive();
    }

    /** Photos lie beside a book in a file: its backup holds them, and says which it does not. */
    @Test
    void aBackupHoldsThePhotosThatLieBesideTheBook() {
        byte[] picture = {1, 2, 3};
        Photo there = new Photo("bung.png", TextFiles.digest(picture), "");
        Photo gone = new Photo("loom.png", TextFiles.digest(new byte[]{4}), "");
        Path backup = folder.resolve("backup.db");
        try (JobBook own = JobBook.open(file())) {
            Job job = job("A", "van").job();
            own.add(JobDocument.of(job.withPlacing(
                    job.placing().withFitted(job.placing().fitted().withPhotos(List.of(there, gone))))));
            Transfer done = Transfer.backup(own, backup,
                    (j, p) -> p.equals(there) ? Optional.of(picture) : Optional.empty(), BookCopiesTest::quiet);
            assertThat(done.whole()).isFalse();
            assertThat(done.said()).contains("Photos that were not found, and are not in it: loom.png of A");
        }
        assertThat(folder.toFile().list()).contains("backup.db").noneMatch(f -> f.contains("unfinished"));
        try (JobBook other = JobBook.open(folder.resolve("other.db"))) {
            Transfer.restore(backup, other, id -> false, BookCopiesTest::quiet);
            assertThat(other.photo(there.digest())).hasValue(picture);
        }
    }

    @Test
    void whatIsNoBackupIsRefusedAndLeftAsItIs() throws IOException, SQLException {
        Path empty = Files.createFile(folder.resolve("empty.db"));
        Path other = folder.resolve("other.db");
        try (var made = DriverManager.getConnection("jdbc:sqlite:" + other); var statement = made.createStatement()) {
            statement.execute("create table tyres (size text)");
        }
        byte[] before = Files.readAllBytes(other);
        try (JobBook book = JobBook.open(file())) {
            assertThatThrownBy(() -> Transfer.restore(empty, book, id -> false, BookCopiesTest::quiet))
                    .isInstanceOf(BookProblem.class).hasMessageContainingAll(empty + " is empty", "left as it is");
            assertThatThrownBy(() -> Transfer.restore(other, book, id -> false, BookCopiesTest::quiet))
                    .isInstanceOf(BookProblem.class)
                    .hasMessageContainingAll(other.toString(), "without a table of jobs", "left as it is");
            assertThatThrownBy(() -> Transfer.restore(folder, book, id -> false, BookCopiesTest::quiet))
                    .hasMessageContaining("There is no file");
        }
        assertThat(empty).isEmptyFile();
        assertThat(other).hasBinaryContent(before);
    }

    /**
     * A program that was killed leaves what it entered last in the write-ahead log. Whatever happens to that: each job is
     * there, or it is said that some is missing and all of it is set aside; it is said once, and all goes on.
     */
    @Test
    void aDamagedLogIsNotDroppedWithoutAWord() throws IOException {
        Path killed = Files.createDirectory(folder.resolve("killed"));
        try (JobBook book = JobBook.open(file())) {
            for (String id : List.of("A", "B", "C")) {
                book.add(job(id, "van"));
            }
            for (String part : List.of("book.db", "book.db-wal", "book.db-count")) {
                Files.copy(folder.resolve(part), killed.resolve(part));
            }
        }
        byte[] log = Files.readAllBytes(killed.resolve("book.db-wal"));
        Random random = new Random(7);
        int lost = 0;
        for (int i = 0; i < DAMAGES; i++) {
            Path home = Files.createDirectory(folder.resolve("found-" + i));
            for (String part : List.of("book.db", "book.db-count")) {
                Files.copy(killed.resolve(part), home.resolve(part));
            }
            byte[] found = i % 4 == 0 ? java.util.Arrays.copyOf(log, random.nextInt(log.length)) : log.clone();
            if (i % 4 != 0) {
                found[i % 4 == 1 ? random.nextInt(32) : random.nextInt(log.length)] ^= (byte) (1 << random.nextInt(8));
            }
            if (i % 10 != 0) {
                Files.write(home.resolve("book.db-wal"), found);
            }
            try (JobBook book = JobBook.open(home.resolve("book.db"))) {
                int jobs = book.jobs().size();
                if (jobs < 3) {
                    lost++;
                    assertThat(book.said()).as("damage %d", i)
                            .hasValueSatisfying(s -> assertThat(s).contains("has lost the last", "set aside in"));
                    Path aside = folder.resolve("found-" + i).resolve("set-aside");
                    try (var kept = Files.walk(aside)) {
                        List<Path> logs = kept.filter(f -> f.endsWith("book.db-wal")).toList();
                        assertThat(logs).hasSize(i % 10 == 0 || found.length == 0 ? 0 : 1)
                                .allSatisfy(f -> assertThat(f).hasBinaryContent(found));
                    }
                } else {
                    assertThat(jobs).isEqualTo(3);
                }
                book.add(job("D", "goes on"));
            } catch (BookProblem e) {
                assertThat(e).as("damage %d", i).hasMessageContaining("damaged");
            }
            try (JobBook book = JobBook.open(home.resolve("book.db"))) {
                assertThat(book.said()).as("said once").isEmpty();
                assertThat(book.load("D")).isPresent();
            }
        }
        assertThat(lost).as("the damage was felt").isGreaterThan(DAMAGES / 3);
    }
}
