package amberheron.io.log;

import java.util.List;

/**
 * Columns of a log as they stand in the file.
 *
 * @param time seconds, never falling
 * @param columns one array for each column that was asked for, as long as {@code time}; NaN where nothing stood
 * @param leftOut rows that could not be used
 * @param faults the first of those, each with line and reason
 * @param digest SHA-256 of the file's bytes, hexadecimal
 */
@SuppressWarnings("ArrayRecordComponent") // ten million rows are never compared
public record LogColumns(double[] time, List<float[]> columns, int leftOut, List<String> faults,
        String digest) {
}
