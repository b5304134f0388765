package amberheron.app.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Locale;

/**
 * Reads one and the same log by ours and by a columnar engine, both with the types found out, in one run:
 * {@code mvn -P beside -pl app -am test -DskipTests}.
 */
final class BesideColumnEngine {
    private static final int READS = 7;

    private BesideColumnEngine() {
    }

    public static void main(String[] args) throws IOException, SQLException {
        PrintWriter out = new PrintWriter(System.out, true);
        DriveBenchmark.logs(out);
        Path log = DriveBenchmark.log(DriveBenchmark.ROWS);
        try (Connection engine = DriverManager.getConnection("jdbc:duckdb:");
                Statement statement = engine.createStatement()) {
            double[] speed = new double[READS];
            for (int i = 0; i < READS; i++) {
                long start = System.nanoTime();
                statement.execute("create or replace table drive as select * from read_csv('" + log + "')");
                speed[i] = Files.size(log) / 1e6 / ((System.nanoTime() - start) / 1e9);
            }
            Arrays.sort(speed);
            out.printf(Locale.ROOT, "%-46s %8.0f MB/s%n", "the same by DuckDB " + engine.getMetaData()
                    .getDatabaseProductVersion(), speed[READS / 2]);
        } finally {
            Files.deleteIfExists(log);
        }
    }
}
