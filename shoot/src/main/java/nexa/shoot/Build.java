package nexa.shoot;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import java.util.Properties;

/** Which program this is. */
public final class Build {
    private Build() {}

    /** Its version, the commit and day it was built from, and the Java it runs on; a line each, in no language. */
    public static List<String> lines() {
        Properties build = new Properties();
        try (InputStream in = Objects.requireNonNull(Build.class.getResourceAsStream("build.properties"))) {
            build.load(in);
        } catch (IOException unreadable) { // a resource of the program itself
            throw new UncheckedIOException(unreadable);
        }
        return List.of(
                "Nexa " + build.getProperty("version"),
                "Build " + build.getProperty("commit") + " of " + build.getProperty("time"),
                "Java " + Runtime.version() + ", " + System.getProperty("os.name") + " "
                        + System.getProperty("os.arch"));
    }
}
