package nexa.bench.attack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import nexa.bench.base.Program;
import nexa.bench.base.SmallPhotos;
import nexa.shoot.scan.Sha256;

/**
 * Folders made to lead the program astray, and every command over each of them: links, second names, odd names, planted
 * journals, lists and stores, names that are taken. All photos and all files of others are hashed before and after.
 */
public final class Attack {
    /** Files of others under the names that deliveries will have. */
    private static final Set<Path> TEXTS = new HashSet<>();

    private final Path base;
    private final Path others;
    private final Program program;
    private final Map<Path, String> hashes = new HashMap<>();
    private int runs;
    private int faults;
    private int changed;

    private Attack(Path base) throws IOException {
        this.base = base;
        this.others = Files.createDirectories(base.resolve("others"));
        this.program = new Program(base.resolve("user"));
    }

    /** One way to be led astray. */
    @FunctionalInterface
    private interface Trap {
        void lay(Path shoot, Path out) throws IOException;
    }

    public static void run() throws IOException {
        Attack attack = new Attack(Files.createTempDirectory("nexa-attack"));
        long begun = System.nanoTime();
        for (Map.Entry<String, Trap> trap : attack.traps().entrySet()) {
            attack.over(trap.getKey(), trap.getValue());
        }
        System.out.printf(
                "%d folders, %d commands, %d files hashed, %d changed or gone, %d stack traces or hangs, %.0f s%n",
                attack.traps().size(),
                attack.runs,
                attack.hashes.size(),
                attack.changed,
                attack.faults,
                (System.nanoTime() - begun) / 1e9);
    }

    // ---- the traps ----

