package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Wire;
import amberheron.core.harness.Work;
import amberheron.core.job.Job;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Output;
import amberheron.io.TextFiles;
import amberheron.io.book.JobBook;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Photos;
import amberheron.io.book.Server;
import amberheron.io.book.Transfer;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two windows on one book of a real server, each with a line of its own. */
class TwoBaysTest {
    @TempDir
    private Path folder = Path.of("");

    /** A window's session with a thread that stands for its screen. */
    private static final class Bay implements AutoCloseable {
        private final ExecutorService ui = Executors.newSingleThreadExecutor();
        private final Session session;
        private final Path home;

        private Bay(Server line, Path home) {
            this.home = home;
            this.session = CompletableFuture.supplyAsync(
                    () -> Session.on(line.bay(home), Catalogue.shipped(), home, Threads.beside(ui)), ui).join();
            act(Session::listJobs);
            until(Session::idle);
        }

        private void act(Consumer<Session> what) {
            CompletableFuture.runAsync(() -> what.accept(session), ui).join();
        }

        private void open(String job) {
            act(s -> s.open(job));
            until(s -> s.idle() && s.job().id().equals(job));
        }

        private void edit(UnaryOperator<Job> change) {
            act(s -> s.edit("typed", change));
        }

        private <T> T see(Supplier<T> what) {
            return CompletableFuture.supplyAsync(what, ui).join();
        }

        private void until(Predicate<Session> so) {
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
            while (!see(() -> so.test(session))) {
                assertThat(System.nanoTime()).as("it comes about in time; last said: " + session.notice())
                        .isLessThan(end);
                LockSupport.parkNanos(2_000_000);
            }
        }

        private Job job() {
            return see(session::job);
        }

        /** Its line is pulled out, and it has said so. */
        private void loses(Server line) throws IOException {
            line.pull();
            until(s -> s.notice().contains("does not answer"));
        }

        @Override
        public void close() {
            act(Session::close);
            ui.shutdown();
        }
    }

    private static UnaryOperator<Job> vehicle(String name) {
        return j -> j.withIntake(j.intake().withVehicle(name));
    }

    private static UnaryOperator<Job> place(String bay) {
        return j -> j.withProgress(j.progress().withBay(bay));
    }

    /** The one entry that is kept beside a book. */
    private static Path left(Path home) throws IOException {
        try (Stream<Path> all = Files.list(home.resolve("unsaved"))) {
            return all.filter(f -> f.toString().endsWith(".entry")).findFirst().orElseThrow();
        }
    }

    private void fill(Server server) {
        try (OpenBook book = server.bay(folder.resolve("office"))) {
            book.add(JobDocument.of(vehicle("van").apply(Job.empty("A"))), null);
            book.add(JobDocument.of(Job.empty("B")), null);
        }
    }

    @Test
    void whatOneEntersTheOtherSeesAndCanNotTakeBackUnseen() throws IOException, SQLException {
        try (Server server = new Server()) {
            fill(server);
            try (Bay one = new Bay(server, folder.resolve("1")); Bay two = new Bay(server, folder.resolve("2"))) {
                one.open("A");
                two.open("A");
                one.edit(place("3"));
                two.until(s -> s.job().progress().bay().equals("3"));
                two.edit(vehicle("blue van"));
                one.until(s -> s.job().intake().vehicle().equals("blue van"));
                one.until(s -> s.jobs().getFirst().vehicle().equals("blue van"));

                one.act(s -> s.openJob().undo());
                two.until(s -> s.job().progress().bay().isEmpty());
                assertThat(two.job().intake().vehicle()).as("only one's own entry is taken back").isEqualTo("blue van");
                one.edit(vehicle("red van"));
                two.until(s -> s.job().intake().vehicle().equals("red van"));
                two.act(s -> s.openJob().undo());
                assertThat(two.see(two.session::notice)).contains("another bay has changed the same since");
                assertThat(two.job().intake().vehicle()).isEqualTo("red van");

                one.act(s -> s.begin("C"));
                two.until(s -> s.jobs().stream().map(JobSummary::id).toList().contains("C"));

                try (OpenBook office = server.bay(folder.resolve("office"));
                        JobBook other = JobBook.open(folder.resolve("other.db"))) {
                    Transfer.move(office, other, List.of("A"), p -> assertThat(p).isBetween(0.0, 1.0));
                }
                two.until(s -> s.jobs().stream().noneMatch(j -> j.id().equals("A")));
                two.edit(place("4"));
                two.until(s -> String.valueOf(s.openJob().saving().failure()).contains("moved to another"));
                assertThat(left(two.home)).content().contains("\"bay\" : \"4\"");
            }
        }
    }

