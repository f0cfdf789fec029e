package nexa.bench.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import nexa.bench.base.Program;
import nexa.bench.base.SmallPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.Sha256;

/**
 * Commands killed at random moments: cropping, carrying, handing over, sidecars, reading crops, safety copies and stores
 * of an earlier version. After each kill the store is sound, nothing is there in part, and what is known of the photos is
 * what it was before the command or what the command leads to.
 */
public final class Kills {
    private static final int USUAL = 100;
    private static final int PHOTOS = 150;

    /** As long as a command takes here, in milliseconds. */
    private static final int LONGEST = 1500;

    private final Path folder;
    private final Path out;
    private final Path data;
    private final Program program;
    private final Random random = new Random(20_261_125);
    private final Map<String, Integer> failures = new TreeMap<>();

    private Kills(Path base) throws IOException {
        folder = Files.createDirectories(base.resolve("shoot"));
        out = base.resolve("out");
        data = base.resolve("user");
        program = new Program(data);
    }

    /** @param count of kills; 0 = 100 */
    public static void run(int count) throws IOException {
        Kills kills = new Kills(Files.createTempDirectory("nexa-kills"));
        SmallPhotos.write(kills.folder, PHOTOS);
        try {
            kills.all(count == 0 ? USUAL : count);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void all(int count) throws IOException, InterruptedException {
        String shoot = folder.toString();
        String table = folder.resolveSibling("crops.csv").toString();
        program.run(List.of("formats", shoot, "--add", "Print=4:5", "--add", "Square=1:1"));
        program.run(List.of("crop", shoot, "--format", "Print", "--size", "0.8"));
        program.run(List.of("crops", shoot, "--export", table));
        Map<Path, String> originals = originals();
        Map<String, Integer> ended = new TreeMap<>();
        int inside = 0;
        for (int kill = 0; kill < count; kill++) {
            List<String> command = command(kill, shoot, table);
            if (kill % 8 == 6) {
                makeCopyDue();
            } else if (kill % 8 == 7) {
                makeOlder();
            }
            String before = known();
            boolean killed = killed(command);
            inside += killed ? 1 : 0;
            check(command, before);
            ended.merge(command.getFirst(), killed ? 1 : 0, Integer::sum);
        }
        require("an original changed", originals.equals(originals()));
        System.out.printf(
                Locale.ROOT,
                "%d commands, %d killed before their end: %s; failures: %s%n",
                count,
                inside,
                ended,
                failures);
    }

    private List<String> command(int kill, String shoot, String table) {
        String tilt = Integer.toString(1 + kill % 40);
        return switch (kill % 8) {
            case 0 -> List.of("crop", shoot, "--format", "Print", "--tilt", tilt);
            case 1 -> List.of("carry", shoot, "--from", "p00000.jpg", "--format", "Square");
            case 2 ->
                List.of("handover", shoot, "--out", out.resolve("n" + kill).toString());
            case 3 -> List.of("sidecars", shoot, "--write");
            case 4 -> List.of("crops", shoot, "--import", table);
            case 5 -> List.of("sidecars", shoot, "--read");
            default -> List.of("check", shoot, "--format", kill % 16 < 8 ? "Print" : "Square");
        };
    }

    /** Whether it had not ended by then. */
    private boolean killed(List<String> command) throws IOException, InterruptedException {
        Path said = Files.createTempFile("nexa-said", ".txt");
        Process process = program.start(command, said);
        Thread.sleep(random.nextInt(LONGEST));
        boolean alive = process.isAlive();
        process.destroyForcibly().waitFor();
        Files.delete(said);
        return alive;
    }

    private Path store() {
        return folder.resolve(".nexa/shoot.db");
    }

    private void makeCopyDue() throws IOException {
        Path copies = store().resolveSibling("copies");
        if (Files.isDirectory(copies)) {
            try (Stream<Path> files = Files.list(copies)) {
                for (Path copy : files.toList()) {
                    Files.delete(copy);
                }
            }
        }
    }

    /** As version 0.1 left it. */
    private void makeOlder() throws IOException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + store());
                Statement statement = connection.createStatement()) {
            for (String table : List.of("delivery", "step", "sound")) {
                statement.executeUpdate("DROP TABLE IF EXISTS " + table);
            }
            statement.executeUpdate("PRAGMA user_version = 5");
        } catch (SQLException failed) {
            throw new IOException(failed);
        }
    }

    // ---- what must hold ----

    private void check(List<String> command, String before) throws IOException, InterruptedException {
        require("the store is damaged", isSound());
        String after = known();
        program.run(command); // to its end
        String whole = known();
        boolean reads = List.of("handover", "sidecars").contains(command.getFirst()) && !command.contains("--read");
        boolean fits = after.equals(before) || reads || after.equals(whole);
        require(command.getFirst() + " left something in between", fits);
        require("a file is there in part", deliveriesAreWhole());
    }

    private void require(String what, boolean holds) {
        if (!holds) {
            failures.merge(what, 1, Integer::sum);
        }
    }

    private boolean isSound() {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + store());
                Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery("PRAGMA integrity_check")) {
            return result.next() && "ok".equals(result.getString(1));
        } catch (SQLException damaged) { // that is counted
            return false;
        }
    }

    /** All that is known of the photos, as one checksum; also that nothing had to be mended. */
    private String known() throws IOException {
        try (Shoot shoot = Shoot.open(folder, new Locations(data.resolve("data"), data.resolve("cache")))) {
            require("something was mended: " + shoot.told(), shoot.told().isEmpty());
            StringBuilder all = new StringBuilder(shoot.brief().toString());
            for (Photo photo : shoot.photos()) {
                all.append(photo.file()).append(shoot.framing(photo));
            }
            return Sha256.of(all.toString());
        }
    }

    private boolean deliveriesAreWhole() throws IOException {
        if (!Files.isDirectory(out)) {
            return true;
        }
        try (Stream<Path> files = Files.walk(out)) {
            return files.filter(file -> file.toString().endsWith(".jpg"))
                    .filter(file -> !file.getFileName().toString().startsWith("."))
                    .allMatch(file -> PhotoCodecs.STANDARD.probe(file) instanceof Probe.Readable);
        }
    }

    private Map<Path, String> originals() throws IOException {
        Map<Path, String> originals = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(each -> Files.isRegularFile(each, LinkOption.NOFOLLOW_LINKS))
                    .filter(each -> each.toString().endsWith(".jpg"))
                    .toList()) {
                originals.put(file, Sha256.of(file));
            }
        }
        return originals;
    }
}
