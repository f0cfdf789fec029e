package nexa.cli.packaging;

import nexa.shoot.Build;
import picocli.CommandLine.IVersionProvider;

/** Says which program this is. */
public final class BuildInfo implements IVersionProvider {
    @Override
    public String[] getVersion() {
        return Build.lines().toArray(String[]::new);
    }
}
