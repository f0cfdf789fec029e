package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * From the start of the packaged program to its window's first picture, and a command from start to end, with and
 * without the JVM's ahead-of-time cache, in turns. Needs {@code ./nexa package}; headless, software renderer.
 */
final class StartTimes {
    private static final int ROUNDS = 9;
    private static final long LONGEST_SECONDS = 60;
    private static final String HEADLESS = "-Dglass.platform=Headless -Dprism.order=sw";
    private static final Map<String, String> MODES =
            Map.of("with the cache", "-XX:AOTMode=auto", "without the cache", "-XX:AOTMode=off");
    private static final Pattern SHOWN = Pattern.compile("The window shows (\\d+) ms");

    private final Path program;
    private final Path log;

    private StartTimes(Path program, Path log) {
        this.program = program;
        this.log = log;
    }

    /** @throws IOException if the package was not made */
    static void run() throws IOException {
        Path home = Path.of(System.getProperty("nexa.home", "."));
        Path program = home.resolve("target/package/nexa/bin/nexa");
        if (!Files.isExecutable(program)) {
            throw new IOException("There is no " + program + "; make it with: ./nexa package");
        }
        Path folder = Files.createTempDirectory("nexa-start");
        StartTimes times = new StartTimes(program, folder.resolve("start.log"));
        MODES.keySet().stream().sorted().forEach(mode -> System.out.println(mode + " = " + MODES.get(mode)));
        times.measure("the window's first picture", times::window);
        times.measure("nexa --help, whole process", times::help);
    }

    /** Milliseconds of one start. */
    private interface Start {
        double with(String options) throws IOException, InterruptedException;
    }

    private void measure(String what, Start start) throws IOException {
        List<String> modes = MODES.keySet().stream().sorted().toList();
        List<List<Double>> taken = List.of(new ArrayList<>(), new ArrayList<>());
        try {
            for (int round = 0; round < ROUNDS; round++) {
                for (int mode = 0; mode < modes.size(); mode++) {
                    taken.get(mode).add(start.with(Objects.requireNonNull(MODES.get(modes.get(mode)))));
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped", stopped);
        }
        for (int mode = 0; mode < modes.size(); mode++) {
            List<Double> sorted = taken.get(mode).stream().sorted().toList();
            System.out.printf(
                    Locale.ROOT,
                    "%s, %s: median %.0f ms (%.0f to %.0f)%n",
                    what,
                    modes.get(mode),
                    sorted.get(ROUNDS / 2),
                    sorted.getFirst(),
                    sorted.getLast());
        }
    }

    private ProcessBuilder process(String options, String... arguments) {
        List<String> command = new ArrayList<>(List.of(program.toString()));
        command.addAll(List.of(arguments));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD);
        builder.environment().put("JAVA_TOOL_OPTIONS", HEADLESS + " -Dnexa.log=" + log + " " + options);
        return builder;
    }

    /** As the program itself tells in its log. */
    private double window(String options) throws IOException, InterruptedException {
        Files.deleteIfExists(log);
        Process process = process(options).start();
        try {
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(LONGEST_SECONDS);
            while (System.nanoTime() < end) {
                Matcher shown = SHOWN.matcher(Files.exists(log) ? Files.readString(log) : "");
                if (shown.find()) {
                    return Double.parseDouble(shown.group(1));
                }
                Thread.sleep(20);
            }
            throw new IOException("The window did not show");
        } finally {
            process.descendants().forEach(ProcessHandle::destroyForcibly);
            process.destroyForcibly().waitFor();
        }
    }

    private double help(String options) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        process(options, "--help").start().waitFor();
        return (System.nanoTime() - begun) / 1e6;
    }
}
