package nexa.imaging.render;

import static org.bytedeco.opencv.global.opencv_core.repeat;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.geometry.Point;
import nexa.core.trim.Bands;
import nexa.imaging.pixels.Patch;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * What lies in bands that are closed up is painted over with the pixels at their sides, each half with those of its own side,
 * so that no sample near the line where they meet sees anything of the band.
 */
final class LeftOut {
    /** Of a pixel; a band that ends at a pixel's edge but for this ends there. */
    private static final double WHOLE = 1e-3;

    private final Picture picture;
    private final List<Patch> patches = new ArrayList<>();

    private LeftOut(Picture picture) {
        this.picture = picture;
    }

    /** @param toPicture from the isotropic unit of the photo as shot to the picture's pixels */
    static List<Patch> patches(Picture picture, Bands bands, Affine toPicture) {
        LeftOut out = new LeftOut(picture);
        for (Gap gap : bands.across().all()) {
            out.add(toPicture.apply(new Point(gap.from(), 0)), toPicture.apply(new Point(gap.to(), 0)));
        }
        for (Gap gap : bands.down().all()) {
            out.add(toPicture.apply(new Point(0, gap.from())), toPicture.apply(new Point(0, gap.to())));
        }
        return out.patches;
    }

    /** The same, written into the picture. */
    static void paint(Picture picture, Bands bands, Affine toPicture) {
        for (Patch patch : patches(picture, bands, toPicture)) {
            try (patch) {
                patch.paste(picture);
            }
        }
    }

    /** A band between two places; a stored picture may lie on its side. */
    private void add(Point from, Point to) {
        boolean upright = Math.abs(to.x() - from.x()) > Math.abs(to.y() - from.y());
        int length = upright ? picture.mat().cols() : picture.mat().rows();
        double low = upright ? Math.min(from.x(), to.x()) : Math.min(from.y(), to.y());
        double high = upright ? Math.max(from.x(), to.x()) : Math.max(from.y(), to.y());
        int first = (int) Math.max(0, Math.floor(low + WHOLE));
        int beyond = (int) Math.min(length, Math.ceil(high - WHOLE));
        if (beyond <= first || first == 0 && beyond == length) {
            return; // none of it is in the picture, or nothing else
        }
        int middle = first == 0 ? first : beyond == length ? beyond : (first + beyond) / 2;
        addHalf(upright, first, middle, first - 1);
        addHalf(upright, middle, beyond, beyond);
    }

    /** @param side the line of pixels that is gone on with */
    private void addHalf(boolean upright, int first, int beyond, int side) {
        if (beyond <= first) {
            return;
        }
        try (Rect line = rectangle(upright, side, 1);
                Mat pixels = new Mat(picture.mat(), line)) {
            Mat repeated = new Mat();
            repeat(pixels, upright ? 1 : beyond - first, upright ? beyond - first : 1, repeated);
            patches.add(new Patch(rectangle(upright, first, beyond - first), repeated));
        }
    }

    private Rect rectangle(boolean upright, int at, int width) {
        return upright
                ? new Rect(at, 0, width, picture.mat().rows())
                : new Rect(0, at, picture.mat().cols(), width);
    }
}
