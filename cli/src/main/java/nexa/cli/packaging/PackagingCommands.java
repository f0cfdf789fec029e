package nexa.cli.packaging;

import java.util.concurrent.Callable;
import nexa.cli.base.ExitCode;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** What a package brings along for shells, made from the commands themselves. */
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
}
