package nexa.bench.attack;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import nexa.bench.base.Peer;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;

/**
 * Thousands of damaged files of every kind are read and decoded. The reading is done in a process of its own, which is
 * started again behind a file that ends or stops it, so that each such file counts.
 */
public final class Fuzz {
    private static final int USUAL = 20_000;
    private static final long LONGEST = 5_000_000_000L;
    private static final int HANGS = 3;
    private static final int EDGE = 512;
    private static final String CHILD = "fuzz-child";

    private Fuzz() {}

    /** @param count of files; 0 = 20,000 */
    public static void run(int count) throws IOException {
        run(count, List.of());
    }

    /** The same of files made of those in a folder; raw ones are also developed. */
    public static void run(Path seeds) throws IOException {
        run(0, List.of(seeds.toAbsolutePath().toString()));
    }

    private static void run(int count, List<String> seeds) throws IOException {
        int files = count == 0 ? USUAL : count;
        Path folder = Files.createTempDirectory("nexa-fuzz");
        Map<String, Integer> outcomes = new TreeMap<>();
        long begun = System.nanoTime();
        long peak = 0;
        int next = 0;
        while (next < files) {
            Process child = child(folder, next, files, seeds);
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
                String line;
                while ((line = lines.readLine()) != null) {
                    String[] words = line.split(" ", 3);
                    if (words[0].equals("file")) {
                        next = Integer.parseInt(words[1]) + 1;
                        outcomes.merge(words[2], 1, Integer::sum);
                        peak = next % 100 == 0 ? Math.max(peak, Peer.peakOf(child.pid())) : peak;
                    }
                }
                int exit = child.waitFor();
                if (exit != 0) {
                    String what = exit == HANGS ? "hung" : "ended the process";
                    System.out.println("file " + next + " " + what + " (" + exit + ")");
                    outcomes.merge(what, 1, Integer::sum);
                    next++;
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
        outcomes.forEach((outcome, times) -> System.out.printf("%8d %s%n", times, outcome));
        System.out.printf(
                Locale.ROOT,
                "%d files in %.0f s, process at its largest %d MB%n",
                files,
                (System.nanoTime() - begun) / 1e9,
                peak / 1024);
    }

    private static Process child(Path folder, int from, int to, List<String> seeds) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(ProcessHandle.current().info().command().orElse("java"));
        command.addAll(List.of("-Xmx512m", "--enable-native-access=ALL-UNNAMED", "-cp"));
        command.add(System.getProperty("java.class.path"));
        command.add("-Dnexa.home=" + System.getProperty("nexa.home", "."));
        command.addAll(List.of("nexa.bench.Main", CHILD, folder.toString(), "" + from, "" + to));
        command.addAll(seeds);
        return new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** What the other process does; false if these are not its arguments. */
    public static boolean child(String[] arguments) throws IOException {
        if (arguments.length < 4 || !arguments[0].equals(CHILD)) {
            return false;
        }
        List<byte[]> seeds = arguments.length > 4 ? Seeds.in(Path.of(arguments[4])) : Seeds.all();
        Path file = Path.of(arguments[1]).resolve("mutant");
        Watchdog watchdog = new Watchdog();
        for (int i = Integer.parseInt(arguments[2]); i < Integer.parseInt(arguments[3]); i++) {
            Files.write(file, Mutation.of(seeds.get(i % seeds.size()), i));
            watchdog.begin();
            String outcome = read(file);
            watchdog.end();
            System.out.println("file " + i + " " + outcome);
        }
        return true;
    }

    private static String read(Path file) {
        Probe probe = PhotoCodecs.STANDARD.developed(file);
        if (probe instanceof Probe.Unreadable(var trouble)) {
            return "refused by its headers: " + trouble.kind();
        }
        try {
            new PreviewMaker(PhotoCodecs.STANDARD)
                    .make(file, ((Probe.Readable) probe).facts(), EDGE)
                    .close();
            return "decoded";
        } catch (UnreadablePhotoException refused) {
            return "refused when decoded: " + refused.trouble().kind();
        } catch (RuntimeException | OutOfMemoryError bug) {
            return "NOT EXPECTED: " + bug.getClass().getSimpleName();
        }
    }

    /** Ends the process if one file takes too long. */
    private static final class Watchdog {
        private volatile long begun = Long.MAX_VALUE;

        Watchdog() {
            Thread.ofPlatform().daemon().start(() -> {
                while (true) {
                    long since = begun;
                    if (since != Long.MAX_VALUE && System.nanoTime() - since > LONGEST) {
                        System.out.flush();
                        Runtime.getRuntime().halt(HANGS);
                    }
                    try {
                        Thread.sleep(100);
                    } catch (InterruptedException stopped) { // it is to stop
                        return;
                    }
                }
            });
        }

        void begin() {
            begun = System.nanoTime();
        }

        void end() {
            begun = Long.MAX_VALUE;
        }
    }
}
