package nexa.imaging.blocks;

import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_RST_INTERVAL;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import java.util.stream.Stream;
import nexa.core.files.FileSettings;
import nexa.imaging.TestPhotos;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ScanCheckTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    private static byte[] jpeg(String settings) throws IOException {
        try (Picture scene = TestPhotos.scene(317, 211);
                Source source = new Source(scene, SourceMetadata.NONE)) {
            return Encoder.encode(scene, source, FileSettings.parse(settings));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpeg 95; full chroma", "jpeg 80; quarter chroma", "jpeg 60; half chroma; progressive"})
    void wholeFiles_areWhole(String settings) throws IOException {
        assertFalse(ScanCheck.isDamaged(jpeg(settings)));
    }

    @Test
    void demoPhotos_areWhole() throws IOException {
        try (Stream<Path> photos = Files.list(DEMO)) {
            for (Path photo : photos.toList()) {
                assertFalse(ScanCheck.isDamaged(Files.readAllBytes(photo)), photo::toString);
            }
        }
    }

    /** Markers between every few units, as some cameras put them. */
    @ParameterizedTest
    @ValueSource(ints = {1, 7, 40})
    void restartMarkers_arePassed_andWhatIsMissingBetweenThemIsNoticed(int units) throws IOException {
        byte[] file = withRestarts(units);
        assertFalse(ScanCheck.isDamaged(file));
        int second = marker(file, 0xD1);
        byte[] without = new byte[file.length - 4];
        System.arraycopy(file, 0, without, 0, second - 4);
        System.arraycopy(file, second, without, second - 4, file.length - second);
        assertTrue(ScanCheck.isDamaged(without));
    }

    /** Cameras and copies leave all kinds of things there. */
    @ParameterizedTest
    @ValueSource(strings = {"FFD0FFD9", "FF", "", "FFD9000000", "FFFE0003", "FFD9FFD8FFE1"})
    void whatIsBehindAPictureThatCameAtOnce_isNoDamage(String end) throws IOException {
        byte[] file = jpeg("jpeg 95; full chroma");
        byte[] behind = HexFormat.of().parseHex(end);
        byte[] other = Arrays.copyOf(file, file.length - 2 + behind.length);
        System.arraycopy(behind, 0, other, file.length - 2, behind.length);
        assertFalse(ScanCheck.isDamaged(other));
    }

    private static byte[] withRestarts(int units) {
        try (Picture scene = TestPhotos.scene(317, 211);
                BytePointer buffer = new BytePointer();
                IntPointer settings = new IntPointer(new int[] {IMWRITE_JPEG_RST_INTERVAL, units})) {
            imencode(".jpg", scene.mat(), buffer, settings);
            byte[] bytes = new byte[Math.toIntExact(buffer.limit())];
            buffer.get(bytes);
            return bytes;
        }
    }

    private static int marker(byte[] file, int code) {
        return marker(file, code, 0);
    }

    private static int marker(byte[] file, int code, int from) {
        int at = from;
        while (file[at] != (byte) 0xFF || file[at + 1] != (byte) code) {
            at++;
        }
        return at;
    }

    @Test
    void headerTallerThanTheData_isDamage() throws IOException {
        byte[] file;
        try (Picture scene = TestPhotos.scene(317, 211)) {
            file = Encoder.plainJpeg(scene, 90);
        }
        for (int i = 2; i < file.length; i++) {
            if (file[i] == (byte) 0xFF && file[i + 1] == (byte) 0xC0) {
                file[i + 5] += 1; // 256 rows more
                break;
            }
        }
        assertTrue(ScanCheck.isDamaged(file));
    }

    @ParameterizedTest
    @ValueSource(strings = {"jpeg 95", "jpeg 80; progressive"})
    void cutFiles_areDamaged_alsoWithAnEndPutBehind(String settings) throws IOException {
        byte[] file = jpeg(settings);
        byte[] cut = Arrays.copyOf(file, file.length * 2 / 3);
        cut[cut.length - 2] = (byte) 0xFF;
        cut[cut.length - 1] = (byte) 0xD9;
        assertTrue(ScanCheck.isDamaged(cut));
    }

    @Test
    void wrongBytesOfAProgressiveFile_areMostlyNoticed() throws IOException {
        byte[] file = jpeg("jpeg 90; progressive");
        int begin = marker(file, 0xDA);
        Random random = new Random(8);
        int noticed = 0;
        for (int i = 0; i < 200; i++) {
            byte[] damaged = file.clone();
            int at = begin + 20 + random.nextInt(file.length - begin - 60);
            for (int k = 0; k < 20; k++) {
                damaged[at + k] = (byte) random.nextInt(255);
            }
            noticed += ScanCheck.isDamaged(damaged) ? 1 : 0;
        }
        assertTrue(noticed >= 150, noticed + " of 200");
    }

    @Test
    void progressiveFileWithoutOneOfItsScans_isWhole_ifItsFirstIsThere() throws IOException {
        byte[] file = jpeg("jpeg 90; progressive");
        int second = marker(file, 0xDA, marker(file, 0xDA) + 2);
        byte[] coarse = Arrays.copyOf(file, second + 2);
        coarse[second + 1] = (byte) 0xD9;
        assertFalse(ScanCheck.isDamaged(coarse), "a coarser picture");
        assertTrue(ScanCheck.isDamaged(Arrays.copyOf(file, second)), "without an end");
    }

    /** Codes find their step again; where as many blocks come out as before, nothing tells, and no decoder could. */
    @Test
    void wrongBytes_areMostlyNoticed() throws IOException {
        byte[] file = Files.readAllBytes(DEMO.resolve("kiln_0201.jpg"));
        Random random = new Random(7);
        int noticed = 0;
        for (int i = 0; i < 40; i++) {
            byte[] damaged = file.clone();
            int at = file.length / 3 + random.nextInt(file.length / 2);
            for (int k = 0; k < 20; k++) {
                damaged[at + k] = (byte) random.nextInt(255);
            }
            noticed += ScanCheck.isDamaged(damaged) ? 1 : 0;
        }
        assertTrue(noticed >= 30, noticed + " of 40");
    }
}
