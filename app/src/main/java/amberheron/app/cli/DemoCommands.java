package amberheron.app.cli;

import static amberheron.core.units.Phrase.count;
import static amberheron.core.units.Phrase.say;

import amberheron.app.demo.DemoBook;
import amberheron.app.demo.Pictures;
import amberheron.app.session.Session;
import amberheron.app.session.Threads;
import amberheron.core.job.Job;
import amberheron.core.job.JobReview;
import amberheron.core.job.JobSummary;
import amberheron.core.job.Shop;
import amberheron.core.job.Station;
import amberheron.core.units.UnitChoice;
import amberheron.io.TextFiles;
import amberheron.io.UnusableInput;
import amberheron.io.book.JobBook;
import amberheron.io.book.ShopHabits;
import amberheron.io.catalogue.Catalogue;
import amberheron.io.json.JobDocument;
import amberheron.io.pack.HandOverPack;
import amberheron.io.pack.ShopCard;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.application.Platform;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code heron demo} and {@code heron pictures}: the demo jobs, on screen or without one. */
final class DemoCommands {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;

    private DemoCommands() {
    }

    /** Draws without a screen from now on, even where there is one. */
    static void offscreen() {
        System.setProperty("glass.platform", "Headless");
        System.setProperty("prism.order", "sw");
        System.setProperty("java.awt.headless", "true");
    }

    /**
     * The demo, ready to be shown.
     *
     * @param session to be used on the screen's thread
     */
    record Ready(Session session, JobBook book, Catalogue catalogue) {
        /** The shop that does not exist. */
        Shop shop() {
            return ShopHabits.read(book.preferences(), catalogue.laws()).on(LocalDate.now(ZoneId.systemDefault()));
        }

        /** A demo job. */
        Job job(String id) {
            return book.load(id).orElseThrow().document().job();
        }
    }

    /** Runs with a session on a fresh demo book that is gone afterwards. */
    static <T> T withDemo(Function<Ready, T> work) {
        Path home = temporary();
        Catalogue catalogue = Catalogue.shipped();
        JobBook book = JobBook.open(home.resolve("book.db"));
        DemoBook.fill(book, catalogue, home, LocalDate.now(ZoneId.systemDefault()));
        Platform.startup(() -> {
        });
        // The toolkit must outlive its last window: the session is closed on its thread.
        Platform.setImplicitExit(false);
        Session session = Session.on(book, catalogue, home, Threads.beside(Platform::runLater));
        try {
            return work.apply(new Ready(session, book, catalogue));
        } finally {
            Pictures.onScreen(() -> {
                session.close();
                return "";
            });
            Platform.exit();
            delete(home);
        }
    }

    private static Path temporary() {
        try {
            return Files.createTempDirectory("heron-demo");
        } catch (IOException e) {
            throw new UnusableInput(say("temporary folder"), "", say("cannot be made: %s", TextFiles.reason(e)));
        }
    }

    /** Puts a temporary folder away. */
    static void delete(Path folder) {
        try (var files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            System.getLogger(DemoCommands.class.getName()).log(System.Logger.Level.DEBUG, "left behind: " + folder, e);
        }
    }

    @Command(name = "demo", mixinStandardHelpOptions = true, description = "The desktop on the demo book; without a display, pictures and packs.")
    static final class Demo extends OfShop {
        @Option(names = "--out", paramLabel = "DIR", description = "where pictures and packs go without a display")
        private Path folder = Path.of("demo-out");

        Demo(HeronCommand.Environment environment) {
            super(environment);
        }

        @Override
        public Integer call() {
            HeronCommand.DesktopOutcome outcome = environment().demoDesktop().get();
            if (outcome.opened()) {
                return outcome.exit();
            }
            OutFolder.ready(folder);
            err()
                    .println(say("heron: %s. Running the demo jobs without a window.", outcome.reason()));
            return withoutWindow(out());
        }

        private int withoutWindow(PrintWriter out) {
            offscreen();
            return withDemo(demo -> {
                List<Path> pictures = Pictures.write(demo.session(), folder.resolve("pictures"), WIDTH, HEIGHT);
                for (JobSummary entry : demo.book().jobs()) {
                    JobReview review = new JobReview(demo.job(entry.id()), demo.shop());
                    Path pack = folder.resolve("packs").resolve(entry.id());
                    HandOverPack.write(JobDocument.of(review.job()), review, UnitChoice.METRIC, ShopCard.NONE, pack);
                    out.println(entry.id() + "  " + entry.vehicle());
                    out.println("  " + Arrays.stream(Station.values())
                            .map(s -> s.title() + ": " + review.state(s).words()).collect(Collectors.joining(" · ")));
                    review.diagnosis()
                            .ifPresent(d -> out.print(say("  worst difference %+.4f λ; likeliest cause: %s%n",
                                    d.worst().lambda(), d.named())));
                    out.println(say("  pack: %s", pack));
                }
                out.print(say("%s in %s%n", count("1 picture", "%d pictures", pictures.size()),
                        folder.resolve("pictures")));
                out.flush();
                return 0;
            });
        }
    }

    @Command(name = "pictures", mixinStandardHelpOptions = true, description = "Every main view from the demo data, PNG, offscreen.")
    static final class PicturesCommand implements Callable<Integer> {
        @Option(names = "--out", required = true, paramLabel = "DIR", description = "folder for the pictures")
        private Path folder = Path.of("");
        @Option(names = "--size", paramLabel = "WxH", defaultValue = "1280x800", description = "size of the window, 1280x800 if not said")
        private String size = "";
        @Spec
        @SuppressWarnings("NullAway.Init") // set by picocli
        private CommandSpec spec;

        @Override
        public Integer call() {
            if (!size.matches("\\d{3,4}x\\d{3,4}")) {
                throw new UnusableInput("--size", "",
                        say("found “%s”, expected width x height such as 1280x800", size));
            }
            OutFolder.ready(folder);
            offscreen();
            int by = size.indexOf('x');
            List<Path> files = withDemo(
                    demo -> Pictures.write(demo.session(), folder, Double.parseDouble(size.substring(0, by)),
                            Double.parseDouble(size.substring(by + 1))));
            files.forEach(f -> spec.commandLine().getOut().println(f));
            spec.commandLine().getOut().flush();
            return 0;
        }
    }
}
