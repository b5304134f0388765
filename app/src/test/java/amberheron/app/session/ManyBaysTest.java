package amberheron.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import amberheron.core.job.Job;
import amberheron.io.book.BookAddress;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Server;
import amberheron.io.json.JobDocument;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/**
 * Bays in programs of their own, two of them windows on one home, their clocks two hours apart, lines that are cut and
 * pulled out, programs that are killed: each run is compared with a model that knows every act that was told to be safe.
 * -Druns=200 is the long campaign.
 */
class ManyBaysTest {
    private static final int RUNS = Integer.getInteger("runs", 1);
    private static final int STARTS = Integer.getInteger("starts", 1);
    /** More in the campaign, where there is time for what is rare. */
    private static final int ACTS = RUNS == 1 ? 8 : 30;
    private static final List<String> KINDS = List.of("wire", "place", "source", "point", "waypoint", "joint");

    @TempDir
    private Path folder = Path.of("");

    /** A running program. */
    private static final class Bay {
        private final Server line;
        private final Path home;
        private final int hours;
        private @Nullable Process process;
        private @Nullable BufferedReader said;
        private @Nullable PrintWriter to;

        private Bay(Server line, Path home, int hours) {
            this.line = line;
            this.home = home;
            this.hours = hours;
        }

        private boolean runs() {
            return process != null;
        }

        /** Whether it came up: out of reach, and with no copy of the job yet, it does not. */
        private boolean start() throws IOException {
            BookAddress.OfServer at = line.address();
            Process made = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xshare:auto", "--enable-native-access=ALL-UNNAMED",
                    "-cp", System.getProperty("java.class.path"), BayProgram.class.getName(),
                    "postgresql://" + at.user() + ":" + at.password() + "@" + at.host() + ":" + at.port() + "/"
                            + at.database(),
                    home.toString(), String.valueOf(hours)).redirectError(ProcessBuilder.Redirect.DISCARD).start();
            process = made;
            said = made.inputReader(StandardCharsets.UTF_8);
            to = new PrintWriter(made.outputWriter(StandardCharsets.UTF_8), true);
            return "open".equals(said.readLine());
        }

        private @Nullable String tell(String act) throws IOException {
            if (to == null || said == null) {
                return null;
            }
            to.println(act);
            return said.readLine();
        }

        /** Tells it something and kills it at once; whether it had said in time that it was kept. */
        private boolean killAfter(String act) throws IOException {
            boolean kept = false;
            if (to != null && process != null && said != null) {
                to.println(act);
                process.toHandle().destroyForcibly();
                kept = "kept".equals(said.readLine());
                process.onExit().join();
            }
            process = null;
            return kept;
        }

