package nexa.shoot;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.shape.Shape;
import nexa.imaging.TestPhotos;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.store.Store;

/** A folder with a few photos, and shorthand for what tests do with it. */
public final class TestShoot {
    public static final Frame WISH = new Frame(0.05, -0.02, 0.5, 0.4);

    private final Path folder;
    private final Locations locations;

    public TestShoot(Path base) throws IOException {
        folder = Files.createDirectories(base.resolve("shoot"));
        locations = new Locations(base.resolve("data"), base.resolve("cache"));
    }

    public Path folder() {
        return folder;
    }

    public Locations locations() {
        return locations;
    }

    /** Where its database is once it was opened. */
    public Path store() {
        return folder.resolve(Store.IN_FOLDER);
    }

    /** The database itself. */
    public Connection database() throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + store());
    }

    public Path photo(String name, int width, int height) throws IOException {
        return TestPhotos.jpeg(folder.resolve(name), width, height, 1);
    }

    public Shoot open() throws IOException {
        return Shoot.open(folder, locations);
    }

    public static Photo photo(Shoot shoot, String file) {
        return shoot.photos().stream()
                .filter(p -> p.file().equals(file))
                .findFirst()
                .orElseThrow();
    }

    public static Format addFormat(Shoot shoot, String name, String shape) {
        shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().with(name, Shape.parse(shape))));
        return shoot.brief().find(name).orElseThrow();
    }

    public static void place(Shoot shoot, Photo photo, Format format, Frame wish) {
        Framing before = shoot.framing(photo);
        shoot.apply(Edit.framing("edit.frame", photo.id(), before, before.withCrop(format, new Crop(wish))));
    }

    /** SHA-256 of every file outside {@code .nexa}, by path. */
    public static Map<String, String> hashes(Path folder) throws IOException {
        Map<String, String> hashes = new TreeMap<>();
        try (Stream<Path> files = Files.walk(folder)) {
            files.filter(Files::isRegularFile)
                    .filter(file -> !file.toString().contains(".nexa"))
                    .forEach(file -> hashes.put(folder.relativize(file).toString(), hash(file)));
        }
        return hashes;
    }

    /** Removes a folder with all that is in it. */
    public static void clear(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }

    private static String hash(Path file) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file)));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
