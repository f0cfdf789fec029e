package nexa.imaging;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;

/** Programs of others that make or read files for tests, where they are installed. */
public final class Tools {
    private Tools() {}

    /** Passes the test over, and says so, where a program is missing. */
    public static void need(String... programs) {
        for (String program : programs) {
            assumeTrue(isThere(program), program + " is not installed");
        }
    }

    private static boolean isThere(String program) {
        String path = System.getenv().getOrDefault("PATH", "");
        return Arrays.stream(path.split(File.pathSeparator))
                .anyMatch(folder -> Files.isExecutable(Path.of(folder, program)));
    }

    /** Runs a program to its good end. */
    public static void run(Object... command) throws IOException {
        Process process = new ProcessBuilder(
                        Arrays.stream(command).map(Object::toString).toList())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        try {
            process.waitFor(60, TimeUnit.SECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        assertEquals(0, process.exitValue(), () -> Arrays.toString(command) + "\n" + said);
    }
}
