package nexa.bench.attack;

import static org.bytedeco.opencv.global.opencv_core.CV_16U;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_PROGRESSIVE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_ADOBE_DEFLATE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_LZW;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_TIFF_COMPRESSION_NONE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2BGRA;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2GRAY;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.bench.base.SmallPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;

/** One small good file of every kind that Nexa reads. */
final class Seeds {
    private static final int EDGE = 160;

    private Seeds() {}

    static List<byte[]> all() throws IOException {
        var photo = SmallPhotos.demoPhotos().getFirst();
        Probe.Readable probe = (Probe.Readable) PhotoCodecs.STANDARD.probe(photo);
        List<byte[]> seeds = new ArrayList<>();
        try (Picture small = new PreviewMaker(PhotoCodecs.STANDARD).picture(photo, probe.facts(), EDGE);
                Mat deep = new Mat();
                Mat grey = new Mat();
                Mat alpha = new Mat()) {
            Mat colour = small.mat();
            colour.convertTo(deep, CV_16U, 257, 0);
            cvtColor(colour, grey, COLOR_BGR2GRAY);
            cvtColor(colour, alpha, COLOR_BGR2BGRA);
            byte[] tagged = Encoder.plainJpeg(small, 85, Optional.of(Profile.WIDE));
            seeds.add(tagged);
            seeds.add(encoded(".jpg", colour, IMWRITE_JPEG_PROGRESSIVE, 1));
            seeds.add(encoded(".jpg", grey));
            seeds.add(ink());
            for (Mat mat : new Mat[] {colour, deep, grey, alpha}) {
                seeds.add(encoded(".png", mat));
            }
            seeds.add(encoded(".tif", colour, IMWRITE_TIFF_COMPRESSION, IMWRITE_TIFF_COMPRESSION_NONE));
            seeds.add(encoded(".tif", deep, IMWRITE_TIFF_COMPRESSION, IMWRITE_TIFF_COMPRESSION_LZW));
            seeds.add(encoded(".tif", grey, IMWRITE_TIFF_COMPRESSION, IMWRITE_TIFF_COMPRESSION_ADOBE_DEFLATE));
            seeds.add(encoded(".webp", colour));
            seeds.add(encoded(".bmp", colour));
            seeds.add(encoded(".gif", colour));
            seeds.add(encoded(".ppm", colour));
            seeds.add(encoded(".ras", colour));
            seeds.add(negative(tagged));
        }
        return seeds;
    }

    /** The files of a folder. */
    static List<byte[]> in(Path folder) throws IOException {
        List<byte[]> seeds = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                seeds.add(Files.readAllBytes(file));
            }
        }
        return seeds;
    }

    private static byte[] encoded(String ending, Mat mat, int... parameters) {
        try (BytePointer out = new BytePointer()) {
            imencode(ending, mat, out, new IntPointer(parameters));
            byte[] bytes = new byte[(int) out.limit()];
            out.get(bytes);
            return bytes;
        }
    }

    /** A JPEG of four inks. */
    private static byte[] ink() throws IOException {
        WritableRaster ink = Raster.createInterleavedRaster(java.awt.image.DataBuffer.TYPE_BYTE, 64, 48, 4, null);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        var writers = ImageIO.getImageWritersByFormatName("jpeg");
        ImageWriter writer = writers.next();
        while (!writer.getClass().getName().startsWith("com.sun") && writers.hasNext()) {
            writer = writers.next();
        }
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(new IIOImage(ink, null, null));
        }
        return out.toByteArray();
    }

    /** A raw file of one directory: a version that marks it, and a preview. */
    private static byte[] negative(byte[] preview) {
        int[][] tags = {{254, 1}, {259, 7}, {262, 6}, {273, 0}, {274, 1}, {279, preview.length}, {50706, 0x00000401}};
        int data = 8 + 2 + 12 * tags.length + 4;
        ByteBuffer out = ByteBuffer.allocate(data + preview.length).order(ByteOrder.LITTLE_ENDIAN);
        out.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8).putShort((short) tags.length);
        for (int[] tag : tags) {
            out.putShort((short) tag[0]).putShort((short) 4).putInt(1).putInt(tag[0] == 273 ? data : tag[1]);
        }
        return out.putInt(0).put(preview).array();
    }
}
