package nexa.cli.packaging;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import nexa.cli.base.ExitCode;
import nexa.imaging.apart.Apart;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What a package brings along for shells, made from the commands themselves, and for quick starts. */
public final class PackagingCommands {
    private PackagingCommands() {}

    private abstract static class Printing implements Callable<Integer> {
        @Spec
        @SuppressWarnings("NullAway.Init")
        private CommandSpec spec;

        /** @param nexa with all its commands */
        abstract String text(CommandLine nexa);

        @Override
        public Integer call() {
            spec.commandLine().getOut().print(text(spec.parent().commandLine()));
            spec.commandLine().getOut().flush();
            return ExitCode.OK;
        }
    }

    @Command(
            name = "completion",
            hidden = true,
            description = "Print a script by which bash and zsh complete commands.")
    public static final class Completion extends Printing {
        @Override
        String text(CommandLine nexa) {
            return AutoComplete.bash(nexa.getCommandName(), nexa);
        }
    }

    @Command(name = "manual", hidden = true, description = "Print the manual page, as man reads it.")
    public static final class Manual extends Printing {
        @Override
        String text(CommandLine nexa) {
            return ManualPage.of(nexa.getCommandSpec());
        }
    }

    @Command(
            name = "train-decoders",
            hidden = true,
            description = "Make a file by which the processes that decode photos start quickly.")
    public static final class TrainDecoders implements Callable<Integer> {
        /** The file to make. */
        @Parameters(index = "0", paramLabel = "FILE", hidden = true)
        @SuppressWarnings("NullAway.Init")
        private Path file;

        /** Small photos to be decoded meanwhile. */
        @Parameters(index = "1..*", paramLabel = "PHOTO", hidden = true)
        private List<Path> photos = List.of();

        @Override
        public Integer call() throws IOException {
            Apart.train(file.toAbsolutePath(), photos);
            return ExitCode.OK;
        }
    }
}