    @Test
    void outOfReachBothGoOnAndNothingIsLost() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            try (Bay near = new Bay(server, folder.resolve("1")); Bay far = new Bay(line, folder.resolve("2"))) {
                near.open("A");
                far.open("A");
                far.loses(line);
                far.edit(place("3"));
                near.edit(vehicle("blue van"));
                far.until(s -> s.openJob().saving().failure() != null);
                assertThat(far.see(() -> far.session.openJob().saving().failure())).contains("kept on this machine");
                far.act(s -> s.begin("N"));
                near.act(s -> s.begin("N"));
                far.until(s -> s.idle() && s.job().id().equals("N"));
                near.until(s -> s.idle() && s.job().id().equals("N"));
                far.edit(vehicle("far"));
                near.edit(vehicle("near"));
                near.until(s -> s.idle() && s.openJob().saving().failure() == null);
                far.until(s -> s.jobs().stream().anyMatch(j -> j.vehicle().equals("far")));

                line.plug();
                near.until(s -> s.jobs().stream().anyMatch(j -> j.id().equals("N-2")));
                far.until(s -> s.job().id().equals("N-2"));
                assertThat(far.job().intake().vehicle()).isEqualTo("far");
                assertThat(near.job().intake().vehicle()).isEqualTo("near");
                near.open("A");
                near.until(s -> s.job().progress().bay().equals("3"));
                assertThat(near.job().intake().vehicle()).isEqualTo("blue van");
                far.until(s -> s.openJob().saving().failure() == null && s.idle());
                assertThat(far.home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
            }
        }
    }

    /** The program ends while the line is down: the next start brings it in, also of a job that nobody opens. */
    @Test
    void whatWasLeftGoesInAtTheNextStartAndTheSameValueIsAsked() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            Path home = folder.resolve("2");
            try (Bay far = new Bay(line, home)) {
                far.open("A");
                far.open("B");
                far.loses(line);
                far.edit(place("3"));
                far.open("A");
                far.edit(vehicle("far"));
                far.until(s -> s.openJob().saving().failure() != null);
            }
            try (Bay near = new Bay(server, folder.resolve("1"))) {
                near.open("A");
                near.edit(vehicle("near"));
                near.until(Session::idle);
                try (Bay far = new Bay(line, home)) {
                    assertThat(far.job().intake().vehicle()).as("without the server").isEqualTo("far");
                    line.plug();
                    near.open("B");
                    near.until(s -> s.job().progress().bay().equals("3"));
                    far.until(s -> s.openJob().conflict().isPresent());
                    assertThat(far.see(
                            () -> far.session.openJob().conflict().orElseThrow().theirs().job().intake().vehicle()))
                            .isEqualTo("near");
                    far.act(s -> s.openJob().keepOurs());
                    near.open("A");
                    near.until(s -> s.job().intake().vehicle().equals("far"));
                    far.until(Session::idle);
                }
            }
            assertThat(home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
        }
    }

    /** What is typed while the book is out of reach is on the disk at once, and is in whatever is chosen in the same moment. */
    @Test
    void whatIsTypedAMomentBeforeAChoiceIsKept() throws IOException, SQLException {
        Path home = folder.resolve("2");
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            try (Bay near = new Bay(server, folder.resolve("1")); Bay far = new Bay(line, home)) {
                near.open("A");
                far.open("A");
                far.loses(line);
                far.edit(vehicle("far"));
                far.until(s -> s.openJob().saving().failure() != null && s.idle());
                String typed = far.see(() -> {
                    far.session.edit("typed", wires(1));
                    return kept(home);
                });
                assertThat(typed).as("in the same moment").contains("\"tag\" : \"1\"");
                near.edit(vehicle("near"));
                near.until(Session::idle);
                line.plug();
                far.until(s -> s.openJob().conflict().isPresent());
                String chosen = far.see(() -> {
                    far.session.edit("typed", wires(1));
                    far.session.openJob().takeTheirs();
                    return kept(home);
                });
                assertThat(chosen).as("what only this one added").contains("\"tag\" : \"2\"");
                far.until(Session::idle);
            }
            assertThat(inTheBook(server, folder.resolve("office")).intake().vehicle()).isEqualTo("near");
            assertThat(wires(inTheBook(server, folder.resolve("office")))).hasSize(2);
        }
        assertThat(home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
    }

    /** A disk that takes nothing: that it is on the screen only is said, instead of that it is kept. */
    @Test
    void whatCannotBeKeptBesideTheBookIsNotSaidToBe() throws IOException, SQLException {
        Path home = folder.resolve("2");
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            try (Bay far = new Bay(line, home)) {
                far.open("A");
                far.loses(line);
                if (Files.isDirectory(home.resolve("unsaved"))) {
                    Files.delete(home.resolve("unsaved"));
                }
                Files.writeString(home.resolve("unsaved"), "a file where the folder should be");
                far.edit(vehicle("far"));
                far.until(s -> s.openJob().saving().lost());
                Files.delete(home.resolve("unsaved"));
                far.edit(place("3"));
                far.until(s -> s.openJob().saving().failure() != null && !s.openJob().saving().lost());
                assertThat(kept(home)).contains("far");
            }
        }
    }

    private static String kept(Path home) {
        try {
            return Files.readString(left(home));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static UnaryOperator<Job> wires(int how) {
        return j -> {
            Chart chart = j.wiring().harness().chart();
            for (int i = 0; i < how; i++) {
                chart = chart.plus(Wire.tagged("").withWork(Work.DIMMER));
            }
            return charted(chart).apply(j);
        };
    }

    private static UnaryOperator<Job> charted(Chart chart) {
        return j -> j.withWiring(j.wiring().withHarness(j.wiring().harness().withChart(chart)));
    }

    private static List<Wire> wires(Job job) {
        return job.wiring().harness().chart().wires();
    }

    private static Job inTheBook(Server server, Path home) {
        try (OpenBook book = server.bay(home)) {
            return book.load("A").orElseThrow().document().job();
        }
    }

    /** An entry of yesterday goes in once: what another bay took out since stays out, at every start, even where its file stays. */
    @Test
    void anEntryOfYesterdayUndoesNothing() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            Path home = folder.resolve("2");
            try (Bay far = new Bay(line, home)) {
                far.open("A");
                far.loses(line);
                far.edit(wires(10));
                far.until(s -> s.openJob().saving().failure() != null);
            }
            byte[] yesterday = Files.readAllBytes(left(home));
            Path file = left(home);
            line.plug();
            try (Bay far = new Bay(line, home); Bay near = new Bay(server, folder.resolve("1"))) {
                near.open("A");
                near.until(s -> wires(s.job()).size() == 10);
                far.until(Session::idle);
                near.edit(charted(Chart.EMPTY));
                far.until(s -> wires(s.job()).isEmpty() && s.idle());
            }
            for (boolean open : List.of(true, false)) {
                // As after a kill between the book's answer and the file.
                Files.write(file, yesterday);
                try (Bay far = new Bay(line, home)) {
                    if (!open) {
                        far.open("B");
                    }
                    far.until(s -> s.idle() && !s.jobs().isEmpty());
                    far.act(s -> s.open("A"));
                    far.until(Session::idle);
                    assertThat(wires(far.job())).isEmpty();
                }
                assertThat(wires(inTheBook(server, folder.resolve("office")))).as("taken out by the other bay")
                        .isEmpty();
            }
        }
    }

    /** Two windows on one home, the server away: each keeps its own, and all of it comes in. */
    @Test
    void twoWindowsOfOneHomeKeepWhatIsTheirOwn() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            Path home = folder.resolve("2");
            try (Bay one = new Bay(line, home); Bay two = new Bay(line, home)) {
                one.open("A");
                two.open("A");
                line.pull();
                for (Bay each : List.of(one, two)) {
                    each.until(s -> s.notice().contains("does not answer"));
                    for (int i = 0; i < 20; i++) {
                        each.edit(wires(1));
                        each.until(s -> s.openJob().saving().failure() != null && !s.openJob().saving().busy());
                    }
                }
            }
            assertThat(Files.getPosixFilePermissions(home.resolve("unsaved")))
                    .isEqualTo(PosixFilePermissions.fromString("rwx------"));
            assertThat(Files.getPosixFilePermissions(left(home)))
                    .isEqualTo(PosixFilePermissions.fromString("rw-------"));
            line.plug();
            try (Bay again = new Bay(line, home)) {
                again.until(s -> s.idle() && !s.jobs().isEmpty());
                again.open("A");
                again.until(s -> wires(s.job()).size() == 40 && s.idle());
                assertThat(wires(again.job())).extracting(Wire::tag).doesNotHaveDuplicates();
            }
            assertThat(wires(inTheBook(server, folder.resolve("office")))).hasSize(40);
            assertThat(home.resolve("unsaved")).isDirectoryNotContaining("glob:**.entry");
        }
    }

    /** What two bays add at once is all there, also rows typed alike; of two equal tags one is said to be another now. */
    @Test
    void rowsThatTwoBaysAddAtOnceAreAllThere() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            try (Bay near = new Bay(server, folder.resolve("1")); Bay far = new Bay(line, folder.resolve("2"))) {
                near.open("A");
                far.open("A");
                far.loses(line);
                for (int i = 0; i < 30; i++) {
                    far.edit(wires(1));
                    near.edit(wires(1));
                }
                far.until(s -> s.openJob().saving().failure() != null);
                near.until(Session::idle);
                line.plug();
                far.until(s -> wires(s.job()).size() == 60 && s.idle());
                assertThat(far.see(far.session::notice)).contains("Your wire 1 is 31 now");
                near.until(s -> wires(s.job()).size() == 60 && s.idle());
                assertThat(wires(near.job())).extracting(Wire::tag).doesNotHaveDuplicates();
            }
        }
    }

    /** Whoever only looks at another reader changes nothing, and nobody is asked. */
    @Test
    void aBayThatOnlyLooksMakesNoConflict() throws IOException, SQLException {
        try (Server server = new Server()) {
            fill(server);
            try (Bay one = new Bay(server, folder.resolve("1")); Bay two = new Bay(server, folder.resolve("2"))) {
                one.open("A");
                one.edit(j -> j.withOutputs(j.outputs().oneMore()));
                one.until(Session::idle);
                two.open("A");
                String revision = inTheBook(server, folder.resolve("office")).outputs().toString();
                for (int i = 0; i < 6; i++) {
                    Output turned = one.job().outputs().all().get(i % 2);
                    one.act(s -> s.openJob().face(turned.id()));
                    two.edit(wires(1));
                    assertThat(one.job().outputs().active().id()).isEqualTo(turned.id());
                }
                one.until(s -> wires(s.job()).size() == 6 && s.idle());
                assertThat(one.see(one.session.openJob()::conflict)).isEmpty();
                assertThat(two.see(two.session.openJob()::conflict)).isEmpty();
                assertThat(inTheBook(server, folder.resolve("office")).outputs()).hasToString(revision);
            }
        }
    }

    /** A photo goes where the job is looked at, also one that was attached while the line was down. */
    @Test
    void photosFollowTheirJob() throws IOException, SQLException {
        Path picture = Files.write(folder.resolve("bung.png"),
                new byte[]{(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 1});
        Path other = Files.write(folder.resolve("loom.png"), new byte[]{(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 2});
        try (Server server = new Server(); Server line = server.line()) {
            fill(server);
            try (Bay near = new Bay(server, folder.resolve("1")); Bay far = new Bay(line, folder.resolve("2"))) {
                near.open("A");
                far.open("A");
                far.act(s -> fitted(s, picture));
                near.until(s -> Files.exists(Photos.folder(near.home, s.job()).resolve("bung.png")));
                far.loses(line);
                far.act(s -> fitted(s, other));
                far.until(s -> s.openJob().saving().failure() != null);
                line.plug();
                near.until(s -> Files.exists(Photos.folder(near.home, s.job()).resolve("loom.png")));
                assertThat(near.job().photos()).hasSize(2);
            }
            Path backup = folder.resolve("backup.db");
            try (OpenBook shared = server.bay(folder.resolve("office"))) {
                Transfer.backup(shared, backup, (j, photo) -> Optional.empty(), p -> assertThat(p).isBetween(0.0, 1.0));
            }
            try (JobBook book = JobBook.open(backup)) {
                assertThat(book.photo(TextFiles.digest(Files.readAllBytes(picture)))).isPresent();
            }
        }
    }

    private static void fitted(Session session, Path picture) {
        JobPhotos.attach(session, picture.toString(), j -> j.placing().fitted().photos(),
                (j, photos) -> j.withPlacing(j.placing().withFitted(j.placing().fitted().withPhotos(photos))));
    }
}
