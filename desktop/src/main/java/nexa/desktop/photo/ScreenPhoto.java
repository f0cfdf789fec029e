package nexa.desktop.photo;

import java.nio.IntBuffer;
import java.util.Optional;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import nexa.core.geometry.Frame;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.CorrectedRaster;

/**
 * A photo's pixels, ready to be drawn: as shot, or corrected.
 *
 * @param raster the same pixels, for what is made of them elsewhere
 * @param brightness mean of all pixels' luma, 0 = black, 1 = white
 * @param weight bytes held: the pixels, and the renderer's copy of them once they were drawn
 * @param box what of the corrected photo it shows, in its isotropic unit; empty if it is the photo as shot
 */
public record ScreenPhoto(Image image, Raster raster, double brightness, long weight, Optional<Frame> box) {
    /** Every so many-th pixel is enough for a mean. */
    private static final int STRIDE = 61;

    private static final int COPIES = 2;

    /** A photo as shot. May be called on any thread. */
    public static ScreenPhoto of(Raster raster) {
        return of(raster, Optional.empty());
    }

    /** A corrected photo. May be called on any thread. */
    static ScreenPhoto of(CorrectedRaster corrected) {
        return of(corrected.raster(), Optional.of(corrected.box()));
    }

    /** The same photo in other colours. May be called on any thread. */
    ScreenPhoto withPixels(Raster other) {
        return of(other, box);
    }

    private static ScreenPhoto of(Raster raster, Optional<Frame> box) {
        PixelBuffer<IntBuffer> buffer = new PixelBuffer<>(
                raster.width(), raster.height(), IntBuffer.wrap(raster.argb()), PixelFormat.getIntArgbPreInstance());
        return new ScreenPhoto(new WritableImage(buffer), raster, brightness(raster), COPIES * raster.weight(), box);
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
