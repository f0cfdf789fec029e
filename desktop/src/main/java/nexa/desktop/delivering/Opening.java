package nexa.desktop.delivering;

import java.awt.Desktop;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Executor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Opens folders and files with what the system has for them. */
public final class Opening {
    private static final Logger LOG = LoggerFactory.getLogger(Opening.class);

    private Opening() {}

    /** Whether this system can. */
    public static boolean isPossible() {
        return !GraphicsEnvironment.isHeadless()
                && Desktop.isDesktopSupported()
                && Desktop.getDesktop().isSupported(Desktop.Action.OPEN);
    }

    /** @param work off the interface's thread: the system may take its time */
    public static void open(Path file, Executor work) {
        work.execute(() -> {
            try {
                Desktop.getDesktop().open(file.toFile());
            } catch (IOException | RuntimeException nothingForIt) { // its place is said beside the button
                LOG.warn("{} can't be opened", file, nothingForIt);
            }
        });
    }
}
