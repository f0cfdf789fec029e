package nexa.imaging.codec;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Properties;

/** What was chosen when this was built. */
final class Build {
    private static final String RESOURCE = "build.properties";

    private Build() {}

    /** Whether HEVC is decoded; {@code ./nexa package} and Maven leave it out with {@code -Dnexa.hevc=false}. */
    static boolean decodesHevc() {
        try (InputStream in = Build.class.getResourceAsStream(RESOURCE)) {
            Properties chosen = new Properties();
            chosen.load(in);
            return Boolean.parseBoolean(chosen.getProperty("hevc"));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
