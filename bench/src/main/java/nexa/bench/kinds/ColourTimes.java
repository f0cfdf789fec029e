package nexa.bench.kinds;

import static org.bytedeco.opencv.global.opencv_imgproc.INTER_CUBIC;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * A demo photo, enlarged to 24 megapixels of 16 bits, from wide colours to sRGB, and from a press's inks: whole, and in
 * pieces by the engine.
 */
public final class ColourTimes {
    private static final int TIMES = 5;
    private static final int WIDTH = 6000;
    private static final int HEIGHT = 4000;

    /** So few rows that the engine itself is used. */
    private static final int PIECE = 100;

    /** Of a press that Debian has a profile of. */
    private static final Path PRESS = Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc");

    private ColourTimes() {}

    /** @param photo of any size */
    public static void run(Path photo) throws IOException {
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(photo)).facts();
        Mat large = new Mat();
        try (Source source = PhotoCodecs.STANDARD.open(photo, facts);
                Size size = new Size(WIDTH, HEIGHT)) {
            resize(source.picture().mat(), large, size, 0, 0, INTER_CUBIC);
        }
        try (Picture eight = new Picture(large);
                Picture deep = eight.to16Bits()) {
            for (Profile from : List.of(Profile.WIDE, Profile.DEVELOPED)) {
                ColourTransform transform = ColourTransform.between(from, Profile.SRGB);
                say(from, "16 bits", best(() -> transform.apply(deep).close()));
                say(from, "8 bits", best(() -> transform.apply(eight).close()));
                say(from, "16 bits, by the engine", best(() -> inPieces(transform, deep)));
            }
            inks(deep, eight);
        }
    }

    private static void inks(Picture deep, Picture eight) throws IOException {
        if (!Files.exists(PRESS)) {
            System.out.println(PRESS + " is not installed");
            return;
        }
        Profile press = Profile.readForDelivery(PRESS);
        ColourTransform shown = ColourTransform.between(press, Profile.SRGB);
        try (InkPicture amounts = ColourTransform.between(Profile.SRGB, press).inks(deep);
                InkPicture shallow =
                        ColourTransform.between(Profile.SRGB, press).inks(eight)) {
            say(press, "inks of 16 bits", best(() -> shown.shown(amounts).close()));
            say(press, "inks of 8 bits", best(() -> shown.shown(shallow).close()));
            say(press, "by the engine", best(() -> inPieces(shown, amounts)));
        }
    }

    private static void inPieces(ColourTransform shown, InkPicture whole) {
        for (int y = 0; y < HEIGHT; y += PIECE) {
            try (InkPicture piece = new InkPicture(whole.mat().rowRange(y, y + PIECE))) {
                shown.shown(piece).close();
            }
        }
    }

    private static void inPieces(ColourTransform transform, Picture whole) {
        for (int y = 0; y < HEIGHT; y += PIECE) {
            try (Picture piece = new Picture(whole.mat().rowRange(y, y + PIECE))) {
                transform.apply(piece).close();
            }
        }
    }

    private static double best(Runnable work) {
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < TIMES; i++) {
            long begun = System.nanoTime();
            work.run();
            best = Math.min(best, (System.nanoTime() - begun) / 1e9);
        }
        return best;
    }

    private static void say(Profile from, String what, double seconds) {
        System.out.printf(Locale.ROOT, "%-34s %-24s %6.2f s%n", from.name(), what, seconds);
    }
}
