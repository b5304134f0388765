package amberheron.app.cli;

import amberheron.core.job.Job;
import amberheron.io.UnusableInput;
import amberheron.io.book.BookAddress;
import amberheron.io.book.BookUnreachable;
import amberheron.io.book.JobBook;
import amberheron.io.book.OpenBook;
import amberheron.io.book.Transfer;
import amberheron.io.json.JobDocument;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** Delays of a bay on a shared book: an entry kept, and seen in another bay. */
final class SharedBenchmark {
    private static final int ENTRIES = 200;
    private static final int LISTS = 30;
    private static final long PATIENCE = 10;

    private SharedBenchmark() {
    }

    /**
     * Measures with a job of its own, which is taken out again.
     *
     * @throws UnusableInput when the address is not that of a server
     * @throws BookUnreachable when it does not answer
     */
    static void run(String address, PrintWriter out) throws IOException, InterruptedException {
        if (!(BookAddress.parse(address) instanceof BookAddress.OfServer server)) {
            throw new UnusableInput("--shared", "", "is a file, expected postgresql://USER@HOST/DATABASE");
        }
        Path homes = Files.createTempDirectory("heron-bays");
        String id = "MEASURED-" + UUID.randomUUID().toString().substring(0, 8);
        try (OpenBook one = OpenBook.at(server, homes.resolve("1"));
                OpenBook other = OpenBook.at(server, homes.resolve("2"))) {
            one.add(JobDocument.of(Job.empty(id)));
            try {
                measure(one, other, id, out);
            } finally {
                try (JobBook away = JobBook.open(homes.resolve("away.db"))) {
                    Transfer.move(one, away, List.of(id), part -> {
                    });
                }
            }
        } finally {
            DemoCommands.delete(homes);
        }
    }

    private static void measure(OpenBook one, OpenBook other, String id, PrintWriter out)
            throws InterruptedException {
        LinkedBlockingQueue<Long> heard = new LinkedBlockingQueue<>();
        other.watch(h -> {
            Long revision = h.changed().get(id);
            if (revision != null) {
                heard.add(revision);
            }
        });
        double[] kept = new double[ENTRIES];
        double[] seen = new double[ENTRIES];
        JobDocument document = one.load(id).orElseThrow().document();
        long revision = 1;
        for (int i = 0; i < ENTRIES; i++) {
            Job job = document.job();
            document = document.with(job.withIntake(job.intake().withVehicle("entry " + i)));
            long start = System.nanoTime();
            revision = one.save(document, revision);
            kept[i] = (System.nanoTime() - start) / 1e6;
            Long told = heard.poll(PATIENCE, TimeUnit.SECONDS);
            while (told != null && told < revision) {
                told = heard.poll(PATIENCE, TimeUnit.SECONDS);
            }
            if (told == null) {
                throw new BookUnreachable(other.name());
            }
            seen[i] = (System.nanoTime() - start) / 1e6;
        }
        double[] lists = new double[LISTS];
        for (int i = 0; i < LISTS; i++) {
            long start = System.nanoTime();
            other.jobs();
            lists[i] = (System.nanoTime() - start) / 1e6;
        }
        Benchmark.report(out, "shared book: an entry kept", kept, "");
        Benchmark.report(out, "the same seen in another bay", seen, "aim: under 2000 ms");
        Benchmark.report(out, "list of its " + other.jobs().size() + " jobs", lists, "aim: under 100 ms");
    }
}
