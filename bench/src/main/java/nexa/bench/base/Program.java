package nexa.bench.base;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Nexa's commands as a program of its own, with a user's data of its own. */
public final class Program {
    private static final int LONGEST = 120;

    private final Path data;

    public Program(Path data) {
        this.data = data;
    }

    /** What came of one run. */
    public record Ran(int exit, String said) {
        /** A stack trace is nothing for a user, and so is a program that hangs. */
        public boolean isAFault() {
            return said.contains("\tat ") || said.contains("Nexa failed at this") || exit > 2;
        }
    }

    public Ran run(List<String> arguments) throws IOException, InterruptedException {
        Path out = Files.createTempFile("nexa-said", ".txt");
        try {
            Process process = start(arguments, out);
            if (!process.waitFor(LONGEST, TimeUnit.SECONDS)) {
                process.destroyForcibly().waitFor();
                return new Ran(Integer.MAX_VALUE, "it hung");
            }
            return new Ran(process.exitValue(), Files.readString(out, StandardCharsets.ISO_8859_1));
        } finally {
            Files.delete(out);
        }
    }

    public Process start(List<String> arguments, Path out) throws IOException {
        List<String> line = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx512m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:+AutoCreateSharedArchive",
                "-XX:SharedArchiveFile=" + data.resolveSibling("commands.jsa"),
                "-Xlog:disable",
                "-Xlog:all=off",
                "--enable-native-access=ALL-UNNAMED",
                "--sun-misc-unsafe-memory-access=allow",
                "-cp",
                System.getProperty("java.class.path"),
                "nexa.cli.Main"));
        line.addAll(arguments);
        ProcessBuilder builder = new ProcessBuilder(line);
        builder.environment().put("NEXA_HOME", data.toString());
        return builder.redirectErrorStream(true).redirectOutput(out.toFile()).start();
    }
}
