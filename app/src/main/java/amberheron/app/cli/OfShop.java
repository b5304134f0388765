package amberheron.app.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** A command that works with what the shop keeps: its book, its catalogue, its habits. */
abstract class OfShop implements Callable<Integer> {
    private final HeronCommand.Environment environment;
    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    OfShop(HeronCommand.Environment environment) {
        this.environment = environment;
    }

    final HeronCommand.Environment environment() {
        return environment;
    }

    final Path home() {
        return environment.home();
    }

    final PrintWriter out() {
        return spec.commandLine().getOut();
    }

    final PrintWriter err() {
        return spec.commandLine().getErr();
    }
}
