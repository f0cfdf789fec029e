package nexa.imaging.fill;

import java.util.Optional;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.space.PhotoSpace;
import nexa.imaging.colour.Profile;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.CorrectedRaster;

/** A frame that leaves the photo, as it will look, small: made of pixels that are there for the screen. */
public final class FilledRaster {
    /** Larger ones are looked at on the Bench, which makes them of the photo itself. */
    private static final int MOST = 480;

    private FilledRaster() {}

    /**
     * The frame, filled. Surroundings may come out otherwise than in a delivery, which is looked for in more pixels.
     *
     * @param plain the photo as shot, of any size
     * @param frame in level space
     * @param screen the profile of its colours
     */
    public static Raster of(Raster plain, PhotoSpace space, Frame frame, Fill fill, Profile screen) {
        PixelSize size = size(plain, frame);
        Filler filler = new Filler(
                        fill,
                        other -> space.toOutput(frame, other),
                        other -> CorrectedRaster.framed(plain, space, frame, other, screen))
                .drafting();
        try (Picture filled =
                filler.fill(CorrectedRaster.framed(plain, space, frame, size, screen), Optional.of(screen))) {
            return filled.toRaster();
        }
    }

    /** With as many pixels as the photo has there, or fewer. */
    private static PixelSize size(Raster plain, Frame frame) {
        double longEdge = Math.max(plain.width(), plain.height());
        double scale = Math.min(longEdge, MOST / Math.max(frame.width(), frame.height()));
        return new PixelSize((int) Math.max(1, Math.round(frame.width() * scale)), (int)
                Math.max(1, Math.round(frame.height() * scale)));
    }
}