        private void quit() throws IOException {
            if (process != null) {
                tell("quit");
                process.onExit().join();
                process = null;
            }
        }
    }

    /** What the person at each bay was told. */
    private static final class Model {
        private final Set<String> added = new HashSet<>();
        private final Set<String> removed = new HashSet<>();
        /** Acts that were cut off before anybody was told: either may be. */
        private final Set<String> maybeRemoved = new HashSet<>();
        private final Set<String> asked = new HashSet<>();
        /** All that happened, to be read where it went wrong. */
        private final List<String> story = new ArrayList<>();

        private void agrees(Job job, String run) {
            List<String> rows = BayProgram.rows(job);
            Map<String, Integer> count = new HashMap<>();
            rows.forEach(r -> count.merge(r, 1, Integer::sum));
            assertThat(added).as("kept is kept, %s", run)
                    .allSatisfy(mark -> assertThat(removed.contains(mark) || maybeRemoved.contains(mark)
                            || count.containsKey(mark)).as("%s is there in %s", mark, rows).isTrue());
            assertThat(count).as("nothing is applied twice, %s", run).allSatisfy((mark, n) -> {
                assertThat(n).as(mark).isEqualTo(1);
                assertThat(asked).contains(mark);
                assertThat(removed).as("was taken out").doesNotContain(mark);
            });
        }
    }

    private static Job inTheBook(Server server, Path home) {
        try (OpenBook book = server.bay(home)) {
            return book.load("A").orElseThrow().document().job();
        }
    }

    @Test
    void nothingKeptIsLostUndoneOrTwice() throws IOException, SQLException {
        long first = Long.getLong("seed", System.nanoTime());
        for (int i = 0; i < RUNS; i++) {
            run(first + i, Files.createDirectory(folder.resolve("run-" + i)));
        }
    }

    private static void run(long seed, Path at) throws IOException, SQLException {
        System.out.println("bays, seed " + seed);
        Random random = new Random(seed);
        Model model = new Model();
        try (Server server = new Server(); Server near = server.line(); Server far = server.line()) {
            try (OpenBook office = server.bay(at.resolve("office"))) {
                office.add(JobDocument.of(Job.empty("A")));
            }
            List<Bay> bays = List.of(new Bay(near, at.resolve("1"), 0), new Bay(far, at.resolve("2"), 2),
                    new Bay(far, at.resolve("2"), 2));
            for (Bay bay : bays) {
                assertThat(bay.start()).as("seed %d", seed).isTrue();
            }
            for (int n = 0; n < ACTS; n++) {
                int which = random.nextInt(bays.size());
                model.story.add("bay " + which);
                act(random, bays.get(which), model, "m" + n);
                if (random.nextInt(6) == 0) {
                    Server line = random.nextBoolean() ? near : far;
                    int how = random.nextInt(3);
                    model.story.add((line == near ? "near " : "far ") + List.of("cut", "pulled", "plugged").get(how));
                    switch (how) {
                        case 0 -> line.cut();
                        case 1 -> line.pull();
                        default -> line.plug();
                    }
                }
            }
            for (Bay bay : bays) {
                bay.quit();
            }
            near.plug();
            far.plug();
            settle(bays, random);
            model.agrees(inTheBook(server, at.resolve("office")),
                    "seed " + seed + ": " + String.join("; ", model.story));
        }
    }

    private static void act(Random random, Bay bay, Model model, String mark) throws IOException {
        if (!bay.runs() && !bay.start()) {
            bay.killAfter("quit");
            model.story.add("does not come up");
            return;
        }
        List<String> known = new ArrayList<>(model.added);
        known.removeAll(model.removed);
        Collections.sort(known);
        int what = random.nextInt(10);
        boolean kill = random.nextInt(12) == 0;
        String gone = known.isEmpty() ? "" : known.get(random.nextInt(known.size()));
        String act = what < 7 || (what < 9 && gone.isEmpty())
                ? "add " + KINDS.get(random.nextInt(KINDS.size())) + " " + mark
                : what < 9 ? "remove " + gone : "vehicle v" + mark;
        boolean adds = act.startsWith("add");
        boolean removes = act.startsWith("remove");
        if (adds) {
            model.asked.add(mark);
        }
        if (removes) {
            // Where this bay has it not before it, nothing is removed; whether it had is not known here.
            model.maybeRemoved.add(gone);
        }
        boolean seen = removes && List.of(String.valueOf(bay.tell("rows")).split(" ", -1)).contains(gone);
        boolean kept = kill ? bay.killAfter(act) : "kept".equals(bay.tell(act));
        model.story.add(act + (kill ? ", killed" : "") + (kept ? ", kept" : ""));
        if (kept && adds) {
            model.added.add(mark);
        } else if (kept && seen) {
            model.removed.add(gone);
        }
        if (!kill && random.nextInt(5) == 0) {
            model.story.add("chooses");
            bay.tell("choose " + (random.nextBoolean() ? "ours" : "theirs"));
        }
    }

    /** Every home is opened until nothing is kept beside its book any more; what both changed is chosen. */
    private static void settle(List<Bay> bays, Random random) throws IOException {
        for (int round = 0; round < 8; round++) {
            boolean left = false;
            for (Bay bay : List.of(bays.get(0), bays.get(1))) {
                bay.start();
                bay.tell("choose " + (random.nextBoolean() ? "ours" : "theirs"));
                bay.quit();
                left |= entries(bay.home);
            }
            if (!left) {
                return;
            }
        }
        assertThat(bays).as("all of it came in").noneMatch(b -> entries(b.home));
    }

    private static boolean entries(Path home) {
        try (Stream<Path> all = Files.exists(home.resolve("unsaved"))
                ? Files.list(home.resolve("unsaved"))
                : Stream.empty()) {
            return all.anyMatch(f -> f.toString().endsWith(".entry"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** An entry of yesterday whose file comes back before each start, as from a copy of the home folder, goes in once. */
    @Test
    @EnabledIfSystemProperty(named = "starts", matches = "\\d+")
    void yesterdaysEntryGoesInOnceHoweverOftenItsFileComesBack() throws IOException, SQLException {
        try (Server server = new Server(); Server line = server.line()) {
            try (OpenBook office = server.bay(folder.resolve("office"))) {
                office.add(JobDocument.of(Job.empty("A")));
            }
            Bay bay = new Bay(line, folder.resolve("2"), 0);
            assertThat(bay.start()).isTrue();
            line.pull();
            assertThat(bay.tell("add wire yesterday")).isEqualTo("kept");
            bay.killAfter("rows");
            Path file;
            try (Stream<Path> all = Files.list(folder.resolve("2/unsaved"))) {
                file = all.filter(f -> f.toString().endsWith(".entry")).findFirst().orElseThrow();
            }
            byte[] yesterday = Files.readAllBytes(file);
            line.plug();
            bay.start();
            assertThat(bay.tell("rows")).isEqualTo("yesterday");
            assertThat(bay.tell("remove yesterday")).isEqualTo("kept");
            bay.quit();
            for (int start = 0; start < STARTS; start++) {
                Files.write(file, yesterday);
                bay.start();
                assertThat(bay.tell("rows")).as("start %d", start).isEmpty();
                bay.quit();
            }
            assertThat(BayProgram.rows(inTheBook(server, folder.resolve("office")))).isEmpty();
        }
    }
}
