package nexa.bench.repair;

import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import nexa.core.fill.Fill;
import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.fill.Filler;
import nexa.imaging.fill.Seam;
import nexa.imaging.pixels.Picture;
import nexa.imaging.render.SinglePass;

/** Real photographs with room made on one side, filled in every way; pictures to be looked at, and how long it takes. */
public final class FillTrial {
    private static final double ROOM = 0.12;
    private static final PixelSize LARGE = new PixelSize(6000, 4000);

    private FillTrial() {}

    /** @param folder of photographs; the filled ones come into {@code filled} beside them */
    public static void run(Path folder) throws IOException {
        Path out = Files.createDirectories(folder.resolve("filled"));
        for (Path file : TrialPhotos.in(folder)) {
            try (Picture photo = TrialPhotos.read(file)) {
                for (Fill fill : List.of(
                        new Fill.Surroundings(),
                        new Fill.Mirror(),
                        new Fill.Stretch(Fill.Stretch.USUAL),
                        new Fill.Blurred())) {
                    long start = System.nanoTime();
                    try (Picture filled = filled(photo, photo.size(), fill)) {
                        String name = file.getFileName().toString().replaceFirst("\\.[^.]+$", "");
                        String as = fill.text().replaceAll("\\W.*", "");
                        Seam seam = filling(photo, fill).seam(filled);
                        imwrite(out.resolve(name + "-" + as + ".jpg").toString(), filled.mat());
                        System.out.printf(
                                Locale.ROOT,
                                "%-40s %-14s %5d ms   %s: %.1f %%%n",
                                name,
                                as,
                                (System.nanoTime() - start) / 1_000_000,
                                seam.shows() ? "will show" : "passes",
                                100 * seam.share());
                    }
                }
            }
        }
        speed(TrialPhotos.in(folder).getFirst());
    }

    /** With as many pixels in the photo as are delivered: what is looked at for the surroundings is rendered from all of them. */
    private static void speed(Path file) {
        try (Picture small = TrialPhotos.read(file);
                Picture photo = room(small, LARGE);
                Picture rendered = room(photo, LARGE)) {
            for (int i = 0; i < 3; i++) {
                long start = System.nanoTime();
                Picture own = new Picture(rendered.mat().clone());
                try (Picture filled = filling(photo, new Fill.Surroundings()).fill(own, Optional.empty())) {
                    System.out.printf(
                            Locale.ROOT,
                            "%s, %.0f %% of it blank, from the surroundings: %d ms on one core%n",
                            filled.size(),
                            100 * ROOM / (1 + ROOM),
                            (System.nanoTime() - start) / 1_000_000);
                }
            }
        }
    }

    private static Picture filled(Picture photo, PixelSize size, Fill fill) {
        return filling(photo, fill).fill(room(photo, size), Optional.empty());
    }

    private static Filler filling(Picture photo, Fill fill) {
        return new Filler(fill, FillTrial::outline, size -> {
            try (Picture less = Filler.lookedAt(photo, 1)) {
                return room(less, size);
            }
        });
    }

    /** Room above the photo. */
    private static Picture room(Picture photo, PixelSize size) {
        double top = size.height() * ROOM / (1 + ROOM);
        Affine toPhoto = Affine.translation(0, -top)
                .then(Affine.scale(
                        (double) photo.size().width() / size.width(),
                        photo.size().height() / (size.height() - top)));
        return SinglePass.render(photo, toPhoto, size);
    }

    private static List<Point> outline(PixelSize size) {
        double top = size.height() * ROOM / (1 + ROOM);
        return List.of(
                new Point(0, top),
                new Point(size.width(), top),
                new Point(size.width(), size.height()),
                new Point(0, size.height()));
    }
}
