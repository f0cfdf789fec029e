package nexa.cli.base;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.words.Words;
import picocli.CommandLine;
import picocli.CommandLine.MaxValuesExceededException;
import picocli.CommandLine.MissingParameterException;
import picocli.CommandLine.Model.ArgGroupSpec;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.MutuallyExclusiveArgsException;
import picocli.CommandLine.OverwrittenOptionException;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.UnmatchedArgumentException;

/** What is wrong with a command line, in the language that Nexa speaks; the library that reads it has English alone. */
public final class UsageWords {
    private UsageWords() {}

    /** @param arguments of the command line */
    public static String of(ParameterException wrong, String... arguments) {
        return switch (wrong) {
            case UnmatchedArgumentException unknown -> unknown(unknown);
            case MissingParameterException missing -> missing(missing.getMissing(), arguments);
            case OverwrittenOptionException twice -> Words.of("usage.twice", name(twice.getOverwritten()));
            case MaxValuesExceededException tooMany -> Words.of("usage.too-many");
            case MutuallyExclusiveArgsException both ->
                Words.of("usage.exclusive", given(both.getCommandLine(), arguments));
            default ->
                wrong.getArgSpec() == null
                        ? String.valueOf(wrong.getMessage()) // said by a command of ours
                        : value(wrong.getArgSpec(), wrong.getValue());
        };
    }

    private static String unknown(UnmatchedArgumentException unknown) {
        String what = unknown.getUnmatched().getFirst();
        String said = Words.of(unknown.isUnknownOption() ? "usage.unknown.option" : "usage.unknown", what);
        List<String> alike = unknown.getSuggestions();
        return alike.isEmpty() ? said : said + "\n" + Words.of("usage.alike", String.join(", ", alike));
    }

    private static String missing(List<ArgSpec> missing, String[] arguments) {
        boolean valueMissing = missing.size() == 1
                && missing.getFirst() instanceof OptionSpec option
                && Stream.of(arguments)
                        .anyMatch(given -> Arrays.asList(option.names()).contains(given));
        if (valueMissing) {
            return Words.of("usage.no-value", name(missing.getFirst()));
        }
        String names = missing.stream().map(UsageWords::name).collect(Collectors.joining(", "));
        boolean oneOfThem = missing.size() > 1
                && missing.stream()
                        .allMatch(each -> each.group() != null && each.group().exclusive());
        return Words.of(oneOfThem ? "usage.one-missing" : "usage.missing", names);
    }

    /** Of the command's options of which there may be one alone, those that were given. */
    private static String given(CommandLine command, String[] arguments) {
        Set<String> alone = command.getCommandSpec().argGroups().stream()
                .filter(ArgGroupSpec::exclusive)
                .flatMap(group -> group.options().stream())
                .map(OptionSpec::longestName)
                .collect(Collectors.toSet());
        return Stream.of(arguments)
                .map(given -> given.split("=", 2)[0])
                .filter(alone::contains)
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static String value(ArgSpec argument, String value) {
        Class<?> type = argument.auxiliaryTypes()[0];
        String said = Words.of("usage.value", name(argument), value);
        if (type.isEnum()) {
            return said + " " + Words.of("usage.one-of", candidates(type));
        }
        if (type == boolean.class || type == Boolean.class) {
            return said + " " + Words.of("usage.one-of", "true, false");
        }
        return isNumber(type) ? said + " " + Words.of("usage.number") : said;
    }

    private static String candidates(Class<?> type) {
        return Stream.of(type.getEnumConstants())
                .map(constant -> constant.toString().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    private static boolean isNumber(Class<?> type) {
        return Number.class.isAssignableFrom(type) || type.isPrimitive() && type != boolean.class && type != char.class;
    }

    private static String name(ArgSpec argument) {
        return argument instanceof OptionSpec option ? option.longestName() : argument.paramLabel();
    }
}
