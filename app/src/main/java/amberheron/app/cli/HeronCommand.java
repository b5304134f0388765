package amberheron.app.cli;

import amberheron.app.home.HomeLog;
import amberheron.io.UnusableInput;
import amberheron.io.book.BookAddress;
import amberheron.io.book.BookProblem;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** The command line: the same computation as the desktop. */
@Command(name = "heron", mixinStandardHelpOptions = true, versionProvider = HeronCommand.Version.class, description = "Makes the number shown equal the mixture in the pipe. Without a command: opens the desktop.", exitCodeListHeading = "%nExit codes:%n", exitCodeList = {
        "0:done and within tolerance", "1:done, something is out of tolerance", "2:the input cannot be used",
        "70:an error of our own; one line says where the log is"})
public final class HeronCommand implements Runnable {
    /** Out of tolerance. */
    static final int OUT = 1;
    /** Input that cannot be used. */
    static final int UNUSABLE = 2;
    /** An error of our own. */
    static final int OURS = 70;

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    /** Whether a window came up, why not, and the exit code if it did. */
    public record DesktopOutcome(boolean opened, String reason, int exit) {
    }

    /**
     * What the commands cannot know by themselves.
     *
     * @param home where the shop's catalogue is kept
     * @param book where the surroundings say that the book is; empty where they do not
     * @param password of the book, where the surroundings say it
     * @param demoDesktop opens the desktop on the demo book
     */
    public record Surroundings(Path home, Optional<String> book, Optional<String> password,
            Supplier<DesktopOutcome> demoDesktop) {
        /**
         * Where the shop's book is.
         *
         * @throws UnusableInput when that cannot be told
         */
        BookAddress address() {
            return BookAddress.of(home, book).with(password);
        }
    }

    /** Every command there is. */
    static CommandLine line(Surroundings surroundings) {
        return new CommandLine(new HeronCommand())
                .addSubcommand(new ScaleCommands.Scale(surroundings))
                .addSubcommand(new ScaleCommands.Diagnose(surroundings))
                .addSubcommand(new JobCommands.Place(surroundings)).addSubcommand(new JobCommands.Wire(surroundings))
                .addSubcommand(new JobCommands.Air(surroundings)).addSubcommand(new JobCommands.Prove(surroundings))
                .addSubcommand(new CommandLine(new SimulateCommand())
                        .addSubcommand(new SimulateCommand.OfController(surroundings)))
                .addSubcommand(new JobCommands.Review(surroundings)).addSubcommand(new JobCommands.Pack(surroundings))
                .addSubcommand(new JobCommands.Verify(surroundings)).addSubcommand(new JobCommands.Key(surroundings))
                .addSubcommand(new CommandLine(new BookCommands(surroundings))
                        .addSubcommand(new BookCommands.Backup(surroundings))
                        .addSubcommand(new BookCommands.Restore(surroundings))
                        .addSubcommand(new BookCommands.Move(surroundings))
                        .addSubcommand(new BookCommands.Use(surroundings)))
                .addSubcommand(new BookCommands.TakeCatalogue(surroundings))
                .addSubcommand(new DemoCommands.Demo(surroundings))
                .addSubcommand(new DemoCommands.PicturesCommand()).addSubcommand(new Benchmark())
                .addSubcommand(new ManPage())
                .addSubcommand("completion", new AutoComplete.GenerateCompletion());
    }

    /** Runs a command and gives its exit code. */
    public static int run(String[] args, Surroundings surroundings) {
        HomeLog.startWhenNeeded(surroundings.home());
        CommandLine line = line(surroundings);
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setExecutionExceptionHandler((e, command, parsed) -> {
            if (e instanceof UnusableInput || e instanceof BookProblem) {
                command.getErr().println("heron: " + e.getMessage());
                return UNUSABLE;
            }
            return ours(surroundings, command, e);
        });
        try {
            return line.execute(args);
        } catch (Error e) {
            return ours(surroundings, line, e);
        }
    }

    private static int ours(Surroundings surroundings, CommandLine line, Throwable e) {
        HomeLog.error(surroundings.home(), "command", e);
        line.getErr()
                .println("heron: an error of our own (" + e.getClass().getSimpleName()
                        + "); what happened is written in "
                        + HomeLog.file(surroundings.home()));
        return OURS;
    }

    @Override
    public void run() {
        throw new CommandLine.ParameterException(spec.commandLine(), "expected a command");
    }

    static final class Version implements IVersionProvider {
        @Override
        public String[] getVersion() {
            String version = HeronCommand.class.getPackage().getImplementationVersion();
            return new String[]{"Amber Heron " + (version == null ? "(not packaged)" : version)};
        }
    }
}
