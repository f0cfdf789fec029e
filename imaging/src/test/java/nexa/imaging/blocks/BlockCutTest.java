package nexa.imaging.blocks;

import static org.bytedeco.opencv.global.opencv_core.NORM_INF;
import static org.bytedeco.opencv.global.opencv_core.norm;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_OPTIMIZE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_PROGRESSIVE;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_RST_INTERVAL;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_420;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_422;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_SAMPLING_FACTOR_444;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGR2GRAY;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.imaging.TestPhotos;
import nexa.imaging.blocks.BlockCut.Grid;
import nexa.imaging.blocks.BlockCut.Part;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BlockCutTest {
    private static final Path NAME = Path.of("test.jpg");

    /** What a JPEG may be like, and a seed for the part. */
    record Kind(int sampling, boolean optimized, int restart, boolean grey, int quality, int seed) {}

    static Stream<Kind> kinds() {
        int[] samplings = {
            IMWRITE_JPEG_SAMPLING_FACTOR_444, IMWRITE_JPEG_SAMPLING_FACTOR_422, IMWRITE_JPEG_SAMPLING_FACTOR_420
        };
        return IntStream.range(0, 60)
                .mapToObj(i -> new Kind(samplings[i % 3], i % 2 == 0, i % 4 == 0 ? 5 : 0, i % 7 == 0, 30 + i % 70, i));
    }

    private static byte[] jpeg(Kind kind, int width, int height, boolean progressive) {
        Random random = new Random(kind.seed);
        try (Picture scene = TestPhotos.scene(width, height);
                Mat grey = new Mat();
                BytePointer out = new BytePointer();
                IntPointer parameters = new IntPointer(
                        IMWRITE_JPEG_QUALITY,
                        kind.quality,
                        IMWRITE_JPEG_SAMPLING_FACTOR,
                        kind.sampling,
                        IMWRITE_JPEG_OPTIMIZE,
                        kind.optimized ? 1 : 0,
                        IMWRITE_JPEG_RST_INTERVAL,
                        kind.restart,
                        IMWRITE_JPEG_PROGRESSIVE,
                        progressive ? 1 : 0)) {
            byte[] noise = new byte[(int) (scene.mat().total() * scene.mat().elemSize()) / 3];
            random.nextBytes(noise);
            scene.mat().data().put(noise); // the upper third, so that all kinds of coefficients are met
            cvtColor(scene.mat(), grey, COLOR_BGR2GRAY);
            imencode(".jpg", kind.grey ? grey : scene.mat(), out, parameters);
            byte[] bytes = new byte[(int) out.limit()];
            out.get(bytes);
            return bytes;
        }
    }

    private static Picture decoded(byte[] jpeg) throws IOException {
        return Decoder.decode(NAME, jpeg, Reduction.NONE);
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void cut_hasThePixelsOfTheWhole(Kind kind) throws IOException {
        Random random = new Random(kind.seed);
        int width = 150 + random.nextInt(90);
        int height = 130 + random.nextInt(90);
        byte[] whole = jpeg(kind, width, height, false);
        Grid grid = BlockCut.grid(whole);
        int left = random.nextInt(width / 2 / grid.width()) * grid.width();
        int top = random.nextInt(height / 2 / grid.height()) * grid.height();
        Part part = new Part(left, top, 40 + random.nextInt(width - left - 39), 40 + random.nextInt(height - top - 39));
        byte[] cut = BlockCut.cut(whole, part, List.of(), segment -> true);
        try (Picture all = decoded(whole);
                Picture got = decoded(cut)) {
            assertEquals(part.width(), got.size().width());
            assertEquals(part.height(), got.size().height());
            // where colour is halved, a decoder smooths it across the cut
            int edge = grid.equals(new Grid(8, 8)) ? 0 : 2;
            try (Rect inside = new Rect(edge, edge, part.width() - 2 * edge, part.height() - 2 * edge);
                    Rect same = new Rect(left + edge, top + edge, inside.width(), inside.height());
                    Mat a = new Mat(got.mat(), inside);
                    Mat b = new Mat(all.mat(), same)) {
                assertEquals(0, norm(a, b, NORM_INF, new Mat()), kind + " " + part);
            }
        }
    }

    @Test
    void grid_isTheLargestSampling() throws IOException {
        assertEquals(new Grid(16, 16), grid(IMWRITE_JPEG_SAMPLING_FACTOR_420, false));
        assertEquals(new Grid(16, 8), grid(IMWRITE_JPEG_SAMPLING_FACTOR_422, false));
        assertEquals(new Grid(8, 8), grid(IMWRITE_JPEG_SAMPLING_FACTOR_444, false));
        assertEquals(new Grid(8, 8), grid(IMWRITE_JPEG_SAMPLING_FACTOR_420, true));
    }

    private static Grid grid(int sampling, boolean grey) throws IOException {
        return BlockCut.grid(jpeg(new Kind(sampling, false, 0, grey, 90, 1), 64, 64, false));
    }

    @Test
    void segments_areKeptAsAskedAndAddedFirst() throws IOException {
        byte[] whole = jpeg(new Kind(IMWRITE_JPEG_SAMPLING_FACTOR_444, false, 0, false, 90, 1), 64, 64, false);
        byte[] comment = {(byte) 0xFF, (byte) 0xFE, 0, 4, 'h', 'i'};
        byte[] withComment = BlockCut.cut(whole, new Part(0, 0, 64, 64), List.of(comment), segment -> true);
        assertTrue(Arrays.mismatch(whole, withComment) < whole.length);
        byte[] without = BlockCut.cut(withComment, new Part(8, 8, 30, 30), List.of(), segment -> false);
        byte[] with = BlockCut.cut(withComment, new Part(8, 8, 30, 30), List.of(), segment -> true);
        assertEquals(comment.length, with.length - without.length);
    }

    @Test
    void offTheGridOrOutside_isABug() {
        byte[] whole = jpeg(new Kind(IMWRITE_JPEG_SAMPLING_FACTOR_444, false, 0, false, 90, 1), 64, 64, false);
        for (Part part :
                List.of(new Part(4, 0, 8, 8), new Part(0, 0, 65, 8), new Part(56, 56, 8, 9), new Part(0, 0, 0, 8))) {
            assertThrows(
                    IllegalArgumentException.class,
                    () -> BlockCut.cut(whole, part, List.of(), segment -> true),
                    part::toString);
        }
    }

    @Test
    void progressive_isRefusedWithWords() {
        byte[] whole = jpeg(new Kind(IMWRITE_JPEG_SAMPLING_FACTOR_444, true, 0, false, 90, 1), 64, 64, true);
        assertEquals(
                "told.blocks.progressive-or-rare-kind",
                assertThrows(IOException.class, () -> BlockCut.grid(whole)).getMessage());
    }

    /** Whatever is broken, it is refused with words or gives a file; never anything else. */
    @Test
    void damaged_isRefused() {
        byte[] whole = jpeg(new Kind(IMWRITE_JPEG_SAMPLING_FACTOR_420, true, 3, false, 80, 1), 160, 120, false);
        Random random = new Random(7);
        int refused = 0;
        for (int i = 0; i < 3000; i++) {
            byte[] damaged = Arrays.copyOf(whole, i % 3 == 0 ? random.nextInt(whole.length) : whole.length);
            for (int k = 0; k < 1 + i % 4 && damaged.length > 0; k++) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
            }
            try {
                BlockCut.cut(damaged, new Part(16, 16, 100, 80), List.of(), segment -> true);
            } catch (IOException told) {
                refused++;
            } catch (IllegalArgumentException smaller) { // its header says so
                assertTrue(String.valueOf(smaller.getMessage()).contains("grid"));
            }
        }
        assertTrue(refused > 1000, refused + " refused");
    }
}
