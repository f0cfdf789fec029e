package nexa.imaging.fill;

import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.space.PhotoSpace;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.CorrectedRaster;

/** A frame that leaves the photo, as it will look, small: made of pixels that are there for the screen. */
public final class FilledRaster {
    /** Larger ones are looked at on the Bench, which makes them of the photo itself. */
    private static final int MOST = 480;

    private FilledRaster() {}

    /**
     * A draft, and where its fill will show.
     *
     * @param raster the whole frame, filled
     */
    public record Draft(Raster raster, Seam seam) {}

    /**
     * The frame, filled. Surroundings may come out otherwise than in a delivery, which is looked for in more pixels.
     *
     * @param plain the photo as shot, of any size
     * @param frame in level space
     * @param light of its numbers
     */
    public static Raster of(Raster plain, PhotoSpace space, Frame frame, Fill fill, PictureLight light) {
        try (Picture filled = filled(filler(plain, space, frame, fill, light), plain, space, frame, MOST, light)) {
            return filled.toRaster();
        }
    }

    /**
     * The same, larger.
     *
     * @param longEdge of the picture at most, in pixels
     */
    public static Draft draft(
            Raster plain, PhotoSpace space, Frame frame, Fill fill, int longEdge, PictureLight light) {
        Filler filler = filler(plain, space, frame, fill, light);
        try (Picture filled = filled(filler, plain, space, frame, longEdge, light)) {
            return new Draft(filled.toRaster(), filler.seam(filled));
        }
    }

    private static Filler filler(Raster plain, PhotoSpace space, Frame frame, Fill fill, PictureLight light) {
        return new Filler(
                        fill,
                        size -> space.toOutput(frame, size),
                        size -> CorrectedRaster.framed(plain, space, frame, size, light))
                .drafting();
    }

    private static Picture filled(
            Filler filler, Raster plain, PhotoSpace space, Frame frame, int longEdge, PictureLight light) {
        PixelSize size = size(plain, frame, longEdge);
        return filler.fill(CorrectedRaster.framed(plain, space, frame, size, light), light.profile());
    }

    /** With as many pixels as the photo has there, or fewer. */
    private static PixelSize size(Raster plain, Frame frame, int longEdge) {
        double pixels = Math.max(plain.width(), plain.height());
        double scale = Math.min(pixels, longEdge / Math.max(frame.width(), frame.height()));
        return new PixelSize((int) Math.max(1, Math.round(frame.width() * scale)), (int)
                Math.max(1, Math.round(frame.height() * scale)));
    }
}
