package amberheron.app.cli;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a command did: its exit code, and what it said on both streams of the program.
 *
 * @param out standard output
 * @param err standard error
 */
public record Ran(int exit, String out, String err) {
    /** Runs a command for a home folder, where no desktop can be opened. */
    public static Ran of(Path home, String... args) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        ByteArrayOutputStream complained = new ByteArrayOutputStream();
        try {
            System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
            System.setErr(new PrintStream(new ButTheScreens(complained, err), true, StandardCharsets.UTF_8));
            int exit = HeronCommand.run(args,
                    new HeronCommand.Environment(home, Optional.empty(), Optional.empty(), () -> {
                        throw new IllegalStateException("no desktop here");
                    }));
            return new Ran(exit, said.toString(StandardCharsets.UTF_8), complained.toString(StandardCharsets.UTF_8));
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
    }

    /** What a window of another test has to say at the same time is not the command's. */
    private static final class ButTheScreens extends OutputStream {
        private final OutputStream own;
        private final OutputStream screens;

        ButTheScreens(OutputStream own, OutputStream screens) {
            this.own = own;
            this.screens = screens;
        }

        @Override
        public void write(int b) throws IOException {
            (Thread.currentThread().getName().startsWith("JavaFX") ? screens : own).write(b);
        }
    }

    JsonNode json() {
        return JsonMapper.shared().readTree(out);
    }
}
