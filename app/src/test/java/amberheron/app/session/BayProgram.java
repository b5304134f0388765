package amberheron.app.session;

import amberheron.core.harness.Chart;
import amberheron.core.harness.Joints;
import amberheron.core.harness.Route.Waypoint;
import amberheron.core.harness.Wire;
import amberheron.core.job.Job;
import amberheron.core.parts.PartIds;
import amberheron.core.placement.Candidate;
import amberheron.core.scaling.CheckPoint;
import amberheron.core.wiring.PowerSource;
import amberheron.io.book.BookAddress;
import amberheron.io.book.OpenBook;
import amberheron.io.catalogue.Catalogue;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A window without a screen, in a program of its own so that it can be killed: does what it is told line by line, and says
 * “kept” once the person at it would be told that the entry is safe.
 */
final class BayProgram {
    private static final String JOB = "A";
    private final ExecutorService ui = Executors.newSingleThreadExecutor();
    private final Session session;

    private BayProgram(BookAddress address, Path home, int hours) {
        InstantSource clock = InstantSource.offset(InstantSource.system(), Duration.ofHours(hours));
        session = CompletableFuture.supplyAsync(() -> Session.on(OpenBook.at(address, home), Catalogue.shipped(), home,
                Threads.beside(ui).by(clock)), ui).join();
    }

    /** Arguments: the book's address, home folder, hours by which its clock is wrong. */
    public static void main(String[] args) throws IOException {
        BayProgram bay = new BayProgram(BookAddress.parse(args[0]), Path.of(args[1]), Integer.parseInt(args[2]));
        bay.act(Session::listJobs);
        bay.until(Session::idle);
        bay.act(s -> s.open(JOB));
        bay.until(s -> s.idle() && s.isOpen());
        System.out.println("open");
        try (BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null && !line.equals("quit"); line = in.readLine()) {
                System.out.println(bay.told(line.split(" ", 3)));
            }
        }
        bay.act(Session::close);
        bay.ui.shutdown();
        System.out.println("closed");
    }

    private String told(String[] words) {
        switch (words[0]) {
            case "add" -> edit(j -> added(j, words[1], words[2]));
            case "remove" -> edit(j -> without(j, words[1]));
            case "vehicle" -> edit(j -> j.withIntake(j.intake().withVehicle(words[1])));
            case "choose" -> {
                if (see(() -> session.openJob().conflict().isPresent())) {
                    act(words[1].equals("ours") ? s -> s.openJob().keepOurs() : s -> s.openJob().takeTheirs());
                }
            }
            case "rows" -> {
                return String.join(" ", rows(see(session::job)));
            }
            default -> throw new IllegalArgumentException(words[0]);
        }
        // On the screen it says that it is saved, or that it is kept beside the book.
        until(s -> !s.openJob().saving().busy() || s.openJob().saving().failure() != null);
        return "kept";
    }

    private void edit(UnaryOperator<Job> change) {
        act(s -> s.edit("typed", change));
    }

    private void act(Consumer<Session> what) {
        CompletableFuture.runAsync(() -> what.accept(session), ui).join();
    }

    private <T> T see(Supplier<T> what) {
        return CompletableFuture.supplyAsync(what, ui).join();
    }

    private void until(Predicate<Session> so) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (!see(() -> so.test(session))) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("it does not come about; last said: " + session.notice());
            }
            LockSupport.parkNanos(1_000_000);
        }
    }

    private static <T> List<T> more(List<T> all, T one) {
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return more;
    }

    private static Job added(Job j, String kind, String mark) {
        Chart chart = j.wiring().harness().chart();
        return switch (kind) {
            case "wire" -> chart(j, chart.plus(Wire.tagged("").withFromPin(mark)));
            case "place" -> j.withPlacing(j.placing().withCandidates(more(j.candidates(),
                    Candidate.named(free(j.candidates().stream().map(Candidate::letter).toList())).withId("")
                            .withNote(mark))));
            case "source" -> j.withWiring(j.wiring().withSources(more(j.wiring().sources(), PowerSource
                    .named(free(j.wiring().sources().stream().map(PowerSource::letter).toList())).withId("")
                    .withPlace(mark))));
            case "point" -> j.withPoint(new CheckPoint(1.0, null, 0.9, mark));
            case "waypoint" -> j.withWiring(j.wiring().withHarness(j.wiring().harness().withRoute(j.wiring().harness()
                    .route().withPoints(more(j.wiring().harness().route().points(), Waypoint.named(mark))))));
            case "joint" -> j.withWiring(j.wiring().withHarness(j.wiring().harness().withJoints(
                    j.wiring().harness().joints().plus(new Joints.Test(mark, null, 80.0, null)))));
            default -> throw new IllegalArgumentException(kind);
        };
    }

    private static String free(List<String> letters) {
        return PartIds.nextLetter(letters);
    }

    private static Job chart(Job j, Chart chart) {
        return j.withWiring(j.wiring().withHarness(j.wiring().harness().withChart(chart)));
    }

    private static <T> List<T> fewer(List<T> all, Function<T, String> mark, String gone) {
        return all.stream().filter(p -> !mark.apply(p).equals(gone)).toList();
    }

    private static Job without(Job j, String mark) {
        Job less = chart(j, new Chart(fewer(j.wiring().harness().chart().wires(), Wire::fromPin, mark)));
        less = less.withPlacing(less.placing().withCandidates(fewer(less.candidates(), Candidate::note, mark)));
        less = less.withWiring(less.wiring().withSources(fewer(less.wiring().sources(), PowerSource::place, mark)));
        less = less.withPoints(fewer(less.points(), CheckPoint::note, mark));
        var harness = less.wiring().harness();
        return less.withWiring(less.wiring().withHarness(harness
                .withRoute(harness.route().withPoints(fewer(harness.route().points(), Waypoint::name, mark)))
                .withJoints(harness.joints().withTested(fewer(harness.joints().tested(), Joints.Test::wire, mark)))));
    }

    /** The marks of all rows, each as often as it stands there. */
    static List<String> rows(Job j) {
        return Stream.of(j.wiring().harness().chart().wires().stream().map(Wire::fromPin),
                j.candidates().stream().map(Candidate::note), j.wiring().sources().stream().map(PowerSource::place),
                j.points().stream().map(CheckPoint::note),
                j.wiring().harness().route().points().stream().map(Waypoint::name),
                j.wiring().harness().joints().tested().stream().map(Joints.Test::wire)).flatMap(s -> s).toList();
    }
}
