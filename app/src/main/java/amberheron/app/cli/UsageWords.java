package amberheron.app.cli;

import static amberheron.core.units.Phrase.say;
import static amberheron.core.units.Phrase.word;

import amberheron.core.units.Phrase;
import java.io.PrintWriter;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.MissingParameterException;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.Model.UsageMessageSpec;
import picocli.CommandLine.OverwrittenOptionException;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.UnmatchedArgumentException;

/** What is said of commands and of arguments that do not fit: our own words in place of the library's, in the language at hand. */
final class UsageWords {
    private UsageWords() {
    }

    /** Puts the descriptions of a command and of all that stand under it into the language at hand. */
    static CommandLine of(CommandLine line) {
        CommandSpec command = line.getCommandSpec();
        UsageMessageSpec usage = command.usageMessage();
        usage.description(words(usage.description()));
        usage.synopsisHeading(word("Usage: "));
        usage.commandListHeading(word("Commands:") + "%n");
        if (!usage.exitCodeList().isEmpty()) {
            usage.exitCodeListHeading("%n" + word("Exit codes:") + "%n");
            var codes = new LinkedHashMap<String, String>();
            usage.exitCodeList().forEach((code, says) -> codes.put(code, word(says)));
            usage.exitCodeList(codes);
        }
        for (OptionSpec option : List.copyOf(command.options())) {
            if (changes(option)) {
                command.remove(option);
                command.addOption(option.toBuilder().description(words(option.description())).build());
            }
        }
        for (PositionalParamSpec argument : List.copyOf(command.positionalParameters())) {
            if (changes(argument)) {
                command.remove(argument);
                command.addPositional(argument.toBuilder().description(words(argument.description())).build());
            }
        }
        line.getSubcommands().values().forEach(UsageWords::of);
        return line;
    }

    /** Says why arguments are refused, and what was expected. */
    static int refused(ParameterException e) {
        CommandLine line = e.getCommandLine();
        PrintWriter err = line.getErr();
        err.println(say("heron: %s", why(e)));
        List<String> near = e instanceof UnmatchedArgumentException unmatched ? unmatched.getSuggestions() : List.of();
        if (near.isEmpty()) {
            line.usage(err);
        } else {
            err.println(say("Perhaps: %s", String.join(", ", near)));
        }
        return HeronCommand.UNUSABLE;
    }

    private static String why(ParameterException e) {
        return switch (e) {
            case MissingParameterException missing -> say("missing: %s",
                    missing.getMissing().stream().map(UsageWords::label).collect(Collectors.joining(", ")));
            case UnmatchedArgumentException unmatched ->
                say("not understood: %s", String.join(", ", unmatched.getUnmatched()));
            case OverwrittenOptionException twice ->
                say("%s stands twice, expected once", label(twice.getOverwritten()));
            default -> expected(e).map(expected -> say("%s: found “%s”, expected %s", label(e.getArgSpec()),
                    e.getValue(), expected)).orElse(String.valueOf(e.getMessage()));
        };
    }

    /** What a value that was found to be none of its kind should have been; empty where the exception says it. */
    private static Optional<String> expected(ParameterException e) {
        if (e.getArgSpec() == null || e.getValue() == null) {
            return Optional.empty();
        }
        Class<?> type = e.getArgSpec().auxiliaryTypes()[0];
        if (type.isEnum()) {
            return Optional.of(say("one of %s", Stream.of(type.getEnumConstants())
                    .map(one -> String.valueOf(one).toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "))));
        }
        if (type == int.class || type == Integer.class || type == long.class || type == Long.class) {
            return Optional.of(say("a whole number"));
        }
        return type == double.class || type == Double.class
                ? Optional.of(say("a number with a decimal point"))
                : Optional.empty();
    }

    private static String label(ArgSpec argument) {
        return argument instanceof OptionSpec option ? option.longestName() : argument.paramLabel();
    }

    private static boolean changes(ArgSpec argument) {
        return !Arrays.equals(argument.description(), words(argument.description()));
    }

    private static String[] words(String[] english) {
        return Arrays.stream(english).map(Phrase::word).toArray(String[]::new);
    }
}
