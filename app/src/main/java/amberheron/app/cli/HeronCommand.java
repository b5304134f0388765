package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;

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
     * @param book where the environment say that the book is; empty where they do not
     * @param password of the book, where the environment say it
     * @param demoDesktop opens the desktop on the demo book
     */
    public record Environment(Path home, Optional<String> book, Optional<String> password,
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
    static CommandLine line(Environment environment) {
        return UsageWords.of(new CommandLine(new HeronCommand())
                .addSubcommand(new ScaleCommands.Scale(environment))
                .addSubcommand(new ScaleCommands.Diagnose(environment))
                .addSubcommand(new JobCommands.Place(environment)).addSubcommand(new JobCommands.Wire(environment))
                .addSubcommand(new JobCommands.Air(environment)).addSubcommand(new JobCommands.Prove(environment))
                .addSubcommand(new CommandLine(new SimulateCommand())
                        .addSubcommand(new SimulateCommand.OfController(environment)))
                .addSubcommand(new JobCommands.Review(environment)).addSubcommand(new JobCommands.Pack(environment))
                .addSubcommand(new JobCommands.Verify(environment)).addSubcommand(new JobCommands.Key(environment))
                .addSubcommand(new CommandLine(new BookCommands(environment))
                        .addSubcommand(new BookCommands.Backup(environment))
                        .addSubcommand(new BookCommands.Restore(environment))
                        .addSubcommand(new BookCommands.Move(environment))
                        .addSubcommand(new BookCommands.Use(environment)))
                .addSubcommand(new BookCommands.TakeCatalogue(environment))
                .addSubcommand(new DemoCommands.Demo(environment))
                .addSubcommand(new DemoCommands.PicturesCommand()).addSubcommand(new Benchmark())
                .addSubcommand(new ManPage())
                .addSubcommand("completion", new AutoComplete.GenerateCompletion()));
    }

    /** Runs a command and gives its exit code. */
    public static int run(String[] args, Environment environment) {
        HomeLog.startWhenNeeded(environment.home());
        CommandLine line = line(environment);
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setParameterExceptionHandler((e, arguments) -> UsageWords.refused(e));
        line.setExecutionExceptionHandler((e, command, parsed) -> {
            if (e instanceof UnusableInput || e instanceof BookProblem) {
                command.getErr().println(say("heron: %s", e.getMessage()));
                return UNUSABLE;
            }
            return ours(environment, command, e);
        });
        try {
            return line.execute(args);
        } catch (Error e) {
            return ours(environment, line, e);
        } finally {
            HomeLog.end();
        }
    }

    private static int ours(Environment environment, CommandLine line, Throwable e) {
        HomeLog.error(environment.home(), "command", e);
        line.getErr()
                .println(say("heron: an error of our own (%s); what happened is written in %s",
                        e.getClass().getSimpleName(), HomeLog.file(environment.home())));
        return OURS;
    }

    @Override
    public void run() {
        throw new CommandLine.ParameterException(spec.commandLine(), say("expected a command"));
    }

    static final class Version implements IVersionProvider {
        @Override
        public String[] getVersion() {
            String version = HeronCommand.class.getPackage().getImplementationVersion();
            return new String[]{say("Amber Heron %s", version == null ? say("(not packaged)") : version)};
        }
    }
}
