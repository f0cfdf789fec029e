package nexa.shoot.exchange;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.Shoot;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.RelativePath;

/** The sidecars of a shoot's photos: {@code kiln_0201.jpg.xmp} beside {@code kiln_0201.jpg}. */
public final class Sidecars {
    private static final String ENDING = ".xmp";

    /** No sidecar comes near; a larger file is something else. */
    private static final long LARGEST = 4 << 20;

    private static final String IN_STEP = "sidecars in step";

    private Sidecars() {}

    /** Whether sidecars are written whenever crops change. */
    public static boolean areInStep(Shoot shoot) {
        return shoot.setting(IN_STEP).filter("true"::equals).isPresent();
    }

    public static void keepInStep(Shoot shoot, boolean on) {
        shoot.remember(IN_STEP, Boolean.toString(on));
    }

    /**
     * Writes what is known of photos. One that nothing was asked of gets no sidecar, unless there is one. What others
     * wrote into a sidecar stays. Of a shoot that another program may edit, or that is closed, nothing is written: what is
     * there may be newer.
     */
    public static Exchanged write(Shoot shoot, Predicate<Photo> which) {
        WriteGuard guard = shoot.guard();
        int written = 0;
        int same = 0;
        List<Told> troubles = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            Path file = Sidecar.of(shoot.fileOf(photo));
            boolean untouched = shoot.framing(photo).isUntouched();
            if (which.test(photo) && !(untouched && Files.notExists(file))) {
                try {
                    Optional<Boolean> changed = shoot.whileEditing(() -> write(shoot, photo, file, guard));
                    if (changed.isEmpty()) {
                        troubles.add(Told.of("told.exchange.another-program"));
                        break;
                    }
                    written += changed.get() ? 1 : 0;
                    same += changed.get() ? 0 : 1;
                } catch (IOException failed) {
                    troubles.add(Told.of("told.at", file.getFileName(), Told.of(failed)));
                }
            }
        }
        return new Exchanged(written, same, troubles);
    }

    private static boolean write(Shoot shoot, Photo photo, Path file, WriteGuard guard) throws IOException {
        Sidecar now = new Sidecar(photo.fingerprint(), FramingTexts.of(shoot.framing(photo), shoot.brief()));
        byte[] before = Files.exists(file) ? bytes(file) : null;
        byte[] after = now.written(before);
        if (before != null && Arrays.equals(before, after)) {
            return false;
        }
        guard.write(file, after, IfTaken.REPLACE); // what others wrote into it stays in it
        return true;
    }

    /** Reads all sidecars of a shoot; nothing changes before that is applied. */
    public static Changes read(Shoot shoot) {
        Changes changes = new Changes(shoot, "edit.read.sidecars");
        for (Map.Entry<String, Path> entry : there(shoot.folder(), changes).entrySet()) {
            try {
                Optional<Sidecar> sidecar = Sidecar.read(bytes(entry.getValue()));
                if (sidecar.isPresent()) {
                    read(entry.getKey(), sidecar.get(), changes);
                }
            } catch (IOException | IllegalArgumentException broken) {
                changes.trouble(Told.of("told.at", entry.getKey() + ENDING, Told.of(broken)));
            }
        }
        return changes;
    }

    private static void read(String file, Sidecar sidecar, Changes changes) {
        Optional<Photo> photo = changes.photo(file).or(() -> changes.withContent(sidecar.fingerprint()));
        if (photo.isEmpty()) {
            changes.trouble(Told.of("told.exchange.photo-not-here", file + ENDING));
            return;
        }
        changes.add(file + ENDING, photo.get(), sidecar.texts());
    }

    /** By the photo's path in the shoot, in order. */
    private static Map<String, Path> there(Path folder, Changes changes) {
        Map<String, Path> there = new TreeMap<>();
        try (Stream<Path> files = Files.walk(folder)) {
            files.filter(file -> file.toString().endsWith(ENDING) && Files.isRegularFile(file))
                    .forEach(file -> there.put(photoOf(folder, file), file));
        } catch (IOException | java.io.UncheckedIOException unreadable) {
            changes.trouble(Told.of("told.at", folder, Told.of(unreadable)));
        }
        return there;
    }

    private static String photoOf(Path folder, Path file) {
        String name = RelativePath.of(folder, file);
        return name.substring(0, name.length() - ENDING.length());
    }

    private static byte[] bytes(Path file) throws IOException {
        if (Files.size(file) > LARGEST) {
            throw new ToldException("told.exchange.far-larger-than-sidecar");
        }
        return Files.readAllBytes(file);
    }
}
