package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.Spec;

/** {@code heron man}: the manual's page, from the same descriptions that {@code --help} shows. */
@Command(name = "man", mixinStandardHelpOptions = true, description = "The manual's page: heron man | man -l -")
final class ManPage implements Callable<Integer> {
    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        out.print(text(spec.root()));
        out.flush();
        return 0;
    }

    /** The page of a command and of all that stand under it, in the manual's own markup. */
    static String text(CommandSpec root) {
        StringBuilder out = new StringBuilder();
        line(out, ".TH HERON 1");
        line(out, ".SH NAME");
        line(out, "heron \\- " + plain(root.usageMessage().description()));
        line(out, ".SH SYNOPSIS");
        line(out, ".B heron");
        line(out, "[\\fICOMMAND\\fR]");
        line(out, ".SH COMMANDS");
        commands(out, "", root);
        line(out, ".SH EXIT STATUS");
        root.usageMessage().exitCodeList().forEach((code, says) -> item(out, code, says));
        line(out, ".SH ENVIRONMENT");
        item(out, "HERON_HOME", say("the folder with book, catalogue and packs"));
        item(out, "HERON_BOOK", say("where the book is: a file, or postgresql://USER@HOST/DATABASE"));
        return out.toString();
    }

    private static void commands(StringBuilder out, String above, CommandSpec of) {
        Map<String, CommandLine> all = new TreeMap<>(of.subcommands());
        all.values().removeIf(c -> c.getCommandSpec().usageMessage().hidden());
        all.forEach((name, line) -> {
            CommandSpec command = line.getCommandSpec();
            String whole = above + name;
            line(out, ".SS " + plain(whole + command.positionalParameters().stream().map(p -> " " + p.paramLabel())
                    .collect(Collectors.joining())));
            line(out, plain(command.usageMessage().description()));
            command.positionalParameters().stream().filter(p -> !p.hidden() && p.description().length > 0)
                    .forEach(p -> item(out, label(p), String.join(" ", p.description())));
            command.options().stream().filter(o -> !o.hidden() && !o.usageHelp() && !o.versionHelp())
                    .forEach(o -> item(out, label(o), String.join(" ", o.description())));
            commands(out, whole + " ", command);
        });
    }

    private static String label(ArgSpec arg) {
        return switch (arg) {
            case OptionSpec o -> o.longestName() + (o.arity().max() > 0 ? " " + o.paramLabel() : "");
            case PositionalParamSpec p -> p.paramLabel();
            default -> arg.paramLabel();
        };
    }

    private static void item(StringBuilder out, String name, String says) {
        line(out, ".TP");
        line(out, "\\fB" + plain(name) + "\\fR");
        line(out, plain(says));
    }

    private static String plain(String... words) {
        String text = Arrays.stream(words).collect(Collectors.joining(" "));
        // A backslash, a hyphen and a dot at the start mean something else there.
        String escaped = text.replace("\\", "\\e").replace("-", "\\-");
        return escaped.startsWith(".") || escaped.startsWith("'") ? "\\&" + escaped : escaped;
    }

    private static void line(StringBuilder out, String text) {
        out.append(text).append('\n');
    }
}
