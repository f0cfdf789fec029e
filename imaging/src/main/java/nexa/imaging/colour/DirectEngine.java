package nexa.imaging.colour;

import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;

/** The JDK's, from one profile to another: by the first one's rendering intent, without black-point compensation. */
final class DirectEngine implements Engine {
    /** As OpenCV has them. */
    private static final int[] BLUE_FIRST = {2, 1, 0};

    private final ColorConvertOp engine;
    private final int channelsFrom;
    private final int channelsTo;

    DirectEngine(ICC_Profile from, ICC_Profile to) {
        engine = new ColorConvertOp(new ICC_Profile[] {from, to}, null);
        channelsFrom = from.getNumComponents();
        channelsTo = to.getNumComponents();
    }

    @Override
    public byte[] convert(byte[] pixels, int width, int height, boolean blueFirst) {
        byte[] converted = new byte[width * height * channelsTo];
        engine.filter(
                raster(new DataBufferByte(pixels, pixels.length), width, height, channelsFrom, blueFirst),
                raster(new DataBufferByte(converted, converted.length), width, height, channelsTo, blueFirst));
        return converted;
    }

    @Override
    public short[] convert(short[] pixels, int width, int height, boolean blueFirst) {
        short[] converted = new short[width * height * channelsTo];
        engine.filter(
                raster(new DataBufferUShort(pixels, pixels.length), width, height, channelsFrom, blueFirst),
                raster(new DataBufferUShort(converted, converted.length), width, height, channelsTo, blueFirst));
        return converted;
    }

    /** Over the pixels themselves. */
    private static WritableRaster raster(DataBuffer pixels, int width, int height, int channels, boolean blueFirst) {
        int[] places = channels == 3 && blueFirst ? BLUE_FIRST : inOrder(channels);
        return Raster.createWritableRaster(
                new PixelInterleavedSampleModel(
                        pixels.getDataType(), width, height, channels, width * channels, places),
                pixels,
                null);
    }

    private static int[] inOrder(int channels) {
        int[] places = new int[channels];
        for (int i = 0; i < channels; i++) {
            places[i] = i;
        }
        return places;
    }
}
