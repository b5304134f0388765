package amberheron.io.book;

import static amberheron.core.units.Phrase.say;

import amberheron.io.PrivateFile;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Copies of a book in a file, one for each day. Each is read through before an older one is deleted. A copy with damaged
 * jobs that the copy before has whole is kept beside the others, and none is deleted for it.
 */
final class BookCopies {
    private static final Pattern NAME = Pattern.compile("book-(\\d{4}-\\d{2}-\\d{2})\\.db");
    private static final int DAYS = 14;
    private static final int WEEKS = 8;
    private static final int MONTHS = 24;
    private static final int DAMAGED = 3;

    private final Path folder;
    private final Connecting connecting;

    /** Opens a database for reading. */
    interface Connecting {
        Connection to(Path file) throws SQLException;
    }

    /** Writes the book into an empty file. */
    interface Writing {
        void into(Path file) throws SQLException, IOException;
    }

    BookCopies(Path folder, Connecting connecting) {
        this.folder = folder;
        this.connecting = connecting;
    }

    @Override
    public String toString() {
        return folder.toString();
    }

    /**
     * Makes the copy of a day, unless there is one.
     *
     * @throws BookProblem when the book has jobs that are damaged and were whole in the copy before
     */
    void make(LocalDate day, Writing book) throws IOException, SQLException {
        Path copy = folder.resolve("book-" + day + ".db");
        if (Files.exists(copy)) {
            return;
        }
        PrivateFile.folder(folder);
        Path half = folder.resolve("book-" + day + ".db.part");
        Files.deleteIfExists(half);
        PrivateFile.create(half);
        book.into(half);
        Set<String> damaged = damaged(half);
        Optional<Path> before = all().stream().findFirst();
        if (!damaged.isEmpty() && before.isPresent()) {
            damaged.removeAll(damaged(before.get()));
        }
        if (damaged.isEmpty()) {
            Files.move(half, copy);
            thin();
            return;
        }
        Path kept = folder.resolve("book-" + day + "-damaged.db");
        Files.move(half, kept, StandardCopyOption.REPLACE_EXISTING);
        keepNewest(kept);
        throw new BookProblem(say("Damaged in the book, and so in today's copy: %s. No older copy was dropped for it. ",
                String.join(", ", damaged))
                + before.map(b -> say("They are whole in %s: heron book restore %s --over %s", b, b,
                        String.join(" ", damaged)))
                        .orElse(say("The damaged copy is %s.", kept)));
    }

    /** The copies that count, the newest first. */
    private List<Path> all() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> day(f).isPresent()).sorted(Comparator.reverseOrder()).toList();
        }
    }

    private static Optional<LocalDate> day(Path copy) {
        Matcher name = NAME.matcher(TextFiles.name(copy));
        try {
            return name.matches() ? Optional.of(LocalDate.parse(name.group(1))) : Optional.empty();
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private void keepNewest(Path kept) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path old : files.filter(f -> TextFiles.name(f).endsWith("-damaged.db") && !f.equals(kept))
                    .sorted(Comparator.reverseOrder()).skip(DAMAGED - 1).toList()) {
                Files.delete(old);
            }
        }
    }

    private void thin() throws IOException {
        List<LocalDate> days = all().stream().flatMap(f -> day(f).stream()).toList();
        Set<LocalDate> kept = kept(days);
        for (LocalDate day : days) {
            if (!kept.contains(day)) {
                Files.delete(folder.resolve("book-" + day + ".db"));
            }
        }
    }

    /**
     * Returns the days to keep: the last fourteen, the last of each of the last eight weeks and of the last twenty-four
     * months.
     */
    static Set<LocalDate> kept(List<LocalDate> days) {
        List<LocalDate> newest = days.stream().sorted(Comparator.reverseOrder()).toList();
        Set<LocalDate> kept = new HashSet<>(newest.stream().limit(DAYS).toList());
        kept.addAll(lastOfEach(newest, d -> d.get(IsoFields.WEEK_BASED_YEAR) * 100
                + d.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR), WEEKS));
        kept.addAll(lastOfEach(newest, YearMonth::from, MONTHS));
        return kept;
    }

    private static List<LocalDate> lastOfEach(List<LocalDate> newest, Function<LocalDate, Object> span, int most) {
        Set<Object> seen = new HashSet<>();
        List<LocalDate> last = new ArrayList<>();
        for (LocalDate day : newest) {
            if (seen.add(span.apply(day)) && last.size() < most) {
                last.add(day);
            }
        }
        return last;
    }

    /** Numbers of the jobs whose document is not the one that was kept, or cannot be read; each is parsed. */
    private Set<String> damaged(Path copy) throws SQLException {
        Set<String> damaged = new TreeSet<>();
        try (Connection read = connecting.to(copy);
                var statement = read.createStatement();
                var rows = statement.executeQuery("select id, document, digest from job")) {
            while (rows.next()) {
                if (Thread.currentThread().isInterrupted()) {
                    throw new SQLException("the book is being closed");
                }
                String text = rows.getString(2);
                if (!JobRow.isWhole(rows.getString(3), text) || !readable(rows.getString(1), text)) {
                    damaged.add(rows.getString(1));
                }
            }
        }
        return damaged;
    }

    private static boolean readable(String id, String text) {
        try {
            JobDocument.parse(id, text);
            return true;
        } catch (UnusableInput e) {
            return false;
        }
    }
}
