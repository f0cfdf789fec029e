package nexa.cli;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.cli.base.ExitCode;
import nexa.cli.base.UsageWords;
import nexa.cli.correct.FillCommand;
import nexa.cli.correct.LensCommand;
import nexa.cli.correct.LensMeasureCommands;
import nexa.cli.correct.LevelCommand;
import nexa.cli.correct.NeutralCommand;
import nexa.cli.correct.PlumbCommand;
import nexa.cli.correct.PrepareCommand;
import nexa.cli.correct.RawCommand;
import nexa.cli.correct.RedEyeCommand;
import nexa.cli.correct.TrimCommand;
import nexa.cli.crop.CarryCommand;
import nexa.cli.crop.CheckCommand;
import nexa.cli.crop.CropCommand;
import nexa.cli.crop.CropsCommand;
import nexa.cli.crop.FormatsCommand;
import nexa.cli.crop.LineupCommand;
import nexa.cli.crop.MarkCommand;
import nexa.cli.deliver.HandoverCommand;
import nexa.cli.deliver.PaperCommands;
import nexa.cli.deliver.PhotosCommand;
import nexa.cli.deliver.SidecarsCommand;
import nexa.cli.packaging.BuildInfo;
import nexa.cli.packaging.PackagingCommands;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.words.Languages;
import nexa.words.Lengths;
import nexa.words.PrintUnit;
import nexa.words.Words;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.ParameterException;

/** Starts a command, or the window if none is given. */
@Command(
        name = "nexa",
        description = "Crops whole shoots: every format of the brief, every photo, consistent and non-destructive.",
        mixinStandardHelpOptions = true,
        versionProvider = BuildInfo.class)
public final class Main implements Callable<Integer> {
    private static final List<Class<?>> COMMANDS = List.of(
            WindowCommands.Open.class,
            WindowCommands.Demo.class,
            WindowCommands.Tour.class,
            PhotosCommand.class,
            FormatsCommand.class,
            CropCommand.class,
            CropsCommand.class,
            SidecarsCommand.class,
            LevelCommand.class,
            PrepareCommand.class,
            LensCommand.class,
            LensMeasureCommands.Chart.class,
            LensMeasureCommands.Measure.class,
            PlumbCommand.class,
            TrimCommand.class,
            RawCommand.class,
            NeutralCommand.class,
            RedEyeCommand.class,
            FillCommand.class,
            CarryCommand.class,
            CheckCommand.class,
            MarkCommand.class,
            LineupCommand.class,
            HandoverCommand.class,
            PaperCommands.Contact.class,
            PaperCommands.Prints.class);

    private static final Pattern PATH = Pattern.compile("(?!-).*[/\\\\].*|\\.\\.?");

    private static final Set<String> HELP = Set.of("--help", "-h");

    @Override
    public Integer call() throws IOException {
        WindowCommands.start();
        return ExitCode.OK;
    }

    public static void main(String[] arguments) {
        System.exit(run(utf8(System.out), utf8(System.err), arguments));
    }

    private static PrintStream utf8(PrintStream stream) {
        return new PrintStream(stream, true, StandardCharsets.UTF_8);
    }

    /** Runs one command line and gives its exit code; for tests and {@link #main}. */
    static int run(PrintStream out, PrintStream err, String... arguments) {
        Words.speak(Main::language);
        Lengths.measure(Main::printUnit);
        String[] joined = LensMeasureCommands.joined(opening(arguments));
        CommandLine line = commands(joined);
        line.setOut(new java.io.PrintWriter(out, true, StandardCharsets.UTF_8));
        line.setErr(new java.io.PrintWriter(err, true, StandardCharsets.UTF_8));
        if (Stream.of(joined).anyMatch(HELP::contains)) { // to know the language takes a moment
            Words.help().ifPresent(line::setResourceBundle);
        }
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setParameterExceptionHandler(Main::wrongUsage);
        line.setExecutionExceptionHandler((failure, command, parsed) -> failed(failure, command));
        return line.execute(joined);
    }

    /** A folder by its path is opened; a word alone may be a command's. */
    static String[] opening(String... arguments) {
        boolean isPath = arguments.length > 0 && PATH.matcher(arguments[0]).matches();
        return isPath ? Stream.concat(Stream.of("open"), Stream.of(arguments)).toArray(String[]::new) : arguments;
    }

    /** Reading what a command takes is most of a short one's time: only the one that is named is read, or all if it is none. */
    static CommandLine commands(String... arguments) {
        CommandLine line = new CommandLine(new Main()).setExpandAtFiles(false); // a folder may be called @kiln
        List<Class<?>> named = COMMANDS.stream()
                .filter(each -> arguments.length > 0 && name(each).equals(arguments[0]))
                .toList();
        (named.isEmpty() ? COMMANDS : named).forEach(line::addSubcommand);
        if (named.isEmpty()) {
            line.addSubcommand(new PackagingCommands.Completion())
                    .addSubcommand(new PackagingCommands.Manual())
                    .addSubcommand(new PackagingCommands.TrainDecoders());
        }
        return line;
    }

    private static String name(Class<?> command) {
        return command.getAnnotation(Command.class).name();
    }

    /** Read when a command has something to say, and not before. */
    private static String language() {
        return set(Languages.SETTING).orElse(Languages.AS_SYSTEM);
    }

    private static PrintUnit printUnit() {
        return set(PrintUnit.SETTING)
                .flatMap(name -> Stream.of(PrintUnit.values())
                        .filter(unit -> unit.name().equals(name))
                        .findFirst())
                .orElse(PrintUnit.AS_SYSTEM);
    }

    private static Optional<String> set(String setting) {
        try (Preferences preferences = Preferences.open(Locations.ofThisUser())) {
            return preferences.get(setting);
        }
    }

    private static int wrongUsage(ParameterException wrong, String[] arguments) {
        CommandLine command = wrong.getCommandLine();
        command.getErr().println(UsageWords.of(wrong, arguments));
        command.getErr().println(Words.of("cli.see", command.getCommandSpec().qualifiedName()));
        return ExitCode.WRONG_USAGE;
    }

    private static int failed(Exception failure, CommandLine command) {
        if (failure instanceof IOException expected && expected.getMessage() != null) {
            command.getErr().println(Words.of(expected));
        } else {
            command.getErr().println(Words.of("cli.failed", String.valueOf(failure)));
            LoggerFactory.getLogger(Main.class).error("A command failed", failure);
        }
        return ExitCode.SOME_FAILED;
    }
}
