package amberheron.app.drivelog;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.app.session.Session;
import amberheron.core.freeair.SensorNote.Kind;
import amberheron.core.job.Job;
import amberheron.core.mixture.FuelKind;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What reading a drive does besides judging it. */
class ProveModelTest {
    @TempDir
    private Path folder = Path.of("");

    private Path log() throws IOException {
        StringBuilder csv = new StringBuilder("time,controller,reader,rpm\n");
        for (int i = 0; i < 600; i++) {
            csv.append(i / 10).append(".").append(i % 10).append(",1.0").append(i / 20 % 9).append(",1.0")
                    .append(i / 20 % 9).append(",").append(2000 + i % 500).append("\n");
        }
        return Files.writeString(folder.resolve("drive.csv"), csv);
    }

    /** A drive on leaded fuel takes hours of a sensor's life: the book dates it, once however often its log is read. */
    @Test
    void aDriveOnLeadedFuelIsDatedInTheSensorsBook() throws IOException {
        Catalogue catalogue = Catalogue.shipped();
        Job job = Job.empty("L").withLaw(catalogue.laws().getFirst()).withReader(catalogue.readers().getFirst());
        try (JobBook book = JobBook.open(folder.resolve("book.db"))) {
            book.add(JobDocument.of(job.withAir(job.air().withSensor("V-9"))), null);
            try (Session session = Session.direct(book, catalogue, folder)) {
                session.open("L");
                String log = log().toString();
                ProveModel.take(session, new TraceView(session), log, "", "", "");
                assertThat(Objects.requireNonNull(session.job().proving()).file()).isEqualTo("drive.csv");
                assertThat(session.sensors().of("V-9").last(Kind.LEADED)).as("on petrol").isEmpty();
                session.edit("leaded", j -> j.withIntake(j.intake().withFuel(catalogue.fuels().stream()
                        .filter(f -> f.kind() == FuelKind.LEADED).findFirst().orElseThrow())));
                ProveModel.take(session, new TraceView(session), log, "", "", "");
                ProveModel.take(session, new TraceView(session), log, "", "", "");
                assertThat(session.sensors().of("V-9").last(Kind.LEADED)).hasValue(1.0);
            }
        }
    }
}
