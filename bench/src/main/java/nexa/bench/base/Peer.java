package nexa.bench.base;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** Another program, run as a whole process, with its time and its largest memory. */
public final class Peer {
    private static final String PEAK = "VmHWM:";

    private Peer() {}

    /**
     * What a run took.
     *
     * @param peak kilobytes of the largest of its processes
     */
    public record Taken(double seconds, long peak) {}

    /** Whether a program is installed. */
    public static boolean has(String program) {
        return Stream.of(System.getenv("PATH").split(File.pathSeparator))
                .anyMatch(folder -> Files.isExecutable(Path.of(folder, program)));
    }

    /** Runs a shell script. */
    public static Taken shell(String script) throws IOException {
        return run(List.of("bash", "-c", "set -e; " + script));
    }

    private static Taken run(List<String> command) throws IOException {
        long begun = System.nanoTime();
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        long peak = 0;
        try {
            while (!process.waitFor(10, java.util.concurrent.TimeUnit.MILLISECONDS)) {
                peak = Math.max(
                        peak,
                        Stream.concat(Stream.of(process.toHandle()), process.descendants())
                                .mapToLong(handle -> peakOf(handle.pid()))
                                .max()
                                .orElse(0));
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        if (process.exitValue() != 0) {
            throw new IOException(command + " failed with " + process.exitValue());
        }
        return new Taken((System.nanoTime() - begun) / 1e9, peak);
    }

    /** Kilobytes a process held at its largest; 0 if it can't be told. */
    public static long peakOf(long process) {
        try (Stream<String> lines = Files.lines(Path.of("/proc", String.valueOf(process), "status"))) {
            return lines.filter(line -> line.startsWith(PEAK))
                    .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                    .findFirst()
                    .orElse(0);
        } catch (IOException | java.io.UncheckedIOException gone) { // its picture is gone
            return 0;
        }
    }
}
