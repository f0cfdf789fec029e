package nexa.imaging.apart;

import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;

/** How a process apart is called, and how its starts become quick. */
final class DecoderProgram {
    /** The system's property that names the ahead-of-time cache of such processes. */
    static final String CACHE = "nexa.decoders";

    private static final int TRAINING_SECONDS = 60;

    private static final List<String> SETTINGS = List.of(
            "-Xmx512m",
            "-XX:+UseSerialGC",
            "-XX:+SuppressFatalErrorMessage", // no report of a breakdown wherever Nexa was started from
            "-XX:TieredStopAtLevel=1", // it is to start soon; what takes long is native
            "-Xlog:disable", // of a cache that does not fit any more, among the answers
            "-Xlog:all=off",
            "--enable-native-access=ALL-UNNAMED",
            "--sun-misc-unsafe-memory-access=allow");

    private DecoderProgram() {}

    /**
     * What starts one.
     *
     * @param pixels the file that it writes into
     * @throws IOException if there is no Java to be called here
     */
    static List<String> command(Path pixels) throws IOException {
        String cache = System.getProperty(CACHE);
        return command(
                cache != null && Files.isReadable(Path.of(cache)) ? "-XX:AOTCache=" + cache : "-Xshare:auto", pixels);
    }

    private static List<String> command(String sharing, Path pixels) throws IOException {
        Path java = Path.of(System.getProperty("java.home"), "bin", isWindows() ? "java.exe" : "java");
        if (!Files.isExecutable(java)) {
            throw new NoSuchFileException(java.toString());
        }
        List<String> command = new ArrayList<>();
        command.add(java.toString());
        command.addAll(SETTINGS);
        command.add(sharing);
        command.addAll(
                List.of("-cp", System.getProperty("java.class.path"), DecoderMain.class.getName(), pixels.toString()));
        return command;
    }

    private static boolean isWindows() {
        return System.getProperty("os.name").startsWith("Windows");
    }

    /**
     * Lets one decode and end, and keeps what it loads and links.
     *
     * @param cache the file to make, or to make anew
     * @param photos to be decoded, each tried by all decoders
     * @throws IOException if it does not come to be
     */
    static void train(Path cache, List<Path> photos) throws IOException {
        try (PixelFile pixels = PixelFile.create()) {
            Process process = new ProcessBuilder(command("-XX:AOTCacheOutput=" + cache, pixels.path()))
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            try (DataOutputStream orders = new DataOutputStream(process.getOutputStream())) {
                for (Path photo : photos) {
                    write(photo.toAbsolutePath(), orders);
                }
            }
            if (!process.waitFor(TRAINING_SECONDS, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        if (!Files.isReadable(cache)) {
            throw new NoSuchFileException(cache.toString());
        }
    }

    private static void write(Path photo, DataOutputStream orders) throws IOException {
        new Order.Thumbnail(photo).write(orders);
        new Order.OfSensor(photo).write(orders);
        new Order.Raw(photo, new Development(Demosaic.ADAPTIVE, 0)).write(orders);
        for (Kind kind : Kind.values()) {
            new Order.Coded(photo, kind, 1).write(orders);
        }
    }
}
