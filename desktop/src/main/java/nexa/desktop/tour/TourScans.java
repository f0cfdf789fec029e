package nexa.desktop.tour;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/** Demo photos as if they had been scanned: with borders, crooked, on a dark mount. */
final class TourScans {
    private static final int LONG_EDGE = 1200;
    private static final int BORDER = 70;

    private TourScans() {}

    /** A new folder with a few of them, and a photo as it is. */
    static Path of(Path demo) throws IOException {
        Path folder =
                Files.createDirectory(Files.createTempDirectory("nexa-scans").resolve("Fennick Kiln scans"));
        scan(demo.resolve("kiln_0206.jpg"), folder.resolve("print_1.png"), Color.WHITE, 0);
        scan(demo.resolve("kiln_0230.jpg"), folder.resolve("print_2.png"), new Color(226, 224, 220), 1.8);
        scan(demo.resolve("kiln_0208.jpg"), folder.resolve("slide_1.png"), new Color(14, 13, 12), -0.7);
        plain(demo.resolve("kiln_0201.jpg"), folder.resolve("kiln_0201.png"));
        return folder;
    }

    private static void plain(Path photo, Path to) throws IOException {
        ImageIO.write(ImageIO.read(photo.toFile()), "png", to.toFile());
    }

    /** @param lean degrees by which it lies crooked */
    private static void scan(Path photo, Path to, Color border, double lean) throws IOException {
        BufferedImage whole = ImageIO.read(photo.toFile());
        double scale = (double) LONG_EDGE / Math.max(whole.getWidth(), whole.getHeight());
        int width = (int) Math.round(whole.getWidth() * scale) + 2 * BORDER;
        int height = (int) Math.round(whole.getHeight() * scale) + 2 * BORDER;
        BufferedImage scan = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = scan.createGraphics();
        canvas.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        canvas.setColor(border);
        canvas.fillRect(0, 0, width, height);
        AffineTransform place = AffineTransform.getRotateInstance(Math.toRadians(lean), width / 2.0, height / 2.0);
        place.translate(BORDER, BORDER);
        place.scale(scale, scale);
        canvas.drawImage(whole, place, null);
        canvas.dispose();
        ImageIO.write(scan, "png", to.toFile());
    }
}
