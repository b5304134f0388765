package amberheron.app.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.session.Session;
import amberheron.core.job.Job;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A long log is being read when the program is killed: the job is as it was. {@code -Drows=10000000 -Dkills=20} is the long way. */
class LogImportTest {
    private static final int ROWS = Integer.getInteger("rows", 80_000);
    private static final int KILLS = Integer.getInteger("kills", 1);

    @TempDir
    private Path folder = Path.of("");

    /** A program that reads a log into the job of a book, and says how far it is; to be killed meanwhile. */
    static final class Importer {
        private Importer() {
        }

        public static void main(String[] args) {
            Path home = Path.of(args[0]);
            try (JobBook book = JobBook.open(home.resolve("book.db"));
                    Session session = Session.direct(book, Catalogue.shipped(), home)) {
                session.open("L");
                session.listeners().onSaved(() -> session.tasks().all().forEach(t -> System.out.println(t.part())));
                ProveModel.take(session, new TraceView(session), args[1], "", "", "");
            }
        }

        static Process start(Path home, Path log) throws IOException {
            return new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xmx1400m", "-Xshare:auto",
                    "--enable-native-access=ALL-UNNAMED", "-cp", System.getProperty("java.class.path"),
                    Importer.class.getName(), home.toString(), log.toString())
                    .redirectError(ProcessBuilder.Redirect.DISCARD).start();
        }
    }

    private Path log() throws IOException {
        Path file = folder.resolve("long.csv");
        try (BufferedWriter csv = Files.newBufferedWriter(file)) {
            csv.write("time,controller,reader,rpm,map kpa,tps,clt,battery,spark,pulse,gear,speed km/h\n");
            for (int i = 0; i < ROWS; i++) {
                csv.write(i / 20 + "." + String.valueOf(100 + i % 20 * 5).substring(1) + ",1.0" + i % 9 + ",1.0" + i % 7
                        + "," + (2000 + i % 500) + ",60,20,85,13.9,21,3.1,3,80\n");
            }
        }
        return file;
    }

    private JobDocument kept() {
        try (JobBook book = JobBook.open(folder.resolve("book.db"))) {
            return book.load("L").orElseThrow().document();
        }
    }

    @Test
    void aKillInTheMiddleLeavesTheJobAsItWas() throws IOException, InterruptedException {
        Path log = log();
        Job job = Job.empty("L").withLaw(Catalogue.shipped().laws().getFirst())
                .withReader(Catalogue.shipped().readers().getFirst());
        try (JobBook book = JobBook.open(folder.resolve("book.db"))) {
            book.add(JobDocument.of(job), null);
        }
        String before = kept().text();
        Random random = new Random(5);
        for (int kill = 0; kill < KILLS; kill++) {
            double at = random.nextDouble();
            Process importer = Importer.start(folder, log);
            try (BufferedReader said = importer.inputReader()) {
                String line = said.readLine();
                while (line != null && Double.parseDouble(line) < at) {
                    line = said.readLine();
                }
                assertThat(line).as("still reading at %s", at).isNotNull();
                importer.destroyForcibly().waitFor();
            }
            assertThat(kept().text()).as("killed at %s", at).isEqualTo(before);
        }
        Process whole = Importer.start(folder, log);
        whole.inputReader().lines().forEach(line -> {
        });
        assertThat(whole.waitFor()).isZero();
        assertThat(kept().job().proving()).as("left alone it is read").isNotNull();
    }
}
