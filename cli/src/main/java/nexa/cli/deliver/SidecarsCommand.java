package nexa.cli.deliver;

import java.io.IOException;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.Exchanged;
import nexa.shoot.exchange.Sidecars;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "sidecars", description = "Write or read the crops of each photo in a file beside it.")
public final class SidecarsCommand extends ShootCommand {
    @ArgGroup(multiplicity = "1")
    @SuppressWarnings("NullAway.Init")
    private What what;

    /** One of these. */
    private static final class What {
        @Option(names = "--write", description = "Write sidecars of all photos that something was asked of.")
        private boolean write;

        @Option(names = "--read", description = "Read all sidecars, in place of what was known of their photos.")
        private boolean read;

        @Option(names = "--in-step", description = "From now on write a sidecar whenever a photo's crops change.")
        private boolean inStep;

        @Option(names = "--not-in-step", description = "No longer.")
        private boolean notInStep;
    }

    @Override
    protected boolean edits() {
        return true;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (what.inStep || what.notInStep) {
            Sidecars.keepInStep(shoot, what.inStep);
        }
        if (what.notInStep) {
            return true;
        }
        requireEditing(shoot);
        Exchanged exchanged = what.read ? Sidecars.read(shoot).apply() : Sidecars.write(shoot, photo -> true);
        return add(rows, exchanged);
    }
}
