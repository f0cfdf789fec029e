package nexa.imaging.render;

import java.util.function.BiConsumer;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.pixel.PixelSteps;
import nexa.core.space.ColourMaps;
import nexa.imaging.neutral.Neutralizer;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Renders a frame from stored pixels with one interpolation, a sample at each output pixel's centre. Where the
 * output has fewer pixels than the source, what is finer than they can hold is first taken out of the source's own
 * pixels, so that it averages out instead of turning up as false patterns.
 *
 * <p>Works through the output in tiles. A tile never holds more than a few thousand source pixels along a side, however
 * much the picture is reduced: see {@link SourcePart}.
 */
public final class SinglePass {
    /** Pixels along a tile's side: what it sees of the source stays near the processor's caches. */
    private static final int TILE = 192;

    /**
     * Filtered pixels along the side of a tile whose values are filtered as small as the source's own: so many that little is
     * looked at twice of what lies around tiles.
     */
    private static final double DENSE_SIDE = 1200;

    private SinglePass() {}

    /**
     * A new picture of the output size.
     *
     * @param outputToSource from output pixels to the source's pixels, both continuous (centres at +0.5); places
     *     outside the source take its nearest edge pixel
     */
    public static Picture render(Picture source, Mapping outputToSource, PixelSize output) {
        return render(source, ColourMaps.alike(outputToSource), output);
    }

    /** The same with each colour from its own place. A grey picture is all green; so is how opaque a pixel is. */
    public static Picture render(Picture source, ColourMaps outputToSource, PixelSize output) {
        return render(Looked.of(source), outputToSource, output);
    }

    /**
     * The same of a photo whose values are changed: before sampling, where it is looked at, and after it.
     *
     * @param steps all but what finishes a picture
     * @param toSource from the isotropic unit of the photo as shot to the source's pixels
     */
    public static Picture render(
            Picture source,
            PictureLight light,
            PixelSteps steps,
            Affine toSource,
            ColourMaps outputToSource,
            PixelSize output) {
        try (Looked looked = Looked.of(source, light.profile(), steps, toSource)) {
            Picture rendered = render(looked, outputToSource, output);
            new Neutralizer(steps.neutral(), light).apply(rendered);
            return rendered;
        }
    }

    /**
     * How many of a source's pixels along a side become one of an output, where these are fewest.
     *
     * @param outputToSource from output pixels to those of the source in full, both continuous
     */
    public static double leastReduction(Mapping outputToSource, PixelSize output) {
        return ReductionMap.least(outputToSource, output.width(), output.height());
    }

    /** Of how many of a source's pixels along a side each may be the mean before it is rendered, and the output shows no less. */
    public static int mostAveraged(double leastReduction) {
        return SourcePart.block(leastReduction);
    }

    private static Picture render(Looked source, ColourMaps outputToSource, PixelSize output) {
        if (outputToSource.areAlike() && outputToSource.green() instanceof Affine even) {
            return inTiles(
                    source,
                    output,
                    side(LowPass.reduction(even)),
                    (toOutput, tile) -> EvenTile.render(source, toOutput.then(even), tile));
        }
        Mapping green = outputToSource.green();
        BentTile tiles = new BentTile(
                source,
                BentMap.step(green, output.width(), output.height()),
                ReductionMap.least(green, output.width(), output.height()));
        return inTiles(source, output, TILE, (toOutput, tile) -> tiles.render(outputToSource.after(toOutput), tile));
    }

    private static int side(double reduction) {
        double left = reduction / SourcePart.block(reduction);
        return LowPass.isDense(left) ? Math.clamp(Math.round(DENSE_SIDE / left), TILE / 2, 3 * TILE) : TILE;
    }

    private static Picture inTiles(Looked source, PixelSize output, int side, BiConsumer<Affine, Mat> renderTile) {
        Mat rendered = new Mat(output.height(), output.width(), source.pixels().type());
        for (int top = 0; top < output.height(); top += side) {
            for (int left = 0; left < output.width(); left += side) {
                int width = Math.min(side, output.width() - left);
                int height = Math.min(side, output.height() - top);
                try (Rect area = new Rect(left, top, width, height);
                        Mat tile = new Mat(rendered, area)) {
                    renderTile.accept(Affine.translation(left, top), tile);
                }
            }
        }
        return new Picture(rendered);
    }
}