    private Map<String, Trap> traps() {
        Map<String, Trap> traps = new java.util.LinkedHashMap<>();
        traps.put("nothing hostile", (shoot, out) -> {});
        traps.put("out is a link to the shoot", (shoot, out) -> link(out, shoot));
        traps.put("out is the shoot's subfolder with photos", (shoot, out) -> link(out, shoot.resolve("sub")));
        traps.put("a link in out leads to the shoot", (shoot, out) -> {
            Files.createDirectories(out);
            link(out.resolve("Print"), shoot);
            link(out.resolve("Square"), others);
        });
        traps.put("photos are links to elsewhere, and out is there", (shoot, out) -> {
            photo(others.resolve("Print.jpg"));
            link(shoot.resolve("linked.jpg"), others.resolve("Print.jpg"));
            link(out, others);
        });
        traps.put("second names of photos in out", (shoot, out) -> {
            Files.createDirectories(out);
            Files.createLink(out.resolve("a_Print.jpg"), shoot.resolve("a.jpg"));
            Files.createLink(out.resolve("a.jpg"), shoot.resolve("a.jpg"));
            link(out.resolve("b_Print.jpg"), shoot.resolve("b.jpg"));
            link(out.resolve("sub"), shoot.resolve("sub"));
        });
        traps.put("planted journals and lists that are links", (shoot, out) -> {
            Files.createDirectories(out);
            for (String name : List.of(".nexa-delivered", "handover.json", "handover.csv")) {
                link(out.resolve(name), mine("linked " + name));
            }
            link(out.resolve(".nexa-handover"), shoot.resolve("a.jpg"));
        });
        traps.put("a planted journal that is a second name", (shoot, out) -> {
            Files.createDirectories(out);
            Files.createLink(out.resolve(".nexa-handover"), shoot.resolve("a.jpg"));
        });
        traps.put("lists that claim the photos", (shoot, out) -> {
            Files.writeString(
                    shoot.resolve("handover.json"),
                    "{\"nexaHandover\":1,\"files\":[{\"file\":\"a.jpg\",\"bytes\":%d,\"sha256\":\"%s\"}]}"
                            .formatted(Files.size(shoot.resolve("a.jpg")), Sha256.of(shoot.resolve("a.jpg"))));
            Files.writeString(shoot.resolve("sub/.nexa-delivered"), "");
        });
        traps.put("somebody's own files under the names", (shoot, out) -> {
            Files.createDirectories(out.resolve("Print"));
            for (String name : List.of("a_Print.jpg", "b_Square.jpg", "handover.json", "handover.csv", "Print/a.jpg")) {
                TEXTS.add(Files.writeString(out.resolve(name), "mine"));
            }
        });
        traps.put("odd names", (shoot, out) -> {
            for (String name : List.of(
                    "..\\..\\x.jpg",
                    "new\nline.jpg",
                    "a\u202Egpj.jpg",
                    "-rf.jpg",
                    "=1+1.jpg",
                    "$(touch x).jpg",
                    "quo\"te.jpg",
                    " space .jpg",
                    "%2e%2e%2fx.jpg",
                    "{photo}.jpg",
                    "e\u0301.jpg",
                    "é.jpg",
                    "n".repeat(200) + ".jpg",
                    "CON.jpg",
                    "a.jpg.jpg",
                    "A.JPG")) {
                photo(shoot.resolve(name));
            }
        });
        traps.put("sidecars that are links", (shoot, out) -> {
            link(shoot.resolve("a.jpg.xmp"), mine("linked by a sidecar"));
            link(shoot.resolve("b.jpg.xmp"), shoot.resolve("c.jpg"));
        });
        traps.put("a store that is a link", (shoot, out) -> {
            Files.createDirectories(shoot.resolve(".nexa"));
            link(shoot.resolve(".nexa/shoot.db"), mine("linked as a store"));
        });
        traps.put("a store's folder that is a link", (shoot, out) -> link(shoot.resolve(".nexa"), others));
        traps.put("a store of text", (shoot, out) -> {
            Files.createDirectories(shoot.resolve(".nexa"));
            Files.writeString(shoot.resolve(".nexa/shoot.db"), "no database");
        });
        traps.put("out is another shoot", (shoot, out) -> {
            Files.createDirectories(out);
            photo(out.resolve("a.jpg"));
            photo(out.resolve("a_Print.jpg"));
            try {
                program.run(List.of("photos", out.toString()));
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        });
        traps.put("links in a ring, and to nowhere", (shoot, out) -> {
            link(shoot.resolve("ring"), shoot);
            link(shoot.resolve("self.jpg"), shoot.resolve("self.jpg"));
            link(shoot.resolve("nowhere.jpg"), base.resolve("nowhere"));
            link(shoot.resolve("sub/up"), shoot);
        });
        return traps;
    }

    private static void link(Path link, Path to) throws IOException {
        Files.createSymbolicLink(link, to);
    }

    private Path mine(String name) throws IOException {
        return Files.writeString(others.resolve(name + " " + hashes.size()), "somebody else's");
    }

    private void photo(Path file) throws IOException {
        Files.createDirectories(file.getParent());
        SmallPhotos.one(file, file.hashCode());
    }

    // ---- the commands ----

    private void over(String name, Trap trap) throws IOException {
        Path folder =
                Files.createDirectories(base.resolve("trap " + base.toFile().list().length));
        Path shoot = Files.createDirectories(folder.resolve("shoot"));
        Path out = folder.resolve("out");
        for (String photo : List.of("a.jpg", "b.jpg", "c.jpg", "sub/d.jpg")) {
            photo(shoot.resolve(photo));
        }
        Files.writeString(others.resolve("letter.txt"), "somebody else's");
        trap.lay(shoot, out);
        remember(folder);
        remember(others);
        int before = changed;
        for (List<String> command : commands(shoot, out, folder)) {
            Program.Ran ran = ran(command);
            runs++;
            if (ran.isAFault()) {
                faults++;
                System.out.println(name + ": " + command + ": " + ran.said());
            }
        }
        compare(name);
        System.out.println(name + ": " + (changed - before) + " changed");
    }

    private Program.Ran ran(List<String> command) throws IOException {
        try {
            return program.run(command);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException(stopped);
        }
    }

    private List<List<String>> commands(Path folder, Path out, Path around) {
        String shoot = folder.toString();
        String to = out.toString();
        List<List<String>> commands = new ArrayList<>();
        commands.add(List.of("photos", shoot));
        commands.add(
                List.of("formats", shoot, "--add", "Print=4:5", "--add", "Square=1:1", "--size", "Print=3x2.4 cm"));
        commands.add(List.of("crop", shoot, "--format", "Print", "--tilt", "2", "--size", "0.7"));
        commands.add(List.of("carry", shoot, "--from", "a.jpg", "--format", "Print"));
        commands.add(List.of("check", shoot, "--format", "Print"));
        commands.add(List.of("level", shoot, "--apply"));
        commands.add(List.of("mark", shoot, "--photo", "a.jpg", "--at", "0.4,0.4;0.6,0.6"));
        commands.add(List.of("lineup", shoot, "--format", "Print"));
        commands.add(List.of("sidecars", shoot, "--write"));
        commands.add(List.of("sidecars", shoot, "--read"));
        commands.add(List.of("sidecars", shoot, "--in-step"));
        for (String taken : List.of("number", "skip", "replace")) {
            commands.add(List.of("handover", shoot, "--out", to, "--if-taken", taken));
            commands.add(List.of("handover", shoot, "--out", to, "--if-taken", taken, "--names", "{photo}"));
            commands.add(List.of("handover", shoot, "--out", to, "--if-taken", taken, "--names", "{format}/{photo}"));
        }
        commands.add(List.of("handover", shoot, "--out", to, "--names", "../../{photo}", "--if-taken", "replace"));
        commands.add(List.of("handover", shoot, "--out", shoot, "--names", "{photo}", "--if-taken", "replace"));
        commands.add(List.of("handover", shoot, "--out", to, "--resume"));
        for (Path target : List.of(
                folder.resolve("a.jpg"),
                folder.resolve("sub/../b.jpg"),
                folder.resolve(".nexa/shoot.db"),
                out.resolve("a.jpg"))) {
            String file = target.toString();
            commands.add(List.of("crops", shoot, "--export", file, "--replace"));
            commands.add(List.of("formats", shoot, "--export", file, "--replace"));
            commands.add(List.of("contact", shoot, "--out", file, "--replace"));
            commands.add(List.of("prints", shoot, "--out", file, "--replace"));
        }
        String letter = others.resolve("letter.txt").toString();
        commands.add(List.of("crops", shoot, "--export", letter));
        commands.add(List.of("formats", shoot, "--export", letter));
        commands.add(List.of("contact", shoot, "--out", letter));
        commands.add(List.of("crops", shoot, "--import", folder.resolve("a.jpg").toString()));
        commands.add(
                List.of("formats", shoot, "--import", folder.resolve("a.jpg").toString()));
        commands.add(
                List.of("crops", shoot, "--export", around.resolve("crops.csv").toString()));
        commands.add(
                List.of("crops", shoot, "--import", around.resolve("crops.csv").toString()));
        commands.add(List.of("photos", shoot));
        return commands;
    }

    // ---- what must not change ----

    private void remember(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : (Iterable<Path>) files::iterator) {
                if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS) && !isOurs(file)) {
                    hashes.put(file, Sha256.of(file));
                }
            }
        }
    }

    /** What the program keeps for itself, and a list that it may go on with. */
    private static boolean isOurs(Path file) {
        boolean planted = file.getFileName().toString().startsWith("handover.")
                && file.resolveSibling("").endsWith("shoot");
        return file.toString().contains("/.nexa/") || planted;
    }

    private void compare(String trap) throws IOException {
        for (Map.Entry<Path, String> file : hashes.entrySet()) {
            boolean there = Files.isRegularFile(file.getKey(), LinkOption.NOFOLLOW_LINKS);
            if (!there || !Sha256.of(file.getKey()).equals(file.getValue())) {
                if (!isReplacedByWish(file.getKey())) {
                    changed++;
                    System.out.println(trap + ": CHANGED " + file.getKey());
                }
                file.setValue(there ? Sha256.of(file.getKey()) : "gone");
            }
        }
    }

    /** {@code --if-taken replace} was asked for: of a delivery's name that somebody's text had, and of nothing else. */
    private static boolean isReplacedByWish(Path file) {
        return file.resolveSibling("").toString().contains("/out")
                && file.toString().endsWith(".jpg")
                && TEXTS.contains(file);
    }
}
