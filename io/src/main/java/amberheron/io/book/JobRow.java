package amberheron.io.book;

import amberheron.core.job.JobSummary;
import amberheron.core.job.JobSummary.Left;
import amberheron.core.job.LinkState;
import amberheron.core.job.Station;
import amberheron.core.job.Waiting;
import amberheron.io.TextFiles;
import amberheron.io.book.JobBook.Judged;
import amberheron.io.json.JobDocument;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A job in the book's columns. */
final class JobRow {
    /** Columns of a line in the list of jobs. */
    static final String LISTED = "id, vehicle, judged, states, waits, detail, checked, booked, bay, spread, fault";
    /** The columns that follow from a job, as they are set. */
    static final String JUDGED = "judged = :judged, states = :states, waits = :waits, detail = :detail, "
            + "checked = :checked, booked = :booked, bay = :bay, spread = :spread, fault = :fault";

    /** Everything that is kept of one. */
    static final String ALL = LISTED + ", revision, changed, document, digest";
    private static final String INSERT = "insert into job (" + ALL + ") values (:" + ALL.replace(", ", ", :")
            + ") on conflict (id) do ";
    /** Adds a row, unless there is one of this number. */
    static final String ADD = INSERT + "nothing";
    /** Puts a row of another book in the place of an older one. */
    static final String PUT = INSERT + "update set "
            + Arrays.stream(ALL.split(", ", -1)).skip(1).map(c -> c + " = excluded." + c)
                    .collect(Collectors.joining(", "))
            + " where excluded.revision >= job.revision";

    private JobRow() {
    }

    /** A whole row. */
    static Map<String, @Nullable Object> of(JobDocument document, @Nullable Judged judged, long revision) {
        Map<String, @Nullable Object> row = of(document);
        row.putAll(of(judged));
        row.put("revision", revision);
        return row;
    }

    /** The columns of the job itself. */
    static Map<String, @Nullable Object> of(JobDocument document) {
        Map<String, @Nullable Object> row = new LinkedHashMap<>();
        String text = document.text();
        row.put("id", document.job().id());
        row.put("vehicle", document.job().intake().vehicle());
        row.put("changed", Instant.now().toString());
        row.put("document", text);
        row.put("digest", digest(text));
        return row;
    }

    /** The columns that follow from it; null for a job that is judged later. */
    static Map<String, @Nullable Object> of(@Nullable Judged judged) {
        JobSummary summary = judged == null ? JobSummary.unseen("", "") : judged.summary();
        Map<String, @Nullable Object> row = new LinkedHashMap<>();
        row.put("judged", judged == null ? null : judged.by());
        row.put("states", summary.states().values().stream().map(LinkState::name).collect(Collectors.joining(",")));
        row.put("waits", summary.on() == null ? null : summary.on().name());
        row.put("detail", summary.detail());
        row.put("checked", text(summary.checked()));
        row.put("booked", text(summary.day()));
        row.put("bay", summary.bay());
        Left left = summary.left();
        row.put("spread", left == null ? null : left.early() + "," + left.likely() + "," + left.late());
        row.put("fault", summary.fault());
        return row;
    }

    /** A row as it lies there. */
    static Map<String, @Nullable Object> raw(ResultSet row) throws SQLException {
        Map<String, @Nullable Object> all = new LinkedHashMap<>();
        for (String column : ALL.split(", ", -1)) {
            all.put(column, "revision".equals(column) ? (Object) row.getLong(column) : row.getString(column));
        }
        return all;
    }

    /** Checksum kept beside a document, so that a flipped bit is seen. */
    static String digest(String text) {
        return TextFiles.digest(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Whether a document is the one that was kept; rows of the first versions have no digest, and are taken as they are. */
    static boolean isWhole(@Nullable String digest, String text) {
        return digest == null || digest.equals(digest(text));
    }

    /**
     * Reads a line of the list; a row that is not understood counts as not seen yet, since the job itself is in its
     * document.
     */
    static JobSummary summary(ResultSet row) throws SQLException {
        // By position, as LISTED has them: finding a column by its name takes longer than reading it.
        String id = row.getString(1);
        String vehicle = row.getString(2);
        String judged = row.getString(3);
        String fault = row.getString(11);
        if (fault != null && !fault.isEmpty()) {
            return JobSummary.unreadable(id, vehicle, fault);
        }
        if (judged == null) {
            return JobSummary.unseen(id, vehicle);
        }
        try {
            Map<Station, LinkState> states = new EnumMap<>(Station.class);
            Iterator<String> names = List.of(row.getString(4).split(",")).iterator();
            for (Station station : Station.values()) {
                states.put(station, LinkState.valueOf(names.next()));
            }
            String waits = row.getString(5);
            return new JobSummary(id, vehicle, states, waits == null ? null : Waiting.valueOf(waits), row.getString(6),
                    date(row.getString(7)), date(row.getString(8)), row.getString(9), left(row.getString(10)), "");
        } catch (IllegalArgumentException | DateTimeException | NoSuchElementException | IndexOutOfBoundsException
                | NullPointerException e) {
            return JobSummary.unseen(id, vehicle);
        }
    }

    private static @Nullable Left left(@Nullable String text) {
        if (text == null) {
            return null;
        }
        double[] minutes = Arrays.stream(text.split(",")).mapToDouble(Double::parseDouble).toArray();
        return new Left(minutes[0], minutes[1], minutes[2]);
    }

    private static @Nullable String text(@Nullable LocalDate date) {
        return date == null ? null : date.toString();
    }

    private static @Nullable LocalDate date(@Nullable String text) {
        return text == null ? null : LocalDate.parse(text);
    }
}
