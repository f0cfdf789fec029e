package nexa.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import nexa.cli.base.ExitCode;
import nexa.desktop.Desktop;
import nexa.desktop.tour.WindowTour;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The commands that show a window; the only place in this module that knows the desktop. */
final class WindowCommands {
    private WindowCommands() {}

    static void start() throws IOException {
        Desktop.start();
    }

    @Command(
            name = "open",
            description = "Open a shoot in the window, or put a brief on the shelf.",
            mixinStandardHelpOptions = true)
    static final class Open implements Callable<Integer> {
        @Parameters(
                arity = "0..1",
                paramLabel = "FOLDER",
                description = "The shoot: a folder of photos; or a brief's file. Without it the window asks.")
        private @Nullable Path place;

        @Override
        public Integer call() throws IOException {
            if (place == null) {
                start();
            } else {
                Desktop.open(place.toAbsolutePath());
            }
            return ExitCode.OK;
        }
    }

    @Command(
            name = "demo",
            description = "Open a fresh copy of the demo shoot in the window.",
            mixinStandardHelpOptions = true)
    static final class Demo implements Callable<Integer> {
        @Option(
                names = "--camera",
                description = "Begin with a few photos; a make-believe camera drops the others into the folder.")
        private boolean camera;

        @Override
        public Integer call() throws Exception {
            if (camera) {
                Desktop.demoWithCamera();
            } else {
                Desktop.demo();
            }
            return ExitCode.OK;
        }
    }

    @Command(
            name = "tour",
            description = "Walk through every main view without a display and write a picture of each.",
            mixinStandardHelpOptions = true)
    static final class Tour implements Callable<Integer> {
        @Option(names = "--out", required = true, paramLabel = "DIR", description = "The folder for the pictures.")
        @SuppressWarnings("NullAway.Init")
        private Path out;

        @Option(names = "--shoot", paramLabel = "FOLDER", description = "A shoot of yours; else the demo shoot.")
        private @Nullable Path shoot;

        @Override
        public Integer call() throws Exception {
            WindowTour.run(out.toAbsolutePath(), shoot == null ? null : shoot.toAbsolutePath());
            return ExitCode.OK;
        }
    }
}
