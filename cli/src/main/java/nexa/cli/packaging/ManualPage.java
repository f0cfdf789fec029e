package nexa.cli.packaging;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;

/** A manual page of a program and its commands, in the language of man(7). */
final class ManualPage {
    private final StringBuilder page = new StringBuilder();

    private ManualPage() {}

    /** @param program with all its commands */
    static String of(CommandSpec program) {
        ManualPage manual = new ManualPage();
        manual.program(program);
        return manual.page.toString();
    }

    private void program(CommandSpec program) {
        line(".TH " + program.name().toUpperCase(java.util.Locale.ROOT) + " 1");
        line(".SH NAME");
        line(program.name() + " \\- " + text(description(program.usageMessage().description())));
        line(".SH SYNOPSIS");
        line(".B " + program.name());
        line("[\\fICOMMAND\\fR [\\fIOPTION\\fR]... \\fIFOLDER\\fR]");
        line(".SH DESCRIPTION");
        line("Without a command the window opens.");
        line(".SH OPTIONS");
        program.options().forEach(this::option);
        line(".SH COMMANDS");
        program.subcommands().values().stream()
                .distinct()
                .map(CommandLine::getCommandSpec)
                .filter(command -> !command.usageMessage().hidden())
                .forEach(this::command);
    }

    private void command(CommandSpec command) {
        line(".SS " + command.qualifiedName() + parameters(command));
        line(text(description(command.usageMessage().description())));
        command.positionalParameters().forEach(this::parameter);
        command.options().stream().filter(option -> !option.hidden()).forEach(this::option);
    }

    private static String parameters(CommandSpec command) {
        return command.positionalParameters().stream()
                .map(each -> " " + text(each.paramLabel()))
                .collect(Collectors.joining());
    }

    private void parameter(PositionalParamSpec parameter) {
        line(".TP");
        line("\\fI" + text(parameter.paramLabel()) + "\\fR");
        line(text(description(parameter.description())));
    }

    private void option(OptionSpec option) {
        line(".TP");
        String names = Stream.of(option.names()).map(ManualPage::text).collect(Collectors.joining("\\fR, \\fB"));
        line("\\fB" + names + "\\fR" + value(option));
        line(text(description(option.description())));
    }

    private static String value(ArgSpec option) {
        return option.arity().max() == 0 ? "" : "=\\fI" + text(option.paramLabel()) + "\\fR";
    }

    /** Written as patterns that stand for no values. */
    private static String description(String... patterns) {
        return String.join(" ", patterns).replace("%n", " ").replace("%%", "%");
    }

    /** What man would take for its own language is written so that it shows. */
    private static String text(String plain) {
        String escaped = plain.replace("\\", "\\e").replace("-", "\\-");
        return escaped.startsWith(".") || escaped.startsWith("'") ? "\\&" + escaped : escaped;
    }

    private void line(String line) {
        page.append(line).append('\n');
    }
}
