package nexa.shoot;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.stream.Stream;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.print.SizeTarget;
import nexa.core.shape.Shape;
import nexa.imaging.file.ToldException;
import nexa.shoot.edit.Edit;

/** The demo shoot that ships with Nexa: the autumn catalogue of a pottery. It is only ever shown as a copy. */
public final class DemoShoot {
    public static final String NAME = "Fennick Kiln, autumn catalogue";

    /** The system property that names the folder Nexa is installed in. */
    private static final String HOME = "nexa.home";

    private DemoShoot() {}

    /**
     * A new working copy in the system's temporary folder, with the client's brief.
     *
     * @throws IOException if the demo is not part of this installation, or can't be copied
     */
    public static Path freshCopy() throws IOException {
        return freshCopy(Integer.MAX_VALUE);
    }

    /**
     * The same with only the first photos, so that the others can arrive.
     *
     * @throws IOException if the demo is not part of this installation, or can't be copied
     */
    public static Path freshCopy(int photos) throws IOException {
        Path copy = Files.createTempDirectory("nexa-demo-").resolve(NAME);
        copyTo(copy, photos);
        try (Shoot shoot = Shoot.open(copy, Locations.ofThisUser())) {
            Brief brief = Brief.EMPTY
                    .with("Print 8×10", Shape.parse("4:5"))
                    .with("Square", Shape.parse("1:1"))
                    .with("Banner", Shape.parse("16:9"))
                    .with("Card 5×7", Shape.parse("5:7"));
            brief = asked(brief, "Square", "1080 x 1080 px", "jpeg 85 srgb; sharpened for screen; no place");
            brief = asked(brief, "Banner", "long edge 1600", "webp 82 srgb; at most 300 kB");
            brief = asked(brief, "Card 5×7", "5 x 7 in at 200 ppi", "tiff; lzw compression; sharpened for matt");
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), brief));
        }
        return copy;
    }

    private static Brief asked(Brief brief, String name, String size, String files) {
        Format format = brief.find(name).orElseThrow();
        return brief.changed(format.sized(SizeTarget.parse(size)).filed(FileSettings.parse(files)));
    }

    /**
     * The demo's photos, in order.
     *
     * @throws IOException if the demo is not part of this installation
     */
    public static List<Path> originals() throws IOException {
        Path originals = Path.of(System.getProperty(HOME, "."), "demo", "fennick-kiln");
        if (!Files.isDirectory(originals)) {
            throw new ToldException("told.shoot.demo-shoot-not-part-installation", originals);
        }
        try (Stream<Path> files = Files.list(originals)) {
            return files.sorted().toList();
        }
    }

    private static void copyTo(Path copy, int photos) throws IOException {
        List<Path> originals = originals();
        Files.createDirectories(copy);
        for (Path file : originals.subList(0, Math.min(photos, originals.size()))) {
            Files.copy(file, copy.resolve(file.getFileName()), StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
