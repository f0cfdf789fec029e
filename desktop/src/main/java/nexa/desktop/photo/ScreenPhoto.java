package nexa.desktop.photo;

import java.nio.IntBuffer;
import java.util.Optional;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import nexa.core.geometry.Frame;
import nexa.core.neutral.Receptors;
import nexa.imaging.colour.Profile;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.CorrectedRaster;

/**
 * A photo's pixels, ready to be drawn: as shot, or corrected.
 *
 * @param raster the same pixels, for what is made of them elsewhere
 * @param brightness mean of all pixels' luma, 0 = black, 1 = white
 * @param weight bytes held: the pixels, and the renderer's copy of them once they were drawn
 * @param box what of the corrected photo it shows, in its isotropic unit; empty if it is the photo as shot
 * @param receptors by which another light becomes neutral in it
 */
public record ScreenPhoto(
        Image image, Raster raster, double brightness, long weight, Optional<Frame> box, Receptors receptors) {
    /** Every so many-th pixel is enough for a mean. */
    private static final int STRIDE = 61;

    private static final int COPIES = 2;

    /** A picture whose light stays as it is. May be called on any thread. */
    public static ScreenPhoto of(Raster raster) {
        return of(raster, Receptors.EYE);
    }

    /** A photo as shot. May be called on any thread. */
    static ScreenPhoto of(Raster raster, Receptors receptors) {
        return of(raster, Optional.empty(), receptors);
    }

    /** The same photo corrected. May be called on any thread. */
    ScreenPhoto corrected(CorrectedRaster corrected) {
        return of(corrected.raster(), Optional.of(corrected.box()), receptors);
    }

    /** The same photo in other colours. May be called on any thread. */
    ScreenPhoto withPixels(Raster other) {
        return of(other, box, receptors);
    }

    /** @param screen the profile of its colours */
    PictureLight light(Profile screen) {
        return new PictureLight(Optional.of(screen), receptors);
    }

    private static ScreenPhoto of(Raster raster, Optional<Frame> box, Receptors receptors) {
        PixelBuffer<IntBuffer> buffer = new PixelBuffer<>(
                raster.width(), raster.height(), IntBuffer.wrap(raster.argb()), PixelFormat.getIntArgbPreInstance());
        return new ScreenPhoto(
                new WritableImage(buffer), raster, brightness(raster), COPIES * raster.weight(), box, receptors);
    }

    /** Luma of ITU-R BT.709. */
    private static double brightness(Raster raster) {
        double sum = 0;
        int count = 0;
        for (int i = 0; i < raster.argb().length; i += STRIDE) {
            int pixel = raster.argb()[i];
            sum += 0.2126 * (pixel >> 16 & 0xFF) + 0.7152 * (pixel >> 8 & 0xFF) + 0.0722 * (pixel & 0xFF);
            count++;
        }
        return sum / count / 255;
    }
}
