package nexa.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.Probe;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.disk.UnpackedSqlite;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Loads native libraries and readers while somebody still looks for a folder: the first photo would otherwise wait a
 * second for them.
 */
final class Warming {
    private static final Logger LOG = LoggerFactory.getLogger(Warming.class);

    private Warming() {}

    /**
     * Takes a second or so; to be called on a thread of its own.
     *
     * @param cache folder for what can be made again
     */
    static void run(Path cache) {
        UnpackedSqlite.keptIn(cache);
        try {
            Path photo = Files.createTempFile("nexa-warming", ".png");
            try (var picture = Warming.class.getResourceAsStream("warming.png");
                    Connection database = DriverManager.getConnection("jdbc:sqlite::memory:")) {
                Files.write(photo, picture.readAllBytes());
                if (PhotoCodecs.STANDARD.probe(photo) instanceof Probe.Readable(var facts)) {
                    new PreviewMaker(PhotoCodecs.STANDARD)
                            .make(photo, facts, 16)
                            .close();
                }
                ColourTransform.between(Profile.WIDE, Profile.SRGB);
            } finally {
                Files.deleteIfExists(photo);
            }
        } catch (IOException | SQLException | RuntimeException cold) { // then the first photo waits
            LOG.info("Not warmed up: {}", cold.toString());
        }
    }
}
