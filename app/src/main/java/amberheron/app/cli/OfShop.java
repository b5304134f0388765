package amberheron.app.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** A command that works with what the shop keeps: its book, its catalogue, its habits. */
abstract class OfShop implements Callable<Integer> {
    private final HeronCommand.Surroundings surroundings;
    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    OfShop(HeronCommand.Surroundings surroundings) {
        this.surroundings = surroundings;
    }

    final HeronCommand.Surroundings surroundings() {
        return surroundings;
    }

    final Path home() {
        return surroundings.home();
    }

    final PrintWriter out() {
        return spec.commandLine().getOut();
    }

    final PrintWriter err() {
        return spec.commandLine().getErr();
    }
}
