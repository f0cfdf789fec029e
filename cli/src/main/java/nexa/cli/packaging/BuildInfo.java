package nexa.cli.packaging;

import java.io.IOException;
import java.io.InputStream;
import java.util.Objects;
import java.util.Properties;
import picocli.CommandLine.IVersionProvider;

/** Which program this is: its version, the commit and day it was built from, and the Java it runs on. */
public final class BuildInfo implements IVersionProvider {
    @Override
    public String[] getVersion() throws IOException {
        Properties build = new Properties();
        try (InputStream in = Objects.requireNonNull(BuildInfo.class.getResourceAsStream("build.properties"))) {
            build.load(in);
        }
        return new String[] {
            "Nexa " + build.getProperty("version"),
            "Build " + build.getProperty("commit") + " of " + build.getProperty("time"),
            "Java " + Runtime.version() + ", " + System.getProperty("os.name") + " " + System.getProperty("os.arch")
        };
    }
}
